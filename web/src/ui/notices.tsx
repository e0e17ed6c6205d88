import { Suspense, useSyncExternalStore } from 'react';
import { onDemand } from './onDemand';

/** Something that has been done, with a way to take it back. */
export interface Notice {
  text: string;
  undo?: { label: string; run: () => void };
}

/** How long a notice stands, ms: longer where something can be taken back. */
export const NOTICE_TIMES = { plain: 6_000, undo: 12_000 };

const waiting: Notice[] = [];
let show: ((notice: Notice) => void) | null = null;
/** Whether anything was ever said: what shows it is fetched then. */
let asked = false;
const listeners = new Set<() => void>();

/** Says something that has been done, with a way to take it back. */
export function notify(text: string, undo?: Notice['undo']): void {
  const notice = { text, ...(undo ? { undo } : {}) };
  if (show) {
    show(notice);
    return;
  }
  waiting.push(notice);
  asked = true;
  listeners.forEach((listener) => listener());
}

/** Hands what was said before, and everything that is said from now on, to what shows it. @returns what ends that */
export function showNoticesBy(next: (notice: Notice) => void): () => void {
  show = next;
  waiting.splice(0).forEach(next);
  return () => {
    show = null;
  };
}

const Toasts = onDemand(() => import('./Toasts').then(({ Toasts: part }) => part));

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Where notices appear. */
export function Notices() {
  const wanted = useSyncExternalStore(subscribe, () => asked);
  return wanted ? (
    <Suspense>
      <Toasts />
    </Suspense>
  ) : null;
}
