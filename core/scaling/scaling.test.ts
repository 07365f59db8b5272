import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { prepareRecipe } from '../book';
import { boilOffKgPerHour, surfaceLossKgPerHour } from '../evaporation';
import { INGREDIENT_BY_ID } from '../matter';
import { scalingNotes } from '../order';
import { planBatch, setupOf } from '../plan';
import { addToPot, forecastPot, massAtLitres, openPot, potLitres } from '../pot';
import { LEEK_SOUP, libraryOf, recipeFrom } from '../testing/book';
import { orderOf } from '../testing/broth';
import { EQUIPMENT, inputOf } from '../testing/scaled';
import { firstDose, garlicStrength, sweatingFatKg } from './';

const leek = recipeFrom(LEEK_SOUP);
const kg = (plan: ReturnType<typeof planBatch>, ingredientId: string) =>
  plan.lines
    .filter((line) => line.ingredientId === ingredientId)
    .reduce((sum, line) => sum + line.edibleKg, 0);

describe('invariants of scaling', () => {
  it('twice the covers is twice the edible mass of what scales straight, and the same salt at the end (seed 810)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 55 }),
        fc.double({ min: 0.5, max: 1.2, noNaN: true }),
        (count, saltPercent) => {
          const once = planBatch(inputOf(leek, { portions: count, saltPercent }));
          const twice = planBatch(inputOf(leek, { portions: 2 * count, saltPercent }));
          for (const id of ['leek', 'potato', 'onion', 'double-cream'])
            expect(kg(twice, id) / kg(once, id)).toBeCloseTo(2, 9);
          expect(once.saltPercent).toBeCloseTo(saltPercent, 2);
          expect(twice.saltPercent).toBeCloseTo(saltPercent, 2);
          expect(kg(twice, 'butter') / kg(once, 'butter')).toBeLessThanOrEqual(2 + 1e-9);
        },
      ),
      { seed: 810, numRuns: 12 },
    );
  });
  it('below the boil a wider pot never takes longer to reduce (seed 811)', () => {
    const minutesIn = (diameterCm: number, litres: number, tempC: number) => {
      const areaM2 = (Math.PI / 4) * (diameterCm / 100) ** 2;
      return (litres * 0.2) / (surfaceLossKgPerHour({ areaM2, tempC, lid: 'off' }) / 60);
    };
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        fc.double({ min: 60, max: 98, noNaN: true }),
        (diameter, wider, tempC) => {
          expect(minutesIn(diameter * wider, 10, tempC)).toBeLessThanOrEqual(
            minutesIn(diameter, 10, tempC) + 1e-9,
          );
        },
      ),
      { seed: 811, numRuns: 100 },
    );
  });
  it('holds in the pot too, held just under a simmer', () => {
    const fall = (diameterCm: number) => {
      const input = orderOf({
        pot: {
          id: 'p',
          name: 'pot',
          emptyMassKg: 5,
          vessel: { shape: 'cylinder', diameterCm, heightCm: 60 },
        },
      });
      const setup = setupOf(input);
      const opened = openPot({ atMs: 0, tempC: 88, heatFactor: { mean: 1, sd: 1e-9 } });
      const water = INGREDIENT_BY_ID.water!.perKg;
      const masses = { ...water, water: water.water * 12 };
      const pot = { ...addToPot(opened, { masses, share: 'liquid', tempC: 88 }), heatFraction: 0.5 };
      return (
        forecastPot(setup, pot, { kind: 'mass', kg: massAtLitres(pot, potLitres(pot) * 0.95) }, 24 * 60)
          .p50Ms! / 60_000
      );
    };
    expect(fall(42)).toBeLessThanOrEqual(fall(30));
  });
});

describe('a reduction by the batch: 1×, 4×, 10×', () => {
  const NET_W = 2800;
  /** by hand: a quarter of M kg boiled off by what the burner gives, at the kitchen’s boiling point */
  const byHand = (massKg: number) =>
    ((0.25 * massKg) / boilOffKgPerHour({ netPowerW: NET_W, tempC: 95.86 })) * 60;
  const minutesFor = (
    litres: number,
    vessel: { shape: 'cylinder'; diameterCm: number; heightCm: number },
  ) => {
    const input = orderOf({ pot: { id: 'p', name: 'pot', emptyMassKg: 5, vessel } });
    const setup = setupOf(input);
    const boiled = openPot({ atMs: 0, tempC: setup.air.boilingC, heatFactor: { mean: 1, sd: 1e-9 } });
    const masses = { ...INGREDIENT_BY_ID.water!.perKg, water: litres };
    const pot = {
      ...addToPot(boiled, { masses, share: 'liquid', tempC: setup.air.boilingC }),
      heatFraction: 1,
    };
    const wall = setup.air.boilingC - setup.air.airTempC;
    return {
      minutes: forecastPot(setup, pot, { kind: 'mass', kg: litres * 0.75 }, 48 * 60).p50Ms! / 60_000,
      wall,
    };
  };
  it('in one pot at full boil time grows with the litres, by the hand formula and a little for the wall', () => {
    const one = { shape: 'cylinder', diameterCm: 36, heightCm: 60 } as const;
    const [a, b, c] = [3, 12, 30].map((litres) => minutesFor(litres, one).minutes) as [
      number,
      number,
      number,
    ];
    for (const [minutes, litres] of [
      [a, 3],
      [b, 12],
      [c, 30],
    ] as const) {
      expect(minutes / byHand(litres)).toBeGreaterThan(1);
      expect(minutes / byHand(litres)).toBeLessThan(1.35);
    }
    expect(b / a).toBeGreaterThan(3.7);
    expect(b / a).toBeLessThan(4.6);
    expect(c / a).toBeGreaterThan(9.3);
    expect(c / a).toBeLessThan(12.5);
  });
  it('in similar pots under the boil time grows with the depth', () => {
    // the surface law by hand: minutes = share · litres / (loss a m² · area), and litres/area is the depth
    const hours = (litres: number) => {
      const diameterM = ((4 * litres) / 1000 / Math.PI) ** (1 / 3);
      const areaM2 = (Math.PI / 4) * diameterM ** 2;
      return {
        depthM: litres / 1000 / areaM2,
        hours: (0.25 * litres) / surfaceLossKgPerHour({ areaM2, tempC: 90, lid: 'off' }),
      };
    };
    const [one, four, ten] = [hours(3), hours(12), hours(30)] as const;
    expect(four.hours / one.hours).toBeCloseTo(four.depthM / one.depthM, 9);
    expect(ten.hours / one.hours).toBeCloseTo(10 ** (1 / 3), 9);
  });
});

describe('laws of their own', () => {
  it('fat for sweating follows the pan: common practice, a film on the bottom', () => {
    const kgIn = (areaM2: number) => sweatingFatKg({ kg: 0.05, writtenLitres: 2, areaM2, factor: 10 });
    expect(kgIn(0.2)).toBeGreaterThan(kgIn(0.1));
    expect(kgIn(0.1)).toBeLessThan(0.5);
    expect(kgIn(0.001)).toBe(0.25);
    expect(kgIn(5)).toBe(0.75);
    expect(() => sweatingFatKg({ kg: 1, writtenLitres: 0, areaM2: 1, factor: 1 })).toThrow(/writtenLitres/);
  });
  it('strong things start at two thirds, chilli and spirit at half, and at the written size in full', () => {
    expect([firstDose({ factor: 0.5, law: 'byTaste' }), firstDose({ factor: 1, law: 'startLow' })]).toEqual([
      1, 1,
    ]);
    expect(firstDose({ factor: 100, law: 'byTaste' })).toBeCloseTo(2 / 3, 12);
    expect(firstDose({ factor: 100, law: 'startLow' })).toBe(0.5);
    expect(firstDose({ factor: 3, law: 'byTaste' })).toBeGreaterThan(
      firstDose({ factor: 30, law: 'byTaste' }),
    );
    expect(() => firstDose({ factor: 0, law: 'byTaste' })).toThrow(/factor/);
  });
  it('garlic bites the harder the finer and the longer it has stood', () => {
    const cuts = (['whole', 'sliced', 'chopped', 'crushed', 'grated'] as const).map((cut) =>
      garlicStrength({ cut, standingMin: 0 }),
    );
    expect(cuts).toEqual([...cuts].sort((a, b) => a - b));
    expect(garlicStrength({ cut: 'crushed', standingMin: 60 })).toBeCloseTo(1.5, 2);
    expect(() => garlicStrength({ cut: 'torn' as 'sliced', standingMin: 0 })).toThrow(/cut.*torn/);
  });
  it('what is kept by makes up the plain multiple', () => {
    const spiced = recipeFrom(
      'Soup\nServes 4\n1 L chicken stock\n500 g carrots\n1 tsp cumin\n4 cloves garlic, crushed\n1 chilli',
    );
    const plan = planBatch(inputOf(spiced, { portions: 100 }));
    for (const id of ['cumin', 'garlic', 'chilli']) {
      const line = plan.lines.find((one) => one.ingredientId === id)!;
      expect(line.edibleKg + line.keptByKg!).toBeCloseTo(line.plainMultipleKg, 12);
      expect(line.edibleKg).toBeLessThan(line.plainMultipleKg);
    }
  });
  it('100 g of roux binds a litre of velouté: coats the spoon (common practice)', () => {
    const veloute = recipeFrom('Velouté\n1 L chicken stock\n50 g butter\n50 g plain flour', { litres: 1 });
    expect(veloute.targetBand).toBeGreaterThan(2.6);
    expect(veloute.targetBand).toBeLessThan(3.5);
  });
  it('10 g kelp and 15 g flakes a litre (common practice) are what the ratio says is usual', () => {
    const sea = recipeFrom('Stock\n4 L water\n40 g dried kelp\n60 g dried fish flakes');
    expect(sea.lines.map((line) => line.ingredientId)).toEqual(['water', 'kelp', 'fish-flakes']);
  });
});

describe('what does not scale straight is said', () => {
  const plan = planBatch(inputOf(leek, { portions: 100 }));
  const notes = scalingNotes(inputOf(leek, { portions: 100 }), plan);
  const of = (law: string) => notes.filter((note) => note.law === law);
  it('liquid, heat-up, sweat, fat, salt, blender; each its own law', () => {
    expect(new Set(notes.map((note) => note.law))).toEqual(
      new Set(['liquid', 'heatUp', 'sweat', 'fat', 'salt', 'blender']),
    );
  });
  it('a hot jar of 4 L is filled to 1.6 L: the fills that take all of it', () => {
    const puree = plan.stages.find((stage) => stage.title === 'Purée')!;
    expect(of('blender')[0]).toMatchObject({ fills: Math.ceil(puree.litresAtStart / 1.6), fillLitres: 1.6 });
    expect(
      scalingNotes(
        inputOf(leek, { portions: 100, equipment: { ...EQUIPMENT, blenderJarLitres: 0 } }),
        plan,
      ).find((note) => note.law === 'blender'),
    ).toMatchObject({ fills: 0, hasStick: true });
  });
  it('greens lie loose and go in by loads, when they do not fit at once', () => {
    const kale = recipeFrom(
      'Kale soup\nServes 6\n1 L vegetable stock\n600 g kale\n50 g butter\n\nSweat the kale in the butter for 10 minutes. Pour in the stock and simmer for 10 minutes. Serve.',
    );
    const big = planBatch(inputOf(kale, { portions: 90 }));
    expect(big.stages[0]!.rounds).toBeGreaterThan(1);
    expect(big.fullest.litres).toBeLessThanOrEqual(big.workingFillLitres + 1e-9);
    expect(scalingNotes(inputOf(kale, { portions: 90 }), big)[0]!.law).toBe('rounds');
  });
  it('a reduction, a roux, meat browned in loads, a garnish by the bowl', () => {
    const stew = recipeFrom(
      'Stew\nServes 6\n1 kg venison, 3 cm dice\n60 g butter\n60 g plain flour\n1.5 L game stock\n12 g parsley, to serve\n\nBrown the venison in batches. Melt the butter and stir in the flour to a brown roux. Pour in the stock and bring to the boil. Reduce by a quarter. Serve.',
    );
    const browned = {
      ...stew,
      stages: stew.stages.map((stage, i) => (i === 0 ? { ...stage, methodId: 'brown-meat' } : stage)),
    };
    const big = inputOf(browned, { portions: 150, portionMl: 150 });
    const some = scalingNotes(big, planBatch(big)).map((note) => note.law);
    for (const law of ['reduction', 'roux', 'browning', 'garnish']) expect(some).toContain(law);
  });
});

describe('speed', () => {
  it('a recipe of 60 lines with three levels of sub-recipe is planned whole, and right', () => {
    const many = recipeFrom(
      `Big soup\nServes 6\n1 L chicken stock\n${Array.from({ length: 57 }, (_, i) => `${20 + i} g ${i % 2 ? 'carrots' : 'onion'}`).join('\n')}\nsalt to taste`,
      { id: 'big' },
    );
    const stock = recipeFrom('Stock\n2 L water\n200 g carrots (lift out)', { id: 'a', litres: 1.8 });
    const over = (id: string, of: string) => ({
      ...stock,
      id,
      lines: [
        ...stock.lines,
        {
          id: 'sub',
          ingredientId: `recipe:${of}`,
          stageId: stock.stages[0]!.id,
          kg: 0.2,
          scaling: 'straight' as const,
          tempC: 5,
        },
      ],
    });
    const b = over('b', 'a');
    const c = over('c', 'b');
    const whole = {
      ...many,
      lines: [
        ...many.lines,
        {
          id: 'sub',
          ingredientId: 'recipe:c',
          stageId: many.stages[0]!.id,
          kg: 0.2,
          scaling: 'straight' as const,
          tempC: 5,
        },
      ],
    };
    expect(whole.lines.length).toBeGreaterThanOrEqual(60);
    const prepared = prepareRecipe(whole, libraryOf([stock, b, c, whole]));
    const plan = planBatch(orderOf({ ...prepared, band: 0, portions: 60 }));
    expect(plan.lines).toHaveLength(whole.lines.length);
    expect(plan.saltPercent).toBeCloseTo(0.9, 2);
  });
});
