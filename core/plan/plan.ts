import type { Lid } from '../evaporation';
import type { Dial } from '../kitchen';
import type { Ingredient } from '../matter';
import type { PortionKind } from '../portions';
import type { Burner, Insulation, KnownFloor } from '../pot';
import type { Recipe } from '../recipe';
import type { HotLimits } from '../safety';
import type { Equipment } from '../scaling';
import type { Vessel } from '../vessel';
import type { FigureName, Working } from './working';

/** A pot of the kitchen. */
export interface Pot {
  id: string;
  name: string;
  vessel: Vessel;
  emptyMassKg: number;
  /** what leaves its surface under a lid, over what the law says, as its batches have shown; absent where nothing is known */
  surfaces?: readonly KnownSurface[];
  /** what its floor bears of this dish, over what the law says; absent where nothing is known */
  floor?: KnownFloor;
  /** what its walls and closed lid let through of what a bare pot's do; absent for a bare pot */
  insulation?: Insulation;
}

/** What leaves a pot's surface under a lid, as a share of what the law says; a first guess for the next batch. */
export interface KnownSurface {
  lid: Lid;
  share: { mean: number; sd: number };
}

/** A burner of the kitchen and what its batches have shown of it. */
export interface PlannedBurner extends Burner {
  id: string;
  name: string;
  heatFactor: { mean: number; sd: number; batches: number; tests?: number };
  /** its settings as the cook knows them; set by percent where there are none */
  dial?: Dial | undefined;
  /** what this pot on it has shown at settings and under lids; absent where nothing is known */
  settings?: readonly KnownSetting[];
}

/** What arrives at a setting under a lid, as a share of what the burner is rated at; a first guess for the next batch. */
export interface KnownSetting {
  fraction: number;
  lid: Lid;
  arriving: { mean: number; sd: number };
}

/** Everything that decides a plan. Money is in hundredths of the kitchen's currency, per kg as purchased. */
export interface PlanInput {
  recipe: Recipe;
  ingredients: Readonly<Record<string, Ingredient>>;
  pricesCentsPerKg: Readonly<Record<string, number>>;
  /** foods without a price, by name; absent in orders of older batches */
  unpriced?: readonly string[];
  /** foods whose price is a guess, by name */
  guessed?: readonly string[];
  kitchen: { altitudeM: number; airTempC: number; relativeHumidity: number };
  pot: Pot;
  burner: PlannedBurner;
  portions: number;
  portionMl: number;
  /** what the portions are, where they are not all bowls of one size; `portions` is all of them in that size */
  kinds?: readonly PortionKind[];
  saltPercent: number;
  band: number;
  serviceAtMs: number;
  /** share of a bowl's litres kept out of the pot as hot liquid and ladled in at service, 0..0.6 */
  holdBackShare?: number;
  /** blender, trays and pans; without them no hands’ time grows with the batch */
  equipment?: Equipment;
  /** what the cook's eye takes too much for gone, a share; absent where no rehearsal has shown it */
  eye?: { mean: number; sd: number };
  /**
   * what this recipe's thickening does over what the table says: mean and sd of the logarithm, and the batches whose
   * tests say so; absent where untested
   */
  body?: { mean: number; sd: number; batches: number };
  /** what leaves the pot for a portion over what is meant: mean and sd of the logarithm, and services; absent where unknown */
  ladle?: { mean: number; sd: number; batches: number };
  /** how hot it is held and reheated; absent in orders of older batches, which keep to the code */
  limits?: HotLimits;
}

export interface PlannedLine {
  lineId: string;
  ingredientId: string;
  name: string;
  cut?: string;
  stageId: string;
  tempC: number;
  edibleKg: number;
  /** what goes in by the scale, kg: bone, skin or shell with it, or soaked; absent where it is the edible weight */
  inPotKg?: number;
  /** it goes in soaked, so that it is weighed with the water it has taken up, about */
  isSoaked?: true;
  purchasedKg: number;
  litres: number;
  liquid: boolean;
  costCents: number;
  perBowl: boolean;
  /** what a plain multiple of the recipe would have said, kg */
  plainMultipleKg: number;
  /** pieces as purchased, of what is counted by the piece: eggs */
  count?: number;
  /** kept back for the palate, kg: the rest of the plain multiple of what is dosed by taste */
  keptByKg?: number;
  comesOut?: { word: string; count: number };
  /** lifted out and picked, the meat goes in again at this stage, about so many kg */
  comesBack?: { stageId: string; kg: number };
}

export interface PlannedStage {
  stageId: string;
  title: string;
  startMs: number;
  minutes: number;
  sdMinutes: number;
  heatFraction: number;
  lid: Lid;
  litresAtStart: number;
  litresAtEnd: number;
  tempAtEndC: number;
  steamedKg: number;
  /** minutes on the stage’s own clock, grown with the load; for a stage that goes by the clock */
  clockMin?: number;
  /** loads that what lies loose goes in by, each as the one before collapses; absent in plans of older batches */
  rounds?: number;
}

/** Liquid kept out of the pot for the bowls, where the pot is cooked concentrated. */
export interface LetDown {
  litres: number;
  mlPerBowl: number;
  ladleMl: number;
  name: string;
  kg: number;
  /** what the pot itself comes to, before it is diluted */
  potSaltPercent: number;
  potBand: number;
}

/** A wish of the order that cannot be had as it stands, and what comes nearest. */
export interface UnmetWish {
  wish: 'bowls' | 'salt' | 'band';
  wanted: number;
  nearest: number;
  why: /** no line of the recipe makes up the litres, the salt, the thickness */
    | 'nothingToSolve'
    /** without any of that line there is still more of it than was asked for */
    | 'tooMuchAlready'
    /** so much thickener would leave no room for the liquid */
    | 'noRoomForLiquid'
    /** the arithmetic found nothing nearer */
    | 'notFound';
}

/** One batch of an order that takes the pot more than once. */
export interface PlannedRun {
  portions: number;
  startAtMs: number;
  readyAtMs: number;
}

/** What the liquid of a base will be, strained. */
export interface PlannedBase {
  brix: number;
  /** times the usual strength of its kind; null for a kind without one */
  strength: number | null;
  gelatinPercent: number;
  fatPercent: number;
}

/** A reheated dish that is not hot in time. */
export interface SlowReheat {
  /** minutes from the cold to the temperature, and the most there may be */
  minutes: number;
  mostMinutes: number;
  /** minutes for half of it in the same pot; null where that would not do either */
  halfMinutes: number | null;
}

export interface Plan {
  modelVersion: number;
  portions: number;
  portionMl: number;
  serviceAtMs: number;
  /** the first batch’s start and the last one’s ready, where the pot takes several */
  startAtMs: number;
  readyAtMs: number;
  readySdMinutes: number;
  lines: PlannedLine[];
  /** of one batch; the first where there are several */
  stages: PlannedStage[];
  yieldLitres: number;
  yieldPortions: number;
  startLitres: number;
  /** of one batch */
  fullest: { litres: number; stageId: string };
  brimLitres: number;
  workingFillLitres: number;
  foams: boolean;
  /** how often this pot is filled for the order */
  batches: number;
  /** each of them, where there is more than one; absent in plans of older batches */
  runs?: PlannedRun[];
  /** what was asked for and cannot be had; absent where all of it can */
  unmet?: UnmetWish[];
  /** reheated, it is not hot within the hours that the code allows */
  slowReheat?: SlowReheat;
  saltPercent: number;
  saltToAddG: number;
  saltBroughtG: number;
  saltPercentWithGarnish: number;
  flourEquivalentGPerL: number;
  band: number;
  flourG: number;
  evaporatedKg: number;
  costCents: number;
  costPerPortionCents: number;
  /** foods that the cost leaves out, as nobody has said their price; absent where there are none */
  unpriced?: readonly string[];
  /** foods whose price is a guess; absent where there are none */
  guessed?: readonly string[];
  allergens: { name: string; from: string[] }[];
  boilingC: number;
  letDown?: LetDown;
  /** what a base comes to: its strength, whether it sets, its fat; only for bases */
  base?: PlannedBase;
  workings: Record<FigureName, Working>;
}

/** Raised whenever a plan or a fold would come out otherwise than before. */
export const MODEL_VERSION = 10;
