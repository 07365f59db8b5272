import { Page } from '../components/page';
import { Title } from '../components/text';
import { larderWords } from '../words';
import { Foods } from './larder-parts/foods';
import { LarderNav } from './larder-parts/larder-nav';

/** The table of foods with the kitchen's prices and labels. */
export function LarderFoods() {
  return (
    <Page>
      <LarderNav />
      <Title>{larderWords.foodsAndPrices}</Title>
      <Foods />
    </Page>
  );
}
