import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, target } from '../theme/tokens';

/** A small act drawn as an icon, named for the ear by `aria-label`. */
export const IconButton = styled(Button)`
  width: ${target.anywhere};
  height: ${target.anywhere};
  display: grid;
  place-items: center;
  border: 0;
  border-radius: ${radius.s};
  background: none;
  color: ${colour.soft};
  cursor: pointer;
  &[slot='drag'] {
    width: 32px;
    cursor: grab;
  }
  &[data-hovered] {
    background: ${colour.hollow};
    color: ${colour.iron};
  }
`;
