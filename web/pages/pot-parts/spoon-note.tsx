import { Link } from 'react-router';
import { Soft } from '../../components/text';
import { dose, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';

/** Less than this is no dose, kg. */
const LEAST_KG = 0.00005;

/** What waits for the spoon at this stage: what was found right before has gone in by two thirds. */
export function SpoonNote({ here, stageId }: { here: BatchHere; stageId: string }) {
  const { plan, input } = here.batch.snapshot;
  const bySpoon = new Set(
    input.recipe.lines.filter((line) => line.scaling === 'bySpoon').map((line) => line.id),
  );
  const waiting = plan.lines.filter(
    (line) => line.stageId === stageId && bySpoon.has(line.lineId) && (line.keptByKg ?? 0) > LEAST_KG,
  );
  if (waiting.length === 0) return null;
  return (
    <Soft>
      {potWords.waitForTheSpoon(
        waiting.map((line) => `${dose(line.keptByKg! * 1000)} ${line.name.toLowerCase()}`),
      )}{' '}
      <Link to={`/batches/${here.batch.id}/adjust`}>{potWords.tasteIt}</Link>
    </Soft>
  );
}
