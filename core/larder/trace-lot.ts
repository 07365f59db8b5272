import type { Arrow, TraceKey } from './ledger';

/** A batch or a lot on the way from or to another, and through how many hands. */
export interface TraceStep {
  kind: 'lot' | 'batch';
  id: string;
  steps: number;
  /** what went across on the way nearest to the lot asked about */
  kg: number;
  /** the step before it */
  viaId: string;
}

/** Everything a lot went into, and everything it came from, the nearest first. */
export interface LotTrace {
  into: TraceStep[];
  from: TraceStep[];
}

/**
 * Walks both ways from a lot: the batches it went into, the lots those stored, and on to the bowls; the batch or
 * delivery it came from, and the lots that went into that.
 *
 * @param arrows those that can be reached from it, in the order things happened; more do no harm
 * @param start where to begin
 */
export function traceArrows(arrows: readonly Arrow[], start: TraceKey): LotTrace {
  return { into: walk(start, arrows, 'from', 'to'), from: walk(start, arrows, 'to', 'from') };
}

/** Breadth first, each thing once, by the shortest way; what went the same way twice is added up. */
function walk(
  start: TraceKey,
  arrows: readonly Arrow[],
  near: 'from' | 'to',
  far: 'from' | 'to',
): TraceStep[] {
  const from = new Map<TraceKey, Arrow[]>();
  for (const arrow of arrows) from.set(arrow[near], [...(from.get(arrow[near]) ?? []), arrow]);
  const seen = new Map<TraceKey, TraceStep>();
  let edge: TraceKey[] = [start];
  for (let steps = 1; edge.length > 0; steps++) {
    const next: TraceKey[] = [];
    for (const arrow of edge.flatMap((key) => from.get(key) ?? [])) {
      if (arrow[far] === start) continue;
      const known = seen.get(arrow[far]);
      if (known) {
        if (known.steps === steps && known.viaId === idOf(arrow[near])) known.kg += arrow.kg;
        continue;
      }
      const kind = arrow[far].startsWith('batch ') ? 'batch' : 'lot';
      seen.set(arrow[far], { kind, id: idOf(arrow[far]), steps, kg: arrow.kg, viaId: idOf(arrow[near]) });
      next.push(arrow[far]);
    }
    edge = next;
  }
  return [...seen.values()];
}

const idOf = (key: TraceKey) => key.slice(key.indexOf(' ') + 1);
