import {
  type AddedItem,
  type BatchSnapshot,
  type BatchState,
  batchHolds,
  loadStillToAdd,
  potAtEnd,
} from '../batch';
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
  totalKg,
  volumeLitres,
} from '../matter';
import { portions } from '../portions';
import {
  flourPerLitre,
  foodLitres,
  liquidLitres,
  type PotState,
  potLitres,
  putFoodIn,
  withDose,
} from '../pot';
import { asPulp, bodyG, thicknessBand } from '../thickness';
import { litresAtDepth } from '../vessel';

/** What the pot would be after a change: the same figures beside each way. */
export interface AdjustOutcome {
  saltPercent: number;
  band: number;
  litres: number;
  portions: number;
  /** minutes until it can be judged */
  minutes: number;
  costCents: number;
  /** of the dish's own taste a litre holds so much of what it would have: 1 where nothing is thinned */
  ownTaste: number;
}

/** What a way would do that nobody may have meant. */
export type AdjustWarning =
  | { code: 'addsAllergen'; name: Allergen }
  /** food that those who eat `diet` do not eat */
  | { code: 'breaksDiet'; diet: Diet; name: string }
  | { code: 'noRoom'; litres: number; brimLitres: number }
  /** no hotter than this from then on, °C */
  | { code: 'notOver'; topC: number }
  /** too salty still, percent */
  | { code: 'stillSalty'; percent: number }
  /** it does not get there: so far only */
  | { code: 'fallsShort'; band: number };

/** A pot to be mended: as it is, and as it will be with the rest of its recipe in it. */
export interface ToMend {
  snapshot: BatchSnapshot;
  state: BatchState;
  end: PotState;
}

/** The pot to be mended, or null while there is next to nothing in it. */
export function toMend(snapshot: BatchSnapshot, state: BatchState): ToMend | null {
  if (massKg(state.pot.mixture) < LEAST_KG || liquidLitres(state.pot) < LEAST_LITRES) return null;
  // the salt to come is what is asked about, and is not counted in
  return { snapshot, state, end: potAtEnd(snapshot, state, loadStillToAdd(snapshot, state, ['toSalt'])) };
}
const LEAST_KG = 0.05;

/** The figures of a pot beside what it was. */
export function outcomeOf(
  pot: PotState,
  of: { portionMl: number; minutes: number; costCents: number; ownTaste?: number },
): AdjustOutcome {
  const litres = foodLitres(pot);
  return {
    saltPercent: saltPercent(pot.mixture, 'all'),
    band: thicknessBand({ flourEquivalentGPerL: flourPerLitre(pot) }),
    litres,
    portions: portions({ litres, portionMl: of.portionMl }),
    minutes: of.minutes,
    costCents: of.costCents,
    ownTaste: of.ownTaste ?? 1,
  };
}

/**
 * The pot at its end with some foods in it beside, by what the table says of them.
 *
 * @param isPulp put in to thicken: what comes in pieces is grated, mashed or beaten in
 */
export function withItems(
  of: ToMend,
  items: readonly AddedItem[],
  isPulp = false,
): { pot: PotState; costCents: number } {
  const { ingredients, pricesCentsPerKg } = of.snapshot.input;
  return items.reduce(
    ({ pot, costCents }, item) => {
      const own = ingredients[item.ingredientId]!;
      const ingredient = isPulp ? asPulp(own) : own;
      const put = putFoodIn(pot, { ingredient, kg: item.kg, tempC: item.tempC, thickener: item.thickener });
      const kind = item.thickener ?? ingredient.thickener;
      return {
        pot: withDose(
          put,
          kind ? bodyG({}, item.kg, kind) : ingredient === own ? 0 : bodyG(ingredient, item.kg),
        ),
        costCents: costCents + (item.kg / ingredient.yield) * (pricesCentsPerKg[item.ingredientId] ?? 0),
      };
    },
    { pot: of.end, costCents: 0 },
  );
}

/** Litres that foods take up as they go in. */
export function litresOf(of: ToMend, items: readonly AddedItem[]): number {
  const { ingredients } = of.snapshot.input;
  return items.reduce(
    (sum, { ingredientId, kg }) => sum + volumeLitres(massesOf(ingredients[ingredientId]!, kg), GOES_IN_C),
    0,
  );
}
const GOES_IN_C = 20;

/** What speaks against putting foods in: an allergen or a diet that the dish has not, no room. */
export function warningsOf(of: ToMend, items: readonly AddedItem[]): AdjustWarning[] {
  const { ingredients } = of.snapshot.input;
  const foods = items.map((item) => ingredients[item.ingredientId]!);
  return [...bringsIn(of, foods), ...noRoomFor(of, litresOf(of, items))];
}

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
  return addedLitres > 0 && litres > brimLitres ? [{ code: 'noRoom', litres, brimLitres }] : [];
}

/**
 * Of the dish's own taste how much a litre keeps when so much of what is not its own is put in: its solids without fat
 * and salt, over all of it.
 */
export function ownTasteWith(of: ToMend, items: readonly AddedItem[]): number {
  const own = new Set(of.snapshot.input.recipe.lines.map((line) => line.ingredientId));
  const strange = items.filter((item) => !own.has(item.ingredientId));
  const litres = foodLitres(of.end);
  return litres > 0 ? litres / (litres + litresOf(of, strange)) : 1;
}

/** There is something to mend: more than a ladle of liquid. */
export const hasLiquid = (pot: PotState): boolean =>
  liquidLitres(pot) >= LEAST_LITRES && totalKg(pot.mixture.liquid) > 0;
const LEAST_LITRES = 0.01;
