import { describe, expect, it } from 'vitest';
import { BENCH_INGREDIENTS, FIRST_GUESS_GAIN, INGREDIENT_BY_ID, totalKg } from '../core';
import { BROTH } from '../core/testing/broth';
import { type KitchenView, type PlanRequest, planInputOf } from './index';

const kitchen: KitchenView = {
  name: 'Test kitchen',
  zone: 'Europe/London',
  altitudeM: 300,
  airTempC: 22,
  relativeHumidity: 0.4,
  currency: 'GBP',
  services: [],
  pots: [
    { id: 'pot', name: 'pot', vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 36 }, emptyMassKg: 7 },
    { id: 'pan', name: 'pan', vessel: { shape: 'cylinder', diameterCm: 20, heightCm: 12 }, emptyMassKg: 1 },
  ],
  burners: [
    {
      id: 'ring',
      name: 'the ring',
      kind: 'gas',
      powerW: 6000,
      efficiency: 0.4,
      potIds: ['pot'],
      gain: { ...FIRST_GUESS_GAIN, batches: 0 },
    },
  ],
  pricesCentsPerKg: { carrot: 90 },
  suppliers: {},
  units: 'metric',
  equipment: { blenderJarLitres: 4, hasStickBlender: true, ovenTrays: 3, trayAreaM2: 0.17, fryingPanCm: 28 },
  ownIngredients: [],
  clock: { mode: 'real', speed: 1, kitchenFromMs: 0, realFromMs: 0, serverNowMs: 0 },
};
const request: PlanRequest = {
  recipeId: 'broth',
  portions: 40,
  portionMl: 250,
  saltPercent: 0.8,
  band: 2,
  serviceAtMs: 1,
  potId: 'pot',
  burnerId: 'ring',
};

describe('an order put together with its kitchen', () => {
  it('takes the kitchen’s air, pot, burner and prices, and only the foods it may need', () => {
    const input = planInputOf(request, kitchen, BROTH, undefined);
    if (Array.isArray(input)) throw new Error('refused');
    expect(input.kitchen).toEqual({ altitudeM: 300, airTempC: 22, relativeHumidity: 0.4 });
    expect(input.pot.id).toBe('pot');
    expect(input.burner).not.toHaveProperty('potIds');
    const ids = Object.keys(input.ingredients);
    for (const id of BENCH_INGREDIENTS) expect(ids).toContain(id);
    for (const line of BROTH.lines) expect(ids).toContain(line.ingredientId);
    expect(ids).not.toContain('venison');
  });
  it('a lot’s own salt overrides the table’s, and the rest is water', () => {
    const lot = { ingredientId: 'vegetable-stock', saltPercent: 0.6 };
    const input = planInputOf(request, kitchen, BROTH, lot);
    if (Array.isArray(input)) throw new Error('refused');
    const stock = input.ingredients['vegetable-stock']!;
    expect(stock.perKg.salt).toBeCloseTo(0.006, 12);
    expect(totalKg(stock.perKg)).toBeCloseTo(1, 12);
    expect(INGREDIENT_BY_ID['vegetable-stock']!.perKg.salt).toBeCloseTo(0.001, 12);
  });
  it('names a pot, a burner, or a pair that is not there', () => {
    const wrong = (change: Partial<PlanRequest>) => {
      const answer = planInputOf({ ...request, ...change }, kitchen, BROTH, undefined);
      return Array.isArray(answer) ? answer.map((error) => `${error.field}: ${error.sentence}`) : [];
    };
    expect(wrong({ potId: 'bath', burnerId: 'sun' })).toEqual([
      'potId: There is no pot “bath” in this kitchen.',
      'burnerId: There is no burner “sun” in this kitchen.',
    ]);
    expect(wrong({ potId: 'pan' })).toEqual(['burnerId: The pan does not go on the ring.']);
  });
});
