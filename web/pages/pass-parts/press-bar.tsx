import { useState } from 'react';
import styled from 'styled-components';
import { sentenceCase } from '../../../contract';
import type { PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { colour, media, space } from '../../theme/tokens';
import { kindNames, passWords } from '../../words';
import type { ServingHere } from './use-serving';

/** Under the thumb, over all that scrolls; where there is room the presses stand beside what they serve. */
const Bar = styled.div`
  display: none;
  ${media.narrow} {
    display: grid;
    gap: ${space.s};
    position: sticky;
    bottom: 0;
    z-index: 2;
    margin: 0 -${space.m};
    padding: ${space.s} ${space.m};
    background: ${colour.sheet};
    border-top: 1px solid ${colour.line};
  }
  .row {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .row > * {
    flex: none;
  }
  .presses {
    display: grid;
    grid-template-columns: 1.5fr 1fr 1fr;
    gap: ${space.s};
  }
`;

const COUNTS = [1, 2, 4] as const;

/** Portions out on a phone: the kind is chosen once, and stays. */
export function PressBar({ board, serving }: { board: PassBoard; serving: ServingHere }) {
  const kinds = board.kinds.filter(
    (one) =>
      !one.isLater && one.holdsForbidden.length === 0 && (one.tally.covers > 0 || one.tally.served > 0),
  );
  const names = kindNames(board.kinds.map((one) => one.kind));
  const [picked, setPicked] = useState('');
  const kindId = kinds.find((one) => one.kind.id === picked)?.kind.id ?? kinds[0]?.kind.id;
  if (kindId === undefined) return null;
  const name = names.get(kindId)!;
  return (
    <Bar>
      {kinds.length > 1 && (
        <Choice
          label={passWords.ofWhat}
          isLabelHidden
          value={kindId}
          options={kinds.map((one) => ({ value: one.kind.id, text: sentenceCase(names.get(one.kind.id)!) }))}
          onChange={setPicked}
        />
      )}
      <div className="presses">
        {COUNTS.map((n) => (
          <Button
            key={n}
            atPot
            kind={n === 1 ? 'main' : 'plain'}
            aria-label={passWords.outOf(n, name)}
            onPress={() => serving.serve({ kindId, portions: n })}
          >
            {passWords.out(n)}
          </Button>
        ))}
      </div>
    </Bar>
  );
}
