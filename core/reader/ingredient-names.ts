import type { Ingredient } from '../matter';

/** Names by their words, for a set of ingredients; made once for a table. */
export interface IngredientNames {
  byWords: ReadonlyMap<string, string>;
  longest: number;
}

/** One name found in a line: whose it is, and which words it took. */
export interface FoundName {
  ingredientId: string;
  from: number;
  to: number;
}

/** Words in small letters, singular, hyphens parted. */
export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}\p{N}%'/.]+/u)
    .map((word) => word.replace(/^[.'/]+|[.'/]+$/g, ''))
    .filter((word) => word !== '')
    .map(singular);
}

/** Every name and alias of a table. The first ingredient that claims a name keeps it. */
export function ingredientNames(ingredients: Iterable<Ingredient>): IngredientNames {
  const byWords = new Map<string, string>();
  let longest = 1;
  const claim = (name: string, id: string) => {
    const words = wordsOf(name);
    const key = words.join(' ');
    if (key === '') return;
    longest = Math.max(longest, words.length);
    if (!byWords.has(key)) byWords.set(key, id);
  };
  const rows = [...ingredients];
  for (const one of rows) claim(one.name, one.id);
  for (const one of rows) for (const alias of one.aliases ?? []) claim(alias, one.id);
  for (const one of rows) claim(one.id.replace(/-/g, ' '), one.id);
  return { byWords, longest };
}

/** The longest name among the words; of two as long, the later: the noun comes last. */
export function findName(names: IngredientNames, words: readonly string[]): FoundName | null {
  for (let length = Math.min(names.longest, words.length); length > 0; length--) {
    for (let from = words.length - length; from >= 0; from--) {
      const ingredientId = names.byWords.get(words.slice(from, from + length).join(' '));
      if (ingredientId) return { ingredientId, from, to: from + length };
    }
  }
  return null;
}

/** A name spelt nearly so: at most two letters off, and none off in a short word. */
export function nearName(names: IngredientNames, words: readonly string[]): FoundName | null {
  let best: (FoundName & { off: number }) | null = null;
  for (const [key, ingredientId] of names.byWords) {
    const length = key.split(' ').length;
    for (let from = 0; from + length <= words.length; from++) {
      const said = words.slice(from, from + length).join(' ');
      const allowed = said.length >= 8 ? 2 : said.length >= 5 ? 1 : 0;
      if (Math.abs(said.length - key.length) > allowed) continue;
      const off = lettersOff(said, key);
      if (off <= allowed && off > 0 && (!best || off < best.off)) {
        best = { ingredientId, from, to: from + length, off };
      }
    }
  }
  return best;
}

function singular(word: string): string {
  if (IRREGULAR[word]) return IRREGULAR[word];
  if (word.length < 4 || /(ss|us|is)$/.test(word)) return word;
  if (/ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/(ch|sh|ss|x|z|o)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
}

const IRREGULAR: Readonly<Record<string, string>> = {
  leaves: 'leaf',
  loaves: 'loaf',
  halves: 'half',
  anchovies: 'anchovy',
  chillies: 'chilli',
  chilies: 'chili',
  chiles: 'chile',
  purées: 'purée',
  cloves: 'clove',
  olives: 'olive',
  chives: 'chive',
  couscous: 'couscous',
  molasses: 'molasses',
  asparagus: 'asparagus',
  radishes: 'radish',
  artichokes: 'artichoke',
  slices: 'slice',
  pieces: 'piece',
};

/** Letters to put in, leave out or change, to make one word of the other (Levenshtein). */
function lettersOff(a: string, b: string): number {
  let before = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      row[j] = Math.min(before[j]! + 1, row[j - 1]! + 1, before[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1));
    }
    before = row;
  }
  return before[b.length]!;
}
