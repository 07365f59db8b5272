import * as v from 'valibot';
import { DISCARD_REASONS, FLOORS_FOUND, TROUBLES } from '../core/batch';
import type { Written } from '../core/log';
import { THICKENER_KINDS } from '../core/matter';
import type { BatchCommand } from '../core/rules';
import { SCALES, VERDICTS } from '../core/taste';
import { LADLE_LOOKS, SPOON_LOOKS, TEST_RANGES } from '../core/thickness';
import {
  countField,
  idField,
  numberField,
  signedBy,
  storageField,
  textField,
  thermometerField,
} from './number-field';
import { kindId, one, PASS_COMMANDS } from './pass-commands';
import { ORDER_LIMITS } from './plan-request';

export const thickenerSchema = v.picklist(THICKENER_KINDS, 'That thickener is not known.');

const addedItem = v.strictObject({
  ingredientId: textField('The ingredient'),
  kg: numberField('The amount', 0.00001, 500, 'kg'),
  tempC: numberField('Its temperature', -30, 110, '°C'),
  lineId: v.optional(textField('lineId')),
  lotId: v.optional(textField('lotId')),
  overrideReason: v.optional(textField('The reason', 200)),
  thickener: v.optional(thickenerSchema),
  comesOut: v.optional(
    v.strictObject({ word: textField('What comes out'), count: countField('Its count', 1, 500) }),
  ),
});

const purpose = v.strictObject({
  for: v.picklist([...SCALES, 'thickness'], 'That is no purpose.'),
  wayId: v.optional(textField('The way', 60)),
  wholeKg: v.optional(numberField('All of it', 0.00001, 500, 'kg')),
});

const sure = v.optional(v.literal(true));
const testedAtC = numberField('Its temperature', 0, 105, '°C');

const thicknessTest = v.variant(
  'test',
  [
    v.strictObject({
      test: v.literal('spoon'),
      value: countField('What the spoon shows', 0, SPOON_LOOKS.length - 1),
      tempC: testedAtC,
      sure,
    }),
    v.strictObject({
      test: v.literal('ladle'),
      value: countField('How it leaves the ladle', 0, LADLE_LOOKS.length - 1),
      tempC: testedAtC,
      sure,
    }),
    v.strictObject({
      test: v.literal('lineSpread'),
      value: numberField('The radius', TEST_RANGES.lineSpread.least, TEST_RANGES.lineSpread.most, 'cm'),
      tempC: testedAtC,
      sure,
    }),
    v.strictObject({
      test: v.literal('flow'),
      value: numberField('What is left', TEST_RANGES.flow.least, TEST_RANGES.flow.most, 'mL'),
      tempC: testedAtC,
      sure,
    }),
  ],
  'That is no test of thickness.',
);

const meterReading = v.variant(
  'meter',
  [
    v.strictObject({ meter: v.literal('salinity'), value: numberField('The salt', 0, 30, '%'), sure }),
    v.strictObject({ meter: v.literal('ph'), value: numberField('The pH', 2, 9, ''), sure }),
  ],
  'That meter is not known.',
);

const fateFields = {
  fate: v.picklist(['thrown', 'salvaged', 'parked'], 'It is thrown away, salvaged or parked.'),
  place: v.optional(textField('Where it lies', 60)),
  weighedKg: v.optional(numberField('Its weight', 0.001, 500, 'kg')),
  backStageId: v.optional(textField('The stage it goes back for')),
};

const fallTarget = v.variant(
  'kind',
  [
    v.strictObject({
      kind: v.literal('gone'),
      fraction: numberField('The share gone', 0, 0.98, 'of the start'),
    }),
    v.strictObject({ kind: v.literal('litres'), litres: numberField('The mark', 0.01, 2000, 'L') }),
    v.strictObject({ kind: v.literal('depth'), cm: numberField('The mark', 0, 300, 'cm') }),
    v.strictObject({ kind: v.literal('weight'), kg: numberField('The mark', 0.01, 2000, 'kg') }),
    v.strictObject({ kind: v.literal('brix'), brix: numberField('The mark', 0.1, 80, '°Brix') }),
    v.strictObject({ kind: v.literal('salt'), percent: numberField('The mark', 0.05, 30, '% salt') }),
    v.strictObject({
      kind: v.literal('band'),
      band: numberField('The mark', 0.1, 6, 'of the thickness bands'),
    }),
  ],
  'That is no mark a pot can fall to.',
);

const food = {
  ingredientId: textField('The ingredient'),
  kg: numberField('The amount', 0.00001, 500, 'kg'),
};

const surplus = {
  ...food,
  tempC: numberField('Its temperature', -30, 110, '°C'),
  lotId: v.optional(textField('lotId')),
  overrideReason: v.optional(textField('The reason', 200)),
};

const slip = v.variant(
  'kind',
  [
    v.strictObject({
      kind: v.literal('tooMuch'),
      ...surplus,
    }),
    v.strictObject({
      kind: v.literal('wrongPot'),
      ...surplus,
    }),
    v.strictObject({ kind: v.literal('forgot'), lineId: textField('What was forgotten') }),
    v.strictObject({
      kind: v.literal('trouble'),
      trouble: v.picklist(TROUBLES, 'That is no trouble Slow Pot knows.'),
      lostKg: v.optional(numberField('What was lost', 0, 500, 'kg')),
    }),
  ],
  'That is no slip Slow Pot knows.',
);

/** A probe or a scale said it; a cook’s own reading has no such word. */
const fromDevice = v.optional(v.literal('device', 'A reading is from a device or from a cook.'));

/**
 * What can be said of a batch, in the words of today. The model's own type is what it must come to. What is drawn off is
 * said where its other pot is named too (`drawPartSchema`).
 */
export const batchCommandSchema: v.GenericSchema<unknown, BatchCommand> = v.variant(
  'type',
  [
    one(
      'stageBegun',
      v.strictObject({
        stageId: textField('The stage'),
        overrideReason: v.optional(textField('The reason', 200)),
      }),
    ),
    one('stageDone', v.strictObject({ stageId: textField('The stage') })),
    one(
      'added',
      v.strictObject({
        items: v.pipe(
          v.array(addedItem, 'What goes in must be a list.'),
          v.minLength(1, 'Nothing was said to go in.'),
          v.maxLength(60, 'At most 60 things at once.'),
        ),
        purpose: v.optional(purpose),
      }),
    ),
    one('heatSet', v.strictObject({ fraction: numberField('The heat', 0, 1, 'of full') })),
    one('lidSet', v.strictObject({ lid: v.picklist(['off', 'ajar', 'on'], 'The lid is off, ajar or on.') })),
    one(
      'reading',
      v.variant('kind', [
        v.strictObject({
          kind: v.literal('depth'),
          value: numberField('The depth', 0, 300, 'cm'),
          still: v.optional(v.boolean('still must be true or false.')),
        }),
        v.strictObject({
          kind: v.literal('litres'),
          value: numberField('The level', 0, 2000, 'L'),
          still: v.optional(v.boolean('still must be true or false.')),
        }),
        v.strictObject({
          kind: v.literal('brix'),
          value: numberField('The refractometer', 0.1, 80, '°Brix'),
        }),
        v.strictObject({ kind: v.literal('eye'), value: numberField('What has gone', 0, 100, '%') }),
        v.strictObject({
          kind: v.literal('weight'),
          value: numberField('The weight', 0, 2000, 'kg'),
          from: fromDevice,
        }),
        v.strictObject({
          kind: v.literal('temperature'),
          value: numberField('The temperature', -30, 130, '°C'),
          sure: v.optional(v.literal(true)),
          from: fromDevice,
          by: v.optional(signedBy),
          thermometerId: thermometerField,
        }),
      ]),
    ),
    one(
      'answered',
      v.strictObject({
        eventId: textField('eventId'),
        believed: v.boolean('believed must be true or false.'),
      }),
    ),
    one(
      'removed',
      v.strictObject({
        word: textField('What comes out'),
        count: countField('Its count', 1, 500),
        itemId: v.optional(textField('Which of them', 80)),
        ...fateFields,
        fate: v.optional(fateFields.fate),
      }),
    ),
    one(
      'lifted',
      v.strictObject({
        ...food,
        itemId: v.optional(textField('Which of them', 80)),
        share: v.optional(numberField('The share', 0.01, 1, '')),
        ...fateFields,
      }),
    ),
    one(
      'returned',
      v.strictObject({
        liftedId: textField('What was parked'),
        kg: numberField('Its weight', 0.001, 500, 'kg'),
        tempC: numberField('Its temperature', -30, 110, '°C'),
        isWhole: v.optional(v.boolean()),
      }),
    ),
    one('tested', thicknessTest),
    one(
      'tasted',
      v.pipe(
        v.strictObject({
          says: v.partial(
            v.strictObject(v.entriesFromList(SCALES, v.picklist(VERDICTS, 'That is no verdict.'))),
          ),
          isFlat: v.optional(v.literal(true)),
          by: v.optional(textField('Who tasted', 60)),
        }),
        v.check(
          ({ says, isFlat }) => isFlat === true || Object.keys(says).length > 0,
          'A tasting says something of at least one scale.',
        ),
      ),
    ),
    one('metered', meterReading),
    one('pureed', v.strictObject({ share: numberField('The share blended', 0.01, 1, 'of the pieces') })),
    one('looked', v.strictObject({ stageId: textField('The stage') })),
    one('snoozed', v.strictObject({ minutes: numberField('The pause', 0.5, 60, 'min') })),
    one('targetSet', v.strictObject({ target: fallTarget })),
    one(
      'pouredOff',
      v.strictObject({
        what: v.picklist(['fat', 'liquid'], 'Fat or liquid is poured off.'),
        kg: numberField('What is poured off', 0.001, 500, 'kg'),
      }),
    ),
    one('slip', slip),
    one('moved', v.strictObject({ potId: textField('The pot'), burnerId: textField('The burner') })),
    one(
      'portioned',
      v.strictObject({
        portions: countField('Bowls', 1, ORDER_LIMITS.portions.max),
        fate: v.picklist(['served', 'discarded'], 'Bowls are served or discarded.'),
        kindId: v.optional(kindId),
        reason: v.optional(v.picklist(DISCARD_REASONS, 'That reason is not known.')),
        isOut: v.optional(v.literal(true)),
        orderId: v.optional(textField('The order')),
        by: v.optional(signedBy),
        overrideReason: v.optional(textField('The reason', 200)),
      }),
    ),
    ...PASS_COMMANDS,
    one(
      'stored',
      v.strictObject({
        lotId: idField('lotId'),
        litres: numberField('What is stored', 0.01, 2000, 'L'),
        place: textField('The place', 60),
        storage: storageField,
        overrideReason: v.optional(textField('The reason', 200)),
      }),
    ),
    one('note', v.strictObject({ text: textField('The note', 500) })),
    one(
      'closed',
      v.strictObject({
        leftLitres: numberField('What is left', 0, 2000, 'L'),
        servedBy: v.optional(textField('Who ladled', 60)),
        isMeasured: v.optional(v.boolean('isMeasured must be true or false.')),
        floor: v.optional(v.picklist(FLOORS_FOUND, 'The floor came clean or it caught.')),
      }),
    ),
    one('undone', v.strictObject({ eventId: textField('eventId') })),
  ],
  (issue) =>
    `${typeof issue.input === 'object' ? 'That' : `“${issue.input}”`} is not an event Slow Pot knows.`,
);

/** An event as it stands in a body, of whatever version: what it says is checked when it is in the words of today. */
export const writtenSchema: v.GenericSchema<unknown, Written> = v.object({
  type: textField('type', 40),
  v: countField('v', 1, 1000),
  payload: v.unknown(),
}) as v.GenericSchema<unknown, Written>;

/** Ages are whole milliseconds within a century: what is older than two days has to be confirmed. */
const MOST_AGE_MS = 3_155_760_000_000;

/** What a device says about an event beside the event itself. `ageMs` is how long ago it happened, by that device. */
export const envelopeSchema = v.object({
  id: idField('id'),
  ageMs: v.optional(
    v.pipe(numberField('ageMs', -MOST_AGE_MS, MOST_AGE_MS, 'ms'), v.transform(Math.round)),
    0,
  ),
  /** a person has confirmed that it was so long ago */
  confirmed: v.optional(v.boolean('confirmed must be true or false.'), false),
  by: v.optional(textField('by', 40)),
  device: v.optional(textField('device', 60)),
});

export type Envelope = v.InferOutput<typeof envelopeSchema>;
