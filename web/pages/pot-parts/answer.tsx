import { sentenceCase } from '../../../contract';
import { Button } from '../../components/button';
import { Errors, Over, Soft } from '../../components/text';
import { hourMinute, potWords, questionWords } from '../../words';
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
        <Over>{potWords.aReadingAtDoesNot(hourMinute(question.atMs, here.kitchen.zone))}</Over>
        <h2>{potWords.isThatRight}</h2>
      </div>
      <Cues>
        <p>
          {device && `${sentenceCase(device)}: `}
          {questionWords(question)}
        </p>
        <Soft>
          {potWords.itIsSavedButNot}
          {device && potWords.checkWithAnotherThermometerOr}
        </Soft>
      </Cues>
      <Errors sentences={refusals} />
      <Acts>
        {device ? (
          <>
            <Button key="yes" kind="main" atPot onPress={() => answer(true)}>
              {potWords.yesItIsRight}
            </Button>
            <Button key="no" atPot onPress={() => answer(false)}>
              {potWords.noTheProbeIsWrong}
            </Button>
          </>
        ) : (
          <>
            <Button key="no" kind="main" atPot onPress={() => answer(false)}>
              {potWords.noAMistakeIgnoreIt}
            </Button>
            <Button key="yes" atPot onPress={() => answer(true)}>
              {potWords.yesItIsRight}
            </Button>
          </>
        )}
      </Acts>
      <Acts>{beside}</Acts>
    </>
  );
}
