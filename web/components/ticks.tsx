import { Checkbox, CheckboxGroup, Label } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, size, space, target } from '../theme/tokens';
import type { Option } from './menu';

const Group = styled(CheckboxGroup)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.xs} ${space.s};
  .react-aria-Label {
    color: ${colour.soft};
    font-size: ${size.small};
  }
  .tick {
    display: grid;
    place-items: center;
    min-height: ${target.anywhere};
    padding: 0 ${space.m};
    border: 2px solid ${colour.line};
    border-radius: ${radius.s};
    cursor: pointer;
  }
  .tick[data-selected] {
    border-color: ${colour.act};
    font-weight: 700;
  }
  .tick[data-selected]::before {
    content: '✓ ';
  }
  .tick[data-focus-visible] {
    outline: 3px solid ${colour.act};
    outline-offset: 2px;
  }
`;

/** Any of a few, each ticked or not. */
export function Ticks({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: readonly string[];
  options: readonly Option[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <Group value={[...value]} onChange={onChange}>
      <Label>{label}</Label>
      {options.map((option) => (
        <Checkbox key={option.id} value={option.id} className="tick">
          {option.text}
        </Checkbox>
      ))}
    </Group>
  );
}
