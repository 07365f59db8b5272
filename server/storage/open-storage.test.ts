import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, describe, expect, it } from 'vitest';
import { smallKitchen } from '../testing/small-kitchen';
import {
  FileProblem,
  kitchenRow,
  latestRecipes,
  openStorage,
  type Storage,
  StorageError,
  updateKitchen,
} from './';

const made: string[] = [];
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), 'slow-pot-file-'));
  made.push(folder);
  return folder;
};
afterEach(() => {
  for (const folder of made.splice(0)) rmSync(folder, { recursive: true, force: true });
});

const db = (folder: string) => join(folder, 'slow-pot.db');
const nameOf = (storage: Storage) => kitchenRow(storage.db)?.name;
/** A kitchen that was opened, renamed and stopped. */
function stopped(): string {
  const folder = newFolder();
  const storage = openStorage({ folder, seed: smallKitchen });
  storage.transact((tx) => updateKitchen(tx, { name: 'Renamed' }));
  storage.close();
  return folder;
}
/** The folder of a kitchen as it lies there after its server was killed. */
function killed(): string {
  const running = stopped();
  const storage = openStorage({ folder: running });
  storage.transact((tx) => updateKitchen(tx, { name: 'The newest entry' }));
  const folder = newFolder();
  for (const file of ['slow-pot.db', 'slow-pot.db-wal', 'kitchen.json'])
    copyFileSync(join(running, file), join(folder, file));
  storage.close();
  return folder;
}
function problemOf(folder: string, options: { goesOnWithoutWal?: boolean } = {}): FileProblem {
  try {
    openStorage({ folder, seed: smallKitchen, ...options }).close();
  } catch (error) {
    if (error instanceof FileProblem) return error;
    throw error;
  }
  throw new Error('it was opened');
}

describe('a folder', () => {
  it('is one process’s: a second is told who holds it and where, and the first goes on', () => {
    const folder = newFolder();
    const first = openStorage({ folder, seed: smallKitchen });
    first.servedAt('http://127.0.0.1:4170');
    const problem = problemOf(folder);
    expect(problem.code).toBe('held');
    expect(problem.message).toMatch(new RegExp(`process ${process.pid} on .*, at http://127.0.0.1:4170`));
    first.transact((tx) => updateKitchen(tx, { name: 'Still ours' }));
    first.close();
    const again = openStorage({ folder });
    expect(nameOf(again)).toBe('Still ours');
    again.close();
  });
  it('that is free gets a kitchen, whole: what an unfinished making left is swept away', () => {
    const folder = newFolder();
    writeFileSync(join(folder, 'slow-pot.new.db'), 'half a kitchen');
    const storage = openStorage({ folder, seed: smallKitchen });
    expect([nameOf(storage), latestRecipes(storage.db).length]).toEqual(['Small kitchen', 1]);
    storage.close();
    expect(existsSync(join(folder, 'slow-pot.new.db'))).toBe(false);
  });
  it('whose making fails is as free as before', () => {
    const folder = newFolder();
    const broken = () => ({ ...smallKitchen(), recipes: [null as never] });
    expect(() => openStorage({ folder, seed: broken })).toThrow();
    expect(existsSync(db(folder))).toBe(false);
    const storage = openStorage({ folder, seed: smallKitchen });
    expect(nameOf(storage)).toBe('Small kitchen');
    storage.close();
  });
});

describe('after a clean stop', () => {
  it('the file alone is the kitchen', () => {
    const folder = newFolder();
    copyFileSync(db(stopped()), db(folder));
    const storage = openStorage({ folder, seed: smallKitchen });
    expect(nameOf(storage)).toBe('Renamed');
    expect(storage.integrity()).toBe('ok');
    storage.close();
  });
});

describe('after a kill', () => {
  it('file and write-ahead log together are the kitchen, to the newest entry', () => {
    const folder = killed();
    const storage = openStorage({ folder });
    expect(nameOf(storage)).toBe('The newest entry');
    storage.close();
  });
  it.each([
    ['cut to nothing', (folder: string) => truncateSync(`${db(folder)}-wal`, 0)],
    ['gone', (folder: string) => rmSync(`${db(folder)}-wal`)],
  ])('a write-ahead log that is %s is said, and gone on without only when told to', (_name, spoil) => {
    const folder = killed();
    spoil(folder);
    const before = readFileSync(db(folder));
    const problem = problemOf(folder);
    expect(problem.code).toBe('walLost');
    expect(problem.message).toMatch(/newest entries/);
    expect(readFileSync(db(folder)).equals(before)).toBe(true);
    const storage = openStorage({ folder, goesOnWithoutWal: true });
    expect(nameOf(storage)).toBe('Renamed');
    storage.close();
  });
});

describe('a file that is no kitchen any more is told in words and left as it is', () => {
  const spoilt: [string, FileProblem['code'], RegExp, (folder: string) => void][] = [
    ['missing', 'missing', /is gone from/, (folder) => rmSync(db(folder))],
    ['empty', 'empty', /0 bytes/, (folder) => truncateSync(db(folder), 0)],
    ['cut', 'cut', /cut short/, (folder) => truncateSync(db(folder), 40_000)],
    [
      'zeroed',
      'notAKitchen',
      /not a kitchen’s file/,
      (folder) => writeFileSync(db(folder), Buffer.alloc(readFileSync(db(folder)).length)),
    ],
    [
      'garbage',
      'notAKitchen',
      /not a kitchen’s file/,
      (folder) => writeFileSync(db(folder), 'soup '.repeat(9999)),
    ],
    ['a few bytes', 'notAKitchen', /not a kitchen’s file/, (folder) => writeFileSync(db(folder), 'x')],
    [
      'damaged inside',
      'damaged',
      /damaged/,
      (folder) => {
        const bytes = readFileSync(db(folder));
        // every page but the first: the header is right, what is in it is not
        bytes.fill(0x5a, 4096);
        writeFileSync(db(folder), bytes);
      },
    ],
    [
      'of a newer Slow Pot',
      'newer',
      /newer Slow Pot/,
      (folder) => {
        const storage = openStorage({ folder });
        storage.db.run(
          sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('future', 9999999999999)`,
        );
        storage.close();
      },
    ],
  ];
  it.each(spoilt)('%s', (_name, code, words, spoil) => {
    const folder = stopped();
    spoil(folder);
    const before = existsSync(db(folder)) ? readFileSync(db(folder)) : null;
    const problem = problemOf(folder);
    expect(problem.code).toBe(code);
    expect(problem.message).toMatch(words);
    const after = existsSync(db(folder)) ? readFileSync(db(folder)) : null;
    expect(after === null ? before === null : before !== null && after.equals(before)).toBe(true);
    // the folder is let go of: corrected, it opens
    expect(readdirSync(folder)).not.toContain('slow-pot.lock.json');
  });
  it('copied while its server ran, without its write-ahead log: it holds no tables yet', () => {
    const folder = newFolder();
    const bare = openStorage({ folder });
    bare.close();
    rmSync(join(folder, 'kitchen.json'));
    const storage = openStorage({ folder });
    storage.close();
    const copied = newFolder();
    // the first page alone, as a file has it before its log is folded in
    const head = Buffer.from(readFileSync(db(folder)).subarray(0, 4096));
    head.fill(0, 100);
    head.writeUInt8(13, 100);
    head.writeUInt16BE(4096, 105);
    head.writeUInt32BE(1, 28);
    writeFileSync(db(copied), head);
    expect(problemOf(copied).code).toMatch(/noTables|damaged/);
  });
});

describe('a disk that cannot be written', () => {
  it('full: said as that, nothing changed, and it goes on when there is room', () => {
    const storage = openStorage({ folder: newFolder(), seed: smallKitchen });
    const most = storage.db.get<{ max_page_count: number }>(sql`PRAGMA max_page_count`).max_page_count;
    const pages = storage.db.get<{ page_count: number }>(sql`PRAGMA page_count`).page_count;
    storage.db.get(sql.raw(`PRAGMA max_page_count = ${pages}`));
    const grow = () =>
      storage.transact((tx) => {
        updateKitchen(tx, { currency: 'EUR' });
        updateKitchen(tx, { name: 'x'.repeat(400_000) });
      });
    expect(grow).toThrow(StorageError);
    try {
      grow();
    } catch (error) {
      expect((error as StorageError).trouble).toBe('full');
    }
    expect([nameOf(storage), kitchenRow(storage.db)!.currency]).toEqual(['Small kitchen', 'GBP']);
    storage.db.get(sql.raw(`PRAGMA max_page_count = ${most}`));
    grow();
    expect(kitchenRow(storage.db)!.currency).toBe('EUR');
    storage.close();
  });
  it('read-only: said as that', () => {
    const storage = openStorage({ folder: newFolder(), seed: smallKitchen });
    storage.db.get(sql`PRAGMA query_only = ON`);
    expect(() => storage.transact((tx) => updateKitchen(tx, { name: 'x' }))).toThrow(
      expect.objectContaining({ trouble: 'readOnly' }),
    );
    storage.db.get(sql`PRAGMA query_only = OFF`);
    expect(nameOf(storage)).toBe('Small kitchen');
    storage.close();
  });
});

describe('the demo and a cook’s own kitchen', () => {
  const demo = () => ({ ...smallKitchen(), kitchen: { ...smallKitchen().kitchen, isDemo: true } });
  const codeOf = (options: Parameters<typeof openStorage>[0]): string => {
    try {
      openStorage(options).close();
    } catch (error) {
      if (error instanceof FileProblem) return error.code;
      throw error;
    }
    return 'opened';
  };
  it('neither opens the other’s file, and both stay as they are', () => {
    const own = stopped();
    const shown = newFolder();
    openStorage({ folder: shown, seed: demo, expects: 'demo' }).close();
    expect(codeOf({ folder: own, seed: demo, expects: 'demo' })).toBe('isNoDemo');
    expect(codeOf({ folder: shown, expects: 'own' })).toBe('isDemo');
    expect(codeOf({ folder: own, expects: 'own' })).toBe('opened');
    expect(codeOf({ folder: shown, expects: 'demo' })).toBe('opened');
  });
  it('a demo is begun anew, a cook’s own kitchen never', () => {
    const shown = newFolder();
    const first = openStorage({ folder: shown, seed: demo });
    first.transact((tx) => updateKitchen(tx, { name: 'Played with' }));
    expect(codeOf({ folder: shown, seed: demo, isFresh: true })).toBe('held');
    first.close();
    const fresh = openStorage({ folder: shown, seed: demo, isFresh: true, expects: 'demo' });
    expect(nameOf(fresh)).toBe('Small kitchen');
    fresh.close();
    const own = stopped();
    expect(codeOf({ folder: own, seed: demo, isFresh: true })).toBe('isNoDemo');
    const still = openStorage({ folder: own });
    expect(nameOf(still)).toBe('Renamed');
    still.close();
  });
  it('a folder with nothing in it becomes a kitchen nobody has said anything of yet', () => {
    const storage = openStorage({ folder: newFolder(), expects: 'own' });
    expect(kitchenRow(storage.db)).toMatchObject({ name: '', isDemo: false, limitReasons: {} });
    storage.close();
  });
});
