import { finite } from '../check';

/** A point of a curve. */
export interface CurvePoint {
  x: number;
  y: number;
}

/** A curve through points, with its slope; both unrounded. */
export interface Curve {
  at(x: number): number;
  slopeAt(x: number): number;
}

/**
 * A smooth curve through rising points that rises everywhere between them: piecewise cubic Hermite, each slope the weighted
 * harmonic mean of its neighbours'. Beyond its last point it goes on straight.
 *
 * @param points two or more, x and y both rising from point to point
 * @returns the curve and its slope
 * @throws RangeError naming fewer than two points, or the first that does not rise
 * @example monotoneCurve([{ x: 0, y: 0 }, { x: 10, y: 5 }]).at(4) // => 2
 * @source published: F. N. Fritsch and J. Butland, SIAM J. Sci. Stat. Comput. 5 (1984) 300; ends as in C. Moler,
 * Numerical Computing (2004), § 3.4, but never quite flat
 */
export function monotoneCurve(points: readonly CurvePoint[]): Curve {
  if (points.length < 2) throw new RangeError(`points must be at least 2, got ${points.length}`);
  const steps = points.slice(1).map((point, i) => stepFrom(points[i]!, point, i + 1));
  const slopes = points.map((_, i) => slopeOf(steps, i));
  const first = points[0]!;
  const last = points.at(-1)!;
  const endSlope = slopes.at(-1)!;
  const pieceAt = (x: number) => {
    let i = steps.length - 1;
    while (i > 0 && x < points[i]!.x) i--;
    const { wide, rise } = steps[i]!;
    const from = slopes[i]!;
    const to = slopes[i + 1]!;
    // y = y₀ + s·(from + s·(bend + s·twist)) over s = x − x₀
    const bend = (3 * rise - 2 * from - to) / wide;
    const twist = (from - 2 * rise + to) / wide ** 2;
    return { s: x - points[i]!.x, y: points[i]!.y, from, bend, twist };
  };
  return {
    at(x) {
      if (x >= last.x) return last.y + endSlope * (x - last.x);
      if (x <= first.x) return first.y + slopes[0]! * (x - first.x);
      const { s, y, from, bend, twist } = pieceAt(x);
      return y + s * (from + s * (bend + s * twist));
    },
    slopeAt(x) {
      if (x >= last.x) return endSlope;
      if (x <= first.x) return slopes[0]!;
      const { s, from, bend, twist } = pieceAt(x);
      return from + s * (2 * bend + 3 * s * twist);
    },
  };
}

interface Step {
  wide: number;
  /** how steep it is */
  rise: number;
}

function stepFrom(before: CurvePoint, point: CurvePoint, n: number): Step {
  const wide = finite('x', point.x) - finite('x', before.x);
  const up = finite('y', point.y) - finite('y', before.y);
  if (wide <= 0 || up <= 0)
    throw new RangeError(
      `point ${n} must rise, got (${point.x}, ${point.y}) after (${before.x}, ${before.y})`,
    );
  return { wide, rise: up / wide };
}

function slopeOf(steps: readonly Step[], i: number): number {
  const before = steps[i - 1];
  const after = steps[i];
  if (!before) return endSlope(after!, steps[1]);
  if (!after) return endSlope(before, steps[i - 2]);
  const w1 = 2 * after.wide + before.wide;
  const w2 = after.wide + 2 * before.wide;
  return (w1 + w2) / (w1 / before.rise + w2 / after.rise);
}

/** An end is never flatter than this share of the piece beside it, or what stands there would have no surface. */
const FLATTEST_END = 0.1;

/** At an end: a parabola through three points, kept from turning round. */
function endSlope(own: Step, next: Step | undefined): number {
  if (!next) return own.rise;
  const slope = ((2 * own.wide + next.wide) * own.rise - own.wide * next.rise) / (own.wide + next.wide);
  return Math.max(slope, FLATTEST_END * own.rise);
}
