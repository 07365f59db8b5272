import { useState } from 'react';
import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../contract';
import { type Adjustments, adjustments, type ToMend, toMend } from '../../core/adjust';
import { massKg } from '../../core/matter';
import { Button } from '../components/button';
import { FieldRow } from '../components/field-row';
import { figure, TypedForm, useTypedForm } from '../components/form';
import { Empty, Halves, Page } from '../components/page';
import { SmallField } from '../components/small-field';
import { FigureText, Soft, Subtitle, Title } from '../components/text';
import { rememberWho, whoHere } from '../data/who-here';
import { colour, space } from '../theme/tokens';
import { adjustWords, percent, saltSpoons, weight } from '../words';
import { Differing } from './adjust-parts/differing';
import { Doses } from './adjust-parts/doses';
import { Meters } from './adjust-parts/meters';
import { PotPhotos } from './adjust-parts/pot-photos';
import { type Says, TasteLines } from './adjust-parts/taste-lines';
import { Thickness } from './adjust-parts/thickness';
import { useJudged } from './adjust-parts/use-judged';
import type { BatchHere } from './batch-frame';
import { useSubmit } from './pot-parts/use-submit';

const Facts = styled.dl`
  div {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    padding: 6px 0;
    border-bottom: 1px solid ${colour.line};
  }
  dt {
    color: ${colour.soft};
  }
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  justify-content: space-between;
  align-items: end;
`;

/** Thickness, pictures and meters under each other. */
const Beside = styled.div`
  > section {
    display: grid;
    gap: ${space.m};
  }
`;

/** Judgement with numbers: what the spoon says and the dose for it, how thick it is and the ways from there. */
export function AdjustPage() {
  const here = useOutletContext<BatchHere>();
  const { snapshot } = here.batch;
  const { state } = here.pot;
  const [wantedBand, setWantedBand] = useState(snapshot.input.band);
  const mend = useJudged(here, () => toMend(snapshot, state), []);
  const figures = useJudged(here, () => adjustments(snapshot, state, wantedBand, mend), [wantedBand, mend]);
  if (massKg(state.pot.mixture) < 0.05) {
    return (
      <Page>
        <Empty title={adjustWords.nothingInThePotYet}>
          <Soft>{adjustWords.saltAndThicknessAreWorked}</Soft>
        </Empty>
      </Page>
    );
  }
  return (
    <Page>
      <Halves $columns="minmax(320px, 5fr) minmax(0, 8fr)">
        <Taste here={here} mend={mend} figures={figures} />
        <Beside>
          <Thickness here={here} figures={figures} onWanted={setWantedBand} />
          <PotPhotos batchId={here.batch.id} zone={here.kitchen.zone} mayTake />
          <Meters here={here} />
        </Beside>
      </Halves>
    </Page>
  );
}

function Taste({ here, mend, figures }: { here: BatchHere; mend: ToMend | null; figures: Adjustments }) {
  const [says, setSays] = useState<Says>({});
  const [isFlat, setFlat] = useState(false);
  const [by, setBy] = useState(() => whoHere('taster'));
  const named = (name: string) => {
    setBy(name.slice(0, 60));
    rememberWho('taster', name.trim().slice(0, 60));
  };
  const { snapshot } = here.batch;
  const { saltPercentWithGarnish, saltPercent } = snapshot.plan;
  // salt on the bowl is no salt of the pot: it is told apart
  const garnishPercent = saltPercentWithGarnish - saltPercent;
  // what was pressed while it was being told is of the next spoon, and stays
  const again = (told: Says) => {
    setSays((now) => (now === told ? {} : now));
    setFlat(false);
  };
  return (
    <section aria-label={adjustWords.taste}>
      <Head>
        <Title as="h2">{adjustWords.howDoesItTaste}</Title>
        <Button aria-pressed={isFlat} onPress={() => setFlat(!isFlat)}>
          {isFlat ? adjustWords.notFlatAfterAll : adjustWords.itIsFlat}
        </Button>
      </Head>
      <TasteLines says={says} dishColour={snapshot.input.recipe.colour} onChange={setSays} />
      <Doses here={here} mend={mend} says={says} isFlat={isFlat} by={by.trim()} onTold={again} />
      <Differing here={here} />
      <SmallField label={adjustWords.whoTastes} value={by} onChange={named} />
      <Subtitle>{adjustWords.saltCalculated}</Subtitle>
      <Facts>
        <Fact name={adjustWords.inTheLiquidNow} value={percent(figures.saltPercentLiquid)} />
        <Fact name={adjustWords.inTheWholePotOnce} value={percent(figures.saltPercentAll)} />
        <Fact name={adjustWords.atTheEndIfNone} value={percent(figures.saltPercentAtEnd)} />
        <Fact name={adjustWords.wantedAtTheEnd} value={percent(snapshot.input.saltPercent)} />
        {garnishPercent > 0.005 && (
          <Fact
            name={adjustWords.inTheBowlWithGarnish}
            value={percent(snapshot.input.saltPercent + garnishPercent)}
          />
        )}
      </Facts>
      <SaltForm here={here} figures={figures} />
    </section>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        <FigureText>{value}</FigureText>
      </dd>
    </div>
  );
}

const SALT = v.object({ grams: figure(numberField(adjustWords.salt, 0.1, 5000, 'g')) });

/** Salt that went in by hand, beside the spoon’s own doses. */
function SaltForm({ here, figures }: { here: BatchHere; figures: Adjustments }) {
  const { saltToAddG: grams, saltPercentAtEnd: percentAtEnd, toDiluteKg } = figures;
  const { tell, refusals } = useSubmit(here.batch.id);
  const { input } = here.batch.snapshot;
  const spoonG = here.kitchen.equipment.saltTeaspoonG;
  const form = useTypedForm({
    first: { grams: '' },
    schema: SALT,
    keep: async (typed) => {
      const item = { ingredientId: 'salt', kg: typed.grams / 1000, tempC: 18 };
      if (await tell({ type: 'added', payload: { items: [item], purpose: { for: 'salt' } } })) form.reset();
    },
  });
  if (percentAtEnd > input.saltPercent + 0.005) {
    return <Soft>{adjustWords.addNoSaltItWill(weight(toDiluteKg))}</Soft>;
  }
  return (
    <TypedForm form={form}>
      <Soft>
        <strong>{adjustWords.g(Math.round(grams))}</strong>
        {adjustWords.toAddInAllLast(Math.round((grams * 2) / 3))}
        {spoonG ? ` ${adjustWords.twoThirdsOfOurSalt(saltSpoons((grams * 2) / 3 / spoonG))}` : ''}
      </Soft>
      <FieldRow>
        <form.AppField name="grams">
          {(field) => <field.AtPot label={adjustWords.saltPutIn} unit="g" refused={refusals[0] ?? null} />}
        </form.AppField>
        <Button type="submit">{adjustWords.itIsIn}</Button>
      </FieldRow>
    </TypedForm>
  );
}
