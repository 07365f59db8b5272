import { readingDoubt } from '../../../contract';
import type { Doubt, DoubtChoice, ParseWarning } from '../../../core/reader';
import { measuresHere, weight } from '../amounts';

/** What was doubtful in a written line: the wire's own words, in this kitchen's measures. */
export const doubtWords = (doubt: ParseWarning): string => readingDoubt(doubt, measuresHere());

/** What is asked of a doubt. */
export function doubtQuestion(about: Doubt['about']): string {
  switch (about.kind) {
    case 'portions':
      return 'How many bowls does it make? The page does not say.';
    case 'minutes':
      return 'How long? The page does not say; the usual time was taken.';
    case 'mark':
      return 'How much boils away? The page does not say; the usual mark was taken.';
    case 'place':
      return 'No sentence of the method names it. Where does it go in?';
    default:
      return doubtWords(about);
  }
}

/** One answer on its button: what it is, and what goes in by it. */
export function doubtChoiceWords({ about }: Doubt, { id, name, grams, change }: DoubtChoice): string {
  const comesTo = grams === null ? '' : weight(grams / 1000);
  const of = (words: string) => (comesTo ? `${words}, ${comesTo}` : words);
  if (about.kind === 'place') return name ?? '';
  if (change.what === 'minutes') return `${Math.round(change.minutes)} min`;
  if (change.what === 'gone') return `${Math.round(change.fractionGone * 100)} % boils away`;
  if (change.what === 'newLine') return `“${name}” on a line of its own`;
  if (id === 'only') return `Only ${name?.toLowerCase() ?? ''}`;
  if (id in CHOICES) return of(CHOICES[id as keyof typeof CHOICES]);
  return of(name ?? 'Yes');
}

const CHOICES = {
  low: 'The less',
  middle: 'The middle',
  high: 'The more',
  each: 'Each',
  all: 'All together',
  brackets: 'As in brackets',
  read: 'As beside them',
  thousands: 'The comma parts thousands',
};
