import { describe, expect, it } from 'vitest';
import { planInputOf } from '../../../core/order';
import { CannotCook, type FigureName, type Plan, planBatch, type WorkingLine } from '../../../core/plan';
import { BOOK, DISHES } from '../../../demo/dishes/dishes';
import { kitchenView } from '../../../demo/kitchen-view';
import { workingWords } from './workings';

/** Every shown line of arithmetic is done again from what stands on the screen, and every sum from its lines. */

const kitchen = kitchenView();
const PLACES = [
  ['stockpot-40', 'gas-2'],
  ['rondeau-24', 'induction'],
  ['kettle-60', 'jacket'],
] as const;

const plans: [string, Plan][] = [...DISHES, ...BOOK.filter((recipe) => recipe.base)].flatMap((recipe) =>
  PLACES.flatMap(([potId, burnerId]) =>
    [20, 60, 140].flatMap((portions) =>
      (recipe.base ? [0] : [0, 0.3]).flatMap((holdBackShare): [string, Plan][] => {
        const input = planInputOf(
          {
            recipeId: recipe.id,
            portions,
            portionMl: recipe.portionMl,
            saltPercent: recipe.targetSaltPercent,
            band: recipe.targetBand,
            serviceAtMs: Date.UTC(2026, 2, 10, 18, 5),
            potId,
            burnerId,
            ...(holdBackShare > 0 ? { holdBackShare } : {}),
          },
          kitchen,
          recipe,
          BOOK,
        );
        if (Array.isArray(input)) throw new Error(input[0]!.code);
        try {
          return [[`${recipe.id}, ${portions} in ${potId}, ${holdBackShare} held back`, planBatch(input)]];
        } catch (error) {
          if (error instanceof CannotCook) return [];
          throw error;
        }
      }),
    ),
  ),
);
const figures = Object.keys(plans[0]![1].workings) as FigureName[];

it('there are two hundred plans, with bases and with something held back', () => {
  expect(plans.length).toBeGreaterThanOrEqual(200);
  expect(plans.filter(([, plan]) => plan.letDown).length).toBeGreaterThan(40);
});

/** A number as printed, and how far the real one may be from it. */
interface Printed {
  low: number;
  high: number;
}

const OPERATORS = { '×': times, '÷': over, '−': minus } as const;
type Operator = keyof typeof OPERATORS;

/** “4.10 kg × 0.85 % = 35 g” done again, with what the rounding of each number leaves open. */
function check(line: string): void {
  const at = line.indexOf(' = ');
  if (at < 0) return;
  const left = line.slice(line.indexOf(': ') < at ? line.indexOf(': ') + 1 : 0, at);
  const right = line.slice(at + 3);
  const tokens = [...left.matchAll(/(\d[\d,]*(?:\.\d+)?)( ?%)?|([×÷−])/g)];
  const first = tokens.findIndex((token, i) => token[1] && tokens[i + 1]?.[3]);
  expect(first, line).toBeGreaterThanOrEqual(0);
  let value = printed(tokens[first]!);
  for (let i = first + 1; i + 1 < tokens.length; i += 2)
    value = OPERATORS[tokens[i]![3] as Operator](value, printed(tokens[i + 1]!));
  const answer = printed(right.match(/(\d[\d,]*(?:\.\d+)?)( ?%)?/)!);
  const unit = unitsBetween(left, right);
  expect(answer.high, line).toBeGreaterThanOrEqual(value.low * unit);
  expect(answer.low, line).toBeLessThanOrEqual(value.high * unit);
}

function printed(token: RegExpMatchArray): Printed {
  const text = token[1]!.replaceAll(',', '');
  const half = 0.5000001 * 10 ** -(text.split('.')[1]?.length ?? 0);
  const percent = token[2] ? 0.01 : 1;
  return { low: (Number(text) - half) * percent, high: (Number(text) + half) * percent };
}

function times(a: Printed, b: Printed): Printed {
  return { low: a.low * b.low, high: a.high * b.high };
}
function over(a: Printed, b: Printed): Printed {
  return { low: a.low / b.high, high: b.low > 0 ? a.high / b.low : Number.POSITIVE_INFINITY };
}
function minus(a: Printed, b: Printed): Printed {
  return { low: a.low - b.high, high: a.high - b.low };
}

/** What turns the units on the left into those on the right. */
function unitsBetween(left: string, right: string): number {
  if (/mL$/.test(left) && / L$/.test(right)) return 1e-3;
  if (/kg .*× .*%/.test(left) && /^\d+ g/.test(right)) return 1000;
  if (/kJ ÷ .* kW/.test(left) && /min/.test(right)) return 1 / 60;
  return 1;
}

describe('shown arithmetic is the arithmetic', () => {
  it.each(plans)('%s', (_name, plan) => {
    for (const figure of figures) for (const line of workingWords(plan, figure, 'GBP').lines) check(line);
  });
  it.each(plans)('%s: what is told line by line adds up', (_name, plan) => {
    const lines = (figure: FigureName) => plan.workings[figure].lines;
    const all = <Code extends WorkingLine['code']>(figure: FigureName, code: Code) =>
      lines(figure).filter((line): line is Extract<WorkingLine, { code: Code }> => line.code === code);
    const grams = (code: 'saltBrought' | 'saltBroughtOther' | 'saltGone') =>
      all('salt', code).reduce((sum, line) => sum + line.grams, 0);
    const [wanted] = all('salt', 'saltWanted');
    const [added] = all('salt', 'saltToAdd');
    expect(
      Math.abs(
        grams('saltBrought') + grams('saltBroughtOther') - grams('saltGone') + added!.saltG - wanted!.grams,
      ),
    ).toBeLessThan(0.11);
    const steam = [...all('liquid', 'stageSteam'), ...all('liquid', 'otherSteam')];
    const [inAll] = all('liquid', 'steamInAll');
    expect(Math.abs(steam.reduce((sum, line) => sum + line.kg, 0) - inAll!.kg)).toBeLessThan(0.001);
    const costs = [...all('cost', 'lineCost'), ...all('cost', 'otherCost')];
    const [each] = all('cost', 'costEach');
    expect(Math.abs(costs.reduce((sum, line) => sum + line.cents, 0) - each!.cents)).toBeLessThan(0.6);
    const [balance] = all('yield', 'balance');
    expect(balance!.inKg - balance!.steamedKg - balance!.outKg).toBeCloseTo(balance!.endKg, 6);
    const minutes = all('start', 'stageMinutes').reduce((sum, line) => sum + line.minutes, 0);
    expect(minutes).toBeCloseTo(all('start', 'countedBack')[0]!.minutes, 6);
    const [afterCling] = all('yield', 'afterCling');
    const [heldBack] = all('yield', 'heldBack');
    if (!plan.unmet?.some((one) => one.wish === 'bowls') && plan.batches === 1)
      expect(plan.yieldLitres / (heldBack?.potLitres ?? afterCling!.litres)).toBeCloseTo(1, 2);
  });
});
