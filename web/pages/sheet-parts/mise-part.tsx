import { minutes } from '../../../contract';
import { BOARDS, miseList } from '../../../core/lists';
import type { Plan, PlanInput } from '../../../core/plan';
import { Over, Subtitle, Unseen } from '../../components/text';
import { BOARD_NAME, dayAndHour, hourMinute, inMeasures, miseNote, sheetWords, weight } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';
import { Part, Table } from './paper';

/** What to cut, soak and thaw, board by board, with the hour to begin. */
export function MisePart({ plan, input }: { plan: Plan; input: PlanInput }) {
  const { zone } = useKitchenHere();
  const items = miseList({ recipe: input.recipe, plan, ingredients: input.ingredients });
  const hands = items.reduce((sum, item) => sum + item.minutes, 0);
  return (
    <Part aria-label={sheetWords.whatToMakeReady}>
      <Subtitle>{sheetWords.whatToMakeReady}</Subtitle>
      <Over>{sheetWords.aboutOfHandsInAll(minutes(hands))}</Over>
      {BOARDS.filter((board) => items.some((item) => item.board === board)).map((board) => (
        <Table key={board}>
          <caption>{sheetWords.aBoardOfItsOwn(BOARD_NAME[board])}</caption>
          <thead>
            <tr>
              <th className="box" scope="col">
                <Unseen>{sheetWords.done}</Unseen>
              </th>
              <th scope="col">{sheetWords.whatAndHow}</th>
              <th scope="col" className="figure">
                {sheetWords.from}
              </th>
              <th scope="col" className="figure">
                {sheetWords.ready}
              </th>
              <th scope="col" className="figure">
                {sheetWords.beginBy}
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
                    {item.cut && <b>, {inMeasures(item.cut)}</b>}
                    {item.notes.length > 0 && <small>{item.notes.map(miseNote).join(' ')}</small>}
                    {item.keptByKg > 0.00005 && (
                      <small>{sheetWords.andKeptBackForThe(weight(item.keptByKg))}</small>
                    )}
                  </td>
                  <td className="figure">
                    {weight(item.purchasedKg)}
                    {item.trimKg > 0.005 && <small>{sheetWords.trim(weight(item.trimKg))}</small>}
                  </td>
                  <td className="figure">
                    <b>{weight(item.edibleKg)}</b>
                  </td>
                  <td className="figure">
                    {dayWord(item.beginByMs, plan.startAtMs, zone)}
                    <small>{sheetWords.inAt(hourMinute(item.neededAtMs, zone))}</small>
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
