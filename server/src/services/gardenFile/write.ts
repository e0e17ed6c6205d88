import { readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import Papa from 'papaparse';
import { ZipFile } from 'yazl';
import { logEntrySchema, describeEntry } from '@huerta/core/journal';
import { tell } from '@huerta/core/units';
import { connectTo, type Connection } from '../../storage/connection';
import { MANIFEST, parsedJson, ROWS_A_PART, sha256, VERSION, type Manifest } from './format';

/** Writes the garden into a zip as a stream: nothing of it lies in memory whole, and saves go on meanwhile. */

/** Documents, and earlier versions of one, that are fetched at once. */
const AT_ONCE = 200;
/** Rows of the table that are made between two looks at what else there is to do. */
const YIELD_EVERY = 250;

/**
 * @param file of the garden, which is read as it is at this moment
 * @returns the zip; it ends with an error where something could not be read
 */
export function gardenZip(file: string, now: Date): Readable {
  const zip = new ZipFile();
  const output = zip.outputStream as Readable;
  void write(file, now, zip).catch((error: Error) => output.destroy(error));
  return output;
}

async function write(file: string, now: Date, zip: ZipFile): Promise<void> {
  const connection = await connectTo(file, true);
  try {
    // From here on it sees the garden as it is now.
    await connection.exec('BEGIN; SELECT count(*) FROM documents;');
    await new Writer(connection, zip, join(dirname(file), 'photos'), now).write();
    await connection.exec('COMMIT');
  } finally {
    await connection.close();
  }
  zip.end();
}

interface HeadRow {
  row: number;
  kind: string;
  id: string;
  name: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  deletedAt: string | null;
  text: Buffer;
}

interface MarkRow {
  planter: string;
  key: string;
  value: string;
  at: string;
}

class Writer {
  private readonly files: Manifest['files'] = {};
  private readonly documents: unknown[] = [];
  private readonly damaged: Manifest['damaged'] = [];
  private readonly names = new Map<string, string>();

  constructor(
    private readonly garden: Connection,
    private readonly zip: ZipFile,
    private readonly photos: string,
    private readonly now: Date,
  ) {}

  async write(): Promise<void> {
    await this.writeDocuments();
    await this.writeMarks();
    await this.writeLog();
    await this.writeReadings();
    await this.writeWeather();
    await this.writePhotos();
    await this.writeDamaged();
    const manifest: Manifest = {
      format: 'huerta.garden',
      version: VERSION,
      madeAt: this.now.toISOString(),
      documents: this.documents,
      damaged: this.damaged,
      files: this.files,
    };
    await this.put(MANIFEST, Buffer.from(JSON.stringify(manifest, null, 1)));
  }

  /** Puts a file into the zip, and waits until it is on its way, so that no more than one waits. */
  private put(path: string, content: Buffer, packed = true): Promise<void> {
    if (path !== MANIFEST) this.files[path] = { sha256: sha256(content), bytes: content.length };
    return new Promise((done, fail) => {
      this.zip.addReadStreamLazy(path, { compress: packed, mtime: this.now }, (give) => {
        const stream = Readable.from([content]);
        stream.once('end', done).once('error', fail);
        give(null, stream);
      });
    });
  }

  private json(path: string, value: unknown): Promise<void> {
    return this.put(path, Buffer.from(JSON.stringify(value, null, 1)));
  }

  private async writeDocuments(): Promise<void> {
    for (let after = 0; ;) {
      const rows = await this.garden.all<HeadRow>(
        `SELECT rowid AS row, kind, id, name, revision, created_at AS createdAt, updated_at AS updatedAt,
           deleted_at AS deletedAt, CAST(text AS BLOB) AS text
         FROM documents WHERE rowid > $after ORDER BY rowid LIMIT ${AT_ONCE}`,
        { after },
      );
      const last = rows.at(-1);
      if (!last) return;
      after = last.row;
      for (const row of rows) await this.writeDocument(row);
    }
  }

  private async writeDocument({ row: _row, text, ...head }: HeadRow): Promise<void> {
    const { kind, id, name } = head;
    const path = `${kind}s/${id}.json`;
    await this.put(path, text);
    this.names.set(id, name);
    // A text that is no JSON comes as it is, and is said to be damaged.
    if (parsedJson(text.toString('utf8')) === null)
      this.damaged.push({ path, name, why: 'Its file is damaged.' });
    const history: { revision: number; createdAt: string; path: string }[] = [];
    for (let before = Number.MAX_SAFE_INTEGER; ;) {
      const revisions = await this.garden.all<{
        revision: number;
        createdAt: string;
        text: Buffer;
      }>(
        `SELECT revision, created_at AS createdAt, CAST(text AS BLOB) AS text FROM document_revisions
         WHERE kind = $kind AND id = $id AND revision < $before ORDER BY revision DESC LIMIT ${AT_ONCE}`,
        { kind, id, before },
      );
      const last = revisions.at(-1);
      if (!last) break;
      before = last.revision;
      for (const one of revisions) {
        const at = `history/${kind}s/${id}/${one.revision}.json`;
        await this.put(at, one.text);
        history.push({ revision: one.revision, createdAt: one.createdAt, path: at });
      }
    }
    this.documents.push({ ...head, path, history });
  }

  private async writeMarks(): Promise<void> {
    const rows = await this.garden.all<MarkRow>(
      'SELECT planter_id AS planter, key, value, at FROM progress ORDER BY planter_id, key',
    );
    const marks: Record<string, unknown[]> = {};
    for (const { planter, key, value, at } of rows)
      (marks[planter] ??= []).push({ key, value: parsedJson(value), at });
    await this.json('marks.json', marks);
  }

  /** The entries in parts, and all of them with the marks as one table for a spreadsheet. */
  private async writeLog(): Promise<void> {
    const table = tableOf(this.names, await this.replaced());
    const marks = await this.garden.all<MarkRow>(
      'SELECT planter_id AS planter, key, value, at FROM progress ORDER BY at',
    );
    const csv: string[] = [table.head, table.marks(marks)];
    for (let part = 1, from = { at: '', id: '' }; ; part += 1) {
      const rows = await this.garden.all<{ id: string; at: string; entry: string }>(
        `SELECT id, at, entry FROM log_entries WHERE (at, id) > ($at, $id)
         ORDER BY at, id LIMIT ${ROWS_A_PART}`,
        from,
      );
      const last = rows.at(-1);
      if (!last) break;
      from = { at: last.at, id: last.id };
      const text = `[\n${rows.map(({ entry }) => entry).join(',\n')}\n]`;
      await this.put(`log/${numbered(part)}.json`, Buffer.from(text));
      for (let i = 0; i < rows.length; i += YIELD_EVERY) {
        csv.push(table.entries(rows.slice(i, i + YIELD_EVERY)));
        // Others are answered meanwhile.
        await new Promise((done) => setImmediate(done));
      }
    }
    // A byte order mark lets it be read as UTF-8.
    await this.put('log.csv', Buffer.from(`\uFEFF${csv.join('')}`));
  }

  /** Ids of the entries whose place another one takes. */
  private async replaced(): Promise<ReadonlySet<string>> {
    const rows = await this.garden.all<{ id: string | null }>(
      `SELECT json_extract(entry, '$.instead') AS id FROM log_entries WHERE lasting = 1`,
    );
    return new Set(rows.flatMap(({ id }) => id ?? []));
  }

  private async writeReadings(): Promise<void> {
    for (let part = 1, after = ''; ; part += 1) {
      const rows = await this.garden.all<{ id: string }>(
        `SELECT id, planter, at, sensor, kind, depth, feels FROM readings WHERE id > $after
         ORDER BY id LIMIT ${ROWS_A_PART}`,
        { after },
      );
      const last = rows.at(-1);
      if (!last) return;
      after = last.id;
      await this.json(`readings/${numbered(part)}.json`, rows);
    }
  }

  private async writeWeather(): Promise<void> {
    const rows = await this.garden.all<{ day: string }>(
      'SELECT day FROM weather_days ORDER BY date',
    );
    await this.json(
      'weather-days.json',
      rows.map(({ day }) => parsedJson(day)),
    );
  }

  private async writePhotos(): Promise<void> {
    const rows = await this.garden.all<{ id: string; hash: string }>(
      'SELECT id, hash FROM photos ORDER BY id',
    );
    for (const { id, hash } of rows) {
      const path = `photos/${id}.jpg`;
      const bytes = await readFile(join(this.photos, `${hash}.jpg`)).catch(() => null);
      if (bytes) await this.put(path, bytes, false);
      else this.damaged.push({ path, name: 'A photo', why: 'Its file is not there any more.' });
    }
  }

  private async writeDamaged(): Promise<void> {
    const rows = await this.garden.all<{
      n: number;
      origin: string;
      name: string;
      why: string;
      row: string;
    }>('SELECT n, origin, name, why, row FROM set_aside ORDER BY n');
    for (const { n, origin, name, why, row } of rows) {
      const path = `damaged/${origin}-${n}.json`;
      await this.put(path, Buffer.from(row));
      this.damaged.push({ path, name, why });
    }
  }
}

const numbered = (part: number): string => String(part).padStart(6, '0');

/** Rows of the table of the log. */
function tableOf(names: ReadonlyMap<string, string>, replaced: ReadonlySet<string>) {
  const lines = (rows: readonly (readonly string[])[]) =>
    rows.length === 0
      ? ''
      : `${Papa.unparse(
          rows.map((row) => [...row]),
          { escapeFormulae: true },
        )}\r\n`;
  const nameOf = (planter: string) => names.get(planter) ?? planter;
  return {
    head: lines([['at', 'planter', 'mark', 'value']]),
    marks: (rows: readonly MarkRow[]): string =>
      lines(
        rows.map(({ planter, key, value, at }) => [
          at,
          nameOf(planter),
          key,
          String(parsedJson(value)),
        ]),
      ),
    entries: (rows: readonly { entry: string }[]): string =>
      lines(
        rows.flatMap(({ entry }) => {
          const read = logEntrySchema.safeParse(parsedJson(entry));
          if (!read.success || read.data.gone || replaced.has(read.data.id)) return [];
          const { at, planter, did, text } = read.data;
          return [[at, nameOf(planter), tell(describeEntry(did), 'metric'), text]];
        }),
      ),
  };
}
