import { topTemperature } from '../../../core/batch';
import { Caution } from '../../components/text';
import { potWords } from '../../words';
import type { BatchHere } from '../batch-frame';

/** The hottest the pot may get, with the minimum that holds beside it; where both cannot be kept, both are shown. */
export function TopNote({ here }: { here: BatchHere }) {
  const top = topTemperature(here.batch.snapshot, here.pot.state);
  if (!top) return null;
  return (
    <Caution>
      {potWords.notOverCFromHere(top.tempC, top.because, top.why)}
      {top.least && potWords.atLeastC(top.least.tempC, top.least.why)}
      {top.collides && potWords.bothCannotBeKeptThe}
    </Caution>
  );
}
