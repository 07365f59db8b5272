import type { AddedItem } from '../batch';
import { latentHeatKJPerKg } from '../heat';
import { massKg, type ThickenerKind, totalKg, waterDensityKgPerL } from '../matter';
import { jarFills } from '../plan';
import {
  bodyOfPot,
  crossingMs,
  finishStage,
  flourPerLitre,
  fullKW,
  liquidLitres,
  MIDDLE_DAY,
  type PotState,
} from '../pot';
import { asPulp, bodyG, pulpMin, THICKENERS, thicknessBand } from '../thickness';
import {
  type AdjustOutcome,
  type AdjustWarning,
  litresOf,
  outcomeOf,
  ownTasteWith,
  type ToMend,
  warningsOf,
  withItems,
} from './to-mend';

/** How a pot is brought nearer to its mark. */
export type AdjustHow =
  | { code: 'kneadedButter' | 'reduce' | 'potato' | 'bread' | 'beans' | 'liaison' | 'cream' }
  | { code: 'roux'; colour: 'rouxBlond' | 'rouxBrown' }
  | { code: 'slurry'; starch: 'cornstarch' | 'arrowroot' | 'potatoStarch' | 'riceFlour' | 'flour' }
  | { code: 'puree'; share: number; litres: number; fills: number }
  /** so much of the liquid boiled down to half beside the pot, in so many pans of it */
  | { code: 'reduceApart'; litres: number; panCm: number; pans: number }
  | { code: 'loosen'; name: string; kind: string };

export interface AdjustWay {
  id: string;
  how: AdjustHow;
  items: AddedItem[];
  after: AdjustOutcome;
  /** false for what only takes time, or a blender */
  isAddition: boolean;
  /** what speaks against it; a way with none of them comes first */
  warns: AdjustWarning[];
}

/** Cold water to a part of starch, by weight. source: common practice */
const SLURRY_WATER = 2;

/** What goes in for each kilogram that thickens, how strong it is, and how long it takes. */
interface Recipe {
  id: string;
  how: AdjustHow;
  /** kg of each for one kg of the first */
  of: readonly { ingredientId: string; kg: number; tempC: number; thickener?: ThickenerKind }[];
  minutes: number;
  /** no hotter than this from then on, °C */
  topC?: number;
}

const starch = (ingredientId: string, kind: Extract<AdjustHow, { code: 'slurry' }>['starch']): Recipe => ({
  id: `slurry-${kind}`,
  how: { code: 'slurry', starch: kind },
  of: [
    { ingredientId, kg: 1, tempC: 15 },
    { ingredientId: 'water', kg: SLURRY_WATER, tempC: 10 },
  ],
  minutes: THICKENERS[kind].cookOutMin,
});

const roux = (colour: 'rouxBlond' | 'rouxBrown'): Recipe => ({
  id: colour,
  how: { code: 'roux', colour },
  of: [
    { ingredientId: 'flour', kg: 1, tempC: 40, thickener: colour },
    { ingredientId: 'butter', kg: 1, tempC: 40 },
  ],
  minutes: THICKENERS[colour].cookOutMin,
});

/** A liaison thickens little, and scrambles above 82 °C. source: common practice */
const LIAISON = { creamKg: 3, topC: 82, minutes: 3 } as const;

const DRY: readonly Recipe[] = [
  starch('cornstarch', 'cornstarch'),
  starch('arrowroot', 'arrowroot'),
  starch('potato-starch', 'potatoStarch'),
  starch('rice-flour', 'riceFlour'),
  starch('flour', 'flour'),
  roux('rouxBlond'),
  roux('rouxBrown'),
  {
    id: 'kneaded-butter',
    how: { code: 'kneadedButter' },
    of: [
      { ingredientId: 'flour', kg: 1, tempC: 18 },
      { ingredientId: 'butter', kg: 1, tempC: 18 },
    ],
    minutes: THICKENERS.flour.cookOutMin,
  },
];

/** The ways to a thicker pot, each as much as brings it to the mark, or as far as it goes. */
export function waysToThicken(of: ToMend, wanted: number): AdjustWay[] {
  const { ingredients } = of.snapshot.input;
  const soft = (id: string, code: 'potato' | 'bread' | 'beans'): Recipe[] => {
    const row = ingredients[id];
    if (!row) return [];
    const of = [{ ingredientId: id, kg: 1, tempC: 18 }];
    return [{ id: code, how: { code }, of, minutes: pulpMin(row) }];
  };
  const recipes: Recipe[] = [
    ...DRY,
    ...soft('potato', 'potato'),
    ...soft('bread', 'bread'),
    ...soft('white-bean-tinned', 'beans'),
    {
      id: 'liaison',
      how: { code: 'liaison' },
      of: [
        { ingredientId: 'egg-yolk', kg: 1, tempC: 60 },
        { ingredientId: 'double-cream', kg: LIAISON.creamKg, tempC: 60 },
      ],
      minutes: LIAISON.minutes,
      topC: LIAISON.topC,
    },
    {
      id: 'cream',
      how: { code: 'cream' },
      of: [{ ingredientId: 'double-cream', kg: 1, tempC: 60 }],
      minutes: 5,
    },
  ];
  const added = recipes.flatMap((recipe) => {
    const isHad = recipe.of.every(({ ingredientId }) => ingredients[ingredientId]);
    const way = isHad ? wayOf(of, recipe, wanted) : null;
    return way ? [way] : [];
  });
  return [
    ...[
      pureed(of, wanted),
      reduceTo(of, bodyOfPot(of.end) / wanted),
      reduceApart(of, bodyOfPot(of.end) / wanted),
    ].filter((way) => way !== null),
    ...added,
  ];
}

/** No more of a thing than this share of the pot is put in to thicken it. Ours. */
const MOST_SHARE = 0.12;

function wayOf(of: ToMend, recipe: Recipe, wanted: number): AdjustWay | null {
  const perKg = recipe.of.map(({ ingredientId, kg, tempC, thickener }) => ({
    ingredientId,
    kg,
    tempC,
    ...(thickener ? { thickener } : {}),
  }));
  const missingG = wanted * liquidLitres(of.end) - bodyOfPot(of.end);
  const gainG = flourOf(of, perKg) - wanted * litresOf(of, perKg);
  const most = (MOST_SHARE * massKg(of.end.mixture)) / perKg.reduce((sum, one) => sum + one.kg, 0);
  const whole = gainG > 0 ? missingG / gainG : Number.POSITIVE_INFINITY;
  const kg = Math.min(whole, most);
  const items = perKg.map((one) => ({ ...one, kg: one.kg * kg }));
  const { pot, costCents } = withItems(of, items, true);
  const { portionMl } = of.snapshot.input;
  const after = outcomeOf(pot, {
    portionMl,
    minutes: recipe.minutes,
    costCents,
    ownTaste: ownTasteWith(of, items),
  });
  return {
    id: recipe.id,
    how: recipe.how,
    items,
    isAddition: true,
    warns: [
      ...warningsOf(of, items),
      ...(recipe.topC ? [{ code: 'notOver' as const, topC: recipe.topC }] : []),
      ...(whole > most ? [{ code: 'fallsShort' as const, band: after.band }] : []),
    ],
    after,
  };
}

/** Grams of flour that foods come to when they have swollen. */
function flourOf(of: ToMend, items: readonly AddedItem[]): number {
  const { ingredients } = of.snapshot.input;
  return items.reduce((sum, { ingredientId, kg, thickener }) => {
    const row = asPulp(ingredients[ingredientId]!);
    return sum + bodyG(row, kg, thickener ?? row.thickener);
  }, 0);
}

/** Less of the pieces than this is not worth getting the blender dirty. Ours. */
const LEAST_BLENDED = 0.03;

/** A share of what lies in the pot puréed: solved by halving, or all of it where that is not enough. */
function pureed(of: ToMend, wanted: number): AdjustWay | null {
  const { end, snapshot } = of;
  if (totalKg(end.mixture.pieces) < 0.05) return null;
  const blended = (share: number) => finishStage(end, { kind: 'puree', share, sieve: 'none' });
  const isThere = (share: number) => flourPerLitre(blended(share)) >= wanted;
  let [low, high] = [0, 1];
  if (isThere(1))
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2;
      if (isThere(middle)) high = middle;
      else low = middle;
    }
  const share = high;
  const pot = blended(share);
  const after = outcomeOf(pot, { portionMl: snapshot.input.portionMl, minutes: BLENDED_MIN, costCents: 0 });
  const gained = after.band - thicknessBand({ flourEquivalentGPerL: flourPerLitre(end) });
  if (share < LEAST_BLENDED || gained < GAINED_AT_LEAST) return null;
  const litres = share * (totalKg(end.mixture.pieces) + liquidLitres(end) * PIECES_SWIM);
  return {
    id: 'puree',
    how: { code: 'puree', share, litres, fills: jarFills(snapshot.input, litres) },
    items: [],
    isAddition: false,
    warns: isThere(1) ? [] : [{ code: 'fallsShort', band: after.band }],
    after,
  };
}
const HALVINGS = 20;
const GAINED_AT_LEAST = 0.05;
/** Blended and back in the pot. Common practice. */
const BLENDED_MIN = 10;
/** Pieces are ladled out with so much of the liquid. Common practice. */
const PIECES_SWIM = 0.3;

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
  const pot = withoutWater(open, massKg(open.mixture) - kg);
  if (!pot) return null;
  return {
    id: 'reduce',
    how: { code: 'reduce' },
    items: [],
    isAddition: false,
    warns: [],
    after: outcomeOf(pot, {
      portionMl: snapshot.input.portionMl,
      minutes: (whenMs - open.atMs) / 60_000,
      costCents: 0,
    }),
  };
}

/** The pot with so much of its water gone; null where it does not hold as much. */
function withoutWater(pot: PotState, kg: number): PotState | null {
  const water = pot.mixture.liquid.water - kg;
  return water > 0 ? { ...pot, mixture: { ...pot.mixture, liquid: { ...pot.mixture.liquid, water } } } : null;
}

/** Boiled down to half and no further: what is in it must not catch. Common practice. */
const DOWN_TO = 0.5;
/** A wide pan boils best so deep, cm; it gives away this share of its flame. From memory. */
const PAN_DEPTH_CM = 4;
const PAN_TAKES = 0.8;
/** Ladled out, brought up and poured back, minutes for each pan. Common practice. */
const PAN_TURN_MIN = 4;

/** Part of the liquid boiled down beside it, in the widest pan there is, on a flame like the pot's own. */
function reduceApart({ snapshot, state, end }: ToMend, liquidLitresWanted: number): AdjustWay | null {
  const panCm = snapshot.input.equipment?.fryingPanCm ?? 0;
  const loseLitres = liquidLitres(end) - liquidLitresWanted;
  const loseKg = loseLitres * waterDensityKgPerL({ tempC: 20 });
  const litres = loseLitres / (1 - DOWN_TO);
  const pot = loseKg > 0 && litres < liquidLitres(end) ? withoutWater(end, loseKg) : null;
  if (panCm <= 0 || !pot) return null;
  const panLitres = (Math.PI * (panCm / 2) ** 2 * PAN_DEPTH_CM) / 1000;
  const pans = Math.ceil(litres / panLitres - 1e-9);
  const kW = fullKW(state.setup) * PAN_TAKES;
  const boilMin = (loseKg * latentHeatKJPerKg({ tempC: state.setup.air.boilingC })) / kW / 60;
  const minutes = boilMin + pans * PAN_TURN_MIN;
  if (minutes > REDUCE_MIN) return null;
  return {
    id: 'reduce-apart',
    how: { code: 'reduceApart', litres, panCm, pans },
    items: [],
    isAddition: false,
    warns: [],
    after: outcomeOf(pot, { portionMl: snapshot.input.portionMl, minutes, costCents: 0 }),
  };
}
