import { useOutletContext } from 'react-router';
import type { KitchenView } from '../../contract';

/** The kitchen, known by the time any place is shown. */
export function useKitchenHere(): KitchenView {
  return useOutletContext<KitchenView>();
}
