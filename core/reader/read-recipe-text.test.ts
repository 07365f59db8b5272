import { describe, expect, it } from 'vitest';
import type { StageKind } from '../recipe';
import { TABLE } from '../testing/book';
import { minutesIn, readRecipeText, stageKindOf } from './';
import { edgeOf } from './method-sentences';

const read = (text: string) => readRecipeText(text, TABLE);

describe('whole pages of paper', () => {
  it('headings, bullets, numbered steps and a yield in words', () => {
    const draft = read(`# Beetroot broth
Makes 8 portions
Bowls of 300 ml

Ingredients:
- 1 kg beetroot, scrubbed
- 2 L vegetable stock
• 2 tbsp cider vinegar
* salt to taste

Method:
1. Bring the stock to the boil with the beetroot.
2. Simmer for 40 minutes.
3. Season with the vinegar and salt.
4. Serve.`);
    expect([draft.name, draft.portions, draft.portionMl]).toEqual(['Beetroot broth', 8, 300]);
    expect(draft.written.map((line) => line.text)).toHaveLength(4);
    expect(draft.stages.map((stage) => stage.kind)).toEqual(['liquid', 'simmer', 'season', 'serve']);
    expect(draft.stages[1]!.ends).toEqual({ rule: 'minutes', minutes: 40 });
  });
  it('the yield beside the name, a range of people, no heading at all', () => {
    const draft = read(
      'Pea soup, serves 4 to 6\n500 g frozen peas\n1 L vegetable stock\nBring the stock to the boil, add the peas and simmer for 5 minutes. Blend and serve.',
    );
    expect([draft.name, draft.portions]).toEqual(['Pea soup', 5]);
    expect(draft.stages.map((stage) => stage.kind)).toEqual([
      'liquid',
      'additions',
      'puree',
      'season',
      'serve',
    ]);
  });
  it('a reduction by a third, a purée through a sieve, a liaison', () => {
    const draft = read(
      'Velouté\n1 L chicken stock\n4 egg yolks\n200 ml double cream\n\nBring the stock to the boil. Reduce by a third. Blend and pass through a fine sieve. Thicken with the egg yolks and cream. Serve.',
    );
    const of = (kind: StageKind) => draft.stages.find((stage) => stage.kind === kind)!;
    expect(of('reduce').ends).toEqual({ rule: 'fall', fractionGone: 1 / 3 });
    expect(of('puree').does).toEqual({ kind: 'puree', share: 1, sieve: 'fine' });
    expect(draft.written[1]!.parts[0]!.stageId).toBe(of('thicken').id);
  });
  it('meat browned, flour stirred in, onions caramelised: each by its school', () => {
    const draft = read(
      'Stew\n1 kg venison, 3 cm dice\n2 onions\n40 g plain flour\n1 L game stock\n\nBrown the venison. Caramelise the onions. Stir in the flour. Pour in the stock and simmer for 2 hours. Serve.',
    );
    expect(draft.stages.slice(0, 1).map((stage) => stage.methodId)).toEqual(['brown-meat']);
    expect(draft.stages.find((stage) => stage.kind === 'simmer')!.ends).toEqual({
      rule: 'minutes',
      minutes: 120,
    });
  });
  it('serves are always last, and nothing is lost: every line goes in somewhere that is there', () => {
    for (const text of [
      '1 onion',
      'Soup\n1 onion',
      'Soup\n\nServe it hot.',
      'Soup\n1 onion\nServe. Then simmer for 5 minutes.',
      'A\nB\nC',
    ]) {
      const draft = read(text);
      expect(draft.stages.at(-1)!.ends.rule, text).toBe('served');
      expect(draft.stages.filter((stage) => stage.ends.rule === 'served')).toHaveLength(1);
      expect(new Set(draft.stages.map((stage) => stage.id)).size).toBe(draft.stages.length);
      for (const line of draft.written) {
        expect(line.parts.reduce((sum, part) => sum + part.share, 0)).toBeCloseTo(1, 9);
        for (const part of line.parts)
          expect(draft.stages.some((stage) => stage.id === part.stageId)).toBe(true);
      }
    }
  });
  it('hard roots without a clock set the simmer by their size and softness', () => {
    const draft = read('Broth\n1 kg carrots, 2 cm dice\n200 g celery, sliced\n2 L vegetable stock');
    expect(draft.stages.find((stage) => stage.kind === 'simmer')!.ends).toEqual({
      rule: 'soft',
      edgeCm: 2,
      softenMin: 12,
    });
  });
});

describe('what sentences say', () => {
  it.each([
    ['simmer for 20 minutes', 20],
    ['cook 1-2 hours', 90],
    ['for 1,5 h', 90],
    ['half an hour', 30],
    ['about an hour', 60],
    ['25 to 30 min', 27.5],
    ['until tender', null],
  ])('“%s” is %s minutes', (sentence, minutes) => expect(minutesIn(sentence)).toBe(minutes));
  it.each([
    ['Soften the onion in the butter', 'start'],
    ['Pour in the stock', 'liquid'],
    ['Bring to the boil', 'liquid'],
    ['Simmer gently', 'simmer'],
    ['Reduce by half', 'reduce'],
    ['Purée until smooth', 'puree'],
    ['Whisk in the cornflour', 'thicken'],
    ['Season to taste', 'season'],
    ['Stir in the cream', 'finish'],
    ['Ladle into bowls', 'serve'],
    ['Cool it quickly and chill', 'keep'],
    ['Hum a song', null],
  ] as const)('“%s” is %s', (sentence, kind) => expect(stageKindOf(sentence)).toBe(kind));
  it('an edge in mm or cm', () => {
    expect([edgeOf('sliced 3 mm'), edgeOf('2 cm dice'), edgeOf('1,5 cm'), edgeOf('finely chopped')]).toEqual([
      0.3,
      2,
      1.5,
      null,
    ]);
  });
});
