import { Caution, Over } from '../../components/text';
import { useDevicesAt } from '../../data/queries';
import { shownBy } from '../kitchen-parts/devices';

/** What a probe or a scale at this pot shows now; a sentence where it cannot be believed. */
export function DeviceLine({ batchId }: { batchId: string }) {
  const own = useDevicesAt(batchId);
  if (own.length === 0) return null;
  return (
    <div role="status">
      {own.map((one) =>
        one.said ? (
          <Caution key={one.id}>
            {one.name}: {one.said}
          </Caution>
        ) : (
          <Over key={one.id}>
            {one.name} shows <strong>{shownBy(one)}</strong>
          </Over>
        ),
      )}
    </div>
  );
}
