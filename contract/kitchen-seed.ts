import type { BatchEventBody, BatchResult, BatchSnapshot } from '../core/batch';
import type { LarderEventBody, ReceivedFood } from '../core/larder';
import type { Ingredient } from '../core/matter';
import type { OrderRequest } from '../core/order';
import type { Recipe } from '../core/recipe';
import type { ItemKind, ItemOf } from './kitchen/items';
import type { ClockView, KitchenView } from './views';

/** A batch of the past, with its log. */
export interface SeedBatch {
  id: string;
  request: OrderRequest;
  createdAtMs: number;
  closedAtMs: number | null;
  snapshot: BatchSnapshot;
  events: readonly (BatchEventBody & { id: string; actedAtMs: number })[];
  result: BatchResult | null;
}

/** A kitchen with a past, as data: what a new file is filled with. Times in ms. */
export interface KitchenSeed {
  /** without limits, its code's hold */
  kitchen: Pick<
    KitchenView,
    'name' | 'zone' | 'altitudeM' | 'airTempC' | 'relativeHumidity' | 'currency' | 'measures' | 'equipment'
  > &
    Partial<Pick<KitchenView, 'limits' | 'locale' | 'isDemo'>>;
  /** what it has of each kind, in its order */
  items: { readonly [K in ItemKind]?: readonly ItemOf<K>[] };
  prices: readonly { ingredientId: string; centsPerKg: number; supplier: string | null }[];
  ownIngredients?: readonly Ingredient[];
  recipes: readonly { recipe: Recipe; savedAtMs: number }[];
  batches: readonly SeedBatch[];
  larderEvents: readonly (LarderEventBody & { id: string; actedAtMs: number; received?: ReceivedFood })[];
  /** lots in the order of the numbers on their labels */
  lotIds: readonly string[];
  orders: readonly { id: string; request: OrderRequest; createdAtMs: number }[];
  /** null for real time */
  clock: Omit<ClockView, 'serverNowMs'> | null;
  /** who said all that, and with what */
  by: string;
  device: string;
}
