import { massKg, saltPercent, volumeLitres, whole } from '../../matter';
import { bodyOfPot, drawFromPot, foodLitres } from '../../pot';

import type { BatchState, StoredLot } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';

/** What is stored is measured cold, °C. */
const COLD_C = 20;

/** Bowls leave the pot, to be eaten or thrown away. */
export function portion(context: FoldContext, before: BatchState, event: EventOf<'portioned'>): BatchState {
  const { portions: count, fate } = event.payload;
  const state = fate === 'served' ? atService(before, event.actedAtMs) : before;
  const litres = foodLitres(state.pot);
  const kgPerLitre = litres > 0 ? massKg(state.pot.mixture) / litres : 1;
  const kg = ((count * context.snapshot.input.portionMl) / 1000) * kgPerLitre;
  const { pot } = drawFromPot(state.pot, kg);
  return {
    ...state,
    pot,
    served: state.served + (fate === 'served' ? count : 0),
    discarded: state.discarded + (fate === 'discarded' ? count : 0),
    firstServedMs: fate === 'served' ? (state.firstServedMs ?? event.actedAtMs) : state.firstServedMs,
  };
}

/** Litres as they are cold leave the pot for the larder; what they cost is their share of what went in. */
export function storeLot(before: BatchState, event: EventOf<'stored'>): BatchState {
  const state = atService(before, event.actedAtMs);
  const { lotId, litres, place, storage } = event.payload;
  const there = massKg(state.pot.mixture);
  const coldLitres = volumeLitres(whole(state.pot.mixture), COLD_C);
  const kg = coldLitres > 0 ? Math.min(there, (litres * there) / coldLitres) : 0;
  const { pot, drawn } = drawFromPot(state.pot, kg);
  const gone = there + state.pot.drawnKg;
  const lot: StoredLot = {
    eventId: event.id,
    seq: event.seq,
    atMs: event.actedAtMs,
    lotId,
    kg,
    litres,
    // what tests have shown of its thickening goes with it
    mixture: { ...drawn, flourEquivalentG: bodyOfPot({ ...state.pot, mixture: drawn }) },
    wentIn: state.wentIn,
    costCents: gone > 0 ? (state.costCents * kg) / gone : 0,
    place,
    storage,
  };
  return { ...state, pot, stored: [...state.stored, lot] };
}

/** The yield is what is there when the first of it leaves. */
export function atService(state: BatchState, atMs: number): BatchState {
  if (state.atService) return state;
  const litres = foodLitres(state.pot);
  return { ...state, atService: { litres, saltPercent: saltPercent(state.pot.mixture, 'all'), atMs } };
}
