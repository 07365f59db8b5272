import type { Allergen } from '../matter';
import type { OrderRefusal } from '../order';

/** What was done with some of a lot: into a batch by its name, into another lot, away. */
export interface LotUse {
  what: 'drawn' | 'split' | 'blended' | 'discarded' | 'fatLifted' | 'counted';
  /** the batch; null for what was done on the shelf */
  into: string | null;
  kg: number;
}

/** A lot by the words on its label. */
export interface NamedLot {
  name: string;
  number: number;
}

/**
 * Why something cannot have happened or cannot be done: which field of what was said, a code, and its quantities. The
 * words are made where they are read.
 */
export type Refusal =
  | OrderRefusal
  | ({ field: string } & (
      | TimeRefusal
      | PotRefusal
      | ServingRefusal
      | LogRefusal
      | PlaceRefusal
      | LotRefusal
      | StartRefusal
      | KitchenRefusal
    ));

/** When it is said to have happened. */
type TimeRefusal =
  /** longer ago than is believed without a word: a person confirms */
  | { code: 'longAgo'; hours: number; mostHours: number }
  | { code: 'beforeStart'; startedAtMs: number }
  | { code: 'serviceInThePast' }
  | { code: 'madeInTheFuture' }
  | { code: 'useByInThePast' };

/** What does not go with the pot as it is. */
type PotRefusal =
  | { code: 'unknownStage'; stageId: string }
  | { code: 'unknownFood'; ingredientId: string }
  | { code: 'unknownLine'; lineId: string }
  | { code: 'overTheBrim'; litres: number; brimLitres: number; potName: string }
  | { code: 'depthOverTheBrim'; cm: number; heightCm: number; potName: string }
  | { code: 'levelOverTheBrim'; litres: number; brimLitres: number; potName: string }
  | { code: 'weightOverTheBrim'; kg: number; mostKg: number; potName: string }
  | { code: 'leftOverTheBrim'; litres: number; brimLitres: number; potName: string }
  | { code: 'noStageRunning' }
  | { code: 'markOutOfReach'; mark: 'gone' | 'litres' | 'depth' | 'weight' | 'brix' | 'salt' | 'band' }
  | { code: 'notParked' }
  | { code: 'nothingToTaste' }
  | { code: 'moreFatThanThere'; kg: number; thereKg: number }
  | { code: 'notIn'; lineId: string }
  | { code: 'nothingToTakeOut'; word: string }
  /** held hot, at less than hot holding wants */
  | { code: 'keptTooCold'; keptC: number; leastC: number }
  | { code: 'nothingToHold' }
  | { code: 'notServed' }
  | { code: 'doesNotHold'; litres: number; brimLitres: number; potName: string };

/** What leaves the pot. */
type ServingRefusal =
  | { code: 'bowlsOverTheBrim'; portions: number; litres: number; brimLitres: number; potName: string }
  | { code: 'moreThanThere'; litres: number; thereLitres: number; potName: string }
  | { code: 'nothingToDraw' }
  /** what was drawn off has gone on as a pot of its own */
  | { code: 'partInUse'; name: string }
  | { code: 'unknownKind'; kindId: string }
  | { code: 'unknownOrder'; orderId: string }
  | { code: 'moreThanServed'; portions: number; served: number }
  /** no reason makes it right: the guest chooses something else, or another pot serves it */
  | { code: 'guestCannotEat'; allergens: readonly Allergen[]; in: readonly string[] }
  /** reheated once, what is left is thrown away */
  | { code: 'reheatedNotKept' }
  | {
      code: 'stillInThePot';
      items: readonly { word: string; count: number }[];
      before: 'serving' | 'storing' | 'blending';
    };

/** What does not go with the log as it is. */
type LogRefusal =
  | { code: 'unknownEvent'; eventId: string }
  | { code: 'notAReading' }
  /** the batch is set aside: only an undo can mend it */
  | { code: 'batchBroken' }
  /** with this in its place a later entry, or this one itself, could not be worked out */
  | { code: 'wouldBreak'; eventId: string; type: string; atMs: number | null; isItself: boolean };

/** Pots and burners. */
type PlaceRefusal =
  | { code: 'potBusy'; potName: string; by: string | null }
  | { code: 'burnerBusy'; burnerName: string; by: string | null };

/** Lots. */
type LotRefusal =
  | { code: 'unknownLot'; lotId: string }
  | { code: 'lotExists'; lotId: string }
  /** said to have been done before the lot was there */
  | { code: 'beforeLot'; lot: NamedLot; cameAtMs: number }
  | { code: 'lotPastDate'; lot: NamedLot; act: 'draw' | 'blend' }
  | { code: 'lotFrozen'; lot: NamedLot }
  | { code: 'alreadyFrozen' | 'notFrozen'; lot: NamedLot }
  | { code: 'notEnoughLeft'; lot: NamedLot; leftKg: number; kg: number }
  | { code: 'lotNamedTwice' }
  /** a reading that may be a slip: confirmed, it is taken */
  | { code: 'lotReadingFarOff'; kind: 'brix' | 'salt' | 'temperature'; value: number; expected: number }
  | { code: 'colderThanItsPlace'; tempC: number; airC: number; place: string }
  | { code: 'notCooled'; lot: NamedLot }
  | { code: 'notHotEnough'; tempC: number; leastC: number }
  /** signed by somebody who does not work here */
  | { code: 'unknownPerson'; by: string; people: readonly string[] }
  | { code: 'moreLotFatThanThere'; lot: NamedLot; kg: number; thereKg: number }
  /** what would be undone brought a lot into being, and more has been done with that since */
  | { code: 'lotInUse'; lot: NamedLot; uses: readonly LotUse[] }
  | { code: 'unknownLarderFood'; ingredientId: string }
  | { code: 'tagMissing'; name: string; keptDays: number }
  | { code: 'unknownLarderEvent'; eventId: string };

/** Starting a batch or keeping an order. */
type StartRefusal =
  | { code: 'unknownRecipe'; recipeId: string }
  | {
      code: 'tooFull';
      wantedLitres: number;
      workingFillLitres: number;
      batches: number;
      potName: string;
    }
  | {
      code: 'larderShort';
      lines: readonly { name: string; wantedLitres: number; thereLitres: number }[];
    };

/** Changing the kitchen itself. */
type KitchenRefusal =
  | { code: 'unknownItem'; kind: string; itemId: string }
  | { code: 'itemNameTaken'; kind: string; name: string }
  /** something is cooking in it or on it */
  | { code: 'itemBusy'; name: string; by: string }
  | { code: 'mergedWithItself'; name: string }
  | { code: 'itemMerged'; name: string; into: string }
  /** it allows more than the code: a reason is wanted, and who answers for it */
  | { code: 'laxerThanCode'; limit: string; value: number; allowed: number; section: string }
  | { code: 'testCannotBe'; argument: string; why: string }
  /** more would have arrived than the burner is rated for, or next to nothing */
  | { code: 'testFarOff'; kW: number; ratedKW: number }
  | { code: 'nothingChecked' }
  | { code: 'notAThermometer'; name: string }
  | { code: 'notInCharge'; by: string; people: readonly string[] }
  | { code: 'noDay'; day: string }
  | { code: 'dayToCome'; day: string }
  | { code: 'unknownTest'; testId: string };

export type RefusalCode = Refusal['code'];

/** Something a person should look at, although it was accepted. */
export type Mark =
  | { code: 'afterClose' }
  | { code: 'clockAhead' }
  | { code: 'dayOld' }
  | { code: 'drewBeyond'; lotNumbers: readonly number[] }
  /** more went out than was in the pot */
  | { code: 'drawnBeyond'; litres: number; thereLitres: number }
  | { code: 'servedBeyond'; litres: number; thereLitres: number }
  /** as an older version said it */
  | { code: 'asSaid'; text: string };
