import type { Ingredient } from '../matter';
import type { Plan, PlannedLine } from '../plan';
import { tooBigForSpoon } from '../reader';
import type { Recipe } from '../recipe';

/** Boards are kept apart; in this order, each washed before the next. */
export const BOARDS = ['ready to eat', 'vegetables', 'dairy and dry', 'raw fish', 'raw meat'] as const;
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
  /** soak, rinse, thaw, brine, knife and spoon, one sentence each */
  notes: string[];
  /** kept by for the palate, kg */
  keptByKg: number;
}

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
    .filter((line) => line.edibleKg > 5e-5 && needsHands(line, of.ingredients[line.ingredientId]!))
    .map((line) => {
      const ingredient = of.ingredients[line.ingredientId]!;
      const stage = of.plan.stages.find((one) => one.stageId === line.stageId);
      const neededAtMs = stage?.startMs ?? of.plan.serviceAtMs;
      const minutes = Math.max(LEAST_MIN, CUT_MIN_PER_KG[fineness(line.cut)] * line.edibleKg);
      const cure = of.recipe.lines.find((one) => one.id === line.lineId)?.cure;
      const lead = leadHours(ingredient, cure?.hours ?? 0);
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
        // as if it were all there is to do: one pair of hands is reckoned with below
        beginByMs: neededAtMs - minutes * 60_000 - lead * 3_600_000,
        neededAtMs,
        notes: notesOf(ingredient, line, cure, big?.spoonCm ?? null),
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

function needsHands(line: PlannedLine, ingredient: Ingredient): boolean {
  if (line.cut || ingredient.soakH || ingredient.rinse || ingredient.store === 'freezer') return true;
  return ['vegetable', 'meat', 'poultry', 'fish', 'shellfish', 'herb', 'fruit'].includes(ingredient.kind);
}

function boardOf(ingredient: Ingredient): Board {
  switch (ingredient.kind) {
    case 'meat':
    case 'poultry':
      return ingredient.isReady ? 'ready to eat' : 'raw meat';
    case 'fish':
    case 'shellfish':
      return ingredient.isReady ? 'ready to eat' : 'raw fish';
    case 'vegetable':
    case 'fruit':
    case 'herb':
      return 'vegetables';
    default:
      return 'dairy and dry';
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

function leadHours(ingredient: Ingredient, cureH: number): number {
  const thawH = ingredient.store === 'freezer' && !GOES_IN_FROZEN.includes(ingredient.kind) ? THAW_H : 0;
  return Math.max(ingredient.soakH ?? 0, cureH, thawH);
}

function notesOf(
  ingredient: Ingredient,
  line: PlannedLine,
  cure: Recipe['lines'][number]['cure'],
  spoonCm: number | null,
): string[] {
  const notes: string[] = [];
  if (cure)
    notes.push(
      cure.brinePercent > 0
        ? `In brine of ${cure.brinePercent} % for ${cure.hours} h.`
        : `Soak ${cure.hours} h in cold water.`,
    );
  else if (ingredient.soakH) notes.push(`Soak ${ingredient.soakH} h in cold water.`);
  if (ingredient.store === 'freezer') {
    notes.push(
      GOES_IN_FROZEN.includes(ingredient.kind)
        ? 'Goes in frozen.'
        : `Thaw ${THAW_H} h in the walk-in, on a tray.`,
    );
  }
  if (ingredient.rinse) notes.push(`Rinse ${ingredient.rinse}.`);
  if (ingredient.green && line.cut)
    notes.push('Green to the end: blanch 2 min in salted water, shock in ice, add last.');
  if (ingredient.browns) notes.push('Browns in air: into water as it is cut.');
  if (ingredient.woody) notes.push('Woody: tied, or the leaves stripped.');
  if (line.cut && isSliced(line.cut)) notes.push('Mandoline: guard on.');
  if (spoonCm !== null) notes.push(`Larger than a spoon takes: at most ${spoonCm} cm.`);
  for (const check of ingredient.checks ?? []) {
    notes.push(
      {
        pinBones: 'Pin bones: run a finger over every fillet.',
        shell: 'Broken or open ones thrown away; keep the tag 90 days.',
        splinters: 'Look for splinters.',
      }[check],
    );
  }
  if (line.comesOut) notes.push(`Comes out again: ${line.comesOut.count} to count.`);
  if (['meat', 'poultry', 'fish', 'shellfish'].includes(ingredient.kind))
    notes.push('Board and knife washed after it.');
  return notes;
}
