import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import type { ItemKind, KitchenView } from '../../../contract';
import { Button } from '../../components/button';
import { Sheet } from '../../components/sheet';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { useKitchenChange } from '../../data/queries';
import { media, space } from '../../theme/tokens';
import { KIND_WORDS, kitchenWords } from '../../words';
import { useTouched } from './use-touched';

const Rows = styled.ul`
  > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space.m};
    align-items: center;
    padding: ${space.s} 0;
    border-bottom: 1px solid var(--line);
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    justify-content: flex-end;
  }
  > li.drawn {
    grid-template-columns: 56px minmax(0, 1fr) auto;
  }
  ${media.narrow} {
    > li,
    > li.drawn {
      grid-template-columns: minmax(0, 1fr);
    }
    > li.drawn {
      grid-template-columns: 56px minmax(0, 1fr);
    }
    > li {
      gap: 0 ${space.m};
    }
    .acts {
      grid-column: 1 / -1;
      justify-content: flex-start;
      /* its words stand under the name, not its buttons' edges */
      margin-left: -10px;
    }
  }
`;

const Section = styled.section`
  display: grid;
  gap: ${space.s};
  align-content: start;
`;

/** Things of one kind in their order: each is edited, moved up, retired; what was retired can be used again. */
export function ItemList<I extends { id: string; name: string }>(of: {
  kind: ItemKind;
  title: string;
  items: readonly I[];
  kitchen: KitchenView;
  /** what stands under its name */
  about: (item: I) => ReactNode;
  picture?: (item: I) => ReactNode;
  more?: (item: I) => ReactNode;
  empty: string;
  onEdit: (item: I | null) => void;
}) {
  const { kind, items, kitchen } = of;
  const change = useKitchenChange();
  const [leaving, setLeaving] = useState<I | null>(null);
  const ids = items.map((item) => item.id);
  const retired = kitchen.retired.filter((one) => one.kind === kind && one.mergedInto === null);
  const up = (i: number) => {
    const next = [...ids];
    [next[i - 1], next[i]] = [next[i]!, next[i - 1]!];
    change.mutate({ change: 'order', kind, itemIds: next });
  };
  return (
    <Section>
      <Subtitle>{of.title}</Subtitle>
      {items.length === 0 && <Soft>{of.empty}</Soft>}
      <Rows>
        {items.map((item, i) => (
          <li key={item.id} className={of.picture ? 'drawn' : ''}>
            {of.picture?.(item)}
            <span>
              <strong>{item.name}</strong>
              <Over as="div">{of.about(item)}</Over>
            </span>
            <span className="acts">
              {i > 0 && (
                <Button kind="quiet" onPress={() => up(i)} aria-label={kitchenWords.moveUp(item.name)}>
                  {kitchenWords.up}
                </Button>
              )}
              {of.more?.(item)}
              <Button kind="quiet" onPress={() => of.onEdit(item)} aria-label={kitchenWords.edit(item.name)}>
                {kitchenWords.edit2}
              </Button>
              <Button
                kind="quiet"
                onPress={() => setLeaving(item)}
                aria-label={kitchenWords.retire(item.name)}
              >
                {kitchenWords.retire2}
              </Button>
            </span>
          </li>
        ))}
      </Rows>
      <span>
        <Button onPress={() => of.onEdit(null)}>{KIND_WORDS[kind].add}</Button>
      </span>
      {retired.length > 0 && (
        <Over as="div">
          {kitchenWords.retired}
          {retired.map((one) => (
            <Button
              key={one.id}
              kind="quiet"
              onPress={() => change.mutate({ change: 'restore', kind, itemId: one.id })}
            >
              {kitchenWords.bringBack(one.name)}
            </Button>
          ))}
        </Over>
      )}
      <Errors sentences={change.error && !leaving ? [change.error.message] : []} />
      {leaving && <RetireSheet kind={kind} item={leaving} onClose={() => setLeaving(null)} />}
    </Section>
  );
}

/** What retiring touches, said before it is done. */
function RetireSheet({
  kind,
  item,
  onClose,
}: {
  kind: ItemKind;
  item: { id: string; name: string };
  onClose: () => void;
}) {
  const change = useKitchenChange();
  const touched = useTouched(kind, item.id);
  return (
    <Sheet title={kitchenWords.retire3(item.name)} isOpen onClose={onClose}>
      <p>{kitchenWords.noNewPlanUsesIt}</p>
      {touched && <Soft>{touched}</Soft>}
      <Errors sentences={change.error ? [change.error.message] : []} />
      <Button
        kind="main"
        onPress={() => change.mutate({ change: 'retire', kind, itemId: item.id }, { onSuccess: onClose })}
      >
        {kitchenWords.retire(item.name)}
      </Button>
    </Sheet>
  );
}
