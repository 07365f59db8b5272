export { type Adjustments, adjustments } from './adjust';
export { isSeasoning } from './is-seasoning';
export { type Dose, type TasteFigures, tasteFigures } from './taste';
export { type Tastes, tastesNow } from './tastes';
export type { AdjustHow, AdjustWay } from './thicken';
export { type AdjustOutcome, type AdjustWarning, type ToMend, toMend } from './to-mend';
export { blendedWithLots, type LotPoured, type SaltedLot } from './with-lots';
