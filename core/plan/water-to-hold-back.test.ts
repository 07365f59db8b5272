import { expect, it } from 'vitest';
import { orderOf, snapshotOf } from '../testing/broth';
import { waterToHoldBack } from './';

it('water that is poured away after blanching is none to hold back; what goes in later is', () => {
  const { input, plan } = snapshotOf(orderOf());
  const [first, second] = input.recipe.stages as [
    (typeof input.recipe.stages)[0],
    (typeof input.recipe.stages)[0],
  ];
  const [line] = plan.lines;
  const water = (stageId: string, kg: number) => ({ ...line!, ingredientId: 'water', stageId, edibleKg: kg });
  const lines = [water(first.id, 10), water(second.id, 4), { ...water(second.id, 2), perBowl: true }];
  expect(waterToHoldBack(input.recipe, { lines })).toBe(14);
  const drained = { ...first, does: { kind: 'drain' as const } };
  const stages = [drained, ...input.recipe.stages.slice(1)];
  expect(waterToHoldBack({ stages }, { lines })).toBe(4);
});
