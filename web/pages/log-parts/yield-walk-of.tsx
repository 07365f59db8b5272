import { useMemo } from 'react';
import styled from 'styled-components';
import type { BatchView, KitchenView } from '../../../contract';
import { foldBatch, type YieldStep, yieldWalk } from '../../../core/batch';
import { YieldChart } from '../../components/chart/yield-chart';
import { Soft, Subtitle } from '../../components/text';
import { colour, size } from '../../theme/tokens';
import { logWords, money, weight, yieldStepName, yieldWords } from '../../words';

/** Less than this nobody sees, kg. */
const SEEN_KG = 0.005;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: ${size.small};
  th,
  td {
    padding: 6px 0;
    text-align: right;
    border-bottom: 1px solid ${colour.line};
    font-weight: 400;
  }
  th:first-child {
    text-align: left;
  }
  thead th {
    color: ${colour.soft};
  }
  tr[data-sum='true'] > * {
    font-weight: 700;
  }
`;

const WASTED: ReadonlySet<YieldStep['step']> = new Set(['lost', 'discarded', 'clung']);

/** The way from what was bought to what was eaten: a picture, and each step beside its plan and in money a bowl. */
export function YieldWalkOf({ batch, kitchen }: { batch: BatchView; kitchen: KitchenView }) {
  const { snapshot, events, closedAtMs } = batch;
  const steps = useMemo(() => {
    const state = foldBatch(snapshot, events, closedAtMs ?? batch.createdAtMs);
    return yieldWalk(snapshot, state).filter((one) => one.isSum || Math.abs(one.kg) >= SEEN_KG);
  }, [batch]);
  const bars = useMemo(() => {
    let thereKg = 0;
    return steps.map((one) => {
      const fromKg = one.isSum ? 0 : thereKg - one.kg;
      const toKg = one.isSum ? one.kg : thereKg;
      thereKg = one.isSum ? one.kg : fromKg;
      const is = one.isSum
        ? ('sum' as const)
        : WASTED.has(one.step)
          ? ('wasted' as const)
          : ('leaves' as const);
      return { name: yieldStepName(one), fromKg, toKg, is };
    });
  }, [steps]);
  const bowls = batch.result?.served ?? 0;
  const wasted = steps.filter((one) => WASTED.has(one.step));
  const wastedCents = wasted.reduce((cents, one) => cents + one.cents, 0);
  if (steps.every((one) => one.kg === 0)) return null;
  return (
    <section aria-label={yieldWords.theWay}>
      <Subtitle>{yieldWords.theWay}</Subtitle>
      <YieldChart bars={bars} axis={(kg) => weight(kg)} description={yieldWords.picture(bars.length)} />
      {wastedCents > 0 && bowls > 0 && (
        <Soft>
          {yieldWords.wasteCost(
            money(wastedCents, kitchen.currency),
            money(wastedCents / bowls, kitchen.currency),
          )}
        </Soft>
      )}
      <Table>
        <thead>
          <tr>
            <th scope="col">{logWords.what}</th>
            <th scope="col">{logWords.planned}</th>
            <th scope="col">{logWords.actual}</th>
            {bowls > 0 && <th scope="col">{yieldWords.aBowl}</th>}
          </tr>
        </thead>
        <tbody>
          {steps.map((one) => (
            <tr key={`${one.step} ${one.reason}`} data-sum={one.isSum}>
              <th scope="row">{yieldStepName(one)}</th>
              <td>{one.plannedKg === null ? '' : weight(one.plannedKg)}</td>
              <td>{weight(one.kg)}</td>
              {bowls > 0 && <td>{one.cents > 0 ? money(one.cents / bowls, kitchen.currency) : ''}</td>}
            </tr>
          ))}
        </tbody>
      </Table>
      {bowls > 0 && <Soft>{yieldWords.moneyIsPerBowlServed}</Soft>}
    </section>
  );
}
