import { type KitchenView, portion } from '../../contract';
import { bowlsFor, ladling, underRimMl } from '../../core/portions';

/** What is said at the pass. */

/** How a portion is ladled; null for a kitchen that has not said what its ladles hold. */
export function ladleWords(portionMl: number, { ladles, units }: Pick<KitchenView, 'ladles' | 'units'>) {
  const way = ladling(portionMl, ladles);
  if (!way) return null;
  const wanted = portion(portionMl, units);
  const comes = portion(way.ml, units);
  const half = way.fills % 1 === 0.5;
  const fills = `${Math.floor(way.fills) || ''}${half ? '½' : ''}`;
  const name = way.ladle.name.toLowerCase();
  return `${fills} × the ${name}${comes === wanted ? '' : `: ${comes}`}, for ${wanted}.`;
}

/** Which bowl takes a portion, or that none does; null for a kitchen without bowls. */
export function bowlWords(portionMl: number, { bowls, units }: Pick<KitchenView, 'bowls' | 'units'>) {
  const largest = [...bowls].sort((a, b) => underRimMl(b) - underRimMl(a))[0];
  if (!largest) return null;
  const [fits] = bowlsFor(portionMl, bowls);
  if (fits) return `It goes into the ${fits.name.toLowerCase()}.`;
  const takes = portion(underRimMl(largest), units);
  return `No bowl takes ${portion(portionMl, units)}: the ${largest.name.toLowerCase()} takes ${takes}.`;
}
