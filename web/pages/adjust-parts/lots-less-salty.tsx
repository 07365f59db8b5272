import styled from 'styled-components';
import { blendedWithLots, type ToMend } from '../../../core/adjust';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { useOneAtATime } from '../../components/form';
import { Errors, Over } from '../../components/text';
import { useLots } from '../../data/queries';
import { space } from '../../theme/tokens';
import { adjustWords, litres, percent } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

const List = styled.ul`
  && {
    gap: ${space.s};
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space.m};
    align-items: center;
  }
`;

/** So many are enough to choose from. */
const SHOWN = 3;
/** Poured in as it stands in the walk-in, °C. */
const COLD_C = 4;

/** Lots on the shelf that a pot too salty can be blended with. */
export function LotsLessSalty({ here, mend }: { here: BatchHere; mend: ToMend | null }) {
  const { data: lots = [] } = useLots();
  const { tell, refusals } = useSubmit(here.batch.id);
  const pour = useOneAtATime((lotId: string, ingredientId: string, kg: number) => {
    const items = [{ ingredientId, lotId, kg: Math.round(kg * 1000) / 1000, tempC: COLD_C }];
    const body: BatchCommand = { type: 'added', payload: { items, purpose: { for: 'salt' } } };
    return tell(body);
  });
  const found = mend ? blendedWithLots(mend, lots).slice(0, SHOWN) : [];
  if (found.length === 0) return null;
  return (
    <>
      <Over>{adjustWords.orBlendWith}</Over>
      <List>
        {found.map(({ lot, kg, saltPercent, isEnough, fits }) => (
          <li key={lot.id}>
            <span>
              {adjustWords.pourALot(
                litres(kg / lot.contents.densityKgPerL),
                lot.name.toLowerCase(),
                lot.number,
                percent(saltPercent),
              )}{' '}
              {!isEnough && adjustWords.allThatIsLeft} {!fits && adjustWords.itDoesNotFit}
            </span>
            <Button onPress={() => pour(lot.id, lot.contents.ingredientId, kg)}>{adjustWords.itIsIn}</Button>
          </li>
        ))}
      </List>
      <Errors sentences={refusals} />
    </>
  );
}
