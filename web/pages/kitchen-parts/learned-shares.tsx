import type { KitchenView, LearnedView } from '../../../contract';
import { Over, Soft, Subtitle } from '../../components/text';
import { useRecipes } from '../../data/queries';
import { kitchenWords } from '../../words';
import { hundredths, LearnedOf } from './learned-of';

/** So many rows are read. */
const ROWS = 10;

/** What pots have shown beside the usual: what steams off under a lid, what a floor bears of a dish; and the cook’s eye. */
export function LearnedShares({
  kitchen,
  learned: { shares, eye },
}: {
  kitchen: KitchenView;
  learned: LearnedView;
}) {
  const { data: recipes = [] } = useRecipes();
  const name = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? id;
  return (
    <>
      {shares.length > 0 && (
        <div>
          <Subtitle>{kitchenWords.surfacesAndFloors}</Subtitle>
          <LearnedOf>
            <thead>
              <tr>
                <th scope="col">{kitchenWords.pot}</th>
                <th scope="col">{kitchenWords.lidOrDish}</th>
                <th scope="col">{kitchenWords.seen}</th>
                <th scope="col">{kitchenWords.besideTheUsual}</th>
              </tr>
            </thead>
            <tbody>
              {shares.slice(0, ROWS).map(({ key, share, segments }) => (
                <tr key={JSON.stringify(key)}>
                  <td>{name(kitchen.pots, 'surfaceOf' in key ? key.surfaceOf : key.floorOf)}</td>
                  <td>
                    {'surfaceOf' in key
                      ? kitchenWords.steamsOffLid(key.lid)
                      : kitchenWords.floorUnder(name(recipes, key.recipeId))}
                  </td>
                  <td>{kitchenWords.times(segments)}</td>
                  <td>
                    {hundredths(share.mean)} % ± {hundredths(share.sd)}
                  </td>
                </tr>
              ))}
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
