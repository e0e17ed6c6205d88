import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { usualPlanted, type PlanterDesign } from '@huerta/core/document';
import { chooseCrop, designOf, expect, fill, openBench, saved, test } from './bench';

const growing = (id: string, ...crops: ReturnType<typeof usualPlanted>[]): PlanterDesign => ({
  ...designOf(id),
  planting: { crops },
});

async function add(page: Page, crop: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a crop' }).click();
  await chooseCrop(page, 'Which one', crop);
}

test('three herbs in one pot, drawn by how they grow, moved in the plan, and planted by the sheet', async ({
  page,
}) => {
  await openBench(page, growing('cup-pail', usualPlanted('thyme', 1, { spacing: 0.12 })), 'soil');
  for (const herb of ['Parsley', 'Chives']) {
    await add(page, herb);
    await fill(page, 'From plant to plant', '12 cm');
  }
  await expect(page.getByText(/At its thirstiest/)).toBeVisible();
  await expect(page.getByText(/no room for/)).toHaveCount(0);

  await page.getByRole('button', { name: 'Move parts' }).click();
  const chives = page.getByRole('button', { name: /^Chives, / });
  const before = await chives.getAttribute('aria-label');
  await chives.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(chives).not.toHaveAttribute('aria-label', before!);
  await saved(page);
  const found = await new AxeBuilder({ page }).analyze();
  expect(
    found.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical'),
  ).toEqual([]);

  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('button', { name: 'Open Plant' }).click();
  for (const herb of ['thyme', 'parsley', 'chives'])
    await expect(page.getByText(`Set the ${herb} where the plan shows.`)).toBeVisible();
});

test('a crop is found by another name, by keys alone; what is typed and left changes nothing', async ({
  page,
}) => {
  await openBench(page, growing('cup-pail', usualPlanted('thyme', 1)), 'soil');
  const field = page.getByRole('combobox', { name: 'What grows', exact: true });
  await field.fill('rutab');
  await expect(page.locator('.search-choice-list')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(field).toHaveValue('Thyme');
  await field.fill('');
  await field.pressSequentially('romaine');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(field).toHaveValue(/^(Cos|Romaine) lettuce$/);
  await field.fill('oca');
  await page.getByRole('option', { name: 'Make “oca” a crop of your own' }).click();
  await expect(page.getByRole('group', { name: 'A crop of your own' })).toBeVisible();
  await saved(page);
});

test('a row with five different plants, one in each pail', async ({ page }) => {
  await openBench(page, growing('gutter-pails'), 'soil');
  const crops = ['Tomato', 'Sweet pepper', 'Chilli', 'Aubergine', 'Basil'];
  for (const [i, crop] of crops.entries()) {
    await add(page, crop);
    const pails = page.getByLabel('In which of the row');
    const options = await pails.getByRole('option').count();
    await pails.selectOption({ index: 1 + (i % (options - 1)) });
  }
  for (const crop of crops)
    await expect(page.getByRole('button', { name: new RegExp(`1 × ${crop}`) })).toBeVisible();
  await saved(page);
});

test('lettuce, then pepper: timed on the bench and moved on the year’s strip', async ({ page }) => {
  await openBench(page, growing('trough-pipes', usualPlanted('lettuce', 4, { stays: 60 })), 'soil');
  await add(page, 'Sweet pepper');
  await fill(page, 'Days after the first', '60');
  await saved(page);
  await page.getByRole('link', { name: 'Season' }).click();
  await page.getByRole('link', { name: 'The year' }).click();
  const bar = page.getByRole('button', { name: /^Sweet pepper, / });
  const before = await bar.getAttribute('aria-label');
  await bar.focus();
  // The change is still being saved when the next page asks for the planter.
  await page.route('**/api/planters/*', async (route) => {
    await new Promise((done) => setTimeout(done, 900));
    await route.continue();
  });
  await page.keyboard.press('Shift+ArrowRight');
  await expect(bar).not.toHaveAttribute('aria-label', before!);
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.getByRole('button', { name: /^5 Soil/ }).click();
  await expect(page.getByRole('button', { name: /1 × Sweet pepper after 67.days/ })).toBeVisible();
});

test('what to sow now is offered by room and season, and planned by a press', async ({ page }) => {
  const id = await openBench(
    page,
    growing('trough-pipes', usualPlanted('cut-lettuce', 2, { stays: 40 })),
  );
  await page.goto(`/planters/${id}/season?view=year`);
  await page.getByText('What to sow or plant now').click();
  const plan = page.getByRole('button', { name: /^Plan / }).first();
  const name = (await plan.getAttribute('aria-label'))!.replace('Plan ', '');
  await plan.click();
  await expect(page.getByRole('button', { name: new RegExp(`^${name}, `) })).toBeVisible();
});

test('a bar that was moved outlives a window closed before the server answers', async ({
  page,
}) => {
  const id = await openBench(
    page,
    growing('trough-pipes', usualPlanted('lettuce', 4, { stays: 60 })),
  );
  await page.goto(`/planters/${id}/season?view=year`);
  const bar = page.getByRole('button', { name: /^(Leaf )?[Ll]ettuce/ });
  const before = await bar.getAttribute('aria-label');
  let writes = 0;
  await page.route('**/api/planters/*', (route) => {
    if (route.request().method() !== 'GET') writes += 1;
    // Nothing is answered while the window is open.
  });
  await bar.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(bar).not.toHaveAttribute('aria-label', before!);
  const moved = await bar.getAttribute('aria-label');
  await expect.poll(() => writes).toBeGreaterThan(0);
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.reload();
  await expect(bar).toHaveAttribute('aria-label', moved!);
  // A week later, by whichever request the server came to hear of it.
  const stored = async () => {
    const answer = await page.request.get(`/api/planters/${id}`);
    return ((await answer.json()) as { design: PlanterDesign }).design.planting.crops[0]?.from;
  };
  await expect.poll(stored).toBe(7);
});

test('a crop of one’s own is made in a minute and is there for the next planter', async ({
  page,
}) => {
  await openBench(page, growing('cloth-pail', usualPlanted('tomato', 1)), 'soil');
  await page.getByRole('button', { name: 'Make it a crop of my own' }).click();
  await fill(page, 'Its name', 'Aunt’s tomato');
  await fill(page, 'Height, grown', '90 cm');
  await page.getByRole('button', { name: 'Keep it for other planters' }).click();
  await expect(page.getByRole('button', { name: 'Kept in the garden' })).toBeVisible();
  await saved(page);
  await openBench(page, growing('cup-pail'), 'soil');
  await add(page, 'Aunt’s tomato');
  await expect(page.getByRole('button', { name: /1 × Aunt’s tomato/ })).toBeVisible();
});

test('a tall tomato in a cage in a windy place tips when the water is low, and is hung up instead', async ({
  page,
}) => {
  const design = growing('cloth-pail', usualPlanted('tomato', 1, { support: 'cage' }));
  await openBench(page, { ...design, place: { ...design.place, wind: 'windy' } }, 'soil');
  const finding = page.getByText(/low on water it tips over/);
  await expect(finding).toBeVisible();
  const mend = page.getByRole('button', { name: /in a cage to a wall or pole/ }).first();
  await mend.click();
  await expect(finding).toHaveCount(0);
  await saved(page);
});
