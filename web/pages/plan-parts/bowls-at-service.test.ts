import { expect, test } from 'vitest';
import type { BatchView, OrderView } from '../../../contract';
import { bowlsKept, bowlsOnTheRange, bowlsOver } from './bowls-at-service';

const NOON = 12 * 3_600_000;
const order = (id: string, recipeId: string, serviceAtMs: number, portions: number) =>
  ({ id, request: { recipeId, serviceAtMs, portions } }) as OrderView;
const batch = (serviceAtMs: number, portions: number, base?: object) =>
  ({ snapshot: { plan: { serviceAtMs, portions, base } } }) as unknown as BatchView;

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
