import { DEFAULT_LIMITS, type KeepingLimits } from '../../contract';
import type { KitchenLogRow, KitchenRow } from '../storage';

/**
 * The kitchen's limits as they were at a moment: what is changed today moves no line of yesterday.
 *
 * @param changes what changed them, by hand or by a kitchen's file, with what stood before; any order
 */
export function limitsAt(
  { limits }: Pick<KitchenRow, 'limits'>,
  changes: readonly Pick<KitchenLogRow, 'type' | 'actedAtMs' | 'before'>[],
): (atMs: number) => KeepingLimits {
  const inTime = [...changes].sort((a, b) => a.actedAtMs - b.actedAtMs);
  return (atMs) => {
    const next = inTime.find((one) => one.actedAtMs > atMs);
    if (!next) return limits;
    const before = next.type === 'import' ? (next.before as { limits: KeepingLimits }).limits : next.before;
    return { ...DEFAULT_LIMITS, ...(before as Partial<KeepingLimits>) };
  };
}
