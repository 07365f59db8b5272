import type { LoggedEvent } from '../../contract';
import { type BatchEvent, FoldError, type FoldedLog, foldOn, resumeFold } from '../../core/batch';
import { undoneIds } from '../../core/log';
import { notFound } from '../problem';
import {
  type BatchRow,
  type BrokenBatch,
  batchRow,
  type Checkpoint,
  checkpointOf,
  type Db,
  eventOf,
  openBatchIds,
  type Storage,
  setAside,
  setCheckpoint,
  type Tx,
  writtenEvents,
} from '../storage';

/** A batch with its log, folded. */
export interface StandingBatch {
  row: BatchRow;
  /** one array for as long as the batch is open: it grows when an entry is on the disk */
  events: readonly LoggedEvent[];
  log: FoldedLog;
}

/** A batch as an entry leaves it. */
export type GrownBatch = Pick<StandingBatch, 'row' | 'log'>;

/** A batch that is set aside: its log does not fold, or it cannot be read at all. */
export interface AsideBatch {
  id: string;
  createdAtMs: number;
  /** null where its snapshot cannot be read */
  row: BatchRow | null;
  /** entries that can be read */
  events: readonly LoggedEvent[];
  broken: BrokenBatch;
}

/** The state of an open batch is put down after so many entries, and less often the longer its log: a share of it. */
const CHECKPOINT_EVERY = 50;
const CHECKPOINT_SHARE = 0.25;

/** Logs of batches with their folded states; those of open batches stay in memory, so that an entry costs itself. */
export interface BatchLogs {
  /** @throws ProblemError 404 */
  of(id: string): StandingBatch | AsideBatch;
  /** reads the open ones, as the server starts: what does not fold is set aside */
  warm(): void;
  /** puts the state down where that is due; in the transaction of the entry */
  checkpoint(tx: Tx, batch: GrownBatch): void;
  /** takes a batch over as it is now; when its transaction is done */
  keep(batch: StandingBatch): void;
  /** takes an entry over; when its transaction is done */
  grow(batch: GrownBatch, event: LoggedEvent): void;
  /** it is read anew when it is asked for next */
  forget(id: string): void;
}

export const isAside = (batch: object): batch is AsideBatch => 'broken' in batch;

export function createBatchLogs(storage: Pick<Storage, 'db' | 'transact'>): BatchLogs {
  const { db } = storage;
  const open = new Map<string, GrownBatch & { events: LoggedEvent[] }>();
  const putDown = new Map<string, number>();

  function load(id: string): StandingBatch | AsideBatch {
    const read = readBatch(db, id);
    if (isAside(read)) return read;
    const { row, events } = read;
    try {
      const kept = row.closedAtMs === null ? checkpointOf(db, id) : null;
      const log = foldOn(row.snapshot, kept && resumed(row, events, kept), events);
      const batch = { row, events, log };
      if (row.closedAtMs === null) {
        open.set(id, batch);
        putDown.set(id, kept?.events ?? 0);
      }
      return batch;
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      const eventId = error instanceof FoldError ? error.eventId : null;
      return { id, createdAtMs: row.createdAtMs, row, events, broken: { eventId, why: error.message } };
    }
  }

  return {
    of(id) {
      return open.get(id) ?? load(id);
    },
    warm() {
      const asides = openBatchIds(db).flatMap((id) => {
        const batch = load(id);
        return isAside(batch) ? [batch] : [];
      });
      if (asides.length > 0)
        storage.transact((tx) => {
          for (const { id, broken } of asides) setAside(tx, id, broken);
        });
    },
    checkpoint(tx, { row, log }) {
      const { events } = log;
      const since = events.length - (putDown.get(row.id) ?? 0);
      if (row.closedAtMs !== null || since < Math.max(CHECKPOINT_EVERY, events.length * CHECKPOINT_SHARE))
        return;
      const seq = events.reduce((most, event) => Math.max(most, event.seq), 0);
      setCheckpoint(tx, row.id, { seq, events: events.length, state: log.state });
      putDown.set(row.id, events.length);
    },
    keep(batch) {
      const { id, closedAtMs } = batch.row;
      if (closedAtMs !== null) this.forget(id);
      else open.set(id, { ...batch, events: [...batch.events] });
    },
    grow(batch, event) {
      const { id, closedAtMs } = batch.row;
      const own = open.get(id);
      if (!own || closedAtMs !== null) {
        this.forget(id);
        return;
      }
      own.events.push(event);
      Object.assign(own, batch);
    },
    forget(id) {
      open.delete(id);
      putDown.delete(id);
    },
  };
}

/** The log as far as it was folded when its state was put down; null where the log is another by now. */
function resumed(row: BatchRow, events: readonly LoggedEvent[], { seq, events: count, state }: Checkpoint) {
  const past = events.filter((event) => event.seq <= seq);
  return past.length === count ? resumeFold(row.snapshot, past, state) : null;
}

/** A batch and its log in the words of today; aside where a newer Slow Pot wrote something of it. */
function readBatch(db: Db, id: string): { row: BatchRow; events: LoggedEvent[] } | AsideBatch {
  const written = writtenEvents(db, id);
  let row: BatchRow | null = null;
  try {
    row = batchRow(db, id) ?? null;
    if (!row) throw notFound('batch', id);
    const events = readable(written);
    const [unread] = events.unread;
    if (unread === undefined) return { row, events: events.read };
    const broken = { eventId: unread.id, why: unread.why };
    return { id, createdAtMs: row.createdAtMs, row, events: events.read, broken };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const broken = { eventId: null, why: error.message };
    return { id, createdAtMs: written[0]?.receivedAtMs ?? 0, row, events: readable(written).read, broken };
  }
}

/** Entries that can be read; one that cannot, and is undone, is left out: nothing asks what it said. */
function readable(written: ReturnType<typeof writtenEvents>) {
  const read: LoggedEvent[] = [];
  const unread: { id: string; why: string }[] = [];
  for (const one of written) {
    try {
      read.push(eventOf(one));
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      unread.push({ id: one.id, why: error.message });
    }
  }
  if (unread.length === 0) return { read, unread };
  const dead = undoneIds(written.map((one) => ({ ...one, payload: one.payload as object })));
  return { read, unread: unread.filter((one) => !dead.has(one.id)) };
}

/** What the log of a batch that is set aside would be with an entry undone; throws where it cannot be read all the same. */
export function eventsWithout(db: Db, id: string, eventId: string): BatchEvent[] {
  const written = writtenEvents(db, id).filter((one) => one.id !== eventId);
  const { read, unread } = readable(written);
  if (unread[0]) throw new RangeError(unread[0].why);
  return read;
}
