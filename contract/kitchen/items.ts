import * as v from 'valibot';
import { countField, idField, numberField } from '../number-field';

/**
 * The things of a kitchen, each with an id and a name of its own: one schema a kind, and the types that follow from it.
 * Dimensions are inside ones. A thing that a batch was cooked with is retired, never deleted.
 */

/** What a thing is called: “The pot” needs a name. */
function nameField(what: string) {
  return v.pipe(
    v.string(`${what} needs a name.`),
    v.trim(),
    v.minLength(1, `${what} needs a name.`),
    v.maxLength(60, `A name has at most 60 characters.`),
  );
}

const itemId = v.pipe(
  v.string('The id must be text.'),
  v.regex(/^[A-Za-z0-9][A-Za-z0-9-]{0,59}$/, 'An id is letters, digits and hyphens, at most 60.'),
);

/** What goes through a kitchen's door, cm. Common practice: doors are 80 to 120 cm. */
const WIDEST_CM = 120;
const width = (name: string) => numberField(name, 5, WIDEST_CM, 'cm');
const heightCm = numberField('Its height inside', 3, 150, 'cm');

export const vesselSchema = v.variant(
  'shape',
  [
    v.strictObject({ shape: v.literal('cylinder'), diameterCm: width('Its width'), heightCm }),
    v.strictObject({
      shape: v.literal('tapered'),
      topDiameterCm: width('Its width at the top'),
      bottomDiameterCm: width('Its width at the bottom'),
      heightCm,
    }),
    v.strictObject({ shape: v.literal('kettle'), diameterCm: width('Its width'), heightCm }),
    v.strictObject({
      shape: v.literal('box'),
      lengthCm: numberField('Its length', 5, 200, 'cm'),
      widthCm: width('Its width'),
      heightCm,
    }),
    v.pipe(
      v.strictObject({
        shape: v.literal('measured'),
        levels: v.pipe(
          v.array(
            v.strictObject({
              litres: numberField('The litres poured in', 0.05, 1000, 'L'),
              depthCm: numberField('What the stick shows', 0.2, 150, 'cm'),
            }),
          ),
          v.minLength(2, 'A measured pot has at least two levels.'),
          v.maxLength(40, 'A measured pot has at most 40 levels.'),
          v.readonly(),
        ),
        heightCm,
      }),
      v.check(
        ({ levels, heightCm: rim }) =>
          levels.every(
            (level, i) =>
              level.depthCm <= rim &&
              (i === 0 || (level.litres > levels[i - 1]!.litres && level.depthCm > levels[i - 1]!.depthCm)),
          ),
        'Each level is more water and stands higher than the one before, and none is above the rim.',
      ),
    ),
  ],
  'A pot is straight, tapered, round at the bottom, with corners, or measured by water.',
);

const levels = v.pipe(
  v.array(
    v.strictObject({ litres: v.pipe(v.number(), v.finite()), depthCm: v.pipe(v.number(), v.finite()) }),
  ),
  v.maxLength(40),
  v.readonly(),
);

const pot = v.strictObject({
  id: itemId,
  name: nameField('The pot'),
  vessel: vesselSchema,
  emptyMassKg: numberField('Its weight empty', 0.1, 500, 'kg'),
  /** the levels its shape was found by, where water was poured in */
  levels: v.optional(levels),
});

export const HEAT_KINDS = ['gas', 'electric', 'induction', 'steam', 'oven'] as const;

const dialSchema = v.pipe(
  v.array(
    v.strictObject({
      word: nameField('A setting'),
      share: numberField('A setting’s share of full', 0.01, 1, ''),
    }),
  ),
  v.minLength(2, 'A tap has at least two settings.'),
  v.maxLength(12, 'A tap has at most twelve settings.'),
  v.check((marks) => marks.at(-1)?.share === 1, 'The last setting is full.'),
  v.check(
    (marks) => marks.every((mark, i) => i === 0 || mark.share > marks[i - 1]!.share),
    'Settings rise from the least to full.',
  ),
  v.check(
    (marks) => new Set(marks.map((mark) => mark.word.toLowerCase())).size === marks.length,
    'Each setting has a word of its own.',
  ),
);

const burner = v.strictObject({
  id: itemId,
  name: nameField('The burner'),
  kind: v.pipe(v.string(), v.picklist(HEAT_KINDS, 'Heat is gas, electric, induction, steam or an oven.')),
  powerW: numberField('Its rating', 100, 100_000, 'W'),
  efficiency: numberField('What reaches the pot', 0.05, 1, ''),
  potIds: v.pipe(v.array(itemId), v.maxLength(200)),
  dial: v.optional(dialSchema),
});

export const ARRIVALS = ['together', 'steady', 'peaked'] as const;

const service = v.strictObject({
  id: itemId,
  name: nameField('The service'),
  time: v.pipe(
    v.string('A service has an hour, as 12:30.'),
    v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A service’s hour is from 00:00 to 23:59, as 12:30.'),
  ),
  covers: countField('Usual covers', 1, 5000),
  /** 1 for Monday to 7 for Sunday; absent for every day */
  weekdays: v.optional(
    v.pipe(
      v.array(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(7))),
      v.minLength(1, 'A service is on at least one day of the week.'),
      v.transform((days) => [...new Set(days)].sort((a, b) => a - b)),
    ),
  ),
  lastsMin: v.optional(countField('How long it lasts', 5, 720)),
  arrival: v.optional(v.picklist(ARRIVALS, 'They come together, steadily, or in a peak.')),
});

const bowl = v.strictObject({
  id: itemId,
  name: nameField('The bowl'),
  ml: numberField('What it holds', 20, 20_000, 'mL'),
  headspaceMl: v.optional(numberField('Its headspace', 0, 5000, 'mL')),
  isOvenProof: v.boolean('Say whether it may go under a grill.'),
});

const ladle = v.strictObject({
  id: itemId,
  name: nameField('The ladle'),
  ml: numberField('What it holds', 5, 5000, 'mL'),
});

export const COLD_KINDS = ['walkIn', 'blast', 'freezer', 'ice'] as const;
export const AIR_KINDS = ['still', 'fan', 'blast'] as const;

const cold = v.strictObject({
  id: itemId,
  name: nameField('The cold place'),
  kind: v.picklist(COLD_KINDS, 'It is a walk-in, a blast chiller, a freezer or ice.'),
  airC: numberField('Its air', -40, 15, '°C'),
  air: v.picklist(AIR_KINDS, 'Its air stands still, is moved by a fan, or blasts.'),
  /** what it takes in one cycle, or the ice on hand, kg */
  kg: v.optional(numberField('What it takes', 0, 2000, 'kg')),
});

export const INSTRUMENT_KINDS = ['scale', 'thermometer', 'refractometer', 'ph', 'salinity', 'stick'] as const;

const instrument = v.strictObject({
  id: itemId,
  name: nameField('The instrument'),
  kind: v.picklist(
    INSTRUMENT_KINDS,
    'It is a scale, a thermometer, a refractometer, a pH meter, a salinity meter or a stick.',
  ),
  mostKg: v.optional(numberField('What it weighs at most', 0.1, 2000, 'kg')),
  stepG: v.optional(numberField('Its step', 0.01, 5000, 'g')),
});

export const ROLES = ['inCharge', 'cook', 'helper'] as const;
export const MARKS = ['clay', 'mustard', 'leek', 'slate', 'plum', 'rust', 'sand', 'ink'] as const;

const person = v.strictObject({
  id: itemId,
  name: nameField('A person'),
  mark: v.picklist(MARKS, 'Choose one of the colours.'),
  role: v.picklist(ROLES, 'A person is in charge, cooks or helps.'),
});

const supplier = v.strictObject({ id: itemId, name: nameField('A supplier') });
const storePlace = v.strictObject({ id: itemId, name: nameField('A place') });

/** Every kind of thing a kitchen has. */
export const ITEM_SCHEMAS = {
  pot,
  burner,
  service,
  bowl,
  ladle,
  cold,
  instrument,
  person,
  supplier,
  storePlace,
} as const;

export type ItemKind = keyof typeof ITEM_SCHEMAS;
export const ITEM_KINDS = Object.keys(ITEM_SCHEMAS) as ItemKind[];
export type ItemOf<K extends ItemKind> = v.InferOutput<(typeof ITEM_SCHEMAS)[K]>;
export type Item = ItemOf<ItemKind>;
export type ServiceView = ItemOf<'service'>;
export type KitchenPot = ItemOf<'pot'>;

/** What a kitchen has once: trays, jars, pans. */
export const equipmentSchema = v.strictObject({
  blenderJarLitres: numberField('The blender jar', 0, 60, 'L'),
  hasStickBlender: v.boolean('Say whether there is a stick blender.'),
  ovenTrays: countField('Trays in the oven at once', 0, 60),
  trayAreaM2: numberField('The floor of a tray', 0.01, 2, 'm²'),
  fryingPanCm: numberField('The frying pan', 0, 120, 'cm'),
  grillBowls: v.optional(countField('Bowls under the grill at once', 0, 200)),
  grillMin: v.optional(numberField('Minutes under the grill', 0.5, 30, 'min')),
  sieveLitres: v.optional(numberField('The sieve', 0, 60, 'L')),
  bainMariePans: v.optional(countField('Pans in the bain-marie', 0, 60)),
  bainMariePanLitres: v.optional(numberField('A pan of the bain-marie', 0, 60, 'L')),
  holdCheckMin: v.optional(countField('Minutes between temperature checks', 5, 240)),
  coolingPans: v.optional(countField('Pans to cool in', 0, 200)),
  saltTeaspoonG: v.optional(numberField('A level teaspoon of your salt', 1.5, 9, 'g')),
});

export const ITEM_ID = itemId;
export const CHANGE_ID = idField('id');
