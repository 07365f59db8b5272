import styled from 'styled-components';
import { span } from '../../../contract';
import { trueMl } from '../../../core/batch';
import { potLitres } from '../../../core/pot';
import type { PassBoard } from '../../../core/service';
import { Over, Soft } from '../../components/text';
import { colour, font, media, space } from '../../theme/tokens';
import { bowlWords, ladleWords, litres, passWords, portion, portionWord } from '../../words';
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
  flex-wrap: wrap;
  gap: ${space.s} ${space.xl};
  dt {
    color: ${colour.soft};
  }
  dd {
    font-family: ${font.title};
    font-weight: 700;
    font-size: 30px;
    white-space: nowrap;
  }
  ${media.narrow} {
    gap: ${space.s} ${space.l};
    dd {
      font-size: 24px;
    }
  }
`;

/** Portions in the pot for the guests of now. */
export function BowlsLeft({ here, board }: { here: BatchHere; board: PassBoard }) {
  const { plan } = here.batch.snapshot;
  const { nowMs } = here.pot;
  const { word } = board.kinds[0]!.kind;
  return (
    <div>
      <Over>
        {plan.serviceAtMs > nowMs
          ? passWords.serviceIn(span(plan.serviceAtMs - nowMs))
          : passWords.servingFor(span(nowMs - plan.serviceAtMs))}
      </Over>
      <Left>
        {board.portionsLeft} <small>{passWords.leftOf(portionWord(word, board.portionsLeft))}</small>
      </Left>
    </div>
  );
}

/** Bowls out, what is expected and kept, and the ladle for them. */
export function BowlsOut({ here, board }: { here: BatchHere; board: PassBoard }) {
  const { input } = here.batch.snapshot;
  const { state } = here.pot;
  const kind = board.kinds[0]!.kind;
  const words = [ladleWords, bowlWords].flatMap((of) => of(kind.ml, here.kitchen) ?? []);
  const ladled = kind.word === 'bowl' ? words : words.slice(0, 1);
  return (
    <>
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
          <dt>{passWords.expected}</dt>
          <dd>{board.covers}</dd>
        </div>
        <div>
          <dt>{passWords.volume}</dt>
          <dd>{litres(board.litres)}</dd>
        </div>
        {board.keptLitres > 0.05 && (
          <div>
            <dt>{passWords.keptLater}</dt>
            <dd>{litres(board.keptLitres)}</dd>
          </div>
        )}
      </Tally>
      {ladled.length > 0 && <Soft>{ladled.join(' ')}</Soft>}
      {input.ladle && portion(trueMl(input, kind)) !== portion(kind.ml) && (
        <Over>
          {passWords.ladleGives(portion(trueMl(input, kind)), portion(kind.ml), input.ladle.batches)}
        </Over>
      )}
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
