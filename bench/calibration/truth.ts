/**
 * Pots as they really are, for the forecasts to be held against. Nothing here comes from core: other constants, other
 * laws, another integrator. A batch is a pot that steams away on a burner that wanders, read with instruments that are
 * each a little wrong, by a cook who mistypes.
 */

/** Random numbers from a seed: the minimal standard generator of Park and Miller 1988, and Marsaglia's polar normal. */
export function chance(seed: number) {
  let state = (seed * 7919) % 2147483647 || 1;
  const uniform = () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  const normal = (): number => {
    for (;;) {
      const a = 2 * uniform() - 1;
      const b = 2 * uniform() - 1;
      const s = a * a + b * b;
      if (s > 0 && s < 1) return a * Math.sqrt((-2 * Math.log(s)) / s);
    }
  };
  for (let i = 0; i < 10; i++) uniform();
  return { uniform, normal, between: (low: number, high: number) => low + (high - low) * uniform() };
}
export type Chance = ReturnType<typeof chance>;

export type Instrument = 'scale' | 'dip' | 'brix' | 'eye';

/** What the kitchen's list says of the pot and burner, which the cook's figures go by. */
export interface Listed {
  diameterCm: number;
  heightCm: number;
  powerW: number;
  efficiency: number;
  heatFraction: number;
  startKg: number;
  solidsShare: number;
  /** share of the start that is to steam away: of the weight by scale, of the level by stick and eye */
  goneShare: number;
}

export interface TruthOptions {
  /** standard deviation of the burner's wander, a logarithm */
  wanderSd: number;
  typingErrors: number;
  /** the pot is taken off the boil for a dip, so that the level stands still */
  dipsStill?: boolean;
}

/** Saturation pressure over water, kPa. source: published: Antoine, NIST constants for 99 to 374 °C and below, from memory: Bolton 1980 form */
const satKPa = (tempC: number) => 0.6112 * Math.exp((17.67 * tempC) / (tempC + 243.5));
/** Latent heat, kJ/kg. source: from memory: the linear rule of meteorology, 2501 − 2.36 T */
const latentKJ = (tempC: number) => 2501 - 2.36 * tempC;

/** kg/L. source: from memory: Thiesen, Scheel and Diesselhorst 1900 */
const waterKgPerL = (t: number) => 1 - ((t + 288.9414) * (t - 3.9863) ** 2) / (508929.2 * (t + 68.12963));

const BOILS_AT_C = 99.6;
/** from here the surface dances, and a dip is good to 4 mm instead of 2 */
const ROLLS_FROM_C = 97;
const STARTS_AT_C = 97.6;
const STEP_S = 15;

/** One batch: its truth run to the end, and a hand that reads it. */
export function brew(seed: number, instrument: Instrument, options: TruthOptions) {
  const r = chance(seed);
  const listed: Listed = {
    diameterCm: r.between(24, 44),
    heightCm: 40,
    powerW: r.between(3500, 9000),
    efficiency: 0.4,
    heatFraction: r.between(0.5, 1),
    startKg: 0,
    solidsShare: r.between(0.05, 0.1),
    goneShare: r.between(0.2, 0.55),
  };
  const areaM2 = (Math.PI / 4) * (listed.diameterCm / 100) ** 2;
  listed.startKg = areaM2 * 1000 * r.between(0.12, 0.28);
  // the pot on the list is a per cent or so wider or narrower than the one on the fire
  const trueAreaM2 = areaM2 * (1 + 0.015 * r.normal()) ** 2;
  // the first guess is wrong by a factor from one half to two
  const factor = 2 ** r.between(-1, 1);
  const fullKW = (listed.powerW * listed.efficiency * listed.heatFraction * factor) / 1000;
  const forgetS = 60 * r.between(15, 60);
  const surfaceFactor = Math.exp(0.3 * r.normal());

  const gainError = { scale: 0.002, dip: 0.01, brix: 0.05, eye: 0.2 }[instrument] * r.normal();
  /** what the instrument shows without its noise: kg, cm, °Brix, or the share gone as the eye takes it */
  const litresOf = (atKg: number, atC: number) =>
    // water at its temperature, denser by what is dissolved in it
    atKg / (waterKgPerL(atC) * (1 + (0.39 * listed.solidsShare * listed.startKg) / atKg));
  const startLitres = litresOf(listed.startKg, STARTS_AT_C);
  const shows = (atKg: number, atC: number): number =>
    ({
      scale: () => atKg * (1 + gainError),
      dip: () => (litresOf(atKg, atC) / 10 / trueAreaM2) * (1 + gainError),
      brix: () => (100 * listed.solidsShare * listed.startKg * (1 + gainError)) / atKg,
      eye: () => (1 - litresOf(atKg, atC) / startLitres) * (1 + gainError),
    })[instrument]();
  const noise = { scale: 0.02, dip: 0.4, brix: 0.2, eye: 0.04 }[instrument];
  /** the surface is still before the fall begins */
  const shown = (atKg: number, atC: number, isStill: boolean) =>
    shows(atKg, atC) +
    (instrument === 'dip' && (isStill || options.dipsStill || atC < ROLLS_FROM_C) ? 0.2 : noise) * r.normal();
  const firstShown = shown(listed.startKg, STARTS_AT_C, true);
  /** the mark: a figure of that instrument, counted from what it showed at first; for the eye what is really so */
  const mark = {
    scale: firstShown * (1 - listed.goneShare),
    dip: firstShown * (1 - listed.goneShare),
    brix: (100 * listed.solidsShare) / (1 - listed.goneShare),
    eye: listed.goneShare,
  }[instrument];
  const isThere = (atKg: number, atC: number): boolean => {
    if (instrument === 'eye') return 1 - litresOf(atKg, atC) / startLitres >= mark;
    return instrument === 'brix' ? shows(atKg, atC) >= mark : shows(atKg, atC) <= mark;
  };

  let wander = options.wanderSd * r.normal();
  let kg = listed.startKg;
  let tempC = STARTS_AT_C;
  const masses: number[] = [];
  const temps: number[] = [];
  let endS: number | null = null;
  for (let s = 0; s < 16 * 3600; s += STEP_S) {
    masses.push(kg);
    temps.push(tempC);
    if (isThere(kg, tempC)) {
      endS = s;
      break;
    }
    const keeps = Math.exp(-STEP_S / forgetS);
    wander = wander * keeps + options.wanderSd * Math.sqrt(1 - keeps * keeps) * r.normal();
    const depthM = kg / 1000 / trueAreaM2;
    const wallKW = 0.0105 * Math.PI * (listed.diameterCm / 100) * depthM * (tempC - 24);
    const inKW = fullKW * Math.exp(wander);
    // below the boil: mass transfer in proportion to the pressure difference, steeper as it nears the boil
    const gap = Math.max(0.5, 101.3 - satKPa(tempC));
    const surfaceKg = (surfaceFactor * trueAreaM2 * 4e-5 * (satKPa(tempC) - 1.6) * 101.3) / (gap + 25);
    const surfaceKW = surfaceKg * latentKJ(tempC);
    const risen = tempC + ((inKW - wallKW - surfaceKW) * STEP_S) / (kg * 4.1);
    if (risen >= BOILS_AT_C) {
      const spareKW = inKW - wallKW - ((BOILS_AT_C - tempC) * kg * 4.1) / STEP_S;
      kg -= (Math.max(spareKW, 0) / latentKJ(BOILS_AT_C)) * STEP_S;
      tempC = BOILS_AT_C;
    } else {
      kg -= surfaceKg * STEP_S;
      tempC = risen;
    }
  }

  const massAt = (minute: number) => {
    const at = (minute * 60) / STEP_S;
    const low = Math.min(Math.floor(at), masses.length - 1);
    const high = Math.min(low + 1, masses.length - 1);
    return masses[low]! + (masses[high]! - masses[low]!) * (at - low);
  };
  const tempAt = (minute: number) => temps[Math.min(temps.length - 1, Math.round((minute * 60) / STEP_S))]!;
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
    mark,
    firstShown,
    endMin: endS === null ? null : endS / 60,
    massAt,
    tempAt,
    /** what the hand writes down at a minute, and what it would write if asked to look again */
    read(minute: number): { typed: number; meant: number } {
      const value = minute === 0 ? firstShown : shown(massAt(minute), tempAt(minute), false);
      const text = {
        scale: () => value.toFixed(2),
        dip: () => value.toFixed(1),
        brix: () => Math.max(0.1, value).toFixed(1),
        eye: () => String(5 * Math.round(20 * Math.min(0.95, Math.max(0, value)))),
      }[instrument]();
      return { typed: Number(mistyped(text)), meant: Number(text) };
    },
  };
}
