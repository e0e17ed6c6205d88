import type { Browser } from '@playwright/test';
import type { PlanterDesign } from '@huerta/core';
import { median, quantile, round, sortedBy, type Core } from './measure';
import { plantersAt } from './served';

const SEASON_FROM = '2026-05-01';

/** 180 days of every family, and thirty weathers of one; how often the soil was worked out. */
export function seasons(core: Core) {
  const once = (design: PlanterDesign, seed: number) => {
    const { planter, assessment } = core.evaluate(design);
    const weather = core.weatherOf(core.SITES.vallesol, SEASON_FROM, 180, seed);
    const options = { planted: SEASON_FROM, filling: { kind: 'when-low' } } as const;
    const begin = performance.now();
    const run = core.runSeason(planter, weather, { ...options, refillAt: assessment.figures.usableLevel });
    return { ms: performance.now() - begin, evaluations: run.evaluations, balance: run.balance };
  };
  const designs = core.STARTING_POINTS.map(({ design }) => design);
  designs.forEach((design) => once(design, 0));
  const timed = designs.map((design) => {
    const runs = [1, 2, 3].map((seed) => once(design, seed));
    return {
      name: design.name,
      ms: round(median(runs.map(({ ms }) => ms))),
      evaluations: runs[0]?.evaluations ?? 0,
      balance: Math.max(...runs.map(({ balance }) => balance)),
    };
  });
  const begin = performance.now();
  for (let seed = 0; seed < 30; seed += 1) once(designs[0] as PlanterDesign, seed);
  return {
    median180DaysMs: round(median(timed.map(({ ms }) => ms))),
    slowest: sortedBy(timed, ({ ms }) => -ms)[0],
    evaluationsOfFirst: timed[0]?.evaluations,
    worstBalancePercent: round(100 * Math.max(...timed.map(({ balance }) => balance))),
    thirtySeedsOnOneProcessorMs: round(performance.now() - begin),
  };
}

/** A search in the browser: how long it takes, and how long a key takes to show meanwhile. */
export async function searching(browser: Browser, base: string, name: string) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const pail = (await plantersAt(base)).find(({ design }) => design.name === name);
  await page.goto(`${base}/planters/${pail?.id}/season?view=search`);
  const field = page.getByRole('textbox', { name: 'Must be sure for' });
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

/** Thirty weathers of a season in the page's two workers, from the page's opening on. */
export async function outlook(browser: Browser, base: string, name: string): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const pail = (await plantersAt(base)).find(({ design }) => design.name === name);
  const begin = performance.now();
  await page.goto(`${base}/planters/${pail?.id}/season`);
  await page.getByText(/\(30 so far\)/).waitFor();
  const ms = performance.now() - begin;
  await page.close();
  return ms;
}
