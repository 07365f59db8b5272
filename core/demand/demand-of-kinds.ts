import { atLeast, positive } from '../check';
import { type Demand, demand, type Expected, type SoFar } from './demand';

/** Portions of one size: how many are expected in all, above 0 of any. */
export interface KindAsked {
  ml: number;
  covers: number;
}

export interface DemandOfKinds {
  /** portions still to be asked for */
  stillToCome: Demand['stillToCome'];
  /** and the litres of them, the mean */
  stillLitres: number;
  /** chance that more litres are asked for than so many */
  chanceOfMoreThan: (litres: number) => number;
  /** when so many litres have gone, as `Demand` */
  runsOut: (litres: number) => ReturnType<Demand['runsOut']>;
  /** the same in equal portions of this size, mL, in which the chances are counted */
  unitMl: number;
  inUnits: Demand;
}

/**
 * What a service still asks for in litres, where it is served in several sizes. Each size comes as its share of the
 * covers; litres are counted in portions of one size that have the same mean and the same variance.
 *
 * @param of sizes above 0 mL, at least one with covers above 0; the rest as `demand`
 * @throws RangeError naming what is out of range
 * @source published: a compound Poisson sum approximated by a scaled Poisson of the same two moments
 */
export function demandOfKinds(
  of: Omit<SoFar, 'unitsEach'> & { kinds: readonly KindAsked[]; expected: Expected },
): DemandOfKinds {
  const sum = (power: number) =>
    of.kinds.reduce(
      (all, { ml, covers }) => all + atLeast('covers', covers, 0) * positive('ml', ml) ** power,
      0,
    );
  const covers = positive('covers', sum(0));
  const meanMl = sum(1) / covers;
  const unitMl = sum(2) / sum(1);
  const inUnits = demand({ ...of, unitsEach: meanMl / unitMl });
  const units = (litres: number) => Math.floor((1000 * litres) / unitMl + 1e-6);
  return {
    stillToCome: inUnits.stillToCome,
    stillLitres: (inUnits.stillToCome.mean * meanMl) / 1000,
    chanceOfMoreThan: (litres) => inUnits.chanceOfMoreThan(units(litres)),
    runsOut: (litres) => inUnits.runsOut(units(litres) + 1),
    unitMl,
    inUnits,
  };
}
