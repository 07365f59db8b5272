import { ChevronDown } from 'lucide-react';
import {
  Button,
  ComboBox,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Select,
  SelectValue,
} from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, size, space, target } from '../theme/tokens';
import { commonWords } from '../words';

/** What opens under a word or a field to choose from. */
export const Menu = styled(Popover)`
  background: ${colour.sheet};
  border: 2px solid ${colour.iron};
  border-radius: ${radius.m};
  padding: ${space.xs};
  min-width: 200px;
  overflow: auto;
  [role='option'] {
    display: grid;
    align-items: center;
    min-height: ${target.anywhere};
    padding: 0 ${space.m};
    border-radius: ${radius.s};
    cursor: pointer;
    outline: none;
  }
  [data-focused] {
    background: ${colour.hollow};
  }
  [data-selected] {
    font-weight: 700;
  }
`;

export interface Option {
  id: string;
  text: string;
}

const Box = styled(Select)`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: ${space.xs};
  align-content: start;
  .react-aria-Label {
    color: ${colour.soft};
    font-size: ${size.small};
  }
  button > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  button {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: ${space.s};
    min-height: ${target.anywhere};
    padding: 0 ${space.s} 0 ${space.m};
    border: 2px solid ${colour.edge};
    border-radius: ${radius.s};
    background: ${colour.sheet};
    text-align: left;
    cursor: pointer;
  }
  svg {
    flex: none;
    width: 18px;
  }
`;

/** One of a few, in a field. The label may be for the ear only. */
export function PickOne({
  label,
  isLabelHidden = false,
  value,
  options,
  onChange,
  placeholder = commonWords.chooseOne,
}: {
  label: string;
  isLabelHidden?: boolean;
  placeholder?: string;
  value: string | null;
  options: readonly Option[];
  onChange: (id: string) => void;
}) {
  return (
    <Box
      value={value}
      placeholder={placeholder}
      onChange={(key) => key !== null && onChange(String(key))}
      {...(isLabelHidden ? { 'aria-label': label } : {})}
    >
      {!isLabelHidden && <Label>{label}</Label>}
      <Button>
        <SelectValue />
        <ChevronDown aria-hidden />
      </Button>
      <Menu>
        <ListBox>
          {options.map((option) => (
            <ListBoxItem key={option.id} id={option.id} textValue={option.text}>
              {option.text}
            </ListBoxItem>
          ))}
        </ListBox>
      </Menu>
    </Box>
  );
}

const Typed = styled(ComboBox)`
  display: grid;
  gap: ${space.xs};
  align-content: start;
  .react-aria-Label {
    color: ${colour.soft};
    font-size: ${size.small};
  }
  div {
    display: flex;
    border: 2px solid ${colour.edge};
    border-radius: ${radius.s};
    background: ${colour.sheet};
  }
  input {
    flex: 1;
    min-width: 0;
    min-height: ${target.anywhere};
    padding: 0 ${space.m};
    border: 0;
    background: none;
    font-size: ${size.text};
  }
  button {
    width: ${target.anywhere};
    border: 0;
    background: none;
    cursor: pointer;
  }
`;

/** One of very many: typed, and found by any part of its name. */
export function PickTyped({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string | null;
  options: readonly Option[];
  onChange: (id: string) => void;
}) {
  return (
    <Typed
      defaultSelectedKey={value ?? ''}
      defaultItems={options}
      onSelectionChange={(key) => key !== null && onChange(String(key))}
      menuTrigger="focus"
    >
      <Label>{label}</Label>
      <div>
        <Input />
        <Button>
          <ChevronDown aria-hidden size={18} />
        </Button>
      </div>
      <Menu>
        <ListBox>
          {(option: Option) => (
            <ListBoxItem id={option.id} textValue={option.text}>
              {option.text}
            </ListBoxItem>
          )}
        </ListBox>
      </Menu>
    </Typed>
  );
}
