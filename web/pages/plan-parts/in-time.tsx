import { Link } from 'react-router';
import styled from 'styled-components';
import { Over, Soft, Subtitle } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { hourMinute, planWords } from '../../words';
import { useComputed } from '../../workers/use-computed';
import type { Order } from './use-order';

const List = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 ${space.m};
    align-items: center;
    border-bottom: 1px solid ${colour.line};
  }
  button {
    padding: 0;
    border: 0;
    text-align: left;
    background: none;
    color: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
  button,
  a {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
`;

/** For an order that should have begun: fewer bowls, or another dish, for the same hour. */
export function InTime({ order, name, zone }: { order: Order; name: string; zone: string }) {
  const { data: still, isPending, isOld } = useComputed('inTime', order.asked);
  if (isPending) return <Soft role="status">{planWords.planningEachOfThem}</Soft>;
  if (!still) return null;
  const title = planWords.stillInTimeFor(hourMinute(order.serviceAtMs, zone));
  const { bowls, dishes } = still;
  return (
    <section aria-label={title}>
      <Subtitle>{title}</Subtitle>
      {bowls === 0 && dishes.length === 0 && <Over>{planWords.nothingIsInTime}</Over>}
      <List>
        {bowls > 0 && (
          <li>
            <button type="button" disabled={isOld} onClick={() => order.setPortions(bowls)}>
              {planWords.fewerBowls(bowls, name.toLowerCase())}
            </button>
          </li>
        )}
        {dishes.map((dish) => (
          <li key={dish.recipeId}>
            <Link to={`/plan?${forDish(order.search, dish.recipeId)}`}>{dish.name}</Link>
            <Soft>{planWords.lightBy(hourMinute(dish.startAtMs, zone))}</Soft>
          </li>
        ))}
      </List>
    </section>
  );
}

/** The same order of another dish: its own salt and body, nothing drawn or put in another's place. */
function forDish(search: string, recipeId: string): string {
  const words = new URLSearchParams(search);
  for (const own of ['saltPercent', 'bandName', 'changes', 'lots', 'holdBack']) words.delete(own);
  words.set('recipe', recipeId);
  return words.toString();
}
