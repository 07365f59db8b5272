import { useState } from 'react';
import styled from 'styled-components';
import { typedNumber } from '../../contract';
import { oldestFirst } from '../../core/larder';
import { Button } from '../components/button';
import { Empty, Page, Waiting } from '../components/page';
import { SmallField } from '../components/small-field';
import { Errors, Over, Soft, Title } from '../components/text';
import { useLots } from '../data/queries';
import { colour, media, space } from '../theme/tokens';
import { isPouredLot } from '../words/lots';
import { LarderNav } from './larder-parts/larder-nav';
import { useShelf } from './larder-parts/use-shelf';

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px 160px;
  gap: ${space.m};
  align-items: center;
  padding: ${space.s} 0;
  border-bottom: 1px solid ${colour.line};
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr) 130px;
    > :first-child {
      grid-column: 1 / -1;
    }
  }
`;

/** The whole shelf counted in one walk: what is there by the log, what is there by the eye; what differs is kept. */
export function LarderCount() {
  const { data: lots, error, refetch } = useLots();
  const { tell, refusals } = useShelf();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [note, setNote] = useState('stock count');
  const [wrong, setWrong] = useState<string[]>([]);
  const [said, setSaid] = useState<string | null>(null);
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  const there = oldestFirst(lots.filter((lot) => lot.leftKg > 0.005 || lot.countIt)).sort((a, b) =>
    a.place.localeCompare(b.place),
  );
  const counted = there.flatMap((lot) => {
    const text = (typed[lot.id] ?? '').trim();
    return text === '' ? [] : [{ lot, text, value: typedNumber(text) }];
  });

  async function keep() {
    const bad = counted.filter((one) => one.value === null || one.value < 0);
    setWrong(bad.map((one) => `${one.lot.name}, lot ${one.lot.number}: “${one.text}” is no amount.`));
    if (bad.length > 0) return;
    if (!note.trim()) {
      setWrong(['A count is kept with a note.']);
      return;
    }
    const done = await tell(
      ...counted.map(({ lot, value }) => ({
        type: 'counted' as const,
        payload: {
          lotId: lot.id,
          kg: Math.round(value! * (isPouredLot(lot) ? lot.contents.densityKgPerL : 1) * 1000) / 1000,
          note: note.trim(),
        },
      })),
    );
    if (done) {
      setSaid(`${counted.length} ${counted.length === 1 ? 'lot' : 'lots'} counted.`);
      setTyped({});
    }
  }

  return (
    <Page>
      <LarderNav />
      <Title>Stock count</Title>
      <Soft>By place. Put down what is really there; a field left empty changes nothing.</Soft>
      {there.length === 0 && (
        <Empty title="Nothing to count">
          <Soft>The shelf is empty.</Soft>
        </Empty>
      )}
      <ul>
        {there.map((lot) => {
          const poured = isPouredLot(lot);
          return (
            <Row key={lot.id}>
              <span>
                <strong>{lot.name}</strong>, lot {lot.number}
                <Over as="span" style={{ display: 'block' }}>
                  {lot.place}
                  {lot.countIt && '; more was drawn than there was'}
                </Over>
              </span>
              <Over as="span">
                by the log {(poured ? lot.leftLitres : lot.leftKg).toFixed(2)} {poured ? 'L' : 'kg'}
              </Over>
              <SmallField
                label={`There is of lot ${lot.number}`}
                isLabelHidden
                unit={poured ? 'L' : 'kg'}
                value={typed[lot.id] ?? ''}
                onChange={(text) => setTyped({ ...typed, [lot.id]: text })}
              />
            </Row>
          );
        })}
      </ul>
      <SmallField label="A note on this count" value={note} onChange={setNote} />
      <Errors sentences={[...wrong, ...refusals]} />
      {said && <Over role="status">{said}</Over>}
      <Button kind="main" isDisabled={counted.length === 0} onPress={keep}>
        Keep this count
      </Button>
    </Page>
  );
}
