import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, target } from '../theme/tokens';

const Box = styled(Checkbox)`
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: ${space.s};
  align-items: center;
  min-height: ${target.anywhere};
  cursor: pointer;
  .box {
    display: grid;
    place-items: center;
    width: 26px;
    height: 26px;
    border: 2px solid ${colour.iron};
    border-radius: ${radius.s};
  }
  &[data-selected] .box::before {
    content: '✓';
    font-weight: 700;
  }
  &[data-focus-visible] .box {
    outline: 3px solid ${colour.act};
    outline-offset: 2px;
  }
`;

/** One thing that is so, or is not yet. */
export function Tick({
  isOn,
  onChange,
  children,
}: {
  isOn: boolean;
  onChange: (isOn: boolean) => void;
  children: React.ReactNode;
}) {
  return (
    <Box isSelected={isOn} onChange={onChange}>
      <span className="box" />
      <span>{children}</span>
    </Box>
  );
}
