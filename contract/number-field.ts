import * as v from 'valibot';
import { LOT_STORAGES } from '../core/matter';

/** A number in a range, with one clear sentence for whatever is wrong with it. */
export function numberField(name: string, min: number, max: number, unit: string) {
  const suffix = unit ? ` ${unit}` : '';
  const range = `${name} must be from ${min} to ${max}${suffix}.`;
  return v.pipe(
    v.number((issue) => `${name} must be a number${suffix ? ` of${suffix}` : ''}, not ${said(issue.input)}.`),
    v.finite(`${name} must be a finite number.`),
    v.minValue(min, range),
    v.maxValue(max, range),
  );
}

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

function said(input: unknown): string {
  if (input === undefined || input === null || input === '') return 'empty';
  if (Array.isArray(input)) return 'a list';
  // whatever it says of itself: it may have no text at all
  if (typeof input === 'object') return 'something with parts';
  return typeof input === 'string'
    ? `“${input.length > 60 ? `${input.slice(0, 60)}…` : input}”`
    : String(input);
}
