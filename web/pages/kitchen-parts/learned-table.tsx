import styled from 'styled-components';
import type { KitchenView } from '../../../contract';
import { Caution, Over, Soft, Subtitle } from '../../components/text';
import { useLearned } from '../../data/queries';
import { colour, size, space } from '../../theme/tokens';
import { heatWords, kitchenWords } from '../../words';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: 6px ${space.s} 6px 0;
    text-align: left;
    border-bottom: 1px solid ${colour.line};
  }
  th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
  }
  td:last-child,
  th:last-child {
    text-align: right;
    padding-right: 0;
  }
`;

/** So many rows are read; the rest is as well known or worse. */
const ROWS = 10;

/** What closed batches have shown of each pot on each burner, by setting and lid: where the next batch’s first guess comes from. */
export function LearnedTable({ kitchen }: { kitchen: KitchenView }) {
  const name = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? id;
  const { data: learned } = useLearned();
  if (!learned) return null;
  const drifted = learned.filter((one) => one.drifted !== null);
  return (
    <div>
      <Subtitle>{kitchenWords.calibration}</Subtitle>
      {learned.length === 0 ? (
        <Soft>{kitchenWords.nothingYetEachClosedBatch}</Soft>
      ) : (
        <>
          {drifted.map((one) => (
            <Caution key={`${one.potId}${one.burnerId}${one.fraction}${one.lid}`}>
              {kitchenWords.hasDriftedAtItGives(
                name(kitchen.burners, one.burnerId),
                heatWords(one.fraction),
                Math.abs(Math.round(one.drifted! * 100)),
                one.drifted! < 0,
              )}
            </Caution>
          ))}
          <Table>
            <thead>
              <tr>
                <th scope="col">{kitchenWords.burnerPot}</th>
                <th scope="col">{kitchenWords.settingLid}</th>
                <th scope="col">{kitchenWords.seen}</th>
                <th scope="col">{kitchenWords.heatDeliveredOfRated}</th>
              </tr>
            </thead>
            <tbody>
              {learned.slice(0, ROWS).map((one) => (
                <tr key={`${one.potId}${one.burnerId}${one.fraction}${one.lid}`}>
                  <td>
                    {name(kitchen.burners, one.burnerId)}, {name(kitchen.pots, one.potId)}
                  </td>
                  <td>
                    {heatWords(one.fraction)}, {one.lid}
                  </td>
                  <td>{kitchenWords.times(one.segments)}</td>
                  <td>
                    {Math.round(one.arriving.mean * 100)} % ± {Math.round(one.arriving.sd * 100)}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
          <Over>{kitchenWords.theBestKnownFirstA}</Over>
        </>
      )}
    </div>
  );
}
