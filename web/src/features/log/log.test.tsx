/** @jest-environment jsdom */
import { configure, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { usualPlanted } from '@huerta/core/document';
import type { LogEntry } from '@huerta/core/journal';
import { Route, Routes } from 'react-router';
import { Notices } from '../../ui/notices';
import { Around, designOf } from '../../testing/editor';
import { daysAgo, idAt, serveGarden, type ServedGarden } from '../../testing/garden';
import { show } from '../../testing/render';
import { installWorker } from '../../testing/worker';
import TodayPage from '../today/TodayPage';
import LogPage from './LogPage';

const id = idAt(1);
let garden: ServedGarden;

beforeAll(() => {
  configure({ asyncUtilTimeout: 15_000 });
  installWorker();
});
beforeEach(() => {
  const design = designOf('cloth-pail', [
    { path: ['planting', 'crops'], value: [usualPlanted('pepper', 1)] },
  ]);
  garden = serveGarden([design]);
});

const open = (path: string) => {
  show(
    <Around at={path}>
      <Routes>
        <Route path="/planters/:id/log" element={<LogPage />} />
        <Route path="/today" element={<TodayPage />} />
      </Routes>
      <Notices />
    </Around>,
  );
  return userEvent.setup();
};
const entry = (n: number, day: string, did: LogEntry['did']): LogEntry => ({
  ...{ id: idAt(100 + n), planter: id, at: `${day}T00:30:00.000Z`, did },
  ...{ by: '', text: '', typed: '', instead: null, gone: false },
});
const entries = () => screen.findByRole('list', { name: /^Entries/ });

test('a press notes a filling, a line anything else; what is taken out can be put back', async () => {
  const user = open(`/planters/${id}/log`);
  expect(await screen.findByText(/Nothing is noted yet/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Filled to overflow' }));
  expect(within(await entries()).getByText('Filled to overflow')).toBeTruthy();
  const line = screen.getByLabelText('Or say what you did');
  await user.type(line, 'stick high{Enter}');
  expect(screen.getByRole('alert').textContent).toMatch(/^Say how deep the water is.*note it so/);
  expect((line as HTMLInputElement).value).toBe('stick high');
  await user.clear(line);
  await user.type(line, 'picked 3 peppers yesterday{Enter}');
  expect(await within(await entries()).findByText('Harvested 3 peppers')).toBeTruthy();
  await waitFor(() => expect(garden.log).toHaveLength(2));
  expect(garden.log[1]).toMatchObject({
    typed: 'picked 3 peppers yesterday',
    at: expect.stringContaining(daysAgo(1)),
  });

  await user.click(screen.getByRole('button', { name: /^Take out: Harvested 3 peppers/ }));
  await waitFor(() => expect(screen.queryByText('Harvested 3 peppers')).toBeNull());
  await user.click(await screen.findByText('Put it back'));
  expect(await screen.findByText('Harvested 3 peppers')).toBeTruthy();
  // Nothing was ever changed: four entries tell it.
  await waitFor(() => expect(garden.log).toHaveLength(4));
});

test('a line is read while it is typed, its parts are noted in their order, and what is in doubt is asked', async () => {
  const user = open(`/planters/${id}/log`);
  const line = (await screen.findByLabelText('Or say what you did')) as HTMLInputElement;
  await user.type(line, 'finger 5 cm dry; filled half a can, yesterday');
  const read = screen.getByRole('group', { name: 'How the line is read' });
  expect(within(read).getByText('yesterday')).toBeTruthy();
  // A part that is pressed is chosen in the line, to be typed anew.
  await user.click(within(read).getByRole('button', { name: /^Filled with 5\sL/ }));
  expect(line.value.slice(line.selectionStart!, line.selectionEnd!)).toBe('filled half a can');
  await user.type(line, '{Enter}', { skipClick: true });
  await waitFor(() => expect(garden.log).toHaveLength(2));
  const times = garden.log.map(({ at, did }) => [did.kind, Date.parse(at)] as const);
  const at = (kind: string) => times.find(([one]) => one === kind)![1];
  expect(at('finger')).toBeLessThan(at('filled'));

  await user.type(line, 'filled 9000 L{Enter}');
  expect(screen.getByRole('alert').textContent).toMatch(/into a planter that holds .*note it so/);
  expect(garden.log).toHaveLength(2);
  await user.click(screen.getByRole('button', { name: 'Note it so' }));
  await waitFor(() => expect(garden.log).toHaveLength(3));
});

test('while the server is away what is noted stands there, and is sent once when it is back', async () => {
  garden.away = true;
  const user = open(`/planters/${id}/log`);
  await user.click(await screen.findByRole('button', { name: 'Filled to overflow' }));
  expect(within(await entries()).getByText('Filled to overflow')).toBeTruthy();
  expect(garden.log).toHaveLength(0);
  garden.away = false;
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(garden.log).toHaveLength(1));
  expect(within(await entries()).getAllByText('Filled to overflow')).toHaveLength(1);
});

test('whoever writes on this device is named in what is written', async () => {
  const user = open(`/planters/${id}/log`);
  await user.type(await screen.findByLabelText('Your name in the log'), 'Inés{Enter}');
  await user.click(screen.getByRole('button', { name: 'Filled to overflow' }));
  await waitFor(() => expect(garden.log[0]).toMatchObject({ by: 'Inés' }));
  expect(within(await entries()).getByText(/\(Inés\)/)).toBeTruthy();
});

test('today tells what wants water, and a press fills it', async () => {
  const user = open('/today');
  expect(await screen.findByText('Its water is not known.')).toBeTruthy();
  await user.click(await screen.findByRole('button', { name: /^Filled to overflow/ }));
  await waitFor(() => expect(garden.log).toHaveLength(1));
  expect(await screen.findByText(/^Fine until/)).toBeTruthy();
  await waitFor(() => expect(screen.queryByText('Its water is not known.')).toBeNull());
});

test('today takes what the stick says in one number, and says what is no depth', async () => {
  const user = open('/today');
  await user.click(await screen.findByRole('button', { name: /^Dip / }));
  const depth = screen.getByLabelText('Wet on the stick');
  await user.type(depth, '4 m{Enter}');
  expect(await screen.findByText(/^This can be from/)).toBeTruthy();
  expect(garden.log).toHaveLength(0);
  await user.clear(depth);
  await user.type(depth, '45 mm{Enter}');
  await waitFor(() => expect(garden.log).toHaveLength(1));
  expect(garden.log[0]).toMatchObject({ did: { kind: 'level', depth: 0.045 } });
  expect(screen.queryByLabelText('Wet on the stick')).toBeNull();
});

test('an entry is corrected in its place, and keeps its day', async () => {
  const user = open(`/planters/${id}/log`);
  await user.type(
    await screen.findByLabelText('Or say what you did'),
    'filled 6 L till it ran 2 days ago{Enter}',
  );
  await user.click(await screen.findByRole('button', { name: /^Correct: Filled with 6/ }));
  const line = screen.getByLabelText(/^Correct the entry of/);
  expect((line as HTMLInputElement).value).toBe('filled 6 L till it ran 2 days ago');
  await user.clear(line);
  await user.type(line, 'filled 5 L till it ran{Enter}');
  expect(await within(await entries()).findByText(/Filled with 5/)).toBeTruthy();
  expect(within(await entries()).queryByText(/Filled with 6/)).toBeNull();
  await waitFor(() => expect(garden.log).toHaveLength(2));
  const [first, second] = garden.log;
  expect(second).toMatchObject({ instead: first!.id, at: first!.at });
});

test('a table is read before it is brought in, says what it cannot read, and comes in once', async () => {
  const user = open(`/planters/${id}/log`);
  const table = [
    'at,what,note',
    `${daysAgo(9)},filled 4 L till it ran,`,
    `${daysAgo(5)},stick 4 cm,in the morning`,
    'someday,rain 5 mm,',
    `${daysAgo(2)},stick high,`,
  ].join('\n');
  const file = new File([table], 'log.csv', { type: 'text/csv' });
  for (let i = 0; i < 2; i += 1) {
    await user.upload(await screen.findByLabelText('A table of entries'), file);
    expect(await screen.findByText(/^2 entries can be read/)).toBeTruthy();
    expect(screen.getByText(/Row 4: “someday” is no day that is over/)).toBeTruthy();
    expect(screen.getByText(/Row 5: Say how deep the water is/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Bring them in' }));
  }
  expect(await within(await entries()).findByText(/Dip stick: 40.mm: in the morning/)).toBeTruthy();
  await waitFor(() => expect(garden.log).toHaveLength(2));
});

test.each([
  [new File(['words'], 'words.txt', { type: 'text/plain' }), /That is no picture/],
  [new File(['…'], 'IMG_1.HEIC', { type: '' }), /a HEIC picture.*save JPEG/],
  [new File(['…'], 'torn.png', { type: 'image/png' }), /damaged or of a kind that cannot be read/],
])(
  'what cannot be read as a picture is refused in a word, and nothing is noted',
  async (file, said) => {
    // A browser opens no picture of three bytes.
    Object.assign(globalThis, {
      createImageBitmap: () => Promise.reject(new Error('cannot be decoded')),
    });
    const user = userEvent.setup({ applyAccept: false });
    open(`/planters/${id}/log`);
    await user.upload(await screen.findByLabelText('A photo for the log'), file);
    expect(await screen.findByText(said)).toBeTruthy();
    expect(garden.log.filter(({ did }) => did.kind === 'photo')).toEqual([]);
    Reflect.deleteProperty(globalThis, 'createImageBitmap');
  },
);

test('this year stands beside the last one to the same day, read when it is opened', async () => {
  const today = daysAgo(0);
  const ago = `${Number(today.slice(0, 4)) - 1}${today.slice(4)}`;
  const fill = (volume: number) => ({ kind: 'filled', where: 'tube', volume, ran: true }) as const;
  const pick = (mass: number) =>
    ({ kind: 'harvested', what: 'peppers', mass, count: null }) as const;
  garden.log = [
    entry(1, today, fill(0.006)),
    entry(2, today, pick(0.5)),
    entry(3, ago, fill(0.004)),
    entry(4, ago, pick(2)),
  ];
  garden.book = { ...garden.book, water: { EUR: 500 } };
  const user = open(`/planters/${id}/log`);
  const years = await screen.findByRole('button', { name: 'This year and the years before' });
  expect(garden.asked.some(({ path }) => /^.planters.[^/]+.log/.test(path))).toBe(false);
  await user.click(years);
  const table = within(await screen.findByRole('table'));
  const cells = (title: string) =>
    [...table.getByRole('cell', { name: title }).parentElement!.children].map(({ textContent }) =>
      textContent?.replaceAll('\u00a0', ' '),
    );
  expect(cells('Fillings')).toEqual(['Fillings', '1', '1', '1']);
  expect(cells('Water, measured')).toEqual(['Water, measured', '6 L', '4 L', '4 L']);
  expect(cells('peppers')).toEqual(['peppers', '0.5 kg', '2 kg', '2 kg']);
  expect(cells('Water for a kilogram')[1]).toBe('12 L');
  expect(cells('What the water cost')[1]).toMatch(/3\.00/);
  expect(cells('Cost of it for a kilogram')[1]).toMatch(/6\.00/);
});

test('short forms: the last values first, an amount as one says it, for a day that is chosen', async () => {
  const feed = { kind: 'fed', what: 'granules', mass: 0.03 } as const;
  garden.log = [entry(1, daysAgo(3), feed)];
  const user = open(`/planters/${id}/log`);
  const press = async (name: string | RegExp) =>
    user.click(await screen.findByRole('button', { name }));
  await press('Fed');
  await press(/^Fed 30\sg of granules$/);
  await waitFor(() => expect(garden.log).toHaveLength(2));
  expect(garden.log[1]).toMatchObject({ did: feed });

  await press('Picked');
  const picked = within(screen.getByRole('group', { name: 'Picked' }));
  await user.click(picked.getByRole('button', { name: 'Yesterday' }));
  const amount = picked.getByLabelText('How many, or their weight');
  await user.type(amount, 'many{Enter}');
  expect(picked.getByRole('alert').textContent).toMatch(/^Say how many/);
  await user.clear(amount);
  await user.type(amount, '400 g{Enter}');
  await waitFor(() => expect(garden.log).toHaveLength(3));
  expect(garden.log[2]).toMatchObject({
    did: { kind: 'harvested', mass: 0.4 },
    at: expect.stringContaining(daysAgo(1)),
  });

  await press('Weather');
  const rain = screen.getByLabelText('Rain that fell');
  await user.type(rain, '300 mm{Enter}');
  expect(screen.getByRole('alert').textContent).toMatch(/is a flood.*note it so/);
  expect(garden.log).toHaveLength(3);
  await press('Note it so');
  await waitFor(() => expect(garden.log[3]).toMatchObject({ did: { kind: 'rain', depth: 0.3 } }));

  await press('Trouble');
  expect(screen.getByRole('link', { name: /what helps/ }).getAttribute('href')).toMatch(/trouble/);
  await press('Aphids');
  await waitFor(() => expect(garden.log[4]).toMatchObject({ text: 'aphids' }));
});
