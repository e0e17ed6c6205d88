import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import type { Device } from '@huerta/contract';
import type { DeviceTable } from '../storage/devices';
import { notFound, problem } from '../services/problems';
import { rowCacheOf } from './rowCache';

/** Who is let in: one-time codes, and the devices that came by one. Secrets are random and kept hashed. */

const CODE_BYTES = 16;
const SECRET_BYTES = 32;
/** How long a code lets somebody in. */
const CODE_MS = 10 * 60_000;
/** How often it is noted that a device came. */
const NOTED_MS = 60_000;

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('base64url');
const random = (bytes: number): string => randomBytes(bytes).toString('base64url');

export interface Secrets {
  /** A new code, and until when it serves. Earlier ones serve on. */
  makeCode(): { code: string; until: Date };
  /** Lets a device in by a code, which then serves no more. @returns what it is to say of itself */
  enter(code: string, name: string): Promise<string>;
  /** The device that says this of itself, or null. */
  known(said: string): Promise<Device | null>;
  devices(): Promise<Device[]>;
  shutOut(id: string): Promise<void>;
}

export function secretsOf(table: DeviceTable, now: () => Date = () => new Date()): Secrets {
  /** Codes that serve, by their hash; they end with the program. */
  const codes = new Map<string, number>();
  /** The devices are few and asked about with every request. */
  const cache = rowCacheOf(() => table.all());

  return {
    makeCode() {
      const code = random(CODE_BYTES);
      const until = now().getTime() + CODE_MS;
      codes.set(hashOf(code), until);
      return { code, until: new Date(until) };
    },

    async enter(code, name) {
      const hash = hashOf(code);
      const until = codes.get(hash);
      codes.delete(hash);
      if (until === undefined || until < now().getTime()) {
        throw problem(
          'not-let-in',
          401,
          'Not let in',
          'This code no longer works: it lets one device in, within ten minutes. Make a new one on the machine at home and scan that.',
        );
      }
      const [id, secret] = [randomUUID(), random(SECRET_BYTES)];
      const time = now().toISOString();
      const row = { id, name, hash: hashOf(secret), createdAt: time, lastAt: time };
      await cache.change(() => table.add(row));
      return `${id}.${secret}`;
    },

    async known(said) {
      const [id = '', secret = ''] = said.split('.');
      const row = (await cache.rows()).find((one) => one.id === id);
      if (!row || !timingSafeEqual(Buffer.from(row.hash), Buffer.from(hashOf(secret)))) return null;
      const time = now();
      if (time.getTime() - Date.parse(row.lastAt) > NOTED_MS) {
        row.lastAt = time.toISOString();
        await table.came(id, row.lastAt);
      }
      return toDevice(row);
    },

    async devices() {
      return (await cache.rows()).map(toDevice);
    },

    async shutOut(id) {
      if (!(await cache.change(() => table.remove(id))))
        throw notFound('This device was shut out already.');
    },
  };
}

const toDevice = ({ id, name, createdAt, lastAt }: Device): Device => ({
  id,
  name,
  createdAt,
  lastAt,
});
