import { describe, expect, it } from 'vitest';
import { adjustments } from '../core/adjust';
import {
  advanceBatch,
  EVENT_VERSIONS,
  foldBatch,
  forecastBand,
  levelTrace,
  nextAction,
  stageClock,
} from '../core/batch';
import { chanceOf } from '../core/testing/chance';
import { isAside } from './batches/batch-logs';
import { batchView } from './batches/batch-view';
import { lotDetail, strays } from './larder/lot-detail';
import { finishedView, shelfView } from './larder/lot-views';
import { brokenRows, rebuild } from './storage';
import { allBatchIds } from './storage/batch-rows';
import { keptState, sums } from './storage/kept-state';
import { commandKitchen } from './testing/command-kitchen';
import { RandomCook } from './testing/random-cook';

/** Whole kitchens made up at random: `SLOW_POT_KITCHENS` says how many, for a longer night of it. */
const KITCHENS = Number(process.env.SLOW_POT_KITCHENS ?? 60);
const STEPS = 40;

describe('whatever a cook says', () => {
  it(`what was accepted folds, forecasts, adjusts, closes and is shown; kept is rebuilt (${KITCHENS} kitchens)`, () => {
    let accepted = 0;
    let refused = 0;
    const types = new Set<string>();
    for (let seed = 1; seed <= KITCHENS; seed++) {
      let kitchen = commandKitchen();
      const cook = new RandomCook(kitchen, chanceOf(seed * 7919), `kitchen ${seed}`);
      for (let i = 0; i < STEPS; i++) cook.step();
      accepted += cook.accepted;
      refused += cook.refused;
      const { db } = kitchen.storage;
      const nowMs = kitchen.clock.nowMs();
      expect([seed, [...brokenRows(db).keys()]]).toEqual([seed, []]);
      for (const id of allBatchIds(db)) {
        const batch = kitchen.logs.of(id);
        if (isAside(batch)) throw new Error(`seed ${seed}: ${batch.broken.why}`);
        const { row, log, events } = batch;
        for (const event of events) types.add(event.type);
        expect(log.state, `seed ${seed}`).toEqual(foldBatch(row.snapshot, events, 0));
        const state = advanceBatch(log.state, nowMs);
        const clock = stageClock(row.snapshot, state);
        nextAction(row.snapshot, state, clock, nowMs);
        if (!state.closed) adjustments(row.snapshot, state);
        levelTrace(row.snapshot, events, state.pot.atMs);
        forecastBand(row.snapshot, events);
        expect(row.closedAtMs === null).toBe(row.result === null);
        expect(JSON.parse(JSON.stringify(batchView(batch)))).not.toContain(null);
      }
      for (const lot of [...shelfView(db, nowMs), ...finishedView(db, null, 100, nowMs)])
        expect(lotDetail(kitchen, lot.id).lot.leftKg).toBeGreaterThanOrEqual(0);
      strays(db);
      const added = sums(db);
      expect(added.kept, `seed ${seed}: sums`).toEqual(added.anew);
      const kept = keptState(db);
      rebuild(kitchen.storage);
      expect(keptState(db), `seed ${seed}: kept is rebuilt`).toEqual(kept);
      const before = allBatchIds(db).map((id) => batchView(kitchen.logs.of(id)));
      kitchen = kitchen.reopen();
      expect(allBatchIds(kitchen.storage.db).map((id) => batchView(kitchen.logs.of(id)))).toEqual(before);
      kitchen.remove();
    }
    expect(accepted).toBeGreaterThan(refused);
    expect([...EVENT_VERSIONS.keys()].filter((type) => !types.has(type))).toEqual([]);
  }, 600_000);
});
