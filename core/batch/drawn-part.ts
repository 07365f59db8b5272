import { type Mixture, massKg } from '../matter';
import { bodyOfPot, drawFromPot, foodLitres, lessSteeping, type PotState } from '../pot';
import type { BatchState } from './batch-state';
import type { WentIn } from './went-in';

/** Some of a pot as it was drawn off hot: all that another pot begins with. */
export interface DrawnPart {
  childId: string;
  eventId: string;
  atMs: number;
  kg: number;
  /** as they were in the pot, hot */
  litres: number;
  tempC: number;
  mixture: Mixture;
  steeping: PotState['steeping'];
  softenedMin: number;
  /** how long it had been between 5 and 57 °C, s; absent in parts of before */
  warmS?: number | undefined;
  /** its share of all that had gone in, what was lifted out again among it */
  wentIn: readonly WentIn[];
  costCents: number;
}

/**
 * Draws litres off a pot. More than there is empties it; what lies in it in pieces goes along in its proportion, what
 * hangs by a tag stays.
 *
 * @param litres above 0, as they are in the pot
 */
export function drawPart(
  state: BatchState,
  { childId, eventId, atMs, litres }: Pick<DrawnPart, 'childId' | 'eventId' | 'atMs' | 'litres'>,
): { pot: PotState; part: DrawnPart } {
  const { pot } = state;
  const there = massKg(pot.mixture);
  const thereLitres = foodLitres(pot);
  const kg = thereLitres > 0 ? Math.min(there, (litres * there) / thereLitres) : 0;
  const share = there > 0 ? kg / there : 0;
  const { pot: left, drawn } = drawFromPot(pot, kg);
  const ofAll = there + pot.drawnKg > 0 ? kg / (there + pot.drawnKg) : 0;
  return {
    pot: left,
    part: {
      childId,
      eventId,
      atMs,
      kg,
      litres: share * thereLitres,
      tempC: pot.tempC,
      // what tests have shown of its thickening goes with it
      mixture: { ...drawn, flourEquivalentG: bodyOfPot({ ...pot, mixture: drawn }) },
      steeping: pot.steeping && lessSteeping(pot.steeping, 1 - share),
      softenedMin: pot.softenedMin,
      warmS: pot.warmS,
      wentIn: state.wentIn.map((one) => ({ ...one, lineId: null, kg: one.kg * ofAll })),
      costCents: state.costCents * ofAll,
    },
  };
}

/** A pot with what was drawn off poured in. */
export function potOfPart(empty: PotState, part: DrawnPart): PotState {
  return {
    ...empty,
    atMs: part.atMs,
    mixture: part.mixture,
    tempC: part.tempC,
    steeping: part.steeping,
    softenedMin: part.softenedMin,
    warmS: part.warmS,
    addedKg: part.kg,
  };
}
