import * as v from 'valibot';
import { idField, numberField, textField, timeField } from './number-field';
import { substitutionSchema } from './substitution-schema';

/** Limits of an order, in one place for the form, the server and the tests. */
export const ORDER_LIMITS = {
  portions: { min: 1, max: 2000 },
  portionMl: { min: 30, max: 1000 },
  saltPercent: { min: 0, max: 26 },
  band: { min: 0, max: 6 },
  holdBackShare: { min: 0, max: 0.6 },
} as const;

/** An order: what, how much, when, in which pot, on which burner. */
export const planRequestSchema = v.object({
  recipeId: textField('The recipe'),
  /** whole ones, or what some litres come to */
  portions: numberField('Bowls', ORDER_LIMITS.portions.min, ORDER_LIMITS.portions.max, ''),
  portionMl: numberField('A bowl', ORDER_LIMITS.portionMl.min, ORDER_LIMITS.portionMl.max, 'mL'),
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
