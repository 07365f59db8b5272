import { activeEvents } from '../../../core/log';
import { Caution } from '../../components/text';
import { describeEvent, hourMinute, markWords, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';

/**
 * More went out than was in the pot: kept, as it was said, and asked about until a level is read, or some of it is taken
 * back.
 */
export function Beyond({ here }: { here: BatchHere }) {
  const { events, snapshot } = here.batch;
  const { outs } = here.pot.state.service;
  const standing = activeEvents(events);
  const lastReadMs = standing.reduce(
    (last, event) => (event.type === 'reading' ? Math.max(last, event.actedAtMs) : last),
    0,
  );
  const asked = standing.flatMap((event) => {
    const { flag } = event;
    if (flag?.code !== 'servedBeyond' && flag?.code !== 'drawnBeyond') return [];
    const isMended =
      event.type === 'portioned' &&
      outs.find((out) => out.eventId === event.id)?.portions !== event.payload.portions;
    return isMended || event.actedAtMs < lastReadMs ? [] : [{ event, flag }];
  });
  return (
    <>
      {asked.map(({ event, flag }) => (
        <Caution key={event.id}>
          {passWords.beyond(
            hourMinute(event.actedAtMs, here.kitchen.zone),
            describeEvent(event, snapshot),
            markWords(flag),
          )}
        </Caution>
      ))}
    </>
  );
}
