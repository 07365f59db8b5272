import type { PatternNote } from '../../../core/reader';
import { temperature, weight } from '../amounts';

/** What another food in a pattern brings with it. */
export function patternNote(note: PatternNote): string {
  switch (note.code) {
    case 'softens': {
      const was = note.wasMinutes === null ? 'had no set time' : `took ${note.wasMinutes} min`;
      return `${note.name} softens in ${note.minutes} min at ${temperature(100)}; ${note.was.toLowerCase()} ${was}.`;
    }
    case 'trim':
      return `${weight(note.kg)} of ${note.name.toLowerCase()} as purchased, where it was ${weight(note.wasKg)} of ${note.was.toLowerCase()}.`;
    case 'colours':
      return `${note.name} ${note.how}.`;
    case 'goesDrab':
      return `${note.name} goes drab when it is kept hot: last, and quickly.`;
    case 'browns':
      return `${note.name} browns in air: into water with a little lemon as it is cut.`;
  }
}
