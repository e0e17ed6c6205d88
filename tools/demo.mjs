// One command from a fresh checkout to a working garden: installs, builds, loads the demo, serves.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, installPackages, root, run } from './setup.mjs';

// `--inches` is a demo garden of its own, whose planters are built in inches.
const inches = process.argv.includes('--inches');
const folder = join(root, '.data', inches ? 'demo-inches' : 'demo');
installPackages();
build();
if (process.argv.includes('--fresh')) rmSync(folder, { recursive: true, force: true });
const code = await run('node', ['server/dist/main.js'], {
  HUERTA_DEMO: '1',
  HUERTA_DEMO_UNITS: inches ? 'us' : 'metric',
  HUERTA_DATA: process.env.HUERTA_DATA ?? folder,
});
process.exit(code);
