import styled from 'styled-components';
import type { KitchenView } from '../../../contract';
import type { LotView } from '../../../core/views';
import { FigureText, Over } from '../../components/text';
import { Tub } from '../../components/tub';
import { useRecipes } from '../../data/queries';
import { colour, media } from '../../theme/tokens';
import { dateWords, isPouredLot, lotAmount, lotColour, lotPrice, lotWords, standingWords } from '../../words';
import { RowLink } from './row-link';

const Row = styled(RowLink)`
  grid-template-columns: 60px minmax(0, 1fr) 150px 132px;
  align-items: center;
  .number {
    color: ${colour.soft};
    font-weight: 400;
    white-space: nowrap;
  }
  .left {
    text-align: right;
  }
  ${media.narrow} {
    grid-template-columns: 52px minmax(0, 1fr) auto;
    .when {
      grid-column: 2;
    }
    .left {
      grid-column: 3;
      grid-row: 1;
    }
  }
`;

const Tone = styled.span<{ $tone: 'calm' | 'soon' | 'past' }>`
  font-weight: 700;
  color: ${({ $tone }) => ({ calm: colour.onTarget, soon: colour.lookIn, past: colour.danger })[$tone]};
  &::before {
    content: ${({ $tone }) => ({ calm: '""', soon: '"▲ "', past: '"✕ "' })[$tone]};
  }
`;

/** One lot on the shelf: its tub to its level, what it is, until when, how much is left. */
export function LotRow({ lot, kitchen, nowMs }: { lot: LotView; kitchen: KitchenView; nowMs: number }) {
  const { data: recipes } = useRecipes();
  const date = dateWords(lot, nowMs, kitchen.zone);
  return (
    <Row to={`/larder/lots/${lot.id}`}>
      <Tub
        share={lot.leftKg / lot.bornKg}
        food={lotColour(lot, recipes)}
        isFrozen={lot.storage === 'frozen'}
        isCrate={lot.origin.kind === 'delivery'}
      />
      <span>
        <strong>{lot.name}</strong> <span className="number">{lotWords.lot(lot.number)}</span>
        <Over as="span" style={{ display: 'block' }}>
          {[lot.place, ...standingWords(lot)].join(' · ')}
        </Over>
        {lot.countIt && <Tone $tone="past">{lotWords.countItMoreWasUsed}</Tone>}
      </span>
      <span className="when">
        <Tone $tone={date.tone}>{date.left}</Tone>
        <Over as="span" style={{ display: 'block' }}>
          {date.date}
        </Over>
      </span>
      <span className="left">
        <FigureText>{lotAmount(lot, lot.leftKg)}</FigureText>
        <Over as="span" style={{ display: 'block' }}>
          {lotWords.pricePer(lotPrice(lot, kitchen.currency), isPouredLot(lot))}
        </Over>
      </span>
    </Row>
  );
}
