import { useStore } from '@tanstack/react-form';
import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField, typedNumber } from '../../../contract';
import type { Understood } from '../../../core/reader';
import type { Scaling, WrittenLine } from '../../../core/recipe';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, figureOrNone, TypedForm, useTypedForm } from '../../components/form';
import { PickOne, PickTyped } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { Errors, Over, Soft } from '../../components/text';
import type { Book } from '../../data/use-book';
import { space } from '../../theme/tokens';
import { recipeEditorWords } from '../../words';
import { FoodForm } from '../larder-parts/food-form';
import type { Editing } from './use-editing';

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
  align-items: end;
`;

const SCALING_WORDS: readonly { id: string; text: string }[] = [
  { id: 'auto', text: recipeEditorWords.scalingRuleByKind },
  { id: 'straight', text: recipeEditorWords.inProportionToTheBowls },
  { id: 'toYield', text: recipeEditorWords.makesUpTheAmount },
  { id: 'toThickness', text: recipeEditorWords.toTheThickness },
  { id: 'toSalt', text: recipeEditorWords.toTheSalt },
  { id: 'bySurface', text: recipeEditorWords.byTheWidthOfThe },
  { id: 'byTaste', text: recipeEditorWords.twoThirdsThenTaste },
  { id: 'bySpoon', text: recipeEditorWords.twoThirdsThenSpoon },
  { id: 'startLow', text: recipeEditorWords.halfThenTaste },
  { id: 'perBowl', text: recipeEditorWords.byTheBowl },
];

/** One line corrected: what it is, how much, whether it comes out, where its parts go, how it scales, its brine. */
export function LineSheet({
  isOpen,
  onClose,
  understood,
  editing,
  book,
}: {
  isOpen: boolean;
  onClose: () => void;
  understood: Understood;
  editing: Editing;
  book: Book;
}) {
  const { line, reading, ingredient, edibleKg, comesOut } = understood;
  const [foodId, setFoodId] = useState(ingredient?.id ?? null);
  const [isOut, setOut] = useState<'yes' | 'no'>(comesOut ? 'yes' : 'no');
  const [scaling, setScaling] = useState(typeof line.scaling === 'string' ? line.scaling : 'auto');
  const [backId, setBackId] = useState(line.backStageId ?? STAYS_OUT);
  const [isNew, setNew] = useState(ingredient === null);
  const soaks = ['pulse', 'grain'].includes(book.rows[foodId ?? '']?.kind ?? '');
  const isMeat = ['meat', 'poultry', 'fish', 'shellfish'].includes(book.rows[foodId ?? '']?.kind ?? '');

  const form = useTypedForm({
    first: {
      grams: edibleKg === null ? '' : String(Math.round(edibleKg * 10_000) / 10),
      soak: soakHours(understood),
      brine: line.cure ? String(line.cure.brinePercent) : '',
      hours: line.cure ? String(line.cure.hours) : '',
      thick: line.cure ? String(line.cure.thicknessCm) : '3',
      parts: line.parts.map(
        ({ stageId, share }): TypedPart => ({ stageId, percent: String(Math.round(share * 1000) / 10) }),
      ),
    },
    schema: LINE,
    keep,
  });
  const parts = useStore(form.store, ({ values }) => values.parts);
  const setParts = (next: TypedPart[]) => form.setFieldValue('parts', next);

  function keep({
    grams: edibleG,
    soak,
    brine: brinePercent,
    hours: brineHours,
    thick: thicknessCm,
    parts: meant,
  }: v.InferOutput<typeof LINE>) {
    const readG = reading.edibleG;
    const isOther = foodId !== reading.ingredientId;
    const isWeighed =
      edibleG !== undefined && (isOther || readG === null || Math.abs(edibleG - readG) > 0.06);
    const {
      ingredientId: _i,
      edibleG: _g,
      comesOut: _c,
      scaling: _s,
      cure: _cure,
      backStageId: _b,
      soakH: _h,
      ...plain
    } = line;
    const isSoakChanged = soak !== undefined && soak !== (reading.soakH ?? undefined);
    const next: WrittenLine = {
      ...plain,
      settled: line.text,
      ...(isOut === 'yes' && backId !== STAYS_OUT ? { backStageId: backId } : {}),
      ...(isSoakChanged ? { soakH: soak } : {}),
      ...(isOther && foodId ? { ingredientId: foodId } : {}),
      ...(isWeighed ? { edibleG } : {}),
      ...((isOut === 'yes') !== reading.comesOut ? { comesOut: isOut === 'yes' } : {}),
      ...(scaling === 'auto'
        ? typeof line.scaling === 'object'
          ? { scaling: line.scaling }
          : {}
        : { scaling: scaling as Scaling }),
      ...(isMeat && brinePercent !== undefined && brineHours
        ? {
            cure: {
              brinePercent,
              hours: brineHours,
              liquidPerKg: line.cure?.liquidPerKg ?? 1,
              thicknessCm,
            },
          }
        : {}),
      parts: wholeParts(meant.map(({ stageId, percent }) => ({ stageId, share: percent / 100 }))),
    };
    editing.alter({ written: editing.form.written.map((one) => (one.id === line.id ? next : one)) });
    onClose();
  }

  return (
    <Sheet title={line.text || recipeEditorWords.aNewLine} isOpen={isOpen} onClose={onClose}>
      {isNew ? (
        <FoodForm
          name={reading.name}
          rows={book.rows}
          onDone={(food) => {
            setFoodId(food.id);
            setNew(false);
          }}
          onCancel={() => setNew(false)}
        />
      ) : (
        <TypedForm form={form}>
          <Two>
            <PickTyped
              label={recipeEditorWords.takenFor}
              value={foodId}
              options={Object.values(book.rows).map((row) => ({ id: row.id, text: row.name }))}
              onChange={setFoodId}
            />
            <Button kind="quiet" onPress={() => setNew(true)}>
              {recipeEditorWords.notInTheTable}
            </Button>
            <form.AppField name="grams">
              {(field) => <field.InOffice label={recipeEditorWords.weightGoingIn} unit="g" />}
            </form.AppField>
            <PickOne
              label={recipeEditorWords.scalingRule}
              value={scaling}
              options={SCALING_WORDS}
              onChange={setScaling}
            />
          </Two>
          <Choice
            label={recipeEditorWords.removeBeforeServing}
            value={isOut}
            options={[
              { value: 'no', text: recipeEditorWords.staysIn },
              { value: 'yes', text: recipeEditorWords.removeBeforeServing },
            ]}
            onChange={setOut}
          />
          {isOut === 'yes' && isMeat && (
            <PickOne
              label={recipeEditorWords.itsMeatGoesBackAt}
              value={backId}
              options={[
                { id: STAYS_OUT, text: recipeEditorWords.staysOut },
                ...editing.form.stages
                  .filter((stage) => stage.ends.rule !== 'served')
                  .map((stage) => ({ id: stage.id, text: stage.title })),
              ]}
              onChange={setBackId}
            />
          )}
          {soaks && (
            <form.AppField name="soak">
              {(field) => <field.InOffice label={recipeEditorWords.soakedFor} unit="h" />}
            </form.AppField>
          )}
          <div>
            <Over>{recipeEditorWords.goesInAt}</Over>
            {parts.map((part, i) => (
              // parts have no name but their order
              <Two key={i}>
                <PickOne
                  label={recipeEditorWords.part(i + 1)}
                  isLabelHidden
                  value={part.stageId}
                  options={editing.form.stages.map((stage) => ({ id: stage.id, text: stage.title }))}
                  onChange={(stageId) =>
                    setParts(parts.map((one, n) => (n === i ? { ...one, stageId } : one)))
                  }
                />
                <form.AppField name={`parts[${i}].percent`}>
                  {(field) => (
                    <field.InOffice label={recipeEditorWords.shareOfPart(i + 1)} isLabelHidden unit="%" />
                  )}
                </form.AppField>
              </Two>
            ))}
            <Button kind="quiet" onPress={() => setParts(parted(parts, editing.form.stages.at(-1)!.id))}>
              {recipeEditorWords.splitAcrossStages}
            </Button>
            {parts.length > 1 && (
              <Button kind="quiet" onPress={() => setParts(joined(parts))}>
                {recipeEditorWords.undoTheLastSplit}
              </Button>
            )}
            <Errors sentences={partsOff(parts)} />
          </div>
          {isMeat && (
            <Two>
              <form.AppField name="brine">
                {(field) => <field.InOffice label={recipeEditorWords.brineOrSoak0Is} unit="%" />}
              </form.AppField>
              <form.AppField name="hours">
                {(field) => <field.InOffice label={recipeEditorWords.for} unit="h" />}
              </form.AppField>
              <form.AppField name="thick">
                {(field) => <field.InOffice label={recipeEditorWords.itsThickestPart} unit="cm" />}
              </form.AppField>
            </Two>
          )}
          {reading.note && <Soft>{recipeEditorWords.noted(reading.note)}</Soft>}
          <Button kind="main" type="submit">
            {recipeEditorWords.ok}
          </Button>
        </TypedForm>
      )}
    </Sheet>
  );
}

/** Lifted out and not put back. */
const STAYS_OUT = 'out';

function soakHours({ line, reading }: Understood): string {
  const hours = line.soakH ?? reading.soakH;
  return hours === null || hours === undefined ? '' : String(hours);
}

interface TypedPart {
  stageId: string;
  percent: string;
}

/** Three thirds typed to a tenth make the whole, %. */
const WHOLE_WITHIN = 0.15;

const LINE = v.pipe(
  v.object({
    grams: figureOrNone(numberField(recipeEditorWords.grams, 0, 1_000_000, '')),
    soak: figureOrNone(numberField(recipeEditorWords.soakedFor, 0, 100, 'h')),
    brine: figureOrNone(numberField(recipeEditorWords.brine, 0, 26, '%')),
    hours: figureOrNone(numberField(recipeEditorWords.itsHours, 0, 240, '')),
    thick: figure(numberField(recipeEditorWords.itsThickestPart, 0.2, 30, 'cm')),
    parts: v.pipe(
      v.array(
        v.object({ stageId: v.string(), percent: figure(numberField(recipeEditorWords.aPart, 0, 100, '%')) }),
      ),
      v.check(
        (parts) => Math.abs(percentOf(parts) - 100) < WHOLE_WITHIN,
        ({ input }) => recipeEditorWords.thePartsComeToThey(Math.round(percentOf(input) * 10) / 10),
      ),
    ),
  }),
  v.forward(
    v.partialCheck(
      [['brine'], ['hours']],
      ({ brine, hours }) => brine === undefined || Boolean(hours),
      recipeEditorWords.aBrineHasHours,
    ),
    ['hours'],
  ),
);

function percentOf(parts: readonly { percent: number }[]): number {
  return parts.reduce((sum, part) => sum + part.percent, 0);
}

/** Parts that do not make the whole, said while they are typed. */
function partsOff(parts: readonly TypedPart[]): string[] {
  const percents = parts.map(({ percent }) => ({ percent: typedNumber(percent) ?? 0 }));
  const sum = Math.round(percentOf(percents) * 10) / 10;
  return Math.abs(sum - 100) < WHOLE_WITHIN ? [] : [recipeEditorWords.thePartsComeToThey(sum)];
}

/** Half of the last part goes to another moment. */
function parted(parts: readonly TypedPart[], stageId: string): TypedPart[] {
  const last = parts.at(-1)!;
  const half = Math.round((typedNumber(last.percent) ?? 0) * 5) / 10;
  return [
    ...parts.slice(0, -1),
    { ...last, percent: String(Math.round(((typedNumber(last.percent) ?? 0) - half) * 10) / 10) },
    { stageId, percent: String(half) },
  ];
}

function joined(parts: readonly TypedPart[]): TypedPart[] {
  const [last, before] = [parts.at(-1)!, parts.at(-2)!];
  const sum = (typedNumber(before.percent) ?? 0) + (typedNumber(last.percent) ?? 0);
  return [...parts.slice(0, -2), { ...before, percent: String(Math.round(sum * 10) / 10) }];
}

/** Typed to a tenth of a per cent, made whole in the last. */
function wholeParts(parts: { stageId: string; share: number }[]): { stageId: string; share: number }[] {
  const rest = parts.slice(0, -1).reduce((sum, part) => sum + part.share, 0);
  return parts.map((part, i) => (i === parts.length - 1 ? { ...part, share: 1 - rest } : part));
}
