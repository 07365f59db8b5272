import type { ParseWarning } from '../../core/reader';
import { METRIC, type Measures } from '../../core/units';
import { dose } from './amounts';

/** What was doubtful in a written line, and how it was taken: on the wire and on the page. */
export function readingDoubt(doubt: ParseWarning, measures: Measures = METRIC): string {
  switch (doubt.kind) {
    case 'unknown':
      return `“${doubt.name}” is not in the table yet.`;
    case 'likely':
      return doubt.unread === null
        ? `Taken for ${doubt.name} by its spelling.`
        : `Taken for ${doubt.name}; “${doubt.unread}” was not read.`;
    case 'standsIn':
      return `“${doubt.said}” is not in the table: taken for ${doubt.name}, the nearest.`;
    case 'either':
      return `“${doubt.words}”: the first of them was taken.`;
    case 'amount':
      return 'words' in doubt
        ? `“${doubt.words}” was read as ${doubt.value}.`
        : `No amount: how much ${doubt.name.toLowerCase()}?`;
    case 'range':
      return `A range: ${doubt.low} to ${doubt.high}; the middle is weighed out.`;
    case 'measure':
      if ('spoon' in doubt) return 'A heaped spoon was taken as one and a half.';
      return `A ${doubt.measure === 'each' ? 'piece' : doubt.measure} of ${doubt.name} ${
        doubt.grams === null
          ? 'has no weight in the table: give a weight.'
          : `was taken as ${dose(doubt.grams, measures)}.`
      }`;
    case 'grain':
      return `A spoon of it weighs by its grain, up to half less: ${dose(doubt.grams, measures)} was taken, of ${doubt.name.toLowerCase()}.`;
    case 'disagree':
      return `${dose(doubt.bracketsG, measures)} in brackets does not agree with ${dose(doubt.readG, measures)}; the brackets were taken.`;
    case 'ofEach':
      return `${dose(doubt.bracketsG, measures)} in brackets: of each, or of all ${doubt.count}? ${dose(doubt.grams, measures)} in all was taken.`;
    case 'two':
      return `Two things in one line: only ${doubt.name} was taken. Give the other a line of its own.`;
    case 'separator':
      return `“${doubt.words}” was read as ${doubt.value}: say so if the comma parts thousands.`;
  }
}
