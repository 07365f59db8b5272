import { afterEach, describe, expect, it } from 'vitest';
import { startBatch } from '../batches/start-batch';
import { submitEvent } from '../batches/submit-event';
import { clockJumps, type Storage } from '../storage';
import { commandKitchen, OPENS_AT_MS } from '../testing/command-kitchen';
import { said } from '../testing/say';
import { openKitchenClock } from './kitchen-clock';
import { steadyTime } from './steady-time';

/** The machine's clocks as a test turns them: time goes by on both, or one of them is set. */
function machine(wallMs = OPENS_AT_MS) {
  let wall = wallMs;
  let monotonic = 5000;
  return {
    wall: () => wall,
    monotonic: () => monotonic,
    pass(ms: number) {
      wall += ms;
      monotonic += ms;
    },
    set(byMs: number) {
      wall += byMs;
    },
  };
}

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

describe('real time on a machine whose clock is set', () => {
  it('goes on as ever where it is set back, and jumps where it is set forward or slept', () => {
    const clocks = machine();
    const time = steadyTime(clocks);
    const from = time.nowMs();
    clocks.pass(MINUTE);
    expect(time.nowMs() - from).toBe(MINUTE);
    clocks.set(-3 * HOUR);
    expect(time.nowMs() - from).toBe(MINUTE);
    clocks.pass(MINUTE);
    expect(time.nowMs() - from).toBe(2 * MINUTE);
    expect(time.takeJumps()).toEqual([{ byMs: -3 * HOUR }]);
    clocks.set(4 * HOUR);
    expect(time.nowMs()).toBe(clocks.wall());
    expect(time.takeJumps()).toEqual([{ byMs: 4 * HOUR }]);
    expect(time.takeJumps()).toEqual([]);
  });
  it('a second or two ahead it goes slower until they agree, and is never less than before', () => {
    const clocks = machine();
    const time = steadyTime(clocks);
    clocks.pass(1000);
    time.nowMs();
    clocks.set(-2000);
    let last = time.nowMs();
    for (let s = 0; s < 30; s++) {
      clocks.pass(1000);
      const now = time.nowMs();
      expect(now).toBeGreaterThanOrEqual(last);
      last = now;
    }
    expect(last).toBe(clocks.wall());
    expect(time.takeJumps()).toEqual([]);
  });
});

describe('the kitchen’s clock', () => {
  const made: ReturnType<typeof commandKitchen>[] = [];
  afterEach(() => {
    for (const kitchen of made.splice(0)) kitchen.remove();
  });
  const small = (atMs = OPENS_AT_MS) => {
    const kitchen = commandKitchen({ atMs });
    made.push(kitchen);
    return kitchen;
  };
  const opened = (storage: Storage, clocks = machine()) => ({
    clocks,
    clock: openKitchenClock(storage, clocks),
  });

  it('a jump is noticed, written down and told of for a day; what happened before it stays where it was', () => {
    const { storage } = small();
    const { clock, clocks } = opened(storage);
    clocks.pass(10 * MINUTE);
    const before = clock.nowMs();
    clocks.set(-2 * HOUR);
    expect(clock.noteJumps()).toBe(true);
    expect(clock.noteJumps()).toBe(false);
    clocks.pass(MINUTE);
    expect(clock.nowMs()).toBe(before + MINUTE);
    expect(clock.agoMs(5 * MINUTE)).toBe(before - 4 * MINUTE);
    expect(clockJumps(storage.db, 5).map((one) => one.jumpMs)).toEqual([-2 * HOUR]);
    expect(clock.notices()).toEqual([{ code: 'clockJumped', jumpMs: -2 * HOUR, atMs: before }]);
    clocks.pass(25 * HOUR);
    expect(clock.notices()).toEqual([]);
  });
  it('a jump of a few seconds is written down and worth no word', () => {
    const { storage } = small();
    const { clock, clocks } = opened(storage);
    clocks.set(20_000);
    expect(clock.noteJumps()).toBe(true);
    expect(clock.notices()).toEqual([]);
  });
  it('started again with the wall clock behind what was received, it goes on from there, and says so', () => {
    let kitchen = small();
    const id = '018f0000-0000-7000-8000-0000000c10c1';
    startBatch(kitchen, {
      id,
      recipeId: 'broth',
      portions: 10,
      portionMl: 250,
      saltPercent: 0.8,
      band: 2,
      serviceAtMs: kitchen.clock.nowMs() + 3 * HOUR,
      potId: 'pot',
      burnerId: 'ring',
      overrideReason: 'x',
    });
    kitchen.pass(HOUR);
    submitEvent(kitchen, id, said('heatSet', { fraction: 0.5 }));
    const received = kitchen.clock.nowMs();
    const { folder } = kitchen;
    kitchen.close();
    kitchen = commandKitchen({ folder, atMs: OPENS_AT_MS - 5 * HOUR });
    made[0] = kitchen;
    expect(kitchen.clock.nowMs()).toBe(received);
    kitchen.pass(MINUTE);
    expect(kitchen.clock.nowMs()).toBe(received + MINUTE);
    expect(kitchen.clock.notices()).toEqual([{ code: 'clockJumped', jumpMs: -6 * HOUR, atMs: received }]);
    // and what is said next comes after what was said last
    const { event } = submitEvent(kitchen, id, said('lidSet', { lid: 'on' }));
    expect(event.actedAtMs).toBeGreaterThan(received);
  });
  it('a change of the demo’s clock said twice is one change; something else under its id is refused', () => {
    const { clock, clocks } = opened(small().storage);
    const before = clock.view();
    expect(() => clock.change({ change: 'speed', speed: 10 })).toThrow(/own speed/);
    expect(clock.view()).toEqual({ ...before, serverNowMs: clocks.wall() });
    const id = '018f0000-0000-7000-8000-0000000c10c2';
    clock.change({ id, change: 'real' });
    clocks.pass(MINUTE);
    const once = clock.view();
    expect(clock.change({ id, change: 'real' })).toEqual(once);
    expect(() => clock.change({ id, change: 'nextMorning' })).toThrow(/is here already/);
  });
});
