import { describe, expect, it } from 'vitest';
import { prepareRecipe } from '../book';
import { begunAhead, miseList, QUICK_SOAK_MS } from '../lists';
import { INGREDIENT_BY_ID } from '../matter';
import { PAGES_ON_PAPER } from '../reader/data/pages-on-paper';
import type { Recipe } from '../recipe';
import { libraryOf, recipeFrom } from '../testing/book';
import { orderOf } from '../testing/broth';
import { planBatch } from './';

const pageOf = (name: string) => PAGES_ON_PAPER.find((page) => page.name === name)!.text;
const plan = (recipe: Recipe) => {
  const input = orderOf({ ...prepareRecipe(recipe, libraryOf([recipe])) });
  return { input, plan: planBatch(input) };
};
const HOUR_MS = 3_600_000;

describe('lifted out, picked, put back', () => {
  const soup = recipeFrom(pageOf('Split pea and ham'));
  const away: Recipe = {
    ...soup,
    lines: soup.lines.map((line) => {
      const { backStageId: _back, ...comesOut } = line.comesOut ?? { word: '', eachG: 1 };
      return line.comesOut ? { ...line, comesOut } : line;
    }),
  };
  const { plan: back, input } = plan(soup);
  const hock = back.lines.find((line) => line.ingredientId === 'ham-hock')!;

  it('the hock’s meat comes back where the page says, bone and skin left out', () => {
    expect(soup.stages.find((stage) => stage.id === hock.comesBack?.stageId)?.kind).toBe('finish');
    // edible is what is picked: a hock is 55 % meat by its row, a little of which the broth keeps
    expect(hock.comesBack!.kg).toBeLessThanOrEqual(hock.edibleKg * 1.001);
    expect(hock.comesBack!.kg).toBeGreaterThan(0.75 * hock.edibleKg);
    expect(hock.inPotKg!).toBeCloseTo(hock.edibleKg / 0.55, 6);
    expect(back.lines.find((line) => line.ingredientId === 'bay-leaf')?.comesBack).toBeUndefined();
  });
  it('it is in the bowls: without it the same bowls need more of the rest', () => {
    const gone = plan(away).plan;
    const liquid = (of: typeof back) => of.lines.find((line) => line.ingredientId === 'water')!.edibleKg;
    expect(liquid(gone) - liquid(back)).toBeGreaterThan(0.7 * hock.comesBack!.kg);
    expect(gone.yieldPortions).toBeCloseTo(back.yieldPortions, 0);
  });
  it('the peas are soaked from the night before; too late, the short way is told, and in time it is not', () => {
    const peas = miseList({ recipe: soup, plan: back, ingredients: input.ingredients }).find(
      (item) => item.name === INGREDIENT_BY_ID['split-pea']!.name,
    )!;
    expect(peas.notes).toContainEqual({ code: 'soak', hours: 8 });
    const at = (nowMs: number) =>
      begunAhead({ recipe: soup, plan: back, ingredients: input.ingredients }, nowMs);
    const [first] = at(peas.neededAtMs - 10 * HOUR_MS);
    expect(first).toMatchObject({
      ingredientId: 'split-pea',
      how: { code: 'soak', hours: 8 },
      shortWays: null,
    });
    expect(first!.beginByMs).toBe(peas.neededAtMs - 8 * HOUR_MS);
    expect(at(peas.neededAtMs - 4 * HOUR_MS)[0]!.shortWays).toEqual(['quickSoak']);
    expect(at(peas.neededAtMs - QUICK_SOAK_MS + 1)[0]!.shortWays).toEqual([]);
  });
  it('soaked overnight is twelve hours, and beans that come in tins say so', () => {
    const beans = recipeFrom(pageOf('Minestrone'));
    const planned = plan(beans);
    const soaked = begunAhead(
      { recipe: beans, plan: planned.plan, ingredients: { ...INGREDIENT_BY_ID } },
      planned.plan.startAtMs - HOUR_MS,
    ).find((one) => one.ingredientId === 'white-bean')!;
    expect(soaked.how).toEqual({ code: 'soak', hours: 12 });
    expect(soaked.shortWays).toContain('tins');
  });
});
