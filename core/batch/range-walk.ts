import { EARLY_SHARE } from './look-every';
import type { NextAction } from './next-action';

/** A pot on the range with what it wants. */
export interface RangePot {
  batchId: string;
  next: NextAction;
  snoozedUntilMs: number | null;
}

/** How loudly a pot calls: not at all, once, again, and until somebody comes. */
export const CALLS = ['none', 'due', 'late', 'urgent'] as const;
export type Call = (typeof CALLS)[number];

/** Minutes unanswered until a call is late, and until it is urgent. source: from memory, ours */
const UNANSWERED_MIN = {
  calm: { late: 2, urgent: 5 },
  /** what keeps for a while: a thermometer by its rhythm */
  patient: { late: 5, urgent: 15 },
  /** what spoils while nobody looks: too hot, hands on, a roux */
  hot: { late: 0.5, urgent: 1.5 },
} as const;

/** What spoils while nobody comes. */
const HOT: readonly NextAction['kind'][] = ['cool', 'losing', 'add', 'tooCold'];

/** Since when a want has been waiting for an answer, ms; null while it is not due. */
export function dueSinceMs(next: NextAction, nowMs: number, sinceMs: number): number | null {
  switch (next.kind) {
    case 'closed':
    case 'leave':
    case 'handsOn':
    case 'serve':
      return null;
    case 'begin':
      if (next.dueMs === null) return afterGrace(sinceMs, nowMs);
      return next.dueMs <= nowMs ? next.dueMs : null;
    case 'heat':
    case 'giveBack':
      return afterGrace(sinceMs, nowMs);
    case 'answer':
    case 'cool':
    case 'losing':
    case 'tooCold':
      return sinceMs;
    case 'finish':
      return next.dueMs ?? sinceMs;
    case 'add':
    case 'lookIn':
    case 'check':
      return next.dueMs <= nowMs ? next.dueMs : null;
  }
}

/** Who has just finished a stage stands at the pot: what follows at once is not called for before this, ms. */
const GRACE_MS = 45_000;

function afterGrace(sinceMs: number, nowMs: number): number | null {
  return nowMs - sinceMs >= GRACE_MS ? sinceMs + GRACE_MS : null;
}

/**
 * How loudly a pot calls now. A snoozed one is silent until its time; one that nobody answers gets louder.
 *
 * @param pot with what it wants
 * @param nowMs the moment
 * @param sinceMs since when it has wanted that
 */
export function callOf(pot: RangePot, nowMs: number, sinceMs: number): Call {
  if (pot.snoozedUntilMs !== null && nowMs < pot.snoozedUntilMs) return 'none';
  const since = dueSinceMs(pot.next, nowMs, sinceMs);
  if (since === null) return 'none';
  const waited = (nowMs - Math.max(since, pot.snoozedUntilMs ?? 0)) / 60_000;
  const { kind } = pot.next;
  const limits = UNANSWERED_MIN[HOT.includes(kind) ? 'hot' : kind === 'check' ? 'patient' : 'calm'];
  return waited >= limits.urgent ? 'urgent' : waited >= limits.late ? 'late' : 'due';
}

/** One turn past the range: which pots are looked at, and when. */
export interface RangeWalk {
  atMs: number;
  batchIds: string[];
}

/**
 * The look-ins of all pots as one walk: the first that is due, and with it each other whose time may be pulled forward.
 *
 * @param pots every live pot with what it wants, in the order they stand on the range
 * @returns the walk, or null where no pot is looked in on
 */
export function rangeWalk(pots: readonly RangePot[]): RangeWalk | null {
  const looks = pots.flatMap((pot) =>
    pot.next.kind === 'lookIn'
      ? [{ batchId: pot.batchId, dueMs: pot.next.dueMs, everyMs: pot.next.everyMin * 60_000 }]
      : [],
  );
  if (looks.length === 0) return null;
  const atMs = Math.min(...looks.map((look) => look.dueMs));
  const together = looks.filter((look) => look.dueMs - look.everyMs * EARLY_SHARE <= atMs);
  return { atMs, batchIds: together.map((look) => look.batchId) };
}
