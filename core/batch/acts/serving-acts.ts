import { massKg, saltPercent, volumeLitres, whole } from '../../matter';
import type { PlanInput } from '../../plan';
import { kindOf } from '../../portions';
import { bodyOfPot, drawFromPot, foodLitres, variance } from '../../pot';
import type { AskedItem } from '../batch-event';
import type { AskedOrder, BatchState, PortionsOut, ServiceState, StoredLot } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';
import { kindNow, trueMl } from '../kind-now';

/** What is stored is measured cold, °C. */
const COLD_C = 20;

/** Portions leave the pot, to be eaten or not; what had been counted as served left it before, and goes to nobody. */
export function portion(context: FoldContext, before: BatchState, event: EventOf<'portioned'>): BatchState {
  const { portions: said, fate, kindId, reason = null, isOut = false, orderId = null } = event.payload;
  const count = Math.max(0, said - (context.takenBack.get(event.id) ?? 0));
  const { input } = context.snapshot;
  const kind = kindNow(input, before.service, kindId);
  const state = fate === 'served' ? atService(before, event.actedAtMs) : before;
  const there = massKg(state.pot.mixture);
  const litres = isOut ? 0 : (count * trueMl(input, kind)) / 1000;
  const thereLitres = foodLitres(state.pot);
  const kg = Math.min(there, litres * (thereLitres > 0 ? there / thereLitres : 1));
  const out: PortionsOut = {
    eventId: event.id,
    atMs: event.actedAtMs,
    kindId: kind.id,
    portions: count,
    fate,
    reason,
    isOut,
    orderId,
    litres,
    kg: isOut ? 0 : kg,
    costCents: costOf(state, kg),
  };
  const isServed = fate === 'served';
  return {
    ...state,
    pot: isOut ? state.pot : drawFromPot(state.pot, kg).pot,
    served: state.served + (isServed ? count : isOut ? -count : 0),
    discarded: state.discarded + (isServed ? 0 : count),
    service: { ...state.service, outs: context.append(state.service.outs, out) },
    firstServedMs: isServed ? (state.firstServedMs ?? event.actedAtMs) : state.firstServedMs,
  };
}

/** The share of what went into the pot that some of what is in it has cost. */
function costOf(state: BatchState, kg: number): number {
  const wentIn = massKg(state.pot.mixture) + state.pot.drawnKg;
  return wentIn > 0 ? (state.costCents * kg) / wentIn : 0;
}

/** Litres as they are cold leave the pot for the larder; what they cost is their share of what went in. */
export function storeLot(before: BatchState, event: EventOf<'stored'>): BatchState {
  const state = atService(before, event.actedAtMs);
  const { lotId, litres, place, storage } = event.payload;
  const there = massKg(state.pot.mixture);
  const coldLitres = volumeLitres(whole(state.pot.mixture), COLD_C);
  const kg = coldLitres > 0 ? Math.min(there, (litres * there) / coldLitres) : 0;
  const { pot, drawn } = drawFromPot(state.pot, kg);
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
    tempC: state.pot.tempC,
    warmS: state.pot.warmS,
    costCents: costOf(state, kg),
    place,
    storage,
  };
  return { ...state, pot, stored: [...state.stored, lot] };
}

/** The yield is what is there when the first of it leaves. */
export function atService(state: BatchState, atMs: number): BatchState {
  if (state.atService) return state;
  const { pot } = state;
  const litres = foodLitres(pot);
  const kg = massKg(pot.mixture);
  const sdLitres = kg > 0 ? (Math.sqrt(variance(pot.covariance, 'mass')) * litres) / kg : 0;
  return {
    ...state,
    atService: {
      litres,
      sdLitres,
      saltPercent: saltPercent(pot.mixture, 'all'),
      atMs,
      steamedKg: pot.evaporatedKg,
    },
  };
}

/** Nobody has asked and nothing has left: lists of its own, which a fold may write on. */
export const nothingOut = (): ServiceState => ({
  outs: [],
  asked: [],
  turnedAway: 0,
  covers: {},
  sizes: {},
  garnishReady: {},
  grilled: [],
});

/** What is said at the pass and moves nothing in the pot. */
export function atThePass(
  service: ServiceState,
  event: EventOf<'turnedAway' | 'coversSet' | 'sizeSet' | 'asked' | 'askedAnew' | 'garnishReady' | 'grilled'>,
): ServiceState {
  const { id: eventId, actedAtMs: atMs } = event;
  switch (event.type) {
    case 'turnedAway':
      return { ...service, turnedAway: service.turnedAway + event.payload.portions };
    case 'coversSet': {
      const { kindId, count } = event.payload;
      return { ...service, covers: { ...service.covers, [kindId]: count } };
    }
    case 'sizeSet': {
      const { kindId, ml } = event.payload;
      return { ...service, sizes: { ...service.sizes, [kindId]: ml } };
    }
    case 'asked': {
      const { via = 'hand', ...asking } = event.payload;
      return { ...service, asked: [...service.asked, { ...asking, via, orderId: eventId, atMs }] };
    }
    case 'askedAnew': {
      const { orderId, ...asking } = event.payload;
      const changed = (one: AskedOrder): AskedOrder =>
        one.orderId === orderId ? { ...asking, orderId, via: one.via, atMs: one.atMs } : one;
      return { ...service, asked: service.asked.map(changed) };
    }
    case 'garnishReady': {
      const { lineId, kg } = event.payload;
      return { ...service, garnishReady: { ...service.garnishReady, [lineId]: { kg, atMs } } };
    }
    case 'grilled': {
      const { portions, minutes } = event.payload;
      const load = { eventId, atMs, portions, outMs: atMs + minutes * 60_000 };
      return { ...service, grilled: [...service.grilled, load] };
    }
  }
}

/** Covers that another pot serves from here on. */
export function withoutCovers(
  input: PlanInput,
  service: ServiceState,
  gone: readonly AskedItem[],
): ServiceState {
  if (gone.length === 0) return service;
  const covers = { ...service.covers };
  for (const { kindId, count } of gone)
    covers[kindId] = Math.max(0, (covers[kindId] ?? kindOf(input, kindId).count) - count);
  return { ...service, covers };
}
