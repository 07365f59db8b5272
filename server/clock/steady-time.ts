/** The machine's two clocks: what it takes for the time, and what only ever goes on. */
export interface MachineClocks {
  /** ms UTC; may be set, forward or back */
  wall(): number;
  /** ms since some moment; stands still while the machine sleeps */
  monotonic(): number;
}

export const MACHINE: MachineClocks = { wall: Date.now, monotonic: () => performance.now() };

/** The machine's clock was set, or the machine slept. */
export interface Jump {
  /** ms; above 0 forward */
  byMs: number;
}

export interface SteadyTime {
  /** ms UTC as far as the machine knows it; never less than before */
  nowMs(): number;
  /** jumps since they were asked for last */
  takeJumps(): Jump[];
}

/** The wall clock moved so much more or less than time went by, between two looks: it jumped. */
const JUMP_MS = 5000;
/** Ahead of the wall clock by no more than this, time goes a tenth slower until they agree again. */
const EASED_MS = 5000;

/**
 * Real time that never runs back. What the wall clock gains at once is followed: the machine slept, or was wrong before.
 * What it loses is not: a simmer is as long as it is, whatever the clock on the wall is set to.
 */
export function steadyTime(clocks: MachineClocks): SteadyTime {
  let wallMs = clocks.wall();
  let monotonicMs = clocks.monotonic();
  let nowMs = wallMs;
  let jumps: Jump[] = [];
  return {
    nowMs() {
      const wall = clocks.wall();
      const monotonic = clocks.monotonic();
      const passedMs = Math.max(0, monotonic - monotonicMs);
      const byMs = wall - wallMs - passedMs;
      wallMs = wall;
      monotonicMs = monotonic;
      if (Math.abs(byMs) > JUMP_MS) jumps.push({ byMs });
      const aheadMs = nowMs + passedMs - wall;
      const isEased = aheadMs > 0 && aheadMs < EASED_MS;
      nowMs = Math.max(nowMs + passedMs * (isEased ? 0.9 : 1), wall);
      return nowMs;
    },
    takeJumps() {
      const taken = jumps;
      jumps = [];
      return taken;
    },
  };
}
