import { blenderFills } from '../../../core/batch';
import type { Stage } from '../../../core/recipe';
import { Caution } from '../../components/text';
import { litres, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';

/** How often the jar is filled for what is in the pot now, and why no fuller. */
export function BlenderNote({ here, stage }: { here: BatchHere; stage: Stage }) {
  const jar = blenderFills(here.batch.snapshot, here.pot.state, stage);
  if (!jar) return null;
  const { hasStickBlender } = here.kitchen.equipment;
  return (
    <Caution>
      {potWords.isFillOfAtMost(
        litres(jar.litres),
        jar.fills,
        litres(jar.eachLitres),
        jar.jarLitres,
        hasStickBlender,
      )}
    </Caution>
  );
}
