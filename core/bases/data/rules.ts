import type { BaseRule } from '../base-kind';

/** Rules of the stockpot and their reasons. Common practice. */
export const COLD_START: BaseRule = {
  rule: 'Start in cold water.',
  reason:
    'What clouds a stock dissolves cold, then gathers as foam that can be lifted. In hot water it sets at once and stays.',
};
export const NEVER_SALT: BaseRule = {
  rule: 'Never salt it.',
  reason:
    'It will be reduced, and every litre that leaves as steam leaves its salt behind. Salt belongs to the dish.',
};
export const NEVER_BOIL: BaseRule = {
  rule: 'Never let it boil hard.',
  reason:
    'A rolling boil beats fat and foam into the liquid: grey, greasy and cloudy. No straining mends it.',
};
export const SKIM: BaseRule = {
  rule: 'Skim before it simmers, then at 10, 20 and 40 minutes, then each hour.',
  reason: 'Most of the foam comes as it heats. What is left is boiled back into the stock.',
};
export const NO_LIVER: BaseRule = {
  rule: 'No liver.',
  reason: 'It turns a stock bitter and grey. Necks, feet, wings and backs are welcome.',
};
export const BIG_CUTS: BaseRule = {
  rule: 'Vegetables big, for the last hour, lifted out.',
  reason: 'They have given what they have in an hour; small bits fall apart and must be strained.',
};
export const PEELINGS: BaseRule = {
  rule: 'Leek tops, carrot ends, mushroom stalks and parsley stalks help; cabbage, beetroot, pepper hearts and potato peel spoil it.',
  reason:
    'Cabbages turn sulphurous, beetroot stains, pepper hearts are bitter, potato clouds. Onion skins are for dark stocks only.',
};
export const COOL_FAST: BaseRule = {
  rule: 'Strain, then cool fast, in shallow pans or ice.',
  reason:
    'From 57 to 21 °C within two hours and to 5 °C within six in all. A full pot cannot do it by itself.',
};
export const WASHED: BaseRule = {
  rule: 'Scrub what goes in with its skin on.',
  reason: 'Soil in a leek or a root goes to the bottom of the pot and into the last ladle.',
};
