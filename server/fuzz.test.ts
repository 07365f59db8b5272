import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView, LotDetail } from '../contract';
import { type Chance, chanceOf } from '../core/testing/chance';
import { seed } from '../demo/seed';
import { doors } from './testing/doors';
import { chowderOrder, lotsOf } from './testing/say';
import { testKitchen } from './testing/test-kitchen';

/** Anything at any door: `SLOW_POT_REQUESTS` says how many. */
const REQUESTS = Number(process.env.SLOW_POT_REQUESTS ?? 10_000);

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
beforeAll(kitchenServer.start);
afterAll(kitchenServer.remove);

/** Ids that a language knows, and what no id should be. */
const IDS = [
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  'valueOf',
  '%00',
  '%E0%A4%A',
  '%',
  '..%2f..%2fetc%2fpasswd',
  "'; DROP TABLE events; --",
  '🍲'.repeat(40),
  '1'.repeat(5000),
  '-1',
  'NaN',
  '[object Object]',
  'null',
];
const VALUES: readonly unknown[] = [
  null,
  '',
  'lots',
  -1,
  0,
  0.5,
  3,
  'trout-chowder',
  'gas-1',
  1e308,
  -1e308,
  2 ** 53,
  0.1,
  true,
  [],
  {},
  [[[[]]]],
  { a: { b: { c: {} } } },
  'x'.repeat(3000),
  { length: -1 },
  ['__proto__'],
  '\u0000',
  '2026-03-10',
  { toString: 'x' },
];

/** The same with one thing in it changed for something else, at any depth. */
function bent(value: unknown, chance: Chance): unknown {
  if (typeof value !== 'object' || value === null || chance.isOneIn(4)) return chance.pick(VALUES);
  const keys = Object.keys(value);
  if (keys.length === 0) return chance.pick(VALUES);
  const key = chance.pick(keys);
  const inside = bent(Reflect.get(value, key), chance);
  if (Array.isArray(value)) return value.map((one, i) => (String(i) === key ? inside : one));
  if (chance.isOneIn(8)) return { ...value, [chance.pick(IDS)]: inside };
  return { ...value, [key]: inside };
}

function bentPath(path: string, chance: Chance): string {
  const parts = path.split('/');
  parts[1 + chance.below(parts.length - 1)] = chance.pick(IDS);
  const query = chance.isOneIn(3)
    ? `?${chance.pick(['before', 'after', 'recipeId', 'id'])}=${chance.pick(IDS)}`
    : '';
  return parts.join('/') + query;
}

const TYPES = [
  'application/json',
  'application/json; charset=utf-16',
  'application/json; charset=nonsense',
  'text/plain',
  'application/x-ndjson',
  'multipart/form-data',
  '',
];

/** A request as it is: the address is not mended on the way, nor is the body. */
function send(of: { method: string; path: string; headers: Record<string, string>; body: string }) {
  const { port, hostname } = new URL(kitchenServer.address());
  return new Promise<{ status: number; type: string; text: string }>((resolve, reject) => {
    const asked = request(
      { hostname, port, method: of.method, path: `/api${of.path}`, headers: of.headers, timeout: 20_000 },
      (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part) => parts.push(part));
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            type: answer.headers['content-type'] ?? '',
            text: Buffer.concat(parts).toString(),
          }),
        );
      },
    );
    asked.on('timeout', () => asked.destroy(new Error(`no answer from ${of.method} ${of.path}`)));
    asked.on('error', reject);
    asked.end(of.body);
  });
}

describe('anything at any door', () => {
  it(`${REQUESTS} requests: no 5xx, each no a problem, none hangs; every view opens after`, async () => {
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const batch: BatchView = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
    const [lot] = await lotsOf(ask);
    const all = doors(batch, kitchen, lot!.id);
    const chance = chanceOf(8128);
    const count = new Map<number, number>();
    const one = async () => {
      const [method, path, sound] = chance.pick(all);
      const isSound = chance.isOneIn(5);
      const asked = chance.isOneIn(14)
        ? chance.pick(['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'])
        : method;
      const where = !isSound && chance.isOneIn(3) ? bentPath(path, chance) : path;
      const value = isSound || sound === null ? sound : bent(sound, chance);
      const text = value === null ? '' : JSON.stringify(value);
      const body = chance.isOneIn(15) ? text.slice(0, chance.below(text.length + 1)) : text;
      const headers: Record<string, string> = {
        'Content-Type': isSound ? TYPES[0]! : chance.pick([TYPES[0]!, TYPES[0]!, ...TYPES]),
      };
      if (chance.isOneIn(25))
        headers['Content-Encoding'] = chance.pick(['gzip', 'br', 'nonsense', 'deflate']);
      if (chance.isOneIn(40)) headers['If-None-Match'] = 'W/"x"';
      const hasBody = asked === 'POST' || asked === 'PUT' || asked === 'PATCH';
      const answer = await send({
        method: asked,
        path: where.replace(/[^\x21-\x7e]/g, '?'),
        headers,
        body: hasBody ? body : '',
      });
      count.set(answer.status, (count.get(answer.status) ?? 0) + 1);
      const what = `${asked} ${where} ${body.slice(0, 300)} → ${answer.status} ${answer.text.slice(0, 200)}`;
      expect(answer.status, what).toBeLessThan(500);
      if (answer.status >= 400 && !where.endsWith('/samples'))
        expect(answer.type, what).toContain('problem+json');
    };
    for (let sent = 0; sent < REQUESTS; sent += 8) await Promise.all(Array.from({ length: 8 }, one));
    for (const [status, least] of [
      [200, 0.05],
      [400, 0.2],
      [404, 0.05],
      [422, 0.01],
    ] as const)
      expect((count.get(status) ?? 0) / REQUESTS, `share of ${status}`).toBeGreaterThan(least);

    for (const [method, path] of all) {
      if (method !== 'GET' || path === '/live') continue;
      const answer = await ask('GET', path);
      expect([path, answer.status]).toEqual([path, 200]);
    }
    const { rows } = (await ask('GET', '/batches')).json as { rows: { id: string }[] };
    for (const { id } of rows) expect((await ask('GET', `/batches/${id}`)).json.broken).toBeNull();
    for (const { id } of await lotsOf(ask))
      expect(((await ask('GET', `/lots/${id}`)).json as LotDetail).lot.id).toBe(id);
  });
});
