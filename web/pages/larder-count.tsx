import { useStore } from '@tanstack/react-form';
import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField, textField } from '../../contract';
import { oldestFirst } from '../../core/larder';
import type { LotView } from '../../core/views';
import { Button } from '../components/button';
import { figureOrNone, TypedForm, typedWords, useTypedForm } from '../components/form';
import { Empty, Page, Waiting } from '../components/page';
import { Errors, Over, Soft, Title } from '../components/text';
import { useLots } from '../data/queries';
import { colour, media, space } from '../theme/tokens';
import { isPouredLot, larderWords, litres, weight } from '../words';
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
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  const there = oldestFirst(lots.filter((lot) => lot.leftKg > 0.005 || lot.countIt)).sort((a, b) =>
    a.place.localeCompare(b.place),
  );
  return (
    <Page>
      <LarderNav />
      <Title>{larderWords.stockCount}</Title>
      <Soft>{larderWords.byPlaceEnterWhatIs}</Soft>
      {there.length === 0 ? (
        <Empty title={larderWords.nothingToCount}>
          <Soft>{larderWords.theShelfIsEmpty}</Soft>
        </Empty>
      ) : (
        <CountForm there={there} />
      )}
    </Page>
  );
}

function CountForm({ there }: { there: readonly LotView[] }) {
  const { tell, refusals } = useShelf();
  const [said, setSaid] = useState<string | null>(null);
  const form = useTypedForm({
    first: { note: larderWords.stockCount2, there: {} as Record<string, string> },
    schema: countOf(there),
    keep: async ({ note, there: typed }) => {
      const counted = there.flatMap((lot) => {
        const value = typed[lot.id];
        return value === undefined ? [] : [{ lot, value }];
      });
      if (counted.length === 0) return;
      const done = await tell(
        ...counted.map(({ lot, value }) => ({
          type: 'counted' as const,
          payload: {
            lotId: lot.id,
            kg: Math.round(value * (isPouredLot(lot) ? lot.contents.densityKgPerL : 1) * 1000) / 1000,
            note,
          },
        })),
      );
      if (!done) return;
      setSaid(larderWords.lotCounted(counted.length));
      form.reset();
    },
  });
  const isAnyTyped = useStore(form.store, ({ values }) =>
    Object.values(values.there).some((text) => text.trim() !== ''),
  );
  return (
    <TypedForm form={form}>
      <ul>
        {there.map((lot) => {
          const poured = isPouredLot(lot);
          return (
            <Row key={lot.id}>
              <span>
                <strong>{lot.name}</strong>
                {larderWords.lot2(lot.number)}
                <Over as="span" style={{ display: 'block' }}>
                  {lot.place}
                  {lot.countIt && larderWords.moreWasUsedThanThere}
                </Over>
              </span>
              <Over as="span">
                {larderWords.inTheLog(poured ? litres(lot.leftLitres) : weight(lot.leftKg))}
              </Over>
              <form.AppField name={`there.${lot.id}`}>
                {(field) => (
                  <field.InOffice
                    label={larderWords.thereIsOfLot(lot.number)}
                    isLabelHidden
                    unit={poured ? 'L' : 'kg'}
                  />
                )}
              </form.AppField>
            </Row>
          );
        })}
      </ul>
      <form.AppField name="note">
        {(field) => <field.InOffice label={larderWords.aNoteOnThisCount} />}
      </form.AppField>
      <Errors sentences={refusals} />
      {said && <Over role="status">{said}</Over>}
      <Button kind="main" isDisabled={!isAnyTyped} type="submit">
        {larderWords.saveTheCount}
      </Button>
    </TypedForm>
  );
}

function countOf(there: readonly LotView[]) {
  return v.object({
    note: typedWords(textField(larderWords.theNote, 200)),
    there: v.object(
      Object.fromEntries(
        there.map((lot) => [
          lot.id,
          v.optional(
            figureOrNone(
              numberField(larderWords.lot3(lot.name, lot.number), 0, 2000, isPouredLot(lot) ? 'L' : 'kg'),
            ),
            '',
          ),
        ]),
      ),
    ),
  }) as v.GenericSchema<
    { note: string; there: Record<string, string> },
    { note: string; there: Record<string, number | undefined> }
  >;
}
