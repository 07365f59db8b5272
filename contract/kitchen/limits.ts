import * as v from 'valibot';
import { FOOD_CODE } from '../../core/safety';
import { countField, numberField } from '../number-field';

/** The kitchen's own limits on keeping, holding, cooling and reheating. */
export const limitsSchema = v.strictObject({
  dateMarkDays: countField('Shelf life in days', 1, 30),
  receivingC: numberField('Cold deliveries', -5, 15, '°C'),
  shellfishTagDays: countField('Shellfish tags', 1, 730),
  hotHoldingC: numberField('Hot holding', 40, 95, '°C'),
  reheatC: numberField('Reheating', 50, 95, '°C'),
  reheatWithinH: numberField('Reheating', 0.25, 12, 'h'),
  coolFirstWithinH: numberField('Cooling to 21 °C', 0.25, 12, 'h'),
  coolWithinH: numberField('Cooling to 5 °C', 0.5, 24, 'h'),
});

export type KeepingLimits = v.InferOutput<typeof limitsSchema>;
export type LimitName = keyof KeepingLimits;

/** Each limit as the food code has it, its section, and which way is stricter. source: FDA Food Code 2022 */
export const CODE_LIMITS: Readonly<
  Record<LimitName, { value: number; section: string; stricter: 'less' | 'more' }>
> = {
  dateMarkDays: { ...FOOD_CODE.dateMarkDays, stricter: 'less' },
  receivingC: { ...FOOD_CODE.receivingC, stricter: 'less' },
  shellfishTagDays: { ...FOOD_CODE.shellfishTagDays, stricter: 'more' },
  hotHoldingC: { ...FOOD_CODE.hotHoldingC, stricter: 'more' },
  reheatC: { ...FOOD_CODE.reheatC, stricter: 'more' },
  reheatWithinH: { ...FOOD_CODE.reheatWithinH, stricter: 'less' },
  coolFirstWithinH: { ...FOOD_CODE.coolFirstWithinH, stricter: 'less' },
  coolWithinH: { ...FOOD_CODE.coolWithinH, stricter: 'less' },
};

export const LIMIT_NAMES = Object.keys(CODE_LIMITS) as LimitName[];

/** What a kitchen keeps to until it says otherwise. */
export const DEFAULT_LIMITS = Object.fromEntries(
  LIMIT_NAMES.map((name) => [name, CODE_LIMITS[name].value]),
) as KeepingLimits;

/** True where a limit allows more than the code does. */
export function isLaxer(name: LimitName, value: number): boolean {
  const { value: code, stricter } = CODE_LIMITS[name];
  return stricter === 'less' ? value > code : value < code;
}
