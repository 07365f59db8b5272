import type { Ingredient } from '../matter';
import type { Plan, PlannedLine } from '../plan';
import { tooBigForSpoon } from '../reader';
import type { Recipe } from '../recipe';

/** Boards are kept apart; in this order, each washed before the next. */
export const BOARDS = ['ready', 'vegetables', 'dairyAndDry', 'rawFish', 'rawMeat'] as const;
export type Board = (typeof BOARDS)[number];

/** One thing to make ready: cut, weighed, soaked, thawed. */
export interface MiseItem {
  lineId: string;
  name: string;
  cut: string | null;
  board: Board;
  purchasedKg: number;
  edibleKg: number;
  /** what ends up on the trim heap, kg */
  trimKg: number;
  /** minutes of knife and hands, a first guess */
  minutes: number;
  /** when it must be begun at the latest, ms */
  beginByMs: number;
  /** when it goes in, ms */
  neededAtMs: number;
  /** soak, rinse, thaw, brine, knife and spoon, in the order of the work */
  notes: MiseNote[];
  /** kept back for the palate, kg */
  keptByKg: number;
}

/** What is done to a thing before it goes in, or watched for. */
export type MiseNote =
  | { code: 'brine'; percent: number; hours: number }
  | { code: 'soak'; hours: number }
  | { code: 'thaw'; hours: number }
  | { code: 'goesInFrozen' }
  /** as the food's own row says it */
  | { code: 'rinse'; how: string }
  | { code: 'blanch' }
  | { code: 'browns' }
  | { code: 'woody' }
  | { code: 'mandoline' }
  | { code: 'tooBig'; mostCm: number }
  | { code: 'check'; check: NonNullable<Ingredient['checks']>[number] }
  | { code: 'lift'; count: number }
  | { code: 'washBoard' };

/** Hands take this long to cut a kilogram, minutes, by how fine. Common practice, first guesses. */
const CUT_MIN_PER_KG = { fine: 14, dice: 9, slice: 7, rough: 4, none: 1 } as const;

/** The least any item takes, min. Common practice. */
const LEAST_MIN = 1;

/** Frozen food thaws in the walk-in for this long before it is wanted, hours, unless it goes in frozen. */
const THAW_H = 12;

/** Frozen vegetables go in as they are. Common practice. */
const GOES_IN_FROZEN = ['vegetable', 'fruit'];

/**
 * What to make ready and when, counted back from the stage it goes in at: by board, then by when it must be begun.
 *
 * @param of the recipe as planned, its plan and rows
 * @returns one item a line; stocks, water and what needs no hand are left out
 */
export function miseList(of: {
  recipe: Recipe;
  plan: Plan;
  ingredients: Readonly<Record<string, Ingredient>>;
}): MiseItem[] {
  const tooBig = tooBigForSpoon(of.recipe);
  const items = of.plan.lines
    .filter(
      (line) =>
        line.edibleKg > 5e-5 &&
        (soaks(of.recipe, line) || needsHands(line, of.ingredients[line.ingredientId]!)),
    )
    .map((line) => {
      const ingredient = of.ingredients[line.ingredientId]!;
      const stage = of.plan.stages.find((one) => one.stageId === line.stageId);
      const neededAtMs = stage?.startMs ?? of.plan.serviceAtMs;
      const minutes = Math.max(LEAST_MIN, CUT_MIN_PER_KG[fineness(line.cut)] * line.edibleKg);
      const written = of.recipe.lines.find((one) => one.id === line.lineId);
      const cure = written?.cure;
      const soakH = written?.soakH ?? ingredient.soakH ?? 0;
      const lead = leadHours(ingredient, Math.max(soakH, cure?.hours ?? 0));
      const big = tooBig.find((one) => one.lineId === line.lineId);
      return {
        lineId: line.lineId,
        name: ingredient.name,
        cut: line.cut ?? null,
        board: boardOf(ingredient),
        purchasedKg: line.purchasedKg,
        edibleKg: line.edibleKg,
        trimKg: line.purchasedKg - line.edibleKg,
        minutes,
        // as if it were all there is to do: one pair of hands is counted below
        beginByMs: neededAtMs - minutes * 60_000 - lead * 3_600_000,
        neededAtMs,
        notes: notesOf(ingredient, line, { cure, soakH }, big?.spoonCm ?? null),
        keptByKg: line.keptByKg ?? 0,
      };
    });
  return inOneOrder(items).sort(
    (a, b) => BOARDS.indexOf(a.board) - BOARDS.indexOf(b.board) || a.beginByMs - b.beginByMs,
  );
}

/** One pair of hands does one thing after the other: each is begun so early that the next can be begun in time. */
function inOneOrder(items: readonly MiseItem[]): MiseItem[] {
  const endOf = (item: MiseItem) => item.beginByMs + item.minutes * 60_000;
  let freeUntilMs = Number.POSITIVE_INFINITY;
  return [...items]
    .sort((a, b) => endOf(b) - endOf(a))
    .map((item) => {
      const beginByMs = Math.min(endOf(item), freeUntilMs) - item.minutes * 60_000;
      freeUntilMs = beginByMs;
      return { ...item, beginByMs };
    });
}

const soaks = (recipe: Recipe, line: PlannedLine): boolean =>
  (recipe.lines.find((one) => one.id === line.lineId)?.soakH ?? 0) > 0;

function needsHands(line: PlannedLine, ingredient: Ingredient): boolean {
  if (line.cut || ingredient.soakH || ingredient.rinse || ingredient.store === 'freezer') return true;
  return ['vegetable', 'meat', 'poultry', 'fish', 'shellfish', 'herb', 'fruit'].includes(ingredient.kind);
}

function boardOf(ingredient: Ingredient): Board {
  switch (ingredient.kind) {
    case 'meat':
    case 'poultry':
      return ingredient.isReady ? 'ready' : 'rawMeat';
    case 'fish':
    case 'shellfish':
      return ingredient.isReady ? 'ready' : 'rawFish';
    case 'vegetable':
    case 'fruit':
    case 'herb':
      return 'vegetables';
    default:
      return 'dairyAndDry';
  }
}

function fineness(cut: string | undefined): keyof typeof CUT_MIN_PER_KG {
  if (!cut) return 'none';
  if (/fine|brunoise|minced|snipped|grated|shredded/i.test(cut) || isThin(cut)) return 'fine';
  if (/dice|cube|chopped|small/i.test(cut)) return 'dice';
  return /slice|ring|strip|half|quarter/i.test(cut) ? 'slice' : 'rough';
}

/** One to four millimetres; a 12 mm dice is none of them. */
function isThin(cut: string): boolean {
  return /(?<![\d.,])[1-4](?:[.,]\d+)? ?mm/i.test(cut);
}

/** Thin slices are what a mandoline is for; a dice or a chop is a knife’s. */
function isSliced(cut: string): boolean {
  return (isThin(cut) || /thin|shaved/i.test(cut)) && !/dice|cube|chop|minced/i.test(cut);
}

function leadHours(ingredient: Ingredient, soakH: number): number {
  const thawH = ingredient.store === 'freezer' && !GOES_IN_FROZEN.includes(ingredient.kind) ? THAW_H : 0;
  return Math.max(soakH, thawH);
}

function notesOf(
  ingredient: Ingredient,
  line: PlannedLine,
  { cure, soakH }: { cure: Recipe['lines'][number]['cure']; soakH: number },
  spoonCm: number | null,
): MiseNote[] {
  const notes: MiseNote[] = [];
  if (cure && cure.brinePercent > 0)
    notes.push({ code: 'brine', percent: cure.brinePercent, hours: cure.hours });
  else if (cure) notes.push({ code: 'soak', hours: cure.hours });
  else if (soakH > 0) notes.push({ code: 'soak', hours: soakH });
  if (ingredient.store === 'freezer')
    notes.push(
      GOES_IN_FROZEN.includes(ingredient.kind) ? { code: 'goesInFrozen' } : { code: 'thaw', hours: THAW_H },
    );
  if (ingredient.rinse) notes.push({ code: 'rinse', how: ingredient.rinse });
  if (ingredient.green && line.cut) notes.push({ code: 'blanch' });
  if (ingredient.browns) notes.push({ code: 'browns' });
  if (ingredient.woody) notes.push({ code: 'woody' });
  if (line.cut && isSliced(line.cut)) notes.push({ code: 'mandoline' });
  if (spoonCm !== null) notes.push({ code: 'tooBig', mostCm: spoonCm });
  for (const check of ingredient.checks ?? []) notes.push({ code: 'check', check });
  if (line.comesOut) notes.push({ code: 'lift', count: line.comesOut.count });
  if (['meat', 'poultry', 'fish', 'shellfish'].includes(ingredient.kind)) notes.push({ code: 'washBoard' });
  return notes;
}
