import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** What asks for a press, apart from what is merely told: a blue edge on a clean sheet. */
export const Card = styled.section`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border-left: 4px solid ${colour.act};
  background: ${colour.sheet};
`;
