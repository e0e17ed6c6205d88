import { MAX_UNANSWERED, planterResourceSchema, type PlanterResource } from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core/document';
import equal from 'fast-deep-equal';
import { refusalIn } from '../../data/offline/refusalErrors';
import { growingWaits } from '../../data/offline/waits';

/** Where the work on a bench stands, as the person is told. */
export type SaveState =
  /** Begun, and not in the garden yet. */
  | { kind: 'new' }
  | { kind: 'saved' }
  | { kind: 'waiting' }
  | { kind: 'saving' }
  | { kind: 'later'; detail: string }
  | { kind: 'refused'; detail: string }
  | { kind: 'conflict'; current: PlanterResource };

/** What a save says of itself, so that it is known when it comes twice. */
export interface SaveMark {
  revision: number;
  saveId: string;
  /** The saves before it whose answers are not known. */
  after: readonly string[];
}

/** A design that is to be saved, as it is kept on the device. */
export interface Unsaved extends SaveMark {
  design: PlanterDesign;
}

export interface AutosaveOptions {
  revision: number;
  /** What was kept from before and is to be sent first. */
  kept?: Omit<Unsaved, 'revision'> | null;
  save(mark: SaveMark, design: PlanterDesign, keepalive: boolean): Promise<PlanterResource>;
  /** Keeps it on the device until it is dropped. */
  keep(unsaved: Unsaved): void;
  drop(saveId: string): void;
  newId(): string;
  onState(state: SaveState): void;
}

/** Gateways that answer in the place of a server that does not. */
const GATEWAYS: readonly (number | null)[] = [null, 502, 503, 504];
const sayNotNow = (status: number | null): string =>
  GATEWAYS.includes(status) ? 'The server does not answer.' : 'The server cannot take it just now.';

/** Rest after the last change before it is saved, and before the first try again. Milliseconds. */
const REST_MS = 500;
const RETRY_MS = 3000;

/**
 * Saves the newest design one save at a time, each on the revision that the last one gave. What is not
 * saved is kept on the device from the moment of the change.
 */
export interface Autosave {
  /** Tells of a change; it is kept at once and saved after a short rest. */
  changed(design: PlanterDesign): void;
  /** Saves at once what is not saved yet, as when the page is left. */
  flush(keepalive?: boolean): Promise<void>;
  /** After a conflict: goes on from another revision. With a design, saves that over it. */
  goOnFrom(revision: number, design?: PlanterDesign): void;
  /** After a conflict: goes on from what the server has, which is no change when the bench tells of it. */
  take(current: Pick<PlanterResource, 'revision' | 'design'>): void;
  stop(): void;
}

/** What the server has instead of what was to be saved; null for any other answer. */
function conflictIn(error: unknown): PlanterResource | null {
  const { problem } = refusalIn(error);
  return problem?.kind === 'conflict' && problem.current
    ? planterResourceSchema.parse(problem.current)
    : null;
}

// eslint-disable-next-line max-lines-per-function -- one queue of saves: its parts share what is under way.
export function createAutosave(options: AutosaveOptions): Autosave {
  const { save, keep, drop, newId, onState, kept = null } = options;
  let { revision } = options;
  let unsaved: Pick<Unsaved, 'design' | 'saveId'> | null = kept;
  /** Saves that went out and whose answers are not known. */
  let unanswered: string[] = [...(kept?.after ?? [])];
  let running: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let blocked = false;
  /** What was taken over from the server, until the bench tells of it. */
  let taken: PlanterDesign | null = null;
  const waits = growingWaits(RETRY_MS);

  const later = (ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), ms);
  };
  const markOf = (saveId: string): SaveMark => ({
    revision,
    saveId,
    after: unanswered.filter((id) => id !== saveId),
  });
  const keepNow = (): void => {
    if (unsaved) keep({ ...markOf(unsaved.saveId), design: unsaved.design });
  };

  /** The server has a save: what was changed meanwhile is based on that now. */
  const settle = (now: number, saveId: string): void => {
    revision = now;
    unanswered = [];
    waits.reset();
    drop(saveId);
    keepNow();
  };

  const run = async (keepalive: boolean): Promise<void> => {
    while (unsaved && !blocked) {
      const { design, saveId } = unsaved;
      unsaved = null;
      onState({ kind: 'saving' });
      const mark = markOf(saveId);
      unanswered = [...mark.after, saveId].slice(-MAX_UNANSWERED);
      try {
        settle((await save(mark, design, keepalive)).revision, saveId);
      } catch (error) {
        const there = conflictIn(error);
        if (there && equal(there.design, design)) {
          // The other says the same: there is nothing to decide.
          settle(there.revision, saveId);
          continue;
        }
        unsaved ??= { design, saveId };
        keepNow();
        giveUp(error);
        return;
      }
    }
    if (!blocked) onState({ kind: 'saved' });
  };

  const giveUp = (error: unknown): void => {
    const { kind, status, sentence, problem } = refusalIn(error);
    const current = conflictIn(error);
    if (current) {
      blocked = true;
      onState({ kind: 'conflict', current });
    } else if (kind === 'later') {
      onState({ kind: 'later', detail: problem?.detail ?? sayNotNow(status) });
      later(waits.next());
    } else {
      onState({ kind: 'refused', detail: sentence });
    }
  };

  const flush = async (keepalive = false): Promise<void> => {
    clearTimeout(timer);
    if (!unsaved || blocked) return running ?? undefined;
    running ??= run(keepalive).finally(() => {
      running = null;
    });
    return running;
  };

  if (unsaved) later(0);
  return {
    changed(design) {
      const known = taken;
      taken = null;
      if (design === known) return;
      // Another window may have sent what was kept before, if it took this bench for closed.
      if (unsaved) unanswered = [...unanswered, unsaved.saveId].slice(-MAX_UNANSWERED);
      unsaved = { design, saveId: newId() };
      keepNow();
      if (blocked) return;
      onState({ kind: 'waiting' });
      later(REST_MS);
    },
    flush,
    goOnFrom(next, design) {
      const before = unsaved?.saveId;
      revision = next;
      unanswered = [];
      blocked = false;
      unsaved = design ? { design, saveId: newId() } : null;
      keepNow();
      if (unsaved) {
        void flush();
      } else {
        if (before) drop(before);
        onState({ kind: 'saved' });
      }
    },
    take(current) {
      taken = current.design;
      this.goOnFrom(current.revision);
    },
    stop: () => clearTimeout(timer),
  };
}
