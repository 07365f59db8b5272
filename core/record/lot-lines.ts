import { COLD_C, type CoolingLimits, coolingForecast, coolingKnown, FIRST_STEP_C } from '../cooling';
import {
  clockBeforePouring,
  cooledBy,
  isEmptyTub,
  type LarderEvent,
  type Lot,
  type LotCooling,
  saidOfCooling,
  standsHot,
} from '../larder';
import { activeEvents } from '../log';
import { FOOD_CODE, type HotLimits } from '../safety';
import { isWithin, type RecordLimit, type RecordLine, type RecordSubject, recordLine } from './record-line';
import { saidBy, takenBack } from './taken-back';

const HOUR_MS = 3_600_000;

/** What was frozen comes frozen, °C. source: published: FDA Food Code 2022 § 3-202.11 */
const FROZEN_C = 0;

export type SaidOfLot = LarderEvent & { by: string | null };

/** The limits a lot is held against: as they were when it was said. */
export type LotLimits = Pick<HotLimits, 'reheatC'> & CoolingLimits & { receivingC: number };

/** A lot as its record is read off it. */
export interface RecordedLot {
  name: string;
  number: number;
  /** as it came into being, and as it is now */
  born: Lot;
  lot: Lot;
  /** it has to come in cold */
  mustComeCold: boolean;
  /** all that was said of it on the shelf, undone or not */
  events: readonly SaidOfLot[];
}

/** A probe's readings this far apart are enough for a record, ms. Ours. */
const PROBED_EVERY_MS = 30 * 60_000;

type LotTemperature = Extract<Extract<LarderEvent, { type: 'lotRead' }>['payload'], { kind: 'temperature' }>;

/**
 * What a lot has for the record: how it came in, how it was cooled, how cold it stood, what was reheated, used past its
 * date or thrown away, and what nobody measured.
 *
 * @param limitsAt the kitchen’s limits at a moment
 * @param nowMs up to when checks were due, ms
 * @source published: FDA Food Code 2022 § 3-202.11, § 3-501.14, § 3-501.16, § 3-403.11
 */
export function lotLines(
  recorded: RecordedLot,
  limitsAt: (atMs: number) => LotLimits,
  nowMs: number,
): RecordLine[] {
  const { born, lot, events, name, number } = recorded;
  const of: RecordSubject = { kind: 'lot', id: lot.lotId, name, number };
  const back = takenBack(events);
  const acts = activeEvents(events) as readonly SaidOfLot[];
  const lines: RecordLine[] = [];
  for (const event of events) {
    const said = {
      id: event.id,
      atMs: event.actedAtMs,
      of,
      by: saidBy(event),
      takenBack: back.get(event.id) ?? null,
    };
    switch (event.type) {
      case 'delivered':
        if (event.payload.lotId === lot.lotId)
          lines.push(receivedLine(said, event, recorded, limitsAt, acts));
        break;
      case 'discarded': {
        const { kg, reason } = event.payload;
        lines.push(
          recordLine({ ...said, kind: 'thrownAway', standing: 'noted', amount: { kg }, words: reason }),
        );
        break;
      }
      case 'usePast': {
        const { reason } = event.payload;
        const deed = { id: event.id, atMs: said.atMs, did: 'usedPast', by: said.by } as const;
        lines.push(recordLine({ ...said, kind: 'held', standing: 'out', words: reason, deed }));
        break;
      }
      case 'lotReheated': {
        const { tempC, thermometerId = null } = event.payload;
        const limit = { atLeastC: limitsAt(said.atMs).reheatC };
        const isIn = isWithin(tempC, limit);
        lines.push(
          recordLine({
            ...said,
            kind: 'reheated',
            standing: isIn ? 'in' : 'out',
            tempC,
            limit,
            thermometerId,
          }),
        );
      }
    }
  }
  const struck = events.filter((event) => back.has(event.id));
  return [
    ...lines,
    ...struck.flatMap((event) => struckReading(event, of, back.get(event.id)!)),
    ...coolingLines({ of, born, lot, acts }, limitsAt, nowMs),
  ];
}

function receivedLine(
  said: Pick<RecordLine, 'id' | 'atMs' | 'of' | 'by' | 'takenBack'>,
  { payload }: Extract<SaidOfLot, { type: 'delivered' }>,
  { mustComeCold }: RecordedLot,
  limitsAt: (atMs: number) => LotLimits,
  acts: readonly SaidOfLot[],
): RecordLine {
  const { arrivedC, supplier, tag, storage } = payload;
  const limit: RecordLimit | null =
    storage === 'frozen'
      ? { atMostC: FROZEN_C }
      : mustComeCold
        ? { atMostC: limitsAt(said.atMs).receivingC }
        : null;
  const standing =
    limit === null ? 'noted' : arrivedC === undefined ? 'missing' : isWithin(arrivedC, limit) ? 'in' : 'out';
  return recordLine({
    ...said,
    kind: 'received',
    standing,
    tempC: arrivedC ?? null,
    amount: { kg: payload.kg },
    limit,
    words: tag ? `${supplier}, ${tag}` : supplier,
    deed: standing === 'out' ? deedAfter(acts, said.atMs) : null,
  });
}

/** A temperature that was taken back: what it was held against has gone with it. */
function struckReading(event: SaidOfLot, of: RecordSubject, back: RecordLine['takenBack']): RecordLine[] {
  if (event.type !== 'lotRead' || event.payload.kind !== 'temperature') return [];
  return [{ ...readingLine(event, event.payload, of), takenBack: back }];
}

/** A temperature as it was read, held against nothing yet. */
function readingLine(event: SaidOfLot, read: LotTemperature, of: RecordSubject): RecordLine {
  const { id, actedAtMs: atMs } = event;
  const { value: tempC, thermometerId = null } = read;
  return recordLine({
    id,
    atMs,
    kind: 'held',
    of,
    standing: 'noted',
    tempC,
    by: saidBy(event),
    thermometerId,
  });
}

/** What was done about it after a moment: the first that was. */
function deedAfter(acts: readonly SaidOfLot[], afterMs: number): RecordLine['deed'] {
  for (const event of acts) {
    const did = DEEDS[event.type];
    if (event.actedAtMs >= afterMs && did)
      return { id: event.id, atMs: event.actedAtMs, did, by: saidBy(event) };
  }
  return null;
}

const DEEDS: Partial<Record<LarderEvent['type'], NonNullable<RecordLine['deed']>['did']>> = {
  lotReheated: 'reheated',
  discarded: 'thrownAway',
  coolingSet: 'cooledOtherwise',
  usePast: 'usedPast',
};

interface CoolingOf {
  of: RecordSubject;
  born: Lot;
  lot: Lot;
  acts: readonly SaidOfLot[];
}

/** One cooling, from when it was poured to when it was cold, begun again, or gone. */
interface CoolingRun {
  cooling: LotCooling | null;
  /** by what it is told to begin */
  startMs: number;
  endMs: number | null;
}

/** Each temperature of a lot, held against the clock of its cooling or against the cold it is kept in. */
function coolingLines(
  { of, born, lot, acts }: CoolingOf,
  limitsAt: (atMs: number) => LotLimits,
  nowMs: number,
): RecordLine[] {
  const bornC = born.bornC === null ? {} : { tempC: born.bornC };
  const lines: RecordLine[] = [];
  let cooling = born.cooling;
  let startMs = born.bornAtMs;
  let probedMs = Number.NEGATIVE_INFINITY;
  let readInRun: { line: RecordLine; isOfRun: boolean }[] = [];
  const end = (endMs: number | null) => {
    const run: CoolingRun = { cooling, startMs, endMs };
    const isHot = cooling !== null || standsHot(born, born.bornAtMs);
    lines.push(...(isHot ? judged(readInRun, of, run, limitsAt(startMs), acts, nowMs) : keptCold(readInRun)));
    readInRun = [];
  };
  for (const event of acts) {
    const isRead = event.type === 'lotRead' && event.payload.kind === 'temperature';
    const wasCooling = cooling !== null && cooling.coldAtMs === null;
    if (event.type === 'lotReheated') {
      end(event.actedAtMs);
      startMs = event.actedAtMs;
    }
    if (event.type === 'coolingSet' && cooling !== null && cooling.coldAtMs !== null) {
      end(cooling.coldAtMs);
      startMs = event.actedAtMs;
    }
    cooling = cooledBy(cooling, event, bornC);
    if (event.type === 'coolingSet' && event.payload.fromC !== undefined) {
      const { id, actedAtMs: atMs, payload } = event;
      const shared = { id, atMs, kind: 'cooled', of, standing: 'noted' } as const;
      lines.push(recordLine({ ...shared, tempC: payload.fromC!, by: saidBy(event) }));
    }
    if (!isRead) continue;
    const payload = event.payload as LotTemperature;
    const { value: tempC, from } = payload;
    // a probe says the same all day: it is written down once in a while, and when it is cold
    const isCold = cooling?.coldAtMs === event.actedAtMs;
    if (from === 'device' && !isCold && event.actedAtMs < probedMs + PROBED_EVERY_MS) continue;
    if (from === 'device') probedMs = event.actedAtMs;
    const line = {
      ...readingLine(event, payload, of),
      ...(lot.storage === 'chilled' ? coldHolding(tempC) : {}),
    };
    readInRun.push({ line, isOfRun: wasCooling || (cooling === null && standsHot(born, event.actedAtMs)) });
  }
  end(isEmptyTub(lot.leftKg) ? lastOf(acts, lot) : null);
  return lines;
}

/** A lot that is used up is there till its last entry. */
function lastOf(acts: readonly SaidOfLot[], lot: Lot): number {
  return Math.max(lot.bornAtMs, lot.lastDrawnMs ?? 0, acts.at(-1)?.actedAtMs ?? 0);
}

/** What stands in the cold is at 5 °C or under. source: published: FDA Food Code 2022 § 3-501.16 */
function coldHolding(tempC: number): Pick<RecordLine, 'limit' | 'standing'> {
  const limit = { atMostC: FOOD_CODE.coldHoldingC.value };
  return { limit, standing: isWithin(tempC, limit) ? 'in' : 'out' };
}

const keptCold = (read: readonly { line: RecordLine }[]): RecordLine[] => read.map((one) => one.line);

/** The two steps of a cooling: each reading against the one it is on, and each that no thermometer has shown in time. */
function judged(
  read: readonly { line: RecordLine; isOfRun: boolean }[],
  of: RecordSubject,
  { cooling, startMs, endMs }: CoolingRun,
  limits: LotLimits,
  acts: readonly SaidOfLot[],
  nowMs: number,
): RecordLine[] {
  const clock = clockOf(cooling, startMs, limits);
  const steps = [
    { atMostC: FIRST_STEP_C, byMs: clock + limits.coolFirstWithinH * HOUR_MS },
    { atMostC: COLD_C, byMs: clock + limits.coolWithinH * HOUR_MS },
  ];
  const [first, cold] = steps as [(typeof steps)[0], (typeof steps)[0]];
  const ofRun = read.filter((one) => one.isOfRun).map((one) => one.line);
  const lines = ofRun.map((line, i) => {
    const tempC = line.tempC!;
    const isOnFirst = tempC > COLD_C && !ofRun.slice(0, i).some((one) => one.tempC! <= FIRST_STEP_C);
    const limit = isOnFirst ? first : cold;
    const isLate = line.atMs > limit.byMs;
    // there, but late: it may have been there in time, and nobody has shown it
    const standing = isWithin(tempC, limit) ? (isLate ? 'noted' : 'in') : isLate ? 'out' : 'noted';
    const deed = standing === 'out' ? deedAfter(acts, line.atMs) : null;
    return { ...line, kind: 'cooled', limit, standing, deed } as const;
  });
  const untilMs = Math.min(endMs ?? Number.POSITIVE_INFINITY, nowMs);
  const missing = steps.flatMap((limit, i) => {
    const isProven = ofRun.some((line) => line.tempC! <= limit.atMostC && line.atMs <= limit.byMs);
    const isTold = lines.some((line) => line.standing === 'out' && line.limit.atMostC === limit.atMostC);
    if (isProven || isTold || untilMs <= limit.byMs) return [];
    const id = `${of.id} cooled ${startMs} ${i}`;
    return [recordLine({ id, atMs: limit.byMs, kind: 'cooled', of, standing: 'missing', limit })];
  });
  return [...lines, ...missing, ...keptCold(read.filter((one) => !one.isOfRun))];
}

/** When it left hot holding, by its readings and the model; of what nobody said is cooled, when it was stored, ms. */
function clockOf(cooling: LotCooling | null, startMs: number, limits: LotLimits): number {
  if (cooling === null) return startMs;
  const known = coolingKnown(saidOfCooling(cooling));
  const nowMs = cooling.readings.at(-1)?.atMs ?? startMs;
  return coolingForecast(known, nowMs, limits, clockBeforePouring(cooling, limits.hotHoldingC)).leftHotMs;
}
