import type { DiscardReason } from './batch-event';
import type { YieldStep, YieldStepName } from './yield-walk';

/** Food that nobody ate, and what it cost, hundredths of the kitchen's money. */
export interface Waste {
  /** where it went: out of a pot by a reason, left or lost there, or off the shelf in somebody's words */
  step: Extract<YieldStepName, 'discarded' | 'left' | 'clung' | 'lost'> | 'shelf';
  reason: DiscardReason | 'said' | null;
  words: string | null;
  kg: number;
  cents: number;
}

/** What the food of a day cost, and where that went; hundredths of the kitchen's money, without garnish. */
export interface DayCosts {
  /** of all that was in the pots that were closed */
  potsCents: number;
  guestsCents: number;
  staffCents: number;
  /** stored, or into other pots: it is not spent yet */
  keptCents: number;
  waste: Waste[];
}

const WASTED: ReadonlySet<YieldStepName> = new Set(['discarded', 'left', 'clung', 'lost']);

/**
 * Adds up a day: the ways of its pots, and what was thrown away off the shelf. What guests, staff and larder had and what
 * was wasted is what the pots cost, and what the shelf lost beside.
 *
 * @param walks the way of each pot that was closed
 * @param thrown off the shelf, kg and what it cost
 * @returns waste of one kind together, the dearest first
 */
export function dayCosts(
  walks: readonly (readonly YieldStep[])[],
  thrown: readonly { kg: number; cents: number; words: string }[],
): DayCosts {
  const steps = walks.flat();
  const centsOf = (...names: readonly YieldStepName[]) =>
    steps.reduce((sum, one) => (names.includes(one.step) ? sum + one.cents : sum), 0);
  const waste = new Map<string, Waste>();
  const add = (one: Waste) => {
    const key = `${one.step} ${one.reason} ${one.words}`;
    const was = waste.get(key);
    waste.set(key, was ? { ...was, kg: was.kg + one.kg, cents: was.cents + one.cents } : one);
  };
  for (const { step, reason, kg, cents } of steps)
    if (WASTED.has(step) && kg > 0) add({ step: step as Waste['step'], reason, words: null, kg, cents });
  for (const { kg, cents, words } of thrown) add({ step: 'shelf', reason: null, words, kg, cents });
  return {
    potsCents: centsOf('yield'),
    guestsCents: centsOf('served'),
    staffCents: centsOf('staff'),
    keptCents: centsOf('stored', 'parts'),
    waste: [...waste.values()].sort((a, b) => b.cents - a.cents || b.kg - a.kg),
  };
}
