import { useState } from 'react';
import type { AddedItem, PlannedLine } from '../../../core';
import { typedNumber } from '../../data/format';
import { Button } from '../../parts/button';
import { Field } from '../../parts/field';
import { Sheet } from '../../parts/sheet';
import { Errors, Over } from '../../parts/text';

/** What really went in, line by line, where it was not what the plan said. */
export function AmountsSheet({
  lines,
  isOpen,
  onClose,
  onKeep,
  refusals,
}: {
  lines: readonly PlannedLine[];
  isOpen: boolean;
  onClose: () => void;
  onKeep: (kgByLine: Record<string, number>) => void;
  refusals: readonly string[];
}) {
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [wrong, setWrong] = useState<Record<string, string>>({});
  const gramsOf = (line: PlannedLine) =>
    typed[line.lineId] ?? String(Math.round(line.edibleKg * 10_000) / 10);

  function keep() {
    const found: Record<string, string> = {};
    const kgByLine: Record<string, number> = {};
    for (const line of lines) {
      const grams = typedNumber(gramsOf(line));
      if (grams === null || grams < 0 || grams > 200_000) {
        found[line.lineId] =
          `${line.name} must be a number of grams from 0 to 200000, not “${gramsOf(line)}”.`;
      } else kgByLine[line.lineId] = grams / 1000;
    }
    setWrong(found);
    if (Object.keys(found).length === 0) onKeep(kgByLine);
  }

  return (
    <Sheet title="What really went in" isOpen={isOpen} onClose={onClose}>
      <Over>Edible weight, as it went into the pot. 0 for what was left out.</Over>
      {lines.map((line) => (
        <Field
          key={line.lineId}
          label={line.name}
          unit="g"
          value={gramsOf(line)}
          onChange={(text) => setTyped({ ...typed, [line.lineId]: text })}
          error={wrong[line.lineId] ?? null}
        />
      ))}
      <Errors sentences={refusals} />
      <Button kind="main" atPot onPress={keep}>
        These are in
      </Button>
    </Sheet>
  );
}

/** Planned lines as what goes in; a line left out is 0 and does not. */
export function itemsOf(
  lines: readonly PlannedLine[],
  lot: { lotId?: string; ingredientId?: string },
  kgByLine: Record<string, number> = {},
): AddedItem[] {
  return lines
    .map((line) => ({
      ingredientId: line.ingredientId,
      kg: Math.round((kgByLine[line.lineId] ?? line.edibleKg) * 1e5) / 1e5,
      tempC: line.tempC,
      lineId: line.lineId,
      ...(lot.lotId && line.ingredientId === lot.ingredientId ? { lotId: lot.lotId } : {}),
      ...(line.comesOut ? { comesOut: line.comesOut } : {}),
    }))
    .filter((item) => item.kg > 0);
}
