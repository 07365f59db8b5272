import { check, typedNumber, vesselSchema } from '../../../contract';
import type { Vessel } from '../../../core/vessel';
import { potsWords } from '../../words';

/** A pot's inside measures as they are typed, and what they mean. */

export type Shape = Exclude<Vessel['shape'], 'measured'>;
export const SHAPES: readonly Shape[] = ['cylinder', 'tapered', 'kettle', 'box'];

/** Which measures a shape has, and what they are called. */
export const MEASURES: Readonly<Record<Shape, readonly { name: string; label: string }[]>> = {
  cylinder: [
    { name: 'diameterCm', label: potsWords.acrossInside },
    { name: 'heightCm', label: potsWords.highInside },
  ],
  tapered: [
    { name: 'bottomDiameterCm', label: potsWords.acrossTheBottom },
    { name: 'topDiameterCm', label: potsWords.acrossTheTop },
    { name: 'heightCm', label: potsWords.highInside },
  ],
  kettle: [
    { name: 'diameterCm', label: potsWords.acrossInside },
    { name: 'heightCm', label: potsWords.highWithItsBowl },
  ],
  box: [
    { name: 'lengthCm', label: potsWords.longInside },
    { name: 'widthCm', label: potsWords.wideInside },
    { name: 'heightCm', label: potsWords.highInside },
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
