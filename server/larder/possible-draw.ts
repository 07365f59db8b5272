import type { LotView } from '../../contract';
import type { BatchEventBody } from '../../core/batch';
import type { Ingredient } from '../../core/matter';
import { impossible } from '../problem';
import { nameOf } from './possible-on-the-shelf';

/** A hand and a scale differ by so much, kg. */
const SCALE_KG = 0.05;

/**
 * Refuses a draw from a lot that is not there, or is past its date without the person in charge having said why; a draw
 * from an empty one, or a frozen block tipped in, really happened, and is kept.
 */
export function refuseImpossibleDraw(said: BatchEventBody, lots: readonly LotView[], atMs: number): void {
  if (said.type === 'stored') {
    if (lots.some((lot) => lot.id === said.payload.lotId))
      throw impossible('payload.lotId', `There is a lot “${said.payload.lotId}” already.`);
    return;
  }
  if (said.type !== 'added') return;
  said.payload.items.forEach((item, i) => {
    if (!item.lotId) return;
    const lot = lots.find((one) => one.id === item.lotId);
    if (!lot) throw impossible(`payload.items.${i}.lotId`, `There is no lot “${item.lotId}” in the larder.`);
    const isPast = lot.useByMs !== null && lot.useByMs < atMs;
    if (isPast && !lot.mayBePast && !item.overrideReason) {
      const sentence = `${nameOf(lot)} is past its date. The person in charge says in the larder why it is used, or it is not.`;
      throw impossible(`payload.items.${i}.overrideReason`, sentence);
    }
  });
}

/** Says where more was drawn than a lot held; null where there was enough. */
export function drawnBeyond(
  said: BatchEventBody,
  ingredients: Readonly<Record<string, Ingredient>>,
  lots: readonly LotView[],
): string | null {
  if (said.type !== 'added') return null;
  const wanted = new Map<string, number>();
  for (const item of said.payload.items) {
    const kg = item.kg / (ingredients[item.ingredientId]?.yield ?? 1);
    if (item.lotId) wanted.set(item.lotId, (wanted.get(item.lotId) ?? 0) + kg);
  }
  const beyond = lots.filter((lot) => (wanted.get(lot.id) ?? 0) > lot.leftKg + SCALE_KG);
  return beyond.length === 0
    ? null
    : `drew more from lot ${beyond.map((lot) => lot.number).join(', ')} than it held: count it`;
}
