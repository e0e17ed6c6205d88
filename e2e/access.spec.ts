import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { chooseCrop, designOf, expect, figure, openBench, saved, test } from './bench';

/** What is told by its colour, and so another thing in the dark. */
const COLOURS = ['color-contrast', 'link-in-text-block'];

/** What is wrong for those who cannot see or point well, but for trifles: in the light, and of its colours in the dark. */
async function faults(page: Page): Promise<string[]> {
  const found: string[] = [];
  for (const colorScheme of ['dark', 'light'] as const) {
    await page.emulateMedia({ colorScheme });
    const axe = new AxeBuilder({ page });
    if (colorScheme === 'dark') axe.withRules(COLOURS);
    const { violations } = await axe.analyze();
    for (const { id, impact, nodes } of violations) {
      if (impact === 'minor') continue;
      found.push(`${colorScheme}, ${id}: ${nodes.map((node) => node.html).join(' | ')}`);
    }
  }
  return found;
}

test('a planter is changed, mended and undone with the keyboard alone', async ({ page }) => {
  const high = designOf('cloth-pail', [{ path: ['overflow', 'centre'], value: 0.115 }]);
  await openBench(page, high);
  const press = (...keys: string[]) =>
    keys.reduce((before, key) => before.then(() => page.keyboard.press(key)), Promise.resolve());

  await press('2', 'o');
  const grip = page.getByRole('slider', { name: 'Overflow lip' });
  await expect(grip).toBeFocused();
  await press('ArrowDown', 'Shift+ArrowDown');
  await expect(grip).toHaveAttribute('aria-valuenow', '98');
  await expect(grip).toHaveAttribute('aria-valuetext', /^98\smm$/);
  await press('Control+z');
  await expect(grip).toHaveAttribute('aria-valuenow', '108');
  await press('End');
  await expect(grip).toHaveAttribute('aria-valuenow', '356');
  await press('Control+z');

  const remedy = page.getByRole('button', { name: /Move the mark/ });
  for (let i = 0; i < 60 && !(await remedy.evaluate((b) => b === document.activeElement)); i += 1) {
    await press('Tab');
  }
  await press('Enter');
  await expect(grip).toHaveAttribute('aria-valuenow', '80');
  await press('?');
  const help = page.getByRole('dialog', { name: 'Keys of the bench' });
  await expect(help).toContainText('Ten times as far');
  await press('Escape');
  await expect(help).toBeHidden();
  await saved(page);
});

test('from the garden to a new planter that is mended, in fewer than forty keys', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The garden' })).toBeVisible();
  let keys = 0;
  const press = async (...names: string[]) => {
    for (const name of names) {
      keys += 1;
      await page.keyboard.press(name);
    }
  };
  /** Tabs on until that has the focus. */
  const tabTo = async (wanted: Locator) => {
    const has = () => wanted.evaluate((one) => one === document.activeElement);
    while (!(await has()) && keys < 100) await press('Tab');
    expect(await has()).toBe(true);
  };
  await press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
  await press('Enter');
  await tabTo(page.getByRole('main').getByRole('link', { name: 'New planter' }));
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'What have you got?' })).toBeVisible();
  await tabTo(page.getByRole('button', { name: /^A pail, its lid/ }));
  await press('Enter');
  const grip = page.getByRole('slider', { name: 'Overflow lip' });
  await expect(grip).toBeVisible();
  await press('2', 'o');
  await expect(grip).toBeFocused();
  await press('Shift+ArrowUp', 'Shift+ArrowUp', 'Shift+ArrowUp', 'Shift+ArrowUp');
  const remedy = page.getByRole('button', { name: /Move the mark/ });
  await expect(remedy).toBeVisible();
  await press('f');
  await expect(remedy).toBeFocused();
  await press('Enter');
  await expect(remedy).toBeHidden();
  // On to what is still to mend, or to the word that nothing is.
  const findings = page.getByRole('region', { name: /finding|Nothing to mend/ });
  await expect(findings.locator(':focus')).toHaveCount(1);
  await saved(page);
  expect(keys).toBeLessThan(40);
});

test('at phone width the drawing stays in sight above the work', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openBench(page, designOf('bottle-pail'));
  await page.getByRole('button', { name: 'Soil', exact: true }).click();
  await chooseCrop(page, 'What grows', 'Lettuce');
  await page.getByLabel('Freeboard', { exact: true }).scrollIntoViewIfNeeded();
  await expect(page.getByRole('img', { name: /Section through the planter/ })).toBeInViewport();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);

  const grip = page.getByRole('slider', { name: 'Soil surface' });
  const box = (await grip.boundingBox())!;
  expect(box.height).toBeGreaterThanOrEqual(44);
  await page.mouse.move(box.x + 20, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + 20, box.y + 40, { steps: 4 });
  await page.mouse.up();
  expect(Number(await grip.getAttribute('aria-valuenow'))).toBeLessThan(340);
  await expect(figure(page, 'Root room')).not.toHaveText('22.3cm');
});

test('in low windows fields are at hand beside the drawing, or before it', async ({ page }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await openBench(page, designOf('cloth-pail'), 'water');
  const field = page.getByRole('textbox', { name: 'Platform underside' });
  const section = page.getByRole('img', { name: /Section through the planter/ });
  const faults = async () => (await new AxeBuilder({ page }).analyze()).violations;
  for (const size of [
    { width: 844, height: 390 },
    { width: 640, height: 400 },
  ]) {
    await page.setViewportSize(size);
    await expect(field).toBeInViewport();
    await expect(section).toBeInViewport();
    await expect(page.getByRole('slider', { name: 'Overflow lip' })).toBeInViewport();
  }
  expect(await faults()).toEqual([]);
  // What stands farther down is scrolled to, and the drawing stays.
  await page.getByRole('region', { name: 'Findings' }).scrollIntoViewIfNeeded();
  await expect(section).toBeInViewport();

  await page.setViewportSize({ width: 320, height: 256 });
  await expect(section).toHaveCount(0);
  await field.scrollIntoViewIfNeeded();
  await field.fill('100 mm');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Show the drawing' }).click();
  await expect(section).toBeInViewport();
  await expect(page.getByRole('slider', { name: 'Platform' })).toHaveAttribute(
    'aria-valuenow',
    '100',
  );
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  expect(await faults()).toEqual([]);
});

test('no page has a fault for those who cannot see or point well, light or dark', async ({
  page,
}) => {
  test.slow();
  for (const path of [
    '/',
    '/new',
    '/today',
    '/today?view=weeks',
    '/year',
    '/joined',
    '/help',
    '/settings',
    '/nowhere',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    if (path.includes('weeks'))
      await expect(page.getByRole('list', { name: 'Water in the weeks ahead' })).toBeVisible();
    if (path === '/joined') await expect(page.getByRole('slider')).toBeVisible();
    expect(await faults(page), path).toEqual([]);
  }
  const faulty = designOf('cloth-pail', [
    { path: ['vessel', 'formerContents'], value: 'unknown' },
    { path: ['wicks', 0, 'width'], value: 0.002 },
    { path: ['vessel', 'colour'], value: 'dark' },
  ]);
  await openBench(page, faulty);
  for (const room of ['Vessel', 'Water', 'Wick', 'Fill tube', 'Soil', 'Check']) {
    await page.getByRole('button', { name: new RegExp(`^\\d ${room}`) }).click();
    expect(await faults(page), room).toEqual([]);
  }
});

test('addresses where nothing is say so and lead back', async ({ page }) => {
  await page.goto('/planters/00000000-0000-4000-8000-000000000000');
  await expect(page.getByRole('alert')).toContainText('not in the garden');
  await page.goto('/nowhere');
  await page.getByRole('link', { name: 'To the garden', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The garden' })).toBeVisible();
});
