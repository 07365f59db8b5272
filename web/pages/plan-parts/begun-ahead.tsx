import styled from 'styled-components';
import { begunAhead } from '../../../core/lists';
import type { Plan, PlanInput } from '../../../core/plan';
import { Subtitle } from '../../components/text';
import { colour, size, space } from '../../theme/tokens';
import { dayAndHour, planWords, weight } from '../../words';

const List = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 ${space.m};
    padding: ${space.xs} 0;
    border-bottom: 1px solid ${colour.line};
  }
  small {
    grid-column: 1 / -1;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  .late {
    color: ${colour.danger};
  }
`;

/** What stands for hours before the pot is begun, with the hour to begin; too late, what still can be done. */
export function BegunAheadList({
  plan,
  input,
  nowMs,
  zone,
}: {
  plan: Plan;
  input: PlanInput;
  nowMs: number;
  zone: string;
}) {
  const items = begunAhead({ recipe: input.recipe, plan, ingredients: input.ingredients }, nowMs);
  if (items.length === 0) return null;
  return (
    <section aria-label={planWords.beginsBefore}>
      <Subtitle>{planWords.beginsBefore}</Subtitle>
      <List>
        {items.map((item) => (
          <li key={item.lineId}>
            <span>
              {planWords.aheadHow(item.how.code, item.name, weight(item.purchasedKg), item.how.hours)}
            </span>
            <b className={item.shortWays ? 'late' : undefined}>
              {item.shortWays ? planWords.tooLate : planWords.beginBy(dayAndHour(item.beginByMs, zone))}
            </b>
            {item.shortWays && <small>{planWords.shortWays(item.shortWays)}</small>}
          </li>
        ))}
      </List>
    </section>
  );
}
