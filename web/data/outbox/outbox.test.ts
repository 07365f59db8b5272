import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BatchCommand } from '../../../core/rules';
// loaded before the clock is stood in for: its dates would stay made of the false one, for the test files after this
import '@date-fns/tz';

/**
 * The outbox against a server that answers, is away, stumbles, or says no. The network, the clock and the locks between
 * tabs are stood in for; what is kept is kept in an IndexedDB. Each load of the module is a tab of its own.
 */
interface Sent {
  id: string;
  type: string;
  v: number;
  ageMs: number;
  confirmed?: boolean;
  payload: { text?: string };
}
type Reply = (body: Sent) => Response | Promise<Response>;

let sent: Sent[] = [];
let reply: Reply;
let oldStore: string | null = null;

const kept: Reply = (body) => Response.json({ ...body, seq: sent.length }, { status: 201 });
const away: Reply = () => Promise.reject(new TypeError('no line'));
const problem =
  (status: number, code?: string): Reply =>
  () =>
    Response.json(
      {
        title: 'That cannot be',
        detail: 'no',
        status,
        errors: [{ field: 'payload.value', sentence: 'Too deep.', ...(code ? { code } : {}) }],
      },
      { status, headers: { 'Content-Type': 'application/problem+json' } },
    );
const no = problem(422);
const stumbles = problem(500);
const anotherPage: Reply = () => new Response('<h1>Sign in to this network</h1>', { status: 403 });

const note = (text: string): BatchCommand => ({ type: 'note', payload: { text } });
const depth = (value: number): BatchCommand => ({ type: 'reading', payload: { kind: 'depth', value } });

type Tab = typeof import('./outbox');
const tab = async (): Promise<Tab> => {
  vi.resetModules();
  return import('./outbox');
};
/** What the store does in its own turns is done. */
const settled = async () => {
  for (let i = 0; i < 60; i++) await new Promise((resolve) => setImmediate(resolve));
};
const waitingIn = async () => {
  const { openOutboxStore } = await import('./outbox-store');
  return (await openOutboxStore()).all();
};
const after = async (ms: number) => {
  vi.advanceTimersByTime(ms);
  await settled();
};

/** One holder at a time, the next when it is done: as a browser has it. */
function locks() {
  let last: Promise<unknown> = Promise.resolve();
  return {
    request: (_name: string, work: () => Promise<void>) => {
      const turn = last.then(work);
      last = turn.catch(() => undefined);
      return turn;
    },
  };
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date', 'setTimeout', 'clearTimeout', 'performance'] });
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('navigator', { locks: locks() });
  sent = [];
  reply = kept;
  oldStore = null;
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => (key === 'slow-pot-outbox' ? oldStore : null),
    setItem: () => {},
    removeItem: (key: string) => {
      if (key === 'slow-pot-outbox') oldStore = null;
    },
  });
  vi.stubGlobal('fetch', async (_path: string, init: { body: string }) => {
    const body = JSON.parse(init.body) as Sent;
    const answer = await reply(body);
    sent.push(body);
    return answer;
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the outbox', () => {
  it('sends what was said, in order, and keeps nothing that was taken', async () => {
    const { submitEvents } = await tab();
    expect(await submitEvents('b', [note('one'), note('two')])).toEqual({ kind: 'kept' });
    expect(sent.map((one) => one.payload.text)).toEqual(['one', 'two']);
    expect(new Set(sent.map((one) => one.id)).size).toBe(2);
    expect(await waitingIn()).toEqual([]);
  });
  it('what is said of the larder goes to the larder, held against its own words first', async () => {
    const paths: string[] = [];
    vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
      paths.push(path);
      return kept(JSON.parse(init.body));
    });
    const { LARDER, submitEvents } = await tab();
    const moved = { type: 'moved', payload: { lotId: 'a', place: 'shelf 2' } } as const;
    expect(await submitEvents(LARDER, [moved])).toEqual({ kind: 'kept' });
    expect(paths).toEqual(['/api/larder/events']);
    const wrong = { ...moved, payload: { lotId: 'a', place: '' } };
    expect(await submitEvents(LARDER, [wrong])).toMatchObject({
      kind: 'refused',
      errors: [{ sentence: 'The place is missing.' }],
    });
    expect(paths).toHaveLength(1);
  });
  it('keeps what cannot be sent, through a reload, with its age, and sends it once', async () => {
    reply = away;
    const before = await tab();
    expect(await before.submitEvents('b', [note('while away')])).toEqual({ kind: 'waiting' });
    expect(await waitingIn()).toHaveLength(1);
    await after(90_000);
    sent = [];
    reply = kept;
    const next = await tab();
    await Promise.all([next.flush(), before.flush()]);
    await next.flush();
    expect(sent).toHaveLength(1);
    expect(sent[0]!.ageMs).toBeGreaterThanOrEqual(90_000);
    expect(await waitingIn()).toEqual([]);
  });
  it('a clock set back meanwhile does not make it younger than it is', async () => {
    reply = away;
    const { submitEvents, flush } = await tab();
    await submitEvents('b', [note('before')]);
    vi.advanceTimersByTime(60_000);
    vi.setSystemTime(Date.now() - 3_600_000);
    sent = [];
    reply = kept;
    await flush();
    expect(sent[0]!.ageMs).toBeGreaterThanOrEqual(60_000);
    expect(sent[0]!.ageMs).toBeLessThan(62_000);
  });
  it('tries again by itself, with growing pauses, and at once when the line is back', async () => {
    reply = away;
    const { submitEvents, tryNow } = await tab();
    const triesIn = async (ms: number) => {
      let tries = 0;
      reply = (body) => {
        tries += 1;
        return away(body);
      };
      for (let gone = 0; gone < ms; gone += 500) await after(500);
      return tries;
    };
    await submitEvents('b', [note('soon')]);
    const early = await triesIn(20_000);
    const late = await triesIn(20_000);
    expect(early).toBeGreaterThanOrEqual(3);
    expect(late).toBeLessThan(early);
    reply = kept;
    await tryNow();
    expect(await waitingIn()).toEqual([]);
  });
  it('what the server stumbles over stays, holds up no other batch, and is sent when it can be', async () => {
    reply = (body) => (body.payload.text === 'poison' ? stumbles(body) : kept(body));
    const { submitEvents, tryNow } = await tab();
    expect(await submitEvents('a', [note('poison')])).toEqual({ kind: 'waiting' });
    expect(await submitEvents('a', [note('after it')])).toEqual({ kind: 'waiting' });
    expect(await submitEvents('b', [note('elsewhere')])).toEqual({ kind: 'kept' });
    const left = await waitingIn();
    expect(left.map((one) => [one.batchId, one.refused])).toEqual([
      ['a', null],
      ['a', null],
    ]);
    sent = [];
    reply = kept;
    await tryNow();
    expect(sent.map((one) => one.payload.text)).toEqual(['poison', 'after it']);
  });
  it('an answer that is not the kitchen’s is none: nothing is lost to a sign-in page', async () => {
    reply = anotherPage;
    const { submitEvents } = await tab();
    expect(await submitEvents('b', [note('in a hotel')])).toEqual({ kind: 'waiting' });
    expect((await waitingIn())[0]!.refused).toBeNull();
  });
  it('asked to wait, it waits', async () => {
    reply = problem(429);
    const { submitEvents } = await tab();
    expect(await submitEvents('b', [note('one of many')])).toEqual({ kind: 'waiting' });
    reply = kept;
    await after(5000);
    expect(await waitingIn()).toEqual([]);
  });
  it('gives a refusal back to the form, with what was said in the same go', async () => {
    reply = (body) => (body.type === 'reading' ? no(body) : kept(body));
    const { submitEvents } = await tab();
    const answer = await submitEvents('b', [depth(45), note('never sent')]);
    expect(answer).toEqual({ kind: 'refused', errors: [{ field: 'payload.value', sentence: 'Too deep.' }] });
    expect(sent.map((one) => one.type)).toEqual(['reading']);
    expect(await waitingIn()).toEqual([]);
  });
  it('a refusal that comes later waits in the tray; others said in the same second are sent', async () => {
    reply = away;
    const { submitEvents, flush, dismiss } = await tab();
    await submitEvents('b', [depth(45), note('with it')]);
    await submitEvents('b', [note('of its own')]);
    reply = (body) => (body.type === 'reading' ? no(body) : kept(body));
    await flush();
    const [left, ...more] = await waitingIn();
    expect(more).toEqual([]);
    expect(left!.refused![0]!.sentence).toBe('Too deep.');
    expect(sent.map((one) => one.payload.text).filter(Boolean)).toEqual(['of its own']);
    await dismiss(left!.id);
    expect(await waitingIn()).toEqual([]);
  });
  it('what is refused for its age can be confirmed, or said anew as of now', async () => {
    reply = away;
    const { submitEvents, flush, sayAgain } = await tab();
    await submitEvents('a', [note('long ago')]);
    await submitEvents('b', [note('a minute ago')]);
    await after(50 * 3_600_000);
    reply = (body) => (body.confirmed || body.ageMs < 1000 ? kept(body) : problem(422, 'longAgo')(body));
    await flush();
    const [one, two] = await waitingIn();
    sent = [];
    await sayAgain(one!.id, 'longAgo');
    await sayAgain(two!.id, 'justNow');
    expect(sent.map((body) => [body.payload.text, body.confirmed ?? false, body.ageMs > 1000])).toEqual([
      ['long ago', true, true],
      ['a minute ago', false, false],
    ]);
    expect(await waitingIn()).toEqual([]);
  });
  it('does not even send what has the wrong form, or what the rules are against', async () => {
    const { setDecider, submitEvents } = await tab();
    expect(await submitEvents('b', [depth(-3)])).toMatchObject({ kind: 'refused' });
    const asked: unknown[] = [];
    setDecider((batchId, bodies, waiting) => {
      asked.push([batchId, bodies.length, waiting.length]);
      return [{ field: 'payload.value', sentence: 'It brims at 9 L.' }];
    });
    expect(await submitEvents('b', [depth(30)])).toMatchObject({
      kind: 'refused',
      errors: [{ sentence: 'It brims at 9 L.' }],
    });
    expect(asked).toEqual([['b', 1, 0]]);
    expect(sent).toEqual([]);
    expect(await waitingIn()).toEqual([]);
  });
});

describe('two tabs of one browser', () => {
  it('have one queue: what either says is sent once, by one of them, in the order it was said', async () => {
    reply = away;
    const one = await tab();
    const two = await tab();
    for (let i = 0; i < 10; i++) await (i % 2 ? one : two).submitEvents('b', [note(`${i}`)]);
    sent = [];
    reply = kept;
    await Promise.all([one.flush(), two.flush(), one.flush()]);
    expect(sent.map((body) => body.payload.text)).toEqual(Array.from({ length: 10 }, (_, i) => `${i}`));
    expect(await waitingIn()).toEqual([]);
  });
  it('and neither swallows what the other says while it sends', async () => {
    const one = await tab();
    const two = await tab();
    await Promise.all(
      Array.from({ length: 20 }, (_, i) => (i % 2 ? one : two).submitEvents('b', [note(`${i}`)])),
    );
    expect(new Set(sent.map((body) => body.id)).size).toBe(20);
    expect(sent).toHaveLength(20);
    expect(await waitingIn()).toEqual([]);
  });
  it('without locks between them each event is still one event', async () => {
    vi.stubGlobal('navigator', {});
    reply = away;
    const one = await tab();
    await one.submitEvents('b', [note('x'), note('y')]);
    const two = await tab();
    sent = [];
    reply = kept;
    await Promise.all([one.flush(), two.flush()]);
    expect(new Set(sent.map((body) => body.id)).size).toBe(2);
    expect(await waitingIn()).toEqual([]);
  });
});

describe('what waited in an older Slow Pot', () => {
  const old = {
    id: '018f0000-0000-7000-8000-0000000000aa',
    batchId: 'b',
    body: { type: 'putBy', v: 1, payload: { lotId: 'x', despite: 'late' } },
    actedBrowserMs: Date.UTC(2026, 10, 26),
    group: 7,
    refused: null,
  };
  it('is sent in its own words, once, and its store is emptied', async () => {
    oldStore = JSON.stringify([old]);
    const { flush } = await tab();
    await flush();
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({ id: old.id, type: 'putBy', v: 1, payload: old.body.payload });
    expect(oldStore).toBeNull();
    await (await tab()).flush();
    expect(sent).toHaveLength(1);
  });
  it('a store that cannot be read is an empty one', async () => {
    oldStore = '{half';
    const { submitEvents } = await tab();
    expect(await submitEvents('b', [note('fresh')])).toEqual({ kind: 'kept' });
  });
});
