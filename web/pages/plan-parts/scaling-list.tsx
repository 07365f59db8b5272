import styled from 'styled-components';
import { Over, Subtitle } from '../../components/text';
import { colour, size, space } from '../../theme/tokens';
import { planWords, scalingWords } from '../../words';
import { useComputed } from '../../workers/use-computed';
import type { Order } from './use-order';

const List = styled.ul`
  li {
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
  .pair {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0 ${space.m};
  }
  s {
    color: ${colour.soft};
    font-size: ${size.small};
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
`;

/** What does not follow the plain multiple, each by its own law: what that would say, struck through, and what is so. */
export function ScalingList({ order }: { order: Order }) {
  const { data: notes = [] } = useComputed('notes', order.asked);
  if (notes.length === 0) return null;
  return (
    <section aria-label={planWords.whatDoesNotScaleIn}>
      <Subtitle>{planWords.whatDoesNotScaleIn}</Subtitle>
      <Over>{planWords.struckThroughWhatPlainMultiplying}</Over>
      <List>
        {notes.map(scalingWords).map((note) => (
          <li key={`${note.what} ${note.why}`}>
            <span className="pair">
              <span>{note.what}</span>
              <span>
                {note.plain && (
                  <>
                    <s>{note.plain}</s>{' '}
                  </>
                )}
                <strong>{note.here}</strong>
              </span>
            </span>
            <small>{note.why}</small>
          </li>
        ))}
      </List>
    </section>
  );
}
