import { Link } from 'react-router';
import styled from 'styled-components';
import { colour, size, space } from '../../theme/tokens';

/** A row of the larder that leads somewhere; its columns are its own. */
export const RowLink = styled(Link)`
  display: grid;
  gap: ${space.m};
  padding: ${space.s} 0;
  border-bottom: 1px solid ${colour.line};
  color: inherit;
  text-decoration: none;
  &:hover strong {
    text-decoration: underline;
  }
  strong {
    font-size: ${size.lead};
  }
`;
