import {
  advanceBatch,
  type BatchEvent,
  type BatchEventBody,
  type BatchSnapshot,
  foldBatch,
} from '../core/batch';
import { massKg } from '../core/matter';
import { potLitres } from '../core/pot';
import { cookedLog } from '../core/testing/broth';
import { depthAtLitres } from '../core/vessel';

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
  const log: BatchEvent[] = [];
  // each as the server writes it, its fields in the same order
  const say = (actedAtMs: number, { type, payload }: BatchEventBody) =>
    log.push({ id: `n${log.length}`, seq: log.length, actedAtMs, type, payload } as BatchEvent);
  for (const event of cookedLog(snapshot)) say(event.actedAtMs, event);
  say(log.at(-1)!.actedAtMs + 1000, { type: 'heatSet', payload: { fraction: 0.25 } });
  say(log.at(-1)!.actedAtMs + 1000, { type: 'lidSet', payload: { lid: 'on' } });
  let state = foldBatch(snapshot, log, 0);
  while (log.length < count) {
    const atMs = log.at(-1)!.actedAtMs + EVERY_S * 1000;
    state = advanceBatch(state, atMs);
    const { pot, inPot } = state;
    const reading = (kind: 'temperature' | 'weight' | 'depth', value: number) =>
      say(atMs, { type: 'reading', payload: { kind, value: Math.round(value * 100) / 100 } });
    const turn = log.length % 10;
    if (turn < 6) reading('temperature', pot.tempC + random.normal(0.3));
    else if (turn === 6) reading('weight', massKg(pot.mixture) + random.normal(0.02));
    else if (turn === 7) reading('depth', depthAtLitres(inPot.vessel, potLitres(pot)) + random.normal(0.2));
    else say(atMs, { type: 'looked', payload: { stageId: 'fall' } });
  }
  return JSON.parse(JSON.stringify(log));
}
