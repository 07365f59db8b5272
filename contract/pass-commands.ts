import * as v from 'valibot';
import { HOLDS_IN } from '../core/hold';
import { countField, numberField, signedBy, textField, thermometerField } from './number-field';
import { freeOfField, ORDER_LIMITS } from './plan-request';

/** One type of command with what it says. */
export const one = <const T extends string, P extends v.GenericSchema>(type: T, payload: P) =>
  v.object({ type: v.literal(type), payload });

export const kindId = textField('The kind of portion', 40);
const items = v.pipe(
  v.array(
    v.strictObject({ kindId, count: countField('How many', 1, ORDER_LIMITS.portions.max) }),
    'What is asked for must be a list.',
  ),
  v.maxLength(20, 'At most 20 kinds in one order.'),
);
const someItems = v.pipe(items, v.minLength(1, 'Nothing is asked for.'));
const asking = {
  items,
  freeOf: v.optional(freeOfField),
  words: v.optional(textField('Whose it is', 60)),
};

/** What is said at the pass beside portions: who asks, what was not so after all, what is ready, how it is held. */
export const PASS_COMMANDS = [
  one(
    'takenBack',
    v.strictObject({
      eventId: textField('eventId'),
      portions: countField('How many never left', 1, ORDER_LIMITS.portions.max),
    }),
  ),
  one(
    'turnedAway',
    v.strictObject({ portions: countField('Guests turned away', 1, ORDER_LIMITS.portions.max) }),
  ),
  one('coversSet', v.strictObject({ kindId, count: countField('Covers', 0, ORDER_LIMITS.portions.max) })),
  one(
    'sizeSet',
    v.strictObject({
      kindId,
      ml: numberField('A portion', ORDER_LIMITS.portionMl.min, ORDER_LIMITS.kindMl.max, 'mL'),
    }),
  ),
  one(
    'asked',
    v.strictObject({ ...asking, items: someItems, via: v.optional(v.picklist(['file', 'till'])) }),
  ),
  one('askedAnew', v.strictObject({ ...asking, orderId: textField('The order') })),
  one(
    'garnishReady',
    v.strictObject({
      lineId: textField('The garnish'),
      kg: numberField('What is ready', 0, 500, 'kg'),
    }),
  ),
  one(
    'grilled',
    v.strictObject({
      portions: countField('Bowls under the grill', 1, 200),
      minutes: numberField('Its time', 0.5, 60, 'min'),
    }),
  ),
  one(
    'heldHot',
    v.strictObject({
      in: v.picklist(HOLDS_IN, 'It is held in its pot, in pans or in a thermos.'),
      pans: v.optional(countField('Pans', 1, 60)),
      litres: v.optional(numberField('What it holds', 1, 500, 'L')),
      keptC: v.nullable(numberField('The temperature it is kept at', 30, 105, '°C')),
      lid: v.picklist(['off', 'ajar', 'on'], 'The lid is off, ajar or on.'),
    }),
  ),
  one(
    'reheated',
    v.strictObject({
      tempC: numberField('Its temperature', 40, 105, '°C'),
      by: signedBy,
      thermometerId: thermometerField,
    }),
  ),
] as const;
