import { convert, METRIC, type Measures, roundGrams, roundMillilitres, UNITS } from '../../core/units';

/** A pot in a sentence: “the 24 L rondeau”; one whose name has its article keeps it, “the old dented stockpot”. */
export function thePot(name: string): string {
  return /^the\s/i.test(name) ? `the ${name.slice(4)}` : `the ${name}`;
}

/** The edge: figures as a cook reads them. Nothing here goes back into the model. */

export function sentenceCase(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Formats are dear to make, and a page asks for the same few over and over. */
const numberFormats = new Map<string, Intl.NumberFormat>();
const dateFormats = new Map<string, Intl.DateTimeFormat>();

/** A figure to so many digits, with the locale's own sign between units and tenths; thousands stand together. */
export function decimal(value: number, digits: number, locale = 'en-GB', least = digits): string {
  const key = `${locale} ${digits} ${least}`;
  let format = numberFormats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(locale, {
      minimumFractionDigits: least,
      maximumFractionDigits: digits,
      useGrouping: false,
    });
    numberFormats.set(key, format);
  }
  // no minus before nothing
  return format.format(Number(value.toFixed(digits)) + 0);
}

function dateFormat(locale: string, zone: string, of: 'hour' | 'day'): Intl.DateTimeFormat {
  const key = `${locale} ${zone} ${of}`;
  let format = dateFormats.get(key);
  if (!format) {
    const parts: Intl.DateTimeFormatOptions =
      of === 'day'
        ? { weekday: 'short', day: 'numeric', month: 'short' }
        : { hour: locale.startsWith('en-GB') ? '2-digit' : 'numeric', minute: '2-digit' };
    format = new Intl.DateTimeFormat(locale, { ...parts, timeZone: zone });
    dateFormats.set(key, format);
  }
  return format;
}

/** Hours of the day by zone and minute: twenty pots ask for the same few over and over. */
const hours = new Map<string, string>();
const MOST_HOURS = 5000;

/** “13:10”, “1:10 PM”: the hour of the day as the locale writes it. */
export function hourMinute(ms: number, zone: string, locale = 'en-GB'): string {
  const key = `${Math.floor(ms / 60_000)} ${zone} ${locale}`;
  const known = hours.get(key);
  if (known) return known;
  const text = dateFormat(locale, zone, 'hour').format(ms).replace(/\s/g, '\u00a0');
  if (hours.size > MOST_HOURS) hours.clear();
  hours.set(key, text);
  return text;
}

/** “Tue 10 Mar, 13:10”, as the locale writes it. */
export function dayAndHour(ms: number, zone: string, locale = 'en-GB'): string {
  return `${day(ms, zone, locale)}, ${hourMinute(ms, zone, locale)}`;
}

/** “Tue 10 Mar”, as the locale writes it. */
export function day(ms: number, zone: string, locale = 'en-GB'): string {
  return dateFormat(locale, zone, 'day').format(ms);
}

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

/** What of a kitchen's measures a figure is written in, and in which locale. */
type As<Kind extends keyof Measures> = Pick<Measures, Kind> & { locale?: string };

/** A weight as a scale can show it, in the kitchen's measures. */
export function weight(kg: number, { weight: of, locale }: As<'weight'> = METRIC): string {
  if (of === 'pounds') return pounds(kg * 1000, locale);
  const grams = roundGrams(kg * 1000);
  if (Math.abs(grams) < 1000) return `${grams < 10 ? decimal(grams, 1, locale) : grams} g`;
  return `${decimal(grams / 1000, 2, locale)} kg`;
}

/** A dose: grams to the gram, under ten to a tenth, or ounces. */
export function dose(grams: number, { weight: of, locale }: As<'weight'> = METRIC): string {
  if (of === 'pounds') return pounds(grams, locale);
  return `${Math.abs(grams) < 10 ? decimal(grams, 1, locale, 0) : Math.round(grams)} g`;
}

/** A volume as a measure can show it, in the kitchen's measures. */
export function volume(litresOf: number, { volume: of, locale }: As<'volume'> = METRIC): string {
  const ml = litresOf * 1000;
  if (of !== 'metric') return poured(ml, of, locale);
  const round = roundMillilitres(ml);
  return Math.abs(round) < 1000 ? `${round} mL` : `${decimal(round / 1000, 1, locale)} L`;
}

/** What is in a pot: litres to a tenth, or as a measure shows it. */
export function litres(value: number, { volume: of, locale }: As<'volume'> = METRIC): string {
  return of === 'metric' ? `${decimal(value, 1, locale)} L` : poured(value * 1000, of, locale);
}

/** What a bowl or a ladle holds: it is told apart finer than a measure pours. */
export function portion(ml: number, { volume: of, locale }: As<'volume'> = METRIC): string {
  if (of === 'metric') return `${Math.round(ml)} mL`;
  return `${decimal(ml / FLUID_OUNCE[of].factor, 1, locale, 0)} fl oz`;
}

/** A temperature to so many digits of its own degree. */
export function temperature(
  tempC: number,
  { temperature: of, locale }: As<'temperature'> = METRIC,
  digits = 0,
): string {
  const value = of === 'C' ? tempC : convert({ value: tempC, from: 'degC', to: 'degF' });
  return `${decimal(value, digits, locale)} °${of}`;
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const;

/** A depth as a stick shows it: centimetres to a tenth, or inches in eighths. */
export function depth(cm: number, { volume: of, locale }: As<'volume'> = METRIC): string {
  if (of === 'metric') return `${decimal(cm, 1, locale, 0)} cm`;
  const eighths = Math.round((8 * cm) / UNITS.in.factor);
  const whole = Math.floor(eighths / 8);
  return `${whole > 0 || eighths === 0 ? whole : ''}${EIGHTHS[eighths % 8]} in`;
}

/** Fluid ounces under a quart or a pint, quarters of it from there, tenths from four, gallons from a hundred. */
function poured(ml: number, of: 'us' | 'imperial', locale?: string): string {
  const { factor, word } = LARGE[of];
  const ounces = ml / FLUID_OUNCE[of].factor;
  if (Math.abs(ml) < factor - FLUID_OUNCE[of].factor / 2)
    return `${decimal(ounces, Math.abs(ounces) < 4 ? 1 : 0, locale, 0)} fl oz`;
  const large = ml / factor;
  if (large < 4) return `${decimal(Math.round(large * 4) / 4, 2, locale, 0)} ${word}`;
  if (large < 100) return `${decimal(large, 1, locale, 0)} ${word}`;
  return `${decimal(ml / GALLON[of].factor, 1, locale, 0)} gal`;
}

/**
 * Pounds and ounces: tenths of an ounce under four, whole ounces from there, half pounds from twenty. What no scale of
 * ounces shows is in grams.
 */
function pounds(grams: number, locale?: string): string {
  const ounces = grams / UNITS.oz.factor;
  if (ounces < LEAST_OUNCES && grams > 0) return `${decimal(Math.max(0.1, roundGrams(grams)), 1, locale)} g`;
  if (ounces < 4) return `${decimal(ounces, ounces < 0.1 ? 2 : 1, locale, 0)} oz`;
  const whole = Math.round(ounces);
  if (whole < 16) return `${whole} oz`;
  if (whole >= 320) return `${decimal(Math.round(whole / 8) / 2, 1, locale, 0)} lb`;
  const rest = whole % 16;
  return `${Math.floor(whole / 16)} lb${rest > 0 ? ` ${rest} oz` : ''}`;
}

/** A scale of ounces shows hundredths, of which one is nothing to go by. */
const LEAST_OUNCES = 0.05;

export function percent(value: number, locale?: string): string {
  return `${decimal(value, 2, locale)} %`;
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
