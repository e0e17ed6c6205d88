/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { TILL_IT_RAN, usualTank, type LogEntry } from '@huerta/core/journal';
import { usualPlanted } from '@huerta/core/document';
import { Route, Routes } from 'react-router';
import { Notices } from '../../ui/notices';
import { Around, designOf } from '../../testing/editor';
import { daysAgo, idAt, inJuly, serveGarden, type ServedGarden } from '../../testing/garden';
import { show } from '../../testing/render';
import { installWorker } from '../../testing/worker';
import AwayPage from '../away/AwayPage';
import TroublePage from '../trouble/TroublePage';
import TodayPage from './TodayPage';

let garden: ServedGarden;
const pail = (name: string) =>
  designOf('cloth-pail', [
    { path: ['name'], value: name },
    { path: ['planting', 'crops'], value: [usualPlanted('pepper', 1)] },
  ]);
const filled = (n: number, planter: string, ago: number): LogEntry => ({
  id: idAt(900 + n),
  planter,
  at: `${daysAgo(ago)}T06:00:00.000Z`,
  by: '',
  did: TILL_IT_RAN,
  text: '',
  typed: '',
  instead: null,
  gone: false,
});

beforeAll(() => {
  inJuly();
  installWorker();
});
afterAll(() => jest.useRealTimers());
beforeEach(() => {
  garden = serveGarden([pail('By the step'), pail('By the well')]);
});
const open = (path: string) => {
  show(
    <Around at={path}>
      <Routes>
        <Route path="/today" element={<TodayPage />} />
        <Route path="/away" element={<AwayPage />} />
        <Route path="/planters/:id/trouble" element={<TroublePage />} />
      </Routes>
      <Notices />
    </Around>,
  );
  return userEvent.setup();
};

describe('the rain tank', () => {
  test('is added, told what is in it today, and taken out and put back', async () => {
    const user = open('/today');
    await user.click(await screen.findByRole('button', { name: 'Add a rain tank' }));
    expect(await screen.findByText(/in the rain tank/)).toBeTruthy();
    await user.click(screen.getByText('More of the tank'));
    const water = screen.getByLabelText('In it this morning');
    await user.clear(water);
    await user.type(water, '320 L{Enter}');
    await waitFor(() => expect(garden.plan.tank).toMatchObject({ water: 0.32 }));
    expect(garden.plan.tank?.seen).toBe(daysAgo(0));
    await user.click(screen.getByRole('button', { name: 'No tank' }));
    await waitFor(() => expect(garden.plan.tank).toBeNull());
    await user.click(await screen.findByText('Put it back'));
    await waitFor(() => expect(garden.plan.tank).toMatchObject({ water: 0.32 }));
  });

  test('gives what was filled since somebody looked', async () => {
    garden.plan = { ...garden.plan, tank: { ...usualTank(daysAgo(10)), roof: 0 } };
    garden.log = [
      { ...filled(1, idAt(1), 4), did: { ...TILL_IT_RAN, volume: 0.006 } as typeof TILL_IT_RAN },
    ];
    open('/today');
    expect(await screen.findByText(/gave .*6.L/)).toBeTruthy();
  });
});

test('what was put on the list stands there until it is done, which takes its place', async () => {
  garden.log = [
    filled(1, idAt(1), 1),
    {
      ...filled(2, idAt(1), 0),
      did: { kind: 'todo', what: 'Renew the wick.', then: 'wick' },
    },
  ];
  const user = open('/today');
  await user.click(await screen.findByRole('button', { name: 'Done: Renew the wick.' }));
  await waitFor(() => expect(screen.queryByText('Renew the wick.')).toBeNull());
  await waitFor(() => expect(garden.log).toHaveLength(3));
  expect(garden.log[2]).toMatchObject({
    instead: idAt(902),
    text: 'Renew the wick.',
    did: { kind: 'did', what: 'wick' },
  });
});

test('what is due at several is said once, done at all by a press, or put off for a week', async () => {
  const todo = { kind: 'todo', what: 'Look for slugs.', then: 'note' } as const;
  garden.log = [
    filled(1, idAt(1), 1),
    { ...filled(2, idAt(1), 0), did: todo },
    { ...filled(3, idAt(2), 0), did: todo },
  ];
  const user = open('/today');
  const later = await screen.findByRole('button', { name: 'In a week: Look for slugs.' });
  expect(screen.getAllByText('Look for slugs.')).toHaveLength(1);
  const [group] = screen
    .getAllByRole('listitem')
    .filter(({ textContent }) => textContent?.startsWith('Look for slugs.'));
  expect(await within(group!).findByText('By the step, By the well')).toBeTruthy();
  await user.click(later);
  await waitFor(() => expect(screen.queryByText('Look for slugs.')).toBeNull());
  await user.click(await screen.findByText('Undo'));
  await user.click(await screen.findByRole('button', { name: 'Done: Look for slugs.' }));
  await waitFor(() => expect(garden.log).toHaveLength(5));
  expect(garden.log.slice(3).map(({ planter, instead }) => [planter, instead])).toEqual([
    [idAt(1), idAt(902)],
    [idAt(2), idAt(903)],
  ]);
  localStorage.removeItem('huerta.put-off');
});

test('an expected frost is told above the round with whom it is about, and how far the forecast reaches', async () => {
  const expected = (ago: number, tMin: number) => ({
    ...{ date: daysAgo(-ago), tMin, tMax: 20, rain: 0 },
    forecast: true as const,
  });
  garden.days = [expected(0, 12), expected(1, 1), expected(6, 10)];
  garden.log = [filled(1, idAt(1), 1)];
  open('/today');
  const weather = within(await screen.findByRole('region', { name: 'The weather' }));
  const cold = (await weather.findByText(/too cold for what grows there/)).closest('li');
  // The second planter is told a moment after the first.
  await waitFor(() => expect(cold?.textContent).toMatch(/^Tomorrow: .*All planters\.$/));
  expect(weather.getByText(/forecast until/)).toBeTruthy();
});

test('what can be sown now is offered on the round, and planned in a planter by a press', async () => {
  garden = serveGarden([
    designOf('trough-pipes', [
      { path: ['name'], value: 'Trough by the gate' },
      { path: ['planting', 'crops'], value: [usualPlanted('radish', 4)] },
    ]),
  ]);
  const user = open('/today');
  await user.click(await screen.findByText('What to sow or plant now'));
  const [plan] = await screen.findAllByRole('button', { name: /^Plan .* in Trough by the gate$/ });
  await user.click(plan!);
  await waitFor(() =>
    expect(
      garden.asked.some(({ method, path }) => method === 'PUT' && path === `/planters/${idAt(1)}`),
    ).toBe(true),
  );
});

test('in the order of the walk, once that is set', async () => {
  garden.plan = { ...garden.plan, order: [idAt(2), idAt(1)] };
  open('/today');
  const walk = within(await screen.findByRole('list', { name: 'The order of the walk' }));
  expect(walk.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining('1. By the well'),
    expect.stringContaining('2. By the step'),
  ]);
});

describe('the weeks ahead', () => {
  /** Opens the calendar. @returns its heads */
  const heads = async (user: ReturnType<typeof open>) => {
    await user.click(await screen.findByText('As a calendar'));
    return screen.getAllByRole('columnheader').map(({ textContent }) => textContent);
  };
  const cellOf = (text: RegExp) =>
    screen.getAllByRole('cell').find(({ textContent }) => text.test(textContent))!;

  beforeEach(() => {
    localStorage.setItem('huerta.week', 'monday');
    const planted: LogEntry = { ...filled(7, idAt(1), 45), did: { kind: 'did', what: 'planted' } };
    garden.log = [planted, filled(1, idAt(1), 1)];
    garden.plan = { ...garden.plan, away: { from: '2026-07-24', until: '2026-07-27' } };
  });
  afterEach(() => localStorage.removeItem('huerta.week'));

  test('a week a row from the day that weeks begin on, today marked, being away on each of its days', async () => {
    expect(await heads(open('/today?view=weeks'))).toEqual([
      ...['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
    ]);
    const days = screen.getAllByRole('cell');
    expect(days).toHaveLength(35);
    expect(days[0]?.textContent).toMatch(/13.Jul/);
    expect(days[2]?.textContent).toMatch(/15.Jul, today/);
    const away = days.flatMap(({ textContent }, i) =>
      textContent.includes('Nobody at home') ? [i] : [],
    );
    expect(away).toEqual([11, 12, 13]);
  });

  test('a filling stands on its likeliest day and leads to the log; what can be done any day stands below', async () => {
    const user = open('/today?view=weeks');
    await heads(user);
    // Nobody ever filled or looked into this one: it is dipped today, whatever may be in it.
    const dip = cellOf(/Dip, and fill if it is low/);
    expect(dip.textContent).toMatch(/15.Jul, today/);
    const link = within(dip).getByRole('link', { name: 'By the well' });
    expect(link.getAttribute('href')).toBe(`/planters/${idAt(2)}/log`);
    // That one was filled yesterday: some days are left.
    const fill = cellOf(/Fill/);
    expect(within(fill).getByRole('link', { name: 'By the step' })).toBeTruthy();
    expect(screen.getAllByRole('cell').indexOf(fill)).toBeGreaterThan(3);
    await user.click(screen.getByText(/^Due now, on any day: \d/));
    expect(screen.getByText(/Look at overflow and cap/)).toBeTruthy();
  });

  test('each planter’s water stands under the days, and a day is read by sliding to it', async () => {
    const user = open('/today?view=weeks');
    const rows = within(await screen.findByRole('list', { name: 'Water in the weeks ahead' }));
    const [step, well] = rows.getAllByRole('listitem');
    expect(step!.textContent).toMatch(/^By the step.*\d.*L$/);
    expect(well!.textContent).toBe('By the welldip it first');
    expect(
      screen.getByRole('heading', {
        name: /^No water to carry today\. Next .* Dip 1 planter: its/,
      }),
    ).toBeTruthy();
    const read = () => screen.getByRole('region', { name: 'The day that is read' }).textContent;
    expect(read()).toMatch(/^Today, Wednesday.*Dip, and fill if it is low.*By the well/);
    const tab = screen.getByRole('slider', { name: 'Day of these weeks' });
    act(() => tab.focus());
    await user.keyboard('{End}');
    expect(tab.getAttribute('aria-valuenow')).toBe('27');
    await user.keyboard('{Home}');
    // To the day of the absence, and past the end of what is shown nothing moves.
    await user.keyboard('{Shift>}{ArrowRight}{/Shift}{ArrowRight}{ArrowRight}');
    expect(tab.getAttribute('aria-valuetext')).toMatch(/^24.July.*nobody at home/);
    expect(read()).toMatch(/Nobody at home/);
  });

  test('begin on Sunday for whoever counts so', async () => {
    localStorage.setItem('huerta.week', 'sunday');
    expect((await heads(open('/today?view=weeks')))[0]).toBe('Sunday');
    expect(screen.getAllByRole('cell')[0]?.textContent).toMatch(/12.Jul/);
  });

  test('without anything planted say what to do', async () => {
    garden.log = [];
    garden.planted = null;
    garden.plan = { ...garden.plan, away: null };
    open('/today?view=weeks');
    expect(await screen.findByText(/Nothing is due in these weeks/)).toBeTruthy();
  });
});

describe('going away', () => {
  const dates = () =>
    [screen.getByLabelText('You leave on'), screen.getByLabelText('and are back on')] as const;

  test('says what lasts, when somebody has to come, and has a sheet drawn for them', async () => {
    const user = open('/away');
    expect(await screen.findByText(/last; .*visits? keeps? the others alive/)).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'When somebody comes' })).toBeTruthy();
    expect(
      within(screen.getByRole('list', { name: 'Each by itself' })).getAllByRole('listitem'),
    ).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'A sheet for the neighbour' }));
    const sent = garden.asked.find(({ path }) => path === '/round/neighbour.pdf');
    expect(sent?.body).toMatchObject({
      order: [idAt(1), idAt(2)],
      units: 'metric',
      paper: 'a4',
    });
    // The server of this test has none.
    expect(await screen.findByText('There is nothing at this address.')).toBeTruthy();
  });

  test('two dates that do not go together are said, and kept from nothing', async () => {
    const user = open('/away');
    await screen.findByLabelText('You leave on');
    const [leave, back] = dates();
    await user.clear(back);
    await user.type(back, (leave as HTMLInputElement).value);
    expect(await screen.findByText('Come back after the day on which you leave.')).toBeTruthy();
    expect(garden.plan.away).toBeNull();
  });
});

test('trouble: from what is seen through checks to a remedy on today’s list', async () => {
  const user = open(`/planters/${idAt(1)}/trouble`);
  await user.click(await screen.findByLabelText('The surface is dry, and there is water below'));
  const check = () => screen.queryByRole('region', { name: 'Look' });
  await screen.findByRole('region', { name: 'Look' });
  const causes = () => within(screen.getByRole('region', { name: 'Likely causes' }));
  const told = [
    'Slimy, thin, torn or sunken',
    'Nearly full',
    'Dry',
    'Much better',
    'The overflow runs almost at once',
    'None',
    'No',
    'White and many',
  ];
  for (let i = 0; i < 5 && check(); i += 1) {
    const answer = told.find((words) => within(check()!).queryByRole('button', { name: words }));
    await user.click(within(check()!).getByRole('button', { name: answer! }));
  }
  expect(check()).toBeNull();
  expect(causes().getAllByRole('listitem')[0]!.textContent).toMatch(/^The wick has worn out/);
  await user.click(causes().getAllByRole('button', { name: 'Put on today’s list' })[0]!);
  await waitFor(() => expect(garden.log).toHaveLength(1));
  expect(garden.log[0]).toMatchObject({ did: { kind: 'todo', then: 'wick' } });
  await user.click(screen.getByRole('button', { name: 'Take the last answer back' }));
  expect(check()).toBeTruthy();
});
