import { designOf, expect, figure, fill, openBench, saved, test } from './bench';

test('a pail with nothing decided is made sound by remedies alone, and all of it undone', async ({
  page,
}) => {
  const id = await openBench(page, designOf('blank'));
  const remedies = page.locator('.finding-remedies').getByRole('button');
  let steps = 0;
  while ((await remedies.count()) > 0 && steps < 12) {
    await remedies.first().click();
    steps += 1;
  }
  await expect(page.getByText('Fault')).toHaveCount(0);
  await expect(page.getByText('Watch')).toHaveCount(0);
  await expect(figure(page, 'Water to use')).not.toHaveText('0L');
  await saved(page);
  const { design } = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(design.overflow).toMatchObject({ kind: 'hole', screened: true });
  expect(design.wicks).toHaveLength(1);

  for (let i = 0; i < steps; i += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await saved(page);
  const undone = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(undone.design).toEqual(designOf('blank'));
});

test('the open room, the units and the light are found again after a reload', async ({ page }) => {
  await openBench(page, designOf('cloth-pail'));
  await page.getByRole('button', { name: /^4 Fill tube/ }).click();
  await page.getByRole('radio', { name: 'US units' }).click();
  await page.getByRole('button', { name: 'Dark, for the evening' }).click();
  await page.reload();
  await expect(page.getByLabel('Hole in the platform')).toHaveValue(/^1\s3\/8\sin$/);
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.getByRole('button', { name: 'Light, for the sun' }).click();
  await expect(page.locator('html')).not.toHaveClass(/dark/);
});

test('a danger stands first, next to its caution, and the place’s limits are heard', async ({
  page,
}) => {
  await openBench(page, designOf('cloth-pail'));
  await expect(page.getByText(/Huerta gives the load, never permission/)).toBeVisible();
  await page.getByRole('button', { name: 'Give the floor a limit' }).click();
  await fill(page, 'Most that the floor may bear', '1.5 kPa');
  const first = page.getByRole('region', { name: /finding/ });
  await expect(first.getByRole('listitem').first()).toContainText('Danger');
  await expect(first.getByRole('listitem').first()).toContainText('structural engineer');
  await page.getByRole('button', { name: 'No limit is known' }).click();
  await expect(page.getByText('Danger')).toHaveCount(0);
});

test('a finger on a phone takes hold of a line without scrolling the page', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  await openBench(page, designOf('cloth-pail'));
  const grip = page.getByRole('slider', { name: 'Overflow lip' });
  const box = (await grip.boundingBox())!;
  const touch = await context.newCDPSession(page);
  const at = (y: number) => [{ x: box.x + 30, y }];
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', y?: number) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: y === undefined ? [] : at(y) });
  await send('touchStart', box.y + 22);
  for (let dy = 4; dy <= 20; dy += 4) await send('touchMove', box.y + 22 + dy);
  await send('touchEnd');
  await expect(grip).not.toHaveAttribute('aria-valuenow', '80');
  expect(await page.evaluate(() => window.scrollY)).toBe(0);
  await saved(page);
  await context.close();
});
