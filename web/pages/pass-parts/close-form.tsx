import { useState } from 'react';
import { useNavigate } from 'react-router';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import { FLOORS_FOUND, type FloorFound, serviceTallies } from '../../../core/batch';
import { FOOD_CODE } from '../../../core/safety';
import type { PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Caution, Over, Soft } from '../../components/text';
import { Tick } from '../../components/tick';
import { kindNames, litres, money, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';
import { TurnedAway } from './something-else';

const CLOSING = v.object({ leftLitres: figure(numberField(passWords.whatIsLeft, 0, 2000, 'L')) });

/** More than one ladled, or nobody says who. */
const SEVERAL = ' several';

/** What a pot of bowls is thought to run short by before its guests are asked about, L. Ours. */
const NEARLY_EMPTY_L = 0.5;

/** The end of a batch: what is left, what it cost by kind, who was turned away, what its floor looked like. */
export function CloseForm({
  here,
  board,
  leftLitres,
}: {
  here: BatchHere;
  board: PassBoard | null;
  leftLitres: number;
}) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const [floor, setFloor] = useState<FloorFound | 'unseen'>('unseen');
  const [isMeasured, setMeasured] = useState(false);
  const [servedBy, setServedBy] = useState(SEVERAL);
  const form = useTypedForm({
    first: { leftLitres: '' },
    schema: CLOSING,
    keep: async ({ leftLitres: left }) => {
      const payload = {
        leftLitres: left,
        ...(isMeasured ? { isMeasured } : {}),
        ...(isMeasured && servedBy !== SEVERAL ? { servedBy } : {}),
        ...(floor === 'unseen' ? {} : { floor }),
      };
      if (await tell({ type: 'closed', payload })) navigate(`/log/${here.batch.id}`);
    },
  });
  const { state } = here.pot;
  const ranOut = board !== null && leftLitres < NEARLY_EMPTY_L && state.served > 0;
  return (
    <div>
      <Button
        onPress={() => {
          form.setFieldValue('leftLitres', leftLitres.toFixed(1));
          setOpen(true);
        }}
      >
        {passWords.closeTheBatch}
      </Button>
      <Sheet title={passWords.closeTheBatch2} isOpen={isOpen} onClose={() => setOpen(false)}>
        <Soft>
          {passWords.bowlsServedDiscardedCalculatedAre(state.served, state.discarded, litres(leftLitres))}
        </Soft>
        {board && <Costs here={here} />}
        {ranOut && state.service.turnedAway === 0 && <TurnedAway here={here} />}
        <TypedForm form={form}>
          <form.AppField name="leftLitres">
            {(field) => <field.AtPot label={passWords.leftInThePot} unit="L" refused={refusals[0] ?? null} />}
          </form.AppField>
          {board && (
            <Tick isOn={isMeasured} onChange={setMeasured}>
              {passWords.iMeasured}
            </Tick>
          )}
          {isMeasured && here.kitchen.people.length > 0 && (
            <Choice
              label={passWords.whoLadled}
              value={servedBy}
              options={[
                { value: SEVERAL, text: passWords.severalOfUs },
                ...here.kitchen.people.map(({ id, name }) => ({ value: id, text: name })),
              ]}
              onChange={setServedBy}
            />
          )}
          <Choice
            label={passWords.theFloorOfThePot}
            value={floor}
            options={(['unseen', ...FLOORS_FOUND] as const).map((value) => ({
              value,
              text: passWords.floors[value],
            }))}
            onChange={setFloor}
            atPot
          />
          <Button kind="main" atPot type="submit">
            {passWords.closeIt}
          </Button>
        </TypedForm>
        <Caution>
          {passWords.whatIsKeptIsCooled(
            here.kitchen.limits.hotHoldingC,
            FOOD_CODE.coolFirstToC.value,
            here.kitchen.limits.coolFirstWithinH,
            FOOD_CODE.coolToC.value,
            here.kitchen.limits.coolWithinH,
          )}
        </Caution>
      </Sheet>
    </div>
  );
}

/** What the service has cost so far, by kind, and what was given to nobody. */
function Costs({ here }: { here: BatchHere }) {
  const { currency } = here.kitchen;
  const tallies = serviceTallies(here.batch.snapshot, here.pot.state);
  const served = tallies.filter((one) => one.served > 0);
  if (served.length === 0) return null;
  const wastedLitres = tallies.reduce((sum, one) => sum + one.wastedLitres, 0);
  const wastedCents = tallies.reduce((sum, one) => sum + one.wastedCents, 0);
  const names = (count: number) =>
    kindNames(
      tallies.map((one) => one.kind),
      count,
    );
  return (
    <div>
      <Over>{passWords.costOfService}</Over>
      {served.map(({ kind, served: count, servedCents }) => (
        <p key={kind.id}>
          {passWords.costRow(
            names(count).get(kind.id)!,
            count,
            money(servedCents, currency),
            money(servedCents / count, currency),
          )}
        </p>
      ))}
      {wastedLitres > 0 && <p>{passWords.wasteRow(litres(wastedLitres), money(wastedCents, currency))}</p>}
    </div>
  );
}
