import { type BatchEvent, type BatchEventBody, foldOn, foldWith } from '../core/batch';
import { toLast } from '../core/demand';
import { passBoard } from '../core/service';
import { allButSalt, filledPot } from '../demo/filled-pot';
import { medianMs } from './median-ms';

/**
 * A pass with three hundred orders, most of them served: what one more press costs until all that the pass shows of it is
 * known. Beside it the same log folded whole. Medians after a warm-up; fails where it takes more than is allowed.
 */
const MOST_MS = 8;
const ORDERS = 300;
const SERVED = 270;

const { snapshot: chowder, said, startMs } = filledPot('trout-chowder');
const kinds = [
  { id: 'bowl', word: 'bowl' as const, ml: 25, count: 500 },
  { id: 'cup', word: 'cup' as const, ml: 15, count: 80 },
  { id: 'free', word: 'bowl' as const, ml: 25, count: 5, freeOf: ['milk' as const] },
];
const snapshot = { ...chowder, input: { ...chowder.input, kinds } };
const { serviceAtMs } = snapshot.plan;
const events: BatchEvent[] = [said(1, allButSalt(snapshot.plan))];
const say = (minute: number, body: BatchEventBody): BatchEvent => {
  const seq = events.length + 1;
  const event = { ...body, id: `e${seq}`, seq, actedAtMs: Math.max(startMs, serviceAtMs) + minute * 60_000 };
  events.push(event);
  return event;
};
const asked = Array.from({ length: ORDERS }, (_, i) =>
  say(i / 6, {
    type: 'asked',
    payload: {
      items: [{ kindId: i % 5 ? 'bowl' : 'cup', count: 1 + (i % 3) }],
      ...(i % 20 ? {} : { freeOf: ['celery'] }),
      words: `Seat ${i}`,
    },
  }),
);
for (const [i, order] of asked.slice(0, SERVED).entries())
  say(50 + i / 60, {
    type: 'portioned',
    payload: { portions: 1 + (i % 3), fate: 'served', kindId: i % 5 ? 'bowl' : 'cup', orderId: order.id },
  });
const log = foldOn(snapshot, null, events);
const nowMs = events.at(-1)!.actedAtMs + 60_000;
const press: BatchEvent = {
  id: 'press',
  seq: events.length + 1,
  actedAtMs: nowMs,
  type: 'portioned',
  payload: { portions: 1, fate: 'served', kindId: 'bowl' },
};

function update() {
  const board = passBoard(snapshot, foldWith(snapshot, log, press).state, nowMs);
  const { demand, litresForMore } = board;
  if (!demand) throw new Error('a service has a demand');
  demand.chanceOfMoreThan(litresForMore);
  demand.runsOut(litresForMore);
  if (litresForMore > 0) toLast(demand.inUnits, { litres: litresForMore, portionMl: demand.unitMl });
  return board;
}
const updateMs = medianMs(update);
const foldMs = medianMs(() => foldOn(snapshot, null, events));
const board = update();
console.log(
  `${ORDERS} orders, ${board.orders.length} waiting: one press in ${updateMs.toFixed(1)} ms (at most ${MOST_MS}), ${(updateMs / foldMs).toFixed(2)} of folding the whole log`,
);
if (updateMs > MOST_MS) process.exit(1);
