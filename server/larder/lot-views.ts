import type { LotView } from '../../contract';
import { kitchenView } from '../routes/kitchen-store';
import type { ServerContext } from '../server-context';
import { larderNow } from './larder-store';
import { lotView } from './lot-view';

/** Every lot there ever was, as the screens show it, the first born first; whoever lists a shelf leaves out the empty. */
export async function lotViews(context: Pick<ServerContext, 'db' | 'clock'>): Promise<LotView[]> {
  const [{ larder, numbers }, kitchen] = await Promise.all([larderNow(context), kitchenView(context)]);
  const nowMs = context.clock.nowMs();
  return [...larder.lots.values()].map((lot) =>
    lotView(lot, { larder, number: numbers.get(lot.lotId) ?? 0, kitchen, nowMs }),
  );
}
