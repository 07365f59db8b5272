import { expect, it } from 'vitest';
import { countedOrWeighed } from './foods';

it.each([
  [0.0045, 0.5, '9 pcs'],
  [0.0005, 0.5, '1 pc'],
  [2, 400, '2.00 kg'],
  [0.4, undefined, '400 g'],
])('%d kg that comes out again, %s g each, is %s', (kg, eachG, words) =>
  expect(countedOrWeighed(kg, { eachG })).toBe(words));

it('what stays in is weighed', () => expect(countedOrWeighed(0.0045, null)).toBe('4.5 g'));
