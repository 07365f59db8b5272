import { massKg } from '../matter';
import { neutralised } from '../taste';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { rowGoingIn } from './went-in';

/** Of what went in, what has not been ladled or lifted out. */
export function leftShare({ pot }: Pick<BatchState, 'pot'>): number {
  const there = massKg(pot.mixture);
  const gone = pot.drawnKg + pot.takenOutKg;
  return there + gone > 0 ? there / (there + gone) : 0;
}

/** Acid that is in the pot, g as anhydrous citric: what its foods brought, less what bicarbonate took, corrected by a pH meter. */
export function acidIn(
  snapshot: BatchSnapshot,
  state: Pick<BatchState, 'pot' | 'wentIn' | 'acidOffG'>,
): number {
  let [acidG, bicarbonateG] = [state.acidOffG, 0];
  for (const one of state.wentIn) {
    const row = rowGoingIn(snapshot, one);
    acidG += one.kg * (row.acidGPerKg ?? 0);
    if (row.id === 'bicarbonate') bicarbonateG += one.kg * 1000;
  }
  return Math.max(0, acidG - bicarbonateG / neutralised(1).bicarbonateG) * leftShare(state);
}

/** Hot spice that is in the pot, g. */
export function hotIn(snapshot: BatchSnapshot, state: Pick<BatchState, 'pot' | 'wentIn'>): number {
  const g = state.wentIn.reduce(
    (sum, one) => sum + (rowGoingIn(snapshot, one).strength === 'hot' ? one.kg * 1000 : 0),
    0,
  );
  return g * leftShare(state);
}
