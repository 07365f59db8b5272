import * as v from 'valibot';
import { countField, numberField, textField } from './number-field';

/** Limits of an order, in one place for the form, the server and the tests. */
export const ORDER_LIMITS = {
  portions: { min: 1, max: 1000 },
  portionMl: { min: 30, max: 1000 },
  saltPercent: { min: 0, max: 26 },
  band: { min: 0, max: 6 },
} as const;

/** An order: what, how much, when, in which pot, on which burner. */
export const planRequestSchema = v.object({
  recipeId: textField('The recipe'),
  portions: countField('Bowls', ORDER_LIMITS.portions.min, ORDER_LIMITS.portions.max),
  portionMl: numberField('A bowl', ORDER_LIMITS.portionMl.min, ORDER_LIMITS.portionMl.max, 'mL'),
  saltPercent: numberField('Salt', ORDER_LIMITS.saltPercent.min, ORDER_LIMITS.saltPercent.max, '%'),
  band: numberField('Thickness', ORDER_LIMITS.band.min, ORDER_LIMITS.band.max, ''),
  serviceAtMs: numberField('The service time', 0, 8.64e15, 'ms'),
  potId: textField('The pot'),
  burnerId: textField('The burner'),
});

export type PlanRequest = v.InferOutput<typeof planRequestSchema>;

export const startBatchSchema = v.object({
  id: v.pipe(v.string('id must be text.'), v.uuid('id must be a UUID.')),
  ...planRequestSchema.entries,
});

export type StartBatch = v.InferOutput<typeof startBatchSchema>;
