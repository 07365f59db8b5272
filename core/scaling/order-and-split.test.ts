import { describe, expect, it } from 'vitest';
import { answerAmount, splitOrder } from '../order';
import { planBatch } from '../plan';
import { portions } from '../portions';
import { LEEK_SOUP, recipeFrom } from '../testing/book';
import { inputOf, JACKET, KETTLE } from '../testing/scaled';

const leek = recipeFrom(LEEK_SOUP);
const kg = (plan: ReturnType<typeof planBatch>, ingredientId: string) =>
  plan.lines
    .filter((line) => line.ingredientId === ingredientId)
    .reduce((sum, line) => sum + line.edibleKg, 0);

describe('an order in other words', () => {
  const input = inputOf(leek, { portionMl: 250 });
  it('ten litres are ten litres in the pot; once the recipe is the recipe as it is written', () => {
    const ten = planBatch({ ...input, ...answerAmount({ by: 'litres', litres: 10 }, input) });
    expect(ten.yieldLitres).toBeCloseTo(10, 3);
    const once = planBatch({ ...input, ...answerAmount({ by: 'multiple', times: 1 }, input) });
    for (const line of leek.lines.filter((one) => one.scaling === 'straight'))
      expect(once.lines.find((one) => one.lineId === line.id)!.edibleKg).toBeCloseTo(line.kg, 5);
    expect(() => answerAmount({ by: 'litres', litres: -1 }, input)).toThrow(/litres.*-1/);
  });
  it('a pot’s working fill: one more would pass it', () => {
    const { portions: most } = answerAmount({ by: 'fill' }, input);
    const at = (count: number) => planBatch({ ...input, portions: count });
    expect(at(most).fullest.litres).toBeLessThanOrEqual(at(most).workingFillLitres);
    expect([at(most).batches, at(most + 1).batches]).toEqual([1, 2]);
  });
  it('by what there is: the limiting line, and what stays', () => {
    const answer = answerAmount({ by: 'have', haveKg: { potato: 7.4, 'chicken-stock': 40 } }, input);
    expect(answer.limitedBy!.ingredientId).toBe('potato');
    const plan = planBatch({ ...input, portions: answer.portions });
    const bought = (id: string) => plan.lines.find((line) => line.ingredientId === id)!.purchasedKg;
    expect(bought('potato')).toBeLessThanOrEqual(7.4);
    expect(
      planBatch({ ...input, portions: answer.portions + 1 }).lines.find(
        (line) => line.ingredientId === 'potato',
      )!.purchasedKg,
    ).toBeGreaterThan(7.4);
    expect(answer.leftKg['chicken-stock']).toBeCloseTo(40 - bought('chicken-stock'), 9);
    expect(
      answerAmount({ by: 'have', haveKg: { potato: 40, 'chicken-stock': 3 } }, input).limitedBy!.ingredientId,
    ).toBe('chicken-stock');
  });
  it('too little for one, and what the recipe does not hold', () => {
    expect(answerAmount({ by: 'have', haveKg: { potato: 0.001 } }, input)).toMatchObject({
      portions: 0,
      limitedBy: { ingredientId: 'potato' },
    });
    expect(() => answerAmount({ by: 'have', haveKg: { saffron: 1 } }, input)).toThrow(/saffron/);
  });
});

describe('when one pot does not hold it', () => {
  const input = inputOf(leek, { portions: 140 });
  const ways = splitOrder(
    input,
    [
      { pot: input.pot, burner: input.burner },
      { pot: KETTLE, burner: JACKET },
    ],
    0,
  );
  const of = (kind: string) => ways.find((way) => way.kind === kind)!;
  it('140 bowls: two batches, two pots, held back, or the kettle', () => {
    expect(planBatch(input).batches).toBe(2);
    expect(new Set(ways.map((way) => way.kind))).toEqual(
      new Set(['batches', 'twoPots', 'holdBack', 'otherPot']),
    );
    for (const way of ways) {
      expect(way.parts.reduce((sum, part) => sum + part.portions, 0)).toBe(140);
      for (const part of way.parts) expect(part.fullestLitres).toBeLessThanOrEqual(part.workingFillLitres);
    }
    expect(of('otherPot').parts[0]!.potName).toBe('60 L kettle');
  });
  it('equal batches follow each other with time to wash the pot, the last ready for service', () => {
    const [first, second] = of('batches').parts as [
      (typeof ways)[0]['parts'][0],
      (typeof ways)[0]['parts'][0],
    ];
    // hours a cook can write down: each is to the minute
    expect(Math.abs(second.startAtMs - first.readyAtMs - 15 * 60_000)).toBeLessThan(60_000);
    expect(second.readyAtMs).toBeLessThan(input.serviceAtMs);
  });
  it('held back: the pot is concentrated, and the bowl diluted is as ordered', () => {
    const { holdBackShare } = of('holdBack').parts[0]!;
    const plan = planBatch({ ...input, holdBackShare });
    const let_ = plan.letDown!;
    expect(let_.mlPerBowl + let_.ladleMl).toBeCloseTo(250, 9);
    expect(portions({ litres: plan.yieldLitres, portionMl: let_.ladleMl })).toBeCloseTo(140, 0);
    expect(plan.saltPercent).toBeCloseTo(0.9, 2);
    expect(let_.potSaltPercent).toBeGreaterThan(0.95);
    const held = plan.lines.find((line) => line.lineId.endsWith('~held'))!;
    expect(held.litres).toBeCloseTo(let_.litres, 0);
    const whole = planBatch({ ...input, pot: KETTLE, burner: JACKET });
    expect(kg(plan, 'potato')).toBeCloseTo(kg(whole, 'potato'), 9);
    expect(() => planBatch({ ...input, holdBackShare: 0.9 })).toThrow(/holdBackShare.*0.9/);
  });
});
