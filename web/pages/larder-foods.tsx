import { Page } from '../components/page';
import { Title } from '../components/text';
import { Foods } from './larder-parts/foods';
import { LarderNav } from './larder-parts/larder-nav';

/** The table of foods with the kitchen's prices and labels. */
export function LarderFoods() {
  return (
    <Page>
      <LarderNav />
      <Title>Foods and prices</Title>
      <Foods />
    </Page>
  );
}
