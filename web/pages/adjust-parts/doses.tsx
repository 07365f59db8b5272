import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import { type Dose, type ToMend, tasteFigures } from '../../../core/adjust';
import { itemsFromLots } from '../../../core/larder';
import { holdsOf } from '../../../core/matter';
import type { BatchCommand } from '../../../core/rules';
import type { Scale } from '../../../core/taste';
import { Button } from '../../components/button';
import { Card } from '../../components/card';
import { figure, TypedForm, useOneAtATime, useTypedForm } from '../../components/form';
import { PickOne } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { Caution, Errors, Over, Soft } from '../../components/text';
import { useLots } from '../../data/queries';
import { size, space } from '../../theme/tokens';
import {
  adjustWarningWords,
  adjustWords,
  decimal,
  dose as doseWords,
  hourMinute,
  percent,
  SCALE_WORDS,
  saltSpoons,
  volume,
} from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';
import { LotsLessSalty } from './lots-less-salty';
import type { Says } from './taste-lines';
import { useJudged } from './use-judged';

const DoseCard = styled(Card)`
  ul {
    display: grid;
    gap: ${space.s};
  }
  strong {
    display: block;
    font-size: ${size.title};
    line-height: 1.15;
  }
`;

/** What goes in, and beside it the press that says so: in sight whatever stands below. */
const Top = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space.m};
  align-items: start;
`;

const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${space.s};
`;

/** A dose has spread through the pot after so long, min. Common practice. */
const SPREADS_MIN = 4;

/** What a mouth said, and what it takes: one dose a scale, in by one press; then a clean spoon. */
export function Doses({
  here,
  mend,
  says,
  isFlat,
  by,
  onTold,
}: {
  here: BatchHere;
  mend: ToMend | null;
  says: Says;
  isFlat: boolean;
  /** who tastes; empty where nobody said */
  by: string;
  onTold: (says: Says) => void;
}) {
  const { snapshot, id } = here.batch;
  const { state, nowMs } = here.pot;
  const { tell, refusals } = useSubmit(id);
  const { data: lots = [] } = useLots();
  const [roads, setRoads] = useState<Partial<Record<Scale, string>>>({});
  const [isOpen, setOpen] = useState(false);
  const figures = useJudged(here, () => tasteFigures(snapshot, state, { says, isFlat }, mend), [
    says,
    isFlat,
    mend,
  ]);
  const chosen = Object.entries(figures.doses).flatMap(([scale, doses]) => {
    const dose = doses.find((one) => one.id === roads[scale as Scale]) ?? doses[0];
    return dose ? [dose] : [];
  });
  const isSaid = isFlat || Object.keys(says).length > 0;
  const tasting: BatchCommand = {
    type: 'tasted',
    payload: { says, ...(isFlat ? { isFlat: true } : {}), ...(by ? { by } : {}) },
  };
  const giveIn = useOneAtATime(async (kgOf: (dose: Dose) => number) => {
    const added = chosen.map((dose): BatchCommand => {
      const item = { ...dose.item, kg: Math.round(kgOf(dose) * 1e5) / 1e5 };
      const items = itemsFromLots([item], lots, nowMs, (food) =>
        holdsOf([here.holds, snapshot.input.ingredients[food]!]),
      );
      return { type: 'added', payload: { items, purpose: { for: dose.scale } } };
    });
    if (await tell(tasting, ...added)) onTold(says);
  });
  const save = useOneAtATime(async () => {
    if (await tell(tasting)) onTold(says);
  });
  if (!isSaid) return <LastTasted here={here} />;
  if (chosen.length === 0)
    return (
      <DoseCard aria-label={adjustWords.theDose}>
        <Soft>{adjustWords.nothingToAdd}</Soft>
        <Errors sentences={refusals} />
        <Acts>
          <Button kind="main" onPress={save}>
            {adjustWords.saveTheVerdict}
          </Button>
        </Acts>
      </DoseCard>
    );
  const spoonG = here.kitchen.equipment.saltTeaspoonG;
  const spoonMs = nowMs + SPREADS_MIN * 60_000;
  return (
    <DoseCard aria-label={adjustWords.theDose}>
      <Top>
        <ul>
          {chosen.map((dose) => (
            <li key={dose.scale}>
              <strong>{doseTitle(dose, here)}</strong>
              {spoonG && dose.item.ingredientId === 'salt' && (
                <Over>{adjustWords.ofOurSalt(saltSpoons((dose.item.kg * 1000) / spoonG))}</Over>
              )}
              <Over>{movesWords(dose)}</Over>
              {dose.warns.map((warn) => (
                <Caution key={`${warn.code} ${'name' in warn ? warn.name : ''}`}>
                  {adjustWarningWords(warn)}
                </Caution>
              ))}
            </li>
          ))}
        </ul>
        <Button kind="main" onPress={() => giveIn((dose) => dose.item.kg)}>
          {chosen.length === 1 ? adjustWords.itIsIn : adjustWords.theseAreIn}
        </Button>
      </Top>
      <Errors sentences={refusals} />
      <Acts>
        <Over>
          {adjustWords.aDoseThenASpoon(
            Math.max(...chosen.map((dose) => dose.nth)),
            hourMinute(spoonMs, here.kitchen.zone),
          )}
        </Over>
        <Button kind="quiet" onPress={() => setOpen(true)}>
          {adjustWords.otherAmounts}
        </Button>
      </Acts>
      {(says.salt === 'tooMuch' || says.salt === 'farTooMuch') && <LotsLessSalty here={here} mend={mend} />}
      <OtherAmounts
        key={chosen.map((dose) => dose.id).join()}
        doses={chosen}
        all={figures.doses}
        here={here}
        isOpen={isOpen}
        onClose={() => setOpen(false)}
        onRoad={(scale, road) => setRoads({ ...roads, [scale]: road })}
        onGive={async (grams) => {
          await giveIn((dose) => grams[dose.scale]! / 1000);
          setOpen(false);
        }}
      />
    </DoseCard>
  );
}

/** What a spoon said last, and what went in after it. */
function LastTasted({ here }: { here: BatchHere }) {
  const { tastings, dosed } = here.pot.state;
  const last = tastings.at(-1);
  if (!last) return <Soft>{adjustWords.sayWhatTheSpoonSays}</Soft>;
  const after = dosed.filter((dose) => dose.for !== 'thickness' && dose.atMs >= last.atMs);
  const names = here.batch.snapshot.input.ingredients;
  return (
    <Soft>
      {adjustWords.lastTasted(
        hourMinute(last.atMs, here.kitchen.zone),
        after.map(
          (dose) => `${doseWords(dose.kg * 1000)} ${(names[dose.ingredientId]?.name ?? '').toLowerCase()}`,
        ),
      )}
    </Soft>
  );
}

function doseTitle({ item, code }: Dose, here: BatchHere): string {
  const row = here.batch.snapshot.input.ingredients[item.ingredientId]!;
  const name = row.name.toLowerCase();
  return code === 'dilute'
    ? `${volume(item.kg / row.densityKgPerL)} ${name}`
    : `${doseWords(item.kg * 1000)} ${name}`;
}

/** What a dose moves, each figure from what it is to what it will be. */
function movesWords({ before, after, wholeKg, code, gas, portions, takesShare }: Dose): string {
  const moved = (now: number, then: number, least: number, words: (value: number) => string, name: string) =>
    Math.abs(then - now) >= least ? adjustWords.moves(name, words(now), words(then)) : '';
  const grams = (value: number) => adjustWords.gPerL(value);
  return [
    moved(before.saltPercent, after.saltPercent, 0.01, percent, SCALE_WORDS.salt.toLowerCase()),
    moved(before.acidGPerL, after.acidGPerL, 0.03, grams, SCALE_WORDS.acid.toLowerCase()),
    moved(before.sugarGPerL, after.sugarGPerL, 0.5, grams, adjustWords.sugars),
    moved(before.fatPercent, after.fatPercent, 0.2, (value) => percent(value), adjustWords.fat),
    after.umami > before.umami * 1.03
      ? adjustWords.savouryBy(Math.round(100 * (after.umami / before.umami - 1)))
      : '',
    wholeKg !== null && code === 'more' ? adjustWords.inAllWanted(doseWords(wholeKg * 1000)) : '',
    gas ? adjustWords.gasAndSalt(decimal(gas.litres, 1), doseWords(gas.asSaltG)) : '',
    takesShare === null ? '' : adjustWords.potatoTakes(Math.round(100 * takesShare)),
    code === 'dilute' ? adjustWords.bowlsThen(Math.floor(portions)) : '',
  ]
    .filter((words) => words !== '')
    .join(' · ');
}

/** Another food for it, or another amount, before any of it goes in. */
function OtherAmounts(of: {
  doses: readonly Dose[];
  all: Partial<Record<Scale, Dose[]>>;
  here: BatchHere;
  isOpen: boolean;
  onClose: () => void;
  onRoad: (scale: Scale, road: string) => void;
  onGive: (grams: Partial<Record<Scale, number>>) => Promise<void>;
}) {
  const { input } = of.here.batch.snapshot;
  const name = (dose: Dose) => input.ingredients[dose.item.ingredientId]!.name;
  const form = useTypedForm({
    first: Object.fromEntries(
      of.doses.map((dose) => [dose.scale, decimalText(dose.item.kg * 1000)]),
    ) as Record<string, string>,
    schema: v.object(
      Object.fromEntries(
        of.doses.map((dose) => [dose.scale, figure(numberField(name(dose), 0.01, 100_000, 'g'))]),
      ),
    ),
    keep: (grams) => of.onGive(grams),
  });
  return (
    <Sheet title={adjustWords.otherAmounts} isOpen={of.isOpen} onClose={of.onClose}>
      <TypedForm form={form}>
        {of.doses.map((dose) => (
          <div key={dose.scale}>
            <PickOne
              label={adjustWords.forScale(SCALE_WORDS[dose.scale].toLowerCase())}
              value={dose.id}
              options={of.all[dose.scale]!.map((one) => ({ id: one.id, text: name(one) }))}
              onChange={(id) => of.onRoad(dose.scale, id)}
            />
            <form.AppField name={dose.scale}>
              {(field) => <field.AtPot label={name(dose)} unit="g" />}
            </form.AppField>
          </div>
        ))}
        <Button kind="main" type="submit">
          {adjustWords.theseAreIn}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

const decimalText = (grams: number): string =>
  String(grams >= 10 ? Math.round(grams) : Math.round(grams * 100) / 100);
