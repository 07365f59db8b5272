import { NO_MASSES } from '../../core/matter';
import {
  addToPot,
  advancePot,
  forecastPot,
  kitchenAir,
  massAtLitres,
  measuredMass,
  openPot,
  type PotReading,
  type PotSetup,
  type PotState,
  type PotTarget,
  potLitres,
  readPot,
  setHeat,
} from '../../core/pot';
import { litresAtDepth } from '../../core/vessel';
import { brew, type Instrument, type TruthOptions } from './truth';

/** One forecast as it was shown, and what came true. Minutes left. */
export interface Shown {
  instrument: Instrument;
  /** quarter of the way it was made in, 0 to 3 */
  quarter: 0 | 1 | 2 | 3;
  readings: number;
  p10: number;
  p50: number;
  p90: number;
  /** the straight line through the last two readings; null while there are not two */
  line: number | null;
  true: number;
}

const KIND: Readonly<Record<Instrument, PotReading['kind']>> = {
  scale: 'weight',
  dip: 'depth',
  brix: 'brix',
  eye: 'eye',
};
/** Where the hand looks, as shares of the way: first as the fall begins, to have a mark to count from. */
const LOOKS = [0, 1 / 6, 2 / 6, 3 / 6, 4 / 6, 5 / 6] as const;
const MINUTE = 60_000;
/** No forecast is longer than a night. */
const LONGEST_MIN = 16 * 60;

/** Cooks one batch by its truth and asks the model after each reading; nothing if it never got there. */
export function cookAndAsk(seed: number, instrument: Instrument, options: TruthOptions): Shown[] {
  const truth = brew(seed, instrument, options);
  if (truth.endMin === null) return [];
  const { listed, endMin } = truth;
  const setup: PotSetup = {
    vessel: { shape: 'cylinder', diameterCm: listed.diameterCm, heightCm: listed.heightCm },
    emptyMassKg: 0,
    burner: { powerW: listed.powerW, efficiency: listed.efficiency },
    air: kitchenAir({ altitudeM: 105, airTempC: 24 }),
  };
  const solids = listed.solidsShare * listed.startKg;
  let pot = openPot({ atMs: 0, tempC: 97.6, heatFactor: { mean: 1, sd: 0.45 } });
  pot = addToPot(pot, {
    masses: { ...NO_MASSES, water: listed.startKg - solids, sugars: solids },
    share: 'liquid',
    tempC: 97.6,
  });
  pot = setHeat(pot, listed.heatFraction);
  const fromLitres = potLitres(pot);
  const shown: Shown[] = [];
  const taken: { minute: number; kg: number }[] = [];
  for (const look of LOOKS) {
    // the hand goes by the clock on the wall: it does not know the way, only that it will look some seven times
    const minute = endMin * look;
    pot = advancePot(setup, pot, minute * MINUTE);
    if (look === 0 && instrument === 'eye') continue;
    const { typed, meant } = truth.read(minute);
    const still = look === 0 || options.dipsStill === true;
    const reading: PotReading = { kind: KIND[instrument], value: typed, ...(still ? { still } : {}) };
    try {
      const first = readPot(setup, pot, reading, false, fromLitres);
      // asked whether it is right, the cook looks at what was typed: a slip is corrected, the truth stood by
      pot = first.surprise
        ? readPot(setup, pot, { ...reading, value: meant }, true, fromLitres).pot
        : first.pot;
      taken.push({ minute, kg: measuredKg(listed, instrument, first.surprise ? meant : typed) });
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      pot = readPot(setup, pot, { ...reading, value: meant }, true, fromLitres).pot;
      taken.push({ minute, kg: measuredKg(listed, instrument, meant) });
    }
    if (look === 0) continue;
    const gone = (listed.startKg - truth.massAt(minute)) / (listed.startKg - truth.massAt(endMin));
    const target = targetOf(setup, pot, instrument, truth.mark, fromLitres);
    const when = forecastPot(setup, pot, target, LONGEST_MIN);
    const left = (ms: number | null) => (ms === null ? LONGEST_MIN : ms / MINUTE - minute);
    shown.push({
      instrument,
      quarter: Math.min(3, Math.max(0, Math.floor(gone * 4))) as Shown['quarter'],
      readings: Math.round(look * 6),
      p10: left(when.p10Ms),
      p50: left(when.p50Ms),
      p90: left(when.p90Ms),
      line: lineThrough(taken, markKg(listed, instrument, truth.mark)),
      true: endMin - minute,
    });
  }
  return shown;
}

/** The mark as the model is told it: one on the wall, or a figure of the same instrument; by eye a share of the level. */
function targetOf(
  setup: PotSetup,
  pot: PotState,
  by: Instrument,
  mark: number,
  fromLitres: number,
): PotTarget {
  if (by === 'eye') return { kind: 'mass', kg: massAtLitres(pot, fromLitres * (1 - mark)) };
  if (by === 'dip')
    return { kind: 'mass', kg: massAtLitres(pot, litresAtDepth(setup.vessel, mark)), readBy: 'dip' };
  return { kind: 'mass', kg: measuredMass(setup, pot, { kind: KIND[by], value: mark }).kg, readBy: by };
}

const markKg = (
  listed: { diameterCm: number; startKg: number; solidsShare: number },
  by: Instrument,
  mark: number,
) => measuredKg(listed, by, by === 'eye' ? 100 * mark : mark);

/** What a reading comes to by hand, without the model. */
function measuredKg(
  listed: { diameterCm: number; startKg: number; solidsShare: number },
  by: Instrument,
  value: number,
) {
  switch (by) {
    case 'scale':
      return value;
    case 'dip':
      return (Math.PI / 4) * (listed.diameterCm / 10) ** 2 * (value / 10) * 0.96;
    case 'brix':
      return value > 0 ? (100 * listed.solidsShare * listed.startKg) / value : listed.startKg;
    case 'eye':
      return listed.startKg * (1 - value / 100);
  }
}

function lineThrough(taken: readonly { minute: number; kg: number }[], targetKg: number): number | null {
  const [a, b] = taken.slice(-2);
  if (!a || !b) return null;
  const perMin = (a.kg - b.kg) / (b.minute - a.minute);
  const left = (b.kg - targetKg) / perMin;
  // a level that stood still or rose tells nothing: the line says "not tonight"
  return perMin > 0 ? Math.min(LONGEST_MIN, Math.max(0, left)) : LONGEST_MIN;
}

/** How far off a quantile is, minutes: the loss that the true quantile makes least. source: published: Koenker and Bassett 1978 */
export function pinball(quantile: number, said: number, came: number): number {
  return came >= said ? quantile * (came - said) : (1 - quantile) * (said - came);
}

export interface Calibration {
  forecasts: number;
  /** share of truths inside the 80 % interval */
  inside: number;
  strata: { instrument: Instrument; quarter: number; forecasts: number; inside: number }[];
  pinball: number;
  linePinball: number;
  /** median of |median forecast − truth| / truth after three readings, by instrument */
  medianErrorAfterThree: Record<Instrument, number>;
}

export const ALL_INSTRUMENTS: readonly Instrument[] = ['scale', 'dip', 'brix', 'eye'];

/** Cooks so many batches, the instruments in turn, and says how honest the forecasts were. */
export function calibrate(batches: number, options: TruthOptions): Calibration {
  const all = Array.from({ length: batches }, (_, i) =>
    cookAndAsk(i + 1, ALL_INSTRUMENTS[i % ALL_INSTRUMENTS.length]!, options),
  ).flat();
  const isInside = (one: Shown) => one.true >= one.p10 && one.true <= one.p90;
  const share = (some: readonly Shown[]) => some.filter(isInside).length / some.length;
  const withLine = all.filter((one) => one.line !== null);
  const loss = (of: (one: Shown, q: 'p10' | 'p50' | 'p90') => number) =>
    withLine.reduce(
      (sum, one) =>
        sum +
        pinball(0.1, of(one, 'p10'), one.true) +
        pinball(0.5, of(one, 'p50'), one.true) +
        pinball(0.9, of(one, 'p90'), one.true),
      0,
    ) /
    (3 * withLine.length);
  return {
    forecasts: all.length,
    inside: share(all),
    strata: ALL_INSTRUMENTS.flatMap((instrument) =>
      [0, 1, 2, 3].map((quarter) => {
        const own = all.filter((one) => one.instrument === instrument && one.quarter === quarter);
        return { instrument, quarter, forecasts: own.length, inside: share(own) };
      }),
    ),
    pinball: loss((one, q) => one[q]),
    linePinball: loss((one) => one.line!),
    medianErrorAfterThree: Object.fromEntries(
      ALL_INSTRUMENTS.map((instrument) => [
        instrument,
        median(
          all
            .filter((one) => one.instrument === instrument && one.readings === 3)
            .map((one) => Math.abs(one.p50 - one.true) / one.true),
        ),
      ]),
    ) as Calibration['medianErrorAfterThree'],
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}
