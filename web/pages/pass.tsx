import { useRef, useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import styled from 'styled-components';
import * as v from 'valibot';
import { countField, numberField, sentenceCase, thePot } from '../../contract';
import { FLOORS_FOUND, type FloorFound, toComeOut } from '../../core/batch';
import { portions as portionsOf } from '../../core/portions';
import { foodLitres } from '../../core/pot';
import { FOOD_CODE } from '../../core/safety';
import { Button } from '../components/button';
import { Choice } from '../components/choice';
import { figure, TypedForm, useTypedForm } from '../components/form';
import { Halves, Page } from '../components/page';
import { PotSection } from '../components/pot-section/pot-section';
import { Sheet } from '../components/sheet';
import { Caution, Errors, Soft, Subtitle } from '../components/text';
import { space } from '../theme/tokens';
import { litres, passWords } from '../words';
import type { BatchHere } from './batch-frame';
import { StoreForm } from './pass-parts/store-form';
import { BowlsThere, LitresThere } from './pass-parts/what-is-there';
import { WillItLast } from './pass-parts/will-it-last';
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
  const inPot = foodLitres(state.pot);
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
              description={passWords.inSection(
                sentenceCase(thePot(here.pot.state.inPot.name)),
                litres(inPot),
                isBase ? '' : passWords.bowls(left),
              )}
            />
          </PotBox>
          {!isBase && <WillItLast here={here} litres={inPot} left={left} />}
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

const BOWLS = v.object({ portions: figure(countField(passWords.bowls2, 1, 1000)) });

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
      <Subtitle>{passWords.bowls2}</Subtitle>
      <Quick>
        {[1, 2, 4, 10].map((n) => (
          <Button key={n} atPot kind={n === 1 ? 'main' : 'plain'} onPress={() => serve(n)}>
            {passWords.out(n)}
          </Button>
        ))}
      </Quick>
      <TypedForm form={form} onSubmit={() => (fate.current = 'served')}>
        <Beside>
          <form.AppField name="portions">
            {(field) => <field.AtPot label={passWords.orAnotherNumber} />}
          </form.AppField>
          <Button onPress={() => keepAs('served')}>{passWords.served2}</Button>
          <Button onPress={() => keepAs('discarded')}>{passWords.discarded2}</Button>
        </Beside>
      </TypedForm>
      <Errors sentences={asked === null ? refusals : []} />
      <Sheet
        title={passWords.beforeTheFirstBowl}
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
            <Soft>{passWords.allOfItIsOut}</Soft>
            <Button kind="main" atPot onPress={() => serveAsked('')}>
              {passWords.serve}
              {asked}
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
        {(field) => <field.AtPot label={passWords.orSayWhyItIs} isText refused={refused} />}
      </form.AppField>
      <Button type="submit">{passWords.serveAllTheSame}</Button>
    </TypedForm>
  );
}

const CLOSING = v.object({ leftLitres: figure(numberField(passWords.whatIsLeft, 0, 2000, 'L')) });

function CloseForm({ here, leftLitres }: { here: BatchHere; leftLitres: number }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const [floor, setFloor] = useState<FloorFound | 'unseen'>('unseen');
  const form = useTypedForm({
    first: { leftLitres: '' },
    schema: CLOSING,
    keep: async ({ leftLitres }) => {
      const payload = { leftLitres, ...(floor === 'unseen' ? {} : { floor }) };
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
        {passWords.closeTheBatch}
      </Button>
      <Sheet title={passWords.closeTheBatch2} isOpen={isOpen} onClose={() => setOpen(false)}>
        <Soft>
          {passWords.bowlsServedDiscardedCalculatedAre(
            here.pot.state.served,
            here.pot.state.discarded,
            litres(leftLitres),
          )}
        </Soft>
        <TypedForm form={form}>
          <form.AppField name="leftLitres">
            {(field) => <field.AtPot label={passWords.leftInThePot} unit="L" refused={refusals[0] ?? null} />}
          </form.AppField>
          <Choice
            label={passWords.theFloorOfThePot}
            value={floor}
            options={(['unseen', ...FLOORS_FOUND] as const).map((value) => ({
              value,
              text: passWords.floors[value],
            }))}
            onChange={setFloor}
            atPot
          />
          <Button kind="main" atPot type="submit">
            {passWords.closeIt}
          </Button>
        </TypedForm>
        <Caution>
          {passWords.whatIsKeptIsCooled(
            here.kitchen.limits.hotHoldingC,
            FOOD_CODE.coolFirstToC.value,
            here.kitchen.limits.coolFirstWithinH,
            FOOD_CODE.coolToC.value,
            here.kitchen.limits.coolWithinH,
          )}
        </Caution>
      </Sheet>
    </div>
  );
}
