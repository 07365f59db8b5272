import { useState } from 'react';
import styled from 'styled-components';
import { type Fate, toComeOut } from '../../../core/batch';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Errors, Soft } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { potWords, weight } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const OutBox = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border: 2px solid ${colour.danger};
  border-radius: 10px;
  > div {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s};
  }
`;

/** What is still in the pot and has to come out: one press each. */
export function TakeOut({ here }: { here: BatchHere }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const [fate, setFate] = useState<Fate['fate']>('thrown');
  const next = here.batch.snapshot.input.recipe.stages.find(
    (stage) => here.pot.state.stages.find((one) => one.stageId === stage.id)?.begunMs === null,
  );
  const { lines } = here.batch.snapshot.plan;
  const backOf = (itemId: string) => {
    const lineId = here.pot.state.items.find((item) => item.id === itemId)?.lineId;
    return lines.find((line) => line.lineId === lineId)?.comesBack ?? null;
  };
  const titleOf = (stageId: string) =>
    here.batch.snapshot.input.recipe.stages.find((stage) => stage.id === stageId)?.title ?? '';
  const how = fate === 'thrown' ? {} : fate === 'parked' && next ? { fate, backStageId: next.id } : { fate };
  const out = toComeOut(here.pot.state).map((one) => ({ ...one, back: backOf(one.itemId) }));
  return (
    <OutBox role="group" aria-label={potWords.toComeOut}>
      <strong>{potWords.stillInThePotTo}</strong>
      <div>
        {out.map(({ back, ...one }) => (
          <Button
            key={one.itemId}
            atPot
            onPress={() =>
              tell({
                type: 'removed',
                payload: {
                  word: one.word,
                  count: one.count,
                  itemId: one.itemId,
                  ...(back ? { fate: 'parked', backStageId: back.stageId } : how),
                },
              })
            }
          >
            {back ? potWords.outToBePicked(one.count, one.word) : potWords.out(one.count, one.word)}
          </Button>
        ))}
      </div>
      {out.map(
        ({ itemId, word, back }) =>
          back && (
            <Soft key={itemId}>{potWords.itsMeatGoesBack(word, titleOf(back.stageId), weight(back.kg))}</Soft>
          ),
      )}
      {out.some((one) => !one.back) && (
        <Choice
          label={potWords.whatComesOutIs}
          value={fate}
          options={[
            { value: 'thrown', text: potWords.thrownAway },
            { value: 'salvaged', text: potWords.keptMarrowMeatRind },
            { value: 'parked', text: potWords.parkedToGoBack },
          ]}
          onChange={setFate}
        />
      )}
      <Errors sentences={refusals} />
    </OutBox>
  );
}
