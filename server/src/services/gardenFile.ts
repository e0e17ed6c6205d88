import { createHash, randomUUID } from 'node:crypto';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { z } from 'zod';
import {
  DOCUMENT_KINDS,
  type Different,
  type DocumentKind,
  type RestorePreview,
  type Standing,
} from '@huerta/contract';
import {
  holding,
  logEntrySchema,
  measuredDaySchema,
  progressEntrySchema,
  sayDid,
  tell,
  type LogEntry,
  type ProgressEntry,
} from '@huerta/core';
import type { Database } from '../store/database';
import type { StoredDocument } from '../store/documents';
import type { Documents } from './documents';
import type { LogService, WeatherDayService } from './log';
import type { PhotoService } from './photos';
import type { ProgressService } from './progress';
import { problem } from './problems';

/**
 * The whole garden as one file: a zip with each document as JSON, what each was before its saves, the marks of
 * builds as JSON and as CSV, and a manifest with checksums.
 */

const VERSION = 1;

const documentSchema = z.object({
  kind: z.enum(DOCUMENT_KINDS),
  id: z.string().max(60),
  name: z.string().max(200),
  revision: z.int().min(1),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
  deletedAt: z.iso.datetime().nullable(),
  path: z.string(),
  history: z.array(
    z.object({ revision: z.int().min(1), createdAt: z.iso.datetime(), path: z.string() }),
  ),
});
const manifestSchema = z.object({
  format: z.literal('huerta.garden'),
  version: z.int().min(1),
  madeAt: z.iso.datetime(),
  documents: z.array(documentSchema),
  files: z.record(z.string(), z.object({ sha256: z.string(), bytes: z.int() })),
});
type Manifest = z.infer<typeof manifestSchema>;
type Listed = z.infer<typeof documentSchema>;

const logsSchema = z.array(logEntrySchema);
const daysSchema = z.array(measuredDaySchema);
const marksSchema = z.record(z.string(), z.array(progressEntrySchema));

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

export interface GardenFileService {
  /** The garden as it is now. */
  take(): Promise<Buffer>;
  /** What would come in. @throws ProblemError when it is no such file */
  look(file: Uint8Array): Promise<RestorePreview>;
  /** Brings it in: what is new comes, what is the same stays, of the rest as it is said. */
  restore(file: Uint8Array, different: Different): Promise<RestorePreview>;
}

interface Parts {
  database: Pick<Database, 'documents'>;
  progress: ProgressService;
  log: LogService;
  weatherDays: WeatherDayService;
  photos: PhotoService;
  /** Reads each kind, so that what cannot be read does not come in unseen. */
  kinds: Readonly<Record<DocumentKind, Documents<unknown>>>;
  now?: () => Date;
}

export function gardenFileService({
  database,
  progress,
  log,
  weatherDays,
  photos,
  kinds,
  now = () => new Date(),
}: Parts): GardenFileService {
  const { documents } = database;

  const standing = async ({ kind, id, updatedAt }: Listed, text: string) => {
    const here = await documents.stored(kind, id);
    if (!here || here.deletedAt) return { here, standing: 'new' as Standing };
    const same = sameJson(here.text, text);
    return {
      here,
      standing: (same ? 'same' : updatedAt > here.updatedAt ? 'newer' : 'older') as Standing,
    };
  };

  const work = async (bytes: Uint8Array, different: Different | null): Promise<RestorePreview> => {
    const { manifest, read, bytesOf, leftOut } = open(bytes);
    const seen: RestorePreview['documents'] = [];
    let came = 0;
    for (const listed of manifest.documents.filter(({ deletedAt }) => deletedAt === null)) {
      const text = read(listed.path);
      if (text === null) continue;
      const why = kinds[listed.kind].unreadable(text);
      if (why) {
        leftOut.push({ path: listed.path, why });
        continue;
      }
      const { here, standing: how } = await standing(listed, text);
      const { kind, id, name, updatedAt } = listed;
      seen.push({
        kind,
        id,
        name,
        standing: how,
        updatedAt,
        hereAt: here && !here.deletedAt ? here.updatedAt : null,
      });
      if (different && (await bringIn(listed, text, how, different, here))) came += 1;
    }
    const marks = await bringMarks(read('marks.json'), different !== null);
    // Files of before there was a log have none.
    if (manifest.files['log.json']) await bringLog(read('log.json'), different !== null);
    if (manifest.files['weather-days.json'])
      await bringDays(read('weather-days.json'), different !== null);
    if (different) await bringPhotos(Object.keys(manifest.files), bytesOf);
    return {
      madeAt: manifest.madeAt,
      documents: seen,
      marks,
      leftOut,
      came: different ? came : null,
    };

    async function bringIn(
      listed: Listed,
      text: string,
      how: Standing,
      wish: Different,
      here: StoredDocument | null,
    ): Promise<boolean> {
      const { kind, id, name, path: _path, history, ...head } = listed;
      if (how === 'same' || (how !== 'new' && wish === 'keep')) return false;
      const whole = { ...head, kind, id, name, text, format: null, saveId: null, deletedAt: null };
      if (how !== 'new' && wish === 'both' && (kind === 'planter' || kind === 'vessel')) {
        const copy = `${name.slice(0, 60)} (from the file)`;
        await documents.put({
          ...whole,
          id: randomUUID(),
          name: copy,
          text: renamed(kind, text, copy),
          revision: 1,
        });
        return true;
      }
      if (how !== 'new' && wish === 'both') return false;
      const older = history.flatMap(({ revision, createdAt, path }) => {
        const before = read(path);
        return before === null ? [] : [{ revision, createdAt, text: before }];
      });
      // Over what is here it is one more save, so that what was here lies in the history.
      if (here)
        await documents.update(
          { ...whole, format: '' },
          { revision: here.revision, after: [], evenDeleted: true },
        );
      else await documents.put(whole, older);
      return true;
    }
  };

  const bringMarks = async (text: string | null, bring: boolean): Promise<number> => {
    const parsed = text === null ? null : marksSchema.safeParse(parseJson(text));
    if (!parsed?.success) return 0;
    let changed = 0;
    for (const [planter, entries] of Object.entries(parsed.data)) {
      const here = await marksHere(planter);
      if (!here && !bring) changed += entries.length;
      if (!here) continue;
      const known = new Map(here.map(({ key, at, value }) => [key, JSON.stringify([at, value])]));
      const fresh = entries.filter(
        ({ key, at, value }) => known.get(key) !== JSON.stringify([at, value]),
      );
      changed += fresh.length;
      if (bring && fresh.length > 0) await progress.send(planter, fresh);
    }
    return changed;
  };
  const bringLog = async (text: string | null, bring: boolean): Promise<void> => {
    const parsed = text === null ? null : logsSchema.safeParse(parseJson(text));
    if (parsed?.success && bring && parsed.data.length > 0) await log.add(parsed.data);
  };
  /** A picture is known by its id; what was taken in once comes out the same. */
  const bringPhotos = async (
    paths: readonly string[],
    bytesOf: (path: string) => Uint8Array | null,
  ): Promise<void> => {
    for (const path of paths) {
      const id = /^photos\/([0-9a-f-]{36})\.jpg$/.exec(path)?.[1];
      const bytes = id ? bytesOf(path) : null;
      if (id && bytes) await photos.put(id, bytes);
    }
  };
  /** What was told here stays; days that are missing come. */
  const bringDays = async (text: string | null, bring: boolean): Promise<void> => {
    const parsed = text === null ? null : daysSchema.safeParse(parseJson(text));
    if (!parsed?.success || !bring) return;
    const here = new Set((await weatherDays.from()).map(({ date }) => date));
    const missing = parsed.data.filter(({ date }) => !here.has(date));
    if (missing.length > 0) await weatherDays.put(missing);
  };
  const marksHere = async (planter: string): Promise<readonly ProgressEntry[] | null> =>
    (await documents.find('planter', planter)) ? (await progress.get(planter)).entries : null;

  return {
    async take() {
      const files: Record<string, Uint8Array> = {};
      const listed: Listed[] = [];
      const marks: Record<string, ProgressEntry[]> = {};
      for (const document of await documents.everything()) {
        const { kind, id, text, format: _format, saveId: _save, ...head } = document;
        const path = `${kind}s/${id}.json`;
        files[path] = strToU8(text);
        const history: Listed['history'] = [];
        for (const { revision, createdAt, text: before } of await documents.revisions(kind, id)) {
          const at = `history/${kind}s/${id}/${revision}.json`;
          files[at] = strToU8(before);
          history.push({ revision, createdAt, path: at });
        }
        listed.push({ kind, id, ...head, path, history });
        if (kind === 'planter' && !head.deletedAt) marks[id] = (await progress.get(id)).entries;
      }
      files['marks.json'] = strToU8(JSON.stringify(marks, null, 1));
      const logged = await log.of(null);
      files['log.json'] = strToU8(JSON.stringify(logged, null, 1));
      files['weather-days.json'] = strToU8(JSON.stringify(await weatherDays.from(), null, 1));
      for (const { id } of await photos.all()) {
        const bytes = await photos.get(id, 'whole').catch(() => null);
        if (bytes) files[`photos/${id}.jpg`] = bytes;
      }
      files['log.csv'] = strToU8(logCsv(listed, marks, logged));
      const manifest: Manifest = {
        format: 'huerta.garden',
        version: VERSION,
        madeAt: now().toISOString(),
        documents: listed,
        files: Object.fromEntries(
          Object.entries(files).map(([path, bytes]) => [
            path,
            { sha256: sha256(bytes), bytes: bytes.length },
          ]),
        ),
      };
      files['manifest.json'] = strToU8(JSON.stringify(manifest, null, 1));
      return Buffer.from(zipSync(files, { level: 6 }));
    },
    look: (file) => work(file, null),
    restore: (file, different) => work(file, different),
  };
}

/** Build marks and notes as a table, for a spreadsheet. A byte order mark lets it be read as UTF-8. */
function logCsv(
  listed: readonly Listed[],
  marks: Readonly<Record<string, ProgressEntry[]>>,
  logged: readonly LogEntry[],
): string {
  const names = new Map(listed.map(({ id, name }) => [id, name]));
  const rows = Object.entries(marks).flatMap(([id, entries]) =>
    entries.map(({ at, key, value }) => ({
      at,
      planter: names.get(id) ?? id,
      mark: key,
      value: String(value),
    })),
  );
  const done = holding(logged).map(({ at, planter, did, text }) => ({
    at,
    planter: names.get(planter) ?? planter,
    mark: tell(sayDid(did), 'metric'),
    value: text,
  }));
  const ordered = [...rows, ...done].sort((a, b) => a.at.localeCompare(b.at));
  return `\uFEFF${Papa.unparse(ordered, { columns: ['at', 'planter', 'mark', 'value'], escapeFormulae: true })}\r\n`;
}

const refuse = (why: string) => problem('invalid', 400, 'Cannot be read', why);

/** Opens a file of a garden and checks what lies in it. */
function open(bytes: Uint8Array) {
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes);
  } catch {
    throw refuse(
      'This is not a whole garden file: it is no zip, or it breaks off. Choose one that Huerta made.',
    );
  }
  const text = files['manifest.json'] && strFromU8(files['manifest.json']);
  const manifest = manifestSchema.safeParse(text === undefined ? null : parseJson(text));
  if (!manifest.success)
    throw refuse(
      'This zip is not from Huerta: it has no list of a garden in it. Choose one that Huerta made.',
    );
  if (manifest.data.version > VERSION)
    throw refuse(
      'This garden was taken away by a later Huerta. Update Huerta, then bring it in again.',
    );
  const leftOut: RestorePreview['leftOut'] = [];
  const bytesOf = (path: string): Uint8Array | null => {
    const content = files[path];
    const listed = manifest.data.files[path];
    if (!content || !listed || sha256(content) !== listed.sha256) {
      leftOut.push({ path, why: content ? 'It is damaged.' : 'It is missing.' });
      return null;
    }
    return content;
  };
  const read = (path: string): string | null => {
    const content = bytesOf(path);
    return content && strFromU8(content);
  };
  return { manifest: manifest.data, read, bytesOf, leftOut };
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function renamed(kind: DocumentKind, text: string, name: string): string {
  return kind === 'planter' ? JSON.stringify({ ...(JSON.parse(text) as object), name }) : text;
}

/** Whether two JSON texts say the same, whatever the order of their names. */
function sameJson(one: string, other: string): boolean {
  if (one === other) return true;
  const [a, b] = [parseJson(one), parseJson(other)];
  return a !== null && JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, of]) => [key, sorted(of)]),
        )
      : value;
