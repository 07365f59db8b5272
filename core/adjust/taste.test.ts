import { describe, expect, it } from 'vitest';
import { filledPot } from '../../demo/filled-pot';
import type { BatchEvent } from '../batch';
import { contentsOfRow } from '../larder';
import { INGREDIENT_BY_ID, massKg, saltPercent } from '../matter';
import { foodLitres } from '../pot';
import { blendedWithLots, type Dose, tasteFigures, toMend } from './';

const { snapshot, said, at } = filledPot('celeriac-veloute');
const { input } = snapshot;
type Says = Parameters<typeof tasteFigures>[2]['says'];
const dosesAt = (says: Says, ...more: BatchEvent[]) =>
  tasteFigures(snapshot, at(70, ...more), { says }).doses;
const by = (doses: readonly Dose[] | undefined, food: string) =>
  doses!.find((dose) => dose.item.ingredientId === food)!;
const given = (minute: number, dose: Dose) =>
  said(minute, { type: 'added', payload: { items: [dose.item], purpose: { for: dose.scale } } });

describe('doses by what a spoon says', () => {
  it('salt goes to its target exactly, two thirds first; in the rest of it is the target', () => {
    const [first] = dosesAt({ salt: 'more' }).salt!;
    expect(first!.item.kg / first!.wholeKg!).toBeCloseTo(2 / 3, 6);
    // by hand: m (s₁ − s₀) / (1 − s₁)
    const { saltPercent } = tasteFigures(snapshot, at(70), { says: {} }).atEnd;
    const kg = massKg(at(70).pot.mixture);
    expect(first!.wholeKg!).toBeGreaterThan((0.97 * kg * (0.9 - saltPercent)) / 100 / 0.991 - 0.02);
    const whole = given(60, { ...first!, item: { ...first!.item, kg: first!.wholeKg! } });
    // the sieve to come keeps a little of it
    const { atEnd } = tasteFigures(snapshot, at(70, whole), { says: {} });
    expect(Math.abs(atEnd.saltPercent - 0.9)).toBeLessThan(0.02);
  });
  it('acid by three sources is as sour: lemon, vinegar, paste, each first half of what usually does', () => {
    const doses = dosesAt({ acid: 'more' }).acid!;
    const litres = foodLitres(at(70).pot);
    // by hand: 8 g/L of lemon at 50 g/kg of citric is 0.4 g/L, half of it first
    const lemon = by(doses, 'lemon-juice');
    expect(lemon.after.acidGPerL - lemon.before.acidGPerL).toBeCloseTo(0.2, 1);
    expect((1000 * lemon.item.kg) / litres).toBeGreaterThan(3.6);
    expect((1000 * lemon.item.kg) / litres).toBeLessThan(4.4);
    const sour = (food: string) => by(doses, food).item.kg * input.ingredients[food]!.acidGPerKg!;
    expect(sour('wine-vinegar') / sour('lemon-juice')).toBeGreaterThan(0.7);
    expect(sour('wine-vinegar') / sour('lemon-juice')).toBeLessThan(1.3);
  });
  it('after a verdict the next is as much again, half as much, or none', () => {
    const lemon = by(dosesAt({ acid: 'more' }).acid, 'lemon-juice');
    const once = given(60, lemon);
    const tasted = (verdict: NonNullable<Says['acid']>) =>
      said(62, { type: 'tasted', payload: { says: { acid: verdict } } });
    const next = (verdict: NonNullable<Says['acid']>) =>
      by(dosesAt({ acid: verdict }, once, tasted(verdict)).acid, 'lemon-juice');
    expect(next('more').item.kg / lemon.item.kg).toBeCloseTo(1, 1);
    expect(next('bitMore').item.kg / lemon.item.kg).toBeCloseTo(0.5, 1);
    expect(next('more').nth).toBe(2);
    expect(dosesAt({ acid: 'right' }, once).acid).toBeUndefined();
  });
  it('too sour: pinches of baking soda by chemistry, its gas and its salt told; or sugar, butter, cream, thinned', () => {
    const doses = dosesAt(
      { acid: 'tooMuch' },
      said(50, { type: 'added', payload: { items: [{ ingredientId: 'lemon-juice', kg: 0.3, tempC: 18 }] } }),
    ).acid!;
    const soda = by(doses, 'bicarbonate');
    const takenG = (soda.before.acidGPerL - soda.after.acidGPerL) * foodLitres(at(70).pot);
    // 84.0 g of it takes 64.0 g of citric acid
    expect((1000 * soda.item.kg) / takenG).toBeCloseTo(84 / 64, 1);
    expect(soda.gas!.litres).toBeGreaterThan(0.5);
    expect(doses.map((dose) => dose.code)).toEqual(
      expect.arrayContaining(['neutralise', 'against', 'dilute']),
    );
  });
  it('savoury by several roads, each with the salt it brings; those that break the dish come last', () => {
    const doses = dosesAt({ umami: 'more' }).umami!;
    expect(doses.length).toBeGreaterThanOrEqual(5);
    for (const dose of doses) expect(dose.after.umami, dose.id).toBeGreaterThan(dose.before.umami);
    expect(by(doses, 'soy-sauce').after.saltPercent).toBeGreaterThan(
      by(doses, 'soy-sauce').before.saltPercent,
    );
    expect(by(doses, 'fish-sauce').warns).toContainEqual({ code: 'addsAllergen', name: 'fish' });
    expect(doses[0]!.warns.length).toBeLessThanOrEqual(doses.at(-1)!.warns.length);
  });
  it('too salty: so much unsalted liquid, and whether it fits; by the ledger it is right then', () => {
    const salted = said(50, {
      type: 'added',
      payload: { items: [{ ingredientId: 'salt', kg: 0.35, tempC: 18 }] },
    });
    const [dilute] = dosesAt({ salt: 'farTooMuch' }, salted).salt!;
    expect(dilute!.after.saltPercent).toBeCloseTo(0.9, 1);
    expect(dilute!.portions).toBeGreaterThan(60);
    const heavy = said(51, {
      type: 'added',
      payload: { items: [{ ingredientId: 'salt', kg: 1.2, tempC: 18 }] },
    });
    const warned = dosesAt({ salt: 'farTooMuch' }, salted, heavy).salt![0]!;
    expect(warned.warns.map((warn) => warn.code)).toContain('noRoom');
  });
  it('too salty: a potato takes salt until its water is as salty, and no more than as much soup would', () => {
    const salted = said(50, {
      type: 'added',
      payload: { items: [{ ingredientId: 'salt', kg: 0.25, tempC: 18 }] },
    });
    const potato = by(dosesAt({ salt: 'tooMuch' }, salted).salt, 'potato');
    expect(potato.code).toBe('bulk');
    // by hand: 79 % of a potato is water; m w / (M + m w) of the salt goes along when it is lifted out
    const waterKg = potato.item.kg * input.ingredients.potato!.perKg.water;
    const kg = massKg(at(70, salted).pot.mixture);
    expect(potato.takesShare).toBeCloseTo(waterKg / (kg + waterKg), 1);
    expect(potato.takesShare!).toBeLessThan(potato.item.kg / kg);
    expect(potato.after.saltPercent).toBeLessThan(potato.before.saltPercent);
  });
  it('pale or dark: what deepens this dish’s colour, with the salt and the diet it brings; too dark, what pales it', () => {
    const deeper = dosesAt({ colour: 'more' }).colour!;
    expect(deeper.map((dose) => dose.item.ingredientId)).toEqual(['turmeric', 'saffron']);
    const paler = dosesAt({ colour: 'tooMuch' }).colour!;
    expect(paler.map((dose) => dose.item.ingredientId)).toContain('milk');
    const brown = filledPot('venison-juniper-sauce');
    const soy = tasteFigures(brown.snapshot, brown.at(70), { says: { colour: 'bitMore' } }).doses.colour!;
    expect(by(soy, 'soy-sauce').after.saltPercent).toBeGreaterThan(by(soy, 'soy-sauce').before.saltPercent);
  });
  it('fat to a percent: so much butter brings what its own fat says (by hand)', () => {
    const butter = by(dosesAt({ fat: 'more' }).fat, 'butter');
    const kg = massKg(at(70).pot.mixture);
    const fatKg =
      (butter.before.fatPercent / 100) * kg + butter.item.kg * input.ingredients.butter!.perKg.fat;
    expect(butter.after.fatPercent).toBeCloseTo((100 * fatKg) / (kg + butter.item.kg), 1);
  });
  it('a pH meter moves the acid; one that cannot be is kept, asked about, and moves nothing until it is said again', () => {
    const meter = (value: number, sure?: true) =>
      said(60, { type: 'metered', payload: { meter: 'ph', value, ...(sure ? { sure } : {}) } });
    const acid = (...more: BatchEvent[]) =>
      tasteFigures(snapshot, at(61, ...more), { says: {} }).now.acidGPerL;
    const before = acid();
    expect(acid(meter(5.2))).toBeGreaterThan(before + 0.1);
    expect(acid(meter(6.9))).toBeLessThan(before);
    expect(acid(meter(2.1))).toBeCloseTo(before, 6);
    expect(at(61, meter(2.1)).meters[0]!.status).toBe('set aside');
    // 1.3 g/L for each step under neutral
    expect(acid(meter(5, true))).toBeCloseTo(2.6, 1);
  });
  it('what made it sour is no dose against sourness: the first sugar is the usual one', () => {
    const lemon = (kg: number) =>
      said(40, {
        type: 'added',
        payload: { items: [{ ingredientId: 'lemon-juice', kg, tempC: 18 }], purpose: { for: 'acid' } },
      });
    const sugar = (...more: BatchEvent[]) => by(dosesAt({ acid: 'tooMuch' }, ...more).acid, 'sugar');
    expect(sugar(lemon(0.4)).nth).toBe(1);
    expect(sugar(lemon(0.4)).item.kg / sugar(lemon(0.1)).item.kg).toBeCloseTo(1, 1);
  });
  it('flat is salt while salt is missing, and acid once it is not', () => {
    const flat = (...more: BatchEvent[]) =>
      Object.keys(tasteFigures(snapshot, at(70, ...more), { says: {}, isFlat: true }).doses);
    expect(flat()).toEqual(['salt']);
    const [dose] = dosesAt({ salt: 'more' }).salt!;
    expect(flat(given(60, { ...dose!, item: { ...dose!.item, kg: dose!.wholeKg! } }))).toEqual(['acid']);
  });
  it('a spoonful leaves the pot with each tasting, and who tasted is kept', () => {
    const tasting = said(60, { type: 'tasted', payload: { says: { salt: 'right' }, by: 'Ada' } });
    const gone = at(59).pot.drawnKg;
    expect(at(61, tasting).pot.drawnKg - gone).toBeCloseTo(0.012, 6);
    expect(at(61, tasting).tastings[0]).toMatchObject({ by: 'Ada', says: { salt: 'right' } });
  });
  it('a salinity meter moves the ledger as far as both are sure; what cannot be is kept and moves nothing', () => {
    const meter = (value: number, sure?: true) =>
      said(60, { type: 'metered', payload: { meter: 'salinity', value, ...(sure ? { sure } : {}) } });
    const salt = (...more: BatchEvent[]) =>
      tasteFigures(snapshot, at(61, ...more), { says: {} }).now.saltPercent;
    const before = salt();
    expect(salt(meter(before + 0.15))).toBeGreaterThan(before + 0.02);
    expect(salt(meter(before + 0.15))).toBeLessThan(before + 0.15);
    expect(salt(meter(9))).toBeCloseTo(before, 6);
    expect(at(61, meter(9)).meters[0]!.status).toBe('set aside');
    expect(salt(meter(2, true))).toBeGreaterThan(1);
  });
  it('too salty: blended with a lot that is less so, to the target by mass; its own dish first, none that brings fish', () => {
    const salted = said(50, {
      type: 'added',
      payload: { items: [{ ingredientId: 'salt', kg: 0.25, tempC: 18 }] },
    });
    const mend = toMend(snapshot, at(70, salted))!;
    const row = (id: string) => contentsOfRow(INGREDIENT_BY_ID[id]!);
    const lots = [
      { id: 'stock', leftKg: 20, contents: row('vegetable-stock') },
      { id: 'little', leftKg: 0.5, contents: row('vegetable-stock') },
      { id: 'fish', leftKg: 20, contents: row('fish-fumet') },
      { id: 'soy', leftKg: 20, contents: row('soy-sauce') },
      {
        id: 'own',
        leftKg: 20,
        contents: { ...row('vegetable-stock'), ingredientId: `recipe:${input.recipe.id}` },
      },
    ];
    const found = blendedWithLots(mend, lots);
    expect(found.map((one) => one.lot.id)).toEqual(['own', 'stock', 'little']);
    const [own, , little] = found;
    // by hand: M (s - t) / (t - s of the lot)
    const kg = massKg(mend.end.mixture);
    const s = saltPercent(mend.end.mixture, 'all') / 100;
    const stock = INGREDIENT_BY_ID['vegetable-stock']!.perKg.salt;
    expect(own!.kg).toBeCloseTo((kg * (s - 0.009)) / (0.009 - stock), 6);
    expect(own!.saltPercent).toBeCloseTo(0.9, 6);
    expect(little).toMatchObject({ kg: 0.5, isEnough: false });
    expect(little!.saltPercent).toBeGreaterThan(0.9);
    expect(blendedWithLots(toMend(snapshot, at(70))!, lots)).toEqual([]);
  });
});
