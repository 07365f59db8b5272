import { callOf } from '../../../core/batch';
import { Button } from '../../components/button';
import { SNOOZE_MIN } from '../../data/range-pots';
import { potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { More } from './pot-styles';
import { useSubmit } from './use-submit';

/** The sheets that a pot opens. */
export type PotSheet =
  | 'reading'
  | 'heat'
  | 'log'
  | 'amounts'
  | 'whatIf'
  | 'slip'
  | 'lift'
  | 'temper'
  | 'mark'
  | 'draw';

/** What is seldom wanted, in one quiet row; each opens a sheet. */
export function MoreActs({
  here,
  onOpen,
  beside = [],
}: {
  here: BatchHere;
  onOpen: (what: PotSheet) => void;
  /** what the row of acts has already */
  beside?: readonly PotSheet[];
}) {
  const { clock, state, next, nextSinceMs, nowMs } = here.pot;
  const { tell } = useSubmit(here.batch.id);
  const { snoozedUntilMs } = state;
  const call = callOf({ batchId: here.batch.id, next, snoozedUntilMs }, nowMs, nextSinceMs);
  const waits = clock?.target && clock.target.kind !== 'softened';
  const isFilled = state.wentIn.length > 0;
  return (
    <More>
      {waits && (
        <Button kind="quiet" onPress={() => onOpen('whatIf')}>
          {potWords.whatIf}
        </Button>
      )}
      {clock?.markLitres != null && (
        <Button kind="quiet" onPress={() => onOpen('mark')}>
          {potWords.changeTheMark}
        </Button>
      )}
      {isFilled && (
        <>
          {!beside.includes('reading') && (
            <Button kind="quiet" onPress={() => onOpen('reading')}>
              {potWords.takeAReading}
            </Button>
          )}
          <Button kind="quiet" onPress={() => onOpen('lift')}>
            {potWords.outOfThePot}
          </Button>
          <Button kind="quiet" onPress={() => onOpen('draw')}>
            {potWords.drawSomeOff}
          </Button>
          <Button kind="quiet" onPress={() => onOpen('temper')}>
            {potWords.temper}
          </Button>
          <Button kind="quiet" onPress={() => onOpen('slip')}>
            {potWords.somethingWentWrong}
          </Button>
        </>
      )}
      {call !== 'none' && (
        <Button kind="quiet" onPress={() => tell({ type: 'snoozed', payload: { minutes: SNOOZE_MIN } })}>
          {potWords.callAgainInMin(SNOOZE_MIN)}
        </Button>
      )}
      {!beside.includes('heat') && (
        <Button kind="quiet" onPress={() => onOpen('heat')}>
          {potWords.heatAndLid}
        </Button>
      )}
      {!beside.includes('log') && (
        <Button kind="quiet" onPress={() => onOpen('log')}>
          {potWords.undoOrNote}
        </Button>
      )}
    </More>
  );
}
