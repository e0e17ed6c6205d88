import { expect, test, type Page, type Route } from '@playwright/test';
import { STARTING_POINTS } from '@huerta/core/document';

/** What an answer means: not now is sent again by itself, refused for good is shown, mended, sent or dropped. */

const { design } = STARTING_POINTS[0]!;

async function newPlanter(page: Page, name: string): Promise<string> {
  const answer = await page.request.post('/api/planters', {
    data: { design: { ...design, name } },
  });
  return ((await answer.json()) as { id: string }).id;
}
const problem = (status: number, kind: string, detail: string) => ({
  status,
  contentType: 'application/problem+json',
  body: JSON.stringify({ type: '', title: '', status, kind, detail }),
});
const logOf = async (
  page: Page,
  id: string,
): Promise<{ did: { kind: string }; text: string }[]> => {
  const answer = await page.request.get(`/api/planters/${id}/log`);
  return ((await answer.json()) as { entries: { did: { kind: string }; text: string }[] }).entries;
};
const note = async (page: Page, words: string) => {
  await page.getByLabel('Or say what you did').fill(words);
  await page.getByRole('button', { name: 'Note it' }).click();
};
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test('a full disk is no end for a photo, a note or the price book: all wait, and are sent', async ({
  page,
}) => {
  const id = await newPlanter(page, `Full disk ${Date.now()}`);
  await page.goto(`/planters/${id}/log`);
  await page.getByLabel('Or say what you did').waitFor();
  const full = problem(507, 'internal', 'The disk of Huerta’s machine is full.');
  const writes = (route: Route) =>
    route.request().method() === 'GET' ? route.continue() : route.fulfill(full);
  await page.route('**/api/**', writes);
  await page
    .getByLabel('A photo for the log')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: PIXEL });
  await note(page, 'the drill slipped');
  const noted = page.getByRole('list', { name: 'Entries, latest first' });
  await expect(noted.getByText(/the drill slipped/)).toBeVisible();
  await page.goto('/prices');
  // The garden is shared with other journeys, so the other of both is chosen.
  const mix = page.getByLabel('Growing mix');
  await mix.selectOption({ index: (await mix.inputValue()) === 'ready' ? 0 : 1 });
  await page.getByRole('button', { name: 'Save the price book' }).click();
  await expect(page.getByText(/kept on this device/).first()).toBeVisible();
  await page.goto('/unsent');
  const waiting = page.getByRole('region', { name: 'Waiting' });
  await expect(waiting.getByText(/disk of Huerta’s machine is full/)).toBeVisible();
  await expect(waiting.getByRole('listitem')).toHaveCount(4);
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  // It may be sent by itself before the button is reached.
  const sent = page.getByText('Nothing waits on this device');
  await waiting.getByRole('button', { name: 'Send now' }).or(sent).click();
  await expect(sent).toBeVisible();
  await expect.poll(async () => (await logOf(page, id)).length).toBe(2);
  const { did } = (await logOf(page, id)).find((one) => one.did.kind === 'photo') as never as {
    did: { photo: string };
  };
  expect((await page.request.get(`/api/photos/${did.photo}`)).ok()).toBe(true);
});

test('what is refused for good is shown with why, holds nothing up, and is mended or dropped', async ({
  page,
}) => {
  const id = await newPlanter(page, `Refused ${Date.now()}`);
  await page.goto(`/planters/${id}/log`);
  const bad = (body: string) => body.includes('bad words');
  await page.route('**/api/log', (route) =>
    route.request().method() === 'POST' && bad(route.request().postData() ?? '')
      ? route.fulfill(problem(422, 'invalid', 'Those words are not taken.'))
      : route.continue(),
  );
  await note(page, 'bad words');
  await note(page, 'bad words twice');
  await note(page, 'a good note');
  await expect
    .poll(async () => (await logOf(page, id)).map(({ text }) => text))
    .toEqual(['a good note']);
  await expect(page.getByText('The server did not take 2 things')).toBeVisible();
  await page.getByRole('link', { name: 'See why' }).click();
  const refused = page.getByRole('region', { name: 'Not taken' });
  await expect(refused.getByText('Those words are not taken.')).toHaveCount(2);
  // Sent again as they are, they are refused again, and stay.
  await expect(refused.getByText(/refuse these again as they are/)).toBeVisible();
  const again = page.waitForResponse(
    (answer) => answer.url().endsWith('/api/log') && answer.status() === 422,
  );
  await refused.getByRole('button', { name: 'Send it again' }).first().click();
  await again;
  await page.reload();
  await expect(refused.getByText('Those words are not taken.')).toHaveCount(2);
  const first = refused.getByRole('listitem').filter({ hasNotText: 'twice' });
  await first.getByRole('button', { name: 'Mend it' }).click();
  const field = first.getByLabel('Write it so that it can be taken');
  await expect(field).toHaveValue('bad words');
  await field.fill('better words');
  await field.press('Enter');
  await expect
    .poll(async () => (await logOf(page, id)).map(({ text }) => text).sort())
    .toEqual(['a good note', 'better words']);
  await refused.getByRole('button', { name: 'Drop it' }).click();
  await expect(page.getByText('Nothing waits on this device')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(refused.getByRole('listitem')).toHaveCount(1);
});

test('a planter is begun while the server answers 500, and is there when it answers again', async ({
  page,
}) => {
  page.on('dialog', (dialog) => void dialog.accept());
  await page.goto('/new');
  await page.route('**/api/planters/**', (route) =>
    route.fulfill({ status: 500, contentType: 'text/html', body: '<h1>Broken</h1>' }),
  );
  await page.getByRole('button', { name: /^A tote, its lid and pipe offcuts/ }).click();
  await page.getByLabel('Name of the planter').fill('Begun in trouble');
  await page.getByLabel('Name of the planter').press('Enter');
  const id = /planters\/([\w-]+)/.exec(page.url())?.[1] ?? '';
  await expect(page.getByText(/Kept here, trying again/)).toBeVisible();
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await expect.poll(async () => (await page.request.get(`/api/planters/${id}`)).status()).toBe(200);
});
