import {
  type ClockChange,
  type ClockView,
  type KitchenNotice,
  kitchenTimeMs,
  zonedTimeMs,
} from '../../contract';
import { ProblemError } from '../problem';
import { once } from '../said-before';
import {
  type ClockSegment,
  clockJumps,
  insertClockSegment,
  kitchenRow,
  lastClockSegment,
  latestReceivedMs,
  type Storage,
} from '../storage';
import { MACHINE, type MachineClocks, steadyTime } from './steady-time';

/** A working morning starts at this time in the kitchen's zone. */
const MORNING = '07:15';
/** A jump of the machine's clock is told of for so long, and from so much on, ms. */
const TOLD_FOR_MS = 24 * 3_600_000;
const WORTH_TELLING_MS = 60_000;
/** So many settings of the clock are looked back on for what is said to have happened before the last. */
const SEGMENTS = 50;

/** The kitchen's clock: the demo's own, at a speed, or real time. It never runs back. */
export interface KitchenClock {
  /** whole ms */
  nowMs(): number;
  /** kitchen time so many real milliseconds ago */
  agoMs(realAgeMs: number): number;
  view(): ClockView;
  change(change: ClockChange): ClockView;
  /** writes down jumps of the machine's clock since it was asked last; true where there were any */
  noteJumps(): boolean;
  /** what a person should know of it */
  notices(): KitchenNotice[];
}

/**
 * Reads the clock from its last setting; real time if it was never set.
 *
 * @param machine the machine's clocks, or a test's
 */
export function openKitchenClock(storage: Storage, machine: MachineClocks = MACHINE): KitchenClock {
  const steady = steadyTime(machine);
  const segments: ClockSegment[] = [lastClockSegment(storage.db) ?? realTime(steady.nowMs())];
  let latestMs = Number.NEGATIVE_INFINITY;

  const last = () => segments.at(-1)!;
  const at = (realMs: number) =>
    kitchenTimeMs(segments.findLast((one) => one.realFromMs <= realMs) ?? segments[0]!, realMs);
  const goOn = (segment: ClockSegment) => {
    segments.push(segment);
    if (segments.length > SEGMENTS) segments.shift();
  };
  const write = (segment: ClockSegment) => storage.transact((tx) => insertClockSegment(tx, segment));

  /** Nothing is received before what was received already, whatever the machine's clock says by now. */
  const receivedMs = latestReceivedMs(storage.db);
  const realMs = steady.nowMs();
  if (at(realMs) < receivedMs) {
    const { mode, speed } = last();
    const jumpMs = Math.round((at(realMs) - receivedMs) / speed);
    const mended = { mode, speed, kitchenFromMs: receivedMs, realFromMs: Math.round(realMs), jumpMs };
    write(mended);
    goOn(mended);
  }

  function nowMs(): number {
    latestMs = Math.max(latestMs, Math.floor(at(steady.nowMs())));
    return latestMs;
  }

  function view(): ClockView {
    const { mode, speed, kitchenFromMs, realFromMs } = last();
    return { mode, speed, kitchenFromMs, realFromMs, serverNowMs: Math.round(steady.nowMs()) };
  }

  function changed({ change, speed }: { change: ClockChange['change']; speed?: number }): ClockSegment {
    const real = Math.round(steady.nowMs());
    const now = nowMs();
    const { mode, speed: before } = last();
    const demo = { mode: 'demo', realFromMs: real, jumpMs: null } as const;
    if (change === 'speed') {
      if (mode === 'real') throw refusal('Real time runs at its own speed.');
      return { ...demo, speed: speed ?? before, kitchenFromMs: now };
    }
    if (change === 'nextMorning') {
      if (mode === 'real') throw refusal('Real time cannot be moved to another morning.');
      const zone = kitchenRow(storage.db)?.zone ?? 'UTC';
      return { ...demo, speed: before, kitchenFromMs: zonedTimeMs(MORNING, zone, now, 1) };
    }
    if (real < now)
      throw refusal('The demo’s clock is ahead of real time, and a clock here never runs back.');
    return realTime(real);
  }

  return {
    nowMs,
    agoMs: (age) => Math.min(nowMs(), Math.floor(at(steady.nowMs() - age))),
    view,
    change({ id, ...content }) {
      const { answer, isNew } = storage.transact((tx) =>
        once(tx, { what: 'A change of the clock', id, content, atMs: nowMs() }, () => {
          const segment = changed(content);
          insertClockSegment(tx, segment);
          return segment;
        }),
      );
      if (isNew) goOn(answer);
      return view();
    },
    noteJumps() {
      steady.nowMs();
      const jumps = steady.takeJumps();
      for (const { byMs } of jumps) {
        const { mode, speed } = last();
        const segment = {
          mode,
          speed,
          kitchenFromMs: nowMs(),
          realFromMs: Math.round(steady.nowMs()),
          jumpMs: Math.round(byMs),
        };
        write(segment);
        goOn(segment);
      }
      return jumps.length > 0;
    },
    notices() {
      const sinceMs = nowMs() - TOLD_FOR_MS;
      return clockJumps(storage.db, 5).flatMap(({ jumpMs, kitchenFromMs: atMs }) =>
        jumpMs !== null && Math.abs(jumpMs) >= WORTH_TELLING_MS && atMs > sinceMs
          ? [{ code: 'clockJumped' as const, jumpMs, atMs }]
          : [],
      );
    },
  };
}

function realTime(realMs: number): ClockSegment {
  const atMs = Math.round(realMs);
  return { mode: 'real', speed: 1, kitchenFromMs: atMs, realFromMs: atMs, jumpMs: null };
}

function refusal(sentence: string): ProblemError {
  return new ProblemError(409, 'The clock stays as it is', [{ field: 'change', sentence }]);
}
