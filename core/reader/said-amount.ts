import type { UnitSystem } from '../units';
import { MEASURES, type WrittenUnit } from './data/measures';
import {
  amountFirst,
  fruitOf,
  inUnits,
  takeEach,
  takeParens,
  takeSecond,
  takeUnit,
  takeWeightAfter,
} from './line-parts';
import { plainNumber, type ReadAmount, readAmount } from './read-amount';
import type { ParseWarning } from './reading';

/** How much a line says there is, in all the ways it says so, and the words that are left to name it. */
export interface SaidAmount {
  amount: { low: number; high: number } | null;
  unit: WrittenUnit | null;
  isHeaped: boolean;
  isByLength: boolean;
  /** grams in brackets or after the name: of one, of all */
  weights: { each: number | null; total: number | null };
  /** the rest of the line */
  rest: string;
  /** “juice of 2 lemons”: the name is said by the fruit */
  fruit: string | null;
  /** what stood in brackets */
  notes: readonly string[];
  warnings: ParseWarning[];
}

/**
 * @param line tidied, without its asides
 * @param system whose cups and pints
 */
export function saidAmount(line: string, system: UnitSystem): SaidAmount {
  const warnings: ParseWarning[] = [];
  const isByLength = BY_LENGTH.test(line);
  const measured = line.replace(BY_LENGTH, (_, n: string, unit: string) => `${thumbs(n, unit)} thumb `);
  const { rest: bare, weights, notes } = takeParens(amountFirst(measured));
  const after = takeWeightAfter(bare);
  if (after?.isEach) weights.each ??= after.grams;
  else if (after) weights.total ??= after.grams;
  const named = after?.rest ?? bare;
  const fruit = fruitOf(named);
  if (fruit?.also) warnings.push({ kind: 'two', name: fruit.name });
  const whole = fruit?.rest ?? named;
  const written = readAmount(whole);
  // nothing but a weight after the name: there is one of it
  const amount = written ? dozens(written) : after ? { low: 1, high: 1, rest: whole, warnings: [] } : null;
  warnings.push(...(amount?.warnings ?? []));
  const said = {
    weights,
    notes,
    fruit: fruit?.name ?? null,
    isByLength,
    warnings,
  };
  const rest = (amount?.rest ?? whole).replace(/^(?:\/|\+)\s*/, '');
  if (!amount) return { ...said, amount: null, unit: null, isHeaped: false, rest };

  const each = takeEach(rest);
  if (each) weights.each = each.grams;
  const left = each?.rest ?? rest;
  const isHeaped = /^heap(ed|ing)\b/i.test(left);
  if (isHeaped) warnings.push({ kind: 'measure', spoon: 'heaped' });
  const first = takeUnit(left.replace(/^heap(ed|ing)\s*/i, ''));
  const joined = first.unit ? withSecond(amount, first.unit, first.rest, system) : null;
  warnings.push(...(joined?.warnings ?? []));
  return {
    ...said,
    amount: joined?.amount ?? { low: amount.low, high: amount.high },
    unit: joined?.unit ?? first.unit,
    isHeaped,
    rest: joined?.rest ?? first.rest,
  };
}

/** “Two dozen eggs”. */
function dozens(amount: ReadAmount): ReadAmount {
  const dozen = /^dozens?\b(?: of)?\s*/i.exec(amount.rest);
  if (!dozen) return amount;
  const rest = amount.rest.slice(dozen[0].length);
  return { ...amount, low: 12 * amount.low, high: 12 * amount.high, rest };
}

/** An amount said in two measures: their sum, both ends of a range, or the same twice, of which the metric one was weighed. */
function withSecond(
  { low, high }: { low: number; high: number },
  unit: WrittenUnit,
  text: string,
  system: UnitSystem,
): {
  amount: { low: number; high: number };
  unit: WrittenUnit;
  rest: string;
  warnings: ParseWarning[];
} | null {
  const second = takeSecond(text);
  if (!second) return null;
  const share = inUnits(second.unit, unit, system);
  const same = { amount: { low, high }, unit, rest: second.rest, warnings: [] };
  if (share === null) return second.joins === 'same' ? same : null;
  const other = plainNumber(second.amount);
  const inFirst = other * share;
  if (second.joins === 'adds') return { ...same, amount: { low: low + inFirst, high: high + inFirst } };
  if (second.joins === 'to')
    return { ...same, amount: { low, high: inFirst }, warnings: [{ kind: 'range', low, high: inFirst }] };
  if (Math.abs(inFirst - high) < TWO_UNITS_WITHIN * high)
    return METRIC_UNITS.has(second.unit)
      ? { ...same, amount: { low: other, high: other }, unit: second.unit }
      : same;
  const grams = (value: number, by: WrittenUnit) =>
    value * (MEASURES[by as keyof typeof MEASURES].grams ?? 1);
  const doubt: ParseWarning = {
    kind: 'disagree',
    bracketsG: grams(high, unit),
    readG: grams(other, second.unit),
  };
  return { ...same, warnings: [doubt] };
}

/** “5 cm piece of ginger”: a thumb is about 5 cm. Common practice. */
const BY_LENGTH =
  /^(?:an? )?(\d+(?:[.,]\d+)?(?: \d\/\d)?|\d\/\d)\s*-?(cm|inch(?:es)?|in\.?|")[- ](?:piece|knob|length|chunk|bit)s?(?: of)?\s+/i;
const thumbs = (n: string, unit: string): number =>
  Math.round((plainNumber(n) * (/cm/i.test(unit) ? 1 : 2.54) * 100) / 5) / 100;

/** The same amount in two measures is the same within this share: a pound for 450 g, a pint for 600 mL. Common practice. */
const TWO_UNITS_WITHIN = 0.12;

const METRIC_UNITS: ReadonlySet<WrittenUnit> = new Set(['g', 'kg', 'mL', 'cL', 'dL', 'L']);
