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
import { decimal, rehearseWords } from '../../words';

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
  quarterGone: rehearseWords.aQuarterGone,
  thirdGone: rehearseWords.aThirdGone,
  halfGone: rehearseWords.halfGone,
  coatsTheSpoon: rehearseWords.itCoatsTheSpoon,
  atTheMark: rehearseWords.atTheMarkSaltNow,
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
            <th scope="col">{rehearseWords.youCalled}</th>
            <th scope="col">{rehearseWords.at}</th>
            <th scope="col">{rehearseWords.itWas}</th>
            <th scope="col">{rehearseWords.offBy}</th>
          </tr>
        </thead>
        <tbody>
          {scored.map((one) => (
            <tr key={one.call}>
              <td>{CALL_WORDS[one.call]}</td>
              <td>{rehearseWords.min(Math.floor(one.minute))}</td>
              <td>{reallyWords(one)}</td>
              <td>
                <strong>{offWords(one)}</strong>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Soft>
        {rehearseWords.theBurnerGaveOfIts(
          Math.round(rehearsal.snapshot.input.burner.heatFactor.mean * 100),
          eyeWords(scored),
        )}
      </Soft>
      {earlier.length > 0 && (
        <>
          <Subtitle>{rehearseWords.yourEyeOverTime}</Subtitle>
          <Table>
            <tbody>
              {[...earlier.slice(-5), { id, calls: scored }].map((one, i, all) => (
                <tr key={one.id}>
                  <td>
                    {i === all.length - 1 ? rehearseWords.thisTime : rehearseWords.before(all.length - 1 - i)}
                  </td>
                  <td>{eyeWords(one.calls)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
      <Button kind="main" onPress={onAgain}>
        {rehearseWords.againOnAnotherBurner}
      </Button>
      <LinkButton to={`/recipes/${recipeId}`}>{rehearseWords.backToTheRecipe}</LinkButton>
    </>
  );
}

function reallyWords(one: ScoredCall): string {
  return one.call === 'coatsTheSpoon'
    ? `band ${decimal(one.really, 1)}`
    : rehearseWords.gone(Math.round(one.really * 100));
}

function offWords(one: ScoredCall): string {
  if (Math.abs(one.off) < 1) return 'right';
  const how = one.off > 0 ? rehearseWords.tooEarly : rehearseWords.tooLate;
  return one.call === 'coatsTheSpoon'
    ? rehearseWords.ofABand(decimal(Math.abs(one.off) / 10, 1), how)
    : rehearseWords.points(Math.round(Math.abs(one.off)), how);
}

function eyeWords(scored: readonly Pick<ScoredCall, 'off'>[]): string {
  const score = eyeScore(scored);
  if (!score) return '';
  const lean =
    Math.abs(score.leans) < 2
      ? rehearseWords.earlyAsOftenAsLate
      : rehearseWords.leaningToTooEarly(score.leans > 0);
  return rehearseWords.offByPointsOnThe(Math.round(score.off), lean);
}
