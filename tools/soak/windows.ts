import { randomUUID } from 'node:crypto';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM } from '../../e2e/playwright.config';
import { STARTING_POINTS } from '@huerta/core/document';
import { proxyTo } from './proxy';
import { any, base, end, pause, PORT, send, start } from './server';

/** Two windows of one browser on the pages themselves, over a network that does mischief; they are reloaded and closed. */

const PROXY_PORT = 4807;
const { design } = STARTING_POINTS[0]!;

export interface Windows {
  rounds: number;
  notes: number;
  photos: number;
  changes: number;
  lost: number;
  /** Of what was lost: notes, photos, names of planters. */
  lostOf: { notes: number; photos: number; names: number };
  twice: number;
  stuck: number;
  sentAgain: number;
}

const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

export async function inWindows(folder: string, until: number): Promise<Windows> {
  const told: Windows = {
    ...{ rounds: 0, notes: 0, photos: 0, changes: 0 },
    ...{ lost: 0, lostOf: { notes: 0, photos: 0, names: 0 }, twice: 0, stuck: 0, sentAgain: 0 },
  };
  const server = await start(folder);
  const proxy = await proxyTo(PORT, PROXY_PORT);
  const browser = await chromium.launch(CHROMIUM);
  while (Date.now() < until) {
    proxy.faulty = false;
    const planter = randomUUID();
    await send('PUT', `/planters/${planter}`, { revision: 0, design });
    const context = await browser.newContext({
      locale: 'en-GB',
      baseURL: `http://localhost:${PROXY_PORT}`,
    });
    // Plain http in the house has no locks; every other round is like that.
    if (told.rounds % 2 === 1)
      await context.addInitScript(
        `Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });`,
      );
    await round(context, planter, told, (faulty) => (proxy.faulty = faulty));
    await context.close();
    told.rounds += 1;
  }
  told.sentAgain = proxy.sentAgain;
  await browser.close();
  await proxy.close();
  await end(server, 'SIGTERM');
  return told;
}

async function round(
  context: BrowserContext,
  planter: string,
  told: Windows,
  faulty: (is: boolean) => void,
): Promise<void> {
  const [log, bench] = [await context.newPage(), await context.newPage()];
  const logPath = `/planters/${planter}/log`;
  await log.goto(logPath);
  await log.getByLabel('Or say what you did').waitFor();
  await bench.goto(`/planters/${planter}?room=vessel`);
  const name = bench.getByLabel('Name of the planter');
  await name.waitFor();
  faulty(true);
  const notes: string[] = [];
  let called = '';
  let photos = 0;
  const end_ = Date.now() + 25_000;
  while (Date.now() < end_) {
    const act = any(['note', 'note', 'name', 'name', 'photo', 'reload', 'pause'] as const);
    try {
      if (act === 'note') {
        const text = `note ${randomUUID()}`;
        await log.getByLabel('Or say what you did').fill(text, { timeout: 4000 });
        await log.getByRole('button', { name: 'Note it' }).click({ timeout: 4000 });
        await log.getByText(text).first().waitFor({ timeout: 8000 });
        notes.push(text);
      } else if (act === 'name') {
        const next = `Planter ${randomUUID().slice(0, 8)}`;
        await name.fill(next, { timeout: 4000 });
        await name.press('Enter');
        called = next;
        told.changes += 1;
      } else if (act === 'photo') {
        const before = await log.locator('.log-entries img').count();
        await log
          .getByLabel('A photo for the log')
          .setInputFiles(
            { name: 'a.png', mimeType: 'image/png', buffer: PIXEL },
            { timeout: 4000 },
          );
        // It is told to be there once its picture stands in the log.
        await log
          .locator('.log-entries img')
          .nth(before)
          .waitFor({ state: 'attached', timeout: 8000 });
        photos += 1;
      } else if (act === 'reload') {
        await log.goto(logPath, { timeout: 8000 });
      } else await pause(300);
    } catch {
      // The page could not be reached, or is not there yet: another time.
      await log.goto(logPath).catch(() => null);
    }
  }
  faulty(false);
  told.notes += notes.length;
  told.photos += photos;
  await settle(bench, log, told);
  await verify(planter, notes, photos, called, told);
}

/** The network is whole: what waits is sent. */
async function settle(bench: Page, log: Page, told: Windows): Promise<void> {
  await bench
    .getByText('Saved', { exact: true })
    .waitFor({ timeout: 90_000 })
    .catch(() => null);
  await log.goto('/unsent');
  await log
    .getByText('Nothing waits on this device')
    .waitFor({ timeout: 90_000 })
    .catch(() => {
      told.stuck += 1;
    });
}

async function verify(
  planter: string,
  notes: readonly string[],
  photos: number,
  called: string,
  told: Windows,
): Promise<void> {
  const { entries } = (await (await fetch(`${base}/planters/${planter}/log`)).json()) as {
    entries: { text: string; did: { kind: string; photo?: string } }[];
  };
  for (const note of notes) {
    const there = entries.filter(({ text }) => text === note).length;
    if (there === 0) lose(told, 'notes');
    if (there > 1) told.twice += 1;
  }
  const shown = entries.filter(({ did }) => did.kind === 'photo');
  for (let missing = photos - shown.length; missing > 0; missing -= 1) lose(told, 'photos');
  for (const { did } of shown)
    if (!(await fetch(`${base}/photos/${did.photo ?? ''}`)).ok) lose(told, 'photos');
  if (called !== '' && !(await becomes(planter, called))) lose(told, 'names');
}

/** How often the server is asked for a name, and how long between, milliseconds: what was typed last may be on its way. */
const ASKS = 30;
const BETWEEN_MS = 1000;

async function becomes(planter: string, called: string): Promise<boolean> {
  for (let asked = 0; asked < ASKS; asked += 1) {
    const answer = await fetch(`${base}/planters/${planter}`);
    const { design: now } = (await answer.json()) as { design: { name: string } };
    if (now.name === called) return true;
    await pause(BETWEEN_MS);
  }
  return false;
}

function lose(told: Windows, what: keyof Windows['lostOf']): void {
  told.lost += 1;
  told.lostOf[what] += 1;
}
