import type {
  BatchEvent,
  BatchResult,
  BatchSnapshot,
  Equipment,
  Ingredient,
  Plan,
  PlannedBurner,
  Pot,
  Recipe,
  RecipeDraft,
  UnitSystem,
} from '../core';

/** The kitchen's clock: kitchen time is `kitchenFromMs` at real `realFromMs`, running `speed` times as fast. */
export interface ClockView {
  mode: 'demo' | 'real';
  speed: number;
  kitchenFromMs: number;
  realFromMs: number;
  /** the server's real time when this was sent, so that a browser can mend its own */
  serverNowMs: number;
}

export interface ServiceView {
  id: string;
  name: string;
  /** HH:MM in the kitchen's zone */
  time: string;
  covers: number;
}

export interface BurnerView extends PlannedBurner {
  kind: string;
  potIds: string[];
}

export interface KitchenView {
  name: string;
  zone: string;
  altitudeM: number;
  airTempC: number;
  relativeHumidity: number;
  currency: string;
  services: ServiceView[];
  pots: Pot[];
  burners: BurnerView[];
  pricesCentsPerKg: Record<string, number>;
  /** who brings it, by ingredient */
  suppliers: Record<string, string>;
  units: UnitSystem;
  equipment: Equipment;
  /** foods of the kitchen's own and labels over the table */
  ownIngredients: Ingredient[];
  clock: ClockView;
}

export interface LotView {
  id: string;
  number: number;
  ingredientId: string;
  litres: number;
  leftLitres: number;
  saltPercent: number;
  place: string;
  madeAtMs: number;
  /** more was drawn than there was: the shelf has to be counted */
  countIt: boolean;
}

/** An event in the log, with what the server knows about how it came. */
export type LoggedEvent = BatchEvent & {
  receivedAtMs: number;
  by: string | null;
  device: string | null;
  /** why a person should look at it, if anything */
  flag: string | null;
};

export interface BatchView {
  id: string;
  recipeId: string;
  createdAtMs: number;
  snapshot: BatchSnapshot;
  events: LoggedEvent[];
  closedAtMs: number | null;
  result: BatchResult | null;
}

/** A batch in a list, without its log. */
export interface BatchSummary {
  id: string;
  recipeId: string;
  name: string;
  potName: string;
  burnerName: string;
  createdAtMs: number;
  serviceAtMs: number;
  portions: number;
  closedAtMs: number | null;
  result: BatchResult | null;
}

export type RecipeView = Recipe;

/** One saved version of a recipe. */
export interface RecipeVersionView {
  version: number;
  savedAtMs: number;
  recipe: Recipe;
}

/** What a file was read as. Nothing is kept until it is said so. */
export type FileReading =
  | { kind: 'drafts'; drafts: RecipeDraft[] }
  | { kind: 'book'; recipes: Recipe[]; ingredients: Ingredient[] }
  | { kind: 'prices'; prices: { ingredientId: string; centsPerKg: number; supplier?: string }[] };

export type PlanView = Plan;

/** What the live stream says: an event of a batch, or that something else changed. */
export type LiveMessage =
  | { kind: 'event'; batchId: string; event: LoggedEvent }
  | { kind: 'batch'; batchId: string }
  | { kind: 'clock'; clock: ClockView }
  | { kind: 'kitchen' }
  | { kind: 'recipes' }
  | { kind: 'build'; id: string };
