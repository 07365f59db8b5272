import { TZDate } from '@date-fns/tz';
import { addDays, endOfDay } from 'date-fns';
import type { CoolingPlace } from '../core/cooling';
import type { KeepingRules } from '../core/larder';
import type { KitchenView } from './views';

/** The kitchen's limits on keeping, its days ending where its own clock says. */
export function keepingRules(kitchen: Pick<KitchenView, 'zone' | 'limits'>): KeepingRules {
  return {
    dateMarkDays: kitchen.limits.dateMarkDays,
    endOfDayMs: (atMs, daysOn) => endOfDay(addDays(new TZDate(atMs, kitchen.zone), daysOn)).getTime(),
  };
}

/**
 * The kitchen's places to cool hot food in: walk-ins, blast chillers, ice. Not its freezer: what is hot in there thaws what
 * lies beside it.
 */
export function coolingPlaces({ colds }: Pick<KitchenView, 'colds'>): CoolingPlace[] {
  return colds.flatMap(({ id, name, kind, air, airC, kg }) =>
    kind === 'freezer' ? [] : [{ id, name, air: kind === 'ice' ? 'ice' : air, airC, kg: kg ?? null }],
  );
}
