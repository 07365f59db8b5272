import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readingTable, readLine } from '../reader';
import { INGREDIENT_BY_ID, INGREDIENTS, ownIngredient, totalKg } from './';

describe('a food of the kitchen’s own', () => {
  it('what the label says stands, the rest makes up the kilogram in its own proportion', () => {
    const like = INGREDIENT_BY_ID.bacon!;
    const own = ownIngredient(
      { id: 'own', name: 'Our bacon', like: 'bacon', saltPercent: 4, fatPercent: 30 },
      like,
    );
    expect([own.perKg.salt, own.perKg.fat]).toEqual([0.04, 0.3]);
    expect(own.perKg.protein / own.perKg.water).toBeCloseTo(like.perKg.protein / like.perKg.water, 12);
    expect(own.source).toMatch(/its own label: salt 4 %, fat 30 %/);
    expect(own.guessedFrom).toBe('bacon');
  });
  it('without a label it is a guess and says so; its yield and piece are its own', () => {
    const own = ownIngredient(
      { id: 'oca', name: 'Oca', like: 'potato', yieldPercent: 92, pieceG: 30 },
      INGREDIENT_BY_ID.potato!,
    );
    expect([own.yield, own.pieceG, own.label, own.source]).toEqual([
      0.92,
      30,
      undefined,
      'a guess, from Potato',
    ]);
    expect(own.aliases).toEqual(['oca']);
  });
  it('a label over a food of the table leaves it every name it is written by', () => {
    const own = ownIngredient(
      { id: 'butter', name: 'Butter, unsalted', like: 'butter', fatPercent: 84 },
      INGREDIENT_BY_ID.butter!,
    );
    const table = readingTable({ ...INGREDIENT_BY_ID, butter: own });
    for (const text of ['240 g butter', '100 g unsalted butter', '1 knob of butter']) {
      expect(readLine(text, table).ingredientId, text).toBe('butter');
    }
    const sauce = INGREDIENT_BY_ID['table-sauce']!;
    expect(
      ownIngredient({ id: sauce.id, name: sauce.name, like: sauce.id, saltPercent: 3 }, sauce).hides,
    ).toBe(sauce.hides);
  });
  it('a kilogram stays a kilogram whatever the label says (seed 5)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...INGREDIENTS),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (like, saltPercent, fatPercent) => {
          const own = ownIngredient({ id: 'x', name: 'X', like: like.id, saltPercent, fatPercent }, like);
          expect(totalKg(own.perKg)).toBeCloseTo(1, 9);
          for (const share of Object.values(own.perKg)) expect(share).toBeGreaterThanOrEqual(0);
        },
      ),
      { seed: 5, numRuns: 300 },
    );
  });
  it('more than all of it is refused', () => {
    expect(() =>
      ownIngredient(
        { id: 'x', name: 'X', like: 'salt', saltPercent: 70, fatPercent: 40 },
        INGREDIENT_BY_ID.salt!,
      ),
    ).toThrow(/at most 100 together/);
    expect(() =>
      ownIngredient({ id: 'x', name: 'X', like: 'salt', saltPercent: -1 }, INGREDIENT_BY_ID.salt!),
    ).toThrow(/saltPercent.*-1/);
  });
});
