import styled from 'styled-components';

import type { PlannedLine } from '../../../core/plan';
import { colour, size } from '../../theme/tokens';
import { countedOrWeighed, inMeasures, planWords, volume, weight } from '../../words';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  td,
  th {
    padding: 6px 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
    vertical-align: baseline;
  }
  th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
  }
  td + td,
  th + th {
    text-align: right;
    padding-left: 12px;
    white-space: nowrap;
  }
  td:nth-child(2) {
    font-weight: 700;
  }
  td:nth-child(3) {
    color: ${colour.soft};
  }
  small {
    font-size: ${size.small};
    font-weight: 400;
    color: ${colour.soft};
  }
`;

/** What to weigh out, and what to buy for it. */
export function WeighList({
  lines,
  withBuying = true,
}: {
  lines: readonly PlannedLine[];
  withBuying?: boolean;
}) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{planWords.what}</th>
          <th scope="col">{planWords.weightGoingIn}</th>
          {withBuying && <th scope="col">{planWords.asPurchased}</th>}
        </tr>
      </thead>
      <tbody>
        {lines
          .filter((line) => line.edibleKg > 0.00005)
          .map((line) => (
            <tr key={line.lineId}>
              <td>
                {line.name}
                {line.cut && <small>, {inMeasures(line.cut)}</small>}
                {line.perBowl && <small>{planWords.onTheBowls}</small>}
                {line.comesBack && <small>{planWords.pickedAndBack(weight(line.comesBack.kg))}</small>}
              </td>
              <td>
                {amountOf(line)}
                {line.inPotKg !== undefined && (
                  <small>
                    {line.isSoaked
                      ? planWords.soakedFrom(weight(line.edibleKg))
                      : planWords.ofItMeat(weight(line.edibleKg))}
                  </small>
                )}
                {(line.keptByKg ?? 0) > 0.00005 && <small>{planWords.byTaste(weight(line.keptByKg!))}</small>}
              </td>
              {withBuying && (
                <td>
                  {Math.abs(line.purchasedKg - (line.inPotKg ?? line.edibleKg)) > 0.0005
                    ? weight(line.purchasedKg)
                    : planWords.theSame}
                </td>
              )}
            </tr>
          ))}
      </tbody>
    </Table>
  );
}

/** Liquids by volume, what comes out again by count, the rest by weight. */
export function amountOf(line: PlannedLine): string {
  const { comesOut, inPotKg = line.edibleKg } = line;
  if (comesOut) return countedOrWeighed(inPotKg, { eachG: (inPotKg * 1000) / comesOut.count });
  if (line.count) return planWords.pcs2(line.count, weight(line.edibleKg));
  return line.liquid && line.edibleKg > 0.2 ? volume(line.litres) : weight(line.inPotKg ?? line.edibleKg);
}
