import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { depthAtLitres, litresAtDepth, surfaceM2, type Vessel, wallM2, workingFillLitres } from './';

const stockpot: Vessel = { shape: 'cylinder', diameterCm: 36, heightCm: 36 };
const rondeau: Vessel = { shape: 'tapered', topDiameterCm: 34, bottomDiameterCm: 28, heightCm: 30 };
const kettle: Vessel = { shape: 'kettle', diameterCm: 60, heightCm: 50 };
const box: Vessel = { shape: 'box', lengthCm: 50, widthCm: 30, heightCm: 15 };

describe('litres at depth', () => {
  // Source: solid geometry, worked by hand.
  it.each([
    ['cylinder at the brim', stockpot, 36, 36.64],
    ['cylinder at 20 cm', stockpot, 20, 20.36],
    ['frustum at the brim', rondeau, 30, 22.71],
    ['frustum at 15 cm', rondeau, 15, 10.26],
    ['kettle at 20 cm', kettle, 20, 29.32],
    ['kettle at 30 cm', kettle, 30, 56.55],
    ['kettle at 45 cm', kettle, 45, 98.96],
    ['box at 8 cm', box, 8, 12],
  ] as const)('%s', (_, vessel, depth, litres) => {
    expect(litresAtDepth(vessel, depth)).toBeCloseTo(litres, 2);
  });
  it('a kettle lower than its radius is a cap', () => {
    const cap: Vessel = { shape: 'kettle', diameterCm: 60, heightCm: 20 };
    expect(litresAtDepth(cap, 20)).toBeCloseTo(29.32, 2);
    expect(() => litresAtDepth(cap, 21)).toThrow(/depthCm.*21/);
  });
  it('refuses a depth above the brim or below the bottom, naming it', () => {
    expect(() => litresAtDepth(stockpot, 36.01)).toThrow(/depthCm.*36\.01/);
    expect(() => litresAtDepth(stockpot, -1)).toThrow(RangeError);
    expect(() => depthAtLitres(stockpot, 40)).toThrow(/litres.*40/);
    expect(() => litresAtDepth({ ...stockpot, diameterCm: 0 }, 1)).toThrow(/diameterCm/);
    expect(() => litresAtDepth({ shape: 'cone' } as unknown as Vessel, 1)).toThrow(RangeError);
  });
});

describe('properties of every shape', () => {
  const length = fc.double({ min: 5, max: 120, noNaN: true });
  const vessels: fc.Arbitrary<Vessel> = fc.oneof(
    fc.record({ shape: fc.constant('cylinder' as const), diameterCm: length, heightCm: length }),
    fc.record({
      shape: fc.constant('tapered' as const),
      topDiameterCm: length,
      bottomDiameterCm: length,
      heightCm: length,
    }),
    fc.record({ shape: fc.constant('kettle' as const), diameterCm: length, heightCm: length }),
    fc.record({ shape: fc.constant('box' as const), lengthCm: length, widthCm: length, heightCm: length }),
    fc
      .array(
        fc.record({
          up: fc.double({ min: 1, max: 12, noNaN: true }),
          area: fc.double({ min: 300, max: 3000, noNaN: true }),
        }),
        {
          minLength: 2,
          maxLength: 6,
        },
      )
      .map((steps): Vessel => {
        const levels: { litres: number; depthCm: number }[] = [];
        for (const { up, area } of steps) {
          const below = levels.at(-1) ?? { litres: 0, depthCm: 0 };
          levels.push({ litres: below.litres + (up * area) / 1000, depthCm: below.depthCm + up });
        }
        return { shape: 'measured', levels, heightCm: levels.at(-1)!.depthCm * 1.1 };
      }),
  );
  const share = fc.double({ min: 0, max: 1, noNaN: true });

  it('depth → litres → depth comes back (seed 36)', () => {
    fc.assert(
      fc.property(vessels, share, (vessel, part) => {
        const depth = vessel.heightCm * part;
        const back = depthAtLitres(vessel, litresAtDepth(vessel, depth));
        expect(Math.abs(litresAtDepth(vessel, back) - litresAtDepth(vessel, depth))).toBeLessThan(1e-9);
        if (depth > 0.5) expect(back).toBeCloseTo(depth, 5);
      }),
      { seed: 36, numRuns: 400 },
    );
  });
  it('the free surface is how fast litres grow with depth (seed 37)', () => {
    fc.assert(
      fc.property(vessels, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (vessel, part) => {
        const depth = vessel.heightCm * part;
        const step = 1e-4 * vessel.heightCm;
        const slope =
          (litresAtDepth(vessel, depth + step) - litresAtDepth(vessel, depth - step)) / (2 * step);
        expect(slope / (surfaceM2(vessel, depth) * 10)).toBeCloseTo(1, 3);
      }),
      { seed: 37, numRuns: 300 },
    );
  });
});

describe('surface, wall, working fill', () => {
  it('depth 0 is the base area, for a kettle nothing', () => {
    expect(surfaceM2(stockpot, 0)).toBeCloseTo(0.10179, 5);
    expect(surfaceM2(rondeau, 0)).toBeCloseTo(Math.PI * 0.14 ** 2, 9);
    expect(surfaceM2(kettle, 0)).toBe(0);
    expect(surfaceM2(kettle, 40)).toBeCloseTo(Math.PI * 0.09, 9);
  });
  it('the wetted wall of each shape', () => {
    expect(wallM2(stockpot, 10)).toBeCloseTo(Math.PI * 0.36 * 0.1, 9);
    expect(wallM2(box, 10)).toBeCloseTo(2 * (0.5 + 0.3) * 0.1, 9);
    expect(wallM2(rondeau, 30)).toBeCloseTo(Math.PI * 0.31 * Math.hypot(0.3, 0.03), 9);
    expect(wallM2(kettle, 30)).toBe(0);
    // a measured cylinder has a cylinder's wall
    const levels = [10, 20, 30].map((depthCm) => ({ depthCm, litres: litresAtDepth(stockpot, depthCm) }));
    const same = { shape: 'measured' as const, levels, heightCm: 36 };
    expect(wallM2(same, 25)).toBeCloseTo(wallM2(stockpot, 25), 6);
    expect(surfaceM2(same, 25)).toBeCloseTo(surfaceM2(stockpot, 25), 6);
  });
  it('four fifths of the brim, three quarters when it foams (common practice)', () => {
    const brim = litresAtDepth(stockpot, 36);
    expect(workingFillLitres(stockpot, false)).toBeCloseTo(0.8 * brim, 9);
    expect(workingFillLitres(stockpot, true)).toBeCloseTo(0.75 * brim, 9);
  });
});
