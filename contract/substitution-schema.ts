import * as v from 'valibot';
import { type Substitution, SWAP_KEEPS } from '../core/substitute';
import { numberField, textField } from './number-field';

export const substitutionSchema: v.GenericSchema<unknown, Substitution> = v.variant('kind', [
  v.strictObject({
    kind: v.literal('swap'),
    lineId: textField('The line'),
    byIngredientId: textField('The substitute'),
    share: numberField('The share', 0, 1, ''),
    keep: v.picklist(SWAP_KEEPS, 'What is kept must be one of the known measures.'),
  }),
  v.strictObject({
    kind: v.literal('aromatics'),
    lineId: textField('The line'),
    share: numberField('The share', 0, 1, ''),
  }),
  v.strictObject({
    kind: v.literal('bouillon'),
    lineId: textField('The line'),
    share: numberField('The share', 0, 1, ''),
    gPerL: numberField('Bouillon', 0, 100, 'g/L'),
  }),
  v.strictObject({
    kind: v.literal('dairyFat'),
    milkLineId: textField('The milk'),
    creamLineId: textField('The cream'),
    fatPercent: numberField('Fat', 0, 100, '%'),
  }),
  v.strictObject({ kind: v.literal('makeUp'), byIngredientId: textField('What makes it up') }),
]);
