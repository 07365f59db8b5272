import { NO_MASSES } from '../../core/matter';
import {
  addToPot,
  advancePot,
  coverPot,
  kitchenAir,
  massAtLitres,
  measuredMass,
  openPot,
  type PotReading,
  type PotSetup,
  type PotState,
  type PotTarget,
  potLitres,
  quantilesMs,
  readPot,
  setHeat,
} from '../../core/pot';
import { litresAtDepth } from '../../core/vessel';
import { oracle } from './oracle';
import { type Batch, brew, type Instrument, type TruthOptions } from './truth';

/** One forecast as it was shown, and what came true. Minutes left. */
export interface Shown {
  instrument: Instrument;
  isBoiling: boolean;
  hasProbe: boolean;
  /** made after the lid was changed or something cold went in */
  isAfterChange: boolean;
  readings: number;
  p10: number;
  p25: number;
  p50: number;
  p75: number;
  p90: number;
  /** the straight line through the last two readings; null while there are not two */
  line: number | null;
  /** what a filter says that knows the pot, the law and the burner, where it was asked */
  knowing: number | null;
  true: number;
}

export const KIND: Readonly<Record<Instrument, PotReading['kind']>> = {
  scale: 'weight',
  dip: 'depth',
  brix: 'brix',
  eye: 'eye',
};
/** Where the hand looks, as shares of the way: first as the fall begins, to have a mark to count from. */
const LOOKS = [0, 1 / 6, 2 / 6, 3 / 6, 4 / 6, 5 / 6] as const;
/** Standard normal quantiles of the 80 % and the 50 % interval. source: published: normal tables */
const QUANTILES = [-1.2816, -0.6745, 0, 0.6745, 1.2816] as const;
const MINUTE = 60_000;
/** No forecast is longer than a night. */
export const LONGEST_MIN = 30 * 60;
const PROBE_EVERY_MIN = 5;

export interface AskOptions extends TruthOptions {
  /** the filter that knows is asked too */
  withOracle?: boolean;
  /** every batch has a probe, or nobody looks at one */
  everyProbe?: boolean;
  withoutProbe?: boolean;
}

/** Cooks one batch by its truth and asks the model after each reading; nothing if it never got there. */
export function cookAndAsk(seed: number, instrument: Instrument, options: AskOptions): Shown[] {
  const truth = brew(seed, instrument, options);
  if (truth.endMin === null) return [];
  const { listed } = truth;
  const knowing = options.withOracle ? oracle(truth) : null;
  const hasProbe = (truth.hasProbe || options.everyProbe === true) && !options.withoutProbe;
  const setup: PotSetup = {
    vessel: listed.vessel,
    emptyMassKg: 0,
    burner: { powerW: listed.powerW, efficiency: listed.efficiency },
    air: kitchenAir({ altitudeM: listed.altitudeM, airTempC: 24 }),
  };
  let pot = potAtStart(truth);
  const fromLitres = potLitres(pot);
  const shown: Shown[] = [];
  const taken: { minute: number; kg: number }[] = [];
  let hasChanged = false;
  for (const act of actsOf(truth, hasProbe)) {
    const { minute } = act;
    pot = advancePot(setup, pot, minute * MINUTE);
    knowing?.advance(minute);
    if (act.what === 'change') {
      hasChanged = true;
      pot = changed(pot, truth.change!);
      knowing?.change(truth.change!);
      continue;
    }
    if (act.what === 'probe') {
      const value = truth.probe(minute);
      const read = readPot(setup, pot, { kind: 'temperature', value, from: 'device' });
      // asked whether it is right, the cook sees that it is
      pot = read.surprise ? readPot(setup, pot, { kind: 'temperature', value }, true).pot : read.pot;
      knowing?.probe(value);
      continue;
    }
    if (act.look === 0 && instrument === 'eye') continue;
    const { typed, meant } = truth.read(minute);
    const still = act.look === 0 || options.dipsStill === true;
    const reading: PotReading = { kind: KIND[instrument], value: typed, ...(still ? { still } : {}) };
    const believe = () => readPot(setup, pot, { ...reading, value: meant }, true, fromLitres).pot;
    try {
      const first = readPot(setup, pot, reading, false, fromLitres);
      // asked whether it is right, the cook looks at what was typed: a slip is corrected, the truth confirmed
      pot = first.surprise ? believe() : first.pot;
      taken.push({ minute, kg: measuredKg(listed, instrument, first.surprise ? meant : typed) });
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      pot = believe();
      taken.push({ minute, kg: measuredKg(listed, instrument, meant) });
    }
    knowing?.reading(instrument === 'eye' ? meant / 100 : meant, still);
    if (act.look === 0) continue;
    // with the mark met before anybody looked there is nothing to forecast
    if (truth.endAsOf(minute) - minute < 1) continue;
    const target = targetOf(setup, pot, instrument, truth.mark, fromLitres);
    const [p10, p25, p50, p75, p90] = quantilesMs(setup, pot, target, QUANTILES, LONGEST_MIN).map((ms) =>
      ms === null ? LONGEST_MIN : ms / MINUTE - minute,
    ) as [number, number, number, number, number];
    shown.push({
      instrument,
      isBoiling: truth.isBoiling,
      hasProbe,
      isAfterChange: hasChanged,
      readings: act.look,
      p10,
      p25,
      p50,
      p75,
      p90,
      line: lineThrough(taken, markKg(listed, instrument, truth.mark)),
      knowing: knowing?.minutesLeft() ?? null,
      true: truth.endAsOf(minute) - minute,
    });
  }
  return shown;
}

function potAtStart({ listed }: Batch): PotState {
  const solids = listed.solidsShare * listed.startKg;
  const empty = openPot({ atMs: 0, tempC: listed.startC, heatFactor: { mean: 1, sd: 0.45 } });
  const filled = addToPot(empty, {
    masses: { ...NO_MASSES, water: listed.startKg - solids, sugars: solids },
    share: 'liquid',
    tempC: listed.startC,
  });
  return coverPot(setHeat(filled, listed.heatFraction), listed.lid);
}

export function changed(pot: PotState, change: NonNullable<Batch['change']>): PotState {
  if (change.kind === 'lid') return coverPot(pot, change.lid);
  const masses = { ...NO_MASSES, water: change.kg };
  return addToPot(pot, { masses, share: 'liquid', tempC: change.tempC });
}

type Act = { minute: number } & ({ what: 'look'; look: number } | { what: 'probe' } | { what: 'change' });

/** What is done at which minute, the hand by the clock on the wall: it does not know the way. */
export function actsOf({ endMin, change }: Batch, hasProbe: boolean): Act[] {
  const acts: Act[] = LOOKS.map((share, look) => ({ minute: endMin! * share, what: 'look', look }));
  if (change) acts.push({ minute: change.minute, what: 'change' });
  if (hasProbe)
    for (let minute = PROBE_EVERY_MIN; minute < endMin! * LOOKS.at(-1)!; minute += PROBE_EVERY_MIN)
      acts.push({ minute, what: 'probe' });
  return acts.sort((a, b) => a.minute - b.minute);
}

/** The mark as the model is told it: one on the wall, or a figure of the same instrument; by eye a share of the level. */
export function targetOf(
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

type ListedPot = Batch['listed'];

const markKg = (listed: ListedPot, by: Instrument, mark: number) =>
  measuredKg(listed, by, by === 'eye' ? 100 * mark : mark);

/** What a reading comes to by hand, without the model. */
function measuredKg(listed: ListedPot, by: Instrument, value: number) {
  switch (by) {
    case 'scale':
      return value;
    case 'dip':
      return litresAtDepth(listed.vessel, Math.min(value, listed.vessel.heightCm)) * 0.96;
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

export const ALL_INSTRUMENTS: readonly Instrument[] = ['scale', 'dip', 'brix', 'eye'];

/** Cooks so many batches, the instruments in turn. */
export function cookAll(batches: number, options: AskOptions, from = 1): Shown[] {
  return Array.from({ length: batches }, (_, i) =>
    cookAndAsk(from + i, ALL_INSTRUMENTS[i % ALL_INSTRUMENTS.length]!, options),
  ).flat();
}
