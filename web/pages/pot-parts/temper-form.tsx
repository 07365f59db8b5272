import { useState } from 'react';
import styled from 'styled-components';
import { typedNumber } from '../../../contract';
import { hasGoneIn } from '../../../core/batch';
import { type Ingredient, specificHeatKJ } from '../../../core/matter';
import { bodyOfPot, handfuls, liquidLitres, type PotState, temper } from '../../../core/pot';
import { TOP_RULES, topRuleOf } from '../../../core/safety';
import { PickOne } from '../../components/menu';
import { SmallField } from '../../components/small-field';
import { Caution, Errors, Over, Soft } from '../../components/text';
import { colour, font, size, space } from '../../theme/tokens';
import { potWords, temperature, weight } from '../../words';
import type { BatchHere } from '../batch-frame';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: ${space.m};
`;

const Steps = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  li {
    min-width: 92px;
    padding: ${space.xs} ${space.s};
    border: 2px solid ${colour.edge};
    border-radius: 10px;
    text-align: center;
  }
  strong {
    display: block;
    font-family: ${font.title};
    font-size: ${size.figure};
    font-variant-numeric: tabular-nums;
  }
`;

/** What is tempered, and how warm it has to be before it goes in, °C. Common practice. */
const WARM_ENOUGH_C = { egg: 60, dairy: 50, other: 45 } as const;

/** So many ladles of hot liquid into the liaison, the miso, the dairy or the starch, and what that makes it. */
export function TemperForm({ here }: { here: BatchHere }) {
  const { ingredients } = here.batch.snapshot.input;
  const { pot } = here.pot.state;
  const foods = Object.values(ingredients)
    .filter((one) => ['egg', 'dairy', 'thickener', 'seasoning'].includes(one.kind))
    .sort((a, b) => a.name.localeCompare(b.name));
  const still = here.batch.snapshot.plan.lines.find(
    (line) =>
      !hasGoneIn(here.pot.state, line.lineId) &&
      ['egg', 'dairy'].includes(ingredients[line.ingredientId]?.kind ?? ''),
  );
  const [foodId, setFood] = useState(still?.ingredientId ?? foods[0]?.id ?? '');
  const [typed, setTyped] = useState({
    grams: still ? String(Math.round(still.edibleKg * 1000)) : '500',
    tempC: '8',
    ladleMl: String(here.kitchen.ladles[0]?.ml ?? 250),
    handfulG: '80',
  });
  const food = ingredients[foodId];
  const set = (name: keyof typeof typed) => (text: string) => setTyped({ ...typed, [name]: text });
  const grams = typedNumber(typed.grams);
  const tempC = typedNumber(typed.tempC);
  const ladleMl = typedNumber(typed.ladleMl);
  const handfulG = typedNumber(typed.handfulG);
  const wrong = [
    ...(grams === null || grams <= 0 || grams > 50_000 ? [potWords.theWeightMustBe1(typed.grams)] : []),
    ...(tempC === null || tempC < -5 || tempC > 60 ? [potWords.itsTemperatureMustBe5(typed.tempC)] : []),
    ...(ladleMl === null || ladleMl < 20 || ladleMl > 3000 ? [potWords.theLadleMustBe20(typed.ladleMl)] : []),
    ...(handfulG === null || handfulG < 5 || handfulG > 5000 ? [potWords.handfulMustBe(typed.handfulG)] : []),
  ];
  const toC =
    food?.kind === 'egg'
      ? WARM_ENOUGH_C.egg
      : food?.kind === 'dairy'
        ? WARM_ENOUGH_C.dairy
        : WARM_ENOUGH_C.other;
  const isHot = pot.tempC > toC + 3 && pot.tempC >= 40;
  const steps =
    food && wrong.length === 0 && isHot && topRuleOf(food, 0) !== TOP_RULES.cheese
      ? temper({
          massKg: grams! / 1000,
          specificHeatKJ: specificHeatKJ(food.perKg),
          tempC: tempC!,
          hotC: Math.min(110, pot.tempC),
          ladleKg: ladleMl! / 1000,
          toC,
        })
      : [];
  const litres = liquidLitres(pot);
  const boundGPerL = litres > 0 ? bodyOfPot(pot) / litres : 0;
  const rule = food ? topRuleOf(food, boundGPerL) : null;
  const isCheese = rule === TOP_RULES.cheese;
  return (
    <>
      <Over>{isCheese ? potWords.itGoesInByTheHandful : potWords.aLadleOfHotLiquid}</Over>
      <PickOne
        label={potWords.whatIsTempered}
        value={foodId}
        options={foods.map((one) => ({ id: one.id, text: one.name }))}
        onChange={setFood}
      />
      <Fields>
        <SmallField label={potWords.itWeighs} unit="g" value={typed.grams} onChange={set('grams')} />
        <SmallField label={potWords.itIsNow} unit="°C" value={typed.tempC} onChange={set('tempC')} />
        {isCheese ? (
          <SmallField
            label={potWords.oneHandful}
            unit="g"
            value={typed.handfulG}
            onChange={set('handfulG')}
          />
        ) : (
          <SmallField label={potWords.oneLadle} unit="mL" value={typed.ladleMl} onChange={set('ladleMl')} />
        )}
      </Fields>
      <Errors sentences={wrong} />
      {isCheese && food && wrong.length === 0 && (
        <ByTheHandful
          pot={pot}
          topC={rule.tempC}
          boundGPerL={boundGPerL}
          of={{ ingredient: food, kg: grams! / 1000, handfulKg: handfulG! / 1000, tempC: tempC! }}
        />
      )}
      {!isHot && !isCheese && <Soft>{potWords.thePotIsAtC(pot.tempC)}</Soft>}
      <Steps aria-label={potWords.ladlesAndWhatTheyMake}>
        {steps.map((step) => (
          <li key={step.ladles}>
            {potWords.ladle(step.ladles)}
            <strong>{potWords.c(step.tempC)}</strong>
          </li>
        ))}
      </Steps>
      <Over>{potWords.lastInOrder}</Over>
      {steps.length > 0 && <Soft>{potWords.atCItMayGo(toC)}</Soft>}
      {rule && <Soft>{potWords.fromThenOnNotOver(rule.tempC, rule.why)}</Soft>}
    </>
  );
}

/** Under this much starch, g of flour or the like to a litre, cheese has nothing to hold it. source: common practice */
const HOLDS_CHEESE_G_PER_L = 12;

/** Cheese, a handful at a time: what each takes off the pot, and what keeps it from splitting. */
function ByTheHandful({
  pot,
  topC,
  boundGPerL,
  of,
}: {
  pot: PotState;
  topC: number;
  boundGPerL: number;
  of: { ingredient: Ingredient; kg: number; handfulKg: number; tempC: number };
}) {
  const isMany = of.kg / of.handfulKg > 200;
  if (isMany) return <Soft>{potWords.handfulMustBe(String(of.handfulKg * 1000))}</Soft>;
  const { afterC, eachKg } = handfuls(pot, of);
  return (
    <>
      {pot.tempC > topC && (
        <Caution>{potWords.tooHotForIt(temperature(pot.tempC), temperature(topC))}</Caution>
      )}
      <Soft>
        <strong>{potWords.handfulsOf(afterC.length, weight(eachKg))}</strong>{' '}
        {potWords.eachTakes(temperature(afterC[0]!, 1), temperature(afterC.at(-1)!))}{' '}
        {potWords.warmBetween(temperature(topC))}
      </Soft>
      {boundGPerL < HOLDS_CHEESE_G_PER_L && <Soft>{potWords.littleStarch}</Soft>}
    </>
  );
}
