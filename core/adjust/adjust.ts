import type { AddedItem, BatchSnapshot, BatchState } from '../batch';
import { within } from '../check';
import {
  massesOf,
  massKg,
  saltPercent,
  type ThickenerKind,
  volumeLitres,
  waterDensityKgPerL,
} from '../matter';
import { type PlanInput, setupOf } from '../plan';
import { portions } from '../portions';
import { addToPot, crossingMs, liquidLitres, MIDDLE_DAY, type PotState, potLitres } from '../pot';
import { saltToAddG } from '../salt';
import { bodyG, flourEquivalentOfBand, THICKENERS, thicknessBand } from '../thickness';

/** Cold water to a part of starch, by weight. source: common practice */
const SLURRY_WATER = 2;

/** What the pot would be after a change: the same five figures beside each way. */
export interface AdjustOutcome {
  saltPercent: number;
  band: number;
  litres: number;
  portions: number;
  /** minutes until it is there */
  minutes: number;
  costCents: number;
}

export interface AdjustWay {
  id: string;
  title: string;
  /** how it is done, one sentence */
  how: string;
  items: AddedItem[];
  after: AdjustOutcome;
  /** false for what only takes time */
  isAddition: boolean;
}

export interface Adjustments {
  saltPercentLiquid: number;
  saltPercentAll: number;
  /** salt once the lines still to come are in and the running stage has reached its mark */
  saltPercentAtEnd: number;
  saltToAddG: number;
  band: number;
  /** once the lines still to come are in */
  bandAtEnd: number;
  targetBand: number;
  flourEquivalentGPerL: number;
  ways: AdjustWay[];
}

const EMPTY_BENCH: Omit<Adjustments, 'targetBand'> = {
  saltPercentLiquid: 0,
  saltPercentAll: 0,
  saltPercentAtEnd: 0,
  saltToAddG: 0,
  band: 0,
  bandAtEnd: 0,
  flourEquivalentGPerL: 0,
  ways: [],
};

/**
 * Salt and thickness now and at the end, and the ways to the target side by side, each with what it leads to. The ways
 * are computed on the pot as it will be with everything still to come in it: what milk will thin is not
 * thinned beforehand.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch at a moment
 * @param wantedBand 0..6, default the plan's
 * @returns figures of the pot now, the salt it will come to, and the ways; no ways while the pot is empty
 * @source docs/model.md § 6 and § 7
 */
export function adjustments(snapshot: BatchSnapshot, state: BatchState, wantedBand?: number): Adjustments {
  const { input } = snapshot;
  const { pot } = state;
  const targetBand = within('wantedBand', wantedBand ?? input.band, 0, 6);
  if (massKg(pot.mixture) < 0.05 || liquidLitres(pot) < 0.01) return { ...EMPTY_BENCH, targetBand };
  const now = flourPerLitre(pot);
  const end = restOfRecipe(snapshot, state);
  return {
    saltPercentLiquid: saltPercent(pot.mixture, 'liquid'),
    saltPercentAll: saltPercent(pot.mixture, 'all'),
    saltPercentAtEnd: saltPercent(end.mixture, 'all'),
    saltToAddG: saltToAddG({
      massKg: massKg(end.mixture),
      nowPercent: saltPercent(end.mixture, 'all'),
      targetPercent: input.saltPercent,
    }),
    band: thicknessBand({ flourEquivalentGPerL: now }),
    bandAtEnd: thicknessBand({ flourEquivalentGPerL: flourPerLitre(end) }),
    targetBand,
    flourEquivalentGPerL: now,
    ways: ways(snapshot, end, targetBand),
  };
}

/** The pot with everything still to come in it, the salt line left out, and the running fall at its mark. */
function restOfRecipe(snapshot: BatchSnapshot, state: BatchState): PotState {
  const { input, plan } = snapshot;
  const running = state.stages.find((stage) => stage.stageId === state.currentStageId);
  let pot = state.pot;
  if (running?.targetKg != null) {
    const lost = Math.max(0, massKg(pot.mixture) - running.targetKg);
    const water = Math.max(0, pot.mixture.liquid.water - lost);
    pot = { ...pot, mixture: { ...pot.mixture, liquid: { ...pot.mixture.liquid, water } } };
  }
  for (const line of plan.lines) {
    if (line.perBowl || line.ingredientId === 'salt' || state.addedLineIds.includes(line.lineId)) continue;
    const ingredient = input.ingredients[line.ingredientId]!;
    pot = addToPot(pot, {
      masses: massesOf(ingredient, line.edibleKg),
      share: ingredient.share,
      tempC: line.tempC,
      flourEquivalentG: bodyG(ingredient, line.edibleKg, thickenerOf(input, line.lineId)),
    });
  }
  return pot;
}

/** A quarter of a band is what a spoon can tell. */
const CLOSE_ENOUGH = 0.25;

function ways(snapshot: BatchSnapshot, pot: PotState, band: number): AdjustWay[] {
  const wanted = flourEquivalentOfBand({ band });
  const now = flourPerLitre(pot);
  if (Math.abs(thicknessBand({ flourEquivalentGPerL: now }) - band) < CLOSE_ENOUGH) return [];
  return now < wanted ? waysToThicken(snapshot, pot, wanted) : waysToLoosen(snapshot, pot, wanted);
}

function waysToThicken(snapshot: BatchSnapshot, pot: PotState, wanted: number): AdjustWay[] {
  const missingG = wanted * liquidLitres(pot) - pot.mixture.flourEquivalentG;
  const litresOf = (ingredientId: string, kg: number) =>
    volumeLitres(massesOf(snapshot.input.ingredients[ingredientId]!, kg), 20);
  const flourKg = amountKg(missingG, wanted, {
    flourG: 1000 * THICKENERS.flour.strength,
    litres: litresOf('flour', 1) + litresOf('butter', 1),
  });
  const starchKg = amountKg(missingG, wanted, {
    flourG: 1000 * THICKENERS.cornstarch.strength,
    litres: litresOf('cornstarch', 1) + litresOf('water', SLURRY_WATER),
  });
  const found = [
    addition(snapshot, pot, {
      id: 'kneaded-butter',
      title: 'Kneaded butter',
      how: 'Equal weights of soft butter and flour, whisked in by the lump; two thirds first, simmer, test.',
      items: [
        { ingredientId: 'flour', kg: flourKg, tempC: 18 },
        { ingredientId: 'butter', kg: flourKg, tempC: 18 },
      ],
      minutes: THICKENERS.flour.cookOutMin,
    }),
    addition(snapshot, pot, {
      id: 'slurry',
      title: 'Starch slurry',
      how: 'Cornstarch in twice its weight of cold water, poured in a thread into the moving soup.',
      items: [
        { ingredientId: 'cornstarch', kg: starchKg, tempC: 15 },
        { ingredientId: 'water', kg: starchKg * SLURRY_WATER, tempC: 10 },
      ],
      minutes: THICKENERS.cornstarch.cookOutMin,
    }),
  ];
  const reduce = reduceTo(snapshot, pot, pot.mixture.flourEquivalentG / wanted);
  return reduce ? [...found, reduce] : found;
}

/** Kilograms of a thickener that bring a pot to its band, what it adds to the liquid counted; both per kilogram of it. */
function amountKg(missingG: number, wantedGPerL: number, perKg: { flourG: number; litres: number }): number {
  return missingG / (perKg.flourG - wantedGPerL * perKg.litres);
}

function waysToLoosen(snapshot: BatchSnapshot, pot: PotState, wanted: number): AdjustWay[] {
  const litres = pot.mixture.flourEquivalentG / wanted - liquidLitres(pot);
  return [
    {
      ingredientId: 'fish-fumet',
      title: 'Loosen with fumet',
      how: 'Hot, a ladle at a time, stirring; taste for salt again.',
    },
    {
      ingredientId: 'milk',
      title: 'Loosen with milk',
      how: 'Warmed, a ladle at a time; it stays under a simmer.',
    },
    {
      ingredientId: 'water',
      title: 'Loosen with water',
      how: 'Hot, a ladle at a time: cheapest, and it thins the taste most.',
    },
  ].map((one) => {
    const ingredient = snapshot.input.ingredients[one.ingredientId]!;
    return addition(snapshot, pot, {
      id: `loosen-${one.ingredientId}`,
      title: one.title,
      how: one.how,
      items: [{ ingredientId: one.ingredientId, kg: litres * ingredient.densityKgPerL, tempC: 85 }],
      minutes: 3,
    });
  });
}

function addition(
  snapshot: BatchSnapshot,
  before: PotState,
  way: { id: string; title: string; how: string; items: AddedItem[]; minutes: number },
): AdjustWay {
  const { input } = snapshot;
  let pot = before;
  let costCents = 0;
  for (const item of way.items) {
    const ingredient = input.ingredients[item.ingredientId]!;
    pot = addToPot(pot, {
      masses: massesOf(ingredient, item.kg),
      share: ingredient.share,
      tempC: item.tempC,
      flourEquivalentG: bodyG(ingredient, item.kg, item.thickener),
    });
    costCents += (item.kg / ingredient.yield) * (input.pricesCentsPerKg[item.ingredientId] ?? 0);
  }
  return {
    id: way.id,
    title: way.title,
    how: way.how,
    items: way.items,
    isAddition: true,
    after: outcome(pot, input.portionMl, way.minutes, costCents),
  };
}

/** How far a reduction is looked for, and in what strides: within two minutes of the forecast's own, far inside its range. */
const REDUCE_MIN = 180;
const STRIDE_S = 300;

/** Reducing with the lid off at the heat there is; null when that would not get there in three hours. */
function reduceTo(snapshot: BatchSnapshot, before: PotState, liquidLitresWanted: number): AdjustWay | null {
  const setup = setupOf(snapshot.input);
  const open: PotState = { ...before, lid: 'off', heatFraction: Math.max(before.heatFraction, 0.5) };
  const loseLitres = liquidLitres(open) - liquidLitresWanted;
  const kg = massKg(open.mixture) - loseLitres * waterDensityKgPerL({ tempC: 20 });
  const whenMs = crossingMs(setup, open, { kind: 'mass', kg }, REDUCE_MIN, MIDDLE_DAY, STRIDE_S);
  if (whenMs === null) return null;
  const water = open.mixture.liquid.water - (massKg(open.mixture) - kg);
  const pot = { ...open, mixture: { ...open.mixture, liquid: { ...open.mixture.liquid, water } } };
  return {
    id: 'reduce',
    title: 'Reduce, lid off',
    how: 'No more goes in; the salt climbs with every litre that leaves. Stir along the bottom.',
    items: [],
    isAddition: false,
    after: outcome(pot, snapshot.input.portionMl, (whenMs - open.atMs) / 60_000, 0),
  };
}

function outcome(pot: PotState, portionMl: number, minutes: number, costCents: number): AdjustOutcome {
  const litres = potLitres(pot);
  return {
    saltPercent: saltPercent(pot.mixture, 'all'),
    band: thicknessBand({ flourEquivalentGPerL: flourPerLitre(pot) }),
    litres,
    portions: portions({ litres, portionMl }),
    minutes,
    costCents,
  };
}

function flourPerLitre(pot: PotState): number {
  return pot.mixture.flourEquivalentG / liquidLitres(pot);
}

function thickenerOf(input: PlanInput, lineId: string): ThickenerKind | undefined {
  return input.recipe.lines.find((line) => line.id === lineId)?.thickener;
}
