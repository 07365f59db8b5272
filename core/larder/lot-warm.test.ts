import { describe, expect, it } from 'vitest';
import { foldBatch } from '../batch';
import { warmShare } from '../safety';
import { itemsFor, logOf, orderOf, snapshotOf } from '../testing/broth';
import { drawn, lotMade, MINUTE_MS, SHELF_OPENS_MS, shelfLog } from '../testing/larder';
import { foldLarder, type LarderEventBody, lotWarmMs } from './';

/** Minutes between 5 and 57 °C, by the model and by a hand ledger. */
const PANS = { pans: 4, areaM2: 0.16, depthCm: 4, air: 'still', airC: 3, placeId: 'p', place: 'x' } as const;
const at = (minute: number) => SHELF_OPENS_MS + minute * MINUTE_MS;
const read = (lotId: string, minute: number, value: number): [number, LarderEventBody] => [
  minute,
  { type: 'lotRead', payload: { lotId, kind: 'temperature', value } },
];

describe('between 5 and 57 °C', () => {
  it('a short time counts by the part of its way that lies between', () => {
    expect(warmShare(57, 90)).toBe(0);
    expect(warmShare(4, 5)).toBe(0);
    expect(warmShare(5, 57)).toBe(1);
    expect(warmShare(52, 62)).toBe(0.5);
    expect(warmShare(62, 52)).toBe(0.5);
    expect(warmShare(0, 62)).toBeCloseTo(52 / 62, 12);
    expect([warmShare(20, 20), warmShare(80, 80), warmShare(5, 5)]).toEqual([1, 0, 0]);
  });

  it('in a pot: heated, held, let cool; as its temperature looked in at each second has it', () => {
    const snapshot = snapshotOf(orderOf());
    const log = logOf([
      [0, { type: 'stageBegun', payload: { stageId: 'boil' } }],
      [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
      [0.2, { type: 'heatSet', payload: { fraction: 1 } }],
      [70, { type: 'heatSet', payload: { fraction: 0 } }],
    ]);
    const startMs = log[0]!.actedAtMs;
    const until = 8 * 60;
    let hand = 0;
    for (let s = 0; s < until * 60; s += 20) {
      const nowMs = startMs + s * 1000;
      const before = log.filter((event) => event.actedAtMs <= nowMs);
      const { pot } = foldBatch(snapshot, before, nowMs);
      const has = pot.mixture.liquid.water > 0;
      if (has && pot.tempC > 5 && pot.tempC < 57) hand += 20;
    }
    const { pot } = foldBatch(snapshot, log, startMs + until * MINUTE_MS);
    expect(hand).toBeGreaterThan(3 * 3600);
    expect(Math.abs(pot.warmS! - hand)).toBeLessThan(60);
  }, 120_000);

  it('of a lot: its pot, its cooling, too late and again, parted, and drawn into another', () => {
    // ten minutes in its pot; poured at 56 °C, so that its clock is known: 5 to 130, reheated, poured again at 56
    const said: [number, LarderEventBody][] = [
      [5, { type: 'coolingSet', payload: { lotId: 'L', how: PANS, fromC: 56 } }],
      read('L', 130, 30),
      [130, { type: 'lotReheated', payload: { lotId: 'L', tempC: 76, by: 'Una' } }],
      read('L', 400, 4.5),
      [500, { type: 'split', payload: { lotId: 'L', toLotId: 'M', kg: 5, place: 'x', storage: 'chilled' } }],
    ];
    const made = [
      lotMade('L', 25, 0, { tempC: 85, warmMs: 10 * MINUTE_MS }),
      // of a batch that drew from L at 600, and was between 5 and 57 °C for a quarter of an hour in its own pot
      lotMade('S', 10, 700, { tempC: 4, warmMs: 15 * MINUTE_MS, origin: { kind: 'batch', batchId: 'soup' } }),
    ];
    const { lots } = foldLarder({ made, draws: [drawn('L', 3, 600)], events: shelfLog(said) });
    const minutes = (id: string, minute: number) => lotWarmMs(lots.get(id)!, at(minute))! / MINUTE_MS;
    // the second clock runs from when it passed 57 on its way down: within the minutes it stood over that
    const second = minutes('L', 800) - 10 - 125;
    expect(second).toBeLessThan(400 - 130);
    expect(second).toBeGreaterThan(400 - 130 - 60);
    expect(minutes('M', 800)).toBeCloseTo(minutes('L', 800), 6);
    expect(minutes('S', 800)).toBeCloseTo(minutes('L', 800) + 15, 6);
    // cold, it counts no further
    expect(minutes('L', 5000)).toBeCloseTo(minutes('L', 800), 6);
  });

  it('before it is cold the clock runs; what nobody said how it cooled, nobody knows', () => {
    const pour: [number, LarderEventBody] = [
      5,
      { type: 'coolingSet', payload: { lotId: 'L', how: PANS, fromC: 56 } },
    ];
    const fold = (said: [number, LarderEventBody][], change: object) =>
      foldLarder({ made: [lotMade('L', 25, 0, change)], draws: [], events: shelfLog(said) }).lots.get('L')!;
    const known = { tempC: 85, warmMs: 0 };
    expect(lotWarmMs(fold([pour], known), at(65))! / MINUTE_MS).toBeCloseTo(60, 6);
    expect(lotWarmMs(fold([], known), at(65))).toBeNull();
    expect(lotWarmMs(fold([], { tempC: 85 }), at(65))).toBeNull();
    expect(lotWarmMs(fold([], { tempC: 4, warmMs: 7 * MINUTE_MS }), at(65))! / MINUTE_MS).toBe(7);
  });
});
