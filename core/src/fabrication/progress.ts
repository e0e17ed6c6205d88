import { z } from 'zod';
import type { Patch, PlanterDesign } from '../document';
import type { Measure, Step } from './step';

/**
 * How far a build has come, as single entries that two devices can write: each has its own time, and
 * of two for one key the later one holds.
 */

/** `done/<step>`, `check/<step>/<check>`, `measure/<step>/<measure>`, `note/<step>`. */
const key = z
  .string()
  .regex(
    /^(done\/[a-z]+|(check|measure)\/[a-z]+\/[a-zA-Z]+|note\/[a-z]+)$/,
    'There is no such mark.',
  )
  .max(80);
const value = z.union([z.boolean(), z.number(), z.string().max(2000), z.null()]);

export const progressEntrySchema = z
  .strictObject({ key, value, at: z.iso.datetime() })
  .refine(({ key: name, value: is }) => is === null || fitting(name, is), {
    message:
      'A step is done or not, a check is good or bad, a measure is a number, a note is text.',
    path: ['value'],
  });
export type ProgressEntry = z.infer<typeof progressEntrySchema>;

function fitting(name: string, is: boolean | number | string): boolean {
  if (name.startsWith('done/')) return typeof is === 'boolean';
  if (name.startsWith('check/')) return is === 'good' || is === 'bad';
  if (name.startsWith('measure/')) return typeof is === 'number' && Number.isFinite(is);
  return typeof is === 'string';
}

/** Of two entries for one key the one that holds: the later; of the same time, either way the same. */
function later(one: ProgressEntry, other: ProgressEntry): ProgressEntry {
  const [a, b] = [Date.parse(one.at), Date.parse(other.at)];
  if (a !== b) return a > b ? one : other;
  return JSON.stringify(one.value) >= JSON.stringify(other.value) ? one : other;
}

/** Entries of several places together, one for each key. */
export function merged(...lists: readonly (readonly ProgressEntry[])[]): ProgressEntry[] {
  const byKey = new Map<string, ProgressEntry>();
  for (const entry of lists.flat()) {
    const known = byKey.get(entry.key);
    byKey.set(entry.key, known ? later(known, entry) : entry);
  }
  return [...byKey.values()].sort((a, b) => a.key.localeCompare(b.key));
}

/** A build's progress as it is asked about. */
export interface Progress {
  done(step: Step): boolean;
  check(step: Step, id: string): 'good' | 'bad' | null;
  measured(step: Step, id: string): number | null;
  note(step: Step): string;
}

export function progressOf(entries: readonly ProgressEntry[]): Progress {
  const by = new Map(entries.map((entry) => [entry.key, entry.value]));
  return {
    done: ({ id }) => by.get(`done/${id}`) === true,
    check(step, id) {
      const is = by.get(`check/${step.id}/${id}`);
      return is === 'good' || is === 'bad' ? is : null;
    },
    measured(step, id) {
      const is = by.get(`measure/${step.id}/${id}`);
      return typeof is === 'number' ? is : null;
    },
    note({ id }) {
      const is = by.get(`note/${id}`);
      return typeof is === 'string' ? is : '';
    },
  };
}

/** The first step with a check that came out bad: nothing after it should go on. */
export const heldUpAt = (steps: readonly Step[], progress: Progress): Step | null =>
  steps.find((step) => step.checks.some(({ id }) => progress.check(step, id) === 'bad')) ?? null;

/** Time that a build takes, minutes: the first time, in practised hands, and waiting that comes to both. */
export interface BuildTime {
  first: number;
  practised: number;
  waits: number;
}

/** Time of the steps that are not done. */
export function timeLeft(steps: readonly Step[], progress: Progress): BuildTime {
  const left = steps.filter((step) => !progress.done(step));
  const sum = (of: (step: Step) => number) => left.reduce((all, step) => all + of(step), 0);
  return {
    first: sum(({ minutes }) => minutes),
    practised: sum(({ practised }) => practised),
    waits: sum(({ waits }) => waits),
  };
}

/** Minutes as they are said: to five minutes from a quarter of an hour on, in hours from an hour on. */
export function durationText(minutes: number): string {
  const whole = minutes < 15 ? Math.round(minutes) : Math.round(minutes / 5) * 5;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** The time of a step in words. */
export const stepTimeText = ({ minutes, practised, waits }: Step): string =>
  `${practised < minutes ? `${practised} to ` : ''}${minutes} min${waits > 0 ? `, ${waits} of waiting` : ''}`;

/** The time of a build in words. */
export const buildTimeText = ({ first, practised, waits }: BuildTime): string =>
  `${durationText(practised)} for practised hands, ${durationText(first)} the first time${waits > 0 ? `, and ${durationText(waits)} of waiting` : ''}`;

/** A measure that came out otherwise than planned. */
export interface Deviation {
  step: Step;
  measure: Measure;
  built: number;
}

/** Differences less than this share of the plan, or less than half a millimetre, are none. */
const SAME_SHARE = 1e-6;

/** What was measured otherwise than planned, in the order of the work. */
export function deviations(steps: readonly Step[], progress: Progress): Deviation[] {
  return steps.flatMap((step) =>
    step.measures.flatMap((measure) => {
      const built = progress.measured(step, measure.id);
      const near = Math.max(Math.abs(measure.planned) * SAME_SHARE, 1e-6);
      if (built === null || Math.abs(built - measure.planned) <= near) return [];
      return [{ step, measure, built }];
    }),
  );
}

/** The patch that turns a design into what was built; empty when it was built as planned. */
export function asBuilt(steps: readonly Step[], progress: Progress): Patch {
  return deviations(steps, progress).flatMap(({ measure, built }) =>
    measure.path ? [{ path: measure.path, value: built * measure.factor }] : [],
  );
}

/** What the variant is called that holds the measures of the build. */
export const AS_BUILT: PlanterDesign['variant'] = 'as built';
