import type { KitchenView, LearnedView } from '../../../contract';
import { EVERYBODY } from '../../../core/batch';
import { Over, Soft, Subtitle } from '../../components/text';
import { useRecipes } from '../../data/queries';
import { kitchenWords } from '../../words';
import { hundredths, LearnedOf } from './learned-of';

/** So many rows are read. */
const ROWS = 10;

/** What was seen beside the usual: what steams off under a lid, what a floor bears, how a dish thickens; and the cook’s eye. */
export function LearnedShares({
  kitchen,
  learned: { shares, eye },
}: {
  kitchen: KitchenView;
  learned: LearnedView;
}) {
  const { data: recipes = [] } = useRecipes();
  const nameOf = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? id;
  const told = ({ key, share }: LearnedView['shares'][number]) => {
    if ('surfaceOf' in key)
      return { of: nameOf(kitchen.pots, key.surfaceOf), what: kitchenWords.steamsOffLid(key.lid), ...share };
    if ('floorOf' in key) {
      const what = kitchenWords.floorUnder(nameOf(recipes, key.recipeId));
      return { of: nameOf(kitchen.pots, key.floorOf), what, ...share };
    }
    // its logarithm was learned: what is shown is the factor
    const mean = Math.exp(share.mean);
    const learned = { mean, sd: mean * share.sd };
    if ('filmOf' in key)
      return { of: nameOf(kitchen.colds, key.filmOf), what: kitchenWords.howFastItCools, ...learned };
    return 'ladleOf' in key
      ? {
          of: nameOf(kitchen.people, key.ladleOf === EVERYBODY ? kitchenWords.theLadles : key.ladleOf),
          what: kitchenWords.whatTheyGive,
          ...learned,
        }
      : { of: nameOf(recipes, key.bodyOf), what: kitchenWords.howItThickens, ...learned };
  };
  return (
    <>
      {shares.length > 0 && (
        <div>
          <Subtitle>{kitchenWords.surfacesFloorsDishes}</Subtitle>
          <LearnedOf>
            <thead>
              <tr>
                <th scope="col">{kitchenWords.potOrDish}</th>
                <th scope="col">{kitchenWords.whatWasSeen}</th>
                <th scope="col">{kitchenWords.seen}</th>
                <th scope="col">{kitchenWords.besideTheUsual}</th>
              </tr>
            </thead>
            <tbody>
              {shares.slice(0, ROWS).map((one) => {
                const { of, what, mean, sd } = told(one);
                return (
                  <tr key={JSON.stringify(one.key)}>
                    <td>{of}</td>
                    <td>{what}</td>
                    <td>{kitchenWords.times(one.segments)}</td>
                    <td>
                      {hundredths(mean)} % ± {hundredths(sd)}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </LearnedOf>
          <Over>{kitchenWords.oneHundredIsTheUsual}</Over>
        </div>
      )}
      {eye && (
        <Soft>{kitchenWords.yourEye(hundredths(Math.abs(eye.mean)), eye.mean > 0, hundredths(eye.sd))}</Soft>
      )}
    </>
  );
}
