import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { convert, METRIC, type Measures, roundGrams, roundMillilitres, UNITS } from '../../core/units';

/** A pot in a sentence: “the 24 L rondeau”; one whose name has its article keeps it, “the old dented stockpot”. */
export function thePot(name: string): string {
  return /^the\s/i.test(name) ? `the ${name.slice(4)}` : `the ${name}`;
}

/** The edge: figures as a cook reads them. Nothing here goes back into the model. */

export function sentenceCase(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Hours of the day by zone and minute: twenty pots ask for the same few over and over, and a zone is dear to look up. */
const hours = new Map<string, string>();
const MOST_HOURS = 5000;

export function hourMinute(ms: number, zone: string): string {
  const key = `${Math.floor(ms / 60_000)} ${zone}`;
  const known = hours.get(key);
  if (known) return known;
  const text = format(new TZDate(ms, zone), 'HH:mm');
  if (hours.size > MOST_HOURS) hours.clear();
  hours.set(key, text);
  return text;
}

/** “Tue 10 Mar, 13:10”, as the locale writes it. */
export function dayAndHour(ms: number, zone: string, locale = 'en-GB'): string {
  return `${day(ms, zone, locale)}, ${hourMinute(ms, zone)}`;
}

/** “Tue 10 Mar”, as the locale writes it. */
export function day(ms: number, zone: string, locale = 'en-GB'): string {
  const key = `${locale} ${zone}`;
  let format = dayFormats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      timeZone: zone,
    });
    dayFormats.set(key, format);
  }
  return format.format(ms);
}

/** A format is dear to make, and a page asks for the same one over and over. */
const dayFormats = new Map<string, Intl.DateTimeFormat>();

/** “1 h 24”, “9 min”, “now”. */
export function span(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / 60_000);
  if (minutes === 0) return 'now';
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0
    ? `${Math.floor(minutes / 60)} h`
    : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`;
}

export function minutes(value: number): string {
  return span(value * 60_000);
}

const FLUID_OUNCE = { us: UNITS.floz, imperial: UNITS['imp-floz'] } as const;
const LARGE = {
  us: { factor: UNITS.quart.factor, word: 'qt' },
  imperial: { factor: UNITS['imp-pint'].factor, word: 'pt' },
} as const;
const GALLON = { us: UNITS.gallon, imperial: UNITS['imp-gallon'] } as const;

/** A weight as a scale can show it, in the kitchen's measures. */
export function weight(kg: number, { weight: of }: Pick<Measures, 'weight'> = METRIC): string {
  if (of === 'pounds') return pounds(kg * 1000);
  const grams = roundGrams(kg * 1000);
  if (Math.abs(grams) < 1000) return `${grams < 10 ? grams.toFixed(1) : grams} g`;
  return `${(grams / 1000).toFixed(2)} kg`;
}

/** A dose: grams to the gram, under ten to a tenth, or ounces. */
export function dose(grams: number, { weight: of }: Pick<Measures, 'weight'> = METRIC): string {
  if (of === 'pounds') return pounds(grams);
  return `${Math.abs(grams) < 10 ? trim(grams.toFixed(1)) : Math.round(grams)} g`;
}

/** A volume as a measure can show it, in the kitchen's measures. */
export function volume(litresOf: number, { volume: of }: Pick<Measures, 'volume'> = METRIC): string {
  const ml = litresOf * 1000;
  if (of !== 'metric') return poured(ml, of);
  const round = roundMillilitres(ml);
  return Math.abs(round) < 1000 ? `${round} mL` : `${(round / 1000).toFixed(1)} L`;
}

/** What is in a pot: litres to a tenth, or as a measure shows it. */
export function litres(value: number, { volume: of }: Pick<Measures, 'volume'> = METRIC): string {
  return of === 'metric' ? `${value.toFixed(1)} L` : poured(value * 1000, of);
}

/** What a bowl or a ladle holds: it is told apart finer than a measure pours. */
export function portion(ml: number, { volume: of }: Pick<Measures, 'volume'> = METRIC): string {
  if (of === 'metric') return `${Math.round(ml)} mL`;
  return `${trim((ml / FLUID_OUNCE[of].factor).toFixed(1))} fl oz`;
}

/** A temperature to so many digits of its own degree. */
export function temperature(
  tempC: number,
  { temperature: of }: Pick<Measures, 'temperature'> = METRIC,
  digits = 0,
): string {
  const value = of === 'C' ? tempC : convert({ value: tempC, from: 'degC', to: 'degF' });
  // no minus before nothing
  return `${(Number(value.toFixed(digits)) + 0).toFixed(digits)} °${of}`;
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const;

/** A depth as a stick shows it: centimetres to a tenth, or inches in eighths. */
export function depth(cm: number, { volume: of }: Pick<Measures, 'volume'> = METRIC): string {
  if (of === 'metric') return `${trim(cm.toFixed(1))} cm`;
  const eighths = Math.round((8 * cm) / UNITS.in.factor);
  const whole = Math.floor(eighths / 8);
  return `${whole > 0 || eighths === 0 ? whole : ''}${EIGHTHS[eighths % 8]} in`;
}

/** Fluid ounces under a quart or a pint, quarters of it from there, tenths from four, gallons from a hundred. */
function poured(ml: number, of: 'us' | 'imperial'): string {
  const { factor, word } = LARGE[of];
  const ounces = ml / FLUID_OUNCE[of].factor;
  if (Math.abs(ml) < factor - FLUID_OUNCE[of].factor / 2)
    return `${trim(ounces.toFixed(Math.abs(ounces) < 4 ? 1 : 0))} fl oz`;
  const large = ml / factor;
  if (large < 4) return `${trim((Math.round(large * 4) / 4).toFixed(2))} ${word}`;
  if (large < 100) return `${trim(large.toFixed(1))} ${word}`;
  return `${trim((ml / GALLON[of].factor).toFixed(1))} gal`;
}

/**
 * Pounds and ounces: tenths of an ounce under four, whole ounces from there, half pounds from twenty. What no scale of
 * ounces shows is in grams.
 */
function pounds(grams: number): string {
  const ounces = grams / UNITS.oz.factor;
  if (ounces < LEAST_OUNCES && grams > 0) return `${Math.max(0.1, roundGrams(grams)).toFixed(1)} g`;
  if (ounces < 4) return `${trim(ounces.toFixed(ounces < 0.1 ? 2 : 1))} oz`;
  const whole = Math.round(ounces);
  if (whole < 16) return `${whole} oz`;
  if (whole >= 320) return `${trim((Math.round(whole / 8) / 2).toFixed(1))} lb`;
  const rest = whole % 16;
  return `${Math.floor(whole / 16)} lb${rest > 0 ? ` ${rest} oz` : ''}`;
}

/** A scale of ounces shows hundredths, of which one is nothing to go by. */
const LEAST_OUNCES = 0.05;

function trim(digits: string): string {
  return digits.includes('.') ? digits.replace(/\.?0+$/, '') : digits;
}

export function percent(value: number): string {
  return `${value.toFixed(2)} %`;
}

export function money(cents: number, currency: string, locale = 'en-GB'): string {
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(cents / 100);
}

/**
 * A number typed by a cook: a comma for a point, spaces around; null for what is no number. A comma before three digits at
 * the end could be either (“1,250”), and is none: 1.25 and 1250 are a thousand times apart.
 */
export function typedNumber(text: string): number | null {
  const tidy = text.trim();
  if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(tidy)) return null;
  const plain = tidy.replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}
