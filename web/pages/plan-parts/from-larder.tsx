import { Link } from 'react-router';
import styled from 'styled-components';

import type { ShortLine } from '../../../core/larder';
import { recipeIdOf, recipeRowId } from '../../../core/recipe';
import type { LotView } from '../../../core/views';
import { Button } from '../../components/button';
import { Over } from '../../components/text';

import { colour, radius, space } from '../../theme/tokens';
import { bringsWords, litres, planWords, volume, weight } from '../../words';
import type { Order } from './use-order';

const Draws = styled.ul`
  display: grid;
  gap: 2px;
  li {
    display: flex;
    justify-content: space-between;
    gap: ${space.m};
  }
  span:last-child {
    color: ${colour.soft};
    white-space: nowrap;
  }
`;

const Offered = styled.ul`
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: ${space.m};
  }
  button {
    white-space: nowrap;
  }
`;

const Short = styled.li`
  display: grid;
  gap: ${space.s};
  padding: ${space.s} ${space.m};
  border: 2px solid ${colour.lookIn};
  border-radius: ${radius.m};
  background: ${colour.sheet};
  div {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s};
    align-items: center;
  }
`;

const Shorts = styled.ul`
  display: grid;
  gap: ${space.s};
`;

/** Which lots the order draws, oldest first. */
export function FromLarder({ order }: { order: Order }) {
  const byLot = new Map<string, number>();
  for (const draw of order.draws) byLot.set(draw.lotId, (byLot.get(draw.lotId) ?? 0) + draw.kg);
  const drawn = [...byLot].flatMap(([id, kg]) => {
    const lot = order.lots.find((one) => one.id === id);
    return lot ? [{ lot, kg }] : [];
  });
  if (drawn.length === 0 && order.offers.length === 0) return null;
  return (
    <section aria-label={planWords.fromTheLarder}>
      <Over>{planWords.fromTheLarderOldestFirst}</Over>
      <Draws>
        {drawn.map(({ lot, kg }) => (
          <li key={lot.id}>
            <Link to={`/larder/lots/${lot.id}`}>{planWords.lot(lot.name, lot.number)}</Link>
            <span>{drawWords(lot, kg)}</span>
          </li>
        ))}
      </Draws>
      <Offers order={order} />
    </section>
  );
}

/** Lots that would do and bring what the dish does not hold: drawn when the cook says so, and left again. */
function Offers({ order }: { order: Order }) {
  const { draft, lots } = order;
  const named = (id: string) => lots.find((lot) => lot.id === id);
  const offered = order.offers.filter(
    (one, i) => order.offers.findIndex((other) => other.lotId === one.lotId) === i,
  );
  return (
    <Offered>
      {offered.map(({ lotId, brings }) => {
        const lot = named(lotId);
        if (!lot) return null;
        return (
          <li key={lotId}>
            <span>
              {planWords.lotBrings(lot.name, lot.number)}
              <strong>{bringsWords(brings)}</strong>
              {planWords.notDrawnByItself}
            </span>
            <Button
              kind="quiet"
              aria-label={planWords.drawLotToo(lot.number)}
              onPress={() => order.change({ lotIds: [...draft.lotIds, lotId] })}
            >
              {planWords.useItToo}
            </Button>
          </li>
        );
      })}
      {draft.lotIds.flatMap((lotId) => {
        const lot = named(lotId);
        if (!lot) return [];
        return [
          <li key={lotId}>
            <span>{planWords.lotIsDrawnWhateverIt(lot.name, lot.number)}</span>
            <Button
              kind="quiet"
              aria-label={planWords.leaveLot(lot.number)}
              onPress={() => order.change({ lotIds: draft.lotIds.filter((id) => id !== lotId) })}
            >
              {planWords.leaveIt}
            </Button>
          </li>,
        ];
      })}
    </Offered>
  );
}

/** What the larder has not enough of, beside the act. */
export function Shortages({ order, onSubstitute }: { order: Order; onSubstitute: (lineId: string) => void }) {
  if (order.shorts.length === 0) return null;
  return (
    <Shorts aria-label={planWords.short}>
      {order.shorts.map((short) => (
        <ShortOf key={short.lineId} short={short} order={order} onSubstitute={onSubstitute} />
      ))}
    </Shorts>
  );
}

function drawWords(lot: LotView, kg: number): string {
  const isPoured = lot.contents.share === 'liquid';
  const amount = (value: number) => (isPoured ? volume(value / lot.contents.densityKgPerL) : weight(value));
  return planWords.of(amount(kg), amount(lot.leftKg));
}

/** What is short, and the ways out of it: make it, let something stand in, or say where it comes from. */
function ShortOf({
  short,
  order,
  onSubstitute,
}: {
  short: ShortLine;
  order: Order;
  onSubstitute: (lineId: string) => void;
}) {
  const wanted = short.wantedKg / short.densityKgPerL;
  const missing = short.shortKg / short.densityKgPerL;
  const recipe = order.asked?.book.find(
    (one) => recipeRowId(one.id) === short.rowId || one.stocksAs === short.rowId,
  );
  const passed = short.passedOver.map((one) => {
    const lot = order.lots.find((each) => each.id === one.lotId);
    return planWords.lotIsFrozen(lot?.number ?? '?', one.why === 'frozen');
  });
  return (
    <Short>
      <p>
        <strong>{planWords.short2(short.name, litres(missing))}</strong>
        {planWords.of2(litres(wanted))}
        {passed.length > 0 && `; ${passed.join(', ')}`}.
      </p>
      <div>
        {recipe && recipeIdOf(short.rowId) !== order.draft.recipeId && (
          <Link to={`/plan?recipe=${recipe.id}&amountBy=litres&portions=${Math.ceil(missing * 2.1) / 2}`}>
            {planWords.make(recipe.name.toLowerCase())}
          </Link>
        )}
        <Button kind="quiet" onPress={() => onSubstitute(short.lineId)}>
          {planWords.useASubstitute}
        </Button>
      </div>
    </Short>
  );
}
