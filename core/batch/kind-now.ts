import type { PlanInput } from '../plan';
import { kindOf, kindsOf, type PortionKind } from '../portions';
import type { ServiceState } from './batch-state';

/** A kind as it is served now: in the size that was set last, and so many covers of it. */
export function kindNow(
  input: Pick<PlanInput, 'portions' | 'portionMl' | 'kinds'>,
  service: Pick<ServiceState, 'sizes' | 'covers'>,
  kindId?: string,
): PortionKind {
  return nowOf(kindOf(input, kindId), service);
}

/** Every kind of the order as it is served now. */
export function kindsNow(
  input: Pick<PlanInput, 'portions' | 'portionMl' | 'kinds'>,
  service: Pick<ServiceState, 'sizes' | 'covers'>,
): PortionKind[] {
  return kindsOf(input).map((kind) => nowOf(kind, service));
}

function nowOf(kind: PortionKind, { sizes, covers }: Pick<ServiceState, 'sizes' | 'covers'>): PortionKind {
  return { ...kind, ml: sizes[kind.id] ?? kind.ml, count: covers[kind.id] ?? kind.count };
}

/** What really leaves the pot for a portion, mL: as its ladles have shown, where they have. */
export function trueMl({ ladle }: Pick<PlanInput, 'ladle'>, { ml }: Pick<PortionKind, 'ml'>): number {
  return ml * (ladle ? Math.exp(ladle.mean) : 1);
}
