import { type Plan, type PlanInput, type PlannedBurner, type Pot, planBatch, TURNAROUND_MIN } from '../plan';
import { litresAtDepth } from '../vessel';

/** A pot on a burner of its own, free for this order. */
export interface PotOnBurner {
  pot: Pot;
  burner: PlannedBurner;
}

/** One part of an order: how many portions, where, and when. */
export interface SplitPart {
  potId: string;
  potName: string;
  burnerId: string;
  burnerName: string;
  portions: number;
  startAtMs: number;
  readyAtMs: number;
  /** when this part is wanted, to the minute: the service, or for an earlier batch as much sooner */
  serviceAtMs: number;
  fullestLitres: number;
  workingFillLitres: number;
  holdBackShare: number;
}

/** A way of cooking what no pot holds at once, or not this one. */
export interface Split {
  kind: 'batches' | 'twoPots' | 'holdBack' | 'otherPot';
  parts: SplitPart[];
  /** from lighting the first burner to service, minutes */
  minutes: number;
  /** in equal batches: minutes between two, and hours the first waits for the last */
  turnaroundMin?: number;
  heldH?: number;
}

/** A start this long gone can still be caught up with, ms. */
const LATE_MS = 5 * 60_000;

/** More batches than this one after the other are not a way to cook for a service. Common practice. */
const MOST_BATCHES = 4;

const HELD_BACK_STEPS = [0.1, 0.2, 0.3, 0.4, 0.5] as const;

/**
 * Ways to cook an order that this pot does not hold: equal batches one after the other, two pots at once, cooked
 * concentrated and diluted at service, or another pot altogether. Each is planned in full; what does not fit or cannot
 * be cooked is left out.
 *
 * @param input the order, in its pot
 * @param places pots that are free, each on a burner that takes it; this order's own among them
 * @param nowMs what would have had to begin before this is no way
 * @returns ways that work, the soonest to light last first
 * @source docs/model.md § 12
 */
export function splitOrder(input: PlanInput, places: readonly PotOnBurner[], nowMs: number): Split[] {
  const own: PotOnBurner = { pot: input.pot, burner: input.burner };
  const others = places.filter((place) => place.pot.id !== own.pot.id);
  return [
    ...inBatches(input, own),
    ...inAnotherPot(input, others),
    ...inTwoPots(input, own, others),
    ...heldBack(input, own),
  ]
    .filter((way) => way.parts.every((part) => part.startAtMs >= nowMs - LATE_MS))
    .sort((a, b) => a.minutes - b.minutes);
}

function inBatches(input: PlanInput, place: PotOnBurner): Split[] {
  const plan = planned(input, place, input.portions);
  const runs = plan?.runs;
  if (!plan || !runs || runs.length > MOST_BATCHES) return [];
  const last = runs.at(-1)!;
  const parts = runs.map((run) => {
    const earlierMs = last.readyAtMs - run.readyAtMs;
    const serviceAtMs = toMinute(input.serviceAtMs - earlierMs);
    return partOf({ ...input, serviceAtMs }, place, run.portions);
  });
  if (parts.some((part) => part === null)) return [];
  const heldH = (last.readyAtMs - runs[0]!.readyAtMs) / 3_600_000;
  return [{ ...splitOf('batches', parts as SplitPart[], input), turnaroundMin: TURNAROUND_MIN, heldH }];
}

const toMinute = (ms: number): number => Math.floor(ms / 60_000) * 60_000;

function inAnotherPot(input: PlanInput, others: readonly PotOnBurner[]): Split[] {
  return others.flatMap((place) => {
    const part = partOf(input, place, input.portions);
    return part ? [splitOf('otherPot', [part], input)] : [];
  });
}

function inTwoPots(input: PlanInput, own: PotOnBurner, others: readonly PotOnBurner[]): Split[] {
  return others
    .filter((place) => place.burner.id !== own.burner.id)
    .flatMap((place) => {
      const first = shareFor(input, own, place);
      const one = first > 0 && first < input.portions ? partOf(input, own, first) : null;
      const two = one ? partOf(input, place, input.portions - first) : null;
      if (!one || !two) return [];
      return [splitOf('twoPots', [one, two], input)];
    });
}

/** Portions for the first of two pots, so that both are as full as each other. */
function shareFor(input: PlanInput, a: PotOnBurner, b: PotOnBurner): number {
  const brim = ({ pot }: PotOnBurner) => litresAtDepth(pot.vessel, pot.vessel.heightCm);
  return Math.round((input.portions * brim(a)) / (brim(a) + brim(b)));
}

function heldBack(input: PlanInput, place: PotOnBurner): Split[] {
  for (const holdBackShare of HELD_BACK_STEPS) {
    const part = partOf({ ...input, holdBackShare }, place, input.portions);
    if (!part) continue;
    return [splitOf('holdBack', [part], input)];
  }
  return [];
}

/** A part planned in a pot on a burner; null where it does not fit or cannot be cooked there. */
function partOf(input: PlanInput, place: PotOnBurner, portions: number): SplitPart | null {
  const plan = planned(input, place, portions);
  if (!plan || plan.batches > 1) return null;
  return {
    potId: place.pot.id,
    potName: place.pot.name,
    burnerId: place.burner.id,
    burnerName: place.burner.name,
    portions,
    startAtMs: plan.startAtMs,
    readyAtMs: plan.readyAtMs,
    serviceAtMs: input.serviceAtMs,
    fullestLitres: plan.fullest.litres,
    workingFillLitres: plan.workingFillLitres,
    holdBackShare: input.holdBackShare ?? 0,
  };
}

function planned(input: PlanInput, place: PotOnBurner, portions: number): Plan | null {
  if (portions < 1) return null;
  try {
    return planBatch({ ...input, ...place, portions });
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

function splitOf(kind: Split['kind'], parts: SplitPart[], input: PlanInput): Split {
  const firstMs = Math.min(...parts.map((part) => part.startAtMs));
  return { kind, parts, minutes: (input.serviceAtMs - firstMs) / 60_000 };
}
