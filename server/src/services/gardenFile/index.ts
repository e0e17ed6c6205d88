import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { readdir, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { MAX_GARDEN_BYTES, type Different, type RestorePreview } from '@huerta/contract';
import type { Database } from '../../storage/database';
import { withWritesHeld } from '../../storage/statements';
import { problem } from '../problems';
import { bring } from './bring';
import { refuseFile } from './format';
import { unpack } from './unpack';
import { gardenZip } from './write';

/** The whole garden as one file: taken away as a stream, looked at, and brought in. */
export interface GardenFileService {
  /** The garden as it is now, as a zip. */
  take(): Readable;
  /** What would come in. @throws ProblemError when it is no such file */
  look(file: Readable): Promise<RestorePreview>;
  /** Brings it in: what is new comes, what is the same stays, of the rest as it is said. */
  restore(file: Readable, different: Different): Promise<RestorePreview>;
}

/** How folders of files that come in begin; they are gone once it is done. */
const INCOMING = 'incoming-';

/** @param onBring told after something came in */
export function gardenFileService(
  { file, sequelize }: Pick<Database, 'file' | 'sequelize'>,
  onBring: () => void = () => undefined,
  now: () => Date = () => new Date(),
): GardenFileService {
  /** One at a time: two would unpack twice as much at once. */
  let last: Promise<unknown> = Promise.resolve();
  const work = async (zip: Readable, different: Different | null): Promise<RestorePreview> => {
    // It was read already as something else.
    if (zip.readableEnded) throw refuseFile('Send the garden file itself, as a zip.');
    const folder = join(dirname(file), `${INCOMING}${randomUUID()}`);
    const received = `${folder}.zip`;
    try {
      await pipeline(zip, upTo(MAX_GARDEN_BYTES), createWriteStream(received));
      const staged = await unpack(received, folder);
      const bringing = () => bring(file, folder, staged, different, now());
      return await (different ? withWritesHeld(sequelize, bringing) : bringing());
    } finally {
      await rm(received, { force: true });
      await rm(folder, { recursive: true, force: true });
    }
  };
  const inTurn = (zip: Readable, different: Different | null): Promise<RestorePreview> => {
    const mine = last.then(
      () => work(zip, different),
      () => work(zip, different),
    );
    last = mine.catch(() => undefined);
    return mine;
  };
  return {
    take: () => gardenZip(file, now()),
    look: (zip) => inTurn(zip, null),
    async restore(zip, different) {
      const preview = await inTurn(zip, different);
      onBring();
      return preview;
    },
  };
}

/** Removes what a server that was stopped meanwhile left of files that were coming in. */
export async function tidyIncoming(file: string): Promise<void> {
  const folder = dirname(file);
  for (const name of await readdir(folder).catch(() => []))
    if (name.startsWith(INCOMING)) await rm(join(folder, name), { recursive: true, force: true });
}

/** Lets so many bytes through. */
function upTo(most: number): Transform {
  let size = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      size += chunk.length;
      if (size <= most) done(null, chunk);
      else
        done(
          problem(
            'too-large',
            413,
            'Too large',
            `A garden file is at most ${most / 1e9} GB. Choose one that Huerta made.`,
          ),
        );
    },
  });
}
