// Makes an archive and a .deb for this machine's kind that bring their own Node.js, the built server and pages, and
// SQLite as it was compiled here. Uses nothing but Node, tar and dpkg-deb.
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { execFileSync, spawnSync } from 'node:child_process';
import { dirname, join, relative } from 'node:path';
import { build, installPackages, must, root } from '../setup.mjs';

installPackages();
build();

const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
const arch = { x64: 'amd64', arm64: 'arm64', arm: 'armhf' }[process.arch] ?? process.arch;
const out = join(root, '.cache', 'package');
const name = `huerta-${version}-${process.platform}-${process.arch}`;
const folder = join(out, name);
rmSync(out, { recursive: true, force: true });
mkdirSync(join(folder, 'node', 'bin'), { recursive: true });

/** The packages that the server needs when it runs, as paths below the checkout. */
function runtimePackages() {
  const listed = execFileSync('npm', ['ls', '-w', 'server', '--omit=dev', '--all', '--parseable'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  return listed
    .split('\n')
    .map((path) => relative(root, path))
    .filter((path) => path.includes('node_modules') && !path.includes('@huerta'));
}

/** What a package carries only to be compiled or read by people. */
const LEFT_OUT =
  /\/(?:deps|src|test|tests|docs|example|examples|build-tmp[^/]*|obj\.target|\.deps)(?:\/|$)|\.(?:map|md|ts|flow|h|cc?|cpp|gyp[i]?|o|a|mk|d)$/;
const kept = (from) => (path) =>
  path === from || !LEFT_OUT.test(path.slice(from.length)) || /\.node$/.test(path);

const app = join(folder, 'app');
for (const path of runtimePackages()) {
  const from = join(root, path);
  if (!existsSync(from) || !statSync(from).isDirectory()) continue;
  const own = path.split('node_modules').at(-1).slice(1);
  const compiled = own === 'sqlite3' || own === 'bindings';
  cpSync(from, join(app, path), {
    recursive: true,
    dereference: true,
    filter:
      compiled || own.startsWith('@fontsource') || own.startsWith('dejavu')
        ? kept(from)
        : (one) => !/\.(?:map|md|ts|flow)$/.test(one),
  });
}
for (const path of ['server/dist', 'web/dist']) {
  cpSync(join(root, path), join(app, path), { recursive: true });
}
writeFileSync(
  join(app, 'package.json'),
  JSON.stringify({ name: 'huerta', version, type: 'module' }),
);
cpSync(join(root, 'server', 'package.json'), join(app, 'server', 'package.json'));
cpSync(join(root, 'tools', 'package', 'launch.mjs'), join(app, 'launch.mjs'));
cpSync(process.execPath, join(folder, 'node', 'bin', 'node'), { dereference: true });
for (const file of ['LICENSE', 'CHANGELOG.md']) cpSync(join(root, file), join(folder, file));
cpSync(join(root, 'docs', 'install.md'), join(folder, 'README.md'));
writeFileSync(
  join(folder, 'huerta'),
  '#!/bin/sh\n# Only what every shell has: no other program need be there.\ncase "$0" in */*) here="${0%/*}" ;; *) here=. ;; esac\nexec "$here/node/bin/node" "$here/app/launch.mjs" "$@"\n',
);
chmodSync(join(folder, 'huerta'), 0o755);

must('tar', ['-czf', join(out, `${name}.tar.gz`), '-C', out, name]);

// The same below /opt, a command, a service of each person that starts at login, and an entry in the menu.
const deb = join(out, 'deb');
const put = (path, text, mode = 0o644) => {
  mkdirSync(dirname(join(deb, path)), { recursive: true });
  writeFileSync(join(deb, path), text);
  chmodSync(join(deb, path), mode);
};
mkdirSync(join(deb, 'opt'), { recursive: true });
cpSync(folder, join(deb, 'opt', 'huerta'), { recursive: true });
put('usr/bin/huerta', '#!/bin/sh\nexec /opt/huerta/huerta "$@"\n', 0o755);
put(
  'usr/lib/systemd/user/huerta.service',
  `[Unit]
Description=Huerta, the garden's planters

[Service]
ExecStart=/opt/huerta/huerta --no-browser
Restart=on-failure

[Install]
WantedBy=default.target
`,
);
put(
  'usr/share/applications/huerta.desktop',
  `[Desktop Entry]
Type=Application
Name=Huerta
Comment=Design, build and tend planters that water themselves
Exec=xdg-open http://localhost:4700
Terminal=false
Categories=Utility;
`,
);
const size = Number(spawnSync('du', ['-sk', deb], { encoding: 'utf8' }).stdout.split('\t')[0]);
put(
  'DEBIAN/control',
  `Package: huerta
Version: ${version}
Architecture: ${arch}
Maintainer: The Huerta contributors <huerta@localhost>
Installed-Size: ${size}
Depends: libc6, libstdc++6
Section: misc
Priority: optional
Description: Designs, builds and tends self-watering planters
 A web application for one household: it serves the garden in ~/huerta-garden
 to this machine, and to the devices that are let in.
`,
);
put(
  'DEBIAN/postinst',
  `#!/bin/sh
set -e
if [ "$1" = configure ] && [ -d /run/systemd/system ]; then
  systemctl --global enable huerta.service || true
fi
`,
  0o755,
);
put(
  'DEBIAN/prerm',
  `#!/bin/sh
set -e
if [ "$1" = remove ] && [ -d /run/systemd/system ]; then
  systemctl --global disable huerta.service || true
fi
`,
  0o755,
);
must('dpkg-deb', [
  '--root-owner-group',
  '-Zxz',
  '-z1',
  '--build',
  deb,
  join(out, `huerta_${version}_${arch}.deb`),
]);
rmSync(deb, { recursive: true });
console.log(`\n${join(out, `${name}.tar.gz`)}\n${join(out, `huerta_${version}_${arch}.deb`)}`);
