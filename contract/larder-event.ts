import * as v from 'valibot';
import { type CoolingAir, FILM_WM2K } from '../core/cooling';
import type { LarderEventBody } from '../core/larder';
import {
  countField,
  idField,
  numberField,
  signedBy,
  storageField,
  textField,
  thermometerField,
  timeField,
} from './number-field';

const lotId = textField('The lot');
const newLotId = idField('A new lot’s id');
const kg = (name: string, min = 0.001) => numberField(name, min, 2000, 'kg');
/** asked about, and confirmed */
const sure = v.optional(v.literal(true, 'sure must be true.'));
const place = textField('The place', 60);

/** Pans or a pot, how deep, and the air or the ice they stand in. */
export const coolingHow = v.strictObject({
  pans: countField('Pans', 1, 60),
  areaM2: numberField('The floor of a pan', 0.005, 2, 'm²'),
  depthCm: numberField('The depth', 0.5, 80, 'cm'),
  air: v.picklist(
    Object.keys(FILM_WM2K) as CoolingAir[],
    'Its air stands still, is moved, blasts, or it is ice.',
  ),
  airC: numberField('Its air', -40, 20, '°C'),
  placeId: textField('The place', 60),
  place,
});

const one = <const T extends string, P extends v.GenericSchema>(type: T, payload: P) =>
  v.object({ type: v.literal(type), payload });

/** What can be said of the larder, in the words of today. The model's own type is what it must come to. */
export const larderEventBodySchema: v.GenericSchema<unknown, LarderEventBody> = v.variant(
  'type',
  [
    one(
      'delivered',
      v.strictObject({
        lotId: newLotId,
        ingredientId: textField('What came'),
        kg: kg('Its weight'),
        supplier: textField('The supplier', 60),
        arrivedC: v.optional(numberField('Its temperature', -40, 60, '°C')),
        tag: v.optional(textField('The tag', 60)),
        useByMs: v.optional(timeField('Its use-by date')),
        centsPerKg: v.optional(numberField('The price', 0, 10_000_000, 'hundredths a kg')),
        place,
        storage: storageField,
      }),
    ),
    one(
      'found',
      v.strictObject({
        lotId: newLotId,
        ingredientId: textField('What it is'),
        kg: kg('Its weight'),
        madeAtMs: timeField('When it was made'),
        saltPercent: v.optional(numberField('Salt', 0, 26, '%')),
        place,
        storage: storageField,
        note: textField('A note', 200),
      }),
    ),
    one('moved', v.strictObject({ lotId, place })),
    one('frozen', v.strictObject({ lotId, place })),
    one('thawed', v.strictObject({ lotId, place })),
    one(
      'split',
      v.strictObject({ lotId, toLotId: newLotId, kg: kg('What is split off'), place, storage: storageField }),
    ),
    one(
      'blended',
      v.strictObject({
        toLotId: newLotId,
        name: textField('The name', 60),
        parts: v.pipe(
          v.array(v.strictObject({ lotId, kg: kg('A part') }), 'What is blended must be a list.'),
          v.minLength(1, 'Say what is blended.'),
          v.maxLength(12, 'At most twelve lots at once.'),
        ),
        waterKg: kg('Water', 0),
        place,
        storage: storageField,
      }),
    ),
    one('fatLifted', v.strictObject({ lotId, kg: kg('Fat lifted') })),
    one(
      'lotRead',
      v.variant(
        'kind',
        [
          v.strictObject({ lotId, kind: v.literal('brix'), value: numberField('°Brix', 0, 85, ''), sure }),
          v.strictObject({ lotId, kind: v.literal('salt'), value: numberField('Salt', 0, 26, '%'), sure }),
          v.strictObject({
            lotId,
            kind: v.literal('temperature'),
            value: numberField('Its temperature', -40, 110, '°C'),
            sure,
            by: v.optional(signedBy),
            thermometerId: thermometerField,
            from: v.optional(v.literal('device', 'from is a device, or nothing.')),
          }),
          v.strictObject({ lotId, kind: v.literal('set'), sets: v.boolean('sets must be true or false.') }),
        ],
        'A lot is read by °Brix, salt, temperature, or whether it has set.',
      ),
    ),
    one(
      'coolingSet',
      v.strictObject({
        lotId,
        how: coolingHow,
        fromC: v.optional(numberField('Its temperature', 5, 100, '°C')),
      }),
    ),
    one(
      'lotReheated',
      v.strictObject({
        lotId,
        tempC: numberField('Its temperature', 40, 105, '°C'),
        by: signedBy,
        thermometerId: thermometerField,
      }),
    ),
    one(
      'discarded',
      v.strictObject({
        lotId,
        kg: kg('What is thrown away'),
        reason: textField('The reason', 200),
        by: v.optional(signedBy),
      }),
    ),
    one('counted', v.strictObject({ lotId, kg: kg('What is there', 0), note: textField('A note', 200) })),
    one(
      'usePast',
      v.strictObject({
        lotId,
        reason: textField('The reason', 200),
        by: textField('Who answers for it', 60),
      }),
    ),
    one('undone', v.strictObject({ eventId: textField('eventId') })),
  ],
  (issue) =>
    `${typeof issue.input === 'object' ? 'That' : `“${issue.input}”`} is not an event the larder knows.`,
);
