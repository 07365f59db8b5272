import type { Lid } from '../../evaporation';
import { setupOf } from '../../plan';
import {
  arrivingAt,
  changeBurner,
  changeVessel,
  covarianceOf,
  coverPot,
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
  if (fraction === state.pot.heatFraction) return state;
  const pot = setHeat(state.pot, fraction, knownOf(state, fraction));
  return { ...withSegment(context, state, atMs), pot, heatKnown: arrivingIn(pot) };
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
  const pot = coverPot(state.pot, lid);
  return { ...withSegment(context, state, atMs), pot, heatKnown: arrivingIn(pot) };
}

/** All of it into another pot, or onto another burner. What is known of the old burner says nothing of the new one. */
export function moveOver(context: FoldContext, state: BatchState, event: EventOf<'moved'>): BatchState {
  const { pot: inPot, burner: onBurner } = event.payload;
  const { kitchen } = context.snapshot.input;
  const poured = inPot.id === state.inPot.id ? state.pot : changeVessel(state.pot);
  const pot = changeBurner(poured, onBurner.id === state.onBurner.id ? null : onBurner.heatFactor);
  return {
    ...withSegment(context, state, event.actedAtMs),
    inPot,
    onBurner,
    setup: setupOf({ kitchen, pot: inPot, burner: onBurner }),
    pot,
    heatKnown: arrivingIn(pot),
  };
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
  const segment: HeatSegment = {
    potId: state.inPot.id,
    burnerId: state.onBurner.id,
    fraction: pot.heatFraction,
    lid: pot.lid,
    minutes,
    arriving: arrivingIn(pot),
    knew: state.heatKnown,
  };
  return { ...since, segments: context.append(state.segments, segment) };
}
