import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, target } from '../theme/tokens';

const Group = styled(RadioGroup)`
  display: grid;
  gap: ${space.xs};
  label.group {
    color: ${colour.soft};
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s};
  }
`;

const Option = styled(Radio)<{ $atPot: boolean }>`
  display: grid;
  place-items: center;
  min-height: ${({ $atPot }) => ($atPot ? target.atPot : target.anywhere)};
  min-width: 64px;
  padding: ${space.xs} ${space.m};
  border: 2px solid ${colour.edge};
  border-radius: ${radius.m};
  background: ${colour.sheet};
  cursor: pointer;
  text-align: center;
  &[data-selected] {
    border-color: ${colour.act};
    box-shadow: inset 0 0 0 2px ${colour.act};
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline: 3px solid ${colour.act};
    outline-offset: 2px;
  }
`;

/** A few words to choose one of. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  atPot = false,
  isLabelHidden = false,
}: {
  label: string;
  isLabelHidden?: boolean;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
  atPot?: boolean;
}) {
  return (
    <Group
      value={value}
      onChange={(next) => onChange(next as T)}
      orientation="horizontal"
      {...(isLabelHidden ? { 'aria-label': label } : {})}
    >
      {!isLabelHidden && <Label className="group">{label}</Label>}
      <div className="row">
        {options.map((option) => (
          <Option key={option.value} value={option.value} $atPot={atPot}>
            {option.text}
          </Option>
        ))}
      </div>
    </Group>
  );
}
