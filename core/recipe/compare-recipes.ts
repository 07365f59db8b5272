import type { Ingredient } from '../matter';
import type { Recipe, Stage } from './recipe';

/** One difference between two versions of a recipe. */
export interface RecipeDifference {
  where: 'recipe' | 'line' | 'stage';
  what: string;
  before: string | null;
  after: string | null;
}

/** What has changed from one version to the next, line by line and stage by stage; empty where nothing has. */
export function compareRecipes(
  before: Recipe,
  after: Recipe,
  ingredients: Readonly<Record<string, Ingredient>>,
): RecipeDifference[] {
  const found: RecipeDifference[] = [];
  const say = (where: RecipeDifference['where'], what: string, a: string | null, b: string | null) => {
    if (a !== b) found.push({ where, what, before: a, after: b });
  };
  say('recipe', 'name', before.name, after.name);
  say('recipe', 'makes', `${before.litres} L`, `${after.litres} L`);
  say('recipe', 'a bowl', `${before.portionMl} mL`, `${after.portionMl} mL`);
  say('recipe', 'salt', `${before.targetSaltPercent} %`, `${after.targetSaltPercent} %`);
  say('recipe', 'thickness', String(before.targetBand), String(after.targetBand));
  say(
    'recipe',
    'claims',
    (before.claims ?? []).join(', ') || 'none',
    (after.claims ?? []).join(', ') || 'none',
  );

  const nameOf = (id: string) => ingredients[id]?.name ?? id;
  const amounts = (recipe: Recipe) => {
    const byName = new Map<string, string[]>();
    for (const line of recipe.lines) {
      const stage = recipe.stages.find((one) => one.id === line.stageId)?.title ?? line.stageId;
      const said = `${Number((line.kg * 1000).toFixed(1))} g${line.cut ? `, ${line.cut}` : ''}${outWords(recipe, line)}${line.soakH ? `, soaked ${line.soakH} h` : ''} in “${stage}”`;
      byName.set(nameOf(line.ingredientId), [...(byName.get(nameOf(line.ingredientId)) ?? []), said]);
    }
    return byName;
  };
  const [was, is] = [amounts(before), amounts(after)];
  for (const name of new Set([...was.keys(), ...is.keys()]))
    say('line', name, was.get(name)?.join('; ') ?? null, is.get(name)?.join('; ') ?? null);

  const steps = (recipe: Recipe) => new Map(recipe.stages.map((stage) => [stage.id, stage]));
  const [old, now] = [steps(before), steps(after)];
  for (const id of new Set([...old.keys(), ...now.keys()])) {
    const title = (now.get(id) ?? old.get(id))!.title;
    say('stage', title, stageWords(old.get(id)), stageWords(now.get(id)));
  }
  const order = (recipe: Recipe) =>
    recipe.stages
      .filter((stage) => old.has(stage.id) && now.has(stage.id))
      .map((stage) => stage.title)
      .join(', ');
  say('stage', 'order', order(before), order(after));
  return found;
}

function stageWords(stage: Stage | undefined): string | null {
  if (!stage) return null;
  const { ends } = stage;
  const end =
    ends.rule === 'minutes'
      ? `${ends.minutes} min`
      : ends.rule === 'soft'
        ? `${ends.edgeCm} cm soft, ${ends.softenMin} min`
        : ends.rule === 'warm'
          ? `to ${ends.tempC} °C`
          : ends.rule === 'fall'
            ? `${Math.round(ends.fractionGone * 100)} % gone`
            : ends.rule;
  return `${stage.title}: ${stage.act} ${stage.method}, lid ${stage.lid}, ${end}`;
}

function outWords(recipe: Recipe, { comesOut }: Recipe['lines'][number]): string {
  if (!comesOut) return '';
  const back = recipe.stages.find((one) => one.id === comesOut.backStageId);
  return back ? `, comes out and back in at “${back.title}”` : ', comes out';
}
