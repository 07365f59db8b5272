import { SCALES, type Scale, VERDICTS, type Verdict } from './scales';

/** A spoon as it was told: by whom, and of which scales. */
export interface Spoon {
  atMs: number;
  by: string | null;
  says: Partial<Record<Scale, Verdict>>;
}

/** Two cooks of one mind or of two: each scale that both tasted and called differently. */
export interface Differing {
  first: string;
  second: string;
  on: { scale: Scale; first: Verdict; second: Verdict }[];
}

/**
 * Where two cooks who tasted the same pot, with nothing put in between, disagree.
 *
 * @param spoons in the order they were told
 * @param dosedMs when something was last put in, ms; 0 for never
 * @returns the last two by different cooks; null where there are not two since
 */
export function tastersDiffer(spoons: readonly Spoon[], dosedMs: number): Differing | null {
  const since = spoons.filter((one) => one.atMs >= dosedMs && one.by !== null);
  const second = since.at(-1);
  const first = since.findLast((one) => one.by !== second?.by);
  if (!first || !second) return null;
  const on = SCALES.flatMap((scale) => {
    const [one, other] = [first.says[scale], second.says[scale]];
    return one && other && one !== other ? [{ scale, first: one, second: other }] : [];
  });
  // the furthest apart first
  const apart = ({ first: a, second: b }: (typeof on)[number]) =>
    Math.abs(VERDICTS.indexOf(a) - VERDICTS.indexOf(b));
  return { first: first.by!, second: second.by!, on: on.sort((a, b) => apart(b) - apart(a)) };
}
