import type { Lid } from '../evaporation';
import type { Ingredient, LotStorage, ThickenerKind } from '../matter';
import type { Plan, PlanInput, PlannedBurner, Pot } from '../plan';
import type { FallTarget, PotReading } from '../pot';

/** Everything that decides a batch, taken when it starts; a later edit changes nothing already cooked. */
export interface BatchSnapshot {
  input: PlanInput;
  plan: Plan;
  /** the larder lot the batch draws its liquid from; in snapshots before `draws` */
  lotId?: string;
  /** which lots each line comes from, oldest first */
  draws?: readonly LineDraw[];
}

/** Kilograms of one line that come from one lot. */
export interface LineDraw {
  lineId: string;
  lotId: string;
  kg: number;
}

/** One thing put in the pot. `kg` edible, `tempC` as it went in. */
export interface AddedItem {
  ingredientId: string;
  kg: number;
  tempC: number;
  lineId?: string;
  lotId?: string;
  /** why a lot past its date was used, and who answers for it */
  despite?: string;
  thickener?: ThickenerKind;
  comesOut?: { word: string; count: number };
}

/** What becomes of what comes out: away, kept for another use, or parked where it can be found, to go back in. */
export interface Fate {
  fate: 'thrown' | 'salvaged' | 'parked';
  place?: string;
  /** kg it weighs, where it was weighed */
  weighedKg?: number;
  /** the stage that it goes back in for */
  backStageId?: string;
}

export const TROUBLES = ['scorched', 'curdled', 'lumps', 'burntRoux', 'boiledOver'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** Something that did happen and should not have: the state follows it, and a rescue is offered. Never an undo. */
export type Slip =
  /** more went in than was said, or something of another pot */
  | { kind: 'tooMuch' | 'wrongPot'; ingredientId: string; kg: number; tempC: number }
  /** the log says it is in, and it is not */
  | { kind: 'forgot'; lineId: string }
  | { kind: 'trouble'; trouble: Trouble; lostKg?: number };

/** What can be said of a batch. Payloads of version 1. */
export type BatchEventBody =
  | { type: 'stageBegun'; v: 1; payload: { stageId: string; despite?: string } }
  | { type: 'stageDone'; v: 1; payload: { stageId: string } }
  | { type: 'added'; v: 1; payload: { items: AddedItem[] } }
  | { type: 'heatSet'; v: 1; payload: { fraction: number } }
  | { type: 'lidSet'; v: 1; payload: { lid: Lid } }
  | { type: 'reading'; v: 1; payload: PotReading }
  | { type: 'answered'; v: 1; payload: { eventId: string; believed: boolean } }
  /** a look-in: stirred, turned, tasted */
  | { type: 'looked'; v: 1; payload: { stageId: string } }
  /** the call of this pot is put off */
  | { type: 'snoozed'; v: 1; payload: { minutes: number } }
  /** another mark for the running fall than its recipe has */
  | { type: 'targetSet'; v: 1; payload: { target: FallTarget } }
  | { type: 'removed'; v: 1; payload: { word: string; count: number } & Partial<Fate> }
  /** pieces lifted out that carry no tag, kg as they come out */
  | { type: 'lifted'; v: 1; payload: { ingredientId: string; kg: number } & Fate }
  /** what was parked goes back in; `liftedId` names the event that parked it */
  | { type: 'returned'; v: 1; payload: { liftedId: string; kg: number; tempC: number } }
  /** rendered fat poured off the top, or liquid ladled out and kept apart from portions and lots */
  | { type: 'pouredOff'; v: 1; payload: { what: 'fat' | 'liquid'; kg: number } }
  | { type: 'slip'; v: 1; payload: Slip }
  /** into another pot, or onto another burner, all that is in it */
  | { type: 'moved'; v: 1; payload: { pot: Pot; burner: PlannedBurner } }
  | { type: 'portioned'; v: 1; payload: { portions: number; fate: 'served' | 'discarded'; despite?: string } }
  | {
      type: 'putBy';
      v: 1;
      /** litres as they are cold; the lot is what the pot holds at that moment */
      payload: { lotId: string; litres: number; place: string; storage: LotStorage; despite?: string };
    }
  | { type: 'note'; v: 1; payload: { text: string } }
  | { type: 'closed'; v: 1; payload: { leftLitres: number } }
  | { type: 'undone'; v: 1; payload: { eventId: string } };

export type BatchEventType = BatchEventBody['type'];

/** An event as it stands in the log: `seq` is the server's, `actedAtMs` when it happened. */
export type BatchEvent = BatchEventBody & { id: string; seq: number; actedAtMs: number };

/** Ingredients that a batch may be mended with, whether or not its recipe has them. */
export const ADJUST_INGREDIENTS: readonly Ingredient['id'][] = [
  'salt',
  'flour',
  'butter',
  'cornstarch',
  'potato-starch',
  'water',
  'milk',
  'cream',
  'fish-fumet',
  'lemon-juice',
];
