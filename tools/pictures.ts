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
}

const PICTURES: Picture[] = [
  { file: 'garden', at: '/', size: DESK },
  { file: 'garden-phone', at: '/', size: PHONE },
  { file: 'start', at: '/new', size: DESK },
  { file: 'bench', at: { planter: 'Tomato on the roof', room: 'wick' }, size: DESK },
  {
    file: 'bench-bottles',
    at: { planter: 'Lettuces in the round tub', room: 'water' },
    size: DESK,
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
];

const { folder, remove } = scratchFolder();
const served = await serve(folder, PORT);
try {
  const planters = await plantersAt(served.base);
  const browser = await chromium.launch(CHROMIUM);
  const only = process.argv.slice(2);
  for (const { file, at, size, dark, us } of PICTURES) {
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
      served.base + (typeof at === 'string' ? at : `/planters/${planter?.id}?room=${at.room}`),
    );
    // The network is idle before a page's own code has come, so the page itself is waited for.
    await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 });
    await page.getByText('Fetching').waitFor({ state: 'detached', timeout: 60_000 });
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(root, 'docs/screenshots', `${file}.png`) });
    await context.close();
  }
  await browser.close();
} finally {
  await served.stop();
  remove();
}
