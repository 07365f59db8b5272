import { describe, expect, it } from 'vitest';
import { allButSalt, filledPot } from '../../demo/filled-pot';
import { kitchenView } from '../../demo/kitchen-view';
import { tasteFigures } from '../adjust';
import { type BatchEvent, foldBatch } from '../batch';
import { libraryOf, rowsOf } from '../book';
import { planInputOf } from '../order';
import { planBatch } from '../plan';
import { readingTable, writtenOf } from '../reader';
import type { Recipe } from '../recipe';
import { isLearnedFrom, nextTime, withNextTime } from './';

const { snapshot, startMs, said, filled, at } = filledPot('trout-chowder');
const { recipe } = snapshot.input;
const table = readingTable(rowsOf(libraryOf(kitchenView(), [recipe]), recipe.id));

/** Everything in the pot, then these entries, then closed. */
const closed = said(400, { type: 'closed', payload: { leftLitres: 0 } });
const batch = (...more: BatchEvent[]) => [filled, ...more, closed];
const dose = (minute: number, ingredientId: string, kg: number, scale: 'acid' | 'salt' | 'umami') =>
  said(minute, {
    type: 'added',
    payload: { items: [{ ingredientId, kg, tempC: 18 }], purpose: { for: scale } },
  });
const spoon = (minute: number, says: Record<string, string>) =>
  said(minute, { type: 'tasted', payload: { says } } as never);
const shown = (...more: BatchEvent[]) => nextTime(snapshot, batch(...more), recipe);

describe('what a batch says of its recipe', () => {
  it('nothing where nobody tasted, and nothing where the last spoon still wanted something', () => {
    expect(shown().proposals).toEqual([]);
    const still = shown(dose(60, 'wine-vinegar', 0.06, 'acid'), spoon(65, { acid: 'bitMore' }));
    expect(still.proposals).toEqual([]);
    // one cook called it right, the next did not: the last word stands
    const doubted = shown(
      dose(60, 'wine-vinegar', 0.06, 'acid'),
      spoon(65, { acid: 'right' }),
      spoon(68, { acid: 'bitMore' }),
    );
    expect(doubted.proposals).toEqual([]);
  });
  it('a dose that made it right becomes a line, for the litres of the recipe, that goes in by two thirds', () => {
    const found = shown(
      spoon(58, { acid: 'more' }),
      dose(60, 'wine-vinegar', 0.03, 'acid'),
      spoon(65, { acid: 'bitMore' }),
      dose(66, 'wine-vinegar', 0.03, 'acid'),
      spoon(70, { acid: 'right' }),
    );
    expect(found.proposals).toHaveLength(1);
    const [one] = found.proposals;
    // by hand: 60 g in so many litres, for the litres that the recipe is written for
    const wanted = (0.06 * recipe.litres) / snapshot.plan.yieldLitres;
    expect(one).toMatchObject({
      code: 'food',
      scale: 'acid',
      ingredientId: 'wine-vinegar',
      lineId: null,
      fromKg: 0,
    });
    expect(one!.code === 'food' && one!.toKg).toBeCloseTo(wanted, 3);
    const next = withNextTime(recipe, found.proposals, { batchId: 'b1', right: found.right }, table);
    const line = next.lines.at(-1)!;
    expect(line).toMatchObject({ ingredientId: 'wine-vinegar', scaling: 'bySpoon' });
    const planned = planOf(next).lines.find((each) => each.lineId === line.id)!;
    expect(planned.edibleKg / planned.plainMultipleKg).toBeCloseTo(2 / 3, 6);
    expect(planned.keptByKg).toBeCloseTo(planned.plainMultipleKg / 3, 6);
    expect(isLearnedFrom(next, 'b1') && !isLearnedFrom(recipe, 'b1')).toBe(true);
  });
  it('a line the recipe has moves half way for one spoon, and less the more have spoken before', () => {
    const has: Recipe = {
      ...recipe,
      lines: recipe.lines.map((line) =>
        line.id === someLine.id ? { ...line, scaling: 'straight' as const } : line,
      ),
    };
    const events = batch(dose(60, someLine.ingredientId, 0.12, 'acid'), spoon(66, { acid: 'right' }));
    const toKg = (of: Recipe) => {
      const [one] = nextTime(snapshot, events, of).proposals;
      return one?.code === 'food' ? one.toKg - one.fromKg : 0;
    };
    const whole = (0.12 * recipe.litres) / snapshot.plan.yieldLitres;
    expect(toKg(has)).toBeCloseTo(whole / 2, 3);
    const known: Recipe = {
      ...has,
      profile: { right: { acid: { value: 1, verdicts: 3 } }, fromBatchIds: ['a'] },
    };
    expect(toKg(known)).toBeCloseTo(whole / 5, 3);
  });
  it('salt that was right is drawn half way to what it came to, and thinned sourness comes off what is sour', () => {
    const salted = shown(dose(60, 'salt', 0.2, 'salt'), spoon(66, { salt: 'right' }));
    const [salt] = salted.proposals;
    const really = at(67, dose(60, 'salt', 0.2, 'salt')).pot.mixture;
    const percent = (100 * (really.liquid.salt + really.pieces.salt)) / sumOf(really.liquid, really.pieces);
    expect(salt).toMatchObject({ code: 'salt', fromPercent: recipe.targetSaltPercent });
    expect(salt!.code === 'salt' && salt!.toPercent).toBeCloseTo((recipe.targetSaltPercent + percent) / 2, 1);

    // a recipe with 8 g/L of vinegar in it, of which bicarbonate took half of the acid again
    const line = {
      id: 'sharp',
      ingredientId: 'wine-vinegar',
      kg: 0.008 * recipe.litres,
      stageId: recipe.stages[0]!.id,
      scaling: 'straight' as const,
      tempC: 18,
    };
    const sour: Recipe = { ...recipe, lines: [...recipe.lines, line] };
    const input = { ...snapshot.input, recipe: sour };
    const sourSnapshot = { input, plan: planBatch(input) };
    const acidG =
      sourSnapshot.plan.lines.find((one) => one.lineId === 'sharp')!.edibleKg *
      input.ingredients['wine-vinegar']!.acidGPerKg!;
    const events = [
      said(1, allButSalt(sourSnapshot.plan)),
      dose(60, 'bicarbonate', ((acidG / 2 / 64) * 84) / 1000, 'acid'),
      spoon(66, { acid: 'right' }),
      closed,
    ];
    const [less] = nextTime(sourSnapshot, events, sour).proposals;
    expect(less).toMatchObject({
      code: 'food',
      scale: 'acid',
      ingredientId: 'wine-vinegar',
      lineId: 'sharp',
    });
    // half of its acid was taken: a quarter of the vinegar comes off for one spoon, give or take what boiled away
    expect(less!.code === 'food' && less!.toKg / less!.fromKg).toBeGreaterThan(0.65);
    expect(less!.code === 'food' && less!.toKg / less!.fromKg).toBeLessThan(0.85);
  });
  it('how thick it was served is proposed half way, unless it was mended after', () => {
    const test = said(300, { type: 'tested', payload: { test: 'lineSpread', value: 8.2, tempC: 90 } });
    expect(shown(test).proposals).toMatchObject([{ code: 'band', fromBand: recipe.targetBand }]);
    const mended = said(310, {
      type: 'added',
      payload: { items: [{ ingredientId: 'water', kg: 2, tempC: 90 }], purpose: { for: 'thickness' } },
    });
    expect(shown(test, mended).proposals).toEqual([]);
  });
  it('what only thinned it is no part of the recipe, its own stock as little as water', () => {
    const thinned = ['fish-fumet', 'water', 'bicarbonate'].map((food) => dose(60, food, 1, 'acid'));
    const { proposals } = shown(...thinned, spoon(70, { acid: 'right' }));
    for (const one of proposals) if (one.code === 'food') expect(one.ingredientId).toBe('lemon-juice');
    expect(proposals.some((one) => one.code === 'food' && one.toKg < one.fromKg)).toBe(true);
  });
  it('a recipe with its page gets the line written on it, read back as what it is', () => {
    const paper: Recipe = { ...recipe, written: writtenOf(recipe, table) };
    const found = shown(dose(60, 'wine-vinegar', 0.06, 'acid'), spoon(70, { acid: 'right' }));
    const next = withNextTime(paper, found.proposals, { batchId: 'b1', right: found.right }, table);
    expect(next.written).toHaveLength(paper.written!.length + 1);
    expect(next.written!.at(-1)).toMatchObject({ ingredientId: 'wine-vinegar', scaling: 'bySpoon' });
    expect(next.written!.at(-1)!.text).toMatch(/vinegar/i);
  });
});

describe('the next batch', () => {
  it('is short by a third, and the spoon is answered with what is missing to what was right', () => {
    const cooked = recipe.stages
      .filter((stage) => stage.ends.rule !== 'served')
      .flatMap(({ id: stageId }, i) => [
        said(10 + i, { type: 'stageBegun', payload: { stageId } }),
        said(10.5 + i, { type: 'stageDone', payload: { stageId } }),
      ]);
    const events = [...cooked, dose(60, 'wine-vinegar', 0.06, 'acid'), spoon(70, { acid: 'right' })];
    const found = shown(...events);
    const next = withNextTime(recipe, found.proposals, { batchId: 'b1', right: found.right }, table);
    const input = { ...snapshot.input, recipe: next };
    const again = { input, plan: planBatch(input) };
    const state = foldBatch(again, [said(1, allButSalt(again.plan)), ...cooked], startMs + 70 * 60_000);
    const [sharp] = tasteFigures(again, state, { says: { acid: 'more' } }).doses.acid!;
    expect(sharp!.item.ingredientId).toBe('wine-vinegar');
    expect(sharp!.wholeKg! * 1000).toBeGreaterThan(15);
    expect(sharp!.wholeKg! * 1000).toBeLessThan(25);
  });
});

const sumOf = (...each: object[]): number =>
  each.flatMap((one) => Object.values(one) as number[]).reduce((sum, kg) => sum + kg, 0);

/** The recipe’s own sharpness. */
const someLine = recipe.lines.find((line) => line.ingredientId === 'lemon-juice')!;

function planOf(of: Recipe) {
  const order = {
    ...snapshot.input,
    recipeId: of.id,
    potId: snapshot.input.pot.id,
    burnerId: snapshot.input.burner.id,
  };
  const input = planInputOf(order as never, kitchenView(), of, [of]);
  if (Array.isArray(input)) throw new Error(JSON.stringify(input));
  return planBatch(input);
}
