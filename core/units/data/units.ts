/**
 * Kitchen units as exact factors to one base a kind: mL, g, cm.
 * source: published: NIST Handbook 44, Appendix C (US customary, avoirdupois, imperial);
 * the metric cup and tablespoon are common practice (250 mL, 15 mL).
 */
export const UNITS = {
  mL: { kind: 'volume', factor: 1 },
  L: { kind: 'volume', factor: 1000 },
  tsp: { kind: 'volume', factor: 4.92892159375 },
  tbsp: { kind: 'volume', factor: 14.78676478125 },
  floz: { kind: 'volume', factor: 29.5735295625 },
  cup: { kind: 'volume', factor: 236.5882365 },
  pint: { kind: 'volume', factor: 473.176473 },
  quart: { kind: 'volume', factor: 946.352946 },
  gallon: { kind: 'volume', factor: 3785.411784 },
  'imp-floz': { kind: 'volume', factor: 28.4130625 },
  'imp-pint': { kind: 'volume', factor: 568.26125 },
  'imp-quart': { kind: 'volume', factor: 1136.5225 },
  'imp-gallon': { kind: 'volume', factor: 4546.09 },
  'metric-cup': { kind: 'volume', factor: 250 },
  'metric-tbsp': { kind: 'volume', factor: 15 },
  g: { kind: 'mass', factor: 1 },
  kg: { kind: 'mass', factor: 1000 },
  oz: { kind: 'mass', factor: 28.349523125 },
  lb: { kind: 'mass', factor: 453.59237 },
  cm: { kind: 'length', factor: 1 },
  m: { kind: 'length', factor: 100 },
  in: { kind: 'length', factor: 2.54 },
  ft: { kind: 'length', factor: 30.48 },
  degC: { kind: 'temperature', factor: 1 },
  degF: { kind: 'temperature', factor: 5 / 9 },
} as const;

export type Unit = keyof typeof UNITS;
