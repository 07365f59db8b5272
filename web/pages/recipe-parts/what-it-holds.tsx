import styled from 'styled-components';
import { sentenceCase } from '../../../contract';
import type { Advisory, Bringer, BrokenClaim, Holdings } from '../../../core/recipe';
import { Caution, Over, Subtitle } from '../../components/text';
import { colour, size, space } from '../../theme/tokens';
import { advisoryWords, bringerWords, brokenClaimWords, recipeWords } from '../../words';

const Box = styled.div`
  display: grid;
  gap: ${space.s};
`;

const List = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px ${space.m};
  dt {
    font-weight: 700;
  }
  dd {
    color: ${colour.soft};
    font-size: ${size.small};
    align-self: center;
  }
`;

const Broken = styled.p`
  border-left: 4px solid ${colour.danger};
  padding: 2px 0 2px ${space.s};
  strong {
    color: ${colour.danger};
  }
`;

/** Who may eat it: allergens with the line that brings each, diet, claims that do not hold, and what to look for. */
export function WhatItHolds({
  holds,
  broken,
  advisories,
}: {
  holds: Holdings;
  broken: readonly BrokenClaim[];
  advisories: readonly Advisory[];
}) {
  return (
    <Box>
      <Subtitle>{recipeWords.contains}</Subtitle>
      {broken.map((one) => (
        <Broken key={one.claim} role="alert">
          <strong>{recipeWords.not(one.claim)}</strong>
          {brokenClaimWords(one)}
        </Broken>
      ))}
      <Over>
        {sentenceCase(DIET_SENTENCE[holds.diet])}.{' '}
        {holds.allergens.length === 0 && recipeWords.noneOfTheFourteenAllergens}
      </Over>
      <List>
        {holds.allergens.map((one) => (
          <FragmentOf
            key={one.allergen}
            name={`${one.name}${one.us ? '' : recipeWords.euList}`}
            from={one.from}
          />
        ))}
      </List>
      {advisories.map(advisoryWords).map((words) => (
        <Caution key={words}>{words}</Caution>
      ))}
    </Box>
  );
}

const DIET_SENTENCE = {
  vegan: recipeWords.nothingOfAnyAnimal,
  vegetarian: recipeWords.noMeatNoFish,
  fish: recipeWords.fishNoMeat,
  meat: 'meat',
} as const;

function FragmentOf({ name, from }: { name: string; from: readonly Bringer[] }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{from.map(bringerWords).join(', ')}</dd>
    </>
  );
}
