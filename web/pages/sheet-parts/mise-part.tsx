import { dayAndHour, hourMinute, minutes, sentenceCase, weight } from '../../../contract';
import { BOARDS, miseList } from '../../../core/lists';
import type { Plan, PlanInput } from '../../../core/plan';
import { Over, Subtitle, Unseen } from '../../components/text';
import { useKitchenHere } from '../use-kitchen-here';

import { Part, Table } from './paper';

/** What to cut, soak and thaw, board by board, with the hour to begin. */
export function MisePart({ plan, input }: { plan: Plan; input: PlanInput }) {
  const { units, zone } = useKitchenHere();
  const items = miseList({ recipe: input.recipe, plan, ingredients: input.ingredients });
  const hands = items.reduce((sum, item) => sum + item.minutes, 0);
  return (
    <Part aria-label="What to make ready">
      <Subtitle>What to make ready</Subtitle>
      <Over>About {minutes(hands)} of hands in all; boards in this order, each washed before the next.</Over>
      {BOARDS.filter((board) => items.some((item) => item.board === board)).map((board) => (
        <Table key={board}>
          <caption>{sentenceCase(board)}: a board of its own</caption>
          <thead>
            <tr>
              <th className="box" scope="col">
                <Unseen>Done</Unseen>
              </th>
              <th scope="col">What, and how</th>
              <th scope="col" className="figure">
                From
              </th>
              <th scope="col" className="figure">
                Ready
              </th>
              <th scope="col" className="figure">
                Begin by
              </th>
            </tr>
          </thead>
          <tbody>
            {items
              .filter((item) => item.board === board)
              .map((item) => (
                <tr key={item.lineId}>
                  <td className="box">
                    <i />
                  </td>
                  <td>
                    {item.name}
                    {item.cut && <b>, {item.cut}</b>}
                    {item.notes.length > 0 && <small>{item.notes.join(' ')}</small>}
                    {item.keptByKg > 0.00005 && (
                      <small>And {weight(item.keptByKg, units)} kept by, for the taste.</small>
                    )}
                  </td>
                  <td className="figure">
                    {weight(item.purchasedKg, units)}
                    {item.trimKg > 0.005 && <small>trim {weight(item.trimKg, units)}</small>}
                  </td>
                  <td className="figure">
                    <b>{weight(item.edibleKg, units)}</b>
                  </td>
                  <td className="figure">
                    {dayWord(item.beginByMs, plan.startAtMs, zone)}
                    <small>in at {hourMinute(item.neededAtMs, zone)}</small>
                  </td>
                </tr>
              ))}
          </tbody>
        </Table>
      ))}
    </Part>
  );
}

/** The hour; with its day where that is not the day of cooking. */
function dayWord(atMs: number, cookingMs: number, zone: string): string {
  const isSame = dayAndHour(atMs, zone).split(',')[0] === dayAndHour(cookingMs, zone).split(',')[0];
  return isSame ? hourMinute(atMs, zone) : dayAndHour(atMs, zone);
}
