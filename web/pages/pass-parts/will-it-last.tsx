import { useMemo } from 'react';
import { minutes as minutesWords, zonedTimeMs } from '../../../contract';
import { curveSaid, demand, expectedOf, toLast } from '../../../core/demand';
import { saltPercent } from '../../../core/matter';
import { Caution, Over, Soft, Subtitle } from '../../components/text';
import { hourMinute, litres as litresWords, passWords, percent, portion } from '../../words';
import type { BatchHere } from '../batch-frame';

/** A service goes on for so long where the kitchen has not said, min. Ours. */
const USUAL_MIN = 60;
/** It is worth a word from this chance on, and a warning from that. Ours. */
const WORTH_A_WORD = 0.05;
const WORTH_A_WARNING = 0.2;

/** Bowls still to be asked for against those in the pot: when it runs out, and what would make it last. */
export function WillItLast({ here, litres, left }: { here: BatchHere; litres: number; left: number }) {
  const { plan, input } = here.batch.snapshot;
  const { state, nowMs } = here.pot;
  const { zone, services } = here.kitchen;
  const service = services.find((one) => zonedTimeMs(one.time, zone, plan.serviceAtMs) === plan.serviceAtMs);
  const lastsMin = service?.lastsMin ?? USUAL_MIN;
  const goneMin = (nowMs - plan.serviceAtMs) / 60_000;
  const isOver = goneMin >= lastsMin;
  const part = Math.min(1, Math.max(0, goneMin / lastsMin));
  const arrival = service?.arrival ?? 'steady';
  // a quarter of a minute moves nothing; what went out does
  const steadied = Math.round(part * lastsMin * 4) / (lastsMin * 4);
  const found = useMemo(
    () =>
      demand({
        expected: expectedOf(plan.portions, []),
        curve: curveSaid(arrival),
        part: steadied,
        asked: state.served,
      }),
    [plan.portions, arrival, steadied, state.served],
  );
  const tenths = Math.max(0, Math.round(litres * 10)) / 10;
  const { chance, out, levers } = useMemo(
    () => ({
      chance: found.chanceOfMoreThan(left),
      out: found.runsOut(left + 1),
      levers: tenths > 0 ? toLast(found, { litres: tenths, portionMl: input.portionMl }) : null,
    }),
    [found, left, tenths, input.portionMl],
  );
  const isQuiet = state.served === 0 && goneMin < 0;
  if (isQuiet || isOver || litres <= 0) return null;
  const hundred = Math.round(100 * chance);
  const at = (part: number) => hourMinute(plan.serviceAtMs + part * lastsMin * 60_000, zone);
  const { p10, p50, p90 } = out;
  const cookMin = (plan.readyAtMs - plan.startAtMs) / 60_000;
  const lightMs = p10 === null ? null : plan.serviceAtMs + p10 * lastsMin * 60_000 - cookMin * 60_000;
  const { mean, sd } = found.stillToCome;
  return (
    <section aria-label={passWords.willItLast}>
      <Subtitle>{passWords.willItLast}</Subtitle>
      <Soft>{passWords.stillToCome(Math.round(mean), Math.round(sd))}</Soft>
      {chance < WORTH_A_WARNING ? (
        <Soft role="status">{passWords.itLasts(hundred)}</Soft>
      ) : (
        <Caution>
          {p10 !== null &&
            (p50 === null
              ? passWords.mayRunOutFrom(at(p10))
              : passWords.runsOutAt(at(p50), at(p10), p90 === null ? null : at(p90)))}{' '}
          {passWords.chancesInAHundred(hundred)}
        </Caution>
      )}
      {levers && (
        <ul>
          {levers.ladleMl !== null && (
            <li>{passWords.ladleSmaller(portion(levers.ladleMl), levers.bowls)}</li>
          )}
          {levers.dilute && (
            <li>
              {passWords.diluteSome(
                litresWords(levers.dilute.litres),
                Math.round(100 * levers.dilute.thinnedBy),
                percent(saltPercent(state.pot.mixture, 'all') * (1 - levers.dilute.thinnedBy)),
              )}
            </li>
          )}
          {lightMs !== null && lightMs > nowMs && (
            <li>{passWords.nextPotBy(hourMinute(lightMs, zone), minutesWords(cookMin))}</li>
          )}
          {p10 !== null && <li>{passWords.offTheBoard(at(p10))}</li>}
        </ul>
      )}
      {chance >= WORTH_A_WORD && <Over>{passWords.fromCovers(plan.portions, minutesWords(lastsMin))}</Over>}
    </section>
  );
}
