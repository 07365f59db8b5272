import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BatchEvent, type BatchEventBody, foldBatch } from '../batch';
import { cookedLog, snapshotOf } from '../testing/broth';
import { DAY_MS, drawn, lotMade, MINUTE_MS, RULES, SHELF_OPENS_MS, shelfLog } from '../testing/larder';
import {
  atItsBest,
  drawLots,
  drawsOfBatch,
  foldLarder,
  type LarderEventBody,
  type LotDraw,
  type LotMade,
  lotsOfBatch,
  oldestFirst,
  useByMs,
} from './';

const body = <T extends LarderEventBody['type']>(
  type: T,
  payload: Extract<LarderEventBody, { type: T }>['payload'],
) => ({ type, payload }) as Extract<LarderEventBody, { type: T }>;
const fold = (made: LotMade[], draws: LotDraw[] = [], events: Parameters<typeof shelfLog>[0] = []) =>
  foldLarder({ made, draws, events: shelfLog(events) });

describe('dates', () => {
  const at = (days: number, hours = 0) => SHELF_OPENS_MS + days * DAY_MS + hours * 60 * MINUTE_MS;
  it('seven days, the day it was made the first (FDA Food Code 2022 § 3-501.17(A)): made on the 2nd, used by the 8th', () => {
    const lot = fold([lotMade('A', 2)]).lots.get('A')!;
    expect(new Date(useByMs(lot, RULES)!).toISOString()).toBe('2026-03-08T23:59:59.999Z');
    expect(useByMs(lot, { ...RULES, dateMarkDays: 4 })).toBe(useByMs(lot, RULES)! - 3 * DAY_MS);
  });
  it('time frozen does not count (§ 3-501.18(A)(1)), and frozen it has no date', () => {
    const freeze = [2 * 1440, body('frozen', { lotId: 'A', place: 'freezer' })] as const;
    const frozen = fold([lotMade('A', 2)], [], [[...freeze]]).lots.get('A')!;
    expect(useByMs(frozen, RULES)).toBeNull();
    const back = fold(
      [lotMade('A', 2)],
      [],
      [[...freeze], [12 * 1440, body('thawed', { lotId: 'A', place: 'walk-in' })]],
    );
    expect(useByMs(back.lots.get('A')!, RULES)).toBe(
      useByMs(fold([lotMade('A', 2)]).lots.get('A')!, RULES)! + 10 * DAY_MS,
    );
  });
  it('a mixture keeps the earliest date (§ 3-501.17(C)): blended, or cooked on from an older lot', () => {
    const blend = body('blended', {
      toLotId: 'C',
      name: 'both',
      parts: [
        { lotId: 'A', kg: 1 },
        { lotId: 'B', kg: 1 },
      ],
      waterKg: 0,
      place: 'walk-in',
      storage: 'chilled',
    });
    const made = [lotMade('A', 2), lotMade('B', 2, 3 * 1440)];
    expect(fold(made, [], [[4 * 1440, blend]]).lots.get('C')!.madeAtMs).toBe(made[0]!.birth.madeAtMs);
    const soup = lotMade('soup', 5, 2 * 1440, { origin: { kind: 'batch', batchId: 'soup' } });
    expect(fold([made[0]!, soup], [drawn('A', 1, 1440, 'soup')]).lots.get('soup')!.madeAtMs).toBe(
      made[0]!.birth.madeAtMs,
    );
  });
  it('roux and raw goods lend no date; hours and a supplier’s own date are their own', () => {
    const roux = lotMade('roux', 1, 0, { life: { rule: 'days', days: 28 } });
    const soup = lotMade('soup', 5, 1440, { origin: { kind: 'batch', batchId: 'soup' } });
    expect(fold([roux, soup], [drawn('roux', 0.3, 1000, 'soup')]).lots.get('soup')!.madeAtMs).toBe(
      soup.birth.madeAtMs,
    );
    const oil = lotMade('oil', 1, 0, { life: { rule: 'hours', hours: 48, advisory: 'small' } }).birth;
    expect(useByMs({ ...oil, frozenSinceMs: null }, RULES)).toBe(at(2));
    expect(useByMs({ ...oil, life: { rule: 'given', useByMs: 7 }, frozenSinceMs: null }, RULES)).toBe(7);
    expect(useByMs({ ...oil, life: { rule: 'none' }, frozenSinceMs: null }, RULES)).toBeNull();
  });
  it('its best is another matter than its date: better tomorrow, past its best, and still to be used', () => {
    const lot = lotMade('A', 2, 0, { best: { fromH: 12, untilH: 72, words: 'better tomorrow' } }).birth;
    expect(atItsBest(lot, at(0, 3))!.stands).toBe('not yet');
    expect(atItsBest(lot, at(1))!.stands).toBe('best');
    expect(atItsBest(lot, at(4))!.stands).toBe('past its best');
    expect(useByMs({ ...lot, frozenSinceMs: null }, RULES)).toBeGreaterThan(at(4));
    expect(atItsBest({ madeAtMs: 0 }, 0)).toBeNull();
  });
});

describe('drawing', () => {
  const lot = (id: string, leftKg: number, day: number, change = {}) => ({
    id,
    leftKg,
    madeAtMs: day * DAY_MS,
    storage: 'chilled' as const,
    useByMs: (day + 7) * DAY_MS,
    mayBePast: false,
    ...change,
  });
  it('takes what must go first, then the next, and never more than there is', () => {
    const shelf = [lot('new', 5, 4), lot('old', 3, 1), lot('empty', 0, 0), lot('over', -2, 0)];
    expect(drawLots(4, shelf, 5 * DAY_MS)).toEqual({
      draws: [
        { lotId: 'old', kg: 3 },
        { lotId: 'new', kg: 1 },
      ],
      shortKg: 0,
      passedOver: [],
    });
    expect(drawLots(10, shelf, 5 * DAY_MS)).toMatchObject({ shortKg: 2 });
    expect(
      oldestFirst(shelf)
        .map((one) => one.id)
        .slice(-2),
    ).toEqual(['old', 'new']);
  });
  it('is read off the log: as bought, undone is none, and what was forgotten never left its lot', () => {
    const item = (lineId: string, kg: number) => ({
      ingredientId: 'carrot',
      kg,
      tempC: 5,
      lineId,
      lotId: 'A',
    });
    const say = (i: number, of: BatchEventBody): BatchEvent => ({
      ...of,
      id: `d${i}`,
      seq: i,
      actedAtMs: SHELF_OPENS_MS + i * MINUTE_MS,
    });
    const log = [
      say(1, { type: 'added', payload: { items: [item('roots', 0.9), item('more', 0.45)] } }),
      say(2, { type: 'added', payload: { items: [item('last', 0.18)] } }),
    ];
    const forgot = say(3, { type: 'slip', payload: { kind: 'forgot', lineId: 'roots' } });
    const kg = (events: BatchEvent[]) =>
      drawsOfBatch('b', { carrot: { yield: 0.9 } }, events).map((draw) => Number(draw.kg.toFixed(9)));
    expect(kg(log)).toEqual([1, 0.5, 0.2]);
    expect(kg([...log, forgot])).toEqual([0.5, 0.2]);
    expect(kg([...log, forgot, say(4, { type: 'undone', payload: { eventId: 'd3' } })])).toHaveLength(3);
    expect(kg([...log, say(5, { type: 'undone', payload: { eventId: 'd2' } })])).toEqual([1, 0.5]);
    const again = say(6, { type: 'added', payload: { items: [item('roots', 0.9)] } });
    expect(kg([...log, forgot, again])).toEqual([0.5, 0.2, 1]);
  });
  it('passes over what is frozen or past its date and says so, unless the person in charge has', () => {
    const shelf = [
      lot('past', 3, 1),
      lot('ice', 9, 2, { storage: 'frozen' as const, useByMs: null }),
      lot('good', 5, 6),
    ];
    expect(drawLots(2, shelf, 9 * DAY_MS)).toEqual({
      draws: [{ lotId: 'good', kg: 2 }],
      shortKg: 0,
      passedOver: [
        { lotId: 'past', why: 'past' },
        { lotId: 'ice', why: 'frozen' },
      ],
    });
    expect(drawLots(2, [lot('past', 3, 1, { mayBePast: true })], 9 * DAY_MS).draws).toHaveLength(1);
  });
  it('draws and what is short always come to what was wanted (seed 53)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.array(fc.double({ min: -5, max: 20, noNaN: true }), { maxLength: 8 }),
        (kg, sizes) => {
          const shelf = sizes.map((size, i) => lot(`L${i}`, size, i));
          const { draws, shortKg } = drawLots(kg, shelf, 0);
          expect(draws.reduce((sum, one) => sum + one.kg, shortKg)).toBeCloseTo(kg, 5);
          for (const draw of draws)
            expect(draw.kg).toBeLessThanOrEqual(shelf.find((one) => one.id === draw.lotId)!.leftKg + 1e-12);
        },
      ),
      { seed: 53 },
    );
  });
});

describe('what a batch puts by', () => {
  const snapshot = snapshotOf();
  const log = cookedLog(snapshot);
  const put = (i: number, litres: number): BatchEvent => ({
    id: `put${i}`,
    seq: 100 + i,
    actedAtMs: log.at(-1)!.actedAtMs + MINUTE_MS,
    type: 'stored',
    payload: { lotId: `lot${i}`, litres, place: 'walk-in', storage: 'chilled' },
  });
  const state = foldBatch(snapshot, [...log, put(1, 4), put(2, 2)], 0);
  const [first, second] = lotsOfBatch('b', snapshot, state);
  it('is its lots: as many litres, of the same mixture, from that batch', () => {
    expect(first!.birth).toMatchObject({ lotId: 'lot1', origin: { kind: 'batch', batchId: 'b' } });
    expect(first!.birth.kg / first!.birth.contents.densityKgPerL).toBeCloseTo(4, 1);
    expect(first!.birth.kg / second!.birth.kg).toBeCloseTo(2, 3);
    expect(first!.birth.contents.perKg.salt).toBeCloseTo(second!.birth.contents.perKg.salt, 9);
    expect(first!.birth.contents.ingredientId).toBe('recipe:broth');
  });
  it('holds the allergens and the diet of all that went in, and its share of the cost', () => {
    expect([...first!.birth.contents.allergens].sort()).toEqual(['celery', 'milk', 'wheat']);
    expect(first!.birth.contents.diet).toBe('vegetarian');
    const whole = state.costCents / state.pot.addedKg;
    expect(first!.birth.centsPerKg).toBeGreaterThan(whole);
    expect(first!.birth.centsPerKg).toBeLessThan(whole * 1.3);
  });
});
