import { INSTRUMENTS, SURFACE, WALL_SD, WANDER } from './data/estimator';

/**
 * What a pot is unsure of, in the order of the rows below: the mass (kg), the temperature (K), what the burner gives on
 * the average, by its wandering and by its setting (shares of what it is rated at, which add up, so that at the boil a
 * reading is linear in them); the shared error of each instrument (a share; of the probe in K); what leaves the surface
 * over what the law says, and what this lid lets through beside its usual (shares that add up too); the wall's loss (a
 * share).
 */
export const UNSURE_OF = [
  'mass',
  'temp',
  'burner',
  'wander',
  'setting',
  'dip',
  'scale',
  'brix',
  'eye',
  'surface',
  'lid',
  'wall',
  'probe',
] as const;
export type UnsureOf = (typeof UNSURE_OF)[number];

const N = UNSURE_OF.length;
/** Where each of them stands. */
export const ROW = Object.fromEntries(UNSURE_OF.map((name, i) => [name, i])) as Record<UnsureOf, number>;
/** The three that make the heat: the pot feels only their sum. */
const HEAT_ROWS = [ROW.burner, ROW.wander, ROW.setting] as const;
/** The two that make the surface: what is lost feels only their sum. */
const SURFACE_ROWS = [ROW.surface, ROW.lid] as const;

/**
 * Covariances of all of them, row by row; symmetric. A value: whoever changes one, copies it first. Plain numbers: a
 * typed array of this size lies outside the young heap, and copying one at every event took a fifth of a fold.
 */
export type Covariance = number[];

/** How much of each an expression holds: `{ mass: 1, dip: 12 }` is mass + 12 dip. */
export type Blend = Partial<Record<UnsureOf, number>>;

/** Nothing in the pot yet, the lid off, its burner known to a mean and a standard deviation, its surface
 * and the cook's eye to one. */
export function initialCovariance(
  burner: { mean: number; sd: number },
  surfaceSd: number = SURFACE.sd,
  eyeSd: number = INSTRUMENTS.eye.sharedShare,
): Covariance {
  const p: Covariance = Array.from({ length: N * N }, () => 0);
  const own: Blend = {
    burner: burner.sd,
    wander: WANDER.sd * burner.mean,
    dip: INSTRUMENTS.dip.sharedShare,
    scale: INSTRUMENTS.scale.sharedShare,
    brix: INSTRUMENTS.brix.sharedShare,
    eye: eyeSd,
    surface: surfaceSd,
    wall: WALL_SD,
    probe: INSTRUMENTS.probe.sharedC,
  };
  for (const name of UNSURE_OF) p[ROW[name] * (N + 1)] = (own[name] ?? 0) ** 2;
  return p;
}

export function variance(p: Covariance, of: UnsureOf): number {
  return p[ROW[of] * (N + 1)]!;
}

/** Covariance of two expressions. */
export function covarianceOf(p: Covariance, a: Blend, b: Blend): number {
  timesVector(p, vectorOf(b, H), BESIDE);
  vectorOf(a, H);
  let sum = 0;
  for (let i = 0; i < N; i++) sum += H[i]! * BESIDE[i]!;
  return sum;
}

/** Worked in and left behind: a fold does this thousands of times, and making arrays took longer than filling them. */
const H = new Float64Array(N);
const BESIDE = new Float64Array(N);

function vectorOf(blend: Blend, into: Float64Array): Float64Array {
  into[0] = blend.mass ?? 0;
  into[1] = blend.temp ?? 0;
  into[2] = blend.burner ?? 0;
  into[3] = blend.wander ?? 0;
  into[4] = blend.setting ?? 0;
  into[5] = blend.dip ?? 0;
  into[6] = blend.scale ?? 0;
  into[7] = blend.brix ?? 0;
  into[8] = blend.eye ?? 0;
  into[9] = blend.surface ?? 0;
  into[10] = blend.lid ?? 0;
  into[11] = blend.wall ?? 0;
  into[12] = blend.probe ?? 0;
  return into;
}

/** P·h: how each of them leans on the expression. */
function timesVector(p: Covariance, h: Float64Array, into: Float64Array): void {
  for (let i = 0; i < N; i++) into[i] = 0;
  for (let j = 0; j < N; j++) {
    const much = h[j]!;
    if (much === 0) continue;
    for (let i = 0; i < N; i++) into[i] = into[i]! + much * p[j * N + i]!;
  }
}

/** How mass and temperature after a step lean on mass, temperature and the shares of heat, surface and wall before it. */
export interface Jacobian {
  massByMass: number;
  massByTemp: number;
  massByHeat: number;
  massBySurface: number;
  massByWall: number;
  tempByMass: number;
  tempByTemp: number;
  tempByHeat: number;
  tempBySurface: number;
  tempByWall: number;
}

/** Carries doubt through a step in place: J·P·Jᵀ, the wandering forgotten by `keeps`, and the step's own noise. */
export function predict(
  p: Covariance,
  j: Jacobian,
  keeps: number,
  noise: { mass: number; temp: number; wander: number; surface: number },
): void {
  const { mass: m, temp: t, wander: w, wall } = ROW;
  const [h0, h1, h2] = HEAT_ROWS;
  const [s0, s1] = SURFACE_ROWS;
  for (let col = 0; col < N; col++) {
    const heat = p[h0 * N + col]! + p[h1 * N + col]! + p[h2 * N + col]!;
    const surface = p[s0 * N + col]! + p[s1 * N + col]!;
    const walls = p[wall * N + col]!;
    const mass = p[m * N + col]!;
    const temp = p[t * N + col]!;
    p[m * N + col] =
      j.massByMass * mass +
      j.massByTemp * temp +
      j.massByHeat * heat +
      j.massBySurface * surface +
      j.massByWall * walls;
    p[t * N + col] =
      j.tempByMass * mass +
      j.tempByTemp * temp +
      j.tempByHeat * heat +
      j.tempBySurface * surface +
      j.tempByWall * walls;
    p[w * N + col] = p[w * N + col]! * keeps;
  }
  for (let row = 0; row < N; row++) {
    const at = row * N;
    const heat = p[at + h0]! + p[at + h1]! + p[at + h2]!;
    const surface = p[at + s0]! + p[at + s1]!;
    const walls = p[at + wall]!;
    const mass = p[at + m]!;
    const temp = p[at + t]!;
    p[at + m] =
      j.massByMass * mass +
      j.massByTemp * temp +
      j.massByHeat * heat +
      j.massBySurface * surface +
      j.massByWall * walls;
    p[at + t] =
      j.tempByMass * mass +
      j.tempByTemp * temp +
      j.tempByHeat * heat +
      j.tempBySurface * surface +
      j.tempByWall * walls;
    p[at + w] = p[at + w]! * keeps;
  }
  p[m * (N + 1)] = p[m * (N + 1)]! + noise.mass;
  p[t * (N + 1)] = p[t * (N + 1)]! + noise.temp;
  p[w * (N + 1)] = p[w * (N + 1)]! + noise.wander;
  p[s0 * (N + 1)] = p[s0 * (N + 1)]! + noise.surface;
}

/** How mass and temperature some way on lean on each of them at its start, and how much of the wandering is left. */
export interface Slopes {
  readonly mass: Float64Array;
  readonly temp: Float64Array;
  wanderKept: number;
}

/** At the start of a way: each leans on itself alone. */
export function noSlopes(): Slopes {
  const slopes = { mass: new Float64Array(N), temp: new Float64Array(N), wanderKept: 1 };
  slopes.mass[ROW.mass] = 1;
  slopes.temp[ROW.temp] = 1;
  return slopes;
}

/** Takes them a step further, in place. */
export function carrySlopes(slopes: Slopes, j: Jacobian, keeps: number): void {
  const { mass, temp } = slopes;
  for (let i = 0; i < N; i++) {
    const m = mass[i]!;
    const t = temp[i]!;
    mass[i] = j.massByMass * m + j.massByTemp * t;
    temp[i] = j.tempByMass * m + j.tempByTemp * t;
  }
  const lean = (row: number, byMass: number, byTemp: number) => {
    mass[row] = mass[row]! + byMass;
    temp[row] = temp[row]! + byTemp;
  };
  lean(ROW.burner, j.massByHeat, j.tempByHeat);
  lean(ROW.setting, j.massByHeat, j.tempByHeat);
  lean(ROW.wander, j.massByHeat * slopes.wanderKept, j.tempByHeat * slopes.wanderKept);
  for (const row of SURFACE_ROWS) lean(row, j.massBySurface, j.tempBySurface);
  lean(ROW.wall, j.massByWall, j.tempByWall);
  slopes.wanderKept *= keeps;
}

/** P·h for an expression by rows, and hᵀ·P·h. */
export function leaningsOf(p: Covariance, by: Float64Array): { each: Float64Array; variance: number } {
  const each = new Float64Array(N);
  timesVector(p, by, each);
  let own = 0;
  for (let i = 0; i < N; i++) own += by[i]! * each[i]!;
  return { each, variance: own };
}

/** How each of them leans on an expression that is measured, P·h; and the variance of the expression itself, hᵀ·P·h. */
export interface Projection {
  readonly each: readonly number[];
  readonly variance: number;
}

export function project(p: Covariance, measured: Blend): Projection {
  timesVector(p, vectorOf(measured, H), BESIDE);
  const each: number[] = [];
  let own = 0;
  for (let i = 0; i < N; i++) {
    const much = BESIDE[i]!;
    each.push(much);
    own += H[i]! * much;
  }
  return { each, variance: own };
}

/** What a measurement leaves of the doubt, and how far it pulls each of them, by `ROW`: the Kalman update. */
export function update(
  p: Covariance,
  on: Projection,
  innovation: number,
  noise: number,
): { pull: readonly number[]; covariance: Covariance } {
  const { each } = on;
  const weight = 1 / (on.variance + noise);
  const covariance = p.slice();
  for (let row = 0; row < N; row++) {
    const share = each[row]! * weight;
    const at = row * N;
    if (share === 0) continue;
    for (let col = 0; col < N; col++) covariance[at + col] = covariance[at + col]! - share * each[col]!;
  }
  return { pull: each.map((much) => much * weight * innovation), covariance };
}

/** A cold load thins the doubt about the temperature by the pot's share of the whole, and adds the scale's to the mass. */
export function withAddition(p: Covariance, share: number, massVariance: number): Covariance {
  const after = p.slice();
  for (let i = 0; i < N; i++) {
    after[ROW.temp * N + i] = after[ROW.temp * N + i]! * share;
    after[i * N + ROW.temp] = after[i * N + ROW.temp]! * share;
  }
  after[ROW.mass * (N + 1)] = after[ROW.mass * (N + 1)]! + massVariance;
  return after;
}

/** One of them is known afresh, to a variance of its own, and leans on nothing else any more. */
export function setAfresh(p: Covariance, of: UnsureOf, ownVariance: number): Covariance {
  const after = p.slice();
  for (let i = 0; i < N; i++) {
    after[ROW[of] * N + i] = 0;
    after[i * N + ROW[of]] = 0;
  }
  after[ROW[of] * (N + 1)] = ownVariance;
  return after;
}
