import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { holdClock, rowsInPot } from '../../../core/batch';
import { firstToGoOff, holdDrift } from '../../../core/hold';
import { waterDensityKgPerL } from '../../../core/matter';
import { CODE_HOT_LIMITS, limitSource } from '../../../core/safety';
import type { PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { ButtonRow } from '../../components/field-row';
import { Caution, Errors, Soft, Subtitle } from '../../components/text';
import {
  checkedWords,
  cooledWords,
  driftWords,
  goodForWords,
  heldHotWords,
  holdWords,
  litres,
  tooColdWords,
  topUpWords,
} from '../../words';
import type { BatchHere } from '../batch-frame';
import { HoldNote } from '../pot-parts/hold-note';
import { useSubmit } from '../pot-parts/use-submit';
import { HoldSheet, ReheatedSheet, TemperatureSheet, ThrownAwaySheet } from './hold-sheets';

type Open = 'hold' | 'temperature' | 'reheated' | 'thrownAway' | null;

/** Too cold, it is the first thing at the pass. */
const Section = styled.section<{ $isFirst: boolean }>`
  order: ${({ $isFirst }) => ($isFirst ? -1 : 0)};
`;

/** It is topped up from a kettle: a little under the boil, °C. */
const KETTLE_C = 95;

/** What is served is held hot: in what, the thermometer's rhythm, what steams off and what keeps it as it is. */
export function HeldHot({ here, board }: { here: BatchHere; board: PassBoard }) {
  const { state, nowMs } = here.pot;
  const { snapshot } = here.batch;
  const { zone } = here.kitchen;
  const { tell, refusals } = useSubmit(here.batch.id);
  const [open, setOpen] = useState<Open>(null);
  const clock = holdClock(snapshot, state);
  const minute = Math.floor(nowMs / 60_000);
  const endMs = Math.max(snapshot.plan.serviceAtMs + board.lastsMin * 60_000, nowMs + 3_600_000);
  const everyMin = clock?.everyMin ?? 30;
  const drift = useMemo(
    () => (state.held ? holdDrift(state.setup, state.pot, endMs, everyMin) : null),
    // by the minute, and by what was said
    [here.pot.events, minute, everyMin],
  );
  const goesOff = useMemo(() => {
    const rows = rowsInPot(snapshot, state);
    const foods = state.wentIn.flatMap(({ ingredientId, kg }) => {
      const row = rows[ingredientId];
      return row ? [{ row, kg }] : [];
    });
    return firstToGoOff(foods);
  }, [snapshot, state.wentIn]);
  if (!clock) return null;
  const { held } = state;
  const { below } = clock;
  const limits = snapshot.input.limits ?? CODE_HOT_LIMITS;
  const topUp = drift?.topUp ?? null;
  const close = () => setOpen(null);
  return (
    <Section aria-label={holdWords.heldHot} $isFirst={below !== null}>
      <Subtitle>{holdWords.heldHot}</Subtitle>
      {below ? (
        <>
          <Caution>{tooColdWords(below, limits, limitSource(limits, 'hotHoldingC'), zone)}</Caution>
          <ButtonRow>
            {below.canReheat && (
              <Button kind="main" atPot onPress={() => setOpen('reheated')}>
                {holdWords.reheated}…
              </Button>
            )}
            <Button atPot onPress={() => setOpen('thrownAway')}>
              {holdWords.thrownAway}…
            </Button>
          </ButtonRow>
        </>
      ) : (
        <HoldNote here={here} />
      )}
      {held && (
        <p>
          {heldHotWords({
            in: held.in,
            keptC: state.pot.keptC ?? null,
            lid: state.pot.lid,
            ...(held.pans === null ? {} : { pans: held.pans }),
          })}
        </p>
      )}
      <Soft>{checkedWords(clock.last, clock.nextMs, zone)}</Soft>
      {drift && (
        <Soft>
          {held?.in === 'thermos' ? cooledWords(drift, zone) : driftWords(drift, zone)}{' '}
          {topUp && topUpWords(topUp)}
        </Soft>
      )}
      {goesOff && <Soft>{goodForWords(goesOff)}</Soft>}
      <Errors sentences={refusals} />
      <ButtonRow>
        <Button atPot onPress={() => setOpen('temperature')}>
          {holdWords.takeTheTemperature}
        </Button>
        {topUp && (
          <Button
            atPot
            onPress={() =>
              tell({
                type: 'added',
                payload: {
                  items: [
                    {
                      ingredientId: 'water',
                      kg: topUp.litres * waterDensityKgPerL({ tempC: KETTLE_C }),
                      tempC: Math.min(KETTLE_C, state.setup.air.boilingC),
                    },
                  ],
                },
              })
            }
          >
            {holdWords.topUp(litres(topUp.litres))}
          </Button>
        )}
        <Button kind="quiet" onPress={() => setOpen('hold')}>
          {held ? holdWords.holdOtherwise : holdWords.holdItHot}…
        </Button>
      </ButtonRow>
      {open === 'hold' && <HoldSheet here={here} onClose={close} />}
      {open === 'temperature' && <TemperatureSheet here={here} onClose={close} />}
      {open === 'reheated' && <ReheatedSheet here={here} onClose={close} />}
      {open === 'thrownAway' && <ThrownAwaySheet here={here} board={board} onClose={close} />}
    </Section>
  );
}
