import { Bell, BellOff } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { KitchenView } from '../../contract';
import { isMuted, keepAwake, setMuted, sound, wakeSoundOnTouch } from '../data/alarm';
import { useEachTick } from '../data/clock';
import { useCoolingsOnRange } from '../data/cooling-calls';
import { submitEvents } from '../data/outbox';
import { LOUDNESS, type Press, SNOOZE_MIN, useRangeCalls } from '../data/range-pots';
import { colour, font, media, size, space } from '../theme/tokens';
import { commonWords, coolingWords } from '../words';
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
  color: ${({ $isUrgent }) => ($isUrgent ? colour.enamel : colour.rangeText)};
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

/**
 * The loudest call of the pots that are not in sight: what it wants, since when, one press to answer, one to wait. The
 * pot that is in sight says it itself; it sounds all the same.
 */
export function CallStrip({ kitchen, hereId }: { kitchen: KitchenView; hereId: string | null }) {
  const { hasPots, loudest, caller } = useRangeCalls(kitchen, hereId);
  const [cooling] = useCoolingsOnRange(kitchen);
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [muted, setMutedHere] = useState(isMuted);
  const [refusals, setRefusals] = useState<string[]>([]);
  useEffect(wakeSoundOnTouch, []);
  useEffect(() => (hasPots ? keepAwake() : undefined), [hasPots]);
  const callOut = useCallback(() => {
    const isPot = loudest && (!cooling || LOUDNESS[loudest.call] >= LOUDNESS[cooling.call]);
    if (isPot) sound(loudest.call, loudest.words);
    else if (cooling) sound(cooling.call, `${cooling.lot.name}: ${cooling.wants}`);
  }, [loudest, cooling]);
  useEachTick(kitchen.clock, callOut);
  const isAtCooling = pathname === '/larder/cooling';
  const coolingStrip = cooling && cooling.call !== 'none' && !isAtCooling && (
    <Strip role="alert" aria-label={coolingWords.aCoolingCalls} $isUrgent={cooling.call === 'urgent'}>
      <p>
        {coolingWords.the(cooling.lot.name, cooling.lot.number)}: {cooling.wants}
        <small>{cooling.doing}</small>
      </p>
      <Button onPress={() => navigate('/larder/cooling')}>{coolingWords.toTheCooling}</Button>
    </Strip>
  );
  if (!caller) return coolingStrip || null;
  const tell = async (said: Press['said']) => {
    const answers = await Promise.all(said.map(({ batchId, body }) => submitEvents(batchId, [body])));
    setRefusals(
      answers.flatMap((one) => (one.kind === 'refused' ? one.errors.map((error) => error.sentence) : [])),
    );
  };
  const putOff: Press['said'] = [
    { batchId: caller.batchId, body: { type: 'snoozed', payload: { minutes: SNOOZE_MIN } } },
  ];
  const { answer } = caller;
  return (
    <>
      {coolingStrip}
      <Strip role="alert" aria-label={commonWords.aPotCalls} $isUrgent={caller.call === 'urgent'}>
        <p>
          {caller.name}: {caller.words}
          <small>{caller.beside}</small>
          {refusals.map((sentence) => (
            <small key={sentence}>{commonWords.notTaken(sentence)}</small>
          ))}
        </p>
        {answer && <Button onPress={() => tell(answer.said)}>{answer.text}</Button>}
        <Button onPress={() => navigate(`/batches/${caller.batchId}`)}>{commonWords.toThisPot}</Button>
        <Button onPress={() => tell(putOff)}>{commonWords.inMin(SNOOZE_MIN)}</Button>
        <IconButton
          className="bell"
          aria-label={muted ? commonWords.letItSound : commonWords.noSound}
          onPress={() => {
            setMuted(!muted);
            setMutedHere(!muted);
          }}
        >
          {muted ? <BellOff aria-hidden /> : <Bell aria-hidden />}
        </IconButton>
      </Strip>
    </>
  );
}
