// Changes core's formulas one by one and sees whether a test notices: npm run mutate, or with rooms: npm run mutate -- numerics
import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { installPackages, root } from '../setup.mjs';

/** The rooms that are tried, each by its own tests. */
const ROOMS = {
  numerics: 'core/src/numerics',
  soil: 'core/src/physics/soil',
  wick: 'core/src/physics/wick',
  overflow: 'core/src/physics/overflow',
  climate: 'core/src/physics/climate',
  column: 'core/src/physics/column',
  estimator: 'core/src/journal/estimator',
};

const asked = process.argv.slice(2);
const unknown = asked.find((name) => !(name in ROOMS));
if (unknown) {
  console.error(`There is no room ${unknown}: ${Object.keys(ROOMS).join(', ')}.`);
  process.exit(1);
}
installPackages();
const folders = Object.entries(ROOMS)
  .filter(([name]) => asked.length === 0 || asked.includes(name))
  .map(([, folder]) => folder);
const out = join(root, '.cache', 'mutate');
mkdirSync(out, { recursive: true });
const config = join(out, 'stryker.json');
writeFileSync(
  config,
  JSON.stringify({
    packageManager: 'npm',
    testRunner: 'jest',
    plugins: ['@stryker-mutator/jest-runner'],
    mutate: folders.flatMap((folder) => [
      `${folder}/**/*.ts`,
      `!${folder}/**/*.test.ts`,
      `!${folder}/**/index.ts`,
    ]),
    jest: {
      configFile: join('tools', 'mutate', 'jest.config.cjs'),
      enableFindRelatedTests: false,
    },
    coverageAnalysis: 'perTest',
    // Property tests take their time; what takes much longer than that goes round in circles.
    timeoutMS: 30_000,
    concurrency: 2,
    reporters: ['clear-text', 'json'],
    jsonReporter: { fileName: join('.cache', 'mutate', 'report.json') },
    clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
    ignorePatterns: ['.cache', '.data', 'web', 'server', 'e2e', 'docs', '**/dist'],
    thresholds: { high: 90, low: 80, break: 80 },
    tempDirName: join('.cache', 'mutate', 'sandbox'),
  }),
);
const { status } = spawnSync('npx', ['stryker', 'run', config], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, HUERTA_MUTATE: folders.join() },
});
process.exit(status ?? 1);
