import { check, typedNumber, vesselSchema } from '../../../contract';
import type { Vessel } from '../../../core/vessel';

/** A pot's inside measures as they are typed, and what they mean. */

export type Shape = Exclude<Vessel['shape'], 'measured'>;
export const SHAPES: readonly Shape[] = ['cylinder', 'tapered', 'kettle', 'box'];

/** Which measures a shape has, and what they are called. */
export const MEASURES: Readonly<Record<Shape, readonly { name: string; label: string }[]>> = {
  cylinder: [
    { name: 'diameterCm', label: 'Across, inside' },
    { name: 'heightCm', label: 'High, inside' },
  ],
  tapered: [
    { name: 'bottomDiameterCm', label: 'Across the bottom' },
    { name: 'topDiameterCm', label: 'Across the top' },
    { name: 'heightCm', label: 'High, inside' },
  ],
  kettle: [
    { name: 'diameterCm', label: 'Across, inside' },
    { name: 'heightCm', label: 'High, with its bowl' },
  ],
  box: [
    { name: 'lengthCm', label: 'Long, inside' },
    { name: 'widthCm', label: 'Wide, inside' },
    { name: 'heightCm', label: 'High, inside' },
  ],
};

export function shapeOf(vessel: Vessel | undefined): Shape {
  return vessel && vessel.shape !== 'measured' ? vessel.shape : 'cylinder';
}

export function typedMeasures(vessel: Vessel | undefined): Record<string, string> {
  if (!vessel) return {};
  return Object.fromEntries(
    Object.entries(vessel).flatMap(([name, value]) =>
      typeof value === 'number' ? [[name, String(Math.round(value * 10) / 10)]] : [],
    ),
  );
}

export function meantMeasures(
  shape: Shape,
  measures: Readonly<Record<string, string>>,
): Record<string, number | string> {
  return Object.fromEntries(
    MEASURES[shape].map(({ name }) => [name, typedNumber(measures[name] ?? '') ?? measures[name] ?? '']),
  );
}

/** Null while what is typed is no pot. */
export function vesselOf(shape: Shape, measures: Readonly<Record<string, string>>): Vessel | null {
  const held = check(vesselSchema, { shape, ...meantMeasures(shape, measures) });
  return held.ok ? held.value : null;
}
