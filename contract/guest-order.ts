import * as v from 'valibot';
import type { AskedItem } from '../core/batch';
import type { Allergen } from '../core/matter';
import { PORTION_WORDS, type PortionWord } from '../core/portions';
import { countField, idField, numberField, textField } from './number-field';
import { freeOfField, ORDER_LIMITS } from './plan-request';

/** So many portions as a till names them: by what they are ladled into, and their size where there are several. */
const tillItem = v.strictObject({
  portion: v.optional(
    v.picklist(PORTION_WORDS, 'A portion is a bowl, a cup, a tub or a staff meal.'),
    'bowl',
  ),
  ml: v.optional(numberField('Its size', ORDER_LIMITS.portionMl.min, ORDER_LIMITS.kindMl.max, 'mL')),
  count: countField('How many', 1, ORDER_LIMITS.portions.max),
});

/** An order as it comes in through the local door. */
export const guestOrderSchema = v.strictObject({
  id: idField('id'),
  dish: textField('The dish', 120),
  items: v.pipe(
    v.array(tillItem, 'items must be a list.'),
    v.minLength(1, 'Nothing is asked for.'),
    v.maxLength(20, 'At most 20 kinds in one order.'),
  ),
  freeOf: v.optional(freeOfField),
  words: v.optional(textField('Whose it is', 60)),
  ageMs: v.optional(numberField('ageMs', 0, 86_400_000, 'ms')),
});

export type GuestOrder = v.InferOutput<typeof guestOrderSchema>;

/** What a till is told of an order that was taken in. */
export interface GuestOrderTaken {
  orderId: string;
  batchId: string;
  dish: string;
  /** what the guest may not eat and the pot it came to holds: not from there */
  holds: readonly Allergen[];
}

/** An order that waits, as a till or a screen in the room may show it. */
export interface GuestOrderOpen {
  orderId: string;
  batchId: string;
  dish: string;
  items: { portion: PortionWord; ml: number; count: number }[];
  freeOf: readonly Allergen[];
  words: string | null;
  atMs: number;
}

/** Orders read from a file, to be looked at before they are taken in. */
export interface OrdersRead {
  orders: { items: AskedItem[]; freeOf?: readonly Allergen[]; words?: string }[];
}

export const readOrdersSchema = v.strictObject({
  text: v.pipe(
    v.string('The file must be text.'),
    v.maxLength(150_000, 'A file of orders is smaller than that.'),
  ),
});

export const simulatedTillSchema = v.strictObject({ batchId: textField('The batch') });
