import { describe, expect, it } from 'vitest';
import { foldBatch, topTemperature } from '../batch';
import { prepareRecipe } from '../book';
import { minutesToHeat } from '../heat';
import { INGREDIENT_BY_ID } from '../matter';
import { planBatch } from '../plan';
import { CODE_HOT_LIMITS } from '../safety';
import { BROTH, logOf, orderOf, snapshotOf } from '../testing/broth';
import { type Recipe, recipeIn, recipeRowId, reheatId, reheatRecipe } from './';

const withYolk: Recipe = {
  ...BROTH,
  lines: [
    ...BROTH.lines,
    { id: 'yolk', ingredientId: 'egg-yolk', stageId: 'season', kg: 0.2, scaling: 'straight', tempC: 5 },
  ],
};
const library = (book: readonly Recipe[]) => ({
  ingredients: INGREDIENT_BY_ID,
  recipes: Object.fromEntries(book.map((one) => [one.id, one])),
  pricesCentsPerKg: {},
});
const back = (dish: Recipe) => reheatRecipe(dish, INGREDIENT_BY_ID);
const orderBack = (dish: Recipe) => orderOf({ ...prepareRecipe(back(dish), library([dish])), portions: 40 });
const snapshot = snapshotOf(orderBack(withYolk));
const inPot = (minutes: number) =>
  foldBatch(
    snapshot,
    logOf([
      [0, { type: 'stageBegun', payload: { stageId: 'warm' } }],
      [
        0.1,
        {
          type: 'added',
          payload: { items: [{ ingredientId: recipeRowId('broth'), kg: 10, tempC: 5, lineId: 'dish' }] },
        },
      ],
      [0.2, { type: 'lidSet', payload: { lid: 'on' } }],
      [0.3, { type: 'heatSet', payload: { fraction: 0.5 } }],
    ]),
    Date.UTC(2026, 2, 10, 10, 0) + minutes * 60_000,
  );

describe('a dish reheated', () => {
  it('is one line of the dish itself, cold, and its garnish; brought to 74 °C, tasted, served', () => {
    const recipe = back(BROTH);
    expect(recipe).toMatchObject({ id: 'reheat:broth', reheats: 'broth', litres: BROTH.litres });
    expect(recipe.lines.map((line) => [line.ingredientId, line.scaling, line.stageId])).toEqual([
      ['recipe:broth', 'toYield', 'warm'],
      ['hard-cheese', 'perBowl', 'serve'],
    ]);
    expect(recipe.lines[0]!.tempC).toBe(5);
    // published: FDA Food Code 2022 § 3-403.11
    expect(recipe.stages[0]!.ends).toEqual({ rule: 'warm', tempC: 74 });
    expect(recipe.stages[0]!.caution).toMatch(/74 °C .*2 h .*3-403\.11/);
  });
  it('a thick one warms on half heat and is stirred oftener', () => {
    const stage = (band: number) => back({ ...BROTH, targetBand: band }).stages[0]!;
    expect(stage(1).heat).toEqual({ kind: 'burner', fraction: 1 });
    expect(stage(3).heat).toEqual({ kind: 'burner', fraction: 0.5 });
    expect(stage(3).attention).toEqual({ kind: 'lookIn', everyMin: 3 });
    expect(stage(1).attention).toEqual({ kind: 'lookIn', everyMin: 6 });
  });
  it('keeps the lowest top of what is in it, with its reason; garnish and cream set none', () => {
    expect(back(withYolk).stages[0]).toMatchObject({ topTempC: 82, topFor: { because: 'egg yolk' } });
    expect(back(BROTH).stages[0]!.topTempC).toBeUndefined();
    const low = { ...withYolk, stages: withYolk.stages.map((one) => ({ ...one, topTempC: 70 })) };
    expect(back(low).stages[0]).toMatchObject({ topTempC: 70, topFor: { because: 'test broth' } });
  });
  it('what is in a recipe that it is made of counts too, and a circle of them ends', () => {
    const on = (id: string, below: string): Recipe => ({
      ...BROTH,
      id,
      lines: [{ ...BROTH.lines[0]!, ingredientId: recipeRowId(below) }],
    });
    const sauce = { ...withYolk, id: 'sauce' };
    const book = [on('dish', 'middle'), on('middle', 'sauce'), sauce, on('round', 'round')];
    const warm = (id: string) => recipeIn(book, reheatId(id), INGREDIENT_BY_ID)!.stages[0]!;
    expect(warm('dish')).toMatchObject({ topTempC: 82, topFor: { because: 'egg yolk' } });
    expect(warm('round').topTempC).toBeUndefined();
  });
  it('is found under its own id, where the book has the dish', () => {
    expect(recipeIn([BROTH], 'broth', {})).toBe(BROTH);
    expect(recipeIn([BROTH], reheatId('broth'), {})?.name).toBe('Test broth, reheated');
    expect(recipeIn([BROTH], reheatId('gone'), {})).toBeUndefined();
    expect(recipeIn([BROTH], 'gone', {})).toBeUndefined();
  });
});

describe('its plan and its pot', () => {
  it('draws the litres it serves and what steams off, and no salt or flour', () => {
    const plan = planBatch(orderBack(BROTH));
    const [dish, ...others] = plan.lines;
    expect(others.map((line) => line.perBowl)).toEqual([true]);
    expect(plan.yieldLitres).toBeCloseTo(10.1, 1);
    expect(dish!.edibleKg).toBeGreaterThan(10);
    expect(dish!.edibleKg).toBeLessThan(11);
  });
  it('is at 74 °C about when the heat balance by hand says (pot of steel and walls beside it)', () => {
    const plan = planBatch(orderBack(BROTH));
    const warm = plan.stages.find((one) => one.stageId === 'warm')!;
    const bare = minutesToHeat({
      parts: [{ massKg: plan.lines[0]!.edibleKg, specificHeatKJ: 4, tempC: 5 }],
      toC: 74,
      netPowerW: 7000 * 0.4 * 0.5,
    });
    expect(warm.minutes).toBeGreaterThan(bare);
    expect(warm.minutes).toBeLessThan(bare * 1.35);
  });
  it('on the way up the least is 74 °C and the top 82; held while it is served the least is 57', () => {
    expect(topTemperature(snapshot, inPot(5))).toMatchObject({
      tempC: 82,
      why: 'the egg scrambles above it',
      least: { tempC: 74 },
      collides: false,
    });
    const serving = { ...inPot(60), currentStageId: 'serve' };
    expect(topTemperature(snapshot, serving)!.least!.tempC).toBe(57);
  });
  it('a kitchen of its own limits: to 75 °C, held at 63 °C, within the hour; the thermometer’s limits are its own too', () => {
    const limits = { hotHoldingC: 63, reheatC: 75, reheatWithinH: 1 };
    const own = reheatRecipe(withYolk, INGREDIENT_BY_ID, [], limits);
    expect(own.stages[0]!.ends).toEqual({ rule: 'warm', tempC: 75 });
    expect(own.stages[0]!.caution).toMatch(/75 °C .*1 h .*own limit/);
    expect(own.stages.at(-1)!.act).toMatch(/63 °C or above/);
    expect(recipeIn([BROTH], reheatId('broth'), {}, limits)!.stages[0]!.ends).toEqual(own.stages[0]!.ends);
    const theirs = { ...snapshot, input: { ...snapshot.input, limits } };
    const least = (stageId?: string) =>
      topTemperature(theirs, { ...inPot(5), ...(stageId ? { currentStageId: stageId } : {}) })!.least!;
    expect([least(), least('serve')]).toMatchObject([
      { tempC: 75, why: expect.stringMatching(/own limit/) },
      { tempC: 63, why: expect.stringMatching(/own limit/) },
    ]);
  });
  it('where its top is under the least, both are told', () => {
    const low = { ...withYolk, stages: withYolk.stages.map((one) => ({ ...one, topTempC: 70 })) };
    const narrow = { ...snapshot, input: { ...snapshot.input, recipe: back(low) } };
    expect(topTemperature(narrow, inPot(5))).toMatchObject({
      tempC: 70,
      least: { tempC: 74 },
      collides: true,
    });
  });
});

describe('hot within two hours (FDA Food Code 2022 § 3-403.11)', () => {
  const on = (powerW: number, portions: number) => {
    const order = orderBack(BROTH);
    return planBatch({ ...order, portions, burner: { ...order.burner, powerW } });
  };
  it('a small pot on a good burner says nothing', () => {
    expect(on(7000, 40)).not.toHaveProperty('slowReheat');
    expect(planBatch(orderOf())).not.toHaveProperty('slowReheat');
  });
  it('a kitchen that allows one hour finds the same pot slow, and says which limit', () => {
    const order = orderBack(BROTH);
    const plan = planBatch({
      ...order,
      portions: 40,
      burner: { ...order.burner, powerW: 3500 },
      limits: { ...CODE_HOT_LIMITS, reheatWithinH: 0.5 },
    });
    expect(plan.slowReheat).toMatchObject({ mostMinutes: 30 });
  });
  it('26 L at half heat on a weak burner are too slow, and half of it is not: by heat balance, walls and steam on top', () => {
    const { slowReheat, lines } = on(4600, 105);
    const kg = lines.find((line) => line.lineId === 'dish')!.edibleKg;
    const byHand = (mass: number) =>
      minutesToHeat({
        parts: [{ massKg: mass, specificHeatKJ: 4, tempC: 5 }],
        toC: 74,
        netPowerW: 2300 * 0.4,
      });
    expect(byHand(kg)).toBeGreaterThan(120);
    expect(slowReheat!.mostMinutes).toBe(120);
    expect(slowReheat!.minutes).toBeGreaterThan(byHand(kg));
    expect(slowReheat!.minutes).toBeLessThan(1.6 * byHand(kg));
    expect(slowReheat!.halfMinutes!).toBeLessThan(120);
    expect(slowReheat!.halfMinutes!).toBeGreaterThan(0.9 * byHand(kg / 2));
  });
});
