import { atLeast, positive, within } from '../check';
import { type ArrivalCurve, arrivedBy, FLAT_CURVE, whenArrived } from './arrival-curve';
import { chanceOfMore } from './negative-binomial';

/** How many bowls a whole service is thought to ask for: mean and one standard deviation of the mean itself. */
export interface Expected {
  mean: number;
  sd: number;
}

/** What is known in the middle of a service. */
export interface SoFar {
  expected: Expected;
  curve?: ArrivalCurve;
  /** of the service's time gone, 0..1; bowls asked for since it began, served or turned away */
  part: number;
  asked: number;
  /** of what the chances are counted in, to one bowl asked for; 1 for bowls */
  unitsEach?: number;
}

export interface Demand {
  /** bowls still to be asked for: mean and one standard deviation */
  stillToCome: { mean: number; sd: number };
  /** chance that more units are asked for than so many */
  chanceOfMoreThan: (left: number) => number;
  /** when the last of so many goes, as a part of the service's time: three moments; null where it lasts to the end */
  runsOut: (left: number) => { p10: number | null; p50: number | null; p90: number | null };
}

/**
 * What a service still asks for, from what was expected and what it has asked for so far. The mean is a gamma, what comes
 * of it Poisson: each bowl asked for early or late moves it, and a busy start makes a busy end likelier.
 *
 * @param of expected mean and sd above 0; part 0..1; asked 0 or more
 * @throws RangeError naming what is out of range
 * @example demand({ expected: { mean: 60, sd: 12 }, part: 1 / 3, asked: 30 }).stillToCome.mean // => 48.89
 * @source published: gamma–Poisson conjugacy; the counts that follow are negative binomial
 */
export function demand(of: SoFar): Demand {
  const mean = positive('expected.mean', of.expected.mean);
  const sd = positive('expected.sd', of.expected.sd);
  const asked = atLeast('asked', of.asked, 0);
  const curve = of.curve ?? FLAT_CURVE;
  const part = within('part', of.part, 0, 1);
  const gone = arrivedBy(curve, part);
  // a gamma of shape (m/s)² and rate m/s²; what was asked for adds to the shape, the share gone to the rate
  const shape = (mean / sd) ** 2 + asked;
  const rate = mean / sd ** 2 + gone;
  const unitsEach = positive('unitsEach', of.unitsEach ?? 1);
  const moreIn = (share: number, left: number) =>
    chanceOfMore({ shape, mean: (shape / rate) * share * unitsEach, than: left });
  const toCome = 1 - gone;
  const stillMean = (shape / rate) * toCome;
  const goneWhen = (left: number, chance: number): number | null => {
    if (left < 0) return part;
    if (moreIn(toCome, left - 1) < chance) return null;
    let [low, high] = [0, toCome];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2;
      // the last of them has gone once as many have been asked for
      if (moreIn(middle, left - 1) < chance) low = middle;
      else high = middle;
    }
    return whenArrived(curve, Math.min(1, gone + high));
  };
  return {
    stillToCome: { mean: stillMean, sd: Math.sqrt(stillMean + stillMean ** 2 / shape) },
    chanceOfMoreThan: (left) => moreIn(toCome, left),
    runsOut: (left) => ({
      p10: goneWhen(left, 0.1),
      p50: goneWhen(left, 0.5),
      p90: goneWhen(left, 0.9),
    }),
  };
}
const HALVINGS = 30;
