import { expect, test } from 'vitest';
import type { BatchView, OrderView } from '../../../contract';
import { bowlsKept, bowlsOnTheRange, bowlsOver } from './bowls-at-service';

const NOON = 12 * 3_600_000;
const order = (id: string, recipeId: string, serviceAtMs: number, portions: number) =>
  ({ id, request: { recipeId, serviceAtMs, portions } }) as OrderView;
const batch = (serviceAtMs: number, portions: number, base?: object, more: object = {}) =>
  ({
    snapshot: { plan: { serviceAtMs, portions, base }, input: { portions, portionMl: 250 }, ...more },
  }) as unknown as BatchView;

test('what is on the range and what is kept count once each; bases, other services and the open order do not', () => {
  const open = [batch(NOON, 30), batch(NOON + 1, 500), batch(NOON, 40, { strength: 1 })];
  const orders = [
    order('a', 'pea-soup', NOON, 20.4),
    order('b', 'veal-stock', NOON, 60),
    order('c', 'pea-soup', NOON, 25),
    order('d', 'pea-soup', NOON + 86_400_000, 700),
  ];
  const others = [...bowlsOnTheRange(open), ...bowlsKept(orders, (id) => id === 'veal-stock', 'c')];
  expect(bowlsOver(100, { serviceAtMs: NOON, portions: 60 }, others)).toEqual({ bowls: 110, covers: 100 });
  expect(bowlsOver(110, { serviceAtMs: NOON, portions: 60 }, others)).toBeNull();
  expect(bowlsOver(60, { serviceAtMs: NOON, portions: 60 }, [])).toBeNull();
});

test('guests are counted, whatever they eat from; the cooks, a later hour and a part of another pot are not', () => {
  const kinds = [
    { id: 'bowl', word: 'bowl', ml: 250, count: 20 },
    { id: 'a', word: 'cup', ml: 125, count: 10 },
    { id: 'b', word: 'staff', ml: 250, count: 3 },
    { id: 'c', word: 'bowl', ml: 250, count: 40, laterMs: NOON + 1 },
  ];
  const many = batch(NOON, 68, undefined, { input: { portions: 68, portionMl: 250, kinds } });
  const part = batch(NOON, 3, undefined, { origin: { batchId: 'many' } });
  expect(bowlsOnTheRange([many, part])).toEqual([{ serviceAtMs: NOON, bowls: 30 }]);
});
