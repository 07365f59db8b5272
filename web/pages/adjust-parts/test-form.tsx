import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import { LADLE_LOOKS, SPOON_LOOKS, TEST_RANGES, type ThicknessTest } from '../../../core/thickness';
import { Button } from '../../components/button';
import { figure, TypedForm, useOneAtATime, useTypedForm } from '../../components/form';
import { PickOne } from '../../components/menu';
import { Errors, Over, Soft } from '../../components/text';
import { colour, radius, size, space, target } from '../../theme/tokens';
import { adjustWords, LADLE_WORDS, SPOON_WORDS, TEST_WORDS } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';
import { SpoonPicture } from './test-pictures';

const Looks = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(96px, 1fr));
  gap: ${space.s};
  button {
    display: grid;
    justify-items: center;
    gap: 4px;
    min-height: ${target.atPot};
    padding: ${space.s} 4px;
    border: 2px solid ${colour.line};
    border-radius: ${radius.m};
    background: ${colour.sheet};
    font-size: ${size.small};
    line-height: 1.2;
    cursor: pointer;
  }
`;

const Row = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: ${space.s};
  align-items: end;
  button {
    min-height: ${target.atPot};
  }
`;

const TESTS = ['spoon', 'ladle', 'lineSpread', 'flow'] as const;

/** Thickness as a cook tests it: a look chosen by touch, or a figure typed. */
export function TestForm({ here, onDone }: { here: BatchHere; onDone: () => void }) {
  const [test, setTest] = useState<ThicknessTest['test']>('spoon');
  const { tell, refusals } = useSubmit(here.batch.id);
  const tempC = Math.round(here.pot.state.pot.tempC);
  const say = useOneAtATime(async (value: number, atC: number) => {
    if (await tell({ type: 'tested', payload: { test, value, tempC: atC } })) onDone();
  });
  const looks =
    test === 'spoon'
      ? SPOON_LOOKS.map(({ look }) => SPOON_WORDS[look])
      : test === 'ladle'
        ? LADLE_LOOKS.map(({ look }) => LADLE_WORDS[look])
        : null;
  return (
    <>
      <PickOne
        label={adjustWords.testedWith}
        value={test}
        options={TESTS.map((id) => ({ id, text: TEST_WORDS[id] }))}
        onChange={(id) => setTest(id as ThicknessTest['test'])}
      />
      {looks ? (
        <>
          <Soft>{test === 'spoon' ? adjustWords.whatTheSpoonShows : adjustWords.howItLeavesTheLadle}</Soft>
          <Looks>
            {looks.map((words, i) => (
              <button key={words} type="button" onClick={() => void say(i, tempC)}>
                {test === 'spoon' && <SpoonPicture look={i} />}
                {words}
              </button>
            ))}
          </Looks>
          <Over>{adjustWords.takenAsHotAsThePot(tempC)}</Over>
        </>
      ) : (
        <Figure key={test} test={test as 'lineSpread' | 'flow'} tempC={tempC} say={say} />
      )}
      <Errors sentences={refusals} />
    </>
  );
}

const UNITS = { lineSpread: 'cm', flow: 'mL' } as const;

function Figure({
  test,
  tempC,
  say,
}: {
  test: 'lineSpread' | 'flow';
  tempC: number;
  say: (value: number, atC: number) => Promise<void>;
}) {
  const { least, most } = TEST_RANGES[test];
  const name = test === 'flow' ? adjustWords.leftInTheSyringe : adjustWords.itsRadius;
  const form = useTypedForm({
    first: { value: '', tempC: String(tempC) },
    schema: v.object({
      value: figure(numberField(name, least, most, UNITS[test])),
      tempC: figure(numberField(adjustWords.itsWarmth, 0, 105, '°C')),
    }),
    keep: (typed) => say(typed.value, typed.tempC),
  });
  return (
    <TypedForm form={form}>
      <Soft>{test === 'flow' ? adjustWords.howToFlow : adjustWords.howToSpread}</Soft>
      <Row>
        <form.AppField name="value">
          {(field) => <field.AtPot label={name} unit={UNITS[test]} />}
        </form.AppField>
        <form.AppField name="tempC">
          {(field) => <field.AtPot label={adjustWords.itsWarmth} unit="°C" />}
        </form.AppField>
        <Button type="submit">{adjustWords.save}</Button>
      </Row>
    </TypedForm>
  );
}
