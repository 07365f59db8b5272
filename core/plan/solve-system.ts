import { CannotCook } from './cannot-cook';

/** Unknowns that are nowhere under their least, and what is too much or missing at each trial of them. */
export interface BoundedSystem {
  start: readonly number[];
  least: readonly number[];
  /** which of them may move; the others stay where they start */
  free: readonly boolean[];
  /** one a unknown, as shares of what is wanted; at 0 it is met */
  residuals(x: readonly number[]): number[];
  /** first guess of how the residuals follow the unknowns, by rows */
  jacobian(): number[][];
}

/** Where a system was solved to. */
export interface Solution {
  x: number[];
  residual: number;
  trouble: CannotCook | null;
}

/** Met when no residual is larger. */
const TOLERANCE = 2e-5;
const MOST_TRIALS = 40;

/** A step is taken when it makes things this much better, else it is halved, so often. */
const BETTER = 0.9;
const MOST_HALVINGS = 4;

/** Too little liquid boils dry: more of everything solved, so many times over. */
const WETTER = 2;
const MOST_WETTER = 9;

/**
 * Solves a small system of equations with bounds, each trial of which is dear: Broyden's method with steps halved until
 * they help, the unknowns at their bound held there while their equation wants still less.
 *
 * @returns where it ended, the largest residual of what could still move, and what stopped the last step that could not
 *   be tried; the best trial if it did not converge
 * @throws CannotCook where no start, however wet, can be tried
 * @source Broyden, Mathematics of Computation 19 (1965), his good update; active set by sign of the residual
 */
export function solveSystem(system: BoundedSystem): Solution {
  const { least, free } = system;
  let { x, f } = firstTrial(system);
  let jacobian = system.jacobian();
  let best: Solution = { x, residual: Number.POSITIVE_INFINITY, trouble: null };
  let trouble: CannotCook | null = null;
  for (let trial = 0; trial < MOST_TRIALS; trial++) {
    const step = stepOf({ x, f, jacobian, least, free });
    const size = norm(f, step.moves);
    if (size < best.residual) best = { x, residual: size, trouble: null };
    if (size < TOLERANCE) break;
    let share = 1;
    const tried = (of: number) => {
      const found = tryAt(system, x, step.by, of);
      if (!(found instanceof CannotCook)) return found;
      trouble = found;
      return null;
    };
    let next = tried(share);
    for (let i = 0; i < MOST_HALVINGS && (!next || norm(next.f, step.moves) > BETTER * size); i++) {
      share /= 2;
      const shorter = tried(share);
      if (shorter && (!next || norm(shorter.f, step.moves) < norm(next.f, step.moves))) next = shorter;
      else if (next) break;
    }
    if (!next) break;
    jacobian = updated(jacobian, minus(next.x, x), minus(next.f, f));
    ({ x, f } = next);
  }
  return { ...best, trouble };
}

function firstTrial(system: BoundedSystem): { x: number[]; f: number[] } {
  let x = system.start.map((value, i) => Math.max(value, system.least[i]!));
  for (let i = 0; ; i++) {
    try {
      return { x, f: system.residuals(x) };
    } catch (error) {
      const isDry = error instanceof CannotCook && error.trouble.code === 'boilsDry';
      if (!isDry || !system.free[0] || i === MOST_WETTER) throw error;
      x = x.map((value, j) => (j === 0 ? Math.max(value, system.start[0]!) * WETTER : value));
    }
  }
}

function tryAt(system: BoundedSystem, from: readonly number[], by: readonly number[], share: number) {
  const x = from.map((value, i) => Math.max(system.least[i]!, value + share * by[i]!));
  try {
    return { x, f: system.residuals(x) };
  } catch (error) {
    if (error instanceof CannotCook) return error;
    throw error;
  }
}

/** The step to take, and which unknowns it moves: those at their least whose step leads under it stay there. */
function stepOf(of: {
  x: readonly number[];
  f: readonly number[];
  jacobian: readonly number[][];
  least: readonly number[];
  free: readonly boolean[];
}): { by: number[]; moves: boolean[] } {
  const { x, f, jacobian, least } = of;
  let moves = [...of.free];
  for (let round = 0; ; round++) {
    const by = solved(jacobian, f, moves);
    const stuck = moves.map((one, i) => one && x[i]! <= least[i]! && by[i]! < 0);
    if (round === x.length || !stuck.includes(true)) return { by, moves };
    moves = moves.map((one, i) => one && !stuck[i]);
  }
}

/** Solves J·by = −f in the unknowns that move, by elimination with pivoting; the others stay. */
function solved(jacobian: readonly number[][], f: readonly number[], moves: readonly boolean[]): number[] {
  const index = moves.flatMap((one, i) => (one ? [i] : []));
  const rows = index.map((i) => [...index.map((j) => jacobian[i]![j]!), -f[i]!]);
  const n = index.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column; row < n; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    if (Math.abs(rows[column]![column]!) < 1e-12) continue;
    for (let row = column + 1; row < n; row++) {
      const times = rows[row]![column]! / rows[column]![column]!;
      for (let k = column; k <= n; k++) rows[row]![k]! -= times * rows[column]![k]!;
    }
  }
  const by = moves.map(() => 0);
  for (let row = n - 1; row >= 0; row--) {
    const known = index.reduce((sum, i, k) => (k > row ? sum + rows[row]![k]! * by[i]! : sum), 0);
    const slope = rows[row]![row]!;
    by[index[row]!] = Math.abs(slope) < 1e-12 ? 0 : (rows[row]![n]! - known) / slope;
  }
  return by;
}

/** Broyden's update: the least change of J that explains what the step did. */
function updated(jacobian: readonly number[][], dx: readonly number[], df: readonly number[]): number[][] {
  const length2 = dx.reduce((sum, value) => sum + value * value, 0);
  if (length2 === 0) return jacobian.map((row) => [...row]);
  return jacobian.map((row, i) => {
    const told = row.reduce((sum, value, j) => sum + value * dx[j]!, 0);
    return row.map((value, j) => value + ((df[i]! - told) * dx[j]!) / length2);
  });
}

const minus = (a: readonly number[], b: readonly number[]) => a.map((value, i) => value - b[i]!);

function norm(f: readonly number[], moves: readonly boolean[]): number {
  return f.reduce((most, value, i) => (moves[i] ? Math.max(most, Math.abs(value)) : most), 0);
}
