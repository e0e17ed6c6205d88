import AxeBuilder from '@axe-core/playwright';
import { usualPlanted } from '@huerta/core/document';
import type { Locator, Page } from '@playwright/test';
import { designOf, expect, openBench, test } from './bench';

const pail = () => ({
  ...designOf('cloth-pail'),
  planting: { crops: [usualPlanted('pepper', 1)] },
});

const entries = (page: Page) => page.getByRole('list', { name: 'Entries, latest first' });

test('a filling is noted in two presses from the bench, a dip by a line, and the next filling is told', async ({
  page,
}) => {
  await openBench(page, pail());
  await page.getByRole('link', { name: /^The log/ }).click();
  await page.getByLabel('Or say what you did').fill('planted 20 days ago');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/^Next filling|^It is low|^Dip it/)).toBeVisible();
  await page.getByRole('button', { name: 'Filled to overflow' }).click();
  await expect(entries(page).getByText('Filled to overflow')).toBeVisible();
  await expect(page.getByText(/^Last filled to overflow on/)).toBeVisible();
  await page.getByLabel('Or say what you did').fill('stick high');
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('alert').filter({ hasText: /^Say how deep the water is/ }),
  ).toBeVisible();
  const found = await new AxeBuilder({ page }).analyze();
  expect(
    found.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical'),
  ).toEqual([]);
});

test('on a phone at the planter: a level is noted, and it is there on another device', async ({
  page,
  browser,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await openBench(page, pail());
  await page.goto(`/planters/${id}/log`);
  await page.getByLabel('Or say what you did').fill('stick 4 cm');
  await page.getByRole('button', { name: 'Note it' }).click();
  // In the log, and no longer only under the line.
  const noted = page.getByRole('list', { name: 'Entries, latest first' });
  await expect(noted.getByText(/^Dip stick: 40.mm$/)).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await expect
    .poll(async () => {
      const answer = await page.request.get(`/api/planters/${id}/log`);
      return ((await answer.json()) as { entries: unknown[] }).entries.length;
    })
    .toBe(1);
  const other = await browser.newPage({ locale: 'en-US' });
  await other.goto(`/planters/${id}/log`);
  await expect(other.getByText(/^Dip stick: 1\s9\/16.in$/)).toBeVisible();
  await other.close();
});

for (const [zone, at, day] of [
  // An evening in California that is the next day in Greenwich; a morning in Australia that is the day before there.
  ['America/Los_Angeles', '2026-07-15T03:30:00Z', '14 Jul'],
  ['Australia/Sydney', '2026-07-14T21:00:00Z', '15 Jul'],
] as const)
  test(`in ${zone} it is planted on the day that it is there`, async ({ browser, baseURL }) => {
    const context = await browser.newContext({
      locale: 'en-GB',
      timezoneId: zone,
      ...(baseURL ? { baseURL } : {}),
    });
    const page = await context.newPage();
    // Another journey may have said where the garden lies that all share.
    await page.route('**/api/weather', async (route) => {
      if (route.request().method() !== 'GET') return route.continue();
      const response = await route.fetch();
      const told = (await response.json()) as { choice: object };
      return route.fulfill({ response, json: { ...told, choice: { ...told.choice, zone: null } } });
    });
    await page.clock.setFixedTime(at);
    const id = await openBench(page, pail());
    await page.goto(`/planters/${id}/log`);
    await page.getByLabel('Or say what you did').fill('planted');
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.locator('.log-entries > li').first()).toContainText(day);
    await expect(page.getByText(/^Next filling|^It is low|^Dip it|^Fill it/)).toBeVisible();
    await expect(page.getByText(/not planted yet/i)).toHaveCount(0);
    await context.close();
  });

test('a round that is ticked off while the server is away arrives once', async ({ page }) => {
  const id = await openBench(page, pail());
  await page.goto(`/planters/${id}/log`);
  await page.getByLabel('Or say what you did').fill('planted 20 days ago');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/^Next filling|^It is low|^Dip it/)).toBeVisible();
  await page.route('**/api/log', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.getByRole('button', { name: 'Filled to overflow' }).click();
  await expect(entries(page).getByText('Filled to overflow')).toBeVisible();
  await page.reload();
  await expect(entries(page).getByText('Filled to overflow')).toBeVisible();
  await page.unroute('**/api/log');
  await page.reload();
  const ran = async () => {
    const answer = await page.request.get(`/api/planters/${id}/log`);
    const { entries } = (await answer.json()) as { entries: { did: { kind: string } }[] };
    return entries.filter(({ did }) => did.kind === 'filled').length;
  };
  await expect.poll(ran).toBe(1);
  await page.reload();
  await expect(entries(page).getByText('Filled to overflow')).toHaveCount(1);
  expect(await ran()).toBe(1);
});

test('today, in the demo garden: the leak is named, and a press notes a filling that can be taken back', async ({
  page,
}) => {
  // The demo's log leads up to this day.
  await page.clock.setFixedTime('2026-07-15T08:00:00Z');
  await page.goto('/');
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await expect(page.getByText(/^Look for a leak or a crack/)).toBeVisible();
  await page.getByRole('button', { name: /^Filled to overflow: Mint in the small pail/ }).click();
  await page.getByText('Undo').click();
  await expect(page.getByText('Undo')).toHaveCount(0);
});

/** A picture of eight by eight pixels, as PNG. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAACXBIWXMAAAPoAAAD6AG1e1JrAAAAEUlEQVQImWPwr7XAihiGlgQAa/9BARvieEYAAAAASUVORK5CYII=',
  'base64',
);

test('a photo is taken at the planter and shown along its time line', async ({ page }) => {
  const id = await openBench(page, pail());
  await page.goto(`/planters/${id}/log`);
  await page
    .getByLabel('A photo for the log')
    .setInputFiles({ name: 'leaf.png', mimeType: 'image/png', buffer: PICTURE });
  const photo = page.getByRole('img', { name: /^Photo of/ });
  await expect(photo).toBeVisible();
  await expect
    .poll(async () => {
      const answer = await page.request.get(`/api/planters/${id}/log`);
      const { entries } = (await answer.json()) as {
        entries: { did: { kind: string; photo?: string } }[];
      };
      const taken = entries.find(({ did }) => did.kind === 'photo')?.did.photo;
      return taken ? (await page.request.get(`/api/photos/${taken}/small`)).status() : 0;
    })
    .toBe(200);
  await page.reload();
  // It is read only when it comes near the window, and then takes a moment.
  await photo.scrollIntoViewIfNeeded();
  await expect.poll(() => photo.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(8);
});

test.describe('in the demo garden', () => {
  test.beforeEach(async ({ page }) => {
    await page.clock.setFixedTime('2026-07-15T08:00:00Z');
  });

  test('the whole garden is left for two weeks, and the neighbour’s sheet is drawn', async ({
    page,
  }) => {
    await page.goto('/today');
    await page.getByRole('link', { name: /^Away/ }).click();
    await expect(page.getByText(/last; \w+ visits keep the others alive/)).toBeVisible();
    await expect(page.getByText('Looking for a change…')).toHaveCount(0);
    const sheet = page.waitForEvent('download');
    await page.getByRole('button', { name: 'A sheet for the neighbour' }).click();
    expect((await sheet).suggestedFilename()).toBe('Watering while we are away.pdf');
    const found = await new AxeBuilder({ page }).analyze();
    expect(
      found.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical'),
    ).toEqual([]);
  });

  test('trouble is followed from a surprise in the log to a remedy on today’s list, and ticked off', async ({
    page,
  }) => {
    await page.goto('/today');
    await page
      .getByText(/^Look at wick and roots/)
      .getByRole('link', { name: 'Find out why' })
      .click();
    await expect(page.getByLabel('The level does not fall')).toBeChecked();
    await expect(page.getByText(/drank less lately than any thirst explains/)).toBeVisible();
    const look = page.getByRole('region', { name: 'Look' });
    // It has no wick that could be asked about.
    const told = ['Nearly full', 'Dry', 'Much better', 'White and many'];
    for (let i = 0; i < 5 && (await look.isVisible()); i += 1) {
      const answers = await look.getByRole('button').allTextContents();
      const answer = told.find((words) => answers.includes(words)) ?? answers[0]!;
      await look.getByRole('button', { name: answer, exact: true }).click();
    }
    const causes = page.getByRole('region', { name: 'Likely causes' });
    await expect(causes.getByRole('listitem').first()).toContainText(
      'The soil has dried and no longer draws water up',
    );
    const found = await new AxeBuilder({ page }).analyze();
    expect(
      found.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical'),
    ).toEqual([]);
    await causes.getByRole('button', { name: 'Put on today’s list' }).first().click();
    await page.goto('/today');
    await page.getByText(/^Also due: /).click();
    const done = page.getByRole('button', { name: /^Done: Water once from the top, slowly/ });
    await done.click();
    await expect(done).toHaveCount(0);
  });

  test('the walk is put into order by keys, and stays so', async ({ page }) => {
    await page.goto('/today');
    await page.getByText('The order of the walk', { exact: true }).click();
    const walk = page.getByRole('list', { name: 'The order of the walk' }).getByRole('listitem');
    // The first ones: other journeys plant theirs meanwhile, and they come last.
    const names = async () =>
      (await walk.allTextContents()).slice(0, 10).map((words) => words.replace(/^\d+\. /, ''));
    // What stands above it comes bit by bit, and would move the list under the hand.
    const still = (one: Locator) =>
      expect
        .poll(async () => {
          const was = (await one.boundingBox())?.y;
          await page.waitForTimeout(1500);
          return was !== undefined && was === (await one.boundingBox())?.y;
        })
        .toBe(true);
    await still(walk.first());
    const before = await names();
    await page.getByRole('button', { name: /stop 1$/ }).focus();
    await page.keyboard.press('Space');
    await expect(page.getByText(/^Taken up: .*, stop 1\.$/)).toBeAttached();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText(/, would come to stop [2-9]\.$/)).toBeAttached();
    await page.keyboard.press('Space');
    await expect(walk.first()).not.toContainText(before[0]!.slice(0, 20));
    const after = await names();
    expect([...after].sort()).toEqual([...before].sort());
    await page.reload();
    const title = page.getByText('The order of the walk', { exact: true });
    await still(title);
    await title.click();
    await expect.poll(names).toEqual(after);
  });
});
