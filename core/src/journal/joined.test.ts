import { SITES } from '../catalog';
import { STARTING_POINTS } from '../document';
import { dayAfter, FIRST_WEATHER, type MeasuredDay } from '../physics/climate';
import { assessLine, suppliedBy, usualLine } from '../simulation/waterLine';
import { logEntry, uuidOf } from '../testing/entries';
import { gardenAway, planterStateKey, stateOf, type JoinedTo, type TendedQuestion } from '.';

const TODAY = '2026-07-15';
const PLANTED = '2026-05-20';
const of = ['tote-pipes', 'cloth-pail', 'tote-pipes'].map((id, i) => ({
  id: uuidOf(100 + i),
  design: STARTING_POINTS.find((one) => one.id === id)!.design,
}));
const designs = Object.fromEntries(of.map(({ id, design }) => [id, design]));
const line = usualLine({ id: uuidOf(99), name: 'A row' }, of, 'metric');
const joinedTo = (planter: string): JoinedTo => ({ line, designs, planter });

/** Days that are all alike, those to come as a forecast tells them. */
const days = Array.from({ length: 110 }, (_, i): MeasuredDay => {
  const date = dayAfter(PLANTED, i);
  const day = { date, tMin: 17, tMax: 32, rain: 0, et: 7e-3 / 86_400 };
  return date > TODAY ? { ...day, forecast: true } : day;
});
const questionOf = (id: string, joined?: JoinedTo): TendedQuestion => ({
  design: designs[id]!,
  ...(joined ? { joined } : {}),
  ...{ planted: PLANTED, site: SITES.vallesol, days, today: TODAY },
  entries: [
    logEntry(1, `${TODAY}T06:00:00.000Z`, {
      ...{ kind: 'filled', where: 'tube', volume: null, ran: true },
    }),
  ],
});

test('a joined planter stands as one with its share of the line’s water does, and is fuller for longer than alone', () => {
  for (const { id } of of) {
    const joined = stateOf(questionOf(id, joinedTo(id)))!;
    const supplied = suppliedBy(designs[id]!, id, { line, designs });
    expect(joined).toEqual(stateOf({ ...questionOf(id), design: supplied }));
    expect(joined.daysLeft.likely).toBeGreaterThan(stateOf(questionOf(id))!.daysLeft.likely);
  }
});

test('on Today and while nobody is at home all of a line read low within a day or two of each other', () => {
  const likely = of.map(({ id }) => stateOf(questionOf(id, joinedTo(id)))!.daysLeft.likely);
  expect(Math.max(...likely) - Math.min(...likely)).toBeLessThanOrEqual(
    Math.max(2, 0.15 * Math.max(...likely)),
  );
  const { alone } = gardenAway({
    planters: of.map(({ id }) => ({ id, question: questionOf(id, joinedTo(id)) })),
    from: TODAY,
    until: dayAfter(TODAY, 30),
  });
  const { low } = assessLine(line, designs).days.hot;
  for (const one of alone) expect(one.likely).toBeGreaterThanOrEqual(Math.floor(low) - 2);
});

test('its mark hangs on the line and on the designs of the others', () => {
  const [first, second] = of as [(typeof of)[0], (typeof of)[0]];
  const asked = {
    ...{ design: first.design, planted: PLANTED, entries: [], choice: FIRST_WEATHER },
    ...{ measured: [], today: TODAY, joined: joinedTo(first.id) },
  };
  const mark = planterStateKey(asked);
  const changed: JoinedTo[] = [
    { ...asked.joined, line: { ...line, level: line.level - 0.005 } },
    { ...asked.joined, designs: { ...designs, [second.id]: first.design } },
  ];
  for (const joined of changed) expect(planterStateKey({ ...asked, joined })).not.toBe(mark);
  expect(planterStateKey(JSON.parse(JSON.stringify(asked)) as typeof asked)).toBe(mark);
  expect(planterStateKey({ ...asked, joined: null })).not.toBe(mark);
});
