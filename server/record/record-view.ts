import { dayBounds, dayOf, type RecordLineView, type RecordView } from '../../contract';
import { type DayCosts, dayCosts, yieldWalk } from '../../core/batch';
import { libraryOf } from '../../core/book';
import { isCooling, type Lot, lotsNamed } from '../../core/larder';
import { own } from '../../core/own';
import {
  batchLines,
  inOrder,
  lotLines,
  type RecordLine,
  type SaidOfThermometer,
  thermometerLines,
  thermometerStanding,
} from '../../core/record';
import { mustComeCold } from '../../core/safety';
import { isAside } from '../batches/batch-logs';
import type { CommandContext } from '../command-context';
import { foodsView, settingsOf } from '../kitchen/kitchen-view';
import { lotViewsOf } from '../larder/lot-views';
import { impossible, notFound } from '../problem';
import {
  allItemRows,
  type ChainedEntry,
  chainedBetween,
  chainedEntry,
  chainHash,
  type Db,
  eventOf,
  headRow,
  type KitchenRow,
  keptLot,
  kitchenLogOf,
  kitchenLogRow,
  larderEventRow,
  larderEventsOf,
  latestRecipes,
  ledgerStore,
  openBatchIds,
  shelfLots,
  writtenEvent,
  writtenEvents,
} from '../storage';
import { limitsAt } from './limits-at';

const HOUR_MS = 3_600_000;

/** What was stored so long before a day may still be due on it: the longest a kitchen may give its cooling. */
const LOOKED_BACK_MS = 24 * HOUR_MS;

/** Written down so long after it happened is worth a word. */
const LATE_MS = 10 * 60_000;

/**
 * The record of a day by the kitchen's calendar: read off the logs each time it is asked for, and held against their seal.
 *
 * @throws ProblemError 422 for what is no day
 */
export function recordOfDay(context: CommandContext, day: string): RecordView {
  const { db } = context.storage;
  const kitchen = settingsOf(db);
  const bounds = dayBounds(day, kitchen.zone);
  if (!bounds) throw impossible('day', 'A day is a year, a month and a day: 2026-03-10.');
  const { fromMs, toMs } = bounds;
  const nowMs = context.clock.nowMs();
  const around = chainedBetween(db, fromMs - LOOKED_BACK_MS, toMs);
  const entries = around.filter((one) => one.atMs >= fromMs);
  const batchIds = new Set([...openBatchIds(db), ...entries.flatMap((one) => batchIdOf(one) ?? [])]);
  const lotIds = new Set([...around.flatMap(lotIdsOf), ...coolingIds(db)]);
  const read = reader(context, kitchen, nowMs);
  const lines = inOrder([
    ...[...batchIds].flatMap(read.batch),
    ...[...lotIds].flatMap(read.lot),
    ...thermometerLines(read.checks, kitchen.altitudeM),
  ]).filter((line) => line.atMs >= fromMs && line.atMs < toMs);
  const signed = signedLast(db, day);
  return {
    kitchen: kitchen.name,
    zone: kitchen.zone,
    of: { kind: 'day', day, fromMs, toMs, isOver: dayOf(nowMs, kitchen.zone) > day },
    lines: lines.map((line) => read.view(line, signed?.seq ?? null)),
    costs: costsOf(context, entries, { fromMs, toMs }),
    unread: read.unread,
    seal: sealOf(entries),
    signed: signed && { by: signed.by, atMs: signed.atMs, hash: signed.hash, isChanged: signed.isChanged },
  };
}

/**
 * The record of a lot from its making on: of the batch it was made by, or of the lot it was parted off, as far as that
 * went; and all of its own.
 *
 * @throws ProblemError 404
 */
export function recordOfLot(context: CommandContext, lotId: string): RecordView {
  const { db } = context.storage;
  const kitchen = settingsOf(db);
  const lot = keptLot(db, lotId);
  if (!lot) throw notFound('lot', lotId);
  const read = reader(context, kitchen, context.clock.nowMs());
  const lines: RecordLine[] = [];
  let untilMs = Number.POSITIVE_INFINITY;
  for (let one: Lot | null = lot; one; ) {
    const endMs = untilMs;
    lines.push(...read.lot(one.lotId).filter((line) => line.atMs <= endMs));
    untilMs = Math.min(untilMs, one.bornAtMs);
    const { origin }: Lot = one;
    if (origin.kind === 'batch') {
      const bornMs = untilMs;
      lines.push(...read.batch(origin.batchId).filter((line) => line.atMs <= bornMs));
    }
    one = origin.kind === 'split' ? (keptLot(db, origin.lotId) ?? null) : null;
  }
  const views = inOrder(lines).map((line) => read.view(line, null));
  const [shown] = lotViewsOf(db, [lot], context.clock.nowMs(), kitchen);
  const { name, number, warmMs } = shown!;
  return {
    kitchen: kitchen.name,
    zone: kitchen.zone,
    of: { kind: 'lot', lotId, name, number, warmMs },
    lines: views,
    costs: null,
    unread: read.unread,
    seal: sealOf(views.flatMap((line) => linkOf(db, line) ?? [])),
    signed: null,
  };
}

function batchIdOf({ entry }: ChainedEntry): string | null {
  return entry?.log === 'batch' ? entry.row.batchId : null;
}

/** The lots an entry names: on the shelf, or stored out of a pot. */
function lotIdsOf({ entry }: ChainedEntry): string[] {
  if (entry?.log === 'batch') {
    const { lotId } = entry.row.payload as { lotId?: string };
    return entry.row.type === 'stored' && lotId ? [lotId] : [];
  }
  if (entry?.log !== 'larder') return [];
  const { type, payload } = entry.row;
  return lotsNamed({ type, payload } as Parameters<typeof lotsNamed>[0]);
}

const coolingIds = (db: Db): string[] =>
  shelfLots(db, Number.POSITIVE_INFINITY)
    .filter((lot) => isCooling(lot.cooling))
    .map((lot) => lot.lotId);

/** What a page of the record asks of the house, each thing once. */
function reader(context: CommandContext, kitchen: KitchenRow, nowMs: number) {
  const { db } = context.storage;
  const library = libraryOf(foodsView(db), latestRecipes(db)).ingredients;
  const limits = limitsAt(kitchen, [...kitchenLogOf(db, 'limits'), ...kitchenLogOf(db, 'import')]);
  const instruments = new Map(allItemRows(db, 'instrument').map((row) => [row.id, row.doc.name]));
  const checks = checksOf(db, instruments);
  const unread: RecordView['unread'] = [];
  const batch = (id: string): RecordLine[] => {
    const read = context.logs.of(id);
    const name = headRow(db, id)?.name ?? '';
    if (isAside(read)) {
      unread.push({ batchId: id, name });
      return [];
    }
    const { row, log } = read;
    const events = writtenEvents(db, id).map(eventOf);
    return batchLines({ id, name, snapshot: row.snapshot, state: log.state, events }, nowMs);
  };
  const lot = (id: string): RecordLine[] => {
    const kept = keptLot(db, id);
    const born = ledgerStore(db as Parameters<typeof ledgerStore>[0]).born(id);
    if (!kept || !born) return [];
    const [{ name, number } = { name: '', number: 0 }] = lotViewsOf(db, [kept], nowMs, kitchen);
    const events = larderEventsOf(db, id);
    const came = events.find((event) => event.type === 'delivered');
    const food = came?.type === 'delivered' ? own(library, came.payload.ingredientId) : undefined;
    return lotLines(
      { name, number, born: born.lot, lot: kept, mustComeCold: food ? mustComeCold(food) : false, events },
      limits,
      nowMs,
    );
  };
  const view = (line: RecordLine, signedSeq: number | null): RecordLineView => {
    const { thermometerId, atMs } = line;
    const name = thermometerId === null ? undefined : instruments.get(thermometerId);
    const standing = thermometerStanding(checks, thermometerId ?? '', atMs, kitchen.altitudeM);
    const isSaid = line.standing !== 'missing' || line.kind === 'received';
    const link = isSaid ? linkOf(db, line) : null;
    const receivedMs = link?.entry && 'receivedAtMs' in link.entry.row ? link.entry.row.receivedAtMs : atMs;
    return {
      ...line,
      thermometer: name === undefined || line.kind === 'thermometer' ? null : { name, standing },
      receivedAtMs: receivedMs - atMs > LATE_MS ? receivedMs : null,
      isLater: signedSeq !== null && link !== null && link.seq > signedSeq,
      isChanged: isSaid && !(link?.isIntact ?? false),
    };
  };
  return { batch, lot, view, checks, unread };
}

/** What the food of a day cost: of the pots closed on it, and of what was thrown away off the shelf. */
function costsOf(
  { storage, logs }: CommandContext,
  entries: readonly ChainedEntry[],
  { fromMs, toMs }: { fromMs: number; toMs: number },
): DayCosts | null {
  const closed = new Set(
    entries.flatMap(({ entry }) =>
      entry?.log === 'batch' && entry.row.type === 'closed' ? [entry.row.batchId] : [],
    ),
  );
  const walks = [...closed].flatMap((id) => {
    const read = logs.of(id);
    if (isAside(read)) return [];
    const { row, log } = read;
    const isOfDay = row.closedAtMs !== null && row.closedAtMs >= fromMs && row.closedAtMs < toMs;
    return isOfDay ? [yieldWalk(row.snapshot, log.state)] : [];
  });
  const thrown = entries.flatMap(({ entry }) => {
    if (entry?.log !== 'larder' || entry.row.type !== 'discarded') return [];
    const { lotId, kg, reason } = entry.row.payload as { lotId: string; kg: number; reason: string };
    const lot = keptLot(storage.db, lotId);
    // undone, it is no entry of its lot any more
    if (!lot?.history.includes(entry.row.id)) return [];
    return [{ kg, cents: kg * lot.centsPerKg, words: reason }];
  });
  return walks.length + thrown.length > 0 ? dayCosts(walks, thrown) : null;
}

/** The link of the entry a line reads off; null where there is none. */
function linkOf(db: Db, { id }: RecordLine): ChainedEntry | null {
  const ofPot = writtenEvent(db, id);
  if (ofPot) return chainedEntry(db, 'batch', ofPot.seq);
  const ofShelf = larderEventRow(db, id);
  if (ofShelf) return chainedEntry(db, 'larder', ofShelf.seq);
  const ofKitchen = kitchenLogRow(db, id);
  return ofKitchen ? chainedEntry(db, 'kitchen', ofKitchen.seq) : null;
}

/** Thermometers held in ice and boiling water, the oldest first. */
function checksOf(db: Db, names: ReadonlyMap<string, string>): SaidOfThermometer[] {
  return kitchenLogOf(db, 'checked').map(({ id, payload, actedAtMs, by }) => {
    const { instrumentId, iceC, boilC } = payload as { instrumentId: string; iceC?: number; boilC?: number };
    const name = names.get(instrumentId) ?? '';
    return { id, thermometerId: instrumentId, name, atMs: actedAtMs, by, iceC, boilC };
  });
}

const sealOf = (entries: readonly ChainedEntry[]): RecordView['seal'] => ({
  entries: entries.length,
  hash: entries.at(-1)?.hash ?? '',
  changed: entries.filter((one) => !one.isIntact).length,
});

/** Who signed a day last, and whether the log is still what it was then. */
function signedLast(db: Db, day: string) {
  const row = kitchenLogOf(db, 'daySigned').findLast((one) => (one.payload as { day: string }).day === day);
  if (!row) return null;
  const { result } = row.payload as { result: { seq: number; hash: string } };
  return {
    by: row.by ?? '',
    atMs: row.actedAtMs,
    ...result,
    isChanged: chainHash(db, result.seq) !== result.hash,
  };
}
