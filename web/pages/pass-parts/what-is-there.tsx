import styled from 'styled-components';
import { litres, span } from '../../../contract';
import { potLitres } from '../../../core/pot';
import { Over, Soft } from '../../components/text';
import { colour, font, space } from '../../theme/tokens';
import { bowlWords, ladleWords } from '../../words/pass';
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
            ? `service in ${span(plan.serviceAtMs - nowMs)}`
            : `serving for ${span(nowMs - plan.serviceAtMs)}`}
        </Over>
        <Left>
          {left} <small>bowls in the pot</small>
        </Left>
      </div>
      <Tally>
        <div>
          <dt>served</dt>
          <dd>{state.served}</dd>
        </div>
        <div>
          <dt>discarded</dt>
          <dd>{state.discarded}</dd>
        </div>
        <div>
          <dt>ordered</dt>
          <dd>{plan.portions}</dd>
        </div>
        <div>
          <dt>in litres</dt>
          <dd>{litres(inPot)}</dd>
        </div>
      </Tally>
      {ladled.length > 0 && <Soft>{ladled.join(' ')}</Soft>}
    </>
  );
}

/** Litres of a base in the pot, and what has been put by. */
export function LitresThere({ here }: { here: BatchHere }) {
  const { plan } = here.batch.snapshot;
  const { state, nowMs } = here.pot;
  const stored = state.stored.reduce((sum, one) => sum + one.litres, 0);
  return (
    <>
      <div>
        <Over>
          {plan.serviceAtMs > nowMs
            ? `wanted in ${span(plan.serviceAtMs - nowMs)}`
            : `wanted ${span(nowMs - plan.serviceAtMs)} ago`}
        </Over>
        <Left>
          {potLitres(state.pot).toFixed(1)} <small>litres in the pot</small>
        </Left>
      </div>
      <Tally>
        <div>
          <dt>put by</dt>
          <dd>{litres(stored)}</dd>
        </div>
        <div>
          <dt>planned</dt>
          <dd>{litres(plan.yieldLitres)}</dd>
        </div>
        <div>
          <dt>steamed off</dt>
          <dd>{state.pot.evaporatedKg.toFixed(1)} kg</dd>
        </div>
      </Tally>
    </>
  );
}
