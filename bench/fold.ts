import { type BatchEvent, foldBatch, foldOn } from '../core/batch';
import { snapshotOf } from '../core/testing/broth';
import { longLog } from './long-log';
import { medianMs } from './median-ms';

/**
 * A log folded, as the house ships it: bundled, its functions called by their names and not through a test runner's
 * doors. Beside it the same log merely parsed, which is what any reader of it must do. Medians after a warm-up.
 */

const snapshot = snapshotOf();
for (const [count, wantedMs] of [
  [500, 5],
  [5000, 20],
] as const) {
  const log: BatchEvent[] = longLog(snapshot, count);
  const state = foldBatch(snapshot, log, 0);
  const json = JSON.stringify(log);
  const parsed = medianMs(() => JSON.parse(json));
  const folded = medianMs(() => foldBatch(snapshot, log, 0));
  const lastReading = log.findLastIndex((event) => event.type === 'reading');
  const before = foldOn(snapshot, null, log.slice(0, lastReading));
  const oneMore = log.slice(0, lastReading + 1);
  const onTop = medianMs(() => foldOn(snapshot, before, oneMore));
  console.log(
    `${count} events (${state.readings.length} readings, ${state.questions.length} asked about): folded in ${folded.toFixed(1)} ms (wanted ${wantedMs}), ${(folded / parsed).toFixed(1)} times its JSON.parse; one more reading on top ${onTop.toFixed(3)} ms`,
  );
}
