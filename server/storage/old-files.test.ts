import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { afterEach, describe, expect, it } from 'vitest';
import { isAside } from '../batches/batch-logs';
import { batchView } from '../batches/batch-view';
import { submitEvent } from '../batches/submit-event';
import { finishedView, shelfView } from '../larder/lot-views';
import { commandKitchen } from '../testing/command-kitchen';
import { said } from '../testing/say';
import { brokenRows, latestRecipes, openBatchIds, openOrderRows, orderRow, rebuild } from './';
import { allBatchIds } from './batch-rows';
import { keptState, sums } from './kept-state';

/**
 * Files that earlier Slow Pots wrote, one for each migration there was: their demo, cooked on for a while through their
 * own doors, with what they said themselves of it beside.
 */
const OLD = join(import.meta.dirname, 'old-files');

interface Expected {
  batches: {
    id: string;
    /** the first versions did not say it */
    potId?: string;
    closedAtMs: number | null;
    events: number;
    served: number | null;
    mean: number | null;
  }[];
  open: string[];
  lots: { id: string; number: number; leftKg: number | null; leftLitres: number | null }[];
  recipes: number;
}

const made: string[] = [];
afterEach(() => {
  for (const folder of made.splice(0)) rmSync(folder, { recursive: true, force: true });
});

function folderWith(name: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'slow-pot-old-'));
  made.push(folder);
  writeFileSync(join(folder, 'slow-pot.db'), brotliDecompressSync(readFileSync(join(OLD, `${name}.db.br`))));
  return folder;
}

/** The pot a lot left is read by the model of today: the share it may find otherwise than the model of its day. */
const MODELS_DIFFER = 0.03;

describe('a file of an earlier Slow Pot', () => {
  const names = readdirSync(OLD).flatMap((file) => (file.endsWith('.db.br') ? [file.slice(0, 4)] : []));
  it('there is one of each migration but the last', () => {
    const journal = JSON.parse(
      readFileSync(join(import.meta.dirname, 'migrations/meta/_journal.json'), 'utf8'),
    );
    expect(names).toHaveLength(journal.entries.length - 1);
  });
  it.each(names)('%s is opened with a copy kept, says what it said, and is cooked on', (name) => {
    const expected: Expected = JSON.parse(readFileSync(join(OLD, `${name}.json`), 'utf8'));
    const folder = folderWith(name);
    const before = readFileSync(join(folder, 'slow-pot.db'));
    let kitchen = commandKitchen({ folder });
    const { db } = kitchen.storage;
    const copies = readdirSync(folder).filter((file) => file.startsWith('slow-pot.before-'));
    expect(copies).toHaveLength(1);
    // all of it but the header, which says how the file is journalled
    const past = (bytes: Buffer) => bytes.subarray(100);
    expect(past(readFileSync(join(folder, copies[0]!))).equals(past(before))).toBe(true);

    expect([...brokenRows(db).keys()]).toEqual([]);
    expect(latestRecipes(db)).toHaveLength(expected.recipes);
    expect(openBatchIds(db).sort()).toEqual(expected.open);
    const views = allBatchIds(db).map((id) => batchView(kitchen.logs.of(id)));
    expect(
      views
        .map(({ id, potId, closedAtMs, events, result }) => ({
          id,
          potId,
          closedAtMs,
          events: events.length,
          served: result?.served ?? null,
          mean: result?.heatFactor.mean ?? null,
        }))
        .filter((one) => expected.batches.some((two) => two.id === one.id))
        .sort((a, b) => (a.id < b.id ? -1 : 1)),
    ).toEqual(expected.batches.map((one) => expect.objectContaining(one)));
    const nowMs = kitchen.clock.nowMs();
    const lots = [...shelfView(db, nowMs), ...finishedView(db, null, 200, nowMs)];
    for (const was of expected.lots) {
      const lot = lots.find((one) => one.id === was.id);
      expect(lot?.number, was.id).toBe(was.number);
      if (was.leftKg !== null)
        expect(Math.abs(lot!.leftKg / was.leftKg - 1), was.id).toBeLessThan(MODELS_DIFFER);
      else if (was.leftLitres !== null) expect(lot!.leftLitres).toBeCloseTo(was.leftLitres, 1);
    }
    const orders = openOrderRows(db, 0).map((order) => orderRow(db, order.id)!);
    if (name >= '0002') expect(orders.map((order) => order.request.overrideReason)).toContain('bought in');
    expect(JSON.stringify(orders)).not.toContain('despite');

    const added = sums(db);
    expect(added.kept).toEqual(added.anew);
    const kept = keptState(db);
    rebuild(kitchen.storage);
    expect(keptState(db)).toEqual(kept);
    for (const id of openBatchIds(db)) {
      expect(isAside(kitchen.logs.of(id))).toBe(false);
      submitEvent(kitchen, id, said('note', { text: 'cooked on' }));
    }
    kitchen = kitchen.reopen();
    expect(readdirSync(folder).filter((file) => file.startsWith('slow-pot.before-'))).toEqual(copies);
    for (const id of openBatchIds(kitchen.storage.db))
      expect(batchView(kitchen.logs.of(id)).events.at(-1)).toMatchObject({ payload: { text: 'cooked on' } });
    kitchen.close();
    expect(existsSync(join(folder, 'slow-pot.db'))).toBe(true);
  });
});
