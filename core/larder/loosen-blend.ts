import { type BlendLimit, type BlendPart, type BlendWanted, outcomeOf } from './blend-parts';
import { cutUntilSavoury, LIMITS } from './blend-program';

/** A limit that stands in the way of a blend, and what can be reached where it is loosened so far. */
export interface LooserLimit {
  limit: BlendLimit;
  wanted: number;
  reachable: number;
}

/** A limit is looked for to this share of itself: finer than a scale or a refractometer shows. */
const CLOSE_SHARE = 1e-4;
/** A slack smaller than this share of its limit is rounding. */
const SLACK_SHARE = 1e-5;
/** Halvings that bring any range down to that. */
const MOST_HALVINGS = 40;

/** The loosest that each limit can be: nothing of it, or more than anything. */
const LOOSEST: Readonly<Record<BlendLimit, number>> = {
  kg: 0,
  saltMin: 0,
  saltMax: 100,
  brixMin: 0,
  brixMax: 100,
  umamiMin: 0,
  centsPerKgMax: 1e9,
};

/**
 * What to loosen of a blend that cannot be: each limit that is enough by itself, how far it has to give; where none is,
 * those that give way together at the least change of all. Loosened as told, there is a blend.
 *
 * @param wanted limits that no blend keeps
 */
export function loosenBlend(
  parts: readonly BlendPart[],
  wanted: BlendWanted,
): { either: LooserLimit[]; together: LooserLimit[] } {
  const either = LIMITS.flatMap((limit) => {
    const reachable = wanted[limit] === undefined ? null : aloneTo(parts, wanted, limit);
    return reachable === null ? [] : [{ limit, wanted: wanted[limit]!, reachable }];
  });
  return { either, together: either.length > 0 ? [] : bentTogether(parts, wanted) };
}

/** How far one limit has to give for there to be a blend, the others as they are; null where that is not enough. */
function aloneTo(parts: readonly BlendPart[], wanted: BlendWanted, limit: BlendLimit): number | null {
  const canBe = (value: number) => cutUntilSavoury(parts, { ...wanted, [limit]: value }, false) !== null;
  let held = wanted[limit]!;
  let reached = LOOSEST[limit];
  if (limit === 'kg') reached = CLOSE_SHARE * held;
  // a price or a percentage without end is come to by doubling
  if (reached > held) {
    let value = Math.max(held, 1e-3);
    while (value < reached && !canBe(Math.min(value, reached))) value *= 2;
    reached = Math.min(value, reached);
  }
  if (!canBe(reached)) return null;
  for (let i = 0; i < MOST_HALVINGS && Math.abs(reached - held) > CLOSE_SHARE * Math.abs(reached); i++) {
    const middle = (held + reached) / 2;
    if (canBe(middle)) reached = middle;
    else held = middle;
  }
  return reached;
}

function bentTogether(parts: readonly BlendPart[], wanted: BlendWanted): LooserLimit[] {
  const bent = cutUntilSavoury(parts, wanted, true);
  if (!bent) throw new RangeError(`wanted must be limits a solver can weigh, got ${JSON.stringify(wanted)}`);
  const kg = Object.values(bent.kgById).reduce((sum, one) => sum + one, bent.waterKg);
  const { saltPercent, brix, umami, centsPerKg } = outcomeOf(parts, bent.kgById, bent.waterKg);
  const reached: Record<BlendLimit, number> = {
    kg,
    saltMin: saltPercent,
    saltMax: saltPercent,
    brixMin: brix,
    brixMax: brix,
    umamiMin: umami,
    centsPerKgMax: centsPerKg,
  };
  return LIMITS.flatMap((limit) => {
    const value = wanted[limit];
    const slack = bent.slack[limit] ?? 0;
    if (value === undefined || slack <= SLACK_SHARE * Math.max(value, 1e-3)) return [];
    // a hair looser than it came to: the savour is found to within so much
    const hair = CLOSE_SHARE * Math.sign(reached[limit] - value);
    return [{ limit, wanted: value, reachable: reached[limit] * (1 + hair) }];
  });
}
