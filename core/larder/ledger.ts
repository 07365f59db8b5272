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

/** A lot that a batch put by: read off the batch's own log. */
export interface LotMade {
  eventId: string;
  birth: LotBirth;
  atMs: number;
  seq: number;
}

/** One lot poured or parted into another. */
export interface LotPour {
  fromLotId: string;
  toLotId: string;
  kg: number;
  atMs: number;
}

/** A row of the ledger's sums: kilograms and hundredths of the kitchen's money. */
export interface Tally {
  kg: number;
  cents: number;
}

/** The larder at a moment. */
export interface Larder {
  lots: ReadonlyMap<string, Lot>;
  draws: readonly LotDraw[];
  pours: readonly LotPour[];
  /** what came in, and where it went; with what is left they balance */
  sums: Readonly<Record<'in' | 'drawn' | 'discarded' | 'lifted' | 'countedOff', Tally>>;
  /** events that name a lot that is not there (its birth was taken back): kept, for a person to settle */
  strayEventIds: readonly string[];
}

/** The sums while they are written. */
export type Sums = Record<keyof Larder['sums'], Tally>;

/** The ledger while it is built: what an entry writes in. */
export interface LedgerBuilder {
  lots: Map<string, Lot>;
  draws: LotDraw[];
  pours: LotPour[];
  sums: Sums;
  strays: string[];
}

/** Adds kilograms at a price to a sum. */
export function tally(ledger: LedgerBuilder, name: keyof Sums, kg: number, centsPerKg: number): void {
  const sum = ledger.sums[name];
  ledger.sums[name] = { kg: sum.kg + kg, cents: sum.cents + kg * centsPerKg };
}

/** A lot comes into being. */
export function bear(ledger: LedgerBuilder, birth: LotBirth, atMs: number, eventId: string): void {
  const { kg, ...rest } = birth;
  ledger.lots.set(birth.lotId, {
    ...rest,
    bornKg: kg,
    bornAtMs: atMs,
    leftKg: kg,
    frozenSinceMs: birth.storage === 'frozen' ? atMs : null,
    brix: null,
    saltPercent: null,
    sets: null,
    tempC: null,
    fatLiftedKg: 0,
    usePast: null,
    history: [eventId],
  });
}

/** Kilograms leave a lot under a name. */
export function take(ledger: LedgerBuilder, lot: Lot, kg: number, name: keyof Sums, eventId: string): void {
  tally(ledger, name, kg, lot.centsPerKg);
  alter(ledger, lot, { leftKg: lot.leftKg - kg }, eventId);
}

/** A lot changes, and its story has one event more. */
export function alter(ledger: LedgerBuilder, lot: Lot, change: Partial<Lot>, eventId: string): void {
  ledger.lots.set(lot.lotId, { ...lot, ...change, history: [...lot.history, eventId] });
}

/** The date a mixture inherits from a lot: none from raw goods or what is under no date mark. */
export function datedAt(lot: Lot | undefined, atMs: number): number[] {
  if (lot?.life.rule !== 'dateMark' || lot.origin.kind === 'delivery') return [];
  return [lot.madeAtMs + (lot.frozenSinceMs === null ? 0 : atMs - lot.frozenSinceMs)];
}

/** Frozen time is no time: the date moves by as long as it was frozen. */
export function thawed(lot: Lot, atMs: number): Partial<Lot> {
  if (lot.frozenSinceMs === null) return {};
  return { storage: 'chilled', madeAtMs: lot.madeAtMs + (atMs - lot.frozenSinceMs), frozenSinceMs: null };
}
