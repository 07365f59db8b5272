import { useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import styled from 'styled-components';
import { litres, typedNumber } from '../../contract';
import { portions as portionsOf } from '../../core/portions';
import { potLitres } from '../../core/pot';
import { FOOD_CODE } from '../../core/safety';
import { Button } from '../components/button';
import { Field } from '../components/field';
import { Halves, Page } from '../components/page';
import { PotSection } from '../components/pot-section/pot-section';
import { Sheet } from '../components/sheet';
import { Caution, Errors, Soft, Subtitle } from '../components/text';
import { space } from '../theme/tokens';
import type { BatchHere } from './batch-frame';
import { StoreForm } from './pass-parts/store-form';
import { BowlsThere, LitresThere } from './pass-parts/what-is-there';
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
  const isCool = state.pot.tempC < FOOD_CODE.hotHoldingC.value && inPot > 0.1;
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
              tags={state.toComeOut.map((one) => (one.count > 1 ? `${one.count} ${one.word}` : one.word))}
              stick
              description={`The ${here.pot.state.inPot.name} in section: ${litres(inPot)}${isBase ? '' : `, ${left} bowls`}.`}
            />
          </PotBox>
          {isCool && !isBase && (
            <Caution>
              calculated, it is under {FOOD_CODE.hotHoldingC.value} °C. Take its temperature; hot holding is{' '}
              {FOOD_CODE.hotHoldingC.value} °C or above.
            </Caution>
          )}
        </section>
        <section>
          {state.toComeOut.length > 0 && <TakeOut here={here} />}
          {isBase ? <StoreForm here={here} /> : <ServeForm here={here} />}
          {!isBase && <StoreForm here={here} />}
          <CloseForm here={here} leftLitres={inPot} />
        </section>
      </Halves>
    </Page>
  );
}

function ServeForm({ here }: { here: BatchHere }) {
  const { tell, refusals, forget } = useSubmit(here.batch.id);
  const [text, setText] = useState('1');
  const [wrong, setWrong] = useState<string | null>(null);
  const [asked, setAsked] = useState<number | null>(null);
  const [reason, setReason] = useState('');
  const hanging = here.pot.state.toComeOut;

  function count(): number | null {
    const value = typedNumber(text);
    if (value === null || !Number.isInteger(value) || value < 1 || value > 1000) {
      setWrong(
        `Bowls must be a whole number from 1 to 1000, not ${text.trim() ? `“${text.trim()}”` : 'empty'}.`,
      );
      return null;
    }
    setWrong(null);
    return value;
  }
  function serve(portions: number | null) {
    if (portions === null) return;
    if (hanging.length > 0) setAsked(portions);
    else void tell({ type: 'portioned', payload: { portions, fate: 'served' } });
  }
  function discard() {
    const portions = count();
    if (portions !== null) void tell({ type: 'portioned', payload: { portions, fate: 'discarded' } });
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
      <Beside>
        <Field label="Or another number" value={text} onChange={setText} />
        <Button onPress={() => serve(count())}>Served</Button>
        <Button onPress={discard}>Discarded</Button>
      </Beside>
      <Errors sentences={wrong ? [wrong] : []} />
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
            <Field
              label="Or say why it is served with them in it"
              value={reason}
              onChange={setReason}
              isText
              error={refusals[0] ?? null}
            />
            <Button
              onPress={async () => {
                const payload = {
                  portions: asked ?? 1,
                  fate: 'served' as const,
                  ...(reason.trim() ? { overrideReason: reason.trim() } : {}),
                };
                if (await tell({ type: 'portioned', payload })) setAsked(null);
              }}
            >
              Serve all the same
            </Button>
          </>
        ) : (
          <>
            <Soft>All of it is out.</Soft>
            <Button
              kind="main"
              atPot
              onPress={async () => {
                const payload = { portions: asked ?? 1, fate: 'served' as const };
                if (await tell({ type: 'portioned', payload })) setAsked(null);
              }}
            >
              Serve {asked}
            </Button>
          </>
        )}
      </Sheet>
    </Stack>
  );
}

function CloseForm({ here, leftLitres }: { here: BatchHere; leftLitres: number }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  async function close() {
    const value = typedNumber(text);
    if (value === null || value < 0) {
      setWrong(
        `What is left must be a number of litres, 0 or more, not ${text.trim() ? `“${text.trim()}”` : 'empty'}.`,
      );
      return;
    }
    setWrong(null);
    if (await tell({ type: 'closed', payload: { leftLitres: value } })) navigate(`/log/${here.batch.id}`);
  }
  return (
    <div>
      <Button
        onPress={() => {
          setText(leftLitres.toFixed(1));
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
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void close();
          }}
        >
          <Field
            label="Left in the pot"
            unit="L"
            value={text}
            onChange={setText}
            error={wrong ?? refusals[0] ?? null}
          />
          <br />
          <Button kind="main" atPot type="submit">
            Close it
          </Button>
        </form>
        <Caution>
          what is kept is cooled from {FOOD_CODE.hotHoldingC.value} to {FOOD_CODE.coolFirstToC.value} °C
          within {FOOD_CODE.coolFirstWithinH.value} h and to {FOOD_CODE.coolToC.value} °C within{' '}
          {FOOD_CODE.coolWithinH.value} h in all, in shallow pans or ice, never in the pot.
        </Caution>
      </Sheet>
    </div>
  );
}
