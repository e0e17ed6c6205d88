import AxeBuilder from '@axe-core/playwright';
import { usualPlanted } from '@huerta/core';
import { designOf, expect, openBench, test } from './bench';

const pail = () => ({
  ...designOf('cloth-pail'),
  planting: { crops: [usualPlanted('pepper', 1)] },
});

test('a filling is noted in two presses from the bench, a dip by a line, and the next filling is told', async ({
  page,
}) => {
  await openBench(page, pail());
  await page.getByRole('link', { name: /^The log/ }).click();
  await page.getByLabel('Or say what you did').fill('planted 20 days ago');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/^Next filling|^It is low|^Dip it/)).toBeVisible();
  await page.getByRole('button', { name: 'Filled till it ran' }).click();
  await expect(page.getByText('Filled until it ran', { exact: true })).toBeVisible();
  await expect(page.getByText(/^Full for certain on/)).toBeVisible();
  await page.getByLabel('Or say what you did').fill('stick high');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/not a length that can be read/)).toBeVisible();
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
  await expect(page.getByText(/^Dip stick: 40.mm$/)).toBeVisible();
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
  await expect(other.getByText(/^Dip stick: 1 9\/16.in$/)).toBeVisible();
  await other.close();
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
  await page.getByRole('button', { name: 'Filled till it ran' }).click();
  await expect(page.getByText('Filled until it ran', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('Filled until it ran', { exact: true })).toBeVisible();
  await page.unroute('**/api/log');
  await page.reload();
  const ran = async () => {
    const answer = await page.request.get(`/api/planters/${id}/log`);
    const { entries } = (await answer.json()) as { entries: { did: { kind: string } }[] };
    return entries.filter(({ did }) => did.kind === 'filled').length;
  };
  await expect.poll(ran).toBe(1);
  await page.reload();
  await expect(page.getByText('Filled until it ran', { exact: true })).toHaveCount(1);
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
  await page.getByRole('button', { name: /^Filled till it ran: Mint in the small pail/ }).click();
  await page.getByText('Undo').click();
  await expect(page.getByText('Undo')).toHaveCount(0);
});
