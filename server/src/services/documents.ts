import type { DocumentKind, SetAside } from '@huerta/contract';
import { createHash, randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Database } from '../storage/database';
import type { Base, DocumentHead, DocumentRow, RevisionRow } from '../storage/documents';
import { conflict, contradiction, notFound, type Where } from './problems';
import { checksumOf } from '../storage/checksum';
import { expiredRevisions } from './revisionRetention';

/** What a save says of itself. */
export interface Save extends Base {
  /** The id that the device gave it, or null. */
  saveId: string | null;
}

export type Reading<T> = { ok: true; value: T } | { ok: false; message: string };

/** What the store must know of a kind of document. */
export interface Kind<T> {
  kind: DocumentKind;
  /** How a sentence begins that says that there is none. */
  this: string;
  /** Has its like in the answer: the field that the value stands in. */
  field: string;
  schema: z.ZodType<T>;
  /** Reads what another Huerta wrote, bringing it up to date. */
  read(raw: unknown): Reading<T>;
  /** What cannot be, which is refused. */
  contradictions?(value: T): Where[];
  /** What one is that was never written, for those that there is one of. */
  first?: T;
}

/** A document as it is kept. */
export interface Kept<T> {
  id: string;
  name: string;
  /** 0 for one that was never written. */
  revision: number;
  createdAt: string;
  updatedAt: string;
  value: T;
}

interface Named<T> {
  name: string;
  value: T;
}

/** After so many saves old revisions are thinned. */
const THIN_EVERY = 16;

/** The documents of one kind. Every method answers with the document as it then stands. */
export interface Documents<T> {
  /** Those that can be read, and the others by their names. */
  list(): Promise<{ kept: Kept<T>[]; setAside: SetAside }>;
  get(id: string): Promise<Kept<T>>;
  /** The answer to a request as JSON text: what this Huerta wrote itself is passed on as it lies there. */
  answer(id: string): Promise<string>;
  create(document: Named<T>): Promise<Kept<T>>;
  /**
   * A save that was taken already is known by its id and answered again. With revision 0 it makes the document.
   *
   * @throws ProblemError conflict when neither its revision nor the save before it is on the server
   */
  save(id: string, save: Save, document: Named<T>): Promise<Kept<T>>;
  /** What it was before its saves, newest first. */
  history(id: string): Promise<{ revision: number; at: string; value: T }[]>;
  /** Why a text cannot be read as one of these; null when it can. */
  unreadable(text: string): string | null;
  remove(id: string): Promise<void>;
  restore(id: string): Promise<Kept<T>>;
}

/**
 * The store for one kind: the same revisions, history, reading and setting aside for all.
 *
 * @param onChange told after every save
 */
// eslint-disable-next-line max-lines-per-function -- one service for every kind of document: its methods share its table and its clock.
export function documentsOf<T>(
  kind: Kind<T>,
  { documents }: Pick<Database, 'documents'>,
  onChange: () => void = () => undefined,
): Documents<T> {
  const format = formatOf(kind);
  const of = kind.kind;
  const missing = () => notFound(`${kind.this} is not in the garden. It may have been deleted.`);
  const find = async (id: string): Promise<DocumentRow> => {
    const row = await documents.find(of, id);
    if (!row) throw missing();
    return row;
  };
  const keep = (row: DocumentHead, value: T): Kept<T> => ({
    id: row.id,
    name: row.name,
    revision: row.revision,
    createdAt: row.createdAt,
    updatedAt: row.updatedAt,
    value,
  });
  /** @throws ProblemError when this Huerta cannot read it and there is nothing to begin from */
  const readable = (row: DocumentRow): Kept<T> => {
    const reading = readRow(kind, format, row);
    if (reading.ok) return keep(row, reading.value);
    // It stays in the history when it is written over.
    if (kind.first !== undefined) return keep(row, kind.first);
    throw notFound(
      `‘${row.name}’ cannot be opened by this Huerta: ${reading.message} Its file can be taken away from the garden page.`,
    );
  };
  const thin = async (id: string): Promise<void> => {
    const rows = (await documents.revisions(of, id)).reverse();
    const old = expiredRevisions(
      rows.map(({ createdAt }) => Date.parse(createdAt)),
      Date.now(),
    );
    const drop = old.flatMap((i) => rows[i]?.revision ?? []);
    if (drop.length > 0) await documents.dropRevisions(of, id, drop);
  };
  /** Refuses what cannot be, but for what was kept before a rule became stricter and is still so. */
  const mustBePossible = async (value: T, id: string | null): Promise<void> => {
    const found = kind.contradictions?.(value) ?? [];
    if (found.length === 0) return;
    const row = id === null ? null : await documents.find(of, id);
    const reading = row && readRow(kind, format, row);
    const before = reading?.ok ? reading.value : null;
    const known = new Set(
      before ? kind.contradictions?.(before).map(({ path }) => path.join()) : [],
    );
    const come = found.filter(({ path }) => !known.has(path.join()));
    if (come.length > 0) throw contradiction(come);
  };
  const written = (id: string, saveId: string | null, { name, value }: Named<T>) => {
    const text = JSON.stringify(value);
    return { kind: of, id, name, text, format: `${format}.${checksumOf(text)}`, saveId };
  };
  const get = async (id: string): Promise<Kept<T>> => {
    const row = await documents.find(of, id);
    if (row) return readable(row);
    if (kind.first === undefined) throw missing();
    return { id, name: '', revision: 0, createdAt: '', updatedAt: '', value: kind.first };
  };

  return {
    async list() {
      const kept: Kept<T>[] = [];
      const setAside: SetAside = [];
      for (const row of await documents.all(of)) {
        const reading = readRow(kind, format, row);
        if (reading.ok) kept.push(keep(row, reading.value));
        else
          setAside.push({
            kind: of,
            id: row.id,
            name: row.name,
            why: reading.message,
            file: `/documents/${of}/${row.id}`,
          });
      }
      return { kept, setAside };
    },

    get,

    async answer(id) {
      const row = await documents.find(of, id);
      if (!row || !isAsWritten(row, format)) {
        return JSON.stringify(toAnswer(kind, await get(id)));
      }
      const { value: _none, ...head } = keep(row, null as T);
      const shown = JSON.stringify(toAnswer(kind, { ...head, value: null as T }));
      return `${shown.slice(0, -'null}'.length)}${row.text}}`;
    },

    async create(document) {
      await mustBePossible(document.value, null);
      const write = written(randomUUID(), null, document);
      const row = await documents.insert(write);
      if (!row) throw new Error('An id came twice');
      onChange();
      return keep(row, document.value);
    },

    async save(id, save, document) {
      await mustBePossible(document.value, id);
      const write = written(id, save.saveId, document);
      const row =
        (save.revision === 0 ? await documents.insert(write) : null) ??
        (await documents.update(write, save));
      if (row) {
        if (row.revision % THIN_EVERY === 0) await thin(id);
        onChange();
        return keep(row, document.value);
      }
      const there = await find(id);
      const now = readable(there);
      if (save.saveId && there.saveId === save.saveId) return now;
      throw conflict(kind.this, toAnswer(kind, now));
    },

    async history(id) {
      if (kind.first === undefined) await find(id);
      const rows = await documents.revisions(of, id);
      return rows.flatMap(({ revision, text, createdAt }: RevisionRow) => {
        const reading = readText(kind, text);
        return reading.ok ? [{ revision, at: createdAt, value: reading.value }] : [];
      });
    },

    unreadable(text) {
      const reading = readText(kind, text);
      return reading.ok ? null : reading.message;
    },

    async remove(id) {
      if (!(await documents.mark(of, id, true))) throw missing();
    },

    async restore(id) {
      if (!(await documents.mark(of, id, false))) {
        throw notFound(`${kind.this} was never in the garden.`);
      }
      return readable(await find(id));
    },
  };
}

/** A document as the API answers it; the value stands last. */
export function toAnswer<T>(
  kind: Kind<T>,
  kept: Kept<T>,
): Record<string, unknown> & { revision: number } {
  const { id, name, revision, createdAt, updatedAt, value } = kept;
  return kind.first === undefined
    ? { id, name, revision, createdAt, updatedAt, [kind.field]: value }
    : { revision, updatedAt: updatedAt || null, [kind.field]: value };
}

/** Of what this Huerta writes: what was checked by the very same schema need not be checked again. */
function formatOf(kind: Kind<unknown>): string {
  const known = formats.get(kind);
  if (known !== undefined) return known;
  const { schema } = kind;
  const described = JSON.stringify(z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' }));
  const format = createHash('sha256').update(described).digest('base64url').slice(0, 16);
  formats.set(kind, format);
  return format;
}
const formats = new WeakMap<object, string>();

/**
 * What a text that comes from elsewhere is kept with: the schema's mark and the text's, where it says all that its
 * kind has today; null where it is to be read with care and brought up to date.
 */
export function formatFor(kind: Kind<unknown>, text: string): string | null {
  const raw = JSON.parse(text) as unknown;
  const parsed = kind.schema.safeParse(raw);
  return parsed.success && JSON.stringify(parsed.data) === JSON.stringify(raw)
    ? `${formatOf(kind)}.${checksumOf(text)}`
    : null;
}

/** Whether a text is what this very Huerta's schema was asked about, to the letter. */
const isAsWritten = ({ format: by, text }: DocumentRow, format: string): boolean =>
  by === `${format}.${checksumOf(text)}`;

/** Whether a text is another than the one that was written. */
function isChanged({ format, text }: DocumentRow): boolean {
  const checksum = /\.([0-9a-f]{8})$/.exec(format ?? '')?.[1];
  return checksum !== undefined && checksum !== checksumOf(text);
}

function readRow<T>(kind: Kind<T>, format: string, row: DocumentRow): Reading<T> {
  if (isAsWritten(row, format)) return { ok: true, value: JSON.parse(row.text) as T };
  if (isChanged(row)) return { ok: false, message: 'Its file is damaged.' };
  return readText(kind, row.text);
}

/** A document is read as a file would be, so that old ones are brought up to date. */
export function readText<T>(kind: Kind<T>, text: string): Reading<T> {
  try {
    return kind.read(JSON.parse(text));
  } catch {
    return { ok: false, message: 'Its file is damaged.' };
  }
}

/** Reads by the schema alone, for kinds whose form never changed. */
export const bySchema =
  <T>(schema: z.ZodType<T>) =>
  (raw: unknown): Reading<T> => {
    const parsed = schema.safeParse(raw);
    if (parsed.success) return { ok: true, value: parsed.data };
    const [issue] = parsed.error.issues;
    const where = issue && issue.path.length > 0 ? ` at ‘${issue.path.join(', ')}’` : '';
    return { ok: false, message: `It is damaged${where}.` };
  };
