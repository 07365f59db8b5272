import { hourMinute, sentenceCase } from '../../../contract';
import { Button } from '../../components/button';
import { Errors, Over, Soft } from '../../components/text';
import { questionWords } from '../../words/batch';
import type { BatchHere } from '../batch-frame';
import { Acts, Cues } from './pot-styles';
import { useSubmit } from './use-submit';

/** A reading the pot cannot explain: two answers, and until then it counts for nothing. */
export function Answer({ here, beside }: { here: BatchHere; beside: React.ReactNode }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const [question] = here.pot.state.questions;
  if (!question) return null;
  // a device makes no slip of the hand: what it shows is right, or it does not hang in the pot
  const device = here.batch.events.find((event) => event.id === question.eventId)?.by ?? null;
  const answer = (believed: boolean) =>
    tell({ type: 'answered', payload: { eventId: question.eventId, believed } });
  return (
    <>
      <div>
        <Over>A reading at {hourMinute(question.atMs, here.kitchen.zone)} does not fit</Over>
        <h2>Is that right?</h2>
      </div>
      <Cues>
        <p>
          {device && `${sentenceCase(device)}: `}
          {questionWords(question)}
        </p>
        <Soft>
          It is kept, and counts for nothing until you say.
          {device &&
            ' Look with another thermometer, or at the level. After a no, the like of it is set aside for 20 min.'}
        </Soft>
      </Cues>
      <Errors sentences={refusals} />
      <Acts>
        {device ? (
          <>
            <Button key="yes" kind="main" atPot onPress={() => answer(true)}>
              Yes, it is right
            </Button>
            <Button key="no" atPot onPress={() => answer(false)}>
              No, it hangs wrong: set it aside
            </Button>
          </>
        ) : (
          <>
            <Button key="no" kind="main" atPot onPress={() => answer(false)}>
              No, a slip: set it aside
            </Button>
            <Button key="yes" atPot onPress={() => answer(true)}>
              Yes, it is right
            </Button>
          </>
        )}
      </Acts>
      <Acts>{beside}</Acts>
    </>
  );
}
