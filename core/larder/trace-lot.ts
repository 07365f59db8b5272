import type { Larder } from './ledger';

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

interface Arrow {
  from: string;
  to: string;
  kg: number;
}

/**
 * Walks both ways from a lot: the batches it went into, the lots those put by, and on to the bowls; the batch or
 * delivery it came from, and the lots that went into that.
 *
 * @param larder folded from the logs, so that what was taken back is not followed
 * @param lotId one that was born
 * @throws RangeError for a lot that is not there
 */
export function traceLot(larder: Larder, lotId: string): LotTrace {
  if (!larder.lots.has(lotId)) throw new RangeError(`lotId must be a lot of the larder, got ${lotId}`);
  const arrows = arrowsOf(larder);
  return { into: walk(lotId, arrows, 'from', 'to'), from: walk(lotId, arrows, 'to', 'from') };
}

const batchKey = (id: string) => `batch ${id}`;

function arrowsOf(larder: Larder): Arrow[] {
  const made = [...larder.lots.values()].flatMap((lot) =>
    lot.origin.kind === 'batch'
      ? [{ from: batchKey(lot.origin.batchId), to: lot.lotId, kg: lot.bornKg }]
      : [],
  );
  const drawn = larder.draws.map((draw) => ({ from: draw.lotId, to: batchKey(draw.batchId), kg: draw.kg }));
  const poured = larder.pours.map((pour) => ({ from: pour.fromLotId, to: pour.toLotId, kg: pour.kg }));
  return [...made, ...drawn, ...poured];
}

/** Breadth first, each thing once, by the shortest way; what went the same way twice is added up. */
function walk(start: string, arrows: readonly Arrow[], near: 'from' | 'to', far: 'from' | 'to'): TraceStep[] {
  const seen = new Map<string, TraceStep>();
  let edge = [start];
  for (let steps = 1; edge.length > 0; steps++) {
    const next: string[] = [];
    for (const arrow of arrows) {
      if (!edge.includes(arrow[near]) || arrow[far] === start) continue;
      const known = seen.get(arrow[far]);
      if (known) {
        if (known.steps === steps && known.viaId === plain(arrow[near])) known.kg += arrow.kg;
        continue;
      }
      seen.set(arrow[far], {
        kind: arrow[far].startsWith('batch ') ? 'batch' : 'lot',
        id: plain(arrow[far]),
        steps,
        kg: arrow.kg,
        viaId: plain(arrow[near]),
      });
      next.push(arrow[far]);
    }
    edge = next;
  }
  return [...seen.values()];
}

const plain = (key: string) => key.replace(/^batch /, '');
