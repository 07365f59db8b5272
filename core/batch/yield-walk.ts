import { massKg } from '../matter';
import { foodLitres } from '../pot';
import type { BatchSnapshot, DiscardReason } from './batch-event';
import type { BatchState, PortionsOut } from './batch-state';
import { rowGoingIn } from './went-in';

/** A step of the way from what was bought to what was eaten. */
export type YieldStepName =
  | 'purchased'
  | 'trimmed'
  | 'inPot'
  | 'steamed'
  | 'lifted'
  | 'lost'
  | 'yield'
  | 'served'
  | 'staff'
  | 'stored'
  | 'parts'
  | 'discarded'
  | 'left'
  | 'clung';

/** Kilograms at a step: of a sum what there is by then, of anything else what leaves there. */
export interface YieldStep {
  step: YieldStepName;
  /** why nobody had it; of what was discarded only */
  reason: DiscardReason | 'said' | null;
  isSum: boolean;
  kg: number;
  /** the same as it was planned; null where the plan says nothing of it */
  plannedKg: number | null;
  /** its share of what went into the pot, without garnish; 0 of what leaves before the pot is served */
  cents: number;
}

/** Less than this is a rounding of the machine, kg. */
const NOTHING_KG = 1e-6;

/**
 * The way of a batch from what was bought to what was eaten, kilogram by kilogram: trimmed, steamed, lifted out, served,
 * stored, thrown away, left, and what nobody can account for: it clung to the pot, or was tasted. Sums and what leaves
 * between them agree.
 *
 * @param state folded to its closing, or to any moment
 * @returns in the order it goes; steps of which there is nothing, planned or true, are left out
 * @source arithmetic: mass is conserved
 */
export function yieldWalk(snapshot: BatchSnapshot, state: BatchState): YieldStep[] {
  const { plan } = snapshot;
  const { pot, closed, stored, parts, service } = state;
  const inPotKg = sum(state.wentIn, (one) => one.kg);
  const purchasedKg = sum(state.wentIn, (one) => one.kg / rowGoingIn(snapshot, one).yield);
  const thereKg = massKg(pot.mixture);
  const liftedKg = inPotKg - thereKg - pot.evaporatedKg - pot.drawnKg;
  const outs = withSentBack(service.outs);
  const ofOuts = (which: (out: OutOfPot) => boolean) => {
    const some = outs.filter(which);
    return { kg: sum(some, (out) => out.kg), cents: sum(some, (out) => out.costCents) };
  };
  const storedOut = { kg: sum(stored, (lot) => lot.kg), cents: sum(stored, (lot) => lot.costCents) };
  const partsOut = { kg: sum(parts, (one) => one.kg), cents: sum(parts, (one) => one.costCents) };
  // what was boiled over, or ladled out and kept apart
  const lostKg = Math.max(0, pot.drawnKg - ofOuts(() => true).kg - storedOut.kg - partsOut.kg);
  const yieldKg = inPotKg - pot.evaporatedKg - liftedKg - lostKg;
  // what has not gone with a portion or a lot is what the rest cost
  const restCents = state.costCents - ofOuts(() => true).cents - storedOut.cents - partsOut.cents;
  const centsPerKg = thereKg + lostKg > 0 ? restCents / (thereKg + lostKg) : 0;
  const kgPerLitre = thereKg > 0 ? thereKg / foodLitres(pot) : 1;
  // a stick may find a little more than there can be
  const leftKg = closed ? Math.min(thereKg, closed.leftLitres * kgPerLitre) : thereKg;
  const planned = plannedKg(snapshot);
  const reasons = [...new Set(outs.flatMap((out) => out.reason ?? []))];
  const step = (
    name: YieldStepName,
    of: {
      kg: number;
      cents?: number;
      plannedKg?: number | null;
      isSum?: boolean;
      reason?: DiscardReason | 'said';
    },
  ): YieldStep => ({
    step: name,
    reason: of.reason ?? null,
    isSum: of.isSum ?? false,
    kg: of.kg,
    plannedKg: of.plannedKg ?? null,
    cents: of.cents ?? 0,
  });
  const steps = [
    step('purchased', { kg: purchasedKg, plannedKg: planned.purchased, isSum: true }),
    step('trimmed', { kg: purchasedKg - inPotKg, plannedKg: planned.purchased - planned.inPot }),
    step('inPot', { kg: inPotKg, plannedKg: planned.inPot, isSum: true }),
    step('steamed', { kg: pot.evaporatedKg, plannedKg: plan.evaporatedKg }),
    step('lifted', { kg: liftedKg }),
    step('lost', { kg: lostKg, cents: lostKg * centsPerKg }),
    step('yield', { kg: yieldKg, cents: state.costCents, isSum: true }),
    step(
      'served',
      ofOuts((out) => out.reason === null),
    ),
    step(
      'staff',
      ofOuts((out) => out.reason === 'staff'),
    ),
    step('stored', storedOut),
    step('parts', partsOut),
    ...reasons
      .filter((reason) => reason !== 'staff')
      .map((reason) =>
        step('discarded', {
          ...ofOuts((out) => out.reason === reason),
          reason,
        }),
      ),
    step('left', { kg: leftKg, cents: leftKg * centsPerKg }),
    step('clung', { kg: thereKg - leftKg, cents: (thereKg - leftKg) * centsPerKg }),
  ];
  return steps.filter(
    (one) => one.isSum || Math.abs(one.kg) > NOTHING_KG || (one.plannedKg ?? 0) > NOTHING_KG,
  );
}

/** Portions as they ended: `reason` null of what a guest ate. */
interface OutOfPot {
  kg: number;
  costCents: number;
  reason: DiscardReason | 'said' | null;
}

/** What had been served and was sent back is nobody's after all: it weighs what an average portion does. */
function withSentBack(all: readonly PortionsOut[]): OutOfPot[] {
  const served = all.filter((out) => out.fate === 'served');
  const portions = sum(served, (out) => out.portions);
  return all.flatMap((out): OutOfPot[] => {
    const reason = out.fate === 'served' ? null : (out.reason ?? 'said');
    if (!out.isOut) return [{ kg: out.kg, costCents: out.costCents, reason }];
    const share = portions > 0 ? Math.min(1, out.portions / portions) : 0;
    const kg = share * sum(served, (one) => one.kg);
    const costCents = share * sum(served, (one) => one.costCents);
    return [
      { kg, costCents, reason },
      { kg: -kg, costCents: -costCents, reason: null },
    ];
  });
}

/** What the plan buys and puts into the pot, kg; garnish is laid on the bowls and is in no pot. */
function plannedKg({ plan }: Pick<BatchSnapshot, 'plan'>): { purchased: number; inPot: number } {
  const lines = plan.lines.filter((line) => !line.perBowl);
  return { purchased: sum(lines, (line) => line.purchasedKg), inPot: sum(lines, (line) => line.edibleKg) };
}

function sum<T>(of: readonly T[], each: (one: T) => number): number {
  return of.reduce((all, one) => all + each(one), 0);
}
