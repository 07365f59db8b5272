import type { BatchEvent, BatchResult, BatchSnapshot, LearnedRate, LearnedShare } from '../core/batch';
import type { ThermometerCheck } from '../core/kitchen';
import type { LarderEventBody, TraceStep } from '../core/larder';
import type { Holds, Ingredient } from '../core/matter';
import type { Plan, PlannedBurner } from '../core/plan';
import type { RecipeDraft } from '../core/reader';
import type { HoldsMove, Recipe } from '../core/recipe';
import type { Mark } from '../core/rules';
import type { Equipment } from '../core/scaling';
import type { Measures } from '../core/units';
import type { LotView } from '../core/views';
import type { DeviceView } from './device';
import type { ItemKind, ItemOf, KitchenPot, ServiceView } from './kitchen/items';
import type { KeepingLimits, LimitName } from './kitchen/limits';
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

export type BurnerView = ItemOf<'burner'> & Pick<PlannedBurner, 'heatFactor'>;

/** An instrument, and how it stood when it was last checked; null before. */
export type InstrumentView = ItemOf<'instrument'> & {
  checked: (ThermometerCheck & { atMs: number }) | null;
};

/** A thing that is retired: history keeps it, and it may be used again. */
export interface RetiredItem {
  kind: ItemKind;
  id: string;
  name: string;
  /** the one it was merged with */
  mergedInto: string | null;
}

export interface KitchenView {
  name: string;
  zone: string;
  altitudeM: number;
  airTempC: number;
  relativeHumidity: number;
  currency: string;
  services: ServiceView[];
  pots: KitchenPot[];
  burners: BurnerView[];
  bowls: ItemOf<'bowl'>[];
  ladles: ItemOf<'ladle'>[];
  colds: ItemOf<'cold'>[];
  instruments: InstrumentView[];
  people: ItemOf<'person'>[];
  supplierList: ItemOf<'supplier'>[];
  storePlaces: ItemOf<'storePlace'>[];
  retired: RetiredItem[];
  /** tests with water that stand, the oldest first */
  heatTests: { id: string; burnerId: string; atMs: number; waterKW: number }[];
  /** how its figures, dates and money are written, a BCP 47 tag */
  locale: string;
  /** it is the invented kitchen, and says so on every page */
  isDemo: boolean;
  measures: Measures;
  equipment: Equipment;
  limits: KeepingLimits;
  /** why a limit is laxer than the code, by the person in charge */
  limitReasons: Partial<Record<LimitName, { reason: string; by: string; atMs: number }>>;
  clock: ClockView;
  /** what a person should know of the file and the clock; none while all is well */
  notices: KitchenNotice[];
}

/** Something about the kitchen's file or clock that a person should know. */
export type KitchenNotice =
  | { code: 'fileDamaged' }
  /** the machine's clock jumped by so much at that kitchen time */
  | { code: 'clockJumped'; jumpMs: number; atMs: number };

/** The foods of a kitchen's own, what each costs, and who brings it. */
export interface FoodsView {
  /** hundredths of the kitchen's money a kg as purchased */
  pricesCentsPerKg: Record<string, number>;
  /** who brings it, by ingredient */
  suppliers: Record<string, string>;
  /** foods of the kitchen's own and labels over the table */
  ownIngredients: Ingredient[];
}

/** The kitchen with all that a plan turns on. */
/** What pots and burners have shown: heat, the best known first, and what surfaces and floors do beside the law. */
export interface LearnedView {
  rates: LearnedRate[];
  shares: LearnedShare[];
  /** what the cook's eye takes too much for gone, a share, from rehearsals; null before there were any */
  eye: { mean: number; sd: number } | null;
}

export type WholeKitchen = KitchenView & FoodsView & { learned: LearnedView };

/** A page of a list, and where the next one begins; null after the last. */
export interface PageOf<T> {
  rows: T[];
  next: string | null;
}

/** A lot by the words on its label. */
export interface LotLabel extends Holds {
  id: string;
  name: string;
  number: number;
}

/** An entry that names a lot which is not there any more. */
export interface LarderStray {
  eventId: string;
  atMs: number;
  /** the batch that drew, or null for what was done on the shelf */
  batchId: string | null;
}

/** A line of a lot’s own story: what was done on the shelf, or what a batch drew or stored. */
export type LotStory = { eventId: string; atMs: number; by: string | null } & (
  | {
      kind: 'shelf';
      event: LarderEventBody;
      /** numbers on the labels of the lots it names */
      numbers: Record<string, number>;
      /** it can be undone from here: what a batch said is undone at the batch */
      mayUndo: boolean;
    }
  | { kind: 'drawn'; kg: number; batchName: string }
  | { kind: 'stored'; batchName: string }
);

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

/** An event in the log, with what the server knows about how it came. */
export type LoggedEvent = BatchEvent & {
  receivedAtMs: number;
  by: string | null;
  device: string | null;
  /** the version its type has now: a browser that does not know it loads itself anew */
  v: number;
  /** why a person should look at it, if anything */
  flag: Mark | null;
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
  /** its log does not fold: where it stops. It is set aside until that entry is undone */
  broken: { eventId: string | null; why: string } | null;
}

/** A picture of a pot. */
export interface PhotoView {
  id: string;
  batchId: string;
  takenAtMs: number;
}

/** Pictures of a batch, the newest first, and one of the same dish from before to hold them against. */
export interface PhotosView {
  photos: PhotoView[];
  before: PhotoView | null;
}

/** An entry of a log as it was written, of whatever version. */
export interface WrittenEventView {
  seq: number;
  id: string;
  type: string;
  v: number;
  payload: unknown;
  actedAtMs: number;
  by: string | null;
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
  | { kind: 'book'; difference: BookDifference }
  | { kind: 'prices'; difference: PriceDifference };

/** What taking a book in would change, recipe by recipe and food by food. */
export interface BookDifference {
  recipes: {
    id: string;
    name: string;
    change: 'new' | 'newVersion' | 'same';
    version: number;
    fields: string[];
  }[];
  foods: FoodDifference[];
  /** dishes of the book of which something else would be said than now */
  dishes: HoldsMove[];
}

/** What came of taking a book in, by name. */
export interface BookTaken {
  added: string[];
  newVersions: string[];
  same: string[];
  /** foods taken over */
  foods: string[];
}

/** One field that would change, as it reads; empty for what is not there. */
export interface FieldDifference {
  field: string;
  before: string;
  after: string;
}

/** What a book says of a food beside what stands here. */
export interface FoodDifference {
  id: string;
  name: string;
  /** new to this kitchen, over a row of its own, or over a row of the table */
  change: 'new' | 'own' | 'table' | 'same';
  fields: FieldDifference[];
  /** what a person answers for would be another, or is new here: its label, its kind, its trim, its names */
  needsPerson: boolean;
}

/** What taking prices in would change. */
export interface PriceDifference {
  prices: {
    ingredientId: string;
    name: string;
    centsPerKg: number;
    beforeCentsPerKg: number | null;
    supplier?: string;
    beforeSupplier: string | null;
  }[];
  same: number;
}

export type PlanView = Plan;

/** What the live stream says: an event of a batch, or what else changed. */
export type LiveMessage =
  | { kind: 'event'; batchId: string; event: LoggedEvent }
  | {
      kind: 'batch';
      batchId: string;
      change: 'started' | 'moved' | 'closed' | 'reopened' | 'broken' | 'mended';
    }
  | { kind: 'photos'; batchId: string }
  | { kind: 'lots'; lotIds: string[] }
  | { kind: 'order'; orderId: string }
  | { kind: 'kitchen'; part: 'settings' | 'foods' | 'learned' }
  | { kind: 'recipes'; recipeIds: string[] }
  | { kind: 'rehearsals' }
  | { kind: 'clock'; clock: ClockView }
  | { kind: 'device'; device: DeviceView }
  | { kind: 'deviceGone'; deviceId: string }
  /** more was missed than is kept: everything is to be asked for again */
  | { kind: 'resync' }
  /** all that was missed has been said */
  | { kind: 'here' }
  | { kind: 'build'; id: string };
