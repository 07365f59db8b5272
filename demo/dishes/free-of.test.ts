import { describe, expect, it } from 'vitest';
import { type BatchEvent, type BatchSnapshot, foldBatch, holdsInPot, partOfBatch } from '../../core/batch';
import { ALLERGENS, type Allergen, holdsOf } from '../../core/matter';
import { planInputOf } from '../../core/order';
import { planBatch, potInput } from '../../core/plan';
import type { PortionKind } from '../../core/portions';
import { notForGuest, portionHolds } from '../../core/rules';
import { freeWay } from '../../core/service';
import { kitchenView } from '../kitchen-view';
import { BOOK, DISHES } from './dishes';

/** What the pass would let out of each dish for each allergen, held against the closure of all that is in it. */

const kitchen = kitchenView();
const serviceAtMs = Date.UTC(2026, 2, 10, 18, 5);

function snapshotFor(recipeId: string): BatchSnapshot {
  const recipe = BOOK.find((one) => one.id === recipeId)!;
  const order = { recipeId, portions: 30, portionMl: recipe.portionMl, saltPercent: recipe.targetSaltPercent, band: recipe.targetBand, serviceAtMs, potId: 'stockpot-40', burnerId: 'gas-2' };
  const input = planInputOf(order, kitchen, recipe, BOOK);
  if (Array.isArray(input)) throw new Error(input[0]!.code);
  const plan = planBatch(input);
  return { input: potInput(input, plan), plan };
}

/** Everything of the stages before one, or of all of them, put in at once. */
function filled({ input, plan }: BatchSnapshot, untilStageId?: string): BatchEvent[] {
  const end = untilStageId === undefined ? input.recipe.stages.length : input.recipe.stages.findIndex((one) => one.id === untilStageId);
  const before = new Set(input.recipe.stages.slice(0, end).map((one) => one.id));
  const items = plan.lines.filter((line) => !line.perBowl && line.edibleKg > 0.00005 && before.has(line.stageId)).map((line) => ({ ingredientId: line.ingredientId, kg: line.edibleKg, tempC: line.tempC, lineId: line.lineId }));
  return [{ id: 'in', seq: 1, actedAtMs: plan.startAtMs, type: 'added', payload: { items } }];
}

describe.each(DISHES.map((dish) => dish.id))('%s', (recipeId) => {
  const snapshot = snapshotFor(recipeId);
  const { input, plan } = snapshot;
  const kind = (freeOf: Allergen[], garnish: Record<string, number> = {}): PortionKind => ({ id: 'k', word: 'bowl', ml: input.portionMl, count: 3, freeOf, garnish });
  const full = foldBatch(snapshot, filled(snapshot), plan.startAtMs);
  const closure = holdsOf(input.recipe.lines.map((line) => input.ingredients[line.ingredientId]!));
  it.each(Object.keys(ALLERGENS) as Allergen[])('%s', (allergen) => {
    const wanted = kind([allergen]);
    const isHeld = closure.allergens.includes(allergen);
    expect(notForGuest([allergen], portionHolds(snapshot, full, wanted)).length > 0).toBe(isHeld);
    const way = freeWay(input, plan, wanted);
    expect(way.way === 'asItIs').toBe(!isHeld);
    if (way.way === 'noGarnish') {
      const bare = Object.fromEntries(way.lineIds.map((id) => [id, 0]));
      expect(notForGuest([allergen], portionHolds(snapshot, full, kind([allergen], bare)))).toEqual([]);
    }
    if (way.way === 'drawEarly' && way.changes.length === 0) {
      const state = foldBatch(snapshot, filled(snapshot, way.stageId), plan.startAtMs + 60_000);
      expect(holdsInPot(snapshot, state).allergens).not.toContain(allergen);
      const drawn = foldBatch(snapshot, [...filled(snapshot, way.stageId), { id: 'draw', seq: 2, actedAtMs: plan.startAtMs + 60_000, type: 'drawnOff', payload: { childId: 'c', litres: way.litres, name: 'Part' } }], plan.startAtMs + 60_000);
      // what goes on in the other pot without those lines holds none of it, to the end
      const part = partOfBatch('parent', { snapshot, state }, drawn.parts[0]!, { name: 'Part', kinds: [kind([allergen])], pot: input.pot, burner: input.burner, serviceAtMs, leaveOut: way.lineIds });
      expect(part.holds!.allergens).not.toContain(allergen);
      expect(part.plan.lines.some((line) => way.lineIds.includes(line.lineId))).toBe(false);
    }
  });
});

it('each of the ways is some dish’s', () => {
  const ways = DISHES.flatMap(({ id }) => {
    const { input, plan } = snapshotFor(id);
    return (Object.keys(ALLERGENS) as Allergen[]).map((one) => freeWay(input, plan, { id: 'k', word: 'bowl', ml: 250, count: 3, freeOf: [one] }).way);
  });
  for (const way of ['asItIs', 'drawEarly', 'substitute', 'notAtAll']) expect(ways).toContain(way);
});
