import styled from 'styled-components';
import { span } from '../../../contract';
import { potLitres } from '../../../core/pot';
import { Over, Soft } from '../../components/text';
import { colour, font, space } from '../../theme/tokens';
import { bowlWords, ladleWords, litres, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';

const Left = styled.p`
  font-family: ${font.title};
  font-weight: 700;
  font-size: 84px;
  line-height: 0.95;
  small {
    font-size: 28px;
    font-weight: 650;
    color: ${colour.soft};
  }
`;

const Tally = styled.dl`
  display: flex;
  gap: ${space.xl};
  dt {
    color: ${colour.soft};
  }
  dd {
    font-family: ${font.title};
    font-weight: 700;
    font-size: 30px;
  }
`;

/** Bowls in the pot, bowls out, and the ladle for them. */
export function BowlsThere({ here, left }: { here: BatchHere; left: number }) {
  const { input, plan } = here.batch.snapshot;
  const { state, nowMs } = here.pot;
  const inPot = potLitres(state.pot);
  const ladled = [ladleWords, bowlWords].flatMap((words) => words(input.portionMl, here.kitchen) ?? []);
  return (
    <>
      <div>
        <Over>
          {plan.serviceAtMs > nowMs
            ? passWords.serviceIn(span(plan.serviceAtMs - nowMs))
            : passWords.servingFor(span(nowMs - plan.serviceAtMs))}
        </Over>
        <Left>
          {left} <small>{passWords.bowlsInThePot}</small>
        </Left>
      </div>
      <Tally>
        <div>
          <dt>{passWords.served}</dt>
          <dd>{state.served}</dd>
        </div>
        <div>
          <dt>{passWords.discarded}</dt>
          <dd>{state.discarded}</dd>
        </div>
        <div>
          <dt>{passWords.ordered}</dt>
          <dd>{plan.portions}</dd>
        </div>
        <div>
          <dt>{passWords.volume}</dt>
          <dd>{litres(inPot)}</dd>
        </div>
      </Tally>
      {ladled.length > 0 && <Soft>{ladled.join(' ')}</Soft>}
    </>
  );
}

/** Litres of a base in the pot, and what has been stored. */
export function LitresThere({ here }: { here: BatchHere }) {
  const { plan } = here.batch.snapshot;
  const { state, nowMs } = here.pot;
  const stored = state.stored.reduce((sum, one) => sum + one.litres, 0);
  return (
    <>
      <div>
        <Over>
          {plan.serviceAtMs > nowMs
            ? passWords.wantedIn(span(plan.serviceAtMs - nowMs))
            : passWords.wantedAgo(span(nowMs - plan.serviceAtMs))}
        </Over>
        <Left>
          {litres(potLitres(state.pot))} <small>{passWords.inThePot}</small>
        </Left>
      </div>
      <Tally>
        <div>
          <dt>{passWords.stored2}</dt>
          <dd>{litres(stored)}</dd>
        </div>
        <div>
          <dt>{passWords.planned}</dt>
          <dd>{litres(plan.yieldLitres)}</dd>
        </div>
        <div>
          <dt>{passWords.steamedOff}</dt>
          <dd>{passWords.kg(state.pot.evaporatedKg)}</dd>
        </div>
      </Tally>
    </>
  );
}
