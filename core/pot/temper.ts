import { positive, within } from '../check';
import { mixTempC } from '../heat';

/** One step of tempering: after so many ladles, so warm. */
export interface TemperStep {
  ladles: number;
  tempC: number;
}

/** kJ/kgK of hot soup. source: common practice: 3.9 */
const SOUP_KJ = 3.9;

/**
 * Slaking or tempering: ladles of hot liquid into what would lump or scramble, until it is warm enough to go in.
 *
 * @param massKg of the liaison, miso, dairy or starch, above 0
 * @param specificHeatKJ of it, kJ/kgK, above 0
 * @param tempC it starts at, -5..60 °C
 * @param hotC the pot's temperature, 40..110 °C
 * @param ladleKg one ladle, above 0
 * @param toC how warm it should be before it goes in, below hotC
 * @returns each ladle with the temperature that gives; the last is at `toC` or above, after 40 ladles at the most
 * @throws RangeError naming the bad argument
 * @example temper({ massKg: 1, specificHeatKJ: 3.9, tempC: 10, hotC: 90, ladleKg: 0.25, toC: 40 }).length // => 3
 * @source heat balance without losses, docs/model.md § 4
 */
export function temper(of: {
  massKg: number;
  specificHeatKJ: number;
  tempC: number;
  hotC: number;
  ladleKg: number;
  toC: number;
}): TemperStep[] {
  const cold = {
    massKg: positive('massKg', of.massKg),
    specificHeatKJ: positive('specificHeatKJ', of.specificHeatKJ),
    tempC: within('tempC', of.tempC, -5, 60),
  };
  const hotC = within('hotC', of.hotC, 40, 110);
  if (of.toC >= hotC) throw new RangeError(`toC must be below hotC ${hotC}, got ${of.toC}`);
  const ladleKg = positive('ladleKg', of.ladleKg);
  const steps: TemperStep[] = [];
  for (let ladles = 1; ladles <= MOST_LADLES; ladles++) {
    const hot = { massKg: ladleKg * ladles, specificHeatKJ: SOUP_KJ, tempC: hotC };
    const tempC = mixTempC({ parts: [cold, hot] });
    steps.push({ ladles, tempC });
    if (tempC >= of.toC) break;
  }
  return steps;
}

/** Who needs more takes a larger ladle. */
const MOST_LADLES = 40;
