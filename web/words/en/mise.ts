import type { Board, MiseNote } from '../../../core/lists';
import { depth } from '../amounts';
import { inMeasures } from '../in-measures';

/** The boards of the mise list, as a kitchen names them. */
export const BOARD_NAME: Readonly<Record<Board, string>> = {
  ready: 'Ready to eat',
  vegetables: 'Vegetables',
  dairyAndDry: 'Dairy and dry goods',
  rawFish: 'Raw fish',
  rawMeat: 'Raw meat',
};

/** What is done to a thing before it goes in, as the list says it. */
export function miseNote(note: MiseNote): string {
  switch (note.code) {
    case 'brine':
      return `In brine of ${note.percent} % for ${note.hours} h.`;
    case 'soak':
      return `Soak ${note.hours} h in cold water.`;
    case 'thaw':
      return `Thaw ${note.hours} h in the walk-in, on a tray.`;
    case 'goesInFrozen':
      return 'Goes in frozen.';
    case 'rinse':
      return `Rinse ${inMeasures(note.how)}.`;
    case 'blanch':
      return 'Green to the end: blanch 2 min in salted water, shock in ice, add last.';
    case 'browns':
      return 'Browns in air: into water as it is cut.';
    case 'woody':
      return 'Woody: tied, or the leaves stripped.';
    case 'mandoline':
      return 'Mandoline: guard on.';
    case 'tooBig':
      return `Larger than a spoon takes: at most ${depth(note.mostCm)}.`;
    case 'check':
      return {
        pinBones: 'Pin bones: run a finger over every fillet.',
        shell: 'Throw away broken or open ones. Keep the tag 90 days.',
        splinters: 'Look for splinters.',
      }[note.check];
    case 'lift':
      return `Remove before serving: ${note.count} to count.`;
    case 'washBoard':
      return 'Wash board and knife after it.';
  }
}
