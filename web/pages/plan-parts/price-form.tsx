import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import type { Ingredient } from '../../../core/matter';
import { Button } from '../../components/button';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Caution, Errors, Soft } from '../../components/text';
import { usePriceChange } from '../../data/queries';
import { space } from '../../theme/tokens';
import { planWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

const Rows = styled.div`
  display: grid;
  gap: ${space.s};
`;

const Row = styled.div`
  display: flex;
  gap: ${space.s};
  align-items: end;
  button {
    flex: none;
  }
`;

const PRICE = v.object({
  price: figure(numberField(planWords.thePrice, 0, 100_000, '')),
  packG: figure(numberField(planWords.aPackHolds, 1, 1_000_000, 'g')),
});

/** What the cost leaves out or guesses, as nobody has said its price: said here, it counts at once. */
export function Unpriced({
  names,
  guessed = [],
  rows,
}: {
  names: readonly string[];
  guessed?: readonly string[];
  rows: readonly Ingredient[];
}) {
  const said = (of: readonly string[]) => of.map((name) => name.toLowerCase()).join(', ');
  const foods = [...names, ...guessed].flatMap((name) => rows.find((row) => row.name === name) ?? []);
  const [isOpen, setOpen] = useState(false);
  if (names.length + guessed.length === 0) return null;
  return (
    <Rows>
      {names.length > 0 && <Caution>{planWords.theCostLeavesOutNo(said(names))}</Caution>}
      {guessed.length > 0 && <Soft>{planWords.aGuessStandsFor(said(guessed))}</Soft>}
      {isOpen ? (
        foods.map((food) => <PriceOf key={food.id} food={food} />)
      ) : (
        <div>
          <Button kind="quiet" onPress={() => setOpen(true)}>
            {planWords.sayPrices(foods.length)}
          </Button>
        </div>
      )}
    </Rows>
  );
}

/** A pack as it is bought: what it costs and holds. */
function PriceOf({ food }: { food: Ingredient }) {
  const { currency } = useKitchenHere();
  const save = usePriceChange();
  const form = useTypedForm({
    first: { price: '', packG: '1000' },
    schema: PRICE,
    keep: async ({ price, packG }) => {
      const prices = [{ ingredientId: food.id, centsPerKg: Math.round((price * 1e7) / packG) / 100 }];
      await save.mutateAsync({ prices }).catch(() => undefined);
    },
  });
  const trim = Math.round(100 * (1 - food.yield));
  return (
    <TypedForm form={form}>
      <Row>
        <form.AppField name="price">
          {(field) => <field.InOffice label={planWords.aPackCosts(food.name)} unit={currency} />}
        </form.AppField>
        <form.AppField name="packG">
          {(field) => <field.InOffice label={planWords.aPackHolds} unit="g" />}
        </form.AppField>
        <Button type="submit" isDisabled={save.isPending}>
          {planWords.saveThePrice}
        </Button>
      </Row>
      {trim > 0 && <Soft>{planWords.trimIs(trim)}</Soft>}
      <Errors sentences={save.error ? [save.error.message] : []} />
    </TypedForm>
  );
}
