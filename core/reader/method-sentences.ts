import { STAGE_KIND_DATA, type StageKind } from '../recipe';

/* What the sentences of a written method say: which stage, how long, how far, by which school. */

/** Stages in the order a soup goes through them. */
export const STAGE_ORDER: readonly StageKind[] = [
  'start',
  'liquid',
  'simmer',
  'additions',
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

/** Minutes a sentence names; of a range the middle. */
export function minutesIn(sentence: string): number | null {
  const match =
    /(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*(min|minutes?|hours?|hrs?|h)\b/i.exec(
      sentence,
    );
  if (!match) return /\bhalf an hour\b/i.test(sentence) ? 30 : /\ban hour\b/i.test(sentence) ? 60 : null;
  const low = Number(match[1]!.replace(',', '.'));
  const high = match[2] ? Number(match[2].replace(',', '.')) : low;
  return ((low + high) / 2) * (/^h/i.test(match[3]!) ? 60 : 1);
}

/** The share a sentence lets boil away, 0..1. */
export function goneIn(sentence: string): number | null {
  if (/by (a )?half|until half/i.test(sentence)) return 0.5;
  if (/by a third|a third (has )?gone/i.test(sentence)) return 1 / 3;
  return /by a quarter|a quarter (has )?gone/i.test(sentence) ? 0.25 : null;
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
      : /half|part/i.test(sentence)
        ? 'puree-part'
        : undefined;
  if (kind === 'simmer' && /uncovered|open|lid off/i.test(sentence)) return 'simmer-open';
  return undefined;
}
