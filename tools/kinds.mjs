// The lists of all kinds of support, written from the files that there are of them: a kind that is added
// is files of its own and nothing else. Lists are made again whenever packages are installed, types are
// checked, tests run or anything is built; they are not kept in the repository.
// Uses nothing but Node, because nothing may be installed yet.
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** What a kind is to begin with, in the document: each file here is one, and named for it. */
const KINDS = 'core/src/document/parts/supports';

/** Where each kind has a file of its own with what is to be said of it there. */
const ROOMS = [
  KINDS,
  'core/src/assembly/parts/supports',
  'core/src/drawing/parts/supports',
  'core/src/drawing/round/parts/supports',
  'core/src/fabrication/parts/supports',
  'web/src/features/editor/parts/supports',
];

/** Written from the others, and put together by hand. */
const LISTS = ['all', 'index'];

/** @returns the kinds' names, as their files in the document's folder have them */
const kindNames = () =>
  readdirSync(join(root, KINDS))
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => file.slice(0, -'.ts'.length))
    .filter((name) => !LISTS.includes(name))
    .sort();

/** A list: what each kind's file in a folder exports under its own name. */
const listOf = (names) =>
  [
    '// Written by tools/kinds.mjs from the files that lie here: nothing is changed by hand.',
    ...names.map((name) => `export { ${name} } from './${name}';`),
    '',
  ].join('\n');

/**
 * Writes the lists that are not as they should be. A kind that lacks its file in a room stands in that
 * room's list all the same, and so does not compile.
 */
export function writeKinds() {
  const text = listOf(kindNames());
  for (const room of ROOMS) {
    const file = join(root, room, 'all.ts');
    if (existsSync(file) && readFileSync(file, 'utf8') === text) continue;
    // Two commands may write at once: each writes the whole, and moves it into place.
    const draft = `${file}.${process.pid}`;
    writeFileSync(draft, text);
    renameSync(draft, file);
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeKinds();
