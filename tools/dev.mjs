// Server and pages with reload on change: http://localhost:4701
import { installPackages, run } from './setup.mjs';

installPackages();
const env = { HUERTA_DEMO: '1', HUERTA_DATA: process.env.HUERTA_DATA ?? '.data/dev' };
const codes = await Promise.race([
  run('npx', ['tsx', 'watch', '--clear-screen=false', 'server/src/main.ts'], env),
  run('npx', ['vite', 'web']),
]);
process.exit(codes);
