/** @jest-environment jsdom */
import { configure, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyPatch, type Patch } from '@huerta/core/document';
import { dayAfter, FIRST_WEATHER, type WeatherChoice, siteOf } from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import { FIRST_PLAN, totalsOf, type SeasonPlan } from '@huerta/core/simulation/season';
import { SITES } from '@huerta/core/catalog';
import { Route, Routes } from 'react-router';
import { Around, designOf } from '../../testing/editor';
import { installWorker, serveWith } from '../../testing/worker';
import { show } from '../../testing/render';
import { tasks } from '../../compute/tasks';
import SeasonPage from './SeasonPage';
import { difference, fillings, seasonSentence } from './words';

const id = '00000000-0000-4000-8000-000000000001';
const at = '2026-05-01T08:00:00.000Z';
const FEW_WEATHERS = 4;
const workers = installWorker({
  season: (asked, tell) =>
    tasks.season(
      { ...asked, question: { ...asked.question, seeds: FEW_WEATHERS } } as typeof asked,
      tell,
    ),
});
let choice: WeatherChoice = FIRST_WEATHER;
let plan: SeasonPlan = FIRST_PLAN;
let full = false;
let revision = 0;

beforeAll(() => {
  // A season is worked out in the page here.
  configure({ asyncUtilTimeout: 20_000 });
  // jsdom does not paint.
  HTMLCanvasElement.prototype.getContext = (() => null) as never;
});
beforeEach(() => {
  workers.broken = false;
  choice = FIRST_WEATHER;
  plan = FIRST_PLAN;
  full = false;
});

const open = (view: string, patch: Patch = []) => {
  const design = designOf('cloth-pail', patch);
  serveWith(({ method, path, body }) => {
    if (path === '/weather' && method === 'PUT')
      choice = (body as { choice: WeatherChoice }).choice;
    if (path === '/weather') return { revision: (revision += 1), updatedAt: at, choice };
    if (path.endsWith('/season') && method === 'PUT') {
      if (full) throw new Error('The disk is full.');
      plan = (body as { plan: SeasonPlan }).plan;
    }
    if (path.endsWith('/season')) return { revision: (revision += 1), updatedAt: at, plan };
    return path === `/planters/${id}`
      ? { id, revision: 1, createdAt: at, updatedAt: at, design }
      : null;
  });
  show(
    <Around at={`/planters/${id}/season?view=${view}`}>
      <Routes>
        <Route path="/planters/:id/season" element={<SeasonPage />} />
      </Routes>
    </Around>,
  );
  return userEvent.setup();
};

test.each([
  [17, 17, '17 fillings'],
  [16.6, 17.4, '17 fillings'],
  [15, 19, '15 to 19 fillings'],
  [0, 1, '0 to 1 filling'],
  [1, 1, '1 filling'],
  [0, 0, 'none'],
])('from %s to %s is told as %s', (low, high, words) => {
  expect(fillings({ low, high })).toBe(words);
});

test('the season in a sentence, its days as a table, and the drawing of any day', async () => {
  open('season');
  expect(
    await screen.findByText(/^Over 125 days plants drink \d+(\.\d)?.L, and it is filled/),
  ).toBeTruthy();
  const slider = screen.getByRole('slider', { name: 'Day of the season' });
  fireEvent.change(slider, { target: { value: '0' } });
  expect(screen.getByText(/^1 May: water at/)).toBeTruthy();
  const days = screen.getByRole('columnheader', { name: 'Level' }).closest('table')!;
  expect(within(days).getAllByRole('row').length).toBe(126);
  expect(await screen.findByText(/In eight weathers of ten/)).toBeTruthy();
});

test('going away: yes for a few days, no for long ones, with what would help', async () => {
  const user = open('away');
  expect(
    await screen.findByText(/^Yes\. Filled when you leave on|^No\. Filled when you leave on/),
  ).toBeTruthy();
  const back = screen.getByLabelText('and are back on');
  fireEvent.change(back, { target: { value: '2020-01-01' } });
  expect(screen.getByText(/You are back before you leave/)).toBeTruthy();
  const leave = screen.getByLabelText<HTMLInputElement>('You leave on').value;
  fireEvent.change(back, { target: { value: `${leave.slice(0, 4)}-08-30` } });
  expect(await screen.findByText(/^No\. Filled when you leave on/)).toBeTruthy();
  expect(
    await within(screen.getByRole('main')).findByText(
      /Moved to where it has half the day’s sun: plants go short after/,
    ),
  ).toBeTruthy();
  await user.click(screen.getByRole('link', { name: 'What if' }));
  const row = await screen.findByRole('row', { name: /^The wick breaks/ });
  expect(row.textContent).toMatch(/days more of thirst/);
  await user.click(screen.getByRole('checkbox', { name: 'The wick breaks' }));
  expect(screen.getByText(/Dashed line: the wick breaks/)).toBeTruthy();
  await user.click(screen.getByRole('checkbox', { name: 'Covered against the rain' }));
  await waitFor(() =>
    expect(screen.getByRole('row', { name: /^All that is ticked/ }).textContent).toMatch(
      /days more of thirst/,
    ),
  );
});

test('who fills and what is given by hand is planned, kept, and counts', async () => {
  const user = open('season');
  await screen.findByText(/^Over 125 days/);
  await user.selectOptions(
    screen.getByRole('combobox', { name: 'It is filled' }),
    'only on chosen days',
  );
  expect(await screen.findByText(/it is never filled\. Plants go short/)).toBeTruthy();
  await user.click(screen.getByText('Watered by hand on no day'));
  const another = within(screen.getByRole('group', { name: 'Another watering' }));
  fireEvent.change(another.getByLabelText('On the morning of'), { target: { value: '' } });
  expect(another.getByRole<HTMLButtonElement>('button', { name: 'Add it' }).disabled).toBe(true);
  const year = screen.getByLabelText<HTMLInputElement>(/planted on/).value.slice(0, 4);
  fireEvent.change(another.getByLabelText('On the morning of'), {
    target: { value: `${year}-06-20` },
  });
  await user.selectOptions(another.getByRole('combobox', { name: 'Given' }), 'on top');
  const amount = another.getByRole('textbox', { name: 'How much' });
  fireEvent.change(amount, { target: { value: '3 L' } });
  fireEvent.blur(amount);
  await user.click(another.getByRole('button', { name: 'Add it' }));
  await waitFor(() =>
    expect(plan).toEqual({
      planted: null,
      filling: { kind: 'never' },
      waterings: [{ where: 'top', date: `${year}-06-20`, volume: 0.003 }],
    }),
  );
  expect(await screen.findByText(/it is filled once, 3(\.0)?.L in all/)).toBeTruthy();
  full = true;
  await user.click(
    screen.getByRole('button', { name: `Leave out the watering of 20\u00a0June ${year}` }),
  );
  expect(await screen.findByText(/what you do is kept here and sent later/)).toBeTruthy();
  expect(screen.getByText('Watered by hand on no day')).toBeTruthy();
  full = false;
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(plan.waterings).toEqual([]));
});

test('a neighbour who looks in makes an absence possible, and is put into the plan', async () => {
  open('away');
  await screen.findByText(/^(Yes|No)\. Filled when you leave on/);
  const leave = screen.getByLabelText<HTMLInputElement>('You leave on').value;
  fireEvent.change(screen.getByLabelText('and are back on'), {
    target: { value: dayAfter(leave, 12) },
  });
  const neighbour = (await screen.findAllByText(/^A neighbour fills it on/))[0]!;
  expect(neighbour.textContent).toMatch(/which is enough/);
  fireEvent.click(screen.getByRole('button', { name: 'Put it in the plan' }));
  expect(
    await screen.findByText(/^Yes\. Filled when .* and watered meanwhile as planned/),
  ).toBeTruthy();
  expect(plan.waterings.every(({ where, volume }) => where === 'tube' && volume === null)).toBe(
    true,
  );
});

test('a worker that fails leaves a sentence and the last good season', async () => {
  open('season');
  await screen.findByText(/^Over 125 days/);
  workers.broken = true;
  fireEvent.change(screen.getByLabelText(/planted on/), { target: { value: '2026-06-01' } });
  expect(await screen.findByText(/The last one is shown/)).toBeTruthy();
  expect(screen.getByText(/^Over 125 days/)).toBeTruthy();
});

test('what each crop drinks is told with the season', async () => {
  const user = userEvent.setup();
  open('season');
  await user.click(await screen.findByText('What each crop drinks'));
  const row = screen.getByRole('row', { name: /^Sweet pepper 1 .*L on \d+.Jul.*L$/ });
  // One crop alone is the whole season's.
  const drunk = /plants drink ([\d.]+)\sL/.exec(
    screen.getByText(/^Over 125 days/).textContent!,
  )![1];
  expect(row.textContent).toContain(drunk);
});

test('weather of one’s own: a file with bad rows is previewed; one that is none is explained', async () => {
  open('weather');
  const input = await screen.findByLabelText('Weather file');
  const file = (name: string, ...rows: string[]) => {
    const made = new File([rows.join('\n')], name, { type: 'text/csv' });
    made.text ??= () => Promise.resolve(rows.join('\n'));
    return made;
  };
  fireEvent.change(input, { target: { files: [file('photos.csv', 'a,b', '1,2')] } });
  expect(
    await screen.findByText(/‘photos.csv’ is not taken: The heading has no column for ‘date’/),
  ).toBeTruthy();
  const days = Array.from(
    { length: 20 },
    (_, i) => `2026-05-${String(i + 1).padStart(2, '0')},12,27,0`,
  );
  fireEvent.change(input, {
    target: { files: [file('yard.csv', 'date,tmin,tmax,rain', ...days, '2026-05-21,30,10,0')] },
  });
  expect(await screen.findByText(/^20 days from 2026-05-01 to 2026-05-20/)).toBeTruthy();
  expect(screen.getByText(/Row 22: The least, 30, is above the greatest, 10/)).toBeTruthy();
  // As a bureau sends it: lines above the heading, semicolons, commas in numbers, hours, the latest first.
  const hours = Array.from({ length: 8 * 24 }, (_, i) => {
    const day = String(8 - Math.floor(i / 24)).padStart(2, '0');
    return `${day}.05.2026 ${23 - (i % 24)}:00;${i % 24},5;0,1`;
  });
  fireEvent.change(input, {
    target: {
      files: [file('bureau.csv', 'Station;12', '', 'Zeit;Temperatur;Regen (mm)', ...hours)],
    },
  });
  expect(
    await screen.findByText(/^8 days from 2026-05-01.*8 days are put together from hours/),
  ).toBeTruthy();
  expect(
    screen.getByText(/temperatures from ‘Temperatur’ and rain from ‘Regen \(mm\)’/),
  ).toBeTruthy();
  expect(screen.getByRole('row', { name: /1\sMay 2026 1 24 2\smm/ })).toBeTruthy();
  fireEvent.change(input, {
    target: { files: [file('yard.csv', 'date,tmin,tmax,rain', ...days, '2026-05-21,30,10,0')] },
  });
  expect(await screen.findByText(/^20 days/)).toBeTruthy();
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'Use these days' }));
  expect(
    await screen.findByRole('option', { name: 'Days of yard.csv', selected: true }),
  ).toBeTruthy();
  await waitFor(() =>
    expect(choice).toMatchObject({ site: 'own-days', days: { name: 'yard.csv' } }),
  );
});

test('normals of one’s own are checked at the field and kept', async () => {
  const user = open('weather');
  await user.click(await screen.findByRole('button', { name: 'Make your own from these' }));
  const july = screen.getByLabelText('High °C, Jul');
  fireEvent.change(july, { target: { value: 'hot' } });
  await user.click(screen.getByRole('button', { name: 'Keep them as your own averages' }));
  expect(screen.getByText('High °C of Jul is a number from -40 to 55.')).toBeTruthy();
  expect((july as HTMLInputElement).value).toBe('hot');
  fireEvent.change(july, { target: { value: '38' } });
  fireEvent.change(screen.getByLabelText('Latitude, degrees'), { target: { value: '90' } });
  await user.click(screen.getByRole('button', { name: 'Keep them as your own averages' }));
  expect(screen.getByText(/Nearer to a pole the sun stays up or down for weeks/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Latitude, degrees'), { target: { value: '-38' } });
  await user.click(screen.getByRole('button', { name: 'Keep them as your own averages' }));
  await waitFor(() => expect(siteOf(choice).tMax[6]).toBe(38));
  expect(SITES.vallesol.tMax[6]).toBe(34);
});

test('differences are said in words', () => {
  const zero = totalsOf({ days: [] });
  const write = (value: number) => `${Math.round(value * 1000)} L`;
  expect(difference(zero, { ...zero, fills: 1, filled: 0.004, dryDays: 2 }, write)).toBe(
    '2 days more of thirst, 1 more filling, 4 L more to give.',
  );
  expect(difference(zero, zero, write)).toBe('Next to no difference.');
  const { planter } = evaluate(applyPatch(designOf('cloth-pail'), []));
  const run = { days: Array(10).fill({}), heights: planter.heights } as never;
  expect(
    seasonSentence(
      { run, totals: { ...zero, drownedDays: 1 }, weather: [], lasts: [], freezes: '2026-11-03' },
      null,
      write,
    ),
  ).toBe(
    'Over 10 days plants drink 0 L, and it is never filled. Roots stand in water on one day. Its water may freeze from 3\u00a0November on: empty it before that, and open the overflow.',
  );
});
