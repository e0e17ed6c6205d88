// Server and pages with reload on change: http://localhost:4701
// npm run dev                 the demo garden
// npm run dev -- folder       one's own garden
// The server is built as it is served, with its threads, and starts anew when it was.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { installPackages, must, root, runTogether } from './setup.mjs';

const [folder] = process.argv.slice(2);
installPackages();
if (!existsSync(resolve(root, 'server/dist/main.js'))) {
  must('npm', ['run', '--silent', 'build', '-w', 'server']);
}
const env = folder
  ? { HUERTA_DEMO: '0', HUERTA_DATA: resolve(folder) }
  : { HUERTA_DEMO: '1', HUERTA_DATA: process.env.HUERTA_DATA ?? '.data/dev' };
process.exit(
  await runTogether([
    ['npx', ['vite', 'build', 'server', '--ssr', '--watch', '--emptyOutDir', 'false']],
    ['node', ['--watch', '--watch-preserve-output', 'server/dist/main.js'], env],
    ['npx', ['vite', 'web']],
  ]),
);
