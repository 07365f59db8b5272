import { type IncomingHttpHeaders, request } from 'node:http';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LiveMessage } from '../../contract';
import { seed } from '../../demo/seed';
import { chowderOrder, said } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { createLiveStream } from './live-stream';

/** A browser's end of the stream: what it is sent, whole. */
function reader() {
  const sent: string[] = [];
  const response = {
    writableLength: 0,
    isDestroyed: false,
    set: vi.fn(),
    flushHeaders: vi.fn(),
    write: (text: string) => sent.push(text),
    end: vi.fn(),
    destroy() {
      response.isDestroyed = true;
    },
  };
  const request = { on: vi.fn() };
  const messages = () =>
    sent
      .join('')
      .split('\n\n')
      .flatMap((frame) => {
        const data = /^data: (.*)$/m.exec(frame)?.[1];
        const id = /^id: (.*)$/m.exec(frame)?.[1] ?? null;
        return data ? [{ id, message: JSON.parse(data) as LiveMessage }] : [];
      });
  return { request: request as never, response: response as never, own: response, messages };
}
const note = (n: number): LiveMessage => ({ kind: 'lots', lotIds: [`lot ${n}`] });

describe('the stream', () => {
  let stream: ReturnType<typeof createLiveStream>;
  afterEach(() => stream.close());
  const opened = (after?: string) => {
    const one = reader();
    stream.open(one.request, one.response, after);
    return one;
  };

  it('tells who comes back what was said since, once, in order; then where it stands', () => {
    stream = createLiveStream('b1');
    const before = stream.position();
    for (let n = 0; n < 5; n++) stream.publish(note(n));
    const { messages } = opened(before);
    stream.publish(note(5));
    expect(messages().map((one) => one.message)).toEqual([
      { kind: 'build', id: 'b1' },
      ...[0, 1, 2, 3, 4].map(note),
      { kind: 'here' },
      note(5),
    ]);
    expect(messages().at(-1)!.id).toBe(stream.position());
    expect(
      opened(stream.position())
        .messages()
        .map((one) => one.message.kind),
    ).toEqual(['build', 'here']);
  });
  it('who missed more than is kept, or comes from another run, is told to ask for everything again: never a silent end', () => {
    stream = createLiveStream('b1');
    const before = stream.position();
    for (let n = 0; n < 2000; n++) stream.publish(note(n));
    expect(opened(before).messages()).toHaveLength(2002);
    stream.publish(note(2000));
    for (const after of [before, 'another-run:3', 'nonsense', `${stream.position()}0`, ':', ''])
      expect([
        after,
        opened(after)
          .messages()
          .map((one) => one.message.kind),
      ]).toEqual([after, ['build', 'resync', 'here']]);
  });
  it('a value that passes carries no place and is not told again', () => {
    stream = createLiveStream('b1');
    const here = opened();
    const before = stream.position();
    stream.publish({ kind: 'device', device: {} } as never);
    expect(here.messages().at(-1)).toMatchObject({ id: null, message: { kind: 'device' } });
    expect(stream.position()).toBe(before);
    expect(
      opened(before)
        .messages()
        .map((one) => one.message.kind),
    ).toEqual(['build', 'here']);
  });
  it('a reader that takes nothing is dropped, the others hear on', () => {
    stream = createLiveStream('b1');
    const slow = opened();
    const good = opened();
    slow.own.writableLength = 2_000_000;
    stream.publish(note(1));
    expect([slow.own.isDestroyed, stream.readers()]).toEqual([true, 1]);
    expect(good.messages().at(-1)!.message).toEqual(note(1));
  });
});

describe('an answer of the API', () => {
  const kitchenServer = testKitchen(seed);
  const { ask } = kitchenServer;
  it('knows its place in the stream, is asked for again before it is used, and is not sent again where it is the same', async () => {
    await kitchenServer.start();
    // as a browser asks: `fetch` of Node says of itself that it wants nothing kept
    const get = (path: string, headers = {}) =>
      new Promise<{ status: number; headers: IncomingHttpHeaders; text: string }>((resolve, reject) =>
        request(`${kitchenServer.address()}/api${path}`, { headers }, async (answer) => {
          const text = (await answer.toArray()).join('');
          resolve({ status: answer.statusCode!, headers: answer.headers, text });
        })
          .on('error', reject)
          .end(),
      );
    const kitchen = (await ask('GET', '/kitchen')).json;
    const batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
    for (const path of ['/lots', '/batches', '/recipes', `/batches/${batch.id}`]) {
      const first = await get(path);
      expect(first.headers['cache-control']).toBe('private, no-cache');
      const tag = first.headers.etag!;
      const same = await get(path, { 'If-None-Match': tag });
      expect([path, same.status, same.text]).toEqual([path, 304, '']);
    }
    const before = await get(`/batches/${batch.id}`);
    const position = before.headers['slow-pot-position'];
    await ask('POST', `/batches/${batch.id}/events`, said('note', { text: 'said in between' }));
    const changed = await get(`/batches/${batch.id}`, { 'If-None-Match': before.headers.etag! });
    expect(changed.status).toBe(200);
    const stop = new AbortController();
    const stream = await fetch(`${kitchenServer.address()}/api/live?after=${position}`, {
      signal: stop.signal,
    });
    const chunks = stream.body!.getReader();
    let text = '';
    while (!text.includes('"here"')) text += new TextDecoder().decode((await chunks.read()).value);
    stop.abort();
    expect(text).toContain('said in between');
    await kitchenServer.remove();
  });
});
