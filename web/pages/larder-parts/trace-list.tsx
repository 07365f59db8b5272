import { Link } from 'react-router';
import styled from 'styled-components';
import { dayAndHour, litres, type TracedStep } from '../../../contract';
import { Over } from '../../components/text';

import { colour, space } from '../../theme/tokens';

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
                {step.kg.toFixed(2)} kg;{' '}
                {step.batch.served > 0 ? `${step.batch.served} bowls served` : 'no bowl served'}
                {step.batch.discarded > 0 && `, ${step.batch.discarded} thrown away`}
                {step.batch.isOpen
                  ? ', still open'
                  : step.batch.leftLitres
                    ? `, ${litres(step.batch.leftLitres)} left at closing`
                    : ''}
              </Over>
            </>
          ) : step.lot ? (
            <>
              <span>
                <Link to={`/larder/lots/${step.id}`}>
                  {step.lot.name}, lot {step.lot.number}
                </Link>
              </span>
              <Over as="span">
                {step.kg.toFixed(2)} kg;{' '}
                {step.lot.leftKg > 0.005
                  ? `${step.lot.leftKg.toFixed(2)} kg left, ${step.lot.place}`
                  : 'used up'}
                {step.lot.origin.kind === 'delivery' && `; from ${step.lot.origin.supplier}`}
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
