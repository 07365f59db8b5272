import { Link } from 'react-router';
import styled from 'styled-components';
import { colour, radius, space, target } from '../theme/tokens';

/** Somewhere to go that is worth a button. */
export const LinkButton = styled(Link)<{ $main?: boolean }>`
  display: inline-grid;
  place-items: center;
  min-height: ${target.anywhere};
  padding: ${space.s} ${space.m};
  border: 2px solid ${({ $main }) => ($main ? colour.act : colour.iron)};
  border-radius: ${radius.m};
  background: ${({ $main }) => ($main ? colour.act : colour.sheet)};
  color: ${({ $main }) => ($main ? colour.onAct : colour.iron)};
  font-weight: 700;
  text-decoration: none;
  text-align: center;
  white-space: nowrap;
`;
