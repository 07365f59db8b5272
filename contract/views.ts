import type { BatchEvent, BatchResult, BatchSnapshot, LearnedRate } from '../core/batch';
import type { atItsBest, LotLife, ShelfLot, TraceStep } from '../core/larder';
import type { Ingredient, LotStorage } from '../core/matter';
import type { Plan, PlannedBurner, Pot } from '../core/plan';
import type { RecipeDraft, UnitSystem } from '../core/reader';
import type { Recipe } from '../core/recipe';
import type { Equipment } from '../core/scaling';
import type { DeviceView } from './device';
import type { PlanRequest } from './plan-request';

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
  limits: KeepingLimits;
  /** what closed batches have shown of pots, burners, settings and lids */
  learned: LearnedRate[];
  /** foods of the kitchen's own and labels over the table */
  ownIngredients: Ingredient[];
  clock: ClockView;
}

/** A lot of the larder as it stands, with what is computed of it. */
export interface LotView extends ShelfLot {
  name: string;
  place: string;
  storage: LotStorage;
  bornAtMs: number;
  bornKg: number;
  litres: number;
  leftLitres: number;
  saltPercent: number;
  /** of what is dissolved, °Brix, and whether a person read it or it was computed */
  brix: number;
  isBrixRead: boolean;
  /** times the usual strength of its kind; null for a kind without one */
  strength: number | null;
  /** set in the cold: seen, or expected from its gelatin */
  sets: { value: boolean; isSeen: boolean };
  gelatinPercent: number;
  fatPercent: number;
  fatLiftedKg: number;
  umami: number;
  frozenSinceMs: number | null;
  frozenMonths: number;
  life: LotLife;
  best: ReturnType<typeof atItsBest>;
  usePast: { reason: string; by: string; atMs: number } | null;
  centsPerLitre: number;
  /** more was drawn than there was: the shelf has to be counted */
  countIt: boolean;
  /** when the tag of a shellfish crate may be thrown away; null while there is some left, or for no tag */
  tagUntilMs: number | null;
}

/** An entry that names a lot which is not there any more. */
export interface LarderStray {
  eventId: string;
  atMs: number;
  /** the batch that drew, or null for what was done on the shelf */
  batchId: string | null;
  sentence: string;
}

/** A line of a lot’s own story. */
export interface LotStory {
  eventId: string;
  atMs: number;
  by: string | null;
  sentence: string;
  /** it can be taken back from here: what a batch said is taken back at the batch */
  mayUndo: boolean;
}

/** A batch on the way from a lot to the bowls, or from which it came. */
export interface TracedBatch {
  batchId: string;
  name: string;
  atMs: number;
  serviceAtMs: number;
  isOpen: boolean;
  served: number;
  discarded: number;
  leftLitres: number | null;
}

export interface TracedStep extends TraceStep {
  lot?: Pick<LotView, 'number' | 'name' | 'place' | 'leftLitres' | 'leftKg' | 'origin' | 'bornAtMs'>;
  batch?: TracedBatch;
}

/** A lot with its story and where it went and came from. */
export interface LotDetail {
  lot: LotView;
  story: LotStory[];
  into: TracedStep[];
  from: TracedStep[];
  /** bowls served of what it reached */
  bowls: number;
}

/** An order kept for a day to come. */
export interface OrderView {
  id: string;
  request: PlanRequest;
  createdAtMs: number;
}

/** What a kitchen may keep, and for how long; the house’s own, within its code. */
export interface KeepingLimits {
  dateMarkDays: number;
  receivingC: number;
  shellfishTagDays: number;
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
  /** where it stands now, after any move */
  potId: string;
  burnerId: string;
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
  | { kind: 'larder' }
  | { kind: 'orders' }
  | { kind: 'kitchen' }
  | { kind: 'recipes' }
  | { kind: 'device'; device: DeviceView }
  | { kind: 'devices' }
  | { kind: 'build'; id: string };
