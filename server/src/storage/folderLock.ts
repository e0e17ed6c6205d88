import { readFile, writeFile } from 'node:fs/promises';
import { hostname } from 'node:os';
import { dirname, join } from 'node:path';
import { connectTo } from './connection';

/**
 * One server to a folder. The lock is SQLite's own on a small file, so it ends with the program that holds it, however
 * that ends; who holds it stands beside it, for the sentence that says so.
 */
export interface FolderLock {
  /** Says at which address the holder answers. */
  sayAddress(address: string): Promise<void>;
  release(): Promise<void>;
}

interface Holder {
  machine: string;
  process: number;
  since: string;
  address: string | null;
}

/** Another server has the folder. */
export class FolderTaken extends Error {}

const lockFile = (folder: string): string => join(folder, 'huerta.lock');
const holderFile = (folder: string): string => join(folder, 'huerta.lock.json');

/** @param file of the garden @throws FolderTaken with a sentence that names the one who has it */
export async function lockFolder(file: string): Promise<FolderLock> {
  const folder = dirname(file);
  const connection = await connectTo(lockFile(folder));
  try {
    await connection.exec(
      'PRAGMA busy_timeout = 200; PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE;',
    );
  } catch (error) {
    await connection.close();
    const { code } = (error as { parent?: { code?: string } }).parent ?? {};
    if (code === 'SQLITE_BUSY') throw new FolderTaken(await sayHolder(folder));
    throw error;
  }
  const holder: Holder = {
    machine: hostname(),
    process: process.pid,
    since: new Date().toISOString(),
    address: null,
  };
  const say = () => writeFile(holderFile(folder), JSON.stringify(holder)).catch(() => undefined);
  await say();
  return {
    async sayAddress(address) {
      holder.address = address;
      await say();
    },
    release: () => connection.close(),
  };
}

async function sayHolder(folder: string): Promise<string> {
  const text = await readFile(holderFile(folder), 'utf8').catch(() => '{}');
  const { machine, process: id, since, address } = readHolder(text);
  const who = [
    machine === undefined ? '' : ` on ${machine}`,
    id === undefined ? '' : ` (process ${id})`,
    since === undefined ? '' : `, since ${since.slice(0, 16).replace('T', ' ')} UTC`,
  ].join('');
  return `another Huerta${who} has the garden in ${folder}. ${
    address ? `Open ${address}, or stop that one first.` : 'Stop that one first.'
  }`;
}

function readHolder(text: string): Partial<Holder> {
  try {
    return JSON.parse(text) as Partial<Holder>;
  } catch {
    return {};
  }
}
