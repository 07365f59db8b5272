import styled from 'styled-components';
import { media } from '../../theme/tokens';

/** What the pot's acts share: the row of buttons, and the sentences around them. */

export const Acts = styled.div`
  display: grid;
  grid-template-columns: 1.5fr 1fr 1fr;
  gap: 12px;
  ${media.narrow} {
    grid-template-columns: 1fr 1fr;
    > :first-child {
      grid-column: 1 / -1;
    }
  }
`;

export const Cues = styled.div`
  display: grid;
  gap: 2px;
  font-size: 18px;
`;

/** What is seldom wanted at the pot, quiet and in one row. */
export const More = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  margin: -4px -8px 0;
`;
