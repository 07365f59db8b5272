import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import type { KitchenSeed } from '../../contract';
import { startWorker } from '../start-worker';
import { chainOldEntries } from './chain-rows';
import { FileProblem } from './file-problem';
import { lockFolder } from './folder-lock';
import { DB_NAME, isKitchenThere } from './inspect-file';
import { readMarker, removeMarker, writeMarker } from './kitchen-marker';
import * as projectionTables from './projection-schema';
import { isOutOfDate, rebuild } from './rebuild';
import * as tables from './schema';
import { blankKitchen, seedKitchen } from './seed-kitchen';
import { asStorageError, type Db, type Integrity, type Storage, type Tx } from './storage';

/** Up to this size the whole file is checked as it is opened; a larger one is checked beside the work, bytes. */
const CHECKED_AT_ONCE_BYTES = 48_000_000;

export interface StorageOptions {
  folder: string;
  /** fills a new kitchen; without it an empty one is made */
  seed?: () => KitchenSeed;
  /** an unclean end lost the newest entries, and the person in charge goes on without them */
  goesOnWithoutWal?: boolean;
  /** whose kitchen it has to be: the demo never opens a cook's own file, nor the other way round */
  expects?: 'own' | 'demo';
  /** a demo is begun anew: only ever a demo */
  isFresh?: boolean;
  /** told before each statement: what a test stops at */
  onStatement?: (statement: string) => void;
}

/**
 * Opens the kitchen in a folder: locks it, looks at the file, brings its tables up to date with a copy kept, checks it.
 * Where there is none it is made, whole or not at all.
 *
 * @throws FileProblem in words, with nothing changed
 */
export function openStorage(options: StorageOptions): Storage {
  const { folder, seed, goesOnWithoutWal = false, onStatement } = options;
  mkdirSync(folder, { recursive: true });
  const lock = lockFolder(folder);
  try {
    const path = join(folder, DB_NAME);
    if (options.isFresh) sweepDemo(folder, goesOnWithoutWal);
    if (!isKitchenThere(folder, goesOnWithoutWal)) makeKitchen(folder, seed);
    const client = connect(path, folder);
    refuseOther(client, folder, options.expects);
    bringUpToDate(client, folder);
    const db = withTables(client, onStatement);
    refuseOther(client, folder, options.expects);
    const transact = transactor(client, db);
    let integrity: Integrity | null = null;
    if (statSync(path).size <= CHECKED_AT_ONCE_BYTES) {
      integrity = quickCheck(client);
      if (integrity === 'damaged') throw new FileProblem('damaged', { folder });
    }
    transact(chainOldEntries);
    if (isOutOfDate(db)) rebuild({ transact });
    const madeAt = readMarker(folder)?.madeAt ?? new Date().toISOString();
    // from here on the write-ahead log is never empty while the server runs: one that is, was lost
    client.exec('PRAGMA user_version = 1');
    writeMarker(folder, { format: 'slow-pot-kitchen', madeAt, isRunning: true });
    return {
      folder,
      db,
      transact,
      integrity: () => integrity,
      async checkBeside() {
        integrity ??= await checkInWorker(path);
        return integrity;
      },
      servedAt: (address) => lock.servedAt(address),
      close() {
        client.exec('PRAGMA wal_checkpoint(TRUNCATE)');
        client.close();
        writeMarker(folder, { format: 'slow-pot-kitchen', madeAt, isRunning: false });
        lock.release();
      },
    };
  } catch (error) {
    lock.release();
    throw asFileProblem(error, folder);
  }
}

/** A file of the other kind is left as it is. One from before there were two kinds is told by its clock. */
function refuseOther(client: Client, folder: string, expects: StorageOptions['expects']): void {
  if (!expects) return;
  const isDemo = isDemoFile(client);
  if (isDemo === null || isDemo === (expects === 'demo')) return;
  client.close();
  throw new FileProblem(isDemo ? 'isDemo' : 'isNoDemo', { folder });
}

/** Null where the file does not say yet. */
function isDemoFile(client: Client): boolean | null {
  const columns = client.prepare('PRAGMA table_info(kitchens)').all() as { name: string }[];
  if (!columns.some((column) => column.name === 'isDemo')) return null;
  const row = client.prepare('SELECT isDemo FROM kitchens').get() as { isDemo: number } | undefined;
  return row ? row.isDemo === 1 : null;
}

/** Takes a demo's file away, so that it is begun anew; anything else is left and said. */
function sweepDemo(folder: string, goesOnWithoutWal: boolean): void {
  if (!isKitchenThere(folder, goesOnWithoutWal)) return;
  const path = join(folder, DB_NAME);
  const client = connect(path, folder);
  const isDemo = isDemoFile(client);
  client.close();
  if (!isDemo) throw new FileProblem('isNoDemo', { folder });
  removeMarker(folder);
  for (const ending of ['', '-wal', '-shm']) rmSync(`${path}${ending}`, { force: true });
}

export type Client = InstanceType<typeof Database>;

export function withTables(client: Client, onStatement?: (statement: string) => void): Db {
  const logger = onStatement ? { logQuery: onStatement } : false;
  return drizzle(client, { schema: { ...tables, ...projectionTables }, logger });
}

/** A connection as the kitchen's file wants it: write-ahead log, each commit on the disk before it is answered for. */
export function connect(path: string, folder: string): Client {
  try {
    const client = new Database(path);
    client.exec(
      'PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 2000',
    );
    keepStatements(client);
    return client;
  } catch (error) {
    throw asFileProblem(error, folder);
  }
}

/** So many statements are kept; one not asked for lately goes first. */
const STATEMENTS = 400;

/**
 * The same text is the same statement: compiled once, and its memory, which the language's own collector does not see,
 * taken once.
 */
function keepStatements(client: Client): void {
  const kept = new Map<string, ReturnType<Client['prepare']>>();
  const prepare = client.prepare.bind(client);
  client.prepare = ((text: string) => {
    const statement = kept.get(text) ?? prepare(text);
    kept.delete(text);
    kept.set(text, statement);
    const [oldest] = kept.keys();
    if (kept.size > STATEMENTS && oldest !== undefined) kept.delete(oldest);
    // whoever had it last may have asked for rows without names
    if (statement.reader) statement.raw(false);
    return statement;
  }) as Client['prepare'];
}

/**
 * Work as one transaction; what the driver says is told as what it means. A full disk ends a transaction by itself: then
 * there is none left to roll back.
 */
export function transactor(client: Client, db: Db): Storage['transact'] {
  return (work) => {
    try {
      client.exec('BEGIN IMMEDIATE');
      const done = work(db as Tx);
      client.exec('COMMIT');
      return done;
    } catch (error) {
      if (client.inTransaction) client.exec('ROLLBACK');
      throw asStorageError(error);
    }
  };
}

/** A new kitchen is made under another name and put in its place when it is whole. */
function makeKitchen(folder: string, seed: StorageOptions['seed']): void {
  const path = join(folder, 'slow-pot.new.db');
  const sweep = (endings: readonly string[]) => {
    for (const ending of endings) rmSync(`${path}${ending}`, { force: true });
  };
  sweep(['', '-wal', '-shm']);
  const client = connect(path, folder);
  const db = withTables(client);
  migrate(db, { migrationsFolder: migrationsFolder() });
  const transact = transactor(client, db);
  transact((tx) => seedKitchen(tx, seed ? seed() : blankKitchen()));
  client.exec('PRAGMA wal_checkpoint(TRUNCATE)');
  client.close();
  renameSync(path, join(folder, DB_NAME));
  sweep(['-wal', '-shm']);
  writeMarker(folder, { format: 'slow-pot-kitchen', madeAt: new Date().toISOString(), isRunning: false });
}

/** Applies what is missing, the file copied before. */
function bringUpToDate(client: Client, folder: string): void {
  const has = client.prepare("SELECT count(*) AS n FROM sqlite_master WHERE type = 'table'").get() as {
    n: number;
  };
  if (has.n === 0) throw new FileProblem('noTables', { folder });
  const source = migrationsFolder();
  const journal = JSON.parse(readFileSync(join(source, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string }[];
  };
  const done = client.prepare('SELECT count(*) AS n FROM __drizzle_migrations').get() as { n: number };
  if (done.n > journal.entries.length) throw new FileProblem('newer', { folder });
  const next = journal.entries[done.n];
  if (!next) return;
  client.exec('PRAGMA wal_checkpoint(TRUNCATE)');
  copyFileSync(join(folder, DB_NAME), join(folder, `slow-pot.before-${next.tag}.db`));
  migrate(withTables(client), { migrationsFolder: source });
}

export function quickCheck(client: Client): Integrity {
  const [first] = client.prepare('PRAGMA quick_check(1)').all() as { quick_check: string }[];
  return first?.quick_check === 'ok' ? 'ok' : 'damaged';
}

async function checkInWorker(path: string): Promise<Integrity> {
  const worker = startWorker('check-worker', import.meta.url, { workerData: path });
  worker.unref();
  return new Promise((resolve) => {
    worker.once('message', resolve);
    worker.once('error', () => resolve('damaged'));
  });
}

/** The migrations lie beside this file, or beside the build. */
function migrationsFolder(): string {
  const here = dirname(fileURLToPath(import.meta.url));
  const found = join(here, 'migrations');
  if (!existsSync(found)) throw new Error(`migrations must lie beside the server, got none at ${found}`);
  return found;
}

function asFileProblem(error: unknown, folder: string): unknown {
  if (error instanceof FileProblem) return error;
  const told = asStorageError(error);
  if (told === error || !(told instanceof Error) || !('trouble' in told)) return error;
  const code = told.trouble === 'damaged' ? 'damaged' : told.trouble === 'readOnly' ? 'readOnly' : null;
  return code ? new FileProblem(code, { folder, cause: error }) : error;
}
