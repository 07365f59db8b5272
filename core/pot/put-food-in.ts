import {
  type Ingredient,
  type Masses,
  mapMasses,
  massesOf,
  massKg,
  NO_SAVOUR,
  plus,
  savourOf,
  type ThickenerKind,
} from '../matter';
import { bodyG } from '../thickness';

import { addToPot, takeOutOfPot } from './change-pot';
import type { PotState } from './pot';
import { bonesOf } from './pot-litres';
import { liftSteeping, softeningOf, steepingOf } from './steep';

/**
 * Puts kilograms of a food in: its masses, the body it brings, what it drinks, what water will draw out of it, and what
 * it lends as it softens.
 *
 * @param what kg edible, 0 or more; tempC as it goes in, °C
 */
export function putFoodIn(
  pot: PotState,
  what: { ingredient: Ingredient; kg: number; tempC: number; thickener?: ThickenerKind | undefined },
): PotState {
  const { ingredient, kg } = what;
  const softens = softeningOf(ingredient, kg);
  const added = addToPot(pot, {
    masses: massesOf(ingredient, kg),
    share: ingredient.share,
    tempC: what.tempC,
    flourEquivalentG: softens ? 0 : bodyG(ingredient, kg, what.thickener),
    thirstKg: kg * (ingredient.drinks ?? 0),
    savour: ingredient.share === 'liquid' ? savourOf(ingredient, kg) : NO_SAVOUR,
  });
  const steeps = ingredient.share === 'pieces' ? steepingOf(ingredient, kg) : null;
  const lies = [steeps, softens].filter((one) => one !== null);
  const boned = withBones(added, bonesOf(ingredient, kg));
  return lies.length > 0 ? { ...boned, steeping: [...(pot.steeping ?? []), ...lies] } : boned;
}

/** The pot with so much more bone in it, kg; less where it is taken out, as far as there is any. */
export function withBones(pot: PotState, kg: number): PotState {
  return kg === 0 ? pot : { ...pot, bonesKg: Math.max(0, (pot.bonesKg ?? 0) + kg) };
}

/** Takes kilograms of a food out again, less what the water has drawn, or as near as the pieces still hold it. */
export function liftFoodOut(pot: PotState, ingredient: Ingredient, kg: number): PotState {
  const { steeping, given } = liftSteeping(pot.steeping ?? [], ingredient.id, kg);
  const wanted = massesOf(ingredient, kg);
  const there = pot.mixture.pieces;
  const lifted = takeOutOfPot(
    pot,
    mapMasses((component) =>
      Math.max(0, Math.min(wanted[component] - given.masses[component], there[component])),
    ),
  );
  const boned = withBones(lifted, -bonesOf(ingredient, kg));
  return pot.steeping ? { ...boned, steeping } : boned;
}

/** Takes kilograms of a food out of the sums that never went in, as far as the pot is thought to hold them. */
export function leaveFoodOut(
  pot: PotState,
  ingredient: Ingredient,
  kg: number,
  thickener?: ThickenerKind,
): PotState {
  if (ingredient.share === 'pieces') {
    const { given } = liftSteeping(pot.steeping ?? [], ingredient.id, kg);
    const out = takeBack(liftFoodOut(pot, ingredient, kg), given.masses, given.bodyG);
    const gone = massKg(pot.mixture) - massKg(out.mixture);
    return { ...out, takenOutKg: pot.takenOutKg, addedKg: pot.addedKg - gone };
  }
  const out = takeBack(pot, massesOf(ingredient, kg), bodyG(ingredient, kg, thickener));
  return { ...out, addedKg: pot.addedKg - (massKg(pot.mixture) - massKg(out.mixture)) };
}

/** The pot without these masses (kg) and this body (g of flour) in its liquid, as far as they are there. */
function takeBack(pot: PotState, masses: Masses, flourEquivalentG: number): PotState {
  const { liquid } = pot.mixture;
  const out = mapMasses((component) => Math.min(masses[component], liquid[component]));
  return {
    ...pot,
    mixture: {
      ...pot.mixture,
      liquid: plus(liquid, out, -1),
      flourEquivalentG: Math.max(0, pot.mixture.flourEquivalentG - flourEquivalentG),
    },
  };
}
