import type { WrittenUnit } from './data/measures';

/** Why a reading should be looked at. A line without a doubt was understood to its last word. */
export type ParseWarningKind =
  | 'unknown'
  | 'likely'
  | 'either'
  | 'amount'
  | 'range'
  | 'measure'
  | 'disagree'
  | 'two'
  | 'separator';

export interface ParseWarning {
  kind: ParseWarningKind;
  /** for the cook, one sentence */
  sentence: string;
}

/** What a written line was taken for. */
export interface Reading {
  text: string;
  /** as written; a single figure is both ends */
  amount: { low: number; high: number } | null;
  unit: WrittenUnit | null;
  size: 'small' | 'medium' | 'large' | null;
  ingredientId: string | null;
  /** the words that named it */
  name: string;
  cut: string;
  note: string;
  comesOut: boolean;
  toTaste: boolean;
  /** g of the middle of the amount, as bought and as it goes in; null where it cannot be told */
  purchasedG: number | null;
  edibleG: number | null;
  warnings: readonly ParseWarning[];
}
