import { describe, expect, it } from 'vitest';
import { filledPot } from '../../demo/filled-pot';
import { INGREDIENT_BY_ID, massKg, specificHeatKJ, whole } from '../matter';
import { TOP_RULES, topRuleOf } from '../safety';
import { handfuls } from './';

const { at } = filledPot('trout-chowder');
const pot = { ...at(30).pot, tempC: 85 };
const cheese = INGREDIENT_BY_ID['hard-cheese']!;

describe('by the handful', () => {
  it('1.2 kg of cheese from the cold in handfuls of 80 g: fifteen, each a little, and together what the heat balance says', () => {
    const { afterC, eachKg } = handfuls(pot, { ingredient: cheese, kg: 1.2, handfulKg: 0.08, tempC: 5 });
    expect(afterC).toHaveLength(15);
    expect(eachKg).toBe(0.08);
    // by hand: heat of pot and cheese together, shared out
    const potKJ = massKg(pot.mixture) * specificHeatKJ(whole(pot.mixture));
    const cheeseKJ = 1.2 * specificHeatKJ(cheese.perKg);
    expect(afterC.at(-1)).toBeCloseTo((potKJ * 85 + cheeseKJ * 5) / (potKJ + cheeseKJ), 0);
    expect(85 - afterC[0]!).toBeLessThan(0.6);
    expect(afterC).toEqual([...afterC].sort((a, b) => b - a));
  });
  it('the last one is what is over; nothing negative, not by the thousand', () => {
    const three = handfuls(pot, { ingredient: cheese, kg: 0.2, handfulKg: 0.08, tempC: 5 }).afterC;
    expect(three).toHaveLength(3);
    const [atOnce] = handfuls(pot, { ingredient: cheese, kg: 0.2, handfulKg: 1, tempC: 5 }).afterC;
    expect(three.at(-1)).toBeCloseTo(atOnce!, 3);
    expect(() => handfuls(pot, { ingredient: cheese, kg: 0, handfulKg: 1, tempC: 5 })).toThrow(/kg.*0/);
    expect(() => handfuls(pot, { ingredient: cheese, kg: 50, handfulKg: 0.01, tempC: 5 })).toThrow(
      /handfulKg/,
    );
  });
  it('every miso and every yolk keeps the pot under its top; so does every cheese that melts', () => {
    for (const row of Object.values(INGREDIENT_BY_ID)) {
      if (/miso/i.test(row.name)) expect(topRuleOf(row, 0), row.id).toBe(TOP_RULES.miso);
      if (row.kind === 'egg') expect(topRuleOf(row, 0), row.id).toBe(TOP_RULES.yolk);
    }
    expect(topRuleOf(cheese, 100)).toBe(TOP_RULES.cheese);
  });
});
