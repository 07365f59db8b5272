import { FieldError, Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, size, space, target } from '../theme/tokens';
import { useMeasured } from './use-measured';

const Box = styled(TextField)`
  display: grid;
  gap: ${space.xs};
  label {
    color: ${colour.soft};
  }
  .typed {
    display: flex;
    align-items: center;
    gap: ${space.s};
  }
`;

export const TypedInput = styled(Input)`
  width: 100%;
  min-height: ${target.atPot};
  padding: 0 ${space.m};
  border: 2px solid ${colour.edge};
  border-radius: ${radius.m};
  background: ${colour.enamel};
  font-size: ${size.potFigure};
  font-weight: 700;
  &[data-invalid] {
    border-color: ${colour.danger};
  }
`;

const Unit = styled.span`
  font-size: ${size.lead};
  color: ${colour.soft};
`;

const Wrong = styled(FieldError)`
  color: ${colour.danger};
  &::before {
    content: '✕ ';
    font-weight: 700;
  }
`;

/** A figure to type, its unit beside it, and whatever is wrong with it below. */
export function Field({
  label,
  value,
  onChange,
  unit,
  error,
  autoFocus,
  isText,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  unit?: string;
  error?: string | null;
  autoFocus?: boolean;
  isText?: boolean;
}) {
  const shown = useMeasured({ value, unit, onChange });
  return (
    <Box
      value={shown.value}
      onChange={shown.onChange}
      isInvalid={Boolean(error)}
      // Ours to say, not the browser’s: a wrong figure must not block the press that mends it.
      validationBehavior="aria"
      autoFocus={autoFocus ?? false}
    >
      <Label>{label}</Label>
      <span className="typed">
        <TypedInput inputMode={isText ? 'text' : 'decimal'} autoComplete="off" />
        {shown.unit && <Unit>{shown.unit}</Unit>}
      </span>
      <Wrong>{error}</Wrong>
    </Box>
  );
}
