import { expect, test, type Page, type Route } from '@playwright/test';
import { STARTING_POINTS } from '@huerta/core/document';

/** Nothing that was done on this device is lost, whatever becomes of the server or the page. */

const { design } = STARTING_POINTS[0]!;

async function newPlanter(page: Page, name: string): Promise<string> {
  const answer = await page.request.post('/api/planters', {
    data: { design: { ...design, name } },
  });
  return ((await answer.json()) as { id: string }).id;
}
const depthOf = async (page: Page, id: string): Promise<number> => {
  const answer = await page.request.get(`/api/planters/${id}`);
  return ((await answer.json()) as { design: { soil: { freeboard: number } } }).design.soil
    .freeboard;
};
async function setFreeboard(page: Page, words: string): Promise<void> {
  const field = page.getByLabel('Freeboard', { exact: true });
  await field.fill(words);
  await field.press('Enter');
}
const saves = (id: string) => (url: URL) => url.pathname === `/api/planters/${id}`;
/** Lets reads through and does something else with saves. */
const onSave = (page: Page, id: string, what: (route: Route) => Promise<void>) =>
  page.route(saves(id), (route) =>
    route.request().method() === 'PUT' ? what(route) : route.continue(),
  );

test('a change made while the server is away outlives a reload, and is sent when it is back', async ({
  page,
}) => {
  page.on('dialog', (dialog) => void dialog.accept());
  const id = await newPlanter(page, 'Away and back');
  await page.goto(`/planters/${id}?room=soil`);
  await onSave(page, id, (route) => route.abort());
  await setFreeboard(page, '40 mm');
  await expect(page.getByText(/Kept here, trying again/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Freeboard', { exact: true })).toHaveValue(/^40\s?mm$/);
  // It says so in the garden too.
  await page.goto('/');
  await expect(page.getByText(/kept on this device and not on the server yet/)).toBeVisible();
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.reload();
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.04, 6);
  await expect(page.getByText(/kept on this device and not on the server yet/)).toBeHidden();
});

test('with slow answers a second edit before a reload is not lost and is no conflict', async ({
  page,
}) => {
  page.on('dialog', (dialog) => void dialog.accept());
  const id = await newPlanter(page, 'Slow answers');
  await page.goto(`/planters/${id}?room=soil`);
  // The save arrives, and its answer never does.
  await onSave(page, id, async (route) => {
    await route.fetch();
    await new Promise((done) => setTimeout(done, 4000));
    await route.abort().catch(() => undefined);
  });
  await setFreeboard(page, '35 mm');
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.035, 6);
  await setFreeboard(page, '45 mm');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.reload();
  await expect(page.getByLabel('Freeboard', { exact: true })).toHaveValue(/^45\s?mm$/);
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.045, 6);
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
});

test('a reload with a conflict open brings it again, with both versions', async ({ page }) => {
  page.on('dialog', (dialog) => void dialog.accept());
  const id = await newPlanter(page, 'Two windows');
  await page.goto(`/planters/${id}?room=soil`);
  await expect(page.getByLabel('Freeboard', { exact: true })).toBeVisible();
  const theirs = { ...design, name: 'Two windows', soil: { ...design.soil, freeboard: 0.06 } };
  await page.request.put(`/api/planters/${id}`, { data: { revision: 1, design: theirs } });
  await setFreeboard(page, '50 mm');
  const dialog = page.getByRole('alertdialog');
  await expect(dialog.getByText('Yours, in this window')).toBeVisible();
  await page.reload();
  await expect(dialog.getByText('Yours, in this window')).toBeVisible();
  await expect(dialog.getByText(/Freeboard/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Keep yours' }).click();
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.05, 6);
});

test('an edit made just before going elsewhere in the application is saved', async ({ page }) => {
  const id = await newPlanter(page, 'Gone at once');
  await page.goto(`/planters/${id}?room=soil`);
  await setFreeboard(page, '42 mm');
  await page
    .getByRole('link', { name: /Huerta/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'The garden' })).toBeVisible();
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.042, 6);
});

test('earlier versions are listed in words, and one is put back', async ({ page }) => {
  const id = await newPlanter(page, 'Earlier versions');
  await page.goto(`/planters/${id}?room=soil`);
  await setFreeboard(page, '30 mm');
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.03, 6);
  await page.goto(`/planters/${id}?room=check`);
  await page.getByRole('button', { name: 'Show earlier versions' }).click();
  await expect(page.getByText(/Freeboard: 25\s?mm, then 30\s?mm/)).toBeVisible();
  await page
    .getByRole('button', { name: /^Put back/ })
    .first()
    .click();
  await expect.poll(() => depthOf(page, id)).toBeCloseTo(0.025, 6);
});

test('words and prices that are being typed outlive a reload', async ({ page }) => {
  page.on('dialog', (dialog) => void dialog.accept());
  const id = await newPlanter(page, 'Half a word');
  await page.goto(`/planters/${id}?room=check`);
  await page.getByLabel('Notes').fill('Water from the top in May');
  await page.waitForTimeout(1500);
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue('Water from the top in May');
  await page.goto('/prices');
  await page.getByRole('button', { name: /^Vessels, tubs and crates/ }).click();
  const price = page.getByLabel(/^Price, /).first();
  await price.fill('12.34');
  await page.reload();
  // The shelf on which something is typed stands open.
  await expect(page.getByLabel(/^Price, /).first()).toHaveValue('12.34');
});

test('a season’s plan that could not be sent is sent when the page is opened again', async ({
  page,
}) => {
  const id = await newPlanter(page, 'Plan kept here');
  const address = `/api/planters/${id}/season`;
  const filling = async () =>
    ((await (await page.request.get(address)).json()) as { plan: { filling: { kind: string } } })
      .plan.filling.kind;
  await page.route(
    (url) => url.pathname === address,
    (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()),
  );
  await page.goto(`/planters/${id}/season`);
  await page.getByText(/^Planted on /).click();
  await page.getByLabel('It is filled').selectOption('never');
  await expect.poll(filling).not.toBe('never');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.reload();
  await page.getByText(/^Planted on .*filled only on chosen days/).click();
  await expect(page.getByLabel('It is filled')).toHaveValue('never');
  await expect.poll(filling).toBe('never');
});
