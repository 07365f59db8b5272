import styled from 'styled-components';
import { colour, font, size, space } from '../theme/tokens';
import { commonWords } from '../words';

/** Pieces of type that every place sets the same way. */

export const Over = styled.p`
  color: ${colour.soft};
  font-size: ${size.small};
`;

export const Title = styled.h1`
  font-size: ${size.title};
`;

export const Subtitle = styled.h2`
  font-size: 21px;
`;

export const Soft = styled.p`
  color: ${colour.soft};
`;

/** Words for the ear only. */
export const Unseen = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`;

export const FigureText = styled.span`
  font-family: ${font.title};
  font-weight: 700;
  font-size: ${size.figure};
  white-space: nowrap;
`;

/** A caution: short, where the act is. */
const CautionBox = styled.p`
  border-left: 4px solid ${colour.lookIn};
  padding: 2px 0 2px ${space.s};
  strong {
    color: ${colour.lookIn};
  }
`;

export function Caution({ children }: { children: React.ReactNode }) {
  return (
    <CautionBox>
      <strong>{commonWords.caution}</strong>
      {children}
    </CautionBox>
  );
}

const ErrorList = styled.ul`
  color: ${colour.danger};
  display: grid;
  gap: ${space.xs};
  li::before {
    content: '✕ ';
    font-weight: 700;
  }
`;

/** Sentences about what is wrong, read out as they appear. */
export function Errors({ sentences, id }: { sentences: readonly string[]; id?: string }) {
  return (
    <div role="alert" id={id}>
      {sentences.length > 0 && (
        <ErrorList>
          {sentences.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ErrorList>
      )}
    </div>
  );
}
