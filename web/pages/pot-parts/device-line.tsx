import { Caution, Over } from '../../components/text';
import { useDevicesAt } from '../../data/queries';
import { deviceTrouble, potWords } from '../../words';
import { shownBy } from '../kitchen-parts/devices';

/** What a probe or a scale at this pot, or in this lot, shows now; a sentence where it cannot be believed. */
export function DeviceLine({ at }: { at: string }) {
  const own = useDevicesAt(at);
  if (own.length === 0) return null;
  return (
    <div role="status">
      {own.map((one) => {
        const trouble = deviceTrouble(one);
        return trouble ? (
          <Caution key={one.id}>
            {one.name}: {trouble}
          </Caution>
        ) : (
          <Over key={one.id}>
            {potWords.shows(one.name)}
            <strong>{shownBy(one)}</strong>
          </Over>
        );
      })}
    </div>
  );
}
