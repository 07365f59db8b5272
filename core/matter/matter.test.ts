import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allergensOf } from '../recipe';
import {
  ALLERGENS,
  COMPONENTS,
  EMPTY,
  INGREDIENT_BY_ID,
  INGREDIENT_KINDS,
  INGREDIENTS,
  type Mixture,
  massesOf,
  massKg,
  NO_MASSES,
  operations as op,
  STORES,
  specificHeatKJ,
  totalKg,
  volumeLitres,
  waterDensityKgPerL,
} from './';

describe('the ingredient table', () => {
  it('holds at least a hundred and fifty foods of this trade, each whole and with its source', () => {
    expect(INGREDIENTS.length).toBeGreaterThanOrEqual(150);
    expect(new Set(INGREDIENTS.map((row) => row.id)).size).toBe(INGREDIENTS.length);
    for (const row of INGREDIENTS) {
      expect(totalKg(row.perKg), row.id).toBeCloseTo(1, 9);
      for (const component of COMPONENTS) expect(row.perKg[component], row.id).toBeGreaterThanOrEqual(0);
      expect(row.source, row.id).toMatch(/^(published|common practice|from memory|definition)/);
      expect(row.yield).toBeGreaterThan(0);
      expect(row.yield).toBeLessThanOrEqual(1);
      expect(row.looseKgPerL, row.id).toBeLessThanOrEqual(Math.max(row.densityKgPerL, 1.3));
    }
  });

  // Source: USDA Agriculture Handbook 102, Food Yields (and the Food Buying Guide for the meats), edible per cent as
  // purchased, from memory.
  const yields: Record<string, number> = {
    onion: 88,
    leek: 52,
    carrot: 82,
    celery: 75,
    celeriac: 75,
    potato: 81,
    'sweet-potato': 80,
    parsnip: 85,
    swede: 85,
    turnip: 80,
    garlic: 88,
    'red-pepper': 82,
    cabbage: 79,
    kale: 67,
    spinach: 80,
    mushroom: 97,
    broccoli: 61,
    pumpkin: 70,
    tomato: 91,
    asparagus: 53,
    'green-bean': 88,
    aubergine: 81,
    courgette: 95,
    'brussels-sprout': 76,
    cauliflower: 62,
    squash: 81,
    apple: 76,
    cucumber: 95,
    'chicken-whole': 48,
    'prawn-shell-on': 55,
    'pork-shoulder': 85,
    beef: 90,
    egg: 88,
  };
  it.each(
    Object.entries(yields),
  )('%s trims to about %d %% (USDA handbook 102, from memory)', (id, percent) => {
    expect(Math.abs(INGREDIENT_BY_ID[id]!.yield * 100 - percent)).toBeLessThanOrEqual(6);
  });

  it('every family of the trade is there, kept somewhere, and a guess says whose it is', () => {
    const kinds = new Set(INGREDIENTS.map((row) => row.kind));
    expect(kinds).toEqual(new Set(INGREDIENT_KINDS));
    for (const row of INGREDIENTS) {
      expect(STORES).toContain(row.store);
      if (row.kind === 'meat' || row.kind === 'poultry') expect(row.diet, row.id).toBe('meat');
      if (row.kind === 'fish' || row.kind === 'shellfish') expect(row.diet, row.id).toBe('fish');
      if (row.kind === 'nut' && row.id !== 'pumpkin-seed')
        expect(row.allergens.length, row.id).toBeGreaterThan(0);
    }
  });

  it('names allergens with what brings them, fourteen places in the European list, nine in the American', () => {
    const all = Object.values(ALLERGENS);
    expect(new Set(all.map((one) => one.eu)).size).toBe(14);
    expect(all.filter((one) => one.us)).toHaveLength(9);
    const found = allergensOf(['butter', 'milk', 'flour', 'soy-sauce'].map((id) => INGREDIENT_BY_ID[id]!));
    expect(found.map((one) => one.name)).toEqual(['wheat', 'soya', 'milk']);
    expect(found[0]!.from).toEqual(['Plain flour', 'Soy sauce']);
  });
});

describe('volume and heat', () => {
  it('water is 3.7 % lighter at 96 °C than at 20 (Kell 1975)', () => {
    expect(waterDensityKgPerL({ tempC: 20 })).toBeCloseTo(0.9982, 4);
    expect(waterDensityKgPerL({ tempC: 4 })).toBeCloseTo(1, 4);
    expect(1 - waterDensityKgPerL({ tempC: 96 }) / waterDensityKgPerL({ tempC: 20 })).toBeCloseTo(0.037, 3);
  });
  it('a brine of 10 % salt is about 1.07 kg/L (handbook, from memory)', () => {
    const brine = { ...NO_MASSES, water: 0.9, salt: 0.1 };
    expect(1 / volumeLitres(brine, 20)).toBeCloseTo(1.07, 1);
  });
  it('milk, cream and stock come out near their handbook densities and heats', () => {
    const milk = INGREDIENT_BY_ID.milk!.perKg;
    expect(1 / volumeLitres(milk, 20)).toBeCloseTo(1.03, 1);
    expect(specificHeatKJ(milk)).toBeGreaterThan(3.8);
    expect(specificHeatKJ(milk)).toBeLessThan(4.0);
    expect(specificHeatKJ({ ...NO_MASSES, water: 3 })).toBeCloseTo(4.185, 2);
    expect(() => specificHeatKJ(NO_MASSES)).toThrow(RangeError);
  });
});

describe('what a cook does to a mixture conserves mass', () => {
  const soup = (): Mixture => {
    const withStock = op.add(EMPTY, massesOf(INGREDIENT_BY_ID['fish-fumet']!, 8), 'liquid');
    return op.add(withStock, massesOf(INGREDIENT_BY_ID.potato!, 2.5), 'pieces', 30);
  };
  const kinds = [
    'add',
    'evaporate',
    'draw',
    'strain',
    'puree',
    'absorb',
    'render',
    'skim',
    'takeOut',
    'salt',
  ] as const;

  it('through any sequence of operations, and nothing goes negative (seed 1240)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...kinds), fc.double({ min: 0, max: 1, noNaN: true })), {
          minLength: 1,
          maxLength: 40,
        }),
        (steps) => {
          let mixture = soup();
          let out = 0;
          let put = massKg(mixture);
          for (const [kind, part] of steps) {
            if (kind === 'add') {
              const what = massesOf(INGREDIENT_BY_ID.bacon!, part);
              mixture = op.add(mixture, what, 'pieces');
              put += totalKg(what);
            } else if (kind === 'evaporate') {
              const kg = (mixture.liquid.water + mixture.pieces.water) * part;
              mixture = op.evaporate(mixture, kg);
              out += kg;
            } else if (kind === 'draw') {
              const { left, drawn } = op.drawOff(mixture, part * 0.5);
              mixture = left;
              out += massKg(drawn);
            } else if (kind === 'strain') {
              const result = op.strain(mixture, totalKg(mixture.liquid) * part * 0.2);
              mixture = result.left;
              out += massKg(result.out);
            } else if (kind === 'puree') mixture = op.puree(mixture, part, 40 * part);
            else if (kind === 'absorb') mixture = op.absorb(mixture, mixture.liquid.water * part);
            else if (kind === 'render') mixture = op.render(mixture, mixture.pieces.fat * part);
            else if (kind === 'skim') {
              const result = op.skimFat(mixture, mixture.liquid.fat * part);
              mixture = result.left;
              out += totalKg(result.skimmed);
            } else if (kind === 'takeOut') {
              const half = op.drawOff({ ...mixture, liquid: NO_MASSES }, part).drawn.pieces;
              mixture = op.takeOut(mixture, half);
              out += totalKg(half);
            } else mixture = op.exchangeSalt(mixture, part);
          }
          expect(Math.abs(massKg(mixture) + out - put)).toBeLessThan(1e-9 * put);
          for (const component of COMPONENTS) {
            expect(mixture.liquid[component]).toBeGreaterThanOrEqual(-1e-12);
            expect(mixture.pieces[component]).toBeGreaterThanOrEqual(-1e-12);
          }
        },
      ),
      { seed: 1240, numRuns: 300 },
    );
  });

  it('salt wanders until the water of both is equally salt', () => {
    const salted = op.add(soup(), { ...NO_MASSES, salt: 0.1 }, 'liquid');
    const even = op.exchangeSalt(salted, 1);
    expect(even.liquid.salt / even.liquid.water).toBeCloseTo(even.pieces.salt / even.pieces.water, 12);
    expect(op.saltPercent(even, 'all')).toBeCloseTo(op.saltPercent(salted, 'all'), 12);
    expect(op.saltPercent(even, 'liquid')).toBeLessThan(op.saltPercent(salted, 'liquid'));
  });

  it('salt climbs as water leaves, thickening stays with the liquid it is in', () => {
    const before = op.add(soup(), { ...NO_MASSES, salt: 0.05 }, 'liquid', 200);
    const after = op.evaporate(before, 4);
    expect(after.liquid.salt).toBe(before.liquid.salt);
    expect(op.saltPercent(after, 'all')).toBeGreaterThan(op.saltPercent(before, 'all'));
    expect(op.drawOff(after, 0.25).left.flourEquivalentG).toBeCloseTo(0.75 * 230, 9);
  });

  it('refuses to take more than there is', () => {
    expect(() => op.evaporate(soup(), 50)).toThrow(/waterKg.*50/);
    expect(() => op.drawOff(soup(), 1.1)).toThrow(/share/);
    expect(() => op.absorb(soup(), 9)).toThrow(RangeError);
    expect(() => op.takeOut(soup(), { ...NO_MASSES, fat: 1 })).toThrow(/pieces\.fat/);
    expect(() => op.add(soup(), { ...NO_MASSES, salt: -1 }, 'liquid')).toThrow(/masses\.salt.*-1/);
  });
});
