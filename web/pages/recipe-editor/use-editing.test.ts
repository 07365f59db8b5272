import { describe, expect, it } from 'vitest';
import { libraryOf, rowsOf } from '../../../core/book';
import { readingTable, readRecipeText } from '../../../core/reader';
import { LEEK_SOUP } from '../../../core/testing/book';
import { BOOK } from '../../../demo/dishes/dishes';
import { kitchenView } from '../../../demo/kitchen-view';
import type { Book } from '../../data/use-book';
import { brokenClaimWords } from '../../words';
import { formOfDraft, formOfRecipe, look, unasked } from './use-editing';

const library = libraryOf(kitchenView(), BOOK);
const rows = rowsOf(library);
const book: Book = { recipes: BOOK, library, rows, table: readingTable(rows) };
const draft = readRecipeText(LEEK_SOUP, book.table);
const fresh = formOfDraft(draft, book);

describe('a draft laid out in the form', () => {
  it('has a bowl as large as its lines make it, and salt to the trade’s middle', () => {
    expect([fresh.name, fresh.portions, fresh.saltPercent, fresh.basedOn]).toEqual([
      'Leek and potato soup',
      '6',
      '0.9',
      null,
    ]);
    const litres = (Number(fresh.portions) * Number(fresh.portionMl)) / 1000;
    expect(litres).toBeGreaterThan(1.9);
    expect(litres).toBeLessThan(2.5);
  });
  it('takes a salt that is written for what the page wants, and one to taste for the trade’s', () => {
    const of = (salt: string) =>
      formOfDraft(readRecipeText(`Soup\nServes 4\n1 kg carrots\n1 L water\n${salt}`, book.table), book);
    // 12 g in 0.82 kg carrots and 1 kg water less 7 % steam: 0.7 %, and what the carrots bring
    expect(Number(of('12 g salt').saltPercent)).toBeCloseTo(0.8, 1);
    expect(Number(of('6 g salt').saltPercent)).toBeLessThan(Number(of('12 g salt').saltPercent));
    expect(of('salt to taste').saltPercent).toBe('0.9');
  });
  it('is a recipe with nothing to correct', () => {
    const seen = look(fresh, book);
    expect(seen.errors).toEqual([]);
    expect(seen.recipe.lines).toHaveLength(draft.written.length);
    expect(seen.holds!.diet).toBe('meat');
    expect(seen.costCents).toBeGreaterThan(20);
  });
  it.each([
    ['portions', { portions: 'six' }, /What it makes must be a number from 1 to 1000, not “six”/],
    ['portionMl', { portionMl: '3' }, /A bowl must be a number from 5/],
    ['saltPercent', { saltPercent: '9' }, /Salt must be a number from 0 to 5/],
    ['name', { name: '  ' }, /no name yet/],
    ['written', { written: [] }, /at least one line/],
  ] as const)('says what is wrong with its %s', (field, change, sentence) => {
    const { errors } = look({ ...fresh, ...change } as typeof fresh, book);
    expect(errors.find((one) => one.field === field)!.sentence).toMatch(sentence);
  });
  it('names the line that is not understood, and the one whose parts do not add up', () => {
    const [first, second, ...rest] = fresh.written;
    const { errors } = look(
      {
        ...fresh,
        written: [
          { ...first!, text: '2 dragons' },
          { ...second!, parts: [{ stageId: fresh.stages[0]!.id, share: 0.5 }] },
          ...rest,
        ],
      },
      book,
    );
    expect(errors.map((one) => one.field)).toEqual([`line.${first!.id}`, `line.${second!.id}`]);
    expect(errors[1]!.sentence).toBe('Its parts come to 50 % of it, not to the whole.');
  });
});

describe('a recipe of the book taken up again', () => {
  it.each(
    BOOK.map((recipe) => [recipe.name, recipe] as const),
  )('%s comes out of the form as it went in', (_name, recipe) => {
    const own: Book = {
      ...book,
      rows: rowsOf(library, recipe.id),
      table: readingTable(rowsOf(library, recipe.id)),
    };
    const seen = look(formOfRecipe(recipe, own), own);
    expect(seen.errors).toEqual([]);
    expect([seen.recipe.id, seen.recipe.name, seen.recipe.targetSaltPercent, seen.recipe.claims]).toEqual([
      recipe.id,
      recipe.name,
      recipe.targetSaltPercent,
      recipe.claims,
    ]);
    expect(seen.recipe.stages).toEqual(recipe.stages);
    for (const [i, line] of recipe.lines.entries()) {
      const after = seen.recipe.lines[i]!;
      expect([after.ingredientId, after.stageId, after.scaling]).toEqual([
        line.ingredientId,
        line.stageId,
        line.scaling,
      ]);
      expect(after.kg / line.kg).toBeGreaterThan(0.95);
      expect(after.kg / line.kg).toBeLessThan(1.05);
    }
  });
  it('a false claim is named', () => {
    const form = formOfRecipe(BOOK.find((one) => one.id === 'mutton-leek-pot')!, book);
    expect(brokenClaimWords(look({ ...form, claims: ['vegan'] }, book).broken[0]!)).toMatch(
      /claim is vegan, and it contains Mutton/,
    );
  });
});

describe('edited and saved unchanged', () => {
  it.each(
    BOOK.map((recipe) => [recipe.name, recipe] as const),
  )('%s is the recipe it was', (_name, recipe) => {
    const seen = look(formOfRecipe(recipe, book), book);
    expect(seen.errors).toEqual([]);
    expect(seen.recipe).toEqual(recipe);
  });
  it.each(
    BOOK.map((recipe) => [recipe.name, recipe] as const),
  )('%s with a note has that note and nothing else new', (_name, recipe) => {
    const seen = look({ ...formOfRecipe(recipe, book), note: 'more pepper' }, book);
    expect(seen.recipe).toEqual({ ...recipe, note: 'more pepper' });
  });
  it('one line changed changes that line, and leaves the grams of the rest', () => {
    const chowder = BOOK.find((recipe) => recipe.id === 'trout-chowder')!;
    const form = formOfRecipe(chowder, book);
    const [first, ...others] = form.written;
    const seen = look({ ...form, written: [{ ...first!, text: '900 g onions, chopped' }, ...others] }, book);
    const rest = (lines: typeof chowder.lines) =>
      lines.filter((line) => (line.writtenId ?? line.id) !== first!.id);
    expect(rest(seen.recipe.lines)).toEqual(rest(chowder.lines));
    expect(seen.recipe.lines.find((line) => line.ingredientId === 'onion')!.kg).toBeGreaterThan(0.75);
    expect(seen.recipe.best).toEqual(chowder.best);
  });
});

describe('what a page left open', () => {
  const form = {
    ...formOfRecipe(BOOK.find((one) => one.id === 'trout-chowder')!, book),
    open: [],
  };
  const [stage, line] = [form.stages[0]!, form.written[0]!];
  const open = [
    { kind: 'portions' as const },
    { kind: 'minutes' as const, stageId: stage.id },
    { kind: 'place' as const, lineId: line.id },
  ];
  const kinds = (part: Parameters<typeof unasked>[1]) =>
    unasked({ ...form, open }, part).map((one) => one.kind);
  it('is closed by whoever sets it himself, and by nothing else', () => {
    expect(kinds({ note: 'x', name: 'y' })).toEqual(['portions', 'minutes', 'place']);
    expect(kinds({ portions: '77' })).toEqual(['minutes', 'place']);
    const ends = { rule: 'minutes' as const, minutes: 77 };
    expect(kinds({ stages: form.stages.map((one, i) => (i === 0 ? { ...one, ends } : one)) })).toEqual([
      'portions',
      'place',
    ]);
    const elsewhere = [{ stageId: form.stages.at(-1)!.id, share: 1 }];
    expect(
      kinds({ written: form.written.map((one) => (one === line ? { ...one, parts: elsewhere } : one)) }),
    ).toEqual(['portions', 'minutes']);
  });
});
