import { useState } from 'react';
import styled from 'styled-components';
import type { PriceDifference } from '../../../contract';
import { Button } from '../../components/button';
import { FilePick } from '../../components/file-pick';
import { Sheet } from '../../components/sheet';
import { Errors, Over, Soft } from '../../components/text';
import { sentencesOf } from '../../data/api';
import { usePriceChange, useReadFile } from '../../data/queries';
import { colour, space } from '../../theme/tokens';
import { larderWords, pricePerWeight } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

const Rows = styled.ul`
  max-height: 46vh;
  overflow: auto;
  li {
    display: flex;
    justify-content: space-between;
    gap: ${space.m};
    padding: 4px 0;
    border-bottom: 1px solid ${colour.line};
  }
  li > :last-child {
    text-align: right;
    white-space: nowrap;
  }
`;

/** Prices from a CSV: what they would change is shown, then taken over whole. */
export function PricesIn() {
  const read = useReadFile();
  const [found, setFound] = useState<PriceDifference | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const isOther = read.data !== undefined && read.data.kind !== 'prices';
  return (
    <>
      <FilePick
        label={larderWords.importPricesCsv}
        accept=".csv"
        onText={(name, text) => {
          setSaid(null);
          const onSuccess = (file: typeof read.data) => file?.kind === 'prices' && setFound(file.difference);
          read.mutate({ name, text }, { onSuccess });
        }}
      />
      {said && <Over role="status">{said}</Over>}
      <Errors sentences={isOther ? [larderWords.thereAreNoPricesIn] : sentencesOf(read.error)} />
      {found && (
        <PricesFound
          found={found}
          onDone={(sentence) => {
            setSaid(sentence);
            setFound(null);
          }}
          onClose={() => setFound(null)}
        />
      )}
    </>
  );
}

function PricesFound(of: {
  found: PriceDifference;
  onDone: (sentence: string) => void;
  onClose: () => void;
}) {
  const { prices, same } = of.found;
  const { currency } = useKitchenHere();
  const save = usePriceChange();
  const take = () =>
    save.mutate(
      {
        prices: prices.map(({ ingredientId, centsPerKg, supplier }) => ({
          ingredientId,
          centsPerKg,
          ...(supplier ? { supplier } : {}),
        })),
      },
      { onSuccess: () => of.onDone(larderWords.imported(pricesWords(prices.length))) },
    );
  return (
    <Sheet title={larderWords.pricesInThisFile} isOpen onClose={of.onClose}>
      {prices.length === 0 ? (
        <Soft>{larderWords.nothingNewAllAreAs(same)}</Soft>
      ) : (
        <Rows aria-label={larderWords.whatWouldChange}>
          {prices.map((row) => (
            <li key={row.ingredientId}>
              <span>
                {row.name}
                {row.supplier && row.supplier !== row.beforeSupplier && (
                  <Over>{larderWords.from2(row.supplier)}</Over>
                )}
              </span>
              <span>
                {row.beforeCentsPerKg === null
                  ? larderWords.noneYet
                  : pricePerWeight(row.beforeCentsPerKg, currency)}{' '}
                → <strong>{pricePerWeight(row.centsPerKg, currency)}</strong>
              </span>
            </li>
          ))}
        </Rows>
      )}
      {prices.length > 0 && same > 0 && <Over>{larderWords.moreAreTheSameAlready(same)}</Over>}
      <Errors sentences={sentencesOf(save.error)} />
      {prices.length > 0 && (
        <Button kind="main" isDisabled={save.isPending} onPress={take}>
          {larderWords.import(pricesWords(prices.length))}
        </Button>
      )}
    </Sheet>
  );
}

const pricesWords = (count: number) => (count === 1 ? '1 price' : larderWords.prices(count));
