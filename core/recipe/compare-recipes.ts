import type { Ingredient } from '../matter';
import type { Recipe, RecipeLine, Stage } from './recipe';

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

  say('recipe', 'found right', rightWords(before), rightWords(after));
  say('recipe', 'note', before.note ?? null, after.note ?? null);
  say('recipe', 'keeps', keepsWords(before), keepsWords(after));
  say('recipe', 'best', before.best?.words ?? null, after.best?.words ?? null);
  say('recipe', 'spoon', spoonWords(before), spoonWords(after));
  say('recipe', 'bowl', bowlWords(before), bowlWords(after));

  const nameOf = (id: string) => ingredients[id]?.name ?? id;
  const amounts = (recipe: Recipe) => {
    const byName = new Map<string, string[]>();
    for (const line of recipe.lines) {
      const stage = recipe.stages.find((one) => one.id === line.stageId)?.title ?? line.stageId;
      const said = `${Number((line.kg * 1000).toFixed(1))} g${line.cut ? `, ${line.cut}` : ''}${outWords(recipe, line)}${lineWords(line)} in “${stage}”`;
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
  const { heat, does, topTempC } = stage;
  const heated =
    heat.kind === 'burner' ? `${Math.round(heat.fraction * 100)} % heat` : `held ${SIMMERS[heat.simmer]}`;
  const done =
    does?.kind === 'puree'
      ? `, ${Math.round(does.share * 100)} % blended${does.sieve === 'none' ? '' : `, ${does.sieve} sieve`}`
      : does
        ? `, ${does.kind}`
        : '';
  const top = topTempC === undefined ? '' : `, no hotter than ${topTempC} °C`;
  return `${stage.title}: ${stage.act} ${stage.method}, ${heated}, lid ${stage.lid}, ${end}${done}${top}`;
}

const SIMMERS = {
  justUnder: 'just under a simmer',
  barely: 'at a bare simmer',
  steady: 'at a steady simmer',
};

/** How a line follows the order, what it thickens as, its brine and its soak. */
function lineWords({ scaling, thickener, cure, soakH }: RecipeLine): string {
  const law = typeof scaling === 'string' ? scaling : `${scaling.times ?? 1} times ${scaling.sameAs}`;
  return [
    law === 'straight' ? '' : `, ${law}`,
    thickener ? `, ${thickener}` : '',
    cure
      ? `, brine ${cure.brinePercent} % for ${cure.hours} h, ${cure.liquidPerKg} kg to the kg, ${cure.thicknessCm} cm`
      : '',
    soakH ? `, soaked ${soakH} h` : '',
  ].join('');
}

const rightWords = ({ profile }: Recipe): string | null =>
  profile
    ? Object.entries(profile.right)
        .map(([scale, { value, verdicts }]) => `${scale} ${Number(value.toFixed(2))} (${verdicts})`)
        .join(', ')
    : null;
const keepsWords = ({ keeps }: Recipe): string | null =>
  keeps ? `${keeps.hours} h: ${keeps.advisory}` : null;
const spoonWords = ({ spoonCm }: Recipe): string | null => (spoonCm === undefined ? null : `${spoonCm} cm`);
const bowlWords = ({ bowl }: Recipe): string =>
  `⌀ ${bowl.topDiameterCm} to ${bowl.bottomDiameterCm} cm, ${bowl.heightCm} cm high, ${bowl.headspaceCm} cm free`;

function outWords(recipe: Recipe, { comesOut }: Recipe['lines'][number]): string {
  if (!comesOut) return '';
  const back = recipe.stages.find((one) => one.id === comesOut.backStageId);
  return back ? `, comes out and back in at “${back.title}”` : ', comes out';
}
