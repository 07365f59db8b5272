export { type Adjustments, adjustments } from './adjust';
export { type Dose, type TasteFigures, type Tastes, tasteFigures, tastesNow } from './taste';
export type { AdjustHow, AdjustWay } from './thicken';
export { type AdjustOutcome, type AdjustWarning, flourPerLitre, type ToMend, toMend } from './to-mend';
export { blendedWithLots, type LotPoured, type SaltedLot } from './with-lots';
