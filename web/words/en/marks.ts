import type { Mark } from '../../../core/rules';
import { litres } from '../amounts';

/** Why a person should look at an entry that was accepted all the same. */
export function markWords(mark: Mark): string {
  switch (mark.code) {
    case 'afterClose':
      return 'arrived for a batch already closed';
    case 'clockAhead':
      return 'the device’s clock was ahead';
    case 'dayOld':
      return 'more than a day old when it arrived';
    case 'drewBeyond': {
      const lots = mark.lotNumbers.map((number) => `lot ${number}`).join(' and ');
      return `drew more from ${lots} than ${mark.lotNumbers.length > 1 ? 'they' : 'it'} held: count it`;
    }
    case 'drawnBeyond':
    case 'servedBeyond':
      return `more than was in the pot, ${litres(Math.max(0, mark.thereLitres))}: check the level, or take some back`;
    case 'asSaid':
      return mark.text;
  }
}
