import { describe, expect, it } from 'vitest';
import { cookAll, type Shown } from './calibrate';
import { groupBy, honestyOf } from './honesty';
import { learningCurve } from './learning';

/**
 * The kitchen the forecasts must be honest in: two pots in three held under the boil, half of them with a probe, burners
 * that wander by 5 to 18 %, a lid changed or something cold put in half way, three slips of the keyboard in a hundred.
 * `npm run bench` cooks 3,200 of them, the tests the first 1,600.
 */
const BATCHES = process.env.SLOW_POT_PRINT ? 3200 : 1600;
/** Kitchens of one pot and one burner, six batches each. */
const HOUSES = process.env.SLOW_POT_PRINT ? 500 : 250;
const TYPING = { typingErrors: 0.03 };
/** A share of fewer than this many says little. */
const ENOUGH = 300;

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const regime = (one: Shown) => (one.isBoiling ? 'at the boil' : 'below it');
const probe = (one: Shown) => (one.hasProbe ? 'probe' : 'no probe');
const phase = (one: Shown) => (one.isAfterChange ? 'after a change' : 'before one');

/** The table that docs/model.md shows: `npm run bench` prints it. */
function table(all: readonly Shown[]): string {
  const row = (name: string, some: readonly Shown[]) => {
    const of = honestyOf(some);
    return [
      name.padEnd(42),
      String(of.forecasts).padStart(6),
      percent(of.in80).padStart(8),
      percent(of.in50).padStart(8),
      percent(of.error).padStart(8),
      percent(of.knowingError).padStart(8),
    ].join('');
  };
  const by = (key: (one: Shown) => string, some = all) =>
    [...groupBy(some, key)].sort().map(([name, these]) => row(name, these));
  return [
    `${''.padEnd(42)}  told  in 80 %  in 50 %   error  knowing`,
    row('all', all),
    ...by((one) => `${regime(one)}, ${probe(one)}, ${phase(one)}`),
    ...by(
      (one) =>
        `${regime(one)}, no probe, ${one.instrument}, ${one.readings} ${one.readings === 1 ? 'reading' : 'readings'}`,
      all.filter((one) => !one.hasProbe && [1, 3, 5].includes(one.readings)),
    ),
  ].join('\n');
}

describe('forecasts held against batches of a truth that core knows nothing of', () => {
  const all = cookAll(BATCHES, { ...TYPING, withOracle: true });
  if (process.env.SLOW_POT_PRINT) process.stdout.write(`${table(all)}\n`);

  it('the 80 % interval holds 77 to 83 % of the truths, the 50 % one 44 to 56 %', () => {
    const { in80, in50 } = honestyOf(all);
    expect(in80).toBeGreaterThan(0.77);
    expect(in80).toBeLessThan(0.83);
    expect(Math.abs(in50 - 0.5)).toBeLessThan(0.06);
  });

  const strata = [
    (one: Shown) => `${regime(one)}, ${probe(one)}, ${phase(one)}`,
    (one: Shown) => `${regime(one)}, ${probe(one)}, ${one.instrument}, ${phase(one)}`,
    (one: Shown) => `${regime(one)}, ${probe(one)}, ${phase(one)}, ${one.readings} readings`,
    (one: Shown) =>
      `${regime(one)}, ${probe(one)}, ${one.instrument}, ${phase(one)}, ${one.readings} readings`,
  ].flatMap((key) => [...groupBy(all, key)].filter(([, some]) => some.length >= ENOUGH));
  it.each(strata)('%s: 72 to 88 %', (_name, some) => {
    const { in80, in50 } = honestyOf(some);
    expect(in80).toBeGreaterThan(0.72);
    expect(in80).toBeLessThan(0.88);
    // a share of n truths is itself off by chance: two standard deviations beside the 6 points
    expect(Math.abs(in50 - 0.5)).toBeLessThan(0.06 + 1 / Math.sqrt(some.length));
  });
  it('there is a stratum of every kind', () => expect(strata.length).toBeGreaterThan(25));

  it('its pinball loss beats a straight line through the last two readings', () => {
    const { linePinball } = honestyOf(all);
    const withLine = honestyOf(all.filter((one) => one.line !== null));
    expect(withLine.pinball).toBeLessThan(linePinball);
  });

  /**
   * A filter that knows the pot, the law, the lid and the wall, and the size of every noise. With a probe it is given what
   * nobody can be: the law by which a temperature is a loss. There both are printed, and ours only has to gain.
   */
  const bare = all.filter((one) => !one.hasProbe);
  const knownBy = [
    (one: Shown) => regime(one),
    (one: Shown) => `${regime(one)}, ${one.instrument}`,
    (one: Shown) => `${regime(one)}, ${one.instrument}, ${one.readings} readings`,
  ].flatMap((key) => [...groupBy(bare, key)].filter(([, some]) => [1, 3, 5].includes(some[0]!.readings)));
  it.each(knownBy)('%s, no probe: its median error is near that of a filter that knows', (_name, some) => {
    const { error, knowingError } = honestyOf(some);
    expect(error / knowingError).toBeLessThan(1.2 + 2 / Math.sqrt(some.length));
  });
});

describe('a kitchen learns its pot and its burner', () => {
  const curve = learningCurve(HOUSES, 6);
  if (process.env.SLOW_POT_PRINT)
    process.stdout.write(`first guess, by batch: ${curve.map(percent).join(', ')}\n`);
  it('the first guess, before anything is read, is off by half as much after five batches', () => {
    expect(curve[5]! / curve[0]!).toBeLessThan(0.5);
    expect(curve[0]!).toBeGreaterThan(0.2);
  });
});

describe('a probe never hurts: the same batches with one and without', () => {
  const batches = BATCHES / 2;
  const key = (one: Shown) => `${regime(one)}, ${one.instrument}`;
  const without = groupBy(cookAll(batches, { ...TYPING, withoutProbe: true }), key);
  const strata = [...groupBy(cookAll(batches, { ...TYPING, everyProbe: true }), key)].sort();
  it.each(strata)('%s', (name, some) => {
    const seen = honestyOf(some);
    const unseen = honestyOf(without.get(name)!);
    // no worse than chance makes it with so many
    const most = 1 + 1.5 / Math.sqrt(some.length);
    expect(seen.pinball / unseen.pinball).toBeLessThan(most);
    expect(seen.error / unseen.error).toBeLessThan(most);
    expect(some.length).toBeGreaterThan(200);
  });
});
