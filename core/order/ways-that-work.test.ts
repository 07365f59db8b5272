import { describe, expect, it } from 'vitest';
import { prepareRecipe } from '../book';
import { INGREDIENT_BY_ID } from '../matter';
import { type PlanInput, planBatch } from '../plan';
import { fromPattern } from '../reader';
import { CODE_HOT_LIMITS } from '../safety';
import { type Substitution, substitute } from '../substitute';
import { LEEK_SOUP, libraryOf, recipeFrom, TABLE } from '../testing/book';
import { orderOf } from '../testing/broth';
import { inputOf, JACKET, KETTLE } from '../testing/scaled';
import { answerAmount, NOTHING_KNOWN, openingPlace, type PlanningKitchen, splitOrder } from './';

const leek = recipeFrom(LEEK_SOUP);
const planned = (recipe: typeof leek, change: Partial<PlanInput> = {}) =>
  planBatch(orderOf({ ...prepareRecipe(recipe, libraryOf([recipe])), band: recipe.targetBand, ...change }));
const swapped = (recipe: typeof leek, change: Substitution) =>
  substitute(recipe, change, INGREDIENT_BY_ID).recipe;
const kg = (plan: ReturnType<typeof planned>, id: string) =>
  plan.lines.filter((line) => line.ingredientId === id).reduce((sum, line) => sum + line.edibleKg, 0);

describe('ways that work', () => {
  it('filling a kettle that a single bowl would boil dry in ends in bowls, not in an error', () => {
    const input = inputOf(leek, { pot: KETTLE, burner: JACKET });
    const { portions } = answerAmount({ by: 'fill' }, input);
    expect(portions).toBeGreaterThan(120);
    expect(planBatch({ ...input, portions }).batches).toBe(1);
  });
  it('a way that is taken is planned as it was shown, each batch for its own hour', () => {
    const input = inputOf(leek, { portions: 140 });
    const ways = splitOrder(
      input,
      [
        { pot: input.pot, burner: input.burner },
        { pot: KETTLE, burner: JACKET },
      ],
      0,
    );
    for (const part of ways.flatMap((way) => way.parts)) {
      const place = part.potId === KETTLE.id ? { pot: KETTLE, burner: JACKET } : {};
      const again = planBatch({
        ...input,
        ...place,
        portions: part.portions,
        serviceAtMs: part.serviceAtMs,
        holdBackShare: part.holdBackShare,
      });
      expect(again.startAtMs).toBeCloseTo(part.startAtMs, 3);
    }
  });
  it('what would have had to begin before now is no way', () => {
    const input = inputOf(leek, { portions: 140 });
    const places = [{ pot: input.pot, burner: input.burner }];
    const all = splitOrder(input, places, 0);
    const first = Math.min(...all.flatMap((way) => way.parts.map((part) => part.startAtMs)));
    const late = splitOrder(input, places, first + 10 * 60_000);
    expect(late.length).toBeLessThan(all.length);
    for (const part of late.flatMap((way) => way.parts))
      expect(part.startAtMs).toBeGreaterThanOrEqual(first + 5 * 60_000);
  });
  it('what is fetched is what there is: 20 g of cumin pulls no 22', () => {
    const spiced = recipeFrom('Soup\nServes 4\n1 L chicken stock\n500 g carrots\n2 tsp cumin');
    const input = inputOf(spiced);
    const { portions } = answerAmount({ by: 'have', haveKg: { cumin: 0.02 } }, input);
    const line = planBatch({ ...input, portions }).lines.find((one) => one.ingredientId === 'cumin')!;
    expect(line.purchasedKg + line.keptByKg!).toBeLessThanOrEqual(0.02 + 1e-9);
  });
});

describe('an order opens where it can be cooked', () => {
  const { pot, burner, kitchen, pricesCentsPerKg } = orderOf();
  const place: PlanningKitchen = {
    ...kitchen,
    pots: [pot, KETTLE],
    burners: [
      { ...burner, potIds: [pot.id] },
      { ...JACKET, potIds: [KETTLE.id] },
    ],
    pricesCentsPerKg,
    learned: NOTHING_KNOWN,
    ownIngredients: [],
    equipment: inputOf(leek).equipment!,
    limits: CODE_HOT_LIMITS,
  };
  const request = {
    recipeId: leek.id,
    portions: 60,
    portionMl: 250,
    saltPercent: 0.9,
    band: leek.targetBand,
    serviceAtMs: orderOf().serviceAtMs,
  };
  const opens = (portions: number, busy: { potIds: string[]; burnerIds: string[] }) =>
    openingPlace({
      request: { ...request, portions },
      kitchen: place,
      recipe: leek,
      book: [leek],
      lots: [],
      busy,
    });
  const free = { potIds: [], burnerIds: [] };
  it('on a free pot and burner, as large as it needs', () => {
    expect(opens(60, free)).toEqual({ potId: pot.id, burnerId: burner.id });
    expect(opens(60, { potIds: [pot.id], burnerIds: [burner.id] })).toEqual({
      potId: KETTLE.id,
      burnerId: JACKET.id,
    });
    expect(opens(60, { potIds: [], burnerIds: [burner.id] })).toEqual({
      potId: KETTLE.id,
      burnerId: JACKET.id,
    });
    expect(opens(150, free)).toEqual({ potId: KETTLE.id, burnerId: JACKET.id });
    expect(opens(60, { potIds: [pot.id, KETTLE.id], burnerIds: [] })).toBeNull();
  });
});

describe('what stands in for what', () => {
  it('sugar in the place of salt is not asked to salt the pot', () => {
    const salt = leek.lines.find((line) => line.ingredientId === 'salt')!;
    const sweet = swapped(leek, {
      kind: 'swap',
      lineId: salt.id,
      byIngredientId: 'sugar',
      share: 1,
      keep: 'weight',
    });
    expect(kg(planned(sweet), 'sugar')).toBeLessThan(0.4);
    expect(planned(sweet).unmet).toContainEqual(
      expect.objectContaining({ wish: 'salt', why: 'nothingToSolve' }),
    );
  });
  it('where no liquid makes up the litres, one that is added does', () => {
    const tinned = recipeFrom(
      'Soup\nServes 4\n800 g tinned tomatoes\n1 onion\nsalt\n\nSimmer uncovered for 90 minutes. Season.',
    );
    expect(planned(tinned, { band: 1 }).unmet?.map((one) => one.wish)).toContain('bowls');
    const made = swapped(tinned, { kind: 'makeUp', byIngredientId: 'water' });
    const plan = planned(made, { band: 1 });
    expect(plan.yieldPortions).toBeCloseTo(60, 0);
    expect(kg(plan, 'water')).toBeGreaterThan(0.1);
    expect(() => swapped(tinned, { kind: 'makeUp', byIngredientId: 'carrot' })).toThrow(/liquid.*carrot/);
  });
  it('a pattern’s root swapped for a dry pulse is weighed by what it becomes', () => {
    const roots = recipeFrom(
      'Root soup\nServes 6\n900 g carrots, sliced\n1 L vegetable stock\n\nSimmer until soft.',
    );
    const written = roots.written!.find((line) => line.text.includes('carrots'))!;
    const pattern = { ...roots, pattern: [{ role: 'vegetable' as const, writtenId: written.id }] };
    const { recipe } = fromPattern(pattern, { [written.id]: 'red-lentil' }, TABLE, { id: 'x', name: 'X' });
    const before = roots.lines.find((line) => line.ingredientId === 'carrot')!.kg;
    const lentil = recipe.lines.find((line) => line.ingredientId === 'red-lentil')!.kg;
    expect(lentil * (1 + INGREDIENT_BY_ID['red-lentil']!.drinks!)).toBeCloseTo(before, 1);
  });
});
