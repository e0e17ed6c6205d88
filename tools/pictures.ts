import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/playwright.config';
import { plantersAt, root, scratchFolder, serve } from './served';

/** Takes the pictures of the main views that the README shows, from the demo garden. */

const PORT = 4796;
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Picture {
  file: string;
  /** A path, or the name of a demo planter and a room. */
  at: string | { planter: string; room: string };
  size: { width: number; height: number };
  dark?: boolean;
  us?: boolean;
  /** A control to press first, by role and name. */
  press?: ['button' | 'radio', string];
  /** Words to bring into view. */
  see?: string;
}

const PICTURES: Picture[] = [
  { file: 'garden', at: '/', size: DESK },
  { file: 'garden-phone', at: '/', size: PHONE },
  { file: 'start', at: '/new', size: DESK },
  { file: 'start-phone', at: '/new', size: PHONE },
  { file: 'bench', at: { planter: 'Tomato on the roof', room: 'wick' }, size: DESK },
  { file: 'bench-trough', at: { planter: 'Peppers in the trough', room: 'water' }, size: DESK },
  {
    file: 'bench-plants',
    at: { planter: 'Cabbages in the half tank', room: 'soil' },
    size: DESK,
    press: ['radio', 'Plants'],
  },
  {
    file: 'bench-trade',
    at: { planter: 'Peppers on the kitchen step', room: 'water' },
    size: DESK,
    see: 'How long must it last',
  },
  {
    file: 'bench-schools',
    at: { planter: 'Strawberries in the glazed pot', room: 'water' },
    size: DESK,
    press: ['button', 'Hollow or full of stone?'],
  },
  {
    file: 'bench-dark-us',
    at: { planter: 'Aubergine, drilled too high', room: 'check' },
    size: DESK,
    dark: true,
    us: true,
  },
  {
    file: 'bench-phone',
    at: { planter: 'Chard along the north wall', room: 'water' },
    size: PHONE,
  },
  { file: 'build', at: { planter: 'Salad box on legs', room: 'build' }, size: DESK },
  { file: 'compare', at: '/compare', size: DESK },
  { file: 'compare-phone', at: '/compare', size: PHONE },
  { file: 'vessels', at: '/vessels', size: DESK },
  {
    file: 'vessels-measure',
    at: '/vessels',
    size: DESK,
    press: ['button', 'Change The olive pail'],
  },
  { file: 'vessels-phone', at: '/vessels', size: PHONE },
];

const { folder, remove } = scratchFolder();
const served = await serve(folder, PORT);
try {
  const planters = await plantersAt(served.base);
  const browser = await chromium.launch(CHROMIUM);
  const only = process.argv.slice(2);
  for (const { file, at, size, dark, us, press, see } of PICTURES) {
    if (only.length > 0 && !only.includes(file)) continue;
    const context = await browser.newContext({
      viewport: size,
      colorScheme: dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    if (us) await page.addInitScript("localStorage.setItem('huerta.units', 'us')");
    const planter =
      typeof at === 'string' ? null : planters.find(({ design }) => design.name === at.planter);
    await page.goto(
      served.base +
        (typeof at === 'string'
          ? at
          : at.room === 'build'
            ? `/planters/${planter?.id}/build`
            : `/planters/${planter?.id}?room=${at.room}`),
    );
    // The network is idle before a page's own code has come, so the page itself is waited for.
    await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 });
    await page.getByText('Fetching').waitFor({ state: 'detached', timeout: 60_000 });
    await page.waitForLoadState('networkidle');
    if (press) await page.getByRole(press[0], { name: press[1] }).click();
    const words = see ?? (press?.[0] === 'button' ? press[1] : null);
    if (words && !file.includes('measure')) {
      await page
        .getByText(words)
        .first()
        .evaluate((found) => found.scrollIntoView());
    }
    await page.waitForTimeout(600);
    await page.screenshot({ path: join(root, 'docs/screenshots', `${file}.png`) });
    await context.close();
  }
  await browser.close();
} finally {
  await served.stop();
  remove();
}
