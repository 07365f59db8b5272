import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { typedNumber, zonedTimeMs } from '../../../contract';
import type { LotStorage } from '../../../core/matter';
import { FOOD_CODE, mustComeCold } from '../../../core/safety';
import { Button } from '../../components/button';
import { PickTyped } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { StorageChoice } from '../../components/storage-choice';
import { Caution, Errors } from '../../components/text';
import { useMinuteMs } from '../../data/clock';
import { useFoods } from '../../data/queries';

import { useBook } from '../../data/use-book';
import { useKitchenHere } from '../use-kitchen-here';
import { useShelf } from './use-shelf';

/** A crate at the door: what, how much, from whom, how warm, its tag and its date. It is a lot from here on. */
export function DeliverySheet({ onClose }: { onClose: () => void }) {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const book = useBook(kitchen);
  const suppliers = useFoods().data?.suppliers ?? {};
  const { tell, refusals } = useShelf();
  const [foodId, setFoodId] = useState<string | null>(null);
  const [typed, setTyped] = useState({
    kg: '',
    supplier: '',
    warm: '',
    tag: '',
    days: '',
    place: 'walk-in',
    price: '',
  });
  const [storage, setStorage] = useState<LotStorage>('chilled');
  const [wrong, setWrong] = useState<string[]>([]);
  const food = foodId ? book?.library.ingredients[foodId] : undefined;
  const supplier = typed.supplier || (foodId ? (suppliers[foodId] ?? '') : '');
  const warm = typedNumber(typed.warm);
  const isWarm =
    food !== undefined && mustComeCold(food) && warm !== null && warm > kitchen.limits.receivingC;
  const isShellfish = food?.allergens.includes('molluscs') ?? false;
  const set = (name: keyof typeof typed) => (value: string) => setTyped({ ...typed, [name]: value });

  async function keep() {
    const kg = typedNumber(typed.kg);
    const days = typedNumber(typed.days);
    const price = typedNumber(typed.price);
    const found = [
      food ? '' : 'Say what came.',
      kg !== null && kg > 0 ? '' : `The weight must be a number of kg above 0, not “${typed.kg}”.`,
      supplier.trim() ? '' : 'Say who brought it.',
      typed.warm === '' || warm !== null
        ? ''
        : `The temperature must be a number of °C, not “${typed.warm}”.`,
      typed.days === '' || (days !== null && days >= 0)
        ? ''
        : `Days to its date must be a number, not “${typed.days}”.`,
      typed.price === '' || (price !== null && price >= 0) ? '' : `“${typed.price}” is not a price.`,
    ].filter(Boolean);
    setWrong(found);
    if (found.length > 0 || !food || kg === null) return;
    const done = await tell({
      type: 'delivered',
      payload: {
        lotId: uuid(),
        ingredientId: food.id,
        kg,
        supplier: supplier.trim(),
        ...(warm === null ? {} : { arrivedC: warm }),
        ...(typed.tag.trim() ? { tag: typed.tag.trim() } : {}),
        ...(days === null ? {} : { useByMs: zonedTimeMs('23:59', kitchen.zone, nowMs, Math.floor(days)) }),
        ...(price === null ? {} : { centsPerKg: Math.round(price * 100) }),
        place: typed.place.trim(),
        storage,
      },
    });
    if (done) onClose();
  }

  return (
    <Sheet title="A delivery" isOpen onClose={onClose}>
      {book && (
        <PickTyped
          label="What came"
          value={foodId}
          options={Object.values(book.library.ingredients).map((row) => ({ id: row.id, text: row.name }))}
          onChange={setFoodId}
        />
      )}
      <SmallField label="Weight" unit="kg" value={typed.kg} onChange={set('kg')} />
      <SmallField label="From" value={supplier} onChange={set('supplier')} />
      <SmallField
        label="Its temperature, by thermometer"
        unit="°C"
        value={typed.warm}
        onChange={set('warm')}
      />
      {isWarm && (
        <Caution>
          cold food is taken in at {kitchen.limits.receivingC} °C or below (§ {FOOD_CODE.receivingC.section}):
          send it back, or let the person in charge decide.
        </Caution>
      )}
      <SmallField
        label={isShellfish ? 'Number of its tag' : 'Tag, if it has one'}
        value={typed.tag}
        onChange={set('tag')}
      />
      {isShellfish && (
        <Caution>the tag is kept {kitchen.limits.shellfishTagDays} days from the last one served.</Caution>
      )}
      <SmallField
        label="Days to its use-by, if it has one"
        inputMode="decimal"
        value={typed.days}
        onChange={set('days')}
      />
      <SmallField
        label="A kilogram costs, if not as usual"
        unit={kitchen.currency}
        value={typed.price}
        onChange={set('price')}
      />
      <SmallField label="Where it goes" value={typed.place} onChange={set('place')} />
      <StorageChoice value={storage} onChange={setStorage} />
      <Errors sentences={[...wrong, ...refusals]} />
      <Button kind="main" onPress={keep}>
        It is in
      </Button>
    </Sheet>
  );
}
