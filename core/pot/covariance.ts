import { INSTRUMENTS, WANDER } from './data/estimator';

/**
 * What a pot is unsure of, in the order of the rows below: the mass (kg), the temperature (K), what the burner gives on
 * the average, by its wandering and by its setting (shares of what its plate says, which add up, so that at the boil a
 * reading is linear in them); and the shared error of each instrument (a share).
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
] as const;
export type UnsureOf = (typeof UNSURE_OF)[number];

const N = UNSURE_OF.length;
/** Where each of them stands. */
export const ROW = Object.fromEntries(UNSURE_OF.map((name, i) => [name, i])) as Record<UnsureOf, number>;
/** The three that make the heat: the pot feels only their sum. */
const HEAT_ROWS = [ROW.burner, ROW.wander, ROW.setting] as const;

/**
 * Covariances of all of them, row by row; symmetric. A value: whoever changes one, copies it first. Plain numbers: a
 * typed array of this size lies outside the young heap, and copying one at every event took a fifth of a fold.
 */
export type Covariance = number[];

/** How much of each an expression holds: `{ mass: 1, dip: 12 }` is mass + 12 dip. */
export type Blend = Partial<Record<UnsureOf, number>>;

/** Nothing in the pot yet, its burner known to a mean and a standard deviation. */
export function initialCovariance(burner: { mean: number; sd: number }): Covariance {
  const p: Covariance = Array.from({ length: N * N }, () => 0);
  const own: Blend = {
    burner: burner.sd,
    wander: WANDER.sd * burner.mean,
    dip: INSTRUMENTS.dip.sharedShare,
    scale: INSTRUMENTS.scale.sharedShare,
    brix: INSTRUMENTS.brix.sharedShare,
    eye: INSTRUMENTS.eye.sharedShare,
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

/** How mass and temperature after a step lean on mass, temperature and the share of heat before it. */
export interface Jacobian {
  massByMass: number;
  massByTemp: number;
  massByHeat: number;
  tempByMass: number;
  tempByTemp: number;
  tempByHeat: number;
}

/** Carries doubt through a step in place: J·P·Jᵀ, the wandering forgotten by `keeps`, and the step's own noise. */
export function predict(
  p: Covariance,
  j: Jacobian,
  keeps: number,
  noise: { mass: number; temp: number; wander: number },
): void {
  const { mass: m, temp: t, wander: w } = ROW;
  for (let col = 0; col < N; col++) {
    const heat = p[HEAT_ROWS[0] * N + col]! + p[HEAT_ROWS[1] * N + col]! + p[HEAT_ROWS[2] * N + col]!;
    const mass = p[m * N + col]!;
    const temp = p[t * N + col]!;
    p[m * N + col] = j.massByMass * mass + j.massByTemp * temp + j.massByHeat * heat;
    p[t * N + col] = j.tempByMass * mass + j.tempByTemp * temp + j.tempByHeat * heat;
    p[w * N + col] = p[w * N + col]! * keeps;
  }
  for (let row = 0; row < N; row++) {
    const at = row * N;
    const heat = p[at + HEAT_ROWS[0]]! + p[at + HEAT_ROWS[1]]! + p[at + HEAT_ROWS[2]]!;
    const mass = p[at + m]!;
    const temp = p[at + t]!;
    p[at + m] = j.massByMass * mass + j.massByTemp * temp + j.massByHeat * heat;
    p[at + t] = j.tempByMass * mass + j.tempByTemp * temp + j.tempByHeat * heat;
    p[at + w] = p[at + w]! * keeps;
  }
  p[m * (N + 1)] = p[m * (N + 1)]! + noise.mass;
  p[t * (N + 1)] = p[t * (N + 1)]! + noise.temp;
  p[w * (N + 1)] = p[w * (N + 1)]! + noise.wander;
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
