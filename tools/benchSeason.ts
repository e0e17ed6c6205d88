import { spawnSync } from 'node:child_process';
import { symlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser } from '@playwright/test';
import type { PlanterDesign } from '@huerta/core/document';
import { median, quantile, round, sortedBy, type Core } from './measure';
import { build } from 'vite';
import { plantersAt, root, scratchFolder } from './served';

const SEASON_FROM = '2026-05-01';

const CLIMATES = ['vallesol', 'cool-coast', 'tropics'] as const;
/** Before steps were as long as they may be: seasons are measured against it, in turn, in the same run. */
const BEFORE = '240bc6b';

type Run = ReturnType<Core['runSeason']>;
type AnyCore = Pick<Core, 'evaluate' | 'weatherOf' | 'SITES' | 'STARTING_POINTS' | 'totalsOf'> & {
  runSeason(planter: never, weather: never, options: object, low: number): Run;
};

function runOf(
  core: AnyCore,
  design: PlanterDesign,
  site: string,
  seed: number,
  other: object = {},
) {
  const { planter, assessment } = core.evaluate(design);
  const weather = core.weatherOf(core.SITES[site as never], SEASON_FROM, 180, seed);
  const refillAt = assessment.figures.usableLevel;
  const options = { planted: SEASON_FROM, filling: { kind: 'when-low' }, refillAt, ...other };
  const begin = performance.now();
  const run = core.runSeason(planter as never, weather as never, options, refillAt);
  return { ms: performance.now() - begin, run };
}

/** The core of a commit, bundled as the pages get it; null where its history is not at hand. */
async function coreOf(commit: string): Promise<AnyCore | null> {
  const { folder, remove } = scratchFolder();
  try {
    const tar = spawnSync('git', ['archive', commit, 'core', 'tsconfig.base.json'], {
      cwd: root,
      maxBuffer: 1e9,
    });
    if (tar.status !== 0) return null;
    if (spawnSync('tar', ['x', '-C', folder], { input: tar.stdout }).status !== 0) return null;
    symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
    writeFileSync(join(folder, 'package.json'), '{"type":"module"}');
    const outDir = join(folder, 'out');
    const entry = join(folder, 'core/src/index.ts');
    await build({
      root: folder,
      logLevel: 'silent',
      build: { ssr: entry, outDir, minify: true },
      ssr: { noExternal: true },
    });
    return (await import(join(outDir, 'index.js'))) as AnyCore;
  } finally {
    remove();
  }
}

/** 180 days of every family: how long, against how long it was, and how near to a fine grid by the hour. */
export async function seasons(core: Core) {
  const now = core as unknown as AnyCore;
  const before = await coreOf(BEFORE);
  const pairs = now.STARTING_POINTS.map(({ id, design }) => ({
    id,
    design,
    old: before?.STARTING_POINTS.find((one) => one.id === id)?.design,
  }));
  const timed = pairs.map(({ id, design, old }) => {
    const times: { now: number; before: number }[] = [];
    for (let seed = 0; seed < 6; seed += 1) {
      const fresh = runOf(now, design, 'vallesol', seed).ms;
      const was = before && old ? runOf(before, old, 'vallesol', seed).ms : NaN;
      if (seed > 1) times.push({ now: fresh, before: was });
    }
    const { run } = runOf(now, design, 'vallesol', 1);
    return {
      name: id,
      ms: median(times.map((one) => one.now)),
      beforeMs: median(times.map((one) => one.before)),
      evaluations: run.evaluations,
      balance: run.balance,
    };
  });
  const ms = median(timed.map((one) => one.ms));
  const beforeMs = median(timed.map((one) => one.beforeMs));
  const slow = sortedBy(timed, (one) => -one.ms)[0];
  return {
    median180DaysMs: round(ms),
    [`at${BEFORE}Ms`]: round(beforeMs),
    shareOfBefore: round(ms / beforeMs),
    slowest: slow && { name: slow.name, ms: round(slow.ms) },
    evaluationsOfFirst: timed[0]?.evaluations,
    worstBalancePercent: round(100 * Math.max(...timed.map(({ balance }) => balance))),
    againstFine: againstFine(now),
  };
}

/** Totals against 240 cells, steps of ten minutes at most and sun by the hour, as shares of all that passed. */
function againstFine(core: AnyCore) {
  const worst = { drunk: 0, evaporated: 0, fills: 0, of: '' };
  for (const { id, design } of core.STARTING_POINTS) {
    for (const site of CLIMATES.filter((one) => one in core.SITES)) {
      const usual = core.totalsOf(runOf(core, design, site, 1).run);
      const fine = core.totalsOf(
        runOf(core, design, site, 1, { cells: 240, longest: 600, hourly: true }).run,
      );
      const through = fine.drunk + fine.evaporated + fine.overflow;
      const drunk = (100 * Math.abs(usual.drunk - fine.drunk)) / through;
      if (drunk > worst.drunk) worst.of = `${id}, ${site}`;
      worst.drunk = Math.max(worst.drunk, drunk);
      const dried = (100 * Math.abs(usual.evaporated - fine.evaporated)) / through;
      worst.evaporated = Math.max(worst.evaporated, dried);
      worst.fills = Math.max(worst.fills, Math.abs(usual.fills - fine.fills));
    }
  }
  return {
    worstDrunkPercent: round(worst.drunk),
    worstEvaporatedPercent: round(worst.evaporated),
    worstFillings: worst.fills,
    of: worst.of,
  };
}

/** Where the water gets to, for every family, full and low on a hot day. */
export function fields(core: Core) {
  const once = (design: PlanterDesign, share: number): number => {
    const { planter } = core.evaluate(design);
    const begin = performance.now();
    const level = share * planter.heights.brim;
    core.moistureField(planter, { level, et: design.place.etHot });
    return performance.now() - begin;
  };
  const timed = core.STARTING_POINTS.filter(({ id }) => id !== 'blank').map(({ id, design }) => {
    once(design, 1);
    return { name: id, ms: round(Math.max(once(design, 1), once(design, 0.3))) };
  });
  return {
    medianMs: round(median(timed.map(({ ms }) => ms))),
    pailMs: timed.find(({ name }) => name === 'cloth-pail')?.ms,
    slowest: sortedBy(timed, ({ ms }) => -ms)[0],
  };
}

/** A search in the browser: how long it takes, and how long a key takes to show meanwhile. */
export async function searching(browser: Browser, base: string, name: string) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const pail = (await plantersAt(base)).find(({ design }) => design.name === name);
  await page.goto(`${base}/planters/${pail?.id}/season?view=search`);
  const field = page.getByRole('textbox', { name: 'Until plants go short, at least' });
  await field.waitFor();
  await page.waitForTimeout(12_000);
  await page.evaluate(`
    window.keys = [];
    window.addEventListener('keydown', (event) => requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => window.keys.push(performance.now() - event.timeStamp);
      port2.postMessage(null);
    }), true);
  `);
  const begin = performance.now();
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await field.focus();
  const again = page.getByRole('button', { name: 'Search again' });
  while (!(await again.isVisible())) {
    await page.keyboard.press('ArrowLeft');
    await page.waitForTimeout(60);
  }
  const ms = performance.now() - begin;
  const keys = (await page.evaluate('window.keys')) as number[];
  const tried = await page.getByText(/designs tried/).textContent();
  await page.close();
  return {
    ms: round(ms),
    tried,
    keyMedianMs: round(median(keys)),
    keyP95Ms: round(quantile(keys, 0.95)),
  };
}

/** Thirty weathers of a season in the page's two workers: from the page's opening on, and asked again on the open page. */
export async function outlook(
  browser: Browser,
  base: string,
  name: string,
): Promise<{ openedMs: number; askedMs: number }> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const pail = (await plantersAt(base)).find(({ design }) => design.name === name);
  const begin = performance.now();
  await page.goto(`${base}/planters/${pail?.id}/season`);
  await page.getByText(/\(30 so far\)/).waitFor();
  const openedMs = round(performance.now() - begin);
  await page.waitForTimeout(1000);
  await page.getByText(/^Planted on /).click();
  const asked = performance.now();
  const filled = page.getByRole('combobox', { name: 'It is filled' });
  await filled.selectOption({ index: (await filled.inputValue()) === 'never' ? 0 : 2 });
  const toCome = page.getByText(/more weathers…/);
  await toCome.waitFor();
  await toCome.waitFor({ state: 'hidden' });
  const askedMs = round(performance.now() - asked);
  await page.close();
  return { openedMs, askedMs };
}
