import { useId } from 'react';
import { FieldError, Input, Label, TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { colour, font, radius, size, space, target } from '../theme/tokens';
import { useMeasured } from './use-measured';

const Box = styled(TextField)`
  display: grid;
  gap: ${space.xs};
  align-content: start;
  label {
    color: ${colour.soft};
    font-size: ${size.small};
  }
  label.quiet {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .typed {
    display: flex;
    align-items: center;
    gap: ${space.s};
    color: ${colour.soft};
  }
  /* as wide for every unit, so that fields under each other end together */
  .unit {
    min-width: 3em;
  }
  input,
  textarea {
    width: 100%;
    min-height: ${target.anywhere};
    padding: ${space.s} ${space.m};
    border: 2px solid ${colour.edge};
    border-radius: ${radius.s};
    background: ${colour.sheet};
    color: ${colour.iron};
    font: 400 ${size.text} / 1.5 ${font.text};
  }
  &[data-invalid] input,
  &[data-invalid] textarea {
    border-color: ${colour.danger};
  }
`;

const Wrong = styled(FieldError)`
  color: ${colour.danger};
  font-size: ${size.small};
  &::before {
    content: '✕ ';
    font-weight: 700;
  }
`;

/** Something to type in the office: a word, a figure (what has a unit is one), a page. At the pot the large `Field` is used. */
export function SmallField({
  label,
  isLabelHidden = false,
  value,
  onChange,
  unit,
  error,
  rows,
  inputMode = unit ? 'decimal' : 'text',
  placeholder,
  suggestions,
}: {
  label: string;
  isLabelHidden?: boolean;
  value: string;
  onChange: (value: string) => void;
  unit?: string;
  error?: string | null;
  rows?: number;
  inputMode?: 'text' | 'decimal';
  placeholder?: string;
  /** what is likely: offered as one types */
  suggestions?: readonly string[];
}) {
  const listId = useId();
  const shown = useMeasured({ value, unit, onChange });
  return (
    <Box value={shown.value} onChange={shown.onChange} isInvalid={Boolean(error)} validationBehavior="aria">
      <Label className={isLabelHidden ? 'quiet' : ''}>{label}</Label>
      {rows ? (
        <TextArea rows={rows} spellCheck={false} {...(placeholder ? { placeholder } : {})} />
      ) : (
        <span className="typed">
          <Input
            inputMode={inputMode}
            autoComplete="off"
            {...(placeholder ? { placeholder } : {})}
            {...(suggestions?.length ? { list: listId } : {})}
          />
          {suggestions && suggestions.length > 0 && (
            <datalist id={listId}>
              {suggestions.map((one) => (
                <option key={one} value={one} />
              ))}
            </datalist>
          )}
          {shown.unit && <span className="unit">{shown.unit}</span>}
        </span>
      )}
      <Wrong>{error}</Wrong>
    </Box>
  );
}
