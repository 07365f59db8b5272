import { useMemo } from 'react';
import styled from 'styled-components';

import { type BatchEvent, levelAhead, levelTrace } from '../../../core/batch';
import type { Dial } from '../../../core/kitchen';
import { activeEvents } from '../../../core/log';
import { potLitres } from '../../../core/pot';
import { LevelChart } from '../../components/chart/level-chart';
import { heatWords, litres, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';

const ChartBox = styled.div`
  height: 140px;
  min-width: 0;
`;

/** Heat and lid as they were changed on the way; what was set as the stage began is no change. */
function changesOf(
  events: readonly BatchEvent[],
  begunMs: number,
  dial: Dial | undefined,
): { atMs: number; text: string }[] {
  return activeEvents(events).flatMap((event) => {
    if (event.actedAtMs < begunMs + BEGINNING_MS) return [];
    if (event.type === 'heatSet')
      return [{ atMs: event.actedAtMs, text: heatWords(event.payload.fraction, dial) }];
    return event.type === 'lidSet' ? [{ atMs: event.actedAtMs, text: potWords.lid(event.payload.lid) }] : [];
  });
}
const BEGINNING_MS = 5000;

/** The running fall: what was read, where it is, and the forecast down to its mark. */
export function FallChart({ here, markLitres }: { here: BatchHere; markLitres: number }) {
  const { snapshot } = here.batch;
  const { state, events, nowMs, clock } = here.pot;
  const begunMs = clock?.begunMs ?? 0;
  // The curve is drawn anew each minute and at each event; the figures beside it move more often.
  const minute = Math.floor(nowMs / 60_000);
  const drawn = useMemo(() => {
    const readings = state.readings
      .filter((reading) => reading.atMs >= begunMs)
      .flatMap(({ atMs, litres, status }) =>
        litres === null ? [] : [{ atMs, litres, isDoubted: status !== 'accepted' }],
      );
    return {
      trace: levelTrace(snapshot, events, nowMs).filter((point) => point.atMs >= begunMs),
      band: levelAhead(state.setup, state.pot, markLitres),
      readings,
      changes: changesOf(events, begunMs, state.onBurner.dial),
      description: potWords.theLevelGoingDownReadings(
        readings.length,
        litres(potLitres(state.pot)),
        litres(markLitres),
      ),
      markLitres,
    };
  }, [snapshot, events, begunMs, minute, state.pot.heatFraction, state.pot.lid]);
  return (
    <ChartBox>
      <LevelChart zone={here.kitchen.zone} servedAtMs={null} {...drawn} />
    </ChartBox>
  );
}
