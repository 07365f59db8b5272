import { Link } from 'react-router';
import type { BatchView } from '../../../contract';
import { drawsOfBatch } from '../../../core/larder';
import { activeEvents } from '../../../core/log';
import { Over } from '../../components/text';

import { useLotsOf } from '../../data/queries';
import { litres, logWords } from '../../words';

/** Lots a batch drew from and lots it stored, each a step of a recall. */
export function LotsOfBatch({ batch }: { batch: BatchView }) {
  const { data: lots = [] } = useLotsOf(batch.id);
  const { ingredients } = batch.snapshot.input;
  const drawn = new Map<string, number>();
  for (const draw of drawsOfBatch(batch.id, ingredients, batch.events))
    drawn.set(draw.lotId, (drawn.get(draw.lotId) ?? 0) + draw.kg);
  const put = activeEvents(batch.events).flatMap((event) => (event.type === 'stored' ? [event.payload] : []));
  if (drawn.size === 0 && put.length === 0) return null;
  const name = (id: string) => {
    const lot = lots.find((one) => one.id === id);
    return <Link to={`/larder/lots/${id}`}>{lot ? logWords.lot(lot.name, lot.number) : logWords.aLot}</Link>;
  };
  return (
    <section aria-label={logWords.larder}>
      <Over as="h2">{logWords.fromAndForTheLarder}</Over>
      <ul>
        {[...drawn].map(([id, kg]) => (
          <li key={id}>
            {logWords.kgOf(kg)}
            {name(id)}
          </li>
        ))}
        {put.map((one) => (
          <li key={one.lotId}>
            {logWords.storedAs(litres(one.litres))}
            {name(one.lotId)}
          </li>
        ))}
      </ul>
    </section>
  );
}
