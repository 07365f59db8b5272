import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { numberField, textField, typedNumber, zonedTimeMs } from '../../../contract';
import type { LotStorage } from '../../../core/matter';
import { FOOD_CODE, mustComeCold } from '../../../core/safety';
import { Button } from '../../components/button';
import { figure, figureOrNone, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { PickTyped } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { StorageChoice } from '../../components/storage-choice';
import { Caution, Errors } from '../../components/text';
import { useMinuteMs } from '../../data/clock';
import { useFoods } from '../../data/queries';
import { useBook } from '../../data/use-book';
import { centsPerKgTyped, larderWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';
import { useShelf } from './use-shelf';

const DELIVERY = v.object({
  kg: figure(numberField(larderWords.theWeight, 0.001, 2000, 'kg')),
  supplier: typedWords(textField(larderWords.theSupplier, 60)),
  warm: figureOrNone(numberField(larderWords.theTemperature, -40, 60, '°C')),
  tag: v.pipe(v.string(), v.trim()),
  days: figureOrNone(numberField(larderWords.daysToItsDate, 0, 3660, '')),
  place: typedWords(textField(larderWords.thePlace, 60)),
  price: figureOrNone(numberField(larderWords.thePrice, 0, 100_000, '')),
});

/** A crate at the door: what, how much, from whom, how warm, its tag and its date. It is a lot from here on. */
export function DeliverySheet({ onClose }: { onClose: () => void }) {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const book = useBook(kitchen);
  const suppliers = useFoods().data?.suppliers ?? {};
  const { tell, refusals } = useShelf();
  const [foodId, setFoodId] = useState<string | null>(null);
  const [storage, setStorage] = useState<LotStorage>('chilled');
  const [isUnsaid, setUnsaid] = useState(false);
  const food = foodId ? book?.library.ingredients[foodId] : undefined;
  const isShellfish = food?.allergens.includes('molluscs') ?? false;
  const form = useTypedForm({
    first: { kg: '', supplier: '', warm: '', tag: '', days: '', place: 'walk-in', price: '' },
    schema: DELIVERY,
    keep: async ({ kg, supplier, warm, tag, days, place, price }) => {
      if (!food) return;
      const done = await tell({
        type: 'delivered',
        payload: {
          lotId: uuid(),
          ingredientId: food.id,
          kg,
          supplier,
          ...(warm === undefined ? {} : { arrivedC: warm }),
          ...(tag ? { tag } : {}),
          ...(days === undefined
            ? {}
            : { useByMs: zonedTimeMs('23:59', kitchen.zone, nowMs, Math.floor(days)) }),
          ...(price === undefined ? {} : { centsPerKg: Math.round(centsPerKgTyped(price)) }),
          place,
          storage,
        },
      });
      if (done) onClose();
    },
  });

  /** The one who brings it as a rule stands there at once, unless another was typed. */
  function choose(id: string | null): void {
    setFoodId(id);
    setUnsaid(false);
    const usual = id ? suppliers[id] : undefined;
    if (usual && !form.getFieldMeta('supplier')?.isDirty)
      form.setFieldValue('supplier', usual, { dontUpdateMeta: true });
  }

  return (
    <Sheet title={larderWords.aDelivery} isOpen onClose={onClose}>
      <TypedForm form={form} onSubmit={() => setUnsaid(!food)}>
        {book && (
          <PickTyped
            label={larderWords.whatCame}
            value={foodId}
            options={Object.values(book.library.ingredients).map((row) => ({ id: row.id, text: row.name }))}
            onChange={choose}
          />
        )}
        <Errors sentences={isUnsaid && !food ? [larderWords.sayWhatCame] : []} />
        <form.AppField name="kg">
          {(field) => <field.InOffice label={larderWords.weight} unit="kg" />}
        </form.AppField>
        <form.AppField name="supplier">
          {(field) => (
            <field.InOffice
              label={larderWords.from}
              suggestions={kitchen.supplierList.map((one) => one.name)}
            />
          )}
        </form.AppField>
        <form.AppField name="warm">
          {(field) => {
            const warm = typedNumber(field.state.value);
            const isWarm = food && mustComeCold(food) && warm !== null && warm > kitchen.limits.receivingC;
            return (
              <>
                <field.InOffice label={larderWords.itsTemperatureByThermometer} unit="°C" />
                {isWarm && (
                  <Caution>
                    {larderWords.coldFoodIsTakenIn(kitchen.limits.receivingC, FOOD_CODE.receivingC.section)}
                  </Caution>
                )}
              </>
            );
          }}
        </form.AppField>
        <form.AppField name="tag">
          {(field) => (
            <field.InOffice label={isShellfish ? larderWords.numberOfItsTag : larderWords.tagIfItHasOne} />
          )}
        </form.AppField>
        {isShellfish && <Caution>{larderWords.theTagIsKeptDays(kitchen.limits.shellfishTagDays)}</Caution>}
        <form.AppField name="days">
          {(field) => <field.InOffice label={larderWords.daysToItsUseBy} inputMode="decimal" />}
        </form.AppField>
        <form.AppField name="price">
          {(field) => <field.InOffice label={larderWords.aWeightCostsIfNot()} unit={kitchen.currency} />}
        </form.AppField>
        <form.AppField name="place">
          {(field) => (
            <field.InOffice
              label={larderWords.whereItGoes}
              suggestions={kitchen.storePlaces.map((one) => one.name)}
            />
          )}
        </form.AppField>
        <StorageChoice value={storage} onChange={setStorage} />
        <Errors sentences={refusals} />
        <Button kind="main" type="submit">
          {larderWords.itIsIn}
        </Button>
      </TypedForm>
    </Sheet>
  );
}
