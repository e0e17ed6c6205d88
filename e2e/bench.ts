import { test as base, expect, type Page } from '@playwright/test';
import { applyPatch, STARTING_POINTS, type Patch, type PlanterDesign } from '@huerta/core/document';

/** Every test fails when the page reports an error of its own. */
export const test = base.extend<{ quiet: void }>({
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => {
        // A refused request is reported by the browser itself, and tests of refusals cause some.
        if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) {
          errors.push(message.text());
        }
      });
      await use();
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** A starting point with changes. */
export function designOf(id: string, patch: Patch = []): PlanterDesign {
  const start = STARTING_POINTS.find((point) => point.id === id);
  if (!start) throw new Error(`No starting point ${id}`);
  return applyPatch(start.design, patch);
}

/** Puts a planter into the garden by the API and opens its bench. */
export async function openBench(
  page: Page,
  design: PlanterDesign,
  room = 'vessel',
): Promise<string> {
  const response = await page.request.post('/api/planters', { data: { design } });
  expect(response.status()).toBe(201);
  const { id } = (await response.json()) as { id: string };
  await page.goto(`/planters/${id}?room=${room}`);
  await expect(page.getByRole('slider', { name: 'Soil surface' })).toBeVisible();
  return id;
}

/** What stands under one of the four large figures, such as `4.8 L`. */
export const figure = (page: Page, label: string) =>
  page
    .locator('dl > div')
    .filter({ has: page.getByText(label, { exact: true }) })
    .locator('dd')
    .first();

export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

/** Types into a field by its label and leaves it. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Chooses a crop by typing its name. */
export async function chooseCrop(page: Page, label: string, crop: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).fill(crop);
  await page.getByRole('option', { name: crop, exact: true }).click();
}
