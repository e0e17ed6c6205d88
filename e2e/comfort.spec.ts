import type { Page } from '@playwright/test';
import { designOf, expect, openBench, test } from './bench';

/** Every page at 400 percent of a window 1280 wide, and under a thumb. */

const PAGES = [
  '/',
  '/new',
  '/plans',
  '/today',
  '/today?view=weeks',
  '/year',
  '/away',
  '/joined',
  '/shopping',
  '/vessels',
  '/prices',
  '/compare',
  '/settings',
  '/help',
  '/nowhere',
  ...['', '?room=water', '?room=wick', '?room=soil', '/build', '/season', '/log', '/trouble'].map(
    (part) => `planter${part}`,
  ),
];

/** Opens a page, of a planter of the demo garden where it is one of a planter. */
async function open(page: Page, path: string): Promise<void> {
  const { planters } = (await (await page.request.get('/api/planters')).json()) as {
    planters: { id: string; design: { name: string } }[];
  };
  const id = planters.find(({ design }) => design.name === 'Peppers on the kitchen step')?.id;
  await page.goto(path.replace(/^planter/, `/planters/${id}`));
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  if (path.includes('weeks'))
    await expect(page.getByRole('list', { name: 'Water in the weeks ahead' })).toBeVisible();
  await page.waitForTimeout(300);
}

/** What one presses that is less than 44 pixels high, but for links within a sentence and what is hidden. */
const small = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('a[href], button, select, summary, [role=slider]')]
      .filter((one) => {
        const { width, height } = one.getBoundingClientRect();
        const { display, visibility } = getComputedStyle(one);
        if (width === 0 || height === 0 || visibility === 'hidden') return false;
        if (one.classList.contains('skip') || display === 'inline') return false;
        return height < 43.5;
      })
      .map((one) => `${one.tagName} ${one.getAttribute('aria-label') ?? one.textContent}`),
  );

/** How wide the page is once it has come to rest in a window of another size: curves are drawn anew a moment later. */
async function widthAtRest(page: Page, window: number): Promise<number> {
  let width = Infinity;
  for (let i = 0; i < 20 && width > window; i += 1) {
    await page.waitForTimeout(150);
    width = await page.evaluate(() => document.documentElement.scrollWidth);
  }
  return width;
}

test('on every page nothing is scrolled sideways at 400 percent, and what one presses is as large as a thumb', async ({
  page,
}) => {
  const wrong: string[] = [];
  for (const path of PAGES) {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, path);
    wrong.push(...(await small(page)).map((words) => `${path}: ${words}`));
    await page.setViewportSize({ width: 320, height: 640 });
    const width = await widthAtRest(page, 320);
    if (width > 320) wrong.push(`${path}: ${width}`);
  }
  expect(wrong).toEqual([]);
});

test('a name of 120 letters without a space widens no page, at the desk and on a phone', async ({
  page,
}) => {
  const name = 'Pimientos'.repeat(14).slice(0, 120);
  const design = designOf('cloth-pail', [
    { path: ['name'], value: name },
    { path: ['place', 'name'], value: name },
  ]);
  const id = await openBench(page, design);
  await page.request.post('/api/log', {
    data: {
      entries: [
        {
          ...{ id: crypto.randomUUID(), planter: id, at: '2026-07-14T06:00:00Z', by: '' },
          ...{ did: { kind: 'did', what: 'planted' }, text: '', typed: '', instead: null },
          gone: false,
        },
      ],
    },
  });
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 800 });
    for (const part of ['', '/build', '/season', '/log', '/trouble']) {
      await page.goto(`/planters/${id}${part}`);
      await expect(page.getByRole('main').first()).toBeVisible();
      expect([part, await widthAtRest(page, width)]).toEqual([part, width]);
    }
    for (const path of [
      '/',
      '/today',
      '/today?view=weeks',
      '/away',
      '/joined',
      '/shopping',
      '/year',
      '/compare',
    ]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      // What is to be done with it is said beside its name.
      if (path.includes('weeks')) await page.getByText(name).first().waitFor();
      expect([path, await widthAtRest(page, width)]).toEqual([path, width]);
    }
  }
});
