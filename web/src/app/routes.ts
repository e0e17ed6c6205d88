import type { PagePath } from '@huerta/contract';
import type { ComponentType } from 'react';

type PageModule = () => Promise<{ default: ComponentType }>;

/** The module of each page but the first, fetched when its address is opened. */
export const PAGE_MODULES: Readonly<Record<Exclude<PagePath, '/'>, PageModule>> = {
  '/new': () => import('../features/start/StartPage'),
  '/plans': () => import('../features/plans/PlansPage'),
  '/vessels': () => import('../features/vessels/VesselsPage'),
  '/today': () => import('../features/today/TodayPage'),
  '/away': () => import('../features/away/AwayPage'),
  '/joined': () => import('../features/joined/JoinedPage'),
  '/year': () => import('../features/year/YearPage'),
  '/compare': () => import('../features/compare/ComparePage'),
  '/shopping': () => import('../features/shopping/ShoppingPage'),
  '/prices': () => import('../features/prices/PricesPage'),
  '/examples': () => import('../features/examples/ExamplesPage'),
  '/help': () => import('../features/help/HelpPage'),
  '/settings': () => import('../features/settings/SettingsPage'),
  '/settings/phone': () => import('../features/settings/PhonePage'),
  '/unsent': () => import('../features/unsent/UnsentPage'),
  '/planters/:id': () => import('../features/editor/EditorPage'),
  '/planters/:id/build': () => import('../features/build/BuildPage'),
  '/planters/:id/season': () => import('../features/season/SeasonPage'),
  '/planters/:id/log': () => import('../features/log/LogPage'),
  '/planters/:id/trouble': () => import('../features/trouble/TroublePage'),
};

/** What a page asks of the server before anything else, below /api. */
const ASKED_FIRST: Readonly<Partial<Record<PagePath, readonly string[]>>> = {
  '/': ['/garden'],
  '/today': [
    '/round/planters',
    '/round/log?of=round',
    '/weather',
    '/weather/days',
    '/round',
    '/round/standing?since=0',
    '/seasons',
  ],
};

const patternOf = (path: string): RegExp => new RegExp(`^${path.replace(/:\w+/g, '[^/]+')}/?$`);

/**
 * Fetches the module of the page at an address, and what it asks the server, while the rest of the application is
 * still on its way.
 */
export function fetchAhead(address: string): void {
  for (const [path, fetchModule] of Object.entries(PAGE_MODULES))
    if (patternOf(path).test(address)) void fetchModule().catch(() => undefined);
  for (const [path, asked] of Object.entries(ASKED_FIRST))
    if (patternOf(path).test(address)) asked.forEach(preload);
}

function preload(path: string): void {
  const link = document.createElement('link');
  Object.assign(link, {
    rel: 'preload',
    as: 'fetch',
    crossOrigin: 'anonymous',
    href: `/api${path}`,
  });
  document.head.append(link);
}
