import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  check,
  type FieldError,
  fieldErrors,
  type KitchenView,
  nextServiceAtMs,
  type PlanRequest,
  planRequestSchema,
  type ServiceView,
  typedNumber,
  type WholeKitchen,
  zonedTimeMs,
} from '../../../contract';
import type { BatchHolds } from '../../../core/batch';
import {
  type OfferedLot,
  type PlanWithLots,
  planHolds,
  planWithLots,
  type ShortLine,
} from '../../../core/larder';
import { answerAmount, cannotBeCooked, openingPlace, planInputOf } from '../../../core/order';
import type { Plan, PlanInput } from '../../../core/plan';
import { PLAIN_KIND, type PortionKind, portionsOfKinds } from '../../../core/portions';
import type { Recipe } from '../../../core/recipe';
import type { Substitution } from '../../../core/substitute';
import { BANDS } from '../../../core/thickness';
import { litresAtDepth } from '../../../core/vessel';
import type { LotView } from '../../../core/views';

import { useLots, useOpenBatches } from '../../data/queries';
import { litresWord, planWords } from '../../words';
import type { OrderAsked } from '../../workers/computations';

/** How the figure before the bowls is meant. */
/** What an order is given in. */
export type AmountBy = 'portions' | 'litres' | 'multiple';
export const AMOUNTS_BY: readonly AmountBy[] = ['portions', 'litres', 'multiple'];
export const amountWords = (): { id: AmountBy; text: string }[] => [
  { id: 'portions', text: planWords.bowls },
  { id: 'litres', text: planWords.volumeInBowls(litresWord()) },
  { id: 'multiple', text: planWords.timesTheRecipeInBowls },
];

/** The order as it is being typed: words, not yet numbers. */
export interface Draft {
  recipeId: string;
  /** bowls, litres or times, by `amountBy` */
  portions: string;
  amountBy: AmountBy;
  portionMl: string;
  saltPercent: string;
  bandName: string;
  serviceId: string;
  /** HH:MM it is to be ready by, for what is made for the shelf and no service; empty for a service */
  by: string;
  /** days on from today; empty for the next time the service comes round */
  day: string;
  potId: string;
  burnerId: string;
  holdBackShare: number;
  changes: readonly Substitution[];
  /** portions beside the bowls of the sentence; one with that id says more of those */
  kinds: readonly PortionKind[];
  /** lots taken although they bring what the dish does not hold */
  lotIds: readonly string[];
}

export interface Order {
  draft: Draft;
  /** `ifStill`: only while the order is this one, for an answer that was worked out from it */
  change: (part: Partial<Draft>, ifStill?: Draft) => void;
  /** all of it in bowls of the sentence: what is not there in other portions is in those */
  setPortions: (all: number, part?: Partial<Draft>, ifStill?: Draft) => void;
  errors: FieldError[];
  /** the request as it would be sent, when it can be read */
  request: PlanRequest | null;
  /** what is planned, with its rows, when it can be */
  input: PlanInput | null;
  plan: Plan | null;
  /** the last plan that could be made, to keep on the page while something is being mended */
  shown: { plan: Plan; input: PlanInput } | null;
  /** what it would draw from the larder, and what is short */
  draws: PlanWithLots['draws'];
  shorts: readonly ShortLine[];
  /** lots that would do and bring what the dish does not hold */
  offers: readonly OfferedLot[];
  /** what a guest is told of it; null where nothing is planned */
  holds: BatchHolds | null;
  lots: readonly LotView[];
  serviceAtMs: number;
  nowMs: number;
  /** the order with all that a computation off the page needs */
  asked: OrderAsked | null;
  /** the order as an address, to come back to or to print */
  search: string;
}

const NO_LOTS: readonly LotView[] = [];

/** A base is ready by the middle of the afternoon, cold by the evening, unless it is said otherwise. */
const READY_BY = '16:00';

/** Most lots that are named in an address. */
const MOST_LOTS = 40;

/** Most days ahead an order may be kept for. */
export const MOST_DAYS_AHEAD = 13;

/** A time of day as a cook types it. */
export function isTime(text: string): boolean {
  return /^([01]?\d|2[0-3])[:.][0-5]\d$/.test(text.trim());
}

/** A kitchen that has named no service yet cooks for noon. */
const NO_SERVICE = { id: '', time: '12:00', covers: 20 };

/** A service on its day: so many days on, or the next time it comes round. */
function serviceTime(
  by: string,
  service: Pick<ServiceView, 'time' | 'weekdays'> | undefined,
  day: string,
  zone: string,
  nowMs: number,
): number {
  const isTyped = isTime(by);
  const time = (isTyped ? by : (service ?? NO_SERVICE).time).trim().replace('.', ':');
  const days = typedNumber(day);
  if (days !== null) return zonedTimeMs(time, zone, nowMs, days);
  return nextServiceAtMs({ time, weekdays: isTyped ? undefined : service?.weekdays }, zone, nowMs);
}

/** An order from the address, the kitchen and the recipe; every change is planned at once. */
export function useOrder(
  kitchen: WholeKitchen,
  book: readonly Recipe[],
  recipe: Recipe,
  nowMs: number,
): Order {
  const [params] = useSearchParams();
  const { data: lots } = useLots();
  const { data: open } = useOpenBatches();
  const shelf = useMemo(() => (lots ?? NO_LOTS).filter((lot) => lot.leftKg > 0), [lots]);
  const busy = {
    potIds: (open ?? []).map((batch) => batch.potId),
    burnerIds: (open ?? []).map((batch) => batch.burnerId),
  };
  const [draft, setDraft] = useState<Draft>(() =>
    firstDraft({ kitchen, recipe, book, params, nowMs, lots: shelf, busy }),
  );
  const [shown, setShown] = useState<Order['shown']>(null);
  const service = kitchen.services.find((one) => one.id === draft.serviceId);
  const serviceAtMs = serviceTime(draft.by, service, draft.day, kitchen.zone, nowMs);
  const answer = useMemo(
    () => planDraft(draft, serviceAtMs, kitchen, recipe, shelf, book),
    [draft, serviceAtMs, kitchen, recipe, shelf, book],
  );
  if (answer.plan && answer.input && answer.plan !== shown?.plan) {
    setShown({ plan: answer.plan, input: answer.input });
  }
  const change: Order['change'] = (part, ifStill) =>
    setDraft((before) => (ifStill && before !== ifStill ? before : { ...before, ...part }));
  return {
    draft,
    change,
    setPortions: (all, part, ifStill) =>
      change({ portions: String(bowlsBeside(draft, all)), amountBy: 'portions', ...part }, ifStill),
    ...answer,
    shown: answer.plan && answer.input ? { plan: answer.plan, input: answer.input } : shown,
    lots: shelf,
    serviceAtMs,
    asked: answer.request
      ? { request: answer.request, kitchen, recipe, book, lots: shelf, busy, nowMs }
      : null,
    nowMs,
    search: searchOf(draft),
  };
}

/** The order as search parameters; whatever is not said is the kitchen’s usual. */
function searchOf(draft: Draft): string {
  const { recipeId, serviceId, by, day, potId, burnerId, changes, kinds, lotIds, holdBackShare, ...words } =
    draft;
  return new URLSearchParams({
    recipe: recipeId,
    service: serviceId,
    pot: potId,
    burner: burnerId,
    ...words,
    ...(by ? { by } : {}),
    ...(day ? { day } : {}),
    ...(holdBackShare > 0 ? { holdBack: String(holdBackShare) } : {}),
    ...(changes.length > 0 ? { changes: JSON.stringify(changes) } : {}),
    ...(kinds.length > 0 ? { kinds: JSON.stringify(kinds) } : {}),
    ...(lotIds.length > 0 ? { lots: lotIds.join(',') } : {}),
  }).toString();
}

function firstDraft(of: {
  kitchen: WholeKitchen;
  recipe: Recipe;
  book: readonly Recipe[];
  params: URLSearchParams;
  nowMs: number;
  lots: readonly LotView[];
  busy: OrderAsked['busy'];
}): Draft {
  const { kitchen, recipe, params, nowMs } = of;
  const byTime = [...kitchen.services].sort(
    (a, b) => nextServiceAtMs(a, kitchen.zone, nowMs) - nextServiceAtMs(b, kitchen.zone, nowMs),
  );
  const service = kitchen.services.find((one) => one.id === params.get('service')) ?? byTime[0] ?? NO_SERVICE;
  const wantedPot = kitchen.pots.find((one) => one.id === params.get('pot'));
  const takes = (burner: KitchenView['burners'][number]) =>
    !wantedPot || burner.potIds.includes(wantedPot.id);
  const asked = kitchen.burners.find((one) => one.id === params.get('burner'));
  const burner =
    (asked && takes(asked) ? asked : undefined) ??
    [...kitchen.burners].filter(takes).sort((a, b) => b.heatFactor.batches - a.heatFactor.batches)[0] ??
    kitchen.burners[0]!;
  const amountBy =
    AMOUNTS_BY.find((one) => one === params.get('amountBy')) ?? (recipe.base ? 'litres' : 'portions');
  const draft: Draft = {
    recipeId: recipe.id,
    portions: params.get('portions') ?? String(recipe.base ? recipe.litres : service.covers),
    amountBy,
    portionMl: params.get('portionMl') ?? String(recipe.portionMl),
    saltPercent: params.get('saltPercent') ?? String(recipe.targetSaltPercent),
    bandName: params.get('bandName') ?? BANDS[Math.round(recipe.targetBand)]!.name,
    serviceId: service.id,
    by: params.get('by') ?? (recipe.base ? READY_BY : ''),
    day: dayIn(params.get('day')),
    potId: wantedPot?.id ?? largestOn(kitchen, burner).id,
    burnerId: burner.id,
    holdBackShare: typedNumber(params.get('holdBack') ?? '') ?? 0,
    changes: changesIn(params.get('changes')),
    kinds: kindsIn(params.get('kinds')),
    lotIds: (params.get('lots') ?? '').split(',').filter(Boolean).slice(0, MOST_LOTS),
  };
  if (wantedPot || asked) return draft;
  const serviceAtMs = serviceTime(draft.by, service, draft.day, kitchen.zone, nowMs);
  const { request } = planDraft(draft, serviceAtMs, kitchen, recipe, of.lots, of.book);
  return { ...draft, ...(request ? openingPlace({ ...of, request }) : null) };
}

/** The largest pot that stands on a burner: the one an order is begun in. */
function largestOn(
  kitchen: KitchenView,
  burner: KitchenView['burners'][number],
): KitchenView['pots'][number] {
  const brim = (pot: KitchenView['pots'][number]) => litresAtDepth(pot.vessel, pot.vessel.heightCm);
  return kitchen.pots.filter((pot) => burner.potIds.includes(pot.id)).sort((a, b) => brim(b) - brim(a))[0]!;
}

function dayIn(text: string | null): string {
  const days = typedNumber(text ?? '');
  return days !== null && Number.isInteger(days) && days >= 0 && days <= MOST_DAYS_AHEAD ? String(days) : '';
}

/** What an address says in JSON; of what was tampered with nothing. */
function readIn<T>(schema: Parameters<typeof check<T>>[0], text: string | null): T | undefined {
  if (!text) return undefined;
  try {
    const read = check(schema, JSON.parse(text));
    return read.ok ? read.value : undefined;
  } catch {
    return undefined;
  }
}
const changesIn = (text: string | null): readonly Substitution[] =>
  readIn(planRequestSchema.entries.changes, text) ?? [];
const kindsIn = (text: string | null): readonly PortionKind[] =>
  readIn(planRequestSchema.entries.kinds, text) ?? [];

/** The bowls of the sentence, where all of an order is so many of them. */
function bowlsBeside({ kinds, portionMl }: Pick<Draft, 'kinds' | 'portionMl'>, all: number): number {
  const others = portionsOfKinds(besides(kinds), typedNumber(portionMl) || 1);
  return kinds.length > 0 ? Math.max(1, Math.floor(all - others + 1e-6)) : all;
}

const besides = (kinds: readonly PortionKind[]) => kinds.filter((one) => one.id !== PLAIN_KIND);

/** Every kind of an order, the bowls of the sentence first; none where those are all. */
function kindsOfDraft({ kinds }: Draft, portions: number, portionMl: number): { kinds?: PortionKind[] } {
  if (kinds.length === 0) return {};
  const own = kinds.find((one) => one.id === PLAIN_KIND);
  const count = Math.max(1, Math.round(portions));
  return {
    kinds: [{ ...own, id: PLAIN_KIND, word: 'bowl', ml: portionMl, count }, ...besides(kinds)],
  };
}

function planDraft(
  draft: Draft,
  serviceAtMs: number,
  kitchen: WholeKitchen,
  recipe: Recipe,
  lots: readonly LotView[],
  book: readonly Recipe[],
): Pick<Order, 'errors' | 'request' | 'input' | 'plan' | 'draws' | 'shorts' | 'offers' | 'holds'> {
  const none = { request: null, input: null, plan: null, draws: [], shorts: [], offers: [], holds: null };
  const amount = typedNumber(draft.portions);
  if (draft.by && !isTime(draft.by)) {
    const sentence = planWords.readyByMustBeA(draft.by);
    return { errors: [{ field: 'by', sentence }], ...none };
  }
  if (draft.amountBy !== 'portions' && (amount === null || amount <= 0)) {
    const what = draft.amountBy === 'litres' ? planWords.amountOfIt : planWords.timesTheRecipe;
    const sentence = planWords.mustBeANumberAbove(what, draft.portions);
    return { errors: [{ field: 'portions', sentence }], ...none };
  }
  const typed = {
    recipeId: recipe.id,
    portions: draft.amountBy === 'portions' ? (amount ?? draft.portions) : 1,
    portionMl: typedNumber(draft.portionMl) ?? draft.portionMl,
    saltPercent: typedNumber(draft.saltPercent) ?? draft.saltPercent,
    band: BANDS.findIndex((band) => band.name === draft.bandName),
    serviceAtMs,
    potId: draft.potId,
    burnerId: draft.burnerId,
    ...(draft.holdBackShare > 0 ? { holdBackShare: draft.holdBackShare } : {}),
    ...(draft.changes.length > 0 ? { changes: [...draft.changes] } : {}),
    ...(draft.lotIds.length > 0 ? { lotIds: [...draft.lotIds] } : {}),
  };
  const plain = check(planRequestSchema, typed);
  if (!plain.ok) return { errors: plain.errors, ...none };
  const withKinds = (all: number) => {
    const { portionMl } = plain.value;
    const bowls = draft.amountBy === 'portions' ? all : bowlsBeside(draft, all);
    const kinds = kindsOfDraft(draft, bowls, portionMl);
    return { ...typed, portions: kinds.kinds ? portionsOfKinds(kinds.kinds, portionMl) : all, ...kinds };
  };
  const read = check(planRequestSchema, withKinds(plain.value.portions));
  if (!read.ok) return { errors: read.errors, ...none };
  const first = planInputOf(read.value, kitchen, recipe, book);
  if (Array.isArray(first)) return { errors: fieldErrors(first, kitchen), ...none, request: read.value };
  try {
    const whole =
      draft.amountBy === 'portions'
        ? read
        : check(planRequestSchema, withKinds(portionsIn(draft, amount, first)));
    if (!whole.ok) return { errors: whole.errors, ...none };
    const { portions, kinds } = whole.value;
    const planned = planWithLots({ ...first, portions, ...(kinds ? { kinds } : {}) }, lots, draft.lotIds);
    return { errors: [], request: whole.value, ...planned, holds: planHolds(planned, lots) };
  } catch (error) {
    return {
      errors: fieldErrors([cannotBeCooked('burnerId', error)], kitchen),
      ...none,
      request: read.value,
    };
  }
}

/** Litres or times typed, as the bowls they come to. */
function portionsIn(draft: Draft, amount: number | null, input: PlanInput): number {
  const value = amount ?? Number.NaN;
  return draft.amountBy === 'litres'
    ? answerAmount({ by: 'litres', litres: value }, input).portions
    : answerAmount({ by: 'multiple', times: value }, input).portions;
}
