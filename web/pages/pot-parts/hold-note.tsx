import { FOOD_CODE } from '../../../core/safety';
import { Caution } from '../../components/text';
import type { BatchHere } from '../batch-frame';

/** Under the temperature of hot holding while it is served: what the code wants. The thermometer decides. */
export function HoldNote({ here }: { here: BatchHere }) {
  const { pot } = here.pot.state;
  const { hotHoldingC, reheatC } = FOOD_CODE;
  if (pot.tempC >= hotHoldingC.value || pot.addedKg === 0) return null;
  return (
    <Caution>
      calculated, it is under {hotHoldingC.value} °C. Take its temperature: it is held at {hotHoldingC.value}{' '}
      °C or above (§ {hotHoldingC.section}). Measured under it: reheat to {reheatC.value} °C within two hours
      (§ {reheatC.section}), or the person in charge decides.
    </Caution>
  );
}
