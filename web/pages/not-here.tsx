import { Link, useLocation, useNavigate, useRouteError } from 'react-router';
import { Button } from '../components/button';
import { Empty, Page } from '../components/page';
import { Soft } from '../components/text';

export function NotHere() {
  return (
    <Page>
      <Empty title="There is no such place" isPage>
        <Soft>The address leads nowhere in this kitchen.</Soft>
        <Link to="/">Back to today</Link>
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
      <Empty
        title={isUnfetched ? 'This place is not on the device yet' : 'This place cannot be shown'}
        isPage
      >
        <Soft>
          {isUnfetched
            ? 'It is fetched when it is first gone to, and there is no line to the kitchen’s server just now. The pots go on, and what you enter at them waits here.'
            : 'Nothing that was entered is lost, and the pots go on along the bottom.'}
        </Soft>
        <Button
          kind="main"
          onPress={() =>
            isUnfetched ? void loadedAgain() : navigate(`${pathname}${search}`, { replace: true })
          }
        >
          Try again
        </Button>
        <Link to="/">Back to today</Link>
      </Empty>
    </Page>
  );
}

/** When the frame itself fails: nothing that was said is lost, it is in the log or on this device. */
export function Broken() {
  return (
    <Page>
      <Empty title="Something boiled over" isPage>
        <Soft>Nothing that was entered is lost. Load the page again to go on.</Soft>
        <Button kind="main" onPress={() => location.reload()}>
          Load again
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
