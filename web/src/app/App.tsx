import { PAGES, type PagePath } from '@huerta/contract';
import { lazy, Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Route, Routes } from 'react-router';
import { fetchAgain } from '../ui/fetchAgain';
import { ErrorFallback } from '../ui/ErrorFallback';
import { Notices } from '../ui/notices';
import { Outbox } from './Outbox';
import { NewVersion } from './NewVersion';
import { PAGE_MODULES } from './routes';
import { Loading } from '../ui/Loading';
import { GardenPage } from '../features/garden/GardenPage';
import { NotFoundPage } from './NotFoundPage';

/** A page for each address. */
const PAGE = {
  '/': <GardenPage />,
  ...Object.fromEntries(
    Object.entries(PAGE_MODULES).map(([path, fetchModule]) => {
      const Fetched = lazy(() => fetchAgain(fetchModule));
      return [path, <Fetched key={path} />];
    }),
  ),
} as Readonly<Record<PagePath, ReactNode>>;

export function App() {
  return (
    <ErrorBoundary FallbackComponent={ErrorFallback}>
      <BrowserRouter>
        <Suspense fallback={<Loading what="the page" />}>
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
