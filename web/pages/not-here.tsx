import { Link } from 'react-router';
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

/** When a place itself fails: nothing that was said is lost, it is in the log or on this device. */
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
