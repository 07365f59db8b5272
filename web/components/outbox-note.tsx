import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { dismiss, sayAgain, useWaiting, type Waiting } from '../data/outbox';
import { colour, media, space } from '../theme/tokens';
import { commonWords } from '../words';
import { Button } from './button';

const Strip = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.s} 28px;
  background: ${colour.hollow};
  border-bottom: 2px solid ${colour.lookIn};
  .refused {
    display: flex;
    flex-wrap: wrap;
    gap: 0 ${space.s};
    align-items: center;
    color: ${colour.danger};
  }
  ${media.narrow} {
    padding: ${space.s} ${space.m};
  }
`;

/** A line whose first entry has not moved for so long is worth a word; one that is but on its way is not, ms. */
const PATIENCE_MS = 3000;

/** Says what is still on its way to the server, and what the server would not have. Nothing is shown while all is well. */
export function OutboxNote() {
  const items = useWaiting();
  const refused = items.filter((item) => item.refused);
  const waiting = items.length - refused.length;
  // a hand that enters faster than the line carries is not held up while the line moves
  const first = items.find((item) => !item.refused);
  const isHeldUp = useStanding(first?.id, PATIENCE_MS);
  if (refused.length === 0 && !isHeldUp) return null;
  return (
    <Strip role="status">
      {isHeldUp && (
        <p>
          <strong>{commonWords.notAtTheKitchensServer}</strong>
          {commonWords.entryWaitsOnThisDevice(waiting)}
        </p>
      )}
      {refused.map((item) => (
        <Refused key={item.id} item={item} />
      ))}
    </Strip>
  );
}

/** True once the same thing has stood first for a while, and until another does or none. */
function useStanding(id: string | undefined, ms: number): boolean {
  const [standing, setStanding] = useState<string>();
  useEffect(() => {
    if (id === undefined) return;
    const timer = setTimeout(() => setStanding(id), ms);
    return () => clearTimeout(timer);
  }, [id, ms]);
  return id !== undefined && standing === id;
}

/** What was refused, with what can be done about it. */
function Refused({ item }: { item: Waiting }) {
  const errors = item.refused ?? [];
  const isLongAgo = errors.some((error) => error.code === 'longAgo');
  return (
    <div className="refused">
      <span>{commonWords.notTaken2(errors.map((error) => error.sentence).join(' '))}</span>
      {isLongAgo && (
        <>
          <Button kind="quiet" onPress={() => void sayAgain(item.id, 'longAgo')}>
            {commonWords.itWasThatLongAgo}
          </Button>
          <Button kind="quiet" onPress={() => void sayAgain(item.id, 'justNow')}>
            {commonWords.itWasJustNow}
          </Button>
        </>
      )}
      <Button kind="quiet" onPress={() => void dismiss(item.id)}>
        {commonWords.close}
      </Button>
    </div>
  );
}
