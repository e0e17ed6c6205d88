import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import type { PlanterDesign } from '@huerta/core';
import { build } from 'vite';
import { CHROMIUM } from '../e2e/playwright.config';
import { plantersAt, root, scratchFolder, serve, type ServedPlanter } from './served';

/** Measures what the product promises to be quick at, on this machine, and prints one JSON object. */

const PORT = 4795;
const base = `http://127.0.0.1:${PORT}`;

const sorted = (times: number[]): number[] => [...times].sort((a, b) => a - b);
const quantile = (times: number[], share: number): number =>
  sorted(times)[Math.min(Math.floor(times.length * share), times.length - 1)] ?? NaN;
const median = (times: number[]): number => quantile(times, 0.5);
const round = (value: number): number => Number(value.toPrecision(3));

/** Core bundled as the pages get it, so that no development transform is measured. */
async function evaluation(designs: PlanterDesign[]) {
  const { folder: outDir, remove } = scratchFolder();
  await build({
    root,
    logLevel: 'silent',
    build: { ssr: join(root, 'core/src/index.ts'), outDir, minify: true, emptyOutDir: true },
    ssr: { noExternal: true },
  });
  const core = (await import(join(outDir, 'index.js'))) as typeof import('@huerta/core');
  const once = (design: PlanterDesign): number => {
    const begin = performance.now();
    const { planter } = core.evaluate(design);
    core.section(planter);
    return performance.now() - begin;
  };
  for (let i = 0; i < 300; i += 1) designs.forEach(once);
  const byDesign = designs.map((design) => ({
    name: design.name,
    ms: round(median(Array.from({ length: 300 }, () => once(design)))),
  }));
  remove();
  return {
    medianMs: round(median(byDesign.map(({ ms }) => ms))),
    heaviest: sortedBy(byDesign, ({ ms }) => -ms)[0],
  };
}

const sortedBy = <T>(list: T[], key: (item: T) => number): T[] =>
  [...list].sort((a, b) => key(a) - key(b));

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

/** JavaScript that the garden needs, gzipped, in kilobytes. */
function firstPageKilobytes(): number {
  const dist = join(root, 'web/dist');
  interface Chunk {
    file: string;
    imports?: string[];
    isEntry?: boolean;
  }
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8')) as Record<
    string,
    Chunk
  >;
  const wanted = new Set<string>();
  const follow = (key: string): void => {
    const chunk = manifest[key];
    if (!chunk || wanted.has(chunk.file)) return;
    wanted.add(chunk.file);
    chunk.imports?.forEach(follow);
  };
  Object.entries(manifest).forEach(([key, chunk]) => chunk.isEntry && follow(key));
  const bytes = [...wanted].reduce(
    (sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length,
    0,
  );
  return bytes / 1024;
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

/** Times from a pointer's move to the frame that shows it, while the overflow is dragged. */
async function dragging(): Promise<{ p95Ms: number; medianMs: number }> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const times: number[] = [];
  for (const { id } of (await plantersAt(base)).slice(0, 5)) {
    await page.goto(`${base}/planters/${id}?room=water`);
    const grip = page.getByRole('slider', { name: 'Overflow lip' });
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
    times.push(...((await page.evaluate('window.seen')) as number[]));
  }
  await browser.close();
  return { p95Ms: round(quantile(times, 0.95)), medianMs: round(median(times)) };
}

const { folder, remove } = scratchFolder();
await startTime(folder);
const starts: number[] = [];
for (let i = 0; i < 5; i += 1) starts.push(await startTime(folder));
const served = await serve(folder, PORT);
try {
  const designs = (await plantersAt(base)).map(({ design }) => design);
  const result = {
    evaluate: await evaluation(designs),
    drag: await dragging(),
    firstPageKB: round(firstPageKilobytes()),
    serverStartMs: round(median(starts)),
    saveMs: round(await saves()),
  };
  console.log(JSON.stringify(result, null, 2));
} finally {
  await served.stop();
  remove();
}
