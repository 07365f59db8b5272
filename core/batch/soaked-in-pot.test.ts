import { describe, expect, it } from 'vitest';
import { prepareRecipe } from '../book';
import { massKg, soakedUp } from '../matter';
import { PAGES_ON_PAPER } from '../reader/data/pages-on-paper';
import { libraryOf, recipeFrom } from '../testing/book';
import { logOf, orderOf, snapshotOf } from '../testing/broth';
import { type AddedItem, foldBatch } from './';

/** A page of dry beans that stand over night, and the same with its beans put in dry. */
const PAGE = PAGES_ON_PAPER.find((page) => page.name === 'Minestrone')!.text;
const soaked = recipeFrom(PAGE);
const dry = { ...soaked, lines: soaked.lines.map((line) => ({ ...line, soakH: 0 })) };
const of = (recipe: typeof soaked) => snapshotOf(orderOf({ ...prepareRecipe(recipe, libraryOf([recipe])) }));
const [wet, plain] = [of(soaked), of(dry)];
const beansOf = ({ plan }: typeof wet) => plan.lines.find((line) => line.ingredientId === 'white-bean')!;
const takenKg = () => beansOf(wet).edibleKg * soakedUp(wet.input.ingredients['white-bean']!, 12);

describe('beans soaked over night', () => {
  it('are bought and counted dry, and weighed soaked', () => {
    const beans = beansOf(wet);
    expect(beans.isSoaked).toBe(true);
    expect(beans.inPotKg! / beans.edibleKg).toBeGreaterThan(1.8);
    expect(beans.purchasedKg).toBeCloseTo(beans.edibleKg, 9);
    expect(beansOf(plain).inPotKg).toBeUndefined();
  });
  it('bring water for as many bowls: the same order takes less of everything else', () => {
    const water = ({ plan }: typeof wet) =>
      plan.lines.filter((line) => line.liquid).reduce((sum, line) => sum + line.edibleKg, 0);
    expect(wet.plan.yieldLitres).toBeCloseTo(plain.plan.yieldLitres, 1);
    expect(water(plain) - water(wet)).toBeGreaterThan(0.5 * takenKg());
  });
  it('raise the pot by what they weigh soaked; left out again, by as much less', () => {
    const line = beansOf(wet);
    const item: AddedItem = { ingredientId: 'white-bean', lineId: line.lineId, kg: line.edibleKg, tempC: 15 };
    const at = (...bodies: Parameters<typeof logOf>[0][number][1][]) =>
      massKg(
        foldBatch(wet, logOf(bodies.map((body, i) => [i, body])), Date.UTC(2026, 2, 10, 10, 5)).pot.mixture,
      );
    const liquid = wet.plan.lines.find((one) => one.liquid && one.edibleKg > 5)!;
    const water: AddedItem = { ingredientId: liquid.ingredientId, kg: 10, tempC: 15 };
    const added = at(
      { type: 'added', payload: { items: [water] } },
      { type: 'added', payload: { items: [item] } },
    );
    expect(added).toBeCloseTo(10 + line.inPotKg!, 2);
    const forgotten = at(
      { type: 'added', payload: { items: [water] } },
      { type: 'added', payload: { items: [item] } },
      { type: 'slip', payload: { kind: 'forgot', lineId: line.lineId } },
    );
    expect(forgotten).toBeCloseTo(10, 2);
  });
});
