import { unit } from 'mathjs';
import { Solver } from 'odex';
import psychrolib from 'psychrolib';
import { linearRegression } from 'simple-statistics';
import { bench, describe } from 'vitest';
import { prepareRecipe } from '../core/book';
import { forecast } from '../core/forecast';
import { boilingPointC, saturationPressureKPa } from '../core/heat';
import { blendLots, foldLarder, lotKey, traceArrows } from '../core/larder';
import { INGREDIENT_BY_ID, NO_MASSES } from '../core/matter';
import { planBatch } from '../core/plan';
import { addToPot, advancePot, kitchenAir, openPot, type PotSetup } from '../core/pot';
import { readRecipeText } from '../core/reader';
import { LEEK_SOUP, libraryOf, recipeFrom, TABLE } from '../core/testing/book';
import { orderOf } from '../core/testing/broth';
import { contentsFor, drawn, lotMade, shelfLog } from '../core/testing/larder';
import { convert } from '../core/units';
import { TROUT_CHOWDER } from '../demo/dishes/trout-chowder';
import { BURNERS, KITCHEN, POTS, PRICES_CENTS_PER_KG } from '../demo/kitchen';

/**
 * `npm run bench`: ours beside a reference library on the same work, where there is one; vitest prints the ratio.
 * The plan, without a reference, prints milliseconds; its aim is 8. The fold has a bench of its own.
 */
/** A year of a busy shelf: a lot a day, four draws of each, parted, counted; folded whole. The aim is a frame. */
describe('the larder, 365 lots with 1,460 draws', () => {
  const made = Array.from({ length: 365 }, (_, i) => lotMade(`L${i}`, 12, i * 1440));
  const draws = made.flatMap((one, i) =>
    Array.from({ length: 4 }, (_, n) =>
      drawn(one.birth.lotId, 2.5, i * 1440 + 60 * (n + 1), `soup ${i} ${n}`),
    ),
  );
  const events = shelfLog(
    made.map((one, i) => [
      i * 1440 + 400,
      { type: 'counted', payload: { lotId: one.birth.lotId, kg: 1.8, note: 'count' } },
    ]),
  );
  bench('fold', () => void foldLarder({ made, draws, events }));
  const larder = foldLarder({ made, draws, events });
  bench('recall of one lot', () => void traceArrows(larder.arrows, lotKey('L0')));
});

describe('a blend of five lots with three limits, umami among them', () => {
  const parts = ['chicken-stock', 'fish-fumet', 'vegetable-stock', 'kelp-stock', 'mushroom-stock'].map(
    (id, i) => ({
      id,
      contents: contentsFor(id),
      leftKg: 8,
      centsPerKg: 60 + 20 * i,
    }),
  );
  bench(
    'by planes',
    () => void blendLots(parts, { kg: 10, saltMax: 0.13, brixMin: 1, umamiMin: 0.1, mayHaveWater: true }),
  );
});

/** Sixty lines on three levels of sub-recipe: what a keystroke plans anew; the aim is a frame, 16 ms. */
describe('a recipe of 60 lines, three levels deep', () => {
  const big = recipeFrom(
    `Big soup\nServes 6\n1 L chicken stock\n${Array.from({ length: 57 }, (_, i) => `${20 + i} g ${['carrots', 'onion', 'leek', 'swede', 'celeriac'][i % 5]}`).join('\n')}\nsalt to taste`,
    { id: 'big' },
  );
  const stock = recipeFrom('Stock\n2 L water\n200 g carrots (lift out)', { id: 'a', litres: 1.8 });
  const on = (recipe: typeof stock, id: string, below: string) => ({
    ...recipe,
    id,
    lines: [
      ...recipe.lines,
      {
        id: 'sub',
        ingredientId: `recipe:${below}`,
        stageId: recipe.stages[0]!.id,
        kg: 0.2,
        scaling: 'straight' as const,
        tempC: 5,
      },
    ],
  });
  const whole = on(big, 'big', 'c');
  const library = libraryOf([stock, on(stock, 'b', 'a'), on(stock, 'c', 'b'), whole]);
  bench('ours, rolled up and planned whole', () => {
    const prepared = prepareRecipe(whole, library);
    planBatch(orderOf({ ...prepared, band: 0, portions: 60 }));
  });
  bench('ours, rolled up alone', () => {
    prepareRecipe(whole, library);
  });
});

describe('a recipe read off paper', () => {
  bench('ours, eight lines and a method', () => {
    readRecipeText(LEEK_SOUP, TABLE);
  });
});

describe('plan a batch', () => {
  const chowder = {
    ...orderOf(),
    recipe: TROUT_CHOWDER,
    ingredients: INGREDIENT_BY_ID,
    pricesCentsPerKg: PRICES_CENTS_PER_KG,
    kitchen: KITCHEN,
    pot: POTS[1]!,
    burner: { ...orderOf().burner, ...BURNERS[1] },
    band: 3,
  };
  bench('ours, the chowder: solved and run three times', () => {
    planBatch(chowder);
  });
});

describe('forecast from twelve readings', () => {
  const readings = Array.from({ length: 12 }, (_, i) => ({ minute: i * 5, massKg: 24 - i * 0.4, sdKg: 0.1 }));
  bench('ours, with variances and three quantiles', () => {
    forecast({ readings, targetKg: 12 });
  });
  bench('simple-statistics, the line alone', () => {
    linearRegression(readings.map((r) => [r.minute, r.massKg]));
  });
});

describe('convert a cup to millilitres', () => {
  bench('ours', () => {
    convert({ value: 2.5, from: 'cup', to: 'mL' });
  });
  bench('mathjs', () => {
    unit(2.5, 'cup').toNumber('ml');
  });
});

describe('saturation pressure', () => {
  psychrolib.SetUnitSystem(psychrolib.SI);
  bench('ours', () => {
    saturationPressureKPa({ tempC: 95.85 });
  });
  bench('psychrolib', () => {
    psychrolib.GetSatVapPres(95.85);
  });
});

describe('half an hour of a pot warming and steaming', () => {
  const setup: PotSetup = {
    vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 39.3 },
    emptyMassKg: 0,
    burner: { powerW: 6000, efficiency: 0.4 },
    air: kitchenAir({ altitudeM: 0 }),
  };
  const empty = openPot({ atMs: 0, tempC: 25, heatFactor: { mean: 1, sd: 0.2 } });
  const pot = {
    ...addToPot(empty, { masses: { ...NO_MASSES, water: 15 }, share: 'liquid', tempC: 20 }),
    heatFraction: 1,
  };
  const boiling = boilingPointC({ altitudeM: 0 });
  bench('ours, with its doubt carried along', () => {
    advancePot(setup, pot, 30 * 60_000);
  });
  bench('odex, the balance alone', () => {
    const solver = new Solver(1);
    solver.solve(
      (_t, [tempC]) => {
        const t = Math.min(tempC!, boiling - 0.01);
        const vapour = saturationPressureKPa({ tempC: t });
        const steam = 0.1018 * 0.089 * 101.325 * Math.log((101.325 - 1.58) / (101.325 - vapour));
        return [(2.4 - steam - 0.0018 * (t - 25)) / 62.8];
      },
      0,
      [20],
      1800,
    );
  });
});
