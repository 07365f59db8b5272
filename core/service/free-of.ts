import { type Allergen, INGREDIENT_BY_ID, type Ingredient } from '../matter';
import type { Plan, PlanInput } from '../plan';
import { garnishTimes, type PortionKind } from '../portions';
import { cookingStages, type RecipeLine } from '../recipe';
import { FREE_SWAPS, type Substitution } from '../substitute';

/** How an order for guests who may not eat something can be served from a dish. */
export type FreeWay =
  /** nothing in it or on it holds that */
  | { way: 'asItIs' }
  /** only what goes on the bowl does */
  | { way: 'noGarnish'; lineIds: string[] }
  /** drawn off before a stage that brings it in by `lineIds`; what brought it before has something else in its place */
  | {
      way: 'drawEarly';
      stageId: string;
      atMs: number;
      litres: number;
      lineIds: string[];
      changes: Substitution[];
    }
  /** the whole pot with something else instead */
  | { way: 'substitute'; changes: Substitution[]; lineIds: string[] }
  /** `lineIds` have nothing in their place */
  | { way: 'notAtAll'; lineIds: string[] };

/** A ladle more than the bowls come to is drawn off: some of it stays on the wall. Common practice. */
const A_LADLE_MORE = 1.1;
/** A liquid with more water than this is soup that can be drawn off, and no fat in a pan. Ours. */
const WATERY = 0.5;
/** With less of its liquid than this it is no soup yet. Ours. */
const MOST_OF_IT = 0.5;

/**
 * The easiest way to serve portions free of what their guests may not eat: as it is, without its garnish, drawn off in
 * time with as few substitutes as may be, with substitutes in the whole pot, or not from this dish.
 *
 * @param kind with what they may not eat
 * @param plan of the order, for when a stage begins
 * @param rows that a substitute may be; those of the table
 */
export function freeWay(
  input: PlanInput,
  plan: Plan,
  kind: PortionKind,
  rows: Readonly<Record<string, Ingredient>> = INGREDIENT_BY_ID,
): FreeWay {
  const freeOf = kind.freeOf ?? [];
  const { recipe, ingredients } = input;
  const brings = (line: RecipeLine) => holdsAny(ingredients[line.ingredientId], freeOf);
  const isOn = (line: RecipeLine) => line.scaling !== 'perBowl' || garnishTimes(kind, line.id) > 0;
  const bringing = recipe.lines.filter((line) => isOn(line) && brings(line));
  if (bringing.length === 0) return { way: 'asItIs' };
  const inPot = bringing.filter((line) => line.scaling !== 'perBowl');
  if (inPot.length === 0) return { way: 'noGarnish', lineIds: bringing.map((line) => line.id) };
  const swaps = new Map(inPot.map((line) => [line.id, swapFor(line, rows, freeOf)]));
  const stages = cookingStages(recipe);
  const stageAt = (line: RecipeLine) => stages.findIndex((stage) => stage.id === line.stageId);
  for (const [i, stage] of stages.entries()) {
    const later = inPot.filter((line) => stageAt(line) >= i);
    const before = inPot.filter((line) => stageAt(line) < i);
    const begins = plan.stages.find((one) => one.stageId === stage.id);
    const isCut = later.some((line) => line.stageId === stage.id);
    const done = stages.slice(0, i).map((one) => one.id);
    if (!isCut || !begins || !standsBefore(input, plan, done)) continue;
    const changes = before.flatMap((line) => swaps.get(line.id) ?? []);
    if (changes.length < before.length) break;
    const lineIds = later.map((line) => line.id);
    return {
      way: 'drawEarly',
      stageId: stage.id,
      atMs: begins.startMs,
      litres: litresToDraw(kind),
      lineIds,
      changes,
    };
  }
  const without = inPot.filter((line) => !swaps.get(line.id));
  if (without.length > 0) return { way: 'notAtAll', lineIds: without.map((line) => line.id) };
  const changes = inPot.flatMap((line) => swaps.get(line.id) ?? []);
  return { way: 'substitute', changes, lineIds: inPot.map((line) => line.id) };
}

/** Litres to draw off for portions: what they come to, and a ladle more. */
export function litresToDraw({ count, ml }: Pick<PortionKind, 'count' | 'ml'>): number {
  return (A_LADLE_MORE * count * ml) / 1000;
}

/** A row that is not here is not known to be free of anything. */
function holdsAny(row: Ingredient | undefined, freeOf: readonly Allergen[]): boolean {
  return !row || row.allergens.some((one) => freeOf.includes(one));
}

/** There is soup in the pot before some stage, most of its liquid: what can be drawn off and eaten. */
function standsBefore({ ingredients }: PlanInput, plan: Plan, stageIds: readonly string[]): boolean {
  const soup = plan.lines.filter(({ ingredientId, perBowl }) => {
    const row = ingredients[ingredientId];
    return !perBowl && row?.share === 'liquid' && row.perKg.water > WATERY;
  });
  const kg = (of: typeof soup) => of.reduce((sum, line) => sum + line.edibleKg, 0);
  return kg(soup.filter((line) => stageIds.includes(line.stageId))) > MOST_OF_IT * kg(soup);
}

/** The first that stands in for a line without what the guest may not eat; null where nothing is known that does. */
function swapFor(
  line: RecipeLine,
  rows: Readonly<Record<string, Ingredient>>,
  freeOf: readonly Allergen[],
): Substitution | null {
  const swap = FREE_SWAPS[line.ingredientId];
  const byIngredientId = swap?.by.find((id) => rows[id] && !holdsAny(rows[id], freeOf));
  return swap && byIngredientId
    ? { kind: 'swap', lineId: line.id, byIngredientId, share: 1, keep: swap.keep }
    : null;
}
