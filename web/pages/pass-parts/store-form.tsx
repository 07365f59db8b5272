import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { type KitchenView, numberField, textField } from '../../../contract';
import { baseKind, SETS_FROM_GELATIN_PERCENT, timesStandard } from '../../../core/bases';
import { toComeOut } from '../../../core/batch';
import { coolingHours, FILM_WM2K } from '../../../core/cooling';
import { brixOf, type LotStorage, operations, totalKg, volumeLitres } from '../../../core/matter';
import { FOOD_CODE } from '../../../core/safety';
import { Button } from '../../components/button';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { StorageChoice } from '../../components/storage-choice';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';
import { useLots } from '../../data/queries';
import { space } from '../../theme/tokens';
import { decimal, litres, passWords, percent } from '../../words';
import type { BatchHere } from '../batch-frame';
import { TakeOut } from '../pot-parts/take-out';
import { useSubmit } from '../pot-parts/use-submit';

const Stack = styled.section`
  display: grid;
  gap: ${space.s};
`;

/** Depths a hot base is poured to cool, cm. Common practice. */
const PANS = [2.5, 5] as const;
/** Where nothing is known of the cold: a walk-in whose air stands still. Common practice. */
const SOME_WALK_IN = { name: passWords.aStillWalkIn, air: 'still', airC: 3 } as const;

/** Into tubs for the larder: how much, where, how kept; what hangs in the pot is asked for first. */
export function StoreForm({ here }: { here: BatchHere }) {
  const [isOpen, setOpen] = useState(false);
  const { data: lots = [] } = useLots();
  const isBase = Boolean(here.batch.snapshot.input.recipe.base);
  const { stored } = here.pot.state;
  if (here.batch.snapshot.input.recipe.reheats) return <Soft>{passWords.itWasReheatedWhatIs}</Soft>;
  return (
    <Stack aria-label={passWords.forTheLarder}>
      <Subtitle>{passWords.forTheLarder}</Subtitle>
      {stored.map((one) => {
        const lot = lots.find((each) => each.id === one.lotId);
        return (
          <p key={one.lotId}>
            {passWords.stored(litres(one.litres), one.place)}
            <Link to={`/larder/lots/${one.lotId}`}>
              {lot ? passWords.lotItsLabel(lot.number) : passWords.itsLot}
            </Link>
          </p>
        );
      })}
      {isBase && <Strength here={here} />}
      <Button
        kind={isBase && stored.length === 0 ? 'main' : 'plain'}
        atPot={isBase}
        onPress={() => setOpen(true)}
      >
        {passWords.storeSome}
      </Button>
      {isOpen && <StoreSheet here={here} onClose={() => setOpen(false)} />}
    </Stack>
  );
}

/** What is in the pot as a base: its strength against the usual, and whether it will set. */
function Strength({ here }: { here: BatchHere }) {
  const { mixture } = here.pot.state.pot;
  const kg = totalKg(mixture.liquid);
  const kind = baseKind(here.batch.snapshot.input.recipe.base);
  if (!kind?.standardBrix || kg === 0) return null;
  const brix = brixOf(mixture.liquid);
  const gelatin = (100 * mixture.savour.gelatin) / kg;
  return (
    <Over>
      {passWords.calculatedBrix(decimal(brix, 1))}
      {timesUsual(brix, kind.id)}
      {passWords.timesTheUsualSaltIt(
        percent(operations.saltPercent(mixture, 'all')),
        gelatin >= SETS_FROM_GELATIN_PERCENT,
      )}
    </Over>
  );
}

const STORE = v.object({
  litres: figure(numberField(passWords.whatIsStored, 0.01, 2000, 'L')),
  place: typedWords(textField(passWords.thePlace, 60)),
  reason: v.pipe(v.string(), v.trim()),
});

function StoreSheet({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { state } = here.pot;
  const { liquid, pieces } = state.pot.mixture;
  const cold = volumeLitres(liquid, 20) + volumeLitres(pieces, 20);
  const [storage, setStorage] = useState<LotStorage>('chilled');
  const hanging = toComeOut(state).length > 0;
  const form = useTypedForm({
    first: { litres: cold.toFixed(1), place: 'walk-in', reason: '' },
    schema: STORE,
    keep: async ({ reason, ...what }) => {
      const override = hanging && reason ? { overrideReason: reason } : {};
      const payload = { lotId: uuid(), ...what, storage, ...override };
      if (await tell({ type: 'stored', payload })) onClose();
    },
  });
  return (
    <Sheet title={passWords.storedForTheLarder} isOpen onClose={onClose}>
      {hanging && <TakeOut here={here} />}
      <TypedForm form={form}>
        {hanging && (
          <form.AppField name="reason">
            {(field) => <field.AtPot label={passWords.orSayWhyItStays} isText />}
          </form.AppField>
        )}
        <form.AppField name="litres">
          {(field) => <field.AtPot label={passWords.amountAsItIsCold} unit="L" />}
        </form.AppField>
        <form.AppField name="place">
          {(field) => <field.AtPot label={passWords.whereItIsKept} isText />}
        </form.AppField>
        <StorageChoice value={storage} onChange={setStorage} />
        {storage !== 'dry' && state.pot.tempC > FOOD_CODE.coolFirstToC.value && (
          <CoolingWords kitchen={here.kitchen} />
        )}
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {passWords.storeIt}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

/** What depth makes it in time in a still walk-in; the thermometer decides. */
function CoolingWords({ kitchen }: { kitchen: KitchenView }) {
  const { limits } = kitchen;
  const place = kitchen.colds.find((one) => one.kind === 'walkIn' || one.kind === 'blast') ?? SOME_WALK_IN;
  const hours = (depthCm: number) =>
    coolingHours({
      how: 'pan',
      depthCm,
      filmWm2K: FILM_WM2K[place.air],
      airC: place.airC,
      startC: 85,
      fromC: limits.hotHoldingC,
      toC: FOOD_CODE.coolFirstToC.value,
    });
  return (
    <>
      <Caution>
        {passWords.toCWithinHTo(
          limits.hotHoldingC,
          FOOD_CODE.coolFirstToC.value,
          limits.coolFirstWithinH,
          FOOD_CODE.coolToC.value,
          limits.coolWithinH,
        )}
      </Caution>
      <Soft>
        {passWords.inForTheFirstStep(
          place === SOME_WALK_IN ? place.name : `the ${place.name.toLowerCase()}`,
          PANS.map((depthCm) => passWords.cmDeepTakesH(depthCm, decimal(hours(depthCm), 1))).join(', '),
        )}
      </Soft>
    </>
  );
}

const timesUsual = (brix: number, kindId: string): string => {
  const times = timesStandard(brix, kindId);
  return times === null ? '' : decimal(times, 1);
};
