import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import parsePdf from 'pdf-parse/lib/pdf-parse.js';
import { gardenSchema } from '@huerta/contract';
import { cautiousDays, daysToSay, evaluate } from '@huerta/core/assessment';
import { STARTING_POINTS, type PlanterDesign, type WaterLine } from '@huerta/core/document';
import { FIRST_ROUND } from '@huerta/core/journal';
import { lineShares, usualLine } from '@huerta/core/simulation/waterLine';
import { servicesOf, type Services } from '.';
import { openDatabase, type Database } from '../storage/database';
import { ONLY } from './kinds';

let folder: string;
let database: Database;
let services: Services;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-joined-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  services = servicesOf(database);
});
afterEach(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

const { design: TOTE } = STARTING_POINTS.find(({ id }) => id === 'tote-pipes')!;

const make = async (name: string) => {
  const value = { ...TOTE, name };
  const { id } = await services.planters.create({ name, value });
  return { id, value };
};
const listed = async () => gardenSchema.parse(JSON.parse(await services.garden.entries())).entries;

/** Joins them; the level is so much below that of the lips. */
async function joinAll(of: readonly { id: string; value: PlanterDesign }[], lower = 0) {
  const planters = of.map(({ id, value }) => ({ id, design: value }));
  const usual = usualLine({ id: of[0]!.id, name: 'South wall' }, planters, 'metric');
  const line: WaterLine = { ...usual, level: usual.level - lower };
  const { revision } = await services.round.get(ONLY);
  const save = { revision, saveId: null, after: [] };
  await services.round.save(ONLY, save, { name: '', value: { ...FIRST_ROUND, lines: [line] } });
  return lineShares({ line, designs: Object.fromEntries(of.map((one) => [one.id, one.value])) });
}

test('list, report and core say the same of a joined planter, and follow its line', async () => {
  const of = [await make('Left'), await make('Right')];
  const alone = await make('Alone');
  const before = await listed();
  for (const lower of [0, 0.02]) {
    const shares = await joinAll(of, lower);
    const now = await listed();
    for (const { id, value } of of) {
      const { figures } = evaluate(value, shares[id]).assessment;
      const { summary } = now.find((one) => one.id === id)!;
      expect(summary.days).toBe(daysToSay(figures.lastsHot.days));
      expect(summary.usable).toBe(figures.usable);
      expect(summary.days!).toBeGreaterThan(before.find((one) => one.id === id)!.summary.days!);
      const report = await services.reports.assessment(id, 'metric');
      const told = report.figures.find(({ id: figure }) => figure === 'lastsHot')!;
      expect(told.value).toBe(cautiousDays(figures.lastsHot.days));
    }
    const same = (list: typeof now) => list.find(({ id }) => id === alone.id)!.summary;
    expect(same(now)).toEqual(same(before));
  }
});

test('a planter that is gone is left out of its line, and the others are listed', async () => {
  const of = [await make('Left'), await make('Right')];
  await joinAll(of);
  await services.planters.remove(of[1]!.id);
  expect((await listed()).map(({ name }) => name)).toEqual(['Left']);
});

test('the paper of a joined planter has its days with its line, and the hole for its hose', async () => {
  const of = [await make('Left'), await make('Right')];
  const paper = async () => {
    const { content } = await services.files.sheet(of[0]!.id, { units: 'metric', paper: 'a4' });
    return (await parsePdf(content)).text;
  };
  expect(await paper()).not.toContain('drill for the hose');
  const shares = await joinAll(of);
  const { lastsHot } = evaluate(of[0]!.value, shares[of[0]!.id]).assessment.figures;
  const text = (await paper()).replace(/\s+/g, ' ');
  expect(text).toMatch(/joined as ‘South wall’.*drill for the hose’s fitting/);
  expect(text).toContain(`${cautiousDays(lastsHot.days)} days`);
});
