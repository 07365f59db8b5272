import { describe, expect, it } from 'vitest';
import { TABLE } from '../testing/book';
import { answered, type Doubt, doubtsOf, type RecipeDraft, readRecipeText, understandLine } from './';
import { PAGES_ON_PAPER } from './data/pages-on-paper';

const doubtsIn = (draft: RecipeDraft) => doubtsOf(draft, TABLE);
const page = (
  lines: string,
  method = 'Put everything in a pot and bring to the boil. Simmer for 20 minutes. Serve.',
) => readRecipeText(`Soup\nServes 4\n2 litres vegetable stock\n${lines}\n\n${method}`, TABLE);
const gramsOf = (draft: RecipeDraft, text: string) =>
  understandLine(draft.written.find((line) => line.text === text || line.settled === text)!, TABLE)
    .edibleKg! * 1000;
const press = (draft: RecipeDraft, doubt: Doubt, id: string) =>
  answered(draft, doubt, doubt.choices.find((one) => one.id === id)!.change);

describe('doubts in one place', () => {
  it('forty pages of forty hands leave three each at the most, and one on the average', () => {
    const counts = PAGES_ON_PAPER.map(({ name, text }) => ({
      name,
      count: doubtsIn(readRecipeText(text, TABLE)).length,
    }));
    expect(counts.filter(({ count }) => count > 3)).toEqual([]);
    expect(counts.reduce((sum, { count }) => sum + count, 0) / counts.length).toBeLessThan(1.2);
  });
  it('one press settles it, and it is not asked again', () => {
    const text = '1 leek or 2 small onions';
    const draft = page(text);
    const doubt = doubtsIn(draft).find((one) => one.words === text)!;
    expect(doubt.about.kind).toBe('either');
    expect(doubt.choices.map(({ name }) => name)).toEqual(['Leek', 'Onion']);
    for (const choice of doubt.choices) {
      const after = press(draft, doubt, choice.id);
      expect(doubtsIn(after).some((one) => one.words === text)).toBe(false);
      expect(gramsOf(after, text)).toBeCloseTo(choice.grams!, 6);
    }
  });
  it('of each or of all: both answers weigh what they say', () => {
    const text = '2 tins chopped tomatoes (800g)';
    const draft = page(text);
    const doubt = doubtsIn(draft).find((one) => one.about.kind === 'ofEach')!;
    expect(doubt.choices.map(({ id, grams }) => [id, Math.round(grams!)])).toEqual([
      ['each', 1600],
      ['all', 800],
    ]);
    expect(gramsOf(press(draft, doubt, 'all'), text)).toBeCloseTo(800, 6);
    expect(gramsOf(press(draft, doubt, 'each'), text)).toBeCloseTo(1600, 6);
  });
  it('two things in one line: the other gets a line of its own, and goes in where the first does', () => {
    const draft = page('salt and pepper to taste');
    const doubt = doubtsIn(draft).find((one) => one.about.kind === 'two')!;
    const after = press(draft, doubt, 'ownLine');
    const [salt, pepper] = after.written.slice(-2);
    expect(understandLine(pepper!, TABLE).ingredient?.id).toBe('black-pepper');
    expect(understandLine(salt!, TABLE).ingredient?.id).toBe('salt');
    expect(pepper!.parts).toEqual(salt!.parts);
    expect(new Set(after.written.map((line) => line.id)).size).toBe(after.written.length);
    expect(doubtsIn(after)).toEqual([]);
  });
  it('a simmer without a time, a mark without a share, a line that no sentence names, a table without a number', () => {
    const draft = readRecipeText(
      'Soup\n1 kg beef, diced\n2 L beef stock\n500 g peas\n\nPour in the stock with the beef and bring to the boil. Simmer. Reduce. Season and serve.',
      TABLE,
    );
    expect(draft.open.map(({ kind }) => kind).sort()).toEqual(['mark', 'place', 'portions']);
    const mark = doubtsIn(draft).find((one) => one.about.kind === 'mark')!;
    const reduced = answered(draft, mark, { what: 'gone', stageId: mark.stageId!, fractionGone: 0.4 });
    expect(reduced.stages.find((stage) => stage.kind === 'reduce')!.ends).toEqual({
      rule: 'fall',
      fractionGone: 0.4,
    });
    const place = doubtsIn(draft).find((one) => one.about.kind === 'place')!;
    expect(place.words).toBe('500 g peas');
    expect(press(draft, place, place.choices[1]!.id).open.map(({ kind }) => kind)).not.toContain('place');
    const many = doubtsIn(draft).find((one) => one.about.kind === 'portions')!;
    expect(answered(draft, many, { what: 'portions', portions: 12 }).portions).toBe(12);
  });
  it('a range that the pot would not notice is not asked about, one that it would is', () => {
    expect(doubtsIn(page('2-3 cloves garlic'))).toEqual([]);
    const doubt = doubtsIn(page('1 to 2 kg potatoes')).find((one) => one.about.kind === 'range')!;
    expect(doubt.choices.map(({ id, grams }) => [id, Math.round(grams!)])).toEqual([
      ['low', 840],
      ['middle', 1260],
      ['high', 1680],
    ]);
  });
  it('a spoon of salt by its grain: as taken, the hollow kind, the fine', () => {
    const doubt = doubtsIn(page('2 tsp kosher salt')).find((one) => one.about.kind === 'grain')!;
    expect(doubt.choices.map(({ id, grams }) => [id, Math.round(grams!)])).toEqual([
      ['keep', 10],
      ['light-kosher-salt', 6],
      ['salt', 12],
    ]);
  });
  it('settled words are settled for those words alone', () => {
    const draft = page('3 onions and carrots');
    const doubt = doubtsIn(draft).find((one) => one.about.kind === 'two')!;
    const after = press(draft, doubt, 'only');
    expect(doubtsIn(after)).toEqual([]);
    const retyped = {
      ...after,
      written: after.written.map((line) => (line.settled ? { ...line, text: '3 leeks and carrots' } : line)),
    };
    expect(doubtsIn(retyped).map((one) => one.words)).toEqual(['3 leeks and carrots']);
  });
});
