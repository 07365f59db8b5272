import { massKg, specificHeatKJ, whole } from '../matter';
import { CLING_PERCENT } from '../portions';
import { fullKW, liquidLitres, type PotSetup, potLitres } from '../pot';
import type { CookedThrough } from './cook-through';
import type { Plan, PlanInput } from './plan';
import type { FigureName, Sureness, Working } from './working';

/** The arithmetic behind each figure of a plan, made from the very numbers it explains. */
export function workings(
  input: PlanInput,
  setup: PotSetup,
  plan: Omit<Plan, 'workings'>,
  cooked: CookedThrough,
): Record<FigureName, Working> {
  const { burner } = input;
  const { mean, sd, batches } = burner.heatFactor;
  const known: Sureness =
    batches > 0
      ? { code: 'burnerKnown', burnerName: burner.name, batches, share: sd / mean }
      : { code: 'burnerGuess', burnerName: burner.name, share: sd };
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
        ...plan.stages.map(({ title, minutes }) => ({ code: 'stageMinutes' as const, title, minutes })),
        { code: 'countedBack', minutes: cooked.minutes },
      ],
      source: { code: 'heatBalance' },
      sureness: known,
    },
    ready: {
      lines: [
        { code: 'keptFree', minutes: (plan.serviceAtMs - plan.readyAtMs) / 60_000 },
        { code: 'spread', sdMinutes: plan.readySdMinutes },
      ],
      source: { code: 'threeRuns' },
      sureness: known,
    },
    yield: {
      lines: [
        {
          code: 'bowlLitres',
          portions: plan.portions,
          portionMl: plan.portionMl,
          litres: (plan.portions * plan.portionMl) / 1000,
        },
        { code: 'afterCling', share: 1 - CLING_PERCENT / 100, litres: plan.yieldLitres },
        { code: 'goesIn', litres: plan.startLitres, steamedKg: plan.evaporatedKg },
      ],
      source: { code: 'cling' },
      sureness: { code: 'solved' },
    },
    liquid: {
      lines: [
        ...boiled.map(({ stage, steamedKg, minutes }) => ({
          code: 'stageSteam' as const,
          title: stage.title,
          kg: steamedKg,
          minutes,
        })),
        { code: 'steamInAll', kg: plan.evaporatedKg },
      ],
      source: { code: 'surfaceLaw' },
      sureness: known,
    },
    simmer: come
      ? {
          lines: [
            {
              code: 'toWarm',
              litres: come.litresAtStart,
              specificHeatKJ: specificHeatKJ(whole(end.mixture)),
              tempC: come.tempAtEndC,
            },
            {
              code: 'heatIn',
              burnerName: burner.name,
              ratedW: burner.powerW,
              efficiency: burner.efficiency,
              heatFactor: mean,
              netW: fullKW(setup) * mean * 1000,
            },
            {
              code: 'boilsAt',
              minutes: come.minutes,
              boilingC: plan.boilingC,
              altitudeM: setup.air.altitudeM,
            },
          ],
          source: { code: 'boilingPoint' },
          sureness: known,
        }
      : { lines: [{ code: 'noSimmer' }], source: null, sureness: null },
    salt: {
      lines: [
        {
          code: 'saltWanted',
          massKg: massKg(end.mixture),
          percent: plan.saltPercent,
          grams: plan.saltBroughtG + plan.saltToAddG,
        },
        ...brought.map(({ name, grams }) => ({ code: 'saltBrought' as const, name, grams })),
        { code: 'saltToAdd', grams: plan.saltToAddG },
        { code: 'saltWithGarnish', percent: plan.saltPercentWithGarnish },
      ],
      source: { code: 'massBalance' },
      sureness: { code: 'labels' },
    },
    body: {
      lines: [
        { code: 'flour', grams: end.mixture.flourEquivalentG },
        { code: 'perLitre', litres: liquidLitres(end), gPerL: plan.flourEquivalentGPerL },
        { code: 'band', band: plan.band },
      ],
      source: { code: 'whiteSauce' },
      sureness: { code: 'halfABand' },
    },
    cost: {
      lines: [
        ...[...plan.lines]
          .sort((a, b) => b.costCents - a.costCents)
          .slice(0, 4)
          .map((line) => ({
            code: 'lineCost' as const,
            name: line.name,
            kg: line.purchasedKg,
            cents: line.costCents,
          })),
        {
          code: 'costEach',
          cents: plan.costCents,
          portions: plan.portions,
          eachCents: plan.costPerPortionCents,
        },
      ],
      source: { code: 'prices' },
      sureness: { code: 'ingredientsOnly' },
    },
    fill: {
      lines: [
        {
          code: 'workingFill',
          brimLitres: plan.brimLitres,
          share: plan.workingFillLitres / plan.brimLitres,
          foams: plan.foams,
          litres: plan.workingFillLitres,
        },
        { code: 'fullest', litres: plan.fullest.litres },
        { code: 'atTheEnd', litres: potLitres(end) },
      ],
      source: { code: 'geometry' },
      sureness: { code: 'looseVolume' },
    },
    allergens: {
      lines: plan.allergens.map(({ name, from }) => ({ code: 'allergen', name, from })),
      source: { code: 'allergenLists' },
      sureness: { code: 'checkLabels' },
    },
  };
}
