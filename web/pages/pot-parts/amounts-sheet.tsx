import { useState } from 'react';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import type { AddedItem, LineDraw } from '../../../core/batch';
import { lotsFor } from '../../../core/larder';
import type { Holds } from '../../../core/matter';
import type { PlannedLine } from '../../../core/plan';
import type { LotView } from '../../../core/views';
import { Button } from '../../components/button';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { PickOne } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { Errors, Over } from '../../components/text';
import { lotAsChoice, potWords } from '../../words';

/** What really went in, line by line, where it was not what the plan said. */
export function AmountsSheet({
  lines,
  isOpen,
  onClose,
  onKeep,
  refusals,
  lots,
  draws,
  holds,
  nowMs,
}: {
  lines: readonly PlannedLine[];
  isOpen: boolean;
  onClose: () => void;
  onKeep: (kgByLine: Record<string, number>, draws: readonly LineDraw[]) => void;
  refusals: readonly string[];
  /** the shelf, for a line that was drawn from another lot than planned */
  lots: readonly LotView[];
  draws: readonly LineDraw[];
  /** what the dish holds so far, for a lot that would bring more */
  holds: Holds;
  nowMs: number;
}) {
  const [lotOf, setLotOf] = useState<Record<string, string>>({});
  /** of what goes in with its bones, the share that is food */
  const edibleShare = (lineId: string) => {
    const line = lines.find((one) => one.lineId === lineId);
    return line?.inPotKg ? line.edibleKg / line.inPotKg : 1;
  };
  const form = useTypedForm({
    first: Object.fromEntries(lines.map((line) => [line.lineId, gramsOf(line.inPotKg ?? line.edibleKg)])),
    schema: gramsByLine(lines),
    keep: (grams) => {
      const kgByLine = Object.fromEntries(
        Object.entries(grams).map(([id, g]) => [id, (g / 1000) * edibleShare(id)]),
      );
      onKeep(kgByLine, redrawn(draws, lotOf, kgByLine));
    },
  });
  return (
    <Sheet title={potWords.whatReallyWentIn} isOpen={isOpen} onClose={onClose}>
      <Over>{potWords.asItWentIntoThe}</Over>
      <TypedForm form={form}>
        {lines.map((line) => (
          <div key={line.lineId}>
            <form.AppField name={line.lineId}>
              {(field) => <field.AtPot label={line.name} unit="g" />}
            </form.AppField>
            <FromLot
              line={line}
              lots={lots}
              draws={draws}
              holds={holds}
              nowMs={nowMs}
              value={lotOf[line.lineId] ?? AS_PLANNED}
              onChange={(id) => setLotOf({ ...lotOf, [line.lineId]: id })}
            />
          </div>
        ))}
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {potWords.theseAreIn}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

const gramsOf = (kg: number) => String(Math.round(kg * 10_000) / 10);

function gramsByLine(lines: readonly PlannedLine[]) {
  return v.object(
    Object.fromEntries(lines.map(({ lineId, name }) => [lineId, figure(numberField(name, 0, 200_000, 'g'))])),
  ) as v.GenericSchema<Record<string, string>, Record<string, number>>;
}

const AS_PLANNED = potWords.asPlanned;
const NO_LOT = potWords.noLot;

/** Which lot a line really came from, where there is more than one answer. */
function FromLot({
  line,
  lots,
  draws,
  holds,
  nowMs,
  value,
  onChange,
}: {
  line: PlannedLine;
  lots: readonly LotView[];
  draws: readonly LineDraw[];
  /** what the dish holds so far */
  holds: Holds;
  nowMs: number;
  value: string;
  onChange: (id: string) => void;
}) {
  const there = lotsFor(line.ingredientId, lots).filter(
    (lot) => lot.leftKg > 0.005 && lot.storage !== 'frozen',
  );
  if (there.length === 0) return null;
  const numbers = draws
    .filter((draw) => draw.lineId === line.lineId)
    .map((draw) => lots.find((lot) => lot.id === draw.lotId)?.number ?? '?');
  return (
    <PickOne
      label={potWords.from(line.name)}
      value={value}
      options={[
        {
          id: AS_PLANNED,
          text: numbers.length > 0 ? potWords.asPlannedLot(numbers.join(', then ')) : potWords.asPlannedNoLot,
        },
        ...there.map((lot) => ({ id: lot.id, text: lotAsChoice(lot, holds, nowMs) })),
        { id: NO_LOT, text: potWords.noLotOfTheLarder },
      ]}
      onChange={onChange}
    />
  );
}

/** The draws as they were, where a line came from another lot or from none. */
export function redrawn(
  draws: readonly LineDraw[],
  lotOf: Readonly<Record<string, string>>,
  kgByLine: Readonly<Record<string, number>>,
): LineDraw[] {
  const changed = Object.entries(lotOf).filter(([, lotId]) => lotId !== AS_PLANNED);
  const kept = draws.filter((draw) => !changed.some(([lineId]) => lineId === draw.lineId));
  const other = changed.flatMap(([lineId, lotId]) =>
    lotId === NO_LOT ? [] : [{ lineId, lotId, kg: kgByLine[lineId] ?? 0 }],
  );
  return [...kept, ...other];
}

/**
 * Planned lines as what goes in; a line left out is 0 and does not. A line drawn from lots goes in lot by lot, the first
 * to go first; more than was planned comes from the last of them.
 */
export function itemsOf(
  lines: readonly PlannedLine[],
  draws: readonly LineDraw[],
  kgByLine: Record<string, number> = {},
): AddedItem[] {
  return lines
    .flatMap((line): AddedItem[] => {
      const kg = kgByLine[line.lineId] ?? line.edibleKg;
      const item = {
        ingredientId: line.ingredientId,
        tempC: line.tempC,
        lineId: line.lineId,
        ...(line.comesOut ? { comesOut: line.comesOut } : {}),
      };
      const own = draws.filter((draw) => draw.lineId === line.lineId);
      if (own.length === 0) return [{ ...item, kg }];
      return drawnFrom(own, kg, line.edibleKg).map((one) => ({ ...item, ...one }));
    })
    .map((item) => ({ ...item, kg: Math.round(item.kg * 1e5) / 1e5 }))
    .filter((item) => item.kg > 0);
}

/** Kilograms shared out over the lots they were planned from; what no lot had comes from wherever it came. */
function drawnFrom(
  draws: readonly LineDraw[],
  kg: number,
  plannedKg: number,
): { kg: number; lotId?: string }[] {
  const drawnKg = draws.reduce((sum, draw) => sum + draw.kg, 0);
  const isWhole = drawnKg > plannedKg - 1e-4;
  const parts: { kg: number; lotId?: string }[] = [];
  let left = kg;
  draws.forEach((draw, i) => {
    const taken = isWhole && i === draws.length - 1 ? left : Math.min(left, draw.kg);
    parts.push({ kg: taken, lotId: draw.lotId });
    left -= taken;
  });
  return left > 1e-6 ? [...parts, { kg: left }] : parts;
}
