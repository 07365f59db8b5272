import { useState } from 'react';
import styled from 'styled-components';
import { typedNumber } from '../../../contract';
import type { AmountAnswer, OrderAmount } from '../../../core/order';
import { Button } from '../../components/button';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, Soft } from '../../components/text';
import { space } from '../../theme/tokens';
import { planWords, volume, weight } from '../../words';
import { compute } from '../../workers/use-computed';
import type { Order } from './use-order';

const Fields = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
`;

/** The order from what I have: some figures of what lies there, the line that sets the limit, what stays over. */
export function HaveSheet({
  order,
  isOpen,
  onClose,
}: {
  order: Order;
  isOpen: boolean;
  onClose: () => void;
}) {
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [answer, setAnswer] = useState<AmountAnswer | null>(null);
  const [wrong, setWrong] = useState<string[]>([]);
  const input = order.shown?.input;
  if (!input) return null;
  const seen = new Set<string>();
  const lines = (order.shown?.plan.lines ?? []).filter((line) => {
    const isFirst = !seen.has(line.ingredientId);
    seen.add(line.ingredientId);
    return isFirst && line.purchasedKg > 0.05;
  });
  const ask = async () => {
    const errors: string[] = [];
    const haveKg: Record<string, number> = {};
    for (const line of lines) {
      const text = typed[line.ingredientId]?.trim() ?? '';
      if (text === '') continue;
      const value = typedNumber(text);
      if (value === null || value <= 0) errors.push(planWords.mustBeANumberAbove0(line.name, text));
      else
        haveKg[line.ingredientId] = line.liquid
          ? value * input.ingredients[line.ingredientId]!.densityKgPerL
          : value;
    }
    if (errors.length === 0 && Object.keys(haveKg).length === 0) errors.push(planWords.typeHowMuchThereIs);
    setWrong(errors);
    if (errors.length > 0 || !order.asked) return;
    try {
      setAnswer(await compute('amount', { ...order.asked, amount: { by: 'have', haveKg } }));
    } catch (error) {
      setWrong([`${(error as Error).message}.`]);
    }
  };
  const left = Object.entries(answer?.leftKg ?? {}).map(([id, kg]) => {
    const line = lines.find((one) => one.ingredientId === id);
    const row = input.ingredients[id]!;
    return `${line?.liquid ? volume(kg / row.densityKgPerL) : weight(kg)} ${row.name.toLowerCase()}`;
  });
  return (
    <Sheet title={planWords.whatThereIs} isOpen={isOpen} onClose={onClose}>
      <Soft>{planWords.asPurchasedUntrimmedLeaveEmpty}</Soft>
      <Fields>
        {lines.map((line) => (
          <SmallField
            key={line.ingredientId}
            label={line.name}
            value={typed[line.ingredientId] ?? ''}
            onChange={(text) => {
              setTyped({ ...typed, [line.ingredientId]: text });
              setAnswer(null);
            }}
            unit={line.liquid ? 'L' : 'kg'}
          />
        ))}
      </Fields>
      <Errors sentences={wrong} />
      <Button kind={answer ? 'plain' : 'main'} onPress={ask}>
        {planWords.howManyBowls}
      </Button>
      {answer && (
        <div role="status">
          <p>
            <strong>{planWords.bowlsOfMl(answer.portions, input.portionMl)}</strong>:{' '}
            {answer.limitedBy?.name.toLowerCase()}
            {planWords.setsTheLimit}
          </p>
          <Soft>{planWords.staysOver(left.join(', '))}</Soft>
          {answer.portions > 0 && (
            <Button
              kind="main"
              onPress={() => {
                order.setPortions(answer.portions);
                onClose();
              }}
            >
              {planWords.planBowls(answer.portions)}
            </Button>
          )}
        </div>
      )}
    </Sheet>
  );
}

/** The most this pot holds while it boils, asked off the page; an order changed in between is left alone. */
export async function fillThePot(order: Order): Promise<void> {
  if (!order.asked) return;
  const amount: OrderAmount = { by: 'fill' };
  const { portions } = await compute('amount', { ...order.asked, amount });
  if (portions <= 0) return;
  order.setPortions(portions, { holdBackShare: 0 }, order.draft);
}
