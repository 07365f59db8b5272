import styled from 'styled-components';
import { type KitchenNotice, type KitchenView, span } from '../../contract';
import { loadNow, useNewBuild } from '../data/new-build';
import { colour, media, space } from '../theme/tokens';
import { commonWords, hourMinute } from '../words';
import { Button } from './button';

const Strip = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.s} ${space.m};
  padding: ${space.s} 28px;
  background: ${colour.hollow};
  border-bottom: 2px solid ${colour.lookIn};
  ${media.narrow} {
    padding: ${space.s} ${space.m};
  }
  ${media.paper} {
    display: none;
  }
`;

/** What a person should know of the kitchen's file, its clock and the application itself. Nothing while all is well. */
export function Notices({ kitchen }: { kitchen: KitchenView | undefined }) {
  const hasNewBuild = useNewBuild();
  const notices = kitchen?.notices ?? [];
  if (notices.length === 0 && !hasNewBuild) return null;
  return (
    <Strip role="status">
      {kitchen && notices.map((notice) => <p key={keyOf(notice)}>{noticeWords(notice, kitchen.zone)}</p>)}
      {hasNewBuild && (
        <>
          <p>{commonWords.aNewerSlowPotIs}</p>
          <Button kind="quiet" onPress={loadNow}>
            {commonWords.loadItNow}
          </Button>
        </>
      )}
    </Strip>
  );
}

function keyOf(notice: KitchenNotice): string {
  return notice.code === 'clockJumped' ? `${notice.code} ${notice.atMs}` : notice.code;
}

function noticeWords(notice: KitchenNotice, zone: string): string {
  switch (notice.code) {
    case 'fileDamaged':
      return commonWords.theKitchensFileIsDamaged;
    case 'clockJumped': {
      const by = span(Math.abs(notice.jumpMs));
      return notice.jumpMs > 0
        ? commonWords.theServersClockWentOn(by, hourMinute(notice.atMs, zone))
        : commonWords.theServersClockWasSet(by, hourMinute(notice.atMs, zone));
    }
  }
}
