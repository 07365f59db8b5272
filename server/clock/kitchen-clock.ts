import { desc } from 'drizzle-orm';
import { type ClockChange, type ClockView, kitchenTimeMs, zonedTimeMs } from '../../contract';
import { ProblemError } from '../problem';
import type { Database } from '../storage/open-database';
import { clockSegments, kitchens } from '../storage/schema';

type Segment = Pick<ClockView, 'mode' | 'speed' | 'kitchenFromMs' | 'realFromMs'>;

/** A working morning starts at this time in the kitchen's zone. */
const MORNING = '07:15';

/** The kitchen's clock: the demo's own, at a speed, or real time. It never runs back. */
export interface KitchenClock {
  nowMs(): number;
  /** kitchen time so many real milliseconds ago */
  agoMs(realAgeMs: number): number;
  view(): ClockView;
  change(change: ClockChange): Promise<ClockView>;
}

/** Reads the clock from its last segment; real time if it was never set. `realNow` is passed in by tests. */
export async function openKitchenClock(
  db: Database,
  realNow: () => number = Date.now,
): Promise<KitchenClock> {
  const [last] = await db.select().from(clockSegments).orderBy(desc(clockSegments.id)).limit(1);
  const [kitchen] = await db.select().from(kitchens).limit(1);
  let segment: Segment = last ?? realTime(realNow());

  const at = (realMs: number) => kitchenTimeMs(segment, realMs);
  const view = (): ClockView => ({ ...segment, serverNowMs: realNow() });

  async function change(wanted: ClockChange): Promise<ClockView> {
    const real = realNow();
    const now = at(real);
    let next: Segment;
    if (wanted.change === 'speed') {
      if (segment.mode === 'real') throw refusal('Real time runs at its own speed.');
      next = { mode: 'demo', speed: wanted.speed, kitchenFromMs: now, realFromMs: real };
    } else if (wanted.change === 'nextMorning') {
      if (segment.mode === 'real') throw refusal('Real time cannot be moved to another morning.');
      const morning = zonedTimeMs(MORNING, kitchen?.zone ?? 'UTC', now, 1);
      next = { mode: 'demo', speed: segment.speed, kitchenFromMs: morning, realFromMs: real };
    } else {
      if (real < now)
        throw refusal('The demo’s clock is ahead of real time, and a clock here never runs back.');
      next = realTime(real);
    }
    await db.insert(clockSegments).values(next);
    segment = next;
    return view();
  }

  return {
    nowMs: () => Math.round(at(realNow())),
    agoMs: (age) => Math.round(at(realNow() - age)),
    view,
    change,
  };
}

function realTime(realMs: number): Segment {
  return { mode: 'real', speed: 1, kitchenFromMs: realMs, realFromMs: realMs };
}

function refusal(sentence: string): ProblemError {
  return new ProblemError(409, 'The clock stays as it is', [{ field: 'change', sentence }]);
}
