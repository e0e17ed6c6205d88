import { lazy, Suspense } from 'react';
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
const PhonePage = lazy(() => import('../pages/settings/PhonePage'));
const ExamplesPage = lazy(() => import('../pages/examples/ExamplesPage'));
const TodayPage = lazy(() => import('../pages/today/TodayPage'));
const LogPage = lazy(() => import('../pages/log/LogPage'));
const AwayPage = lazy(() => import('../pages/away/AwayPage'));
const TroublePage = lazy(() => import('../pages/trouble/TroublePage'));
const YearPage = lazy(() => import('../pages/year/YearPage'));
const ComparePage = lazy(() => import('../pages/compare/ComparePage'));

export function App() {
  return (
    <ErrorBoundary FallbackComponent={Broken}>
      <BrowserRouter>
        <Suspense fallback={<Waiting what="the page" />}>
          <Routes>
            <Route path="/" element={<GardenPage />} />
            <Route path="/new" element={<StartPage />} />
            <Route path="/vessels" element={<VesselsPage />} />
            <Route path="/today" element={<TodayPage />} />
            <Route path="/away" element={<AwayPage />} />
            <Route path="/planters/:id/trouble" element={<TroublePage />} />
            <Route path="/planters/:id/log" element={<LogPage />} />
            <Route path="/year" element={<YearPage />} />
            <Route path="/compare" element={<ComparePage />} />
            <Route path="/shopping" element={<ShoppingPage />} />
            <Route path="/prices" element={<PricesPage />} />
            <Route path="/planters/:id" element={<BenchPage />} />
            <Route path="/planters/:id/build" element={<BuildPage />} />
            <Route path="/planters/:id/season" element={<SeasonPage />} />
            <Route path="/settings" element={<SettingsPage />} />
            <Route path="/settings/phone" element={<PhonePage />} />
            <Route path="/examples" element={<ExamplesPage />} />
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
