import type { BatchState } from './batch-state';

/**
 * A batch of its own with the same in it, to write on. Written out: copying so many fields by their names at run time
 * took longer than running the pot.
 */
export function copyBatch(state: BatchState): BatchState {
  return {
    pot: state.pot,
    inPot: state.inPot,
    onBurner: state.onBurner,
    setup: state.setup,
    stages: state.stages,
    currentStageId: state.currentStageId,
    wentIn: state.wentIn,
    items: state.items,
    parked: state.parked,
    lookedMs: state.lookedMs,
    snoozedUntilMs: state.snoozedUntilMs,
    slips: state.slips,
    segments: state.segments,
    leavingKnown: state.leavingKnown,
    caughtAt: state.caughtAt,
    touchedMs: state.touchedMs,
    heatSinceMs: state.heatSinceMs,
    heatKnown: state.heatKnown,
    readings: state.readings,
    questions: state.questions,
    tests: state.tests,
    tastings: state.tastings,
    dosed: state.dosed,
    meters: state.meters,
    acidOffG: state.acidOffG,
    bodyShown: state.bodyShown,
    served: state.served,
    discarded: state.discarded,
    service: state.service,
    held: state.held,
    reheats: state.reheats,
    parts: state.parts,
    firstServedMs: state.firstServedMs,
    atService: state.atService,
    costCents: state.costCents,
    stored: state.stored,
    notes: state.notes,
    closed: state.closed,
    lateEventIds: state.lateEventIds,
  };
}
