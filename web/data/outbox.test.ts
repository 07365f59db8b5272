import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BatchEventBody } from '../../core/batch';
// loaded before the clock is stood in for: its dates would stay made of the false one, for the test files after this
import '@date-fns/tz';

/** The outbox against a server that answers, is away, or says no: the network is the only thing stood in for. */
type Reply = (body: { id: string; type: string }) => Response | Promise<Response>;

const store = new Map<string, string>();
let sent: { id: string; type: string; ageMs: number }[] = [];
let reply: Reply;

const kept: Reply = (body) => Response.json({ ...body, seq: sent.length }, { status: 201 });
const away: Reply = () => Promise.reject(new TypeError('no line'));
const no: Reply = () =>
  Response.json(
    {
      title: 'That cannot be',
      detail: 'no',
      status: 422,
      errors: [{ field: 'payload.value', sentence: 'Too deep.' }],
    },
    { status: 422 },
  );
const note = (text: string): BatchEventBody => ({ type: 'note', payload: { text } });

beforeEach(() => {
  vi.useFakeTimers();
  vi.resetModules();
  store.clear();
  sent = [];
  reply = kept;
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => store.get(key) ?? null,
    setItem: (key: string, value: string) => store.set(key, value),
  });
  vi.stubGlobal('fetch', async (_path: string, init: { body: string }) => {
    const body = JSON.parse(init.body);
    const answer = await reply(body);
    sent.push(body);
    return answer;
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const waitingIn = () => JSON.parse(store.get('slow-pot-outbox') ?? '[]');

describe('the outbox', () => {
  it('sends what was said, in order, and keeps nothing that was taken', async () => {
    const { submitEvents } = await import('./outbox');
    expect(await submitEvents('b', [note('one'), note('two')])).toEqual({ kind: 'kept' });
    expect(sent.map((one) => one.type)).toEqual(['note', 'note']);
    expect(new Set(sent.map((one) => one.id)).size).toBe(2);
    expect(waitingIn()).toEqual([]);
  });
  it('what is said of the larder goes to the larder, held against its own words first', async () => {
    const paths: string[] = [];
    vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
      paths.push(path);
      return kept(JSON.parse(init.body));
    });
    const { LARDER, submitEvents } = await import('./outbox');
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
    const before = await import('./outbox');
    expect(await before.submitEvents('b', [note('while away')])).toEqual({ kind: 'waiting' });
    expect(waitingIn()).toHaveLength(1);
    vi.resetModules();
    await vi.advanceTimersByTimeAsync(90_000);
    sent = [];
    reply = kept;
    const after = await import('./outbox');
    await after.flush();
    await after.flush();
    expect(sent).toHaveLength(1);
    expect(sent[0]!.ageMs).toBeGreaterThanOrEqual(90_000);
    expect(waitingIn()).toEqual([]);
  });
  it('tries again by itself when the line is back', async () => {
    reply = away;
    const { submitEvents } = await import('./outbox');
    await submitEvents('b', [note('soon')]);
    reply = kept;
    await vi.advanceTimersByTimeAsync(2000);
    expect(waitingIn()).toEqual([]);
  });
  it('gives a refusal back to the form, with what was said in the same go', async () => {
    reply = (body) => (body.type === 'reading' ? no(body) : kept(body));
    const { submitEvents } = await import('./outbox');
    const answer = await submitEvents('b', [
      { type: 'reading', payload: { kind: 'depth', value: 45 } },
      note('never sent'),
    ]);
    expect(answer).toEqual({ kind: 'refused', errors: [{ field: 'payload.value', sentence: 'Too deep.' }] });
    expect(sent.map((one) => one.type)).toEqual(['reading']);
    expect(waitingIn()).toEqual([]);
  });
  it('a refusal that comes later waits in the tray and does not hold up the rest', async () => {
    reply = away;
    const { submitEvents, flush, dismiss } = await import('./outbox');
    await submitEvents('b', [{ type: 'reading', payload: { kind: 'depth', value: 45 } }]);
    await vi.advanceTimersByTimeAsync(10);
    await submitEvents('b', [note('after it')]);
    reply = (body) => (body.type === 'reading' ? no(body) : kept(body));
    await flush();
    expect(waitingIn()).toHaveLength(1);
    expect(waitingIn()[0].refused[0].sentence).toBe('Too deep.');
    expect(sent.at(-1)!.type).toBe('note');
    dismiss(waitingIn()[0].id);
    expect(waitingIn()).toEqual([]);
  });
  it('does not even send what has the wrong form', async () => {
    const { submitEvents } = await import('./outbox');
    const answer = await submitEvents('b', [
      { type: 'reading', payload: { kind: 'depth', value: -3 } },
    ]);
    expect(answer).toMatchObject({ kind: 'refused' });
    expect(sent).toEqual([]);
  });
  it('a store that cannot be read is an empty outbox', async () => {
    store.set('slow-pot-outbox', '{half');
    const { submitEvents } = await import('./outbox');
    expect(await submitEvents('b', [note('fresh')])).toEqual({ kind: 'kept' });
  });
});
