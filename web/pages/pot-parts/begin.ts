import { span } from '../../../contract';
import {
  type BatchSnapshot,
  type LineDraw,
  type NextAction,
  topTemperature,
  wantedHeat,
} from '../../../core/batch';
import { massKg } from '../../../core/matter';
import { SIMMER_UNDER_BOIL_C, type Stage } from '../../../core/recipe';
import type { BatchCommand } from '../../../core/rules';
import { heatOf, hourMinute, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { itemsOf } from './amounts-sheet';

/** Beginning a stage: its lines are in, it begins, its lid and its heat are set. */
export function beginBodies(
  here: BatchHere,
  want: Extract<NextAction, { kind: 'begin' }>,
  kgByLine?: Record<string, number>,
  draws: readonly LineDraw[] = drawsOf(here.batch.snapshot),
  overrideReason = '',
): BatchCommand[] {
  const { stage } = want;
  const items = itemsOf(want.lines, draws, kgByLine);
  const added: BatchCommand[] = items.length > 0 ? [{ type: 'added', payload: { items } }] : [];
  return [
    ...added,
    {
      type: 'stageBegun',
      payload: { stageId: stage.id, ...(overrideReason.trim() ? { overrideReason } : {}) },
    },
    { type: 'lidSet', payload: { lid: stage.lid } },
    { type: 'heatSet', payload: { fraction: firstHeat(here, want) } },
  ];
}

/** Which lots the batch draws, by line; batches of before drew their liquid from one. */
export function drawsOf(snapshot: BatchSnapshot): readonly LineDraw[] {
  if (snapshot.draws) return snapshot.draws;
  const liquid = snapshot.plan.lines.find((line) =>
    snapshot.input.recipe.lines.some((one) => one.id === line.lineId && one.scaling === 'toYield'),
  );
  return snapshot.lotId && liquid
    ? [{ lineId: liquid.lineId, lotId: snapshot.lotId, kg: liquid.edibleKg }]
    : [];
}

/** Full while what goes in is cold, else what the stage's simmer wants. */
export function firstHeat(here: BatchHere, want: Extract<NextAction, { kind: 'begin' }>): number {
  const { stage, lines } = want;
  if (stage.heat.kind === 'burner') return stage.heat.fraction;
  if (stage.ends.rule === 'served') return heldHeat(here, stage);
  const coldKg = lines.reduce((sum, line) => sum + (line.tempC < 60 ? line.edibleKg : 0), 0);
  if (coldKg > 0.05 * massKg(here.pot.state.pot.mixture)) return 1;
  return heldHeat(here, stage);
}

function heldHeat(here: BatchHere, stage: Stage): number {
  const { snapshot } = here.batch;
  const { state } = here.pot;
  return wantedHeat(state.setup, stage, state.pot, topTemperature(snapshot, state)?.tempC);
}

export function beginWords(want: Extract<NextAction, { kind: 'begin' }>, here: BatchHere): string {
  const { nowMs } = here.pot;
  const { zone } = here.kitchen;
  if (want.dueMs === null) return potWords.next;
  const gap = want.dueMs - nowMs;
  if (gap > 60_000) return potWords.lightItAtIn(hourMinute(want.dueMs, zone), span(gap));
  return gap < -5 * 60_000
    ? potWords.itWasToBeLit(hourMinute(want.dueMs, zone), span(gap))
    : potWords.lightItNow;
}

/** What the stage's heat comes to at this height, in words and °C. */
export function simmerWords(here: BatchHere, stage: Stage): string {
  if (stage.heat.kind === 'burner') return '';
  const { boilingC } = here.pot.state.setup.air;
  return potWords.cHere(heatOf(stage), boilingC - SIMMER_UNDER_BOIL_C[stage.heat.simmer]);
}
