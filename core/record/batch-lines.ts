import { type BatchEvent, type BatchSnapshot, type BatchState, HOLD_CHECK_MIN, rowsInPot } from '../batch';
import { activeEvents } from '../log';
import { foodLitres } from '../pot';
import { CODE_HOT_LIMITS, FOOD_CODE, leastTemperature } from '../safety';
import { isWithin, type RecordLimit, type RecordLine, type RecordSubject, recordLine } from './record-line';
import { saidBy, takenBack } from './taken-back';

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;

/** A check so long after its time is late and not missing, min. Ours. */
const GRACE_MIN = 10;

/** Less than this is a lick on the wall, L. */
const LEAST_L = 0.1;

export type SaidOfBatch = BatchEvent & { by: string | null };

/** A batch as its record is read off it: `state` is its log folded, `events` all of that log. */
export interface RecordedBatch {
  id: string;
  name: string;
  snapshot: BatchSnapshot;
  state: BatchState;
  events: readonly SaidOfBatch[];
}

/**
 * What a batch has for the record: how hot it was cooked, each temperature while it was served, what was reheated and
 * thrown away, and which checks were not made.
 *
 * @param batch its log with what was undone in it
 * @param nowMs up to when checks were due, ms
 * @source published: FDA Food Code 2022 § 3-401.11, § 3-401.13, § 3-403.11, § 3-501.16; the rhythm is the kitchen’s
 */
export function batchLines(batch: RecordedBatch, nowMs: number): RecordLine[] {
  const { snapshot, state, events } = batch;
  const of: RecordSubject = { kind: 'batch', id: batch.id, name: batch.name };
  const limits = snapshot.input.limits ?? CODE_HOT_LIMITS;
  const back = takenBack(events);
  const acts = activeEvents(events) as readonly SaidOfBatch[];
  const isBase = snapshot.input.recipe.base !== undefined;
  const servedFromMs = isBase ? null : beganServing(snapshot, state);
  const deedAfter = deedsOf(acts);
  const lines: RecordLine[] = [];
  let hotMs = servedFromMs;
  let probedMs = Number.NEGATIVE_INFINITY;
  for (const event of [...events].sort((a, b) => a.actedAtMs - b.actedAtMs || a.seq - b.seq)) {
    const { id, actedAtMs: atMs } = event;
    const shared = { id, atMs, of, by: saidBy(event), takenBack: back.get(id) ?? null };
    if (isTemperature(event)) {
      if (servedFromMs === null || atMs < servedFromMs) continue;
      const { value: tempC, thermometerId = null } = event.payload;
      const limit = { atLeastC: limits.hotHoldingC };
      const isIn = isWithin(tempC, limit);
      if (isIn && !shared.takenBack) hotMs = atMs;
      // a probe says the same all day: what is in is written down once in the rhythm of the checks
      const isByItself = event.payload.from === 'device' && isIn && !shared.takenBack;
      if (isByItself && atMs < probedMs + everyMs(snapshot)) continue;
      if (isByItself) probedMs = atMs;
      lines.push(
        recordLine({
          ...shared,
          kind: 'held',
          standing: isIn ? 'in' : 'out',
          tempC,
          limit,
          thermometerId,
          deed: isIn ? null : deedAfter(atMs),
        }),
      );
    } else if (event.type === 'reheated') {
      const { tempC, thermometerId = null } = event.payload;
      // where its serving was undone since, nobody knows how long it was cold
      const byMs = hotMs === null ? {} : { byMs: hotMs + limits.reheatWithinH * HOUR_MS };
      const limit: RecordLimit = { atLeastC: limits.reheatC, ...byMs };
      const isIn = isWithin(tempC, limit) && atMs <= (limit.byMs ?? atMs);
      if (!shared.takenBack) hotMs = atMs;
      lines.push(
        recordLine({
          ...shared,
          kind: 'reheated',
          standing: isIn ? 'in' : 'out',
          tempC,
          limit,
          thermometerId,
          deed: isIn ? null : deedAfter(atMs),
        }),
      );
    } else if (isThrownAway(event)) {
      const { portions } = event.payload;
      lines.push(recordLine({ ...shared, kind: 'thrownAway', standing: 'noted', amount: { portions } }));
    }
  }
  return [
    ...lines,
    ...cookedLine(batch, of, acts, servedFromMs, nowMs),
    ...(servedFromMs === null ? [] : unchecked(batch, of, acts, servedFromMs, nowMs)),
  ];
}

/** The rhythm of the kitchen's checks, ms. */
const everyMs = ({ input }: BatchSnapshot): number =>
  (input.equipment?.holdCheckMin ?? HOLD_CHECK_MIN) * MINUTE_MS;

type Reading = Extract<SaidOfBatch, { type: 'reading' }>;
type ReadTemperature = Reading & { payload: { kind: 'temperature' } };

const isTemperature = (event: SaidOfBatch): event is ReadTemperature =>
  event.type === 'reading' && event.payload.kind === 'temperature';

const isThrownAway = (event: SaidOfBatch): event is Extract<SaidOfBatch, { type: 'portioned' }> =>
  event.type === 'portioned' && event.payload.fate === 'discarded' && event.payload.reason === 'overHeld';

/** When its last stage, that of serving, was begun; null where it was not. */
function beganServing({ input }: BatchSnapshot, state: BatchState): number | null {
  const stage = input.recipe.stages.find((one) => one.ends.rule === 'served');
  return state.stages.find((one) => one.stageId === stage?.id)?.begunMs ?? null;
}

/** What was done about it after a moment: the first that was. */
function deedsOf(acts: readonly SaidOfBatch[]): (atMs: number) => RecordLine['deed'] {
  return (afterMs) => {
    for (const event of acts) {
      if (event.actedAtMs < afterMs || !(event.type === 'reheated' || isThrownAway(event))) continue;
      const did = event.type === 'reheated' ? 'reheated' : 'thrownAway';
      return { id: event.id, atMs: event.actedAtMs, did, by: saidBy(event) };
    }
    return null;
  };
}

/**
 * The hottest a thermometer found it between the last of what has a minimum going in and the first of it going out. What
 * was cooked before is reheated: from the first of it going in there is a clock too.
 */
function cookedLine(
  { snapshot, state }: RecordedBatch,
  of: RecordSubject,
  acts: readonly SaidOfBatch[],
  servedFromMs: number | null,
  nowMs: number,
): RecordLine[] {
  const { recipe, limits = CODE_HOT_LIMITS } = snapshot.input;
  const rows = rowsInPot(snapshot, state);
  const isReheated = recipe.reheats !== undefined;
  const needs = (kinds: readonly string[]) =>
    leastTemperature({ kinds, isServed: false, isReheated, limits });
  const added = acts.flatMap((event) => {
    const items = event.type === 'added' ? event.payload.items : [];
    const kinds = items.flatMap(({ ingredientId, kg }) => (kg > 0 ? (rows[ingredientId]?.kind ?? []) : []));
    return kinds.length > 0 ? [{ atMs: event.actedAtMs, kinds }] : [];
  });
  const first = added[0];
  // what was drawn off another pot was cooked in that one
  const isPart = snapshot.origin !== undefined;
  const least = needs(added.flatMap((one) => one.kinds));
  if (!first || (isPart && least === null)) return [];
  const lastMs = Math.max(
    first.atMs,
    ...added.flatMap(({ atMs, kinds }) =>
      leastTemperature({ kinds, isServed: false, isReheated: false }) ? atMs : [],
    ),
  );
  const outMs = Math.min(
    servedFromMs ?? Number.POSITIVE_INFINITY,
    ...acts.flatMap(({ type, actedAtMs }) => (LEAVES.has(type) ? actedAtMs : [])),
  );
  const limit = {
    atLeastC: least?.tempC ?? FOOD_CODE.plantsC.value,
    ...(isReheated ? { byMs: first.atMs + limits.reheatWithinH * HOUR_MS } : {}),
  };
  const kind = isReheated ? 'reheated' : 'cooked';
  const found = acts
    .filter(isTemperature)
    .filter(({ actedAtMs }) => actedAtMs >= lastMs && actedAtMs < outMs)
    .sort(
      (a, b) =>
        Number(b.payload.value >= limit.atLeastC) - Number(a.payload.value >= limit.atLeastC) ||
        b.payload.value - a.payload.value,
    );
  const inTime = found.filter(
    (one) => one.payload.value >= limit.atLeastC && one.actedAtMs <= (limit.byMs ?? outMs),
  );
  const best = inTime[0] ?? found[0];
  if (best) {
    const { id, actedAtMs: atMs, payload } = best;
    const { value: tempC, thermometerId = null } = payload;
    // it is cooking still: what is not there yet is no fault
    const isDone = Number.isFinite(outMs);
    const standing = inTime.length > 0 ? 'in' : isDone ? 'out' : 'noted';
    const deed = standing === 'out' ? deedsOf(acts)(atMs) : null;
    return [
      recordLine({ id, atMs, kind, of, standing, tempC, limit, by: saidBy(best), thermometerId, deed }),
    ];
  }
  if (!Number.isFinite(outMs) || outMs > nowMs) return [];
  return [recordLine({ id: `${of.id} ${kind}`, atMs: outMs, kind, of, standing: 'missing', limit })];
}

/** Food leaves its pot by these. */
const LEAVES: ReadonlySet<SaidOfBatch['type']> = new Set(['portioned', 'stored', 'drawnOff']);

/** Stretches of service without the thermometer that the kitchen’s rhythm wants. */
function unchecked(
  { snapshot, state }: RecordedBatch,
  of: RecordSubject,
  acts: readonly SaidOfBatch[],
  servedFromMs: number,
  nowMs: number,
): RecordLine[] {
  const looks = acts.flatMap((event) =>
    (isTemperature(event) || event.type === 'reheated') && event.actedAtMs >= servedFromMs
      ? [event.actedAtMs]
      : [],
  );
  const endMs = endOfServing(state, acts, servedFromMs);
  const limit = { atLeastC: (snapshot.input.limits ?? CODE_HOT_LIMITS).hotHoldingC };
  const marks = [servedFromMs, ...looks.filter((atMs) => atMs < (endMs ?? nowMs)), endMs ?? nowMs];
  return marks.slice(1).flatMap((untilMs, i) => {
    const atMs = marks[i]! + everyMs(snapshot);
    if (untilMs - atMs <= GRACE_MIN * MINUTE_MS) return [];
    const isOpen = i === marks.length - 2 && endMs === null;
    const id = `${of.id} held ${atMs}`;
    return [
      recordLine({
        id,
        atMs,
        untilMs: isOpen ? null : untilMs,
        kind: 'held',
        of,
        standing: 'missing',
        limit,
      }),
    ];
  });
}

/** Closed, or the last of it gone; null while there is something to hold. */
function endOfServing(state: BatchState, acts: readonly SaidOfBatch[], fromMs: number): number | null {
  const closedMs = acts.find((event) => event.type === 'closed')?.actedAtMs ?? null;
  const lastOut = acts.findLast(({ type }) => LEAVES.has(type))?.actedAtMs ?? fromMs;
  const isEmpty = foodLitres(state.pot) < LEAST_L;
  if (closedMs === null) return isEmpty ? lastOut : null;
  // what was closed an hour after its last bowl was not held hot in that hour, unless something was left
  const left = acts.find((event) => event.type === 'closed')?.payload as { leftLitres: number };
  return left.leftLitres < LEAST_L ? Math.min(closedMs, Math.max(lastOut, fromMs)) : closedMs;
}
