import AxeBuilder from '@axe-core/playwright';
import { designOf, expect, openBench, test } from './bench';

// One after the other: the weather is the whole garden's.
test.describe.configure({ mode: 'default' });

test.afterEach(async ({ page }) => {
  await page.request.put('/api/weather', { data: { site: 'vallesol', normals: null, days: null } });
});

test('the season ahead: in words and curves, scrubbed by the keyboard, nothing kept out', async ({
  page,
}) => {
  await openBench(page, designOf('tote-pipes'));
  await page.getByRole('link', { name: /^The season ahead/ }).click();
  await expect(page.getByText(/^Over \d+ days plants drink/)).toBeVisible();
  await expect(
    page
      .getByRole('img', { name: /Water level by day/ })
      .locator('svg')
      .first(),
  ).toBeVisible();
  const slider = page.getByRole('slider', { name: 'Day of the season' });
  const before = await slider.getAttribute('aria-valuetext');
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await expect(slider).not.toHaveAttribute('aria-valuetext', before!);
  await expect(page.getByText(/In eight weathers of ten it takes/)).toBeVisible();
  await page.getByText('The numbers, day by day').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/season\.csv$/);
  for (const view of ['season', 'away', 'what-if', 'search', 'weather']) {
    await page.goto(`${page.url().split('?')[0]}?view=${view}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).analyze();
    const grave = violations.filter(({ impact }) => impact !== 'minor');
    expect([view, grave.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)]).toEqual([view, []]);
  }
});

test('going away, on a phone: an answer, and what to change when it is no', async ({ page }) => {
  const id = await openBench(page, designOf('cloth-pail'));
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/planters/${id}/season?view=away`);
  await expect(page.getByText(/^(Yes|No)\. Filled when you leave on/)).toBeVisible();
  const leave = await page.getByLabel('You leave on').inputValue();
  await page.getByLabel('and are back on').fill(leave.replace(/-\d\d-\d\d$/, '-08-31'));
  await expect(page.getByText(/^No\. Filled when you leave on/)).toBeVisible();
  await expect(page.getByText(/: plants go short after \d+.days/).first()).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});

test('what if, and a plan of one’s own: ticked together, watered by hand, and there again later', async ({
  page,
}) => {
  const id = await openBench(page, designOf('cup-pail'));
  await page.goto(`/planters/${id}/season?view=what-if`);
  await page.getByText('The wick breaks').click();
  await page.getByText('A heat wave of a week').click();
  const together = page.getByRole('row', { name: /^All that is ticked/ });
  await expect(together).toContainText('more of thirst');
  await expect(
    page
      .getByRole('img', { name: /as it is and otherwise/ })
      .locator('svg')
      .first(),
  ).toBeVisible();

  await page.getByRole('link', { name: 'The season', exact: true }).click();
  await page.getByText(/^Planted on /).click();
  await page.getByLabel('It is filled').selectOption({ label: 'every so many days' });
  await page.getByLabel('Days between').fill('3');
  await page.getByLabel('Days between').press('Enter');
  await page.getByText('Watered by hand on no day').click();
  const saved = page.waitForResponse(
    (answer) => answer.request().method() === 'PUT' && answer.url().endsWith('/season'),
  );
  await page.getByRole('button', { name: 'Add it' }).click();
  await saved;
  await page.reload();
  await page.getByText(/^Planted on .*filled every 3 days/).click();
  await expect(page.getByLabel('Days between')).toHaveValue('3');
  await page.getByText('Watered by hand on one day').click();
  await expect(page.getByRole('list', { name: 'Waterings by hand' })).toContainText(
    'through the tube, until it runs over',
  );
});

test('weather from a file, and what it does to the season', async ({ page }) => {
  const id = await openBench(page, designOf('cup-pail'));
  await page.goto(`/planters/${id}/season?view=weather`);
  const rows = Array.from(
    { length: 31 },
    (_, i) => `2026-05-${String(i + 1).padStart(2, '0')},14,29,0,6.5`,
  );
  await page.getByLabel('Weather file').setInputFiles({
    name: 'courtyard.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['date,tmin,tmax,rain,et0', ...rows, '2026-06-01,,,', ''].join('\n')),
  });
  await expect(page.getByText(/^31 days from 2026-05-01 to 2026-05-31/)).toBeVisible();
  await expect(page.getByText(/Row 33: A temperature is missing/)).toBeVisible();
  await page.getByRole('button', { name: 'Use these days' }).click();
  await page.getByRole('link', { name: 'The season', exact: true }).click();
  await expect(page.getByText(/^Over 31 days plants drink/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/weather of ‘courtyard.csv’/)).toBeVisible();
});

test('better designs: searched, stopped, and one opened as a variant', async ({ page }) => {
  const id = await openBench(
    page,
    designOf('cloth-pail', [{ path: ['name'], value: 'Searched pail' }]),
  );
  await page.goto(`/planters/${id}/season?view=search`);
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await expect(page.getByRole('button', { name: 'As a variant' }).first()).toBeVisible();
  await expect(page.getByText(/designs tried/)).toBeVisible();
  const stop = page.getByRole('button', { name: 'Stop' });
  if (await stop.isVisible()) await stop.click();
  await page.getByRole('button', { name: 'As a variant' }).first().click();
  await expect(page.getByRole('slider', { name: 'Overflow lip' })).toBeVisible();
  await expect(page.getByLabel('Name of the planter')).toHaveValue('Searched pail');
});
