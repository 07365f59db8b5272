import { atLeast, within } from '../check';
import {
  COMPONENTS,
  type Masses,
  mapMasses,
  NO_MASSES,
  plus,
  times,
  totalKg,
  withSalt,
  withWater,
} from './masses';
import { type Mixture, massKg } from './mixture';
import { NO_SAVOUR, plusSavour, type Savour, timesSavour } from './savour';

/*
 * What a cook does to a mixture. Each takes a mixture and gives a new one; what leaves comes back beside what stays,
 * so that mass is conserved to rounding and nothing goes negative.
 */

/** Puts masses (kg) into the liquid or among the pieces, with the thickening they bring, grams of flour equivalent, and savour. */
export function add(
  mixture: Mixture,
  masses: Masses,
  share: 'liquid' | 'pieces',
  flourEquivalentG = 0,
  savour: Savour = NO_SAVOUR,
): Mixture {
  for (const component of COMPONENTS) atLeast(`masses.${component}`, masses[component], 0);
  return {
    liquid: share === 'liquid' ? plus(mixture.liquid, masses) : mixture.liquid,
    pieces: share === 'pieces' ? plus(mixture.pieces, masses) : mixture.pieces,
    flourEquivalentG: mixture.flourEquivalentG + atLeast('flourEquivalentG', flourEquivalentG, 0),
    savour: savour === NO_SAVOUR ? mixture.savour : plusSavour(mixture.savour, savour),
  };
}

/** Drives off water, kg: the liquid's first, then what the pieces hold. More than there is: RangeError. */
export function evaporate(mixture: Mixture, waterKg: number): Mixture {
  const { liquid, pieces } = mixture;
  within('waterKg', waterKg, 0, liquid.water + pieces.water);
  const fromLiquid = Math.min(waterKg, liquid.water);
  return {
    liquid: withWater(liquid, liquid.water - fromLiquid),
    pieces:
      fromLiquid === waterKg ? pieces : withWater(pieces, Math.max(0, pieces.water - (waterKg - fromLiquid))),
    flourEquivalentG: mixture.flourEquivalentG,
    savour: mixture.savour,
  };
}

/** The other way: water, kg, that was taken for steam is in the liquid after all. */
export function condense(mixture: Mixture, waterKg: number): Mixture {
  return {
    liquid: withWater(mixture.liquid, mixture.liquid.water + atLeast('waterKg', waterKg, 0)),
    pieces: mixture.pieces,
    flourEquivalentG: mixture.flourEquivalentG,
    savour: mixture.savour,
  };
}

/** Ladles out a share (0..1) of everything, pieces and liquid alike. */
export function drawOff(mixture: Mixture, share: number): { left: Mixture; drawn: Mixture } {
  within('share', share, 0, 1);
  return { left: scaleMixture(mixture, 1 - share), drawn: scaleMixture(mixture, share) };
}

/** Draws masses (kg) and savour out of the pieces into the liquid, as far as the pieces still hold them, and body, g of flour. */
export function drawOut(mixture: Mixture, masses: Masses, savour: Savour, bodyG = 0): Mixture {
  const moved = mapMasses((component) => Math.min(masses[component], mixture.pieces[component]));
  return {
    liquid: plus(mixture.liquid, moved),
    pieces: plus(mixture.pieces, moved, -1),
    flourEquivalentG: mixture.flourEquivalentG + bodyG,
    savour: plusSavour(mixture.savour, savour),
  };
}

/** Pours the liquid away; the pieces stay and keep `clingKg` of it (at most what there is). */
export function drain(mixture: Mixture, clingKg: number): { left: Mixture; out: Mixture } {
  const { left, out } = strain(mixture, clingKg);
  return { left: out, out: left };
}

/** Strains: the pieces leave and carry `clingKg` of liquid (at most what there is) with them. */
export function strain(mixture: Mixture, clingKg: number): { left: Mixture; out: Mixture } {
  const liquidKg = totalKg(mixture.liquid);
  within('clingKg', clingKg, 0, liquidKg);
  const share = liquidKg === 0 ? 0 : clingKg / liquidKg;
  const out: Mixture = {
    liquid: times(mixture.liquid, share),
    pieces: mixture.pieces,
    flourEquivalentG: mixture.flourEquivalentG * share,
    savour: timesSavour(mixture.savour, share),
  };
  const left: Mixture = {
    liquid: times(mixture.liquid, 1 - share),
    pieces: NO_MASSES,
    flourEquivalentG: mixture.flourEquivalentG * (1 - share),
    savour: timesSavour(mixture.savour, 1 - share),
  };
  return { left, out };
}

/** Purées a share (0..1) of the pieces into the liquid; the pulp thickens like so many grams of flour. */
export function puree(mixture: Mixture, share: number, bodyG: number): Mixture {
  within('share', share, 0, 1);
  const pulp = times(mixture.pieces, share);
  return {
    liquid: plus(mixture.liquid, pulp),
    pieces: plus(mixture.pieces, pulp, -1),
    flourEquivalentG: mixture.flourEquivalentG + atLeast('bodyG', bodyG, 0),
    savour: mixture.savour,
  };
}

/** Pieces (barley, pasta, pulses) drink water, kg, from the liquid. */
export function absorb(mixture: Mixture, waterKg: number): Mixture {
  within('waterKg', waterKg, 0, mixture.liquid.water);
  return {
    ...mixture,
    liquid: { ...mixture.liquid, water: mixture.liquid.water - waterKg },
    pieces: { ...mixture.pieces, water: mixture.pieces.water + waterKg },
  };
}

/** Fat, kg, runs out of the pieces into the liquid. */
export function render(mixture: Mixture, fatKg: number): Mixture {
  within('fatKg', fatKg, 0, mixture.pieces.fat);
  return {
    ...mixture,
    liquid: { ...mixture.liquid, fat: mixture.liquid.fat + fatKg },
    pieces: { ...mixture.pieces, fat: mixture.pieces.fat - fatKg },
  };
}

/** Lifts fat, kg, off the liquid. */
export function skimFat(mixture: Mixture, fatKg: number): { left: Mixture; skimmed: Masses } {
  within('fatKg', fatKg, 0, mixture.liquid.fat);
  return {
    left: { ...mixture, liquid: { ...mixture.liquid, fat: mixture.liquid.fat - fatKg } },
    skimmed: { ...NO_MASSES, fat: fatKg },
  };
}

/** Takes pieces out, as they are: thrown away, salvaged or parked. More than there is: RangeError. */
export function takeOut(mixture: Mixture, pieces: Masses): Mixture {
  for (const component of COMPONENTS) {
    within(`pieces.${component}`, pieces[component], 0, mixture.pieces[component]);
  }
  return { ...mixture, pieces: plus(mixture.pieces, pieces, -1) };
}

/**
 * Lets salt wander between liquid and pieces towards the same strength in the water of both.
 * `share` (0..1) is how much of the difference has gone: 1 − e^(−minutes / time constant).
 */
export function exchangeSalt(mixture: Mixture, share: number): Mixture {
  within('share', share, 0, 1);
  const { liquid, pieces } = mixture;
  const water = liquid.water + pieces.water;
  if (water === 0) return mixture;
  const evenKg = ((liquid.salt + pieces.salt) * pieces.water) / water;
  const movedKg = (evenKg - pieces.salt) * share;
  if (movedKg === 0) return mixture;
  return {
    liquid: withSalt(liquid, liquid.salt - movedKg),
    pieces: withSalt(pieces, pieces.salt + movedKg),
    flourEquivalentG: mixture.flourEquivalentG,
    savour: mixture.savour,
  };
}

/** Kilograms in the pot that are salt, per hundred: of the liquid alone, or of everything at equilibrium. */
export function saltPercent(mixture: Mixture, of: 'liquid' | 'all'): number {
  const kg = of === 'liquid' ? totalKg(mixture.liquid) : massKg(mixture);
  const salt = of === 'liquid' ? mixture.liquid.salt : mixture.liquid.salt + mixture.pieces.salt;
  return kg === 0 ? 0 : (100 * salt) / kg;
}

/** Liquid and pieces as one set of masses. */
export function whole(mixture: Mixture): Masses {
  return plus(mixture.liquid, mixture.pieces);
}

function scaleMixture(mixture: Mixture, share: number): Mixture {
  return {
    liquid: times(mixture.liquid, share),
    pieces: times(mixture.pieces, share),
    flourEquivalentG: mixture.flourEquivalentG * share,
    savour: timesSavour(mixture.savour, share),
  };
}
