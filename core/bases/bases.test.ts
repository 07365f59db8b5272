import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { prepareRecipe, recipeAsIngredient } from '../book';
import { brixOf, INGREDIENT_BY_ID, massKg, totalKg } from '../matter';
import { planBatch } from '../plan';
import { finishStage, liftFoodOut, openPot, type PotState, putFoodIn, steepingFactor } from '../pot';
import { steep } from '../pot/steep';
import { umamiGPer100g } from '../taste';
import { libraryOf } from '../testing/book';
import { orderOf } from '../testing/broth';
import { BASE_KINDS, baseKind, baseRecipe, SETS_FROM_GELATIN_PERCENT, timesStandard } from './';

const rowOf = (kindId: string) => {
  const recipe = baseRecipe(kindId);
  return recipeAsIngredient(recipe, libraryOf([recipe])).ingredient;
};
const lineKg = (kindId: string, ingredientId: string, stageId?: string) =>
  baseRecipe(kindId)
    .lines.filter((line) => line.ingredientId === ingredientId && (!stageId || line.stageId === stageId))
    .reduce((sum, line) => sum + line.kg, 0);
const planned = (kindId: string, litres: number) => {
  const recipe = baseRecipe(kindId);
  const prepared = prepareRecipe(recipe, libraryOf([recipe]));
  return planBatch(
    orderOf({ ...prepared, portions: litres, portionMl: 1000, saltPercent: 0, band: recipe.targetBand }),
  );
};
const pot = (...foods: [string, number][]): PotState =>
  foods.reduce(
    (here, [id, kg]) => putFoodIn(here, { ingredient: INGREDIENT_BY_ID[id]!, kg, tempC: 20 }),
    openPot({ atMs: 0, tempC: 20, heatFactor: { mean: 1, sd: 0.1 } }),
  );
const drawnAfter = (state: PotState, minutes: number) =>
  steep(state.mixture, state.steeping ?? [], { diffuses: minutes, dissolves: minutes, softens: 0 });

describe('every kind of base', () => {
  it.each(
    BASE_KINDS.map((kind) => [kind.id, kind] as const),
  )('%s reads, plans and yields its litres', (id, kind) => {
    const recipe = baseRecipe(id);
    // a glaze is a tenth of what goes in
    const litres = kind.family === 'concentrate' ? 1 : 20;
    const plan = planned(id, litres);
    expect(plan.yieldLitres).toBeGreaterThan(0);
    expect(kind.rules.length).toBeGreaterThanOrEqual(3);
    if (recipe.lines.some((line) => line.scaling === 'toYield'))
      expect(plan.yieldLitres).toBeCloseTo(litres / 0.99, 1);
    const clock = recipe.stages
      .filter((stage) => ['simmer', 'vegetables', 'draw', 'cook', 'flakes'].includes(stage.id))
      .reduce((sum, stage) => sum + (stage.ends.rule === 'minutes' ? stage.ends.minutes : 0), 0);
    if (kind.simmerMin && clock > 0) {
      expect(clock).toBeGreaterThanOrEqual(kind.simmerMin.from);
      expect(clock).toBeLessThanOrEqual(kind.simmerMin.to);
    }
  });
  it.each(
    BASE_KINDS.filter((kind) => kind.standardBrix),
  )('$id comes out within a tenth of its standard strength', (kind) => {
    expect(timesStandard(brixOf(rowOf(kind.id).perKg), kind.id)).toBeGreaterThan(0.9);
    expect(timesStandard(brixOf(rowOf(kind.id).perKg), kind.id)).toBeLessThan(1.1);
  });
  it('an unknown kind is refused by name', () => {
    expect(() => baseRecipe('moon-broth')).toThrow(/kindId.*moon-broth/);
    expect(baseKind('moon-broth')).toBeNull();
  });
});

describe('proportions and times the trade goes by', () => {
  it('white stock: 8 parts bones, 12 water, 1 vegetables (handbooks, from memory: 8 : 10 to 12 : 1)', () => {
    const bones = lineKg('white-poultry-stock', 'chicken-bones');
    expect(lineKg('white-poultry-stock', 'water', 'water') / bones).toBeCloseTo(1.5, 2);
    const vegetables = ['onion', 'carrot', 'celery'].reduce(
      (sum, id) => sum + lineKg('white-poultry-stock', id),
      0,
    );
    expect(vegetables / bones).toBeGreaterThan(0.09);
    expect(vegetables / bones).toBeLessThan(0.13);
  });
  it('of 10 to 12 parts water 8 come out as stock, in a pot as full as a stockpot is (handbook, from memory)', () => {
    const plan = planned('white-poultry-stock', 11);
    expect(plan.batches).toBe(1);
    const water = plan.lines.filter((line) => line.ingredientId === 'water' && line.stageId === 'water');
    const partsOfWater = (8 * water[0]!.litres) / plan.yieldLitres;
    expect(partsOfWater).toBeGreaterThan(10);
    expect(partsOfWater).toBeLessThan(13.3);
  });
  it('kelp 10 g and flakes 15 g to the litre, half an hour cold, five minutes off the heat (common practice)', () => {
    expect((1000 * lineKg('kelp-flake-stock', 'kelp')) / 10).toBeCloseTo(10, 9);
    expect((1000 * lineKg('kelp-flake-stock', 'fish-flakes')) / 10).toBeCloseTo(15, 9);
    const stages = Object.fromEntries(
      baseRecipe('kelp-flake-stock').stages.map((stage) => [stage.id, stage]),
    );
    expect(stages.soak!.ends).toEqual({ rule: 'minutes', minutes: 30 });
    expect(stages.flakes).toMatchObject({ ends: { rule: 'minutes', minutes: 5 }, heat: { fraction: 0 } });
    expect(stages.warm!.ends).toMatchObject({ rule: 'warm', tempC: 80 });
  });
  it('fumet 20 to 45 minutes, vegetables 30 to 60 (common practice)', () => {
    expect(baseKind('fish-fumet')!.simmerMin).toEqual({ from: 20, to: 45 });
    expect(baseKind('light-vegetable-stock')!.simmerMin).toEqual({ from: 30, to: 60 });
  });
  it('a roux darkens, and weakens as it does (common practice)', () => {
    const kinds = ['white-roux', 'blond-roux', 'brown-roux', 'dark-roux'];
    const minutes = kinds.map((id) => baseKind(id)!.simmerMin!.from);
    const body = kinds.map((id) => rowOf(id).bodyGPerKg!);
    expect(minutes).toEqual([...minutes].sort((a, b) => a - b));
    expect(body).toEqual([...body].sort((a, b) => b - a));
    // equal weights: a kilogram of white roux holds half a kilogram of flour
    expect(body[0]).toBeCloseTo(500, 6);
    expect(lineKg('blond-roux', 'butter')).toBe(lineKg('blond-roux', 'flour'));
  });
  it('bones set a stock when cold, vegetables and kelp do not (common practice)', () => {
    const percent = (id: string) => 100 * (rowOf(id).gelatin ?? 0);
    for (const id of ['white-poultry-stock', 'brown-poultry-stock', 'brown-meat-stock'])
      expect(percent(id), id).toBeGreaterThan(SETS_FROM_GELATIN_PERCENT);
    for (const id of ['light-vegetable-stock', 'dark-vegetable-stock', 'kelp-mushroom-stock'])
      expect(percent(id), id).toBe(0);
  });
  it('a stock’s salt is what its foods bring, under 0.2 %', () => {
    for (const kind of BASE_KINDS.filter((one) => one.family === 'stock'))
      expect(100 * rowOf(kind.id).perKg.salt, kind.id).toBeLessThan(0.2);
  });
});

describe('what water draws', () => {
  it('half, then half of the rest: three half-lives leave an eighth (by hand)', () => {
    const { mixture, steeping } = drawnAfter(pot(['water', 10], ['chicken-bones', 8]), 165);
    expect(steeping[0]!.drawn).toBeCloseTo(7 / 8, 12);
    expect(mixture.liquid.protein).toBeCloseTo((7 / 8) * 8 * 0.17 * 0.15, 9);
  });
  it('in steps or at once is the same, whatever the steps (seed 41)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 90, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (steps) => {
          const start = pot(['water', 10], ['fish-bones', 4], ['onion', 1]);
          let { mixture, steeping } = { mixture: start.mixture, steeping: start.steeping! };
          for (const minutes of steps)
            ({ mixture, steeping } = steep(mixture, steeping, {
              diffuses: minutes,
              dissolves: minutes,
              softens: 0,
            }));
          const once = drawnAfter(
            start,
            steps.reduce((sum, one) => sum + one, 0),
          );
          expect(mixture.liquid.protein).toBeCloseTo(once.mixture.liquid.protein, 9);
          expect(massKg(mixture)).toBeCloseTo(massKg(start.mixture), 9);
        },
      ),
      { seed: 41 },
    );
  });
  it.each([
    ['chicken-bones', 240],
    ['beef-bones', 480],
    ['fish-bones', 30],
    ['onion', 60],
  ])('%s have given most by the usual end of it; as long again brings little (common practice)', (id, minutes) => {
    const share = (min: number) => drawnAfter(pot(['water', 10], [id, 2]), min).steeping[0]!.drawn;
    expect(share(minutes)).toBeGreaterThan(0.85);
    expect(share(2 * minutes) / share(minutes)).toBeLessThan(1.18);
  });
  it('cold water draws kelp in half an hour and hardly anything from bones', () => {
    const at20 = (id: string) =>
      1 -
      2 **
        ((-30 * steepingFactor(INGREDIENT_BY_ID[id]!.gives!.way, 20)) / INGREDIENT_BY_ID[id]!.gives!.halfMin);
    expect(at20('kelp')).toBeGreaterThan(0.6);
    expect(at20('chicken-bones')).toBeLessThan(0.01);
  });
  it('kelp stock holds 10 to 40 mg of glutamate in 100 g (from memory, analyses of such stocks)', () => {
    for (const id of ['kelp-flake-stock', 'kelp-mushroom-stock']) {
      const mg = 1000 * rowOf(id).umami!.glutamate!;
      expect(mg, id).toBeGreaterThan(10);
      expect(mg, id).toBeLessThan(40);
    }
  });
  it('kelp and mushroom do together what neither does alone: more than the sum (Yamaguchi’s relation)', () => {
    const { glutamate = 0, aspartate = 0, gmp = 0 } = rowOf('kelp-mushroom-stock').umami!;
    const kelpShare = 1.6 / (1.6 + 0.8 * 1.1);
    const kelp = umamiGPer100g({ glutamate: glutamate * kelpShare, aspartate });
    const mushroom = umamiGPer100g({ glutamate: glutamate * (1 - kelpShare), gmp });
    expect(umamiGPer100g({ glutamate, aspartate, gmp })).toBeGreaterThan(1.5 * (kelp + mushroom));
  });
});

describe('what is done to it', () => {
  const boiled = (minutes = 60) => {
    const start = pot(['water', 10], ['chicken-bones', 5], ['carrot', 1]);
    const { mixture, steeping } = drawnAfter(start, minutes);
    return { ...start, mixture, steeping };
  };
  it('lifted out, a food takes along what it has not given, and no more', () => {
    const before = boiled();
    const after = liftFoodOut(before, INGREDIENT_BY_ID['chicken-bones']!, 5);
    expect(after.steeping!.map((one) => one.ingredientId)).toEqual(['carrot']);
    expect(after.mixture.liquid).toEqual(before.mixture.liquid);
    expect(totalKg(after.mixture.pieces)).toBeCloseTo(totalKg(boiledCarrot(60)), 9);
    expect(massKg(after.mixture) + after.takenOutKg).toBeCloseTo(massKg(before.mixture), 9);
    function boiledCarrot(minutes: number) {
      return drawnAfter(pot(['water', 10], ['carrot', 1]), minutes).mixture.pieces;
    }
  });
  it('drained, the pieces stay and go on giving', () => {
    const before = boiled(20);
    const after = finishStage(before, { kind: 'drain' });
    expect(after.steeping).toEqual(before.steeping);
    expect(totalKg(after.mixture.pieces)).toBeCloseTo(totalKg(before.mixture.pieces), 9);
    expect(totalKg(after.mixture.liquid)).toBeLessThan(2);
    expect(massKg(after.mixture) + after.takenOutKg).toBeCloseTo(massKg(before.mixture), 9);
  });
  it('strained, nothing gives any more; puréed, the rest of it is in the liquid', () => {
    expect(finishStage(boiled(), { kind: 'strain' }).steeping).toEqual([]);
    const smooth = finishStage(
      { ...pot(['water', 2], ['tomato', 3]) },
      { kind: 'puree', share: 1, sieve: 'none' },
    );
    expect(smooth.mixture.savour.glutamate).toBeCloseTo(3 * 0.002 * 0.75, 9);
  });
});
