// Installs and starts both packages where there is no Node.js: in a bare folder as the whole system where this may be
// made (as root), else with nothing on the path. Makes the packages first. Uses nothing but Node.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import assert from 'node:assert/strict';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { must, root } from '../setup.mjs';

must('node', ['tools/package/index.mjs']);

const out = join(root, '.cache', 'package');
const find = (end) =>
  join(
    out,
    readdirSync(out).find((name) => name.endsWith(end)),
  );
const bare = process.getuid?.() === 0 && existsSync('/bin/sh');
const PORT = '4797';

/** A folder with a shell and the C libraries that the package names, and nothing else. */
function bareSystem() {
  const system = mkdtempSync(join(tmpdir(), 'huerta-bare-'));
  const copy = (path) => {
    mkdirSync(join(system, dirname(path)), { recursive: true });
    cpSync(path, join(system, path), { dereference: true });
  };
  for (const program of ['/bin/sh', process.execPath]) {
    const libraries = execFileSync('ldd', [program], { encoding: 'utf8' });
    for (const [path] of libraries.matchAll(/\/\S+\.so\S*/g)) {
      copy(path);
      if (!path.endsWith('/libc.so.6')) continue;
      // The rest of libc6.
      for (const name of ['libresolv.so.2', 'librt.so.1', 'libpthread.so.0', 'libdl.so.2']) {
        if (existsSync(join(dirname(path), name))) copy(join(dirname(path), name));
      }
    }
  }
  copy('/bin/sh');
  for (const folder of ['tmp', 'root', 'dev', 'opt']) {
    mkdirSync(join(system, folder), { recursive: true });
  }
  return system;
}

/** Starts a program of an unpacked system. @returns what stops it, once it answers */
async function started(system, program) {
  const env = { HOME: bare ? '/root' : join(system, 'root'), HUERTA_PORT: PORT, PATH: '/nowhere' };
  const child = bare
    ? spawn('chroot', [system, '/bin/sh', program, '--no-browser'], {
        env: { ...env, PATH: process.env.PATH },
        stdio: ['ignore', 'inherit', 'inherit'],
      })
    : spawn('/bin/sh', [join(system, program), '--no-browser'], { env, stdio: 'inherit' });
  const ended = new Promise((done) => child.on('exit', done));
  for (let tries = 0; tries < 150; tries += 1) {
    const answer = await fetch(`http://127.0.0.1:${PORT}/api/health`).catch(() => null);
    if (answer?.ok)
      return async () => {
        child.kill('SIGTERM');
        await ended;
      };
    await new Promise((done) => setTimeout(done, 100));
  }
  child.kill('SIGKILL');
  throw new Error(`${program} did not answer.`);
}

const ask = (path, init) => fetch(`http://127.0.0.1:${PORT}${path}`, init);

/** The page opens, a planter is saved, and paper is drawn: database, pages and thread are there. */
async function works() {
  assert.match(await (await ask('/')).text(), /<title>Huerta/);
  const { designs } = await (await ask('/api/examples')).json();
  const made = await ask('/api/planters', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ design: designs[0] }),
  });
  assert.equal(made.status, 201, await made.clone().text());
  const { id } = await made.json();
  const paper = await ask(`/api/planters/${id}/build/sheet.pdf`);
  assert.equal(paper.headers.get('content-type'), 'application/pdf');
  assert.equal(
    Buffer.from(await paper.arrayBuffer())
      .subarray(0, 4)
      .toString(),
    '%PDF',
  );
}

async function installed(what, unpack, program) {
  const system = bareSystem();
  try {
    unpack(system);
    const stop = await started(system, program(system));
    await works();
    await stop();
    // The next version begins with a copy.
    const garden = join(system, 'root', 'huerta-garden');
    assert.ok(existsSync(join(garden, 'huerta.sqlite')), 'the garden lies in huerta-garden');
    const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
    writeFileSync(join(garden, 'version'), '0.0.1\n');
    await (
      await started(system, program(system))
    )();
    assert.ok(existsSync(join(garden, `before ${version}, from 0.0.1.zip`)), 'a copy came first');
    console.log(`${what}: installed and started ${bare ? 'in a bare system' : 'without a path'}`);
  } finally {
    rmSync(system, { recursive: true, force: true });
  }
}

await installed(
  'archive',
  (system) => must('tar', ['-xzf', find('.tar.gz'), '-C', join(system, 'opt')]),
  (system) => join('/opt', readdirSync(join(system, 'opt'))[0], 'huerta'),
);
await installed(
  'deb',
  (system) => {
    if (!bare) {
      must('dpkg-deb', ['-x', find('.deb'), system]);
      return;
    }
    for (const folder of ['info', 'updates', 'triggers']) {
      mkdirSync(join(system, 'var/lib/dpkg', folder), { recursive: true });
    }
    for (const file of ['status', 'available'])
      writeFileSync(join(system, 'var/lib/dpkg', file), '');
    const { status, stderr } = spawnSync(
      'dpkg',
      [`--root=${system}`, '--force-depends', '--force-not-root', '-i', find('.deb')],
      { encoding: 'utf8' },
    );
    assert.equal(status, 0, stderr);
  },
  () => (bare ? '/usr/bin/huerta' : '/opt/huerta/huerta'),
);
