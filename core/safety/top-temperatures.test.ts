import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { topRuleOf } from './';

const rule = (id: string, boundGPerL = 0) => topRuleOf(INGREDIENT_BY_ID[id]!, boundGPerL)?.tempC ?? null;

describe('what may not boil (common practice)', () => {
  it.each([
    ['egg-yolk', 82],
    ['egg', 82],
    ['hard-cheese', 82],
    ['aged-cheese', 82],
    ['yoghurt', 82],
    ['buttermilk', 82],
    ['milk', 88],
    ['skimmed-milk', 88],
    ['single-cream', 88],
    ['miso', 90],
  ])('%s is kept under %d °C', (id, tempC) => expect(rule(id)).toBe(tempC));
  it.each([
    'cream',
    'creme-fraiche',
    'lemon-juice',
    'butter',
    'oat-drink',
    'brined-cheese',
    'cheese-rind',
    'potato',
  ])('%s has no top of its own: heavy cream boils safely, lemon is late for its colour', (id) =>
    expect(rule(id)).toBeNull());
  it('milk bound with flour, as in a chowder, is protected; yoghurt and egg are not', () => {
    expect([rule('milk', 40), rule('yoghurt', 40), rule('egg-yolk', 40)]).toEqual([null, 82, 82]);
  });
});
