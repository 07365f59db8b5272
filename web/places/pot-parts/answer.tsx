import { hourMinute } from '../../data/format';
import { Button } from '../../parts/button';
import { Errors, Over, Soft } from '../../parts/text';
import type { BatchHere } from '../batch-frame';
import { Acts, Cues } from './pot-styles';
import { useSay } from './use-say';

/** A reading the pot cannot explain: two answers, and until then it counts for nothing. */
export function Answer({ here, beside }: { here: BatchHere; beside: React.ReactNode }) {
  const { tell, refusals } = useSay(here.batch.id);
  const [question] = here.pot.state.questions;
  if (!question) return null;
  const answer = (believed: boolean) =>
    tell({ type: 'answered', v: 1, payload: { eventId: question.eventId, believed } });
  return (
    <>
      <div>
        <Over>A reading at {hourMinute(question.atMs, here.kitchen.zone)} does not fit</Over>
        <h2>Is that right?</h2>
      </div>
      <Cues>
        <p>{question.sentence}</p>
        <Soft>It is kept, and counts for nothing until you say.</Soft>
      </Cues>
      <Errors sentences={refusals} />
      <Acts>
        <Button kind="main" atPot onPress={() => answer(false)}>
          No, a slip: set it aside
        </Button>
        <Button atPot onPress={() => answer(true)}>
          Yes, it is right
        </Button>
      </Acts>
      <Acts>{beside}</Acts>
    </>
  );
}
