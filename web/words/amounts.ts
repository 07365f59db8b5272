import * as edge from '../../contract';
import {
  convert,
  type FieldUnit,
  kitchenUnit,
  METRIC,
  type Measures,
  MODEL_UNIT,
  readQuantity,
  UNITS,
  type Unit,
  writeQuantity,
} from '../../core/units';

/**
 * Figures as this kitchen writes them. A page speaks one language and one set of measures: they are set when the kitchen is
 * known, before anything is drawn; where they change, all is drawn anew.
 */
let here: Measures & { locale: string } = { ...METRIC, locale: 'en-GB' };

/** @returns a key that is another whenever figures are written otherwise */
export function writeFiguresAs({ measures, locale }: { measures: Measures; locale: string }): string {
  here = { ...measures, locale };
  edge.tellRangesIn(measures);
  return `${measures.weight} ${measures.volume} ${measures.temperature} ${locale}`;
}

export const measuresHere = (): Measures => here;

/** A figure to so many digits, as the kitchen's locale writes it. */
export const decimal = (value: number, digits: number): string => edge.decimal(value, digits, here.locale);
export const percent = (value: number): string => edge.percent(value, here.locale);
export const hourMinute = (ms: number, zone: string): string => edge.hourMinute(ms, zone, here.locale);

export const weight = (kg: number): string => edge.weight(kg, here);
export const dose = (grams: number): string => edge.dose(grams, here);
export const volume = (litresOf: number): string => edge.volume(litresOf, here);
export const litres = (value: number): string => edge.litres(value, here);
export const portion = (ml: number): string => edge.portion(ml, here);
export const depth = (cm: number): string => edge.depth(cm, here);
export const temperature = (tempC: number, digits = 0): string => edge.temperature(tempC, here, digits);
/** A strength, g a litre, as the kitchen weighs and pours: g/L, or tenths of an ounce to the quart; `more` digits of it. */
export function strength(gPerL: number, more = 0): string {
  const weighed = kitchenUnit('g', here);
  const poured = kitchenUnit('L', here);
  const value =
    convert({ value: gPerL, from: 'g', to: weighed }) / convert({ value: 1, from: 'L', to: poured });
  return `${decimal(value, (weighed === 'g' ? 0 : 2) + more)} ${weighed}/${WRITTEN[poured] ?? poured}`;
}

/** A height over the sea: whole metres or feet. */
export const altitude = (m: number): string => exact(m, 'm');
/** Litres to a tenth in the kitchen's unit, without its name. */
export const writeTenths = (value: number): string => decimal(Number(writeField(value, 'L')), 1);

/** What a chart of a pot is drawn in, and how much of it a litre is. */
export const potUnit = (): { perLitre: number; unit: string } => ({
  perLitre: convert({ value: 1, from: 'L', to: kitchenUnit('L', here) }),
  unit: fieldUnit('L'),
});

/** How far two temperatures are apart, in the kitchen's own degrees. */
export const kelvins = (k: number): string =>
  here.temperature === 'C' ? `${decimal(k, 1)} °C` : `${decimal(k * 1.8, 1)} °F`;
export const day = (ms: number, zone: string): string => edge.day(ms, zone, here.locale);
export const dayAndHour = (ms: number, zone: string): string => edge.dayAndHour(ms, zone, here.locale);
export const money = (cents: number, currency: string): string => edge.money(cents, currency, here.locale);

/** A stick's own marks: what one of them is, cm, and what stands beside it. */
export function stick(): { unitCm: number; unit: string; shown: (cm: number) => string } {
  const isMetric = here.volume === 'metric';
  return {
    unitCm: isMetric ? 1 : UNITS.in.factor,
    unit: isMetric ? 'cm' : 'in',
    shown: (cm) => (isMetric ? decimal(cm, 1) : edge.depth(cm, here).replace(/ in$/, '')),
  };
}

/** How a unit is written beside a field. */
const WRITTEN: Readonly<Partial<Record<Unit, string>>> = {
  degC: '°C',
  degF: '°F',
  quart: 'qt',
  'imp-pint': 'pt',
  floz: 'fl oz',
  'imp-floz': 'fl oz',
};

/** The kitchen's unit for a field that asks in the model's. */
export function fieldUnit(unit: FieldUnit): string {
  const own = kitchenUnit(unit, here);
  return WRITTEN[own] ?? own;
}

/** What was typed into such a field, in the model's unit; null for what is no quantity. */
export const readField = (text: string, unit: FieldUnit): number | null => readQuantity(text, unit, here);

/** What the kitchen's large weight is of a kilogram: what costs so much a kilogram costs so much less a pound. */
export const kgHere = (): number => (here.weight === 'metric' ? 1 : UNITS.lb.factor / 1000);

/** What a kilogram costs, as a pound's price in a kitchen that weighs in pounds. */
export const pricePerWeight = (centsPerKg: number, currency: string): string =>
  money(centsPerKg * kgHere(), currency);

/** What a litre costs, as a quart's or a pint's price. */
export const pricePerVolume = (centsPerLitre: number, currency: string): string =>
  money(centsPerLitre * convert({ value: 1, from: kitchenUnit('L', here), to: 'L' }), currency);

/** What stands in the field of such a price. */
export const priceHere = (centsPerKg: number): string => ((centsPerKg * kgHere()) / 100).toFixed(2);

/** A price as it is typed, for the kitchen's large weight, in cents a kilogram to a hundredth of a cent. */
export const centsPerKgTyped = (price: number): number => Math.round((price * 1e4) / kgHere()) / 100;

/** A figure of an arithmetic in the kitchen's unit, to so many digits, with its unit; an ounce has one more than a gram. */
export function exact(value: number, unit: FieldUnit, digits = 0): string {
  const own = kitchenUnit(unit, here);
  const shown = convert({ value, from: MODEL_UNIT[unit], to: own });
  return `${decimal(shown, own === 'oz' || own === 'floz' ? digits + 1 : digits)} ${WRITTEN[own] ?? own}`;
}

/** A figure in the model's unit as it stands in such a field. */
export const writeField = (value: number, unit: FieldUnit): string => writeQuantity(value, unit, here);
