import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Feed, FeedKind } from '@huerta/contract';
import { notFound, problem } from '../services/problems';
import type { FeedRow, FeedTable } from '../storage/feeds';
import { rowCacheOf } from './rowCache';

/** Addresses with a secret of their own, for programs that have no cookie: a calendar, a station, a float. */
export interface Feeds {
  list(): Promise<Feed[]>;
  /** @returns the secret, which is kept as its hash only */
  make(wish: Pick<FeedRow, 'name' | 'kind' | 'planter'>): Promise<{ feed: Feed; secret: string }>;
  /** The feed that a secret is of. @throws ProblemError not-let-in where it is of none of that kind */
  known(secret: string, kind: FeedKind): Promise<Feed>;
  withdraw(id: string): Promise<void>;
}

const SECRET_BYTES = 24;
/** How often it is noted that one was used. */
const NOTED_MS = 60_000;
const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('base64url');

export function feedsOf(table: FeedTable, now: () => Date = () => new Date()): Feeds {
  /** They are few, and asked about with every request. */
  const cache = rowCacheOf(() => table.all());
  return {
    list: async () => (await cache.rows()).map(toFeed),
    async make(wish) {
      const secret = randomBytes(SECRET_BYTES).toString('base64url');
      const row: FeedRow = {
        ...wish,
        id: randomUUID(),
        hash: hashOf(secret),
        createdAt: now().toISOString(),
        lastAt: null,
      };
      await cache.change(() => table.add(row));
      return { feed: toFeed(row), secret };
    },
    async known(secret, kind) {
      const hash = hashOf(secret);
      const row = (await cache.rows()).find((one) => one.hash === hash && one.kind === kind);
      if (!row)
        throw problem(
          'not-let-in',
          401,
          'Not known',
          'This address was withdrawn, or is not written right. Make a new one in Settings, Let a phone in.',
        );
      const time = now();
      if (row.lastAt === null || time.getTime() - Date.parse(row.lastAt) > NOTED_MS) {
        row.lastAt = time.toISOString();
        await table.used(row.id, row.lastAt);
      }
      return toFeed(row);
    },
    async withdraw(id) {
      if (!(await cache.change(() => table.remove(id))))
        throw notFound('This address was withdrawn already.');
    },
  };
}

const toFeed = ({ id, name, kind, planter, createdAt, lastAt }: FeedRow): Feed => ({
  id,
  name,
  kind,
  planter,
  createdAt,
  lastAt,
});
