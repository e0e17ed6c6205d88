import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bitter';
import './app/print.css';
import './drawing/drawing.css';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { z } from 'zod';
import { App } from './app/App';
import { PreferencesProvider } from './ui/preferences';
import { system } from './app/theme';
import { warmWorkers } from './compute/workerPool';
import { warmSeason } from './compute/season';
import { fetchStylesheetsAgain } from './ui/fetchAgain';
import { fetchPartsWhenIdle } from './ui/onDemand';

// The content security policy forbids building functions from text, which Zod would try for speed.
z.config({ jitless: true });

// What these pages ask of workers they ask at once: they start while the page is on its way.
if (window.location.pathname === '/away') warmWorkers(2);
if (/\/season$/.test(window.location.pathname)) warmSeason();

fetchStylesheetsAgain();

const client = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <ChakraProvider value={system}>
        <PreferencesProvider>
          <App />
        </PreferencesProvider>
      </ChakraProvider>
    </QueryClientProvider>
  </StrictMode>,
);
fetchPartsWhenIdle();
