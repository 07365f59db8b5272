import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import {
  eyeScore,
  type Rehearsal,
  type RehearsalCall,
  type ScoredCall,
  scoreCalls,
} from '../../../core/rehearse';
import { Button } from '../../components/button';
import { LinkButton } from '../../components/link-button';
import { Soft, Subtitle } from '../../components/text';
import { useKeepRehearsal, useRehearsals } from '../../data/queries';
import { colour, size, space } from '../../theme/tokens';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: ${space.s} ${space.s} ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
  }
  th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
  }
`;

export const CALL_WORDS: Readonly<Record<RehearsalCall, string>> = {
  quarterGone: 'A quarter gone',
  thirdGone: 'A third gone',
  halfGone: 'Half gone',
  coatsTheSpoon: 'It coats the spoon',
  atTheMark: 'At the mark: salt now',
};

/** The truth after a rehearsal: each call beside it, and the eye over time. */
export function Told({
  rehearsal,
  calls,
  recipeId,
  onAgain,
}: {
  rehearsal: Rehearsal;
  calls: readonly { call: RehearsalCall; minute: number }[];
  recipeId: string;
  onAgain: () => void;
}) {
  const scored = useMemo(() => scoreCalls(rehearsal, calls), [rehearsal, calls]);
  const { data: before = [] } = useRehearsals();
  const { mutate } = useKeepRehearsal();
  const [id] = useState(() => uuid());
  useEffect(() => mutate({ id, recipeId, calls: scored }), [mutate, id, recipeId, scored]);
  const earlier = before.filter((one) => one.id !== id);
  return (
    <>
      <Table>
        <thead>
          <tr>
            <th scope="col">Called</th>
            <th scope="col">At</th>
            <th scope="col">It was</th>
            <th scope="col">Off by</th>
          </tr>
        </thead>
        <tbody>
          {scored.map((one) => (
            <tr key={one.call}>
              <td>{CALL_WORDS[one.call]}</td>
              <td>{Math.floor(one.minute)} min</td>
              <td>{reallyWords(one)}</td>
              <td>
                <strong>{offWords(one)}</strong>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Soft>
        The burner gave {Math.round(rehearsal.snapshot.input.burner.heatFactor.mean * 100)} % of its plate.{' '}
        {eyeWords(scored)}
      </Soft>
      {earlier.length > 0 && (
        <>
          <Subtitle>Your eye over time</Subtitle>
          <Table>
            <tbody>
              {[...earlier.slice(-5), { id, calls: scored }].map((one, i, all) => (
                <tr key={one.id}>
                  <td>{i === all.length - 1 ? 'this time' : `${all.length - 1 - i} before`}</td>
                  <td>{eyeWords(one.calls)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
      <Button kind="main" onPress={onAgain}>
        Again, on another burner
      </Button>
      <LinkButton to={`/recipes/${recipeId}`}>Back to the recipe</LinkButton>
    </>
  );
}

function reallyWords(one: ScoredCall): string {
  return one.call === 'coatsTheSpoon'
    ? `band ${one.really.toFixed(1)}`
    : `${Math.round(one.really * 100)} % gone`;
}

function offWords(one: ScoredCall): string {
  if (Math.abs(one.off) < 1) return 'right';
  const how = one.off > 0 ? 'too early' : 'too late';
  return one.call === 'coatsTheSpoon'
    ? `${(Math.abs(one.off) / 10).toFixed(1)} of a band ${how}`
    : `${Math.round(Math.abs(one.off))} points ${how}`;
}

function eyeWords(scored: readonly Pick<ScoredCall, 'off'>[]): string {
  const score = eyeScore(scored);
  if (!score) return '';
  const lean =
    Math.abs(score.leans) < 2
      ? 'leaning neither way'
      : `leaning to ${score.leans > 0 ? 'too early' : 'too late'}`;
  return `Off by ${Math.round(score.off)} points on the average, ${lean}.`;
}
