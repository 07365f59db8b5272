import * as v from 'valibot';
import type { DayCosts } from '../core/batch';
import type { RecordLine, ThermometerStanding } from '../core/record';

/** A line of the record with what the house knows around it. */
export interface RecordLineView extends RecordLine {
  /** the thermometer by its name, and how far it could be trusted then */
  thermometer: { name: string; standing: ThermometerStanding } | null;
  /** when it was written down, where that was later than it happened; null of what is missing */
  receivedAtMs: number | null;
  /** it came in after the day was signed */
  isLater: boolean;
  /** what the disk says now is not what was written then */
  isChanged: boolean;
}

/** What a look at a file of a record found: `isAsNow` where the kitchen's own record says the same to this day. */
export type CopyFound =
  | { kind: 'noRecord' }
  /** the first line that is not as it was written */
  | { kind: 'changed'; line: number }
  /** lines are missing at its end */
  | { kind: 'cut'; lines: number }
  | { kind: 'whole'; lines: number; of: 'day' | 'lot'; entry: string; kitchen: string; isAsNow: boolean };

/** The record of a day, or of a lot over its life. */
export interface RecordView {
  kitchen: string;
  zone: string;
  of:
    | { kind: 'day'; day: string; fromMs: number; toMs: number; isOver: boolean }
    | {
        kind: 'lot';
        lotId: string;
        name: string;
        number: number;
        /** how long it has been between 5 and 57 °C over its life, ms; null where nobody knows */
        warmMs: number | null;
      };
  lines: RecordLineView[];
  /** what its food cost, and where that went; null of a lot, and of a day without any */
  costs: DayCosts | null;
  /** batches whose log cannot be read: nothing of them is in it */
  unread: { batchId: string; name: string }[];
  /** the entries it is read off, and the hash of the last of them */
  seal: { entries: number; hash: string; changed: number };
  /** who signed the day last, and what stood then; null where nobody did, and of a lot */
  signed: { by: string; atMs: number; hash: string; isChanged: boolean } | null;
}

/** A file as it is handed in to be checked. */
export const recordFileSchema = v.strictObject({
  file: v.pipe(
    v.string('A file is text.'),
    v.minLength(1, 'The file is empty.'),
    v.maxLength(4_000_000, 'A record has at most 4 MB.'),
  ),
});
