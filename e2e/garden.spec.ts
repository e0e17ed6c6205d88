import { readFile } from 'node:fs/promises';
import { designOf, expect, fill, openBench, saved, test } from './bench';

const named = (name: string) => designOf('cup-pail', [{ path: ['name'], value: name }]);

test('the demo garden shows each planter with what it gives and what is wrong', async ({
  page,
}) => {
  await page.goto('/');
  const entry = page.getByRole('listitem').filter({ hasText: 'Aubergine, drilled too high' });
  await expect(entry).toContainText('to use');
  await expect(entry).toContainText('Fault');
  await expect(entry).toContainText('roots stand in water');
});

test('rename, duplicate, delete and take the deletion back', async ({ page }) => {
  const name = `Sage ${Date.now()}`;
  await page.request.post('/api/planters', { data: { design: named(name) } });
  await page.goto('/');
  await page.getByRole('button', { name: `More for ${name}` }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('link', { name: `${name} (copy)` })).toBeVisible();

  await page.getByRole('button', { name: `More for ${name} (copy)` }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await fill(page, 'Name of the planter', '  ');
  await expect(page.getByText('Give it a name')).toBeVisible();
  await fill(page, 'Name of the planter', `Thyme for ${name}`);
  await expect(page.getByRole('link', { name: `Thyme for ${name}` })).toBeVisible();

  await page.getByRole('button', { name: `More for Thyme for ${name}` }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: `Thyme for ${name}` })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: `Thyme for ${name}` })).toBeVisible();
});

test('a planter goes out as a file and comes in again as it was', async ({ page }) => {
  await openBench(page, named('Mint for the journey'));
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export this planter as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('mint-for-the-journey.huerta.json');
  const path = await file.path();
  await page.goto('/');
  await page.getByLabel('Planter file').setInputFiles({
    name: 'again.huerta.json',
    mimeType: 'application/json',
    buffer: await readFile(path),
  });
  await expect(page.getByLabel('Name of the planter')).toHaveValue('Mint for the journey');
  const id = page.url().match(/planters\/([\w-]+)/)![1]!;
  const { design } = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(design).toEqual(named('Mint for the journey'));
});

test('damaged, foreign and later files are refused with the reason', async ({ page }) => {
  await page.goto('/');
  const name = `Never taken in ${Date.now()}`;
  const good = JSON.stringify(named(name));
  const files: [string, string, string][] = [
    ['torn.json', good.slice(0, 80), 'breaks off'],
    ['song.json', '{"title":"La huerta"}', 'not from Huerta'],
    ['later.json', good.replace(/"version":\d+/, '"version":99'), 'saved by a later Huerta'],
    ['wrong.json', good.replace('"depth":0.368', '"depth":"deep"'), 'damaged at ‘vessel, depth’'],
    ['large.json', ' '.repeat(1_000_001), 'larger than 1 MB'],
  ];
  for (const [file, content, reason] of files) {
    await page.getByLabel('Planter file').setInputFiles({
      name: file,
      mimeType: 'application/json',
      buffer: Buffer.from(content),
    });
    const dialog = page.getByRole('alertdialog', { name: 'This file was not taken in' });
    await expect(dialog).toContainText(file);
    await expect(dialog).toContainText(reason);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await expect(dialog).toBeHidden();
  }
  expect(await (await page.request.get('/api/planters')).text()).not.toContain(name);

  // Of many at once the good ones come in, and the others are named.
  const file = (label: string, text: string) => ({
    name: `${label}.json`,
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  });
  await page
    .getByLabel('Planter file')
    .setInputFiles([file('one', good), file('torn', good.slice(0, 80)), file('two', good)]);
  await expect(page.getByText('2 planters are in the garden.')).toBeVisible();
  await expect(page.getByRole('alertdialog')).toContainText('torn.json');
});

test('two windows, one planter: both versions are offered and kept', async ({ page, context }) => {
  const name = `Shared ${Date.now()}`;
  const id = await openBench(page, named(name), 'water');
  // Left by Tab: the question may come at once, and then there is no field any more to press a key in.
  const leave = async (text: string) => {
    await page.getByRole('textbox', { name: 'Platform underside', exact: true }).fill(text);
    await page.keyboard.press('Tab');
  };
  /** Once the server has it: what the page says of an earlier save is no sign. */
  const has = (top: number) =>
    expect
      .poll(async () => {
        const { design } = await (await page.request.get(`/api/planters/${id}`)).json();
        return (design as { reservoir: { top: number } }).reservoir.top;
      })
      .toBe(top);
  const other = await context.newPage();
  await other.goto(`/planters/${id}?room=water`);
  await fill(other, 'Platform underside', '80');
  await has(0.08);
  await leave('70');
  const dialog = page.getByRole('alertdialog', { name: /changed in another window/ });
  await expect(dialog).toContainText('Yours, in this window');
  await dialog.getByRole('button', { name: 'Keep both, as two planters' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByLabel('Platform underside')).toHaveValue(/^80\s/);
  await page.goto('/');
  await page.getByRole('link', { name: `${name} (my version)` }).click();
  await page.getByRole('button', { name: /^2 Water/ }).click();
  await expect(page.getByLabel('Platform underside')).toHaveValue(/^70\s/);

  // The same again, but this time mine goes over the other.
  await page.goto(`/planters/${id}?room=water`);
  // Once it stands here, the other window goes on from there.
  await expect(page.getByLabel('Platform underside')).toHaveValue(/^80\s/);
  await fill(other, 'Platform underside', '85');
  await has(0.085);
  await leave('75');
  await page.getByRole('button', { name: 'Keep yours' }).click();
  await has(0.075);
});

test('a server that does not answer is said, and the work is saved when it does', async ({
  page,
}) => {
  const id = await openBench(page, named('Offline for a while'), 'water');
  await page.route('**/api/**', (route) => route.abort());
  await fill(page, 'Platform underside', '84');
  await expect(page.getByText('the server does not answer')).toBeVisible();
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Save now' }).click();
  await saved(page);
  const { design } = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(design.reservoir.top).toBe(0.084);

  await page.route('**/api/**', (route) => route.abort());
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('The garden cannot be fetched');
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: 'Offline for a while' })).toBeVisible();
});

test('a part of a page that is lost on its way is fetched again', async ({ page }) => {
  await page.goto('/');
  const lost = new Set<string>();
  // The first time that the bench's own files are asked for, they do not come.
  await page.route(/EditorPage-[^/]+\.(js|css)$/, (route) => {
    const url = route.request().url();
    if (lost.has(url)) return route.continue();
    lost.add(url);
    return route.abort('connectionreset');
  });
  await page.getByRole('listitem').getByRole('link').first().click();
  await expect(page.getByLabel('Name of the planter')).toBeVisible();
  await expect
    .poll(() =>
      page.evaluate(() =>
        [...document.styleSheets].some(({ href }) => /EditorPage-/.test(href ?? '')),
      ),
    )
    .toBe(true);
  expect(lost.size).toBe(2);
});
