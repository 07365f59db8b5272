import type { LarderEvent, LarderEventBody } from './larder-event';
import type { Lot, LotBirth } from './lot';

/** Kilograms a batch took out of a lot: read off the batch's own log. */
export interface LotDraw {
  eventId: string;
  lotId: string;
  batchId: string;
  kg: number;
  atMs: number;
  seq: number;
}

/** A lot that a batch stored: read off the batch's own log. */
export interface LotMade {
  eventId: string;
  birth: LotBirth;
  atMs: number;
  seq: number;
}

/** Where an entry stands among the others: by its time, then births before draws before the shelf, then as it came. */
export interface Position {
  atMs: number;
  order: 0 | 1 | 2;
  seq: number;
}

/** One thing that was said of one lot. An event that touches several lots is an entry of each. */
export type LotEntry = Position & { eventId: string; lotId: string } & (
    | { kind: 'made'; birth: LotBirth }
    | { kind: 'drawn'; batchId: string; kg: number }
    | { kind: 'shelf'; event: LarderEvent }
  );

export const before = (a: Position, b: Position): boolean => byPosition(a, b) < 0;

export function byPosition(a: Position, b: Position): number {
  return a.atMs - b.atMs || a.order - b.order || a.seq - b.seq;
}

export const madeEntry = ({ eventId, birth, atMs, seq }: LotMade): LotEntry => ({
  kind: 'made',
  eventId,
  lotId: birth.lotId,
  atMs,
  seq,
  order: 0,
  birth,
});

export const drawnEntry = ({ eventId, lotId, batchId, kg, atMs, seq }: LotDraw): LotEntry => ({
  kind: 'drawn',
  eventId,
  lotId,
  batchId,
  kg,
  atMs,
  seq,
  order: 1,
});

/** An event of the larder as an entry of each lot it names. */
export function shelfEntries(event: LarderEvent): LotEntry[] {
  const { id: eventId, actedAtMs: atMs, seq } = event;
  return lotsNamed(event).map((lotId) => ({ kind: 'shelf', eventId, lotId, atMs, seq, order: 2, event }));
}

/** The lots an event of the larder names, what it brings into being among them. */
export function lotsNamed(event: LarderEventBody): string[] {
  switch (event.type) {
    case 'undone':
      return [];
    case 'split':
      return [event.payload.lotId, event.payload.toLotId];
    case 'blended':
      return [...new Set([...event.payload.parts.map((part) => part.lotId), event.payload.toLotId])];
    default:
      return [event.payload.lotId];
  }
}

/** The lots an event of the larder brings into being. */
export function lotsBornBy(event: LarderEventBody): string[] {
  switch (event.type) {
    case 'delivered':
    case 'found':
      return [event.payload.lotId];
    case 'split':
    case 'blended':
      return [event.payload.toLotId];
    default:
      return [];
  }
}

/** A row of the ledger's sums: kilograms and hundredths of the kitchen's money. */
export interface Tally {
  kg: number;
  cents: number;
}

/** Where kilograms of a lot came from or went. */
export type TallyName = 'in' | 'drawn' | 'discarded' | 'lifted' | 'countedOff';

/** Kilograms that went from a lot or batch into another. */
export interface Arrow {
  from: TraceKey;
  to: TraceKey;
  kg: number;
  atMs: number;
}

/** A lot or a batch on the way of a recall. */
export type TraceKey = `lot ${string}` | `batch ${string}`;

export const lotKey = (id: string): TraceKey => `lot ${id}`;
export const batchKey = (id: string): TraceKey => `batch ${id}`;

/** A lot at the moment it came into being. */
export interface BornLot {
  lot: Lot;
  at: Position;
}

/** What the entries of one lot come to. */
export interface FoldedLot {
  /** null where it never came into being */
  lot: Lot | null;
  /** as it came into being, its date and contents settled, and where in the ledger that stands */
  born: BornLot | null;
  /** from the batch that made it, and out of it into batches and lots */
  arrows: Arrow[];
  moves: (Tally & { name: TallyName })[];
  /** events that could not be put: kept, for a person to settle */
  strayEventIds: string[];
}
