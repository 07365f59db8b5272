import type { Lid } from '../evaporation';
import type { HoldsIn } from '../hold';
import type { LotStorage, Masses, Mixture } from '../matter';
import type { PlannedBurner, Pot } from '../plan';
import type { FallTarget, PotReading, PotSetup, PotState } from '../pot';
import type { Scale, Verdict } from '../taste';
import type { ThicknessTest } from '../thickness';

import type { Asking, DiscardReason, FloorFound, MeterReading, Purpose, Slip } from './batch-event';
import type { DrawnPart } from './drawn-part';
import type { WentIn } from './went-in';

export interface StageProgress {
  stageId: string;
  begunMs: number | null;
  doneMs: number | null;
  /** litres in the pot when the stage's own lines were in: what "a quarter gone" counts from */
  fromLitres: number | null;
  /** kilograms its target is reached at, where it falls to a mark */
  targetKg: number | null;
  /** another mark than the recipe’s, as the cook has set it */
  target: FallTarget | null;
}

export interface LoggedReading extends PotReading {
  eventId: string;
  atMs: number;
  /** litres it stands for; null of a temperature */
  litres: number | null;
  status: 'accepted' | 'asked' | 'set aside';
}

/** A reading the pot cannot explain: kept, and asked about. */
export interface Question {
  eventId: string;
  atMs: number;
  /** more than has gone in, or far from the rest */
  why: 'gained' | 'far';
  /** what was read: litres it stands for, or °C */
  read: { litres: number } | { tempC: number };
  /** what was expected instead */
  expected: { litres: number } | { tempC: number };
}

/** One thing that lies in the pot in pieces, from when it goes in until it is out: tagged, lifted or served as itself. */
export interface PotItem {
  /** of the entry that put it in, and its place there */
  id: string;
  lineId: string | null;
  ingredientId: string;
  /** edible, as it went in, less what has been taken out, kg */
  kg: number;
  /** what has to come out, in the word of its tag */
  tag: { word: string; count: number } | null;
  sinceMs: number;
}

/** Lifted out to go back in: where it lies, what it weighs, when it is wanted. */
export interface Parked {
  liftedId: string;
  name: string;
  ingredientId: string;
  /** what goes back of it, kg: as it was weighed; of what lay in the pot with its bones, what was picked off them */
  kg: number;
  /** on the scale as it came out, bones with it, kg; null where nobody weighed it */
  weighedKg: number | null;
  /** its tag, where it had one: put back whole it hangs by it again */
  tag: PotItem['tag'];
  masses: Masses;
  place: string;
  backStageId: string | null;
  sinceMs: number;
}

/** A slip as it was said. */
export interface SaidSlip {
  eventId: string;
  atMs: number;
  slip: Slip;
}

/** A stretch of time with the same heat and lid, and what the burner was found to give at its end. */
export interface HeatSegment {
  potId: string;
  burnerId: string;
  fraction: number;
  lid: Lid;
  minutes: number;
  /** share of the expected heat that arrived, and one standard deviation of it */
  arriving: { mean: number; sd: number };
  /** the same as it was known when the stretch began; absent in results of before */
  knew?: { mean: number; sd: number };
  /** what left its surface under that lid, over what the law says, at its end and at its beginning; absent in results of before */
  leaving?: { mean: number; sd: number; knew: { mean: number; sd: number } };
  /** the least heat its floor bore over what it got, by the law; absent while it is fried in, and in results of before */
  floorMargin?: number;
}

/** What was stored for the larder: as it left the pot. */
export interface StoredLot {
  eventId: string;
  seq: number;
  atMs: number;
  lotId: string;
  kg: number;
  litres: number;
  mixture: Mixture;
  /** all that had gone in by then, what was lifted out again among it */
  wentIn: readonly WentIn[];
  /** °C as it left the pot; absent in results of before */
  tempC?: number;
  /** how long it had been between 5 and 57 °C in its pot, s; absent in results of before */
  warmS?: number | undefined;
  /** of what had gone into the pot, this lot's share */
  costCents: number;
  place: string;
  storage: LotStorage;
}

/** A test of thickness, as it was taken in. */
export interface LoggedTest extends ThicknessTest {
  eventId: string;
  atMs: number;
  /** hot, 0..6 */
  band: number;
  gPerL: number;
  /** what the pot was thought to hold just then */
  expectedGPerL: number;
  status: 'accepted' | 'set aside';
}

/** What a spoon said, and when. */
export interface Tasting {
  eventId: string;
  atMs: number;
  says: Partial<Record<Scale, Verdict>>;
  isFlat: boolean;
  by: string | null;
}

/** A dose that went in for a purpose, and from when it can be judged. */
export interface Dosed extends Purpose {
  eventId: string;
  atMs: number;
  kg: number;
  ingredientId: string;
  /** grams of flour it comes to when it has swollen, less what boiling and blending took again; 0 for what thickens nothing */
  bodyG: number;
  /** minutes that takes, and how hot it must be, °C; how long it has been so hot */
  swellsMin: number;
  swellsFromC: number;
  hotMin: number;
  /** share of it lost again in an hour of heat past that, and to a blender */
  thinsPerHour: number;
  blendingLoss: number;
  /** what had been taken out of the pot when it went in, kg */
  goneKg: number;
}

/** A meter's word, as it was taken in. */
export interface LoggedMeter extends MeterReading {
  eventId: string;
  atMs: number;
  expected: number | null;
  status: 'accepted' | 'set aside';
}

/** Portions that left the pot, and for whom. */
export interface PortionsOut {
  eventId: string;
  atMs: number;
  kindId: string;
  /** what stands of them, when some were taken back */
  portions: number;
  fate: 'served' | 'discarded';
  reason: DiscardReason | null;
  /** they had been counted as served before */
  isOut: boolean;
  orderId: string | null;
  /** as ladled; 0 of what had left before */
  litres: number;
  kg: number;
  /** their share of what had gone into the pot, without garnish */
  costCents: number;
}

/** An order as it stands. */
export interface AskedOrder extends Asking {
  orderId: string;
  atMs: number;
  via: 'hand' | 'file' | 'till';
}

/** Bowls under the grill. */
export interface GrillLoad {
  eventId: string;
  atMs: number;
  portions: number;
  outMs: number;
}

/** The pot as its first portion left it. */
export interface ServiceBegun {
  litres: number;
  /** one standard deviation of them; absent in states of before */
  sdLitres?: number;
  saltPercent: number;
  atMs: number;
  /** steamed off by then, kg */
  steamedKg?: number;
}

/** It is held hot: in what, and since when; what it is kept at is the pot's own. */
export interface HeldHot {
  eventId: string;
  sinceMs: number;
  in: HoldsIn;
  pans: number | null;
  /** what it was cooked on, where it left that; null where it stands on it still */
  cookedOn: PlannedBurner | null;
}

/** Brought to the reheating temperature while it was held. */
export interface ReheatedHot {
  eventId: string;
  atMs: number;
  tempC: number;
  by: string;
  thermometerId?: string;
}

/** What goes on at the pass. */
export interface ServiceState {
  outs: readonly PortionsOut[];
  asked: readonly AskedOrder[];
  turnedAway: number;
  /** covers of a kind, where they were set anew */
  covers: Readonly<Record<string, number>>;
  /** mL of a kind, where they were set anew */
  sizes: Readonly<Record<string, number>>;
  /** garnish that is ready, kg in all, by its line, and since when */
  garnishReady: Readonly<Record<string, { kg: number; atMs: number }>>;
  grilled: readonly GrillLoad[];
}

/** A batch at a moment: the pot and the book-keeping around it. */
export interface BatchState {
  pot: PotState;
  /** the pot it is in and the burner it is on, which a move changes; and what they mean to the model */
  inPot: Pot;
  onBurner: PlannedBurner;
  setup: PotSetup;
  stages: StageProgress[];
  currentStageId: string | null;
  /** what went in, in the order it did */
  wentIn: readonly WentIn[];
  items: PotItem[];
  parked: Parked[];
  /** the last look-in, of whichever stage */
  lookedMs: number | null;
  snoozedUntilMs: number | null;
  slips: SaidSlip[];
  segments: HeatSegment[];
  /** when something was last done at the pot, ms: from there it is run on, and not for ever */
  touchedMs: number;
  /** when the heat or lid was last changed */
  heatSinceMs: number;
  /** what was known then of the heat that arrives */
  heatKnown: { mean: number; sd: number };
  /** and of what leaves the surface */
  leavingKnown: { mean: number; sd: number };
  /** the law's margin at which the floor caught, where it did */
  caughtAt: number | null;
  readings: LoggedReading[];
  questions: Question[];
  tests: readonly LoggedTest[];
  tastings: readonly Tasting[];
  dosed: readonly Dosed[];
  meters: readonly LoggedMeter[];
  /** acid that a pH meter found beside what its foods brought, g as citric; below 0 where it found less */
  acidOffG: number;
  /** what this dish's own thickening has shown, before anything was put in to mend it: mean and sd of the logarithm */
  bodyShown: { mean: number; sd: number } | null;
  /** portions that guests had, and those that nobody did */
  served: number;
  discarded: number;
  service: ServiceState;
  held: HeldHot | null;
  reheats: readonly ReheatedHot[];
  /** drawn off to be batches of their own */
  parts: readonly DrawnPart[];
  firstServedMs: number | null;
  /** litres and salt at the moment of the first portion, or of closing: the yield */
  atService: ServiceBegun | null;
  costCents: number;
  stored: StoredLot[];
  notes: { atMs: number; text: string }[];
  closed: {
    atMs: number;
    leftLitres: number;
    floor?: FloorFound;
    isMeasured?: boolean;
    servedBy?: string;
  } | null;
  /** events that happened after closing: kept, marked, for a person to settle */
  lateEventIds: string[];
}
