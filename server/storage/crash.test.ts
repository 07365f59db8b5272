import { copyFileSync, existsSync, mkdtempSync, rmSync, statSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterAll, describe, expect, it } from 'vitest';
import { chanceOf } from '../../core/testing/chance';
import { startBatch } from '../batches/start-batch';
import { submitEvent } from '../batches/submit-event';
import { submitLarderEvent } from '../larder/submit-larder-event';
import { saveRecipe } from '../recipes/save-recipe';
import { type CommandKitchen, commandKitchen } from '../testing/command-kitchen';
import { RandomCook } from '../testing/random-cook';
import { said, saidOfShelf } from '../testing/say';
import { latestRecipes, openStorage, rebuild } from './';
import { keptState } from './kept-state';
import type { Db } from './storage';

/**
 * Killed at any moment: what the disk holds then is taken as it is, the file with its write-ahead log, and opened as after
 * a kill. Before each statement of each command, and in the middle of what was written last.
 */
const made: string[] = [];
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), 'slow-pot-crash-'));
  made.push(folder);
  return folder;
};
afterAll(() => {
  for (const folder of made) rmSync(folder, { recursive: true, force: true });
});

/** Everything that is in a file, table by table. */
function whole(db: Db): string {
  const tables = db.all<{ name: string }>(
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name`,
  );
  return JSON.stringify(
    tables.map(({ name }) => [
      name,
      db
        .all<object>(sql.raw(`SELECT * FROM "${name}"`))
        .map((row) => JSON.stringify(row))
        .sort(),
    ]),
  );
}

/** What lies on the disk at this moment. */
function taken(from: string): string {
  const folder = newFolder();
  for (const file of ['slow-pot.db', 'slow-pot.db-wal', 'kitchen.json'])
    if (existsSync(join(from, file))) copyFileSync(join(from, file), join(folder, file));
  return folder;
}

function contentOf(folder: string): string {
  const storage = openStorage({ folder, goesOnWithoutWal: true });
  const content = whole(storage.db);
  const kept = keptState(storage.db);
  rebuild(storage);
  expect(keptState(storage.db)).toEqual(kept);
  expect(storage.integrity()).toBe('ok');
  storage.close();
  rmSync(folder, { recursive: true });
  return content;
}

describe('killed between any two statements of a command', () => {
  let gaps: string[] | null = null;
  let kitchen: CommandKitchen;
  kitchen = commandKitchen({ onStatement: () => gaps?.push(taken(kitchen.folder)) });
  afterAll(() => kitchen.remove());
  const batchId = '018f0000-0000-7000-8000-00000000ba01';
  const lotId = '018f0000-0000-7000-8000-00000000ba02';
  const order = {
    id: batchId,
    recipeId: 'broth',
    portions: 20,
    portionMl: 250,
    saltPercent: 0.8,
    band: 2,
    serviceAtMs: kitchen.clock.nowMs() + 4 * 3_600_000,
    potId: 'pot',
    burnerId: 'ring',
    overrideReason: 'bought in',
  };
  const milk = '018f0000-0000-7000-8000-00000000ba03';
  const at = (type: string, payload: object) => () => submitEvent(kitchen, batchId, said(type, payload));
  const shelf = (type: string, payload: object) => () =>
    submitLarderEvent(kitchen, saidOfShelf(type, payload));
  const drawn = { items: [{ ingredientId: 'milk', kg: 2, tempC: 5, lotId: milk }] };
  const commands: [string, () => unknown][] = [
    [
      'a delivery',
      shelf('delivered', {
        lotId: milk,
        ingredientId: 'milk',
        kg: 9,
        supplier: 'x',
        place: 'walk-in',
        storage: 'chilled',
      }),
    ],
    ['a batch started', () => startBatch(kitchen, order)],
    ['food drawn from a lot', at('added', drawn)],
    ['moved to another pot', at('moved', { potId: 'pan', burnerId: 'plate' })],
    ['a lot stored', at('stored', { lotId, litres: 1, place: 'walk-in', storage: 'chilled' })],
    [
      'a lot parted',
      shelf('split', {
        lotId,
        toLotId: '018f0000-0000-7000-8000-00000000ba04',
        kg: 0.4,
        place: 'x',
        storage: 'frozen',
      }),
    ],
    ['closed', at('closed', { leftLitres: 0.5 })],
    [
      'the closing undone',
      () => {
        const closed = kitchen.logs.of(batchId).events.find((event) => event.type === 'closed')!;
        return at('undone', { eventId: closed.id })();
      },
    ],
    [
      'a recipe saved',
      () => {
        const [recipe] = latestRecipes(kitchen.storage.db);
        return saveRecipe(kitchen, {
          basedOn: recipe!.version,
          recipe: { ...recipe!, targetSaltPercent: 0.7 },
        });
      },
    ],
  ];
  it.each(commands)('%s: all of it is there, or nothing', (_name, command) => {
    const before = whole(kitchen.storage.db);
    gaps = [];
    command();
    const found = gaps;
    gaps = null;
    const after = whole(kitchen.storage.db);
    expect(found.length).toBeGreaterThan(2);
    const outcomes = found.map((folder) => contentOf(folder));
    expect(outcomes.every((content) => content === before || content === after)).toBe(true);
    // nothing of it before it is whole: every gap is before the commit
    expect(outcomes.every((content) => content === before)).toBe(true);
    expect(contentOf(taken(kitchen.folder))).toBe(after);
  });
});

describe('the power cut', () => {
  it('at fifty moments: what was answered for is there, what was being written is there whole or not at all', () => {
    const kitchen = commandKitchen();
    const chance = chanceOf(2311);
    const cook = new RandomCook(kitchen, chance, 'power');
    const { folder } = kitchen;
    const walPath = join(folder, 'slow-pot.db-wal');
    for (let cut = 0; cut < 50; cut++) {
      const before = whole(kitchen.storage.db);
      const answeredBytes = statSync(walPath).size;
      const accepted = cook.accepted;
      while (cook.accepted === accepted) cook.step();
      const after = whole(kitchen.storage.db);
      const lastBytes = statSync(walPath).size;
      const left = taken(folder);
      // the last write is dropped from some byte on; a log that was begun anew has nothing after its end to drop
      const keptBytes =
        lastBytes > answeredBytes ? answeredBytes + chance.below(lastBytes - answeredBytes) : lastBytes;
      truncateSync(join(left, 'slow-pot.db-wal'), keptBytes);
      const found = contentOf(left);
      expect([before, after]).toContain(found);
      if (lastBytes > answeredBytes) expect(found).toBe(before);
    }
    kitchen.remove();
  });
});
