import { Link } from 'react-router';
import styled from 'styled-components';
import type { TracedStep } from '../../../contract';
import { Over } from '../../components/text';

import { colour, space } from '../../theme/tokens';
import { dayAndHour, larderWords, litres } from '../../words';

const List = styled.ol`
  display: grid;
  gap: 2px;
  li {
    display: grid;
    gap: 2px;
    padding: ${space.s} 0 ${space.s} ${space.m};
    border-left: 3px solid ${colour.line};
  }
  li[data-kind='batch'] {
    border-left-color: ${colour.act};
  }
`;

/** Where a lot went or came from, the nearest first, each step a hand further. */
export function TraceList({
  steps,
  zone,
  ending,
}: {
  steps: readonly TracedStep[];
  zone: string;
  ending: string;
}) {
  if (steps.length === 0) return <Over>{ending}</Over>;
  return (
    <List>
      {steps.map((step) => (
        <li key={step.id} data-kind={step.kind} style={{ marginLeft: `${(step.steps - 1) * 22}px` }}>
          {step.batch ? (
            <>
              <span>
                <Link to={step.batch.isOpen ? `/batches/${step.id}` : `/log/${step.id}`}>
                  {step.batch.name}
                </Link>
                , {dayAndHour(step.batch.serviceAtMs, zone)}
              </span>
              <Over as="span">
                {larderWords.kg(
                  step.kg,
                  step.batch.served > 0
                    ? larderWords.bowlsServed(step.batch.served)
                    : larderWords.noBowlServed,
                )}
                {step.batch.discarded > 0 && larderWords.thrownAway(step.batch.discarded)}
                {step.batch.isOpen
                  ? larderWords.stillOpen
                  : step.batch.leftLitres
                    ? larderWords.leftAtClosing(litres(step.batch.leftLitres))
                    : ''}
              </Over>
            </>
          ) : step.lot ? (
            <>
              <span>
                <Link to={`/larder/lots/${step.id}`}>{larderWords.lot4(step.lot.name, step.lot.number)}</Link>
              </span>
              <Over as="span">
                {larderWords.kg(
                  step.kg,
                  step.lot.leftKg > 0.005
                    ? larderWords.kgLeft(step.lot.leftKg, step.lot.place)
                    : larderWords.usedUp,
                )}
                {step.lot.origin.kind === 'delivery' && larderWords.from3(step.lot.origin.supplier)}
              </Over>
            </>
          ) : (
            <span>{step.id}</span>
          )}
        </li>
      ))}
    </List>
  );
}
