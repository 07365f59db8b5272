import { finite, positive } from '../check';
import { DICE_DIFFUSIVITY_M2_PER_S, SOFTENING_Z_C } from './data/heat-constants';

/**
 * Minutes until the centre of a cube, dropped into hot liquid, reaches a temperature: the product of three slab
 * series with the surface at the liquid's temperature. Heating up only; softening comes on top (`softeningFactor`).
 *
 * @param edgeCm edge of the cube, above 0
 * @param startC its temperature going in, °C
 * @param liquidC the liquid's, °C, above centreC
 * @param centreC the temperature wanted at the centre, °C
 * @returns minutes; 0 if the dice are already there
 * @throws RangeError when the centre would have to reach the liquid's temperature or more
 * @example minutesToCookDice({ edgeCm: 2, startC: 20, liquidC: 100, centreC: 90 }) // => 4.35
 * @source published: Carslaw and Jaeger, Conduction of Heat in Solids, cube from slabs; diffusivity from memory
 */
export function minutesToCookDice(input: {
  edgeCm: number;
  startC: number;
  liquidC: number;
  centreC: number;
}): number {
  const edge = positive('edgeCm', input.edgeCm) / 100;
  const start = finite('startC', input.startC);
  const liquid = finite('liquidC', input.liquidC);
  const centre = finite('centreC', input.centreC);
  if (centre >= liquid) throw new RangeError(`centreC must be below liquidC ${liquid}, got ${centre}`);
  if (centre <= start) return 0;
  const wanted = Math.cbrt((liquid - centre) / (liquid - start));
  let low = 0;
  let high = 1;
  while (slabCentre(high) > wanted) high *= 2;
  for (let round = 0; round < 80; round++) {
    const middle = (low + high) / 2;
    if (slabCentre(middle) > wanted) low = middle;
    else high = middle;
  }
  return (((low + high) / 2) * edge * edge) / DICE_DIFFUSIVITY_M2_PER_S / 60;
}

/** Temperature left to gain at a slab's middle plane, 1 → 0, at Fourier number αt/L² over its full thickness L. */
function slabCentre(fourier: number): number {
  if (fourier < 1e-4) return 1;
  let sum = 0;
  for (let n = 0; n < 60; n++) {
    const odd = 2 * n + 1;
    const term = Math.exp(-odd * odd * Math.PI * Math.PI * fourier) / odd;
    sum += n % 2 === 0 ? term : -term;
    if (term < 1e-16) break;
  }
  return (4 / Math.PI) * sum;
}

/**
 * How much longer vegetables take to soften below 100 °C: tenfold for each 24 °C.
 *
 * @param liquidC the liquid's temperature, °C
 * @returns a factor on the softening minutes at 100 °C; 1 at 100
 * @throws RangeError unless finite
 * @example softeningFactor({ liquidC: 95.85 }) // => 1.489
 * @source from memory: z about 24 °C for vegetable texture
 */
export function softeningFactor({ liquidC }: { liquidC: number }): number {
  return 10 ** ((100 - finite('liquidC', liquidC)) / SOFTENING_Z_C);
}
