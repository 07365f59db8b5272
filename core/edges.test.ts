import { describe, expect, it } from 'vitest';
import * as core from './index';
import { INGREDIENT_BY_ID, massesOf, NO_MASSES, specificHeatKJ, volumeLitres } from './matter';
import { setupOf } from './plan';
import { forecastPot, openPot, putFoodIn, readPot } from './pot';
import { orderOf } from './testing/broth';

/** Nothing that is no number goes in or comes out, and what was wrong is named with its value. */

const setup = setupOf(orderOf());
const empty = () => openPot({ atMs: 0, tempC: 20, heatFactor: { mean: 1, sd: 0.2 } });
const soup = () => putFoodIn(empty(), { ingredient: INGREDIENT_BY_ID.water!, kg: 5, tempC: 60 });

describe('at core’s edges', () => {
  it.each([
    ['volumeLitres', () => volumeLitres({ ...NO_MASSES, water: Number.NaN }, 20), /masses.*NaN/],
    ['specificHeatKJ', () => specificHeatKJ({ ...NO_MASSES, fat: Number.NaN }, 20), /masses.*NaN/],
    [
      'openPot, its time',
      () => openPot({ atMs: Number.NaN, tempC: 20, heatFactor: { mean: 1, sd: 1 } }),
      /atMs.*NaN/,
    ],
    [
      'openPot, its temperature',
      () => openPot({ atMs: 0, tempC: Number.NaN, heatFactor: { mean: 1, sd: 1 } }),
      /tempC.*NaN/,
    ],
    ['forecastPot', () => forecastPot(setup, soup(), { kind: 'mass', kg: Number.NaN }), /target.*NaN/],
    ['-3 kg of a food', () => massesOf(INGREDIENT_BY_ID.carrot!, -3), /kg must be at least 0, got -3/],
    [
      'a reading of no kind',
      () => readPot(setup, soup(), { kind: 'smell' as never, value: 3 }),
      /kind.*smell/,
    ],
    [
      'salt towards 40 %',
      () => core.saltToAddG({ massKg: 10, nowPercent: 1, targetPercent: 40 }),
      /targetPercent.*26.4.*40/,
    ],
    [
      '-500 °C',
      () => core.mixTempC({ parts: [{ massKg: 1, specificHeatKJ: 4, tempC: -500 }] }),
      /tempC.*-273.15.*-500/,
    ],
    [
      'a text for a number',
      () => core.portions({ litres: '5' as never, portionMl: 250 }),
      /litres.*the text “5”/,
    ],
  ])('%s is refused by name and value', (_name, work, sentence) => {
    expect(work).toThrow(RangeError);
    expect(work).toThrow(sentence);
  });
  const face = Object.entries(core) as [string, (...args: unknown[]) => unknown][];
  it.each(face)('%s: a missing argument, null, a text or an empty object is a RangeError', (name, work) => {
    for (const nothing of [undefined, null, 'five', {}, []])
      expect(() => work(nothing), `${name} ${String(nothing)}`).toThrow(RangeError);
  });
  it('what overflows is said, not handed on as infinite', () => {
    const huge = Number.MAX_VALUE;
    expect(() => core.convert({ value: huge, from: 'gallon', to: 'mL' })).toThrow(/convert.*Infinity/);
    expect(() => core.portions({ litres: huge, portionMl: 1e-9 })).toThrow(/portions.*Infinity/);
    expect(() => core.dilutionKg({ massKg: huge, nowPercent: 20, targetPercent: 0.001 })).toThrow(
      /dilutionKg.*Infinity/,
    );
  });
});
