import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { countField, minutes } from '../../../contract';
import { ALLERGENS, type Allergen } from '../../../core/matter';
import { kindsOf } from '../../../core/portions';
import type { OrderAtPass, PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { figure } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';
import { Ticks } from '../../components/ticks';
import { colour, size, space } from '../../theme/tokens';
import { allergenNames, askedWords, kindNames, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';
import { OrdersIn } from './orders-in';
import { useParts } from './parts';
import type { ServingHere } from './use-serving';

const Stack = styled.section`
  display: grid;
  gap: ${space.s};
  justify-items: start;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space.s};
`;

const List = styled.ol`
  display: grid;
  width: 100%;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space.xs} ${space.m};
    align-items: center;
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  .all {
    grid-column: 1 / -1;
  }
  strong.free {
    color: ${colour.danger};
  }
`;

/** So many orders are read at a glance; those behind them come up as these go out. */
const SHOWN = 8;

/** What guests have asked for and wait for, the oldest first. */
export function Orders({
  here,
  board,
  serving,
}: {
  here: BatchHere;
  board: PassBoard;
  serving: ServingHere;
}) {
  const [edited, setEdited] = useState<OrderAtPass | 'new' | null>(null);
  const { orders, doneOrders } = board;
  const kinds = kindsOf(here.batch.snapshot.input);
  return (
    <Stack aria-label={passWords.orders}>
      <Subtitle>
        {passWords.orders} {doneOrders > 0 && <Over as="span">{passWords.ordersDone(doneOrders)}</Over>}
      </Subtitle>
      {orders.length > 0 && (
        <List>
          {orders.slice(0, SHOWN).map((order) => (
            <OrderRow
              key={order.orderId}
              order={order}
              here={here}
              words={askedWords(order.open, kinds)}
              serving={serving}
              onEdit={() => setEdited(order)}
            />
          ))}
        </List>
      )}
      {orders.length > SHOWN && <Over>{passWords.moreWait(orders.length - SHOWN)}</Over>}
      <Row>
        <Button kind="quiet" onPress={() => setEdited('new')}>
          {passWords.newOrder}
        </Button>
        <OrdersIn here={here} />
      </Row>
      {edited && (
        <OrderSheet
          key={edited === 'new' ? 'new' : edited.orderId}
          here={here}
          order={edited === 'new' ? null : edited}
          onClose={() => setEdited(null)}
        />
      )}
    </Stack>
  );
}

function OrderRow(of: {
  order: OrderAtPass;
  here: BatchHere;
  words: string;
  serving: ServingHere;
  onEdit: () => void;
}) {
  const { order, here, words } = of;
  const parts = useParts(here.batch.id);
  const { tell, refusals } = useSubmit(here.batch.id);
  const isForbidden = order.holdsForbidden.length > 0;
  // one order is several portions: all of them in one go, each in its own kind
  const serveAll = () =>
    order.open.length === 1
      ? of.serving.serve({
          kindId: order.open[0]!.kindId,
          portions: order.open[0]!.count,
          orderId: order.orderId,
        })
      : void tell(
          ...order.open.map(({ kindId, count }) => ({
            type: 'portioned' as const,
            payload: { kindId, portions: count, fate: 'served' as const, orderId: order.orderId },
          })),
        );
  const waits = minutes(Math.max(0, (here.pot.nowMs - order.atMs) / 60_000));
  const via = { hand: '', file: passWords.fromFile, till: passWords.fromTill }[order.via];
  return (
    <li>
      <div>
        {words}
        {order.freeOf?.length ? (
          <>
            {', '}
            <strong className="free">{passWords.without(allergenNames(order.freeOf))}</strong>
          </>
        ) : null}
        <small>{[order.words, passWords.waitingSince(waits), via].filter(Boolean).join(', ')}</small>
      </div>
      <span>
        {!isForbidden && (
          <Button
            aria-label={passWords.orderFor(`${words}${order.words ? `, ${order.words}` : ''}`)}
            onPress={serveAll}
          >
            {passWords.serveOrder}
          </Button>
        )}
        <Button kind="quiet" onPress={of.onEdit}>
          {passWords.changeOrder}
        </Button>
      </span>
      {isForbidden && (
        <div className="all">
          <Caution>{passWords.notFromThisPot(allergenNames(order.holdsForbidden))}</Caution>
          {parts.length === 0 && <Soft>{passWords.askTheGuest}</Soft>}
          {parts.map((part) => (
            <ServeFrom
              key={part.id}
              partId={part.id}
              name={part.snapshot.input.recipe.name}
              order={order}
              kindId={kindsOf(part.snapshot.input)[0]!.id}
            />
          ))}
        </div>
      )}
      <div className="all">
        <Errors sentences={refusals} />
      </div>
    </li>
  );
}

/** The same order out of another pot: whether that may be, its own rules say. */
function ServeFrom(of: { partId: string; name: string; order: OrderAtPass; kindId: string }) {
  const { tell, refusals } = useSubmit(of.partId);
  const portions = of.order.open.reduce((sum, one) => sum + one.count, 0);
  return (
    <>
      <Button
        onPress={() =>
          tell({
            type: 'portioned',
            payload: { portions, fate: 'served', kindId: of.kindId, orderId: of.order.orderId },
          })
        }
      >
        {passWords.serveFrom(of.name.toLowerCase())}
      </Button>
      <Errors sentences={refusals} />
    </>
  );
}

const COUNT = v.object({ count: figure(countField(passWords.howMany, 0, 2000)) });
const ALLERGEN_OPTIONS = (Object.keys(ALLERGENS) as Allergen[]).map((id) => ({
  id,
  text: ALLERGENS[id].name,
}));

/** An order by hand: so many of each, whose it is, what the guest may not eat; changed later, or taken off. */
function OrderSheet({
  here,
  order,
  onClose,
}: {
  here: BatchHere;
  order: OrderAtPass | null;
  onClose: () => void;
}) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const kinds = kindsOf(here.batch.snapshot.input).filter((one) => one.laterMs === undefined);
  const names = kindNames(kinds);
  const [counts, setCounts] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      kinds.map((one) => [one.id, String(order?.items.find((item) => item.kindId === one.id)?.count ?? '')]),
    ),
  );
  const [words, setWords] = useState(order?.words ?? '');
  const [freeOf, setFreeOf] = useState<string[]>([...(order?.freeOf ?? [])]);
  const [errors, setErrors] = useState<string[]>([]);
  const say = async (items: { kindId: string; count: number }[]) => {
    const asking = {
      items,
      ...(freeOf.length > 0 ? { freeOf: freeOf as Allergen[] } : {}),
      ...(words.trim() ? { words: words.trim().slice(0, 60) } : {}),
    };
    const said = order
      ? await tell({ type: 'askedAnew', payload: { ...asking, orderId: order.orderId } })
      : await tell({ type: 'asked', payload: asking });
    if (said) onClose();
  };
  const keep = () => {
    const found: { kindId: string; count: number }[] = [];
    for (const kind of kinds) {
      const text = counts[kind.id]?.trim() ?? '';
      if (text === '') continue;
      const read = v.safeParse(COUNT, { count: text });
      if (!read.success) {
        setErrors(read.issues.map((issue) => issue.message));
        return;
      }
      if (read.output.count > 0) found.push({ kindId: kind.id, count: read.output.count });
    }
    if (found.length === 0) setErrors([passWords.nothingAskedFor]);
    else void say(found);
  };
  return (
    <Sheet title={passWords.newOrderTitle} isOpen onClose={onClose}>
      {kinds.map((kind) => (
        <SmallField
          key={kind.id}
          label={names.get(kind.id)!}
          value={counts[kind.id] ?? ''}
          onChange={(value) => setCounts({ ...counts, [kind.id]: value })}
          inputMode="decimal"
        />
      ))}
      <SmallField label={passWords.orderWords} value={words} onChange={setWords} />
      <Ticks label={passWords.mayNotEat} value={freeOf} options={ALLERGEN_OPTIONS} onChange={setFreeOf} />
      <Errors sentences={[...errors, ...refusals]} />
      <Button kind="main" atPot onPress={keep}>
        {passWords.addOrder}
      </Button>
      {order && (
        <Button kind="quiet" onPress={() => void say([])}>
          {passWords.takeOffOrder}
        </Button>
      )}
    </Sheet>
  );
}
