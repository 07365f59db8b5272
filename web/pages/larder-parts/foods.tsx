import { useMemo, useState } from 'react';
import { Button as AriaButton } from 'react-aria-components';
import styled from 'styled-components';
import * as v from 'valibot';
import { type FoodsView, numberField, sentenceCase, typedNumber } from '../../../contract';
import { priceMoves } from '../../../core/book';
import { type Ingredient, STORES } from '../../../core/matter';
import { Button } from '../../components/button';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft, Unseen } from '../../components/text';
import { useFoods, usePriceChange } from '../../data/queries';
import { type Book, useBook } from '../../data/use-book';
import { colour, media, radius, size, space, target } from '../../theme/tokens';
import { centsPerKgTyped, larderWords, money, priceHere, pricePerWeight } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';
import { FoodForm } from './food-form';
import { PricesIn } from './prices-in';

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s} ${space.m};
  align-items: end;
  a {
    display: grid;
    align-items: center;
    min-height: ${target.anywhere};
  }
`;

const Part = styled.section`
  display: grid;
  gap: ${space.m};
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 4px ${space.m} 4px 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
  }
  th {
    font-weight: 400;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  .figure {
    text-align: right;
    white-space: nowrap;
  }
  small {
    display: block;
    color: ${colour.soft};
    font-size: ${size.small};
  }
  ${media.narrow} {
    .more {
      display: none;
    }
    th,
    td {
      padding-right: ${space.s};
    }
  }
`;

const Price = styled(AriaButton)`
  min-height: ${target.anywhere};
  min-width: 88px;
  padding: 0 ${space.s};
  border: 2px solid ${colour.line};
  border-radius: ${radius.s};
  background: ${colour.sheet};
  text-align: right;
  cursor: pointer;
`;

const Moves = styled.ul`
  li {
    display: flex;
    justify-content: space-between;
    gap: ${space.m};
    padding: 4px 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** The foods of the house with their prices: found by name, labelled, priced, taken out and brought in as CSV. */
export function Foods() {
  const kitchen = useKitchenHere();
  const book = useBook(kitchen);
  const [search, setSearch] = useState('');
  const [priced, setPriced] = useState<Ingredient | null>(null);
  const [labelled, setLabelled] = useState<Ingredient | null | 'new'>(null);
  const { data: foods } = useFoods();
  const prices = foods?.pricesCentsPerKg;
  const rows = useMemo(() => (prices ? foundRows(book, search, prices) : []), [book, search, prices]);
  if (!book || !foods) return null;
  return (
    <Part aria-label={larderWords.foodsAndPrices}>
      <Tools>
        <SmallField
          label={larderWords.findAFood}
          value={search}
          onChange={setSearch}
          placeholder={larderWords.celeriac}
        />
        <Button onPress={() => setLabelled('new')}>{larderWords.aFoodOfOurOwn}</Button>
        <PricesIn />
        <a href="/api/prices.csv">{larderWords.exportPricesCsv}</a>
      </Tools>
      <Table>
        <thead>
          <tr>
            <th scope="col">{larderWords.food}</th>
            <th scope="col" className="more">
              {larderWords.storedIn}
            </th>
            <th scope="col" className="more">
              {larderWords.from}
            </th>
            <th scope="col" className="figure more">
              {larderWords.leftAfterTrim}
            </th>
            <th scope="col" className="figure">
              {larderWords.aWeightCosts()}
            </th>
            <th scope="col">
              <Unseen>{larderWords.label}</Unseen>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>
                {row.name}
                {row.guessedFrom && <small>{row.source}</small>}
              </td>
              <td className="more">{row.store}</td>
              <td className="more">{foods.suppliers[row.id] ?? ''}</td>
              <td className="figure more">{Math.round(row.yield * 100)} %</td>
              <td className="figure">
                <Price aria-label={larderWords.priceOf(row.name)} onPress={() => setPriced(row)}>
                  {foods.pricesCentsPerKg[row.id] === undefined
                    ? larderWords.noneYet
                    : pricePerWeight(foods.pricesCentsPerKg[row.id]!, kitchen.currency)}
                </Price>
              </td>
              <td>
                <Button
                  kind="quiet"
                  aria-label={larderWords.labelOf(row.name)}
                  onPress={() => setLabelled(row)}
                >
                  {larderWords.label}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {rows.length === 0 && <Soft>{larderWords.noFoodIsCalledIt(search)}</Soft>}
      {search === '' && (
        <Over>{larderWords.shownWhatHasAPrice(Object.keys(book.library.ingredients).length)}</Over>
      )}
      {priced && (
        <PriceSheet key={priced.id} food={priced} foods={foods} book={book} onClose={() => setPriced(null)} />
      )}
      {labelled && (
        <Sheet
          title={
            labelled === 'new'
              ? larderWords.aFoodOfOurOwn
              : larderWords.theLabelOf(labelled.name.toLowerCase())
          }
          isOpen
          onClose={() => setLabelled(null)}
        >
          <FoodForm
            name={search}
            rows={book.library.ingredients}
            {...(labelled === 'new' ? {} : { over: labelled })}
            onDone={() => setLabelled(null)}
            onCancel={() => setLabelled(null)}
          />
        </Sheet>
      )}
    </Part>
  );
}

/** By any part of the name or another name; without a search what the kitchen has priced or labelled, by place. */
function foundRows(
  book: Book | null,
  search: string,
  prices: Readonly<Record<string, number>>,
): Ingredient[] {
  if (!book) return [];
  const word = search.trim().toLowerCase();
  const all = Object.values(book.library.ingredients);
  const found = word
    ? all.filter(
        (row) => row.name.toLowerCase().includes(word) || row.aliases?.some((alias) => alias.includes(word)),
      )
    : all.filter((row) => (prices[row.id] !== undefined && prices[row.id]! > 0) || row.guessedFrom);
  return found
    .sort((a, b) => STORES.indexOf(a.store) - STORES.indexOf(b.store) || a.name.localeCompare(b.name))
    .slice(0, 120);
}

/** A price being changed: which dishes it moves, before it is kept. */
function PriceSheet({
  food,
  foods,
  book,
  onClose,
}: {
  food: Ingredient;
  foods: FoodsView;
  book: Book;
  onClose: () => void;
}) {
  const kitchen = useKitchenHere();
  const save = usePriceChange();
  const now = foods.pricesCentsPerKg[food.id];
  const form = useTypedForm({
    first: {
      price: now === undefined ? '' : priceHere(now),
      supplier: foods.suppliers[food.id] ?? '',
    },
    schema: PRICE,
    keep: ({ price, supplier }) =>
      save.mutate(
        { prices: [{ ingredientId: food.id, centsPerKg: centsPerKgTyped(price), supplier }] },
        { onSuccess: onClose },
      ),
  });
  return (
    <Sheet title={food.name} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="price">
          {(field) => (
            <>
              <field.InOffice label={larderWords.aWeightAsPurchased()} unit={kitchen.currency} />
              <MovesOf food={food} book={book} price={typedNumber(field.state.value)} />
            </>
          )}
        </form.AppField>
        <form.AppField name="supplier">
          {(field) => <field.InOffice label={larderWords.from} />}
        </form.AppField>
        <Errors sentences={save.error ? [save.error.message] : []} />
        <Button kind="main" type="submit" isDisabled={save.isPending}>
          {larderWords.saveThePrice}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

const PRICE = v.object({
  price: figure(numberField(larderWords.thePrice, 0, 100_000, '')),
  supplier: v.pipe(v.string(), v.trim()),
});

/** Which dishes a price moves, while it is typed. */
function MovesOf({ food, book, price }: { food: Ingredient; book: Book; price: number | null }) {
  const kitchen = useKitchenHere();
  const isPrice = price !== null && price >= 0 && price <= 100_000;
  const moves = isPrice ? priceMoves(book.library, { [food.id]: price * 100 }) : [];
  if (moves.length === 0) return <Soft>{larderWords.changesNoDish}</Soft>;
  return (
    <div>
      <Over>{larderWords.changesAPortion}</Over>
      <Moves>
        {moves.map((move) => (
          <li key={move.recipeId}>
            <span>{sentenceCase(move.name)}</span>
            <span>
              {money(move.beforeCents, kitchen.currency)} →{' '}
              <strong>{money(move.afterCents, kitchen.currency)}</strong>
            </span>
          </li>
        ))}
      </Moves>
    </div>
  );
}
