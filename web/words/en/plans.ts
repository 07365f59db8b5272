import { minutes, thePot } from '../../../contract';
import type { MakingRefusal, PotChoice, Split } from '../../../core/order';
import type { PlannedRun, SlowReheat, UnmetWish } from '../../../core/plan';
import { CODE_HOT_LIMITS, type HotLimits, limitSource } from '../../../core/safety';
import { bandName } from '../../../core/thickness';
import { decimal, litres, portion, temperature } from '../amounts';

/** Words for plans compared: how an order goes in a pot, the ways to cook it, why a base cannot be made. */

export function fitWords(choice: PotChoice): string {
  switch (choice.fit) {
    case 'fits':
      return 'fits';
    case 'tight':
      return 'just fits, watch it';
    case 'shallow':
      return 'shallow, reduces fast';
    case 'batches':
      return `${choice.batches} batches`;
    case 'cannot':
      return 'not on this burner';
  }
}

/** It can be cooked there at once. */
export function isFit({ fit }: PotChoice): boolean {
  return fit !== 'batches' && fit !== 'cannot';
}

/** What a way asks of the cook, and what it costs. */
export function wayWords(way: Split, portionMl: number, limits: HotLimits): string {
  const [first, second] = way.parts;
  switch (way.kind) {
    case 'batches':
      return `${way.parts.length} equal batches in ${thePot(first!.potName)}, ${way.turnaroundMin} min between them. Hold the first hot at ${temperature(limits.hotHoldingC)} or above for ${decimal(way.heldH!, 1)} h, or cool and reheat it.`;
    case 'otherPot':
      return `All of it at once in ${thePot(first!.potName)} on ${first!.burnerName}.`;
    case 'twoPots':
      return `At the same time in ${thePot(first!.potName)} and ${thePot(second!.potName)}: twice the looking in, once the waiting.`;
    case 'holdBack': {
      const ml = Math.round(portionMl * first!.holdBackShare);
      return `Cooked concentrated in ${thePot(first!.potName)} and diluted at service. A bowl is ${portion(Math.round(portionMl - ml))} from the pot and ${portion(ml)} of hot liquid to the bowl.`;
    }
  }
}

/** A reheated dish that is too slow, and what makes it quicker. */
export function slowReheatWords(
  { minutes: long, mostMinutes, halfMinutes }: SlowReheat,
  limits: HotLimits = CODE_HOT_LIMITS,
): string {
  const half = halfMinutes === null ? '' : `Half at a time takes ${minutes(halfMinutes)}. `;
  return `Too slow: ${minutes(long)} to ${temperature(limits.reheatC)}; allowed are ${minutes(mostMinutes)} (${limitSource(limits, 'reheatWithinH')}). ${half}Two pots, a wider pot or a stronger burner are quicker.`;
}

/** What was asked for and cannot be had, and what comes nearest. */
export function unmetWords({ wish, wanted, nearest, why }: UnmetWish): string {
  const because = UNMET_BECAUSE[wish][why] ?? 'it cannot be had with these amounts';
  switch (wish) {
    case 'bowls':
      return `it comes to ${decimal(nearest, 1)} bowls, not ${wanted}: ${because}.`;
    case 'salt':
      return `salt comes to ${decimal(nearest, 2)} %, not ${wanted} %: ${because}.`;
    case 'band':
      return `it ${nearest < wanted ? 'only' : 'already'} ${bandName(nearest)}: ${because}.`;
  }
}

const UNMET_BECAUSE: Record<UnmetWish['wish'], Partial<Record<UnmetWish['why'], string>>> = {
  bowls: {
    nothingToSolve: 'no liquid of the recipe makes up the rest',
    tooMuchAlready: 'even without its liquid there is more',
  },
  salt: {
    nothingToSolve: 'the recipe adds no salt of its own',
    tooMuchAlready: 'the food brings more than that by itself',
  },
  band: {
    nothingToSolve: 'nothing in the recipe thickens it to order',
    tooMuchAlready: 'the food thickens it by itself',
    noRoomForLiquid: 'more thickener would leave no room for the liquid; a paler roux or a starch binds more',
  },
};

/** Batches of a pot one after the other, each with its hours. */
export function runsWords(runs: readonly PlannedRun[], hour: (ms: number) => string): string {
  const said = runs.slice(0, 3).map((run) => `${hour(run.startAtMs)} to ${hour(run.readyAtMs)}`);
  const last = runs.at(-1)!;
  if (runs.length > 4) said.push('…');
  if (runs.length > 3) said.push(`${hour(last.startAtMs)} to ${hour(last.readyAtMs)}`);
  return said.join(', ');
}

/** Why a base that is short cannot be made here. */
export function makingRefusalWords(
  refusal: MakingRefusal,
  sentenceOf: (refusal: Exclude<MakingRefusal, { code: 'noRecipe' | 'noPot' }>) => string,
): string {
  switch (refusal.code) {
    case 'noRecipe':
      return 'No recipe of the book makes it: buy it in, or substitute it.';
    case 'noPot':
      return 'No pot here holds it.';
    default:
      return sentenceOf(refusal);
  }
}

/** An amount by the litre of its density. */
export const litresOf = (kg: number, densityKgPerL: number) => litres(kg / densityKgPerL);
