import { describe, expect, it } from 'vitest';
import { boilingPointC, minutesToHeat } from '../heat';
import { INGREDIENT_BY_ID, massKg, operations } from '../matter';
import { portions } from '../portions';
import { orderOf } from '../testing/broth';
import { flourEquivalentOfBand } from '../thickness';
import { planBatch, setupOf, TURNAROUND_MIN } from './';
import { cookThrough } from './cook-through';

const kettle = {
  id: 'kettle',
  name: '60 L kettle',
  vessel: { shape: 'kettle' as const, diameterCm: 60, heightCm: 31.2 },
  emptyMassKg: 38,
};

describe('a plan', () => {
  const plan = planBatch(orderOf());

  it('makes the portions ordered, at the salt and the thickness ordered', () => {
    expect(portions({ litres: plan.yieldLitres, portionMl: 250 })).toBeCloseTo(60, 1);
    expect(plan.saltPercent).toBeCloseTo(0.9, 2);
    expect(plan.flourEquivalentGPerL).toBeCloseTo(flourEquivalentOfBand({ band: 2 }), 0);
    expect(plan.band).toBeCloseTo(2, 1);
  });
  it('cooking its own quantities through gives its own yield and steam', () => {
    const load = Object.fromEntries(plan.lines.map((line) => [line.lineId, line.edibleKg]));
    const input = orderOf();
    const cooked = cookThrough(input, setupOf(input), load, 1);
    expect(cooked.end.evaporatedKg).toBeCloseTo(plan.evaporatedKg, 9);
    const put = plan.lines.filter((line) => !line.perBowl).reduce((sum, line) => sum + line.edibleKg, 0);
    expect(massKg(cooked.end.mixture) + cooked.end.evaporatedKg).toBeCloseTo(put, 9);
    expect(operations.saltPercent(cooked.end.mixture, 'all')).toBeCloseTo(plan.saltPercent, 9);
  });
  it('counts every stage back from service, with the slack its doubt asks for', () => {
    const minutes = plan.stages.reduce((sum, stage) => sum + stage.minutes, 0);
    expect(plan.startAtMs + minutes * 60_000).toBeCloseTo(plan.readyAtMs, -1);
    expect(plan.serviceAtMs - plan.readyAtMs).toBeGreaterThanOrEqual(5 * 60_000);
    expect(plan.stages[1]!.startMs).toBeCloseTo(plan.startAtMs + plan.stages[0]!.minutes * 60_000, -1);
  });
  it('comes to a simmer in the time the heat balance says, and a little for wall and steam', () => {
    const boil = plan.stages[0]!;
    const stock = plan.lines.find((line) => line.lineId === 'stock')!.edibleKg;
    const bare = minutesToHeat({
      parts: [{ massKg: stock, specificHeatKJ: 4.15, tempC: 5 }],
      toC: boilingPointC({ altitudeM: 1240 }) - 3,
      netPowerW: 2800,
    });
    expect(boil.minutes).toBeGreaterThan(bare);
    expect(boil.minutes).toBeLessThan(bare * 1.25);
  });
  it('buys what trimming takes, and charges for it', () => {
    const carrot = plan.lines.find((line) => line.lineId === 'carrot')!;
    expect(carrot.purchasedKg * INGREDIENT_BY_ID.carrot!.yield).toBeCloseTo(carrot.edibleKg, 12);
    expect(carrot.costCents).toBeCloseTo(carrot.purchasedKg * 90, 9);
    expect(plan.costPerPortionCents * 60).toBeCloseTo(plan.costCents, 9);
  });
  it('equal weights stay equal, garnish goes by the bowl and its salt is counted there', () => {
    const kg = (id: string) => plan.lines.find((line) => line.lineId === id)!.edibleKg;
    expect(kg('butter')).toBeCloseTo(kg('flour'), 3);
    expect(kg('cheese')).toBeCloseTo(0.6, 12);
    expect(plan.saltPercentWithGarnish).toBeGreaterThan(plan.saltPercent);
  });
  it('names its allergens with what brings them', () => {
    expect(plan.allergens.map((one) => one.name)).toEqual(['wheat', 'milk', 'celery']);
  });
  it('opens every figure to arithmetic that holds the figure', () => {
    for (const working of Object.values(plan.workings)) expect(working.lines.length).toBeGreaterThan(0);
    expect(plan.workings.yield.lines).toContainEqual(expect.objectContaining({ litres: plan.yieldLitres }));
    expect(plan.workings.salt.lines).toContainEqual(
      expect.objectContaining({ code: 'saltToAdd', grams: plan.saltToAddG }),
    );
    const grams = plan.workings.salt.lines.reduce((sum, line) => {
      if (line.code === 'saltBrought' || line.code === 'saltBroughtOther') return sum + line.grams;
      if (line.code === 'saltGone') return sum - line.grams;
      return line.code === 'saltToAdd' ? sum + line.saltG : sum;
    }, 0);
    const wanted = plan.workings.salt.lines.find((line) => line.code === 'saltWanted');
    expect(Math.abs(grams - (wanted?.code === 'saltWanted' ? wanted.grams : 0))).toBeLessThan(0.11);
    expect(plan.workings.body.lines).toContainEqual(
      expect.objectContaining({ code: 'perLitre', gPerL: plan.flourEquivalentGPerL }),
    );
  });
});

describe('scaling tells the truth', () => {
  it('twice the bowls is twice what scales straight, but not twice the liquid', () => {
    const once = planBatch(orderOf({ portions: 40 }));
    const twice = planBatch(orderOf({ portions: 80 }));
    const kg = (plan: typeof once, id: string) => plan.lines.find((line) => line.lineId === id)!.edibleKg;
    expect(kg(twice, 'carrot') / kg(once, 'carrot')).toBeCloseTo(2, 9);
    expect(Math.abs(kg(twice, 'stock') / kg(once, 'stock') - 2)).toBeGreaterThan(0.005);
  });
  it('salt at the end does not change with scale', () => {
    for (const count of [20, 60, 100])
      expect(planBatch(orderOf({ portions: count })).saltPercent).toBeCloseTo(0.9, 2);
  });
  it('a fifth gone takes about as many times longer as there is more of it', () => {
    const fall = (count: number) => planBatch(orderOf({ portions: count })).stages[1]!.minutes;
    expect(fall(80) / fall(20)).toBeGreaterThan(3.3);
    expect(fall(80) / fall(20)).toBeLessThan(4.8);
  });
  it('another pot, another height, another burner: another time', () => {
    const here = planBatch(orderOf());
    const sea = planBatch(orderOf({ kitchen: { altitudeM: 0, airTempC: 24, relativeHumidity: 0.5 } }));
    const wide = planBatch(
      orderOf({ pot: kettle, burner: { ...orderOf().burner, powerW: 9000, efficiency: 0.85 } }),
    );
    expect(sea.stages[2]!.minutes).toBeLessThan(here.stages[2]!.minutes);
    expect(wide.stages[1]!.minutes).toBeLessThan(here.stages[1]!.minutes);
  });
  it('a burner known better gives a narrower answer', () => {
    const heatFactor = { mean: 0.9, sd: 0.05, batches: 5 };
    const known = planBatch(orderOf({ burner: { ...orderOf().burner, heatFactor } }));
    expect(known.readySdMinutes).toBeLessThan(planBatch(orderOf()).readySdMinutes);
    expect(known.workings.start.sureness).toMatchObject({ code: 'burnerKnown', batches: 5 });
  });
});

describe('what does not fit or cannot be', () => {
  it('says how many batches the pot needs', () => {
    const plan = planBatch(orderOf({ portions: 140 }));
    expect(plan.fullest.litres).toBeLessThanOrEqual(plan.workingFillLitres);
    expect(plan.batches).toBe(2);
    expect(planBatch(orderOf({ portions: 60 })).batches).toBe(1);
  });
  it('2,000 portions in a 40 L pot are batches with their own starts and readies, one after the other', () => {
    const plan = planBatch(orderOf({ portions: 2000 }));
    const runs = plan.runs!;
    expect(runs).toHaveLength(plan.batches);
    expect(runs.reduce((sum, run) => sum + run.portions, 0)).toBe(2000);
    expect(plan.yieldPortions).toBeCloseTo(2000, 0);
    const one = planBatch(orderOf({ portions: runs[0]!.portions }));
    expect(runs.at(-1)!.readyAtMs).toBe(one.readyAtMs);
    expect([plan.startAtMs, plan.readyAtMs]).toEqual([runs[0]!.startAtMs, runs.at(-1)!.readyAtMs]);
    for (const [i, run] of runs.entries()) {
      expect(run.readyAtMs - run.startAtMs).toBeCloseTo(one.readyAtMs - one.startAtMs, 3);
      if (i > 0) expect(run.startAtMs - runs[i - 1]!.readyAtMs).toBeCloseTo(TURNAROUND_MIN * 60_000, 3);
    }
    const kg = (of: typeof plan, id: string) => of.lines.find((line) => line.lineId === id)!.edibleKg;
    expect(kg(plan, 'carrot')).toBeCloseTo((2000 / runs[0]!.portions) * kg(one, 'carrot'), 9);
    expect(kg(plan, 'cheese')).toBeCloseTo(20, 9);
    expect(plan.workings.yield.lines[0]).toMatchObject({ code: 'oneBatch', batches: plan.batches });
  });
  it('a burner too weak for the pot is named with its stage', () => {
    const weak = { ...orderOf().burner, powerW: 300 };
    expect(() => planBatch(orderOf({ burner: weak }))).toThrow(/stage "boil"/);
  });
  it('refuses nonsense by name and value', () => {
    expect(() => planBatch(orderOf({ portions: 0 }))).toThrow(/portions.*0/);
    expect(() => planBatch(orderOf({ saltPercent: 30 }))).toThrow(/saltPercent.*30/);
    expect(() => planBatch(orderOf({ band: 9 }))).toThrow(/band.*9/);
    expect(() => planBatch(orderOf({ portionMl: Number.NaN }))).toThrow(/portionMl.*NaN/);
  });
});
