import { join } from 'node:path';
import Database from 'better-sqlite3';
import { v7 as uuid } from 'uuid';
import { afterEach, describe, expect, it } from 'vitest';
import { dayOf } from '../../contract';
import { startBatch } from '../batches/start-batch';
import { submitEvent } from '../batches/submit-event';
import { changeKitchen } from '../kitchen/change-kitchen';
import { submitLarderEvent } from '../larder/submit-larder-event';
import { recordOfDay } from '../record/record-view';
import { type CommandKitchen, commandKitchen } from '../testing/command-kitchen';
import { said, saidOfShelf } from '../testing/say';
import { chainedBetween, chainHead } from './';

/** What is changed on the disk, behind the program's back, shows in the record. */
let kitchen: CommandKitchen;
afterEach(() => kitchen.remove());

const dayHere = () => dayOf(kitchen.clock.nowMs(), 'Europe/London');
const record = () => recordOfDay(kitchen, dayHere());
const all = () => chainedBetween(kitchen.storage.db, 0, Number.MAX_SAFE_INTEGER);

/** A pot served, two temperatures of it, a delivery, and the day signed. */
function served(): string {
  kitchen = commandKitchen();
  const { db } = kitchen.storage;
  const { batch } = startBatch(kitchen, {
    id: uuid(),
    recipeId: 'broth',
    portions: 20,
    portionMl: 250,
    saltPercent: 0.8,
    band: 0,
    serviceAtMs: kitchen.clock.nowMs() + 3 * 3_600_000,
    potId: 'pan',
    burnerId: 'ring',
    overrideReason: 'as a test',
  } as Parameters<typeof startBatch>[1]);
  const { id, snapshot } = batch;
  const say = (type: string, payload: object) => submitEvent(kitchen, id, said(type, payload));
  say('added', { items: [{ ingredientId: 'water', kg: 5, tempC: 80 }] });
  say('stageBegun', { stageId: snapshot.input.recipe.stages.at(-1)!.id, overrideReason: 'x' });
  for (const value of [66, 65]) say('reading', { kind: 'temperature', value });
  const delivery = { lotId: uuid(), ingredientId: 'milk', kg: 2, supplier: 'x', arrivedC: 4, place: 'x' };
  submitLarderEvent(kitchen, saidOfShelf('delivered', { ...delivery, storage: 'chilled' }));
  changeKitchen(kitchen, { id: uuid(), change: 'daySigned', day: dayHere(), by: 'Una' });
  expect(chainHead(db).seq).toBe(all().length);
  return id;
}

/** Stopped, its file changed by hand, and opened again. */
function tampered(change: (file: InstanceType<typeof Database>) => void): void {
  kitchen.close();
  const file = new Database(join(kitchen.folder, 'slow-pot.db'));
  change(file);
  file.close();
  kitchen = commandKitchen({ folder: kitchen.folder, atMs: kitchen.clock.nowMs() });
}

describe('sealed', () => {
  it('each entry of the three logs has its link, and the day its signature; nothing is changed', () => {
    served();
    expect(new Set(all().map((one) => one.log))).toEqual(new Set(['batch', 'larder', 'kitchen']));
    expect(all().every((one) => one.isIntact)).toBe(true);
    const { signed, seal, lines } = record();
    expect(seal.changed).toBe(0);
    expect(signed).toMatchObject({ by: 'Una', isChanged: false });
    expect(lines.map((line) => line.tempC)).toEqual(expect.arrayContaining([66, 65, 4]));
  });

  it('a temperature changed on the disk shows on its line; a time, a name, a delivery do too', () => {
    served();
    tampered((file) => {
      file.exec(`UPDATE events SET payload = replace(payload, '66', '71') WHERE payload LIKE '%"value":66%'`);
      file.exec(`UPDATE larder_events SET payload = replace(payload, '"arrivedC":4', '"arrivedC":3')`);
    });
    const { lines, seal } = record();
    expect(
      lines
        .filter((line) => line.isChanged)
        .map((line) => line.tempC)
        .sort(),
    ).toEqual([3, 71]);
    expect(seal.changed).toBe(2);
    for (const change of [`"by" = 'Nobody'`, 'actedAtMs = actedAtMs - 60000', 'v = v + 0, clientAtMs = 1']) {
      kitchen.remove();
      served();
      tampered((file) => file.exec(`UPDATE events SET ${change} WHERE payload LIKE '%"value":65%'`));
      expect(record().seal.changed, change).toBe(1);
    }
  });

  it('an entry taken out, one put in, and a link written anew all show', () => {
    served();
    tampered((file) => {
      file.exec(`DELETE FROM events WHERE payload LIKE '%"value":65%'`);
    });
    expect(record().seal.changed).toBe(1);
    kitchen.remove();
    served();
    tampered((file) => {
      file.exec(`INSERT INTO events (id, batchId, type, v, payload, actedAtMs, receivedAtMs, clientAtMs)
        SELECT '${uuid()}', batchId, type, v, '{"kind":"temperature","value":61}', actedAtMs, receivedAtMs, clientAtMs
        FROM events WHERE type = 'reading' LIMIT 1`);
    });
    expect(
      record()
        .lines.filter((line) => line.isChanged)
        .map((line) => line.tempC),
    ).toEqual([61]);
    kitchen.remove();
    served();
    // the last link before the signature, as if nothing had been signed
    tampered((file) => {
      file.exec(
        `UPDATE record_chain SET hash = '${'a'.repeat(64)}' WHERE seq = (SELECT max(seq) - 1 FROM record_chain)`,
      );
    });
    const { seal, signed } = record();
    expect(signed!.isChanged).toBe(true);
    expect(seal.changed).toBeGreaterThan(0);
  });
});
