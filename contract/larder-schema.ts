import * as v from 'valibot';
import { ALLERGENS, type Allergen, DIETS, type OwnFood } from '../core/matter';
import { idField, numberField, textField } from './number-field';

const ALLERGEN_IDS = Object.keys(ALLERGENS) as [Allergen, ...Allergen[]];

/** A food of the kitchen's own, or a product's label over the table. */
export const ownFoodSchema: v.GenericSchema<unknown, OwnFood> = v.strictObject({
  id: v.pipe(
    textField('The food'),
    v.regex(/^[a-z0-9][a-z0-9-]*$/, 'The food’s id may hold small letters, figures and dashes.'),
  ),
  name: textField('The name', 60),
  isLabel: v.optional(v.boolean('isLabel must be true or false.')),
  like: textField('What it is like'),
  saltPercent: v.optional(numberField('Salt', 0, 100, 'g in 100 g')),
  fatPercent: v.optional(numberField('Fat', 0, 100, 'g in 100 g')),
  allergens: v.optional(v.array(v.picklist(ALLERGEN_IDS, 'That allergen is not on the list.'))),
  diet: v.optional(v.picklist(DIETS, 'That diet is not known.')),
  pieceG: v.optional(numberField('One of it', 0.01, 50_000, 'g')),
  yieldPercent: v.optional(numberField('What is left of it', 1, 100, '%')),
}) as v.GenericSchema<unknown, OwnFood>;

/** Prices a kg as purchased, in hundredths, and who brings it; all of them or none. */
export const priceChangeSchema = v.object({
  prices: v.pipe(
    v.array(
      v.strictObject({
        ingredientId: textField('The ingredient'),
        centsPerKg: numberField('The price', 0, 10_000_000, 'hundredths a kg'),
        supplier: v.optional(
          v.pipe(
            v.string('The supplier must be text.'),
            v.maxLength(60, 'The supplier must be at most 60 characters.'),
          ),
        ),
      }),
      'Prices must be a list.',
    ),
    v.minLength(1, 'No price was given.'),
    v.maxLength(2000, 'At most 2000 prices at once.'),
  ),
});
export type PriceChange = v.InferOutput<typeof priceChangeSchema>;

/** A file to read: its name tells the format, its text is all of it. */
export const fileSchema = v.object({
  name: textField('The file’s name', 200),
  text: v.pipe(
    v.string('The file must be text.'),
    v.minLength(1, 'The file is empty.'),
    v.maxLength(4_000_000, 'The file is larger than 4 MB.'),
  ),
});
export type FileToRead = v.InferOutput<typeof fileSchema>;

/** A book to take in: the foods whose labels a person has checked, by id. The same said again is done once. */
export const takeBookSchema = v.object({
  id: v.optional(idField('id')),
  ...fileSchema.entries,
  checkedFoodIds: v.optional(
    v.pipe(v.array(textField('A food')), v.maxLength(2000, 'At most 2000 foods at once.')),
    [],
  ),
});
export type TakeBook = v.InferOutput<typeof takeBookSchema>;
