import { Checkbox, CheckboxGroup, Label } from 'react-aria-components';
import styled from 'styled-components';

import type { LotView } from '../../../core/views';

import { colour, radius, size, space, target } from '../../theme/tokens';
import { decimal, larderWords, litres, percent } from '../../words';

const Picked = styled(CheckboxGroup)`
  display: grid;
  .react-aria-Label {
    color: ${colour.soft};
    font-size: ${size.small};
  }
  .lot {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr) 64px 92px 96px;
    gap: ${space.s};
    align-items: center;
    min-height: ${target.anywhere};
    border-bottom: 1px solid ${colour.line};
    cursor: pointer;
  }
  .lot > :nth-child(n + 4) {
    text-align: right;
    color: ${colour.soft};
  }
  .lot[data-selected] {
    font-weight: 700;
  }
  .lot[data-focus-visible] {
    outline: 3px solid ${colour.act};
    outline-offset: 2px;
  }
  .box {
    width: 22px;
    height: 22px;
    border: 2px solid ${colour.edge};
    border-radius: ${radius.s};
    background: ${colour.sheet};
  }
  .lot[data-selected] .box {
    border-color: ${colour.act};
    background: ${colour.act};
    box-shadow: inset 0 0 0 3px ${colour.sheet};
  }
  small {
    color: ${colour.soft};
    font-weight: 400;
    white-space: nowrap;
  }
`;

/** Stands for water among the ticks. */
export const WATER = 'water';

/** The lots that may go into a blend, and water, each ticked or not. */
export function PouredFrom({
  lots,
  ticked,
  onChange,
}: {
  lots: readonly LotView[];
  ticked: readonly string[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <Picked value={[...ticked]} onChange={onChange}>
      <Label>{larderWords.fromThese}</Label>
      {lots.map((lot) => (
        <Checkbox key={lot.id} value={lot.id} className="lot">
          <span className="box" aria-hidden />
          <span>
            {lot.name} <small>{larderWords.lot(lot.number)}</small>
          </span>
          <span>{litres(lot.leftLitres)}</span>
          <span>{larderWords.brix(decimal(lot.brix, 1))}</span>
          <span>{larderWords.salt2(percent(lot.saltPercent))}</span>
        </Checkbox>
      ))}
      <Checkbox value={WATER} className="lot">
        <span className="box" aria-hidden />
        <span>{larderWords.waterIfItServes}</span>
      </Checkbox>
    </Picked>
  );
}
