import { useMemo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { BatchView, KitchenView } from '../../../contract';
import { type TrimHeap, useItUp as trimmingsOf } from '../../../core/bases';
import { INGREDIENT_BY_ID } from '../../../core/matter';
import { heapsOfOrders } from '../../../core/order';
import { Over, Soft, Subtitle } from '../../components/text';
import { useOpenBatches, useOrders, useRecipes, useWholeKitchen } from '../../data/queries';
import { colour, space } from '../../theme/tokens';
import { larderWords, litres, weight } from '../../words';

const Part = styled.section`
  display: grid;
  gap: ${space.s};
  align-content: start;
  li {
    padding: 4px 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** Trimmings that the board leaves this week, and the stocks that want them; those that none does, and why. */
export function UseItUp({ kitchen }: { kitchen: KitchenView }) {
  const { data: open } = useOpenBatches();
  const { data: orders } = useOrders();
  const { data: book } = useRecipes();
  const whole = useWholeKitchen(kitchen);
  const found = useMemo(() => {
    if (!open || !orders || !book || !whole) return null;
    const heaps = [...open.flatMap(heapsOfBatch), ...heapsOfOrders(orders, whole, book)];
    return trimmingsOf(heaps, INGREDIENT_BY_ID);
  }, [open, orders, book, whole]);
  if (!found || (found.uses.length === 0 && found.not.length === 0)) return null;
  return (
    <Part aria-label={larderWords.trimToCome}>
      <Subtitle>{larderWords.trimToCome}</Subtitle>
      <Over>{larderWords.trimThatOpenBatchesAnd}</Over>
      <ul>
        {found.uses.slice(0, 4).map((use) => (
          <li key={use.kind.id}>
            <Link to={`/larder/bases/${use.kind.id}`}>{use.kind.name}</Link>
            {larderWords.enoughFor(weight(use.kg), litres(use.litres))}
            <Over>
              {use.trimmings
                .map((one) => `${weight(one.kg)} ${one.name.toLowerCase()} ${one.part}`)
                .join('; ')}
            </Over>
          </li>
        ))}
      </ul>
      {found.not.length > 0 && (
        <Soft>
          {larderWords.notForAny(
            found.not
              .slice(0, 4)
              .map((one) => `${one.name.toLowerCase()} ${one.part} (${one.why})`)
              .join('; '),
          )}
        </Soft>
      )}
    </Part>
  );
}

function heapsOfBatch({ snapshot }: BatchView): TrimHeap[] {
  return snapshot.plan.lines.map((line) => ({
    ingredientId: line.ingredientId,
    trimKg: line.purchasedKg - line.edibleKg,
  }));
}
