import { advanceBatch, type BatchEvent, type BatchSnapshot, foldBatch, massKg, potLitres } from '../core';
import { cookedLog } from '../core/testing/broth';
import { depthAtLitres } from '../core/vessel/depth-at-litres';
import { seededRandom } from '../demo/seeded-random';

/** What a second cook with a probe and a scale in the pot makes of a day: every so many seconds something is said. */
const EVERY_S = 4;

/**
 * A log of so many events that goes on from the broth's: six of ten a thermometer's, one the scale's, one a dip's, two a
 * look-in. What is read is what the pot holds by the model, with seeded noise, so that nothing is asked about. As it
 * comes over the wire: out of JSON.
 */
export function longLog(snapshot: BatchSnapshot, count: number): BatchEvent[] {
  const random = seededRandom(count);
  const start = cookedLog(snapshot);
  const low: BatchEvent = {
    id: 'low',
    seq: 50,
    actedAtMs: start.at(-1)!.actedAtMs + 1000,
    type: 'heatSet',
    v: 1,
    payload: { fraction: 0.25 },
  };
  const log: BatchEvent[] = [
    ...start,
    low,
    { ...low, id: 'lid', seq: 51, type: 'lidSet', v: 1, payload: { lid: 'on' } },
  ];
  let state = foldBatch(snapshot, log, 0);
  while (log.length < count) {
    const i = log.length;
    const actedAtMs = log.at(-1)!.actedAtMs + EVERY_S * 1000;
    state = advanceBatch(state, actedAtMs);
    const of = { id: `n${i}`, seq: 100 + i, actedAtMs, v: 1 } as const;
    const { pot, inPot } = state;
    const reading = (kind: 'temperature' | 'weight' | 'depth', value: number) =>
      log.push({ ...of, type: 'reading', payload: { kind, value: Math.round(value * 100) / 100 } });
    if (i % 10 < 6) reading('temperature', pot.tempC + random.normal(0.3));
    else if (i % 10 === 6) reading('weight', massKg(pot.mixture) + random.normal(0.02));
    else if (i % 10 === 7) reading('depth', depthAtLitres(inPot.vessel, potLitres(pot)) + random.normal(0.2));
    else log.push({ ...of, type: 'looked', payload: { stageId: 'fall' } });
  }
  return JSON.parse(JSON.stringify(log));
}
