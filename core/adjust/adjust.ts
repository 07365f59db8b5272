import {
  type AddedItem,
  type BatchSnapshot,
  type BatchState,
  batchHolds,
  loadStillToAdd,
  potAtEnd,
} from '../batch';
import { within } from '../check';
import {
  type Allergen,
  bringsTo,
  DIETS,
  type Diet,
  holdsOf,
  type Ingredient,
  massesOf,
  massKg,
  saltPercent,
  volumeLitres,
  waterDensityKgPerL,
} from '../matter';
import { portions } from '../portions';
import {
  crossingMs,
  foodLitres,
  liquidLitres,
  MIDDLE_DAY,
  type PotState,
  potLitres,
  putFoodIn,
} from '../pot';
import { dilutionKg, saltToAddG } from '../salt';
import { flourEquivalentOfBand, THICKENERS, thicknessBand } from '../thickness';
import { litresAtDepth } from '../vessel';

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
  how: AdjustHow;
  items: AddedItem[];
  after: AdjustOutcome;
  /** false for what only takes time */
  isAddition: boolean;
  /** what speaks against it; a way with none of them comes first */
  warns: AdjustWarning[];
}

/** How a pot is brought nearer to its target; thinned by a food of this kind. */
export type AdjustHow =
  | { code: 'kneadedButter' }
  | { code: 'slurry' }
  | { code: 'reduce' }
  | { code: 'loosen'; name: string; kind: Ingredient['kind'] };

/** What a way would do that nobody may have meant. */
export type AdjustWarning =
  | { code: 'addsAllergen'; name: Allergen }
  /** food that those who eat `diet` do not eat */
  | { code: 'breaksDiet'; diet: Diet; name: string }
  | { code: 'noRoom'; litres: number; brimLitres: number };

export interface Adjustments {
  saltPercentLiquid: number;
  saltPercentAll: number;
  /** salt once the lines still to come are in and the running stage has reached its mark */
  saltPercentAtEnd: number;
  saltToAddG: number;
  /** unsalted liquid that would bring the end back to the salt wanted, kg */
  toDiluteKg: number;
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
  toDiluteKg: 0,
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
  const end = potAtEnd(snapshot, state, loadStillToAdd(snapshot, state, ['toSalt']));
  return {
    saltPercentLiquid: saltPercent(pot.mixture, 'liquid'),
    saltPercentAll: saltPercent(pot.mixture, 'all'),
    saltPercentAtEnd: saltPercent(end.mixture, 'all'),
    saltToAddG: saltToAddG({
      massKg: massKg(end.mixture),
      nowPercent: saltPercent(end.mixture, 'all'),
      targetPercent: input.saltPercent,
    }),
    toDiluteKg: dilutionKg({
      massKg: massKg(end.mixture),
      nowPercent: saltPercent(end.mixture, 'all'),
      targetPercent: Math.max(LEAST_SALT_PERCENT, input.saltPercent),
    }),
    band: thicknessBand({ flourEquivalentGPerL: now }),
    bandAtEnd: thicknessBand({ flourEquivalentGPerL: flourPerLitre(end) }),
    targetBand,
    flourEquivalentGPerL: now,
    ways: ways({ snapshot, state, end }, targetBand),
  };
}

/** Under this nothing is diluted to: it would take the sea. */
const LEAST_SALT_PERCENT = 0.01;

/** A quarter of a band is what a spoon can tell. */
const CLOSE_ENOUGH = 0.25;

/** A pot to be mended: as it is, and as it will be with the rest of its recipe in it. */
interface ToMend {
  snapshot: BatchSnapshot;
  state: BatchState;
  end: PotState;
}

function ways(of: ToMend, band: number): AdjustWay[] {
  const wanted = Math.max(LEAST_BODY_G_PER_L, flourEquivalentOfBand({ band }));
  const now = flourPerLitre(of.end);
  if (liquidLitres(of.end) < LEAST_LITRES) return [];
  if (Math.abs(thicknessBand({ flourEquivalentGPerL: now }) - band) < CLOSE_ENOUGH) return [];
  const found = now < wanted ? waysToThicken(of, wanted) : waysToLoosen(of, wanted);
  return found.sort((a, b) => a.warns.length - b.warns.length);
}

/** Thin as water still holds this much, g of flour or the like to a litre: nothing is thinned for ever. */
const LEAST_BODY_G_PER_L = 4;

/** With less liquid than this there is nothing to thicken or to loosen, L. */
const LEAST_LITRES = 0.01;

function waysToThicken(of: ToMend, wanted: number): AdjustWay[] {
  const { end, snapshot } = of;
  const missingG = wanted * liquidLitres(end) - end.mixture.flourEquivalentG;
  const { ingredients } = snapshot.input;
  const has = (...ids: string[]) => ids.every((id) => ingredients[id]);
  const litresOf = (id: string, kg: number) =>
    ingredients[id] ? volumeLitres(massesOf(ingredients[id], kg), 20) : 0;
  const flourKg = amountKg(missingG, wanted, {
    flourG: 1000 * THICKENERS.flour.strength,
    litres: litresOf('flour', 1) + litresOf('butter', 1),
  });
  const starchKg = amountKg(missingG, wanted, {
    flourG: 1000 * THICKENERS.cornstarch.strength,
    litres: litresOf('cornstarch', 1) + litresOf('water', SLURRY_WATER),
  });
  const found: AdjustWay[] = [];
  if (flourKg !== null && has('flour', 'butter'))
    found.push(
      addition(of, {
        id: 'kneaded-butter',
        how: { code: 'kneadedButter' },
        items: [
          { ingredientId: 'flour', kg: flourKg, tempC: 18 },
          { ingredientId: 'butter', kg: flourKg, tempC: 18 },
        ],
        minutes: THICKENERS.flour.cookOutMin,
      }),
    );
  if (starchKg !== null && has('cornstarch', 'water'))
    found.push(
      addition(of, {
        id: 'slurry',
        how: { code: 'slurry' },
        items: [
          { ingredientId: 'cornstarch', kg: starchKg, tempC: 15 },
          { ingredientId: 'water', kg: starchKg * SLURRY_WATER, tempC: 10 },
        ],
        minutes: THICKENERS.cornstarch.cookOutMin,
      }),
    );
  const reduce = reduceTo(of, end.mixture.flourEquivalentG / wanted);
  return reduce ? [...found, reduce] : found;
}

/**
 * Kilograms of a thickener that bring a pot to its band, what it adds to the liquid counted; both per kilogram of it.
 * Null where no amount does.
 */
function amountKg(
  missingG: number,
  wantedGPerL: number,
  perKg: { flourG: number; litres: number },
): number | null {
  const gainG = perKg.flourG - wantedGPerL * perKg.litres;
  return gainG > 0 ? missingG / gainG : null;
}

/** Loosened with what the dish is made of, then with milk where it holds milk already, then with water. */
function waysToLoosen(of: ToMend, wanted: number): AdjustWay[] {
  const { input } = of.snapshot;
  const litres = of.end.mixture.flourEquivalentG / wanted - liquidLitres(of.end);
  const own = input.recipe.lines.flatMap((line) => {
    const ingredient = input.ingredients[line.ingredientId];
    return line.scaling === 'toYield' && ingredient?.share === 'liquid' ? [line.ingredientId] : [];
  });
  const ids = [...new Set([...own, 'milk', 'water'])].filter((id) => input.ingredients[id]);
  return ids.map((ingredientId) => {
    const ingredient = input.ingredients[ingredientId]!;
    return addition(of, {
      id: `loosen-${ingredientId}`,
      how: { code: 'loosen', name: ingredient.name, kind: ingredient.kind },
      items: [{ ingredientId, kg: litres * ingredient.densityKgPerL, tempC: 85 }],
      minutes: 3,
    });
  });
}

function addition(
  of: ToMend,
  way: { id: string; how: AdjustHow; items: AddedItem[]; minutes: number },
): AdjustWay {
  const { input } = of.snapshot;
  let pot = of.end;
  let costCents = 0;
  let addedLitres = 0;
  for (const item of way.items) {
    const ingredient = input.ingredients[item.ingredientId]!;
    pot = putFoodIn(pot, { ingredient, kg: item.kg, tempC: item.tempC, thickener: item.thickener });
    costCents += (item.kg / ingredient.yield) * (input.pricesCentsPerKg[item.ingredientId] ?? 0);
    addedLitres += volumeLitres(massesOf(ingredient, item.kg), 20);
  }
  const foods = way.items.map((item) => input.ingredients[item.ingredientId]!);
  return {
    id: way.id,
    how: way.how,
    items: way.items,
    isAddition: true,
    warns: [...bringsIn(of, foods), ...noRoomFor(of, addedLitres)],
    after: outcome(pot, input.portionMl, way.minutes, costCents),
  };
}

/** What foods would bring into a pot that is not in it yet: an allergen, or food that the dish's guests do not eat. */
function bringsIn({ snapshot, state }: ToMend, foods: readonly Ingredient[]): AdjustWarning[] {
  const there = batchHolds(snapshot, state);
  const eaten = [there.diet, ...(snapshot.input.recipe.claims ?? [])].map((diet) => DIETS.indexOf(diet));
  const claimed = Math.min(...eaten);
  const brings = bringsTo(holdsOf(foods), there);
  const breaks = foods.find((one) => DIETS.indexOf(one.diet) > claimed);
  return [
    ...(brings?.allergens ?? []).map((name) => ({ code: 'addsAllergen' as const, name })),
    ...(breaks ? [{ code: 'breaksDiet' as const, diet: DIETS[claimed]!, name: breaks.name }] : []),
  ];
}

function noRoomFor({ state }: ToMend, addedLitres: number): AdjustWarning[] {
  const { vessel } = state.inPot;
  const litres = potLitres(state.pot) + addedLitres;
  const brimLitres = litresAtDepth(vessel, vessel.heightCm);
  return litres > brimLitres ? [{ code: 'noRoom', litres, brimLitres }] : [];
}

/** How far a reduction is looked for, and in what strides: within two minutes of the forecast's own, far inside its range. */
const REDUCE_MIN = 180;
const STRIDE_S = 300;

/** Reducing with the lid off at the heat there is; null when that would not get there in three hours. */
function reduceTo({ snapshot, state, end }: ToMend, liquidLitresWanted: number): AdjustWay | null {
  const open: PotState = { ...end, lid: 'off', heatFraction: Math.max(state.pot.heatFraction, 0.5) };
  const loseLitres = liquidLitres(open) - liquidLitresWanted;
  const kg = massKg(open.mixture) - loseLitres * waterDensityKgPerL({ tempC: 20 });
  const whenMs = crossingMs(state.setup, open, { kind: 'mass', kg }, REDUCE_MIN, MIDDLE_DAY, STRIDE_S);
  if (whenMs === null) return null;
  const water = open.mixture.liquid.water - (massKg(open.mixture) - kg);
  if (water <= 0) return null;
  const pot = { ...open, mixture: { ...open.mixture, liquid: { ...open.mixture.liquid, water } } };
  return {
    id: 'reduce',
    how: { code: 'reduce' },
    items: [],
    isAddition: false,
    warns: [],
    after: outcome(pot, snapshot.input.portionMl, (whenMs - open.atMs) / 60_000, 0),
  };
}

function outcome(pot: PotState, portionMl: number, minutes: number, costCents: number): AdjustOutcome {
  const litres = foodLitres(pot);
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
  const litres = liquidLitres(pot);
  return litres > 0 ? pot.mixture.flourEquivalentG / litres : 0;
}
