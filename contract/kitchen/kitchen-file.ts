import * as v from 'valibot';
import { textField, timeField } from '../number-field';
import { equipmentSchema, ITEM_KINDS, ITEM_SCHEMAS, type ItemKind, type ItemOf } from './items';
import { CODE_LIMITS, LIMIT_NAMES, limitsSchema } from './limits';
import { placeSchema } from './place';

/** A kitchen as one file, to be opened on another machine. Described in docs/formats.md. */
const itemsSchema = v.strictObject(
  Object.fromEntries(
    ITEM_KINDS.map((kind) => [
      kind,
      v.optional(
        v.pipe(
          v.array(ITEM_SCHEMAS[kind] as (typeof ITEM_SCHEMAS)[ItemKind]),
          v.maxLength(500, 'At most 500 of a kind.'),
        ),
      ),
    ]),
  ),
);

const reason = v.strictObject({
  reason: textField('The reason', 300),
  by: textField('Who says it', 60),
  atMs: timeField('When'),
});

export const KITCHEN_FORMAT = 'slow-pot-kitchen-file';

export const kitchenFileSchema = v.pipe(
  v.strictObject({
    format: v.literal(KITCHEN_FORMAT, 'That is no kitchen’s file.'),
    version: v.literal(1, 'This file is of another version; only version 1 can be read here.'),
    place: placeSchema,
    equipment: equipmentSchema,
    limits: limitsSchema,
    limitReasons: v.strictObject(
      Object.fromEntries(LIMIT_NAMES.map((name) => [name, v.optional(reason)])) as Record<
        (typeof LIMIT_NAMES)[number],
        v.OptionalSchema<typeof reason, undefined>
      >,
    ),
    items: itemsSchema,
  }),
  v.check(
    ({ limits, limitReasons }) =>
      LIMIT_NAMES.every((name) => {
        const { value, stricter } = CODE_LIMITS[name];
        const isLax = stricter === 'less' ? limits[name] > value : limits[name] < value;
        return !isLax || limitReasons[name] !== undefined;
      }),
    'A limit in it is laxer than the code and has no reason beside it.',
  ),
);

export type KitchenFile = Omit<v.InferOutput<typeof kitchenFileSchema>, 'items'> & {
  items: { readonly [K in ItemKind]?: readonly ItemOf<K>[] | undefined };
};
