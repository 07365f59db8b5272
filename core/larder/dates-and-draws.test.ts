import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BatchEvent, type BatchEventBody, foldBatch } from '../batch';
import { cookedLog, snapshotOf } from '../testing/broth';
import { DAY_MS, lotMade, MINUTE_MS, RULES, SHELF_OPENS_MS, shelfLog } from '../testing/larder';
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
  useBy,
} from './';

const body = <T extends LarderEventBody['type']>(
  type: T,
  payload: Extract<LarderEventBody, { type: T }>['payload'],
) => ({ type, payload }) as Extract<LarderEventBody, { type: T }>;
const fold = (made: LotMade[], draws: LotDraw[] = [], events: Parameters<typeof shelfLog>[0] = []) =>
  foldLarder({ made, draws, events: shelfLog(events) });

describe('quality', () => {
  const at = (days: number, hours = 0) => SHELF_OPENS_MS + days * DAY_MS + hours * 60 * MINUTE_MS;
  it('its best is another matter than its date: better tomorrow, past its best, and still to be used; frozen it waits', () => {
    const made = lotMade('A', 2, 0, { best: { fromH: 12, untilH: 72, words: 'better tomorrow' } });
    const lot = fold([made]).lots.get('A')!;
    expect(atItsBest(lot, at(0, 3))!.stands).toBe('not yet');
    expect(atItsBest(lot, at(1))!.stands).toBe('best');
    expect(atItsBest(lot, at(4))!.stands).toBe('past its best');
    expect(useBy(lot, RULES)!.atMs).toBeGreaterThan(at(4));
    const frozen = fold([made], [], [[1440, body('frozen', { lotId: 'A', place: 'freezer' })]]).lots.get(
      'A',
    )!;
    expect(atItsBest(frozen, at(9))!.stands).toBe('best');
    expect(atItsBest(fold([lotMade('B', 1)]).lots.get('B')!, 0)).toBeNull();
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
