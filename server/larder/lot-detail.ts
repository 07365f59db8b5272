import type { LarderStray, LotDetail, LotStory, TracedBatch, TracedStep } from '../../contract';
import { type LarderEventBody, type Lot, lotKey, type TraceStep, traceArrows } from '../../core/larder';
import { activeEvents } from '../../core/log';
import type { LotView } from '../../core/views';
import { isAside } from '../batches/batch-logs';
import type { CommandContext } from '../command-context';
import { notFound } from '../problem';
import {
  arrowsAround,
  type Db,
  drawsByEvent,
  headRow,
  keptLot,
  keptLotsOf,
  type LoggedLarderEvent,
  larderEventRow,
  numbersOf,
  strayEventIds,
  undosOf,
  writtenEvent,
} from '../storage';
import { lotViewsOf } from './lot-views';

/** A lot with its story, everything it went into down to the bowls, and everything it came from. */
export function lotDetail(context: CommandContext, lotId: string): LotDetail {
  const { db } = context.storage;
  const lot = keptLot(db, lotId);
  if (!lot) throw notFound('lot', lotId);
  const nowMs = context.clock.nowMs();
  const trace = traceArrows(arrowsAround(db, lotKey(lotId)), lotKey(lotId));
  const steps = [...trace.into, ...trace.from];
  const idsOf = (kind: TraceStep['kind']) => [
    ...new Set(steps.filter((step) => step.kind === kind).map((step) => step.id)),
  ];
  const views = lotViewsOf(db, [lot, ...keptLotsOf(db, idsOf('lot'))], nowMs);
  const lots = new Map(views.map((view) => [view.id, brief(view)]));
  const batches = new Map(idsOf('batch').flatMap((id) => tracedBatch(context, id)));
  const named = (step: TraceStep): TracedStep => {
    if (step.kind === 'batch') return { ...step, ...withKey('batch', batches.get(step.id)) };
    return { ...step, ...withKey('lot', lots.get(step.id)) };
  };
  const into = trace.into.map(named);
  return {
    lot: views[0]!,
    story: storyOf(db, lot),
    into,
    from: trace.from.map(named),
    bowls: into.reduce((sum, step) => sum + (step.batch?.served ?? 0), 0),
  };
}

/** Entries that name a lot whose making was undone: kept, for a person to settle. */
export function strays(db: Db): LarderStray[] {
  return strayEventIds(db).map((eventId) => {
    const drawn = writtenEvent(db, eventId);
    const atMs = drawn?.actedAtMs ?? larderEventRow(db, eventId)?.actedAtMs ?? 0;
    return { eventId, atMs, batchId: drawn?.batchId ?? null };
  });
}

function brief({ number, name, place, leftLitres, leftKg, origin, bornAtMs }: LotView) {
  return { number, name, place, leftLitres, leftKg, origin, bornAtMs };
}

function withKey<K extends string, T>(key: K, value: T | undefined): Partial<Record<K, T>> {
  return value === undefined ? {} : ({ [key]: value } as Record<K, T>);
}

function tracedBatch({ storage, logs }: CommandContext, batchId: string): [string, TracedBatch][] {
  const head = headRow(storage.db, batchId);
  if (!head) return [];
  const { name, createdAtMs: atMs, serviceAtMs, outcome } = head;
  const shared = { batchId, name, atMs, serviceAtMs };
  if (outcome) {
    const { served, discarded, leftLitres } = outcome;
    return [[batchId, { ...shared, isOpen: false, served, discarded, leftLitres }]];
  }
  const open = logs.of(batchId);
  const { served, discarded } = isAside(open) ? { served: 0, discarded: 0 } : open.log.state;
  return [[batchId, { ...shared, isOpen: true, served, discarded, leftLitres: null }]];
}

/** What was done to a lot, whoever's log it stands in. */
function storyOf(db: Db, lot: Lot): LotStory[] {
  const draws = drawsByEvent(db, lot.lotId);
  return lot.history.flatMap((eventId): LotStory[] => {
    const own = larderEventRow(db, eventId);
    if (own) return [shelfLine(db, own)];
    const written = writtenEvent(db, eventId);
    if (!written) return [];
    const { actedAtMs: atMs, by, batchId } = written;
    const shared = { eventId, atMs, by, batchName: headRow(db, batchId)?.name ?? '' };
    const kg = draws.get(eventId);
    return [kg === undefined ? { ...shared, kind: 'stored' } : { ...shared, kind: 'drawn', kg }];
  });
}

function shelfLine(db: Db, logged: LoggedLarderEvent): LotStory {
  const { id: eventId, actedAtMs: atMs, by, type, payload } = logged;
  const [stands] = activeEvents([logged, ...undosOf(db, eventId)]);
  return {
    kind: 'shelf',
    eventId,
    atMs,
    by,
    event: { type, payload } as LarderEventBody,
    numbers: Object.fromEntries(numbersOf(db, lotIdsIn(payload))),
    mayUndo: stands !== undefined,
  };
}

/** Ids of lots that what was said names. */
function lotIdsIn(payload: LoggedLarderEvent['payload']): string[] {
  const parts = 'parts' in payload ? payload.parts.map((part) => part.lotId) : [];
  const own = 'lotId' in payload ? [payload.lotId] : [];
  return [...own, ...('toLotId' in payload ? [payload.toLotId] : []), ...parts];
}
