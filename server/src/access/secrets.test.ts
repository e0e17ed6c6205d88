import type { DeviceTable } from '../storage/devices';
import { houseAddresses, houseNames, LOCAL_NAME } from './addresses';
import { secretsOf } from './secrets';

type Row = Awaited<ReturnType<DeviceTable['all']>>[number];

/** A table in memory that counts how often it is read and written. */
function tableOf() {
  const rows: Row[] = [];
  const told = { reads: 0, noted: 0 };
  const table = {
    all: () => {
      told.reads += 1;
      return Promise.resolve(rows.map((row) => ({ ...row })));
    },
    add: (row: Row) => {
      rows.push(row);
      return Promise.resolve();
    },
    came: (id: string, at: string) => {
      told.noted += 1;
      const row = rows.find((one) => one.id === id);
      if (row) row.lastAt = at;
      return Promise.resolve();
    },
    remove: (id: string) => {
      const at = rows.findIndex((one) => one.id === id);
      if (at >= 0) rows.splice(at, 1);
      return Promise.resolve(at >= 0);
    },
  };
  return { table: table as unknown as DeviceTable, rows, told };
}

function door() {
  const clock = { now: Date.parse('2026-07-15T08:00:00Z') };
  const { table, rows, told } = tableOf();
  return { secrets: secretsOf(table, () => new Date(clock.now)), clock, rows, told };
}
const MINUTE = 60_000;

test('a code lets one device in, once', async () => {
  const { secrets } = door();
  const { code, until } = secrets.makeCode();
  expect(until.toISOString()).toBe('2026-07-15T08:10:00.000Z');
  const said = await secrets.enter(code, 'Phone in the shed');
  expect(await secrets.known(said)).toMatchObject({ name: 'Phone in the shed' });
  await expect(secrets.enter(code, 'Another')).rejects.toMatchObject({ problem: { status: 401 } });
});

test('a code that is ten minutes old lets nobody in, and says what to do', async () => {
  const { secrets, clock } = door();
  const { code } = secrets.makeCode();
  clock.now += 10 * MINUTE + 1;
  await expect(secrets.enter(code, 'Late')).rejects.toThrow(/Make a new one/);
  // It is gone for good, also for a clock that goes back.
  clock.now -= 5 * MINUTE;
  await expect(secrets.enter(code, 'Late')).rejects.toThrow();
});

test('codes that are shown one after the other all serve', async () => {
  const { secrets } = door();
  const codes = [secrets.makeCode().code, secrets.makeCode().code];
  expect(new Set(codes).size).toBe(2);
  for (const code of codes) await expect(secrets.enter(code, 'One')).resolves.toMatch(/\./);
  expect(await secrets.devices()).toHaveLength(2);
});

test('neither code nor secret lies in the table, and no device tells its hash', async () => {
  const { secrets, rows } = door();
  const { code } = secrets.makeCode();
  const said = await secrets.enter(code, 'Phone');
  const [, secret] = said.split('.');
  const kept = JSON.stringify(rows);
  expect(kept).not.toContain(code);
  expect(kept).not.toContain(secret);
  expect(JSON.stringify(await secrets.devices())).not.toContain(rows[0]!.hash);
});

test.each(['', '.', 'nobody', 'nobody.nothing', '....', 'x'.repeat(5000)])(
  'who says %j of itself is nobody',
  async (said) => {
    const { secrets } = door();
    await secrets.enter(secrets.makeCode().code, 'Phone');
    expect(await secrets.known(said)).toBeNull();
  },
);

test('a device with another’s name and a wrong secret is nobody', async () => {
  const { secrets } = door();
  const one = await secrets.enter(secrets.makeCode().code, 'One');
  const two = await secrets.enter(secrets.makeCode().code, 'Two');
  expect(await secrets.known(`${one.split('.')[0]}.${two.split('.')[1]}`)).toBeNull();
});

test('a device that is shut out is known no more, and cannot be shut out twice', async () => {
  const { secrets } = door();
  const said = await secrets.enter(secrets.makeCode().code, 'Lost phone');
  const [device] = await secrets.devices();
  await secrets.shutOut(device!.id);
  expect(await secrets.known(said)).toBeNull();
  expect(await secrets.devices()).toEqual([]);
  await expect(secrets.shutOut(device!.id)).rejects.toMatchObject({ problem: { status: 404 } });
});

test('that a device came is noted once a minute, and the table is read once for all who ask', async () => {
  const { secrets, clock, told, rows } = door();
  const said = await secrets.enter(secrets.makeCode().code, 'Phone');
  for (let i = 0; i < 20; i += 1) await secrets.known(said);
  expect(told).toEqual({ reads: 1, noted: 0 });
  clock.now += MINUTE + 1;
  for (let i = 0; i < 20; i += 1) await secrets.known(said);
  expect(told).toEqual({ reads: 1, noted: 1 });
  expect(rows[0]!.lastAt).toBe(new Date(clock.now).toISOString());
});

describe('where the house finds this machine', () => {
  const at = (address: string, more: object = {}) =>
    ({ address, family: 'IPv4', internal: false, ...more }) as never;

  test('addresses of a house come first; its own loop and long addresses are none', () => {
    expect(
      houseAddresses({
        loop: [at('127.0.0.1', { internal: true })],
        wired: [at('203.0.113.9'), at('fe80::1', { family: 'IPv6' })],
        wireless: [at('192.168.1.20'), at('192.168.1.20'), at('172.20.0.3')],
        none: undefined,
      }),
    ).toEqual(['192.168.1.20', '172.20.0.3', '203.0.113.9']);
  });

  test('it answers to a name of one’s own and to the usual one, in small letters', () => {
    const names = houseNames('Shed-Box');
    expect(names[0]).toBe('shed-box');
    expect(names).toContain(LOCAL_NAME);
    expect(names).toEqual(names.map((name) => name.toLowerCase()));
    expect(houseNames(null)).not.toContain('shed-box');
  });
});
