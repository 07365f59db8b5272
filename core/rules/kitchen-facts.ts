import type { AskedOrder } from '../batch';
import type { ShelfLot } from '../larder';
import type { Ingredient } from '../matter';
import type { PlanningKitchen } from '../order';
import type { LotUse } from './refusal';

/** Where a batch stood. */
export interface PartPlace {
  potId: string;
  potName: string;
  burnerId: string;
  burnerName: string;
}

/** What the rules ask of the kitchen around a batch. */
export interface KitchenFacts extends Pick<PlanningKitchen, 'pots' | 'burners' | 'learned' | 'equipment'> {
  /** who works here, by name; absent where that is not known here */
  people?: readonly string[];
  /** what other batches stand on, and what they are, where that is known */
  busyPots: ReadonlyMap<string, string | null>;
  busyBurners: ReadonlyMap<string, string | null>;
  /** a lot by its id; null where there is none, undefined where it is not known here */
  lot: (id: string) => ShelfLot | null | undefined;
  /** the same as it was at a moment, where that is known */
  lotAt?: (id: string, atMs: number) => ShelfLot | null;
  /** what has been done with a lot since it came into being; undefined where that is not known here */
  usesOf: (lotId: string) => readonly LotUse[] | undefined;
  /** the name of a part that something was done with, null for one untouched; undefined where that is not known here */
  partInUse?: (childId: string) => string | null | undefined;
  /** where a part that was begun before stood; undefined for one that is only begun now, or not known here */
  partPlace?: (childId: string) => PartPlace | undefined;
  /** an order that another batch's log took in; null where there is none, undefined where it is not known here */
  asked?: (orderId: string) => Pick<AskedOrder, 'freeOf'> | null | undefined;
  /** the row of a food or recipe of the house; null where there is none, undefined where it is not known here */
  food: (ingredientId: string) => Ingredient | null | undefined;
}
