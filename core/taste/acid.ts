import { atLeast } from '../check';

/** g/mol. source: atomic weights; citric acid anhydrous, three acid hydrogens: 192.1 / 3 = 64.0 g each */
const BICARBONATE_G = 84.0;
const CITRIC_G_PER_ACID = 64.0;
/** L of a mole of gas at 25 °C and 101.3 kPa. source: ideal gas, RT/p */
const GAS_L = 24.47;
const SODIUM_G = 22.99;
/** Salt that holds as much sodium. source: atomic weights, 58.44 / 22.99 */
const SALT_OF_SODIUM = 2.542;

/**
 * What baking soda does to acid: it is gone as gas, and its sodium stays and tastes of it.
 *
 * @param acidG grams to be neutralised, as anhydrous citric acid, 0 or more
 * @returns grams of bicarbonate; litres of gas at 25 °C; the sodium left in g, and the salt that holds as much, g
 * @example neutralised(5).bicarbonateG // => 6.5625
 * @source stoichiometry: HCO₃⁻ + H⁺ → CO₂ + H₂O
 */
export function neutralised(acidG: number): {
  bicarbonateG: number;
  gasL: number;
  sodiumG: number;
  asSaltG: number;
} {
  const mol = atLeast('acidG', acidG, 0) / CITRIC_G_PER_ACID;
  const sodiumG = mol * SODIUM_G;
  return {
    bicarbonateG: mol * BICARBONATE_G,
    gasL: mol * GAS_L,
    sodiumG,
    asSaltG: sodiumG * SALT_OF_SODIUM,
  };
}
