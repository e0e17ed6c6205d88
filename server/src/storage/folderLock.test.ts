import { mkdtemp, rm } from 'node:fs/promises';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { FolderTaken, lockFolder } from './folderLock';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-lock-'));
});
afterEach(() => rm(folder, { recursive: true }));

test('a second server on a folder is told who has it, until that one ends', async () => {
  const file = join(folder, 'huerta.sqlite');
  const first = await lockFolder(file);
  await first.sayAddress('http://localhost:4700');
  const second = lockFolder(file);
  await expect(second).rejects.toThrow(FolderTaken);
  await expect(second).rejects.toThrow(
    `another Huerta on ${hostname()} (process ${process.pid}), since`,
  );
  await expect(lockFolder(file)).rejects.toThrow('Open http://localhost:4700');
  await first.release();
  await (await lockFolder(file)).release();
});
