import * as v from 'valibot';
import { countField, idField, numberField } from './number-field';

export const altitudeField = numberField('The height', -400, 5000, 'm');

/** The kitchen's limits on keeping: stricter than its code, never laxer. */
export const limitsSchema = v.strictObject({
  dateMarkDays: countField('Days to the date mark', 1, 7),
  receivingC: numberField('Cold deliveries', -5, 5, '°C'),
  shellfishTagDays: countField('Shellfish tags', 90, 365),
});

/** What a kitchen may change about itself. */
export const kitchenSettingsSchema = v.object({
  altitudeM: v.optional(altitudeField),
  units: v.optional(v.picklist(['metric', 'us', 'imperial'], 'Units are metric, us or imperial.')),
  limits: v.optional(limitsSchema),
  airTempC: v.optional(numberField('The kitchen air', 0, 50, '°C')),
});

export type KitchenSettings = v.InferOutput<typeof kitchenSettingsSchema>;

/** The same said again is done once. */
const said = { id: v.optional(idField('id')) };

/** How the kitchen's clock runs: the demo's at a speed, to its next morning, or over to real time. */
export const clockChangeSchema = v.variant('change', [
  v.object({
    ...said,
    change: v.literal('speed'),
    speed: v.picklist([1, 10, 60], 'The clock runs at 1, 10 or 60 times.'),
  }),
  v.object({ ...said, change: v.literal('nextMorning') }),
  v.object({ ...said, change: v.literal('real') }),
]);

export type ClockChange = v.InferOutput<typeof clockChangeSchema>;
