import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../testing/chance';
import {
  brimSdWithLevel,
  depthAtLitres,
  fitVessel,
  litresAtDepth,
  STICK_SD_CM,
  surfaceM2,
  type Vessel,
  type WaterLevel,
  worthOfMeasuring,
} from './';

const POTS: Record<string, Vessel> = {
  cylinder: { shape: 'cylinder', diameterCm: 36, heightCm: 39.3 },
  frustum: { shape: 'tapered', topDiameterCm: 44, bottomDiameterCm: 33, heightCm: 22 },
  narrowing: { shape: 'tapered', topDiameterCm: 30, bottomDiameterCm: 38, heightCm: 34 },
  kettle: { shape: 'kettle', diameterCm: 72, heightCm: 48 },
  cap: { shape: 'kettle', diameterCm: 60, heightCm: 24 },
};
const PAN: Vessel = { shape: 'box', lengthCm: 53, widthCm: 32.5, heightCm: 20 };

/** Straight below and above, and dented in between: its walls stand in by up to 3 cm. */
const dentedRadius = (depth: number) => 17.5 - 3 * Math.exp(-(((depth - 15) / 4) ** 2));
function dentedLitres(depthCm: number): number {
  let cm3 = 0;
  for (let i = 0; i < 2000; i++)
    cm3 += Math.PI * dentedRadius((depthCm * (i + 0.5)) / 2000) ** 2 * (depthCm / 2000);
  return cm3 / 1000;
}

function levelsOf(vessel: Vessel, count: number, stickCm: (i: number) => number = () => 0): WaterLevel[] {
  const brim = litresAtDepth(vessel, vessel.heightCm);
  return Array.from({ length: count }, (_, i) => {
    const litres = (0.9 * brim * (i + 1)) / count;
    return { litres, depthCm: depthAtLitres(vessel, litres) + stickCm(i) };
  });
}
/** A general optimiser on the same misses, for a family of one or two widths. */
function generalFit(
  levels: readonly WaterLevel[],
  make: (widths: readonly number[]) => Vessel,
  initialValues: number[],
): readonly number[] {
  const missAt = (widths: readonly number[]) => (i: number) => {
    const { litres, depthCm } = levels[i]!;
    const vessel = make(widths);
    return (litresAtDepth(vessel, depthCm) - litres) / (10 * surfaceM2(vessel, depthCm));
  };
  const data = { x: levels.map((_, i) => i), y: levels.map(() => 0) };
  const how = { initialValues, minValues: initialValues.map(() => 5), gradientDifference: 1e-4 };
  const exact = { centralDifference: true, maxIterations: 400, errorTolerance: 0, improvementThreshold: 0 };
  return levenbergMarquardt(data, missAt, { ...how, ...exact }).parameterValues;
}

describe('a pot by the water poured into it', () => {
  it.each(Object.entries(POTS))('a %s read without error is found again', (_, vessel) => {
    const found = fitVessel({ levels: levelsOf(vessel, 5), heightCm: vessel.heightCm, isRound: true });
    for (const [name, value] of Object.entries(vessel))
      expect(found.vessel).toHaveProperty(name, typeof value === 'number' ? expect.closeTo(value, 3) : value);
    expect(found.misfit).toBeLessThan(1e-6);
  });
  it('a pan with corners is found by its area: water cannot tell more', () => {
    const found = fitVessel({ levels: levelsOf(PAN, 3), heightCm: 20, isRound: false });
    expect(found.vessel.shape).toBe('box');
    expect(found.brim.litres).toBeCloseTo(34.45, 3);
  });
  it('two levels of a straight pot are a straight pot', () => {
    const found = fitVessel({ levels: levelsOf(POTS.cylinder!, 2), heightCm: 39.3, isRound: true });
    expect(found.vessel.shape).toBe('cylinder');
  });
  it('least squares comes where a general optimiser comes, with the stick 3 mm off (seed 1)', () => {
    const { between } = chanceOf(1);
    let shapes = 0;
    for (let round = 0; round < 60; round++) {
      const [name, vessel] = Object.entries(POTS)[round % 5]!;
      const levels = levelsOf(vessel, 3 + (round % 4), () => between(-0.3, 0.3));
      const { heightCm } = vessel;
      const found = fitVessel({ levels, heightCm, isRound: true }).vessel;
      const { straight } = fitVessel({ levels, heightCm, isRound: true });
      const [across] = generalFit(levels, ([d]) => ({ shape: 'cylinder', diameterCm: d!, heightCm }), [30]);
      expect(straight.vessel, name).toHaveProperty('diameterCm', expect.closeTo(across!, 2));
      if (found.shape === 'tapered') {
        const [bottom, top] = generalFit(
          levels,
          ([b, t]) => ({ shape: 'tapered', bottomDiameterCm: b!, topDiameterCm: t!, heightCm }),
          [30, 30],
        );
        expect(found.bottomDiameterCm, name).toBeCloseTo(bottom!, 1);
        expect(found.topDiameterCm, name).toBeCloseTo(top!, 1);
        shapes += 1;
      }
      if (found.shape === 'kettle') {
        const [d] = generalFit(levels, ([one]) => ({ shape: 'kettle', diameterCm: one!, heightCm }), [
          heightCm * 1.4,
        ]);
        expect(found.diameterCm, name).toBeCloseTo(d!, 2);
        shapes += 1;
      }
    }
    expect(shapes).toBeGreaterThan(25);
  });
  it('the brim it says is as sure as it says, over 400 sticks that are 3 mm off (seed 2)', () => {
    const { uniform } = chanceOf(2);
    const gauss = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    for (const vessel of [POTS.cylinder!, POTS.frustum!, POTS.kettle!]) {
      const brim = litresAtDepth(vessel, vessel.heightCm);
      const squares = Array.from({ length: 400 }, () => {
        const levels = levelsOf(vessel, 4, () => STICK_SD_CM * gauss());
        const heightCm = vessel.heightCm + STICK_SD_CM * gauss();
        const found = fitVessel({
          levels,
          heightCm: Math.max(heightCm, levels.at(-1)!.depthCm),
          isRound: true,
        });
        return ((found.brim.litres - brim) / found.brim.sd) ** 2;
      });
      const spread = Math.sqrt(squares.reduce((a, b) => a + b, 0) / squares.length);
      expect(spread, vessel.shape).toBeGreaterThan(0.8);
      expect(spread, vessel.shape).toBeLessThan(1.3);
    }
  });
});

describe('a pot that has no shape', () => {
  const depths = [5, 10, 15, 20, 28, 36];
  const levels = depths.map((depthCm) => ({ litres: dentedLitres(depthCm), depthCm }));
  it('is kept as it was measured, within 1 % between its levels and at its brim', () => {
    const found = fitVessel({ levels, heightCm: 40, isRound: true });
    expect(found.vessel.shape).toBe('measured');
    expect(found.straight.misfit).toBeGreaterThan(0.02);
    for (const depth of [7, 12, 18, 24, 33, 40]) {
      const off = litresAtDepth(found.vessel, depth) - dentedLitres(depth);
      expect(Math.abs(off) / dentedLitres(40), `${depth} cm`).toBeLessThan(0.01);
    }
    expect(Math.abs(found.brim.litres - dentedLitres(40))).toBeLessThan(2 * found.brim.sd);
    expect(surfaceM2(found.vessel, 15)).toBeLessThan(surfaceM2(found.vessel, 30));
  });
  it('what measuring is worth: litres at half, minutes of a reduction by a third', () => {
    const found = fitVessel({ levels, heightCm: 40, isRound: true });
    const worth = worthOfMeasuring(found.vessel, found.straight.vessel, 4.9);
    const half = litresAtDepth(found.straight.vessel, 20) - dentedLitres(20);
    expect(worth.litresOffAtHalf).toBeCloseTo(half, 1);
    expect(Math.abs(worth.minutesEarly)).toBeGreaterThan(1);
    // the same pot for itself is worth nothing
    expect(worthOfMeasuring(found.vessel, found.vessel, 4.9)).toEqual({
      litresOffAtHalf: 0,
      minutesEarly: expect.closeTo(0, 6),
    });
  });
  it('a level near the rim is worth more than half the doubt', () => {
    const low = { levels: levels.slice(0, 3), heightCm: 40, isRound: true };
    expect(brimSdWithLevel(low, 37)).toBeLessThan(fitVessel(low).brim.sd / 2);
  });
});

it('levels that cannot be are named', () => {
  const fit = (levels: WaterLevel[]) => () => fitVessel({ levels, heightCm: 30, isRound: true });
  expect(fit([{ litres: 5, depthCm: 7 }])).toThrow(/at least 2/);
  expect(
    fit([
      { litres: 5, depthCm: 7 },
      { litres: 4, depthCm: 8 },
    ]),
  ).toThrow(/4 L at 8 cm/);
  expect(
    fit([
      { litres: 5, depthCm: 7 },
      { litres: 9, depthCm: 7 },
    ]),
  ).toThrow(/must rise/);
  expect(
    fit([
      { litres: 5, depthCm: 7 },
      { litres: 30, depthCm: 31 },
    ]),
  ).toThrow(/under the rim/);
});
