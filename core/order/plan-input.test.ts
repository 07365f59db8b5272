import { describe, expect, it } from 'vitest';
import { ADJUST_INGREDIENTS } from '../batch';
import { libraryOf, rowsOf } from '../book';
import { INGREDIENT_BY_ID, ownIngredient } from '../matter';
import { FIRST_GUESS_HEAT_FACTOR } from '../pot';
import type { Recipe } from '../recipe';
import { CODE_HOT_LIMITS } from '../safety';
import { BROTH } from '../testing/broth';
import { NOTHING_KNOWN, type OrderRequest, type PlanningKitchen, planInputOf } from './';

const kitchen: PlanningKitchen = {
  learned: NOTHING_KNOWN,
  limits: CODE_HOT_LIMITS,
  altitudeM: 300,
  airTempC: 22,
  relativeHumidity: 0.4,
  pots: [
    { id: 'pot', name: 'pot', vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 36 }, emptyMassKg: 7 },
    { id: 'pan', name: 'pan', vessel: { shape: 'cylinder', diameterCm: 20, heightCm: 12 }, emptyMassKg: 1 },
  ],
  burners: [
    {
      id: 'ring',
      name: 'the ring',
      powerW: 6000,
      efficiency: 0.4,
      potIds: ['pot'],
      heatFactor: { ...FIRST_GUESS_HEAT_FACTOR, batches: 0 },
    },
  ],
  pricesCentsPerKg: { carrot: 90 },
  equipment: { blenderJarLitres: 4, hasStickBlender: true, ovenTrays: 3, trayAreaM2: 0.17, fryingPanCm: 28 },
  ownIngredients: [],
};
const request: OrderRequest = {
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
    const input = planInputOf(request, kitchen, BROTH);
    if (Array.isArray(input)) throw new Error('refused');
    expect(input.kitchen).toEqual({ altitudeM: 300, airTempC: 22, relativeHumidity: 0.4 });
    expect(input.pot.id).toBe('pot');
    expect(input.burner).not.toHaveProperty('potIds');
    const ids = Object.keys(input.ingredients);
    for (const id of ADJUST_INGREDIENTS) expect(ids).toContain(id);
    for (const line of BROTH.lines) expect(ids).toContain(line.ingredientId);
    expect(ids).not.toContain('venison');
  });
  it('names a pot, a burner, or a pair that is not there', () => {
    const wrong = (change: Partial<OrderRequest>) => {
      const answer = planInputOf({ ...request, ...change }, kitchen, BROTH);
      return Array.isArray(answer) ? answer.map((error) => `${error.field}: ${error.code}`) : [];
    };
    expect(wrong({ potId: 'bath', burnerId: 'sun' })).toEqual([
      'potId: unknownPot',
      'burnerId: unknownBurner',
    ]);
    expect(wrong({ potId: 'pan' })).toEqual(['burnerId: potNotOnBurner']);
  });
});

describe('with the book and the larder of the kitchen', () => {
  const sub: Recipe = {
    ...BROTH,
    id: 'base',
    name: 'Base',
    stages: BROTH.stages,
    lines: BROTH.lines.filter((line) => line.scaling !== 'perBowl'),
  };
  const line = {
    id: 'sub',
    ingredientId: 'recipe:base',
    stageId: 'boil',
    kg: 1,
    scaling: 'straight' as const,
    tempC: 5,
  };
  const dish: Recipe = { ...BROTH, lines: [...BROTH.lines, line] };
  const planned = (
    recipe: Recipe,
    change: Partial<OrderRequest> = {},
    own: PlanningKitchen['ownIngredients'] = [],
  ) => planInputOf({ ...request, ...change }, { ...kitchen, ownIngredients: own }, recipe, [recipe, sub]);

  it('a recipe in a recipe is a row with a price of its own', () => {
    const input = planned(dish);
    if (Array.isArray(input)) throw new Error('refused');
    expect(input.ingredients['recipe:base']!.allergens).toContain('celery');
    expect(input.pricesCentsPerKg['recipe:base']).toBeGreaterThan(0);
  });
  it('a label of the kitchen stands over the table', () => {
    const label = ownIngredient(
      { id: 'carrot', name: 'Sweet carrot', like: 'carrot', saltPercent: 2 },
      INGREDIENT_BY_ID.carrot!,
    );
    const input = planned(BROTH, {}, [label]);
    if (Array.isArray(input)) throw new Error('refused');
    expect(input.ingredients.carrot!.perKg.salt).toBe(0.02);
  });
  it('substitutions are made in order, the later on what the earlier left', () => {
    const half = {
      kind: 'swap',
      lineId: 'stock',
      byIngredientId: 'water',
      share: 0.5,
      keep: 'weight',
    } as const;
    const input = planned(BROTH, {
      changes: [half, { ...half, lineId: 'stock~water', byIngredientId: 'kelp-stock', share: 1 }],
    });
    if (Array.isArray(input)) throw new Error('refused');
    const ids = input.recipe.lines.map((one) => one.ingredientId);
    expect(ids).toContain('kelp-stock');
    expect(ids).not.toContain('water');
    expect(input.ingredients['kelp-stock']).toBeDefined();
  });
  it('what is held back and the kitchen’s blender go along', () => {
    const input = planned(BROTH, { holdBackShare: 0.3 });
    if (Array.isArray(input)) throw new Error('refused');
    expect([input.holdBackShare, input.equipment]).toEqual([0.3, kitchen.equipment]);
  });
  it.each([
    [
      'a food that is not there',
      { changes: [{ kind: 'swap', lineId: 'stock', byIngredientId: 'moon', share: 1, keep: 'weight' }] },
      /moon/,
    ],
    [
      'a line that is not there',
      { changes: [{ kind: 'bouillon', lineId: 'nope', share: 1, gPerL: 20 }] },
      /nope/,
    ],
  ] as [string, Partial<OrderRequest>, RegExp][])('%s is said, not thrown', (_name, change, sentence) => {
    const refused = planned(BROTH, change);
    expect(Array.isArray(refused) && refused[0]).toMatchObject({
      code: 'cannotBeCooked',
      why: expect.stringMatching(sentence),
    });
  });
  it('a recipe that holds itself is said by name', () => {
    const loop: Recipe = { ...sub, lines: [...sub.lines, { ...line, ingredientId: 'recipe:broth' }] };
    const refused = planInputOf(request, kitchen, dish, [dish, loop]);
    expect(Array.isArray(refused) && refused[0]).toMatchObject({
      why: expect.stringMatching(/cannot hold itself/),
    });
  });
});

describe('the book as rows', () => {
  it('leaves out the recipe being written, and one that does not hold together', () => {
    const good: Recipe = { ...BROTH, id: 'good' };
    const bad: Recipe = { ...BROTH, id: 'bad', lines: [{ ...BROTH.lines[0]!, ingredientId: 'moon' }] };
    const rows = rowsOf(libraryOf(kitchen, [good, bad]), 'none');
    expect(rows['recipe:good']).toBeDefined();
    expect(rows['recipe:bad']).toBeUndefined();
    expect(rowsOf(libraryOf(kitchen, [good]), 'good')['recipe:good']).toBeUndefined();
  });
});
