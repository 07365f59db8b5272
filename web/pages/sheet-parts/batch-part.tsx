import { hourMinute, litres, minutes, percent } from '../../../contract';
import type { Plan, PlanInput } from '../../../core/plan';
import { Caution, Over, Soft, Subtitle } from '../../components/text';
import { endOf, heatOf } from '../../words/stages';
import { amountOf } from '../plan-parts/weigh-list';
import { useKitchenHere } from '../use-kitchen-here';

import { Part, Table } from './paper';

/** The batch stage by stage, with room for what came true. */
export function BatchPart({ plan, input }: { plan: Plan; input: PlanInput }) {
  const { units, zone } = useKitchenHere();
  return (
    <Part aria-label="Batch sheet">
      <Subtitle>Batch sheet</Subtitle>
      <Over>
        Salt {percent(plan.saltPercent)} at the end; fullest {litres(plan.fullest.litres)} of{' '}
        {litres(plan.workingFillLitres)}.
      </Over>
      {plan.letDown && (
        <Caution>
          Ladle {Math.round(plan.letDown.ladleMl)} mL, then {Math.round(plan.letDown.mlPerBowl)} mL of hot{' '}
          {plan.letDown.name.toLowerCase()} to each bowl.
        </Caution>
      )}
      <Table>
        <thead>
          <tr>
            <th scope="col" className="at">
              At
            </th>
            <th scope="col" className="stage">
              Stage
            </th>
            <th scope="col" className="in">
              Goes in
            </th>
            <th scope="col">Was it so? Time, level, taste</th>
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
                  <small>{stage.act}</small>
                  <small>
                    {heatOf(stage)}, lid {stage.lid}; {endOf(stage)}
                    {(planned?.rounds ?? 1) > 1 && `; goes in by ${planned!.rounds} loads`}
                  </small>
                  <small>Ready when: {stage.cue}</small>
                  {stage.caution && <small>Mind: {stage.caution}</small>}
                </td>
                <td>
                  {lines.map((line) => (
                    <small key={line.lineId}>
                      <b>{amountOf(line, units)}</b> {line.name.toLowerCase()}
                      {line.perBowl && ' on the bowls'}
                    </small>
                  ))}
                </td>
                <td />
              </tr>
            );
          })}
        </tbody>
      </Table>
      <Soft>
        No figure here overrules a thermometer. The local code and the licensed person in charge decide.
      </Soft>
    </Part>
  );
}
