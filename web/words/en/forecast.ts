import type { Dial } from '../../../core/kitchen';
import type { MayNever, ShareShown } from '../../../core/pot';
import { heatWords } from './batch';

/** What Slow Pot says of a forecast: the chance that it never comes, and what the readings have shown. */
export const forecastWords = {
  whatItStandsOn: 'What this stands on',
  aFirstGuess: 'A first guess. Readings narrow it.',
};

/** A doubt wider than this has been narrowed by nothing yet. */
const A_GUESS_FROM = 0.45;

/** “1 in 3 that it won’t get there at this heat: turn up to 60 %.” */
export function mayNeverWords({ chance, turnUpTo }: MayNever, isReducing: boolean, dial?: Dial): string {
  const likely = chance > 0.85 ? 'It won’t get there' : `${oddsWords(chance)} that it won’t get there`;
  return turnUpTo === null
    ? `${likely} at this heat: ${isReducing ? 'lid off, or a wider pot' : 'put the lid on, or a stronger burner'}.`
    : `${likely} at this heat: turn up to ${heatWords(turnUpTo, dial)}.`;
}

/** Odds as a cook says them. */
function oddsWords(chance: number): string {
  if (chance > 0.62) return '2 in 3';
  if (chance > 0.42) return 'Even odds';
  return `1 in ${Math.max(2, Math.min(10, Math.round(1 / chance)))}`;
}

/** “Burner 2 gives 12 % less than it is rated at (± 8 %).” */
export const heatShownWords = (burner: string, heat: ShareShown): string =>
  `${burner} gives ${aside(heat.mean, 'just what it is rated at', 'than it is rated at')} (± ${percent(heat.sd)}).`;

/** “This pot loses 20 % less than usual under this lid (± 15 %).” */
export function surfaceShownWords(surface: ShareShown, lid: 'off' | 'ajar' | 'on'): string {
  const under = lid === 'off' ? '' : ' under this lid';
  if (surface.sd > A_GUESS_FROM)
    return `What leaves the surface${under} is a first guess (± ${percent(surface.sd)}).`;
  return `This pot loses ${aside(surface.mean, 'just as much as usual', 'than usual')}${under} (± ${percent(surface.sd)}).`;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

function aside(mean: number, same: string, than: string): string {
  const off = Math.round((mean - 1) * 100);
  if (Math.abs(off) < 3) return same;
  return `${Math.abs(off)} % ${off > 0 ? 'more' : 'less'} ${than}`;
}
