import { daysAhead, type KitchenView, type OrderView } from '../../../contract';
import { BANDS } from '../../../core/thickness';
import { hourMinute } from '../../words';

/** A kept order as the address that opens it as it was kept: its day, its salt, what stands in for what, its lots. */
export function orderAddress({ id, request }: OrderView, kitchen: KitchenView, nowMs: number): string {
  const { zone, services } = kitchen;
  const hour = hourMinute(request.serviceAtMs, zone);
  const service = services.find((one) => one.time === hour);
  return `/plan?${new URLSearchParams({
    recipe: request.recipeId,
    portions: String(request.kinds?.[0]?.count ?? request.portions),
    amountBy: 'portions',
    portionMl: String(request.portionMl),
    saltPercent: String(request.saltPercent),
    bandName: BANDS[Math.round(request.band)]!.name,
    pot: request.potId,
    burner: request.burnerId,
    day: String(Math.max(0, daysAhead(nowMs, request.serviceAtMs, zone))),
    ...(service ? { service: service.id } : { by: hour }),
    ...(request.holdBackShare ? { holdBack: String(request.holdBackShare) } : {}),
    ...(request.changes ? { changes: JSON.stringify(request.changes) } : {}),
    ...(request.kinds ? { kinds: JSON.stringify(request.kinds) } : {}),
    ...(request.lotIds ? { lots: request.lotIds.join(',') } : {}),
    order: id,
  })}`;
}
