import { useMemo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { minutes as minutesWords } from '../../../contract';
import { type PassBoard, willItLast } from '../../../core/service';
import { Button } from '../../components/button';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { hourMinute, litres, passWords, percent, portion, runsOutWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

/** It is worth a word from this chance on, and a warning from that. Ours. */
const WORTH_A_WORD = 0.05;
const WORTH_A_WARNING = 0.2;

const Levers = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space.m};
    align-items: center;
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** Portions still to be asked for against what is in the pot: when it runs out, and what would make it last. */
export function WillItLast({ here, board }: { here: BatchHere; board: PassBoard }) {
  const { snapshot } = here.batch;
  const { state, nowMs } = here.pot;
  const { zone } = here.kitchen;
  const { tell, refusals } = useSubmit(here.batch.id);
  // the board is a new one whenever a figure of it is
  const found = useMemo(() => willItLast(snapshot, state, board, nowMs), [snapshot, board]);
  if (!found) return null;
  const { chance, runsOut, smaller, dilute, another } = found;
  const { mean, sd } = found.stillToCome;
  const hundred = Math.round(100 * chance);
  const hasLevers = smaller || dilute || another || runsOut.p10Ms !== null;
  return (
    <section aria-label={passWords.willItLast}>
      <Subtitle>{passWords.willItLast}</Subtitle>
      <Soft>{passWords.stillToCome(Math.round(mean), Math.round(sd))}</Soft>
      {chance < WORTH_A_WARNING ? (
        <Soft role="status">{passWords.itLasts(hundred)}</Soft>
      ) : (
        <Caution>
          {runsOutWords(runsOut, zone)} {passWords.chancesInAHundred(hundred)}
        </Caution>
      )}
      <Errors sentences={refusals} />
      {hasLevers && (
        <Levers>
          {smaller?.sizes[0] && (
            <li>
              <span>{passWords.ladleSmaller(portion(smaller.sizes[0].ml), smaller.portions)}</span>
              <Button
                onPress={() =>
                  tell(...smaller.sizes.map((payload) => ({ type: 'sizeSet' as const, payload })))
                }
              >
                {passWords.useIt}
              </Button>
            </li>
          )}
          {dilute && (
            <li>
              <span>
                {passWords.diluteSome(
                  litres(dilute.litres),
                  Math.round(100 * dilute.thinnedBy),
                  percent(dilute.saltPercent),
                )}
              </span>
              <Link to={`/batches/${here.batch.id}/adjust`}>{passWords.toAdjust}</Link>
            </li>
          )}
          {another && (
            <li>
              <span>
                {passWords.nextPotBy(hourMinute(another.lightByMs, zone), minutesWords(another.minutes))}
              </span>
              <Link to={`/plan?recipe=${encodeURIComponent(snapshot.input.recipe.id)}`}>
                {passWords.planIt}
              </Link>
            </li>
          )}
          {runsOut.p10Ms !== null && (
            <li>
              <span>{passWords.offTheBoard(hourMinute(runsOut.p10Ms, zone))}</span>
            </li>
          )}
        </Levers>
      )}
      {chance >= WORTH_A_WORD && (
        <Over>
          {passWords.fromCovers(
            board.covers,
            minutesWords(board.lastsMin),
            snapshot.service?.seen.shares.length ?? 0,
          )}
        </Over>
      )}
    </section>
  );
}
