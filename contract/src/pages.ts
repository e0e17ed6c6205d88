/** The addresses that the web application has a page for, as React Router and Express write them. */
export const PAGES = [
  '/',
  '/new',
  '/plans',
  '/today',
  '/year',
  '/away',
  '/joined',
  '/compare',
  '/shopping',
  '/vessels',
  '/prices',
  '/examples',
  '/help',
  '/settings',
  '/settings/phone',
  '/unsent',
  '/planters/:id',
  '/planters/:id/build',
  '/planters/:id/season',
  '/planters/:id/log',
  '/planters/:id/trouble',
] as const;

export type PagePath = (typeof PAGES)[number];
