import { massesOf, massKg, saltPercent } from '../matter';
import { own } from '../own';
import { bodyOfPot, liquidLitres } from '../pot';
import { dilutionKg } from '../salt';
import { thicknessBand } from '../thickness';

import type { BatchSnapshot, Slip, Trouble } from './batch-event';
import type { BatchState } from './batch-state';
import { lossKgPerHour } from './stage-clock';
import { rowsInPot } from './went-in';

/** What is done about a slip, in the order it is done, with the figures of this pot. */
export interface Rescue {
  steps: RescueStep[];
  /** minutes it costs, as far as it can be computed; null where only the mouth can say */
  minutes: number | null;
  /** salt or thickness is left to be mended: Adjust compares the ways */
  toAdjust: boolean;
}

export type RescueStep =
  /** what is done at once at such trouble */
  | { code: 'trouble'; trouble: Trouble }
  /** a line that was forgotten goes in now */
  | { code: 'putIn'; name: string }
  | { code: 'fishOut'; name: string }
  /** unsalted liquid that brings the salt back */
  | { code: 'dilute'; saltPercent: number; wantedPercent: number; kg: number }
  | { code: 'thin' }
  | { code: 'skimFat' }
  /** minutes at the heat there is; null where none of it leaves */
  | { code: 'boilAway'; waterKg: number; minutes: number | null }
  | { code: 'sharp' }
  | { code: 'taste'; name: string };

/** Minutes that trouble at the pot costs. source: common practice */
const TROUBLE_MIN: Readonly<Record<Trouble, number>> = {
  scorched: 6,
  curdled: 8,
  lumps: 5,
  burntRoux: 12,
  boiledOver: 3,
  grainy: 8,
  scrambled: 10,
  split: 6,
};

/** A liquid that is mostly water can be boiled away. */
const MOSTLY = 0.5;

/** More salt than this over the wanted share is worth mending, percent points. */
const SALT_WORTH_MENDING = 0.05;
/** A band further off than this is worth mending. */
const BAND_WORTH_MENDING = 0.4;

/**
 * What mends a slip, for the pot as it is after it. Undo is only for what did not happen.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch with the slip already in it
 * @param slip what happened
 * @returns the steps with their figures
 * @source common practice; figures by mass balance from the pot's own state
 */
export function rescueOf(snapshot: BatchSnapshot, state: BatchState, slip: Slip): Rescue {
  switch (slip.kind) {
    case 'trouble':
      return {
        steps: [{ code: 'trouble', trouble: slip.trouble }],
        minutes: TROUBLE_MIN[slip.trouble],
        toAdjust: false,
      };
    case 'forgot': {
      const line = snapshot.plan.lines.find((one) => one.lineId === slip.lineId);
      return {
        steps: [{ code: 'putIn', name: line?.name ?? slip.lineId }],
        minutes: null,
        toAdjust: false,
      };
    }
    case 'tooMuch':
    case 'wrongPot':
      return surplus(snapshot, state, slip);
  }
}

function surplus(
  snapshot: BatchSnapshot,
  state: BatchState,
  slip: Extract<Slip, { ingredientId: string }>,
): Rescue {
  const { input } = snapshot;
  const ingredient = own(rowsInPot(snapshot, state), slip.ingredientId);
  const name = ingredient?.name ?? slip.ingredientId;
  const steps: RescueStep[] = [];
  let minutes: number | null = null;
  let toAdjust = false;
  const { mixture } = state.pot;
  const salt = saltPercent(mixture, 'all');
  if (ingredient?.share === 'pieces') steps.push({ code: 'fishOut', name });
  if (salt > input.saltPercent + SALT_WORTH_MENDING) {
    const kg = dilutionKg({ massKg: massKg(mixture), nowPercent: salt, targetPercent: input.saltPercent });
    steps.push({ code: 'dilute', saltPercent: salt, wantedPercent: input.saltPercent, kg });
    toAdjust = true;
  }
  const litres = liquidLitres(state.pot);
  const band =
    litres > 0 ? thicknessBand({ flourEquivalentGPerL: Math.max(0, bodyOfPot(state.pot) / litres) }) : 0;
  if (band > input.band + BAND_WORTH_MENDING) {
    steps.push({ code: 'thin' });
    toAdjust = true;
  }
  const waterKg = ingredient ? massesOf(ingredient, slip.kg).water : 0;
  const lossKg = lossKgPerHour(state.setup, state.pot);
  if (ingredient?.kind === 'fat') steps.push({ code: 'skimFat' });
  if (ingredient?.share === 'liquid' && waterKg > MOSTLY * slip.kg) {
    minutes = lossKg > 0.05 ? (waterKg / lossKg) * 60 : null;
    steps.push({ code: 'boilAway', waterKg, minutes });
  }
  if (ingredient?.kind === 'wine' || ingredient?.kind === 'acid') steps.push({ code: 'sharp' });
  if (steps.length === 0) steps.push({ code: 'taste', name });
  return { steps, minutes, toAdjust };
}
