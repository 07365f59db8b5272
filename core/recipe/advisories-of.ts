import type { Ingredient, ServingCheck } from '../matter';
import { FOOD_CODE } from '../safety';
import type { Library } from './library';
import { type Recipe, type RecipeLine, SIMMER_UNDER_BOIL_C, type Stage } from './recipe';
import { namedBy } from './what-it-holds';

/** What must be looked for, kept cold or declared; `from` names what it is about. */
export type Advisory =
  | { kind: ServingCheck; from: string[] }
  | { kind: RawKind; from: string[] }
  /** as the food's own row says it */
  | { kind: 'caution'; text: string }
  | { kind: 'garlicOil'; name: string; hours: number }
  /** as its recipe says it */
  | { kind: 'shortLife'; name: string; hours: number; advisory: string };

/** What is served raw. */
type RawKind = 'rawEgg' | 'rawFish' | 'rawMeat';

/** A food of a dish, with what is done to it on its way to the bowl. */
interface Handled {
  path: string[];
  ingredient: Ingredient;
  /** the hottest it gets, °C, by the stages it goes through, its dish's among them */
  hottestC: number;
  /** passed through a cloth or sieve after it went in */
  isStrained: boolean;
}

/**
 * What to look for before serving, what is served raw, and what has a short life, down through every sub-recipe: by the
 * food and by what is done to it, never by its name.
 *
 * @throws RangeError for a food or recipe that is not there, or a circle
 * @source FDA Food Code 2022 § 3-401.11 (egg, fish, meat), § 3-603.11 (what is served raw is declared); garlic in oil:
 *   common practice
 */
export function advisoriesOf(recipe: Recipe, library: Library): Advisory[] {
  const foods = handledIn(recipe, library, [recipe.id], { hottestC: COLD_C, isStrained: false });
  const found: Advisory[] = [];
  for (const kind of SERVING_CHECKS) {
    const from = names(foods.filter((food) => food.ingredient.checks?.includes(kind) && !food.isStrained));
    if (from.length > 0) found.push({ kind, from });
  }
  for (const { ingredient } of foods)
    if (ingredient.caution) found.push({ kind: 'caution', text: ingredient.caution });
  for (const kind of ['rawEgg', 'rawFish', 'rawMeat'] as const) {
    const from = names(foods.filter((food) => rawAs(food) === kind));
    if (from.length > 0) found.push({ kind, from });
  }
  for (const part of partsOf(recipe, library, [recipe.id])) found.push(...ofKeeping(part, library));
  const keys = found.map((one) => JSON.stringify(one));
  return found.filter((_, i) => keys.indexOf(keys[i]!) === i);
}

const SERVING_CHECKS: readonly ServingCheck[] = ['pinBones', 'shell', 'splinters'];

/** Pots are filled from the cold, °C. */
const COLD_C = 20;
/** Water boils at the sea; a kitchen higher up boils a little colder and cooks as safe. */
const BOILING_C = 100;
/** A pot off the heat falls so far while something is stirred in, K. Common practice. */
const OFF_THE_HEAT_K = 10;
/** Less of a burner than this keeps a pot warm and heats nothing. */
const NEXT_TO_OFF = 0.05;

/** What it is served as, where it never got hot enough: null for what is cooked, or safe as it comes. */
function rawAs({ ingredient, hottestC, isStrained }: Handled): RawKind | null {
  const { kind, isReady, out } = ingredient;
  if (isReady || isStrained || out === 'bones') return null;
  const under = (limit: { value: number }) => hottestC < limit.value;
  if (kind === 'egg') return under(FOOD_CODE.groundMeatC) ? 'rawEgg' : null;
  if (kind === 'fish' || kind === 'shellfish') return under(FOOD_CODE.fishC) ? 'rawFish' : null;
  // minced or whole is not told apart: the higher of the two limits
  if (kind === 'meat') return under(FOOD_CODE.groundMeatC) ? 'rawMeat' : null;
  return kind === 'poultry' && under(FOOD_CODE.poultryC) ? 'rawMeat' : null;
}

/** The foods of a recipe as they come to the bowl, what happens to them in the dish above it counted in. */
function handledIn(
  recipe: Recipe,
  library: Library,
  path: readonly string[],
  above: Pick<Handled, 'hottestC' | 'isStrained'>,
): Handled[] {
  return recipe.lines.flatMap((line) => {
    const done = doneTo(recipe, line, above);
    const { sub, ingredient } = namedBy(line, library, path);
    if (ingredient) return [{ path: [ingredient.name], ingredient, ...done }];
    return handledIn(sub!, library, [...path, sub!.id], done).map((food) => ({
      ...food,
      path: [sub!.name, ...food.path],
    }));
  });
}

/** How hot a line gets from when it goes in, and whether it is strained after that. */
function doneTo(
  recipe: Recipe,
  line: RecipeLine,
  above: Pick<Handled, 'hottestC' | 'isStrained'>,
): Pick<Handled, 'hottestC' | 'isStrained'> {
  const at = recipe.stages.findIndex((stage) => stage.id === line.stageId);
  const isInBowl = line.scaling === 'perBowl' || recipe.stages[at]?.ends.rule === 'served';
  if (isInBowl) return above;
  let potC = COLD_C;
  let hottestC = COLD_C;
  let isStrained = false;
  recipe.stages.forEach((stage, i) => {
    potC = afterStageC(stage, potC);
    if (i < at) return;
    hottestC = Math.max(hottestC, potC);
    if (stage.does?.kind === 'strain') isStrained = true;
  });
  return { hottestC: Math.max(above.hottestC, hottestC), isStrained: above.isStrained || isStrained };
}

/** °C a pot has come to by the end of a stage; a first guess from how it is heated and what ends it. */
function afterStageC(stage: Stage, potC: number): number {
  const top = stage.topTempC ?? BOILING_C;
  const { heat, ends } = stage;
  if (ends.rule === 'served') return potC;
  if (ends.rule === 'warm') return Math.min(ends.tempC, top);
  if (heat.kind === 'hold') return Math.min(BOILING_C - SIMMER_UNDER_BOIL_C[heat.simmer], top);
  // a while on the burner heats through only what was hot before: what it was on paper nobody knows
  if (ends.rule === 'minutes' && heat.fraction >= NEXT_TO_OFF) return Math.min(potC, top);
  if (heat.fraction < NEXT_TO_OFF) return Math.min(Math.max(COLD_C, potC - OFF_THE_HEAT_K), top);
  return Math.min(BOILING_C, top);
}

/** What is kept a short while: garlic or herbs in oil, and whatever its recipe gives hours. */
function ofKeeping(part: Recipe, library: Library): Advisory[] {
  const rows = part.lines.flatMap((line) => library.ingredients[line.ingredientId] ?? []);
  const fatKg = part.lines.reduce(
    (sum, line) => sum + (library.ingredients[line.ingredientId]?.kind === 'fat' ? line.kg : 0),
    0,
  );
  const allKg = part.lines.reduce((sum, line) => sum + line.kg, 0);
  const isAromatic = rows.some(
    (row) => row.kind === 'herb' || (row.kind === 'vegetable' && row.strength === 'pungent'),
  );
  if (fatKg > OIL_SHARE * allKg && isAromatic)
    return [{ kind: 'garlicOil', name: part.name, hours: part.keeps?.hours ?? OIL_HOURS }];
  return part.keeps ? [{ kind: 'shortLife', name: part.name, ...part.keeps }] : [];
}

/** More fat than this is an oil with something in it, and how long that keeps. Common practice. */
const OIL_SHARE = 0.4;
const OIL_HOURS = 48;

function partsOf(recipe: Recipe, library: Library, path: readonly string[]): Recipe[] {
  const below = recipe.lines.flatMap((line) => {
    const { sub } = namedBy(line, library, path);
    return sub ? partsOf(sub, library, [...path, sub.id]) : [];
  });
  return [recipe, ...below];
}

const names = (foods: readonly Handled[]): string[] => [
  ...new Set(foods.map((food) => food.path.join(' ← '))),
];
