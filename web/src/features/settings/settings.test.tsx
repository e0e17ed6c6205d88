/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RemoteAccessState, RestorePreview } from '@huerta/contract';
import { dayIn } from '@huerta/core/physics/climate';
import { gardenDay, gardenZone, setGardenZone } from '../../data/gardenDay';
import { Notices } from '../../ui/notices';
import { clearResponseCache } from '../../data/offline/responseCache';
import { Around } from '../../testing/editor';
import { show } from '../../testing/render';
import { serveWith } from '../../testing/worker';
import PhonePage from './PhonePage';
import SettingsPage from './SettingsPage';

const SHUT: RemoteAccessState = {
  open: false,
  secure: false,
  addresses: [],
  certificate: null,
  devices: [],
  trouble: null,
};
const phone = {
  id: '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
  name: 'Phone of the kitchen',
  createdAt: '2026-05-01T08:00:00.000Z',
  lastAt: new Date().toISOString(),
};
const preview: RestorePreview = {
  madeAt: '2026-05-01T08:00:00.000Z',
  documents: [
    {
      kind: 'planter',
      id: 'a',
      name: 'Basil',
      standing: 'newer',
      updatedAt: phone.createdAt,
      hereAt: phone.createdAt,
    },
    {
      kind: 'vessel',
      id: 'b',
      name: 'Tote',
      standing: 'new',
      updatedAt: phone.createdAt,
      hereAt: null,
    },
    {
      kind: 'planter',
      id: 'c',
      name: 'Chard',
      standing: 'same',
      updatedAt: phone.createdAt,
      hereAt: null,
    },
  ],
  marks: 2,
  ...{ log: 3, readings: 0, weatherDays: 0, photos: 1 },
  leftOut: [{ path: 'planters/d.json', why: 'It is damaged.' }],
  came: null,
};

function house(
  start: Partial<RemoteAccessState> = {},
  about = { version: '0.1.0', demo: false, home: true },
) {
  const state = { door: { ...SHUT, ...start } as RemoteAccessState };
  const log = serveWith(({ method, path, body }) => {
    if (path === '/about') return about;
    if (path === '/backups') {
      const at = '2026-05-02T08:00:00.000Z';
      return {
        folder: '/home/one/garden',
        copies: [{ name: '2026-05-02', at, daily: true, bytes: 350_000 }],
      };
    }
    if (path.startsWith('/backups/')) return { before: '2026-05-03T081500' };
    if (path === '/feeds') return { feeds: [] };
    if (path === '/garden/look') return preview;
    if (path.startsWith('/garden/restore')) return { ...preview, came: 1 };
    if (path === '/door/codes') {
      return {
        link: 'http://192.168.1.7:4743/let-in#secret',
        rows: [
          [true, false],
          [false, true],
        ],
        until: '2026-05-01T08:10:00.000Z',
      };
    }
    if (path.startsWith('/door/devices/')) {
      state.door = { ...state.door, devices: [] };
      return {};
    }
    if (path === '/door' && method === 'PUT') {
      const wish = body as { open: boolean; secure: boolean };
      state.door = {
        ...state.door,
        ...wish,
        addresses: wish.open ? ['http://192.168.1.7:4743'] : [],
      };
    }
    return path === '/door' ? state.door : null;
  });
  return { state, log, user: userEvent.setup() };
}
beforeEach(clearResponseCache);

test('the garden has a time zone: its day is told, and what is noted is noted in it', async () => {
  const choice = { site: 'vallesol', normals: null, days: null };
  const saved: { zone?: string; site?: string }[] = [];
  serveWith(({ path, method, body }) => {
    if (path === '/about') return { version: '0.1.0', demo: true, home: false };
    if (!path.startsWith('/weather')) return null;
    if (method === 'PUT') saved.push((body as { choice: { zone: string; site: string } }).choice);
    const updatedAt = new Date().toISOString();
    return { choice: saved.at(-1) ?? choice, revision: 1 + saved.length, updatedAt };
  });
  const user = userEvent.setup();
  show(<Around>{<SettingsPage />}</Around>);
  const zone = await screen.findByLabelText('Time zone of the garden');
  expect(screen.getByText(/Until you choose one, each device takes its own/)).toBeTruthy();
  await user.selectOptions(zone, 'Pacific/Auckland');
  await waitFor(() => expect(saved.at(-1)?.zone).toBe('Pacific/Auckland'));
  await waitFor(() => expect(gardenZone()).toBe('Pacific/Auckland'));
  expect(gardenDay()).toBe(dayIn('Pacific/Auckland'));
  expect(await screen.findByText(/This device is set to/)).toBeTruthy();
  await user.selectOptions(screen.getByLabelText('Weather of'), 'Southern mild coast');
  await waitFor(() => expect(saved.at(-1)?.site).toBe('south-coast'));
  expect(saved.at(-1)?.zone).toBe('Pacific/Auckland');
  setGardenZone(null);
});

test('where the garden’s zone cannot be fetched that is said, and it can be tried again', async () => {
  const state = { broken: true };
  serveWith(({ path }) => {
    if (path === '/about') return { version: '0.1.0', demo: true, home: false };
    if (!path.startsWith('/weather')) return null;
    if (state.broken)
      return { type: 'internal', title: 'Broken', status: 400, detail: 'The page is not read.' };
    const choice = { site: 'vallesol', normals: null, days: null };
    return { choice, revision: 1, updatedAt: new Date().toISOString() };
  });
  const user = userEvent.setup();
  show(<Around>{<SettingsPage />}</Around>);
  const said = await screen.findByText(/time zone cannot be fetched now/, {}, { timeout: 8000 });
  expect(said.textContent).toMatch(/Days are told by this device/);
  state.broken = false;
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByLabelText('Time zone of the garden')).toBeTruthy();
});

test('what one’s can holds is set in Settings and remembered on the device', async () => {
  serveWith(() => null);
  const user = userEvent.setup();
  show(<Around>{<SettingsPage />}</Around>);
  const field = await screen.findByLabelText('Your watering can holds');
  expect((field as HTMLInputElement).value).toMatch(/^10\sL$/);
  await user.clear(field);
  await user.type(field, '7 L{Enter}');
  expect(localStorage.getItem('huerta.can')).toBe('0.007');
  await user.clear(field);
  await user.type(field, '90 L{Enter}');
  expect((field as HTMLInputElement).value).toBe('90 L');
  expect(localStorage.getItem('huerta.can')).toBe('0.007');
  localStorage.removeItem('huerta.can');
});

test('the door is opened, a code made for an address, and a device shut out', async () => {
  const { log, user, state } = house({ devices: [phone] });
  show(<Around>{<PhonePage />}</Around>);
  expect(await screen.findByRole('heading', { name: 'The door is shut' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Make a code' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Open the door' }));
  expect(await screen.findByRole('heading', { name: 'The door is open' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Make a code' }));
  expect(await screen.findByRole('img', { name: 'Code to scan' })).toBeTruthy();
  expect(screen.getByText('http://192.168.1.7:4743/let-in#secret')).toBeTruthy();
  expect(log.find(({ path }) => path === '/door/codes')?.body).toEqual({
    address: 'http://192.168.1.7:4743',
  });
  await user.click(screen.getByRole('button', { name: 'Shut Phone of the kitchen out' }));
  expect(await screen.findByText('None yet.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Shut the door' }));
  await waitFor(() => expect(state.door.open).toBe(false));
});

test('what encryption means on the phone is said before it is chosen, and what went wrong after', async () => {
  const { user, state } = house({ trouble: 'Another program has taken the place 4743.' });
  show(<Around>{<PhonePage />}</Around>);
  expect(await screen.findByText(/could read along/)).toBeTruthy();
  expect(screen.getByRole('alert').textContent).toContain('taken the place 4743');
  await user.click(screen.getByText('Encrypt what goes through it'));
  expect(screen.getByText(/warns once, because nobody else vouches for it/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Open the door' }));
  await waitFor(() => expect(state.door).toMatchObject({ open: true, secure: true }));
});

test('a phone sees how it is written and takes the garden along, but opens no doors', async () => {
  house({}, { version: '0.1.0', demo: false, home: false });
  show(<Around>{<SettingsPage />}</Around>);
  expect(await screen.findByRole('link', { name: 'Take the garden away as a file' })).toBeTruthy();
  expect(screen.queryByRole('link', { name: 'Let a phone in' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Bring a garden file in' })).toBeNull();
  expect(screen.queryByRole('region', { name: 'Copies' })).toBeNull();
});

test('a daily copy is put back by one press, and what there was stays to be put back too', async () => {
  const { log, user } = house();
  show(
    <Around>
      <>
        <SettingsPage />
        <Notices />
      </>
    </Around>,
  );
  await user.click(await screen.findByRole('button', { name: 'Put back 2\u00a0May 2026' }));
  await waitFor(() =>
    expect(log).toContainEqual(
      expect.objectContaining({ method: 'POST', path: '/backups/2026-05-02' }),
    ),
  );
  expect(screen.getByText('/home/one/garden')).toBeTruthy();
  await user.click(await screen.findByRole('button', { name: 'Put it back as it was' }));
  await waitFor(() =>
    expect(log).toContainEqual(
      expect.objectContaining({ method: 'POST', path: '/backups/2026-05-03T081500' }),
    ),
  );
});

test('a garden file is looked at first: what is new, what differs, what is left out', async () => {
  const { log, user } = house();
  show(<Around>{<SettingsPage />}</Around>);
  const input = await screen.findByLabelText<HTMLInputElement>('Garden file');
  await user.upload(input, new File(['zip'], 'garden.zip', { type: 'application/zip' }));
  const look = within(await screen.findByRole('region', { name: 'What would come in' }));
  expect(
    look.getByText(
      /1 new, 1 different, 1 the same, 2 marks of builds, 3 entries of the log, one photo/,
    ),
  ).toBeTruthy();
  expect(look.getByText('Basil').closest('li')?.textContent).toBe(
    'Planter: Basil, newer than the one here',
  );
  expect(look.getByText(/Left out: planters\/d\.json\. It is damaged\./)).toBeTruthy();
  expect(look.queryByText('Chard')).toBeNull();
  await user.selectOptions(look.getByLabelText('What differs'), 'both');
  await user.click(look.getByRole('button', { name: 'Bring it in' }));
  expect(await screen.findByText(/One document, .*one photo came in\./)).toBeTruthy();
  expect(log.some(({ path }) => path === '/garden/restore?different=both')).toBe(true);
});

test('numbers take the comma at once, and who writes is remembered', async () => {
  localStorage.clear();
  house({}, { version: '0.1.0', demo: false, home: true });
  const { unmount } = show(<Around>{<SettingsPage />}</Around>);
  const user = userEvent.setup();
  await user.selectOptions(await screen.findByLabelText('Numbers'), '1,5 (tables by semicolons)');
  expect(localStorage.getItem('huerta.decimal')).toBe('comma');
  expect((await screen.findByRole('region', { name: 'Copies' })).textContent).toMatch(/\d,\d MB/);
  const by = screen.getByLabelText('Your name in the log');
  await user.type(by, '  Kitchen tablet {Enter}');
  unmount();
  show(<Around>{<SettingsPage />}</Around>);
  const again = await screen.findByLabelText('Your name in the log');
  expect((again as HTMLInputElement).value).toBe('Kitchen tablet');
  localStorage.clear();
});
