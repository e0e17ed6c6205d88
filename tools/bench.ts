import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser } from '@playwright/test';
import type { PlanterDesign } from '@huerta/core/document';
import { build } from 'vite';
import { CHROMIUM } from '../e2e/playwright.config';
import { besideBare, besidePaper, manyPlanters } from './benchServer';
import { calibration } from './benchCalibration';
import { tending } from './benchTend';
import { fields, outlook, searching, seasons } from './benchSeason';
import { median, quantile, round, sortedBy, type Core } from './measure';
import { plantersAt, root, scratchFolder, serve, type ServedPlanter } from './served';

/** Measures what the product promises to be quick at, on this machine, and prints one JSON object. */

const PORT = 4788;
const base = `http://127.0.0.1:${PORT}`;

/** Core bundled as the pages get it, so that no development transform is measured. */
async function builtCore(): Promise<Core> {
  const { folder: outDir, remove } = scratchFolder();
  await build({
    root,
    logLevel: 'silent',
    build: { ssr: join(root, 'tools/wholeCore.ts'), outDir, minify: true, emptyOutDir: true },
    ssr: { noExternal: true },
  });
  const core = (await import(join(outDir, 'wholeCore.js'))) as Core;
  remove();
  return core;
}

/**
 * Resolve, assess and draw, for the demo garden and for every family: what a line that is being moved
 * asks for at each step, and with the remedies tried too, as when the hand rests.
 */
function evaluation(core: Core, garden: PlanterDesign[]) {
  const once = (design: PlanterDesign, remedies = false): number => {
    const begin = performance.now();
    const { planter, assessment } = core.evaluate(design);
    core.section(planter);
    if (remedies) assessment.findings.forEach((finding) => finding.remedies);
    return performance.now() - begin;
  };
  const families = core.STARTING_POINTS.map(({ design }) => design);
  for (let i = 0; i < 150; i += 1) [...garden, ...families].forEach((design) => once(design, true));
  const timed = (designs: PlanterDesign[], remedies = false) =>
    designs.map((design) => ({
      name: design.name,
      ms: round(median(Array.from({ length: 200 }, () => once(design, remedies)))),
    }));
  return {
    medianMs: round(median(timed(garden).map(({ ms }) => ms))),
    eightCropsInABedMs: timed([eightCrops(core)])[0]?.ms,
    heaviestFamily: sortedBy(timed(families), ({ ms }) => -ms)[0],
    withRemediesMs: round(median(timed(garden, true).map(({ ms }) => ms))),
    heaviestWithRemedies: sortedBy(timed(families, true), ({ ms }) => -ms)[0],
  };
}

/** A framed bed with eight crops, two dozen plants. */
function eightCrops(core: Core): PlanterDesign {
  const bed = core.STARTING_POINTS.find(({ id }) => id === 'film-bed')?.design as PlanterDesign;
  const ids = ['tomato', 'pepper', 'basil', 'chard', 'kale', 'lettuce', 'carrot', 'thyme'] as const;
  const value = ids.map((id) => core.usualPlanted(id, 3));
  return core.applyPatch(bed, [
    { path: ['name'], value: 'Eight crops in a bed' },
    { path: ['planting', 'crops'], value },
  ]);
}

async function startTime(folder: string): Promise<number> {
  const begin = performance.now();
  const served = await serve(folder, PORT);
  const ms = performance.now() - begin;
  await served.stop();
  return ms;
}

async function saves(): Promise<number> {
  let planter = (await plantersAt(base))[0] as ServedPlanter;
  const times: number[] = [];
  for (let i = 0; i < 120; i += 1) {
    const body = { revision: planter.revision, design: { ...planter.design, notes: `save ${i}` } };
    const begin = performance.now();
    const answer = await fetch(`${base}/api/planters/${planter.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    planter = (await answer.json()) as ServedPlanter;
    if (i >= 20) times.push(performance.now() - begin);
  }
  return median(times);
}

/** What pages load before they show anything, the first page's own with it. Kilobytes, gzipped. */
function pageKilobytes(): Record<string, number> {
  const dist = join(root, 'web/dist');
  interface Chunk {
    file: string;
    name?: string;
    imports?: string[];
    isEntry?: boolean;
  }
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8')) as Record<
    string,
    Chunk
  >;
  const loadedBy = (chosen: (chunk: Chunk) => boolean): Set<string> => {
    const wanted = new Set<string>();
    const follow = (key: string): void => {
      const chunk = manifest[key];
      if (!chunk || wanted.has(chunk.file)) return;
      wanted.add(chunk.file);
      chunk.imports?.forEach(follow);
    };
    Object.entries(manifest).forEach(([key, chunk]) => chosen(chunk) && follow(key));
    return wanted;
  };
  const first = loadedBy(({ isEntry }) => isEntry === true);
  const sizeOf = (files: ReadonlySet<string>): number =>
    [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0) /
    1024;
  return {
    first: round(sizeOf(first)),
    ...Object.fromEntries(
      ['EditorPage', 'SeasonPage', 'TodayPage'].map((page) => [
        page,
        round(sizeOf(new Set([...first, ...loadedBy(({ name }) => name === page)]))),
      ]),
    ),
  };
}

/** Runs in the page; as text, because the TypeScript loader's helpers do not exist there. */
const WATCH = `
  window.seen = [];
  window.addEventListener('pointermove', (event) => {
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => window.seen.push(performance.now() - event.timeStamp);
      port2.postMessage(null);
    });
  }, true);
`;

const PAIL = 'Peppers on the kitchen step';
/** Planters that are dragged: pails, and the heaviest to draw and to work out. */
const DRAGGED = [
  PAIL,
  'Lettuces in the round tub',
  'Barrel at the stairs',
  'Cabbages in the half tank',
  'Salad box on legs',
];

/** Times from a pointer's move to the frame that shows it, while the overflow is dragged. */
async function dragging(browser: Browser) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const byPlanter: { name: string; p95Ms: number }[] = [];
  const all: number[] = [];
  const planters = await plantersAt(base);
  for (const name of DRAGGED) {
    const id = planters.find(({ design }) => design.name === name)?.id;
    await page.goto(`${base}/planters/${id}?room=water`);
    const grip = page.getByRole('slider', { name: 'Overflow lip' });
    await grip.waitFor();
    await page.waitForTimeout(500);
    const box = await grip.boundingBox();
    if (!box) continue;
    await page.evaluate(WATCH);
    const [x, y] = [box.x + 30, box.y + 20];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 0; i < 120; i += 1) {
      await page.mouse.move(x, y + 30 * Math.sin(i / 8));
      await page.waitForTimeout(8);
    }
    await page.mouse.up();
    const times = (await page.evaluate('window.seen')) as number[];
    byPlanter.push({ name, p95Ms: round(quantile(times, 0.95)) });
    all.push(...times);
  }
  await page.close();
  return {
    p95Ms: round(quantile(all, 0.95)),
    medianMs: round(median(all)),
    heaviest: sortedBy(byPlanter, ({ p95Ms }) => -p95Ms)[0],
  };
}

/** Runs in the page: keeps what workers are asked and when they answer. As text, like WATCH. */
const LISTEN = `
  window.answers = [];
  window.Worker = class extends window.Worker {
    constructor(...args) {
      super(...args);
      this.addEventListener('message', () => window.answers.push(performance.now() - this.asked));
    }
    postMessage(...args) {
      this.asked = performance.now();
      super.postMessage(...args);
    }
  };
`;

/** The trade curve of 60 points in its worker, from the question to the answer. */
async function tradeInWorker(browser: Browser): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript(LISTEN);
  const times: number[] = [];
  for (const { id, design } of await plantersAt(base)) {
    if (!DRAGGED.includes(design.name)) continue;
    await page.goto(`${base}/planters/${id}?room=water`);
    const field = page.getByRole('textbox', { name: 'Must last' });
    await field.waitFor();
    for (const days of ['3', '5', '6', '8']) {
      await field.fill(days);
      await field.press('Enter');
      await page.waitForTimeout(350);
    }
    times.push(...((await page.evaluate('window.answers')) as number[]).slice(1));
  }
  await page.close();
  return median(times);
}

/** Four planters side by side: from the link that is followed to the table that stands there. */
async function comparing(browser: Browser): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const ids = (await plantersAt(base)).slice(6, 10).map(({ id }) => id);
  const times: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    await page.goto(`${base}/`);
    await page.getByRole('link', { name: 'Compare' }).waitFor();
    await page.waitForTimeout(300);
    times.push(
      (await page.evaluate(`new Promise((done) => {
        const begin = performance.now();
        window.history.pushState({}, '', '/compare?with=${ids.join(',')}');
        window.dispatchEvent(new PopStateEvent('popstate'));
        const look = () => {
          if (document.querySelectorAll('thead svg').length === 4) {
            requestAnimationFrame(() => done(performance.now() - begin));
          } else requestAnimationFrame(look);
        };
        look();
      })`)) as number,
    );
  }
  await page.close();
  return median(times);
}

/** A whole build sheet of each family, worked out anew. */
function sheets(core: Core) {
  const made = core.STARTING_POINTS.map(({ design }) => ({
    name: design.name,
    ...core.evaluate(design),
  }));
  const once = ({ planter, assessment }: (typeof made)[number]): number => {
    const begin = performance.now();
    core.buildSheet(planter, assessment.figures, 'metric');
    return performance.now() - begin;
  };
  for (let i = 0; i < 20; i += 1) made.forEach(once);
  const timed = made.map((one) => ({
    name: one.name,
    ms: round(median(Array.from({ length: 40 }, () => once(one)))),
  }));
  return {
    medianMs: round(median(timed.map(({ ms }) => ms))),
    heaviest: sortedBy(timed, ({ ms }) => -ms)[0],
  };
}

/** Four sheets of templates and the paper sheet of a pail, from the question to the whole answer. */
async function pdfs() {
  const pail = (await plantersAt(base)).find(({ design }) => design.name === PAIL);
  const timed = async (file: string, times: number) => {
    const all: number[] = [];
    let pages = 0;
    for (let i = 0; i < times; i += 1) {
      const begin = performance.now();
      const answer = await fetch(`${base}/api/planters/${pail?.id}/build/${file}`);
      const body = Buffer.from(await answer.arrayBuffer()).toString('latin1');
      all.push(performance.now() - begin);
      pages = body.match(/\/MediaBox/g)?.length ?? 0;
    }
    return { ms: round(median(all)), pages };
  };
  return { sheet: await timed('sheet.pdf', 9), templates: await timed('templates.pdf', 9) };
}

/** Sixty pieces of many lengths, cut from lengths of 2 m. */
function cutting(core: Core) {
  const pieces = Array.from({ length: 60 }, (_, i) => ({
    label: `${i}`,
    length: 0.15 + ((i * 37) % 60) / 66,
    count: 1,
  }));
  const cut = () => core.planCuts(pieces, { length: 2, kerf: 0.003, offcuts: [] });
  const times = Array.from({ length: 9 }, () => {
    const begin = performance.now();
    cut();
    return performance.now() - begin;
  });
  const { bought, bound, proven } = cut();
  return { ms: round(median(times.slice(1))), bought, bound, proven };
}

/** Pictures in the round: a turn of the whole by hand, and all pictures of a build sheet. */
function inTheRound(core: Core) {
  const timed = (draw: () => unknown, times: number): number => {
    draw();
    return median(
      Array.from({ length: times }, () => {
        const begin = performance.now();
        draw();
        return performance.now() - begin;
      }),
    );
  };
  const families = core.STARTING_POINTS.filter(({ id }) => id !== 'blank').map(({ id, design }) => {
    const { planter, assessment } = core.evaluate(design);
    const order = core
      .buildSheet(planter, assessment.figures, 'metric')
      .steps.map((step) => step.id);
    const cut = { bearing: core.viewOf(planter).wedge, half: 1.15 };
    const { brim: water } = planter.heights;
    const scene = () => core.sceneOf(planter, { standing: () => 'plain', cut, water });
    return {
      id,
      facesMs: round(timed(scene, 9)),
      turnMs: round(timed(() => core.roundPicture(planter, { turn: 0.3 }), 9)),
      sheetMs: round(timed(() => order.map((step) => core.stepPicture(planter, order, step)), 3)),
    };
  });
  const of = (key: 'facesMs' | 'turnMs' | 'sheetMs') => ({
    median: round(median(families.map((one) => one[key]))),
    heaviest: sortedBy(families, (one) => -one[key])[0]?.[key],
  });
  return { facesMs: of('facesMs'), turnMs: of('turnMs'), sheetMs: of('sheetMs') };
}

/** Plans for two totes, and for five vessels and six crops: the first one, and all; and the longest step between two looks. */
function planning(core: Core) {
  const wishes = {
    twoTotes: {
      vessels: [{ vessel: 'tote-70' as const, count: 2 }],
      crops: [
        { crop: 'lettuce' as const, count: 6 },
        { crop: 'tomato' as const, count: 2 },
      ],
    },
    fiveVesselsSixCrops: {
      vessels: [
        { vessel: 'pail-20' as const, count: 2 },
        { vessel: 'tote-70' as const, count: 2 },
        { vessel: 'barrel-half' as const, count: 1 },
      ],
      crops: [
        { crop: 'tomato' as const, count: 2 },
        { crop: 'lettuce' as const, count: 8 },
        { crop: 'basil' as const, count: 3 },
        { crop: 'pepper' as const, count: 2 },
        { crop: 'chard' as const, count: 3 },
        { crop: 'radish' as const, count: 12 },
      ],
    },
  };
  const setting = {
    ...{ site: core.SITES.vallesol, book: core.NEW_BOOK, units: 'metric' as const, year: 2027 },
  };
  return Object.fromEntries(
    Object.entries(wishes).map(([name, wish]) => {
      const start = performance.now();
      let first: number | null = null;
      for (const { plans } of core.plansFor({ ...core.usualWish(8), ...wish, days: 8 }, setting))
        if (plans.length > 0) first ??= performance.now() - start;
      return [name, { firstMs: round(first ?? 0), allMs: round(performance.now() - start) }];
    }),
  );
}

const { folder, remove } = scratchFolder();
await startTime(folder);
const starts: number[] = [];
for (let i = 0; i < 5; i += 1) starts.push(await startTime(folder));
const served = await serve(folder, PORT);
try {
  const designs = (await plantersAt(base)).map(({ design }) => design);
  const core = await builtCore();
  const browser = await chromium.launch(CHROMIUM);
  const parts: Record<string, () => unknown> = {
    evaluate: () => evaluation(core, designs),
    drag: () => dragging(browser),
    tradeCurveInWorkerMs: async () => round(await tradeInWorker(browser)),
    compareFourMs: async () => round(await comparing(browser)),
    buildSheet: () => sheets(core),
    inTheRound: () => inTheRound(core),
    pdf: () => pdfs(),
    cutSixty: () => cutting(core),
    season: () => seasons(core),
    moisture: () => fields(core),
    thirtyWeathersOnThePage: () => outlook(browser, base, PAIL),
    search: () => searching(browser, base, PAIL),
    plans: () => planning(core),
    pageKB: pageKilobytes,
    serverStartMs: () => round(median(starts)),
    saveMs: async () => round(await saves()),
    besideBare: () => besideBare(base),
    besidePaper: () => besidePaper(base),
    tending: async () => ({ ...(await tending(browser)), calibration: calibration(core) }),
    // Last: the garden is large from here on.
    manyPlanters: async () => ({
      ...(await manyPlanters(browser, base)),
      memoryMB: Math.round(served.memory()),
    }),
  };
  // `npm run bench -- season search` runs these parts alone.
  const asked = process.argv.slice(2);
  const result: Record<string, unknown> = {};
  for (const [name, run] of Object.entries(parts)) {
    if (asked.length === 0 || asked.includes(name)) result[name] = await run();
  }
  await browser.close();
  console.log(JSON.stringify(result, null, 2));
} finally {
  await served.stop();
  remove();
}
