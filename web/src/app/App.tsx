import { lazy, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Route, Routes } from 'react-router';
import { Broken } from '../components/Broken';
import { Notices } from '../components/notices';
import { Waiting } from '../components/Waiting';
import { GardenPage } from '../pages/garden/GardenPage';
import { NotFoundPage } from '../pages/NotFoundPage';

const BenchPage = lazy(() => import('../pages/bench/BenchPage'));
const StartPage = lazy(() => import('../pages/start/StartPage'));

export function App() {
  return (
    <ErrorBoundary FallbackComponent={Broken}>
      <BrowserRouter>
        <Suspense fallback={<Waiting what="the bench" />}>
          <Routes>
            <Route path="/" element={<GardenPage />} />
            <Route path="/new" element={<StartPage />} />
            <Route path="/planters/:id" element={<BenchPage />} />
            <Route path="*" element={<NotFoundPage />} />
          </Routes>
        </Suspense>
      </BrowserRouter>
      <Notices />
    </ErrorBoundary>
  );
}
