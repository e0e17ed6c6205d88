import { randomUUID } from 'node:crypto';
import type { Browser, Page } from '@playwright/test';
import type { LogEntry } from '@huerta/core/journal';
import { median, quantile, round } from './measure';
import { plantersAt, scratchFolder, serve, type ServedPlanter } from './served';

/** Tending: today's page for small and large rounds, an entry on the page, and a log of many years. */

const PORT = 4787;
const TODAY = '2026-07-15';
const ENTRIES = 200_000;
const TOGETHER = 500;

const entry = (planter: string, at: string, did: LogEntry['did']): LogEntry => ({
  id: randomUUID(),
  planter,
  at,
  by: '',
  did,
  text: '',
  typed: '',
  instead: null,
  gone: false,
});

export async function sendLog(base: string, entries: readonly LogEntry[]): Promise<void> {
  for (let i = 0; i < entries.length; i += TOGETHER) {
    const answer = await fetch(`${base}/api/log`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries: entries.slice(i, i + TOGETHER) }),
    });
    if (!answer.ok) throw new Error(await answer.text());
  }
}

/** A garden of so many planters that all have six weeks of log. */
async function tended(base: string, count: number): Promise<void> {
  const there = await plantersAt(base);
  const growing = there.filter(({ design }) => design.planting.crops.some((one) => one.count > 0));
  const ids: string[] = [];
  for (let i = 0; i < count; i += 1) {
    const { design } = growing[i % growing.length] as ServedPlanter;
    const answer = await fetch(`${base}/api/planters`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ design: { ...design, name: `Planter ${i + 1}` } }),
    });
    ids.push(((await answer.json()) as ServedPlanter).id);
  }
  for (const { id } of there) await fetch(`${base}/api/planters/${id}`, { method: 'DELETE' });
  const day = (ago: number): string =>
    new Date(Date.parse(`${TODAY}T06:00:00Z`) - ago * 86_400_000).toISOString();
  await sendLog(
    base,
    ids.flatMap((id) => [
      entry(id, day(42), { kind: 'did', what: 'planted' }),
      ...[38, 34, 30, 26, 22, 18, 14, 10, 6, 2].map((ago) =>
        entry(id, day(ago), { kind: 'filled', where: 'tube', volume: 0.004, ran: true }),
      ),
    ]),
  );
}

/** Until the server has worked out how all planters stand. */
async function untilReady(base: string): Promise<void> {
  const begin = performance.now();
  const all = (await plantersAt(base)).map(({ id }) => id);
  for (;;) {
    const answer = await fetch(`${base}/api/round/standing`);
    const { standing } = (await answer.json()) as { standing: { planter: string }[] };
    const ready = new Set(standing.map(({ planter }) => planter));
    if (all.every((id) => ready.has(id))) return;
    if (performance.now() - begin > 120_000) throw new Error('The server does not get ready.');
    await new Promise((done) => setTimeout(done, 200));
  }
}

/** From the address to a page that knows of every planter; the browser knows nothing before. */
async function coldToday(browser: Browser, base: string): Promise<number> {
  const context = await browser.newContext({ locale: 'en-GB', serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.clock.setFixedTime(`${TODAY}T08:00:00Z`);
  const begin = performance.now();
  await page.goto(`${base}/today`);
  const items = page.locator('.round > li');
  // Of many those that are fine are folded.
  while ((await items.count()) === 0 || (await page.getByText('Working out').count()) > 0) {
    if (performance.now() - begin > 120_000) throw new Error('Today was not worked out.');
    await page.waitForTimeout(20);
  }
  const took = performance.now() - begin;
  await context.close();
  return took;
}

/** From the press to the entry on the page, and to the forecast that follows from it. */
async function noting(page: Page): Promise<{ shown: number; forecast: number }> {
  return (await page.evaluate(`new Promise((done) => {
    const stands = () => document.querySelector('.log-stands')?.textContent ?? '';
    const count = () => document.querySelectorAll('.log-entries > li').length;
    const [before, entries] = [stands(), count()];
    const begin = performance.now();
    let shown = 0;
    const watch = new MutationObserver(() => {
      if (!shown && count() > entries) shown = performance.now() - begin;
      if (shown && stands() !== before) {
        watch.disconnect();
        done({ shown, forecast: performance.now() - begin });
      }
    });
    watch.observe(document.body, { childList: true, subtree: true, characterData: true });
    [...document.querySelectorAll('button')].find((one) => one.textContent.includes('Note it')).click();
  })`)) as { shown: number; forecast: number };
}

async function entryOnThePage(browser: Browser, base: string) {
  const context = await browser.newContext({ locale: 'en-GB', serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.clock.setFixedTime(`${TODAY}T08:00:00Z`);
  const [planter] = await plantersAt(base);
  await page.goto(`${base}/planters/${(planter as ServedPlanter).id}/log`);
  await page.locator('.log-stands').waitFor();
  const shown: number[] = [];
  const forecast: number[] = [];
  for (let i = 0; i < 6; i += 1) {
    await page.getByLabel('Or say what you did').fill(`stick ${20 + 9 * i} mm`);
    const times = await noting(page);
    shown.push(times.shown);
    forecast.push(times.forecast);
    await page.waitForTimeout(800);
  }
  await context.close();
  return { shownMs: round(median(shown)), forecastMs: round(median(forecast)) };
}

/** A log of many years: a planter's time line, and a new entry. */
async function longLog(base: string) {
  const planters = await plantersAt(base);
  const begin = Date.parse('2006-01-01T06:00:00Z');
  const many = Array.from({ length: ENTRIES }, (_, i) =>
    entry(
      (planters[i % planters.length] as ServedPlanter).id,
      new Date(begin + i * 3_000_000).toISOString(),
      { kind: 'filled', where: 'tube', volume: 0.004, ran: true },
    ),
  );
  await sendLog(base, many);
  const lines: number[] = [];
  const news: number[] = [];
  for (let i = 0; i < 60; i += 1) {
    const { id } = planters[i % planters.length] as ServedPlanter;
    const asked = performance.now();
    const answer = await fetch(`${base}/api/planters/${id}/log?most=1000`);
    await answer.text();
    lines.push(performance.now() - asked);
    const sent = performance.now();
    await sendLog(base, [entry(id, new Date().toISOString(), { kind: 'level', depth: 0.04 })]);
    news.push(performance.now() - sent);
  }
  return {
    entries: ENTRIES,
    timeLineP95Ms: round(quantile(lines, 0.95)),
    newEntryP95Ms: round(quantile(news, 0.95)),
  };
}

/** Figures of tending, in gardens of their own. */
export async function tending(browser: Browser) {
  const result: Record<string, unknown> = {};
  for (const count of [15, 100]) {
    const { folder, remove } = scratchFolder();
    const served = await serve(folder, PORT);
    try {
      await tended(served.base, count);
      // Right after all was told, before the server had time; and as it is from then on.
      result[`today${count}NothingReadyMs`] = round(await coldToday(browser, served.base));
      await untilReady(served.base);
      const times: number[] = [];
      for (let i = 0; i < 3; i += 1) times.push(await coldToday(browser, served.base));
      result[`today${count}ColdMs`] = round(median(times));
      if (count === 15) result.entry = await entryOnThePage(browser, served.base);
      else result.longLog = await longLog(served.base);
    } finally {
      await served.stop();
      remove();
    }
  }
  return result;
}
