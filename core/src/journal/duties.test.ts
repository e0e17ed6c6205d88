import { evaluate } from '../assessment';
import { FEEDS, SITES } from '../catalog';
import { dayAfter } from '../physics/climate';
import { applyPatch, STARTING_POINTS, usualPlanted, type Patch } from '../document';
import { tell } from '../units';
import { logEntry } from '../testing/entries';
import { dutiesOf, type EntryBody, type LogEntry } from '.';

const PLANTED = '2027-05-01';
const entryOf = (date: string, did: EntryBody, n = 1): LogEntry => logEntry(n, date, did);

function due(after: number, patch: Patch = [], entries: LogEntry[] = []): Record<string, string> {
  const design = applyPatch(STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design, [
    { path: ['planting', 'crops'], value: [usualPlanted('pepper', 1)] },
    ...patch,
  ]);
  const { figures } = evaluate(design).assessment;
  const duties = dutiesOf({
    design,
    figures,
    planted: PLANTED,
    today: dayAfter(PLANTED, after),
    site: SITES.vallesol,
    entries,
  });
  return Object.fromEntries(duties.map(({ id, text }) => [id, tell(text, 'metric')]));
}

test('in the first weeks it is watered from the top, every other day, and then no more', () => {
  expect(due(2).top).toMatch(/roots are not down yet/);
  const top = entryOf(dayAfter(PLANTED, 2), {
    kind: 'filled',
    where: 'top',
    volume: null,
    ran: false,
  });
  expect(due(3, [], [top]).top).toBeUndefined();
  expect(due(5, [], [top]).top).toBeDefined();
  expect(due(120).top).toBeUndefined();
  const seed: Patch = [{ path: ['planting', 'crops', 0, 'start'], value: 'seed' }];
  expect(due(2, seed).top).toMatch(/until the seed is up/);
});

test('feed is due when what was given is used up, counted from the last time it was noted', () => {
  const given = (feed: 'organic' | 'liquid' | 'in-mix'): Patch => [
    { path: ['soil', 'feed'], value: feed },
    { path: ['soil', 'feedLasts'], value: FEEDS[feed].lasts },
  ];
  const organic = given('organic');
  expect(due(30, organic).feed).toBeUndefined();
  expect(due(42, organic).feed).toMatch(/lasts about 42.days/);
  const fed = entryOf(dayAfter(PLANTED, 40), { kind: 'fed', what: '', mass: null });
  expect(due(50, organic, [fed]).feed).toBeUndefined();
  expect(due(50).feed).toBeUndefined();
  expect(due(14, given('liquid')).feed).toBeDefined();
  // What is in the mix is used up once; from then on it is fed like any other.
  expect(due(59, given('in-mix')).feed).toBeUndefined();
  expect(due(60, given('in-mix')).feed).toMatch(/in the mix is used up after about 60.days/);
  expect(due(99, given('in-mix'), [fed]).feed).toBeUndefined();
  expect(due(100, given('in-mix'), [fed]).feed).toMatch(/was given lasts/);
});

test('salts are flushed where no rain does it; overflow and cap are looked at every month', () => {
  const covered: Patch = [{ path: ['place', 'rain'], value: 'covered' }];
  expect(due(60, covered).flush).toBeDefined();
  expect(due(60).flush).toBeUndefined();
  expect(due(30).overflow).toMatch(/no mosquito gets in/);
  const looked = entryOf(dayAfter(PLANTED, 29), { kind: 'did', what: 'overflow' });
  expect(due(30, [], [looked]).overflow).toBeUndefined();
});

test('what follows is planted in time, what is ripe is picked, and before frost it is emptied', () => {
  const after: Patch = [
    {
      path: ['planting', 'crops'],
      value: [usualPlanted('lettuce', 4, { stays: 60 }), usualPlanted('pepper', 2, { from: 60 })],
    },
  ];
  expect(due(50, after)['plant-1']).toBeUndefined();
  expect(due(58, after)['plant-1']).toMatch(/^Plant 2 sweet pepper, as planned/);
  const done = entryOf(dayAfter(PLANTED, 59), { kind: 'did', what: 'planted' });
  expect(due(61, after, [done])['plant-1']).toBeUndefined();
  expect(due(80)['harvest-0']).toBe('Pick sweet pepper: it is ready from about now.');
  const picked = entryOf(dayAfter(PLANTED, 80), {
    kind: 'harvested',
    what: '',
    mass: 1,
    count: null,
  });
  expect(due(82, [], [picked])['harvest-0']).toBeUndefined();
  expect(due(86, [], [picked])['harvest-0']).toBeDefined();
  expect(due(100).frost).toBeUndefined();
  expect(due(200).frost).toBe('Empty it and open its overflow before it freezes.');
  const emptied = entryOf(dayAfter(PLANTED, 199), { kind: 'did', what: 'emptied' });
  expect(due(203, [], [emptied]).frost).toBeUndefined();
  expect(due(200, [{ path: ['place', 'rain'], value: 'indoors' }]).frost).toBeUndefined();
});

test('soil that settles is topped up once', () => {
  const settles: Patch = [{ path: ['soil', 'settlement'], value: 0.15 }];
  expect(due(20, settles).settled).toBeUndefined();
  expect(due(30, settles).settled).toMatch(/^Top it up/);
  const topped = entryOf(dayAfter(PLANTED, 29), { kind: 'did', what: 'topped' });
  expect(due(40, settles, [topped]).settled).toBeUndefined();
  expect(due(40, [{ path: ['soil', 'settlement'], value: 0 }]).settled).toBeUndefined();
});

test('what is not planted yet wants nothing', () => {
  expect(due(-5)).toEqual({});
});

test('cotton is renewed after its seasons, felt is not', () => {
  const wick = (material: string): Patch => [{ path: ['wicks', 0, 'material'], value: material }];
  expect(due(300, wick('cotton-cloth')).wick).toBeUndefined();
  expect(due(360, wick('cotton-cloth')).wick).toMatch(/^Renew the wick/);
  const renewed = entryOf(dayAfter(PLANTED, 200), { kind: 'did', what: 'wick' });
  expect(due(360, wick('cotton-cloth'), [renewed]).wick).toBeUndefined();
  expect(due(700, wick('synthetic-felt')).wick).toBeUndefined();
});
