import { Link, useLocation, useNavigate, useRouteError } from 'react-router';
import { Button } from '../components/button';
import { Empty, Page } from '../components/page';
import { Soft } from '../components/text';
import { commonWords } from '../words';

export function NotHere() {
  return (
    <Page>
      <Empty title={commonWords.thereIsNoSuchPage} isPage>
        <Soft>{commonWords.theAddressLeadsNowhere}</Soft>
        <Link to="/">{commonWords.backToToday}</Link>
      </Empty>
    </Page>
  );
}

/**
 * A place that dies, or whose own code could not be fetched, says so inside its frame: pots, range and calls go on around
 * it.
 */
export function PlaceDied() {
  const caught = useRouteError();
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  const isUnfetched = isNotFetched(caught);
  return (
    <Page>
      <Empty title={isUnfetched ? commonWords.thisPageIsNotOn : commonWords.thisPageCannotBeShown} isPage>
        <Soft>{isUnfetched ? commonWords.itIsFetchedWhenIt : commonWords.nothingThatWasEnteredIs}</Soft>
        <Button
          kind="main"
          onPress={() =>
            isUnfetched ? void loadedAgain() : navigate(`${pathname}${search}`, { replace: true })
          }
        >
          {commonWords.tryAgain}
        </Button>
        <Link to="/">{commonWords.backToToday}</Link>
      </Empty>
    </Page>
  );
}

/** When the frame itself fails: nothing that was said is lost, it is in the log or on this device. */
export function Broken() {
  return (
    <Page>
      <Empty title={commonWords.somethingBoiledOver} isPage>
        <Soft>{commonWords.nothingThatWasEnteredIsLost}</Soft>
        <Button kind="main" onPress={() => location.reload()}>
          {commonWords.loadAgain}
        </Button>
      </Empty>
    </Page>
  );
}

/** What once could not be fetched a browser does not ask for again: the page is loaded anew, if there is a line by now. */
async function loadedAgain(): Promise<void> {
  const answer = await fetch('/api/health').catch(() => null);
  if (answer?.ok) location.reload();
}

/** A part of the application that could not be fetched: what browsers say of it differs. */
function isNotFetched(caught: unknown): boolean {
  const said = caught instanceof Error ? caught.message : '';
  return /dynamically imported module|Importing a module script failed|Load failed|NetworkError/i.test(said);
}
