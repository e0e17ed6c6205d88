// Everything that must hold, from a fresh checkout: types, lint, unit tests, build, browser tests.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, installChromium, installPackages, must, mustAll, root } from './setup.mjs';

// Not in Playwright's own folder, which it empties when it starts.
const results = join(root, '.cache', 'results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

installPackages();
installChromium();
// Each of the two keeps one processor busy.
await mustAll([
  ['npm', ['run', '--silent', 'types']],
  ['npm', ['run', '--silent', 'lint']],
]);
must('npx', ['jest', '--json', `--outputFile=${join(results, 'unit.json')}`]);
build();
must('npx', ['playwright', 'test', '-c', 'e2e/playwright.config.ts']);

const read = (name) => JSON.parse(readFileSync(join(results, name), 'utf8'));
const unit = read('unit.json');
const browser = read('e2e.json').stats;
const passed = unit.numPassedTests + browser.expected;
const failed = unit.numFailedTests + browser.unexpected;
console.log(`\ntests: ${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
