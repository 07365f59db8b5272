import type { Ingredient } from '../matter';
import { MEASURE_BY_WORD } from './data/measures';
import { STAND_INS } from './data/stand-ins';

/** Names by their words, for a set of ingredients; made once for a table. */
export interface IngredientNames {
  byWords: ReadonlyMap<string, string>;
  longest: number;
  /** of them, names of what the table does not have: the nearest stands in */
  standIns: ReadonlySet<string>;
  /** the tinned kind of a food, by its id */
  tinned: ReadonlyMap<string, string>;
  /** the same by how many words and then how many letters they have */
  bySize: ReadonlyMap<number, ReadonlyMap<number, readonly string[]>>;
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
    .map(singularOf);
}

/** Words of a kitchen come again and again: so many are kept with their singular. */
const KEPT_WORDS = 4000;
const kept = new Map<string, string>();

function singularOf(word: string): string {
  const before = kept.get(word);
  if (before !== undefined) return before;
  if (kept.size >= KEPT_WORDS) kept.clear();
  const one = singular(word);
  kept.set(word, one);
  return one;
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
  const known = new Set(rows.map((one) => one.id));
  const standIns = new Set<string>();
  for (const [name, id] of Object.entries(STAND_INS)) {
    const key = wordsOf(name).join(' ');
    if (byWords.has(key) || !known.has(id)) continue;
    claim(name, id);
    standIns.add(key);
  }
  const tinned = new Map(rows.flatMap((row) => (row.tinnedOf ? [[row.tinnedOf, row.id] as const] : [])));
  return { byWords, longest, standIns, tinned, bySize: bySizeOf(byWords.keys()) };
}

function bySizeOf(keys: Iterable<string>): Map<number, Map<number, string[]>> {
  const bySize = new Map<number, Map<number, string[]>>();
  for (const key of keys) {
    const words = key.split(' ').length;
    const ofWords = bySize.get(words) ?? new Map<number, string[]>();
    bySize.set(words, ofWords);
    ofWords.set(key.length, [...(ofWords.get(key.length) ?? []), key]);
  }
  return bySize;
}

/**
 * The longest name among the words; of two as long, the later: the noun comes last. But where the later ends in a measure,
 * the one that begins before it: a “smoked haddock fillet” is smoked haddock first.
 */
export function findName(names: IngredientNames, words: readonly string[]): FoundName | null {
  const at = (from: number, length: number): FoundName | null => {
    const ingredientId = names.byWords.get(words.slice(from, from + length).join(' '));
    return ingredientId ? { ingredientId, from, to: from + length } : null;
  };
  for (let length = Math.min(names.longest, words.length); length > 0; length--) {
    for (let from = words.length - length; from >= 0; from--) {
      const found = at(from, length);
      if (!found) continue;
      const isByMeasure = length > 1 && from > 0 && MEASURE_BY_WORD.has(words[found.to - 1]!);
      return (isByMeasure && at(from - 1, length)) || found;
    }
  }
  return null;
}

/** A name spelt nearly so: at most two letters off, and none off in a short word. */
export function nearName(names: IngredientNames, words: readonly string[]): FoundName | null {
  let best: (FoundName & { off: number }) | null = null;
  for (const [length, byLetters] of names.bySize) {
    for (let from = 0; from + length <= words.length; from++) {
      const said = words.slice(from, from + length).join(' ');
      const allowed = said.length >= 8 ? 2 : said.length >= 5 ? 1 : 0;
      if (allowed === 0) continue;
      for (let letters = said.length - allowed; letters <= said.length + allowed; letters++) {
        for (const key of byLetters.get(letters) ?? []) {
          const most = best ? Math.min(allowed, best.off - 1) : allowed;
          const off = lettersOff(said, key, most);
          if (off > 0 && off <= most)
            best = { ingredientId: names.byWords.get(key)!, from, to: from + length, off };
        }
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

/** Letters to put in, leave out or change, to make one word of the other (Levenshtein); given up beyond `most`. */
function lettersOff(a: string, b: string, most: number): number {
  let before = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const off = Math.min(before[j]! + 1, row[j - 1]! + 1, before[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1));
      row.push(off);
      if (off < least) least = off;
    }
    if (least > most) return least;
    before = row;
  }
  return before[b.length]!;
}
