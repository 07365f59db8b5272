import * as v from 'valibot';
import { REHEARSAL_CALLS } from '../core/rehearse';
import { idField, numberField, textField } from './number-field';

/** What a cook called in a rehearsal, scored against its hidden truth. */
export const keepRehearsalSchema = v.strictObject({
  id: idField('id'),
  recipeId: textField('The recipe'),
  calls: v.pipe(
    v.array(
      v.strictObject({
        call: v.picklist(REHEARSAL_CALLS, 'That is no call of a rehearsal.'),
        minute: numberField('The minute', 0, 1440, 'min'),
        called: numberField('What was called', 0, 6, ''),
        really: numberField('What it was', -1, 6, ''),
        off: numberField('How far off it was', -200, 200, ''),
      }),
      'The calls must be a list.',
    ),
    v.minLength(1, 'Nothing was called.'),
    v.maxLength(20, 'At most 20 calls at once.'),
  ),
});
export type KeepRehearsal = v.InferOutput<typeof keepRehearsalSchema>;

export interface RehearsalView extends KeepRehearsal {
  atMs: number;
}
