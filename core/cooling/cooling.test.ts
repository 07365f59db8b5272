import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { FOOD_CODE } from '../safety';
import { heldBackIce, iceBathKg, iceForWaterKg, PAN_AREA_M2, thawHours } from './';
import {
  centreC,
  cooledFor,
  hoursUntil,
  inOtherAir,
  meanC,
  slabBody,
  stirredBody,
  stirredPerHour,
} from './cooling-body';
import { coolingHours } from './cooling-hours';

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

/**
 * A pan by finite differences, implicit: soup between a lid of foil that lies on it and a tray of steel, films outside.
 * A tray is 0.7 mm (common practice); properties of aluminium and steel: published, any engineering handbook.
 */
function panByGrid(of: {
  depthM: number;
  filmWm2K: (hours: number) => number;
  airC: (hours: number) => number;
  startC: number;
}) {
  const soup = Array.from({ length: 80 }, () => ({ m: of.depthM / 80, k: 0.6, heat: 0.6 / 1.4e-7 }));
  const layers = [{ m: 2e-5, k: 220, heat: 2.4e6 }, ...soup, { m: 7e-4, k: 16, heat: 3.9e6 }];
  const between = layers.slice(1).map((one, i) => 1 / (layers[i]!.m / 2 / layers[i]!.k + one.m / 2 / one.k));
  let tempsC = layers.map(() => of.startC);
  const stepS = 10;
  return {
    step(hours: number): number {
      const film = (layer: (typeof layers)[number]) => 1 / (1 / of.filmWm2K(hours) + layer.m / 2 / layer.k);
      // (C + Σg)·T − Σ g·T_neighbour = C·T_before + g_film·T_air, by elimination
      const n = layers.length;
      const diagonal = layers.map((one) => (one.m * one.heat) / stepS);
      const right = tempsC.map((tempC, i) => diagonal[i]! * tempC);
      for (let i = 0; i < n - 1; i++) {
        diagonal[i]! += between[i]!;
        diagonal[i + 1]! += between[i]!;
      }
      for (const i of [0, n - 1]) {
        diagonal[i]! += film(layers[i]!);
        right[i]! += film(layers[i]!) * of.airC(hours);
      }
      for (let i = 1; i < n; i++) {
        const share = between[i - 1]! / diagonal[i - 1]!;
        diagonal[i]! -= share * between[i - 1]!;
        right[i]! += share * right[i - 1]!;
      }
      const after = [...tempsC];
      after[n - 1] = right[n - 1]! / diagonal[n - 1]!;
      for (let i = n - 2; i >= 0; i--) after[i] = (right[i]! + between[i]! * after[i + 1]!) / diagonal[i]!;
      tempsC = after;
      return tempsC[40]!;
    },
    stepH: stepS / 3600,
  };
}

describe('the slab against a grid with a lid of foil and a tray of steel (finite differences)', () => {
  it.each([
    [5, 10],
    [5, 20],
    [2.5, 40],
  ])('%d cm at %d W/m²K: 57 to 21 °C within 2 %%', (depthCm, filmWm2K) => {
    const grid = panByGrid({ depthM: depthCm / 100, filmWm2K: () => filmWm2K, airC: () => 4, startC: 90 });
    let hours = 0;
    let [hotH, coolH] = [0, 0];
    while (coolH === 0) {
      hours += grid.stepH;
      const middleC = grid.step(hours);
      if (hotH === 0 && middleC <= 57) hotH = hours;
      if (middleC <= 21) coolH = hours;
    }
    const ours = coolingHours({ how: 'pan', depthCm, filmWm2K, startC: 90, fromC: 57, toC: 21, airC: 4 });
    expect(Math.abs(ours / (coolH - hotH) - 1)).toBeLessThan(0.02);
  });
  it('carried from the kitchen into a blast chiller after half an hour, its layers go along', () => {
    const grid = panByGrid({
      depthM: 0.05,
      filmWm2K: (hours) => (hours <= 0.5 ? 10 : 40),
      airC: (hours) => (hours <= 0.5 ? 22 : -18),
      startC: 85,
    });
    const before = slabBody({ depthCm: 5, filmWm2K: 10, airC: 22, tempC: 85 });
    const after = inOtherAir(cooledFor(before, 0.5), { depthCm: 5, filmWm2K: 40, airC: -18 });
    let worst = 0;
    for (let hours = grid.stepH; hours < 2; hours += grid.stepH) {
      const middleC = grid.step(hours);
      if (hours < 0.1) continue;
      const oursC = hours <= 0.5 ? centreC(before, hours) : centreC(after, hours - 0.5);
      worst = Math.max(worst, Math.abs(oursC - middleC));
    }
    expect(worst).toBeLessThan(0.6);
  });
});

describe('thawing in the cold', () => {
  it('is of the order that is told to cooks: a day for 4 to 5 lb (published: USDA, The Big Thaw), longer in still air', () => {
    const day = thawHours({ litres: 2, waterShare: 0.7, airC: 4, air: 'fan' });
    expect(day).toBeGreaterThan(18);
    expect(day).toBeLessThan(36);
    expect(thawHours({ litres: 2, waterShare: 0.7, airC: 4, air: 'still' })).toBeGreaterThan(day);
  });
  it('by hand: a cube of 10 cm at 4 °C, film 10, nine parts water', () => {
    const hours = (((1000 * 333_550 * 0.9) / 5) * (0.1 / 6 / 10 + 0.01 / 24 / 0.6)) / 3600;
    expect(thawHours({ litres: 1, waterShare: 0.9, airC: 4, air: 'still' })).toBeCloseTo(hours, 6);
  });
  it('never in what is as cold as it is', () => {
    expect(() => thawHours({ litres: 1, waterShare: 0.9, airC: -2, air: 'fan' })).toThrow(/airC.*-2/);
    expect(() => thawHours({ litres: 0, waterShare: 0.9, airC: 4, air: 'fan' })).toThrow(/litres.*0/);
  });
});

describe('stirred, and by ice', () => {
  it('80 to 60 °C in 10 min in ice water is 1.73/h, and 21 °C after 46 min', () => {
    const perHour = Math.log(80 / 60) / (10 / 60);
    expect(perHour).toBeCloseTo(1.73, 2);
    expect(hoursUntil(stirredBody({ perHour, airC: 0, tempC: 80 }), 21)! * 60).toBeCloseTo(46.5, 0);
  });
  it('the first guess of ice is of that order for a deep pot, and faster for a shallow pan', () => {
    const pot = stirredPerHour({ filmWm2K: 120, depthCm: 25, areaM2: 0.102 });
    expect(pot).toBeGreaterThan(1.3);
    expect(pot).toBeLessThan(2.2);
    expect(stirredPerHour({ filmWm2K: 120, depthCm: 5, areaM2: PAN_AREA_M2 })).toBeGreaterThan(1.5 * pot);
  });
  it('10 kg at 80 °C to 21 °C takes 5.5 kg of ice in place of water, and a bath of the same order (by hand)', () => {
    const soup = { massKg: 10, specificHeatKJ: 3.9, fromC: 80, toC: 21 };
    expect(iceForWaterKg(soup)).toBeCloseTo((10 * 3.9 * 59) / (333.55 + 4.18 * 21), 6);
    expect(iceForWaterKg(soup)).toBeCloseTo(5.5, 1);
    expect(iceBathKg(soup)).toBeCloseTo(8.62, 1);
    expect(iceForWaterKg({ ...soup, fromC: 20 })).toBe(0);
    expect(() => iceForWaterKg({ ...soup, massKg: -1 })).toThrow(/massKg.*-1/);
    // held back of ten kilograms in all: what is left hot gives what the ice takes
    const all = heldBackIce({ ...soup, waterKg: 10 })!;
    const left = 10 - all.iceKg;
    expect(left * 3.9 * (80 - 21)).toBeCloseTo(all.iceKg * (333.55 + 4.18 * 21), 6);
    expect(all.endsAtC).toBeCloseTo(21, 9);
    // a kilogram of water there was: 9 kg at 80 °C and 1 kg of ice
    const some = heldBackIce({ ...soup, waterKg: 1 })!;
    expect(some.iceKg).toBe(1);
    expect(9 * 3.9 * (80 - some.endsAtC)).toBeCloseTo(333.55 + 4.18 * some.endsAtC, 6);
    expect(heldBackIce({ ...soup, waterKg: 0 })).toBeNull();
    expect(heldBackIce({ ...soup, fromC: 20, waterKg: 5 })).toBeNull();
  });
  it('a mean lies between the middle and the air; what stands never cools below its air', () => {
    const body = slabBody({ depthCm: 6, filmWm2K: 20, airC: 3, tempC: 85 });
    expect(meanC(body, 1)).toBeLessThan(centreC(body, 1));
    expect(meanC(body, 1)).toBeGreaterThan(3);
    expect(hoursUntil(body, 3)).toBeNull();
    expect(hoursUntil(body, 90)).toBe(0);
  });
});
