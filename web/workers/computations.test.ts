import { describe, expect, it } from 'vitest';
import { freePots } from '../../core/order';
import { BOOK } from '../../demo/dishes/dishes';
import { kitchenView } from '../../demo/kitchen-view';
import { COMPUTATIONS, type OrderAsked } from './computations';

const kitchen = kitchenView();
const asked = (
  change: Partial<OrderAsked['request']> = {},
  busy: OrderAsked['busy'] = { potIds: [], burnerIds: [] },
): OrderAsked => ({
  request: {
    recipeId: 'celeriac-veloute',
    portions: 140,
    portionMl: 250,
    saltPercent: 0.85,
    band: 3,
    serviceAtMs: Date.UTC(2026, 2, 10, 18, 5),
    potId: 'stockpot-40',
    burnerId: 'gas-2',
    ...change,
  },
  kitchen,
  recipe: BOOK.find((recipe) => recipe.id === 'celeriac-veloute')!,
  book: BOOK,
  lots: [],
  nowMs: 0,
  busy,
});

describe('what is worked out off the page', () => {
  it('each pot has a free burner of its own, the order\u2019s its own', () => {
    const all = freePots(asked());
    expect(all.find((berth) => berth.pot.id === 'stockpot-40')!.burner.id).toBe('gas-2');
    expect(all.find((berth) => berth.pot.id === 'kettle-60')!.burner.id).toBe('jacket');
    expect(
      all.filter((berth) => berth.pot.id !== 'stockpot-40').map((berth) => berth.burner.id),
    ).not.toContain('gas-2');
    const some = freePots(asked({}, { potIds: ['kettle-60'], burnerIds: ['jacket', 'gas-1'] }));
    expect(some.map((berth) => berth.pot.id)).not.toContain('kettle-60');
    expect(some.map((berth) => berth.burner.id)).not.toContain('gas-1');
  });
  it('140 bowls: two batches or the kettle among the ways; with the kettle taken, not the kettle', () => {
    const ways = COMPUTATIONS.ways(asked());
    expect(ways.map((way) => way.kind)).toContain('batches');
    expect(ways.some((way) => way.kind === 'otherPot' && way.parts[0]!.potId === 'kettle-60')).toBe(true);
    const without = COMPUTATIONS.ways(asked({}, { potIds: ['kettle-60'], burnerIds: ['jacket'] }));
    expect(without.flatMap((way) => way.parts.map((part) => part.potId))).not.toContain('kettle-60');
  });
  it('notes, an amount and swaps answer for the order with what has been swapped in it already', () => {
    expect(COMPUTATIONS.notes(asked({ portions: 100 })).map((note) => note.law)).toContain('blender');
    expect(COMPUTATIONS.amount({ ...asked(), amount: { by: 'fill' } }).portions).toBeGreaterThan(80);
    const swaps = COMPUTATIONS.swaps(asked({ portions: 40 }));
    const half = swaps.find(({ change }) => change.kind === 'swap' && change.byIngredientId === 'water')!;
    expect(half.effect!.umamiShare).toBeLessThan(1);
    const again = COMPUTATIONS.swaps(asked({ portions: 40, changes: [half.change] }));
    const twice = again.find(
      ({ change }) => change.kind === 'swap' && change.byIngredientId === 'water' && change.share === 0.5,
    )!;
    expect(twice.effect!.umamiShare).toBeLessThan(1);
    expect(twice.effect!.costPerPortionCents).not.toBeCloseTo(half.effect!.costPerPortionCents, 3);
  });
  it('a swap that cannot be measured says so by having no effect', () => {
    const line = asked().recipe.lines.find((one) => one.ingredientId === 'butter')!;
    const [own] = COMPUTATIONS.swaps({
      ...asked({ portions: 40 }),
      more: [{ kind: 'swap', lineId: line.id, byIngredientId: 'water', share: 1, keep: 'strength' }],
    });
    expect(own).toMatchObject({ isOwn: true, effect: null, notes: [] });
  });
});
