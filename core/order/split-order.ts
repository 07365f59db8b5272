import { type PlanInput, type PlannedBurner, type Pot, planBatch } from '../plan';

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

/** Between one batch and the next the pot is emptied, washed and set up again, minutes. Common practice. */
const TURNAROUND_MIN = 15;

/** More batches than this one after the other are not a way to cook for a service. Common practice. */
const MOST_BATCHES = 4;

const HELD_BACK_STEPS = [0.1, 0.2, 0.3, 0.4, 0.5] as const;

/**
 * Ways to cook an order that this pot does not hold: equal batches one after the other, two pots at once, cooked
 * concentrated and let down at service, or another pot altogether. Each is planned in full; what does not fit or cannot
 * be cooked is left out.
 *
 * @param input the order, in its pot
 * @param places pots that are free, each on a burner that takes it; this order's own among them
 * @returns ways that work, the soonest to light last first
 * @source docs/model.md § 12
 */
export function splitOrder(input: PlanInput, places: readonly PotOnBurner[]): Split[] {
  const own: PotOnBurner = { pot: input.pot, burner: input.burner };
  const others = places.filter((place) => place.pot.id !== own.pot.id);
  return [
    ...inBatches(input, own),
    ...inAnotherPot(input, others),
    ...inTwoPots(input, own, others),
    ...heldBack(input, own),
  ].sort((a, b) => a.minutes - b.minutes);
}

function inBatches(input: PlanInput, place: PotOnBurner): Split[] {
  for (let count = 2; count <= MOST_BATCHES; count++) {
    const sizes = Array.from({ length: count }, (_, i) => Math.ceil((input.portions - i) / count));
    const part = partOf(input, place, sizes[0]!);
    if (!part) continue;
    // the last is ready for service; each before it as much earlier as a batch and the washing take
    const eachMs = part.readyAtMs - part.startAtMs + TURNAROUND_MIN * 60_000;
    const parts = sizes.map((portions, i) => ({
      ...(partOf(input, place, portions) ?? part),
      portions,
      startAtMs: part.startAtMs - (count - 1 - i) * eachMs,
      readyAtMs: part.readyAtMs - (count - 1 - i) * eachMs,
    }));
    const heldH = ((count - 1) * eachMs) / 3_600_000;
    return [{ ...splitOf('batches', parts, input), turnaroundMin: TURNAROUND_MIN, heldH }];
  }
  return [];
}

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
  const fill = (place: PotOnBurner) => {
    try {
      return planBatch({ ...input, ...place, portions: 1 }).workingFillLitres;
    } catch {
      return 0;
    }
  };
  const [left, right] = [fill(a), fill(b)];
  return left + right === 0 ? 0 : Math.round((input.portions * left) / (left + right));
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
  if (portions < 1) return null;
  try {
    const plan = planBatch({ ...input, ...place, portions });
    if (plan.batches > 1) return null;
    return {
      potId: place.pot.id,
      potName: place.pot.name,
      burnerId: place.burner.id,
      burnerName: place.burner.name,
      portions,
      startAtMs: plan.startAtMs,
      readyAtMs: plan.readyAtMs,
      fullestLitres: plan.fullest.litres,
      workingFillLitres: plan.workingFillLitres,
      holdBackShare: input.holdBackShare ?? 0,
    };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

function splitOf(kind: Split['kind'], parts: SplitPart[], input: PlanInput): Split {
  const firstMs = Math.min(...parts.map((part) => part.startAtMs));
  return { kind, parts, minutes: (input.serviceAtMs - firstMs) / 60_000 };
}
