import fc from 'fast-check';
import { erf } from 'mathjs';
import { cumulativeStdNormalProbability, linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { forecast, type MassReading, truncatedNormal } from './';

const line = (kgPerMin: number, minutes: number[], sdKg = 0.1): MassReading[] =>
  minutes.map((minute) => ({ minute, massKg: 24 - kgPerMin * minute, sdKg }));

describe('forecast', () => {
  it('with a flat prior and equal readings it is ordinary regression (simple-statistics)', () => {
    const kg = [24.1, 23.0, 22.3, 21.1, 20.4, 19.2];
    const readings = kg.map((massKg, i) => ({ minute: i * 12, massKg, sdKg: 0.3 }));
    const { m, b } = linearRegression(readings.map((r) => [r.minute, r.massKg]));
    const ours = forecast({ readings, targetKg: 12 });
    expect(ours.rateKgPerMin).toBeCloseTo(-m, 10);
    expect(ours.massNowKg).toBeCloseTo(b + m * 60, 10);
    expect(ours.minute.p50).toBeCloseTo((12 - b) / m, 8);
  });
  it('each quantile is the minute where the chance of being down stands at it (simple-statistics)', () => {
    const readings = line(0.08, [0, 20, 40, 60], 0.4);
    const { minute } = forecast({ readings, targetKg: 12 });
    const n = readings.length;
    const mean = 30;
    const spread = readings.reduce((sum, r) => sum + (r.minute - mean) ** 2, 0);
    for (const [p, at] of [
      [0.1, minute.p10],
      [0.9, minute.p90],
    ] as const) {
      const sd = 0.4 * Math.sqrt(1 / n + (at! - mean) ** 2 / spread);
      const chance = cumulativeStdNormalProbability((12 - (24 - 0.08 * at!)) / sd);
      expect(chance).toBeCloseTo(p, 3);
    }
  });
  it('one exact reading and a rate: the line goes through it at that rate', () => {
    const out = forecast({
      readings: [{ minute: 5, massKg: 20, sdKg: 0 }],
      prior: { rateKgPerMin: 0.1, sd: 0.02 },
      targetKg: 18,
    });
    expect(out.massNowKg).toBeCloseTo(20, 9);
    expect(out.minute.p50).toBeCloseTo(25, 9);
    expect(out.minute.p10!).toBeCloseTo(5 + 2 / (0.1 + 1.28155 * 0.02), 3);
    expect(out.minute.p90!).toBeCloseTo(5 + 2 / (0.1 - 1.28155 * 0.02), 3);
  });
  it('prior and readings are weighed by their variances (conjugate normal, by hand)', () => {
    const readings = [
      { minute: 0, massKg: 20, sdKg: 0.1 },
      { minute: 10, massKg: 18, sdKg: 0.1 },
    ];
    const spread = (2 * 25) / 0.01;
    const priorWeight = 1 / 0.05 ** 2;
    const expected = (0.2 * spread + 0.1 * priorWeight) / (spread + priorWeight);
    const out = forecast({ readings, prior: { rateKgPerMin: 0.1, sd: 0.05 }, targetKg: 10 });
    expect(out.rateKgPerMin).toBeCloseTo(expected, 10);
  });
  it('start counts like a reading, and now may be later', () => {
    const out = forecast({
      readings: [{ minute: 10, massKg: 9, sdKg: 0.1 }],
      start: { minute: 0, massKg: 10, sdKg: 0.1 },
      targetKg: 8,
      nowMinute: 12,
    });
    expect(out.massNowKg).toBeCloseTo(8.8, 9);
    expect(out.minute.p50).toBeCloseTo(20, 9);
  });
  it('a target already met is met now', () => {
    const out = forecast({ readings: line(0.1, [0, 30]), targetKg: 22 });
    expect(out.minute).toEqual({ p10: 30, p50: 30, p90: 30 });
  });
  it('a pot that does not lose never gets there; one that hardly does leaves the far quantile open', () => {
    expect(forecast({ readings: line(-0.05, [0, 30]), targetKg: 12 }).minute.p50).toBeNull();
    const doubtful = forecast({
      readings: [{ minute: 0, massKg: 20, sdKg: 0.1 }],
      prior: { rateKgPerMin: 0.05, sd: 0.05 },
      targetKg: 15,
    });
    expect(doubtful.minute.p50).toBeCloseTo(100, 6);
    expect(doubtful.minute.p90).toBeNull();
    expect(doubtful.minute.p10!).toBeLessThan(100);
  });
  it('good readings narrow the interval, and never turn it over (seed 5)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        fc.integer({ min: 2, max: 12 }),
        (rate, n) => {
          const few = forecast({ readings: line(rate, spaced(n)), targetKg: 5, nowMinute: 0 }).minute;
          const more = forecast({ readings: line(rate, spaced(n * 2)), targetKg: 5, nowMinute: 0 }).minute;
          expect(few.p10!).toBeLessThanOrEqual(few.p50!);
          if (few.p90 === null) return;
          expect(few.p50!).toBeLessThanOrEqual(few.p90);
          expect(more.p90! - more.p10!).toBeLessThan(few.p90 - few.p10!);
        },
      ),
      { seed: 5, numRuns: 200 },
    );
  });
  it('nothing to go on is said', () => {
    expect(() => forecast({ readings: [], targetKg: 5 })).toThrow(/nothing to go on/);
    expect(() => forecast({ readings: line(0.1, [3]), targetKg: 5 })).toThrow(/two readings/);
    expect(() => forecast({ readings: line(0.1, [3, 3]), targetKg: 5 })).toThrow(RangeError);
    expect(() => forecast({ readings: [{ minute: 0, massKg: 1, sdKg: -1 }], targetKg: 5 })).toThrow(
      /sdKg.*-1/,
    );
    expect(() => forecast({ readings: line(0.1, [0, 1]), targetKg: Number.NaN })).toThrow(/targetKg/);
  });
});

function spaced(n: number): number[] {
  return Array.from({ length: n }, (_, i) => (i * 60) / (n - 1));
}

describe('a normal cut off on one side', () => {
  it('half of one is the half-normal: mean √(2/π), variance 1 − 2/π (published)', () => {
    const half = truncatedNormal({ mean: 3, sd: 2 }, 3, 'above');
    expect(half.mean).toBeCloseTo(3 + 2 * Math.sqrt(2 / Math.PI), 5);
    expect(half.sd).toBeCloseTo(2 * Math.sqrt(1 - 2 / Math.PI), 5);
    expect(truncatedNormal({ mean: 3, sd: 2 }, 3, 'below').mean).toBeCloseTo(6 - half.mean, 5);
  });
  it('the moments of the share that is left, added up by small steps (mathjs)', () => {
    for (const cut of [-1.5, -0.4, 0.7, 2]) {
      const step = 0.001;
      const below = (x: number) => (1 + erf(x / Math.SQRT2)) / 2;
      let [mass, first, second, before] = [0, 0, 0, below(cut)];
      for (let x = cut + step; x < 7; x += step) {
        const share = below(x) - before;
        before += share;
        mass += share;
        first += share * (x - step / 2);
        second += share * (x - step / 2) ** 2;
      }
      const mean = first / mass;
      const { mean: ours, sd } = truncatedNormal({ mean: 0, sd: 1 }, cut, 'above');
      expect(ours).toBeCloseTo(mean, 4);
      expect(sd).toBeCloseTo(Math.sqrt(second / mass - mean ** 2), 4);
    }
  });
  it('beyond all doubt it stays a number', () => {
    const { mean, sd } = truncatedNormal({ mean: 1, sd: 0.1 }, 0.02, 'below');
    expect(Number.isFinite(mean) && Number.isFinite(sd) && sd > 0).toBe(true);
  });
});
