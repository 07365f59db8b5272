import { topTemperature } from '../../../core/batch';
import { Caution } from '../../components/text';
import type { BatchHere } from '../batch-frame';

/** The hottest the pot may get, with the minimum that holds beside it; where both cannot be kept, both are shown. */
export function TopNote({ here }: { here: BatchHere }) {
  const top = topTemperature(here.batch.snapshot, here.pot.state);
  if (!top) return null;
  return (
    <Caution>
      not over {top.tempC} °C from here on, for the {top.because}: {top.why}.
      {top.least && ` At least ${top.least.tempC} °C, ${top.least.why}.`}
      {top.collides && ' Both cannot be kept: the licensed person decides, by the thermometer.'}
    </Caution>
  );
}
