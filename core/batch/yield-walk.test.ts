import { describe, expect, it } from 'vitest';
import { massKg } from '../matter';
import { foodLitres } from '../pot';
import { itemsFor, logOf, snapshotOf } from '../testing/broth';
import { type BatchEventBody, dayCosts, foldBatch, type YieldStepName, yieldWalk } from './';

type Said = [number, BatchEventBody];
const snapshot = snapshotOf();
const cooked: Said[] = [
  [0, { type: 'stageBegun', payload: { stageId: 'boil' } }],
  [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
  [0.2, { type: 'heatSet', payload: { fraction: 1 } }],
  [60, { type: 'added', payload: { items: itemsFor(snapshot, 'roots') } }],
  [70, { type: 'added', payload: { items: itemsFor(snapshot, 'season') } }],
  [80, { type: 'heatSet', payload: { fraction: 0 } }],
  [80.5, { type: 'removed', payload: { word: 'bay', count: 10 } }],
];
const out = (minute: number, payload: Extract<BatchEventBody, { type: 'portioned' }>['payload']): Said => [
  minute,
  { type: 'portioned', payload },
];
const lot = { lotId: 'l', litres: 1, place: 'walk-in', storage: 'chilled' as const };
const served: Said[] = [
  ...cooked,
  out(90, { portions: 20, fate: 'served', overrideReason: 'x' }),
  out(91, { portions: 2, fate: 'discarded', reason: 'staff' }),
  out(92, { portions: 1, fate: 'discarded', reason: 'spilled' }),
  out(93, { portions: 1, fate: 'discarded', reason: 'returned', isOut: true }),
  [94, { type: 'slip', payload: { kind: 'trouble', trouble: 'boiledOver', lostKg: 0.4 } }],
  [95, { type: 'stored', payload: lot }],
  [96, { type: 'closed', payload: { leftLitres: 1.2 } }],
];
const folded = (said: Said[]) => {
  const events = logOf(said);
  return foldBatch(snapshot, events, events.at(-1)!.actedAtMs);
};
const walk = (said: Said[]) => yieldWalk(snapshot, folded(said));
const kgOf = (said: Said[], step: YieldStepName) =>
  walk(said)
    .filter((one) => one.step === step)
    .reduce((kg, one) => kg + one.kg, 0);

describe('the way from what was bought to what was eaten', () => {
  it('every kilogram is somewhere: sums and what leaves between them agree, and the end is nothing', () => {
    const steps = walk(served);
    let thereKg = 0;
    for (const one of steps) {
      if (one.isSum) {
        if (one.step !== 'purchased') expect(one.kg, one.step).toBeCloseTo(thereKg, 9);
        thereKg = one.kg;
      } else thereKg -= one.kg;
    }
    expect(thereKg).toBeCloseTo(0, 9);
    expect(steps.map((one) => one.step)).toEqual([
      'purchased',
      'trimmed',
      'inPot',
      'steamed',
      'lifted',
      'lost',
      'yield',
      'served',
      'staff',
      'stored',
      'discarded',
      'discarded',
      'left',
      'clung',
    ]);
  });

  it('by hand: carrots by their trim, portions by their size, what was sent back is nobody’s', () => {
    const state = folded(cooked);
    const carrot = snapshot.input.ingredients.carrot!;
    const carrotKg = snapshot.plan.lines.find((line) => line.lineId === 'carrot')!.edibleKg;
    expect(kgOf(served, 'trimmed')).toBeCloseTo(carrotKg / carrot.yield - carrotKg, 1);
    const kgPerLitre = massKg(state.pot.mixture) / foodLitres(state.pot);
    expect(kgOf(served, 'served')).toBeCloseTo(19 * 0.25 * kgPerLitre, 1);
    expect(kgOf(served, 'staff')).toBeCloseTo(2 * 0.25 * kgPerLitre, 1);
    const discarded = walk(served).filter((one) => one.step === 'discarded');
    expect(discarded.map((one) => one.reason).sort()).toEqual(['returned', 'spilled']);
    for (const one of discarded) expect(one.kg).toBeCloseTo(0.25 * kgPerLitre, 1);
    expect(kgOf(served, 'lost')).toBeCloseTo(0.4, 9);
    expect(kgOf(served, 'left')).toBeCloseTo(1.2 * kgPerLitre, 1);
  });

  it('money follows the kilograms: what was eaten, stored, lost and left is what went in', () => {
    const state = folded(served);
    const leaves = walk(served).filter((one) => !one.isSum);
    const cents = leaves.reduce((sum, one) => sum + one.cents, 0);
    expect(cents).toBeCloseTo(state.costCents, 6);
    expect(walk(served).find((one) => one.step === 'yield')!.cents).toBe(state.costCents);
  });

  it('an empty pot and a batch that has only begun have their way too', () => {
    expect(yieldWalk(snapshot, foldBatch(snapshot, [], 0)).map((one) => one.step)).toEqual([
      'purchased',
      'trimmed',
      'inPot',
      'steamed',
      'yield',
    ]);
    const begun = walk(cooked.slice(0, 3));
    expect(begun.at(-1)).toMatchObject({ step: 'left' });
    expect(begun.every((one) => Number.isFinite(one.kg) && Number.isFinite(one.cents))).toBe(true);
  });
});

describe('a day in money', () => {
  it('what guests, staff and larder had and what was wasted is what the pots cost; one kind of waste together', () => {
    const thrown = [
      { kg: 2, cents: 180, words: 'past its date' },
      { kg: 1, cents: 90, words: 'past its date' },
    ];
    const day = dayCosts([walk(served), walk(served)], thrown);
    const wasted = day.waste.filter((one) => one.step !== 'shelf').reduce((sum, one) => sum + one.cents, 0);
    expect(day.potsCents).toBeCloseTo(2 * folded(served).costCents, 6);
    expect(day.guestsCents + day.staffCents + day.keptCents + wasted).toBeCloseTo(day.potsCents, 6);
    expect(day.waste.filter((one) => one.step === 'shelf')).toEqual([
      { step: 'shelf', reason: null, words: 'past its date', kg: 3, cents: 270 },
    ]);
    const spilled = day.waste.filter((one) => one.reason === 'spilled');
    expect(spilled).toHaveLength(1);
    // one bowl of twenty-four of each pot, by weight
    expect(spilled[0]!.kg).toBeCloseTo(2 * walk(served).find((one) => one.reason === 'spilled')!.kg, 9);
    expect(day.waste.map((one) => one.cents)).toEqual(
      day.waste.map((one) => one.cents).sort((a, b) => b - a),
    );
  });
});
