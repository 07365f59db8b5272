import * as v from 'valibot';
import { numberField, textField } from '../number-field';
import { CHANGE_ID, equipmentSchema, ITEM_ID, ITEM_KINDS, ITEM_SCHEMAS, type ItemKind } from './items';
import { kitchenFileSchema } from './kitchen-file';
import { limitsSchema } from './limits';
import { placeSchema } from './place';

export const LIDS = ['off', 'ajar', 'on'] as const;

/** So many litres of water from this to that temperature, in so many minutes. */
export const heatTestSchema = v.strictObject({
  burnerId: ITEM_ID,
  potId: ITEM_ID,
  litres: numberField('The water', 0.2, 500, 'L'),
  fromC: numberField('Where it began', 0, 95, '°C'),
  toC: numberField('Where it ended', 5, 102, '°C'),
  minutes: numberField('The minutes', 1, 180, 'min'),
  fraction: numberField('The setting', 0.01, 1, ''),
  lid: v.picklist(LIDS, 'The lid is off, ajar or on.'),
});

export type HeatTestSaid = v.InferOutput<typeof heatTestSchema>;

const kind = v.picklist(ITEM_KINDS, 'That is no kind of thing a kitchen has.');
const common = { id: CHANGE_ID, by: v.optional(textField('Who says it', 60)) };
const of = { ...common, kind, itemId: ITEM_ID };

const saves = ITEM_KINDS.map((one) =>
  v.strictObject({
    ...common,
    change: v.literal('save'),
    kind: v.literal(one),
    item: ITEM_SCHEMAS[one] as (typeof ITEM_SCHEMAS)[ItemKind],
    /** of a pot with new measures: what its old ones taught stands, or is begun anew */
    learned: v.optional(v.picklist(['keep', 'anew'], 'What was learned is kept or begun anew.')),
    /** of a pot: the burners it stands on */
    burnerIds: v.optional(v.pipe(v.array(ITEM_ID), v.maxLength(200))),
  }),
);

/** Everything a kitchen may change about itself, one at a time. Each is kept in its log. */
export const kitchenChangeSchema = v.variant(
  'change',
  [
    v.strictObject({ ...common, change: v.literal('place'), place: placeSchema }),
    v.strictObject({ ...common, change: v.literal('equipment'), equipment: equipmentSchema }),
    v.strictObject({
      ...common,
      change: v.literal('limits'),
      limits: limitsSchema,
      /** why a limit is laxer than the code: the person in charge answers for it */
      reason: v.optional(textField('The reason', 300)),
    }),
    v.variant(
      'kind',
      saves as unknown as [(typeof saves)[number], ...typeof saves],
      'That is no kind of thing a kitchen has.',
    ),
    v.strictObject({
      ...common,
      change: v.literal('order'),
      kind,
      itemIds: v.pipe(v.array(ITEM_ID), v.maxLength(500)),
    }),
    v.strictObject({ ...of, change: v.literal('retire') }),
    v.strictObject({ ...of, change: v.literal('restore') }),
    v.strictObject({
      ...common,
      change: v.literal('merge'),
      kind: v.literal('burner'),
      itemId: ITEM_ID,
      intoId: ITEM_ID,
    }),
    v.strictObject({ ...common, change: v.literal('heatTest'), test: heatTestSchema }),
    v.strictObject({ ...common, change: v.literal('forgetHeatTest'), testId: CHANGE_ID }),
    v.strictObject({ ...common, change: v.literal('import'), file: kitchenFileSchema }),
    v.strictObject({
      ...common,
      change: v.literal('checked'),
      instrumentId: ITEM_ID,
      iceC: v.optional(numberField('In ice and water it shows', -10, 20, '°C')),
      boilC: v.optional(numberField('In boiling water it shows', 70, 110, '°C')),
    }),
    v.strictObject({
      id: CHANGE_ID,
      change: v.literal('daySigned'),
      day: v.pipe(
        v.string(),
        v.regex(/^\d{4}-\d{2}-\d{2}$/, 'A day is a year, a month and a day: 2026-03-10.'),
      ),
      by: textField('Who signs it', 60),
    }),
  ],
  'That is no change, or no kind of thing, that a kitchen knows.',
);

export type KitchenChange = v.InferOutput<typeof kitchenChangeSchema>;
export type KitchenChangeName = KitchenChange['change'];

/** How the kitchen's clock runs: the demo's at a speed, to its next morning, or over to real time. */
export const clockChangeSchema = v.variant('change', [
  v.object({
    id: v.optional(CHANGE_ID),
    change: v.literal('speed'),
    speed: v.picklist([1, 10, 60], 'The clock runs at 1, 10 or 60 times.'),
  }),
  v.object({ id: v.optional(CHANGE_ID), change: v.literal('nextMorning') }),
  v.object({ id: v.optional(CHANGE_ID), change: v.literal('real') }),
]);

export type ClockChange = v.InferOutput<typeof clockChangeSchema>;
