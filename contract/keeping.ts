import { TZDate } from '@date-fns/tz';
import { addDays, endOfDay } from 'date-fns';
import type { KeepingRules } from '../core/larder';
import type { KitchenView } from './views';

/** The kitchen's limits on keeping, its days ending where its own clock says. */
export function keepingRules(kitchen: Pick<KitchenView, 'zone' | 'limits'>): KeepingRules {
  return {
    dateMarkDays: kitchen.limits.dateMarkDays,
    endOfDayMs: (atMs, daysOn) => endOfDay(addDays(new TZDate(atMs, kitchen.zone), daysOn)).getTime(),
  };
}
