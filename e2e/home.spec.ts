import { readFile } from 'node:fs/promises';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { STARTING_POINTS } from '@huerta/core/document';

/** Settings, letting a phone in, the garden as a file, and finding planters in a large garden. */

const { design } = STARTING_POINTS[0]!;
const create = async (page: Page, name: string, place = ''): Promise<string> => {
  const answer = await page.request.post('/api/planters', {
    data: { design: { ...design, name, place: { ...design.place, name: place } } },
  });
  return ((await answer.json()) as { id: string }).id;
};

test('a phone is let in by a code that comes into an open tab, plainly and encrypted, and is shut out again', async ({
  page,
  browser,
}) => {
  const name = `Read by the phone ${Date.now()}`;
  const id = await create(page, name);
  await page.goto('/settings');
  await page.getByRole('link', { name: 'Let a phone in' }).click();
  await page.getByRole('button', { name: 'Open the door' }).click();
  for (const secure of [false, true]) {
    await expect(page.getByRole('heading', { name: 'The door is open' })).toBeVisible();
    if (secure) await page.getByText('Encrypt what goes through it').click();
    await expect(page.getByLabel('Encrypt what goes through it')).toBeChecked({ checked: secure });
    // The addresses are those of the door as it is now.
    const scheme = secure ? 'https' : 'http';
    await expect(page.getByLabel('Where the phone finds this machine')).toHaveValue(
      new RegExp(`^${scheme}://`),
    );
    await page.getByRole('button', { name: /^Make (a|another) code$/ }).click();
    await expect(page.getByRole('img', { name: 'Code to scan' })).toBeVisible();
    const link = (await page.getByText(/let-in#/).textContent())!.match(/https?:\S+/)![0];
    expect(link).toMatch(new RegExp(`^${scheme}://`));
    await onPhone(browser, link, id, name);
    await page.getByRole('button', { name: 'Shut Phone of the kitchen out' }).click();
    await expect(page.getByText('None yet.')).toBeVisible();
  }
  // An address for a calendar, which has no cookie.
  await page.getByLabel('What it is called').fill('Kitchen calendar');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const feed = (await page.getByText(/calendar\.ics$/).textContent())!;
  const calendar = await browser.newContext({ ignoreHTTPSErrors: true });
  const read = () => calendar.request.get(feed);
  expect(await (await read()).text()).toMatch(/^BEGIN:VCALENDAR/);
  await page.getByRole('button', { name: 'Withdraw Kitchen calendar' }).click();
  await expect.poll(async () => (await read()).status()).toBe(401);
  await calendar.close();
  await page.getByRole('button', { name: 'Shut the door' }).click();
  await expect(page.getByRole('heading', { name: 'The door is shut' })).toBeVisible();
});

/** A phone comes in by a code, works, and is no more than a phone. */
async function onPhone(browser: Browser, link: string, id: string, name: string): Promise<void> {
  const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    ignoreHTTPSErrors: true,
  });
  const screen = await phone.newPage();
  const door = new URL(link).origin;
  await screen.goto(`${door}/let-in`);
  await expect(screen.getByText('This device has not been let in.')).toBeVisible();
  // The tab is open already: only what stands behind the address changes.
  await screen.evaluate((hash) => {
    window.location.hash = hash;
  }, new URL(link).hash);
  await screen.getByLabel('What this device is called').fill('Phone of the kitchen');
  await screen.getByRole('button', { name: 'Come in' }).click();
  await expect(screen.getByRole('heading', { name: 'The garden' })).toBeVisible();
  // A label’s code, scanned from elsewhere, opens its planter.
  await screen.goto(`${door}/planters/${id}`);
  await expect(screen.getByLabel('Name of the planter')).toHaveValue(name);
  // The phone itself cannot let others in.
  await screen.goto(`${door}/settings`);
  await expect(screen.getByText('What is kept where')).toBeVisible();
  await expect(screen.getByRole('link', { name: 'Let a phone in' })).toBeHidden();
  await phone.close();
}

test('the garden is taken away as a file, and brought in after a look at what would come', async ({
  page,
}) => {
  const name = `In the file ${Date.now()}`;
  const id = await create(page, name);
  await page.goto('/settings');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take the garden away as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^huerta \d{4}-\d{2}-\d{2}\.zip$/);
  const buffer = await readFile(await file.path());
  const changed = { ...design, name, notes: 'changed since' };
  await page.request.put(`/api/planters/${id}`, { data: { revision: 1, design: changed } });

  const input = page.getByLabel('Garden file');
  await input.setInputFiles({
    name: 'song.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('la'),
  });
  await expect(page.getByRole('alert')).toContainText('not a whole garden file');
  await input.setInputFiles({ name: 'garden.zip', mimeType: 'application/zip', buffer });
  const look = page.getByRole('region', { name: 'What would come in' });
  await expect(look).toContainText(`Planter: ${name}, older than the one here`);
  await look.getByLabel('What differs').selectOption('Take what is in the file');
  await look.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText(/came in\./)).toBeVisible();
  const back = await (await page.request.get(`/api/planters/${id}`)).json();
  expect(back).toMatchObject({ revision: 3, design: { name, notes: '' } });
});

test('planters are found, chosen, put in a place and deleted together', async ({ page }) => {
  const mark = `Row ${Date.now()}`;
  for (const n of [1, 2, 3]) await create(page, `${mark} ${n}`);
  await page.goto('/');
  await page.getByRole('searchbox', { name: 'Find' }).fill(mark.toLowerCase());
  const entries = page.getByRole('list', { name: 'Planters' }).getByRole('listitem');
  await expect(entries).toHaveCount(3);
  await page.getByRole('button', { name: 'Select' }).click();
  await page.getByRole('button', { name: 'All 3 shown' }).click();
  await page.getByRole('button', { name: 'Put in a place' }).click();
  const dialog = page.getByRole('dialog', { name: 'Put in a place' });
  await dialog.getByRole('button', { name: 'Put them there' }).click();
  await expect(dialog.getByText('Name the place')).toBeVisible();
  await dialog.getByLabel('Where they stand').fill(`Wall of ${mark}`);
  await dialog.getByRole('button', { name: 'Put them there' }).click();
  await expect(entries.first()).toContainText(`Wall of ${mark}`);
  // Going to one and back shows the same again.
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('link', { name: `${mark} 2` }).click();
  await expect(page.getByLabel('Name of the planter')).toHaveValue(`${mark} 2`);
  await page.goBack();
  await expect(entries).toHaveCount(3);
  await page.getByRole('button', { name: 'Filter and sort' }).click();
  await page.getByLabel('Build').selectOption('Built');
  await expect(page.getByText('No planter fits that.')).toBeVisible();
  await page.getByLabel('Build').selectOption('Built or not');
  await page.getByRole('button', { name: 'Select' }).click();
  await page.getByRole('button', { name: 'All 3 shown' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('3 planters are deleted.')).toBeVisible();
  await expect(entries).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(entries).toHaveCount(3);
});

test('the garden is printed as a list and the bench as a page, dark on white', async ({ page }) => {
  const name = `On paper ${Date.now()}`;
  const id = await create(page, name, 'North wall');
  await page.addInitScript(() => localStorage.setItem('huerta.mode', 'dark'));
  const print = () => page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  const after = () => page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await page.goto(`/?q=${encodeURIComponent(name)}`);
  await expect(page.getByRole('link', { name })).toBeVisible();
  await print();
  await expect(page.getByRole('row', { name: new RegExp(`^${name} North wall`) })).toBeVisible();
  await expect(page.locator('html')).toHaveClass(/light/);
  await after();
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.goto(`/planters/${id}`);
  await expect(page.getByLabel('Name of the planter')).toHaveValue(name);
  await page.emulateMedia({ media: 'print' });
  await print();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Water to use/ })).toBeVisible();
  await expect(page.getByLabel('Name of the planter')).toBeHidden();
});

test('the price book that two devices changed at once asks which to keep, part by part', async ({
  page,
}) => {
  const book = async () =>
    (await (await page.request.get('/api/prices')).json()) as {
      revision: number;
      book: { mixing: string; kerf: number };
    };
  await page.goto('/prices');
  await page.getByLabel('Growing mix').selectOption('Bought ready mixed');
  const there = await book();
  await page.request.put('/api/prices', {
    data: { revision: there.revision, book: { ...there.book, kerf: 0.007 } },
  });
  await page.getByRole('button', { name: 'Save the price book' }).click();
  const clash = page.getByRole('alertdialog', { name: /price book was changed elsewhere/ });
  await expect(clash).toContainText('Width of a saw cut: yours 3 mm, the other 7 mm');
  await clash.getByText(/^Growing mix/).click();
  await clash.getByRole('button', { name: 'Keep what is ticked' }).click();
  await expect
    .poll(async () => (await book()).book)
    .toMatchObject({ mixing: 'ready', kerf: 0.007 });
  await expect(clash).toBeHidden();
});

test('the planted garden is looked at without coming into one’s own, until one begins from it', async ({
  page,
}) => {
  await page.goto('/examples');
  const first = page.getByRole('list', { name: 'Examples' }).getByRole('listitem').first();
  const name = (await first.getByRole('heading').textContent())!;
  const count = async () =>
    (
      (await (await page.request.get('/api/garden')).json()) as { entries: { name: string }[] }
    ).entries.filter((entry) => entry.name === name).length;
  const before = await count();
  await first.getByRole('button', { name: 'Begin one like it' }).click();
  await expect(page.getByLabel('Name of the planter')).toHaveValue(name);
  expect(await count()).toBe(before + 1);
});
