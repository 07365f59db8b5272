import type { CDPSession, Page } from '@playwright/test';

/** One event of a browser's trace, as far as it is read here; times in microseconds. */
interface TraceEvent {
  name: string;
  ph: string;
  pid: number;
  tid: number;
  ts: number;
  dur?: number;
}

/** What a page did from one tick of its clock, or one message from the server, to the next. */
export interface Update {
  cause: 'tick' | 'message';
  scriptMs: number;
  layoutMs: number;
}

const SCRIPT = new Set([
  'EvaluateScript',
  'EventDispatch',
  'FireAnimationFrame',
  'FunctionCall',
  'RunMicrotasks',
  'TimerFire',
  'v8.callFunction',
]);
const LAYOUT = new Set(['Layout', 'UpdateLayoutTree']);
const MARK = 'update ';

/** Before the page loads: each second of its clock and each message of its stream leaves a mark in the trace. */
export async function markUpdates(page: Page): Promise<void> {
  await page.addInitScript((mark) => {
    const realInterval = window.setInterval.bind(window);
    window.setInterval = ((run: () => void, ms: number) =>
      realInterval(() => {
        if (ms === 1000) performance.mark(`${mark}tick`);
        run();
      }, ms)) as typeof window.setInterval;
    const real = Object.getOwnPropertyDescriptor(EventSource.prototype, 'onmessage')!;
    Object.defineProperty(EventSource.prototype, 'onmessage', {
      ...real,
      set(hear: (event: MessageEvent) => void) {
        real.set!.call(this, (event: MessageEvent) => {
          performance.mark(`${mark}message`);
          hear(event);
        });
      },
    });
  }, MARK);
}

/** Traces a page's main thread until the function it gives is called; that gives every update there was. */
export async function traceUpdates(browser: CDPSession): Promise<() => Promise<Update[]>> {
  const events: TraceEvent[] = [];
  browser.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await browser.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['devtools.timeline', 'blink.user_timing', 'v8'] },
  });
  return async () => {
    const done = new Promise<void>((resolve) => browser.once('Tracing.tracingComplete', () => resolve()));
    await browser.send('Tracing.end');
    await done;
    return updatesOf(events);
  };
}

/** Work is counted once, at its outermost; it belongs to the mark that is in it, else to the last one before it. */
function updatesOf(events: readonly TraceEvent[]): Update[] {
  const marks = events.filter((one) => one.name.startsWith(MARK)).sort((a, b) => a.ts - b.ts);
  const [first] = marks;
  if (!first) throw new RangeError('the trace holds no update');
  const work = events
    .filter((one) => one.pid === first.pid && one.tid === first.tid && one.ph === 'X')
    .filter((one) => SCRIPT.has(one.name) || LAYOUT.has(one.name))
    .sort((a, b) => a.ts - b.ts || (b.dur ?? 0) - (a.dur ?? 0));
  const updates = marks.map((mark) => ({
    cause: mark.name.slice(MARK.length) as Update['cause'],
    fromUs: mark.ts,
    scriptMs: 0,
    layoutMs: 0,
  }));
  let at = -1;
  let outerEndUs = 0;
  for (const { name, ts, dur = 0 } of work) {
    if (ts < outerEndUs) continue;
    outerEndUs = ts + dur;
    while (at + 1 < updates.length && updates[at + 1]!.fromUs <= ts) at += 1;
    const holds = updates[at + 1];
    const update = holds && holds.fromUs <= outerEndUs ? holds : updates[at];
    if (!update) continue;
    if (LAYOUT.has(name)) update.layoutMs += dur / 1000;
    else update.scriptMs += dur / 1000;
  }
  return updates;
}
