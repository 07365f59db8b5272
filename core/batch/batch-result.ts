import { askedInService, type ServiceAsked } from '../demand';
import type { AsSaid } from '../log';
import { isForNow } from '../portions';
import { FIRST_GUESS_BODY, FIRST_GUESS_FLOOR, variance } from '../pot';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState, HeatSegment } from './batch-state';
import { type KeptForecast, keptForecasts } from './kept-forecasts';
import { ladleShown } from './ladle-shown';
import { floorShown } from './learned-shares';
import { serviceTallies } from './service-tallies';

/** Predicted beside actual, frozen when a batch is closed. */
export interface BatchResult {
  predicted: Outcome;
  actual: Outcome;
  served: number;
  discarded: number;
  leftLitres: number;
  /** litres stored for the larder; absent in results before there were lots */
  storedLitres?: number;
  /** litres drawn off into other pots; absent where there were none, and in results of before */
  partLitres?: number;
  leftPortions: number;
  /** actual yield less predicted, L */
  yieldGapLitres: number;
  /** where the gap comes from */
  reasons: YieldReason[];
  /** as it ended, and as it was known when it began; that is absent in results of before */
  heatFactor: {
    mean: number;
    sd: number;
    knew?: { mean: number; sd: number };
    /** the burner it is of, where that is not the one it stood on at the end */
    burnerId?: string;
  };
  /** what each stretch of steady heat showed; absent in results of models before 4 */
  segments?: HeatSegment[];
  /** what its floor showed, beside what was known of it; absent where it showed nothing */
  floor?: { potId: string; recipeId: string; mean: number; sd: number; knew: { mean: number; sd: number } };
  /** what its thickening did over the table before anybody mended it, a logarithm; absent where no test told it */
  body?: { recipeId: string; mean: number; sd: number; knew: { mean: number; sd: number } };
  /** what a ladle gave over what was meant, a logarithm; absent where nobody measured what was left */
  ladle?: { mean: number; sd: number; knew: { mean: number; sd: number }; by?: string };
  /** what its service asked for; absent where it was for none, or nothing was served, and in results of before */
  asked?: ServiceAsked & { serviceId: string; weekday: number };
  /** every forecast that was shown, with what came true; absent in results of models before 4 */
  forecasts?: KeptForecast[];
}

/** Litres over (above 0) or short, and why: more or less steam, more or less put in, what ladles and walls kept. */
export type YieldReason = AsSaid | { code: 'steam' | 'amounts' | 'handling'; litres: number };

export interface Outcome {
  yieldLitres: number;
  portions: number;
  readyAtMs: number;
  cookingMinutes: number;
  saltPercent: number;
  costPerPortionCents: number;
  evaporatedKg: number;
}

/** A gap smaller than this is not worth a sentence, L. */
const WORTH_SAYING_L = 0.15;

/**
 * What a closed batch came to, beside what its plan said, and where the difference went.
 *
 * @param snapshot with the plan as it was
 * @param state folded to its closing
 * @param events the log it was folded from: what its forecasts were
 * @returns predicted, actual and the reasons
 * @throws RangeError when the batch is not closed
 * @source arithmetic
 */
export function batchResult(
  snapshot: BatchSnapshot,
  state: BatchState,
  events: readonly BatchEvent[],
): BatchResult {
  if (!state.closed) throw new RangeError(`state must be closed, got ${state.closed}`);
  const { plan, input } = snapshot;
  const portionL = input.portionMl / 1000;
  const firstBegun = Math.min(
    ...state.stages.flatMap((stage) => (stage.begunMs === null ? [] : [stage.begunMs])),
  );
  const servingBegun = input.recipe.stages.find((stage) => stage.ends.rule === 'served')?.id;
  const readyAtMs =
    state.stages.find((stage) => stage.stageId === servingBegun)?.begunMs ??
    state.firstServedMs ??
    state.closed.atMs;
  const storedLitres = state.stored.reduce((sum, lot) => sum + lot.litres, 0);
  const { outs } = state.service;
  const outLitres = outs.reduce((sum, out) => sum + out.litres, 0);
  const partLitres = litresOfParts(state.parts);
  const yieldLitres = outLitres + storedLitres + partLitres + state.closed.leftLitres;
  const tallies = serviceTallies(snapshot, state);
  const servedLitres = tallies.reduce((sum, one) => sum + (one.served * one.kind.ml) / 1000, 0);
  const outPortions = (servedLitres + storedLitres + partLitres) / portionL;
  const garnishCents = tallies.reduce((sum, one) => sum + one.garnishCents, 0);
  const actual: Outcome = {
    yieldLitres,
    portions: outPortions,
    readyAtMs,
    cookingMinutes: Number.isFinite(firstBegun) ? (readyAtMs - firstBegun) / 60_000 : 0,
    saltPercent: state.atService?.saltPercent ?? 0,
    costPerPortionCents: outPortions > 0 ? (state.costCents + garnishCents) / outPortions : 0,
    evaporatedKg: state.pot.evaporatedKg,
  };
  const predicted: Outcome = {
    yieldLitres: plan.yieldLitres,
    portions: plan.yieldPortions,
    readyAtMs: plan.readyAtMs,
    cookingMinutes: (plan.readyAtMs - plan.startAtMs) / 60_000,
    saltPercent: plan.saltPercent,
    costPerPortionCents: plan.costPerPortionCents,
    evaporatedKg: plan.evaporatedKg,
  };
  return {
    predicted,
    actual,
    served: state.served,
    discarded: state.discarded,
    leftLitres: state.closed.leftLitres,
    ...(storedLitres > 0 ? { storedLitres } : {}),
    ...(partLitres > 0 ? { partLitres } : {}),
    leftPortions: Math.floor((state.closed.leftLitres + 1e-9) / portionL),
    yieldGapLitres: yieldLitres - plan.yieldLitres,
    reasons: reasons(snapshot, state, yieldLitres),
    heatFactor: heatShown(state),
    segments: state.segments,
    ...floorOf(snapshot, state),
    ...bodyOf(snapshot, state),
    ...askedOf(snapshot, state),
    ...ladleOf(snapshot, state),
    forecasts: keptForecasts(snapshot, events),
  };
}

/** What the burner it was cooked on gave on the average, beside what was known of it. */
function heatShown({ pot, onBurner, held }: BatchState): BatchResult['heatFactor'] {
  const cookedOn = held?.cookedOn ?? null;
  const { mean, sd } = (cookedOn ?? onBurner).heatFactor;
  return {
    mean: pot.heatFactor,
    sd: Math.sqrt(variance(pot.covariance, 'burner')),
    knew: { mean, sd },
    ...(cookedOn ? { burnerId: cookedOn.id } : {}),
  };
}

function reasons(snapshot: BatchSnapshot, state: BatchState, yieldLitres: number): YieldReason[] {
  const { plan } = snapshot;
  const steamGap = state.pot.evaporatedKg - plan.evaporatedKg;
  const plannedKg = plan.lines.reduce((sum, line) => sum + (line.perBowl ? 0 : line.edibleKg), 0);
  const each: YieldReason[] = [
    { code: 'steam', litres: -steamGap },
    { code: 'amounts', litres: state.pot.addedKg - plannedKg },
    {
      code: 'handling',
      litres: state.atService ? yieldLitres - drawnBefore(state) - state.atService.litres : 0,
    },
  ];
  return each.filter((one) => 'litres' in one && Math.abs(one.litres) > WORTH_SAYING_L);
}

const litresOfParts = (parts: BatchState['parts']): number => parts.reduce((sum, one) => sum + one.litres, 0);

/** Drawn off before the first portion: it was not there to be served. */
function drawnBefore({ parts, atService }: BatchState): number {
  return litresOfParts(parts.filter((one) => atService !== null && one.atMs < atService.atMs));
}

/** What the floor showed: it caught, or it was found clean after all that heat. Of several pots none can be told. */
function floorOf({ input }: BatchSnapshot, state: BatchState): Pick<BatchResult, 'floor'> {
  const potId = state.inPot.id;
  const margins = state.segments.flatMap((one) => one.floorMargin ?? []);
  const found = state.caughtAt === null ? state.closed?.floor : 'caught';
  const at = state.caughtAt ?? (margins.length > 0 ? Math.min(...margins) : null);
  if (!found || at === null || !(at > 0) || !Number.isFinite(at)) return {};
  if (state.segments.some((one) => one.potId !== potId)) return {};
  const knew = input.pot.floor ?? FIRST_GUESS_FLOOR;
  return { floor: { potId, recipeId: input.recipe.id, ...floorShown(knew, at, found), knew } };
}

/** What its ladles gave, where that was measured. */
function ladleOf(snapshot: BatchSnapshot, state: BatchState): Pick<BatchResult, 'ladle'> {
  const ladle = ladleShown(snapshot, state);
  const by = state.closed?.servedBy;
  return ladle ? { ladle: { ...ladle, ...(by ? { by } : {}) } } : {};
}

/** What guests asked for at the service itself: not the cooks' own, nor what was kept for later. */
function askedOf(snapshot: BatchSnapshot, state: BatchState): Pick<BatchResult, 'asked'> {
  const { service, plan } = snapshot;
  const tallies = serviceTallies(snapshot, state).filter((one) => isForNow(one.kind));
  const ids = new Set(tallies.map((one) => one.kind.id));
  const served = state.service.outs.filter((out) => out.fate === 'served' && ids.has(out.kindId));
  if (!service || served.length === 0) return {};
  const { serviceId, weekday, lastsMin } = service;
  const planned = tallies.reduce((sum, one) => sum + one.covers, 0);
  const { turnedAway } = state.service;
  const asked = askedInService({ planned, startsMs: plan.serviceAtMs, lastsMin, asked: served, turnedAway });
  return { asked: { ...asked, serviceId, weekday } };
}

/** What the recipe's thickening showed by the tests of the spoon, beside what was known of it. */
function bodyOf({ input }: BatchSnapshot, { bodyShown }: BatchState): Pick<BatchResult, 'body'> {
  if (!bodyShown) return {};
  const knew = input.body ?? FIRST_GUESS_BODY;
  return { body: { recipeId: input.recipe.id, ...bodyShown, knew: { mean: knew.mean, sd: knew.sd } } };
}
