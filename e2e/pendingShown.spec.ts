import { expect, test, type Page } from '@playwright/test';
import { designOf } from './bench';

/** Whatever page of a planter is opened shows what this device did last, or that it is being fetched; never what was. */

const PAGES = [
  ['Build it: holes, cuts and parts', /\/build$/],
  ['The season ahead: water, weather and roots', /\/season$/],
  ['The log: what was filled, dipped and seen', /\/log$/],
] as const;

/** Watches for words in the main part of a page that is not the bench. */
const watchFor = (page: Page, words: string) =>
  page.evaluate((old) => {
    const seen = window as never as { seen: string[] };
    seen.seen = [];
    new MutationObserver(() => {
      const main = document.querySelector('main');
      const elsewhere = /planters\/[^/]+\/\w/.test(location.pathname);
      if (elsewhere && main?.textContent?.includes(old)) seen.seen.push(location.pathname);
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  }, words);

type Server = 'slow' | 'broken' | 'absent';

/** What becomes of questions about the planter itself; its log and its plan are answered as ever. */
async function becomes(page: Page, server: Server): Promise<void> {
  await page.route('**/api/planters/*', async (route) => {
    if (server === 'absent') return route.abort('connectionrefused');
    const writes = route.request().method() !== 'GET';
    if (server === 'broken' && writes)
      return route.fulfill({ status: 500, contentType: 'text/html', body: '<h1>Broken</h1>' });
    if (server === 'slow') await new Promise((done) => setTimeout(done, writes ? 2500 : 900));
    return route.continue();
  });
}

for (const server of ['slow', 'broken', 'absent'] as const)
  test(`with a ${server} server every page of a planter shows what was done last`, async ({
    page,
  }) => {
    page.on('dialog', (dialog) => void dialog.accept());
    const was = `Before ${server} ${Date.now()}`;
    const answer = await page.request.post('/api/planters', {
      data: { design: designOf('tote-pipes', [{ path: ['name'], value: was }]) },
    });
    const { id } = (await answer.json()) as { id: string };
    await page.goto(`/planters/${id}/log`);
    await page.goto(`/planters/${id}`);
    let name = was;
    for (const [link, address] of PAGES) {
      const field = page.getByLabel('Name of the planter');
      await expect(field).toHaveValue(name);
      await becomes(page, server);
      await watchFor(page, name);
      name = `After ${server} ${link.slice(0, 6).trim()}`;
      await field.fill(name);
      await field.press('Enter');
      await page.getByRole('link', { name: link, exact: true }).click();
      await page.waitForURL(address);
      await expect(page.locator('main').getByText(name).first()).toBeVisible();
      const seen = await page.evaluate(() => (window as never as { seen: string[] }).seen);
      expect(seen).toEqual([]);
      await page.getByRole('link', { name: 'To the bench' }).click();
      // What is asked on the way stays in the hands of this server: taken away from it, it might never be answered.
      await expect(field).toHaveValue(name);
      await page.unrouteAll({ behavior: 'ignoreErrors' });
    }
  });
