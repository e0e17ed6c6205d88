import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { scratchFolder } from '../served';
import { damaging } from './damage';
import { withDevices } from './devices';
import { hostile } from './hostile';
import { killing, onFullDisk } from './kills';
import { inWindows } from './windows';
import { hostileZips } from './zips';

/**
 * What a garden must bear: `npm run soak -- [--minutes 10] [--only kills]`. In turn, until the time is over: the server
 * is killed while everything is written, on a good disk and on one that fills; devices and windows work over a network
 * that does mischief; rows and files are damaged; it is asked nonsense, and given files made to do harm. Prints counts.
 */

const argument = (name: string): string | null => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? null : (process.argv[at + 1] ?? null);
};
const minutes = Number(argument('minutes') ?? 10);
const only = argument('only');

const { folder, remove } = scratchFolder();
let made = 0;
const fresh = (): string => {
  const path = join(folder, `garden-${(made += 1)}`);
  mkdirSync(path);
  return path;
};

type Counts = Record<string, unknown>;
const PARTS: Readonly<Record<string, (until: number) => Promise<Counts | string>>> = {
  kills: async (until) => ({ ...(await killing(fresh(), until)) }),
  full: async (until) => {
    const told = await onFullDisk(until);
    return typeof told === 'string' ? told : { ...told };
  },
  devices: async (until) => ({ ...(await withDevices(fresh(), until)) }),
  windows: async (until) => ({ ...(await inWindows(fresh(), until)) }),
  damage: async (until) => ({ ...(await damaging(fresh(), until)) }),
  zips: async (until) => ({ ...(await hostileZips(fresh(), until)) }),
  hostile: async (until) => ({ ...(await hostile(fresh(), until)) }),
};
/** Counts that must be nothing. */
const MUST_BE_NONE = new Set([
  ...['lost', 'odd', 'stuck', 'refusedLost', 'twice', 'closed', 'noFile', 'bad', 'wrong'],
]);
/** Figures of which the largest counts, where others are summed. */
const LARGEST = new Set(['slowestOther', 'memory', 'columnsReached', 'columnsAll']);
/** How long a part has its turn, milliseconds. */
const TURN_MS = 90_000;

function summed(one: Counts, other: Counts): Counts {
  const sum: Counts = { ...one };
  for (const [key, value] of Object.entries(other)) {
    const before = sum[key];
    if (typeof value === 'number' && (before === undefined || typeof before === 'number'))
      sum[key] = LARGEST.has(key) ? Math.max(before ?? 0, value) : (before ?? 0) + value;
    else if (typeof value === 'object' && value !== null)
      sum[key] = summed((before ?? {}) as Counts, value as Counts);
    else sum[key] = value;
  }
  return sum;
}

const wrongIn = (counts: Counts): number =>
  Object.entries(counts).reduce((total, [key, value]) => {
    if (typeof value === 'object' && value !== null) return total + wrongIn(value as Counts);
    return total + (MUST_BE_NONE.has(key) && typeof value === 'number' ? value : 0);
  }, 0);

const began = Date.now();
const end = began + minutes * 60_000;
const result: Record<string, Counts | string> = {};
try {
  while (Date.now() < end) {
    for (const [name, run] of Object.entries(PARTS)) {
      if ((only !== null && name !== only) || Date.now() >= end) continue;
      const told = await run(Math.min(Date.now() + TURN_MS, end));
      const before = result[name];
      result[name] =
        typeof told === 'string' || typeof before === 'string' ? told : summed(before ?? {}, told);
      console.error(
        `${Math.round((Date.now() - began) / 60_000)} min ${name}: ${JSON.stringify(result[name])}`,
      );
    }
  }
  const wrong = wrongIn(result as Counts);
  process.exitCode = wrong > 0 ? 1 : 0;
  console.log(
    JSON.stringify(
      { minutes: Math.round((Date.now() - began) / 60_000), wrong, ...result },
      null,
      2,
    ),
  );
} finally {
  remove();
}
process.exit();
