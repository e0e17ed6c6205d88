import type { PlanterResource } from '@huerta/contract';
import { noonIn, zonedTime } from '@huerta/core/physics/climate';
import { readLine, describeEntry, type LogEntry } from '@huerta/core/journal';
import { tell } from '@huerta/core/units';
import Papa from 'papaparse';
import { v5 as uuidOf } from 'uuid';
import { gardenZone } from '../data/gardenDay';
import { saveCsv } from './saveCsv';

/** The log as a table: out for a spreadsheet, and in from one. */

/** Saves entries as a table, in litres and millimetres, oldest first. */
export function keepLog(
  name: string,
  entries: readonly LogEntry[],
  planters: readonly Pick<PlanterResource, 'id' | 'design'>[] = [],
): void {
  const names = new Map(planters.map(({ id, design }) => [id, design.name]));
  const rows = [...entries].reverse().map(({ at, planter, by, did, text, typed }) => ({
    at,
    ...(planters.length > 0 ? { planter: names.get(planter) ?? planter } : {}),
    what: tell(describeEntry(did), 'metric'),
    note: text,
    litres: did.kind === 'filled' && did.volume !== null ? (did.volume * 1000).toFixed(2) : '',
    'till it ran': did.kind === 'filled' ? (did.ran ? 'yes' : 'no') : '',
    mm:
      did.kind === 'level' || did.kind === 'rain' || did.kind === 'finger'
        ? (did.depth * 1000).toFixed(0)
        : '',
    kg: did.kind === 'fed' || did.kind === 'harvested' ? (did.mass ?? '') : '',
    typed,
    by,
  }));
  saveCsv(name, rows);
}

/** The name under which ids of rows are made: the same row twice is one entry. */
const ROWS = '0d9bb9c6-5a0f-4a53-8f5f-2c0d8a4b3e66';
/** Most rows of one file. */
const MOST = 5000;

/** What a table holds as entries of a planter, and what of it cannot be read. */
export interface LogTable {
  entries: LogEntry[];
  troubles: string[];
}

/** Reads a table with a time or day, and what was done, as it was written or as people type it. */
export function readLogCsv(file: string, planter: string, today: string): LogTable {
  const { data, meta } = Papa.parse<Record<string, string>>(file.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const fields = meta.fields ?? [];
  const when = fields.find((one) => ['at', 'time', 'date', 'day'].includes(one));
  const what = fields.find((one) => ['what', 'words', 'entry', 'typed', 'did'].includes(one));
  if (!when || !what)
    return {
      entries: [],
      troubles: ['It wants a column “at” with days or times, and one “what” with what was done.'],
    };
  const entries: LogEntry[] = [];
  const troubles: string[] = [];
  data.slice(0, MOST).forEach((row, i) => {
    const said = (row[what] ?? '').trim();
    const at = timeOf(row[when] ?? '', today);
    const reading = readLine(unescaped(said), { today, system: 'metric' });
    if (at === null) troubles.push(`Row ${i + 2}: “${row[when] ?? ''}” is no day that is over.`);
    else if (!reading.ok) troubles.push(`Row ${i + 2}: ${reading.message}`);
    else if (reading.line.doubts.length > 0)
      troubles.push(`Row ${i + 2}: ${reading.line.doubts.join(' ')}`);
    else {
      const note = unescaped((row['note'] ?? '').trim());
      const by = (row['by'] ?? '').trim().slice(0, 40);
      reading.line.deeds.forEach(({ did, text }, k) => {
        const bare = did.kind === 'did' && did.what === 'note' && text === 'Note';
        const words = bare || (did.kind === 'did' && did.what !== 'note') ? '' : text;
        entries.push({
          id: uuidOf([planter, at, said, note, ...(k > 0 ? [k] : [])].join(' '), ROWS),
          planter,
          at,
          by,
          did,
          text: ((k === 0 && note) || words).slice(0, 2000),
          typed: '',
          instead: null,
          gone: false,
        });
      });
    }
  });
  if (data.length > MOST) troubles.push(`Only the first ${MOST} rows are read.`);
  return { entries, troubles };
}

/** What was written so that no spreadsheet takes it for a formula. */
const unescaped = (text: string): string => text.replace(/^'(?=[=+\-@])/, '');

function timeOf(text: string, today: string): string | null {
  const day = /^\d{4}-\d{2}-\d{2}$/.test(text.trim());
  const time = Date.parse(day ? `${text.trim()}T12:00:00Z` : text);
  if (Number.isNaN(time)) return null;
  const zone = gardenZone();
  const at = day ? noonIn(zone, text.trim()) : zonedTime(time, zone);
  return at.slice(0, 10) <= today ? at : null;
}
