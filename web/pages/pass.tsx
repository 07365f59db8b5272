import { useRef, useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import styled from 'styled-components';
import * as v from 'valibot';
import { countField, litres, numberField, sentenceCase, thePot } from '../../contract';
import { toComeOut } from '../../core/batch';
import { portions as portionsOf } from '../../core/portions';
import { potLitres } from '../../core/pot';
import { FOOD_CODE } from '../../core/safety';
import { Button } from '../components/button';
import { figure, TypedForm, useTypedForm } from '../components/form';
import { Halves, Page } from '../components/page';
import { PotSection } from '../components/pot-section/pot-section';
import { Sheet } from '../components/sheet';
import { Caution, Errors, Soft, Subtitle } from '../components/text';
import { space } from '../theme/tokens';
import type { BatchHere } from './batch-frame';
import { StoreForm } from './pass-parts/store-form';
import { BowlsThere, LitresThere } from './pass-parts/what-is-there';
import { HoldNote } from './pot-parts/hold-note';
import { TakeOut } from './pot-parts/take-out';
import { useSubmit } from './pot-parts/use-submit';

const PotBox = styled.div`
  height: 250px;
`;

const Stack = styled.div`
  display: grid;
  gap: ${space.s};
`;

const Beside = styled.div`
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: ${space.s};
  align-items: end;
  button {
    min-height: 60px;
  }
`;

const Quick = styled.div`
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: ${space.s};
`;

export function Pass() {
  const here = useOutletContext<BatchHere>();
  const { snapshot } = here.batch;
  const { state } = here.pot;
  const { input } = snapshot;
  const inPot = potLitres(state.pot);
  const left = Math.floor(portionsOf({ litres: inPot, portionMl: input.portionMl }) + 1e-6);
  const isBase = Boolean(input.recipe.base);
  return (
    <Page>
      <Halves>
        <section>
          {isBase ? <LitresThere here={here} /> : <BowlsThere here={here} left={left} />}
          <PotBox>
            <PotSection
              vessel={here.pot.state.inPot.vessel}
              litres={inPot}
              food={input.recipe.colour}
              pieces={isBase ? 0 : 0.5}
              hasLid={state.pot.lid}
              heatFraction={state.pot.heatFraction}
              tags={toComeOut(state).map((one) => (one.count > 1 ? `${one.count} ${one.word}` : one.word))}
              stick
              description={`${sentenceCase(thePot(here.pot.state.inPot.name))} in section: ${litres(inPot)}${isBase ? '' : `, ${left} bowls`}.`}
            />
          </PotBox>
          {!isBase && <HoldNote here={here} />}
        </section>
        <section>
          {toComeOut(state).length > 0 && <TakeOut here={here} />}
          {isBase ? <StoreForm here={here} /> : <ServeForm here={here} />}
          {!isBase && <StoreForm here={here} />}
          <CloseForm here={here} leftLitres={inPot} />
        </section>
      </Halves>
    </Page>
  );
}

const BOWLS = v.object({ portions: figure(countField('Bowls', 1, 1000)) });

function ServeForm({ here }: { here: BatchHere }) {
  const { tell, refusals, forget } = useSubmit(here.batch.id);
  const [asked, setAsked] = useState<number | null>(null);
  const hanging = toComeOut(here.pot.state);
  const fate = useRef<'served' | 'discarded'>('served');
  const form = useTypedForm({
    first: { portions: '1' },
    schema: BOWLS,
    keep: ({ portions }) =>
      fate.current === 'served'
        ? serve(portions)
        : tell({ type: 'portioned', payload: { portions, fate: 'discarded' } }),
  });
  const keepAs = (what: typeof fate.current) => {
    fate.current = what;
    void form.handleSubmit();
  };

  function serve(portions: number): void {
    if (hanging.length > 0) setAsked(portions);
    else void tell({ type: 'portioned', payload: { portions, fate: 'served' } });
  }
  async function serveAsked(overrideReason: string): Promise<void> {
    const reason = overrideReason ? { overrideReason } : {};
    const payload = { portions: asked ?? 1, fate: 'served' as const, ...reason };
    if (await tell({ type: 'portioned', payload })) setAsked(null);
  }
  return (
    <Stack>
      <Subtitle>Bowls</Subtitle>
      <Quick>
        {[1, 2, 4, 10].map((n) => (
          <Button key={n} atPot kind={n === 1 ? 'main' : 'plain'} onPress={() => serve(n)}>
            {n} out
          </Button>
        ))}
      </Quick>
      <TypedForm form={form} onSubmit={() => (fate.current = 'served')}>
        <Beside>
          <form.AppField name="portions">
            {(field) => <field.AtPot label="Or another number" />}
          </form.AppField>
          <Button onPress={() => keepAs('served')}>Served</Button>
          <Button onPress={() => keepAs('discarded')}>Discarded</Button>
        </Beside>
      </TypedForm>
      <Errors sentences={asked === null ? refusals : []} />
      <Sheet
        title="Before the first bowl"
        isOpen={asked !== null}
        onClose={() => {
          setAsked(null);
          forget();
        }}
      >
        {hanging.length > 0 ? (
          <>
            <TakeOut here={here} />
            <AllTheSame refused={refusals[0] ?? null} onKeep={serveAsked} />
          </>
        ) : (
          <>
            <Soft>All of it is out.</Soft>
            <Button kind="main" atPot onPress={() => serveAsked('')}>
              Serve {asked}
            </Button>
          </>
        )}
      </Sheet>
    </Stack>
  );
}

const REASON = v.object({ reason: v.pipe(v.string(), v.trim()) });

/** Served with the bay leaf in it: not without a reason. */
function AllTheSame({
  refused,
  onKeep,
}: {
  refused: string | null;
  onKeep: (reason: string) => Promise<void>;
}) {
  const form = useTypedForm({
    first: { reason: '' },
    schema: REASON,
    keep: ({ reason }) => onKeep(reason),
  });
  return (
    <TypedForm form={form}>
      <form.AppField name="reason">
        {(field) => <field.AtPot label="Or say why it is served with them in it" isText refused={refused} />}
      </form.AppField>
      <Button type="submit">Serve all the same</Button>
    </TypedForm>
  );
}

const CLOSING = v.object({ leftLitres: figure(numberField('What is left', 0, 2000, 'L')) });

function CloseForm({ here, leftLitres }: { here: BatchHere; leftLitres: number }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const form = useTypedForm({
    first: { leftLitres: '' },
    schema: CLOSING,
    keep: async (payload) => {
      if (await tell({ type: 'closed', payload })) navigate(`/log/${here.batch.id}`);
    },
  });
  return (
    <div>
      <Button
        onPress={() => {
          form.setFieldValue('leftLitres', leftLitres.toFixed(1));
          setOpen(true);
        }}
      >
        Close the batch…
      </Button>
      <Sheet title="Close the batch" isOpen={isOpen} onClose={() => setOpen(false)}>
        <Soft>
          {here.pot.state.served} bowls served, {here.pot.state.discarded} discarded. Calculated:{' '}
          {litres(leftLitres)} are left: look, and put the real figure.
        </Soft>
        <TypedForm form={form}>
          <form.AppField name="leftLitres">
            {(field) => <field.AtPot label="Left in the pot" unit="L" refused={refusals[0] ?? null} />}
          </form.AppField>
          <Button kind="main" atPot type="submit">
            Close it
          </Button>
        </TypedForm>
        <Caution>
          what is kept is cooled from {here.kitchen.limits.hotHoldingC} to {FOOD_CODE.coolFirstToC.value} °C
          within {here.kitchen.limits.coolFirstWithinH} h and to {FOOD_CODE.coolToC.value} °C within{' '}
          {here.kitchen.limits.coolWithinH} h in all, in shallow pans or ice, never in the pot.
        </Caution>
      </Sheet>
    </div>
  );
}
