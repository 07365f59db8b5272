import styled from 'styled-components';
import { colour, size, space } from '../../theme/tokens';

/** A table of what was learned: words to the left, the figure to the right. */
export const LearnedOf = styled.table`
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

/** A share in hundredths, whole. */
export const hundredths = (share: number): number => Math.round(100 * share);
