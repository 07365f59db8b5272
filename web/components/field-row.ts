import styled from 'styled-components';
import { space, target } from '../theme/tokens';

/** A field at the pot with the press that belongs to it, side by side. */
export const FieldRow = styled.div`
  display: flex;
  gap: ${space.s};
  align-items: end;
  button {
    flex: none;
    min-height: ${target.atPot};
  }
`;
