import { createHash } from 'node:crypto';
import { TZDate } from '@date-fns/tz';
import Papa from 'papaparse';
import type { RecordLineView, RecordView } from '../../contract';

/** The format and its version, as each file says in its last row. */
export const RECORD_FORMAT = 'slow-pot-record 1';

/** The columns of a record file, in their order; `hash` is of all before it in the row, and of the row before. */
export const RECORD_COLUMNS = [
  'line',
  'at',
  'until',
  'kind',
  'of',
  'name',
  'number',
  'standing',
  'temp_c',
  'at_least_c',
  'at_most_c',
  'by_when',
  'amount',
  'unit',
  'by',
  'thermometer',
  'thermometer_standing',
  'words',
  'deed',
  'deed_at',
  'deed_by',
  'taken_back_at',
  'taken_back_by',
  'received_at',
  'after_signing',
  'changed',
  'entry',
  'hash',
] as const;
type Column = (typeof RECORD_COLUMNS)[number];

/** One row, every cell as it is written; what is empty has nothing to say. */
export type RecordRow = Record<Column, string>;

const NUMBERS: ReadonlySet<Column> = new Set([
  'line',
  'number',
  'temp_c',
  'at_least_c',
  'at_most_c',
  'amount',
]);

const START = '0'.repeat(64);

/** A record as the rows of its file: a row a line, then one that says what it is of and how many there are. */
export function recordRows(view: RecordView): RecordRow[] {
  const at = (ms: number | null | undefined) =>
    ms === null || ms === undefined ? '' : new TZDate(ms, view.zone).toISOString();
  const rows = view.lines.map((line, i) => cellsOf(line, i + 1, at));
  const { of } = view;
  const end: Partial<RecordRow> = {
    line: String(rows.length + 1),
    kind: 'end',
    of: of.kind,
    name: text(view.kitchen),
    words: RECORD_FORMAT,
    entry: of.kind === 'day' ? of.day : of.lotId,
    amount: String(rows.length),
    unit: 'lines',
    ...(of.kind === 'lot' ? { number: String(of.number) } : {}),
    ...(view.signed ? { by: text(view.signed.by), at: at(view.signed.atMs) } : {}),
  };
  let before = START;
  return [...rows, end].map((cells) => {
    const row = Object.fromEntries(
      RECORD_COLUMNS.map((column) => [column, cells[column] ?? '']),
    ) as RecordRow;
    before = hashOf(before, row);
    return { ...row, hash: before };
  });
}

function cellsOf(
  line: RecordLineView,
  number: number,
  at: (ms: number | null | undefined) => string,
): Partial<RecordRow> {
  const { limit, amount, deed, takenBack, thermometer } = line;
  return {
    line: String(number),
    at: at(line.atMs),
    until: at(line.untilMs),
    kind: line.kind,
    of: line.of.kind,
    name: text(line.of.name),
    number: line.of.number === undefined ? '' : String(line.of.number),
    standing: line.standing,
    temp_c: figure(line.tempC),
    at_least_c: figure(limit?.atLeastC),
    at_most_c: figure(limit?.atMostC),
    by_when: at(limit?.byMs),
    amount: amount === null ? '' : figure('kg' in amount ? amount.kg : amount.portions),
    unit: amount === null ? '' : 'kg' in amount ? 'kg' : 'portions',
    by: text(line.by ?? ''),
    thermometer: text(thermometer?.name ?? ''),
    thermometer_standing: thermometer?.standing ?? '',
    words: text(line.words ?? ''),
    deed: deed?.did ?? '',
    deed_at: at(deed?.atMs),
    deed_by: text(deed?.by ?? ''),
    taken_back_at: at(takenBack?.atMs),
    taken_back_by: text(takenBack?.by ?? ''),
    received_at: at(line.receivedAtMs),
    after_signing: line.isLater ? 'yes' : '',
    changed: line.isChanged ? 'yes' : '',
    entry: line.id,
  };
}

/** To the hundredth, without noughts behind it. */
const figure = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(Number(value.toFixed(2)));

/** What a person typed, so that no table program takes it for a formula. */
const text = (typed: string): string => (/^[=+\-@\t\r]/.test(typed) ? `'${typed}` : typed);

function hashOf(before: string, row: RecordRow): string {
  const cells = RECORD_COLUMNS.filter((column) => column !== 'hash').map((column) => row[column]);
  return createHash('sha256')
    .update(JSON.stringify([before, ...cells]))
    .digest('hex');
}

export function recordCsv(view: RecordView): string {
  return `${Papa.unparse({ fields: [...RECORD_COLUMNS], data: recordRows(view) })}\r\n`;
}

/** The same rows, an object a line: figures as numbers, empty cells left out. */
export function recordJsonLines(view: RecordView): string {
  const lines = recordRows(view).map((row) =>
    JSON.stringify(
      Object.fromEntries(
        RECORD_COLUMNS.flatMap((column) => {
          const cell = row[column];
          return cell === '' ? [] : [[column, NUMBERS.has(column) ? Number(cell) : cell]];
        }),
      ),
    ),
  );
  return `${lines.join('\n')}\n`;
}

/** What a look at a record file found. */
export type RecordFileFound =
  | { kind: 'noRecord' }
  /** the first line that is not as it was written */
  | { kind: 'changed'; line: number }
  /** lines are missing at its end */
  | { kind: 'cut'; lines: number }
  | { kind: 'whole'; lines: number; of: 'day' | 'lot'; entry: string; kitchen: string; hash: string };

/** Holds each row of a file against its hash. */
export function checkRecordFile(file: string): RecordFileFound {
  const rows = rowsOf(file.replace(/^\ufeff/, ''));
  if (!rows || rows.length === 0) return { kind: 'noRecord' };
  let before = START;
  for (const [i, row] of rows.entries()) {
    before = hashOf(before, row);
    if (row.hash !== before || row.line !== String(i + 1)) return { kind: 'changed', line: i + 1 };
  }
  const end = rows.at(-1)!;
  if (end.kind !== 'end') return { kind: 'cut', lines: rows.length };
  const { of, entry, name: kitchen, hash } = end;
  return { kind: 'whole', lines: rows.length - 1, of: of as 'day' | 'lot', entry, kitchen, hash };
}

function rowsOf(file: string): RecordRow[] | null {
  const rows = file.trimStart().startsWith('{') ? jsonRows(file) : csvRows(file);
  return (
    rows?.map(
      (row) =>
        Object.fromEntries(
          RECORD_COLUMNS.map((column) => [column, row[column] === undefined ? '' : String(row[column])]),
        ) as RecordRow,
    ) ?? null
  );
}

function jsonRows(file: string): Partial<Record<Column, unknown>>[] | null {
  try {
    return file
      .split('\n')
      .filter((line) => line.trim() !== '')
      .map((line) => JSON.parse(line));
  } catch {
    return null;
  }
}

function csvRows(file: string): Partial<Record<Column, unknown>>[] | null {
  const { data, meta } = Papa.parse<Partial<Record<Column, string>>>(file, {
    header: true,
    skipEmptyLines: 'greedy',
  });
  return RECORD_COLUMNS.every((column) => meta.fields?.includes(column)) ? data : null;
}
