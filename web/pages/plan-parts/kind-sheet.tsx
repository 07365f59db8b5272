import { useState } from 'react';
import styled from 'styled-components';
import { check, portionKind, typedNumber, zonedTimeMs } from '../../../contract';
import { ALLERGENS, type Allergen } from '../../../core/matter';
import type { PlanInput } from '../../../core/plan';
import {
  garnishTimes,
  PLAIN_KIND,
  PORTION_WORDS,
  type PortionKind,
  type PortionWord,
} from '../../../core/portions';
import { isGrilled, pieceOf } from '../../../core/service';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors } from '../../components/text';
import { Tick } from '../../components/tick';
import { Ticks } from '../../components/ticks';
import { space } from '../../theme/tokens';
import { hourMinute, planWords } from '../../words';
import { isTime, type Order } from './use-order';

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
`;

/** The sizes a kind begins with, mL; null for the bowl of the sentence. Common practice. */
const USUAL_ML: Readonly<Record<PortionWord, number | null>> = {
  bowl: null,
  cup: 150,
  tub: 1000,
  staff: null,
};

const ALLERGEN_OPTIONS = (Object.keys(ALLERGENS) as Allergen[]).map((id) => ({
  id,
  text: ALLERGENS[id].name,
}));

interface Typed {
  word: PortionWord;
  count: string;
  ml: string;
  later: string;
  freeOf: string[];
  garnish: Record<string, string>;
  isGrilled: boolean;
}

/** One kind of portion: what it is, how many, how large, when, for whom, what goes on it. */
export function KindSheet(of: {
  kind: PortionKind | null;
  order: Order;
  input: PlanInput;
  zone: string;
  onKeep: (kind: PortionKind) => void;
  onClose: () => void;
}) {
  const { kind, order, input, zone } = of;
  const garnishes = input.recipe.lines.filter((line) => line.scaling === 'perBowl' && line.kg > 0);
  const isPlain = kind?.id === PLAIN_KIND;
  const usual = (word: PortionWord): PortionKind => ({ id: '', word, ml: 1, count: 1 });
  const garnishOf = (one: PortionKind) =>
    Object.fromEntries(
      garnishes.map((line) => [
        line.id,
        shownGarnish(garnishTimes(one, line.id) * garnishUnit(input, line.id).each),
      ]),
    );
  const [typed, setTyped] = useState<Typed>(() => {
    const first = kind ?? { ...usual('bowl'), ml: input.portionMl };
    return {
      word: first.word,
      count: kind ? String(kind.count) : '',
      ml: String(first.ml),
      later: kind?.laterMs === undefined ? '' : hourMinute(kind.laterMs, zone),
      freeOf: [...(kind?.freeOf ?? [])],
      garnish: garnishOf(first),
      isGrilled: isGrilled(input.recipe, first),
    };
  });
  const [errors, setErrors] = useState<string[]>([]);
  const change = (part: Partial<Typed>) => setTyped((before) => ({ ...before, ...part }));
  const turn = (word: PortionWord) =>
    change({
      word,
      ml: String(USUAL_ML[word] ?? input.portionMl),
      garnish: garnishOf(usual(word)),
      isGrilled: isGrilled(input.recipe, usual(word)),
    });
  const keep = () => {
    if (typed.later.trim() && !isTime(typed.later)) {
      setErrors([planWords.readyByMustBeA(typed.later)]);
      return;
    }
    const plain = usual(typed.word);
    const garnish = garnishes.flatMap((line) => {
      const each = typedNumber(typed.garnish[line.id] ?? '') ?? Number.NaN;
      const times = each / garnishUnit(input, line.id).each;
      return Math.abs(times - garnishTimes(plain, line.id)) < 0.01 ? [] : [[line.id, times] as const];
    });
    const later = typed.later.trim().replace('.', ':');
    const read = check(portionKind, {
      id: kind?.id ?? nextId(order.draft.kinds),
      word: typed.word,
      ml: isPlain ? input.portionMl : (typedNumber(typed.ml) ?? typed.ml),
      count: isPlain ? 1 : (typedNumber(typed.count) ?? typed.count),
      ...(later ? { laterMs: zonedTimeMs(later, zone, order.serviceAtMs) } : {}),
      ...(typed.freeOf.length > 0 ? { freeOf: typed.freeOf } : {}),
      ...(garnish.length > 0 ? { garnish: Object.fromEntries(garnish) } : {}),
      ...(typed.isGrilled === isGrilled(input.recipe, plain) ? {} : { isGrilled: typed.isGrilled }),
    });
    if (read.ok) of.onKeep(read.value);
    else setErrors([...new Set(read.errors.map((error) => error.sentence))]);
  };
  return (
    <Sheet title={isPlain ? planWords.theBowls : planWords.portionsToAdd} isOpen onClose={of.onClose}>
      {!isPlain && (
        <>
          <Choice
            label={planWords.whatTheyAre}
            value={typed.word}
            options={PORTION_WORDS.map((word) => ({ value: word, text: planWords.kindWords[word] }))}
            onChange={turn}
          />
          <Pair>
            <SmallField
              label={planWords.howMany}
              value={typed.count}
              onChange={(count) => change({ count })}
              inputMode="decimal"
            />
            <SmallField label={planWords.size} value={typed.ml} onChange={(ml) => change({ ml })} unit="mL" />
            <SmallField
              label={planWords.laterAt}
              value={typed.later}
              onChange={(later) => change({ later })}
              placeholder="19:00"
            />
          </Pair>
        </>
      )}
      <Ticks
        label={planWords.withoutWhat}
        value={typed.freeOf}
        options={ALLERGEN_OPTIONS}
        onChange={(freeOf) => change({ freeOf })}
      />
      {garnishes.length > 0 && (
        <Pair>
          {garnishes.map((line) => (
            <SmallField
              key={line.id}
              label={planWords.garnishOn(input.ingredients[line.ingredientId]?.name ?? line.id)}
              value={typed.garnish[line.id] ?? ''}
              onChange={(value) => change({ garnish: { ...typed.garnish, [line.id]: value } })}
              inputMode="decimal"
              {...(garnishUnit(input, line.id).isPieces ? {} : { unit: 'g' })}
            />
          ))}
        </Pair>
      )}
      <Tick isOn={typed.isGrilled} onChange={(grilled) => change({ isGrilled: grilled })}>
        {planWords.underTheGrill}
      </Tick>
      <Errors sentences={errors} />
      <Button kind="main" onPress={keep}>
        {kind ? planWords.saveKind : planWords.addKind}
      </Button>
    </Sheet>
  );
}

/** What a garnish is counted in on one portion: pieces, where it has them, else grams. */
function garnishUnit(input: PlanInput, lineId: string): { each: number; isPieces: boolean } {
  const { kg } = input.recipe.lines.find((one) => one.id === lineId)!;
  const pieceKg = pieceOf(input, lineId);
  return pieceKg === null ? { each: 1000 * kg, isPieces: false } : { each: kg / pieceKg, isPieces: true };
}

const shownGarnish = (value: number): string => String(Math.round(value * 100) / 100);

function nextId(kinds: readonly PortionKind[]): string {
  for (let n = 1; ; n++) if (!kinds.some((one) => one.id === `k${n}`)) return `k${n}`;
}
