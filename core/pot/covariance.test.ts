import fc from 'fast-check';
import { add, identity, inv, type Matrix, matrix, multiply, subtract, transpose } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  type Covariance,
  covarianceOf,
  initialCovariance,
  predict,
  project,
  setAfresh,
  UNSURE_OF,
  update,
  variance,
  withAddition,
} from './covariance';
import { WANDER } from './data/estimator';

const N = UNSURE_OF.length;
const at = (name: (typeof UNSURE_OF)[number]) => UNSURE_OF.indexOf(name);
const asMatrix = (p: Covariance) =>
  matrix(Array.from({ length: N }, (_, i) => [...p.slice(i * N, i * N + N)]));
const asRows = (m: Matrix) => m.toArray() as number[][];

/** A doubt in which everything leans on everything: A·Aᵀ of random numbers. */
const doubts = fc
  .array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: N * N, maxLength: N * N })
  .map((numbers) => {
    const a = matrix(Array.from({ length: N }, (_, i) => numbers.slice(i * N, i * N + N)));
    const p = add(multiply(a, transpose(a)), multiply(0.01, identity(N))) as Matrix;
    return asRows(p).flat();
  });
/** Surface and wall as they are. */
const STILL = { massBySurface: 0, massByWall: 0, tempBySurface: 0, tempByWall: 0 };
const share = fc.double({ min: 0, max: 1, noNaN: true });
const slope = fc.double({ min: -2, max: 2, noNaN: true });

describe('doubt, held against a general matrix library (mathjs)', () => {
  it('carried through a step it is J·P·Jᵀ and the noise (seed 905)', () => {
    fc.assert(
      fc.property(
        doubts,
        fc.record({
          massByMass: slope,
          massByTemp: slope,
          massByHeat: slope,
          tempByMass: slope,
          tempByTemp: slope,
          tempByHeat: slope,
          massBySurface: slope,
          massByWall: slope,
          tempBySurface: slope,
          tempByWall: slope,
        }),
        share,
        (p, j, keeps) => {
          const rows = asRows(identity(N) as Matrix);
          const heat = ['burner', 'wander', 'setting'] as const;
          rows[at('mass')]![at('mass')] = j.massByMass;
          rows[at('mass')]![at('temp')] = j.massByTemp;
          rows[at('temp')]![at('mass')] = j.tempByMass;
          rows[at('temp')]![at('temp')] = j.tempByTemp;
          for (const name of heat) {
            rows[at('mass')]![at(name)] = j.massByHeat;
            rows[at('temp')]![at(name)] = j.tempByHeat;
          }
          for (const name of ['surface', 'lid'] as const) {
            rows[at('mass')]![at(name)] = j.massBySurface;
            rows[at('temp')]![at(name)] = j.tempBySurface;
          }
          rows[at('mass')]![at('wall')] = j.massByWall;
          rows[at('temp')]![at('wall')] = j.tempByWall;
          rows[at('wander')]![at('wander')] = keeps;
          const jacobian = matrix(rows);
          const expected = asRows(
            multiply(multiply(jacobian, asMatrix(p)), transpose(jacobian)) as unknown as Matrix,
          );
          expected[at('mass')]![at('mass')]! += 0.1;
          expected[at('temp')]![at('temp')]! += 0.2;
          expected[at('wander')]![at('wander')]! += 0.3;
          expected[at('surface')]![at('surface')]! += 0.4;
          const ours = p.slice();
          predict(ours, j, keeps, { mass: 0.1, temp: 0.2, wander: 0.3, surface: 0.4 });
          for (const [i, value] of expected.flat().entries()) expect(ours[i]).toBeCloseTo(value, 9);
        },
      ),
      { seed: 905, numRuns: 60 },
    );
  });
  it('after a measurement it is P − P·h·(hᵀ·P·h + r)⁻¹·hᵀ·P, and each is pulled by its gain (seed 906)', () => {
    fc.assert(
      fc.property(
        doubts,
        slope,
        slope,
        fc.double({ min: 0.01, max: 4, noNaN: true }),
        (p, lever, innovation, r) => {
          const h = UNSURE_OF.map((name) => [name === 'mass' ? 1 : name === 'dip' ? lever : 0]);
          const big = asMatrix(p);
          const ph = multiply(big, matrix(h)) as Matrix;
          const s = add(multiply(transpose(matrix(h)), ph), matrix([[r]])) as Matrix;
          const heatFactor = multiply(ph, inv(s)) as Matrix;
          const expected = asRows(subtract(big, multiply(heatFactor, transpose(ph))) as Matrix);
          const on = project(p, { mass: 1, dip: lever });
          const { pull, covariance } = update(p, on, innovation, r);
          for (const [i, value] of expected.flat().entries()) expect(covariance[i]).toBeCloseTo(value, 9);
          for (const i of UNSURE_OF.keys())
            expect(pull[i]).toBeCloseTo(asRows(heatFactor)[i]![0]! * innovation, 9);
        },
      ),
      { seed: 906, numRuns: 60 },
    );
  });
  it('of a sum is the sum of all it is made of', () => {
    const p = initialCovariance({ mean: 1, sd: 0.2 });
    expect(covarianceOf(p, { burner: 1, wander: 1 }, { burner: 1, wander: 1 })).toBeCloseTo(
      0.04 + WANDER.sd ** 2,
      12,
    );
    expect(covarianceOf(p, { burner: 1 }, { wander: 1 })).toBe(0);
  });
  it('a load thins it, and what is known afresh leans on nothing', () => {
    const p = initialCovariance({ mean: 1, sd: 0.2 });
    predict(
      p,
      { massByMass: 1, massByTemp: 0, massByHeat: -2, tempByMass: 0, tempByTemp: 1, tempByHeat: 3, ...STILL },
      1,
      { mass: 0, temp: 0, wander: 0, surface: 0 },
    );
    const loaded = withAddition(p, 0.5, 0.01);
    expect(variance(loaded, 'temp')).toBeCloseTo(variance(p, 'temp') / 4, 12);
    expect(variance(loaded, 'mass')).toBeCloseTo(variance(p, 'mass') + 0.01, 12);
    const fresh = setAfresh(p, 'mass', 4);
    expect(variance(fresh, 'mass')).toBe(4);
    expect(covarianceOf(fresh, { mass: 1 }, { burner: 1, temp: 1 })).toBe(0);
    expect(variance(fresh, 'burner')).toBe(variance(p, 'burner'));
  });
});
