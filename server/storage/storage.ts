import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import type * as projectionTables from './projection-schema';
import type * as tables from './schema';

export type Tables = typeof tables & typeof projectionTables;

/** The kitchen's file to read from. */
export type Db = BetterSQLite3Database<Tables>;

declare const IN_TRANSACTION: unique symbol;

/** The same inside a transaction: only here may anything be written. */
export type Tx = Db & { readonly [IN_TRANSACTION]: true };

/** What a check of the file found. */
export type Integrity = 'ok' | 'damaged';

export interface Storage {
  readonly folder: string;
  readonly db: Db;
  /**
   * One command, whole or not at all: what it reads, checks and writes is one transaction, durable when it returns.
   *
   * @throws whatever the work throws, with nothing changed; StorageError where the file cannot be written
   */
  transact<T>(work: (tx: Tx) => T): T;
  /** what a quick check of the file found; null while it has not been done */
  integrity(): Integrity | null;
  /** checks a file that was too large to be checked as it was opened, beside the work */
  checkBeside(): Promise<Integrity>;
  /** folds the write-ahead log into the file, so that the file alone is the kitchen, and lets go of the folder */
  close(): void;
  servedAt(address: string): void;
}

/** What keeps the file from being written. */
export type StorageTrouble = 'full' | 'readOnly' | 'damaged' | 'busy' | 'failing';

/** The file could not be written; nothing was changed. */
export class StorageError extends Error {
  constructor(
    readonly trouble: StorageTrouble,
    cause: unknown,
  ) {
    super(`the kitchen's file cannot be written: ${trouble}`, { cause });
  }
}

const TROUBLES: readonly [RegExp, StorageTrouble][] = [
  [/^SQLITE_FULL/, 'full'],
  [/^SQLITE_(READONLY|CANTOPEN|PERM|AUTH)/, 'readOnly'],
  [/^SQLITE_(CORRUPT|NOTADB)/, 'damaged'],
  [/^SQLITE_(BUSY|LOCKED)/, 'busy'],
  [/^SQLITE_(IOERR|NOMEM|PROTOCOL)/, 'failing'],
];

/** An error of the driver as what it means; anything else as it is. */
export function asStorageError(error: unknown): unknown {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    const code = 'code' in cause ? String(cause.code) : '';
    const found = TROUBLES.find(([pattern]) => pattern.test(code));
    if (found) return new StorageError(found[1], error);
  }
  return error;
}
