import type { WrittenUnit } from './data/measures';

/** Why a reading should be looked at. A line without a doubt was understood to its last word. */
export type ParseWarningKind = ParseWarning['kind'];

/** What was doubtful in a line, and how it was taken. */
export type ParseWarning =
  /** no food of the table */
  | { kind: 'unknown'; name: string }
  /** by its spelling, or with words that say nothing */
  | { kind: 'likely'; name: string; unread: string | null }
  /** the table does not have it: taken for the nearest that it has */
  | { kind: 'standsIn'; said: string; name: string }
  | { kind: 'either'; words: string }
  /** none, or a vague one */
  | { kind: 'amount'; name: string }
  | { kind: 'amount'; words: string; value: number }
  | { kind: 'range'; low: number; high: number }
  | { kind: 'measure'; spoon: 'heaped' }
  /** grams of one of the measure; null where the table has none */
  | { kind: 'measure'; measure: WrittenUnit; name: string; grams: number | null }
  /** a spoon of it weighs by its grain: of the commonest so many grams, as they were taken */
  | { kind: 'grain'; measure: WrittenUnit; name: string; grams: number }
  /** in brackets and as read, g */
  | { kind: 'disagree'; bracketsG: number; readG: number }
  /** grams in brackets after several tins: of each or of all; so many were taken in all */
  | { kind: 'ofEach'; bracketsG: number; count: number; grams: number }
  | { kind: 'two'; name: string }
  | { kind: 'separator'; words: string; value: number };

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
  /** it is lifted out, picked, and the meat goes back in */
  comesBack: boolean;
  /** hours it is soaked; null where the line says none, 0 where it says that it is not */
  soakH: number | null;
  /** g of the middle of the amount, as purchased and as it goes in; null where it cannot be told */
  purchasedG: number | null;
  edibleG: number | null;
  warnings: readonly ParseWarning[];
}
