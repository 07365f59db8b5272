import type { HeldIn, TooCold } from '../../../core/batch';
import type { FirstToGoOff, HoldDrift, HoldsIn } from '../../../core/hold';
import { bandName } from '../../../core/thickness';
import { hourMinute, litres, percent, temperature, weight } from '../amounts';

/** Holding hot: in what, how warm, what leaves it, and what a thermometer says. */
export const holdWords = {
  heldHot: 'Held hot',
  holdItHot: 'Hold it hot',
  holdItHotTitle: 'Hold it hot',
  whatIn: 'In what',
  inWhat: { pot: 'this pot', pans: 'bain-marie pans', thermos: 'a thermos' } satisfies Record<
    HoldsIn,
    string
  >,
  howManyPans: 'Pans',
  whatItHolds: 'What it holds',
  keptAt: 'Kept at',
  lid: 'Lid',
  lids: { off: 'off', ajar: 'ajar', on: 'on' },
  hold: 'Hold it',
  holdOtherwise: 'Hold it otherwise',
  takeTheTemperature: 'Take its temperature',
  temperature: 'Temperature',
  inTheMiddle: 'Stirred, in the middle',
  save: 'Save it',
  reheated: 'Reheated',
  reheatedTitle: 'Reheated, and hot again',
  thrownAway: 'Thrown away',
  thrownAwayTitle: 'Thrown away',
  thrownAwayAll: (what: string) => `All of it is thrown away, ${what}, and the batch is closed.`,
  reheatBy: (by: string) => `Reheat it by ${by}`,
  throwAwayBy: (by: string) => `Throw it away by ${by}`,
  topUp: (much: string) => `Top up ${much}`,
  noHotter: (at: string, why: string) => `No hotter than ${at}: ${why}.`,
};

/** An entry that holds it hot, in the log. */
export function heldHotWords({
  in: into,
  pans,
  keptC,
  lid,
}: Pick<HeldIn, 'in' | 'pans' | 'keptC' | 'lid'>): string {
  const kept = keptC === null ? '' : `, kept at ${temperature(keptC)}`;
  return `Held hot in ${holderWords(into, pans ?? null)}${kept}, lid ${lid}`;
}

/** What it is held in. */
export function holderWords(into: HoldsIn, pans: number | null): string {
  if (into === 'pans' && pans !== null) return pans === 1 ? 'a bain-marie pan' : `${pans} bain-marie pans`;
  return holdWords.inWhat[into];
}

/** The last thermometer, and when the next is due. */
export function checkedWords(
  last: { atMs: number; tempC: number } | null,
  nextMs: number,
  zone: string,
): string {
  const next = `next by ${hourMinute(nextMs, zone)}`;
  return last
    ? `${temperature(last.tempC)} at ${hourMinute(last.atMs, zone)}, ${next}`
    : `no thermometer yet, ${next}`;
}

/** What is lost by the end, and what that does. */
export function driftWords(drift: HoldDrift, zone: string): string {
  const { saltPercent, band } = drift;
  const salt =
    saltPercent.after - saltPercent.now >= 0.005
      ? `, salt ${percent(saltPercent.now)} to ${percent(saltPercent.after)}`
      : '';
  const from = bandName(Math.min(6, band.now));
  const to = bandName(Math.min(6, band.after));
  const body = from === to ? '' : `, from “${from}” to “${to}”`;
  return `By ${hourMinute(drift.untilMs, zone)} about ${weight(drift.steamedKg)} steams off${salt}${body}.`;
}

/** Nothing heats a thermos: what it comes to. */
export function cooledWords(drift: HoldDrift, zone: string): string {
  return `About ${temperature(drift.tempC.after)} by ${hourMinute(drift.untilMs, zone)}, unopened.`;
}

export function topUpWords({ litres: much, everyMin }: NonNullable<HoldDrift['topUp']>): string {
  return `${litres(much)} of boiling water every ${everyMin} min keeps it.`;
}

const GOES_OFF: Readonly<Record<FirstToGoOff['what'], string>> = {
  greens: 'turns olive',
  pasta: 'goes soft and drinks the soup',
  fish: 'falls apart',
  cheese: 'goes grainy',
  liaison: 'thickens and may grain',
  cream: 'takes a skin and tastes cooked',
};

/** How long it stays good, beside how long it stays safe. */
export function goodForWords({ what, name, minutes }: FirstToGoOff): string {
  return `Best within ${minutes} min: ${name.toLowerCase()} ${GOES_OFF[what]}.`;
}

/** Too cold: since when, and what can be done by when. */
export function tooColdWords(
  below: TooCold,
  limits: { hotHoldingC: number; reheatC: number },
  source: string,
  zone: string,
): string {
  const found = `${temperature(below.tempC)}, under ${temperature(limits.hotHoldingC)} (${source}).`;
  const since = `It was last known hot at ${hourMinute(below.sinceMs, zone)}.`;
  const away = `Throw it away by ${hourMinute(below.throwByMs, zone)} (§ 3-501.19).`;
  const reheat = below.canReheat
    ? ` Reheat it once to ${temperature(limits.reheatC)} all through by ${hourMinute(below.reheatByMs, zone)} (§ 3-403.11).`
    : ' It was reheated once already.';
  return `${found} ${since}${reheat} ${away}`;
}
