import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { coolingPlaces, type KitchenView, numberField, textField } from '../../../contract';
import { baseKind, SETS_FROM_GELATIN_PERCENT, timesStandard } from '../../../core/bases';
import { toComeOut } from '../../../core/batch';
import { waysToCool } from '../../../core/cooling';
import { standsHot } from '../../../core/larder';
import { brixOf, type LotStorage, operations, totalKg, volumeLitres } from '../../../core/matter';
import { FOOD_CODE } from '../../../core/safety';
import { Button } from '../../components/button';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { StorageChoice } from '../../components/storage-choice';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';
import { useMinuteMs } from '../../data/clock';
import { useCoolings, useLearned, useLots } from '../../data/queries';
import { emptyPansOf, filmsShown } from '../../data/use-cooling';
import { space } from '../../theme/tokens';
import { coolingWords, decimal, litres, passWords, percent } from '../../words';
import type { BatchHere } from '../batch-frame';
import { WayToCool } from '../larder-parts/way-to-cool';
import { TakeOut } from '../pot-parts/take-out';
import { useSubmit } from '../pot-parts/use-submit';

const Stack = styled.section`
  display: grid;
  gap: ${space.s};
`;

/** Into tubs for the larder: how much, where, how kept; what hangs in the pot is asked for first. */
export function StoreForm({ here }: { here: BatchHere }) {
  const [isOpen, setOpen] = useState(false);
  const { data: lots = [] } = useLots();
  const nowMs = useMinuteMs();
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
            {lot && standsHot(lot, nowMs) && <Link to="/larder/cooling">{passWords.coolItNow}</Link>}{' '}
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
          <CoolingWords
            kitchen={here.kitchen}
            litres={Math.max(0.2, cold)}
            tempC={Math.round(state.pot.tempC)}
          />
        )}
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {passWords.storeIt}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

/** How this kitchen can cool so much, and by when; the thermometer decides. */
function CoolingWords({
  kitchen,
  litres: litresOf,
  tempC,
}: {
  kitchen: KitchenView;
  litres: number;
  tempC: number;
}) {
  const { data: learned } = useLearned();
  const { data: lots } = useCoolings();
  const nowMs = useMinuteMs();
  const { limits } = kitchen;
  const ways = useMemo(
    () =>
      waysToCool(
        {
          litres: litresOf,
          startC: tempC,
          places: coolingPlaces(kitchen),
          emptyPans: emptyPansOf(kitchen, lots ?? []),
          shown: filmsShown(learned),
          limits,
        },
        nowMs,
      ),
    [litresOf, tempC, kitchen, learned, lots, nowMs],
  );
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
      {ways.length > 0 && !ways.some((way) => way.isInTime) && <Caution>{coolingWords.noneIsInTime}</Caution>}
      <ul aria-label={coolingWords.coolThis(litresOf)}>
        {ways.map((way) => (
          <WayToCool key={way.how.placeId} way={way} zone={kitchen.zone} />
        ))}
      </ul>
    </>
  );
}

const timesUsual = (brix: number, kindId: string): string => {
  const times = timesStandard(brix, kindId);
  return times === null ? '' : decimal(times, 1);
};
