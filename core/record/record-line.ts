/** What an inspector asks about, in the order of a day’s work. */
export const RECORD_KINDS = [
  'received',
  'cooked',
  'held',
  'cooled',
  'reheated',
  'thrownAway',
  'thermometer',
] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];

/** In or out of its limit; `missing` for what nobody measured; `noted` for what has no limit yet, or none at all. */
export type RecordStanding = 'in' | 'out' | 'missing' | 'noted';

/** What was done about what was out. */
export type RecordDeed = 'reheated' | 'thrownAway' | 'cooledOtherwise' | 'usedPast';

/** °C it has to reach or may not pass, and by when where there is a clock. */
export interface RecordLimit {
  atLeastC?: number;
  atMostC?: number;
  byMs?: number;
}

/** What a line is about: a batch, a lot or a thermometer, by its name then. */
export interface RecordSubject {
  kind: 'batch' | 'lot' | 'thermometer';
  id: string;
  name: string;
  /** the number on a lot’s label */
  number?: number;
}

/** One line of the record: what was measured or done, or what should have been and was not. */
export interface RecordLine {
  /** the entry it reads off; of what is missing, what it is of and when */
  id: string;
  atMs: number;
  /** till when nothing was measured; null while it goes on still, and of a moment */
  untilMs: number | null;
  kind: RecordKind;
  of: RecordSubject;
  standing: RecordStanding;
  tempC: number | null;
  /** what was thrown away */
  amount: { kg: number } | { portions: number } | null;
  limit: RecordLimit | null;
  by: string | null;
  thermometerId: string | null;
  /** as it was typed: a supplier, a tag, a reason */
  words: string | null;
  /** of what was out: what was done, and when; null where nothing was yet */
  deed: { id: string; atMs: number; did: RecordDeed; by: string | null } | null;
  /** the entry was undone, or its reading not believed: it stays in the record, struck out */
  takenBack: { atMs: number; by: string | null } | null;
}

/** A line as most are: nothing but what is said. */
export function recordLine(
  said: Pick<RecordLine, 'id' | 'atMs' | 'kind' | 'of' | 'standing'> & Partial<RecordLine>,
): RecordLine {
  return {
    untilMs: null,
    tempC: null,
    amount: null,
    limit: null,
    by: null,
    thermometerId: null,
    words: null,
    deed: null,
    takenBack: null,
    ...said,
  };
}

/** Within its limit by what it shows, whenever that was. */
export function isWithin(tempC: number, { atLeastC, atMostC }: RecordLimit): boolean {
  return (atLeastC === undefined || tempC >= atLeastC) && (atMostC === undefined || tempC <= atMostC);
}

/** In the order they happened; of one moment, what was measured before what was missed. */
export function inOrder(lines: readonly RecordLine[]): RecordLine[] {
  return [...lines].sort(
    (a, b) =>
      a.atMs - b.atMs ||
      Number(a.standing === 'missing') - Number(b.standing === 'missing') ||
      RECORD_KINDS.indexOf(a.kind) - RECORD_KINDS.indexOf(b.kind),
  );
}
