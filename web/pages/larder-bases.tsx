import styled from 'styled-components';
import { minutes } from '../../contract';
import { BASE_FAMILIES, BASE_KINDS, type BaseFamily, type BaseKind } from '../../core/bases';
import { Page } from '../components/page';
import { Over, Soft, Title } from '../components/text';
import { useLots, useRecipes } from '../data/queries';
import { media } from '../theme/tokens';
import { basesWords } from '../words';
import { LarderNav } from './larder-parts/larder-nav';
import { RowLink } from './larder-parts/row-link';

const Row = styled(RowLink)`
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1.6fr) 150px 130px;
  align-items: baseline;
  > :nth-child(n + 3) {
    text-align: right;
  }
  ${media.narrow} {
    grid-template-columns: 1fr;
    gap: 0;
    > :nth-child(n + 3) {
      text-align: left;
    }
  }
`;

const FAMILY_WORDS: Record<BaseFamily, string> = {
  stock: basesWords.stocks,
  broth: basesWords.broths,
  concentrate: basesWords.concentrates,
  purée: basesWords.purees,
  sauce: basesWords.motherSauces,
  binder: basesWords.rouxMadeCold,
  aromatics: basesWords.bagsAndBundles,
};

/** The kinds of base the house can make: proportions, time, and what stands on the shelf of each. */
export function LarderBases() {
  const { data: lots = [] } = useLots();
  const { data: recipes = [] } = useRecipes();
  const there = (kind: BaseKind) =>
    lots.filter((lot) => lot.contents.base === kind.id).reduce((sum, lot) => sum + lot.leftLitres, 0);
  return (
    <Page>
      <LarderNav />
      <Title>{basesWords.basesToMake}</Title>
      <Soft>{basesWords.byWeightAsIsUsual}</Soft>
      {BASE_FAMILIES.map((family) => (
        <section key={family} aria-label={FAMILY_WORDS[family]}>
          <Over as="h2">{FAMILY_WORDS[family]}</Over>
          {BASE_KINDS.filter((kind) => kind.family === family).map((kind) => (
            <Row key={kind.id} to={`/larder/bases/${kind.id}`}>
              <strong>{recipes.find((one) => one.base === kind.id)?.name ?? kind.name}</strong>
              <span>{partsWords(kind)}</span>
              <Over as="span">{timeWords(kind)}</Over>
              <Over as="span">
                {there(kind) > 0.01 ? basesWords.lThere(there(kind)) : basesWords.noneThere}
              </Over>
            </Row>
          ))}
        </section>
      ))}
    </Page>
  );
}

export function partsWords(kind: BaseKind): string {
  return kind.parts.map((part) => `${part.parts} ${part.name}`).join(' : ');
}

export function timeWords(kind: BaseKind): string {
  if (!kind.simmerMin) return kind.timeSource;
  const { from, to } = kind.simmerMin;
  return from === to ? minutes(from) : basesWords.to(minutes(from), minutes(to));
}
