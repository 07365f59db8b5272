import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Chance, chanceOf } from '../testing/chance';
import {
  type ArrivalCurve,
  arrivedBy,
  askedInService,
  CURVE_PARTS,
  chanceOfMore,
  curveSaid,
  demand,
  demandOfKinds,
  expectedFor,
  expectedOf,
  FLAT_CURVE,
  learnedCurve,
  toLast,
  whenArrived,
} from './';

const EXPECTED = { mean: 60, sd: 12 };

/** Draws for simulated services, by the simplest published ways. */
function drawsOf(seed: number) {
  const chance = chanceOf(seed);
  // Irwin and Hall 1927: twelve uniforms added up
  const normal = () => Array.from({ length: 12 }, chance.uniform).reduce((sum, one) => sum + one, 0) - 6;
  // Marsaglia and Tsang 2000, for shapes above 1
  const gamma = (shape: number): number => {
    const d = shape - 1 / 3;
    for (;;) {
      const x = normal();
      const v = (1 + x / Math.sqrt(9 * d)) ** 3;
      if (v > 0 && Math.log(chance.uniform()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
    }
  };
  // waits between arrivals are exponential
  const poisson = (mean: number): number => {
    let [count, sum] = [0, 0];
    for (;;) {
      sum -= Math.log(chance.uniform());
      if (sum > mean) return count;
      count++;
    }
  };
  return { chance, gamma, poisson };
}

describe('will it last', () => {
  it('60 ± 12 over a flat service, 30 gone at a third of it: 48.9 ± 9.6 to come, and 32 run out 97 times in 100', () => {
    // by hand: shape 25 + 30 = 55, rate 25/60 + 1/3 = 0.75; 55/0.75 · 2/3 = 48.89; √(48.89 + 48.89²/55) = 9.61
    const { stillToCome, chanceOfMoreThan } = demand({ expected: EXPECTED, part: 1 / 3, asked: 30 });
    expect(stillToCome.mean).toBeCloseTo(48.89, 2);
    expect(stillToCome.sd).toBeCloseTo(9.61, 2);
    expect(chanceOfMoreThan(32)).toBeCloseTo(0.966, 3);
  });
  it('as drawn services have it: 60,000 of them, those with 30 gone at a third (Monte Carlo, seed 1905)', () => {
    const { gamma, poisson } = drawsOf(1905);
    const rest: number[] = [];
    for (let n = 0; n < 60_000; n++) {
      const mean = gamma(25) * (60 / 25);
      if (poisson(mean / 3) === 30) rest.push(poisson((2 * mean) / 3));
    }
    const mean = rest.reduce((sum, one) => sum + one, 0) / rest.length;
    const sd = Math.sqrt(rest.reduce((sum, one) => sum + (one - mean) ** 2, 0) / rest.length);
    expect(rest.length).toBeGreaterThan(800);
    expect(Math.abs(mean - 48.9)).toBeLessThan(1);
    expect(Math.abs(sd - 9.6)).toBeLessThan(0.8);
    expect(Math.abs(rest.filter((one) => one > 32).length / rest.length - 0.966)).toBeLessThan(0.02);
  });
  it('a busy start makes a busy end likelier, and at the end nothing is to come', () => {
    const still = (part: number, asked: number) =>
      demand({ expected: EXPECTED, part, asked }).stillToCome.mean;
    expect(still(0, 0)).toBeCloseTo(60, 9);
    expect(still(0.5, 40)).toBeGreaterThan(still(0.5, 20));
    expect(still(1, 55)).toBe(0);
    expect(demand({ expected: EXPECTED, part: 1, asked: 55 }).chanceOfMoreThan(0)).toBe(0);
    expect(demand({ expected: EXPECTED, part: 1, asked: 55 }).runsOut(3).p50).toBeNull();
  });
  it('the chance is a chance, falls with what is left, and three moments stand in their order (seed 19)', () => {
    fc.assert(
      fc.property(
        fc.record({
          mean: fc.double({ min: 1, max: 2000, noNaN: true }),
          share: fc.double({ min: 0.05, max: 0.5, noNaN: true }),
          part: fc.double({ min: 0, max: 0.99, noNaN: true }),
          asked: fc.integer({ min: 0, max: 2000 }),
          left: fc.integer({ min: 0, max: 2000 }),
        }),
        ({ mean, share, part, asked, left }) => {
          const of = demand({ expected: { mean, sd: share * mean }, part, asked });
          const chance = of.chanceOfMoreThan(left);
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(of.chanceOfMoreThan(Math.max(0, left - 1)) + 1e-9);
          const { p10, p50, p90 } = of.runsOut(left);
          const order = [part, p10 ?? 2, p50 ?? 2, p90 ?? 2];
          for (let i = 1; i < order.length; i++)
            expect(order[i]!).toBeGreaterThanOrEqual(order[i - 1]! - 1e-6);
        },
      ),
      { seed: 19, numRuns: 150 },
    );
  });
  it.each([
    [{ expected: { mean: 0, sd: 1 }, part: 0, asked: 0 }, /mean.*0/],
    [{ expected: EXPECTED, part: 1.2, asked: 0 }, /part.*1\.2/],
    [{ expected: EXPECTED, part: 0.5, asked: -3 }, /asked.*-3/],
  ])('refuses %j', (of, message) => {
    expect(() => demand(of)).toThrow(message);
  });
});

describe('several sizes', () => {
  const kinds = [
    { ml: 250, covers: 60 },
    { ml: 150, covers: 12 },
    { ml: 1000, covers: 8 },
  ];
  it('of one size it is the same bowls, counted in litres', () => {
    const of = { expected: EXPECTED, part: 1 / 3, asked: 30 };
    const bowls = demand(of);
    const litres = demandOfKinds({ ...of, kinds: [{ ml: 250, covers: 60 }] });
    expect(litres.chanceOfMoreThan(8)).toBeCloseTo(bowls.chanceOfMoreThan(32), 12);
    expect(litres.stillLitres).toBeCloseTo(bowls.stillToCome.mean / 4, 12);
    expect(litres.runsOut(8)).toEqual(bowls.runsOut(33));
  });
  it('of three sizes, litres as drawn services have them: 20,000 of them (Monte Carlo, seed 812)', () => {
    const { chance, gamma, poisson } = drawsOf(812);
    const covers = 80;
    const of = demandOfKinds({ kinds, expected: { mean: covers, sd: 16 }, part: 0, asked: 0 });
    const drawn = Array.from({ length: 20_000 }, () => {
      let litres = 0;
      for (let n = poisson(gamma(25) * (covers / 25)); n > 0; n--) {
        const at = chance.uniform() * covers;
        litres += at < 60 ? 0.25 : at < 72 ? 0.15 : 1;
      }
      return litres;
    });
    const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length;
    // by hand: 60 · 0.25 + 12 · 0.15 + 8 · 1 = 24.8 L
    expect(of.stillLitres).toBeCloseTo(24.8, 9);
    expect(Math.abs(mean - 24.8)).toBeLessThan(0.15);
    for (const left of [16, 20, 25, 30, 36]) {
      const really = drawn.filter((one) => one > left).length / drawn.length;
      expect(Math.abs(of.chanceOfMoreThan(left) - really), `${left} L`).toBeLessThan(0.03);
    }
  });
});

describe('what a service asked for', () => {
  it('by the parts of its time; what comes early counts at the start, who was turned away after the last bowl', () => {
    const asked = [
      { atMs: -60_000, portions: 2 },
      { atMs: 0, portions: 3 },
      { atMs: 29.9 * 60_000, portions: 4 },
      { atMs: 50 * 60_000, portions: 1 },
    ];
    const found = askedInService({ planned: 20, startsMs: 0, lastsMin: 60, asked, turnedAway: 4 });
    expect(found.counts).toEqual([5, 0, 0, 0, 0, 4, 0, 0, 0, 0, 3, 2]);
    expect(found.total).toBe(14);
  });
  it('what services asked for over what was planned moves the next', () => {
    expect(expectedFor(80, { counts: FLAT_CURVE, shares: [] }).mean).toBe(80);
    const busier = expectedFor(80, { counts: FLAT_CURVE, shares: Array.from({ length: 12 }, () => 1.25) });
    // by hand: 3 services' worth of 80 and twelve of 100
    expect(busier.mean).toBeCloseTo((3 * 80 + 12 * 100) / 15, 9);
  });
});

describe('what makes it last', () => {
  const half = (asked: number) => demand({ expected: EXPECTED, part: 0.5, asked });
  it('a smaller ladle or more of it, each enough in four of five; nothing where it lasts', () => {
    const of = half(38);
    const found = toLast(of, { litres: 8, portionMl: 250 })!;
    expect(of.chanceOfMoreThan(found.bowls)).toBeLessThanOrEqual(0.2);
    expect(of.chanceOfMoreThan(found.bowls - 1)).toBeGreaterThan(0.2);
    expect(found.ladleMl! * found.bowls).toBeLessThanOrEqual(8000);
    expect((found.ladleMl! + 5) * found.bowls).toBeGreaterThan(8000);
    expect(toLast(of, { litres: 40, portionMl: 250 })).toBeNull();
  });
  it('no thimble and no water: what would be too little of a bowl is not offered', () => {
    expect(toLast(half(40), { litres: 2, portionMl: 250 })).toMatchObject({ ladleMl: null, dilute: null });
    const slight = toLast(half(30), { litres: 8.6, portionMl: 250 })!;
    // by hand: so many bowls of a quarter litre, less what is there
    expect(slight.dilute!.litres).toBeCloseTo(slight.bowls / 4 - 8.6, 9);
  });
});

describe('how guests come', () => {
  it('together in the first fifth, peaked at a third, steadily by the clock', () => {
    expect(arrivedBy(curveSaid('together'), 0.2)).toBeGreaterThan(0.7);
    expect(arrivedBy(curveSaid('peaked'), 1 / 3)).toBeCloseTo(1 / 3, 1);
    expect(arrivedBy(curveSaid('steady'), 0.5)).toBeCloseTo(0.5, 9);
  });
});

describe('the negative binomial', () => {
  it('sums to one, and is a Poisson where its mean is sure (by hand: 1 − e⁻³ (1 + 3 + 4.5) = 0.5768)', () => {
    expect(chanceOfMore({ shape: 1e7, mean: 3, than: 2 })).toBeCloseTo(0.5768, 4);
    expect(chanceOfMore({ shape: 5, mean: 40, than: 100_000 })).toBeCloseTo(0, 9);
    expect(chanceOfMore({ shape: 5, mean: 40, than: -1 })).toBe(1);
  });
});

describe('when bowls are asked for', () => {
  it('a curve and its inverse go together, and a flat one is the clock', () => {
    const curve: ArrivalCurve = [0, 0.1, 0.4, 0.3, 0.1, 0.05, 0.05, 0, 0, 0, 0, 0];
    expect(arrivedBy(FLAT_CURVE, 0.37)).toBeCloseTo(0.37, 12);
    for (const share of [0.05, 0.3, 0.5, 0.79, 0.97])
      expect(arrivedBy(curve, whenArrived(curve, share))).toBeCloseTo(share, 9);
    expect(arrivedBy(curve, 1)).toBeCloseTo(1, 12);
  });
  it('is drawn to flat the fewer bowls were seen, and adds up to one', () => {
    const counts = Array.from({ length: CURVE_PARTS }, (_, i) => (i === 3 ? 10 : 0));
    const few = learnedCurve(counts);
    expect(few.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
    // by hand: (10 + 40/12) / 50
    expect(few[3]).toBeCloseTo((10 + 40 / 12) / 50, 12);
    expect(learnedCurve(counts.map((one) => one * 1000))[3]).toBeGreaterThan(0.99);
  });
});

describe('a service learned', () => {
  /** A kitchen whose service is really so, day after day, as a truth that the forecast knows nothing of. */
  function days(seed: number, services: number) {
    const { chance, gamma, poisson } = drawsOf(seed);
    const shape = chance.between(15, 40);
    const mean = chance.between(30, 120);
    const raw = Array.from({ length: CURVE_PARTS }, () => chance.between(0.2, 2));
    const all = raw.reduce((sum, one) => sum + one, 0);
    const truth = raw.map((one) => one / all);
    return Array.from({ length: services }, () => {
      const today = gamma(shape) * (mean / shape);
      return truth.map((share) => poisson(today * share));
    });
  }
  const total = (counts: readonly number[]) => counts.reduce((sum, one) => sum + one, 0);
  const COVERS = 60;

  it('from 60 services: the next lies in its interval of eight in ten, and so does when it runs out (seeds 1 to 1000)', () => {
    const inside = { total: 0, out: [0, 0, 0] };
    const KITCHENS = 1000;
    for (let seed = 1; seed <= KITCHENS; seed++) {
      const seen = days(seed, 61);
      const next = seen.pop()!;
      const curve = learnedCurve(
        seen.reduce(
          (sum, one) => sum.map((bowls, i) => bowls + one[i]!),
          FLAT_CURVE.map(() => 0),
        ),
      );
      const expected = expectedOf(COVERS, seen.map(total));
      const whole = demand({ expected, curve, part: 0, asked: 0 });
      // a count sits on its quantile: half of its own chance counts to each side
      const over = (bowls: number) => (whole.chanceOfMoreThan(bowls) + whole.chanceOfMoreThan(bowls - 1)) / 2;
      const chance = over(total(next));
      if (chance > 0.1 && chance < 0.9) inside.total++;
      for (const [i, part] of [0.25, 0.5, 0.75].entries()) {
        const parts = Math.round(part * CURVE_PARTS);
        const asked = total(next.slice(0, parts));
        const of = demand({ expected, curve, part, asked });
        // few enough that it does run out: what lasts to the end has no moment
        const left = Math.max(1, Math.round(of.stillToCome.mean * 0.5));
        const { p10, p90 } = of.runsOut(left);
        const really = outAt(next, parts, left, chanceOf(seed + 7 * parts));
        if (really >= (p10 ?? 1) && really <= (p90 ?? 1)) inside.out[i]!++;
      }
    }
    expect(inside.total / KITCHENS).toBeGreaterThan(0.76);
    expect(inside.total / KITCHENS).toBeLessThan(0.84);
    for (const [i, count] of inside.out.entries()) {
      expect(count / KITCHENS, `at ${25 * (i + 1)} %`).toBeGreaterThan(0.76);
      expect(count / KITCHENS, `at ${25 * (i + 1)} %`).toBeLessThan(0.84);
    }
  });
  it('with nothing seen it is the covers, a fifth up or down', () => {
    const { mean, sd } = expectedOf(50, []);
    expect(mean).toBe(50);
    expect(sd).toBeGreaterThan(10);
    expect(sd).toBeLessThan(12);
    expect(expectedOf(50, [80, 82, 78, 81, 79, 80]).mean).toBeCloseTo(70, 6);
  });
});

/** When the last of what is left goes in a service as it really came, as a part of it; 1 where it lasts. */
function outAt(counts: readonly number[], fromPart: number, left: number, chance: Chance): number {
  let gone = 0;
  for (let i = fromPart; i < counts.length; i++) {
    const here = counts[i]!;
    if (gone + here >= left) {
      // within a part each bowl comes when it comes
      const times = Array.from({ length: here }, chance.uniform).sort((a, b) => a - b);
      return (i + times[left - gone - 1]!) / counts.length;
    }
    gone += here;
  }
  return 1;
}
