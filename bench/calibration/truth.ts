import { chance } from './chance';
import {
  boilsAtC,
  latentKJ,
  litresOf,
  lossKW,
  type Moment,
  type PotShape,
  pressureAt,
  type Real,
  stepReal,
  truePot,
} from './physics';

/**
 * Pots as they really are, for the forecasts to be held against. Nothing here comes from core. A batch is a pot that
 * steams away, mostly held under the boil with the heat turned down, on a burner that wanders, with a lid changed or
 * something cold put in half way, read with instruments that are each a little wrong, by a cook who mistypes.
 */
export type Instrument = 'scale' | 'dip' | 'brix' | 'eye';
export type Lid = 'off' | 'ajar';

/** What the kitchen's list says of the pot and burner, which the cook's figures go by. */
export interface Listed {
  vessel: PotShape;
  altitudeM: number;
  powerW: number;
  efficiency: number;
  heatFraction: number;
  startKg: number;
  startC: number;
  lid: Lid;
  solidsShare: number;
}

export type Change = { minute: number } & (
  | { kind: 'lid'; lid: Lid }
  | { kind: 'add'; kg: number; tempC: number }
);

export interface TruthOptions {
  typingErrors: number;
  /** the pot is taken off the boil for a dip, so that the level stands still */
  dipsStill?: boolean;
  /** standard deviation of the burner's wander, a logarithm; drawn from 0.05 to 0.18 where none is given */
  wanderSd?: number;
  /** seed of a kitchen whose pot, burner and taps stay the same from batch to batch; all drawn anew where none is given */
  house?: number;
}

const STEP_S = 15;
const LONGEST_S = 30 * 3600;
/** within this of the boil the surface dances */
const ROLLS_WITHIN_C = 2.6;

const SHARED = { scale: 0.002, dip: 0.01, brix: 0.05, eye: 0.25 } as const;
const NOISE = { scale: 0.03, dip: 0.6, brix: 0.2, eye: 0.05 } as const;
const STILL_DIP_CM = 0.3;
const PROBE = { sharedC: 0.7, noiseC: 0.4 } as const;

/** One batch: its truth run to the end, and a hand that reads it. */
export function brew(seed: number, instrument: Instrument, options: TruthOptions) {
  const r = chance(seed);
  // what is the kitchen's own, and stays
  const k = options.house === undefined ? r : chance(options.house);
  const isBoiling = r.uniform() < 1 / 3;
  const hasProbe = r.uniform() < 0.5;
  const altitudeM = k.between(0, 2600);
  const pressureKPa = pressureAt(altitudeM);
  const boilsC = boilsAtC(pressureKPa);
  const vessel = vesselOf(k.uniform(), k.between(26, 46));
  // the pot on the list is a per cent or so wider or narrower than the one on the fire
  const wider = 1 + 0.015 * k.normal();
  const pot = truePot(scaled(vessel, wider));
  const fullLitres = pot.litresAt(vessel.heightCm);
  const startLitres = fullLitres * r.between(0.4, 0.75);
  const solidsShare = r.between(0.05, 0.1);
  const startC = isBoiling ? boilsC - 1 : Math.min(r.between(88, 95), boilsC - 3);
  const startKg = startLitres * 0.985;
  const law = k.uniform() < 0.5 ? 'pressure' : 'convection';
  const surfaceFactor = Math.exp(k.between(Math.log(0.6), Math.log(1.5)));
  const real: Real = {
    pot,
    pressureKPa,
    boilsC,
    law,
    surfaceFactor,
    wallKWPerM2K: 0.001 * Math.max(3, 11 + 3 * k.normal()),
    solidsKg: solidsShare * startKg,
  };
  const lidShares: Readonly<Record<Lid, number>> = {
    off: 1,
    ajar: Math.min(0.95, 0.45 * Math.exp(0.4 * k.normal())),
  };
  const lid: Lid = r.uniform() < 0.7 ? 'off' : 'ajar';
  const wanted = isBoiling ? r.between(0.5, 1) : r.between(0.2, 0.8);
  // the first guess is wrong by a factor from one half to two
  const factor = 2 ** k.between(-1, 1);
  const start: Moment = { kg: startKg, tempC: startC };
  const held = lossKW(real, start, lidShares[lid]);
  const heldKW = held.wallKW + held.surfaceKgS * latentKJ(startC);
  // turned down to hold it, or well up
  const wantedKW = isBoiling ? r.between(0.11, 0.2) * startKg ** 0.8 + held.wallKW : heldKW;
  const tap =
    options.house === undefined
      ? { heatFraction: wanted, inKW: wantedKW, ratedKW: wantedKW / (wanted * factor) }
      : tapOf(options.house, { wantedKW, fullKW: 0.24 * (0.75 * fullLitres) ** 0.8, factor });
  const { heatFraction, inKW } = tap;
  const listed: Listed = {
    vessel,
    altitudeM,
    powerW: (tap.ratedKW * 1000) / 0.4,
    efficiency: 0.4,
    heatFraction,
    startKg,
    startC,
    lid,
    solidsShare,
  };
  const goneShare = isBoiling ? r.between(0.2, 0.55) : r.between(0.06, 0.2);
  const wanderSd = options.wanderSd ?? k.between(0.05, 0.18);
  const forgetS = 60 * k.between(15, 60);
  const whatChanges = r.uniform();
  const sharedError = SHARED[instrument] * r.normal();
  const probeOffC = PROBE.sharedC * r.normal();

  const firstLitres = litresOf(real, start);
  /** what the instrument shows without its noise: kg, cm, °Brix, or the share gone as the eye takes it */
  const showsWith = (at: Moment, ownError: number): number => {
    switch (instrument) {
      case 'scale':
        return at.kg * (1 + ownError);
      case 'dip':
        return pot.cmAt(litresOf(real, at)) * (1 + ownError);
      case 'brix':
        return (100 * real.solidsKg * (1 + ownError)) / at.kg;
      case 'eye':
        return (1 - litresOf(real, at) / firstLitres) * (1 + ownError);
    }
  };
  const shows = (at: Moment): number => showsWith(at, sharedError);
  const noiseAt = (tempC: number, isStill: boolean): number =>
    instrument === 'dip' && (isStill || options.dipsStill || tempC < boilsC - ROLLS_WITHIN_C)
      ? STILL_DIP_CM
      : NOISE[instrument];
  const shown = (at: Moment, isStill: boolean) => shows(at) + noiseAt(at.tempC, isStill) * r.normal();
  const firstShown = shown(start, true);
  /** the mark: a figure of that instrument, counted from what it showed at first; for the eye what is really so */
  const mark = {
    scale: firstShown * (1 - goneShare),
    dip: firstShown * (1 - goneShare),
    brix: (100 * solidsShare) / (1 - goneShare),
    eye: goneShare,
  }[instrument];
  const isThereFor = (at: Moment, ownError: number): boolean => {
    if (instrument === 'eye') return 1 - litresOf(real, at) / firstLitres >= mark;
    return instrument === 'brix' ? showsWith(at, ownError) >= mark : showsWith(at, ownError) <= mark;
  };
  const isThere = (at: Moment): boolean => isThereFor(at, sharedError);

  let wander = wanderSd * r.normal();
  let at = start;
  let under = lid;
  let change: Change | null = null;
  /** the pot as it would have gone on without the change: what a forecast before it is held against */
  let without: Moment | null = null;
  let endWithoutS: number | null = null;
  const path: Moment[] = [];
  let endS: number | null = null;
  for (let s = 0; s < LONGEST_S; s += STEP_S) {
    if (endS === null) path.push(at);
    if (endS === null && isThere(at)) endS = s;
    if (without && endWithoutS === null && isThere(without)) endWithoutS = s;
    if (endS !== null && (!change || endWithoutS !== null)) break;
    if (!change && whatChanges < 2 / 3 && startKg - at.kg > 0.45 * goneShare * startKg) {
      without = at;
      if (whatChanges < 1 / 3) {
        under = lid === 'off' ? 'ajar' : 'off';
        change = { minute: s / 60, kind: 'lid', lid: under };
      } else {
        const kg = at.kg * r.between(0.05, 0.12);
        const tempC = r.between(4, 15);
        change = { minute: s / 60, kind: 'add', kg, tempC };
        at = { kg: at.kg + kg, tempC: (at.kg * at.tempC + kg * tempC) / (at.kg + kg) };
      }
    }
    const keeps = Math.exp(-STEP_S / forgetS);
    wander = wander * keeps + wanderSd * Math.sqrt(1 - keeps * keeps) * r.normal();
    const kW = inKW * Math.exp(wander);
    at = stepReal(real, at, kW, lidShares[under], STEP_S);
    if (without) without = stepReal(real, without, kW, lidShares[lid], STEP_S);
  }

  const at_ = (minute: number): Moment =>
    path[Math.min(path.length - 1, Math.round((minute * 60) / STEP_S))]!;
  const mistyped = (text: string): string => {
    if (r.uniform() >= options.typingErrors) return text;
    const digits = text.replace('.', '').split('');
    const i = Math.floor(r.uniform() * (digits.length - 1));
    if (r.uniform() < 0.5) [digits[i], digits[i + 1]] = [digits[i + 1]!, digits[i]!];
    else digits[i] = String(Math.floor(r.uniform() * 10));
    const point = text.indexOf('.');
    return point < 0 ? digits.join('') : `${digits.slice(0, point).join('')}.${digits.slice(point).join('')}`;
  };

  return {
    listed,
    isBoiling,
    hasProbe,
    mark,
    firstShown,
    change,
    endMin: endS === null || (change && endWithoutS === null) ? null : endS / 60,
    /** when the mark is met, as things stand at a minute */
    endAsOf: (minute: number): number => (change && minute < change.minute ? endWithoutS! : endS!) / 60,
    momentAt: at_,
    /** what the hand writes down at a minute, and what it would write if asked to look again */
    read(minute: number): { typed: number; meant: number } {
      const value = minute === 0 ? firstShown : shown(at_(minute), false);
      const text = {
        scale: () => value.toFixed(2),
        dip: () => value.toFixed(1),
        brix: () => Math.max(0.1, value).toFixed(1),
        eye: () => String(5 * Math.round(20 * Math.min(0.95, Math.max(0, value)))),
      }[instrument]();
      return { typed: Number(mistyped(text)), meant: Number(text) };
    },
    probe: (minute: number): number =>
      Number((at_(minute).tempC + probeOffC + PROBE.noiseC * r.normal()).toFixed(1)),
    /** what nobody in the kitchen knows, for a filter that is given it */
    secret: {
      real,
      ratedKW: tap.ratedKW * heatFraction,
      lidShares,
      wanderSd,
      forgetS,
      showsWith,
      sharedSd: SHARED[instrument],
      noiseAt,
      isThereFor,
      probe: PROBE,
      start,
    },
  };
}
export type Batch = ReturnType<typeof brew>;

/** A mark of a kitchen's tap, a tenth of full, as near as it comes to the heat wanted: what it gives is its own, not its share. */
function tapOf(house: number, of: { wantedKW: number; fullKW: number; factor: number }) {
  const marks = Array.from({ length: 10 }, (_, i) => {
    const heatFraction = (i + 1) / 10;
    const off = Math.exp(0.3 * (1 - heatFraction) * chance(house * 97 + i).normal());
    return { heatFraction, inKW: of.fullKW * heatFraction * off };
  });
  const nearest = marks.reduce((a, b) =>
    Math.abs(Math.log(b.inKW / of.wantedKW)) < Math.abs(Math.log(a.inKW / of.wantedKW)) ? b : a,
  );
  return { ...nearest, ratedKW: of.fullKW / of.factor };
}

function vesselOf(pick: number, diameterCm: number): PotShape {
  if (pick < 0.5) return { shape: 'cylinder', diameterCm, heightCm: diameterCm * 0.95 };
  if (pick < 0.8)
    return {
      shape: 'tapered',
      topDiameterCm: diameterCm,
      bottomDiameterCm: diameterCm * 0.82,
      heightCm: diameterCm * 0.6,
    };
  return { shape: 'kettle', diameterCm: diameterCm * 1.3, heightCm: diameterCm * 0.95 };
}

function scaled(vessel: PotShape, by: number): PotShape {
  return vessel.shape === 'tapered'
    ? { ...vessel, topDiameterCm: vessel.topDiameterCm * by, bottomDiameterCm: vessel.bottomDiameterCm * by }
    : { ...vessel, diameterCm: vessel.diameterCm * by };
}
