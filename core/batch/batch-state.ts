import type { PotState } from '../pot/pot';
import type { PotReading } from '../pot/read-pot';

export interface StageProgress {
  stageId: string;
  begunMs: number | null;
  doneMs: number | null;
  /** litres in the pot when the stage's own lines were in: what "a quarter gone" is reckoned from */
  fromLitres: number | null;
  /** kilograms its target is reached at, where it falls to a mark */
  targetKg: number | null;
}

export interface TakenReading extends PotReading {
  eventId: string;
  atMs: number;
  /** litres it stands for; for a temperature those estimated then */
  litres: number;
  status: 'taken' | 'asked' | 'set aside';
}

/** A reading the pot cannot explain: kept, and asked about. */
export interface Question {
  eventId: string;
  atMs: number;
  sentence: string;
}

export interface ToComeOut {
  word: string;
  count: number;
  sinceMs: number;
}

/** A batch at a moment: the pot and the book-keeping around it. */
export interface BatchState {
  pot: PotState;
  stages: StageProgress[];
  currentStageId: string | null;
  addedLineIds: string[];
  addedKgByIngredient: Record<string, number>;
  toComeOut: ToComeOut[];
  readings: TakenReading[];
  questions: Question[];
  served: number;
  discarded: number;
  firstServedMs: number | null;
  /** litres and salt at the moment of the first portion, or of closing: the yield */
  atService: { litres: number; saltPercent: number; atMs: number } | null;
  costCents: number;
  notes: { atMs: number; text: string }[];
  closed: { atMs: number; leftLitres: number } | null;
  /** events that happened after closing: kept, marked, for a person to settle */
  lateEventIds: string[];
}
