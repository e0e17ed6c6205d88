import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { defineConfig } from '@playwright/test';

const PORT = 4790;
const root = resolve(import.meta.dirname, '..');

/** Chromium of HUERTA_CHROMIUM, else Debian's, kept from calling home; never one that Playwright would fetch. */
export const CHROMIUM = {
  executablePath: process.env.HUERTA_CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: join(root, 'test-results'),
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Generous, for machines whose disk or processor is busy; nothing is measured here.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: join(root, '.cache', 'results', 'e2e.json') }]],
  use: {
    locale: 'en-GB',
    // A service worker would fetch where the tests cannot see it; offline.spec.ts lets it.
    serviceWorkers: 'block',
    baseURL: `http://localhost:${PORT}`,
    launchOptions: CHROMIUM,
    viewport: { width: 1280, height: 800 },
    // Recording every step takes a quarter of the time: asked for where a failure is looked into.
    trace: process.env.HUERTA_TRACE ? 'retain-on-failure' : 'off',
  },
  webServer: {
    command: 'node server/dist/main.js',
    cwd: root,
    url: `http://localhost:${PORT}/api/health`,
    reuseExistingServer: false,
    timeout: 180_000,
    env: {
      HUERTA_PORT: String(PORT),
      HUERTA_DATA: mkdtempSync(join(tmpdir(), 'huerta-e2e-')),
      HUERTA_DEMO: '1',
      HUERTA_DEMO_DAY: '2026-07-15',
      HUERTA_LOG: 'warn',
      HUERTA_RATE: '0',
      HUERTA_HOST: '127.0.0.1',
    },
  },
});
