import type { CoolingHow } from '../cooling';
import type { LotStorage } from '../matter';
import type { LotBirth } from './lot';

/** What can be said of the larder. kg as they stand on the scale. */
export type LarderEventBody =
  | {
      type: 'delivered';
      payload: {
        lotId: string;
        ingredientId: string;
        kg: number;
        supplier: string;
        /** °C by thermometer as it was received in */
        arrivedC?: number;
        /** number of a shellfish tag */
        tag?: string;
        useByMs?: number;
        centsPerKg?: number;
        place: string;
        storage: LotStorage;
      };
    }
  | {
      type: 'found';
      payload: {
        lotId: string;
        ingredientId: string;
        kg: number;
        madeAtMs: number;
        saltPercent?: number;
        place: string;
        storage: LotStorage;
        note: string;
      };
    }
  | { type: 'moved'; payload: { lotId: string; place: string } }
  | { type: 'frozen'; payload: { lotId: string; place: string } }
  | { type: 'thawed'; payload: { lotId: string; place: string } }
  | {
      type: 'split';
      payload: { lotId: string; toLotId: string; kg: number; place: string; storage: LotStorage };
    }
  | {
      type: 'blended';
      payload: {
        toLotId: string;
        name: string;
        parts: { lotId: string; kg: number }[];
        waterKg: number;
        place: string;
        storage: LotStorage;
      };
    }
  | { type: 'fatLifted'; payload: { lotId: string; kg: number } }
  | {
      type: 'lotRead';
      payload: /** `sure`: asked about, and confirmed */
        | { lotId: string; kind: 'brix' | 'salt'; value: number; sure?: true }
        | {
            lotId: string;
            kind: 'temperature';
            value: number;
            sure?: true;
            /** who looked */
            by?: string;
            /** a probe said it, and not a cook */
            from?: 'device';
            /** the kitchen's thermometer that said so */
            thermometerId?: string;
          }
        | { lotId: string; kind: 'set'; sets: boolean };
    }
  /** it is poured to cool, or stands otherwise from now on; `fromC` by thermometer */
  | { type: 'coolingSet'; payload: { lotId: string; how: CoolingHow; fromC?: number } }
  /** too late in cooling, it was brought to so many °C all through, and is cooled again */
  | { type: 'lotReheated'; payload: { lotId: string; tempC: number; by: string; thermometerId?: string } }
  /** `by`: who answers for it, where a limit was missed */
  | { type: 'discarded'; payload: { lotId: string; kg: number; reason: string; by?: string } }
  | { type: 'counted'; payload: { lotId: string; kg: number; note: string } }
  | { type: 'usePast'; payload: { lotId: string; reason: string; by: string } }
  | { type: 'undone'; payload: { eventId: string } };

export type LarderEventType = LarderEventBody['type'];

/** What the table and the prices said of a food when it came in; a later edit changes nothing that is on the shelf. */
export type ReceivedFood = Pick<LotBirth, 'contents' | 'centsPerKg' | 'life' | 'best' | 'frozenMonths'>;

/** An event as it stands in the larder's log. `received` is there where food came in. */
export type LarderEvent = LarderEventBody & {
  id: string;
  seq: number;
  actedAtMs: number;
  received?: ReceivedFood;
};
