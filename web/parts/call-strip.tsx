import { Bell, BellOff } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import type { KitchenView } from '../../contract';
import type { BatchEventBody } from '../../core';
import { isMuted, keepAwake, setMuted, sound, wakeSoundOnTouch } from '../data/alarm';
import { span } from '../data/format';
import { say } from '../data/outbox';
import { type CallingPot, SNOOZE_MIN, useRangePots } from '../data/range-pots';
import { wantWords } from '../data/words';
import { colour, font, media, size, space } from '../theme/tokens';
import { Button } from './button';
import { IconButton } from './icon-button';

const Strip = styled.section<{ $isUrgent: boolean }>`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.xs} ${space.m};
  padding: ${space.xs} 28px;
  min-height: 64px;
  background: ${({ $isUrgent }) => ($isUrgent ? colour.danger : colour.rangeBack)};
  color: ${colour.rangeText};
  border-bottom: 2px solid ${colour.iron};
  p {
    flex: 1 1 220px;
    font-family: ${font.title};
    font-size: ${size.lead};
    font-weight: 650;
    line-height: 1.2;
  }
  button {
    color: ${colour.iron};
  }
  button.bell {
    color: inherit;
  }
  small {
    display: block;
    font-family: ${font.text};
    font-size: ${size.small};
    font-weight: 400;
  }
  ${media.narrow} {
    padding: ${space.xs} ${space.m};
  }
  ${media.paper} {
    display: none;
  }
`;

/** What answers a want where the cook stands, without going to its screen; null where the screen has to be seen. */
function answerTo({ pot }: CallingPot): { text: string; bodies: BatchEventBody[] } | null {
  const { want } = pot;
  switch (want.kind) {
    case 'lookIn':
      return {
        text: 'Looked in, stirred',
        bodies: [{ type: 'looked', v: 1, payload: { stageId: want.stage.id } }],
      };
    case 'heat':
      return {
        text: 'Heat is set',
        bodies: [{ type: 'heatSet', v: 1, payload: { fraction: want.fraction } }],
      };
    default:
      return null;
  }
}

/**
 * The loudest call of the pots that are not in sight: what it wants, since when, one press to answer, one to wait. The
 * pot that is in sight says it itself; it sounds all the same.
 */
export function CallStrip({ kitchen, hereId }: { kitchen: KitchenView; hereId: string | null }) {
  const { pots, walk } = useRangePots(kitchen);
  const navigate = useNavigate();
  const [muted, setMutedHere] = useState(isMuted);
  const [refusals, setRefusals] = useState<string[]>([]);
  const loudest = pots[0];
  const first = pots.find((one) => one.batch.id !== hereId);
  const call = first?.call ?? 'none';
  const words = first ? wantWords(first.pot.want, first.pot.nowMs, kitchen.zone).text : '';
  const name = first?.batch.snapshot.input.recipe.name ?? '';
  useEffect(wakeSoundOnTouch, []);
  const hasPots = pots.length > 0;
  useEffect(() => (hasPots ? keepAwake() : undefined), [hasPots]);
  const nowMs = loudest?.pot.nowMs ?? 0;
  useEffect(() => {
    if (!loudest) return;
    const wanted = wantWords(loudest.pot.want, nowMs, kitchen.zone).text;
    sound(loudest.call, `${loudest.batch.snapshot.input.recipe.name}: ${wanted}`);
  }, [loudest, nowMs, kitchen.zone]);
  if (!first || call === 'none') return null;
  const others = pots.filter((one) => one.call !== 'none' && one.batch.id !== hereId).length - 1;
  const answer = answerTo(first);
  const together = walk?.batchIds.includes(first.batch.id)
    ? pots.filter((one) => walk.batchIds.includes(one.batch.id) && one !== first)
    : [];
  const waited = nowMs - sinceOf(first);
  const tell = async (batchId: string, bodies: BatchEventBody[]) => {
    const answer = await say(batchId, bodies);
    setRefusals(answer.kind === 'refused' ? answer.errors.map((error) => error.sentence) : []);
  };
  const walkAll = () => {
    for (const one of [first, ...together])
      if (one.pot.want.kind === 'lookIn')
        void tell(one.batch.id, [{ type: 'looked', v: 1, payload: { stageId: one.pot.want.stage.id } }]);
  };
  return (
    <Strip role="alert" aria-label="A pot calls" $isUrgent={call === 'urgent'}>
      <p>
        {name}: {words}
        <small>
          {call === 'due' ? 'now' : `unanswered for ${span(waited)}`}
          {together.length > 0 &&
            `, one walk with ${together.map((one) => one.batch.snapshot.input.recipe.name.toLowerCase()).join(' and ')}`}
          {others > 0 &&
            together.length === 0 &&
            `, and ${others} more ${others === 1 ? 'pot calls' : 'pots call'}`}
        </small>
        {refusals.map((sentence) => (
          <small key={sentence}>Not taken: {sentence}</small>
        ))}
      </p>
      {together.length > 0 ? (
        <Button onPress={walkAll}>Looked in on {together.length + 1}</Button>
      ) : (
        answer && <Button onPress={() => tell(first.batch.id, answer.bodies)}>{answer.text}</Button>
      )}
      <Button onPress={() => navigate(`/batches/${first.batch.id}`)}>To this pot</Button>
      <Button
        onPress={() => tell(first.batch.id, [{ type: 'snoozed', v: 1, payload: { minutes: SNOOZE_MIN } }])}
      >
        In {SNOOZE_MIN} min
      </Button>
      <IconButton
        className="bell"
        aria-label={muted ? 'Let it sound' : 'No sound'}
        onPress={() => {
          setMuted(!muted);
          setMutedHere(!muted);
        }}
      >
        {muted ? <BellOff aria-hidden /> : <Bell aria-hidden />}
      </IconButton>
    </Strip>
  );
}

function sinceOf({ pot }: CallingPot): number {
  const { want } = pot;
  return 'dueMs' in want && want.dueMs !== null ? Math.min(want.dueMs, pot.nowMs) : pot.wantSinceMs;
}
