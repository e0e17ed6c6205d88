import { randomUUID } from 'node:crypto';
import { randomSource } from '@huerta/core/numerics';
import { dayAfter, roomDay, weatherOf } from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import { runSeason } from '@huerta/core/simulation/season';
import { SITES } from '@huerta/core/catalog';
import type { EntryBody, LogEntry } from '@huerta/core/journal';
import type { PlanterDesign, WaterLine } from '@huerta/core/document';
import { suppliedBy, usualLine } from '@huerta/core/simulation/waterLine';
import type { Services } from '../services';
import type { Kept } from '../services/documents';
import { joinedIn } from '../services/joined';
import { ONLY } from '../services/kinds';
import { DEMO_LINE } from './garden';
import { drawnPhoto, type Scene } from './photos';
import { demoSite } from './season';

/** What was noted at Casa Lumbre: three months of fillings, dips and small work, up to today, and what is planned. */

interface Tended {
  name: string;
  /** Thirst beside what is reckoned, days between fillings, and who writes. */
  thirst: number;
  every: number;
  by: string;
  /** Loses so much more in a day for its last two weeks, m³. */
  leak?: number;
  /** Drinks only this share for its last two weeks, because its wick broke. */
  broken?: number;
  photos?: readonly { ago: number; scene: Scene; text: string }[];
  /** Nobody notes its water: it is to be dipped. */
  unnoted?: true;
  /** What was picked this morning. */
  picked?: { what: string; count: number };
}

const TENDED: readonly Tended[] = [
  {
    name: 'Peppers on the kitchen step',
    thirst: 1.25,
    every: 3,
    by: 'Inés',
    photos: [{ ago: 6, scene: 'peppers', text: 'The first red ones' }],
  },
  { name: 'Basil by the kitchen door', thirst: 0.9, every: 4, by: 'Inés' },
  {
    name: 'Chard along the north wall',
    thirst: 1,
    every: 4,
    by: 'Tomás',
    broken: 0.2,
    photos: [
      { ago: 40, scene: 'greens', text: '' },
      { ago: 1, scene: 'limp', text: 'Limp, and there is water below' },
    ],
  },
  { name: 'Peppers in the trough', thirst: 1.1, every: 6, by: 'Tomás' },
  {
    name: 'Salad box on legs',
    thirst: 0.95,
    every: 7,
    by: 'Inés',
    picked: { what: 'lettuce', count: 3 },
  },
  { name: 'Lettuces in the round tub', thirst: 1.05, every: 4, by: 'Tomás', leak: 0.0012 },
  { name: 'Cabbages in the half tank', thirst: 0.85, every: 7, by: 'Tomás' },
  { name: 'Mint in the small pail', thirst: 1.35, every: 2, by: 'Inés' },
  { name: 'Strawberries in the glazed pot', thirst: 1, every: 3, by: 'Tomás', unnoted: true },
  ...DEMO_LINE.planters.map((name): Tended => ({ name, thirst: 1.05, every: 8, by: 'Inés' })),
];

/** Days that the log reaches back, and for which something leaks. */
const DAYS = 90;
const LEAKS = 14;
/** The days of this planter run as the stand-in's weather was; fillings are read off within a few percent. */
const ERROR = 0.05;

const pickedAs = ({ what, count }: { what: string; count: number }): EntryBody => ({
  kind: 'harvested',
  what,
  mass: null,
  count,
});

/** The entries of one planter. */
function entriesOf(
  planter: string,
  design: PlanterDesign,
  tended: Tended,
  today: string,
): LogEntry[] {
  const { thirst, every, by, leak = 0, broken = 1 } = tended;
  const luck = randomSource(tended.name.length * 101 + every);
  const planted = dayAfter(today, -DAYS);
  const indoors = design.place.rain === 'indoors';
  const days = weatherOf(SITES[demoSite(today)], planted, DAYS, 0)
    .map((day) => (indoors ? roomDay(day) : day))
    .map((day) => ({ ...day, et: day.et * thirst }));
  const { planter: built } = evaluate(design);
  const run = runSeason(built, days, {
    planted,
    filling: { kind: 'every', days: every },
    refillAt: 0,
  });
  const note = (date: string, did: EntryBody, text = '', hour = 6): LogEntry => ({
    id: randomUUID(),
    planter,
    at: `${date}T${String(hour).padStart(2, '0')}:${String(Math.floor(luck.uniform() * 50) + 10)}:00.000Z`,
    by,
    did,
    text,
    typed: '',
    instead: null,
    gone: false,
  });
  const fillings = run.days.flatMap(({ date, filled }, i) => {
    if (filled < 1e-5) return [];
    const late = i >= DAYS - LEAKS;
    const lost = filled * (late ? broken : 1) + (late ? leak * every : 0);
    const volume = Math.max(lost * (1 + ERROR * luck.normal()), 1e-4);
    return [note(date, { kind: 'filled', where: 'tube', volume, ran: true })];
  });
  const { picked } = tended;
  if (tended.unnoted) return [note(planted, { kind: 'did', what: 'planted' }, '', 5)];
  return [
    note(planted, { kind: 'did', what: 'planted' }, '', 5),
    ...(picked ? [note(today, pickedAs(picked), '', 5)] : []),
    ...fillings,
    note(dayAfter(planted, 21), { kind: 'fed', what: 'granules', mass: 0.03 }, '', 8),
    note(dayAfter(planted, 40), { kind: 'finger', depth: 0.05, feels: 'moist' }, '', 9),
    note(dayAfter(planted, 52), { kind: 'did', what: 'overflow' }, 'A root had grown into it.', 9),
  ];
}

/** Photos of a planter, as entries; their pictures are taken in first. */
async function photosOf(
  { photos }: Services,
  planter: string,
  { photos: taken = [], by }: Tended,
  today: string,
): Promise<LogEntry[]> {
  const entries: LogEntry[] = [];
  for (const { ago, scene, text } of taken) {
    const photo = randomUUID();
    await photos.put(photo, await drawnPhoto(scene));
    entries.push({
      id: randomUUID(),
      planter,
      at: `${dayAfter(today, -ago)}T07:30:00.000Z`,
      by,
      did: { kind: 'photo', photo },
      text,
      typed: '',
      instead: null,
      gone: false,
    });
  }
  return entries;
}

/** The planters below the rain barrel, joined as one begins; null where they are not there. */
function demoLine(kept: readonly Kept<PlanterDesign>[]): WaterLine | null {
  const joined = DEMO_LINE.planters.flatMap((name) => {
    const found = kept.find(({ value }) => value.name === name);
    return found ? [{ id: found.id, design: found.value }] : [];
  });
  return joined.length === DEMO_LINE.planters.length
    ? usualLine({ id: randomUUID(), name: DEMO_LINE.name }, joined, 'metric')
    : null;
}

/** Writes the demo's log, and what is planned for its round, where there is none yet. */
export async function loadDemoLog(
  services: Services,
  today = new Date().toISOString().slice(0, 10),
): Promise<void> {
  const { planters, log, round, weatherDays } = services;
  if ((await log.of({ most: 1 })).entries.length > 0) return;
  const { kept } = await planters.list();
  // As the small station tells it (`npm run station`).
  await weatherDays.put(weatherOf(SITES[demoSite(today)], dayAfter(today, -DAYS), DAYS, 0));
  const walk: string[] = [];
  const line = demoLine(kept);
  const joinedTo = joinedIn({ lines: line ? [line] : [] }, kept);
  for (const tended of TENDED) {
    const found = kept.find(({ value }) => value.name === tended.name && value.variant === '');
    if (!found) continue;
    walk.push(found.id);
    const design = suppliedBy(found.value, found.id, joinedTo(found.id));
    await log.add(entriesOf(found.id, design, tended, today));
    const photos = await photosOf(services, found.id, tended, today);
    if (photos.length > 0) await log.add(photos);
  }
  await round.save(
    ONLY,
    { revision: 0, saveId: null, after: [] },
    {
      name: 'The round',
      value: {
        order: walk,
        tank: { size: 1, roof: 24, firstFlush: 0.015, water: 0.7, seen: dayAfter(today, -20) },
        away: { from: dayAfter(today, 9), until: dayAfter(today, 23) },
        lines: line ? [line] : [],
      },
    },
  );
}
