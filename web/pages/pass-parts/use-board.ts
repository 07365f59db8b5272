import { useMemo } from 'react';
import { type KitchenView, zonedTimeMs } from '../../../contract';
import { NOTHING_SEEN } from '../../../core/demand';
import { type PassBoard, passBoard, servedOfOrders } from '../../../core/service';
import { useBatches, useLotsOf } from '../../data/queries';
import type { BatchHere } from '../batch-frame';

/** A board is made anew so often, unless something is said: less moves no figure of it, ms. */
const HOLDS_MS = 15_000;

/** What the pass shows, worked out when something was said, and a few times a minute. */
export function useBoard({ batch, kitchen, pot }: BatchHere): PassBoard {
  const { snapshot } = batch;
  const { state, nowMs } = pot;
  const { data: lots } = useLotsOf(batch.id);
  const parts = useBatches(state.parts.map((one) => one.childId));
  const servedElsewhere = useMemo(
    () => new Map(parts.flatMap((one) => [...servedOfOrders(one.events)])),
    [parts],
  );
  const tickMs = Math.floor(nowMs / HOLDS_MS) * HOLDS_MS;
  // the pot's own litres move it too, a tenth at a time
  const tenths = Math.round(state.pot.mixture.liquid.water * 10);
  return useMemo(
    () =>
      passBoard(snapshot, state, Math.max(tickMs, state.touchedMs), {
        service: serviceNamed(kitchen, snapshot.plan.serviceAtMs),
        lotNow: (id) => lots?.find((one) => one.id === id),
        servedElsewhere,
      }),
    [
      snapshot,
      state.service,
      state.parts,
      state.wentIn,
      tenths,
      tickMs,
      kitchen.services,
      lots,
      servedElsewhere,
    ],
  );
}

/** The kitchen's service at an hour, for a batch that did not take it along. */
function serviceNamed({ services, zone }: KitchenView, serviceAtMs: number) {
  const found = services.find((one) => zonedTimeMs(one.time, zone, serviceAtMs) === serviceAtMs);
  return (
    found && {
      lastsMin: found.lastsMin ?? 60,
      arrival: found.arrival ?? ('steady' as const),
      seen: NOTHING_SEEN,
    }
  );
}
