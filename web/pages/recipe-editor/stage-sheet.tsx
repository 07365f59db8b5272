import { Fragment, useState } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import * as v from 'valibot';
import { typedNumber } from '../../../contract';
import type { Ingredient } from '../../../core/matter';
import { chooseMethod, type Method, methodsFor, type Stage, type StageEnd } from '../../../core/recipe';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { TypedForm, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Caution, Over } from '../../components/text';
import { colour, radius, size, space } from '../../theme/tokens';
import { attentionOf, endOf, inMeasures, recipeEditorWords, weight } from '../../words';
import type { Editing } from './use-editing';

const Ways = styled(RadioGroup)`
  display: grid;
  gap: ${space.xs};
  .way {
    display: grid;
    gap: 2px;
    padding: ${space.s} ${space.m};
    border: 2px solid ${colour.line};
    border-radius: ${radius.m};
    cursor: pointer;
  }
  .way[data-selected] {
    border-color: ${colour.act};
    box-shadow: inset 0 0 0 1px ${colour.act};
  }
  .way[data-focus-visible] {
    outline: 3px solid ${colour.act};
    outline-offset: 2px;
  }
  small {
    font-size: ${size.small};
    color: ${colour.soft};
  }
`;

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
  align-items: end;
`;

/** One stage: its title and act, the school it is done by with its numbers and reason, and the house's own way of it. */
export function StageSheet({
  stage,
  editing,
  rows,
  onClose,
}: {
  stage: Stage;
  editing: Editing;
  rows: Readonly<Record<string, Ingredient>>;
  onClose: () => void;
}) {
  const [draft, setDraft] = useState(stage);
  const form = useTypedForm({
    first: { title: stage.title, act: stage.act, name: stage.method, ends: figureOf(stage.ends) },
    schema: v.object({
      title: v.pipe(v.string(), v.trim()),
      act: v.pipe(v.string(), v.trim()),
      name: v.pipe(v.string(), v.trim()),
      ends: v.pipe(
        v.string(),
        v.check(
          (typed) => endsWith(draft.ends, typed) !== null,
          ({ input }) => recipeEditorWords.isNoNumberThisStage(input),
        ),
      ),
    }),
    keep: (typed) => {
      const { title, act, name } = typed;
      const ends = endsWith(draft.ends, typed.ends);
      if (!ends) return;
      const isHouse = name !== draft.method;
      const { methodId, ...house } = draft;
      editing.changeStage(stage.id, {
        ...(isHouse ? house : { ...house, ...(methodId ? { methodId } : {}) }),
        title: title || stage.title,
        act,
        method: name,
        ends,
        ...(isHouse ? { methodReason: recipeEditorWords.ourOwnMethod } : {}),
      });
      onClose();
    },
  });
  const isServed = stage.ends.rule === 'served';
  const schools = methodsFor(stage.kind ?? 'simmer').filter(
    (method) => (method.ends.rule === 'served') === isServed,
  );
  // the question this stage has answered comes first
  const asked = schools.find((method) => method.id === stage.methodId)?.question;
  const questions = [...new Set([...(asked ? [asked] : []), ...schools.map((method) => method.question)])];
  const rawKg = editing.recipe.lines
    .filter((line) => line.stageId === stage.id && rows[line.ingredientId]?.kind !== 'fat')
    .reduce((sum, line) => sum + line.kg, 0);

  const choose = (methodId: string) => {
    const next = chooseMethod(draft, methodId);
    setDraft(next);
    form.setFieldValue('name', next.method);
    form.setFieldValue('ends', figureOf(next.ends));
  };

  return (
    <Sheet title={stage.title} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="title">
          {(field) => <field.InOffice label={recipeEditorWords.title} />}
        </form.AppField>
        <form.AppField name="act">
          {(field) => <field.InOffice label={recipeEditorWords.whatIsDone} rows={3} />}
        </form.AppField>
        {schools.length > 0 && (
          <Ways value={draft.methodId ?? ''} onChange={choose} aria-label={recipeEditorWords.howItIsDone}>
            {questions.map((question) => (
              <Fragment key={question}>
                <Over>{recipeEditorWords.cooksDiffer(question)}</Over>
                {schools
                  .filter((method) => method.question === question)
                  .map((method) => (
                    <School key={method.id} method={method} stage={draft} rawKg={rawKg} />
                  ))}
              </Fragment>
            ))}
          </Ways>
        )}
        <Two>
          <form.AppField name="name">
            {(field) => <field.InOffice label={recipeEditorWords.ourName} />}
          </form.AppField>
          {draft.ends.rule !== 'served' && draft.ends.rule !== 'simmer' && (
            <form.AppField name="ends">
              {(field) => <field.InOffice {...END_WORDS[draft.ends.rule as keyof typeof END_WORDS]} />}
            </form.AppField>
          )}
        </Two>
        <Choice
          label={recipeEditorWords.lid}
          value={draft.lid}
          options={[
            { value: 'off', text: recipeEditorWords.off },
            { value: 'ajar', text: recipeEditorWords.ajar },
            { value: 'on', text: recipeEditorWords.on },
          ]}
          onChange={(lid) => setDraft({ ...draft, lid })}
        />
        <Button kind="main" type="submit">
          {recipeEditorWords.ok}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

/** One school with its numbers; the one taken also says why, and what to mind. */
function School({ method, stage, rawKg }: { method: Method; stage: Stage; rawKg: number }) {
  const off = method.waterOff;
  return (
    <Radio value={method.id} className="way">
      <strong>
        {method.name}
        {method.isDefault && recipeEditorWords.theUsualHere}
      </strong>
      <small>
        {recipeEditorWords.lid2(
          endOf({ ...stage, ends: method.ends }),
          method.lid,
          attentionOf({ ...stage, attention: method.attention }),
        )}
        {off !== undefined && recipeEditorWords.isDrivenOff(Math.round(off * 100))}
        {off !== undefined && rawKg > 0 && recipeEditorWords.of(weight(rawKg * off), weight(rawKg))}
      </small>
      {method.id === stage.methodId && (
        <>
          <small>{recipeEditorWords.why(inMeasures(method.reason))}</small>
          {method.caution && <Caution>{inMeasures(method.caution)}</Caution>}
        </>
      )}
    </Radio>
  );
}

const END_WORDS = {
  minutes: { label: recipeEditorWords.onItsClock, unit: 'min' },
  soft: { label: recipeEditorWords.softensIn, unit: recipeEditorWords.minAt100C },
  fall: { label: recipeEditorWords.untilThisMuchHasBoiled, unit: '%' },
  warm: { label: recipeEditorWords.upTo, unit: '°C' },
} as const;

function figureOf(ends: StageEnd): string {
  if (ends.rule === 'minutes') return String(ends.minutes);
  if (ends.rule === 'soft') return String(ends.softenMin);
  if (ends.rule === 'warm') return String(ends.tempC);
  return ends.rule === 'fall' ? String(Math.round(ends.fractionGone * 100)) : '';
}

function endsWith(ends: StageEnd, typed: string): StageEnd | null {
  const value = typedNumber(typed);
  switch (ends.rule) {
    case 'minutes':
      return value !== null && value >= 0 && value <= 720 ? { rule: 'minutes', minutes: value } : null;
    case 'soft':
      return value !== null && value >= 0 && value <= 600 ? { ...ends, softenMin: value } : null;
    case 'warm':
      return value !== null && value >= 30 && value <= 95 ? { rule: 'warm', tempC: value } : null;
    case 'fall':
      return value !== null && value >= 1 && value <= 90 ? { rule: 'fall', fractionGone: value / 100 } : null;
    default:
      return ends;
  }
}
