import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { KitchenSeed } from '../../contract';
import { foldBatch } from '../../core/batch';
import { drawsOfBatch, foldLarder, lotsOfBatch } from '../../core/larder';
import { MODEL_VERSION } from '../../core/plan';
import { seed } from '../../demo/seed';
import { openStorage, PROJECTIONS } from '../../server/storage';

const DAY_MS = 86_400_000;
const FORTNIGHT_MS = 14 * DAY_MS;

/** The demo's kitchen, its clock standing at real time, with a shelf that was used up before. */
function template(isUsedUp: boolean): KitchenSeed {
  const kitchen = seed();
  const rested = { ...kitchen, clock: null };
  return isUsedUp
    ? { ...rested, orders: [], larderEvents: [...kitchen.larderEvents, ...usedUp(kitchen)] }
    : rested;
}

/** What was left on the shelf at the end of the fortnight, counted off. */
function usedUp(kitchen: KitchenSeed): KitchenSeed['larderEvents'] {
  const logs = kitchen.batches.map((batch) => ({
    ...batch,
    events: batch.events.map((event, i) => ({ ...event, seq: i + 1 })),
  }));
  const larder = foldLarder({
    made: logs.flatMap(({ id, snapshot, events }) =>
      lotsOfBatch(id, snapshot, foldBatch(snapshot, events, Number.MAX_SAFE_INTEGER)),
    ),
    draws: logs.flatMap(({ id, snapshot, events }) => drawsOfBatch(id, snapshot.input.ingredients, events)),
    events: kitchen.larderEvents.map((event, i) => ({ ...event, seq: i + 1 })),
  });
  const lastMs = Math.max(...kitchen.batches.map((batch) => batch.closedAtMs ?? 0)) + 3_600_000;
  return [...larder.lots.values()]
    .filter((lot) => Math.abs(lot.leftKg) > 0.005)
    .map((lot, i) => ({
      type: 'counted',
      payload: { lotId: lot.lotId, kg: 0, note: 'used up' },
      id: `00000000-0000-7000-b999-${String(i).padStart(12, '0')}`,
      actedAtMs: lastMs,
    }));
}

/**
 * A kitchen's file with so many closed batches and their lots: the demo's fortnight again and again into the past, each
 * with ids and days of its own, copied row by row, what is kept of it too. The last fortnight is the demo's as it is.
 *
 * @returns the folder; made once and kept while the demo and what is kept of a log are the same
 */
export function fileOf(batches: number, root: string): string {
  // a file of an older model would be brought up to date at each start that is measured
  const versions = [...Object.values(PROJECTIONS), MODEL_VERSION].join('-');
  const folder = join(root, `${batches} of ${versions}`);
  const done = join(folder, 'slow-pot.db');
  if (existsSync(done)) return folder;
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  openStorage({ folder, seed: () => template(false) }).close();
  const past = join(folder, 'past');
  mkdirSync(past);
  openStorage({ folder: past, seed: () => template(true) }).close();
  copyPast(done, join(past, 'slow-pot.db'), batches);
  rmSync(past, { recursive: true });
  return folder;
}

/** Rows that belong to a fortnight, not to the kitchen. */
const TABLES = [
  'batches',
  'events',
  'larder_events',
  'lot_numbers',
  'lot_births',
  'batch_heads',
  'lot_entries',
  'kept_lots',
  'arrows',
  'learned_stretches',
  'burner_results',
  'kept_forecasts',
] as const;
/** Columns that count on by themselves. */
const COUNTED: Readonly<Record<string, string>> = {
  events: 'seq',
  larder_events: 'seq',
  lot_numbers: 'number',
  arrows: 'id',
};

function copyPast(into: string, from: string, batches: number): void {
  const source = new Database(from);
  const target = new Database(into);
  target.exec('PRAGMA journal_mode = WAL; PRAGMA synchronous = OFF; PRAGMA foreign_keys = OFF');
  const count = (db: typeof target) =>
    (db.prepare('SELECT count(*) AS n FROM batches').get() as { n: number }).n;
  const rows = TABLES.map((table) => {
    const all = source.prepare(`SELECT * FROM ${table}`).all() as Record<string, unknown>[];
    const names = Object.keys(all[0] ?? {}).filter((name) => name !== '_metadata' && name !== COUNTED[table]);
    const marks = names.map(() => '?').join(', ');
    const columns = names.map((name) => `"${name}"`).join(', ');
    const insert =
      all.length > 0 ? target.prepare(`INSERT INTO ${table} (${columns}) VALUES (${marks})`) : null;
    return { all, names, insert };
  });
  const perFortnight = count(source);
  let made = count(target);
  for (let k = 1; made < batches; k++) {
    const own = moved(k, k * FORTNIGHT_MS);
    target.exec('BEGIN');
    for (const { all, names, insert } of rows)
      for (const row of all) insert!.run(...names.map((name) => own(row[name])));
    target.exec('COMMIT');
    made += perFortnight;
  }
  target.exec('PRAGMA wal_checkpoint(TRUNCATE)');
  target.close();
  source.close();
}

/** A value of a fortnight so long ago: its ids are its own, its moments earlier. */
function moved(k: number, byMs: number): (value: unknown) => unknown {
  const prefix = `${k.toString(16).padStart(8, '0')}-0000-7000`;
  const isMoment = (value: number) => value > 1.7e12 && value < 1.9e12;
  return (value) => {
    if (typeof value === 'number') return isMoment(value) ? value - byMs : value;
    if (typeof value !== 'string') return value;
    return value
      .replaceAll('00000000-0000-7000', prefix)
      .replace(/(?<=[:,[])1[78]\d{11}(\.\d+)?(?=[,}\]])/g, (moment) => String(Number(moment) - byMs));
  };
}
