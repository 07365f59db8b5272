import { litres } from '../../contract';
import type { MakingRefusal, PotChoice, Split } from '../../core/order';
import { FOOD_CODE } from '../../core/safety';

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
export function wayWords(way: Split, portionMl: number): string {
  const [first, second] = way.parts;
  switch (way.kind) {
    case 'batches':
      return `${way.parts.length} equal batches in the ${first!.potName}, ${way.turnaroundMin} min between them; the first is held hot at ${FOOD_CODE.hotHoldingC.value} °C or above for ${way.heldH!.toFixed(1)} h, or cooled and reheated.`;
    case 'otherPot':
      return `All of it at once in the ${first!.potName} on ${first!.burnerName}.`;
    case 'twoPots':
      return `At the same time in the ${first!.potName} and the ${second!.potName}: twice the looking in, once the waiting.`;
    case 'holdBack': {
      const ml = Math.round(portionMl * first!.holdBackShare);
      return `Cooked concentrated in the ${first!.potName} and diluted at service: ${Math.round(portionMl - ml)} mL from the pot and ${ml} mL of hot liquid to the bowl.`;
    }
  }
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
