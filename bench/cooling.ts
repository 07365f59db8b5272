import {
  CODE_COOLING_LIMITS,
  coolingActs,
  coolingForecast,
  coolingKnown,
  PAN_AREA_M2,
} from '../core/cooling';
import { medianMs } from './median-ms';

/**
 * Eight pans cooling, each moved once and read every quarter of an hour: what one minute costs until all forecasts, chances
 * and acts are known. Beside it one pan alone. Medians after a warm-up; fails where it takes more than is allowed.
 */
const MOST_MS = 8;
const PANS = 8;
const MIN = 60_000;

const places = [
  { id: 'ice', name: 'Ice', air: 'ice' as const, airC: 0, kg: 15 },
  { id: 'fan', name: 'Walk-in', air: 'fan' as const, airC: 3, kg: null },
];
const pans = Array.from({ length: PANS }, (_, pan) => {
  const how = {
    pans: 2,
    areaM2: PAN_AREA_M2,
    depthCm: 3 + pan / 2,
    air: 'still' as const,
    airC: 20,
    placeId: 'bench',
    place: 'Bench',
  };
  return {
    startC: 85,
    startSdC: 4,
    steps: [
      { atMs: 0, how },
      { atMs: 20 * MIN, how: { ...how, airC: 4, placeId: 'walk-in', place: 'Walk-in' } },
    ],
    readings: Array.from({ length: 6 }, (_, i) => ({ atMs: i * 15 * MIN, tempC: 84 - i * (7 - pan / 4) })),
  };
});

let rounds = 0;

function minute(of: readonly (typeof pans)[number][]) {
  // no two minutes are the same: nothing found in one helps in the next
  rounds += 1;
  for (const { readings, ...said } of of) {
    const known = coolingKnown({
      ...said,
      readings: readings.map((one) => ({ ...one, tempC: one.tempC + rounds / 1e5 })),
    });
    const forecast = coolingForecast(known, 80 * MIN, CODE_COOLING_LIMITS);
    coolingActs(known, forecast, { places, emptyPans: 6 }, 80 * MIN);
  }
}

const all = medianMs(() => minute(pans));
const one = medianMs(() => minute(pans.slice(0, 1)));
console.log(
  `cooling: ${PANS} pans ${all.toFixed(2)} ms a minute, one ${one.toFixed(2)} ms, ${(all / one).toFixed(1)} times`,
);
if (all > MOST_MS) {
  console.error(`cooling: more than ${MOST_MS} ms`);
  process.exit(1);
}
