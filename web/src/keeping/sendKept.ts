import type { PlanterResource } from '@huerta/contract';
import { RefusedError } from '../api/client';
import { isOpen as benchIsOpen, keeper as browserKeeper, type Keeper, type Kept } from './kept';

/** Sends what lies kept on this device and belongs to no open bench. */

/** What became of what was kept. */
export interface Sent {
  /** Planters that are on the server now. */
  sent: string[];
  /** Those that still wait: the server is away, or somebody has to choose between two versions. */
  waiting: Kept[];
}

interface Outbox {
  keeper?: Keeper;
  isOpen?: (bench: string) => Promise<boolean>;
  save(kept: Kept): Promise<PlanterResource>;
}

/** Tries once to send everything. What is refused stays kept, to be opened and mended. */
export async function sendKept({
  keeper = browserKeeper,
  isOpen = benchIsOpen,
  save,
}: Outbox): Promise<Sent> {
  const result: Sent = { sent: [], waiting: [] };
  let away = false;
  for (const kept of (await keeper.all()).reverse()) {
    if (await isOpen(kept.bench)) continue;
    if (away) {
      result.waiting.push(kept);
      continue;
    }
    try {
      await save(kept);
      await keeper.drop(kept.key, kept.saveId);
      result.sent.push(kept.planter);
    } catch (error) {
      result.waiting.push(kept);
      away = !(error instanceof RefusedError);
    }
  }
  return result;
}
