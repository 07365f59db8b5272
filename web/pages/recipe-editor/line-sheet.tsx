import { useState } from 'react';
import styled from 'styled-components';
import { typedNumber } from '../../../contract';
import type { Understood } from '../../../core/reader';
import type { Scaling, WrittenLine } from '../../../core/recipe';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { PickOne, PickTyped } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft } from '../../components/text';
import type { Book } from '../../data/use-book';
import { space } from '../../theme/tokens';
import { FoodForm } from '../larder-parts/food-form';
import type { Editing } from './use-editing';

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
  align-items: end;
`;

const SCALING_WORDS: readonly { id: string; text: string }[] = [
  { id: 'auto', text: 'by its kind' },
  { id: 'straight', text: 'straight, with the bowls' },
  { id: 'toYield', text: 'makes up the litres' },
  { id: 'toThickness', text: 'to the thickness' },
  { id: 'toSalt', text: 'to the salt' },
  { id: 'bySurface', text: 'by the pan’s bottom' },
  { id: 'byTaste', text: 'two thirds, then taste' },
  { id: 'startLow', text: 'half, then taste' },
  { id: 'perBowl', text: 'by the bowl' },
];

/** One line put right: what it is, how much, whether it comes out, where its parts go, how it scales, its brine. */
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
  const [grams, setGrams] = useState(edibleKg === null ? '' : String(Math.round(edibleKg * 10_000) / 10));
  const [foodId, setFoodId] = useState(ingredient?.id ?? null);
  const [isOut, setOut] = useState<'yes' | 'no'>(comesOut ? 'yes' : 'no');
  const [scaling, setScaling] = useState(typeof line.scaling === 'string' ? line.scaling : 'auto');
  const [parts, setParts] = useState(
    line.parts.map((part) => ({
      stageId: part.stageId,
      percent: String(Math.round(part.share * 1000) / 10),
    })),
  );
  const [brine, setBrine] = useState(line.cure ? String(line.cure.brinePercent) : '');
  const [hours, setHours] = useState(line.cure ? String(line.cure.hours) : '');
  const [isNew, setNew] = useState(ingredient === null);
  const [wrong, setWrong] = useState<string[]>([]);
  const isMeat = ['meat', 'poultry', 'fish', 'shellfish'].includes(book.rows[foodId ?? '']?.kind ?? '');

  const keep = () => {
    const errors: string[] = [];
    const edibleG = grams.trim() === '' ? null : typedNumber(grams);
    if (grams.trim() !== '' && (edibleG === null || edibleG < 0))
      errors.push(`Grams must be a number, not “${grams}”.`);
    const shares = parts.map((part) => typedNumber(part.percent));
    const sum = shares.reduce<number>((total, share) => total + (share ?? Number.NaN), 0);
    if (!(Math.abs(sum - 100) < 0.06))
      errors.push(
        `The parts come to ${Number.isNaN(sum) ? 'no number' : `${Math.round(sum * 10) / 10} %`}; they must come to 100 %.`,
      );
    const brinePercent = brine.trim() === '' ? null : typedNumber(brine);
    const brineHours = hours.trim() === '' ? null : typedNumber(hours);
    if (
      (brine.trim() !== '' && (brinePercent === null || brinePercent < 0 || brinePercent > 26)) ||
      (hours.trim() !== '' && (brineHours === null || brineHours < 0))
    ) {
      errors.push('Brine is from 0 to 26 %, its hours 0 or more.');
    }
    setWrong(errors);
    if (errors.length > 0) return;
    const readG = reading.edibleG;
    const isOther = foodId !== reading.ingredientId;
    const isWeighed = edibleG !== null && (isOther || readG === null || Math.abs(edibleG - readG) > 0.06);
    const { ingredientId: _i, edibleG: _g, comesOut: _c, scaling: _s, cure: _cure, ...plain } = line;
    const next: WrittenLine = {
      ...plain,
      ...(isOther && foodId ? { ingredientId: foodId } : {}),
      ...(isWeighed && edibleG !== null ? { edibleG } : {}),
      ...((isOut === 'yes') !== reading.comesOut ? { comesOut: isOut === 'yes' } : {}),
      ...(scaling === 'auto'
        ? typeof line.scaling === 'object'
          ? { scaling: line.scaling }
          : {}
        : { scaling: scaling as Scaling }),
      ...(isMeat && brinePercent !== null && brineHours
        ? {
            cure: {
              brinePercent,
              hours: brineHours,
              liquidPerKg: line.cure?.liquidPerKg ?? 1,
              thicknessCm: line.cure?.thicknessCm ?? 3,
            },
          }
        : {}),
      parts: wholeParts(parts.map((part, i) => ({ stageId: part.stageId, share: (shares[i] ?? 0) / 100 }))),
    };
    editing.alter({ written: editing.form.written.map((one) => (one.id === line.id ? next : one)) });
    onClose();
  };

  return (
    <Sheet title={line.text || 'A new line'} isOpen={isOpen} onClose={onClose}>
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
        <>
          <Two>
            <PickTyped
              label="Taken for"
              value={foodId}
              options={Object.values(book.rows).map((row) => ({ id: row.id, text: row.name }))}
              onChange={setFoodId}
            />
            <Button kind="quiet" onPress={() => setNew(true)}>
              Not in the table
            </Button>
            <SmallField label="In the pot, edible" value={grams} onChange={setGrams} unit="g" />
            <PickOne label="It scales" value={scaling} options={SCALING_WORDS} onChange={setScaling} />
          </Two>
          <Choice
            label="Has to come out again"
            value={isOut}
            options={[
              { value: 'no', text: 'Stays in' },
              { value: 'yes', text: 'Comes out' },
            ]}
            onChange={setOut}
          />
          <div>
            <Over>Goes in at</Over>
            {parts.map((part, i) => (
              // parts have no name but their order
              <Two key={i}>
                <PickOne
                  label={`Part ${i + 1}`}
                  isLabelHidden
                  value={part.stageId}
                  options={editing.form.stages.map((stage) => ({ id: stage.id, text: stage.title }))}
                  onChange={(stageId) =>
                    setParts(parts.map((one, n) => (n === i ? { ...one, stageId } : one)))
                  }
                />
                <SmallField
                  label={`Share of part ${i + 1}`}
                  isLabelHidden
                  value={part.percent}
                  onChange={(percent) =>
                    setParts(parts.map((one, n) => (n === i ? { ...one, percent } : one)))
                  }
                  unit="%"
                />
              </Two>
            ))}
            <Button kind="quiet" onPress={() => setParts(parted(parts, editing.form.stages.at(-1)!.id))}>
              Part it for another moment
            </Button>
            {parts.length > 1 && (
              <Button kind="quiet" onPress={() => setParts(joined(parts))}>
                Take the last part back
              </Button>
            )}
          </div>
          {isMeat && (
            <Two>
              <SmallField label="Brine or soak (0 % is water)" value={brine} onChange={setBrine} unit="%" />
              <SmallField label="for" value={hours} onChange={setHours} unit="h" />
            </Two>
          )}
          {reading.note && <Soft>Noted: {reading.note}</Soft>}
          <Errors sentences={wrong} />
          <Button kind="main" onPress={keep}>
            Keep it so
          </Button>
        </>
      )}
    </Sheet>
  );
}

type TypedPart = { stageId: string; percent: string };

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
