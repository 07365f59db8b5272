import type { LotStorage } from '../larder/lot';
import type { Mixture } from '../matter/mixture';
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

/** What was put by for the larder: as it left the pot. */
export interface PutBy {
  eventId: string;
  seq: number;
  atMs: number;
  lotId: string;
  kg: number;
  litres: number;
  mixture: Mixture;
  /** of what had gone into the pot, this lot's share */
  costCents: number;
  place: string;
  storage: LotStorage;
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
  putBy: PutBy[];
  notes: { atMs: number; text: string }[];
  closed: { atMs: number; leftLitres: number } | null;
  /** events that happened after closing: kept, marked, for a person to settle */
  lateEventIds: string[];
}
