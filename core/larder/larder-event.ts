import type { LotStorage } from '../matter';
import type { LotBirth } from './lot';

/** What can be said of the larder. Payloads of version 1; kg as they stand on the scale. */
export type LarderEventBody =
  | {
      type: 'delivered';
      v: 1;
      payload: {
        lotId: string;
        ingredientId: string;
        kg: number;
        supplier: string;
        /** °C by thermometer as it was taken in */
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
      v: 1;
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
  | { type: 'moved'; v: 1; payload: { lotId: string; place: string } }
  | { type: 'frozen'; v: 1; payload: { lotId: string; place: string } }
  | { type: 'thawed'; v: 1; payload: { lotId: string; place: string } }
  | {
      type: 'split';
      v: 1;
      payload: { lotId: string; toLotId: string; kg: number; place: string; storage: LotStorage };
    }
  | {
      type: 'blended';
      v: 1;
      payload: {
        toLotId: string;
        name: string;
        parts: { lotId: string; kg: number }[];
        waterKg: number;
        place: string;
        storage: LotStorage;
      };
    }
  | { type: 'fatLifted'; v: 1; payload: { lotId: string; kg: number } }
  | {
      type: 'lotRead';
      v: 1;
      payload:
        | { lotId: string; kind: 'brix' | 'salt' | 'temperature'; value: number }
        | { lotId: string; kind: 'set'; sets: boolean };
    }
  | { type: 'discarded'; v: 1; payload: { lotId: string; kg: number; reason: string } }
  | { type: 'counted'; v: 1; payload: { lotId: string; kg: number; note: string } }
  | { type: 'usePast'; v: 1; payload: { lotId: string; reason: string; by: string } }
  | { type: 'undone'; v: 1; payload: { eventId: string } };

export type LarderEventType = LarderEventBody['type'];

/** What the table and the prices said of a food when it came in; a later edit changes nothing that is on the shelf. */
export type ReceivedFood = Pick<LotBirth, 'contents' | 'centsPerKg' | 'life' | 'best' | 'frozenMonths'>;

/** An event as it stands in the larder's log. `taken` is there where food came in. */
export type LarderEvent = LarderEventBody & {
  id: string;
  seq: number;
  actedAtMs: number;
  taken?: ReceivedFood;
};
