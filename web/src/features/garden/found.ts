import type { PlanterSummary } from '@huerta/contract';
import { inWords } from '@huerta/core/units';

/** Searching, filtering and ordering the garden: what the page's address asks for, and what comes of it. */

export const TROUBLES = {
  any: { name: 'Anything' },
  mend: { name: 'Something to mend' },
  fault: { name: 'A fault or a danger' },
  none: { name: 'Nothing to mend' },
} as const;
export const BUILDS = {
  any: { name: 'Built or not' },
  planned: { name: 'Not begun' },
  begun: { name: 'Being built' },
  built: { name: 'Built' },
} as const;
export const ORDERS = {
  made: { name: 'As they were made' },
  changed: { name: 'Last changed first' },
  name: { name: 'By name' },
  worst: { name: 'Worst first' },
  thirst: { name: 'Soonest dry first' },
} as const;

export interface Wanted {
  words: string;
  place: string;
  crop: string;
  trouble: keyof typeof TROUBLES;
  build: keyof typeof BUILDS;
  order: keyof typeof ORDERS;
}

const among = <T extends string>(choices: Readonly<Record<T, unknown>>, text: string | null): T => {
  const keys = Object.keys(choices) as [T, ...T[]];
  return keys.find((key) => key === text) ?? keys[0];
};

/** What an address asks for. */
export const wantedOf = (search: URLSearchParams): Wanted => ({
  words: search.get('q') ?? '',
  place: search.get('place') ?? '',
  crop: search.get('crop') ?? '',
  trouble: among(TROUBLES, search.get('trouble')),
  build: among(BUILDS, search.get('build')),
  order: among(ORDERS, search.get('order')),
});

/** Without marks over letters and capitals, so that 'jalapeno' finds 'Jalapeño'. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

export function buildOf({ done, summary }: PlanterSummary): Exclude<Wanted['build'], 'any'> {
  if (done === 0) return 'planned';
  return done < summary.steps ? 'begun' : 'built';
}

const RANK = { danger: 0, fault: 1, watch: 2 } as const;
const rankOf = ({ summary: { worst } }: PlanterSummary): number =>
  worst ? RANK[worst.severity] : 3;

const ORDER: Readonly<Record<Wanted['order'], (a: PlanterSummary, b: PlanterSummary) => number>> = {
  made: () => 0,
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  name: (a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }),
  worst: (a, b) => rankOf(a) - rankOf(b) || b.summary.serious - a.summary.serious,
  thirst: (a, b) => (a.summary.days ?? Infinity) - (b.summary.days ?? Infinity),
};

const TROUBLED: Readonly<Record<Wanted['trouble'], (entry: PlanterSummary) => boolean>> = {
  any: () => true,
  mend: ({ summary }) => summary.worst !== null,
  fault: ({ summary }) => summary.serious > 0,
  none: ({ summary }) => summary.worst === null,
};

/** The entries that are asked for, in the order that is. Every word has to be found somewhere. */
export function found(entries: readonly PlanterSummary[], wanted: Wanted): PlanterSummary[] {
  const words = plain(wanted.words).split(/\s+/).filter(Boolean);
  return entries
    .filter((entry) => {
      const { name, summary } = entry;
      const said = plain(
        // By either name of a crop.
        [
          name,
          summary.variant,
          summary.place,
          summary.crop,
          inWords(summary.crop, 'american'),
        ].join(' '),
      );
      return (
        words.every((word) => said.includes(word)) &&
        (wanted.place === '' || summary.place === wanted.place) &&
        (wanted.crop === '' || summary.crop === wanted.crop) &&
        TROUBLED[wanted.trouble](entry) &&
        (wanted.build === 'any' || buildOf(entry) === wanted.build)
      );
    })
    .sort(ORDER[wanted.order]);
}

/** The different answers to one question, in order, for a choice. */
export const answersIn = (
  entries: readonly PlanterSummary[],
  of: (entry: PlanterSummary) => string,
): string[] => [...new Set(entries.map(of))].filter(Boolean).sort((a, b) => a.localeCompare(b));
