import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import type { GarnishLeft, PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { FieldRow } from '../../components/field-row';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Caution, Over, Subtitle } from '../../components/text';
import { colour, media, space } from '../../theme/tokens';
import { inMeasures, passWords, weight } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

const List = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 260px);
    gap: ${space.xs} ${space.m};
    align-items: start;
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
  ${media.narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** What goes on the portions: how much lies ready, how far it goes, and what to make more of. */
export function Garnish({ here, board }: { here: BatchHere; board: PassBoard }) {
  if (board.garnish.length === 0) return null;
  return (
    <section aria-label={passWords.garnish}>
      <Subtitle>{passWords.garnish}</Subtitle>
      <List>
        {board.garnish.map((one) => (
          <li key={one.lineId}>
            <GarnishRow here={here} garnish={one} />
          </li>
        ))}
      </List>
    </section>
  );
}

const READY = v.object({ ready: figure(numberField(passWords.howMuchIsReady, 0, 500_000, '')) });

function GarnishRow({ here, garnish }: { here: BatchHere; garnish: GarnishLeft }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { pieceKg: unitKg, eachKg, readyKg } = garnish;
  const amount = (kg: number) => (unitKg ? String(Math.floor(kg / unitKg + 0.01)) : weight(kg));
  const form = useTypedForm({
    first: { ready: '' },
    schema: READY,
    keep: async ({ ready }) => {
      const kg = unitKg ? ready * unitKg : ready / 1000;
      if (await tell({ type: 'garnishReady', payload: { lineId: garnish.lineId, kg } })) form.reset();
    },
  });
  const name = garnish.cut ? `${garnish.name}, ${inMeasures(garnish.cut)}` : garnish.name;
  // a whole number may come out of a sum a hair over itself
  const toCome = Math.ceil(garnish.toCome - 1e-6);
  const isShort = readyKg !== null && garnish.readyBowls < garnish.toCome;
  return (
    <>
      <div>
        <strong>{name}</strong>
        <Over>
          {passWords.garnishRow(amount(eachKg), readyKg === null ? passWords.nothingReady : amount(readyKg))}
          {readyKg !== null && `, ${passWords.garnishLasts(Math.floor(garnish.readyBowls), toCome)}`}
        </Over>
        {isShort && (
          <Caution>{passWords.garnishShort(amount((garnish.toCome - garnish.readyBowls) * eachKg))}</Caution>
        )}
      </div>
      <TypedForm form={form}>
        <FieldRow>
          <form.AppField name="ready">
            {(field) => (
              <field.InOffice
                label={passWords.garnishReady(garnish.name)}
                refused={refusals[0] ?? null}
                {...(unitKg ? {} : { unit: 'g' })}
              />
            )}
          </form.AppField>
          <Button type="submit">{passWords.saveReady}</Button>
        </FieldRow>
      </TypedForm>
    </>
  );
}
