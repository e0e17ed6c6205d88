import { useEffect, useState } from 'react';

/**
 * Benches of this window that were left and whose last save is still on its way: a bench of the same planter that is opened
 * meanwhile would begin from what the server has not got yet, and waits for them.
 */

const closing = new Map<string, Promise<void>>();

/** How long the last save of a bench that was left is waited for before it is sent again from here, milliseconds. */
const LONGEST_MS = 10_000;

/**
 * Notes that a bench was left.
 *
 * @param saved settles when its last save was answered, or could not be sent
 * @param end gives up what the bench holds, so that another may go on with it; done once, at the latest after `longest`
 */
export function closeBench(
  planter: string,
  saved: Promise<void>,
  end: () => void,
  longest = LONGEST_MS,
): void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<void>((done) => {
    timer = setTimeout(done, longest);
  });
  const done: Promise<void> = Promise.race([saved, late])
    .catch(() => undefined)
    .then(() => {
      clearTimeout(timer);
      end();
      if (closing.get(planter) === done) closing.delete(planter);
    });
  closing.set(planter, done);
}

/** Whether no bench of a planter that was left before this one was opened is still saving. */
export function useBenchesClosed(planter: string): boolean {
  const [closed, setClosed] = useState<string | null>(closing.has(planter) ? null : planter);
  // Only what was left before counts: a bench that is open saves now and then.
  useEffect(() => {
    if (closed === planter) return undefined;
    let gone = false;
    void (closing.get(planter) ?? Promise.resolve()).then(() => {
      if (!gone) setClosed(planter);
    });
    return () => {
      gone = true;
    };
  }, [planter, closed]);
  return closed === planter;
}
