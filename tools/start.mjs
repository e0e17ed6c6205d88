// One's own garden: installs and builds what is missing, and serves the garden in a folder of one's own.
import { homedir } from 'node:os';
import { join, resolve } from 'node:path';
import { build, installPackages, root, run } from './setup.mjs';

const [wanted] = process.argv.slice(2);
const folder = resolve(wanted ?? process.env.HUERTA_DATA ?? join(homedir(), 'huerta-garden'));
if (folder === join(root, '.data', 'demo')) {
  console.error('That folder is the demo’s, which is put back as it was. Choose another.');
  process.exit(1);
}
installPackages();
build();
process.exit(await run('node', ['server/dist/main.js'], { HUERTA_DEMO: '0', HUERTA_DATA: folder }));
