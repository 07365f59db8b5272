import { Pencil, X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import type { WholeKitchen } from '../../../contract';
import { PLAIN_KIND, type PortionKind } from '../../../core/portions';
import { freeWay } from '../../../core/service';
import { Button } from '../../components/button';
import { IconButton } from '../../components/icon-button';
import { Caution, Soft } from '../../components/text';
import { colour, size, space } from '../../theme/tokens';
import { freeWayWords, hourMinute, kindName, planWords, portionSize } from '../../words';
import { KindSheet } from './kind-sheet';
import type { Order } from './use-order';

const Rows = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 ${space.s};
    align-items: center;
    border-bottom: 1px solid ${colour.line};
  }
  .acts {
    display: flex;
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
`;

/**
 * What is ordered beside the bowls of the sentence: other sizes, later services, guests who may not eat all of it, the
 * cooks' own.
 */
export function MorePortions({ order, kitchen }: { order: Order; kitchen: WholeKitchen }) {
  const [edited, setEdited] = useState<PortionKind | 'new' | null>(null);
  const { kinds } = order.draft;
  const keep = (kind: PortionKind) => {
    const isThere = kinds.some((one) => one.id === kind.id);
    order.change({
      kinds: isThere ? kinds.map((one) => (one.id === kind.id ? kind : one)) : [...kinds, kind],
    });
    setEdited(null);
  };
  return (
    <section aria-label={planWords.alsoOrdered}>
      {kinds.length > 0 && (
        <Rows>
          {kinds.map((kind) => (
            <li key={kind.id}>
              <div>
                {kind.id === PLAIN_KIND
                  ? planWords.theBowls
                  : planWords.andSo(kind.count, kindName(kind, { count: kind.count }), portionSize(kind.ml))}
                <small>{more(kind, kitchen.zone)}</small>
                <FreeNote order={order} kind={kind} zone={kitchen.zone} />
              </div>
              <span className="acts">
                <IconButton aria-label={planWords.editKind(kindName(kind))} onPress={() => setEdited(kind)}>
                  <Pencil size={18} aria-hidden />
                </IconButton>
                <IconButton
                  aria-label={planWords.leaveOutKind(kindName(kind))}
                  onPress={() => order.change({ kinds: kinds.filter((one) => one.id !== kind.id) })}
                >
                  <X size={18} aria-hidden />
                </IconButton>
              </span>
            </li>
          ))}
        </Rows>
      )}
      <Button kind="quiet" onPress={() => setEdited('new')}>
        {planWords.addPortions}
      </Button>
      {!kinds.some((one) => one.id === PLAIN_KIND) && (
        <Button kind="quiet" onPress={() => setEdited({ id: PLAIN_KIND, word: 'bowl', ml: 1, count: 1 })}>
          {planWords.garnishOfTheBowls}
        </Button>
      )}
      {edited && order.shown && (
        <KindSheet
          key={edited === 'new' ? 'new' : edited.id}
          kind={edited === 'new' ? null : edited}
          order={order}
          input={order.shown.input}
          zone={kitchen.zone}
          onKeep={keep}
          onClose={() => setEdited(null)}
        />
      )}
    </section>
  );
}

/** What is said of portions beside their number: their hour, their garnish, the grill. */
function more({ laterMs, garnish, isGrilled }: PortionKind, zone: string): string {
  return [
    laterMs === undefined ? '' : planWords.keptFor(hourMinute(laterMs, zone)),
    Object.keys(garnish ?? {}).length > 0 ? planWords.ownGarnish : '',
    isGrilled ? planWords.underTheGrill : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** Whether and how guests who may not eat all of it are served. */
function FreeNote({ order, kind, zone }: { order: Order; kind: PortionKind; zone: string }) {
  if (!order.shown || !kind.freeOf?.length) return null;
  const { input, plan } = order.shown;
  const way = freeWay(input, plan, kind);
  const said = freeWayWords(way, kind, input, zone);
  if (way.way === 'asItIs') return <Soft>{said}</Soft>;
  return (
    <>
      <Caution>{said}</Caution>
      {'changes' in way && way.changes.length > 0 && (
        <Button
          kind="quiet"
          onPress={() => order.change({ changes: [...order.draft.changes, ...way.changes] })}
        >
          {planWords.substituteThem}
        </Button>
      )}
    </>
  );
}
