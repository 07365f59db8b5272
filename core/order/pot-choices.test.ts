import { describe, expect, it } from 'vitest';
import { TROUT_CHOWDER } from '../../demo/dishes/trout-chowder';
import { MIDDAY_ORDER } from '../../demo/filled-pot';
import { POTS } from '../../demo/kitchen';
import { kitchenView } from '../../demo/kitchen-view';
import { potChoices } from './pot-choices';

const kitchen = kitchenView();
const request = MIDDAY_ORDER;
const choose = (change: Partial<typeof MIDDAY_ORDER> = {}) =>
  potChoices({ request: { ...request, ...change }, kitchen, recipe: TROUT_CHOWDER, lots: [] });
const of = (choices: ReturnType<typeof choose>, potId: string) => choices.find((one) => one.potId === potId)!;

describe('the same order in every pot', () => {
  it('keeps the burner where the pot goes on it, and finds one where it does not', () => {
    const choices = choose();
    expect(choices.map((one) => one.potId)).toEqual(POTS.map((pot) => pot.id));
    expect(of(choices, 'stockpot-40').burnerId).toBe('gas-2');
    expect(of(choices, 'kettle-60').burnerId).toBe('jacket');
  });
  it('60 bowls fit three pots, the small one not', () => {
    const choices = choose();
    expect(choices.filter((one) => one.fit !== 'batches').map((one) => one.potId)).toEqual([
      'rondeau-24',
      'stockpot-40',
      'kettle-60',
    ]);
    expect(of(choices, 'saucepan-4').fit).toBe('batches');
    expect(of(choices, 'rondeau-24').fullestLitres).toBeLessThan(of(choices, 'rondeau-24').workingFillLitres);
  });
  it('a few bowls in a wide kettle are shallow, many just fit', () => {
    expect(of(choose({ portions: 30 }), 'kettle-60').fit).toBe('shallow');
    expect(of(choose({ portions: 66 }), 'rondeau-24').fit).toBe('tight');
    expect(of(choose({ portions: 80 }), 'rondeau-24').fit).toBe('batches');
  });
  it('the stronger burner is lit later', () => {
    const choices = choose();
    expect(of(choices, 'kettle-60').startAtMs).toBeGreaterThan(of(choices, 'stockpot-40').startAtMs);
  });
});
