import fc from 'fast-check';
import pchip from 'pchip';
import { expect, it } from 'vitest';
import { monotoneCurve } from './monotone-curve';

const rising = fc
  .array(
    fc.record({
      wide: fc.double({ min: 0.5, max: 9, noNaN: true }),
      up: fc.double({ min: 1, max: 900, noNaN: true }),
    }),
    { minLength: 3, maxLength: 9 },
  )
  .map((steps) => {
    const points = [{ x: 0, y: 0 }];
    for (const { wide, up } of steps) {
      const { x, y } = points.at(-1)!;
      points.push({ x: x + wide, y: y + up });
    }
    return points;
  });

it('is as SciPy draws it (recorded from PchipInterpolator of SciPy 1.17.1)', () => {
  const x = [0, 3, 4.5, 9, 16, 17, 30];
  const y = [0, 2000, 4000, 9000, 16_500, 17_100, 33_000];
  const curve = monotoneCurve(x.map((one, i) => ({ x: one, y: y[i]! })));
  const at = [1, 4, 7, 12, 16.5, 20, 29].map((one) => curve.at(one));
  const theirs = [
    412.155745, 3310.541311, 6848.450199, 12494.026762, 16798.139964, 19591.943452, 31249.172244,
  ];
  for (const [i, one] of theirs.entries()) expect(at[i]).toBeCloseTo(one, 5);
  const slopes = [222.222222, 923.076923, 1230.769231, 1092.348285, 718.562874, 733.443163, 1801.648352];
  for (const [i, one] of slopes.entries()) expect(curve.slopeAt(x[i]!)).toBeCloseTo(one, 5);
});

it('is as the `pchip` package draws it between inner points (seed 41)', () => {
  let seen = 0;
  fc.assert(
    fc.property(rising, (points) => {
      const curve = monotoneCurve(points);
      const inner = { from: points[1]!.x, to: points.at(-2)!.x };
      const pairs = points.map(({ x, y }): [number, number] => [x, y]);
      for (const [x, y] of pchip.fit(pairs, 8, 'shape_preserving')) {
        if (x < inner.from || x > inner.to) continue;
        expect(curve.at(x)).toBeCloseTo(y, 6);
        seen += 1;
      }
    }),
    { seed: 41, numRuns: 100 },
  );
  expect(seen).toBeGreaterThan(5000);
});

it('rises everywhere, goes through its points, and on straight beyond the last (seed 42)', () => {
  fc.assert(
    fc.property(rising, (points) => {
      const curve = monotoneCurve(points);
      const last = points.at(-1)!;
      for (const { x, y } of points) expect(curve.at(x)).toBeCloseTo(y, 6);
      let before = -1;
      for (let i = 0; i <= 200; i++) {
        const x = (last.x * i) / 200;
        expect(curve.at(x)).toBeGreaterThan(before);
        before = curve.at(x);
        expect(curve.slopeAt(x)).toBeGreaterThanOrEqual(-1e-9);
      }
      expect(curve.slopeAt(last.x)).toBeGreaterThan(0);
      expect(curve.at(last.x + 2) - last.y).toBeCloseTo(2 * curve.slopeAt(last.x), 6);
    }),
    { seed: 42, numRuns: 100 },
  );
});

it('refuses points that do not rise', () => {
  expect(() => monotoneCurve([{ x: 0, y: 0 }])).toThrow(/at least 2, got 1/);
  expect(() =>
    monotoneCurve([
      { x: 0, y: 0 },
      { x: 2, y: 5 },
      { x: 2, y: 6 },
    ]),
  ).toThrow(/point 2 must rise/);
  expect(() =>
    monotoneCurve([
      { x: 0, y: 0 },
      { x: 2, y: 0 },
    ]),
  ).toThrow(RangeError);
  expect(() =>
    monotoneCurve([
      { x: 0, y: 0 },
      { x: Number.NaN, y: 1 },
    ]),
  ).toThrow(/finite/);
});
