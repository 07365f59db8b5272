import * as v from 'valibot';
import { FINISH_IDS } from '../core/batch';
import { ALLERGENS, type Allergen } from '../core/matter';
import { litresOfKinds, PORTION_WORDS } from '../core/portions';
import { countField, idField, numberField, textField, timeField } from './number-field';
import { substitutionSchema } from './substitution-schema';

/** Limits of an order, in one place for the form, the server and the tests. */
export const ORDER_LIMITS = {
  portions: { min: 1, max: 2000 },
  portionMl: { min: 30, max: 1000 },
  /** a tub to take away is larger than a bowl */
  kindMl: { max: 5000 },
  saltPercent: { min: 0, max: 26 },
  band: { min: 0, max: 6 },
  holdBackShare: { min: 0, max: 0.6 },
} as const;

const ALLERGEN_IDS = Object.keys(ALLERGENS) as [Allergen, ...Allergen[]];

/** What a guest may not eat. */
export const freeOfField = v.pipe(
  v.array(v.picklist(ALLERGEN_IDS, 'That allergen is not known.')),
  v.maxLength(ALLERGEN_IDS.length, 'Each allergen once.'),
  v.readonly(),
);

/** Portions of one kind. */
export const portionKind = v.strictObject({
  id: textField('The kind of portion', 40),
  word: v.picklist(PORTION_WORDS, 'A portion is a bowl, a cup, a tub or a staff meal.'),
  ml: numberField('A portion', ORDER_LIMITS.portionMl.min, ORDER_LIMITS.kindMl.max, 'mL'),
  count: countField('How many', 1, ORDER_LIMITS.portions.max),
  laterMs: v.optional(timeField('The later service')),
  freeOf: v.optional(freeOfField),
  garnish: v.optional(v.record(v.string(), numberField('The garnish', 0, 10, 'times'))),
  isGrilled: v.optional(v.boolean()),
});

/** An order: what, how much, when, in which pot, on which burner. */
export const planRequestSchema = v.object({
  recipeId: textField('The recipe'),
  /** whole ones, or what some litres come to */
  portions: numberField('Bowls', ORDER_LIMITS.portions.min, ORDER_LIMITS.portions.max, ''),
  portionMl: numberField('A bowl', ORDER_LIMITS.portionMl.min, ORDER_LIMITS.portionMl.max, 'mL'),
  /** what the portions are, where they are not all bowls of one size for everybody */
  kinds: v.optional(
    v.pipe(
      v.array(portionKind),
      v.minLength(1, 'An order has at least one kind of portion.'),
      v.maxLength(20, 'At most 20 kinds of portion.'),
      v.check(
        (kinds) => new Set(kinds.map((one) => one.id)).size === kinds.length,
        'Each kind has an id of its own.',
      ),
      v.check(
        (kinds) => litresOfKinds(kinds) * 1000 <= ORDER_LIMITS.portions.max * ORDER_LIMITS.portionMl.max,
        'That is more than any order.',
      ),
    ),
  ),
  saltPercent: numberField('Salt', ORDER_LIMITS.saltPercent.min, ORDER_LIMITS.saltPercent.max, '%'),
  band: numberField('Thickness', ORDER_LIMITS.band.min, ORDER_LIMITS.band.max, ''),
  serviceAtMs: timeField('The service time'),
  potId: textField('The pot'),
  burnerId: textField('The burner'),
  /** share of a bowl kept out of the pot and ladled in hot */
  holdBackShare: v.optional(numberField('What is held back', 0, ORDER_LIMITS.holdBackShare.max, 'of a bowl')),
  /** why it is cooked although the larder is short of a base: where that comes from */
  overrideReason: v.optional(textField('Where it comes from', 200)),
  /** lots that are drawn although they bring what the dish does not hold */
  lotIds: v.optional(v.pipe(v.array(textField('A lot', 80)), v.maxLength(40, 'At most 40 lots.'))),
  /** what stands in for what, one after the other */
  changes: v.optional(v.pipe(v.array(substitutionSchema), v.maxLength(12, 'At most twelve substitutions.'))),
});

export type PlanRequest = v.InferOutput<typeof planRequestSchema>;

/** An order kept for a day to come: cooked from then, wanted of the larder now. */
export const keepOrderSchema = v.object({
  id: idField('id'),
  ...planRequestSchema.entries,
});

export type KeepOrder = v.InferOutput<typeof keepOrderSchema>;

export const startBatchSchema = v.object({
  id: idField('id'),
  /** the kept order it is cooked for */
  orderId: v.optional(textField('The order')),
  ...planRequestSchema.entries,
});

export type StartBatch = v.InferOutput<typeof startBatchSchema>;

/** A part of a pot that is to go on in another: the parent's entry and the batch that it becomes have an id each. */
export const drawPartSchema = v.strictObject({
  id: idField('id'),
  eventId: idField('eventId'),
  litres: numberField('What is drawn off', 0.01, 2000, 'L'),
  name: textField('What it becomes', 60),
  potId: textField('The pot'),
  burnerId: textField('The burner'),
  kinds: v.pipe(v.array(portionKind), v.maxLength(20, 'At most 20 kinds of portion.')),
  leaveOut: v.pipe(v.array(textField('A line')), v.maxLength(60, 'At most 60 lines.')),
  serviceAtMs: v.optional(timeField('The service time')),
  finish: v.optional(
    v.strictObject({
      finishId: v.picklist(FINISH_IDS, 'That way to finish is not known.'),
      ingredientId: v.optional(textField('What is cooked in it')),
      gEach: v.optional(numberField('Of it a portion', 1, 1000, 'g')),
      thicknessCm: v.optional(numberField('How thick the fish is', 0.3, 10, 'cm')),
    }),
  ),
});

export type DrawPart = v.InferOutput<typeof drawPartSchema>;
