import type { Lid } from '../evaporation/data/evaporation-constants';
import type { LotStorage } from '../larder/lot';
import type { Ingredient } from '../matter/ingredient';
import type { Plan, PlanInput } from '../plan/plan';
import type { PotReading } from '../pot/read-pot';
import type { ThickenerKind } from '../thickness/data/thickeners';

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

/** What can be said of a batch. Payloads of version 1. */
export type BatchEventBody =
  | { type: 'stageBegun'; v: 1; payload: { stageId: string } }
  | { type: 'stageDone'; v: 1; payload: { stageId: string } }
  | { type: 'added'; v: 1; payload: { items: AddedItem[] } }
  | { type: 'heatSet'; v: 1; payload: { fraction: number } }
  | { type: 'lidSet'; v: 1; payload: { lid: Lid } }
  | { type: 'reading'; v: 1; payload: PotReading }
  | { type: 'answered'; v: 1; payload: { eventId: string; believed: boolean } }
  | { type: 'removed'; v: 1; payload: { word: string; count: number } }
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
export const BENCH_INGREDIENTS: readonly Ingredient['id'][] = [
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
