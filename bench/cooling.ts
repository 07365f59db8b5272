import { advanceBatch, type BatchEventBody, foldBatch, holdClock } from '../core/batch';
import {
  CODE_COOLING_LIMITS,
  coolingActs,
  coolingForecast,
  coolingKnown,
  PAN_AREA_M2,
} from '../core/cooling';
import { holdDrift, holderOf } from '../core/hold';
import { itemsFor, logOf, snapshotOf } from '../core/testing/broth';
import { medianMs } from './median-ms';

/**
 * Eight pans cooling, each moved once and read every quarter of an hour, and four pots held hot for two hours with a
 * thermometer every half: what one minute costs until all forecasts, chances and acts, clocks and drifts are known. Beside it
 * one pan alone. Medians after a warm-up; fails where it takes more than is allowed.
 */
const MOST_MS = 8;
const PANS = 8;
const HELD = 4;
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

const snapshot = snapshotOf();
const inPans = { in: 'pans', pans: 1, keptC: 70, lid: 'ajar' } as const;
const equipment = {
  blenderJarLitres: 0,
  hasStickBlender: false,
  ovenTrays: 0,
  trayAreaM2: 0.17,
  fryingPanCm: 0,
};
const checks = [91, 121, 151, 181].map((minute, i): [number, BatchEventBody] => [
  minute,
  { type: 'reading', payload: { kind: 'temperature', value: 70 - i } },
]);
const heldEvents = logOf([
  [0, { type: 'stageBegun', payload: { stageId: 'boil' } }],
  [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
  [0.2, { type: 'heatSet', payload: { fraction: 1 } }],
  [60, { type: 'heatSet', payload: { fraction: 0 } }],
  [60.1, { type: 'stageBegun', payload: { stageId: 'serve' } }],
  [61, { type: 'heldHot', payload: { ...inPans, holder: holderOf(inPans, equipment)! } }],
  ...checks,
]);
const heldState = foldBatch(snapshot, heldEvents, heldEvents.at(-1)!.actedAtMs);

/** A minute on, what its clock says, and what it comes to by the end of a service. */
function heldOn(): void {
  const state = advanceBatch(heldState, heldState.pot.atMs + MIN + rounds);
  const clock = holdClock(snapshot, state);
  if (!clock) throw new Error('nothing is held');
  holdDrift(state.setup, state.pot, state.pot.atMs + 120 * MIN, clock.everyMin);
}

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

const all = medianMs(() => {
  minute(pans);
  for (let pot = 0; pot < HELD; pot++) heldOn();
});
const one = medianMs(() => minute(pans.slice(0, 1)));
console.log(
  `cooling and holding: ${PANS} pans and ${HELD} pots ${all.toFixed(2)} ms a minute, one pan ${one.toFixed(2)} ms, ${(all / one).toFixed(1)} times`,
);
if (all > MOST_MS) {
  console.error(`cooling and holding: more than ${MOST_MS} ms`);
  process.exit(1);
}
