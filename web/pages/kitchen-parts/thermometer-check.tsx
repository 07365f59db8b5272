import { useState } from 'react';
import { type KitchenView, typedNumber } from '../../../contract';
import { THERMOMETER_WITHIN_C, thermometerVerdict } from '../../../core/kitchen';
import { Button } from '../../components/button';
import { Field } from '../../components/field';
import { Sheet } from '../../components/sheet';
import { Errors, Over, Soft } from '../../components/text';
import { useWhoLooked, WhoLooked } from '../../components/who-looked';
import { useKitchenChange } from '../../data/queries';
import { kelvins, kitchenWords } from '../../words';

/** A thermometer on ice and at the boil, guided: what it shows, how far off that is, whether it is good for the record. */
export function ThermometerCheckSheet({
  instrument,
  kitchen,
  onClose,
}: {
  instrument: KitchenView['instruments'][number];
  kitchen: KitchenView;
  onClose: () => void;
}) {
  const [ice, setIce] = useState('');
  const [boil, setBoil] = useState('');
  const [by, setBy] = useWhoLooked(kitchen);
  const change = useKitchenChange();
  const iceC = typedNumber(ice) ?? undefined;
  const boilC = typedNumber(boil) ?? undefined;
  const verdict = verdictOf({ iceC, boilC }, kitchen.altitudeM);
  const off = (value: number | null) =>
    value === null ? '' : `${value > 0 ? '+' : value < 0 ? '−' : ''}${kelvins(Math.abs(value))}`;
  return (
    <Sheet title={kitchenWords.check(instrument.name)} isOpen onClose={onClose}>
      <p>{kitchenWords.fillAJugWithCrushed}</p>
      <Field label={kitchenWords.inIceAndWaterIt} unit="°C" value={ice} onChange={setIce} autoFocus />
      <Field label={kitchenWords.inBoilingWaterItShows} unit="°C" value={boil} onChange={setBoil} />
      {verdict && (
        <Soft>
          {verdict.iceOffC !== null && kitchenWords.onIce(off(verdict.iceOffC))}
          {verdict.boilOffC !== null && kitchenWords.atTheBoil(off(verdict.boilOffC))}
        </Soft>
      )}
      <Over>
        {kitchenWords.waterBoilsAtCHere(
          (verdict ?? thermometerVerdict({}, kitchen.altitudeM)).boilsAtC,
          THERMOMETER_WITHIN_C,
        )}
      </Over>
      <WhoLooked kitchen={kitchen} value={by} onChange={setBy} />
      <Errors sentences={change.error ? [change.error.message] : []} />
      <Button
        kind="main"
        onPress={() =>
          change.mutate(
            {
              change: 'checked',
              instrumentId: instrument.id,
              ...(by ? { by } : {}),
              ...(iceC === undefined ? {} : { iceC }),
              ...(boilC === undefined ? {} : { boilC }),
            },
            { onSuccess: onClose },
          )
        }
      >
        {kitchenWords.saveTheCheck}
      </Button>
    </Sheet>
  );
}

/** Null while what is typed is none that could be. */
function verdictOf(check: { iceC: number | undefined; boilC: number | undefined }, altitudeM: number) {
  try {
    return thermometerVerdict(check, altitudeM);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
