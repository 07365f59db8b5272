import { minutes } from '../../../contract';
import type { Plan, PlanInput } from '../../../core/plan';
import { Caution, Over, Soft, Subtitle } from '../../components/text';
import { endOf, heatOf, hourMinute, inMeasures, litres, percent, sheetWords } from '../../words';
import { amountOf } from '../plan-parts/weigh-list';
import { useKitchenHere } from '../use-kitchen-here';

import { Part, Table } from './paper';

/** The batch stage by stage, with room for what came true. */
export function BatchPart({ plan, input }: { plan: Plan; input: PlanInput }) {
  const { zone } = useKitchenHere();
  return (
    <Part aria-label={sheetWords.batchSheet}>
      <Subtitle>{sheetWords.batchSheet}</Subtitle>
      <Over>
        {sheetWords.saltAtTheEndFullest(
          percent(plan.saltPercent),
          litres(plan.fullest.litres),
          litres(plan.workingFillLitres),
        )}
      </Over>
      {plan.letDown && (
        <Caution>
          {sheetWords.ladleMlThenMlOf(
            Math.round(plan.letDown.ladleMl),
            Math.round(plan.letDown.mlPerBowl),
            plan.letDown.name.toLowerCase(),
          )}
        </Caution>
      )}
      <Table>
        <thead>
          <tr>
            <th scope="col" className="at">
              {sheetWords.at}
            </th>
            <th scope="col" className="stage">
              {sheetWords.stage}
            </th>
            <th scope="col" className="in">
              {sheetWords.intoThePot}
            </th>
            <th scope="col">{sheetWords.asItWasTimeLevel}</th>
          </tr>
        </thead>
        <tbody>
          {input.recipe.stages.map((stage) => {
            const planned = plan.stages.find((one) => one.stageId === stage.id);
            const lines = plan.lines.filter((line) => line.stageId === stage.id && line.edibleKg > 0.00005);
            return (
              <tr key={stage.id}>
                <td>
                  <b>{hourMinute(planned?.startMs ?? plan.serviceAtMs, zone)}</b>
                  {planned && <small>{minutes(planned.minutes)}</small>}
                </td>
                <td>
                  <b>{stage.title}</b>
                  <small>{inMeasures(stage.act)}</small>
                  <small>
                    {sheetWords.lid(heatOf(stage), stage.lid, endOf(stage))}
                    {(planned?.rounds ?? 1) > 1 && `; goes in by ${planned!.rounds} loads`}
                  </small>
                  <small>{sheetWords.readyWhen(inMeasures(stage.cue))}</small>
                  {stage.caution && <small>{sheetWords.mind(inMeasures(stage.caution))}</small>}
                </td>
                <td>
                  {lines.map((line) => (
                    <small key={line.lineId}>
                      <b>{amountOf(line)}</b> {line.name.toLowerCase()}
                      {line.perBowl && sheetWords.onTheBowls}
                    </small>
                  ))}
                </td>
                <td />
              </tr>
            );
          })}
        </tbody>
      </Table>
      <Soft>{sheetWords.noFigureHereOverrulesA}</Soft>
    </Part>
  );
}
