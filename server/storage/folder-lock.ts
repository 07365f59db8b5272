import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { FileProblem, type Holder } from './file-problem';

export interface FolderLock {
  /** says where the kitchen is served, once that is known */
  servedAt(address: string): void;
  release(): void;
}

/**
 * One process a folder. The lock is SQLite's own on a file beside the kitchen's: the system lets go of it when the
 * process ends, however it ends. Who holds it stands in a file of words beside that, for the one who is refused.
 *
 * @throws FileProblem naming who holds it
 */
export function lockFolder(folder: string): FolderLock {
  const held = join(folder, 'slow-pot.lock');
  const words = join(folder, 'slow-pot.lock.json');
  const lock = new Database(held);
  try {
    lock.exec(
      'PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE; CREATE TABLE IF NOT EXISTS held (by TEXT); COMMIT',
    );
  } catch (error) {
    lock.close();
    throw new FileProblem('held', { folder, holder: readHolder(words), cause: error });
  }
  const holder: Holder = {
    pid: process.pid,
    host: hostname(),
    since: new Date().toISOString(),
    address: null,
  };
  writeFileSync(words, `${JSON.stringify(holder)}\n`);
  return {
    servedAt: (address) => writeFileSync(words, `${JSON.stringify({ ...holder, address })}\n`),
    release() {
      rmSync(words, { force: true });
      lock.close();
    },
  };
}

function readHolder(words: string): Holder | null {
  try {
    return existsSync(words) ? (JSON.parse(readFileSync(words, 'utf8')) as Holder) : null;
  } catch {
    return null;
  }
}
