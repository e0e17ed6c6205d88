import type { PlanterResource } from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core';
import { RefusedError, UnreachableError } from '../../api/client';

/** Where the work on a bench stands, as the person is told. */
export type SaveState =
  | { kind: 'saved' }
  | { kind: 'waiting' }
  | { kind: 'saving' }
  | { kind: 'unreachable' }
  | { kind: 'refused'; detail: string }
  | { kind: 'conflict'; current: PlanterResource };

export interface AutosaveOptions {
  revision: number;
  save(revision: number, design: PlanterDesign, keepalive: boolean): Promise<PlanterResource>;
  onState(state: SaveState): void;
}

/** Rest after the last change before it is saved, and between tries at an unreachable server. */
const REST_MS = 500;
const RETRY_MS = 3000;

/** Saves the newest design one save at a time, each on the revision that the last one gave. */
export interface Autosave {
  /** Tells of a change; it is saved after a short rest. */
  changed(design: PlanterDesign): void;
  /** Saves at once what is not saved yet, as when the page is left. */
  flush(keepalive?: boolean): Promise<void>;
  /** After a conflict: goes on from another revision. With a design, saves that over it. */
  goOnFrom(revision: number, design?: PlanterDesign): void;
  stop(): void;
}

export function createAutosave({ revision: first, save, onState }: AutosaveOptions): Autosave {
  let revision = first;
  let unsaved: PlanterDesign | null = null;
  let running: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let blocked = false;

  const later = (ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), ms);
  };

  const run = async (keepalive: boolean): Promise<void> => {
    while (unsaved && !blocked) {
      const design = unsaved;
      unsaved = null;
      onState({ kind: 'saving' });
      try {
        revision = (await save(revision, design, keepalive)).revision;
      } catch (error) {
        unsaved ??= design;
        giveUp(error);
        return;
      }
    }
    if (!blocked) onState({ kind: 'saved' });
  };

  const giveUp = (error: unknown): void => {
    if (
      error instanceof RefusedError &&
      error.problem.kind === 'conflict' &&
      error.problem.current
    ) {
      blocked = true;
      onState({ kind: 'conflict', current: error.problem.current });
    } else if (error instanceof RefusedError) {
      onState({ kind: 'refused', detail: error.problem.detail });
    } else {
      onState({ kind: 'unreachable' });
      if (error instanceof UnreachableError) later(RETRY_MS);
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

  return {
    changed(design) {
      unsaved = design;
      if (blocked) return;
      onState({ kind: 'waiting' });
      later(REST_MS);
    },
    flush,
    goOnFrom(next, design) {
      revision = next;
      blocked = false;
      unsaved = design ?? null;
      if (unsaved) void flush();
      else onState({ kind: 'saved' });
    },
    stop: () => clearTimeout(timer),
  };
}
