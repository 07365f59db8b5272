import { NavLink } from 'react-router';
import styled from 'styled-components';
import { colour, media, size, space, target } from '../../theme/tokens';

const Bar = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space.m};
  border-bottom: 1px solid ${colour.line};
  a {
    display: grid;
    align-items: center;
    min-height: ${target.anywhere};
    color: ${colour.soft};
    font-size: ${size.text};
    text-decoration: none;
  }
  a[aria-current='page'] {
    color: ${colour.iron};
    font-weight: 700;
    box-shadow: inset 0 -3px 0 ${colour.iron};
  }
  ${media.paper} {
    display: none;
  }
`;

/** The rooms of the larder. */
export function LarderNav() {
  return (
    <Bar aria-label="In the larder">
      <NavLink to="/larder" end>
        The shelf
      </NavLink>
      <NavLink to="/larder/bases">Bases to make</NavLink>
      <NavLink to="/larder/blend">Blend</NavLink>
      <NavLink to="/larder/count">Stock count</NavLink>
      <NavLink to="/larder/finished">Finished lots</NavLink>
      <NavLink to="/larder/foods">Foods and prices</NavLink>
    </Bar>
  );
}
