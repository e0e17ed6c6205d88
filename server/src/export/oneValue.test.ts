import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gardenSchema } from '@huerta/contract';
import { buildSheet } from '@huerta/core/fabrication';
import { evaluate, reportOf, SHOWN } from '@huerta/core/assessment';
import { STARTING_POINTS } from '@huerta/core/document';
import { wordsIn, type UnitSystem } from '@huerta/core/units';
import parsePdf from 'pdf-parse/lib/pdf-parse.js';
import { servicesOf, type Services } from '../services';
import { openDatabase, type Database } from '../storage/database';

/** One figure has one value, wherever it stands: bench, garden, paper, label, dip stick, steps, API. */

let folder: string;
let database: Database;
let services: Services;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-values-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  services = servicesOf(database);
});
afterAll(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

const squeezed = (words: string): string => words.replace(/[\s\u00a0\u202f]/g, '');
const textOf = async (content: Buffer | string): Promise<string> =>
  squeezed((await parsePdf(content as Buffer)).text);

const FAMILIES = ['cup-pail', 'bottle', 'tote-pipes', 'coil-barrel', 'film-bed', 'gutter-pails'];

describe.each(FAMILIES)('%s', (family) => {
  const design = STARTING_POINTS.find(({ id }) => id === family)!.design;
  const { planter, assessment } = evaluate(design);
  const { figures } = assessment;
  let id = '';
  beforeAll(async () => {
    ({ id } = await services.planters.create({ name: design.name, value: design }));
  });

  test.each<UnitSystem>(['metric', 'us'])(
    'on screen, on paper and for other programs, %s',
    async (units) => {
      const words = wordsIn(units);
      const screen = new Map<string, string>(
        reportOf(figures, SHOWN.all).map(({ id: row, value, kind, none }) => [
          row,
          value === null ? none : words.write(value, kind),
        ]),
      );
      // For other programs, word for word.
      const api = await services.reports.assessment(id, units);
      for (const { id: row, text } of api.figures)
        expect([row, text]).toEqual([row, screen.get(row)]);

      // On the paper sheet.
      const query = { units, paper: 'a4' } as const;
      const sheet = await textOf((await services.files.sheet(id, query)).content);
      for (const row of SHOWN.paper)
        expect([row, sheet.includes(squeezed(screen.get(row) ?? ''))]).toEqual([row, true]);

      // In the garden's list: what the bench leads with.
      const garden = gardenSchema.parse(JSON.parse(await services.garden.entries()));
      const entry = garden.entries.find((one) => one.id === id)!;
      expect(words.write(entry.summary.usable, 'volume')).toBe(screen.get('usable'));
      expect(words.write(entry.summary.days ?? 0, 'days')).toBe(screen.get('lastsHot'));

      // What is filled in at the end is what stick and label call full.
      const full = words.write(figures.standing, 'volume');
      const steps = buildSheet(planter, figures, units);
      const fill = steps.steps
        .find((step) => step.id === 'water')!
        .doing.map(words.tell)
        .join(' ');
      expect([family, fill.includes(`up to ${full}`)]).toEqual([family, true]);
      const label = { ...query, at: 'http://localhost:4700', day: '2026-05-01' };
      const printed = await textOf((await services.files.label(id, label)).content);
      expect(printed).toContain(squeezed(`Takes ${full} when empty`));
      const stick = steps.templates.find((one) => one.id === 'dip-stick');
      const onStick = (stick?.shapes ?? []).flatMap((one) =>
        one.kind === 'text' ? [one.text] : [],
      );
      if (stick) expect(onStick.map(squeezed)).toContain(squeezed(`FULL ${full}`));
    },
  );
});
