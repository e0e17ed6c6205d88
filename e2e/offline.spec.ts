import { expect, test } from '@playwright/test';
import { STARTING_POINTS } from '@huerta/core/document';

/** The application on the device while home is away. */

const { design } = STARTING_POINTS[0]!;

test.use({ serviceWorkers: 'allow' });

test('installed, it opens without a server, shows what it last had, and sends what was done meanwhile', async ({
  page,
  context,
}) => {
  test.setTimeout(90_000);
  page.on('dialog', (dialog) => void dialog.accept());
  const name = `Kept for the road ${Date.now()}`;
  const made = await page.request.post('/api/planters', { data: { design: { ...design, name } } });
  const { id } = (await made.json()) as { id: string };
  await page.goto('/');
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  const manifest = await (await page.request.get('/manifest.webmanifest')).json();
  expect(manifest).toMatchObject({ name: 'Huerta', display: 'standalone', start_url: '/' });
  await page.reload();
  await page.goto(`/planters/${id}?room=soil`);
  await expect(page.getByLabel('Freeboard', { exact: true })).toHaveValue(/^25\s?mm$/);

  await context.setOffline(true);
  await page.goto(`/planters/${id}?room=soil`);
  await expect(page.getByText(/^Offline/)).toBeVisible();
  await page.getByLabel('Freeboard', { exact: true }).fill('44 mm');
  await page.getByLabel('Freeboard', { exact: true }).press('Enter');
  await expect(page.getByText(/Kept here, trying again/)).toBeVisible();
  // A tick on the build sheet, and a planter that is begun on the way.
  await page.goto(`/planters/${id}/build`);
  await page.getByRole('checkbox', { name: /^Inspect the vessel.*: done/ }).check({ force: true });
  await expect(page.getByText(/not on the server yet/)).toBeVisible();
  await page.goto('/new');
  await page.getByRole('button', { name: /^A tote, its lid and pipe offcuts/ }).click();
  await expect(page).toHaveURL(/planters\/[\w-]+/);
  const begun = page.url().match(/planters\/([\w-]+)/)![1]!;
  await expect(page.getByLabel('Name of the planter')).toBeVisible();
  await page.getByLabel('Name of the planter').fill('Begun on the road');
  await page.getByLabel('Name of the planter').press('Enter');
  await page.goto('/');
  await expect(page.getByText(/kept on this device and not on the server yet/)).toBeVisible();

  await context.setOffline(false);
  const get = async (path: string) => (await page.request.get(`/api/planters/${path}`)).json();
  await expect
    .poll(async () => ((await get(id)) as { design: typeof design }).design.soil.freeboard)
    .toBeCloseTo(0.044, 6);
  await expect
    .poll(async () => ((await get(`${id}/progress`)) as { entries: unknown[] }).entries.length)
    .toBe(1);
  await expect
    .poll(async () => ((await get(begun)) as { design?: typeof design }).design?.name)
    .toBe('Begun on the road');
  await expect(page.getByText(/^Offline/)).toBeHidden();
});

test('opened once, every page and every planter opens without a server', async ({
  page,
  context,
}) => {
  const name = `Looked at once ${Date.now()}`;
  const made = await page.request.post('/api/planters', { data: { design: { ...design, name } } });
  const { id } = (await made.json()) as { id: string };
  const taken = page.waitForResponse(new RegExp(`/api/planters/${id}/round/log`), {
    timeout: 120_000,
  });
  await page.goto('/');
  await taken;
  await context.setOffline(true);
  const { planters } = (await (await page.request.get('/api/planters')).json()) as {
    planters: { id: string }[];
  };
  const others = ['build', 'season', 'log', 'trouble'].map((one) => `/planters/${id}/${one}`);
  const wrong: string[] = [];
  for (const path of [
    ...['/', '/today', '/today?view=weeks', '/away', '/year', '/shopping', '/vessels', '/prices'],
    ...['/joined', '/compare', '/settings', '/help', '/new', '/plans', '/unsent', '/examples'],
    ...[`/planters/${id}`, ...others, `/planters/${planters[0]!.id}/season?view=year`],
    `/planters/${planters[1]!.id}/log`,
  ]) {
    await page.goto(path);
    const broke = page.getByText(/cannot be (fetched|opened|shown)/);
    const there = page.locator('h1, [aria-label="Name of the planter"]').first();
    await expect(there.or(broke.first()).first()).toBeVisible();
    await page
      .getByText(/is being (fetched|read)/)
      .first()
      .waitFor({ state: 'hidden' });
    if (await broke.count()) wrong.push(`${path}: ${await broke.first().textContent()}`);
  }
  expect(wrong).toEqual([]);
});
