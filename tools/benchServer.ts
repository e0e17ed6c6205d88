import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import type { Browser } from '@playwright/test';
import type { LogEntry } from '@huerta/core/journal';
import { sendLog } from './benchTend';
import { median, quantile, round } from './measure';
import { plantersAt, root, scratchFolder, type ServedPlanter } from './served';

/** Reading and saving beside a bare handler of the same bytes, and a garden of many planters. */

const BARE_PORT = 4796;
const MANY = 1200;

interface Answered {
  ms: number;
  body: unknown;
}

async function timed(url: string, body?: object): Promise<Answered> {
  const begin = performance.now();
  const answer = await fetch(url, {
    method: body ? 'PUT' : 'GET',
    ...(body
      ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
      : {}),
  });
  const read = (await answer.json()) as unknown;
  return { ms: performance.now() - begin, body: read };
}

/** Medians of Huerta and of the bare handler, measured in turn, and how much of its speed is reached. */
export async function besideBare(base: string) {
  const { folder, remove } = scratchFolder();
  const bare = spawn(
    process.execPath,
    [join(root, 'tools/bareHandler.mjs'), folder, `${BARE_PORT}`],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  await once(bare.stdout, 'data');
  const [planter] = await plantersAt(base);
  const { id, design } = planter as ServedPlanter;
  const [ours, theirs] = [`${base}/api/planters/${id}`, `http://127.0.0.1:${BARE_PORT}/${id}`];
  let { revision } = planter as ServedPlanter;
  await timed(theirs, planter as ServedPlanter);
  const times = {
    read: [] as number[],
    bareRead: [] as number[],
    save: [] as number[],
    bareSave: [] as number[],
  };
  for (let i = 0; i < 250; i += 1) {
    const [read, bareRead] = [await timed(ours), await timed(theirs)];
    const body = { revision, design: { ...design, notes: `save ${i}` } };
    const save = await timed(ours, body);
    revision = (save.body as ServedPlanter).revision;
    const bareSave = await timed(theirs, { ...(save.body as ServedPlanter) });
    if (i < 50) continue;
    times.read.push(read.ms);
    times.bareRead.push(bareRead.ms);
    times.save.push(save.ms);
    times.bareSave.push(bareSave.ms);
  }
  bare.kill();
  await once(bare, 'exit');
  remove();
  const ms = (list: number[]): number => round(median(list));
  return {
    read: {
      ms: ms(times.read),
      bareMs: ms(times.bareRead),
      share: round(median(times.bareRead) / median(times.read)),
    },
    save: {
      ms: ms(times.save),
      bareMs: ms(times.bareSave),
      share: round(median(times.bareSave) / median(times.save)),
    },
  };
}

/** How long others wait while papers are drawn: the slowest of many small requests meanwhile. */
export async function besidePaper(base: string) {
  const planters = await plantersAt(base);
  const begin = performance.now();
  let drawing = true;
  const papers = Promise.all(
    planters.slice(0, 6).map(async ({ id }) => {
      const answer = await fetch(`${base}/api/planters/${id}/build/templates.pdf`);
      return (await answer.arrayBuffer()).byteLength;
    }),
  ).finally(() => {
    drawing = false;
  });
  const waits: number[] = [];
  while (drawing) {
    waits.push((await timed(`${base}/api/planters/${planters[0]?.id}`)).ms);
    await new Promise((done) => setTimeout(done, 5));
  }
  await papers;
  return {
    papersMs: round(performance.now() - begin),
    slowestOtherMs: round(Math.max(...waits)),
    medianOtherMs: round(median(waits)),
  };
}

/** A garden of many planters: its list, its first page, scrolling through it, and going back to it. */
export async function manyPlanters(browser: Browser, base: string) {
  const designs = (await plantersAt(base)).map(({ design }) => design);
  for (let i = designs.length; i < MANY; i += 1) {
    const design = designs[i % designs.length] as ServedPlanter['design'];
    await fetch(`${base}/api/planters`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ design: { ...design, name: `${design.name} ${i}` } }),
    });
  }
  // The first list works out what later ones only read.
  const first = await timed(`${base}/api/garden`);
  // What is worked out ahead comes to its end.
  await new Promise((done) => setTimeout(done, 10_000));
  const lists: number[] = [];
  for (let i = 0; i < 60; i += 1) lists.push((await timed(`${base}/api/garden`)).ms);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const openings: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    const begin = performance.now();
    await page.goto(`${base}/`);
    await page.locator('[role=listitem] svg.is-small').first().waitFor();
    openings.push(performance.now() - begin);
  }
  const frames = (await page.evaluate(`new Promise((done) => {
    const times = [];
    let last = performance.now();
    let at = 0;
    const step = (now) => {
      times.push(now - last);
      last = now;
      window.scrollTo(0, (at += 60));
      if (times.length < 240) requestAnimationFrame(step);
      else done(times.slice(1));
    };
    requestAnimationFrame(step);
  })`)) as number[];
  const nodes = (await page.evaluate('document.getElementsByTagName("*").length')) as number;
  await page.locator('[role=listitem] a').nth(8).click();
  await page.getByLabel('Name of the planter').waitFor();
  await page.waitForTimeout(1000);
  // In the page itself, so that nothing is waited for on the way.
  const back = (await page.evaluate(`new Promise((done) => {
    const begin = performance.now();
    history.back();
    const look = () => {
      if (document.querySelector('[role=listitem] svg.is-small')) done(performance.now() - begin);
      else requestAnimationFrame(look);
    };
    look();
  })`)) as number;
  await page.close();
  const today = await withLongLog(browser, base);
  return {
    planters: MANY,
    firstListMs: round(first.ms),
    listMedianMs: round(median(lists)),
    listP95Ms: round(quantile(lists, 0.95)),
    firstEntriesMs: round(median(openings)),
    scrollFrameP95Ms: round(quantile(frames, 0.95)),
    nodes,
    backMs: round(back),
    ...today,
  };
}

/** Entries of a log of many years, over all planters. */
const ENTRIES = 200_000;
const TODAY = '2026-07-15';

/** The same garden with a long log: its list, and today's page in a browser that knows nothing, with nothing ready. */
async function withLongLog(browser: Browser, base: string) {
  const ids = (await plantersAt(base)).map(({ id }) => id);
  const begin = Date.parse(`${TODAY}T06:00:00Z`) - ENTRIES * 1_000_000;
  const entries = Array.from({ length: ENTRIES }, (_, i): LogEntry => ({
    ...{ id: randomUUID(), planter: ids[i % ids.length] as string, by: '', text: '', typed: '' },
    at: new Date(begin + i * 1_000_000).toISOString(),
    did: { kind: 'filled', where: 'tube', volume: 0.004, ran: true },
    ...{ instead: null, gone: false },
  }));
  await sendLog(base, entries);
  const lists: number[] = [];
  for (let i = 0; i < 60; i += 1) lists.push((await timed(`${base}/api/garden`)).ms);
  const context = await browser.newContext({ locale: 'en-GB', serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.clock.setFixedTime(`${TODAY}T08:00:00Z`);
  const asked = performance.now();
  await page.goto(`${base}/today`);
  await page.getByRole('heading', { name: 'Today' }).waitFor();
  const heading = performance.now() - asked;
  await page.locator('.round > li').first().waitFor({ timeout: 120_000 });
  const content = performance.now() - asked;
  await context.close();
  return {
    entries: ENTRIES,
    longLogListP95Ms: round(quantile(lists, 0.95)),
    todayHeadingMs: round(heading),
    todayContentMs: round(content),
  };
}
