import {
  COLD_C,
  type CoolingHow,
  type CoolingSaid,
  coolingForecast,
  coolingKnown,
  FILM_UNKNOWN,
  FIRST_STEP_C,
  POURED_SD_C,
} from '../cooling';
import { CODE_HOT_LIMITS } from '../safety';
import type { LarderEvent } from './larder-event';
import type { Lot, LotBirth, LotOrigin } from './lot';
import { isEmptyTub } from './lot-state';

/** A lot being cooled: how warm it was poured, how it has stood, what the thermometer said. */
export interface LotCooling {
  /** °C as it was poured, and one standard deviation of that */
  startC: number;
  startSdC: number;
  /** how it stood, from when on; the first as it was poured */
  steps: readonly { atMs: number; how: CoolingHow }[];
  /** in the middle of a pan */
  readings: readonly { eventId: string; atMs: number; tempC: number }[];
  /** when a reading said that it is cold; null while it cools */
  coldAtMs: number | null;
  /** how long it was between 5 and 57 °C in coolings before this one, ms; absent where there were none */
  warmBeforeMs?: number;
  /** how often it was too late, was reheated and begun again */
  reheats: number;
}

/** It is being cooled at a moment. */
export const isCooling = (cooling: LotCooling | null | undefined): boolean =>
  cooling != null && cooling.coldAtMs === null;

/** Where nobody knows how hot it was poured: just off the heat, °C. Common practice. */
const OFF_THE_HEAT_C = 85;

/** What an entry of a lot makes of its cooling; the same where it says nothing of it. */
export function cooledBy(
  cooling: LotCooling | null,
  event: LarderEvent,
  born: Pick<LotBirth, 'tempC'>,
): LotCooling | null {
  if (event.type === 'coolingSet') return stoodSo(cooling, event, born);
  if (event.type === 'lotReheated') return begunAgain(cooling, event);
  if (event.type !== 'lotRead' || event.payload.kind !== 'temperature') return cooling;
  return readWhileCooling(cooling, { eventId: event.id, atMs: event.actedAtMs, tempC: event.payload.value });
}

/** It is poured, or stands otherwise from now on. */
function stoodSo(
  cooling: LotCooling | null,
  { payload, actedAtMs: atMs }: Extract<LarderEvent, { type: 'coolingSet' }>,
  born: Pick<LotBirth, 'tempC'>,
): LotCooling {
  const step = { atMs, how: payload.how };
  if (cooling && isCooling(cooling)) return { ...cooling, steps: [...cooling.steps, step] };
  return {
    startC: payload.fromC ?? born.tempC ?? OFF_THE_HEAT_C,
    startSdC: payload.fromC === undefined ? POURED_SD_C.computed : POURED_SD_C.read,
    steps: [step],
    readings: [],
    coldAtMs: null,
    ...(cooling ? { warmBeforeMs: warmWhileCooling(cooling, atMs) } : {}),
    reheats: cooling?.reheats ?? 0,
  };
}

/** What the thermometer said; at 5 °C it is cold, and the cooling ends. */
function readWhileCooling(
  cooling: LotCooling | null,
  reading: LotCooling['readings'][number],
): LotCooling | null {
  if (!cooling || !isCooling(cooling)) return cooling;
  return {
    ...cooling,
    readings: [...cooling.readings, reading],
    coldAtMs: reading.tempC <= COLD_C ? reading.atMs : null,
  };
}

/** Too late, it was reheated all through: it begins again, in what it stood in. */
function begunAgain(
  cooling: LotCooling | null,
  { payload, actedAtMs: atMs }: Extract<LarderEvent, { type: 'lotReheated' }>,
): LotCooling | null {
  const last = cooling?.steps.at(-1);
  if (!cooling || !last) return cooling;
  return {
    warmBeforeMs: warmWhileCooling(cooling, atMs),
    startC: payload.tempC,
    startSdC: POURED_SD_C.read,
    steps: [{ atMs, how: last.how }],
    readings: [],
    coldAtMs: null,
    reheats: cooling.reheats + 1,
  };
}

/**
 * What a cooling that has ended showed of the film of the place where it did, over the first guess; null while it goes on,
 * and where too little was read. What was split off cooled as the lot it came from did: it is counted there.
 */
export function filmSeen({
  cooling,
  origin,
}: {
  cooling: LotCooling | null;
  origin: Pick<LotOrigin, 'kind'>;
}): { placeId: string; atMs: number; mean: number; sd: number } | null {
  if (!cooling || cooling.coldAtMs === null || origin.kind === 'split') return null;
  const known = coolingKnown(saidOfCooling(cooling));
  if (known.readings < 2) return null;
  // what the first guess said is taken off again, so that it is counted once
  const precision = 1 / known.film.sd ** 2 - 1 / FILM_UNKNOWN.sd ** 2;
  if (precision <= 0) return null;
  const sum = known.film.mean / known.film.sd ** 2 - FILM_UNKNOWN.mean / FILM_UNKNOWN.sd ** 2;
  return {
    placeId: known.how.placeId,
    atMs: Math.round(cooling.coldAtMs),
    mean: sum / precision,
    sd: Math.sqrt(1 / precision),
  };
}

/** So long after it was stored it is no use to say how it is cooled: by then it is cold, or past its limit, ms. */
const ASKED_FOR_MS = 6 * 3_600_000;

/** Stored hot, and nobody has said yet how it is cooled. */
export function standsHot(
  lot: Pick<Lot, 'bornAtMs' | 'bornC' | 'cooling' | 'leftKg' | 'storage' | 'tempC'>,
  nowMs: number,
): boolean {
  return (
    nowMs - lot.bornAtMs < ASKED_FOR_MS &&
    lot.storage !== 'dry' &&
    lot.cooling === null &&
    !isEmptyTub(lot.leftKg) &&
    (lot.bornC ?? 0) > FIRST_STEP_C &&
    (lot.tempC === null || lot.tempC.value > FIRST_STEP_C)
  );
}

/**
 * How long a lot has been between 5 and 57 °C in its coolings up to a moment, ms: by its readings, and by the model where
 * there are none.
 */
export function warmWhileCooling(cooling: LotCooling, atMs: number): number {
  const known = coolingKnown(saidOfCooling(cooling));
  const { leftHotMs, cold } = coolingForecast(known, atMs, undefined, clockBeforePouring(cooling));
  const coldMs = cooling.coldAtMs ?? cold.p50Ms ?? Number.POSITIVE_INFINITY;
  return Math.max(0, Math.min(atMs, coldMs) - leftHotMs) + (cooling.warmBeforeMs ?? 0);
}

/** The cooling as the model is told of it. */
export const saidOfCooling = ({ startC, startSdC, steps, readings }: LotCooling): CoolingSaid => ({
  startC,
  startSdC,
  steps,
  readings,
});

/** Poured below hot holding already, its clock has run at least since then, ms; null for what was poured hot. */
export function clockBeforePouring({ startC, steps }: LotCooling, hotHoldingC = CODE_HOT_LIMITS.hotHoldingC) {
  return startC < hotHoldingC ? steps[0]!.atMs : null;
}
