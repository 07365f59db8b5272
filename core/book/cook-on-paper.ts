import type { Ingredient, Mixture } from '../matter';
import { recordOf } from '../own';
import { cookThrough, type PlanInput } from '../plan';
import { kitchenAir } from '../pot';
import type { Recipe } from '../recipe';

/** A pot as deep as it is wide, this many times the litres made; heat to match. Common practice. */
const PAPER_POT = { timesLitres: 3, netWPerLitre: 280, efficiency: 0.4, kgPerLitre: 0.2 } as const;

/** A kitchen by the sea. */
const PAPER_KITCHEN = { altitudeM: 0, airTempC: 22, relativeHumidity: 0.5 } as const;

/**
 * What a recipe comes to cooked as it is written in a pot that suits it: for what is strained, where only the water
 * tells what the bones have given. A first guess; the batch that is cooked overrules it.
 *
 * @param prepared lines that name rows of `ingredients`
 * @returns the pot's mixture at the end, and the minutes it took
 * @throws RangeError for a stage that would not end
 */
export function cookOnPaper(prepared: {
  recipe: Recipe;
  ingredients: Readonly<Record<string, Ingredient>>;
}): { mixture: Mixture; minutes: number } {
  const { recipe } = prepared;
  const litres = recipe.litres * PAPER_POT.timesLitres;
  const acrossCm = Math.cbrt((litres * 1000 * 4) / Math.PI);
  const input: PlanInput = {
    ...prepared,
    pricesCentsPerKg: {},
    kitchen: PAPER_KITCHEN,
    pot: {
      id: 'paper',
      name: 'a pot that suits it',
      vessel: { shape: 'cylinder', diameterCm: acrossCm, heightCm: acrossCm },
      emptyMassKg: litres * PAPER_POT.kgPerLitre,
    },
    burner: {
      id: 'paper',
      name: 'a burner that suits it',
      powerW: (litres * PAPER_POT.netWPerLitre) / PAPER_POT.efficiency,
      efficiency: PAPER_POT.efficiency,
      heatFactor: { mean: 1, sd: 1e-6, batches: 0 },
    },
    portions: (recipe.litres * 1000) / recipe.portionMl,
    portionMl: recipe.portionMl,
    saltPercent: recipe.targetSaltPercent,
    band: recipe.targetBand,
    serviceAtMs: 0,
  };
  const setup = {
    vessel: input.pot.vessel,
    emptyMassKg: input.pot.emptyMassKg,
    burner: input.burner,
    air: kitchenAir(input.kitchen),
  };
  const load = recordOf(
    recipe.lines.filter((line) => line.scaling !== 'perBowl').map((line) => [line.id, line.kg]),
  );
  const { end, minutes } = cookThrough(input, setup, load, 1);
  return { mixture: end.mixture, minutes };
}
