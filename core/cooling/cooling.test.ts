import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { FOOD_CODE } from '../safety';
import { coolingHours } from './';

describe('cooling', () => {
  // Source: Carslaw and Jaeger's slab with surface resistance, 4 °C air, 90 °C start, 57 → 21 °C.
  it.each([
    [5, 10, 3.87],
    [5, 20, 2.18],
    [5, 40, 1.35],
    [2.5, 10, 1.81],
    [2.5, 20, 0.97],
    [2.5, 40, 0.55],
    [10, 10, 8.7],
  ])('%d cm at %d W/m²K takes %d h', (depthCm, filmWm2K, hours) => {
    const h = coolingHours({ how: 'pan', depthCm, filmWm2K, startC: 90, fromC: 57, toC: 21, airC: 4 });
    expect(Math.abs(h - hours)).toBeLessThan(hours > 5 ? 0.06 : 0.011);
  });
  it('so 5 cm in a still walk-in fails the two hours of the Food Code, 2.5 cm does not', () => {
    const h = (depthCm: number) =>
      coolingHours({ how: 'pan', depthCm, filmWm2K: 10, startC: 90, fromC: 57, toC: 21, airC: 4 });
    expect(h(5)).toBeGreaterThan(FOOD_CODE.coolFirstWithinH.value);
    expect(h(2.5)).toBeLessThan(FOOD_CODE.coolFirstWithinH.value);
  });
  it('from its first minutes on it is what a heat equation marched on a grid finds (finite differences)', () => {
    const n = 100;
    const dx = 0.05 / n;
    const dt = (0.4 * dx * dx) / 1.4e-7;
    const flux = (10 * dx) / 0.6;
    let slab = new Array<number>(n + 1).fill(60);
    let seconds = 0;
    while (slab[n / 2]! > 52) {
      const old: number[] = slab;
      slab = old.map((u, i) => {
        const inward = i === 0 ? old[1]! : i === n ? old[n - 1]! : (old[i - 1]! + old[i + 1]!) / 2;
        const film = i === 0 || i === n ? flux * (4 - u) : 0;
        return u + 0.8 * (inward - u + film);
      });
      seconds += dt;
    }
    const ours = coolingHours({ how: 'pan', depthCm: 5, filmWm2K: 10, fromC: 60, toC: 52, airC: 4 });
    expect(Math.abs(ours / (seconds / 3600) - 1)).toBeLessThan(0.02);
  });
  it('stirred in ice it is Newton’s law', () => {
    const h = coolingHours({ how: 'newton', perHour: 1.2, fromC: 57, toC: 21, airC: 0.5 });
    expect(h).toBeCloseTo(Math.log(56.5 / 20.5) / 1.2, 12);
  });
  it('nothing to do, never to be done, and nonsense', () => {
    const pan = { how: 'pan', depthCm: 5, filmWm2K: 10, airC: 4 } as const;
    expect(coolingHours({ ...pan, fromC: 20, toC: 21 })).toBe(0);
    expect(() => coolingHours({ ...pan, fromC: 57, toC: 4 })).toThrow(/toC.*4/);
    expect(() => coolingHours({ ...pan, depthCm: 0, fromC: 57, toC: 21 })).toThrow(/depthCm.*0/);
    expect(() => coolingHours({ ...pan, fromC: 57, toC: 21, startC: 50 })).toThrow(/startC.*50/);
  });
});

it('Newton cooling takes as long as an ODE solver says (odex)', () => {
  const perHour = 0.8;
  const airC = 2;
  const hours = coolingHours({ how: 'newton', perHour, fromC: 57, toC: 21, airC });
  const solver = new Solver(1);
  const { y } = solver.solve((_t: number, [tempC]: number[]) => [-perHour * (tempC! - airC)], 0, [57], hours);
  expect(y[0]).toBeCloseTo(21, 4);
});
