import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { applyPatch, type PlanterDesign, STARTING_POINTS } from '@huerta/core/document';
import { type UnitSystem, tell, wordsIn } from '@huerta/core/units';
import { billOf, buildSheet, NEW_BOOK, shoppingFor, sourcingOf } from '@huerta/core/fabrication';
import { evaluate } from '@huerta/core/assessment';
import jsQR from 'jsqr';
import Papa from 'papaparse';
import { servicesOf, type Services } from '../services';
import { ONLY } from '../services/kinds';
import { openDatabase, type Database } from '../storage/database';
import { readPdf } from '../testing/readPdf';
import parsePdf from 'pdf-parse/lib/pdf-parse.js';

let folder: string;
let database: Database;
let services: Services;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-files-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  services = servicesOf(database);
});
afterAll(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

const make = async (id: string, name = id): Promise<string> => {
  const { design } = STARTING_POINTS.find((one) => one.id === id)!;
  const value = applyPatch(design, [{ path: ['name'], value: name }]);
  return (await services.planters.create({ name, value })).id;
};
/** Without spaces, which paper breaks lines at. */
const squeezed = (words: string): string => words.replace(/[\s\u00a0\u202f]/g, '');
const metric = { units: 'metric', paper: 'a4' } as const;

/** Each line of the bill as the screen words it: what, how much, where, what to buy. */
async function billFor(design: PlanterDesign, units: UnitSystem): Promise<string[][]> {
  const book = (await services.prices.get(ONLY)).value;
  const { planter, assessment } = evaluate(design);
  const sheet = buildSheet(planter, assessment.figures, units);
  const { usable } = assessment.figures;
  return billOf(sheet, shoppingFor([{ name: '', ...sheet, usable }], book, units)).map((one) => [
    tell(one.what, units),
    tell(one.amount, units),
    one.use,
    tell(sourcingOf(one), units),
  ]);
}

test.each(STARTING_POINTS.map(({ id, group }) => [id, group] as const))(
  'the sheet of %s fits its pages, and paper and CSV say the bill that the screen shows, line for line',
  async (family, group) => {
    const id = await make(family);
    const { value: design } = await services.planters.get(id);
    for (const query of [metric, { units: 'us', paper: 'letter' } as const]) {
      const { name, content } = await services.files.sheet(id, query);
      expect(name).toMatch(/ build sheet\.pdf$/);
      const pages = readPdf(content);
      expect([family, pages.length <= (group === 'pail' ? 2 : 4)]).toEqual([family, true]);
      // Nothing is drawn off the paper.
      for (const page of pages) {
        for (const { x1, y1 } of page.lines) {
          expect(x1 > 0 && x1 < page.width && y1 > 0 && y1 < page.height).toBe(true);
        }
      }
      const bill = await billFor(design, query.units);
      const printed = squeezed((await parsePdf(content)).text);
      // Loose sheets find each other again.
      if (pages.length > 1)
        pages.forEach((_, i) => expect(printed).toContain(`${i + 1}of${pages.length}`));
      const unsaid = bill
        .flatMap(([what, amount, , buy]) => [what!, amount!, buy!])
        .filter((words) => !printed.includes(squeezed(words)));
      expect([family, query.units, unsaid]).toEqual([family, query.units, []]);

      const csv = (await services.files.parts(id, query)).content;
      const { data } = Papa.parse<Record<string, string>>(csv.trim(), { header: true });
      expect(data.map((row) => [row.part, row['how much'], row.where, row.buy])).toEqual(
        bill.map((line) => line.map((words) => words.replace(/[\u00a0\u202f]/g, ' '))),
      );
    }
  },
);

test('with a decimal comma, no number on any paper has a point', async () => {
  const id = await make('coil-barrel', 'Two and a half');
  const query = { ...metric, decimal: 'comma' } as const;
  const { value: design } = await services.planters.get(id);
  const { planter, assessment } = evaluate(design);
  const usual = buildSheet(planter, assessment.figures, 'metric');
  const label = { ...query, at: 'http://10.0.0.7:4700', day: '2026-05-01' };
  const sheet = squeezed((await parsePdf((await services.files.sheet(id, query)).content)).text);
  expect(sheet).not.toMatch(/\d\.\d/);
  for (const step of usual.steps)
    for (const one of step.doing)
      expect(sheet).toContain(squeezed(wordsIn('metric', 'comma').tell(one)));
  const strip = await services.files.template(id, 'dip-stick', 'svg', query);
  expect(
    String(strip.content)
      .match(/>[^<]*</g)!
      .join(' '),
  ).not.toMatch(/\d\.\d/);
  // An address is no number.
  const paper = await parsePdf((await services.files.label(id, label)).content);
  expect(paper.text).not.toMatch(/\d\.\d[^.]*\bL\b/);
});

test('any name in Latin, Greek or Cyrillic letters is written as it is on every paper', async () => {
  const name = 'Łąka őő Ελιά Ογουρτσιά Огурцы žů';
  const id = await make('cloth-pail', name);
  const label = { ...metric, at: 'http://localhost:4700', day: '2026-05-01' };
  const papers = [
    await services.files.sheet(id, metric),
    await services.files.templates(id, metric),
    await services.files.label(id, label),
  ];
  for (const { content } of papers) {
    expect(squeezed((await parsePdf(content)).text)).toContain(squeezed(name));
  }
});

test('what no face has is written as a plain mark, one for each sign, and the rest as it is', async () => {
  const id = await make('cloth-pail', 'Tomate 🍅 👩🏽‍🌾 балкон 番茄');
  const label = { ...metric, at: 'http://localhost:4700', day: '2026-05-01' };
  for (const { content } of [
    await services.files.sheet(id, metric),
    await services.files.label(id, label),
  ])
    expect(squeezed((await parsePdf(content)).text)).toContain(squeezed('Tomate ◆ ◆ балкон ◆◆'));
});

test('the label’s code opens this planter, on both labels', async () => {
  const id = await make('cloth-pail');
  const { content } = await services.files.label(id, {
    ...metric,
    at: 'http://huerta.lan:4700',
    day: '2026-05-01',
  });
  const [page] = readPdf(content);
  const size = Math.min(...page!.boxes.map(({ width }) => width));
  const sizes = [...new Set(page!.boxes.map(({ width }) => Math.round(width * 1e7)))].filter(
    (w) => w < 2e4,
  );
  expect(sizes.length).toBeGreaterThanOrEqual(2);
  expect(size).toBeGreaterThan(4e-4);
  for (const wide of sizes) {
    const modules = page!.boxes.filter(({ width }) => Math.round(width * 1e7) === wide);
    expect(decode(modules, wide / 1e7)).toBe(`http://huerta.lan:4700/planters/${id}`);
  }
});

/** Paints the squares of a code at four pixels each, and reads it as a telephone would. */
function decode(modules: { x: number; y: number }[], step: number): string | undefined {
  const left = Math.min(...modules.map(({ x }) => x));
  const top = Math.max(...modules.map(({ y }) => y));
  const count = Math.round((Math.max(...modules.map(({ x }) => x)) - left) / step) + 1;
  const side = (count + 8) * 4;
  const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
  for (const { x, y } of modules) {
    const [column, row] = [Math.round((x - left) / step) + 4, Math.round((top - y) / step) + 4];
    for (let i = 0; i < 16; i += 1) {
      const at = ((row * 4 + (i >> 2)) * side + column * 4 + (i & 3)) * 4;
      pixels.fill(0, at, at + 3);
    }
  }
  return jsQR(pixels, side, side)?.data;
}

test('parts and cuts come back from CSV; a name that looks like a formula is none', async () => {
  const id = await make('tote-pipes', '=1+1');
  const rows = (text: string) =>
    Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
  const parts = rows((await services.files.parts(id, metric)).content);
  expect(parts.find(({ good }) => good === '50 mm pipe')).toMatchObject({
    unit: 'm',
    buy: '1 × 2 m',
  });
  const cuts = rows((await services.files.cuts(id, metric)).content);
  const supports = cuts.filter(({ piece }) => piece === 'Support');
  expect(supports).toHaveLength(14);
  expect(supports[1]!['from mm']).toBe('93');
  expect(cuts.every((row) => !row.piece!.startsWith('='))).toBe(true);
});

test('paper of so many sheets that nobody tapes them together is refused, with another way', async () => {
  const wide = ['topDiameter', 'bottomDiameter'].map((name) => ({
    path: ['vessel', name],
    value: 2,
  }));
  const { design } = STARTING_POINTS.find((one) => one.id === 'cloth-pail')!;
  const { id } = await services.planters.create({ name: 'Pond', value: applyPatch(design, wide) });
  await expect(services.files.templates(id, metric)).rejects.toThrow(/111 sheets.*copy shop/);
  const { content } = await services.files.template(id, 'platform', 'dxf', metric);
  expect(content.length).toBeGreaterThan(1000);
});

test('the price book counts in the files, and two that save at once do not undo each other', async () => {
  const id = await make('cloth-pail');
  const book = { ...NEW_BOOK, prices: { EUR: { cap: [{ size: 1, price: 9 }] } } };
  const save = (revision: number) =>
    services.prices.save(
      ONLY,
      { revision, saveId: null, after: [] },
      { name: 'Prices', value: book },
    );
  const saved = await save(0);
  expect(saved).toMatchObject({ revision: 1, value: book });
  await expect(save(0)).rejects.toThrow('changed in another window');
  await expect(save(7)).rejects.toThrow('changed in another window');
  const parts = (await services.files.parts(id, metric)).content;
  expect(parts).toMatch(
    /Cap,1 for 32.mm pipe,Closes the fill tube,1,Cap for a tube,1,0,piece,9,EUR/,
  );
  expect(await services.prices.get(ONLY)).toEqual(saved);
});
