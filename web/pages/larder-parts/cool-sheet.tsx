import { useMemo, useState } from 'react';
import * as v from 'valibot';
import {
  coolingPlaces,
  countField,
  type KitchenView,
  type LearnedView,
  numberField,
} from '../../../contract';
import { type CoolingWay, waysToCool, withPans } from '../../../core/cooling';
import type { LotView } from '../../../core/views';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Field } from '../../components/field';
import { figure, figureOrNone, TypedForm, useOneAtATime, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Caution, Errors, Soft, Subtitle } from '../../components/text';
import { filmsShown } from '../../data/use-cooling';
import { coolingWords } from '../../words';
import { useShelf } from './use-shelf';
import { WayToCool } from './way-to-cool';

const MANY = v.object({ pans: figure(countField(coolingWords.pans, 1, 60)) });
/** Nothing typed is nothing read. */
const WARM = figureOrNone(numberField(coolingWords.temperatureNow, 5, 100, '°C'));

/** How a hot lot is cooled: the ways this kitchen has, each with when it is cold; one press takes one. */
export function CoolSheet({
  lot,
  kitchen,
  learned,
  emptyPans,
  nowMs,
  onClose,
}: {
  lot: LotView;
  kitchen: KitchenView;
  learned: LearnedView | undefined;
  emptyPans: number | null;
  nowMs: number;
  onClose: () => void;
}) {
  const { tell, refusals } = useShelf();
  const places = coolingPlaces(kitchen);
  const [placeId, setPlaceId] = useState(places[0]?.id ?? '');
  const [typed, setTyped] = useState('');
  const read = v.safeParse(WARM, typed);
  const readC = read.success ? read.output : undefined;
  const wrong = read.success ? null : read.issues[0].message;
  const toCool = useMemo(
    () => ({
      litres: Math.max(0.2, lot.leftLitres),
      startC: readC ?? lot.bornC ?? 85,
      places,
      emptyPans,
      shown: filmsShown(learned),
      limits: kitchen.limits,
    }),
    [lot.leftLitres, lot.bornC, readC, emptyPans, kitchen, learned],
  );
  const ways = useMemo(() => waysToCool(toCool, nowMs), [toCool, nowMs]);
  const take = useOneAtATime(async ({ how }: CoolingWay) => {
    if (wrong !== null) return;
    const fromC = readC === undefined ? {} : { fromC: readC };
    if (await tell({ type: 'coolingSet', payload: { lotId: lot.id, how, ...fromC } })) onClose();
  });
  const many = useTypedForm({
    first: { pans: String(ways[0]?.how.pans ?? 2) },
    schema: MANY,
    keep: ({ pans }) => {
      const place = places.find((one) => one.id === placeId);
      return place && take(withPans(place, pans, toCool, nowMs));
    },
  });
  return (
    <Sheet title={coolingWords.coolThis(lot.leftLitres)} isOpen onClose={onClose}>
      {places.length === 0 && <Caution>{coolingWords.noPlaces}</Caution>}
      {places.length > 0 && !ways.some((way) => way.isInTime) && (
        <Caution>{coolingWords.noneIsInTime}</Caution>
      )}
      <ul aria-label={coolingWords.coolThis(lot.leftLitres)}>
        {ways.map((way) => (
          <WayToCool key={way.how.placeId} way={way} zone={kitchen.zone}>
            <Button
              kind={way === ways[0] && way.isInTime ? 'main' : 'plain'}
              atPot
              aria-label={`${coolingWords.coolItSo}: ${coolingWords.inPlace(way.how.place, way.how.air, way.how.airC)}`}
              onPress={() => take(way)}
            >
              {coolingWords.coolItSo}
            </Button>
          </WayToCool>
        ))}
      </ul>
      <Field label={coolingWords.temperatureNow} unit="°C" value={typed} onChange={setTyped} error={wrong} />
      {places.length > 0 && (
        <section>
          <Subtitle as="h3">{coolingWords.anotherWay}</Subtitle>
          <TypedForm form={many}>
            <Choice
              label={coolingWords.where}
              value={placeId}
              options={places.map(({ id, name }) => ({ value: id, text: name }))}
              onChange={setPlaceId}
            />
            <many.AppField name="pans">
              {(field) => <field.InOffice label={coolingWords.howMany} inputMode="decimal" />}
            </many.AppField>
            <Button type="submit">{coolingWords.coolItSo}</Button>
          </TypedForm>
        </section>
      )}
      <Errors sentences={refusals} />
      <Soft>
        {coolingWords.code(
          kitchen.limits.hotHoldingC,
          kitchen.limits.coolFirstWithinH,
          kitchen.limits.coolWithinH,
        )}
      </Soft>
    </Sheet>
  );
}
