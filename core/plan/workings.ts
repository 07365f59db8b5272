import { massKg, specificHeatKJ, whole } from '../matter';
import { CLING_PERCENT } from '../portions';
import { fullKW, liquidLitres, type PotSetup, potLitres } from '../pot';
import { bandName } from '../thickness';

import type { CookedThrough } from './cook-through';
import type { FigureName, Plan, PlanInput, Working } from './plan';

/** The line of arithmetic behind each figure of a plan, in words and numbers a cook can follow. */
export function workings(
  input: PlanInput,
  setup: PotSetup,
  plan: Omit<Plan, 'workings'>,
  cooked: CookedThrough,
): Record<FigureName, Working> {
  const { burner } = input;
  const known =
    burner.gain.batches > 0
      ? `${burner.name} as ${burner.gain.batches} batches have shown it, ± ${percent(burner.gain.sd / burner.gain.mean)}`
      : `a first guess for ${burner.name}, ± ${percent(burner.gain.sd)}; the first readings will narrow it`;
  const netKW = fullKW(setup) * burner.gain.mean;
  const boiled = cooked.stages.filter((one) => one.steamedKg > 0.02);
  const come = cooked.stages.find((one) => one.stage.ends.rule === 'simmer');
  const end = cooked.end;
  const brought = plan.lines
    .filter((line) => !line.perBowl)
    .map((line) => ({
      name: line.name,
      grams: 1000 * line.edibleKg * input.ingredients[line.ingredientId]!.perKg.salt,
      isSalt: line.ingredientId === 'salt',
    }))
    .filter((line) => line.grams >= 0.5 && !line.isSalt);
  return {
    start: {
      lines: [
        ...plan.stages.map((stage) => `${stage.title}: ${n(stage.minutes, 0)} min`),
        `together ${n(cooked.minutes, 0)} min, counted back from ready`,
      ],
      source: 'heat balance of this pot, stage by stage',
      sureness: known,
    },
    ready: {
      lines: [
        `service less ${n((plan.serviceAtMs - plan.readyAtMs) / 60_000, 0)} min kept free`,
        `one standard deviation is ${n(plan.readySdMinutes, 0)} min: nine batches in ten are ready in time`,
      ],
      source: 'the plan run three times: burner as expected, weaker, stronger',
      sureness: known,
    },
    yield: {
      lines: [
        `${plan.portions} × ${n(plan.portionMl, 0)} mL = ${n((plan.portions * plan.portionMl) / 1000, 2)} L`,
        `÷ ${n(1 - CLING_PERCENT / 100, 2)} for what clings to the pot = ${n(plan.yieldLitres, 2)} L, hot`,
        `${n(plan.startLitres, 1)} L go in, ${n(plan.evaporatedKg, 2)} kg leave as steam`,
      ],
      source: 'cling about 1 %, common practice',
      sureness: 'the liquid is solved so that this comes out; the steam is the doubt in it',
    },
    liquid: {
      lines: [
        ...boiled.map(
          (one) => `${one.stage.title}: ${n(one.steamedKg, 2)} kg of steam in ${n(one.minutes, 0)} min`,
        ),
        `${n(plan.evaporatedKg, 2)} kg in all, put in beforehand`,
      ],
      source: 'surface law below the boil, burner at the boil (ASHRAE, steam tables)',
      sureness: known,
    },
    simmer: come
      ? {
          lines: [
            `about ${n(come.litresAtStart, 1)} L at ${n(specificHeatKJ(whole(end.mixture)), 2)} kJ/kg·K, up to ${n(come.tempAtEndC, 1)} °C`,
            `${burner.name}: ${n(burner.powerW / 1000, 1)} kW × ${n(burner.efficiency, 2)} × ${n(burner.gain.mean, 2)} = ${n(netKW, 2)} kW into the pot, less wall and steam`,
            `${n(come.minutes, 0)} min; water boils at ${n(plan.boilingC, 1)} °C at ${n(setup.air.altitudeM, 0)} m`,
          ],
          source: 'heat balance; boiling point from the IAPWS saturation line',
          sureness: known,
        }
      : { lines: ['this recipe does not come to a simmer'], source: '', sureness: '' },
    salt: {
      lines: [
        `${n(massKg(end.mixture), 2)} kg at the end × ${n(plan.saltPercent, 2)} % = ${n(plan.saltBroughtG + plan.saltToAddG, 0)} g`,
        ...brought.map((line) => `${line.name} brings ${n(line.grams, 0)} g`),
        `${n(plan.saltToAddG, 0)} g to add, last`,
        `with the garnish a bowl comes to ${n(plan.saltPercentWithGarnish, 2)} %`,
      ],
      source: 'mass balance; salt of each ingredient from its table row',
      sureness: 'as good as the labels: taste before the last third',
    },
    body: {
      lines: [
        `${n(end.mixture.flourEquivalentG, 0)} g of flour or what does as much`,
        `÷ ${n(liquidLitres(end), 2)} L of liquid without pieces = ${n(plan.flourEquivalentGPerL, 0)} g/L`,
        `band ${n(plan.band, 1)}, ${bandName(plan.band)}`,
      ],
      source: 'white-sauce proportions of home economics; strengths from memory',
      sureness: 'half a band either way until the kitchen has tested it',
    },
    cost: {
      lines: [
        ...[...plan.lines]
          .sort((a, b) => b.costCents - a.costCents)
          .slice(0, 4)
          .map((line) => `${line.name}: ${n(line.purchasedKg, 2)} kg, ${n(line.costCents / 100, 2)}`),
        `${n(plan.costCents / 100, 2)} in all ÷ ${plan.portions} = ${n(plan.costPerPortionCents / 100, 2)}`,
      ],
      source: 'prices as purchased, trim included',
      sureness: 'ingredients only: no gas, no wages',
    },
    fill: {
      lines: [
        `brim ${n(plan.brimLitres, 1)} L × ${plan.foams ? '0.75, since milk or starch foams' : '0.80'} = ${n(plan.workingFillLitres, 1)} L`,
        `fullest ${n(plan.fullest.litres, 1)} L, raw pieces lying loose`,
        `${n(potLitres(end), 1)} L at the end`,
      ],
      source: 'geometry of the pot; working fill common practice',
      sureness: 'loose volume of cut vegetables is a first guess, ± 15 %',
    },
    allergens: {
      lines: plan.allergens.map((entry) => `${entry.name}: ${entry.from.join(', ')}`),
      source: 'EU list of fourteen and US list of nine; each from its ingredient',
      sureness: 'check the labels of what was delivered',
    },
  };
}

function n(value: number, digits: number): string {
  return value.toFixed(digits);
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
