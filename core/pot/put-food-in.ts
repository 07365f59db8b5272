import {
  type Ingredient,
  mapMasses,
  massesOf,
  massKg,
  NO_SAVOUR,
  plus,
  savourOf,
  type ThickenerKind,
  totalKg,
} from '../matter';
import { bodyG } from '../thickness';

import { addToPot, takeOutOfPot } from './change-pot';
import type { PotState } from './pot';
import { liftSteeping, steepingOf } from './steep';

/**
 * Puts kilograms of a food in: its masses, the body it brings, what it drinks, and what water will draw out of it.
 *
 * @param what kg edible, 0 or more; tempC as it goes in, °C
 */
export function putFoodIn(
  pot: PotState,
  what: { ingredient: Ingredient; kg: number; tempC: number; thickener?: ThickenerKind | undefined },
): PotState {
  const { ingredient, kg } = what;
  const added = addToPot(pot, {
    masses: massesOf(ingredient, kg),
    share: ingredient.share,
    tempC: what.tempC,
    flourEquivalentG: bodyG(ingredient, kg, what.thickener),
    thirstKg: kg * (ingredient.drinks ?? 0),
    savour: ingredient.share === 'liquid' ? savourOf(ingredient, kg) : NO_SAVOUR,
  });
  const lies = ingredient.share === 'pieces' ? steepingOf(ingredient, kg) : null;
  return lies ? { ...added, steeping: [...(pot.steeping ?? []), lies] } : added;
}

/** Takes kilograms of a food out again, less what the water has drawn, or as near as the pieces still hold it. */
export function liftFoodOut(pot: PotState, ingredient: Ingredient, kg: number): PotState {
  const { steeping, given } = liftSteeping(pot.steeping ?? [], ingredient.id, kg);
  const wanted = massesOf(ingredient, kg);
  const there = pot.mixture.pieces;
  const lifted = takeOutOfPot(
    pot,
    mapMasses((component) => Math.max(0, Math.min(wanted[component] - given[component], there[component]))),
  );
  return pot.steeping ? { ...lifted, steeping } : lifted;
}

/** Takes kilograms of a food out of the sums that never went in, as far as the pot is thought to hold them. */
export function leaveFoodOut(
  pot: PotState,
  ingredient: Ingredient,
  kg: number,
  thickener?: ThickenerKind,
): PotState {
  if (ingredient.share === 'pieces') {
    const out = liftFoodOut(pot, ingredient, kg);
    const gone = massKg(pot.mixture) - massKg(out.mixture);
    return { ...out, takenOutKg: pot.takenOutKg, addedKg: pot.addedKg - gone };
  }
  const wanted = massesOf(ingredient, kg);
  const { liquid } = pot.mixture;
  const out = mapMasses((component) => Math.min(wanted[component], liquid[component]));
  return {
    ...pot,
    mixture: {
      ...pot.mixture,
      liquid: plus(liquid, out, -1),
      flourEquivalentG: Math.max(0, pot.mixture.flourEquivalentG - bodyG(ingredient, kg, thickener)),
    },
    addedKg: pot.addedKg - totalKg(out),
  };
}
