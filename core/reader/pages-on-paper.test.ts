import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TABLE } from '../testing/book';
import { pageDifferences } from '../testing/page-differences';
import { readRecipeText } from './';
import { LINES_OF_MANY_HANDS } from './data/lines-of-many-hands';
import { PAGES_KEPT_APART } from './data/pages-kept-apart';
import { PAGES_OF_ANOTHER_DAY } from './data/pages-of-another-day';
import { PAGES_ON_PAPER } from './data/pages-on-paper';

const read = (text: string) => readRecipeText(text, TABLE);

/** The list on the left, the method broken at its right, the name across both. */
function inTwoColumns(text: string): string {
  const [list = '', method = ''] = text.split('\n\n');
  const [name, serves, ...foods] = list.split('\n');
  const rows = method.match(/.{1,40}(?:\s|$)/g)!.map((row) => row.trim());
  const both = Array.from({ length: Math.max(foods.length, rows.length) }, (_, i) =>
    `${(foods[i] ?? '').padEnd(44)}${rows[i] ?? ''}`.trimEnd(),
  );
  return [`${name}                                                     18`, serves, '', ...both].join('\n');
}

describe('pages on paper, of many hands, written before their reader', () => {
  const wrong = PAGES_ON_PAPER.map((page) => ({
    page,
    differences: pageDifferences(page, read(page.text)),
  })).filter(({ differences }) => differences.length > 0);
  it('at least 36 of 40 are right in every stage, time, mark, lid, share and place', () => {
    expect(PAGES_ON_PAPER).toHaveLength(40);
    const said = wrong.map(({ page, differences }) => `${page.name}: ${differences.join('; ')}`).join('\n');
    expect(wrong.length, said).toBe(0);
  });
  it('eight of another day are right', () => {
    for (const page of PAGES_OF_ANOTHER_DAY)
      expect(pageDifferences(page, read(page.text)), page.name).toEqual([]);
  });
  it.each([
    [
      'one paragraph, its list run on',
      (text: string) => text.replace(/\n(?=\d|salt)/g, '; ').replace(/\n+/g, '. '),
    ],
    ['set in two columns', inTwoColumns],
  ])('a page in another setting reads the same: %s', (_, set) => {
    const page = PAGES_ON_PAPER[0]!;
    expect(pageDifferences(page, read(set(page.text)))).toEqual([]);
  });
  it('what is no list and no column stays as it is', () => {
    const prose =
      'Leek soup\nServes 4\n3 leeks, sliced\n1 litre stock\n\nAdd the leeks, the stock, salt, pepper, and simmer 20 minutes.';
    expect(read(prose).written).toHaveLength(2);
  });
  it('of ten kept apart nine are right', () => {
    const off = PAGES_KEPT_APART.filter((page) => pageDifferences(page, read(page.text)).length > 0);
    expect(off.map((page) => page.name)).toEqual(['Mussel soup']);
  });
  it('what is set down beside a page can be missed: another page is not it', () => {
    const [first, second] = PAGES_ON_PAPER;
    expect(pageDifferences(first!, read(second!.text))).not.toEqual([]);
    const longer = first!.text.replace('10 minutes', '11 minutes');
    expect(pageDifferences(first!, read(longer))).toEqual([expect.stringMatching(/start of .* not 10 min/)]);
    expect(pageDifferences(first!, read(first!.text.replace('potatoes and stock', 'stock')))).not.toEqual([]);
  });
  it('a thousand pages put together from pieces of these: none falls, every line has its place (seed 1710)', () => {
    const pieces = [
      ...PAGES_ON_PAPER.flatMap((page) => page.text.split(/\n|(?<=\. )/)),
      ...LINES_OF_MANY_HANDS.map((line) => line.text),
      '',
      'Method:',
      'Serves',
      '…',
    ];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...pieces), { maxLength: 40 }), (lines) => {
        const draft = read(lines.join('\n'));
        const ids = new Set(draft.stages.map((stage) => stage.id));
        expect(ids.size).toBe(draft.stages.length);
        expect(draft.stages.at(-1)!.ends.rule).toBe('served');
        for (const line of draft.written) {
          expect(line.parts.reduce((sum, part) => sum + part.share, 0)).toBeCloseTo(1, 9);
          for (const part of line.parts) expect(ids.has(part.stageId)).toBe(true);
          if (line.backStageId) expect(ids.has(line.backStageId)).toBe(true);
        }
      }),
      { seed: 1710, numRuns: 1_000 },
    );
  });
});
