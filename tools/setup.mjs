// What the commands share: installing what is missing, building what has changed, running things.
// Uses nothing but Node, because nothing may be installed yet.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeKinds } from './kinds.mjs';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command to its end, showing what it prints. Stops everything if it fails. */
export function must(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (error || status !== 0) {
    console.error(`\n${command} ${args.join(' ')} failed.`);
    process.exit(status || 1);
  }
}

/** Runs commands beside each other, each showing what it printed when it ends. Stops everything if one fails. */
export async function mustAll(commands) {
  const one = ([command, args]) =>
    new Promise((resolve) => {
      const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
      const printed = [];
      for (const stream of [child.stdout, child.stderr]) {
        stream.on('data', (piece) => printed.push(piece));
      }
      const end = (status) => {
        process.stdout.write(Buffer.concat(printed));
        if (status !== 0) console.error(`\n${command} ${args.join(' ')} failed.`);
        resolve(status === 0);
      };
      child.on('error', () => end(1));
      child.on('close', end);
    });
  const passed = await Promise.all(commands.map(one));
  if (!passed.every(Boolean)) process.exit(1);
}

/** Runs a command alongside; Ctrl-C reaches it. Resolves with its exit code. */
export function run(command, args, env = {}) {
  const child = spawn(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 0)));
}

/** Runs commands beside each other until one ends, and ends the others. Resolves with its exit code. */
export function runTogether(commands) {
  const children = commands.map(([command, args, env = {}]) =>
    // In a group of its own, so that what it starts ends with it.
    spawn(command, args, {
      cwd: root,
      stdio: 'inherit',
      detached: true,
      env: { ...process.env, ...env },
    }),
  );
  const end = () => {
    for (const { pid, exitCode } of children) {
      if (exitCode !== null || pid === undefined) continue;
      try {
        process.kill(-pid, 'SIGTERM');
      } catch {
        // It has ended by itself.
      }
    }
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, end);
  const ended = children.map(
    (child) => new Promise((done) => child.on('exit', (code) => done(code ?? 0))),
  );
  return Promise.race(ended).then(async (code) => {
    end();
    await Promise.all(ended);
    return code;
  });
}

/** Writes the lists of kinds, and installs the packages of the lock file unless that very file is installed. */
export function installPackages() {
  writeKinds();
  const stamp = join(root, 'node_modules', '.huerta-installed');
  const fingerprint = () =>
    createHash('sha256')
      .update(readFileSync(join(root, 'package-lock.json')))
      .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === fingerprint()) return;
  console.log('Installing packages (SQLite is compiled, which takes about two minutes) …');
  // Not `npm ci`: a registry may lack optional packages for other platforms, and then it refuses.
  must('npm', ['install', '--no-audit', '--no-fund']);
  writeFileSync(stamp, fingerprint());
}

/** Chromium for the browser tests: that of HUERTA_CHROMIUM, else Debian's, which is installed where it is missing. */
export function installChromium() {
  if (existsSync(process.env.HUERTA_CHROMIUM ?? '/usr/bin/chromium')) return;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    console.error(
      'The browser tests need Chromium: install the package chromium, or say where it is in HUERTA_CHROMIUM.',
    );
    process.exit(1);
  }
  console.log('Installing Chromium …');
  must('apt-get', ['update', '-qq']);
  must('apt-get', ['install', '-y', '-qq', 'chromium'], { DEBIAN_FRONTEND: 'noninteractive' });
}

/** The newest change among sources, as milliseconds. */
function newest(folder) {
  let latest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (['node_modules', 'dist'].includes(entry.name)) continue;
    const path = join(folder, entry.name);
    latest = Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs);
  }
  return latest;
}

/** Builds pages and server when a source is newer than what was built. */
export function build() {
  const stamp = join(root, '.cache', 'built');
  const sources = Math.max(
    ...['core', 'contract', 'server', 'web'].map((name) => newest(join(root, name))),
  );
  const whole = ['web/dist/index.html', 'server/dist/main.js'].every((file) =>
    existsSync(join(root, file)),
  );
  if (whole && existsSync(stamp) && statSync(stamp).mtimeMs > sources) return;
  must('npm', ['run', '--silent', 'build']);
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, '');
}
