import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { brixOf, INGREDIENT_BY_ID, totalKg } from '../matter';
import { contentsFor, drawn, lotMade, shelfLog } from '../testing/larder';
import {
  asRead,
  foldLarder,
  type LarderEventBody,
  type LotDraw,
  type LotMade,
  lotKey,
  mixContents,
  traceArrows,
} from './';

const body = <T extends LarderEventBody['type']>(
  type: T,
  payload: Extract<LarderEventBody, { type: T }>['payload'],
) => ({ type, payload }) as Extract<LarderEventBody, { type: T }>;
const fold = (made: LotMade[], draws: LotDraw[] = [], events: Parameters<typeof shelfLog>[0] = []) =>
  foldLarder({ made, draws, events: shelfLog(events) });

/** What came in, less what went, against what stands on the shelf. */
function unbalanced(larder: ReturnType<typeof foldLarder>): { kg: number; cents: number } {
  const { sums } = larder;
  const left = [...larder.lots.values()].reduce(
    (sum, lot) => ({ kg: sum.kg + lot.leftKg, cents: sum.cents + lot.leftKg * lot.centsPerKg }),
    { kg: 0, cents: 0 },
  );
  const gone = (of: 'kg' | 'cents') =>
    sums.drawn[of] + sums.discarded[of] + sums.lifted[of] + sums.countedOff[of];
  return { kg: sums.in.kg - gone('kg') - left.kg, cents: sums.in.cents - gone('cents') - left.cents };
}

describe('the ledger of lots', () => {
  it('any sequence of make, draw, move, split, blend, lift, count, freeze, discard keeps kilograms and money (seed 51)', () => {
    const step = fc.record({
      act: fc.constantFrom(
        'draw',
        'split',
        'blend',
        'discard',
        'count',
        'lift',
        'move',
        'freeze',
        'thaw',
        'undo',
      ),
      which: fc.nat(9),
      other: fc.nat(9),
      share: fc.double({ min: 0.01, max: 1.3, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 40, noNaN: true }), { minLength: 1, maxLength: 4 }),
        fc.array(step, { maxLength: 30 }),
        (sizes, steps) => {
          const made = sizes.map((kg, i) => lotMade(`L${i}`, kg, i, { centsPerKg: 50 + 40 * i }));
          const draws: LotDraw[] = [];
          const events: Parameters<typeof shelfLog>[0][number][] = [];
          const ids = made.map((one) => one.birth.lotId);
          steps.forEach(({ act, which, other, share }, i) => {
            const minute = 100 + i;
            const lotId = ids[which % ids.length]!;
            const kg = share * 4;
            const place = 'shelf 2';
            if (act === 'draw') draws.push(drawn(lotId, kg, minute, `soup ${which}`));
            if (act === 'split') {
              ids.push(`S${i}`);
              events.push([
                minute,
                body('split', { lotId, toLotId: `S${i}`, kg, place, storage: 'chilled' }),
              ]);
            }
            if (act === 'blend') {
              const second = ids[other % ids.length]!;
              const parts =
                second === lotId
                  ? [{ lotId, kg }]
                  : [
                      { lotId, kg },
                      { lotId: second, kg: kg / 2 },
                    ];
              events.push([
                minute,
                body('blended', {
                  toLotId: `B${i}`,
                  name: 'blend',
                  parts,
                  waterKg: share,
                  place,
                  storage: 'chilled',
                }),
              ]);
              ids.push(`B${i}`);
            }
            if (act === 'discard') events.push([minute, body('discarded', { lotId, kg, reason: 'sour' })]);
            if (act === 'count') events.push([minute, body('counted', { lotId, kg, note: 'stock count' })]);
            if (act === 'lift') events.push([minute, body('fatLifted', { lotId, kg: kg / 100 })]);
            if (act === 'move') events.push([minute, body('moved', { lotId, place })]);
            if (act === 'freeze') events.push([minute, body('frozen', { lotId, place })]);
            if (act === 'thaw') events.push([minute, body('thawed', { lotId, place })]);
            if (act === 'undo' && events.length > 0)
              events.push([minute, body('undone', { eventId: `s${1 + (which % events.length)}` })]);
          });
          const larder = fold(made, draws, events);
          const gap = unbalanced(larder);
          expect(Math.abs(gap.kg)).toBeLessThan(1e-8);
          expect(Math.abs(gap.cents)).toBeLessThan(1e-5);
        },
      ),
      { seed: 51, numRuns: 300 },
    );
  });
  it('in whatever order the logs are read, the shelf is the same (seed 52)', () => {
    const made = [lotMade('A', 12), lotMade('B', 8, 3)];
    const draws = [drawn('A', 3, 20), drawn('B', 2, 25), drawn('A', 9.5, 30)];
    const events = shelfLog([
      [10, body('split', { lotId: 'A', toLotId: 'C', kg: 2, place: 'freezer', storage: 'frozen' })],
      [40, body('counted', { lotId: 'A', kg: 0.4, note: 'counted' })],
      [
        50,
        body('blended', {
          toLotId: 'D',
          name: 'rest',
          parts: [
            { lotId: 'A', kg: 0.4 },
            { lotId: 'B', kg: 1 },
          ],
          waterKg: 0,
          place: 'walk-in',
          storage: 'chilled',
        }),
      ],
    ]);
    const whole = [...foldLarder({ made, draws, events }).lots.values()];
    fc.assert(
      fc.property(
        fc.shuffledSubarray(events, { minLength: 3 }),
        fc.shuffledSubarray(draws, { minLength: 3 }),
        (one, two) => {
          expect([
            ...foldLarder({ made: [...made].reverse(), draws: two, events: one }).lots.values(),
          ]).toEqual(whole);
        },
      ),
      { seed: 52, numRuns: 30 },
    );
  });
  it('two draws of the last litre are both kept; the lot is below nothing and to be counted', () => {
    const larder = fold(
      [lotMade('A', 2)],
      [drawn('A', 1, 5, 'one'), drawn('A', 1, 6, 'two'), drawn('A', 1, 6, 'three')],
    );
    expect(larder.lots.get('A')!.leftKg).toBe(-1);
    expect(larder.arrows.filter((arrow) => arrow.from === lotKey('A'))).toHaveLength(3);
    const draws = [drawn('A', 1, 5, 'one'), drawn('A', 1, 6, 'two'), drawn('A', 1, 6, 'three')];
    const counted = fold([lotMade('A', 2)], draws, [
      [9, body('counted', { lotId: 'A', kg: 0.5, note: 'there was more' })],
    ]);
    expect(counted.lots.get('A')!.leftKg).toBe(0.5);
    expect(counted.sums.countedOff.kg).toBe(-1.5);
  });
  it('a lot whose making was undone leaves its draws stray, kept for a person', () => {
    expect(fold([], [drawn('A', 1, 5)]).strayEventIds).toEqual(['draw soup A 5']);
  });
  it('an undone split is none, and undoing that brings it back', () => {
    const split = body('split', {
      lotId: 'A',
      toLotId: 'B',
      kg: 1,
      place: 'walk-in',
      storage: 'chilled' as const,
    });
    expect(
      fold(
        [lotMade('A', 2)],
        [],
        [
          [5, split],
          [6, body('undone', { eventId: 's1' })],
        ],
      ).lots.size,
    ).toBe(1);
    expect(
      fold(
        [lotMade('A', 2)],
        [],
        [
          [5, split],
          [6, body('undone', { eventId: 's1' })],
          [7, body('undone', { eventId: 's2' })],
        ],
      ).lots.size,
    ).toBe(2);
  });
});

describe('what a lot is', () => {
  it('poured together, masses, salt, allergens, diet and money mix (by hand)', () => {
    const salty = contentsFor('vegetable-stock', {
      perKg: { ...INGREDIENT_BY_ID['vegetable-stock']!.perKg, salt: 0.01, water: 0.977 },
    });
    const mixed = mixContents(
      'both',
      [
        { contents: salty, kg: 3 },
        { contents: contentsFor('fish-fumet'), kg: 1 },
      ],
      2,
    );
    expect(100 * mixed.perKg.salt).toBeCloseTo((3 * 1 + 1 * 0.12) / 6, 9);
    expect(totalKg(mixed.perKg)).toBeCloseTo(1, 9);
    expect([...mixed.allergens].sort()).toEqual(['celery', 'fish']);
    expect(mixed.diet).toBe('fish');
    expect(mixed.ingredientId).toBe('vegetable-stock');
    expect(() => mixContents('none', [])).toThrow(/parts/);
  });
  it('a reading overrules what was computed: salt by a meter, the rest by °Brix; it still weighs a kilogram', () => {
    const contents = contentsFor('chicken-stock');
    const read = asRead({ contents, brix: { value: 4, atMs: 0 }, saltPercent: { value: 0.5, atMs: 0 } });
    expect(100 * read.perKg.salt).toBeCloseTo(0.5, 12);
    expect(brixOf(read.perKg)).toBeCloseTo(4, 1);
    expect(totalKg(read.perKg)).toBeCloseTo(1, 9);
    expect(asRead({ contents, brix: null, saltPercent: null })).toBe(contents);
  });
  it('set fat lifted: lighter, leaner, the same solids, dearer by the kilogram, the money kept', () => {
    const fat = contentsFor('chicken-stock', {
      perKg: { ...INGREDIENT_BY_ID['chicken-stock']!.perKg, fat: 0.03, water: 0.939 },
    });
    const before = fold([lotMade('A', 10, 0, { contents: fat })]).lots.get('A')!;
    const after = fold(
      [lotMade('A', 10, 0, { contents: fat })],
      [],
      [[5, body('fatLifted', { lotId: 'A', kg: 0.25 })]],
    ).lots.get('A')!;
    expect(after.leftKg).toBeCloseTo(9.75, 12);
    expect(after.contents.perKg.fat * after.leftKg).toBeCloseTo(0.3 - 0.25, 9);
    expect(after.contents.perKg.protein * after.leftKg).toBeCloseTo(before.contents.perKg.protein * 10, 9);
    expect(after.centsPerKg * after.leftKg).toBeCloseTo(1000, 9);
    expect(after.fatLiftedKg).toBe(0.25);
  });
});

describe('a recall', () => {
  // a crate of bones became a stock, the stock a mother sauce and a soup, the sauce two soups; one lot was split
  const crate = {
    ...lotMade('crate', 10),
    birth: { ...lotMade('crate', 10).birth, origin: { kind: 'delivery' as const, supplier: 'a farm' } },
  };
  const stock = lotMade('stock', 8, 60, { origin: { kind: 'batch', batchId: 'making stock' } });
  const sauce = lotMade('sauce', 6, 120, { origin: { kind: 'batch', batchId: 'making sauce' } });
  const larder = fold(
    [crate, stock, sauce],
    [
      drawn('crate', 10, 10, 'making stock'),
      drawn('stock', 2, 100, 'making sauce'),
      drawn('stock', 3, 130, 'lunch'),
      drawn('sauce', 3, 140, 'dinner'),
      drawn('half', 1, 160, 'staff'),
    ],
    [[150, body('split', { lotId: 'sauce', toLotId: 'half', kg: 2, place: 'walk-in', storage: 'chilled' })]],
  );
  it('walks from the crate to every bowl', () => {
    const ids = traceArrows(larder.arrows, lotKey('crate')).into.map((step) => `${step.steps} ${step.id}`);
    expect(ids).toEqual([
      '1 making stock',
      '2 stock',
      '3 making sauce',
      '3 lunch',
      '4 sauce',
      '5 dinner',
      '5 half',
      '6 staff',
    ]);
  });
  it('and back from a bowl’s lot to the crate, with what went across', () => {
    expect(traceArrows(larder.arrows, lotKey('half')).from.map((step) => `${step.kg} ${step.id}`)).toEqual([
      '2 sauce',
      '6 making sauce',
      '2 stock',
      '8 making stock',
      '10 crate',
    ]);
  });
  it('what was not touched is not named; of an unknown lot there is nothing', () => {
    expect(traceArrows(larder.arrows, lotKey('sauce')).into.map((step) => step.id)).not.toContain('lunch');
    expect(traceArrows(larder.arrows, lotKey('moon'))).toEqual({ into: [], from: [] });
  });
});
