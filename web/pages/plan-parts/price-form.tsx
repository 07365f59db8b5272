import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import type { Ingredient } from '../../../core/matter';
import { Button } from '../../components/button';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Caution, Errors } from '../../components/text';
import { usePriceChange } from '../../data/queries';
import { space } from '../../theme/tokens';
import { centsPerKgTyped, planWords } from '../../words';
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

const PRICE = v.object({ price: figure(numberField(planWords.thePrice, 0, 100_000, '')) });

/** What the cost leaves out, as nobody has said its price: said here, it counts at once. */
export function Unpriced({ names, rows }: { names: readonly string[]; rows: readonly Ingredient[] }) {
  const foods = names.flatMap((name) => rows.find((row) => row.name === name) ?? []);
  return (
    <Rows>
      <Caution>{planWords.theCostLeavesOutNo(names.map((name) => name.toLowerCase()).join(', '))}</Caution>
      {foods.map((food) => (
        <PriceOf key={food.id} food={food} />
      ))}
    </Rows>
  );
}

function PriceOf({ food }: { food: Ingredient }) {
  const { currency } = useKitchenHere();
  const save = usePriceChange();
  const form = useTypedForm({
    first: { price: '' },
    schema: PRICE,
    keep: async ({ price }) => {
      const prices = [{ ingredientId: food.id, centsPerKg: centsPerKgTyped(price) }];
      await save.mutateAsync({ prices }).catch(() => undefined);
    },
  });
  return (
    <TypedForm form={form}>
      <Row>
        <form.AppField name="price">
          {(field) => <field.InOffice label={planWords.aWeightAsPurchased(food.name)} unit={currency} />}
        </form.AppField>
        <Button type="submit" isDisabled={save.isPending}>
          {planWords.saveThePrice}
        </Button>
      </Row>
      <Errors sentences={save.error ? [save.error.message] : []} />
    </TypedForm>
  );
}
