import type { RecipeLine } from '../recipe';

import type { Plan, PlanInput, UnmetWish } from './plan';
import type { SolvedLoad } from './solve-load';

/** A plan is what was ordered within these: a share of the bowls, salt in kg per 100 kg, and bands. */
const WITHIN = { bowlsShare: 0.01, saltPercent: 0.02, band: 0.5 } as const;

/**
 * What was asked for and cannot be had, each with what comes nearest and why: no plan that misses its bowls by over 1 %
 * or its salt by over 0.02 % is shown as good.
 */
export function unmetWishes(
  input: PlanInput,
  plan: Pick<Plan, 'yieldPortions' | 'saltPercent' | 'band'>,
  { load, bandLetGo }: SolvedLoad,
): UnmetWish[] {
  const why = (law: RecipeLine['scaling'], isOver: boolean): UnmetWish['why'] => {
    const lines = input.recipe.lines.filter((line) => line.scaling === law);
    if (lines.length === 0) return 'nothingToSolve';
    const kg = lines.reduce((sum, line) => sum + (load[line.id] ?? 0), 0);
    return isOver && kg < NONE_KG ? 'tooMuchAlready' : 'notFound';
  };
  const wishes: UnmetWish[] = [];
  const bowls = plan.yieldPortions;
  if (Math.abs(bowls - input.portions) > WITHIN.bowlsShare * input.portions) {
    const isOver = bowls > input.portions;
    wishes.push({ wish: 'bowls', wanted: input.portions, nearest: bowls, why: why('toYield', isOver) });
  }
  const salt = plan.saltPercent;
  if (Math.abs(salt - input.saltPercent) > WITHIN.saltPercent) {
    const isOver = salt > input.saltPercent;
    wishes.push({ wish: 'salt', wanted: input.saltPercent, nearest: salt, why: why('toSalt', isOver) });
  }
  if (Math.abs(plan.band - input.band) > WITHIN.band) {
    const reason = bandLetGo ? 'noRoomForLiquid' : why('toThickness', plan.band > input.band);
    wishes.push({ wish: 'band', wanted: input.band, nearest: plan.band, why: reason });
  }
  return wishes;
}

/** Under this a solved line is none, kg. */
const NONE_KG = 0.002;
