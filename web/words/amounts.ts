import * as edge from '../../contract';
import {
  convert,
  type FieldUnit,
  kitchenUnit,
  METRIC,
  type Measures,
  readQuantity,
  UNITS,
  type Unit,
  writeQuantity,
} from '../../core/units';

/**
 * Figures as this kitchen writes them. A page speaks one language and one set of measures: they are set when the kitchen is
 * known, before anything is drawn; where they change, all is drawn anew.
 */
let here: { measures: Measures; locale: string } = { measures: METRIC, locale: 'en-GB' };

/** @returns a key that is another whenever figures are written otherwise */
export function writeFiguresAs({ measures, locale }: { measures: Measures; locale: string }): string {
  here = { measures, locale };
  edge.tellRangesIn(measures);
  return `${measures.weight} ${measures.volume} ${measures.temperature} ${locale}`;
}

export const measuresHere = (): Measures => here.measures;

export const weight = (kg: number): string => edge.weight(kg, here.measures);
export const dose = (grams: number): string => edge.dose(grams, here.measures);
export const volume = (litresOf: number): string => edge.volume(litresOf, here.measures);
export const litres = (value: number): string => edge.litres(value, here.measures);
export const portion = (ml: number): string => edge.portion(ml, here.measures);
export const depth = (cm: number): string => edge.depth(cm, here.measures);
export const temperature = (tempC: number, digits = 0): string =>
  edge.temperature(tempC, here.measures, digits);
/** Litres to a tenth in the kitchen's unit, without its name. */
export const writeTenths = (value: number): string => Number(writeField(value, 'L')).toFixed(1);

/** What a chart of a pot is drawn in, and how much of it a litre is. */
export const potUnit = (): { perLitre: number; unit: string } => ({
  perLitre: convert({ value: 1, from: 'L', to: kitchenUnit('L', here.measures) }),
  unit: fieldUnit('L'),
});

/** How far two temperatures are apart, in the kitchen's own degrees. */
export const kelvins = (k: number): string =>
  here.measures.temperature === 'C' ? `${k.toFixed(1)} °C` : `${(k * 1.8).toFixed(1)} °F`;
export const day = (ms: number, zone: string): string => edge.day(ms, zone, here.locale);
export const dayAndHour = (ms: number, zone: string): string => edge.dayAndHour(ms, zone, here.locale);
export const money = (cents: number, currency: string): string => edge.money(cents, currency, here.locale);

/** A stick's own marks: what one of them is, cm, and what stands beside it. */
export function stick(): { unitCm: number; unit: string; shown: (cm: number) => string } {
  const isMetric = here.measures.volume === 'metric';
  return {
    unitCm: isMetric ? 1 : UNITS.in.factor,
    unit: isMetric ? 'cm' : 'in',
    shown: (cm) => (isMetric ? cm.toFixed(1) : edge.depth(cm, here.measures).replace(/ in$/, '')),
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
  const own = kitchenUnit(unit, here.measures);
  return WRITTEN[own] ?? own;
}

/** What was typed into such a field, in the model's unit; null for what is no quantity. */
export const readField = (text: string, unit: FieldUnit): number | null =>
  readQuantity(text, unit, here.measures);

/** A figure in the model's unit as it stands in such a field. */
export const writeField = (value: number, unit: FieldUnit): string =>
  writeQuantity(value, unit, here.measures);
