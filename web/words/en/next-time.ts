import type { NextTime } from '../../../core/next-time';
import { bandName } from '../../../core/thickness';
import { decimal, dose, litres, percent } from '../amounts';
import { plural } from './plural';
import { SCALE_WORDS } from './taste';

/** What a batch says of its recipe, at the close. */
export const nextTimeWords = {
  nextTime: 'Next time',
  chooseWhatIsRight: 'Choose what the recipe should say from now on.',
  acceptInto: (version: number) => `Save as version ${version}`,
  acceptedInto: (version: number) => `The recipe has learned from this batch: version ${version}.`,
  spoons: (count: number) => `${count} ${plural(count, 'spoon', 'spoons')} said that it was right`,
  tests: (count: number) => `${count} ${plural(count, 'test', 'tests')}, and nothing was done to it after`,
  thickens: (percentOf: number, plusMinus: number) =>
    `By its tests it thickened ${percentOf} % of what the table says, ± ${plusMinus}. The next plan doses by it.`,
};

/** What is proposed, in a line. */
export function proposalWords(one: NextTime, of: { name: string; recipeLitres: number }): string {
  switch (one.code) {
    case 'salt':
      return `Salt ${percent(one.fromPercent)} becomes ${percent(one.toPercent)}`;
    case 'band':
      return `Thickness ${decimal(one.fromBand, 1)} becomes ${decimal(one.toBand, 1)}, ${bandName(one.toBand)}`;
    case 'food': {
      const moved = Math.abs(one.toKg - one.fromKg) * 1000;
      if (one.lineId === null)
        return `${dose(one.toKg * 1000)} ${of.name} in ${litres(of.recipeLitres)}: two thirds go in, the rest by the spoon`;
      const way = one.toKg > one.fromKg ? 'more' : 'less';
      return `${dose(moved)} ${way} ${of.name} in ${litres(of.recipeLitres)}: ${dose(one.fromKg * 1000)} becomes ${dose(one.toKg * 1000)}`;
    }
  }
}

/** On what it rests. */
export function evidenceWords(one: NextTime): string {
  if (one.code === 'band') return nextTimeWords.tests(one.evidence);
  const scale = one.code === 'salt' ? 'salt' : one.scale;
  return `${SCALE_WORDS[scale]}: ${nextTimeWords.spoons(one.evidence)}`;
}
