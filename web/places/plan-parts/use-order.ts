import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  check,
  type FieldError,
  type KitchenView,
  nextServiceAtMs,
  type PlanRequest,
  planInputOf,
  planRequestSchema,
} from '../../../contract';
import { BANDS, type Plan, planBatch, type Recipe } from '../../../core';
import { typedNumber } from '../../data/format';
import { useLots } from '../../data/queries';

/** The order as it is being typed: words, not yet numbers. */
export interface Draft {
  portions: string;
  portionMl: string;
  saltPercent: string;
  bandName: string;
  serviceId: string;
  potId: string;
  burnerId: string;
}

export interface Order {
  draft: Draft;
  change(part: Partial<Draft>): void;
  errors: FieldError[];
  /** the request as it would be sent, when it can be read */
  request: PlanRequest | null;
  plan: Plan | null;
  /** the last plan that could be made, to keep on the page while something is being mended */
  shown: Plan | null;
  lot: { ingredientId: string; saltPercent: number; number: number; leftLitres: number } | undefined;
}

/** An order from the address, the kitchen and the recipe; every change is planned at once. */
export function useOrder(kitchen: KitchenView, recipe: Recipe, nowMs: number): Order {
  const [params] = useSearchParams();
  const { data: lots } = useLots();
  const [draft, setDraft] = useState<Draft>(() => firstDraft(kitchen, recipe, params, nowMs));
  const [shown, setShown] = useState<Plan | null>(null);
  const liquid = recipe.lines.find((line) => line.scaling === 'toYield');
  const lot = lots?.find((one) => one.ingredientId === liquid?.ingredientId && one.leftLitres > 0);
  const service = kitchen.services.find((one) => one.id === draft.serviceId);
  const serviceAtMs = service ? nextServiceAtMs(service.time, kitchen.zone, nowMs) : 0;
  const answer = useMemo(
    () => planDraft(draft, serviceAtMs, kitchen, recipe, lot),
    [draft, serviceAtMs, kitchen, recipe, lot],
  );
  if (answer.plan && answer.plan !== shown) setShown(answer.plan);
  return {
    draft,
    change: (part) => setDraft((before) => ({ ...before, ...part })),
    ...answer,
    shown: answer.plan ?? shown,
    lot,
  };
}

function firstDraft(kitchen: KitchenView, recipe: Recipe, params: URLSearchParams, nowMs: number): Draft {
  const byTime = [...kitchen.services].sort(
    (a, b) => nextServiceAtMs(a.time, kitchen.zone, nowMs) - nextServiceAtMs(b.time, kitchen.zone, nowMs),
  );
  const service = kitchen.services.find((one) => one.id === params.get('service')) ?? byTime[0]!;
  const burner =
    kitchen.burners.find((one) => one.id === params.get('burner')) ??
    [...kitchen.burners].sort((a, b) => b.gain.batches - a.gain.batches)[0]!;
  const pot =
    kitchen.pots.find((one) => one.id === 'stockpot-40' && burner.potIds.includes(one.id)) ??
    kitchen.pots.find((one) => burner.potIds.includes(one.id))!;
  return {
    portions: String(service.covers),
    portionMl: String(recipe.portionMl),
    saltPercent: String(recipe.targetSaltPercent),
    bandName: BANDS[recipe.targetBand]!.name,
    serviceId: service.id,
    potId: pot.id,
    burnerId: burner.id,
  };
}

function planDraft(
  draft: Draft,
  serviceAtMs: number,
  kitchen: KitchenView,
  recipe: Recipe,
  lot: { ingredientId: string; saltPercent: number } | undefined,
): { errors: FieldError[]; request: PlanRequest | null; plan: Plan | null } {
  const typed = {
    recipeId: recipe.id,
    portions: typedNumber(draft.portions) ?? draft.portions,
    portionMl: typedNumber(draft.portionMl) ?? draft.portionMl,
    saltPercent: typedNumber(draft.saltPercent) ?? draft.saltPercent,
    band: BANDS.findIndex((band) => band.name === draft.bandName),
    serviceAtMs,
    potId: draft.potId,
    burnerId: draft.burnerId,
  };
  const result = check(planRequestSchema, typed);
  if (!result.ok) return { errors: result.errors, request: null, plan: null };
  const input = planInputOf(result.value, kitchen, recipe, lot);
  if (Array.isArray(input)) return { errors: input, request: result.value, plan: null };
  try {
    return { errors: [], request: result.value, plan: planBatch(input) };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const sentence = `This cannot be cooked so: ${error.message}.`;
    return { errors: [{ field: 'burnerId', sentence }], request: result.value, plan: null };
  }
}
