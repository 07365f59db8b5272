import { STAGE_KIND_DATA, type StageKind } from '../recipe';
import { NUMBER_WORDS } from './data/words';
import { plainNumber, tidyLine } from './read-amount';

/* What the sentences of a written method say: which stage, how long, how far, by which school. */

/** Stages in the order a soup goes through them. */
export const STAGE_ORDER: readonly StageKind[] = [
  'start',
  'liquid',
  'simmer',
  'additions',
  'lift',
  'reduce',
  'puree',
  'thicken',
  'finish',
  'season',
  'serve',
  'keep',
];

/** Sentences, and where one both boils and simmers, that in two. */
export function sentencesOf(paragraph: string): string[] {
  return paragraph
    .split(/(?<=[.!;])\s+(?=[A-Z])|(?<=\.)\s+/)
    .flatMap((sentence) =>
      sentence.split(
        /(?:,? and |, then |; |, )(?=simmer|cook |reduce|blend|pur[ée]e|season|serve|stir in the (?:cream|herb|parsley|lemon))/i,
      ),
    )
    .map((sentence) => sentence.replace(/[.;]\s*$/, '').trim())
    .filter((sentence) => sentence.length > 2);
}

/** The kind of stage that a sentence tells of, or null. */
export function stageKindOf(sentence: string): StageKind | null {
  let best: { kind: StageKind; at: number } | null = null;
  for (const kind of STAGE_ORDER) {
    const match = STAGE_KIND_DATA[kind].tells.exec(sentence);
    if (match && (!best || match.index < best.at)) best = { kind, at: match.index };
  }
  return best?.kind ?? null;
}

/** The edge a cut says, cm: “2 cm dice”, “sliced 3 mm”; null where it says none. */
export function edgeOf(cut: string): number | null {
  const match = /(\d+(?:[.,]\d+)?)\s*(mm|cm)\b/i.exec(cut);
  if (!match) return null;
  const value = Number(match[1]!.replace(',', '.'));
  return match[2]!.toLowerCase() === 'mm' ? value / 10 : value;
}

const N = String.raw`(\d+(?:[.,]\d+)?(?:\s+\d\/\d)?|\d\/\d|an?|half an?|(?:(?:twenty|thirty|forty|fifty)[- ])?(?:one|two|three|four|five|six|seven|eight|nine)|ten|twelve|fifteen|twenty|thirty|forty|fifty|sixty)`;
const HOURS = String.raw`(?:hours?|hrs?|h)\b\.?`;
const MINUTES = String.raw`(?:minutes?|mins?|min)\b\.?`;
const UP_TO = String.raw`(?:\s*(?:-|–|to|or)\s*${N})?`;
/** “1 hour 45”, “1 hr 30 mins”, “an hour and a half”. */
const HOURS_AND = new RegExp(
  String.raw`\b${N}${UP_TO}\s*${HOURS}(?:,?\s*(?:and\s*)?(?:(\d{1,2})(?!\d|\s*(?:°|[cf]\b|h|%|ml|g\b|kg|l\b|cm|mm|oz|lb|litre|liter|pint|cup|[.,]\d))(?:\s*${MINUTES})?|(?:an?\s+|(?=three))(half|quarter|three[- ]quarters)\b))?`,
  'i',
);
const PLAIN_MINUTES = new RegExp(String.raw`\b${N}${UP_TO}\s*${MINUTES}`, 'i');
const PART_OF_HOUR = /\b(half|three[- ]quarters of|(?:a )?quarter of) an hour\b/i;

function countOf(text: string): number {
  const said = text.toLowerCase();
  if (/^half/.test(said)) return 0.5;
  const words = said.split(/[- ]/).map((word) => NUMBER_WORDS[word]);
  return words.every((n) => n !== undefined) ? words.reduce((sum, n) => sum + n, 0) : plainNumber(said);
}

/**
 * Minutes a sentence names: “20 minutes”, “1 hour 45”, “1¾ hours”, “an hour and a half”; of a range the middle.
 *
 * @param sentence as written, its fractions as signs or strokes
 * @returns minutes; null where it names none
 */
export function minutesIn(sentence: string): number | null {
  const text = tidyLine(sentence);
  const part = PART_OF_HOUR.exec(text);
  if (part) return /^half/i.test(part[1]!) ? 30 : /three/i.test(part[1]!) ? 45 : 15;
  const hours = HOURS_AND.exec(text);
  const plain = PLAIN_MINUTES.exec(text);
  if (hours && (!plain || hours.index <= plain.index)) {
    const low = countOf(hours[1]!);
    const more = hours[3]
      ? Number(hours[3])
      : hours[4]
        ? /half/i.test(hours[4])
          ? 30
          : /three/i.test(hours[4])
            ? 45
            : 15
        : 0;
    return 60 * middleOf(low, hours[2]) + more;
  }
  return plain ? middleOf(countOf(plain[1]!), plain[2]) : null;
}

const middleOf = (low: number, high: string | undefined): number =>
  high === undefined ? low : (low + countOf(high)) / 2;

const SHARES: readonly [RegExp, number][] = [
  [/two[- ]thirds|2\/3/i, 2 / 3],
  [/three[- ]quarters|3\/4/i, 0.75],
  [/(?:a|one)[- ]third|1\/3/i, 1 / 3],
  [/(?:a|one)[- ]quarter|1\/4/i, 0.25],
  [/(?:a|one)[- ]fifth|1\/5/i, 0.2],
  [/half|1\/2/i, 0.5],
];

function shareIn(words: string): number | null {
  const percent = /(\d{1,2})\s*(?:%|per ?cent)/i.exec(words);
  return percent ? Number(percent[1]) / 100 : (SHARES.find(([said]) => said.test(words))?.[1] ?? null);
}

/** The share a sentence lets boil away, 0..1; null where it says none. “Reduce to a third” leaves a third. */
export function goneIn(sentence: string): number | null {
  const text = tidyLine(sentence);
  const to =
    /(?:reduc\w+|boil\w* down|cook\w* down|down) to (?:about |around )?((?:a|one|two|three|\d)[^.,;]*)/i.exec(
      text,
    );
  const left = to && !/litre|liter|ml\b|pint|cup/i.test(to[1]!) ? shareIn(to[1]!) : null;
  if (left !== null) return 1 - left;
  const by =
    /(?:\bby (?:about |around |roughly )?|until (?:about )?|\breduc\w+ )((?:a |one |two |three )?[^.,;]*)/i.exec(
      text,
    );
  const gone = by ? shareIn(by[1]!) : null;
  return gone ?? (/\bgone\b/i.test(text) ? shareIn(text) : null);
}

/** The share of the pot that a sentence blends, 0..1; null where it says none: all of it. */
export function blendedIn(sentence: string): number | null {
  const match =
    /(?:blend|pur[ée]e|liquidi[sz]e|blitz|whizz|mash|crush|process)\w*\s+((?:about |roughly |up to )?(?:half|a |one |two |three |\d|1\/)[^.,;]*)/i.exec(
      tidyLine(sentence),
    );
  return match ? shareIn(match[1]!) : null;
}

/** The lid a sentence says; null where it says none. */
export function lidIn(sentence: string): 'on' | 'ajar' | 'off' | null {
  if (/\buncovered\b|\b(?:without (?:a|the) lid|lid off|open pan|no lid)\b/i.test(sentence)) return 'off';
  if (/\b(?:half|partly|part|partially)[- ]covered\b|\blid (?:ajar|tilted|askew)\b|\bajar\b/i.test(sentence))
    return 'ajar';
  return /(?<!to )\bcover(?:ed)?\b(?! by| with (?:water|stock|cold))|\b(?:with (?:a|the) lid|lid on|put the lid)\b/i.test(
    sentence,
  )
    ? 'on'
    : null;
}

export function methodIn(sentence: string, kind: StageKind | null): string | undefined {
  if (kind === 'start') {
    if (/carameli/i.test(sentence)) return 'caramelise-covered';
    if (/brown (the )?(meat|beef|venison|mutton|lamb|chicken)/i.test(sentence)) return 'brown-meat';
    if (/flour/i.test(sentence)) return 'flour-dusted';
  }
  if (kind === 'puree')
    return /sieve|pass/i.test(sentence)
      ? 'puree-sieved'
      : blendedIn(sentence) !== null || /\bpart\b/i.test(sentence)
        ? 'puree-part'
        : undefined;
  if (kind === 'simmer' && /uncovered|open|lid off/i.test(sentence)) return 'simmer-open';
  return undefined;
}
