import type { YieldStep, YieldStepName } from '../../../core/batch';
import { DISCARD_WORDS } from './portions';

/** From what was bought to what was eaten. */
export const yieldWords = {
  theWay: 'From bought to eaten',
  aBowl: 'A bowl',
  picture: (steps: number) => `The way from bought to eaten in ${steps} steps, each in the table below.`,
  wasteCost: (all: string, aBowl: string) =>
    `What nobody ate cost ${all}: ${aBowl} on each bowl that was served.`,
  moneyIsPerBowlServed: 'Money is the pot’s, without garnish, shared over the bowls served.',
};

const NAMES: Readonly<Record<YieldStepName, string>> = {
  purchased: 'Bought',
  trimmed: 'trimmed',
  inPot: 'In the pot',
  steamed: 'steamed off',
  lifted: 'lifted, strained',
  lost: 'boiled over, poured off',
  yield: 'Ready to serve',
  served: 'eaten by guests',
  staff: 'staff meals',
  stored: 'stored',
  parts: 'into other pots',
  discarded: 'thrown away',
  left: 'left at closing',
  clung: 'clung, tasted',
};

/** A step by its name; what was thrown away by its reason too. */
export function yieldStepName({ step, reason }: Pick<YieldStep, 'step' | 'reason'>): string {
  return reason === null || reason === 'said' ? NAMES[step] : DISCARD_WORDS[reason];
}
