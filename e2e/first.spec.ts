import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import { chooseCrop, expect, test } from './bench';

/** A person who never saw Huerta before, in a garden with nothing in it, from three countries. */

const PORT = 4794;
const BASE = `http://localhost:${PORT}`;
// One garden after the other, on one port.
test.describe.configure({ mode: 'default' });

let server: ChildProcess;
let folder: string;
test.beforeEach(async ({ request }) => {
  folder = mkdtempSync(join(tmpdir(), 'huerta-first-'));
  server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: resolve(import.meta.dirname, '..'),
    env: {
      ...process.env,
      HUERTA_PORT: String(PORT),
      HUERTA_DATA: folder,
      HUERTA_LOG: 'error',
      HUERTA_RATE: '0',
    },
    stdio: 'ignore',
  });
  await expect
    .poll(() =>
      request.get(`${BASE}/api/health`).then(
        (answer) => answer.ok(),
        () => false,
      ),
    )
    .toBe(true);
});
test.afterEach(async () => {
  if (server.exitCode === null) {
    const gone = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    await gone;
  }
  rmSync(folder, { recursive: true });
});

interface Country {
  locale: string;
  tag: RegExp;
  volume: RegExp;
  money: string;
  paper: string;
  /** A word that is another one in the other English. */
  crop: string;
  typed: string;
}

const COUNTRIES: readonly Country[] = [
  {
    locale: 'en-US',
    tag: /\d+(\s\d+\/\d+)?\sin$/,
    volume: /gal|cups?/,
    money: 'USD',
    paper: 'letter',
    crop: 'Eggplant',
    typed: '13 1/2 in',
  },
  {
    locale: 'en-GB',
    tag: /\d+\smm$/,
    volume: /L$/,
    money: 'GBP',
    paper: 'a4',
    crop: 'Aubergine',
    typed: '34 cm',
  },
  {
    locale: 'de-DE',
    tag: /\d+\smm$/,
    volume: /L$/,
    money: 'EUR',
    paper: 'a4',
    crop: 'Aubergine',
    typed: '34,5 cm',
  },
];

/** Presses until the sheet is on paper, at the most. */
const PRESSES = 8;

for (const country of COUNTRIES) {
  test.describe(`from nothing to a printed sheet, ${country.locale}`, () => {
    test.use({ locale: country.locale, baseURL: BASE });
    test('in a few presses, with the measures, money and words of the country', async ({
      page,
    }) => {
      let presses = 0;
      const press = async (role: 'link' | 'button', name: string | RegExp) => {
        presses += 1;
        await page.getByRole(role, { name }).first().click();
      };
      await page.goto('/');
      await expect(page.getByRole('heading', { name: 'A pail that waters itself.' })).toBeVisible();
      await expect(page.getByLabel('Prices in')).toHaveValue(country.money);
      await press('link', 'Draw my first planter');
      await press('button', /^A pail, its lid/);
      await expect(page.getByRole('slider', { name: 'Soil surface' })).toBeVisible();
      const grip = page.getByRole('slider', { name: 'Overflow lip' });
      await expect(grip.locator('b')).toHaveText(country.tag);
      await expect(figureOf(page, 'Water to use')).toHaveText(country.volume);

      // One measure is another than the usual one.
      const depth = page.getByRole('textbox', { name: 'Inside depth', exact: true });
      await depth.fill(country.typed);
      await depth.press('Enter');
      await expect(page.getByText('Saved', { exact: true })).toBeVisible();
      await press('button', /^\d Soil/);
      await chooseCrop(page, 'What grows', country.crop);

      await press('link', /Build/);
      const sheet = page.getByRole('link', { name: 'The whole sheet (PDF)' });
      const address = (await sheet.getAttribute('href'))!;
      expect(address).toContain(`paper=${country.paper}`);
      const paper = await page.request.get(address);
      expect(paper.headers()['content-type']).toContain('application/pdf');
      presses += 1;
      expect(presses).toBeLessThanOrEqual(PRESSES);
    });
  });
}

const figureOf = (page: Page, label: string) =>
  page
    .locator('dl > div')
    .filter({ has: page.getByText(label, { exact: true }) })
    .locator('dd')
    .first();
