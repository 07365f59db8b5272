import { describe, expect, it } from 'vitest';
import { libraryOf, recipeFrom } from '../testing/book';
import { advisoriesOf, type Recipe, type Stage } from './';

/** What is raw follows from the food and what is done to it (FDA Food Code 2022 § 3-401.11: egg 68, fish 63, poultry 74 °C). */
const stage = (id: string, change: Partial<Stage>): Stage => ({
  id,
  title: id,
  act: id,
  method: id,
  methodReason: '',
  heat: { kind: 'burner', fraction: 0.5 },
  lid: 'off',
  ends: { rule: 'minutes', minutes: 5 },
  attention: { kind: 'leave' },
  cue: '',
  trouble: '',
  ...change,
});
const SIMMER = stage('simmer', { heat: { kind: 'hold', simmer: 'barely' } });
const OFF = stage('off', { heat: { kind: 'burner', fraction: 0 } });
const WARM = (tempC: number) => stage('warm', { ends: { rule: 'warm', tempC } });
const HELD = (topTempC: number) => stage('held', { heat: { kind: 'hold', simmer: 'justUnder' }, topTempC });
const STRAIN = stage('strain', { heat: { kind: 'burner', fraction: 0 }, does: { kind: 'strain' } });
const SERVE = stage('serve', { ends: { rule: 'served' } });
function dish(
  ingredientId: string,
  at: string,
  stages: Stage[],
  change: Partial<Recipe['lines'][number]> = {},
): Recipe {
  const base = recipeFrom('Dish\n1 L water');
  const water = { ...base.lines[0]!, stageId: stages[0]!.id };
  const line = {
    id: 'x',
    ingredientId,
    stageId: at,
    kg: 0.2,
    scaling: 'straight' as const,
    tempC: 5,
    ...change,
  };
  return { ...base, stages: [...stages, SERVE], written: undefined, lines: [water, line] } as Recipe;
}
const kinds = (recipe: Recipe, others: Recipe[] = []) =>
  advisoriesOf(recipe, libraryOf([recipe, ...others])).map((one) => one.kind);

describe('raw or not', () => {
  it.each<[string, Recipe, string[]]>([
    ['6 egg yolks, to serve', dish('egg-yolk', 'serve', [SIMMER], { scaling: 'perBowl' }), ['rawEgg']],
    ['yolks in a soup at 93 °C', dish('egg-yolk', 'simmer', [SIMMER]), []],
    ['a liaison held under 82 °C', dish('egg-yolk', 'held', [SIMMER, HELD(82)]), []],
    ['yolks under a top of 60 °C', dish('egg-yolk', 'held', [HELD(60)]), ['rawEgg']],
    ['yolks stirred in off the heat after a simmer', dish('egg-yolk', 'off', [SIMMER, OFF]), []],
    ['yolks in something that never was hot', dish('egg-yolk', 'off', [OFF]), ['rawEgg']],
    [
      'yolks a while on the burner, with nothing hot before',
      dish('egg-yolk', 'warm', [stage('warm', {})]),
      ['rawEgg'],
    ],
    ['fish warmed to 55 °C', dish('salmon', 'warm', [WARM(55)]), ['pinBones', 'rawFish']],
    ['fish warmed to 64 °C', dish('salmon', 'warm', [WARM(64)]), ['pinBones']],
    [
      'cold-smoked fish on the bowl',
      dish('smoked-haddock', 'serve', [SIMMER], { scaling: 'perBowl' }),
      ['pinBones', 'rawFish'],
    ],
    [
      'hot-smoked trout on the bowl',
      dish('smoked-trout', 'serve', [SIMMER], { scaling: 'perBowl' }),
      ['pinBones'],
    ],
    ['cured bacon on the bowl', dish('bacon', 'serve', [SIMMER], { scaling: 'perBowl' }), ['rawMeat']],
    [
      'cured paprika sausage on the bowl',
      dish('cured-sausage', 'serve', [SIMMER], { scaling: 'perBowl' }),
      [],
    ],
    ['chicken at 70 °C', dish('chicken', 'warm', [WARM(70)]), ['splinters', 'rawMeat']],
    ['oxtail, simmered', dish('oxtail', 'simmer', [SIMMER]), ['splinters']],
    ['oxtail, simmered and strained', dish('oxtail', 'simmer', [SIMMER, STRAIN]), []],
    ['oxtail put in after the sieve', dish('oxtail', 'warm', [STRAIN, WARM(90)]), ['splinters']],
  ])('%s', (_name, recipe, expected) => expect(kinds(recipe)).toEqual(expected));
  it('an egg sauce is raw on the bowl, and cooked where it is stirred into a simmer', () => {
    const sauce = {
      ...recipeFrom('Egg sauce\n4 egg yolks\n100 ml rapeseed oil', { id: 'egg' }),
      stages: [OFF, SERVE],
    };
    const cold = { ...sauce, lines: sauce.lines.map((line) => ({ ...line, stageId: 'off' })) };
    expect(kinds(dish('recipe:egg', 'serve', [SIMMER], { scaling: 'perBowl' }), [cold])).toContain('rawEgg');
    expect(kinds(dish('recipe:egg', 'simmer', [SIMMER]), [cold])).not.toContain('rawEgg');
  });
  it('an oil with garlic in it is one by itself too, and by what it is, not by what it is called', () => {
    for (const [name, food] of [
      ['Green oil', 'parsley'],
      ['Oil of the house', 'garlic'],
      ['Ramp oil', 'basil'],
    ])
      expect(kinds(recipeFrom(`${name}\n200 ml olive oil\n30 g ${food}`)), food).toContain('garlicOil');
    expect(kinds(recipeFrom('Sweat\n20 ml olive oil\n30 g garlic\n1 L water'))).toEqual([]);
  });
});
