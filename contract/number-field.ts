import * as v from 'valibot';
import { LOT_STORAGES } from '../core/matter';
import {
  FIELD_UNITS,
  type FieldUnit,
  kitchenUnit,
  METRIC,
  type Measures,
  type Unit,
  writeQuantity,
} from '../core/units';

/** A number in a range, with one clear sentence for whatever is wrong with it. */
export function numberField(name: string, min: number, max: number, unit: string) {
  const range = () => {
    const [from, to, of] = [min, max].every(Number.isFinite) ? asRead(min, max, unit) : [min, max, unit];
    return `${name} must be from ${from} to ${to}${of ? ` ${of}` : ''}.`;
  };
  return v.pipe(
    v.number((issue) => {
      const [, , of] = asRead(min, max, unit);
      return `${name} must be a number${of ? ` of ${of}` : ''}, not ${said(issue.input)}.`;
    }),
    v.finite(`${name} must be a finite number.`),
    v.minValue(min, range),
    v.maxValue(max, range),
  );
}

/** The measures that ranges are told in: a browser sets its kitchen's; over the wire they are metric. */
let measures = METRIC;

export function tellRangesIn(of: Measures): void {
  measures = of;
}

/** A range and its unit as a cook reads them. */
function asRead(
  min: number,
  max: number,
  unit: string,
): [from: number | string, to: number | string, unit: string] {
  if (!isFieldUnit(unit)) return [min, max, unit];
  const own = kitchenUnit(unit, measures);
  const word = UNIT_WORDS[own];
  if (!word) return [min, max, unit];
  return [writeQuantity(min, unit, measures), writeQuantity(max, unit, measures), word];
}

const isFieldUnit = (unit: string): unit is FieldUnit => FIELD_UNITS.includes(unit as FieldUnit);

/** Units that are not the model's own, in a sentence. */
const UNIT_WORDS: Readonly<Partial<Record<Unit, string>>> = {
  lb: 'pounds',
  oz: 'ounces',
  quart: 'quarts',
  'imp-pint': 'pints',
  floz: 'fluid ounces',
  'imp-floz': 'fluid ounces',
  in: 'inches',
  ft: 'feet',
  degF: '°F',
};

/** A whole number in a range. */
export function countField(name: string, min: number, max: number) {
  return v.pipe(numberField(name, min, max, ''), v.integer(`${name} must be a whole number.`));
}

/** An id or a short word. */
export function textField(name: string, maxLength = 80) {
  return v.pipe(
    v.string(`${name} must be text.`),
    v.minLength(1, `${name} is missing.`),
    v.maxLength(maxLength, `${name} must be at most ${maxLength} characters.`),
  );
}

/** An id made by whoever says something first. */
export function idField(name: string) {
  return v.pipe(v.string(`${name} must be text.`), v.uuid(`${name} must be a UUID.`));
}

/** The year 2200, ms: no service, delivery or date is later. */
const LATEST_MS = 7_258_118_400_000;

/** A moment, whole milliseconds UTC. */
export function timeField(name: string) {
  return v.pipe(numberField(name, 0, LATEST_MS, 'ms'), v.transform(Math.round));
}

/** How a lot is kept. */
export const storageField = v.picklist(LOT_STORAGES, 'It is kept chilled, frozen or dry.');

/** A signature. */
export const signedBy = textField('Who signs', 60);

/** Which of the kitchen's thermometers it was taken with. */
export const thermometerField = v.optional(textField('The thermometer', 60));

function said(input: unknown): string {
  if (input === undefined || input === null || input === '') return 'empty';
  if (Array.isArray(input)) return 'a list';
  // whatever it says of itself: it may have no text at all
  if (typeof input === 'object') return 'something with parts';
  return typeof input === 'string'
    ? `“${input.length > 60 ? `${input.slice(0, 60)}…` : input}”`
    : String(input);
}
