import { litres } from '../../../contract';
import { blenderFills } from '../../../core/batch';
import type { Stage } from '../../../core/recipe';
import { Caution } from '../../components/text';
import type { BatchHere } from '../batch-frame';

/** How often the jar is filled for what is in the pot now, and why no fuller. */
export function BlenderNote({ here, stage }: { here: BatchHere; stage: Stage }) {
  const jar = blenderFills(here.batch.snapshot, here.pot.state, stage);
  if (!jar) return null;
  const { hasStickBlender } = here.kitchen.equipment;
  return (
    <Caution>
      {litres(jar.litres)} is {jar.fills} {jar.fills === 1 ? 'fill' : 'fills'} of at most{' '}
      {litres(jar.eachLitres)} in the {jar.jarLitres} L jar: hot soup throws its lid off. Vent it, a cloth
      over it
      {hasStickBlender ? '; or the stick blender, in the pot' : ''}.
    </Caution>
  );
}
