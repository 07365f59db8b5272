import {
  type AskedOrder,
  type BatchEvent,
  type BatchSnapshot,
  type BatchState,
  type GrillLoad,
  type ServiceTally,
  serviceTallies,
  trueMl,
} from '../batch';
import {
  type ArrivalCurve,
  curveOf,
  curveSaid,
  type DemandOfKinds,
  demandOfKinds,
  expectedFor,
  NOTHING_SEEN,
  type ServicePattern,
} from '../demand';
import { activeEvents } from '../log';
import type { Allergen, Holds } from '../matter';
import { isForNow, kindsOf, type PortionKind, portions } from '../portions';
import { foodLitres } from '../pot';
import { notForGuest, portionHolds } from '../rules';
import { type GarnishLeft, garnishLeft } from './garnish';

/** One kind of portion at the pass. */
export interface KindAtPass {
  kind: PortionKind;
  tally: ServiceTally;
  /** as many of it as are still wanted: covers less what was served; never below 0 */
  stillWanted: number;
  /** it is wanted at another hour, and kept until then */
  isLater: boolean;
  /** what its guests may not eat and it holds: it is served to none of them */
  holdsForbidden: readonly Allergen[];
}

/** An order at the pass. */
export interface OrderAtPass extends AskedOrder {
  /** what is still to be served of it, by kind */
  open: { kindId: string; count: number }[];
  /** what this pot would give a guest who may not eat it */
  holdsForbidden: readonly Allergen[];
}

export interface PassBoard {
  kinds: KindAtPass[];
  /** orders with something still to be served, the oldest first */
  orders: OrderAtPass[];
  /** orders that are done, changed away or empty */
  doneOrders: number;
  /** in the pot; what of it is spoken for at another hour or by the cooks; what is left for guests now. L */
  litres: number;
  keptLitres: number;
  litresLeft: number;
  /** the same less what orders wait for: what there is for guests still to come, L */
  litresForMore: number;
  /** what is left, in portions of the first kind */
  portionsLeft: number;
  asked: number;
  turnedAway: number;
  covers: number;
  /** null where the order is all for later, or is no service */
  demand: DemandOfKinds | null;
  /** how long its service goes on, min */
  lastsMin: number;
  garnish: GarnishLeft[];
  grill: readonly GrillLoad[];
}

/** A service whose hour the kitchen does not name. Ours: an hour, steadily. */
export const SOME_SERVICE: Pick<ServicePattern, 'lastsMin' | 'arrival' | 'seen'> = {
  lastsMin: 60,
  arrival: 'steady',
  seen: NOTHING_SEEN,
};

/**
 * Everything a pass shows of one pot: each kind with what was served and what is still wanted, orders, garnish, and what
 * is still to be asked for.
 *
 * @param state run to `nowMs`
 * @param of the pattern of its service where the snapshot has none; what is known of its lots today
 */
export function passBoard(
  snapshot: BatchSnapshot,
  state: BatchState,
  nowMs: number,
  of: {
    service?: Pick<ServicePattern, 'lastsMin' | 'arrival' | 'seen'> | undefined;
    lotNow?: (lotId: string) => Holds | undefined;
    /** portions that other pots served of this one's orders, by order */
    servedElsewhere?: ReadonlyMap<string, number>;
  } = {},
): PassBoard {
  const { input } = snapshot;
  const service = snapshot.service ?? of.service ?? SOME_SERVICE;
  const tallies = serviceTallies(snapshot, state);
  const mlOf = (kind: PortionKind) => trueMl(input, kind);
  const kinds = tallies.map((tally): KindAtPass => {
    const { kind } = tally;
    const holds = kind.freeOf?.length ? portionHolds(snapshot, state, kind, of.lotNow) : null;
    return {
      kind,
      tally,
      stillWanted: Math.max(0, tally.covers - tally.served),
      isLater: kind.laterMs !== undefined && kind.laterMs > nowMs,
      holdsForbidden: holds ? notForGuest(kind.freeOf ?? [], holds) : [],
    };
  });
  const served = servedByOrder(state);
  const orders = state.service.asked.map((one) => orderAtPass(snapshot, state, one, served, of));
  const open = orders.filter((one) => one.open.length > 0);
  const litres = Math.max(0, foodLitres(state.pot));
  const kept = kinds.filter((one) => one.isLater || one.kind.word === 'staff');
  const keptLitres = Math.min(
    litres,
    kept.reduce((sum, one) => sum + (one.stillWanted * mlOf(one.kind)) / 1000, 0),
  );
  const now = kinds.filter((one) => isForNow(one.kind) || (one.kind.laterMs ?? 0) <= nowMs);
  const forGuests = now.filter((one) => one.kind.word !== 'staff');
  const litresLeft = litres - keptLitres;
  const demand = demandNow(snapshot, state, forGuests, open, nowMs, service);
  const first = kinds[0]!.kind;
  return {
    kinds,
    orders: open,
    doneOrders: orders.length - open.length,
    litres,
    keptLitres,
    litresLeft,
    litresForMore: Math.max(0, litresLeft - waitingLitres(forGuests, open, mlOf)),
    portionsLeft: Math.floor(portions({ litres: litresLeft, portionMl: mlOf(first) }) + 1e-6),
    asked: askedFor(state, forGuests, open),
    turnedAway: state.service.turnedAway,
    covers: forGuests.reduce((sum, one) => sum + one.tally.covers, 0),
    demand,
    lastsMin: service.lastsMin,
    garnish: garnishLeft(snapshot, state, toComeByKind(kinds, demand, forGuests)),
    grill: state.service.grilled.filter((load) => load.outMs > nowMs - GRILL_SHOWN_MS),
  };
}

/** A load that came out stays in sight for so long. Ours. */
const GRILL_SHOWN_MS = 5 * 60_000;

/** Portions served of each order, by order and kind. */
function servedByOrder({ service }: BatchState): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  for (const { orderId, kindId, fate, portions: count } of service.outs) {
    if (orderId === null || fate !== 'served') continue;
    const key = `${orderId} ${kindId}`;
    found.set(key, (found.get(key) ?? 0) + count);
  }
  return found;
}

function orderAtPass(
  snapshot: BatchSnapshot,
  state: BatchState,
  order: AskedOrder,
  served: ReadonlyMap<string, number>,
  {
    lotNow,
    servedElsewhere,
  }: { lotNow?: (lotId: string) => Holds | undefined; servedElsewhere?: ReadonlyMap<string, number> },
): OrderAtPass {
  let elsewhere = servedElsewhere?.get(order.orderId) ?? 0;
  const open = order.items.flatMap(({ kindId, count }) => {
    const here = count - (served.get(`${order.orderId} ${kindId}`) ?? 0);
    const there = Math.min(Math.max(0, here), elsewhere);
    elsewhere -= there;
    const left = here - there;
    return left > 0 ? [{ kindId, count: left }] : [];
  });
  const forbidden = (order.freeOf ?? []).length > 0 && open.length > 0;
  const allergens = forbidden
    ? kindsOf(snapshot.input)
        .filter((kind) => open.some((one) => one.kindId === kind.id))
        .flatMap((kind) => notForGuest(order.freeOf!, portionHolds(snapshot, state, kind, lotNow)))
    : [];
  return { ...order, open, holdsForbidden: [...new Set(allergens)] };
}

/** Litres that orders wait for. */
function waitingLitres(
  now: readonly KindAtPass[],
  open: readonly Pick<OrderAtPass, 'open'>[],
  trueMlOf: (kind: PortionKind) => number,
): number {
  const mlOf = new Map(now.map(({ kind }) => [kind.id, trueMlOf(kind)]));
  return open
    .flatMap((order) => order.open)
    .reduce((sum, one) => sum + (one.count * (mlOf.get(one.kindId) ?? 0)) / 1000, 0);
}

/** Portions that guests have asked for: what they were served, what waits, and what was turned away. */
function askedFor(
  { service }: BatchState,
  now: readonly KindAtPass[],
  open: readonly Pick<OrderAtPass, 'open'>[],
): number {
  const ids = new Set(now.map((one) => one.kind.id));
  const waiting = open
    .flatMap((order) => order.open)
    .reduce((sum, one) => (ids.has(one.kindId) ? sum + one.count : sum), 0);
  return now.reduce((sum, one) => sum + Math.max(0, one.tally.served), 0) + waiting + service.turnedAway;
}

/** How far a service is and what it still asks for; null where no guest is expected of it. */
function demandNow(
  { plan, input }: BatchSnapshot,
  state: BatchState,
  now: readonly KindAtPass[],
  open: readonly Pick<OrderAtPass, 'open'>[],
  nowMs: number,
  service: Pick<ServicePattern, 'lastsMin' | 'arrival' | 'seen'>,
): DemandOfKinds | null {
  const sizes = now.map(({ kind, tally }) => ({ ml: trueMl(input, kind), covers: tally.covers }));
  const covers = sizes.reduce((sum, one) => sum + one.covers, 0);
  if (covers <= 0) return null;
  return demandOfKinds({
    kinds: sizes,
    expected: expectedFor(covers, service.seen),
    curve: curveHere(service),
    part: partGone(plan.serviceAtMs, service.lastsMin, nowMs),
    asked: askedFor(state, now, open),
  });
}

const curveHere = (service: Pick<ServicePattern, 'arrival' | 'seen'>): ArrivalCurve =>
  service.seen.shares.length > 0 ? curveOf(service) : curveSaid(service.arrival);

/** The part of a service's time that is gone, to a quarter of a minute: less moves nothing. */
export function partGone(startsMs: number, lastsMin: number, nowMs: number): number {
  const goneMin = (nowMs - startsMs) / 60_000;
  const quarters = 4 * lastsMin;
  return Math.round(Math.min(1, Math.max(0, goneMin / lastsMin)) * quarters) / quarters;
}

/** Portions that a pot served of another's orders, by order. */
export function servedOfOrders(events: readonly BatchEvent[]): Map<string, number> {
  const active = activeEvents(events);
  const found = new Map<string, number>();
  const back = new Map<string, number>();
  for (const event of active)
    if (event.type === 'takenBack')
      back.set(event.payload.eventId, (back.get(event.payload.eventId) ?? 0) + event.payload.portions);
  for (const event of active) {
    if (event.type !== 'portioned' || event.payload.fate !== 'served') continue;
    const { orderId, portions: count } = event.payload;
    if (orderId) found.set(orderId, (found.get(orderId) ?? 0) + count - (back.get(event.id) ?? 0));
  }
  return found;
}

/** What is still to be served of each kind: of those for now as much as is expected, of the others all of it. */
function toComeByKind(
  kinds: readonly KindAtPass[],
  demand: DemandOfKinds | null,
  now: readonly KindAtPass[],
): Record<string, number> {
  const covers = now.reduce((sum, one) => sum + one.tally.covers, 0);
  return Object.fromEntries(
    kinds.map((one) => {
      const share = demand && now.includes(one) && covers > 0 ? one.tally.covers / covers : null;
      return [one.kind.id, share === null ? one.stillWanted : share * demand!.stillToCome.mean];
    }),
  );
}
