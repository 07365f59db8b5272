import { DEED_WORDS, type Deed, NO_DEED_AFTER } from './data/method-words';
import { methodInEnglish } from './into-english';
import { blendedIn, goneIn, lidIn, minutesIn } from './method-sentences';

/** One thing a method says to do, with all that is said of it until the next. */
export interface Clause {
  deed: Deed;
  text: string;
  /** the same as it is written */
  said: string;
  minutes: number | null;
  /** of a time that is the last of the one before */
  isLast: boolean;
  lid: 'on' | 'ajar' | 'off' | null;
  gone: number | null;
  blended: number | null;
  isOffHeat: boolean;
  /** done in a pan of its own */
  isApart: boolean;
}

/** Sentences of a method, a line or a paragraph at a time. */
export function sentencesIn(paragraph: string): string[] {
  return paragraph
    .replace(/\b([Mm]ins?|[Hh]rs?|approx|ca|tbsp|tsp|c)\.(?=\s+[a-z(])/g, '$1')
    .split(/(?<=[.!])\s+|(?<=\.)(?=[A-Z])/)
    .map((sentence) => sentence.replace(/[.;!]\s*$/, '').trim())
    .filter((sentence) => sentence.length > 2);
}

const TERSE = /^(.*\S) in\b/i;
const APART =
  /\bin (?:a|another|a separate) (?:small |separate |second |frying |clean |little )*(?:pan|saucepan|frying pan)\b/i;
const LAST = /\bfor the (?:last|final) (?=\d|an?\b|half|ten|five|twenty|thirty)/i;

/** What a sentence says to do, in its order. */
export function clausesIn(written: string): Clause[] {
  const spoken = beginnings(written).length > 0 ? null : methodInEnglish(written);
  const sentence = spoken?.english ?? written;
  const begins = beginnings(sentence);
  const isDeedLast = begins.length > 0 && spoken?.isDeedLast === true;
  const cuts: Begun[] =
    begins.length > 0 ? begins : [{ deed: TERSE.test(sentence) ? 'put' : 'idle', at: 0, to: 0 }];
  let isOffHeat = false;
  return cuts.map(({ deed, at, to }, i) => {
    // what stands before the first word of the sentence belongs to it: “in a large pan”, “off the heat”
    const text = isDeedLast
      ? `${sentence.slice(at, to)} ${sentence.slice(cuts[i - 1]?.to ?? 0, at)}${i === cuts.length - 1 ? sentence.slice(to) : ''}`
      : sentence.slice(i === 0 ? 0 : at, cuts[i + 1]?.at ?? sentence.length);
    if (deed === 'offHeat') isOffHeat = true;
    return {
      deed,
      text: text.trim(),
      said: sentence === written ? text.replace(/[\s,;]+(?:and|then)?\s*$/, '').trim() : written,
      minutes: minutesIn(text),
      isLast: LAST.test(text),
      lid: lidIn(text),
      gone: goneIn(text),
      blended: blendedIn(text),
      isOffHeat: isOffHeat || (deed === 'time' && isStood(cuts[i + 1], sentence)),
      isApart: APART.test(sentence),
    };
  });
}

/** “Leave for ten minutes off the heat”: what is said after it is where it stands, not what is done next. */
const isStood = (next: Begun | undefined, sentence: string): boolean =>
  next?.deed === 'offHeat' && /^(?:off|away)/i.test(sentence.slice(next.at, next.to));

/** A word that begins a deed, and where it stands. */
interface Begun {
  deed: Deed;
  at: number;
  to: number;
}

function beginnings(sentence: string): Begun[] {
  const found: Begun[] = [];
  for (const [deed, words] of DEED_WORDS) {
    for (const match of sentence.matchAll(words)) {
      const at = match.index;
      const to = at + match[0].length;
      if (found.some((one) => at < one.to && to > one.at)) continue;
      if (deed !== 'offHeat' && NO_DEED_AFTER.test(sentence.slice(0, at))) continue;
      found.push({ deed, at, to });
    }
  }
  return found.sort((a, b) => a.at - b.at);
}
