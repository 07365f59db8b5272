import { CODE_HOT_LIMITS, limitSource } from '../../../core/safety';
import { Caution } from '../../components/text';
import { potWords } from '../../words';
import type { BatchHere } from '../batch-frame';

/** Under the temperature of hot holding while it is served: what the batch's kitchen wants. The thermometer decides. */
export function HoldNote({ here }: { here: BatchHere }) {
  const { pot } = here.pot.state;
  const limits = here.batch.snapshot.input.limits ?? CODE_HOT_LIMITS;
  const { hotHoldingC, reheatC, reheatWithinH } = limits;
  if (pot.tempC >= hotHoldingC || pot.addedKg === 0) return null;
  return (
    <Caution>
      {potWords.belowCByCalculationTake(
        hotHoldingC,
        limitSource(limits, 'hotHoldingC'),
        reheatC,
        reheatWithinH,
        limitSource(limits, 'reheatC'),
      )}
    </Caution>
  );
}
