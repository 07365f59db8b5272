import type { Lid } from '../../evaporation';
import { type Pot, setupOf, stirEveryMin } from '../../plan';
import {
  arrivingAt,
  changeBurner,
  changeVessel,
  covarianceOf,
  coverPot,
  lawMargin,
  type PotState,
  setHeat,
} from '../../pot';

import type { BatchState, HeatSegment } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';

/** A stretch shorter than this teaches nothing worth keeping, min. */
const WORTH_KEEPING_MIN = 4;

export function turnHeat(
  context: FoldContext,
  state: BatchState,
  fraction: number,
  atMs: number,
): BatchState {
  if (fraction === state.pot.heatFraction && state.pot.keptC === undefined) return state;
  const pot = setHeat(state.pot, fraction, knownOf(state, fraction));
  return { ...withSegment(context, state, atMs), ...known(pot) };
}

/** A setting this near to one that is known is the same tap. */
const SAME_SETTING = 0.051;

/** What the kitchen knows of a setting under the lid it has, or under another one. */
function knownOf(state: BatchState, fraction: number): { mean: number; sd: number } | undefined {
  const near = (state.onBurner.settings ?? []).filter(
    (one) => Math.abs(one.fraction - fraction) < SAME_SETTING,
  );
  return (near.find((one) => one.lid === state.pot.lid) ?? near[0])?.arriving;
}

export function setLid(context: FoldContext, state: BatchState, lid: Lid, atMs: number): BatchState {
  if (lid === state.pot.lid) return state;
  const pot = coverPot(state.pot, lid, surfaceOf(state.inPot, lid));
  return { ...withSegment(context, state, atMs), ...known(pot) };
}

/** All of it into another pot, or onto another burner. What is known of the old burner says nothing of the new one. */
export function moveOver(context: FoldContext, state: BatchState, event: EventOf<'moved'>): BatchState {
  const { pot: inPot, burner: onBurner } = event.payload;
  const { kitchen } = context.snapshot.input;
  const poured = inPot.id === state.inPot.id ? state.pot : changeVessel(state.pot, surfaceOf(inPot, 'off'));
  const pot = changeBurner(poured, onBurner.id === state.onBurner.id ? null : onBurner.heatFactor);
  return {
    ...withSegment(context, state, event.actedAtMs),
    inPot,
    onBurner,
    setup: setupOf({ kitchen, pot: inPot, burner: onBurner }),
    // back on a burner: its tap decides from here
    held: null,
    ...known(pot),
  };
}

/** What the kitchen knows of a pot's surface under a lid. */
export function surfaceOf(
  { surfaces }: Pick<Pot, 'surfaces'>,
  lid: Lid,
): { mean: number; sd: number } | undefined {
  return surfaces?.find((one) => one.lid === lid)?.share;
}

/** A pot as it begins a stretch, with what is known of it then. */
export const known = (pot: PotState) => ({ pot, heatKnown: arrivingIn(pot), leavingKnown: leavingIn(pot) });

/** What leaves the surface under the lid it has, as a share of what the law says. */
function leavingIn(pot: PotState): { mean: number; sd: number } {
  const open = { surface: 1, lid: 1 };
  return { mean: pot.surface + pot.passes, sd: Math.sqrt(covarianceOf(pot.covariance, open, open)) };
}

/** What is known of the heat that arrives, as share of what is expected. */
function arrivingIn(pot: PotState): { mean: number; sd: number } {
  const heat = { burner: 1, wander: 1, setting: 1 };
  return { mean: arrivingAt(pot), sd: Math.sqrt(covarianceOf(pot.covariance, heat, heat)) };
}

/** The stretch of steady heat that ends now, with what it showed of the burner. */
export function withSegment(context: FoldContext, state: BatchState, atMs: number): BatchState {
  const minutes = (atMs - state.heatSinceMs) / 60_000;
  const { pot } = state;
  const since = { ...state, heatSinceMs: atMs };
  if (pot.heatFraction === 0 || minutes < WORTH_KEEPING_MIN) return since;
  const margin = marginIn(context, state);
  const segment: HeatSegment = {
    potId: state.inPot.id,
    burnerId: state.onBurner.id,
    fraction: pot.heatFraction,
    lid: pot.lid,
    minutes,
    arriving: arrivingIn(pot),
    knew: state.heatKnown,
    leaving: { ...leavingIn(pot), knew: state.leavingKnown },
    ...(margin !== null && Number.isFinite(margin) ? { floorMargin: margin } : {}),
  };
  return { ...since, segments: context.append(state.segments, segment) };
}

/** The law's margin of the floor as it is heated and stirred now; null while it is fried in, and while it is ladled empty. */
function marginIn({ snapshot }: FoldContext, { setup, pot, currentStageId }: BatchState): number | null {
  const stage = snapshot.input.recipe.stages.find((one) => one.id === currentStageId);
  return stage && stage.ends.rule !== 'served' ? lawMargin(setup, pot, stirEveryMin(stage, pot)) : null;
}

/** The floor caught: at the heat it has, or had just now. */
export function floorCaught(context: FoldContext, state: BatchState): BatchState {
  const now = state.pot.heatFraction > 0 ? marginIn(context, state) : null;
  const at = now ?? state.segments.at(-1)?.floorMargin ?? null;
  return at === null ? state : { ...state, caughtAt: Math.min(at, state.caughtAt ?? at) };
}
