import styled from 'styled-components';
import type { KitchenView } from '../../../contract';
import { Caution, Over, Soft, Subtitle } from '../../components/text';
import { useLearned } from '../../data/queries';
import { space } from '../../theme/tokens';
import { heatWords, kitchenWords } from '../../words';
import { hundredths, LearnedOf } from './learned-of';
import { LearnedShares } from './learned-shares';

/** The two tables, apart. */
const Tables = styled.div`
  display: grid;
  gap: ${space.l};
`;

/** So many rows are read; the rest is as well known or worse. */
const ROWS = 10;

/** What closed batches have shown of each pot on each burner, by setting and lid: where the next batch’s first guess comes from. */
export function LearnedTable({ kitchen }: { kitchen: KitchenView }) {
  const name = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? id;
  const { data: learned } = useLearned();
  if (!learned) return null;
  const { rates } = learned;
  const drifted = rates.filter((one) => one.drifted !== null);
  return (
    <Tables>
      <div>
        <Subtitle>{kitchenWords.calibration}</Subtitle>
        {rates.length === 0 ? (
          <Soft>{kitchenWords.nothingYetEachClosedBatch}</Soft>
        ) : (
          <>
            {drifted.map((one) => (
              <Caution key={`${one.potId}${one.burnerId}${one.fraction}${one.lid}`}>
                {kitchenWords.hasDriftedAtItGives(
                  name(kitchen.burners, one.burnerId),
                  heatWords(one.fraction),
                  Math.abs(hundredths(one.drifted!)),
                  one.drifted! < 0,
                )}
              </Caution>
            ))}
            <LearnedOf>
              <thead>
                <tr>
                  <th scope="col">{kitchenWords.burnerPot}</th>
                  <th scope="col">{kitchenWords.settingLid}</th>
                  <th scope="col">{kitchenWords.seen}</th>
                  <th scope="col">{kitchenWords.heatDeliveredOfRated}</th>
                </tr>
              </thead>
              <tbody>
                {rates.slice(0, ROWS).map((one) => (
                  <tr key={`${one.potId}${one.burnerId}${one.fraction}${one.lid}`}>
                    <td>
                      {name(kitchen.burners, one.burnerId)}, {name(kitchen.pots, one.potId)}
                    </td>
                    <td>
                      {heatWords(one.fraction)}, {one.lid}
                    </td>
                    <td>{kitchenWords.times(one.segments)}</td>
                    <td>
                      {hundredths(one.arriving.mean)} % ± {hundredths(one.arriving.sd)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </LearnedOf>
            <Over>{kitchenWords.theBestKnownFirstA}</Over>
          </>
        )}
      </div>
      <LearnedShares kitchen={kitchen} learned={learned} />
    </Tables>
  );
}
