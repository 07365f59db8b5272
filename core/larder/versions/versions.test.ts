import { expect, it } from 'vitest';
import { UnknownVersion } from '../../log';
import { LARDER_EVENT_VERSIONS, upcastLarderEvent, upcastReceivedFood } from './upcast-larder-event';

const crate = {
  lotId: 'L',
  ingredientId: 'leek',
  kg: 14,
  supplier: 'Growers',
  place: 'floor',
  storage: 'chilled',
};

it('a delivery of version 1 says the same, and the rows it stood for it satisfies', () => {
  expect(upcastLarderEvent({ type: 'delivered', v: 1, payload: crate })).toEqual({
    type: 'delivered',
    payload: crate,
  });
  const written = {
    contents: { name: 'Leek', standsFor: ['leek'], perKg: {} },
    centsPerKg: 210,
    life: { rule: 'none' },
  };
  expect(upcastReceivedFood(1, written)).toEqual({
    contents: { name: 'Leek', satisfies: ['leek'], perKg: {} },
    centsPerKg: 210,
    life: { rule: 'none' },
  });
  expect(written.contents).toHaveProperty('standsFor');
});
it('every type of today is read as it is, a newer or unknown one is said', () => {
  for (const [type, v] of LARDER_EVENT_VERSIONS)
    expect(upcastLarderEvent({ type, v, payload: crate })).toEqual({ type, payload: crate });
  for (const [type, v] of [
    ['delivered', 3],
    ['eaten', 1],
    ['toString', 1],
  ] as const)
    expect(() => upcastLarderEvent({ type, v, payload: {} })).toThrow(UnknownVersion);
});
