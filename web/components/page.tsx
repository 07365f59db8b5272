import styled from 'styled-components';
import { colour, media, space } from '../theme/tokens';
import { commonWords } from '../words';
import { Button } from './button';
import { Soft, Subtitle } from './text';

/** A place's ground: one column of air around it. */
export const Page = styled.div`
  padding: ${space.l} 28px ${space.xl};
  max-width: 1280px;
  margin: 0 auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: ${space.l};
  align-content: start;
  ${media.narrow} {
    padding: ${space.m};
  }
`;

/** What a place is called, and what can be done with all of it at the other end. */
export const PageHead = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: ${space.m};
`;

/** Two sections side by side, one above the other where there is no room. */
export const Halves = styled.div<{ $columns?: string }>`
  display: grid;
  grid-template-columns: ${({ $columns }) => $columns ?? 'minmax(0, 1fr) minmax(0, 1fr)'};
  gap: ${space.xl};
  > section {
    display: grid;
    gap: ${space.m};
    align-content: start;
  }
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const EmptyBox = styled.div`
  display: grid;
  gap: ${space.s};
  justify-items: start;
  padding: ${space.l};
  border: 2px dashed ${colour.line};
  border-radius: 10px;
`;

/** A place with nothing in it yet: what it is for, and the way to fill it. */
export function Empty({
  title,
  isPage = false,
  children,
}: {
  title: string;
  /** true where this is all that the page shows */
  isPage?: boolean;
  children: React.ReactNode;
}) {
  return (
    <EmptyBox>
      <Subtitle as={isPage ? 'h1' : 'h2'}>{title}</Subtitle>
      {children}
    </EmptyBox>
  );
}

/** While a query runs, and when it has failed for good. */
export function Waiting({ error, onRetry }: { error?: Error | null; onRetry?: () => void }) {
  if (!error) {
    return (
      <Page>
        <Soft role="status">{commonWords.fetchingFromTheKitchen}</Soft>
      </Page>
    );
  }
  return (
    <Page>
      <Empty title={commonWords.thatCouldNotBeFetched} isPage>
        <Soft>{error.message}</Soft>
        {onRetry && <Button onPress={onRetry}>{commonWords.tryAgain}</Button>}
      </Empty>
    </Page>
  );
}
