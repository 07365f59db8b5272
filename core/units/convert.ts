import { finite, positive } from '../check';
import { UNITS, type Unit } from './data/units';

/**
 * Converts a kitchen quantity from one unit to another.
 *
 * @param value in `from` units, any finite number
 * @param from,to mL L tsp tbsp floz cup pint quart gallon (US), imp-floz imp-pint imp-quart imp-gallon, metric-cup metric-tbsp,
 *   g kg oz lb, degC degF, cm m in ft
 * @param densityGPerMl above 0; needed only between mass and volume
 * @returns the quantity in `to` units, unrounded
 * @throws RangeError for an unknown unit, a pair of kinds that do not convert, or mass and volume without density
 * @example convert({ value: 1, from: 'quart', to: 'mL' }) // => 946.352946
 * @source published: NIST Handbook 44, Appendix C
 */
export function convert(input: { value: number; from: Unit; to: Unit; densityGPerMl?: number }): number {
  const value = finite('value', input.value);
  const from = unit('from', input.from);
  const to = unit('to', input.to);
  if (from.kind === 'temperature' && to.kind === 'temperature') {
    const degC = input.from === 'degF' ? ((value - 32) * 5) / 9 : value;
    return input.to === 'degF' ? (degC * 9) / 5 + 32 : degC;
  }
  if (from.kind === to.kind) return (value * from.factor) / to.factor;
  const kinds = `${from.kind} ${to.kind}`;
  if (kinds !== 'mass volume' && kinds !== 'volume mass') {
    throw new RangeError(
      `to: ${input.from} is a ${from.kind} and ${input.to} a ${to.kind}; they do not convert`,
    );
  }
  if (input.densityGPerMl === undefined) {
    throw new RangeError(
      `densityGPerMl is needed between ${input.from} and ${input.to}, got ${input.densityGPerMl}`,
    );
  }
  const density = positive('densityGPerMl', input.densityGPerMl);
  const base = value * from.factor;
  return (from.kind === 'mass' ? base / density : base * density) / to.factor;
}

function unit(name: string, key: Unit) {
  if (!Object.hasOwn(UNITS, key)) throw new RangeError(`${name} must be a known unit, got ${String(key)}`);
  return UNITS[key];
}
