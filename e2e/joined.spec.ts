import { designOf, expect, test } from './bench';

/** Planters on one water, from two benches to the barrel's day on Today. */

test('two planters are joined, set too high, mended, and their benches and seasons know of it', async ({
  page,
}) => {
  const make = async (name: string): Promise<string> => {
    const design = designOf('tote-pipes', [{ path: ['name'], value: name }]);
    const answer = await page.request.post('/api/planters', { data: { design } });
    return ((await answer.json()) as { id: string }).id;
  };
  const [first, second] = [await make('Wall, left'), await make('Wall, right')];
  await page.goto('/joined');
  await page.getByRole('button', { name: 'Join planters' }).click();
  const form = page.getByRole('form', { name: 'Join planters' });
  await form.getByRole('textbox', { name: 'What you call them' }).fill('Along the south wall');
  await form.getByText('Wall, left', { exact: true }).click();
  await form.getByText('Wall, right', { exact: true }).click();
  await form.getByRole('button', { name: 'Join them' }).click();
  const line = page.getByRole('region', { name: 'Along the south wall' });
  await expect(line.getByText(/^All last .* in hot weather/)).toBeVisible();
  await expect(line.getByText('Fault')).toHaveCount(0);

  // Dragged up over the lips, and back by the remedy.
  const tab = line.getByRole('slider', { name: /^Water stands at/ });
  await tab.scrollIntoViewIfNeeded();
  const box = (await tab.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y - 60, { steps: 6 });
  await page.mouse.up();
  await expect(line.getByText('Fault').first()).toBeVisible();
  await line
    .getByRole('button', { name: /^Set the water to/ })
    .first()
    .click();
  await expect(line.getByText('Fault')).toHaveCount(0);

  // What it takes and how it is done.
  await line.getByText(/^What it takes/).click();
  await expect(line.getByRole('cell', { name: /^Hose, / })).toBeVisible();
  await line.getByText(/^How it is done/).click();
  await expect(line.getByText(/^Wall, right: drill for the fitting/)).toBeVisible();

  // Kept, and known where its days are counted.
  await page.reload();
  await expect(line.getByText(/^All last/)).toBeVisible();
  await page.goto(`/planters/${first}?room=water`);
  await expect(page.getByText(/Joined with 1 other as ‘Along the south wall’/)).toBeVisible();
  await expect(page.getByText(/^with what is joined: plants go short after/)).toBeVisible();
  await page.goto(`/planters/${first}/build`);
  await expect(
    page.getByText(/before any mix goes in, drill for the hose’s fitting/),
  ).toBeVisible();
  await page.goto(`/shopping?with=${first},${second}`);
  await expect(page.getByRole('cell', { name: 'Hose clip' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'Along the south wall' }).first()).toBeVisible();
  await page.goto('/joined');
  page.on('dialog', (dialog) => void dialog.accept());
  await line.getByRole('button', { name: 'Take apart' }).click();
  await expect(line).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(line.getByText(/^All last/)).toBeVisible();
});
