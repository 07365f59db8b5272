import { NavLink } from 'react-router';
import styled from 'styled-components';
import { colour, media, size, space, target } from '../../theme/tokens';
import { coolingWords, larderWords } from '../../words';

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
    <Bar aria-label={larderWords.inTheLarder}>
      <NavLink to="/larder" end>
        {larderWords.theShelf}
      </NavLink>
      <NavLink to="/larder/cooling">{coolingWords.cooling}</NavLink>
      <NavLink to="/larder/bases">{larderWords.basesToMake}</NavLink>
      <NavLink to="/larder/blend">{larderWords.blend}</NavLink>
      <NavLink to="/larder/roux">{larderWords.roux}</NavLink>
      <NavLink to="/larder/count">{larderWords.stockCount}</NavLink>
      <NavLink to="/larder/finished">{larderWords.finishedLots}</NavLink>
      <NavLink to="/larder/foods">{larderWords.foodsAndPrices}</NavLink>
    </Bar>
  );
}
