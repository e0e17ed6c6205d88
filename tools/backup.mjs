// Keeps one's garden in a file, also while it is served: npm run backup [-- file]
import { homedir } from 'node:os';
import { join } from 'node:path';
import { build, installPackages, run } from './setup.mjs';

installPackages();
build();
const folder = process.env.HUERTA_DATA ?? join(homedir(), 'huerta-garden');
process.exit(
  await run('node', ['server/dist/main.js', 'backup', ...process.argv.slice(2)], {
    HUERTA_DATA: folder,
  }),
);
