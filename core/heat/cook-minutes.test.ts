import { describe, expect, it } from 'vitest';
import { additionTimes } from '../batch';
import { INGREDIENT_BY_ID } from '../matter';
import { temper } from '../pot';
import { scorchMargin } from '../pot/scorch-margin';
import type { Recipe } from '../recipe';
import { BROTH, orderOf, snapshotOf } from '../testing/broth';
import { cookMinutes, minutesToCookDice, mixTempC } from './';

const minutes = (id: string, edgeCm: number, liquidC = 100, isAcid = false) =>
  cookMinutes({ ingredient: INGREDIENT_BY_ID[id]!, edgeCm, liquidC, isAcid });

describe('how long a food wants', () => {
  it('common practice: prawns 5 min, shellfish about 2 under a lid, fish 5 to 10 by thickness, greens 2', () => {
    expect(minutes('prawn', 1.5)).toBe(5);
    expect(minutes('mussel', 3)).toBe(2);
    expect(minutes('trout', 1.5)).toBe(5);
    expect(minutes('salmon', 3)).toBe(7.5);
    expect(minutes('trout', 6)).toBe(10);
    expect(minutes('spinach', 0.5)).toBe(2);
  });
  it('roots by size, slower on a mountain and in acid (dice law, docs/model.md § 4)', () => {
    const heatUp = minutesToCookDice({ edgeCm: 2, startC: 15, liquidC: 100, centreC: 85 });
    expect(minutes('carrot', 2)).toBeCloseTo(heatUp + 12, 9);
    expect(minutes('carrot', 3)!).toBeGreaterThan(minutes('carrot', 2)!);
    // ten times for 24 K: 1.489 at 95.85 °C
    const thin = (c: number) => minutes('carrot', 0.1, c)!;
    expect(thin(95.85) / thin(100)).toBeCloseTo(1.489, 1);
    expect(minutes('carrot', 2, 100, true)! - heatUp).toBeCloseTo(18, 9);
  });
  it('liquids, salt and fat have no clock', () => {
    expect([minutes('salt', 1), minutes('cream', 1), minutes('butter', 1)]).toEqual([null, null, null]);
  });
});

describe('additions are timed back from the end', () => {
  const recipe: Recipe = {
    ...BROTH,
    stages: BROTH.stages.map((stage) =>
      stage.id === 'roots'
        ? { ...stage, kind: 'additions' as const, ends: { rule: 'soft' as const, edgeCm: 2, softenMin: 12 } }
        : stage,
    ),
    lines: [
      ...BROTH.lines.map((line) => (line.id === 'carrot' ? { ...line, cut: '2 cm dice' } : line)),
      {
        id: 'leek',
        ingredientId: 'leek',
        stageId: 'roots',
        kg: 1,
        scaling: 'straight',
        tempC: 10,
        cut: 'sliced',
      },
      { id: 'prawn', ingredientId: 'prawn', stageId: 'roots', kg: 1, scaling: 'straight', tempC: 5 },
    ],
  };
  const snapshot = snapshotOf(orderOf({ recipe }));
  const stage = recipe.stages.find((one) => one.id === 'roots')!;
  it('longest first, each so that all is done together', () => {
    const later = additionTimes(snapshot, stage);
    expect(later.map((one) => one.line.lineId)).toEqual(['leek', 'prawn']);
    const [leek, prawn] = later;
    expect(prawn!.afterMin).toBeGreaterThan(leek!.afterMin);
    // the prawns' five minutes are the last five
    const carrots = minutes('carrot', 2, 95.85 - 3)!;
    expect(prawn!.afterMin).toBeGreaterThan(carrots - 5 - 1.5);
    expect(prawn!.afterMin).toBeLessThan(carrots - 5 + 1.5);
  });
  it('only in a stage of additions', () => {
    expect(additionTimes(snapshot, { ...stage, kind: 'simmer' })).toEqual([]);
    expect(additionTimes(snapshot, { ...stage, ends: { rule: 'simmer' } })).toEqual([]);
  });
});

describe('tempering', () => {
  it('each ladle by the mixing square (hand: 1 kg at 10 °C and 0.25 kg at 90 °C, alike in heat, are 26 °C)', () => {
    const steps = temper({ massKg: 1, specificHeatKJ: 3.9, tempC: 10, hotC: 90, ladleKg: 0.25, toC: 60 });
    expect(steps[0]!.tempC).toBeCloseTo((10 + 0.25 * 90) / 1.25, 9);
    expect(steps.at(-1)!.tempC).toBeGreaterThanOrEqual(60);
    expect(steps.at(-2)!.tempC).toBeLessThan(60);
    const three = mixTempC({
      parts: [
        { massKg: 1, specificHeatKJ: 3.9, tempC: 10 },
        { massKg: 0.75, specificHeatKJ: 3.9, tempC: 90 },
      ],
    });
    expect(steps[2]!.tempC).toBeCloseTo(three, 9);
  });
  it('what cannot get so warm is refused, and nobody is sent for a forty-first ladle', () => {
    expect(() =>
      temper({ massKg: 1, specificHeatKJ: 3.9, tempC: 10, hotC: 60, ladleKg: 0.2, toC: 60 }),
    ).toThrow(/toC.*60/);
    expect(
      temper({ massKg: 50, specificHeatKJ: 3.9, tempC: 0, hotC: 90, ladleKg: 0.1, toC: 80 }),
    ).toHaveLength(40);
  });
});

describe('the scorch margin', () => {
  const of = { heatW: 2400, bottomM2: 0.1, band: 0, solidsPercent: 3, depthCm: 20, stirEveryMin: 5 };
  it('falls with heat, body, solids, shallowness and neglect', () => {
    const here = scorchMargin(of);
    for (const worse of [
      { heatW: 4000 },
      { bottomM2: 0.05 },
      { band: 3 },
      { solidsPercent: 20 },
      { depthCm: 2 },
      { stirEveryMin: 15 },
    ])
      expect(scorchMargin({ ...of, ...worse })).toBeLessThan(here);
    expect(scorchMargin({ ...of, heatW: 0 })).toBe(Number.POSITIVE_INFINITY);
  });
  it('common practice: stock boils on any ring, a thick purée at full heat catches', () => {
    expect(scorchMargin({ ...of, heatW: 3000 })).toBeGreaterThan(2);
    expect(scorchMargin({ ...of, band: 5.5, heatW: 2400 })).toBeLessThan(1);
    expect(scorchMargin({ ...of, band: 5.5, heatW: 500 })).toBeGreaterThan(1);
  });
});
