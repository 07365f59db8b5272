import { describe, expect, it } from 'vitest';
import { chanceOf } from '../testing/chance';
import {
  CODE_COOLING_LIMITS,
  type CoolingHow,
  type CoolingPlace,
  type CoolingSaid,
  coolingActs,
  coolingForecast,
  coolingKnown,
  PAN_AREA_M2,
  POURED_SD_C,
} from './';
import { centreC, hoursUntil } from './cooling-body';
import { beginBody } from './cooling-how';

const MIN = 60_000;
const HOUR = 60 * MIN;
const LIMITS = CODE_COOLING_LIMITS;
const WALK_IN = { air: 'still', airC: 3, placeId: 'walk-in', place: 'Walk-in' } as const;
const ICE: CoolingPlace = { id: 'ice', name: 'Ice', air: 'ice', airC: 0.5, kg: null };
const pansOf = (depthCm: number): CoolingHow => ({ pans: 3, areaM2: PAN_AREA_M2, depthCm, ...WALK_IN });

/** A cooling whose film nobody knows, and a probe that shows a degree too much or too little all day. */
function hiddenCooling(seed: number, depthCm: number) {
  const { normal, isOneIn } = chanceOf(seed * 7919);
  let logFilm = 0;
  do logFilm = 0.4 * normal();
  while (Math.abs(logFilm) > Math.log(2));
  const offC = isOneIn(2) ? -1 : 1;
  const how = pansOf(depthCm);
  const truth = beginBody(how, 82 + POURED_SD_C.computed * normal(), Math.exp(logFilm));
  const readings = [0, 20, 40, 60, 80, 100, 120].map((min) => ({
    atMs: min * MIN,
    tempC: centreC(truth, min / 60) + offC + 0.4 * normal(),
  }));
  const said = (count: number): CoolingSaid => ({
    startC: 82,
    startSdC: POURED_SD_C.computed,
    steps: [{ atMs: 0, how }],
    readings: readings.slice(0, count),
  });
  const reachesMs = (tempC: number) => hoursUntil(truth, tempC)! * HOUR;
  const isMissed =
    reachesMs(21) - reachesMs(57) > LIMITS.coolFirstWithinH * HOUR ||
    reachesMs(5) - reachesMs(57) > LIMITS.coolWithinH * HOUR;
  return { readings, said, reachesMs, isMissed };
}

it('poured otherwise in the same place, what its readings showed of the air there still holds', () => {
  const how = pansOf(5);
  const slow = beginBody(how, 85, 0.6);
  const readings = [10, 40, 70].map((min) => ({ atMs: min * MIN, tempC: centreC(slow, min / 60) }));
  const poured = { ...how, pans: 6, depthCm: 2.5 };
  const steps = [
    { atMs: 0, how },
    { atMs: 71 * MIN, how: poured },
  ];
  const known = coolingKnown({ startC: 85, startSdC: 1, steps, readings });
  expect(Math.exp(known.film.mean)).toBeCloseTo(0.6, 1);
  expect(known.film.sd).toBeLessThan(0.15);
  // a clock of whole minutes is behind what was just done: nothing was colder before it was poured than after
  const { centreC: now } = coolingForecast(known, 70.5 * MIN);
  const { centreC: later } = coolingForecast(known, 71.5 * MIN);
  expect(Math.abs(now.p50 - later.p50)).toBeLessThan(0.1);
});

it('poured into what is empty: twice as many pans where there are, fewer where not, none where none are', () => {
  const known = coolingKnown({ startC: 80, startSdC: 1, steps: [{ atMs: 0, how: pansOf(6) }], readings: [] });
  const forecast = coolingForecast(known, 0);
  const poured = (emptyPans: number | null) =>
    coolingActs(known, forecast, { places: [ICE], emptyPans }, 0).find(({ act }) => act === 'pour')?.how;
  expect(poured(null)).toMatchObject({ pans: 6, depthCm: 3 });
  expect(poured(9)).toMatchObject({ pans: 6, depthCm: 3 });
  expect(poured(1)).toMatchObject({ pans: 4, depthCm: 4.5 });
  expect(poured(0)).toBeUndefined();
});

describe('a cooling in a place nobody knows, by a probe that is off by 1 °C: 500 of them', () => {
  it('after two readings eight in ten reach 21 °C inside the interval that was told', () => {
    let inside = 0;
    for (let seed = 1; seed <= 500; seed++) {
      const { said, reachesMs } = hiddenCooling(seed, 4);
      const { first } = coolingForecast(coolingKnown(said(2)), 20 * MIN, LIMITS);
      if (first.p10Ms! <= reachesMs(21) && reachesMs(21) <= first.p90Ms!) inside++;
    }
    expect(inside / 500).toBeGreaterThan(0.75);
    expect(inside / 500).toBeLessThan(0.85);
  });
  it('who will miss is warned with 20 min to act in 95 of 100, who will not in fewer than 10', () => {
    const will = { all: 0, inTime: 0 };
    const not = { all: 0, warned: 0 };
    for (let seed = 1; seed <= 500; seed++) {
      // depths between which a still walk-in makes it or does not
      const cooling = hiddenCooling(seed, 2.2 + (seed % 5) * 0.3);
      const warned = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((count) => {
        const atMs = cooling.readings[Math.max(0, count - 1)]!.atMs;
        const known = coolingKnown(cooling.said(count));
        const forecast = coolingForecast(known, atMs, LIMITS);
        return forecast.isWarned && atMs < cooling.reachesMs(21) ? [{ atMs, known, forecast }] : [];
      })[0];
      if (cooling.isMissed) {
        will.all++;
        const acts = warned
          ? coolingActs(warned.known, warned.forecast, { places: [ICE], emptyPans: null }, warned.atMs)
          : [];
        if (acts.some(({ lastMs }) => lastMs !== null && lastMs - warned!.atMs >= 20 * MIN)) will.inTime++;
      } else {
        not.all++;
        if (warned) not.warned++;
      }
    }
    expect(will.all).toBeGreaterThan(100);
    expect(not.all).toBeGreaterThan(100);
    expect(will.inTime / will.all).toBeGreaterThan(0.95);
    expect(not.warned / not.all).toBeLessThan(0.1);
  });
});
