import type { BatchSnapshot, BatchState } from '../batch';
import { toLast } from '../demand';
import { saltPercent } from '../matter';
import { isForNow } from '../portions';
import { type PassBoard, partGone } from './pass-board';

/** A ladle is told to so many mL. */
const LADLE_STEP_ML = 5;

/** Three moments, ms; null where it lasts to the end. */
export interface Moments {
  p10Ms: number | null;
  p50Ms: number | null;
  p90Ms: number | null;
}

/** Whether a pot lasts through its service, and what would make it. */
export interface WillItLast {
  /** portions still to be asked for: mean and one standard deviation */
  stillToCome: { mean: number; sd: number };
  /** chance that more is asked for than there is, 0..1 */
  chance: number;
  runsOut: Moments;
  /** every kind smaller by the same share, mL, and how many portions that makes; null where it lasts, or would be no portion */
  smaller: { portions: number; sizes: { kindId: string; ml: number }[] } | null;
  /** hot liquid to put in, L, the share by which it is thinned, and its salt then; null where it lasts, or that is too much */
  dilute: { litres: number; thinnedBy: number; saltPercent: number } | null;
  /** another pot of it: minutes it takes, and when it has to be lit to be there in time, ms; null where that is past */
  another: { minutes: number; lightByMs: number } | null;
}

/**
 * What is still to be asked for against what is in the pot.
 *
 * @returns null before the service, after it, and where nobody is expected or nothing is left
 */
export function willItLast(
  { plan }: Pick<BatchSnapshot, 'plan'>,
  state: Pick<BatchState, 'pot' | 'served'>,
  board: Pick<PassBoard, 'demand' | 'kinds' | 'lastsMin' | 'litres' | 'litresForMore'>,
  nowMs: number,
): WillItLast | null {
  const { demand, lastsMin } = board;
  const isQuiet = state.served === 0 && nowMs < plan.serviceAtMs;
  const isOver = partGone(plan.serviceAtMs, lastsMin, nowMs) >= 1;
  if (!demand || isQuiet || isOver || board.litres <= 0) return null;
  // a tenth of a litre moves nothing worth a word
  const litres = Math.round(board.litresForMore * 10) / 10;
  const msOf = (part: number | null) => (part === null ? null : plan.serviceAtMs + part * lastsMin * 60_000);
  const { p10, p50, p90 } = demand.runsOut(litres);
  const runsOut = { p10Ms: msOf(p10), p50Ms: msOf(p50), p90Ms: msOf(p90) };
  const levers = litres > 0 ? toLast(demand.inUnits, { litres, portionMl: demand.unitMl }) : null;
  const minutes = (plan.readyAtMs - plan.startAtMs) / 60_000;
  const lightByMs = runsOut.p10Ms === null ? null : runsOut.p10Ms - minutes * 60_000;
  const now = saltPercent(state.pot.mixture, 'all');
  const share = levers?.ladleMl ? levers.ladleMl / demand.unitMl : null;
  return {
    stillToCome: demand.stillToCome,
    chance: demand.chanceOfMoreThan(litres),
    runsOut,
    smaller: levers && share !== null ? { portions: levers.bowls, sizes: smallerSizes(board, share) } : null,
    dilute: levers?.dilute ? { ...levers.dilute, saltPercent: now * (1 - levers.dilute.thinnedBy) } : null,
    another: lightByMs !== null && lightByMs > nowMs ? { minutes, lightByMs } : null,
  };
}

function smallerSizes({ kinds }: Pick<PassBoard, 'kinds'>, share: number) {
  return kinds
    .filter(({ kind }) => isForNow(kind))
    .map(({ kind }) => ({
      kindId: kind.id,
      ml: Math.max(LADLE_STEP_ML, Math.floor((kind.ml * share) / LADLE_STEP_ML) * LADLE_STEP_ML),
    }));
}
