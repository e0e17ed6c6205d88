import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { usualWish } from '@huerta/core/planning/plans';
import { CHROMIUM } from '../e2e/playwright.config';
import { plantersAt, root, scratchFolder, serve, type ServedPlanter } from './served';

/** Takes the pictures of the main views that the README shows, from the demo garden. */

const PORT = 4796;
/** Where the garden that is built in inches is served. */
const INCH_PORT = 4795;
/** The day that the demo's log leads up to. */
const NOW = '2026-07-15T08:00:00Z';
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Picture {
  file: string;
  /** A path, or the name of a demo planter and a room. */
  at: string | { planter: string; room: string };
  size: { width: number; height: number };
  dark?: boolean;
  us?: boolean;
  /** Whether something is wished. */
  wish?: true;
  /** A control to press first, by role and name. */
  press?: ['button' | 'radio', string];
  /** What is folded and opened first, by its words. */
  unfold?: string;
  /** Words to bring into view. */
  see?: string;
}

/** What is wished where plans are shown, as the page keeps it. */
const WISH = {
  ...usualWish(8),
  vessels: [
    { vessel: 'tote-70', count: 2 },
    { vessel: 'pail-20', count: 2 },
  ],
  means: [
    { what: 'bottles', amount: 9, across: null },
    { what: 'cloth', amount: 1.5, across: null },
    { what: 'mix', amount: 0.12, across: null },
  ],
  crops: [
    { crop: 'tomato', count: 2 },
    { crop: 'lettuce', count: 8 },
  ],
  days: 10,
};

const PICTURES: Picture[] = [
  { file: 'garden', at: '/', size: DESK },
  { file: 'start', at: '/new', size: DESK },
  { file: 'bench', at: { planter: 'Tomato on the roof', room: 'wick' }, size: DESK, us: true },
  {
    file: 'round',
    at: { planter: 'Barrel at the stairs', room: 'water' },
    size: DESK,
    press: ['button', 'In the round'],
  },
  { file: 'plans', at: '/plans', size: { width: 1280, height: 1100 }, wish: true },
  { file: 'joined', at: '/joined', size: DESK },
  { file: 'today', at: '/today', size: DESK, us: true },
  { file: 'year', at: '/year', size: DESK },
  {
    file: 'bench-dark-us',
    at: { planter: 'Salad box on legs', room: 'wick' },
    size: DESK,
    dark: true,
    us: true,
    unfold: 'Where the water gets to',
  },
  {
    file: 'build',
    at: { planter: 'Peppers on the kitchen step', room: 'build' },
    size: DESK,
    us: true,
  },
  {
    file: 'shopping',
    at: { planter: 'Salad box on legs', room: 'shopping' },
    size: DESK,
    us: true,
  },
  { file: 'prices', at: '/prices', size: DESK, press: ['button', 'Pipe and fittings'] },
  { file: 'season', at: { planter: 'Peppers on the kitchen step', room: 'season' }, size: DESK },
  { file: 'compare', at: '/compare', size: DESK, us: true },
  { file: 'vessels', at: '/vessels', size: DESK, us: true },
];

/** A view of a season, with what is pressed or ticked there first. */
interface SeasonShot {
  planter: string;
  view: string;
  press?: string;
  tick?: readonly string[];
}
const SEASON_SHOTS: readonly SeasonShot[] = [
  { planter: 'Tomato on the roof', view: 'away' },
  {
    planter: 'Peppers on the kitchen step',
    view: 'what-if',
    tick: ['Covered against the rain', 'Moved to where'],
  },
  { planter: 'Peppers on the kitchen step', view: 'search', press: 'Search' },
  { planter: 'Peppers on the kitchen step', view: 'weather' },
];

/** Seen on a phone, all in one picture. */
const ON_A_PHONE: Picture['at'][] = [
  '/',
  '/new',
  { planter: 'Chard along the north wall', room: 'water' },
  { planter: 'Peppers on the kitchen step', room: 'build' },
  { planter: 'Peppers on the kitchen step', room: 'season' },
  { planter: 'Chard along the north wall', room: 'log' },
];

/** Tending, in one picture; half of it in inches. */
const TENDING: readonly { at: Picture['at']; us: boolean }[] = [
  { at: { planter: 'Chard along the north wall', room: 'log' }, us: true },
  { at: '/away', us: false },
  {
    at: { planter: 'Chard along the north wall', room: 'trouble?seen=dry-top,stays' },
    us: true,
  },
  { at: '/today?view=weeks', us: true },
];

/** Where a picture is taken. */
function addressOf(at: Picture['at'], planters: readonly ServedPlanter[]): string {
  if (typeof at === 'string') return at;
  const { planter, room } = at;
  const index = planters.findIndex(({ design }) => design.name === planter);
  const id = planters[index]?.id ?? '';
  if (/^(build|season|log|trouble)/.test(room)) return `/planters/${id}/${room}`;
  if (room === 'shopping') {
    const together = [planters[0], planters[1], planters[index]].map((one) => one?.id);
    return `/shopping?with=${together.join(',')}`;
  }
  return `/planters/${id}?room=${room}`;
}

/** Opens a page and waits until it has what it shows. */
async function opened(
  browser: Browser,
  path: string,
  size: Picture['size'],
  us = false,
): Promise<Page> {
  const { base } = us ? inInches : served;
  const locale = us ? 'en-US' : 'en-GB';
  const page = await browser.newPage({ locale, viewport: size, reducedMotion: 'reduce' });
  await page.clock.setFixedTime(NOW);
  await page.goto(base + path);
  await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 });
  await page.getByText('Fetching').waitFor({ state: 'detached', timeout: 60_000 });
  await page.getByText('Working out').first().waitFor({ state: 'detached', timeout: 60_000 });
  // A worker that was warmed and not needed keeps the network from being called idle: so long, and no longer.
  await page.waitForLoadState('networkidle', { timeout: 5000 }).catch(() => undefined);
  await page.waitForTimeout(600);
  return page;
}

/** Several shots in one picture. */
async function together(
  browser: Browser,
  file: string,
  shots: readonly Buffer[],
  columns: number,
  width: number,
): Promise<void> {
  const page = await browser.newPage({
    locale: 'en-GB',
    viewport: { width: columns * (width + 15) + 5, height: 100 },
  });
  const images = shots.map(
    (shot) => `<img width="${width}" src="data:image/png;base64,${shot.toString('base64')}">`,
  );
  await page.setContent(
    `<body style="margin:10px;display:grid;grid-template-columns:repeat(${columns},${width}px);gap:15px;background:#cdc4ae">${images.join('')}</body>`,
  );
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(root, 'docs/screenshots', `${file}.png`), fullPage: true });
  await page.close();
}

/** Several phones side by side. */
async function phones(browser: Browser, planters: readonly ServedPlanter[]): Promise<void> {
  const shots: Buffer[] = [];
  for (const at of ON_A_PHONE) {
    const page = await opened(browser, addressOf(at, planters), PHONE);
    shots.push(await page.screenshot());
    await page.close();
  }
  await together(browser, 'phones', shots, 3, PHONE.width);
}

/** The views of a season that are not its first. */
async function seasonViews(browser: Browser, planters: readonly ServedPlanter[]): Promise<void> {
  const shots: Buffer[] = [];
  for (const { planter, view, press, tick = [] } of SEASON_SHOTS) {
    const room = `season?view=${view}`;
    const page = await opened(browser, addressOf({ planter, room }, planters), DESK);
    if (press) await page.getByRole('button', { name: press, exact: true }).click();
    for (const label of tick) await page.getByText(label).first().click();
    await page.waitForTimeout(press ? 20_000 : 9000);
    await page.evaluate(() => window.scrollTo(0, 0));
    shots.push(await page.screenshot());
    await page.close();
  }
  await together(browser, 'season-views', shots, 2, 960);
}

/** The log, going away, trouble and the year, in one picture. */
async function tending(
  browser: Browser,
  planters: readonly ServedPlanter[],
  inchPlanters: readonly ServedPlanter[],
): Promise<void> {
  const shots: Buffer[] = [];
  for (const { at, us } of TENDING) {
    const page = await opened(browser, addressOf(at, us ? inchPlanters : planters), DESK, us);
    await page.waitForTimeout(9000);
    shots.push(await page.screenshot());
    await page.close();
  }
  await together(browser, 'tending', shots, 2, 960);
}

/** The first page of a paper sheet, rendered by poppler’s pdftoppm. */
async function paper(planters: readonly ServedPlanter[]): Promise<void> {
  const { folder: scratch, remove: clear } = scratchFolder();
  const answer = await fetch(`${served.base}/api/planters/${planters[0]?.id}/build/sheet.pdf`);
  const file = join(scratch, 'sheet.pdf');
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
  const out = join(root, 'docs/screenshots', 'paper');
  const { status } = spawnSync('pdftoppm', [
    '-png',
    '-r',
    '90',
    '-f',
    '1',
    '-singlefile',
    file,
    out,
  ]);
  if (status !== 0) console.error('The paper sheet wants pdftoppm (package poppler-utils).');
  clear();
}

const { folder, remove } = scratchFolder();
const served = await serve(folder, PORT);
const other = scratchFolder();
const inInches = await serve(other.folder, INCH_PORT, 'us');
try {
  const planters = await plantersAt(served.base);
  const inchPlanters = await plantersAt(inInches.base);
  const browser = await chromium.launch(CHROMIUM);
  const only = process.argv.slice(2);
  for (const { file, at, size, dark, us, press, unfold, see, wish } of PICTURES) {
    if (only.length > 0 && !only.includes(file)) continue;
    const context = await browser.newContext({
      locale: 'en-GB',
      viewport: size,
      colorScheme: dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    if (us) await page.addInitScript("localStorage.setItem('huerta.units', 'us')");
    if (wish)
      await page.addInitScript(
        (kept) => localStorage.setItem('huerta.wish', kept),
        JSON.stringify(WISH),
      );
    await page.clock.setFixedTime(NOW);
    await page.goto(
      us ? inInches.base + addressOf(at, inchPlanters) : served.base + addressOf(at, planters),
    );
    // The network is idle before a page's own code has come, so the page itself is waited for.
    await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 });
    await page.getByText('Fetching').waitFor({ state: 'detached', timeout: 60_000 });
    // A worker that was warmed and not needed keeps the network from being called idle: so long, and no longer.
    await page.waitForLoadState('networkidle', { timeout: 5000 }).catch(() => undefined);
    await page.waitForTimeout(400);
    await page.getByText('Working out').waitFor({ state: 'detached', timeout: 60_000 });
    if (wish) {
      await page.getByRole('article').first().waitFor({ timeout: 60_000 });
      await page.getByRole('progressbar').waitFor({ state: 'detached', timeout: 60_000 });
    }
    if (press) await page.getByRole(press[0], { name: press[1] }).click();
    if (unfold) {
      await page.getByText(unfold).first().click();
      await page.getByText(/^Painted for water/).waitFor();
    }
    if (addressOf(at, planters).includes('/season')) await page.waitForTimeout(8_000);
    const words = see ?? (press?.[0] === 'button' ? press[1] : null);
    if (words) {
      await page
        .getByText(words)
        .first()
        .evaluate((found) => found.scrollIntoView());
    }
    await page.waitForTimeout(600);
    await page.screenshot({ path: join(root, 'docs/screenshots', `${file}.png`) });
    await context.close();
  }
  const wanted = (file: string): boolean => only.length === 0 || only.includes(file);
  if (wanted('phones')) await phones(browser, planters);
  if (wanted('tending')) await tending(browser, planters, inchPlanters);
  if (wanted('season-views')) await seasonViews(browser, planters);
  if (wanted('paper')) await paper(planters);
  await browser.close();
} finally {
  await served.stop();
  await inInches.stop();
  remove();
  other.remove();
}
