import { massKg } from '../matter';
import { CLING_PERCENT } from '../portions';
import { bodyOfPot, foodLitres, fullKW, liquidLitres, type PotSetup } from '../pot';
import type { CookedThrough } from './cook-through';
import type { Plan, PlanInput } from './plan';
import type { FigureName, Sureness, Working, WorkingLine } from './working';

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
  const come = cooked.stages.find((one) => one.stage.ends.rule === 'simmer');
  const end = cooked.end;
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
      lines: yieldLines(input, plan, cooked),
      source: { code: 'cling' },
      sureness: { code: 'solved' },
    },
    liquid: { lines: steamLines(plan, cooked), source: { code: 'surfaceLaw' }, sureness: known },
    simmer: come
      ? {
          lines: simmerLines(input, setup, plan, come),
          source: { code: 'boilingPoint' },
          sureness: known,
        }
      : { lines: [{ code: 'noSimmer' }], source: null, sureness: null },
    salt: {
      lines: saltLines(input, plan, cooked),
      source: { code: 'massBalance' },
      sureness: { code: 'labels' },
    },
    body: {
      lines: bodyLines(input, plan, cooked),
      source: { code: 'whiteSauce' },
      sureness: { code: 'halfABand' },
    },
    cost: {
      lines: costLines(input, plan),
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
        { code: 'atTheEnd', litres: foodLitres(end) },
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

type Planned = Omit<Plan, 'workings'>;

function yieldLines(input: PlanInput, plan: Planned, { end }: CookedThrough): WorkingLine[] {
  const bowlLitres = (plan.portions * plan.portionMl) / 1000;
  const share = 1 - CLING_PERCENT / 100;
  const wantedLitres = bowlLitres / share;
  const inKg = plan.lines.reduce((sum, line) => (line.perBowl ? sum : sum + line.edibleKg), 0);
  const endKg = massKg(end.mixture);
  return [
    { code: 'bowlLitres', portions: plan.portions, portionMl: plan.portionMl, litres: bowlLitres },
    { code: 'afterCling', bowlLitres, share, litres: wantedLitres },
    ...(plan.letDown
      ? [
          {
            code: 'heldBack' as const,
            litres: wantedLitres * (input.holdBackShare ?? 0),
            potLitres: wantedLitres * (1 - (input.holdBackShare ?? 0)),
          },
        ]
      : []),
    { code: 'balance', inKg, steamedKg: end.evaporatedKg, outKg: end.takenOutKg, endKg },
    { code: 'comesTo', litres: plan.yieldLitres },
  ];
}

/** Under this a stage's steam is told with the others', kg. */
const WORTH_A_LINE_KG = 0.02;

function steamLines(plan: Planned, cooked: CookedThrough): WorkingLine[] {
  const told = cooked.stages.filter((one) => one.steamedKg > WORTH_A_LINE_KG);
  const rest = plan.evaporatedKg - told.reduce((sum, one) => sum + one.steamedKg, 0);
  return [
    ...told.map(({ stage, steamedKg, minutes }) => ({
      code: 'stageSteam' as const,
      title: stage.title,
      kg: steamedKg,
      minutes,
    })),
    ...(rest > WORTH_A_GRAM_KG ? [{ code: 'otherSteam' as const, kg: rest }] : []),
    { code: 'steamInAll', kg: plan.evaporatedKg },
  ];
}

const WORTH_A_GRAM_KG = 5e-4;

function simmerLines(
  { burner }: PlanInput,
  setup: PotSetup,
  plan: Planned,
  come: CookedThrough['stages'][number],
): WorkingLine[] {
  const { kgAtStart: kg, specificHeatAtStartKJ, tempAtStartC: fromC, tempAtEndC: toC } = come;
  const kJ = kg * specificHeatAtStartKJ * (toC - fromC);
  const netW = fullKW(setup) * burner.heatFactor.mean * 1000;
  return [
    { code: 'toWarm', kg, specificHeatKJ: specificHeatAtStartKJ, fromC, toC, kJ },
    {
      code: 'heatIn',
      burnerName: burner.name,
      ratedW: burner.powerW,
      efficiency: burner.efficiency,
      heatFactor: burner.heatFactor.mean,
      netW,
    },
    { code: 'bareHeating', kJ, netW, minutes: (kJ * 1000) / netW / 60 },
    { code: 'boilsAt', minutes: come.minutes, boilingC: plan.boilingC, altitudeM: setup.air.altitudeM },
  ];
}

/** Salt that a food brings, told by itself from here on, g. */
const WORTH_A_LINE_G = 0.5;

function saltLines(input: PlanInput, plan: Planned, { end }: CookedThrough): WorkingLine[] {
  const { mixture } = end;
  const potKg = massKg(mixture);
  const potSaltG = 1000 * (mixture.liquid.salt + mixture.pieces.salt);
  const isAdded = (lineId: string) =>
    input.recipe.lines.some((line) => line.id === lineId && line.scaling === 'toSalt');
  const foods = plan.lines
    .filter((line) => !line.perBowl)
    .map((line) => ({
      name: line.name,
      grams: 1000 * line.edibleKg * input.ingredients[line.ingredientId]!.perKg.salt,
      isAdded: isAdded(line.lineId),
    }));
  const told = foods.filter((one) => !one.isAdded && one.grams >= WORTH_A_LINE_G);
  const sum = (some: readonly { grams: number }[]) => some.reduce((total, one) => total + one.grams, 0);
  const addedG = sum(foods.filter((one) => one.isAdded));
  const otherG = sum(foods) - addedG - sum(told);
  const goneG = sum(foods) - potSaltG;
  const held = plan.letDown;
  return [
    { code: 'saltWanted', massKg: potKg, percent: potKg > 0 ? potSaltG / potKg / 10 : 0, grams: potSaltG },
    ...told.map(({ name, grams }) => ({ code: 'saltBrought' as const, name, grams })),
    ...(otherG > LEAST_G ? [{ code: 'saltBroughtOther' as const, grams: otherG }] : []),
    ...(goneG > LEAST_G ? [{ code: 'saltGone' as const, grams: goneG }] : []),
    { code: 'saltToAdd', grams: plan.saltToAddG, saltG: addedG },
    ...(held
      ? [
          {
            code: 'saltHeldBack' as const,
            heldKg: held.kg,
            grams: (plan.saltPercent / 100) * (potKg + held.kg) * 1000 - potSaltG,
            percent: plan.saltPercent,
          },
        ]
      : []),
    { code: 'saltWithGarnish', percent: plan.saltPercentWithGarnish },
  ];
}

/** Less than this is not worth a line, g. */
const LEAST_G = 0.05;

function bodyLines({ body }: PlanInput, plan: Planned, { end }: CookedThrough): WorkingLine[] {
  const grams = bodyOfPot(end);
  const litres = liquidLitres(end);
  const held = plan.letDown;
  return [
    { code: 'perLitre', grams, litres, gPerL: litres > 0 ? grams / litres : 0 },
    ...(held
      ? [
          {
            code: 'bodyHeldBack' as const,
            litres: litres + held.litres,
            grams,
            gPerL: plan.flourEquivalentGPerL,
          },
        ]
      : []),
    ...(body ? [{ code: 'bodyLearned' as const, factor: Math.exp(body.mean), batches: body.batches }] : []),
    { code: 'band', band: plan.band },
  ];
}

/** The dearest lines are told one by one. */
const LINES_TOLD = 4;

function costLines(input: PlanInput, plan: Planned): WorkingLine[] {
  const dearest = [...plan.lines].sort((a, b) => b.costCents - a.costCents).slice(0, LINES_TOLD);
  const restCents = plan.costCents - dearest.reduce((sum, line) => sum + line.costCents, 0);
  return [
    ...dearest.map((line) => ({
      code: 'lineCost' as const,
      name: line.name,
      kg: line.purchasedKg,
      centsPerKg: input.pricesCentsPerKg[line.ingredientId] ?? 0,
      cents: line.costCents,
    })),
    ...(restCents > 0.5 ? [{ code: 'otherCost' as const, cents: restCents }] : []),
    ...(plan.guessed ? [{ code: 'guessedPrice' as const, names: plan.guessed }] : []),
    ...(plan.unpriced ? [{ code: 'unpriced' as const, names: plan.unpriced }] : []),
    {
      code: 'costEach',
      cents: plan.costCents,
      portions: plan.portions,
      eachCents: plan.costPerPortionCents,
    },
  ];
}
