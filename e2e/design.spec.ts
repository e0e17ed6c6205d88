import { designOf, expect, figure, fill, openBench, saved, test } from './bench';

test('a pail is designed from the tape measure, saved, and found again', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'New planter' }).click();
  await page.getByRole('button', { name: /A pail and nothing decided/ }).click();

  await fill(page, 'Name of the planter', 'Fig by the well');
  await fill(page, 'Inside, across the top', '30,2 cm');
  await fill(page, 'Inside, across the floor', '265');
  await fill(page, 'Inside depth', '0.39 m');
  await page.getByRole('button', { name: /^2 Water/ }).click();
  await page.getByRole('button', { name: 'Mark an overflow' }).click();
  await fill(page, 'Centre of the hole', '94');
  await page.getByRole('button', { name: /^3 Wick/ }).click();
  await page.getByRole('button', { name: 'Add cloth' }).click();
  await page.getByRole('button', { name: /^4 Fill tube/ }).click();
  await page.getByRole('button', { name: 'Add a fill tube' }).click();
  await page.getByRole('button', { name: /^5 Soil/ }).click();
  await page
    .getByRole('navigation', { name: 'Rooms of the work' })
    .getByRole('button', { name: 'Lay woven fabric' })
    .click();
  await saved(page);

  await page.reload();
  await page.goto('/');
  await page.getByRole('link', { name: 'Fig by the well' }).click();
  await expect(page.getByLabel('Inside, across the top')).toHaveValue(/^302\smm$/);
  await expect(page.getByLabel('Inside depth')).toHaveValue(/^390\smm$/);
  await expect(page.getByRole('slider', { name: 'Overflow lip' })).toHaveAttribute(
    'aria-valuenow',
    '88',
  );
  await expect(page.getByText('to mend')).toHaveCount(0);
});

test('a start card comes into the garden once something is done with it, by a name that says what it is', async ({
  page,
}) => {
  const begin = async () => {
    await page.goto('/new');
    await page.getByRole('button', { name: /^Two equal totes/ }).click();
    await expect(page.getByLabel('Name of the planter')).toHaveValue(/^Salad tote/);
    return /planters\/([\w-]+)/.exec(page.url())![1]!;
  };
  const there = async (id: string) => (await page.request.get(`/api/planters/${id}`)).status();
  // Looked at, loaded again and left: it is not in the garden.
  const looked = await begin();
  await page.reload();
  await expect(page.getByLabel('Name of the planter')).toHaveValue(/^Salad tote/);
  await page.getByRole('link', { name: 'Garden' }).click();
  await expect(page.getByRole('heading', { name: 'The garden' })).toBeVisible();
  expect(await there(looked)).toBe(404);
  // Its build sheet is opened, or it is saved as it is.
  const built = await begin();
  await page.getByRole('link', { name: /^Build it/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Salad tote');
  await expect.poll(() => there(built)).toBe(200);
  const kept = await begin();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await saved(page);
  expect(await there(kept)).toBe(200);
  await page.reload();
  await expect(page.getByLabel('Name of the planter')).toHaveValue(/^Salad tote \d/);
});

test('dragging the overflow moves the litres with it, as one step to undo', async ({ page }) => {
  await openBench(page, designOf('cloth-pail'), 'water');
  const grip = page.getByRole('slider', { name: 'Overflow lip' });
  const water = figure(page, 'Water to use');
  await expect(water).toHaveText('3.7L');
  const box = (await grip.boundingBox())!;
  const x = box.x + box.width / 2;
  await page.mouse.move(x, box.y + 22);
  await page.mouse.down();
  const seen: string[] = [];
  for (let dy = 6; dy <= 48; dy += 6) {
    await page.mouse.move(x, box.y + 22 + dy);
    seen.push((await water.textContent()) ?? '');
  }
  await page.mouse.up();
  expect(new Set(seen).size).toBeGreaterThan(4);
  const lip = Number(await grip.getAttribute('aria-valuenow'));
  expect(lip).toBeLessThan(60);
  await expect(page.getByLabel('Centre of the hole')).toHaveValue(new RegExp(`^${lip + 6}\\s`));
  await expect(page.getByText(/of air gap waste reservoir/)).toBeVisible();

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(grip).toHaveAttribute('aria-valuenow', '80');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(grip).toHaveAttribute('aria-valuenow', String(lip));
});

test('a remedy mends its finding in one press, and is undone in one', async ({ page }) => {
  const high = designOf('cloth-pail', [{ path: ['overflow', 'centre'], value: 0.115 }]);
  await openBench(page, high, 'water');
  const finding = page.getByText(/9.mm above the platform’s underside, roots stand in water/);
  await expect(finding).toBeVisible();
  await page.getByRole('button', { name: /Move the mark to 86.mm, lip 80.mm/ }).click();
  await expect(finding).toBeHidden();
  await expect(page.getByLabel('Centre of the hole')).toHaveValue(/^86\s/);
  await page.keyboard.press('Control+z');
  await expect(finding).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(finding).toBeHidden();
});

test('US units are read and written, and switching rounds nothing', async ({ page }) => {
  const id = await openBench(page, designOf('cloth-pail'), 'water');
  const before = await (await page.request.get(`/api/planters/${id}`)).json();
  await page.getByRole('radio', { name: 'US units' }).click();
  await expect(page.getByLabel('Platform underside')).toHaveValue(/^3\s15\/16\sin$/);
  await page.getByLabel('Platform underside').focus();
  await page.getByLabel('Platform underside').blur();
  await page.getByRole('radio', { name: 'Metric units' }).click();
  await page.waitForTimeout(700);
  const after = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(after).toEqual(before);

  await page.getByRole('radio', { name: 'US units' }).click();
  await fill(page, 'Platform underside', '4 1/2"');
  await saved(page);
  const typed = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(typed.design.reservoir.top).toBeCloseTo(0.1143, 12);
  await expect(figure(page, 'Weighs full')).toContainText('lb');
});

test('what cannot be is explained at the field, kept there, and never saved', async ({ page }) => {
  const id = await openBench(page, designOf('cloth-pail'), 'water');
  const field = page.getByLabel('Platform underside');
  for (const [typed, sentence] of [
    ['high', '‘high’ is not a length that can be read'],
    ['-3', 'cannot be below zero'],
    ['9 m', 'This can be from'],
    ['350', 'leaves no room for soil'],
    ['', 'This needs a length'],
  ] as const) {
    await fill(page, 'Platform underside', typed);
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(field).toHaveValue(typed);
    await expect(field).toHaveAttribute('aria-invalid', 'true');
  }
  await field.press('Escape');
  await expect(field).toHaveValue(/^100\smm$/);
  await page.waitForTimeout(700);
  const { revision } = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(revision).toBe(1);
});

test('pouring shows where the water stands, and when it runs over', async ({ page }) => {
  await openBench(page, designOf('cloth-pail'));
  await page.getByRole('button', { name: 'Empty', exact: true }).click();
  await expect(page.getByText('Empty. Pour to see')).toBeVisible();
  const litre = page.getByRole('button', { name: '+ 1 L' });
  await litre.click();
  await litre.click();
  await expect(page.getByText(/^2.L poured: it stands at 38.mm\.$/)).toBeVisible();
  for (let i = 0; i < 3; i += 1) await litre.click();
  await expect(page.getByText(/stands at 80.mm, and 0\.7.* ran out of the overflow/)).toBeVisible();
});

test('another build, its bottles counted and its findings its own', async ({ page }) => {
  await openBench(page, designOf('cup-pail'), 'water');
  await page.getByLabel('Soil is kept up by').selectOption('Drilled bottles in the mix');
  await expect(page.getByRole('slider', { name: 'Bottles’ tops' })).toBeVisible();
  await expect(
    page.getByRole('img', { name: 'The floor seen from above, to scale' }),
  ).toBeVisible();
  await fill(page, 'How many', '30');
  await expect(page.getByText(/of 30 bottles of .* ha(s|ve) room/)).toBeVisible();
  await page.getByRole('button', { name: /^Use \d+$/ }).click();
  await expect(page.getByText(/of 30 bottles of/)).toBeHidden();
});
