import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { LINES_HARD } from './data/lines-hard';
import { LINES_OF_A_LAST_LOOK } from './data/lines-of-a-last-look';
import { LINES_OF_ANOTHER_DAY } from './data/lines-of-another-day';
import { LINES_KEPT_APART, LINES_OF_MANY_HANDS } from './data/lines-of-many-hands';
import { LINES_ON_PAPER } from './data/lines-on-paper';
import { type ExpectedLine, LINES_WRITTEN_FIRST } from './data/lines-written-first';
import { understandLine } from './lines-of';
import { readLine, readOrThrow } from './read-line';
import { readingTable } from './reading-table';

const table = readingTable(INGREDIENT_BY_ID);

/** What differs between what a line means and what it was taken for. */
export function differences(line: ExpectedLine): string[] {
  const read = readLine(line.text, table);
  const wanted = typeof line.amount === 'number' ? [line.amount, line.amount] : line.amount;
  const got = read.amount ? [read.amount.low, read.amount.high] : null;
  const wrong: string[] = [];
  const same = (name: string, a: unknown, b: unknown) => {
    if (JSON.stringify(a) !== JSON.stringify(b))
      wrong.push(`${name}: ${JSON.stringify(b)}, not ${JSON.stringify(a)}`);
  };
  same('amount', wanted, got);
  same('unit', line.unit, read.unit);
  same('ingredient', line.ingredientId, read.ingredientId);
  same('cut', line.cut ?? '', read.cut);
  same('comes out', line.comesOut ?? false, read.comesOut);
  same('to taste', line.toTaste ?? false, read.toTaste);
  if (
    line.purchasedG !== undefined &&
    Math.abs((read.purchasedG ?? 0) - line.purchasedG) > 0.02 * line.purchasedG
  ) {
    wrong.push(`grams: ${read.purchasedG}, not ${line.purchasedG}`);
  }
  return wrong;
}

/** Where the reader is right and the line written first was not: weighed grated, so the grams are edible. */
const DISPUTED: ReadonlySet<string> = new Set(['50 g grated hard cheese']);

describe('lines as cooks write them', () => {
  const all = [...LINES_WRITTEN_FIRST, ...LINES_HARD];

  it('sixty written before the reader: at least 95 % exact, none silently wrong', () => {
    const wrong = LINES_WRITTEN_FIRST.filter((line) => differences(line).length > 0);
    expect(wrong.length / LINES_WRITTEN_FIRST.length).toBeLessThanOrEqual(0.05);
    for (const line of wrong.filter((one) => !DISPUTED.has(one.text))) {
      expect(
        readLine(line.text, table).warnings,
        `${line.text}: ${differences(line).join('; ')}`,
      ).not.toEqual([]);
    }
  });
  it('there are at least a hundred and fifty', () => expect(all.length).toBeGreaterThanOrEqual(150));
  it.each(LINES_HARD)('$text', (line) => {
    expect(differences(line)).toEqual([]);
    const kinds = readLine(line.text, table).warnings.map((warning) => warning.kind);
    if (line.warning) expect(kinds).toContain(line.warning);
    else expect(kinds).toEqual([]);
  });
  it('no line written first raises a doubt it does not deserve', () => {
    const doubted = LINES_WRITTEN_FIRST.filter((line) => {
      const kinds = readLine(line.text, table).warnings.map((warning) => warning.kind);
      return kinds.some((kind) => kind !== 'range') && differences(line).length === 0;
    });
    expect(doubted.map((line) => line.text)).toEqual([]);
  });
  it('an American kitchen’s cup and pint are its own', () => {
    const us = readingTable(INGREDIENT_BY_ID, 'us');
    expect(readLine('1 pint milk', us).purchasedG).toBeCloseTo(473.176473 * 1.03, 3);
    expect(readLine('1 pint milk', table).purchasedG).toBeCloseTo(568.26125 * 1.03, 3);
    expect(readLine('1 cup flour', us).edibleG).toBeCloseTo(236.5882365 * 0.53, 3);
  });
  it('reads anything at all without falling over (seed 1240)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60, unit: 'grapheme' }), (text) => {
        const read = readLine(text, table);
        expect(read.ingredientId === null ? read.warnings.length : 1).toBeGreaterThan(0);
        if (read.edibleG !== null) expect(Number.isFinite(read.edibleG) && read.edibleG >= 0).toBe(true);
      }),
      { seed: 1240, numRuns: 500 },
    );
  });
});

describe('lines on paper, of many hands, written before their reader', () => {
  const lines = [...LINES_ON_PAPER, ...LINES_OF_MANY_HANDS];
  const wrong = lines.filter((line) => {
    const read = readOrThrow(line.text, table);
    const isSo = line.g === null || Math.abs((read.purchasedG ?? 0) - line.g) <= 0.03 * line.g;
    return !(
      read.ingredientId === line.id &&
      isSo &&
      read.comesOut === (line.comesOut ?? false) &&
      read.toTaste === (line.toTaste ?? false)
    );
  });
  it('97 in a hundred are read right, and none wrong without a doubt', () => {
    expect(lines.length).toBeGreaterThanOrEqual(300);
    expect(wrong.length / lines.length, wrong.map((one) => one.text).join('; ')).toBeLessThan(0.03);
    for (const line of wrong) expect(readLine(line.text, table).warnings, line.text).not.toEqual([]);
  });
  it('what has to be asked about is, but for one in ten', () => {
    const asked = lines.filter((line) => line.doubt);
    const silent = asked.filter((line) => readLine(line.text, table).warnings.length === 0);
    expect(silent.length / asked.length, silent.map((one) => one.text).join('; ')).toBeLessThan(0.1);
  });
  it('what need not be asked about is not, but for a range and one in twenty', () => {
    const asked = lines.filter(
      (line) =>
        !line.doubt && readLine(line.text, table).warnings.some((warning) => warning.kind !== 'range'),
    );
    expect(asked.length / lines.length, asked.map((one) => one.text).join('; ')).toBeLessThan(0.05);
  });
  it('ten thousand lines put together from pieces of these: none makes the reader fall over (seed 1709)', () => {
    const pieces = [...new Set(lines.flatMap((line) => line.text.split(/(?<=[\s,(])|(?=[,)])/)))];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...pieces), { minLength: 1, maxLength: 9 }), (parts) => {
        const read = readOrThrow(parts.join(''), table);
        if (read.purchasedG !== null)
          expect(Number.isFinite(read.purchasedG) && read.purchasedG >= 0).toBe(true);
      }),
      { seed: 1709, numRuns: 10_000 },
    );
  });
  it('a line that it falls over is a doubt on that line', () => {
    const broken = { ...table, names: null as unknown as typeof table.names };
    expect(() => readOrThrow('1 onion', broken)).toThrow();
    expect(readLine('1 onion', broken).warnings).toEqual([{ kind: 'unknown', name: '1 onion' }]);
  });
});

describe('the lines kept apart', () => {
  it.each([
    ['of another day', LINES_OF_ANOTHER_DAY],
    ['of a last look', LINES_OF_A_LAST_LOOK],
  ])('those %s are read right, and asked about where they have to be', (_, kept) => {
    const wrong = kept.filter((line) => {
      const read = readLine(line.text, table);
      if (line.doubt && read.warnings.length === 0) return true;
      if (line.doubt && line.g === null) return false;
      const isSo = line.g === null || Math.abs((read.purchasedG ?? 0) - line.g) <= 0.03 * line.g;
      return read.ingredientId !== line.id || !isSo || read.comesOut !== (line.comesOut ?? false);
    });
    expect(wrong.map((line) => line.text)).toEqual([]);
  });
  it('but for one are read right: peppercorns in a bag, which do come out', () => {
    const wrong = LINES_KEPT_APART.filter((line) => {
      const read = readLine(line.text, table);
      const isAsked = line.doubt && line.g === null && read.warnings.length > 0;
      const isSo = line.g === null || Math.abs((read.purchasedG ?? 0) - line.g) <= 0.03 * line.g;
      const isRight = read.ingredientId === line.id && isSo && read.comesOut === (line.comesOut ?? false);
      return !isRight && !isAsked;
    });
    expect(wrong.map((line) => line.id)).toEqual(['peppercorn']);
  });
});

describe('families that the lines kept apart have shown', () => {
  it.each([
    // the amount after the name
    ['Parsnips — 4 kg, peeled', 'parsnip', 4000],
    ['cream: 300 ml', 'cream', 300],
    ['Swede 2.4kg diced', 'swede', 2400],
    ['lard ..... 90 g', 'lard', 90],
    ['Leeks x 4', 'leek', 1000],
    ['Red wine: 1 bottle (750 ml)', 'red-wine', 750],
    ['pinch of turmeric', 'turmeric', 0.3],
    // weights in brackets
    ['2 whole chickens (3½ lb each)', 'chicken-whole', 3175],
    ['1 squash (1.2-1.4 kg)', 'squash', 1300],
    ['1 cup (180 g) red lentils', 'red-lentil', 180],
    // a state after the comma, a noun that two share, a measure behind the name
    ['300 g mackerel, smoked', 'smoked-mackerel', 300],
    ['1 kg bones, chicken', 'chicken-bones', 1000],
    ['2 litres chicken or vegetable stock', 'chicken-stock', 2010],
    ['400 g smoked haddock fillets', 'smoked-haddock', 400],
    ['3 heads of fennel', 'fennel', 900],
    ['1 whole bulb of garlic', 'garlic', 50],
    // another food that is only mixed in
    ['2 tbsp arrowroot mixed with 4 tbsp cold water', 'arrowroot', 16.2],
  ])('%s', (text, id, g) => {
    const read = readLine(text, table);
    expect(read.ingredientId).toBe(id);
    expect(Math.abs(read.purchasedG! - g) / g, String(read.purchasedG)).toBeLessThan(0.05);
  });
  it('an amount of something else is not the food’s', () => {
    for (const text of ['dried mushrooms soaked in 200 ml water', 'stock to come up to 4 litres'])
      expect(readLine(text, table).purchasedG, text).toBeNull();
  });
  it.each([
    ['350 g leeks, trimmed weight', 'leek', 350 / 0.55],
    ['400 g squash (peeled weight)', 'squash', 400 / 0.78],
    ['2 lemons, juice only', 'lemon-juice', 90],
    ['1 lime, just the juice', 'lime-juice', 30],
  ])('%s', (text, id, g) => {
    const read = readLine(text, table);
    expect(read.ingredientId).toBe(id);
    expect(Math.abs(read.purchasedG! - g)).toBeLessThan(1);
  });
  it('what is tied in muslin comes out; what brackets offer instead is asked about', () => {
    expect(readLine('12 peppercorns, tied in muslin', table).comesOut).toBe(true);
    for (const text of ['1 l vegetable stock (or water)', '200 ml cream (single or double)'])
      expect(readLine(text, table).warnings.map((one) => one.kind)).toContain('either');
  });
});

describe('a line of a saved recipe', () => {
  const saved = new Map([['w1', { text: '1 onion', ingredientId: 'red-onion' }]]);
  const food = (text: string) =>
    understandLine({ id: 'w1', text, parts: [] }, { ...table, saved }).ingredient?.id;
  it('keeps the food it was saved with while it names what it named, and not another', () => {
    expect([food('1 onion'), food('2 onions, sliced'), food('2 leeks')]).toEqual([
      'red-onion',
      'red-onion',
      'leek',
    ]);
  });
});

describe('what the trade knows of weights (common practice)', () => {
  const grams = (text: string) => readLine(text, table).purchasedG!;
  it('a middling onion is about 150 g, a large one about 220; a carrot 75', () => {
    expect(Math.abs(grams('5 large onions') - 1100)).toBeLessThan(55);
    expect(Math.abs(grams('6 onions') - 900)).toBeLessThan(45);
    expect(Math.abs(grams('4 carrots') - 300)).toBeLessThan(15);
  });
  it('30 g of flour is about a quarter cup', () =>
    expect(Math.abs(grams('1/4 cup flour') - 30)).toBeLessThan(4));
  it('a teaspoon of salt by its grain: fine 6 g, fine sea salt 5.5, coarse 5, pressed flakes 4.8, hollow 2.8, flaky 2.5', () => {
    expect(Math.abs(grams('1 tsp salt') - 6)).toBeLessThan(0.2);
    expect(Math.abs(grams('1 tsp fine sea salt') - 5.5)).toBeLessThan(0.2);
    expect(Math.abs(grams('1 tsp coarse salt') - 5)).toBeLessThan(0.2);
    expect(Math.abs(grams('1 tsp kosher salt') - 4.8)).toBeLessThan(0.2);
    expect(Math.abs(grams('1 tsp light kosher salt') - 2.8)).toBeLessThan(0.2);
    expect(Math.abs(grams('1 tsp flaky salt') - 2.5)).toBeLessThan(0.2);
  });
  it('equal spoons of fat and flour are about 1.8 to 1 by weight', () =>
    expect(Math.abs(grams('1 tbsp butter') / grams('1 tbsp flour') - 1.8)).toBeLessThan(0.1));
  it('a cup of sugar is about 200 g, of rice about 200, of butter about 227 (household tables, from memory)', () => {
    const us = readingTable(INGREDIENT_BY_ID, 'us');
    const cup = (what: string) => readLine(`1 cup ${what}`, us).purchasedG!;
    expect(Math.abs(cup('sugar') - 200)).toBeLessThan(10);
    expect(Math.abs(cup('rice') - 200)).toBeLessThan(15);
    expect(Math.abs(cup('butter') - 227)).toBeLessThan(10);
  });
});
