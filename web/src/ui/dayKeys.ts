const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
};
const WEEK = 7;

/** By how many days an arrow key moves what slides along days: one, or a week with Shift; null for any other key. */
export function daysByKey({ key, shiftKey }: { key: string; shiftKey: boolean }): number | null {
  const step = STEPS[key];
  return step === undefined ? null : step * (shiftKey ? WEEK : 1);
}
