import { useMemo } from 'react';
import type { KitchenView } from '../../contract';
import type { Call } from '../../core/batch';
import { COLD_C, FIRST_STEP_C } from '../../core/cooling';
import { standsHot } from '../../core/larder';
import type { LotView } from '../../core/views';
import { coolingWords, hourMinute } from '../words';
import { useMinuteMs } from './clock';
import { useCoolings, useLearned } from './queries';
import { LOUDNESS } from './range-pots';
import { type CoolingNow, coolingNow, emptyPansOf, filmsShown, lastToAct } from './use-cooling';

/** A lot that cools, or should, as the range and its call show it. */
export interface CoolingPlaceOnRange {
  lot: LotView;
  depthCm: number;
  doing: string;
  wants: string;
  call: Call;
}

const MIN = 60_000;
/** A temperature is taken so often while it has to be watched. Common practice. */
const READ_EVERY_MS = 30 * MIN;
/** Hot food may stand so long before somebody says how it is cooled. Ours. */
const MAY_STAND_MS = 10 * MIN;
/** The last moment to act is so near. Ours. */
const NEAR_MS = 15 * MIN;

/** Everything hot that has to be cold, with what it wants now; the most pressing first. */
export function useCoolingsOnRange(kitchen: KitchenView): CoolingPlaceOnRange[] {
  const { data: lots } = useCoolings();
  const { data: learned } = useLearned();
  const nowMs = useMinuteMs();
  return useMemo(() => {
    const of = { shown: filmsShown(learned), emptyPans: emptyPansOf(kitchen, lots ?? []) };
    return (lots ?? [])
      .flatMap((lot) => {
        if (standsHot(lot, nowMs)) return [standingHot(lot, nowMs)];
        const now = coolingNow(lot, kitchen, of, nowMs);
        return now ? [onRange(lot, now, kitchen, nowMs)] : [];
      })
      .sort((a, b) => LOUDNESS[b.call] - LOUDNESS[a.call]);
  }, [lots, learned, kitchen, nowMs]);
}

function standingHot(lot: LotView, nowMs: number): CoolingPlaceOnRange {
  return {
    lot,
    depthCm: 6,
    doing: lot.place,
    wants: coolingWords.standsHot,
    call: nowMs - lot.bornAtMs > MAY_STAND_MS ? 'due' : 'none',
  };
}

function onRange(
  lot: LotView,
  { cooling, known, forecast, acts }: CoolingNow,
  kitchen: KitchenView,
  nowMs: number,
): CoolingPlaceOnRange {
  const { zone } = kitchen;
  const isFirst = forecast.centreC.p50 > FIRST_STEP_C;
  const aimC = isFirst ? FIRST_STEP_C : COLD_C;
  const dueMs = isFirst ? forecast.firstDueMs : forecast.coldDueMs;
  const reaches = isFirst ? forecast.first.p50Ms : forecast.cold.p50Ms;
  const doing = coolingWords.nowC(forecast.centreC.p50, known.how.place);
  const place = (wants: string, call: Call) => ({ lot, depthCm: known.how.depthCm, doing, wants, call });
  if (nowMs > dueMs) return place(coolingWords.limitIsPast, 'urgent');
  if (forecast.isWarned) {
    const lastMs = lastToAct(acts);
    if (lastMs === null) return place(coolingWords.willMissTooLate(aimC), 'urgent');
    const words = coolingWords.willMissActBefore(aimC, hourMinute(lastMs, zone));
    return place(words, lastMs - nowMs < NEAR_MS ? 'urgent' : 'late');
  }
  const lastReadMs = cooling.readings.at(-1)?.atMs ?? cooling.steps[0]!.atMs;
  // once it is under 21 °C and nothing is wrong, a look when it should be cold is enough
  const isReadDue = isFirst ? nowMs - lastReadMs > READ_EVERY_MS : reaches !== null && nowMs > reaches;
  if (isReadDue) return place(coolingWords.readIt, 'due');
  return place(reaches === null ? '' : coolingWords.coldAt(aimC, hourMinute(reaches, zone)), 'none');
}
