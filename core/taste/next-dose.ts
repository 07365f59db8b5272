import type { Verdict } from './scales';

/** A dose that went in before, and what the next spoon said after it. */
export interface DoseTried {
  amount: number;
  /** null where nobody has tasted since */
  verdict: Verdict | null;
}

/** Never this much at once of what was first thought right: a palate tires before a pot does. */
const MOST_TIMES = 4;

/** Of what is usually right the first dose is so much: what is in cannot be taken out. Common practice, half. */
const FIRST_SHARE = 0.5;

/**
 * How much to put in next, where the palate decides: half of what is usually right, after “wants more” as much again as
 * is in already, after “a bit more” half as much. After too much it is nothing: that is mended, not dosed.
 *
 * @param usual what is usually right in all, above 0, in whatever it is measured in
 * @param now what the spoon says
 * @param tried what went in for it so far, oldest first
 * @returns in the same measure, 0 where none is wanted
 * @source bisection after doubling; doses common practice
 */
export function nextDose(usual: number, now: Verdict, tried: readonly DoseTried[]): number {
  if (now !== 'more' && now !== 'bitMore') return 0;
  const sum = tried.reduce((all, one) => all + one.amount, 0);
  if (sum === 0) return usual * FIRST_SHARE * (now === 'more' ? 1 : 0.5);
  const last = tried.at(-1)!.amount;
  const overshot = tried.some((one) => one.verdict === 'tooMuch' || one.verdict === 'farTooMuch');
  if (overshot) return last / 2;
  return Math.min(now === 'more' ? sum : sum / 2, MOST_TIMES * usual);
}
