import { type Moment, stepReal } from './physics';
import type { Batch } from './truth';

/**
 * A filter that is given what no kitchen knows: the pot's true shape, the law its surface keeps to, its lid, its wall and
 * how large every noise is. Left to it is what no filter can be given: how the burner differs from its rating (a factor of
 * two either way), how it wanders, and each instrument's own error. What it can tell of the time left can be told.
 * source: published: the extended Kalman filter, its slopes by differences
 */
const STEP_S = 60;
const LONGEST_S = 30 * 3600;
/** kg, °C, the burner's logarithm, its wander, the instrument's and the probe's shared error */
const N = 6;
const SLOPE = [0.01, 0.05, 0.01, 0.01, 0.001, 0.1] as const;
/** of a factor drawn evenly between a half and two, as a logarithm */
const BURNER_SD = Math.log(2) / Math.sqrt(3);

export function oracle(batch: Batch) {
  const {
    real,
    ratedKW,
    lidShares,
    wanderSd,
    forgetS,
    showsWith,
    sharedSd,
    noiseAt,
    isThereFor,
    probe,
    start,
  } = batch.secret;
  let lid = batch.listed.lid;
  let x = [start.kg, start.tempC, 0, 0, 0, 0];
  let p = diagonal(
    [0.001 * start.kg, 0.2, BURNER_SD, wanderSd, sharedSd, probe.sharedC].map((sd) => sd * sd),
  );
  let atS = 0;

  const step = ([kg, tempC, burner, wander, own, probeOff]: number[], seconds: number): number[] => {
    const kW = ratedKW * Math.exp(burner! + wander!);
    let at: Moment = { kg: kg!, tempC: tempC! };
    for (let s = 0; s < seconds; s += 30)
      at = stepReal(real, at, kW, lidShares[lid], Math.min(30, seconds - s));
    return [at.kg, at.tempC, burner!, wander! * Math.exp(-seconds / forgetS), own!, probeOff!];
  };

  function runTo(minute: number): void {
    while (atS < minute * 60 - 1e-6) {
      const seconds = Math.min(STEP_S, minute * 60 - atS);
      const next = step(x, seconds);
      // downwards: the boil is a ceiling; the last two only stay as they are
      const by = SLOPE.slice(0, 4).map((much, i) => {
        const moved = [...x];
        moved[i] = moved[i]! - much;
        return step(moved, seconds).map((value, row) => (next[row]! - value) / much);
      });
      const j = (row: number, col: number) => (col < 4 ? by[col]![row]! : row === col ? 1 : 0);
      p = product(product(p, j), (row, col) => j(col, row), true);
      const keeps = Math.exp(-seconds / forgetS);
      p[3]![3] = p[3]![3]! + wanderSd ** 2 * (1 - keeps * keeps);
      p[1]![1] = p[1]![1]! + 1e-4;
      x = next;
      atS += seconds;
    }
  }

  function take(shown: number, of: (at: number[]) => number, noise: number): void {
    const here = of(x);
    const h = x.map((value, i) => {
      const moved = [...x];
      moved[i] = value + SLOPE[i]!;
      return (of(moved) - here) / SLOPE[i]!;
    });
    const ph = p.map((row) => row.reduce((sum, value, k) => sum + value * h[k]!, 0));
    const s = h.reduce((sum, much, k) => sum + much * ph[k]!, 0) + noise * noise;
    x = x.map((value, row) => value + (ph[row]! / s) * (shown - here));
    p = p.map((row, r) => row.map((value, col) => value - (ph[r]! * ph[col]!) / s));
  }
  const moment = (of: readonly number[]): Moment => ({ kg: of[0]!, tempC: of[1]! });

  return {
    advance: runTo,
    change(change: NonNullable<Batch['change']>): void {
      if (change.kind === 'lid') lid = change.lid;
      else {
        const [kg, tempC] = x as [number, number];
        x[1] = (kg * tempC + change.kg * change.tempC) / (kg + change.kg);
        x[0] = kg + change.kg;
      }
    },
    reading: (shown: number, isStill: boolean): void =>
      take(shown, (of) => showsWith(moment(of), of[4]!), noiseAt(x[1]!, isStill)),
    probe: (shown: number): void => take(shown, (of) => of[1]! + of[5]!, probe.noiseC),
    /** minutes left, the wandering dying away; the longest there is where it does not get there */
    minutesLeft(): number {
      let y = x;
      for (let s = 0; s < LONGEST_S; s += STEP_S) {
        if (isThereFor(moment(y), y[4]!)) return s / 60;
        y = step(y, STEP_S);
      }
      return LONGEST_S / 60;
    },
  };
}

const diagonal = (values: readonly number[]): number[][] =>
  values.map((value, i) => values.map((_, k) => (i === k ? value : 0)));

/** J·P, or P·J where `after`. */
function product(p: number[][], j: (row: number, col: number) => number, after = false): number[][] {
  return Array.from({ length: N }, (_, row) =>
    Array.from({ length: N }, (_, col) => {
      let sum = 0;
      for (let k = 0; k < N; k++) sum += after ? p[row]![k]! * j(k, col) : j(row, k) * p[k]![col]!;
      return sum;
    }),
  );
}
