import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { designOf, expect, openBench, test } from './bench';

const PHONE = { width: 390, height: 844 };

const tick = (page: Page, step: string) => page.getByRole('checkbox', { name: `${step}: done` });
const leakTest = (page: Page) =>
  page.getByRole('radiogroup', { name: /runs from the overflow and nowhere else/ });

test('from the design to the paper: sheet, templates and label come as PDF', async ({ page }) => {
  const design = designOf('cloth-pail', [{ path: ['name'], value: 'Peppers for the workbench' }]);
  await openBench(page, design, 'check');
  await page.getByRole('link', { name: /^Build it/ }).click();
  await expect(
    page.getByRole('heading', { name: 'Build: Peppers for the workbench' }),
  ).toBeVisible();
  const fetched = async (name: RegExp) => {
    const href = await page.getByRole('link', { name }).getAttribute('href');
    const response = await page.request.get(href!);
    expect(response.status()).toBe(200);
    return response;
  };
  const sheet = await fetched(/The whole sheet/);
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  expect(sheet.headers()['content-disposition']).toContain(
    'Peppers for the workbench build sheet.pdf',
  );
  expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByLabel('Paper', { exact: true }).selectOption('letter');
  const templates = await fetched(/Templates at 1:1/);
  // Strip, four sheets of platform, dip stick and float scale, each 8.5 by 11 in either way round.
  const boxes = (await templates.body())
    .toString('latin1')
    .match(/\/MediaBox \[0 0 (612 792|792 612)\]/g);
  expect(boxes).toHaveLength(7);
  expect((await (await fetched(/Labels with a code/)).body()).subarray(0, 5).toString()).toBe(
    '%PDF-',
  );
  const parts = await (await fetched(/Parts \(CSV\)/)).text();
  expect(parts).toContain('Cotton cloth');

  // The page itself prints too: every view of it, each step open.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'What it takes' })).toBeVisible();
  await expect(page.getByText(/runs from the overflow and nowhere else/)).toBeVisible();
  const printed = await page.pdf({ format: 'A4' });
  expect(printed.length).toBeGreaterThan(10_000);
});

/** A finger that goes to the side below a heading. @param by to the right, pixels */
async function sweep(page: Page, head: Locator, by: number): Promise<void> {
  await head.scrollIntoViewIfNeeded();
  const box = (await head.boundingBox())!;
  const touch = await page.context().newCDPSession(page);
  const [x, y] = [PHONE.width / 2 - by / 2, box.y + box.height + 60];
  const at = (share: number) => [{ x: x + share * by, y }];
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) });
  for (const share of [0.25, 0.5, 0.75, 1])
    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(share) });
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await touch.detach();
}

test('at the bench on a phone: ticks, a leak that is put right, a reload, a second device', async ({
  page,
  browser,
}) => {
  const id = await openBench(page, designOf('cloth-pail'));
  await page.setViewportSize(PHONE);
  await page.goto(`/planters/${id}/build`);
  for (const step of ['Inspect the vessel and its place', 'Measure it']) {
    await tick(page, step).check({ force: true });
  }
  await expect(page.getByText(/^2 of 14 steps done/)).toBeVisible();
  // A finger turns to the next step and back; so does a press.
  await sweep(page, page.getByRole('button', { name: 'Close Build the reservoir supports' }), -160);
  await expect(
    page.getByRole('button', { name: 'Close Mark and drill the overflow' }),
  ).toBeVisible();
  await sweep(page, page.getByRole('button', { name: 'Close Mark and drill the overflow' }), 160);
  await expect(
    page.getByRole('button', { name: 'Close Build the reservoir supports' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Next: Mark and drill the overflow' }).click();
  await expect(
    page.getByRole('button', { name: 'Close Mark and drill the overflow' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Open Level it and test it with water' }).click();
  await leakTest(page).getByRole('radio', { name: 'No' }).click();
  await expect(page.getByText(/patch or seal it from the inside/)).toBeVisible();
  await expect(tick(page, 'Fill in the mix')).toBeDisabled();
  await page.getByLabel('Note: level it and test it with water').fill('Weeps at the old seam.');
  await page.getByLabel('Note: level it and test it with water').blur();

  await page.reload();
  await expect(page.getByText(/A check of ‘Level it and test it with water’ failed/)).toBeVisible();
  await expect(page.getByLabel('Note: level it and test it with water')).toHaveValue(
    'Weeps at the old seam.',
  );

  // Someone else, at the same planter.
  const other = await browser.newPage();
  await other.goto(page.url());
  await expect(tick(other, 'Measure it')).toBeChecked();
  await leakTest(other).getByRole('radio', { name: 'Yes' }).click();
  await expect(page.getByText(/A check of ‘Level it/)).toBeHidden();
  await expect(tick(page, 'Fill in the mix')).toBeEnabled();
  await other.close();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(PHONE.width);
});

test('with the server out of reach marks are kept, said, and sent afterwards', async ({ page }) => {
  const id = await openBench(page, designOf('tote-pipes'));
  await page.goto(`/planters/${id}/build`);
  await expect(page.getByText(/^0 of 14 steps done/)).toBeVisible();
  const cut = '**/api/planters/*/progress';
  await page.route(cut, (route) => route.abort());
  await tick(page, 'Measure it').check({ force: true });
  await expect(page.getByText(/One mark is not on the server yet/)).toBeVisible();
  await page.reload();
  await expect(tick(page, 'Measure it')).toBeChecked();
  await page.unroute(cut);
  await expect(page.getByText(/not on the server yet/)).toBeHidden();
  // The words are gone before the page has looked, too: what counts is what the server has.
  await expect
    .poll(async () => {
      const answer = await page.request.get(`/api/planters/${id}/progress`);
      const { entries } = (await answer.json()) as { entries: { key: string; value: unknown }[] };
      return entries.map(({ key, value }) => [key, value]);
    })
    .toEqual([['done/measure', true]]);
});

test('what was built otherwise becomes a variant with its own figures', async ({ page }) => {
  const design = designOf('cup-pail', [{ path: ['name'], value: 'Basil as it came out' }]);
  const id = await openBench(page, design);
  await page.goto(`/planters/${id}/build`);
  await page.getByRole('button', { name: 'Open Mark and drill the overflow' }).click();
  const centre = page.getByLabel(/^Centre of the hole, planned/);
  await centre.fill('66 mm');
  await centre.press('Enter');
  const built = page.getByRole('region', { name: 'As built' });
  await expect(built.getByText(/Centre of the hole: 66/)).toBeVisible();
  await built.getByRole('button', { name: /Keep them as a variant/ }).click();
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByRole('columnheader', { name: /Basil as it came out/ })).toHaveCount(2);
  await expect(page.getByRole('columnheader', { name: /as built/ })).toBeVisible();
});

test('one shopping list for three planters, with an own price, and nothing that keeps anyone out', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Price book' }).click();
  await page.getByRole('button', { name: /^Pipe and fittings/ }).click();
  const pipe = page.getByRole('region', { name: '50 mm pipe', exact: true });
  await pipe.getByLabel(/^Price, EUR/).fill('7.35');
  await page.getByRole('button', { name: 'Save the price book' }).click();
  await expect(page.getByText('The price book is kept.')).toBeVisible();
  await page.getByRole('link', { name: 'shopping list' }).click();
  for (const name of ['Peppers in the trough', 'Salad box on legs', 'Basil by the kitchen door']) {
    await page.getByRole('button', { name }).click();
  }
  const row = page.getByRole('row', { name: /^50 mm pipe/ });
  await expect(row).toContainText('€7.35');
  await expect(row).toContainText('Peppers in the trough, Salad box on legs');
  await expect(page.getByRole('img', { name: /Fill tube, Peppers in the trough/ })).toBeVisible();

  const id = await openBench(page, designOf('box-legs'));
  for (const address of [
    `/planters/${id}/build`,
    `/planters/${id}/build?view=parts`,
    `/planters/${id}/build?view=cuts`,
    `/planters/${id}/build?view=templates`,
    '/shopping',
    '/prices',
  ]) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect([
      address,
      violations.map(({ id: rule, nodes }) => `${rule}: ${nodes[0]?.html}`),
    ]).toEqual([address, []]);
  }
});

test('each step shows its picture, and the bench shows the planter in the round', async ({
  page,
}) => {
  const id = await openBench(page, designOf('cloth-pail'));
  await page.getByRole('button', { name: 'In the round' }).click();
  const picture = page.getByRole('img', { name: /in the round, cut open/ });
  await expect(picture).toBeVisible();
  const before = await picture.innerHTML();
  await page.getByRole('group', { name: /^Turn it/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(() => picture.innerHTML()).not.toBe(before);
  const whole = (await picture.boundingBox())!;
  // A press on the middle of the soil says what it is, and leads to its fields.
  await page.mouse.click(whole.x + whole.width / 2, whole.y + 0.7 * whole.height);
  await expect(page.getByText(/^Growing mix, from /)).toBeVisible();
  await expect(page.getByRole('button', { name: 'To its fields: Soil' })).toBeVisible();
  await page.getByLabel('Taken apart').fill('100');
  await expect
    .poll(async () => {
      const box = (await picture.boundingBox())!;
      return box.height / box.width;
    })
    .toBeGreaterThan((1.3 * whole.height) / whole.width);
  await page.getByText('Its parts, from the floor up').click();
  await expect(page.getByRole('listitem').filter({ hasText: /^platform: / })).toBeVisible();
  await page.getByRole('button', { name: 'To its fields: Soil' }).click();
  await expect(page.getByRole('combobox', { name: 'Mix', exact: true })).toBeVisible();

  await page.goto(`/planters/${id}/build`);
  await page.getByRole('button', { name: 'Open Mark and drill the overflow' }).click();
  const step = page.getByRole('img', { name: 'Picture of the step: mark and drill the overflow' });
  await expect(step.getByText(/^86.mm$/)).toBeVisible();
  const booklet = page.getByRole('link', { name: 'Step by step in pictures (PDF)' });
  const answer = await page.request.get((await booklet.getAttribute('href'))!);
  expect(answer.headers()['content-type']).toContain('application/pdf');
});
