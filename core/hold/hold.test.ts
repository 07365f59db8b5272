import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID, massesOf, massKg, saltPercent } from '../matter';
import { setupOf } from '../plan';
import {
  addToPot,
  advancePot,
  changeVessel,
  covarianceOf,
  coverPot,
  drawFromPot,
  driftPot,
  flourPerLitre,
  foundAt,
  keepAt,
  openPot,
  type PotState,
} from '../pot';
import { surfaceM2 } from '../vessel';
import { firstToGoOff, holdDrift, holderOf, panLitres, pansFor } from './';

const KITCHEN = { altitudeM: 0, airTempC: 25, relativeHumidity: 0.5 };
const EQUIPMENT = {
  blenderJarLitres: 0,
  hasStickBlender: false,
  ovenTrays: 0,
  trayAreaM2: 0.17,
  fryingPanCm: 0,
  bainMariePanLitres: 20,
};
const H = 3_600_000;

/** A soup of so many litres: stock, flour, salt by the scale. */
function soup(litres: number, tempC: number): PotState {
  const row = (id: string) => INGREDIENT_BY_ID[id]!;
  const put = (pot: PotState, id: string, kg: number, flourEquivalentG = 0) =>
    addToPot(pot, { masses: massesOf(row(id), kg), share: row(id).share, tempC, flourEquivalentG });
  const empty = openPot({ atMs: 0, tempC, heatFactor: { mean: 1, sd: 0.2 } });
  const stock = put(empty, 'vegetable-stock', litres * 0.95);
  return put(put(stock, 'flour', litres * 0.04, litres * 40), 'salt', litres * 0.006);
}

/** The same, poured into what holds it and kept there. */
function held(
  said: Parameters<typeof holderOf>[0],
  of: { litres: number; tempC: number; keptC: number | null; lid: 'off' | 'ajar' | 'on'; altitudeM?: number },
) {
  const holder = holderOf(said, EQUIPMENT)!;
  const setup = setupOf({
    kitchen: { ...KITCHEN, altitudeM: of.altitudeM ?? 0 },
    pot: holder.pot,
    burner: holder.burner,
  });
  const poured = coverPot(changeVessel(soup(of.litres, of.tempC)), of.lid);
  return { setup, pot: of.keptC === null ? poured : keepAt(poured, of.keptC) };
}

const lossInAnHour = (of: Parameters<typeof held>[1]) => {
  const { setup, pot } = held({ in: 'pans', pans: 1 }, of);
  return massKg(pot.mixture) - massKg(advancePot(setup, pot, H).mixture);
};

describe('a pan held hot', () => {
  it('loses what the surface law says of a whole pan at 70 °C: by its lid, and by the height of the kitchen', () => {
    const at = { litres: 15, tempC: 70, keptC: 70 };
    expect(surfaceM2(holderOf({ in: 'pans', pans: 1 }, EQUIPMENT)!.pot.vessel, 5)).toBeCloseTo(0.172, 3);
    expect(lossInAnHour({ ...at, lid: 'off' })).toBeCloseTo(0.84, 2);
    expect(lossInAnHour({ ...at, lid: 'ajar' })).toBeCloseTo(0.38, 2);
    expect(lossInAnHour({ ...at, lid: 'on' })).toBeCloseTo(0.08, 2);
    expect(lossInAnHour({ ...at, lid: 'off', altitudeM: 1240 })).toBeCloseTo(0.88, 2);
    // two pans, twice the surface
    const two = held({ in: 'pans', pans: 2 }, { ...at, lid: 'off' });
    expect(massKg(two.pot.mixture) - massKg(advancePot(two.setup, two.pot, H).mixture)).toBeCloseTo(1.68, 1);
  });

  it('is kept at its temperature, comes down to it from the boil, and comes up to it from the cold', () => {
    const warm = held({ in: 'pans', pans: 1 }, { litres: 15, tempC: 70, keptC: 70, lid: 'on' });
    expect(advancePot(warm.setup, warm.pot, 4 * H).tempC).toBeCloseTo(70, 6);
    const hot = held({ in: 'pans', pans: 1 }, { litres: 15, tempC: 95, keptC: 70, lid: 'off' });
    const soon = advancePot(hot.setup, hot.pot, H / 12);
    expect(soon.tempC).toBeGreaterThan(72);
    expect(soon.tempC).toBeLessThan(95);
    expect(advancePot(hot.setup, hot.pot, 8 * H).tempC).toBeCloseTo(70, 6);
    const cold = held({ in: 'pans', pans: 1 }, { litres: 15, tempC: 60, keptC: 70, lid: 'on' });
    // 1.2 kW less what leaves into some 60 kJ/K
    const minute = advancePot(cold.setup, cold.pot, 60_000).tempC - 60;
    expect(minute).toBeGreaterThan(0.8);
    expect(minute).toBeLessThan(1.2);
  });

  it('is as warm as a thermometer finds it, and is taken to stay so', () => {
    const { setup, pot } = held({ in: 'pans', pans: 1 }, { litres: 15, tempC: 70, keptC: 70, lid: 'on' });
    const later = advancePot(setup, pot, H);
    const read = foundAt(later, 63);
    expect(advancePot(setup, read, 2 * H).tempC).toBeCloseTo(63, 6);
    // on its way down it is only warmer than thought
    const hot = held({ in: 'pans', pans: 1 }, { litres: 15, tempC: 95, keptC: 70, lid: 'on' });
    expect(foundAt(advancePot(hot.setup, hot.pot, H / 10), 90).keptC).toBe(70);
    // and how far off it is stays as it was: the thermostat forgets nothing
    const temp = (one: PotState) => covarianceOf(one.covariance, { temp: 1 }, { temp: 1 });
    expect(temp(advancePot(setup, read, 2 * H))).toBeGreaterThan(temp(read));
  });

  it('over four hours: water, salt, thickness and litres by hand, and water put back keeps them', () => {
    const { setup, pot } = held({ in: 'pans', pans: 1 }, { litres: 15, tempC: 70, keptC: 70, lid: 'ajar' });
    const drift = holdDrift(setup, pot, 4 * H, 30)!;
    const kg = massKg(pot.mixture);
    // 0.378 kg an hour for four hours, all of it water
    expect(drift.steamedKg).toBeCloseTo(4 * 0.378, 1);
    expect(drift.saltPercent.after / drift.saltPercent.now).toBeCloseTo(kg / (kg - drift.steamedKg), 6);
    expect(drift.litres.now - drift.litres.after).toBeCloseTo(drift.steamedKg / 0.978, 1);
    expect(drift.band.after).toBeGreaterThan(drift.band.now);
    // the same as the pot itself comes to, minute by minute
    const run = advancePot(setup, pot, 4 * H);
    expect(drift.steamedKg).toBeCloseTo(kg - massKg(run.mixture), 2);
    expect(drift.tempC.after).toBeCloseTo(run.tempC, 1);
    expect(drift.topUp!.litres).toBeCloseTo(0.19, 1);
    // as it was topped up, half hour by half hour
    let kept = pot;
    const water = INGREDIENT_BY_ID.water!;
    for (let half = 1; half <= 8; half++) {
      kept = advancePot(setup, kept, (half * H) / 2);
      const { litres } = drift.topUp!;
      kept = addToPot(kept, { masses: massesOf(water, litres * 0.962), share: 'liquid', tempC: 95 });
    }
    expect(massKg(kept.mixture)).toBeCloseTo(kg, 2);
    expect(saltPercent(kept.mixture, 'all')).toBeCloseTo(drift.saltPercent.now, 3);
    expect(flourPerLitre(kept)).toBeCloseTo(flourPerLitre(pot), 1);
  });
});

describe('a thermos', () => {
  it('loses some two kelvin an hour of twenty litres, and hardly any water', () => {
    const { setup, pot } = held(
      { in: 'thermos', litres: 20 },
      { litres: 20, tempC: 85, keptC: null, lid: 'on' },
    );
    const later = advancePot(setup, pot, 2 * H);
    expect((85 - later.tempC) / 2).toBeGreaterThan(1);
    expect((85 - later.tempC) / 2).toBeLessThan(2.5);
    expect(massKg(pot.mixture) - massKg(later.mixture)).toBeLessThan(0.1);
    expect(holdDrift(setup, pot, 2 * H, 30)!.topUp).toBeNull();
  });

  it('served to the last drop stands empty: it goes on, and nothing is forecast of it', () => {
    const { setup, pot } = held(
      { in: 'thermos', litres: 8 },
      { litres: 8, tempC: 85, keptC: null, lid: 'on' },
    );
    const empty = drawFromPot(pot, massKg(pot.mixture)).pot;
    expect(holdDrift(setup, empty, 2 * H, 30)).toBeNull();
    expect(driftPot(setup, empty, 2 * H)).toEqual({ ...empty, atMs: 2 * H });
  });
});

describe('what it is held in', () => {
  it('pans as many as it wants, of what the kitchen has; small ones are parts of a whole one', () => {
    expect(panLitres({})).toBe(20);
    expect(pansFor({ bainMariePanLitres: 8 }, 22)).toBe(3);
    expect(pansFor({ bainMariePanLitres: 8 }, 0.2)).toBe(1);
    const small = holderOf({ in: 'pans', pans: 3 }, { ...EQUIPMENT, bainMariePanLitres: 8 })!;
    expect(surfaceM2(small.pot.vessel, 5)).toBeCloseTo(3 * (8 / 100), 3);
    expect(holderOf({ in: 'pot' }, EQUIPMENT)).toBeNull();
  });
});

describe('what goes off first, kept hot', () => {
  const of = (...ids: string[]) => firstToGoOff(ids.map((id) => ({ row: INGREDIENT_BY_ID[id]!, kg: 1 })));
  it('by what is in it, the soonest of them', () => {
    expect(of('carrot', 'onion', 'vegetable-stock')).toBeNull();
    expect(of('carrot', 'spinach')).toMatchObject({ what: 'greens', minutes: 20 });
    expect(of('egg-yolk', 'vegetable-stock')).toMatchObject({ what: 'liaison' });
    expect(of('hard-cheese', 'egg-yolk', 'white-fish')).toMatchObject({ what: 'fish' });
    expect(of('pearl-barley')).toBeNull();
  });
  it('a garnish of it is not worth a word', () => {
    const pinch = [
      { row: INGREDIENT_BY_ID.spinach!, kg: 0.02 },
      { row: INGREDIENT_BY_ID['vegetable-stock']!, kg: 20 },
    ];
    expect(firstToGoOff(pinch)).toBeNull();
  });
});
