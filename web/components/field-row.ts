import styled from 'styled-components';
import { space, target } from '../theme/tokens';

/** Presses side by side, on as many lines as they want. */
export const ButtonRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: center;
`;

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
