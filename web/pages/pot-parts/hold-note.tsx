import { CODE_HOT_LIMITS, limitSource } from '../../../core/safety';
import { Caution } from '../../components/text';
import type { BatchHere } from '../batch-frame';

/** Under the temperature of hot holding while it is served: what the batch's kitchen wants. The thermometer decides. */
export function HoldNote({ here }: { here: BatchHere }) {
  const { pot } = here.pot.state;
  const limits = here.batch.snapshot.input.limits ?? CODE_HOT_LIMITS;
  const { hotHoldingC, reheatC, reheatWithinH } = limits;
  if (pot.tempC >= hotHoldingC || pot.addedKg === 0) return null;
  return (
    <Caution>
      calculated, it is under {hotHoldingC} °C. Take its temperature: it is held at {hotHoldingC} °C or above
      ({limitSource(limits, 'hotHoldingC')}). Measured under it: reheat to {reheatC} °C within {reheatWithinH}{' '}
      h ({limitSource(limits, 'reheatC')}), or the person in charge decides.
    </Caution>
  );
}
