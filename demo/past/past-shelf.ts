import { keepingRules } from '../../contract';
import { foldBatch } from '../../core/batch';
import {
  drawsOfBatch,
  foldLarder,
  type LarderEvent,
  type LarderEventBody,
  type LotDraw,
  type LotMade,
  lotsOfBatch,
  receivedFoodOf,
  type ShelfLot,
} from '../../core/larder';
import { lotView } from '../../core/views';
import { BOOK } from '../dishes/dishes';
import { kitchenView } from '../kitchen-view';
import type { PastBatch } from './cook-past';

/** The shelf of Corrie Halt as the fortnight fills and empties it. */
export interface PastShelf {
  /** what could be drawn at a moment */
  lotsAt(atMs: number): ShelfLot[];
  /** puts down what was done on the shelf */
  say(atMs: number, body: LarderEventBody): void;
  /** takes in what a batch drew and stored */
  takeIn(batch: PastBatch): void;
  events(): LarderEvent[];
  /** lots in the order they were born */
  lotIds(): string[];
}

export function pastShelf(): PastShelf {
  const made: LotMade[] = [];
  const draws: LotDraw[] = [];
  const events: LarderEvent[] = [];
  const kitchen = kitchenView();
  const larder = (atMs: number) => foldLarder({ made, draws, events }, atMs);
  return {
    lotsAt: (atMs) => {
      const rules = keepingRules(kitchen);
      const tagDays = kitchen.limits.shellfishTagDays;
      return [...larder(atMs).lots.values()].map((lot) =>
        lotView(lot, { number: 0, rules, tagDays, nowMs: atMs }),
      );
    },
    say(atMs, body) {
      const isFood = body.type === 'delivered' || body.type === 'found';
      const received = isFood ? receivedFoodOf(body.payload.ingredientId, kitchen, BOOK) : null;
      const seq = events.length + 1;
      const id = `00000000-0000-7000-b000-${String(seq).padStart(12, '0')}`;
      events.push({ ...body, id, seq, actedAtMs: atMs, ...(received ? { received } : {}) });
    },
    takeIn(batch) {
      const log = batch.events.map((event, i) => ({ ...event, seq: i + 1 }));
      draws.push(...drawsOfBatch(batch.id, batch.snapshot.input.ingredients, log));
      made.push(...lotsOfBatch(batch.id, batch.snapshot, foldBatch(batch.snapshot, log, batch.closedAtMs)));
    },
    events: () => events,
    lotIds: () =>
      [...larder(Number.POSITIVE_INFINITY).lots.values()]
        .sort((a, b) => a.bornAtMs - b.bornAtMs)
        .map((lot) => lot.lotId),
  };
}
