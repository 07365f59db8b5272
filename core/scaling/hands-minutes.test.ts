import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { browningLoads, cookThrough, jarFills, type PlanInput, setupOf } from '../plan';
import { handsMinutes } from '../plan/hands-minutes';
import { newStage, type RecipeLine, type Stage } from '../recipe';
import { orderOf } from '../testing/broth';
import { panBottomM2 } from '../vessel';

const EQUIPMENT = {
  blenderJarLitres: 4,
  hasStickBlender: true,
  ovenTrays: 3,
  trayAreaM2: 0.17,
  fryingPanCm: 28,
};

function orderWith(
  stage: Stage,
  ingredientId: string,
  kg: number,
  change: Partial<PlanInput> = {},
): PlanInput {
  const line: RecipeLine = { id: 'l', ingredientId, stageId: stage.id, kg, scaling: 'straight', tempC: 5 };
  const base = orderOf({ equipment: EQUIPMENT, ...change });
  return {
    ...base,
    ingredients: INGREDIENT_BY_ID,
    recipe: { ...base.recipe, stages: [stage, ...base.recipe.stages], lines: [line] },
  };
}
const minutes = (input: PlanInput, kg: number, litres = 0) =>
  handsMinutes({
    input,
    setup: setupOf(input),
    stage: input.recipe.stages[0]!,
    load: { kgByLine: { l: kg }, litres, isFrying: input.recipe.stages[0]!.kind === 'start' },
  });

describe('minutes of hands that grow with the batch', () => {
  it('meat browns in as many loads as the pan’s bottom takes: 0.1018 m² · 8 kg is 0.81 kg at a time', () => {
    const input = orderWith(newStage('b', 'start', 'brown-meat'), 'venison', 1);
    expect(panBottomM2(input.pot.vessel)).toBeCloseTo(0.10179, 4);
    expect(browningLoads(input, input.recipe.stages[0]!, { l: 5.75 })).toBe(8);
    expect(minutes(input, 5.75)).toBe(64);
    expect(minutes(input, 0.5)).toBe(10);
  });
  it('on three trays of 0.17 m² it is 4.1 kg at a time', () => {
    const input = orderWith(newStage('b', 'start', 'brown-oven'), 'venison', 1);
    expect(browningLoads(input, input.recipe.stages[0]!, { l: 4 })).toBe(1);
    expect(browningLoads(input, input.recipe.stages[0]!, { l: 12 })).toBe(3);
    expect(minutes(input, 12)).toBe(75);
  });
  it('a hot jar of 4 L takes 1.6 L; the stick blender is quicker for a lot', () => {
    const input = orderWith(newStage('p', 'puree'), 'celeriac', 1);
    expect([jarFills(input, 1.6), jarFills(input, 16), jarFills(input, 16.1)]).toEqual([1, 10, 11]);
    expect(minutes(input, 1, 35)).toBeCloseTo(5 + 35 * 0.6, 9);
    const noStick = orderWith(newStage('p', 'puree'), 'celeriac', 1, {
      equipment: { ...EQUIPMENT, hasStickBlender: false },
    });
    expect(minutes(noStick, 1, 35)).toBe(22 * 2.5);
    const none = orderWith(newStage('p', 'puree'), 'celeriac', 1, {
      equipment: { ...EQUIPMENT, hasStickBlender: false, blenderJarLitres: 0 },
    });
    expect(minutes(none, 1, 35)).toBe(10);
  });
  it.each([
    'sweat-covered',
    null,
  ])('a heap of onions has first to get hot and give up a tenth: by hand without losses, over half of 2.8 kW (method %s)', (method) => {
    const { methodId: _methodId, ...house } = newStage('s', 'start', 'sweat-covered');
    const stage = method ? newStage('s', 'start', method) : house;
    const sweat = (kg: number) => {
      const input = orderWith(stage, 'onion', 1);
      const recipe = { ...input.recipe, stages: [stage] };
      return cookThrough({ ...input, recipe }, setupOf(input), { l: kg }, 1).stages[0]!;
    };
    const byHand = (9 * 3.9 * 75 + 0.9 * 2270) / (2.8 * 0.5 * 60);
    expect(sweat(15).minutes - sweat(6).minutes).toBeGreaterThan(0.9 * byHand);
    expect(sweat(15).minutes - sweat(6).minutes).toBeLessThan(1.25 * byHand);
    for (const kg of [0.5, 6, 15]) expect(sweat(kg).steamedKg / kg).toBeCloseTo(0.1, 2);
    expect(sweat(15).tempAtEndC).toBeGreaterThan(90);
    expect(sweat(0.5).minutes).toBe(14);
  });
  it('fat for a roux has first to get hot: 2 kg more of butter than written over half of 2.8 kW, by hand', () => {
    const { methodId: _methodId, ...roux } = newStage('s', 'start', 'sweat-covered');
    const input = orderWith({ ...roux, heat: { kind: 'burner', fraction: 0.5 } }, 'butter', 1);
    const written = minutes(input, 1);
    // butter: 16 % water at 4.18, 82 % fat at 2.0 kJ/(kg·K) or a little over; 75 K
    const byHand = (2 * (0.16 * 4.18 + 0.82 * 2) * 75) / (2.8 * 0.5 * 60);
    expect((minutes(input, 3) - written) / byHand).toBeGreaterThan(0.85);
    expect((minutes(input, 3) - written) / byHand).toBeLessThan(1.15);
  });
  it('a stage that does not go by the clock is refused', () => {
    expect(() => minutes(orderWith(newStage('r', 'reduce'), 'onion', 1), 1)).toThrow(
      /must go by minutes, got fall/,
    );
  });
});
