import { closeSync, existsSync, openSync, readdirSync, readSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { FileProblem } from './file-problem';
import { readMarker } from './kitchen-marker';

const SQLITE_HEADER = 'SQLite format 3\0';
const HEADER_BYTES = 100;
/** A write-ahead log with anything in it has a header of so many bytes. */
const WAL_HEADER_BYTES = 32;

export const DB_NAME = 'slow-pot.db';

/**
 * Looks at a kitchen's file before it is opened: SQLite makes a new one out of nothing, and out of an empty file, so
 * that a kitchen that was lost would look like one that never was.
 *
 * @returns true where there is a kitchen to open, false where the folder is free for a new one
 * @throws FileProblem for a file that is lost, cut or something else
 */
export function isKitchenThere(folder: string, goesOnWithoutWal: boolean): boolean {
  const path = join(folder, DB_NAME);
  const marker = readMarker(folder);
  if (!existsSync(path)) {
    const isLost = marker !== null || existsSync(`${path}-wal`);
    if (isLost) throw new FileProblem('missing', { folder });
    return false;
  }
  const { size } = statSync(path);
  if (size === 0) throw new FileProblem('empty', { folder });
  const head = Buffer.alloc(HEADER_BYTES);
  const file = openSync(path, 'r');
  readSync(file, head, 0, HEADER_BYTES, 0);
  closeSync(file);
  if (size < HEADER_BYTES || head.toString('latin1', 0, 16) !== SQLITE_HEADER)
    throw new FileProblem('notAKitchen', { folder });
  // source: published: the SQLite file format, "The Database Header": page size at 16, size in pages at 28
  const declared = head.readUInt16BE(16);
  const pageBytes = declared === 1 ? 65_536 : declared;
  if (size < head.readUInt32BE(28) * pageBytes) throw new FileProblem('cut', { folder });
  if (marker?.isRunning && !goesOnWithoutWal && walBytes(path) < WAL_HEADER_BYTES)
    throw new FileProblem('walLost', { folder });
  return true;
}

function walBytes(path: string): number {
  return existsSync(`${path}-wal`) ? statSync(`${path}-wal`).size : 0;
}

/** Files that a file was copied to before it was migrated, the newest last. */
export function copiesIn(folder: string): string[] {
  return readdirSync(folder)
    .filter((name) => name.startsWith('slow-pot.before-'))
    .sort();
}
