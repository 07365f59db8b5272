import { positive } from '../check';
import { type Fit, leastSquares } from './least-squares';
import { litresAtDepth } from './litres-at-depth';
import { surfaceM2 } from './surface-m2';
import { checkVessel, type Vessel, type WaterLevel } from './vessel';

/** What a stick is read to, one standard deviation, cm: the rim's height too. source: common practice, 3 mm in still water */
export const STICK_SD_CM = 0.3;

/** A plain shape further off than this share of the fullest level is none. Common practice: what a cook would notice. */
const MOST_MISFIT = 0.02;

/** As long as the misses are no more than this for each level to spare, in the stick's own spread, it may be the stick. */
const MOST_BY_STICK = 3;

/** How far a pot's width may change above the last level, as a share: nobody has seen it. From memory. */
const UNSEEN_WIDTH_SD = 0.05;

/** A shape held against the levels. */
export interface ShapeFit {
  vessel: Vessel;
  /** what the stick showed less what it should have shown, at each level, cm */
  missesCm: number[];
  /** the worst of them in litres, as a share of the fullest level */
  misfit: number;
  brim: { litres: number; sd: number };
}

export interface FittedVessel extends ShapeFit {
  /** the straight pot that comes nearest, for comparison */
  straight: ShapeFit;
}

/**
 * The pot that water was poured into: the plainest shape that its levels allow, by least squares in what the stick showed;
 * the levels themselves, as a measured pot, where no shape comes within 2 % and the stick cannot be blamed.
 *
 * @param levels litres poured in all and the depth they stood at, both rising, none above the rim; two or more
 * @param heightCm from the lowest inside point to the rim
 * @param isRound false for a pan with corners, which water cannot tell from a round one
 * @returns the pot, how far off each level is, and its brim with one standard deviation
 * @throws RangeError for fewer than two levels, or levels that do not rise or stand above the rim
 * @source published: nonlinear least squares; shapes chosen by Akaike's criterion (IEEE Trans. Automatic Control 19 (1974)
 * 716) with the stick's spread known
 */
export function fitVessel(of: {
  levels: readonly WaterLevel[];
  heightCm: number;
  isRound: boolean;
}): FittedVessel {
  const measured: Vessel = { shape: 'measured', levels: of.levels, heightCm: of.heightCm };
  checkVessel(measured);
  const straight = fitted(of, of.isRound ? CYLINDER : SQUARE);
  if (!straight) throw new RangeError('levels must tell a width');
  const others = of.isRound ? [TAPERED, KETTLE].flatMap((shape) => fitted(of, shape) ?? []) : [];
  const best = [straight, ...others].reduce((a, b) => (b.cost < a.cost - 1e-9 ? b : a));
  const isFar = best.misfit > MOST_MISFIT && best.perLevelToSpare > MOST_BY_STICK;
  const chosen = isFar ? asMeasured(of, measured) : best;
  return { ...plain(chosen), straight: plain(straight) };
}

const plain = ({ vessel, missesCm, misfit, brim }: ShapeFit): ShapeFit => ({
  vessel,
  missesCm,
  misfit,
  brim,
});

interface Candidate extends ShapeFit {
  /** Akaike's criterion */
  cost: number;
  perLevelToSpare: number;
}

interface Measured {
  levels: readonly WaterLevel[];
  heightCm: number;
}

/** A family of pots by one or two widths, and where to begin with a pot of some surface. */
interface Family {
  widths: number;
  make(widths: readonly number[], heightCm: number): Vessel;
  from(areaCm2: number): number[];
}

const across = (areaCm2: number) => Math.sqrt((4 * areaCm2) / Math.PI);
const CYLINDER: Family = {
  widths: 1,
  make: ([diameterCm], heightCm) => ({ shape: 'cylinder', diameterCm: diameterCm!, heightCm }),
  from: (area) => [across(area)],
};
const TAPERED: Family = {
  widths: 2,
  make: ([bottomDiameterCm, topDiameterCm], heightCm) => ({
    shape: 'tapered',
    bottomDiameterCm: bottomDiameterCm!,
    topDiameterCm: topDiameterCm!,
    heightCm,
  }),
  from: (area) => [across(area), across(area)],
};
const KETTLE: Family = {
  widths: 1,
  make: ([diameterCm], heightCm) => ({ shape: 'kettle', diameterCm: diameterCm!, heightCm }),
  from: (area) => [1.2 * across(area)],
};
/** Of a pan with corners water tells the area alone. */
const SQUARE: Family = {
  widths: 1,
  make: ([side], heightCm) => ({ shape: 'box', lengthCm: side!, widthCm: side!, heightCm }),
  from: (area) => [Math.sqrt(area)],
};

function fitted(of: Measured, family: Family): Candidate | null {
  const { levels, heightCm } = of;
  const fullest = levels.at(-1)!;
  const make = (widths: readonly number[]) => family.make(widths, heightCm);
  const fit = leastSquares(
    (widths) => missesCm(make(widths), levels).map((miss) => miss / STICK_SD_CM),
    family.from((fullest.litres * 1000) / fullest.depthCm),
  );
  if (!fit) return null;
  const vessel = make(fit.values);
  return {
    ...held(vessel, of, brimSd(fit, make, heightCm)),
    cost: fit.chiSquared + 2 * family.widths,
    perLevelToSpare: fit.chiSquared / Math.max(1, levels.length - family.widths),
  };
}

function held(vessel: Vessel, { levels, heightCm }: Measured, sd: number): ShapeFit {
  const fullest = levels.at(-1)!.litres;
  const off = levels.map(({ litres, depthCm }) => Math.abs(litresAtDepth(vessel, depthCm) - litres));
  return {
    vessel,
    missesCm: missesCm(vessel, levels),
    misfit: Math.max(...off) / fullest,
    brim: { litres: litresAtDepth(vessel, heightCm), sd },
  };
}

/** What the stick showed less what it should have: the litres that are missing, over the surface there. */
function missesCm(vessel: Vessel, levels: readonly WaterLevel[]): number[] {
  return levels.map(
    ({ litres, depthCm }) => (litresAtDepth(vessel, depthCm) - litres) / (10 * surfaceM2(vessel, depthCm)),
  );
}

/** One standard deviation of the brim: of the widths as the levels leave them, and of the rim's own height. */
function brimSd(fit: Fit, make: (widths: readonly number[]) => Vessel, heightCm: number): number {
  const brim = (widths: readonly number[]) => litresAtDepth(make(widths), heightCm);
  const slopes = fit.values.map((value, i) => {
    const step = value * 1e-4;
    const moved = (by: number) => fit.values.map((one, j) => (i === j ? one + by : one));
    return (brim(moved(step)) - brim(moved(-step))) / (2 * step);
  });
  const variance = slopes.reduce(
    (sum, a, i) => sum + slopes.reduce((row, b, j) => row + a * b * fit.covariance[i]![j]!, 0),
    0,
  );
  return Math.hypot(Math.sqrt(variance), rimSd(make(fit.values), heightCm));
}

const rimSd = (vessel: Vessel, heightCm: number): number => 10 * surfaceM2(vessel, heightCm) * STICK_SD_CM;

/** The levels as they were read; its brim is as sure as each of them, and as what lies above the last. */
function asMeasured(of: Measured, vessel: Vessel): ShapeFit {
  const { levels, heightCm } = of;
  const brim = litresAtDepth(vessel, heightCm);
  const moves = levels.map((_, i) => {
    const moved = levels.map((one, j) =>
      i === j ? { ...one, depthCm: one.depthCm - STICK_SD_CM / 10 } : one,
    );
    return 10 * (litresAtDepth({ shape: 'measured', levels: moved, heightCm }, heightCm) - brim);
  });
  const unseen = UNSEEN_WIDTH_SD * 2 * (brim - levels.at(-1)!.litres);
  return held(vessel, of, Math.hypot(...moves, unseen, rimSd(vessel, heightCm)));
}

/**
 * The same pot with one level more, where the stick shows what it should: what pouring on is worth.
 *
 * @param depthCm where that level would stand
 * @returns one standard deviation of the brim then, L
 * @throws RangeError as `fitVessel`
 */
export function brimSdWithLevel(
  of: { levels: readonly WaterLevel[]; heightCm: number; isRound: boolean },
  depthCm: number,
): number {
  positive('depthCm', depthCm);
  const { vessel } = fitVessel(of);
  const level = { litres: litresAtDepth(vessel, depthCm), depthCm };
  return fitVessel({ ...of, levels: [...of.levels, level] }).brim.sd;
}
