import { type ItemKind, isOnDay } from '../../../contract';
import { useOpenBatches, useOrders } from '../../data/queries';
import { hourMinute, touchedWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

/** What a change of a pot, a burner or a service touches, in a sentence; null for nothing. */
export function useTouched(kind: ItemKind, itemId: string): string | null {
  const { services, zone } = useKitchenHere();
  const { data: open = [] } = useOpenBatches();
  const { data: orders = [] } = useOrders();
  const service = services.find((one) => one.id === itemId);
  const isFor = (one: { potId: string; burnerId: string }, serviceAtMs: number) =>
    kind === 'pot'
      ? one.potId === itemId
      : kind === 'burner'
        ? one.burnerId === itemId
        : kind === 'service' &&
          service?.time === hourMinute(serviceAtMs, zone) &&
          isOnDay(service, serviceAtMs, zone);
  return touchedWords(kind, {
    cooking: open
      .filter((batch) => isFor(batch, batch.snapshot.plan.serviceAtMs))
      .map((batch) => batch.snapshot.input.recipe.name.toLowerCase()),
    planned: orders.filter(({ request }) => isFor(request, request.serviceAtMs)).length,
  });
}
