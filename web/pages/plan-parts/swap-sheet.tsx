import { useState } from 'react';
import styled from 'styled-components';
import { minutes, typedNumber } from '../../../contract';
import { type Substitution, SWAP_KEEPS } from '../../../core/substitute';
import { Button } from '../../components/button';
import { PickOne, PickTyped } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft } from '../../components/text';
import { useBook } from '../../data/use-book';
import { colour, radius, size, space } from '../../theme/tokens';
import { commonWords, decimal, money, planWords, swapNote, swapTitle } from '../../words';
import type { WeighedSwap } from '../../workers/computations';
import { useComputed } from '../../workers/use-computed';
import { useKitchenHere } from '../use-kitchen-here';
import type { Order } from './use-order';

const List = styled.ul`
  display: grid;
  gap: ${space.xs};
  button {
    width: 100%;
    display: grid;
    gap: 2px;
    padding: ${space.s} ${space.m};
    border: 2px solid ${colour.line};
    border-radius: ${radius.m};
    background: ${colour.sheet};
    text-align: left;
    cursor: pointer;
  }
  button:disabled {
    color: ${colour.soft};
    cursor: not-allowed;
  }
  small {
    font-size: ${size.small};
    color: ${colour.soft};
  }
`;

const Own = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
  align-items: end;
`;

const KEEP_WORDS: Record<(typeof SWAP_KEEPS)[number], string> = {
  weight: planWords.weightForWeight,
  strength: planWords.byThickeningStrength,
  solids: planWords.bySolids,
  dried: planWords.driedForFreshFreshFor,
  umami: planWords.soThatTheUmamiStays,
};

/** One thing in another's place, each way with what it leads to before it is taken. */
export function SwapSheet({
  order,
  onlyLineId = null,
  isOpen,
  onClose,
}: {
  order: Order;
  /** for one line that is short: only what can stand in for it */
  onlyLineId?: string | null;
  isOpen: boolean;
  onClose: () => void;
}) {
  const kitchen = useKitchenHere();
  const book = useBook(kitchen);
  const [lineId, setLineId] = useState<string | null>(onlyLineId);
  const [foodId, setFoodId] = useState<string | null>(null);
  const [percent, setPercent] = useState('50');
  const [keep, setKeep] = useState<(typeof SWAP_KEEPS)[number]>('weight');
  const share = typedNumber(percent);
  const isShare = share !== null && share > 0 && share <= 100;
  const own: Substitution | null =
    lineId && foodId && isShare
      ? { kind: 'swap', lineId, byIngredientId: foodId, share: share / 100, keep }
      : null;
  const {
    data: swaps,
    isPending,
    isOld,
  } = useComputed('swaps', order.asked && { ...order.asked, ...(own ? { more: [own] } : {}) }, isOpen);
  const take = (change: Substitution) => {
    order.change({ changes: [...order.draft.changes, change] });
    onClose();
  };
  const lines = order.shown?.plan.lines.filter((line) => !line.lineId.endsWith('~held')) ?? [];
  const offers = (swaps ?? []).filter(
    ({ change }) => onlyLineId === null || ('lineId' in change && change.lineId === onlyLineId),
  );
  const nameOf = (change: Substitution) => {
    const names = 'lineId' in change ? lines.find((line) => line.lineId === change.lineId)?.name : '';
    const by = 'byIngredientId' in change ? (book?.rows[change.byIngredientId]?.name ?? '') : '';
    return { of: names ?? '', by };
  };
  const titleOf = ({ change, isOwn, avoids }: WeighedSwap) =>
    isOwn ? commonWords.asYouSay : swapTitle(change, nameOf(change), avoids);
  const only = lines.find((line) => line.lineId === onlyLineId);
  return (
    <Sheet
      title={only ? planWords.insteadOf(only.name.toLowerCase()) : planWords.substitute}
      isOpen={isOpen}
      onClose={onClose}
    >
      {(isPending || isOld) && <Soft role="status">{planWords.workingOutEachOfThem}</Soft>}
      <List>
        {offers.map((swap) => (
          <li key={JSON.stringify(swap.change)}>
            <button type="button" disabled={isOld || swap.effect === null} onClick={() => take(swap.change)}>
              <strong>{titleOf(swap)}</strong>
              <Effect swap={swap} currency={kitchen.currency} />
              {swap.notes.map(swapNote).map((words) => (
                <small key={words}>{words}</small>
              ))}
              {swap.makeMin !== undefined && <small>{planWords.madeFirst(minutes(swap.makeMin))}</small>}
            </button>
          </li>
        ))}
      </List>
      <Over>{planWords.orAnotherWay}</Over>
      <Own>
        <PickOne
          label={planWords.insteadOf2}
          value={lineId}
          options={lines.map((line) => ({ id: line.lineId, text: line.name }))}
          onChange={setLineId}
        />
        <SmallField
          label={planWords.thisMuchOfIt}
          value={percent}
          onChange={setPercent}
          unit="%"
          error={isShare ? null : planWords.aShareIsAbove0(percent)}
        />
        {book && (
          <PickTyped
            label={planWords.comes}
            value={foodId}
            options={Object.values(book.library.ingredients).map((row) => ({ id: row.id, text: row.name }))}
            onChange={setFoodId}
          />
        )}
        <PickOne
          label={planWords.measured}
          value={keep}
          options={SWAP_KEEPS.map((id) => ({ id, text: KEEP_WORDS[id] }))}
          onChange={(id) => setKeep(id as typeof keep)}
        />
      </Own>
      <Errors
        sentences={
          own && swaps?.[0]?.effect === null && swaps[0].isOwn ? [planWords.itCannotBeMeasuredThat] : []
        }
      />
    </Sheet>
  );
}

/** What a swap leads to: salt, body, umami, cost, minutes, allergens, diet; what does not move is not said. */
function Effect({ swap, currency }: { swap: WeighedSwap; currency: string }) {
  const { effect } = swap;
  if (!effect) return <small>{planWords.cannotBeCookedThatWay}</small>;
  const signed = (value: number, digits: number) =>
    `${value >= 0 ? '+' : '−'}${decimal(Math.abs(value), digits)}`;
  const said = [
    Math.abs(effect.saltToAddG) >= 1 ? planWords.saltToAddG(effect.saltToAddG) : '',
    Math.abs(effect.saltPercent) >= 0.01 ? planWords.saltAtTheEnd2(signed(effect.saltPercent, 2)) : '',
    Math.abs(effect.flourEquivalentGPerL) >= 1 ? planWords.thicknessMoves(effect.flourEquivalentGPerL) : '',
    Math.abs(effect.umamiShare - 1) >= 0.03
      ? planWords.umamiOfBefore(Math.round(effect.umamiShare * 100))
      : '',
    Math.abs(effect.costPerPortionCents) >= 0.5
      ? planWords.aBowl(
          effect.costPerPortionCents > 0 ? '+' : '−',
          money(Math.abs(effect.costPerPortionCents), currency),
        )
      : '',
    Math.abs(effect.minutes) >= 1 ? planWords.min2(signed(effect.minutes, 0)) : '',
    effect.allergensIn.length > 0 ? `brings ${effect.allergensIn.join(', ')}` : '',
    effect.allergensOut.length > 0 ? `without ${effect.allergensOut.join(', ')}` : '',
    effect.dietAfter !== effect.dietBefore ? `now ${effect.dietAfter}` : '',
  ].filter((one) => one !== '');
  return <small>{said.length > 0 ? said.join('; ') : planWords.nothingElseChanges}</small>;
}

/** What has been put in another's place in this order, each to be undone. */
export function SwapsDone({ order }: { order: Order }) {
  const kitchen = useKitchenHere();
  const book = useBook(kitchen);
  if (order.draft.changes.length === 0) return null;
  const name = (id: string) => book?.library.ingredients[id]?.name.toLowerCase() ?? id;
  const words = (change: Substitution) =>
    change.kind === 'swap'
      ? planWords.by(Math.round(change.share * 100), name(change.byIngredientId))
      : change.kind === 'bouillon'
        ? planWords.byBouillon(Math.round(change.share * 100))
        : change.kind === 'aromatics'
          ? planWords.waterWithItsAromaticsIn
          : change.kind === 'makeUp'
            ? planWords.madeUpWith(name(change.byIngredientId))
            : planWords.milkAndCreamToFat(change.fatPercent);
  return (
    <Over as="div">
      {order.draft.changes.map((change, i) => (
        <span key={`${i} ${JSON.stringify(change)}`}>
          {planWords.changed(words(change))}
          <Button kind="quiet" onPress={() => order.change({ changes: order.draft.changes.slice(0, i) })}>
            {planWords.undo}
          </Button>
        </span>
      ))}
    </Over>
  );
}
