import styled from 'styled-components';
import { colour, media, size, space } from '../../theme/tokens';

/** A part of the paper; on a printer each begins a page. */
export const Part = styled.section`
  display: grid;
  gap: ${space.s};
  break-inside: auto;
  & + & {
    padding-top: ${space.m};
    border-top: 2px solid ${colour.iron};
  }
  ${media.paper} {
    & + & {
      break-before: page;
      border-top: 0;
    }
  }
`;

/** A table as it prints: rows never torn, a box to tick. */
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  caption {
    text-align: left;
    font-weight: 700;
    padding-top: ${space.s};
  }
  th,
  td {
    padding: 5px ${space.s} 5px 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
    vertical-align: top;
  }
  th {
    font-weight: 400;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  td.figure,
  th.figure {
    text-align: right;
    white-space: nowrap;
  }
  td.figure:first-of-type,
  td b {
    font-weight: 700;
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  tr {
    break-inside: avoid;
  }
  .box {
    width: 26px;
  }
  th.figure {
    width: 104px;
  }
  th.at {
    width: 72px;
  }
  th.stage {
    width: 44%;
  }
  th.in {
    width: 27%;
  }
  .box i {
    display: block;
    width: 14px;
    height: 14px;
    margin-top: 4px;
    border: 1.5px solid ${colour.edge};
  }
`;
