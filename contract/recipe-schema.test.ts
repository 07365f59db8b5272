import { describe, expect, it } from 'vitest';
import type { Recipe } from '../core/recipe';
import { LEEK_SOUP, recipeFrom } from '../core/testing/book';
import {
  check,
  fileSchema,
  ownFoodSchema,
  planRequestSchema,
  priceChangeSchema,
  recipeSchema,
  substitutionSchema,
} from './index';

const leek = recipeFrom(LEEK_SOUP);
const wrong = (change: object) => {
  const result = check(recipeSchema, { ...leek, ...change });
  return result.ok ? null : result.errors[0]!;
};

describe('a recipe as it crosses the wire', () => {
  it('comes through as it went, whole', () => {
    const result = check(recipeSchema, JSON.parse(JSON.stringify(leek)));
    expect(result).toEqual({ ok: true, value: JSON.parse(JSON.stringify(leek)) });
  });
  const cases: [string, Partial<Record<keyof Recipe, unknown>>, string, RegExp][] = [
    ['no litres', { litres: 0 }, 'litres', /from 0.05 to 500 L/],
    ['a strange field', { stars: 5 } as never, 'stars', /not known here/],
    ['a strange id', { id: 'a b' }, 'id', /letters, figures, dots and dashes/],
    ['a claim that is none', { claims: ['tasty'] }, 'claims.0', /not known/],
    ['two stages of one id', { stages: [leek.stages[0], ...leek.stages] }, 'stages.0', /same id/],
    [
      'served in the middle',
      { stages: [leek.stages.at(-1), ...leek.stages.slice(0, -1)] },
      'stages.0',
      /Only the last stage/,
    ],
    [
      'a stage without an end',
      { stages: [{ ...leek.stages[0], ends: { rule: 'whim' } }, ...leek.stages.slice(1)] },
      'stages.0.ends.rule',
      /./,
    ],
    [
      'a lid askew',
      { stages: [{ ...leek.stages[0], lid: 'half' }, ...leek.stages.slice(1)] },
      'stages.0.lid',
      /off, ajar or on/,
    ],
    [
      'a line of endless kilograms',
      { lines: [{ ...leek.lines[0], kg: Number.POSITIVE_INFINITY }] },
      'lines.0.kg',
      /finite/,
    ],
    [
      'a line at no stage',
      { lines: [{ ...leek.lines[0], stageId: 'moon' }], written: undefined },
      'lines.0',
      /not there/,
    ],
    [
      'a brine past the sea',
      { lines: [{ ...leek.lines[0], cure: { brinePercent: 60, hours: 1, liquidPerKg: 1, thicknessCm: 2 } }] },
      'lines.0.cure.brinePercent',
      /from 0 to 26 %/,
    ],
    [
      'too many lines',
      { written: Array.from({ length: 121 }, (_, i) => ({ ...leek.written![0], id: `w${i}` })) },
      'written',
      /At most 120/,
    ],
    [
      'a line longer than paper',
      { written: [{ ...leek.written![0], text: 'x'.repeat(201) }] },
      'written.0.text',
      /at most 200/,
    ],
  ];
  it.each(cases)('%s is refused by field and sentence', (_name, change, field, sentence) => {
    const found = wrong(change)!;
    expect(found.field).toBe(field);
    expect(found.sentence).toMatch(sentence);
  });
});

describe('the rest of the book’s doors', () => {
  it.each([
    [
      substitutionSchema,
      { kind: 'swap', lineId: 'a', byIngredientId: 'b', share: 1.5, keep: 'weight' },
      'share',
    ],
    [substitutionSchema, { kind: 'swap', lineId: 'a', byIngredientId: 'b', share: 1, keep: 'hope' }, 'keep'],
    [substitutionSchema, { kind: 'bouillon', lineId: 'a', share: 1, gPerL: 900 }, 'gPerL'],
    [priceChangeSchema, { prices: [] }, 'prices'],
    [priceChangeSchema, { prices: [{ ingredientId: 'onion', centsPerKg: -1 }] }, 'prices.0.centsPerKg'],
    [ownFoodSchema, { id: 'x', name: 'X', like: 'onion', yieldPercent: 0 }, 'yieldPercent'],
    [fileSchema, { name: 'a.txt', text: '' }, 'text'],
    [
      planRequestSchema,
      {
        recipeId: 'a',
        portions: 1,
        portionMl: 250,
        saltPercent: 1,
        band: 1,
        serviceAtMs: 1,
        potId: 'p',
        burnerId: 'b',
        holdBackShare: 0.9,
      },
      'holdBackShare',
    ],
  ] as const)('%# says which field', (schema, body, field) => {
    const result = check(schema as never, body);
    expect(result.ok ? null : result.errors[0]!.field).toBe(field);
  });
});
