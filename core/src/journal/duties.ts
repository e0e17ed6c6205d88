import type { Figures } from '../assessment';
import { CLOTHS, type Site } from '../catalog';
import { dayAfter, daysBetween } from '../physics/climate';
import { cropIn, type PlanterDesign } from '../document';
import { q, say, type Message } from '../units';
import { yearOf } from '../simulation/season';
import type { EntryBody, LogEntry } from './entry';

/** What else a planter wants besides water: each with why, from when, and what noting it writes into the log. */

export interface Duty {
  /** Stable within a planter. */
  id: string;
  /** What to do, and why. */
  text: Message;
  /** ISO date from which on it is due. */
  due: string;
  /** What ticking it writes. */
  did: EntryBody;
  /** The entry whose place that takes: something that somebody put on the list. */
  instead?: LogEntry;
}

interface DutyQuestion {
  design: PlanterDesign;
  figures: Pick<Figures, 'beforeRoots'>;
  /** The day of planting, and today: ISO dates. */
  planted: string;
  today: string;
  site: Site;
  /** Entries that hold. */
  entries: readonly LogEntry[];
}

/** Days until salts are flushed, where no rain does it, and between two looks at overflow and cap. */
const FLUSH_EVERY = 60;
const LOOK_EVERY = 30;
const WORMS_EVERY = 10;
/** Days for which young plants are watered from the top where roots have no way down; at most, and between two. */
export const YOUNG = 14;
const TOP_EVERY = 2;
/** Days before the frost on which it is thought of, and before a planting. */
const AHEAD_OF_FROST = 14;
const AHEAD_OF_PLANTING = 3;
/** What is due on a day, first things first. */
export function dutiesOf(question: DutyQuestion): Duty[] {
  const { today, planted } = question;
  if (planted > today) return [];
  return [
    onTheList,
    topWatering,
    settled,
    cotton,
    feeding,
    flushing,
    looking,
    worms,
    planting,
    harvest,
    frost,
  ]
    .flatMap((duty) => duty(question))
    .filter(({ due }) => due <= today)
    .sort((a, b) => a.due.localeCompare(b.due));
}

/** The last day on which something was noted. */
const lastOf = (entries: readonly LogEntry[], is: (did: EntryBody) => boolean): string | null =>
  entries
    .filter(({ did }) => is(did))
    .map(({ at }) => at.slice(0, 10))
    .sort()
    .at(-1) ?? null;

const deed = (what: Extract<EntryBody, { kind: 'did' }>['what']) => (did: EntryBody) =>
  did.kind === 'did' && did.what === what;
const noted = (what: Extract<EntryBody, { kind: 'did' }>['what']): EntryBody => ({
  kind: 'did',
  what,
});

/** What somebody has put on the list. */
const onTheList = ({ entries }: DutyQuestion): Duty[] =>
  entries.flatMap((entry): Duty[] => {
    const { id, at, did } = entry;
    if (did.kind !== 'todo') return [];
    return [
      { id, text: say`${did.what}`, due: at.slice(0, 10), did: noted(did.then), instead: entry },
    ];
  });

function topWatering({ design, figures, planted, today, entries }: DutyQuestion): Duty[] {
  const young = figures.beforeRoots ? Math.max(figures.beforeRoots.days, YOUNG) : YOUNG;
  const until = dayAfter(planted, young);
  if (today >= until) return [];
  const seed = design.planting.crops.some(({ start, from }) => start === 'seed' && from === 0);
  const last = lastOf(entries, (did) => did.kind === 'filled' && did.where === 'top') ?? planted;
  return [
    {
      id: 'top',
      text: seed
        ? say`Water from the top until the seed is up and its roots are down, about ${q(daysBetween(today, until), 'days')} more.`
        : say`Water from the top: roots are not down yet, for about ${q(daysBetween(today, until), 'days')} more.`,
      due: dayAfter(last, TOP_EVERY),
      did: { kind: 'filled', where: 'top', volume: null, ran: false },
    },
  ];
}

/** A mix that settles by more than this share wants more on top after some weeks. */
const SETTLES = 0.08;
const SETTLED_AFTER = 28;

function settled({ design, planted, entries }: DutyQuestion): Duty[] {
  const { settlement } = design.soil;
  const done = lastOf(entries, deed('topped'));
  if (settlement < SETTLES || (done !== null && done >= planted)) return [];
  return [
    {
      id: 'settled',
      text: say`Top it up with mix or compost: the soil has settled by now.`,
      due: dayAfter(planted, SETTLED_AFTER),
      did: noted('topped'),
    },
  ];
}

function feeding({ design: { soil }, planted, entries }: DutyQuestion): Duty[] {
  const every = soil.feedLasts;
  if (soil.feed === 'none' || every < 1) return [];
  const fed = lastOf(entries, ({ kind }) => kind === 'fed');
  const inMix = soil.feed === 'in-mix' && fed === null;
  const last = fed ?? planted;
  return [
    {
      id: 'feed',
      text: inMix
        ? say`Feed it: what was in the mix is used up after about ${q(every, 'days')}.`
        : say`Feed it: what was given lasts about ${q(every, 'days')}.`,
      due: dayAfter(last, every),
      did: { kind: 'fed', what: '', mass: null },
    },
  ];
}

/** Days that are a season of a wick. */
const WICK_SEASON = 180;
/** A wick that lasts longer than so many seasons is renewed when it is seen to. */
const ROTS = 3;

function cotton({ design, planted, entries }: DutyQuestion): Duty[] {
  const seasons = design.wicks.flatMap((one) =>
    one.kind === 'cloth' ? [CLOTHS[one.material].seasons] : [],
  );
  const least = Math.min(...seasons);
  if (least > ROTS) return [];
  const last = lastOf(entries, deed('wick')) ?? planted;
  const days = least * WICK_SEASON;
  return [
    {
      id: 'wick',
      text: say`Renew the wick when you plant anew: cotton and wool rot, and it has been in for ${q(days, 'days')}.`,
      due: dayAfter(last, days),
      did: noted('wick'),
    },
  ];
}

function flushing({ design: { place }, planted, entries }: DutyQuestion): Duty[] {
  if (place.rain === 'open') return [];
  const last = lastOf(entries, deed('flushed')) ?? planted;
  return [
    {
      id: 'flush',
      text: say`Water from the top until the overflow runs well: no rain washes the salts of feed and water out.`,
      due: dayAfter(last, FLUSH_EVERY),
      did: noted('flushed'),
    },
  ];
}

function looking({ design, planted, entries }: DutyQuestion): Duty[] {
  if (!design.overflow) return [];
  const last = lastOf(entries, deed('overflow')) ?? planted;
  return [
    {
      id: 'overflow',
      text: say`Look at overflow and cap: clear it, and see that no mosquito gets in.`,
      due: dayAfter(last, LOOK_EVERY),
      did: noted('overflow'),
    },
  ];
}

function worms({ design, planted, entries }: DutyQuestion): Duty[] {
  if (!design.pipes.some(({ use }) => use === 'worm')) return [];
  const last = lastOf(entries, deed('worms')) ?? planted;
  return [
    {
      id: 'worms',
      text: say`Feed the worms: a handful of scraps and one of chips.`,
      due: dayAfter(last, WORMS_EVERY),
      did: noted('worms'),
    },
  ];
}

/** Plantings that follow, from a few days before they are planned until they are noted. */
function planting({ design, planted, entries }: DutyQuestion): Duty[] {
  return design.planting.crops.flatMap((one, i): Duty[] => {
    if (one.from === 0 || one.count === 0) return [];
    const day = dayAfter(planted, one.from);
    const due = dayAfter(day, -AHEAD_OF_PLANTING);
    const done = lastOf(entries, (did) => deed('planted')(did) || deed('sown')(did));
    if (done !== null && done >= due) return [];
    const sown = one.start === 'seed';
    const what = say`${q(one.count, 'count')} ${cropIn(one).name.toLowerCase()}`;
    return [
      {
        id: `plant-${i}`,
        text: sown
          ? say`Sow ${what}, as planned, into a finger of compost on top.`
          : say`Plant ${what}, as planned, with a finger of compost on top first.`,
        due,
        did: noted(sown ? 'sown' : 'planted'),
      },
    ];
  });
}

/** Days between two pickings. */
const PICKS = 5;

function harvest({ design, planted, today, site, entries }: DutyQuestion): Duty[] {
  const last = lastOf(entries, ({ kind }) => kind === 'harvested');
  return yearOf(design, planted, site).bars.flatMap((bar): Duty[] => {
    if (bar.count === 0 || today < bar.harvest || today > bar.picked) return [];
    const again = last !== null && last >= bar.harvest ? dayAfter(last, PICKS) : bar.harvest;
    return [
      {
        id: `harvest-${bar.of}`,
        text: say`Pick ${bar.name.toLowerCase()}: it is ready from about now.`,
        due: again,
        did: { kind: 'harvested', what: bar.name.toLowerCase(), mass: null, count: null },
      },
    ];
  });
}

function frost({ design, planted, today, site, entries }: DutyQuestion): Duty[] {
  const { emptyBy } = yearOf(design, today, site);
  if (emptyBy === null || today > dayAfter(emptyBy, AHEAD_OF_FROST * 4)) return [];
  const due = dayAfter(emptyBy, -AHEAD_OF_FROST);
  const done = lastOf(entries, deed('emptied'));
  if (done !== null && done >= due && done >= planted) return [];
  return [
    {
      id: 'frost',
      text: say`Empty it and open its overflow before it freezes.`,
      due,
      did: noted('emptied'),
    },
  ];
}
