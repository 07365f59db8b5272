import { span } from '../../../contract';
import type { Waste } from '../../../core/batch';
import type { RecordDeed, RecordKind, RecordLimit, RecordStanding } from '../../../core/record';
import { WARM } from '../../../core/safety';
import { hourMinute, temperature } from '../amounts';
import { yieldStepName } from './yield';

/** The record: what an inspector asks about, a day or a lot on one page. */
export const recordWords = {
  record: 'Record',
  theRecordOfToday: 'The record of today',
  itsRecord: 'Its record',
  ofLot: (name: string, number: number) => `${name}, lot ${number}`,
  kinds: {
    received: 'Received',
    cooked: 'Cooked',
    held: 'Held hot or cold',
    cooled: 'Cooled',
    reheated: 'Reheated',
    thrownAway: 'Thrown away',
    thermometer: 'Thermometers',
  } satisfies Record<RecordKind, string>,
  standings: {
    in: 'within',
    out: 'out',
    missing: 'missing',
    noted: '',
  } satisfies Record<RecordStanding, string>,
  at: 'At',
  what: 'What',
  measured: 'Measured',
  limit: 'Limit',
  byWhom: 'By whom, with what',
  done: 'What was done',
  dayBefore: 'The day before',
  dayAfter: 'The day after',
  anotherDay: 'Another day',
  nothing: 'Nothing on record',
  nothingWasMeasured: 'Nothing was received, cooked, held, cooled or thrown away.',
  notMeasured: 'not measured',
  since: (at: string) => `not measured since ${at}`,
  until: (at: string) => `not measured till ${at}`,
  nobodySaid: 'nobody said',
  nobodySays: 'Nobody says',
  whoLooked: 'Who looked',
  nothingYet: 'nothing yet',
  notChecked: 'not checked',
  readsWrong: 'reads wrong',
  undone: (at: string, by: string) => `undone ${at}${by}`,
  writtenDown: (at: string) => `written down at ${at}`,
  isLater: 'after it was signed',
  isChanged: 'Not what was written then.',
  changed: (count: number) =>
    count === 1
      ? 'One entry is not what was written then. The file was changed by something else than Slow Pot.'
      : `${count} entries are not what was written then. The file was changed by something else than Slow Pot.`,
  chainChanged: 'What was signed has been written anew since.',
  unread: (names: string) => `The log of ${names} cannot be read. Nothing of it is here.`,
  sign: 'Sign it',
  signDay: 'Sign this day',
  whoIsInCharge: 'The person in charge',
  signed: (by: string, at: string) => `Signed by ${by}, ${at}.`,
  notSigned: 'Not signed yet.',
  signLine: 'Signed, the person in charge:',
  cameLater: (count: number) =>
    count === 1
      ? 'One line came in after it was signed. Sign it again.'
      : `${count} lines came in after it was signed. Sign it again.`,
  notOver: 'The day is not over: more may come in.',
  seal: (hash: string) => `Seal ${hash}`,
  sealOf: (entries: number) =>
    entries === 1 ? 'Of one entry, the last of this page.' : `Of ${entries} entries, the last of this page.`,
  print: 'Print',
  asCsv: 'CSV',
  asJsonLines: 'JSON lines',
  checkACopy: 'Check a copy',
  copy: {
    noRecord: 'That is no record of Slow Pot.',
    changed: (line: number) => `Line ${line} is not as it was written. The copy was changed.`,
    cut: (lines: number) => `It breaks off after ${lines} lines. The end is missing.`,
    whole: (lines: number, of: string) => `Whole: ${lines} lines, of ${of}.`,
    isAsNow: 'It says what the record says now.',
    isOlder: 'The record has gone on since, or it is of another kitchen.',
  },
  whatItCost: 'What the food cost',
  costOfPots: 'In the pots that were closed',
  toGuests: 'to guests',
  toStaff: 'to staff',
  kept: 'stored, or in other pots',
  wasted: 'wasted',
  offTheShelf: (reason: string) => `off the shelf: ${reason}`,
  localCode: 'The local code and the person in charge decide. What is out or missing stays on this page.',
};

/** What was wasted, and how. */
export function wasteWords({ step, reason, words }: Pick<Waste, 'step' | 'reason' | 'words'>): string {
  return step === 'shelf' ? recordWords.offTheShelf(words ?? '') : yieldStepName({ step, reason });
}

/** How long it has been too warm to be cold and too cold to be hot, in all. */
export const warmWords = (ms: number): string =>
  `Between ${temperature(WARM.aboveC)} and ${temperature(WARM.belowC)} for ${span(ms)} in all.`;

/** How many are out, how many are missing. */
export function recordSummary(lines: number, out: number, missing: number): string {
  const counted = lines === 1 ? 'One line' : `${lines} lines`;
  if (out === 0 && missing === 0) return `${counted}, all within their limits.`;
  const parts = [out > 0 ? `${out} out` : '', missing > 0 ? `${missing} missing` : ''].filter(Boolean);
  return `${counted}: ${parts.join(', ')}.`;
}

/** What it has to reach or may not pass, and by when. */
export function limitWords({ atLeastC, atMostC, byMs }: RecordLimit, zone: string): string {
  const by = byMs === undefined ? '' : ` by ${hourMinute(byMs, zone)}`;
  if (atLeastC !== undefined && atMostC !== undefined)
    return `${temperature(atLeastC, 1)} to ${temperature(atMostC, 1)}`;
  if (atLeastC !== undefined) return `${temperature(atLeastC)} or more${by}`;
  return atMostC === undefined ? '' : `${temperature(atMostC)} or less${by}`;
}

/** What was done about it. */
export function deedWords(did: RecordDeed, at: string, by: string | null): string {
  const what = {
    reheated: 'Reheated',
    thrownAway: 'Thrown away',
    cooledOtherwise: 'Cooled otherwise',
    usedPast: 'Used past its date',
  }[did];
  return `${what} ${at}${by ? `, ${by}` : ''}`;
}
