import * as v from 'valibot';
import type { PlannedBurner, Pot } from '../core/plan';
import { numberField, textField } from './number-field';

const cm = (name: string) => numberField(name, 1, 300, 'cm');

/** A pot as a kitchen has it: its inside dimensions and what it weighs empty. */
export const potSchema: v.GenericSchema<unknown, Pot> = v.strictObject({
  id: textField('The pot'),
  name: textField('The pot’s name', 60),
  vessel: v.variant(
    'shape',
    [
      v.strictObject({
        shape: v.literal('cylinder'),
        diameterCm: cm('Its width'),
        heightCm: cm('Its height'),
      }),
      v.strictObject({
        shape: v.literal('tapered'),
        topDiameterCm: cm('Its width on top'),
        bottomDiameterCm: cm('Its width below'),
        heightCm: cm('Its height'),
      }),
      v.strictObject({ shape: v.literal('kettle'), diameterCm: cm('Its width'), heightCm: cm('Its height') }),
      v.strictObject({
        shape: v.literal('box'),
        lengthCm: cm('Its length'),
        widthCm: cm('Its width'),
        heightCm: cm('Its height'),
      }),
    ],
    'A pot is a cylinder, tapered, a kettle or a box.',
  ),
  emptyMassKg: numberField('Its empty weight', 0, 500, 'kg'),
});

/** A burner with what its batches have shown of it. */
export const burnerSchema: v.GenericSchema<unknown, PlannedBurner> = v.strictObject({
  id: textField('The burner'),
  name: textField('The burner’s name', 60),
  powerW: numberField('Its power', 50, 200_000, 'W'),
  efficiency: numberField('Its efficiency', 0.05, 1, ''),
  heatFactor: v.strictObject({
    mean: numberField('What it gives', 0.01, 10, ''),
    sd: numberField('How sure that is', 0.000001, 10, ''),
    batches: numberField('Its batches', 0, 1_000_000, ''),
  }),
  settings: v.optional(
    v.array(
      v.strictObject({
        fraction: numberField('The setting', 0, 1, 'of full'),
        lid: v.picklist(['off', 'ajar', 'on'], 'The lid is off, ajar or on.'),
        arriving: v.strictObject({
          mean: numberField('What arrives', 0, 10, ''),
          sd: numberField('How sure that is', 0, 10, ''),
        }),
      }),
    ),
  ),
});
