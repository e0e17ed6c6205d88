// Starts an installed Huerta: copies the garden before a new version touches it, serves it, and opens the browser.
// Uses nothing but Node.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));
const { version } = JSON.parse(readFileSync(join(here, 'package.json'), 'utf8'));
const args = process.argv.slice(2);

if (args.includes('--help')) {
  console.log(`Huerta ${version}

huerta [folder]             serves the garden in ~/huerta-garden or the folder you name, and opens the browser
huerta --no-browser [folder]
huerta backup [file]        keeps the garden in one file

HUERTA_DATA, HUERTA_PORT and others as in docs/install.md.`);
  process.exit(0);
}

const named = args.find((one) => !one.startsWith('--') && one !== 'backup');
const backup = args.includes('backup');
const folder = resolve(
  (backup ? undefined : named) ?? process.env.HUERTA_DATA ?? join(homedir(), 'huerta-garden'),
);
const port = process.env.HUERTA_PORT ?? '4700';
const server = join(here, 'server', 'dist', 'main.js');
const env = {
  ...process.env,
  HUERTA_DATA: folder,
  HUERTA_PORT: port,
  HUERTA_WEB: join(here, 'web', 'dist'),
};
mkdirSync(folder, { recursive: true });

if (backup) {
  const { status } = spawnSync(process.execPath, [server, 'backup', ...(named ? [named] : [])], {
    env,
    stdio: 'inherit',
  });
  process.exit(status ?? 1);
}

// What the garden was last opened with; another version begins with a copy.
const stamp = join(folder, 'version');
const before = existsSync(stamp) ? readFileSync(stamp, 'utf8').trim() : null;
if (before !== null && before !== version && existsSync(join(folder, 'huerta.sqlite'))) {
  const copy = join(folder, `before ${version}, from ${before}.zip`);
  if (!existsSync(copy)) {
    const { status } = spawnSync(process.execPath, [server, 'backup', copy], {
      env,
      stdio: 'inherit',
    });
    if (status !== 0) {
      console.error('The garden could not be copied, so this version does not open it.');
      process.exit(1);
    }
  }
}
writeFileSync(stamp, `${version}\n`);

const child = spawn(process.execPath, [server], { env, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));

const address = `http://localhost:${port}`;
async function openBrowser() {
  for (let tries = 0; tries < 100; tries += 1) {
    const answer = await fetch(`${address}/api/health`).catch(() => null);
    if (answer?.ok) {
      spawn('xdg-open', [address], { stdio: 'ignore', detached: true })
        .on('error', () => console.log(`Open ${address} in a browser.`))
        .unref();
      return;
    }
    await new Promise((done) => setTimeout(done, 200));
  }
}
if (!args.includes('--no-browser')) void openBrowser();
