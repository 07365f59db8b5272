import { sentenceCase } from '../../../contract';
import { pullList } from '../../../core/lists';
import type { Ingredient } from '../../../core/matter';
import type { Plan, PlanInput } from '../../../core/plan';
import { recipeIdOf } from '../../../core/recipe';
import { Subtitle, Unseen } from '../../components/text';
import { useFoods } from '../../data/queries';
import { countedOrWeighed, sheetWords, volume } from '../../words';
import { Part, Table } from './paper';

/** What to fetch, by the place it is kept in and who brings it. */
export function PullPart({ name, plan, input }: { name: string; plan: Plan; input: PlanInput }) {
  const suppliers = useFoods().data?.suppliers ?? {};
  const items = pullList([{ name, plan, ingredients: input.ingredients }], suppliers);
  const stores = [...new Set(items.map((item) => item.store))];
  return (
    <Part aria-label={sheetWords.whatToPull}>
      <Subtitle>{sheetWords.whatToPull}</Subtitle>
      {stores.map((store) => (
        <Table key={store}>
          <caption>{sentenceCase(store)}</caption>
          <thead>
            <tr>
              <th className="box" scope="col">
                <Unseen>{sheetWords.done}</Unseen>
              </th>
              <th scope="col">{sheetWords.what}</th>
              <th scope="col">{sheetWords.from}</th>
              <th scope="col" className="figure">
                {sheetWords.asPurchased}
              </th>
            </tr>
          </thead>
          <tbody>
            {items
              .filter((item) => item.store === store)
              .map((item) => (
                <tr key={item.ingredientId}>
                  <td className="box">
                    <i />
                  </td>
                  <td>{item.name}</td>
                  <td>
                    {item.supplier ??
                      (recipeIdOf(item.ingredientId) || input.ingredients[item.ingredientId]?.kind === 'stock'
                        ? sheetWords.madeHere
                        : '')}
                  </td>
                  <td className="figure">
                    {item.litres !== null
                      ? volume(item.litres)
                      : countedOrWeighed(item.purchasedKg, countedAs(input.ingredients[item.ingredientId]))}
                  </td>
                </tr>
              ))}
          </tbody>
        </Table>
      ))}
    </Part>
  );
}

/** What is lifted out again is counted out too: bay leaves, not grams of them. */
const countedAs = (food: Ingredient | undefined) => (food?.out ? { eachG: food.pieceG } : null);
