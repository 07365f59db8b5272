import { convert } from './convert';
import type { Unit } from './data/units';
import type { Measures, UnitSystem } from './measures';

/** What a field asks for, in the model's own units. */
export const FIELD_UNITS = ['kg', 'g', 'L', 'mL', 'cm', 'm', '°C'] as const;
export type FieldUnit = (typeof FIELD_UNITS)[number];

/** What a field's figure is in. */
export const MODEL_UNIT: Readonly<Record<FieldUnit, Unit>> = {
  kg: 'kg',
  g: 'g',
  L: 'L',
  mL: 'mL',
  cm: 'cm',
  m: 'm',
  '°C': 'degC',
};

/** Names that cooks type, without dots and spaces; the volumes are of the system they are said in. */
const NAMES: Readonly<Record<string, Unit | readonly [us: Unit, imperial: Unit]>> = {
  kg: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  g: 'g',
  gr: 'g',
  gram: 'g',
  grams: 'g',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  '#': 'lb',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  ltr: 'L',
  ml: 'mL',
  millilitre: 'mL',
  millilitres: 'mL',
  milliliters: 'mL',
  qt: ['quart', 'imp-quart'],
  qts: ['quart', 'imp-quart'],
  quart: ['quart', 'imp-quart'],
  quarts: ['quart', 'imp-quart'],
  pt: ['pint', 'imp-pint'],
  pts: ['pint', 'imp-pint'],
  pint: ['pint', 'imp-pint'],
  pints: ['pint', 'imp-pint'],
  gal: ['gallon', 'imp-gallon'],
  gallon: ['gallon', 'imp-gallon'],
  gallons: ['gallon', 'imp-gallon'],
  floz: ['floz', 'imp-floz'],
  fluidounce: ['floz', 'imp-floz'],
  fluidounces: ['floz', 'imp-floz'],
  cup: ['cup', 'metric-cup'],
  cups: ['cup', 'metric-cup'],
  tsp: 'tsp',
  tbsp: ['tbsp', 'metric-tbsp'],
  cm: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  ft: 'ft',
  feet: 'ft',
  foot: 'ft',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '°c': 'degC',
  c: 'degC',
  '°f': 'degF',
  f: 'degF',
};

const FRACTIONS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** A number as it is typed: 8.3, 8,3, ½, 1½, 1 1/2, 3/4. */
const NUMBER = String.raw`[-−]?\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|[-−]?\d*[.,]?\d*\s*[½⅓⅔¼¾⅛⅜⅝⅞]|[-−+]?\d+[.,]?\d*|[-−+]?[.,]\d+`;
const PART = new RegExp(
  String.raw`^(${NUMBER})\s*(fl\.?\s*oz|fluid ounces?|°?\s*[cf]\b|[a-z]+|["″#])?\.?(?:\s*,?\s+(?:and\s+)?|(?=\d)|$)`,
  'i',
);

/** The unit a kitchen reads and writes a quantity in. */
export function kitchenUnit(field: FieldUnit, measures: Measures): Unit {
  const { weight, volume, temperature } = measures;
  switch (field) {
    case 'kg':
      return weight === 'metric' ? 'kg' : 'lb';
    case 'g':
      return weight === 'metric' ? 'g' : 'oz';
    case 'L':
      return { metric: 'L', us: 'quart', imperial: 'imp-pint' }[volume] as Unit;
    case 'mL':
      return { metric: 'mL', us: 'floz', imperial: 'imp-floz' }[volume] as Unit;
    case 'cm':
      return volume === 'metric' ? 'cm' : 'in';
    case 'm':
      return volume === 'metric' ? 'm' : 'ft';
    case '°C':
      return temperature === 'C' ? 'degC' : 'degF';
  }
}

/**
 * A quantity as a cook types it, with any unit or none: “2 lb 3”, “1½ qt”, “195F”, “8.3”. A number alone is in the
 * kitchen's own unit; one after pounds is ounces.
 *
 * @param text what was typed
 * @param field what is asked for, and so what kind of unit it may have
 * @param measures the kitchen's own; a pint is that of its volumes, the US one where it pours in litres
 * @returns the quantity in the field's unit, unrounded; null for what is none
 * @example readQuantity('2 lb 3', 'kg', measuresOf('us')) // => 0.992
 * @source published: NIST Handbook 44, Appendix C
 */
export function readQuantity(text: string, field: FieldUnit, measures: Measures): number | null {
  let rest = text.trim();
  if (rest === '' || /^[+-]?[1-9]\d{0,2},\d{3}$/.test(rest)) return null;
  let total = 0;
  let before: Unit | null = null;
  while (rest !== '') {
    const part = PART.exec(rest);
    if (!part) return null;
    const value = numberOf(part[1]!);
    const unit: Unit | null = part[2] ? unitNamed(part[2], measures.volume) : under(before, field, measures);
    if (value === null || unit === null) return null;
    const isOfItsKind = kindOf(unit) === kindOf(MODEL_UNIT[field]);
    // a second part is a smaller unit of the same kind: pounds and ounces, not degrees and degrees
    if (!isOfItsKind || (before !== null && (kindOf(unit) === 'degrees' || value < 0))) return null;
    total += convert({ value, from: unit, to: MODEL_UNIT[field] });
    before = unit;
    rest = rest.slice(part[0].length);
  }
  return total;
}

/** What a number alone means: the kitchen's unit, or the one under that of the part before it. */
function under(before: Unit | null, field: FieldUnit, measures: Measures): Unit | null {
  if (before === null) return kitchenUnit(field, measures);
  const below: Partial<Record<Unit, Unit>> = {
    lb: 'oz',
    kg: 'g',
    L: 'mL',
    pint: 'floz',
    'imp-pint': 'imp-floz',
  };
  return below[before] ?? null;
}

function unitNamed(word: string, system: UnitSystem): Unit | null {
  const key = word.toLowerCase().replace(/[\s.]/g, '');
  if (!Object.hasOwn(NAMES, key)) return null;
  const named = NAMES[key]!;
  return typeof named === 'string' ? named : named[system === 'imperial' ? 1 : 0]!;
}

const kindOf = (unit: Unit): string =>
  ['degC', 'degF'].includes(unit)
    ? 'degrees'
    : ['cm', 'm', 'in', 'ft'].includes(unit)
      ? 'length'
      : ['g', 'kg', 'oz', 'lb'].includes(unit)
        ? 'mass'
        : 'volume';

function numberOf(text: string): number | null {
  const tidy = text.trim().replace('−', '-');
  const mixed = /^(-?\d+)\s+(\d+)\s*\/\s*(\d+)$/.exec(tidy);
  if (mixed) return over(Number(mixed[1]), Number(mixed[2]), Number(mixed[3]));
  const plain = /^(\d+)\s*\/\s*(\d+)$/.exec(tidy);
  if (plain) return over(0, Number(plain[1]), Number(plain[2]));
  const sign = /[½⅓⅔¼¾⅛⅜⅝⅞]$/.exec(tidy);
  const digits = (sign ? tidy.slice(0, -1) : tidy).trim().replace(',', '.');
  const whole = digits === '' ? 0 : Number(digits);
  if (!Number.isFinite(whole)) return null;
  return whole + (sign ? FRACTIONS[sign[0]]! : 0);
}

function over(whole: number, top: number, bottom: number): number | null {
  return bottom === 0 ? null : whole + top / bottom;
}

/**
 * A quantity as it stands in a field of the kitchen's unit, to four figures and, from one up, to hundredths: read
 * again it is the same to half of what is shown.
 *
 * @param value in the field's unit, finite
 */
export function writeQuantity(value: number, field: FieldUnit, measures: Measures): string {
  const shown = convert({ value, from: MODEL_UNIT[field], to: kitchenUnit(field, measures) });
  if (field === '°C') return String(Math.round(shown * 10) / 10);
  const digits = Number(shown.toPrecision(4));
  // a hundredth of a pound, a quart, an ounce is the finest that any kitchen reads
  return String(Math.abs(digits) < 1 ? digits : Math.round(digits * 100) / 100);
}
