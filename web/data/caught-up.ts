import type { BatchView, LoggedEvent } from '../../contract';

/** So many events are remembered, for answers that were on their way when they were said. */
const REMEMBERED = 400;
let lately: { batchId: string; event: LoggedEvent }[] = [];

export function remember(batchId: string, event: LoggedEvent): void {
  lately = [...lately.slice(1 - REMEMBERED), { batchId, event }];
}

/** A batch as it was fetched, with what was heard while it was on its way. */
export function caughtUp(batch: BatchView): BatchView {
  return withEvents(
    batch,
    lately.flatMap((one) => (one.batchId === batch.id ? [one.event] : [])),
  );
}

/** A batch with events more, each once, in the order the server took them. */
export function withEvents(batch: BatchView, more: readonly LoggedEvent[]): BatchView {
  const known = new Set(batch.events.map((event) => event.id));
  const news = more.filter((event) => !known.has(event.id));
  if (news.length === 0) return batch;
  return { ...batch, events: [...batch.events, ...news].sort((a, b) => a.seq - b.seq) };
}
