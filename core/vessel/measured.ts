import { type Curve, monotoneCurve } from './monotone-curve';
import { checkVessel, type MeasuredVessel } from './vessel';

/** A pot is asked for its litres at each step of a fold: its curve is worked out once for as long as it is there. */
const CURVES = new WeakMap<MeasuredVessel, Curve>();

/** Cubic centimetres over centimetres of a measured pot, from its lowest point to its rim and straight on. */
export function curveOf(vessel: MeasuredVessel): Curve {
  const known = CURVES.get(vessel);
  if (known) return known;
  checkVessel(vessel);
  const curve = monotoneCurve([
    { x: 0, y: 0 },
    ...vessel.levels.map(({ litres, depthCm }) => ({ x: depthCm, y: litres * 1000 })),
  ]);
  CURVES.set(vessel, curve);
  return curve;
}
