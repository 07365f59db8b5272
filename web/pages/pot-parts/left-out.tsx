import styled from 'styled-components';
import { leftOut } from '../../../core/batch';
import { Button } from '../../components/button';
import { Errors, Over } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { amountOf } from '../plan-parts/weigh-list';
import { itemsOf } from './amounts-sheet';
import { drawsOf } from './begin';
import { useSubmit } from './use-submit';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.s};
  padding: ${space.s} ${space.m};
  border: 1px solid ${colour.line};
  border-radius: 10px;
`;

/** What an earlier stage passed over: a forgotten bay leaf goes in at any moment. */
export function LeftOut({ here }: { here: BatchHere }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const lines = leftOut(here.batch.snapshot, here.pot.state);
  if (lines.length === 0) return null;
  return (
    <Row role="group" aria-label={potWords.notInYet}>
      <Over>{potWords.notInYet}</Over>
      {lines.map((line) => (
        <Button
          key={line.lineId}
          onPress={() =>
            tell({ type: 'added', payload: { items: itemsOf([line], drawsOf(here.batch.snapshot)) } })
          }
        >
          {potWords.inNow(line.name, amountOf(line))}
        </Button>
      ))}
      <Errors sentences={refusals} />
    </Row>
  );
}
