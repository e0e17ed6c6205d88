import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './bench';

/** From what one has and wants to planters in the garden. */

test('two totes and an old shirt become planters with a shopping list', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'What could I make?' }).click();
  await page.getByRole('button', { name: 'Tomatoes and basil' }).click();
  await page.getByRole('button', { name: /^What there is/ }).click();
  const line = page.getByLabel('Say it in a line');
  await line.fill('2 totes 70 L, an old shirt, a goat');
  await line.press('Enter');
  await expect(page.getByText(/Not understood: a goat/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'What there is', exact: true })).toContainText(
    '2 × 70 L tote',
  );

  await page.getByRole('button', { name: /^How long/ }).click();
  await page.getByLabel('Days to be away').fill('5');
  await page.getByLabel('Days to be away').press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('your 5 days');
  await expect(page.getByRole('progressbar')).toHaveCount(0, { timeout: 60_000 });
  const plans = page.getByRole('article');
  expect(await plans.count()).toBeGreaterThanOrEqual(3);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

  const first = plans.first();
  await expect(first.getByRole('img', { name: /^Reads low after/ })).toBeVisible();
  await first.getByRole('button', { name: 'Make this one' }).click();
  await expect(page.getByText(/^In your garden now:/)).toBeVisible();
  await page.getByRole('link', { name: 'Shopping list' }).click();
  await expect(page.getByRole('heading', { name: 'Shopping list', level: 1 })).toBeVisible();
  await expect(page.getByRole('table').first()).toBeVisible();

  // What was said is there again, to change one answer.
  await page.goto('/plans');
  await expect(page.getByRole('button', { name: /^What you want/ })).toContainText('2 × tomato');
});

test('on a phone one plan is open; from a planter another build for it is looked for', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { planters } = (await (await page.request.get('/api/planters')).json()) as {
    planters: { id: string; design: { name: string } }[];
  };
  const { id } = planters.find(({ design }) => design.name === 'Peppers on the kitchen step')!;
  await page.goto(`/planters/${id}?room=water`);
  await page.getByRole('link', { name: 'Another build for this' }).click();
  await expect(page.getByRole('button', { name: /^What you want/ })).toContainText('sweet pepper');
  const plans = page.getByRole('article');
  await expect(plans.first().getByRole('button', { name: 'Make this one' })).toBeVisible();
  await expect(page.getByRole('progressbar')).toHaveCount(0, { timeout: 60_000 });
  const second = plans.nth(1).getByRole('button', { expanded: false });
  await second.click();
  await expect(page.getByRole('button', { name: 'Make this one' })).toHaveCount(1);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});
