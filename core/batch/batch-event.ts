import type { ServicePattern } from '../demand';
import type { Lid } from '../evaporation';
import type { Holder, HoldsIn } from '../hold';
import type { Allergen, DrawnLot, Holds, Ingredient, LotStorage, ThickenerKind } from '../matter';
import type { Plan, PlanInput, PlannedBurner, Pot } from '../plan';
import type { FallTarget, PotReading } from '../pot';
import type { Scale, Verdict } from '../taste';
import type { ThicknessTest } from '../thickness';
import type { DrawnPart } from './drawn-part';

/** Everything that decides a batch, taken when it starts; a later edit changes nothing already cooked. */
export interface BatchSnapshot {
  input: PlanInput;
  plan: Plan;
  /** the larder lot the batch draws its liquid from; in snapshots before `draws` */
  lotId?: string;
  /** what the dish holds as it was ordered, whatever it is drawn from; not in the first snapshots */
  holds?: Holds;
  /** which lots each line comes from, oldest first */
  draws?: readonly LineDraw[];
  /** the batch it was drawn off from hot, and what was drawn; null for what was never drawn after all */
  origin?: PartOrigin;
  /** the service it is for; absent where the kitchen names none at that hour, and in snapshots of before */
  service?: ServicePattern;
}

/** Where a part of a pot comes from: what it began with follows from the other batch's log, and is put in as that is read. */
export interface PartOrigin {
  batchId: string;
  eventId: string;
  /** the other batch, by its dish */
  name: string;
  drawn: DrawnPart | null;
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
  /** what that lot held as it was drawn; the kitchen says it when it takes the entry in */
  drawn?: DrawnLot;
  /** the row of a food that the batch did not start with; the kitchen says it too */
  row?: Ingredient;
  /** why a lot past its date was used, and who answers for it */
  overrideReason?: string;
  thickener?: ThickenerKind;
  comesOut?: { word: string; count: number };
}

/** What a dose was put in for; of a way in parts, how much it is in all, kg. */
export interface Purpose {
  for: Scale | 'thickness';
  wayId?: string;
  wholeKg?: number;
}

/** Salt in the liquid, percent (as the meter shows it of a sample diluted 1:10, ten times that); pH of it. */
export interface MeterReading {
  meter: 'salinity' | 'ph';
  value: number;
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

/** What the floor of a pot looked like when it was emptied. */
export const FLOORS_FOUND = ['clean', 'caught'] as const;
export type FloorFound = (typeof FLOORS_FOUND)[number];

export const TROUBLES = [
  'scorched',
  'curdled',
  'lumps',
  'burntRoux',
  'boiledOver',
  'grainy',
  'scrambled',
  'split',
] as const;
export type Trouble = (typeof TROUBLES)[number];

/** Why a portion went to no guest. */
export const DISCARD_REASONS = ['spilled', 'returned', 'overHeld', 'tasting', 'staff'] as const;
export type DiscardReason = (typeof DISCARD_REASONS)[number];

/** So many portions of a kind that a guest, a table or a till asks for. */
export interface AskedItem {
  kindId: string;
  count: number;
}

/** What a batch is held hot in, with the measures of it; `keptC` is what a thermostat is set to, °C, null for none. */
export interface HeldIn {
  in: HoldsIn;
  /** how many, of a bain-marie; what it holds, L, of a thermos */
  pans?: number;
  litres?: number;
  keptC: number | null;
  lid: Lid;
  /** the vessel and what heats it, where it is not the pot it was cooked in */
  holder?: Holder;
}

/** What is asked for, and what the guest may not eat. */
export interface Asking {
  items: AskedItem[];
  freeOf?: readonly Allergen[];
  /** whose it is, in the kitchen's words: a table, a name */
  words?: string;
}

/** Something that did happen and should not have: the state follows it, and a rescue is offered. Never an undo. */
export type Slip =
  /** more went in than was said, or something of another pot */
  | {
      kind: 'tooMuch' | 'wrongPot';
      ingredientId: string;
      kg: number;
      tempC: number;
      /** the lot it was ladled out of, and what that held then */
      lotId?: string;
      drawn?: DrawnLot;
      row?: Ingredient;
      overrideReason?: string;
    }
  /** the log says it is in, and it is not */
  | { kind: 'forgot'; lineId: string }
  | { kind: 'trouble'; trouble: Trouble; lostKg?: number };

/** What can be said of a batch, in the words of today; what older versions said is in `versions/`. */
export type BatchEventBody =
  | { type: 'stageBegun'; payload: { stageId: string; overrideReason?: string } }
  | { type: 'stageDone'; payload: { stageId: string } }
  | { type: 'added'; payload: { items: AddedItem[]; purpose?: Purpose } }
  | { type: 'heatSet'; payload: { fraction: number } }
  | { type: 'lidSet'; payload: { lid: Lid } }
  | { type: 'reading'; payload: PotReading }
  | { type: 'answered'; payload: { eventId: string; believed: boolean } }
  /** thickness, by a spoon, a plate or a syringe; `sure` where the cook stands by what surprised */
  | { type: 'tested'; payload: ThicknessTest & { sure?: true } }
  /** what a clean spoon says of each scale it was asked about; `isFlat` where it only wants a little something */
  | { type: 'tasted'; payload: { says: Partial<Record<Scale, Verdict>>; isFlat?: true; by?: string } }
  /** a meter's word on a sample */
  | { type: 'metered'; payload: MeterReading & { sure?: true } }
  /** a share (0..1) of what lies in the pot was blended, beside the recipe */
  | { type: 'pureed'; payload: { share: number } }
  /** a look-in: stirred, turned, tasted */
  | { type: 'looked'; payload: { stageId: string } }
  /** the call of this pot is put off */
  | { type: 'snoozed'; payload: { minutes: number } }
  /** another mark for the running fall than its recipe has */
  | { type: 'targetSet'; payload: { target: FallTarget } }
  /** what hangs by a tag; `itemId` says which, where two carry the same word */
  | { type: 'removed'; payload: { word: string; count: number; itemId?: string } & Partial<Fate> }
  /** pieces lifted out, kg as they come out, bones with them; `share` (0..1) of what lies there, where the cook says so */
  | { type: 'lifted'; payload: { ingredientId: string; kg: number; itemId?: string; share?: number } & Fate }
  /** what was parked goes back in: picked off its bones, or `isWhole` as it was; `liftedId` names what parked it */
  | { type: 'returned'; payload: { liftedId: string; kg: number; tempC: number; isWhole?: boolean } }
  /** rendered fat poured off the top, or liquid ladled out and kept apart from portions and lots */
  | { type: 'pouredOff'; payload: { what: 'fat' | 'liquid'; kg: number } }
  | { type: 'slip'; payload: Slip }
  /** into another pot, or onto another burner, all that is in it */
  | { type: 'moved'; payload: { pot: Pot; burner: PlannedBurner } }
  | {
      type: 'portioned';
      payload: {
        portions: number;
        fate: 'served' | 'discarded';
        /** which of the order's kinds; the first where none is named */
        kindId?: string;
        reason?: DiscardReason;
        /** of what had been counted as served: it left the pot before */
        isOut?: true;
        /** the order it is for, by the entry that asked for it */
        orderId?: string;
        /** who signs that it was thrown away */
        by?: string;
        overrideReason?: string;
      };
    }
  /** drawn off hot into another vessel, to be a batch of its own; L as they are in the pot; the covers that go along */
  | {
      type: 'drawnOff';
      payload: { childId: string; litres: number; name: string; kinds?: readonly AskedItem[] };
    }
  /** so many of an entry's portions never left the pot after all */
  | { type: 'takenBack'; payload: { eventId: string; portions: number } }
  /** guests who asked for it when there was none left */
  | { type: 'turnedAway'; payload: { portions: number } }
  /** another number of covers than the order had */
  | { type: 'coversSet'; payload: AskedItem }
  /** portions of a kind are ladled in another size from now on, mL */
  | { type: 'sizeSet'; payload: { kindId: string; ml: number } }
  /** an order comes in: by hand, out of a file, from a till */
  | { type: 'asked'; payload: Asking & { via?: 'file' | 'till' } }
  /** the guest changes an order; nothing in it takes it off */
  | { type: 'askedAnew'; payload: Asking & { orderId: string } }
  /** so much of a garnish is ready, kg in all since the last word of it */
  | { type: 'garnishReady'; payload: { lineId: string; kg: number } }
  /** bowls go under the grill for so many minutes */
  | { type: 'grilled'; payload: { portions: number; minutes: number } }
  /** held hot from now on: in its pot, in other vessels, by a thermostat or by none */
  | { type: 'heldHot'; payload: HeldIn }
  /** too cold while it was held, and brought to the reheating temperature all through: who signs, by which thermometer */
  | { type: 'reheated'; payload: { tempC: number; by: string; thermometerId?: string } }
  | {
      type: 'stored';
      /** litres as they are cold; the lot is what the pot holds at that moment */
      payload: { lotId: string; litres: number; place: string; storage: LotStorage; overrideReason?: string };
    }
  | { type: 'note'; payload: { text: string } }
  | {
      type: 'closed';
      payload: { leftLitres: number; floor?: FloorFound; isMeasured?: boolean; servedBy?: string };
    }
  | { type: 'undone'; payload: { eventId: string } };

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
  'arrowroot',
  'rice-flour',
  'potato',
  'bread',
  'white-bean-tinned',
  'egg-yolk',
  'water',
  'milk',
  'cream',
  'double-cream',
  'fish-fumet',
  'lemon-juice',
  'wine-vinegar',
  'sugar',
  'honey',
  'bicarbonate',
  'cayenne',
  'soy-sauce',
  'fish-sauce',
  'white-miso',
  'tomato-paste',
  'yeast-extract',
  'dried-mushroom',
  'paprika',
  'turmeric',
  'saffron',
  'spinach',
  'parsley',
];
