import { activeEvents } from '../log';
import { asRead } from './as-read';
import type { LarderEvent } from './larder-event';
import {
  alter,
  bear,
  datedAt,
  type Larder,
  type LedgerBuilder,
  type LotDraw,
  type LotMade,
  type Tally,
  take,
  tally,
} from './ledger';
import type { LotBirth } from './lot';
import { mixContents } from './mix-contents';
import { onLot } from './on-lot';

type Entry = { atMs: number; seq: number; order: number; put: (ledger: LedgerBuilder) => void };

/**
 * The larder as its logs make it: what batches put by and drew, deliveries, and what was done on the shelf, in the
 * order it happened. Nothing is refused: a draw from an empty lot makes its count negative, and it is to be counted.
 *
 * @param of lots that batches made, their draws, the larder's own events; any order
 * @param untilMs the moment wanted; later entries are left out
 * @returns every lot that ever was, and the sums
 * @source docs/model.md § 13
 */
export function foldLarder(
  of: { made: readonly LotMade[]; draws: readonly LotDraw[]; events: readonly LarderEvent[] },
  untilMs = Number.POSITIVE_INFINITY,
): Larder {
  const ledger: LedgerBuilder = {
    lots: new Map(),
    draws: [],
    pours: [],
    sums: { in: none(), drawn: none(), discarded: none(), lifted: none(), countedOff: none() },
    strays: [],
  };
  const entries: Entry[] = [
    ...of.made.map((made): Entry => ({ ...when(made), order: 0, put: (on) => putBorn(on, made) })),
    ...of.draws.map((draw): Entry => ({ ...when(draw), order: 1, put: (on) => putDraw(on, draw) })),
    ...activeEvents(of.events).map(
      (event): Entry => ({
        atMs: event.actedAtMs,
        seq: event.seq,
        order: 2,
        put: (on) => putEvent(on, event),
      }),
    ),
  ];
  entries.sort((a, b) => a.atMs - b.atMs || a.order - b.order || a.seq - b.seq);
  for (const entry of entries) if (entry.atMs <= untilMs) entry.put(ledger);
  return {
    lots: ledger.lots,
    draws: ledger.draws,
    pours: ledger.pours,
    sums: ledger.sums,
    strayEventIds: ledger.strays,
  };
}

const none = (): Tally => ({ kg: 0, cents: 0 });
const when = ({ atMs, seq }: { atMs: number; seq: number }) => ({ atMs, seq });

/** A batch's lot is as old as the oldest made thing that went into it. */
function putBorn(ledger: LedgerBuilder, { birth, eventId, atMs }: LotMade): void {
  const { origin } = birth;
  const dates = ledger.draws
    .filter((draw) => origin.kind === 'batch' && draw.batchId === origin.batchId)
    .flatMap((draw) => datedAt(ledger.lots.get(draw.lotId), atMs));
  bear(ledger, { ...birth, madeAtMs: Math.min(birth.madeAtMs, ...dates) }, atMs, eventId);
  tally(ledger, 'in', birth.kg, birth.centsPerKg);
}

function putDraw(ledger: LedgerBuilder, draw: LotDraw): void {
  const lot = ledger.lots.get(draw.lotId);
  if (!lot) {
    ledger.strays.push(draw.eventId);
    return;
  }
  ledger.draws.push(draw);
  take(ledger, lot, draw.kg, 'drawn', draw.eventId);
}

function putEvent(ledger: LedgerBuilder, event: LarderEvent): void {
  if (event.type === 'delivered' || event.type === 'found') arrive(ledger, event);
  else if (event.type === 'blended') blend(ledger, event);
  else if (event.type !== 'undone') {
    const lot = ledger.lots.get(event.payload.lotId);
    if (lot) onLot(ledger, lot, event);
    else ledger.strays.push(event.id);
  }
}

function arrive(ledger: LedgerBuilder, event: Extract<LarderEvent, { type: 'delivered' | 'found' }>): void {
  const birth = arrival(event);
  if (!birth) {
    ledger.strays.push(event.id);
    return;
  }
  bear(ledger, birth, event.actedAtMs, event.id);
  tally(ledger, 'in', birth.kg, birth.centsPerKg);
}

function arrival(event: Extract<LarderEvent, { type: 'delivered' | 'found' }>): LotBirth | null {
  if (!event.received) return null;
  const { lotId, kg, place, storage } = event.payload;
  const shared = { ...event.received, lotId, kg, place, storage };
  if (event.type === 'found') {
    const { madeAtMs, note } = event.payload;
    return { ...shared, madeAtMs, origin: { kind: 'found', note } };
  }
  const { supplier, arrivedC, tag, useByMs, centsPerKg } = event.payload;
  return {
    ...shared,
    centsPerKg: centsPerKg ?? event.received.centsPerKg,
    madeAtMs: event.actedAtMs,
    life: useByMs === undefined ? event.received.life : { rule: 'given', useByMs },
    origin: {
      kind: 'delivery',
      supplier,
      ...(arrivedC === undefined ? {} : { arrivedC }),
      ...(tag === undefined ? {} : { tag }),
    },
  };
}

function blend(ledger: LedgerBuilder, event: Extract<LarderEvent, { type: 'blended' }>): void {
  const { toLotId, name, parts, waterKg, place, storage } = event.payload;
  const { actedAtMs: atMs, id } = event;
  const poured = parts.flatMap(({ lotId, kg }) => {
    const lot = ledger.lots.get(lotId);
    return lot ? [{ lot, kg }] : [];
  });
  if (poured.length < parts.length) {
    ledger.strays.push(id);
    return;
  }
  const kg = poured.reduce((sum, part) => sum + part.kg, waterKg);
  const cents = poured.reduce((sum, part) => sum + part.kg * part.lot.centsPerKg, 0);
  const heaviest = [...poured].sort((a, b) => b.kg - a.kg)[0]!.lot;
  for (const part of poured) {
    alter(ledger, part.lot, { leftKg: part.lot.leftKg - part.kg }, id);
    ledger.pours.push({ fromLotId: part.lot.lotId, toLotId, kg: part.kg, atMs });
  }
  tally(ledger, 'in', waterKg, 0);
  bear(
    ledger,
    {
      lotId: toLotId,
      kg,
      contents: mixContents(
        name,
        poured.map(({ lot, kg: partKg }) => ({ contents: asRead(lot), kg: partKg })),
        waterKg,
      ),
      centsPerKg: cents / kg,
      place,
      storage,
      origin: { kind: 'blend', lotIds: poured.map(({ lot }) => lot.lotId) },
      madeAtMs: Math.min(atMs, ...poured.flatMap(({ lot }) => datedAt(lot, atMs))),
      life: poured.find(({ lot }) => lot.life.rule !== 'none')?.lot.life ?? { rule: 'dateMark' },
      ...(heaviest.best ? { best: heaviest.best } : {}),
      frozenMonths: Math.min(...poured.map(({ lot }) => lot.frozenMonths)),
    },
    atMs,
    id,
  );
}
