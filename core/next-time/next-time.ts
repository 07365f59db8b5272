import { isSeasoning, type Tastes, tastesNow } from '../adjust';
import { type BatchEvent, type BatchSnapshot, type BatchState, foldBatch } from '../batch';
import { activeEvents } from '../log';
import type { Recipe, RightTaste } from '../recipe';
import type { Scale } from '../taste';

/** What a batch shows that its recipe should have said; each is proposed, and nothing is changed unless it is accepted. */
export type NextTime = {
  id: string;
  /** spoons that said “right” after the last dose, or tests of thickness */
  evidence: number;
} & (
  | { code: 'salt'; fromPercent: number; toPercent: number }
  /** of a food, kg for the recipe’s own litres; `lineId` null where the recipe has none of it */
  | { code: 'food'; scale: Scale; ingredientId: string; lineId: string | null; fromKg: number; toKg: number }
  | { code: 'band'; fromBand: number; toBand: number }
);

/** What a pot tasted of when it was right, by scale. */
export type Right = Partial<Record<Scale, RightTaste>>;

export interface ShownByBatch {
  proposals: NextTime[];
  /** what the spoons found right, for the recipe to keep with what is accepted */
  right: Right;
}

/** What the recipe says counts as much as so many spoons. Ours. */
const RECIPE_COUNTS = 1;
/** More spoons than this of one batch are one cook asking twice. Ours. */
const MOST_SPOONS = 3;
/** Less than this is not worth a version: percent of salt; share of a line, and g of it to a litre; bands. Ours. */
const WORTH = { saltPercent: 0.02, share: 0.03, gPerL: 0.05, bands: 0.5 } as const;

const MEASURES: Readonly<Record<Scale, keyof Tastes | null>> = {
  salt: 'saltPercent',
  acid: 'acidGPerL',
  sweet: 'sugarGPerL',
  fat: 'fatPercent',
  heat: 'heatGPerL',
  umami: 'umami',
  bitter: null,
  colour: null,
};

/**
 * What a closed batch says of its recipe: salt that was right, doses that made it right, how thick it was served. Each is
 * drawn to what the recipe says, the more the fewer spoons have spoken for it.
 *
 * @param events of the batch, in any order
 * @param recipe as it stands now, which may be a later version than was cooked
 * @returns proposals, the surest first; none where this batch was learned from already
 * @source docs/model.md § 8
 */
export function nextTime(
  snapshot: BatchSnapshot,
  events: readonly BatchEvent[],
  recipe: Recipe,
): ShownByBatch {
  // a part that was drawn off is another dish than its recipe
  if (snapshot.origin) return { proposals: [], right: {} };
  const state = foldBatch(snapshot, events, events.at(-1)?.actedAtMs ?? 0);
  const tasted = state.tastings.at(-1);
  const then = tasted ? at(snapshot, events, tasted.atMs) : null;
  const tastes = then ? tastesNow(snapshot, then) : null;
  const right: Right = {};
  if (tastes)
    for (const [scale, measure] of Object.entries(MEASURES) as [Scale, keyof Tastes | null][]) {
      const verdicts = spoonsFor(state, scale);
      if (verdicts > 0 && measure) right[scale] = { value: tastes[measure], verdicts };
    }
  const proposals = [
    ...saltOf(recipe, right),
    ...foodsOf({ snapshot, state, recipe, right }),
    ...bandOf(snapshot, state, recipe),
  ];
  return { proposals: proposals.sort((a, b) => b.evidence - a.evidence), right };
}

/** The batch as it was at a minute, its later entries left out. */
function at(snapshot: BatchSnapshot, events: readonly BatchEvent[], atMs: number): BatchState {
  return foldBatch(
    snapshot,
    activeEvents(events).filter((event) => event.actedAtMs <= atMs),
    atMs,
  );
}

/** Spoons that said “right” after the last dose for it; none where the last said otherwise. */
function spoonsFor(state: BatchState, scale: Scale): number {
  const dosedMs = Math.max(0, ...state.dosed.filter((one) => one.for === scale).map((one) => one.atMs));
  const said = state.tastings.filter((one) => one.atMs >= dosedMs && one.says[scale]);
  if (said.at(-1)?.says[scale] !== 'right') return 0;
  return Math.min(MOST_SPOONS, said.filter((one) => one.says[scale] === 'right').length);
}

/** How far a recipe goes to what so many spoons have found, 0..1. */
function shareOf(recipe: Recipe, scale: Scale, verdicts: number): number {
  const before = recipe.profile?.right[scale]?.verdicts ?? 0;
  return verdicts / (verdicts + before + RECIPE_COUNTS);
}

function saltOf(recipe: Recipe, { salt }: Right): NextTime[] {
  if (!salt) return [];
  const from = recipe.targetSaltPercent;
  const to = rounded(from + (salt.value - from) * shareOf(recipe, 'salt', salt.verdicts), 2);
  if (Math.abs(to - from) < WORTH.saltPercent) return [];
  return [{ id: 'salt', code: 'salt', evidence: salt.verdicts, fromPercent: from, toPercent: to }];
}

interface Of {
  snapshot: BatchSnapshot;
  state: BatchState;
  recipe: Recipe;
  right: Right;
}

/** Doses that made it right go into the recipe; what was taken away again comes off what brought it. */
function foodsOf(of: Of): NextTime[] {
  const { state, snapshot, recipe } = of;
  const perBatch = recipe.litres / snapshot.plan.yieldLitres;
  const more = new Map<string, { scale: Scale; kg: number }>();
  for (const { for: scale, ingredientId, kg } of state.dosed) {
    if (scale === 'thickness' || !isSeasoning(scale, ingredientId, recipe.colour)) continue;
    if (spoonsFor(state, scale) === 0) continue;
    more.set(ingredientId, { scale, kg: (more.get(ingredientId)?.kg ?? 0) + kg * perBatch });
  }
  const added = [...more].flatMap(([ingredientId, { scale, kg }]) => foodMoved(of, scale, ingredientId, kg));
  const taken = (['acid', 'sweet', 'heat'] as const).flatMap((scale) => lessOf(of, scale));
  return [...added, ...taken];
}

/** Lines that another amount may be written on; the others follow a law of their own. */
const OF_THE_PALATE = ['straight', 'byTaste', 'startLow', 'bySpoon'];

function foodMoved({ recipe, state }: Of, scale: Scale, ingredientId: string, kg: number): NextTime[] {
  const evidence = spoonsFor(state, scale);
  const own = recipe.lines.filter((line) => line.ingredientId === ingredientId);
  const lines = own.filter(
    (line) => typeof line.scaling === 'string' && OF_THE_PALATE.includes(line.scaling),
  );
  const fromKg = lines.reduce((sum, line) => sum + line.kg, 0);
  // what the recipe does not have yet begins with all of it: the plan puts two thirds in and asks for the spoon
  const share = lines.length > 0 ? shareOf(recipe, scale, evidence) : 1;
  const toKg = roundedKg(Math.max(0, fromKg + kg * share));
  if (Math.abs(toKg - fromKg) < leastKg(recipe, fromKg)) return [];
  const lineId = lines[0]?.id ?? null;
  return [
    { id: `${scale} ${ingredientId}`, code: 'food', evidence, scale, ingredientId, lineId, fromKg, toKg },
  ];
}

/** Less than the plan would have brought was right: so much less of what brings most of it, if it is a seasoning. */
function lessOf(of: Of, scale: 'acid' | 'sweet' | 'heat'): NextTime[] {
  const { snapshot, right, recipe } = of;
  const found = right[scale];
  if (!found) return [];
  const { ingredients } = snapshot.input;
  const brings = (ingredientId: string): number => {
    const row = ingredients[ingredientId];
    if (!row) return 0;
    if (scale === 'acid') return row.acidGPerKg ?? 0;
    return scale === 'sweet' ? 1000 * row.perKg.sugars : row.strength === 'hot' ? 1000 : 0;
  };
  const planned = snapshot.plan.lines.reduce(
    (sum, line) => sum + (line.perBowl ? 0 : line.edibleKg * brings(line.ingredientId)),
    0,
  );
  const overGPerL = planned / snapshot.plan.yieldLitres - found.value;
  const strongest = [...new Set(recipe.lines.map((line) => line.ingredientId))]
    .filter((id) => brings(id) >= IS_SEASONING_G_PER_KG)
    .sort((a, b) => brings(b) - brings(a))[0];
  if (overGPerL <= 0 || !strongest) return [];
  return foodMoved(of, scale, strongest, -(overGPerL * recipe.litres) / brings(strongest)).filter(
    (one) => one.code === 'food' && one.lineId !== null,
  );
}
/** What holds this much of acid, sugar or heat is put in for it. Ours. */
const IS_SEASONING_G_PER_KG = 20;

const leastKg = (recipe: Recipe, kg: number): number =>
  Math.max(WORTH.share * kg, (WORTH.gPerL * recipe.litres) / 1000);

/** It was tested, nothing was done to it after, and it was served so. */
function bandOf(snapshot: BatchSnapshot, state: BatchState, recipe: Recipe): NextTime[] {
  const dosedMs = Math.max(0, ...state.dosed.filter((one) => one.for === 'thickness').map((one) => one.atMs));
  const tests = state.tests.filter((one) => one.status === 'accepted' && one.atMs > dosedMs);
  const last = tests.at(-1);
  if (!last || !state.closed) return [];
  const { band } = last;
  if (Math.abs(band - snapshot.input.band) < WORTH.bands) return [];
  const toBand = rounded(recipe.targetBand + (band - recipe.targetBand) / 2, 1);
  if (toBand === recipe.targetBand) return [];
  return [{ id: 'band', code: 'band', evidence: tests.length, fromBand: recipe.targetBand, toBand }];
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
/** To a gram, and to a hundredth of one where it is less than ten. */
const roundedKg = (kg: number): number => rounded(kg, kg < 0.01 ? 5 : 3);
