import styled from 'styled-components';
import { dismiss, useWaiting } from '../data/outbox';
import { colour, space } from '../theme/tokens';
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
    gap: ${space.s};
    align-items: center;
    color: ${colour.danger};
  }
`;

/** Says what is still on its way to the server, and what the server would not have. Nothing is shown while all is well. */
export function OutboxNote() {
  const items = useWaiting();
  const refused = items.filter((item) => item.refused);
  const waiting = items.length - refused.length;
  if (items.length === 0) return null;
  return (
    <Strip role="status">
      {waiting > 0 && (
        <p>
          <strong>No line to the kitchen’s server.</strong> {waiting}{' '}
          {waiting === 1 ? 'entry waits' : 'entries wait'} on this device and will be sent when it is back. Go
          on cooking.
        </p>
      )}
      {refused.map((item) => (
        <div className="refused" key={item.id}>
          <span>Not taken: {item.refused?.map((error) => error.sentence).join(' ')}</span>
          <Button kind="quiet" onPress={() => dismiss(item.id)}>
            Put away
          </Button>
        </div>
      ))}
    </Strip>
  );
}
