import { describe, expect, it } from 'vitest';
import { advancePot, foodLitres, openPot, putFoodIn } from '../pot';
import { STOCKPOT } from '../testing/stockpot';
import { INGREDIENT_BY_ID, massKg, rowOfLine, soakedRow, soakedUp, soakHours, totalKg } from './';

const row = (id: string) => INGREDIENT_BY_ID[id]!;
const DRY = ['white-bean', 'chickpea', 'kidney-bean', 'black-bean'].map(row);

describe('a soaked pulse', () => {
  it('over night takes up about its own weight: 1.8 to 2.1 times as heavy', () => {
    // common practice; dry beans soaked over night double in weight
    for (const bean of DRY) {
      const heavier = 1 + soakedUp(bean, 12);
      expect(heavier, bean.id).toBeGreaterThan(1.8);
      expect(heavier, bean.id).toBeLessThan(2.1);
    }
  });
  it('takes up more the longer it stands, ever more slowly, and never more than it drinks in all', () => {
    for (const bean of DRY) {
      const [one, four, ten, hundred] = [1, 4, 10, 100].map((hours) => soakedUp(bean, hours));
      expect(one).toBeGreaterThan(0);
      expect(four!).toBeGreaterThan(one!);
      expect(ten! - four!).toBeLessThan(2 * (four! - one!));
      expect(hundred!).toBeLessThan(bean.drinks!);
    }
    expect(soakedUp(row('carrot'), 12)).toBe(0);
  });
  it('brings that water along, drinks so much less from the pot, and is bought, priced and salted as dry', () => {
    const bean = row('white-bean');
    const soaked = soakedRow(bean, 10);
    expect(totalKg(soaked.perKg)).toBeCloseTo(1 + soakedUp(bean, 10), 12);
    expect(soaked.drinks! + soakedUp(bean, 10)).toBeCloseTo(bean.drinks!, 12);
    expect(soaked.perKg.salt).toBe(bean.perKg.salt);
    expect(soaked.yield).toBe(bean.yield);
    expect(soakedRow(bean, 0)).toBe(bean);
  });
  it('is soaked as its line says, or as its kind always is; mushrooms and kelp lie in what they cook in', () => {
    expect(soakHours({}, row('chickpea'))).toBe(row('chickpea').soakH);
    expect(soakHours({ soakH: 0 }, row('chickpea'))).toBe(0);
    expect(soakHours({ soakH: 12 }, row('split-pea'))).toBe(12);
    expect(soakHours({}, row('dried-mushroom'))).toBe(0);
    expect(rowOfLine({ ingredientId: 'carrot' }, INGREDIENT_BY_ID)).toBe(row('carrot'));
  });
  it('comes to the same cooked, dry or soaked; dry ones leave a litre less for each kilogram to serve', () => {
    const bean = row('white-bean');
    const cooked = (hours: number) => {
      const open = openPot({ atMs: 0, tempC: 96, heatFactor: { mean: 1, sd: 0.1 } });
      const water = putFoodIn(open, { ingredient: row('water'), kg: 12, tempC: 96 });
      const full = putFoodIn(water, { ingredient: soakedRow(bean, hours), kg: 2, tempC: 90 });
      return advancePot(STOCKPOT, { ...full, lid: 'on' }, 7_200_000);
    };
    const [dry, soaked] = [cooked(0), cooked(10)];
    expect(massKg(soaked.mixture) - massKg(dry.mixture)).toBeCloseTo(2 * soakedUp(bean, 10), 1);
    expect(foodLitres(soaked) - foodLitres(dry)).toBeGreaterThan(1.6);
    expect(totalKg(soaked.mixture.pieces) / totalKg(dry.mixture.pieces)).toBeGreaterThan(0.97);
    expect(totalKg(soaked.mixture.pieces) / totalKg(dry.mixture.pieces)).toBeLessThan(1.03);
  });
});
