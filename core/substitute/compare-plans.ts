import { DIETS, type Diet, type Ingredient } from '../matter';
import type { Plan } from '../plan';
import { umamiGPer100g } from '../taste';

/** What a substitution leads to, beside what was planned before it. */
export interface PlanChange {
  saltToAddG: number;
  saltPercent: number;
  flourEquivalentGPerL: number;
  band: number;
  costPerPortionCents: number;
  minutes: number;
  /** share of the umami before, by Yamaguchi's relation on what goes in; 1 is the same */
  umamiShare: number;
  allergensIn: string[];
  allergensOut: string[];
  dietBefore: Diet;
  dietAfter: Diet;
}

interface Planned {
  plan: Plan;
  ingredients: Readonly<Record<string, Ingredient>>;
}

/** The difference between two plans of one order, after less before; umami as a share. */
export function comparePlans(before: Planned, after: Planned): PlanChange {
  const names = (one: Planned) => one.plan.allergens.map((each) => each.name);
  const umami = umamiOf(before);
  return {
    saltToAddG: after.plan.saltToAddG - before.plan.saltToAddG,
    saltPercent: after.plan.saltPercent - before.plan.saltPercent,
    flourEquivalentGPerL: after.plan.flourEquivalentGPerL - before.plan.flourEquivalentGPerL,
    band: after.plan.band - before.plan.band,
    costPerPortionCents: after.plan.costPerPortionCents - before.plan.costPerPortionCents,
    minutes: (before.plan.startAtMs - after.plan.startAtMs) / 60_000,
    umamiShare: umami > 0 ? umamiOf(after) / umami : 1,
    allergensIn: names(after).filter((name) => !names(before).includes(name)),
    allergensOut: names(before).filter((name) => !names(after).includes(name)),
    dietBefore: dietOf(before),
    dietAfter: dietOf(after),
  };
}

/** Umami of what goes in, in the pot together, g glutamate per 100 g that would taste alike. */
export function umamiOf({ plan, ingredients }: Planned): number {
  const sums = { glutamate: 0, aspartate: 0, imp: 0, gmp: 0, amp: 0 };
  let kg = 0;
  for (const line of plan.lines) {
    if (line.perBowl) continue;
    const per = ingredients[line.ingredientId]!.umami ?? {};
    kg += line.edibleKg;
    for (const key of Object.keys(sums) as (keyof typeof sums)[])
      sums[key] += line.edibleKg * (per[key] ?? 0);
  }
  const each = Object.fromEntries(
    Object.entries(sums).map(([key, value]) => [key, value / Math.max(kg, 1e-9)]),
  ) as typeof sums;
  return umamiGPer100g(each);
}

function dietOf({ plan, ingredients }: Planned): Diet {
  const strictest = plan.lines.reduce(
    (worst, line) => Math.max(worst, DIETS.indexOf(ingredients[line.ingredientId]!.diet)),
    0,
  );
  return DIETS[strictest]!;
}
