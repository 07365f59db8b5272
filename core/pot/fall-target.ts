import { positive, within } from '../check';
import { brixOf, massKg, saltPercent, solutionKg, totalKg, waterDensityKgPerL } from '../matter';
import { flourEquivalentOfBand } from '../thickness';
import { litresAtDepth } from '../vessel';
import { bodyOfPot } from './body';

import type { PotTarget } from './forecast-pot';
import type { PotSetup, PotState } from './pot';
import { liquidLitres, massAtLitres } from './pot-litres';

/** What a pot can be let fall to. Shares and litres are of liquid and pieces together. */
export type FallTarget =
  | { kind: 'gone'; fraction: number }
  | { kind: 'litres'; litres: number }
  | { kind: 'depth'; cm: number }
  | { kind: 'weight'; kg: number }
  | { kind: 'brix'; brix: number }
  | { kind: 'salt'; percent: number }
  | { kind: 'band'; band: number };

/**
 * The mass at which a pot, losing only water, has fallen to a target.
 *
 * @param setup the vessel, for a depth
 * @param pot the pot now
 * @param target gone 0..0.98 of `fromLitres`; litres above 0; cm 0..height; kg above 0; °Brix above 0 to 80; salt above 0
 *   to 30 percent evened out; band above 0 to 6
 * @param fromLitres where the fall began
 * @returns a target to forecast, with the instrument whose own error cancels in it
 * @throws RangeError for what the pot cannot come to by losing water: salt, solids or body it has none of
 * @source mass balance: what is dissolved stays
 */
export function fallTo(setup: PotSetup, pot: PotState, target: FallTarget, fromLitres: number): PotTarget {
  switch (target.kind) {
    case 'gone': {
      const left = 1 - within('fraction', target.fraction, 0, 0.98);
      return { kind: 'mass', kg: massAtLitres(pot, fromLitres * left) };
    }
    case 'litres':
      return { kind: 'mass', kg: massAtLitres(pot, positive('litres', target.litres)), readBy: 'dip' };
    case 'depth': {
      const litres = litresAtDepth(setup.vessel, within('cm', target.cm, 0, setup.vessel.heightCm));
      return { kind: 'mass', kg: massAtLitres(pot, litres), readBy: 'dip' };
    }
    case 'weight':
      return { kind: 'mass', kg: positive('kg', target.kg), readBy: 'scale' };
    case 'brix': {
      const brix = within('brix', target.brix, 0.01, 80);
      const now = positive('what is dissolved', brixOf(pot.mixture.liquid));
      const { liquid, pieces } = pot.mixture;
      const undissolvedKg = liquid.fat + liquid.starch + totalKg(pieces);
      const kg = (solutionKg(liquid) * now) / brix + undissolvedKg;
      return { kind: 'mass', kg, readBy: 'brix' };
    }
    case 'salt': {
      const percent = within('percent', target.percent, 0.01, 30);
      const now = positive('the salt in it', saltPercent(pot.mixture, 'all'));
      return { kind: 'mass', kg: (massKg(pot.mixture) * now) / percent };
    }
    case 'band': {
      const wanted = positive('body', flourEquivalentOfBand({ band: target.band }));
      const litres = positive('the body in it', bodyOfPot(pot)) / wanted;
      const fallsL = liquidLitres(pot) - litres;
      return { kind: 'mass', kg: massKg(pot.mixture) - fallsL * waterDensityKgPerL({ tempC: 20 }) };
    }
  }
}
