import { describe, expect, it } from 'vitest';
import type { PlannedLine } from '../../../core/plan';
import { itemsOf, redrawn } from './amounts-sheet';

const line = (change: Partial<PlannedLine> = {}): PlannedLine =>
  ({ lineId: 'stock', ingredientId: 'chicken-stock', tempC: 5, edibleKg: 6, ...change }) as PlannedLine;
const draws = [
  { lineId: 'stock', lotId: 'old', kg: 2 },
  { lineId: 'stock', lotId: 'new', kg: 4 },
];
const kgs = (items: ReturnType<typeof itemsOf>) => items.map((item) => [item.lotId ?? 'none', item.kg]);

describe('planned lines as what goes in', () => {
  it('lot by lot as planned', () => {
    expect(kgs(itemsOf([line()], draws))).toEqual([
      ['old', 2],
      ['new', 4],
    ]);
  });
  it('less than planned empties the old one first; more comes from the last', () => {
    expect(kgs(itemsOf([line()], draws, { stock: 3 }))).toEqual([
      ['old', 2],
      ['new', 1],
    ]);
    expect(kgs(itemsOf([line()], draws, { stock: 7 }))).toEqual([
      ['old', 2],
      ['new', 5],
    ]);
  });
  it('what no lot had goes in without one; what was left out does not go in', () => {
    expect(kgs(itemsOf([line()], draws.slice(0, 1)))).toEqual([
      ['old', 2],
      ['none', 4],
    ]);
    expect(itemsOf([line()], draws, { stock: 0 })).toEqual([]);
    expect(kgs(itemsOf([line({ lineId: 'salt' })], draws))).toEqual([['none', 6]]);
  });
  it('from another lot than planned, or from none', () => {
    expect(redrawn(draws, { stock: 'third' }, { stock: 5 })).toEqual([
      { lineId: 'stock', lotId: 'third', kg: 5 },
    ]);
    expect(redrawn(draws, { stock: 'no lot' }, { stock: 5 })).toEqual([]);
    expect(redrawn(draws, { stock: 'as planned' }, { stock: 5 })).toEqual(draws);
  });
});
