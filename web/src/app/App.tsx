import { PAGES, type PagePath } from '@huerta/contract';
import { lazy, Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Route, Routes } from 'react-router';
import { Broken } from '../components/Broken';
import { Notices } from '../components/notices';
import { Outbox } from '../device/Outbox';
import { NewVersion } from './NewVersion';
import { Waiting } from '../components/Waiting';
import { GardenPage } from '../pages/garden/GardenPage';
import { NotFoundPage } from '../pages/NotFoundPage';

const BenchPage = lazy(() => import('../pages/bench/BenchPage'));
const StartPage = lazy(() => import('../pages/start/StartPage'));
const VesselsPage = lazy(() => import('../pages/vessels/VesselsPage'));
const BuildPage = lazy(() => import('../pages/workshop/BuildPage'));
const ShoppingPage = lazy(() => import('../pages/shopping/ShoppingPage'));
const PricesPage = lazy(() => import('../pages/prices/PricesPage'));
const SeasonPage = lazy(() => import('../pages/season/SeasonPage'));
const SettingsPage = lazy(() => import('../pages/settings/SettingsPage'));
const UnsentPage = lazy(() => import('../pages/unsent/UnsentPage'));
const PhonePage = lazy(() => import('../pages/settings/PhonePage'));
const ExamplesPage = lazy(() => import('../pages/examples/ExamplesPage'));
const HelpPage = lazy(() => import('../pages/help/HelpPage'));
const TodayPage = lazy(() => import('../pages/today/TodayPage'));
const LogPage = lazy(() => import('../pages/log/LogPage'));
const AwayPage = lazy(() => import('../pages/away/AwayPage'));
const TroublePage = lazy(() => import('../pages/trouble/TroublePage'));
const YearPage = lazy(() => import('../pages/year/YearPage'));
const ComparePage = lazy(() => import('../pages/compare/ComparePage'));

/** A page for each address. */
const PAGE: Readonly<Record<PagePath, ReactNode>> = {
  '/': <GardenPage />,
  '/new': <StartPage />,
  '/vessels': <VesselsPage />,
  '/today': <TodayPage />,
  '/away': <AwayPage />,
  '/planters/:id/trouble': <TroublePage />,
  '/planters/:id/log': <LogPage />,
  '/year': <YearPage />,
  '/compare': <ComparePage />,
  '/shopping': <ShoppingPage />,
  '/prices': <PricesPage />,
  '/planters/:id': <BenchPage />,
  '/planters/:id/build': <BuildPage />,
  '/planters/:id/season': <SeasonPage />,
  '/settings': <SettingsPage />,
  '/settings/phone': <PhonePage />,
  '/unsent': <UnsentPage />,
  '/examples': <ExamplesPage />,
  '/help': <HelpPage />,
};

export function App() {
  return (
    <ErrorBoundary FallbackComponent={Broken}>
      <BrowserRouter>
        <Suspense fallback={<Waiting what="the page" />}>
          <Routes>
            {PAGES.map((path) => (
              <Route key={path} path={path} element={PAGE[path]} />
            ))}
            <Route path="*" element={<NotFoundPage />} />
          </Routes>
        </Suspense>
      </BrowserRouter>
      <Outbox />
      <NewVersion />
      <Notices />
    </ErrorBoundary>
  );
}
