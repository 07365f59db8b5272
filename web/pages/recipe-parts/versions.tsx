import { useState } from 'react';
import styled from 'styled-components';

import { compareRecipes } from '../../../core/recipe';
import { PickOne } from '../../components/menu';
import { Over, Soft, Subtitle } from '../../components/text';
import { useVersions } from '../../data/queries';
import type { Book } from '../../data/use-book';
import { colour, size, space } from '../../theme/tokens';
import { dayAndHour, recipeWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  th,
  td {
    padding: 6px ${space.m} 6px 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
    vertical-align: top;
    overflow-wrap: anywhere;
  }
  thead th {
    font-weight: 400;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  td:first-of-type {
    color: ${colour.soft};
  }
`;

const Picks = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 260px) minmax(0, 260px);
  gap: ${space.m};
`;

/** Two versions of a recipe side by side: what changed from one to the other, and nothing else. */
export function Versions({ recipeId, book }: { recipeId: string; book: Book }) {
  const { zone } = useKitchenHere();
  const { data: versions = [] } = useVersions(recipeId);
  const [picked, setPicked] = useState<{ from: string; to: string } | null>(null);
  if (versions.length < 2) return null;
  const from = picked?.from ?? String(versions.at(-2)!.version);
  const to = picked?.to ?? String(versions.at(-1)!.version);
  const of = (version: string) => versions.find((one) => String(one.version) === version)!.recipe;
  const differences = compareRecipes(of(from), of(to), book.rows);
  const options = versions.map((one) => ({
    id: String(one.version),
    text: recipeWords.version2(one.version, dayAndHour(one.savedAtMs, zone)),
  }));
  return (
    <section>
      <Subtitle>{recipeWords.versionsSideBySide}</Subtitle>
      <Picks>
        <PickOne
          label={recipeWords.from}
          value={from}
          options={options}
          onChange={(id) => setPicked({ from: id, to })}
        />
        <PickOne
          label={recipeWords.to}
          value={to}
          options={options}
          onChange={(id) => setPicked({ from, to: id })}
        />
      </Picks>
      {differences.length === 0 ? (
        <Soft>{recipeWords.theSameInEverything}</Soft>
      ) : (
        <Table>
          <thead>
            <tr>
              <th scope="col">{recipeWords.what}</th>
              <th scope="col">{recipeWords.version3(from)}</th>
              <th scope="col">{recipeWords.version4(to)}</th>
            </tr>
          </thead>
          <tbody>
            {differences.map((one) => (
              <tr key={`${one.where} ${one.what} ${one.before}`}>
                <th scope="row">{one.what}</th>
                <td>{one.before ?? recipeWords.wasNotThere}</td>
                <td>
                  <strong>{one.after ?? recipeWords.leftOut}</strong>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <Over>{recipeWords.aBatchKeepsTheVersion}</Over>
    </section>
  );
}
