import { createHash } from 'node:crypto';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { DocumentKind } from '@huerta/contract';
import { logEntrySchema, type LogEntry } from '@huerta/core/journal';
import { measuredDaySchema } from '@huerta/core/physics/climate';
import { progressEntrySchema } from '@huerta/core/fabrication';
import { z } from 'zod';
import { connectTo, type Connection } from '../../storage/connection';
import { readingId } from '../../storage/readings';
import { formatFor, readText } from '../documents';
import { KINDS } from '../kinds';
import { keptPicture } from '../pictures';
import {
  LIMITS,
  listedSchema,
  MANIFEST,
  manifestSchema,
  parsedJson,
  VERSION,
  type Listed,
  type Manifest,
} from './format';
import { Archive, FileRefused } from './archive';

/**
 * Unpacks a garden file into a folder: a small database of what can come in, checked thing by thing, and the pictures.
 * Nothing of the garden is touched. It runs in a thread of its own, reads as a stream, and stops at limits.
 */

/** What a file holds, as far as it can come in. */
export interface Staged {
  madeAt: string;
  /** Files, and things in them, that are damaged or cannot be read, with why. */
  leftOut: { path: string; why: string }[];
}

/** Things of one file that are named when they cannot be read; of more it is said how many. */
const NAMED = 5;

export const stagedDatabase = (folder: string): string => join(folder, 'staged.sqlite');
export const stagedPhoto = (folder: string, hash: string, size: 'whole' | 'small'): string =>
  join(folder, `${hash}${size === 'small' ? '.small' : ''}.jpg`);

const TABLES = `
  CREATE TABLE documents (
    kind TEXT, id TEXT, name TEXT, text TEXT, format TEXT, revision INTEGER, created_at TEXT, updated_at TEXT,
    PRIMARY KEY (kind, id));
  CREATE TABLE document_revisions (
    kind TEXT, id TEXT, revision INTEGER, text TEXT, created_at TEXT, PRIMARY KEY (kind, id, revision));
  CREATE TABLE progress (planter_id TEXT, key TEXT, value TEXT, at TEXT, PRIMARY KEY (planter_id, key));
  CREATE TABLE log_entries (id TEXT PRIMARY KEY, planter TEXT, at TEXT, entry TEXT);
  CREATE TABLE readings (
    id TEXT PRIMARY KEY, planter TEXT, at TEXT, sensor TEXT, kind TEXT, depth REAL, feels TEXT);
  CREATE TABLE weather_days (date TEXT PRIMARY KEY, day TEXT);
  CREATE TABLE photos (id TEXT PRIMARY KEY, hash TEXT, width INTEGER, height INTEGER);`;

/**
 * @param file path of the zip; @param folder a new one, for what is unpacked
 * @throws FileRefused with a sentence
 */
export async function stage(file: string, folder: string): Promise<Staged> {
  const archive = await Archive.open(file);
  try {
    const manifest = await manifestOf(archive);
    await mkdir(folder, { recursive: true });
    const staged = await connectTo(stagedDatabase(folder));
    try {
      await staged.exec(`PRAGMA journal_mode = OFF; PRAGMA synchronous = OFF; ${TABLES} BEGIN;`);
      const reader = new Reader(archive, manifest, staged, folder);
      await reader.read();
      await staged.exec('COMMIT');
      return { madeAt: manifest.madeAt, leftOut: reader.leftOut };
    } finally {
      await staged.close();
    }
  } finally {
    archive.close();
  }
}

async function manifestOf(archive: Archive): Promise<Manifest> {
  const bytes = await archive.bytes(MANIFEST, LIMITS.jsonBytes);
  const manifest = manifestSchema.safeParse(bytes && parsedJson(bytes.toString('utf8')));
  if (!manifest.success)
    throw new FileRefused(
      'This zip is not from Huerta: it has no list of a garden in it. Choose one that Huerta made.',
    );
  if (manifest.data.version > VERSION)
    throw new FileRefused(
      'This garden was taken away by a later Huerta. Update Huerta, then bring it in again.',
    );
  return manifest.data;
}

const marksSchema = z.record(z.string(), z.array(z.unknown()));
const uuid = z.uuid();
const readingSchema = z.object({
  id: z.uuid(),
  planter: z.uuid(),
  at: z.iso.datetime(),
  sensor: z.string().min(1).max(40),
  kind: z.enum(['level', 'finger']),
  depth: z.number().min(0).max(3),
  feels: z.enum(['dry', 'moist', 'wet']).nullable(),
});

class Reader {
  readonly leftOut: Staged['leftOut'] = [];

  constructor(
    private readonly archive: Archive,
    private readonly manifest: Manifest,
    private readonly staged: Connection,
    private readonly folder: string,
  ) {}

  async read(): Promise<void> {
    for (const [i, raw] of this.manifest.documents.entries()) await this.readDocument(raw, i);
    if (this.manifest.files['marks.json']) await this.readMarks();
    for (const path of this.pathsIn('log/')) await this.readLog(path, LIMITS.jsonBytes);
    // Files of before the log came in parts have it in one, files of before there was a log none.
    if (this.manifest.files['log.json']) await this.readLog('log.json', LIMITS.oldLogBytes);
    for (const path of this.pathsIn('readings/')) await this.readReadings(path);
    if (this.manifest.files['weather-days.json']) await this.readDays('weather-days.json');
    for (const path of this.pathsIn('photos/')) await this.readPhoto(path);
    // A text that was damaged already is met, and said, where it is read.
    const said = new Set(this.leftOut.map(({ path }) => path));
    for (const { path, name, why } of this.manifest.damaged)
      if (!said.has(path))
        this.leftOut.push({ path, why: `‘${name}’ was damaged when the file was made. ${why}` });
  }

  private pathsIn(folder: string): string[] {
    return Object.keys(this.manifest.files)
      .filter((path) => path.startsWith(folder))
      .sort();
  }

  /** A file's bytes as they were when it was made; else it is left out. */
  private async bytes(path: string, most: number): Promise<Buffer | null> {
    const listed = this.manifest.files[path];
    const bytes = await this.archive.bytes(path, most);
    if (bytes && listed && createHash('sha256').update(bytes).digest('hex') === listed.sha256)
      return bytes;
    this.leftOut.push({ path, why: bytes ? 'It is damaged.' : 'It is missing or too large.' });
    return null;
  }

  /** The things in a file of JSON; else it is left out. */
  private async things(path: string, most: number): Promise<readonly unknown[]> {
    const bytes = await this.bytes(path, most);
    if (!bytes) return [];
    const read = parsedJson(bytes.toString('utf8'));
    if (Array.isArray(read)) return read;
    this.leftOut.push({ path, why: 'It is damaged.' });
    return [];
  }

  /** Things that can be read by a schema; the others are named. */
  private readable<T>(path: string, things: readonly unknown[], schema: z.ZodType<T>): T[] {
    const read: T[] = [];
    let wrong = 0;
    for (const [i, thing] of things.entries()) {
      const parsed = schema.safeParse(thing);
      if (parsed.success) read.push(parsed.data);
      else {
        wrong += 1;
        const [issue] = parsed.error.issues;
        if (wrong <= NAMED)
          this.leftOut.push({
            path,
            why: `Number ${i + 1} of it cannot be read at ‘${issue?.path.join(', ') ?? ''}’.`,
          });
      }
    }
    if (wrong > NAMED)
      this.leftOut.push({ path, why: `${wrong - NAMED} more of it cannot be read.` });
    return read;
  }

  private async readDocument(raw: unknown, place: number): Promise<void> {
    const parsed = listedSchema.safeParse(raw);
    if (!parsed.success) {
      const { name, path } = (raw ?? {}) as { name?: unknown; path?: unknown };
      const [issue] = parsed.error.issues;
      this.leftOut.push({
        path: typeof path === 'string' ? path : `document ${place + 1}`,
        why: `${typeof name === 'string' ? `‘${name}’` : 'It'} cannot be read at ‘${issue?.path.join(', ') ?? ''}’.`,
      });
      return;
    }
    const { kind, id, name, revision, createdAt, updatedAt, deletedAt, path, history } =
      parsed.data;
    if (deletedAt !== null) return;
    const text = (await this.bytes(path, LIMITS.jsonBytes))?.toString('utf8');
    if (text === undefined) return;
    const reading = readText<unknown>(KINDS[kind], text);
    if (!reading.ok) {
      this.leftOut.push({ path, why: reading.message });
      return;
    }
    await this.staged.run(
      `INSERT OR REPLACE INTO documents VALUES
         ($kind, $id, $name, $text, $format, $revision, $createdAt, $updatedAt)`,
      {
        kind,
        id,
        name,
        text,
        format: formatFor(KINDS[kind], text),
        revision,
        createdAt,
        updatedAt,
      },
    );
    await this.readHistory(kind, id, history);
  }

  private async readHistory(
    kind: DocumentKind,
    id: string,
    history: Listed['history'],
  ): Promise<void> {
    for (const { revision, createdAt, path } of history) {
      const bytes = await this.bytes(path, LIMITS.jsonBytes);
      const text = bytes?.toString('utf8');
      if (text === undefined) continue;
      if (parsedJson(text) === null) this.leftOut.push({ path, why: 'It is damaged.' });
      else
        await this.staged.run(
          'INSERT OR REPLACE INTO document_revisions VALUES ($kind, $id, $revision, $text, $createdAt)',
          { kind, id, revision, text, createdAt },
        );
    }
  }

  private async readMarks(): Promise<void> {
    const path = 'marks.json';
    const bytes = await this.bytes(path, LIMITS.jsonBytes);
    if (!bytes) return;
    const marks = marksSchema.safeParse(parsedJson(bytes.toString('utf8')));
    if (!marks.success) {
      this.leftOut.push({ path, why: 'It is damaged.' });
      return;
    }
    for (const [planter, raw] of Object.entries(marks.data)) {
      if (!uuid.safeParse(planter).success) {
        this.leftOut.push({
          path,
          why: `Marks of ‘${planter.slice(0, 60)}’: there is no such id.`,
        });
        continue;
      }
      for (const { key, value, at } of this.readable(path, raw, progressEntrySchema))
        await this.staged.run(
          'INSERT OR REPLACE INTO progress VALUES ($planter, $key, $value, $at)',
          { planter, key, value: JSON.stringify(value), at: new Date(at).toISOString() },
        );
    }
  }

  private async readLog(path: string, most: number): Promise<void> {
    const entries = this.readable(path, await this.things(path, most), logEntrySchema);
    const told = entries.filter(isReading);
    await this.stageReadings(
      told.map(({ id, planter, at, by, did }) => ({
        ...{ id, planter, at, sensor: by, kind: did.kind as 'level' | 'finger' },
        depth: 'depth' in did ? did.depth : 0,
        feels: did.kind === 'finger' ? did.feels : null,
      })),
    );
    const rows = entries
      .filter((entry) => !isReading(entry))
      .map((entry) => ({
        ...{ id: entry.id, planter: entry.planter, at: new Date(entry.at).toISOString() },
        entry: JSON.stringify(entry),
      }));
    await this.staged.run(
      `INSERT OR IGNORE INTO log_entries
       SELECT value ->> 'id', value ->> 'planter', value ->> 'at', value ->> 'entry' FROM json_each($rows)`,
      { rows: JSON.stringify(rows) },
    );
  }

  private async readReadings(path: string): Promise<void> {
    const things = await this.things(path, LIMITS.jsonBytes);
    await this.stageReadings(this.readable(path, things, readingSchema));
  }

  private stageReadings(rows: readonly z.infer<typeof readingSchema>[]): Promise<void> {
    return this.staged.run(
      `INSERT OR IGNORE INTO readings
       SELECT value ->> 'id', value ->> 'planter', value ->> 'at', value ->> 'sensor', value ->> 'kind',
         value ->> 'depth', value ->> 'feels' FROM json_each($rows)`,
      { rows: JSON.stringify(rows) },
    );
  }

  private async readDays(path: string): Promise<void> {
    const things = await this.things(path, LIMITS.jsonBytes);
    const days = this.readable(path, things, measuredDaySchema);
    await this.staged.run(
      `INSERT OR REPLACE INTO weather_days
       SELECT value ->> 'date', value ->> 'day' FROM json_each($rows)`,
      { rows: JSON.stringify(days.map((day) => ({ date: day.date, day: JSON.stringify(day) }))) },
    );
  }

  private async readPhoto(path: string): Promise<void> {
    const id = uuid.safeParse(/^photos\/(.+)\.jpg$/.exec(path)?.[1]).data;
    const bytes = await this.bytes(path, LIMITS.photoBytes);
    if (!bytes) return;
    const picture = id === undefined ? null : await keptPicture(bytes).catch(() => null);
    if (id === undefined || !picture) {
      this.leftOut.push({ path, why: 'It is no picture that can be read.' });
      return;
    }
    const { hash, width, height, whole, small } = picture;
    await writeFile(stagedPhoto(this.folder, hash, 'whole'), whole);
    await writeFile(stagedPhoto(this.folder, hash, 'small'), small);
    await this.staged.run('INSERT OR REPLACE INTO photos VALUES ($id, $hash, $width, $height)', {
      ...{ id, hash, width, height },
    });
  }
}

/** Whether an entry is what a sensor told, as an earlier Huerta kept it among those of people. */
const isReading = ({ id, planter, by, at, did }: LogEntry): boolean =>
  (did.kind === 'level' || did.kind === 'finger') && id === readingId(planter, by, at, did.kind);
