import styled from 'styled-components';

import type { LaterLine } from '../../../core/batch';
import { Over } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { potWords, weight } from '../../words';

const List = styled.ul`
  display: grid;
  gap: 2px;
  padding: ${space.s} ${space.m};
  border: 2px dashed ${colour.edge};
  border-radius: 10px;
  li {
    display: grid;
    grid-template-columns: 1fr auto auto;
    gap: ${space.m};
  }
  span {
    font-variant-numeric: tabular-nums;
  }
`;

/** What waits by the pot so that all of it is done together: longest first, each called when its time has come. */
export function LaterList({ later }: { later: readonly LaterLine[] }) {
  return (
    <div>
      <Over>{potWords.theseWaitBesideThePot}</Over>
      <List>
        {[...later]
          .sort((a, b) => a.afterMin - b.afterMin)
          .map(({ line, afterMin }) => (
            <li key={line.lineId}>
              <strong>{line.name}</strong>
              <span>{weight(line.edibleKg)}</span>
              <span>{potWords.inAfterMin(Math.round(afterMin))}</span>
            </li>
          ))}
      </List>
    </div>
  );
}
