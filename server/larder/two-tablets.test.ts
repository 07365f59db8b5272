import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { BatchView, KitchenView } from '../../contract';
import { SCALE_KG } from '../../core/larder';
import { chanceOf } from '../../core/testing/chance';
import { seed } from '../../demo/seed';
import { chowderOrder, lotsOf, said, saidOfShelf } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

/**
 * Two tablets at one shelf, each with a picture of it that is sometimes old, both pressing at the same moment. What the
 * server took is written down by hand beside it; in the end both books say the same.
 */

const { ask, start, remove } = testKitchen(seed);
beforeAll(start);
afterAll(remove);

/** So much at a time, that the pot never runs over. */
const LADLE_KG = 0.3;

interface Moves {
  out: [lotId: string, kg: number][];
  into: [lotId: string, kg: number][];
}
interface Press {
  path: string;
  body: { id: string };
  moves: Moves;
  /** entry this one takes back */
  undoes?: string;
}

it('no kilogram appears or is lost, a tub tipped out twice is to be counted, and fish is wherever fumet went', async () => {
  const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
  const order = chowderOrder(kitchen, 1, { recipeId: 'pepper-lentil-puree', portions: 12, band: 4 });
  const pot: BatchView = (await ask('POST', '/batches', { ...order, overrideReason: 'as a test' })).json;
  const { uniform, pick } = chanceOf(20_261_127);
  const ours = new Set<string>();
  const taken = new Map<string, Press>();
  const fishy = new Set<string>();

  const shelf = (type: string, payload: object, moves: Moves, undoes?: string): Press => ({
    path: '/larder/events',
    body: saidOfShelf(type, payload, { ageMs: Math.floor(uniform() * 2000) }),
    moves,
    ...(undoes ? { undoes } : {}),
  });
  const at = { place: 'walk-in', storage: 'chilled' };
  const found = (ingredientId: string, kg: number) => {
    const lotId = uuid();
    const madeAtMs = kitchen.clock.kitchenFromMs - 3_600_000;
    const payload = { lotId, ingredientId, kg, madeAtMs, note: 'counted', ...at };
    return shelf('found', payload, { out: [], into: [[lotId, kg]] });
  };

  const drawn = (lotId: string, kg: number): Press => {
    const items = [{ ingredientId: 'vegetable-stock', kg, tempC: 5, lotId }];
    const moves: Moves = { out: [[lotId, kg]], into: [] };
    return { path: `/batches/${pot.id}/events`, body: said('added', { items }), moves };
  };

  /** What a tablet that sees this shelf would press. */
  const pressOf = (seen: Map<string, number>): Press => {
    const lots = [...seen].filter(([, kg]) => kg > 0.05);
    const act = uniform();
    if (lots.length < 2 || act < 0.1)
      return found(pick(['fish-fumet', 'vegetable-stock', 'chicken-stock']), 5);
    const [lotId, kg] = pick(lots);
    // as much as a cook sees there, now and then all of it
    const some = uniform() < 0.3 ? kg : Math.round(kg * uniform() * 1000) / 1000 + 0.001;
    const out: Moves['out'] = [[lotId, some]];
    if (act < 0.3) {
      const toLotId = uuid();
      return shelf('split', { lotId, toLotId, kg: some, ...at }, { out, into: [[toLotId, some]] });
    }
    if (act < 0.45) {
      const toLotId = uuid();
      const [otherId, otherKg] = pick(lots.filter(([id]) => id !== lotId));
      const parts = [
        { lotId, kg: some },
        { lotId: otherId, kg: otherKg / 2 },
      ];
      return shelf(
        'blended',
        { toLotId, name: 'House stock', parts, waterKg: 0, ...at },
        { out: parts.map((part) => [part.lotId, part.kg]), into: [[toLotId, some + otherKg / 2]] },
      );
    }
    if (act < 0.55) return shelf('discarded', { lotId, kg: some, reason: 'spilt' }, { out, into: [] });
    if (act < 0.75) return drawn(lotId, Math.min(some, LADLE_KG));
    const [id, entry] = pick([...taken]);
    const back = { out: entry.moves.into, into: entry.moves.out };
    if (entry.path !== '/larder/events')
      return { path: entry.path, body: said('undone', { eventId: id }), moves: back, undoes: id };
    return shelf('undone', { eventId: id }, back, id);
  };

  const look = async () => {
    const there = (await lotsOf(ask)).filter((lot) => ours.has(lot.id));
    return new Map(there.map((lot) => [lot.id, lot.leftKg]));
  };
  const seen = [new Map<string, number>(), new Map<string, number>()];
  const count = { refused: 0, undone: 0, drawn: 0, overdrawn: 0 };
  const press = async (presses: Press[]) => {
    const answers = await Promise.all(presses.map((press) => ask('POST', press.path, press.body)));
    for (const [i, { status, json }] of answers.entries()) {
      const done = presses[i]!;
      expect([200, 201, 409, 422], JSON.stringify(json)).toContain(status);
      if (status !== 201) {
        if (status > 201) {
          count.refused += 1;
          expect(json.detail.length).toBeGreaterThan(20);
        }
        continue;
      }
      taken.set(done.body.id, done);
      for (const [id] of done.moves.into) ours.add(id);
      if (done.undoes) count.undone += 1;
      else if (done.path.startsWith('/batches')) count.drawn += 1;
    }
  };
  for (let round = 0; round < 110; round++) {
    for (const tablet of [0, 1]) if (uniform() < 0.5) seen[tablet] = await look();
    const presses = [pressOf(seen[0]!), pressOf(seen[1]!)];
    // a tablet that heard nothing presses once more
    await press(uniform() < 0.3 ? [...presses, presses[0]!] : presses);
  }
  // both tip the whole of one tub into the pot
  const tub = found('vegetable-stock', LADLE_KG);
  await press([tub]);
  await press([drawn(tub.moves.into[0]![0], LADLE_KG), drawn(tub.moves.into[0]![0], LADLE_KG)]);
  expect(count.refused).toBeGreaterThan(10);
  expect(count.undone).toBeGreaterThan(8);
  expect(count.drawn).toBeGreaterThan(10);

  // the other book: what stands of all that was taken, in the order it was taken
  const stands = (id: string): boolean =>
    ![...taken.values()].some((press) => press.undoes === id && stands(press.body.id));
  const kg = new Map<string, number>();
  for (const [id, press] of taken) {
    if (press.undoes || !stands(id)) continue;
    for (const [lotId, out] of press.moves.out) kg.set(lotId, (kg.get(lotId) ?? 0) - out);
    for (const [lotId, into] of press.moves.into) {
      kg.set(lotId, (kg.get(lotId) ?? 0) + into);
      const payload = (press.body as unknown as { payload: { ingredientId?: string } }).payload;
      if (payload.ingredientId === 'fish-fumet' || press.moves.out.some(([from]) => fishy.has(from)))
        fishy.add(lotId);
    }
  }
  const there = new Map((await lotsOf(ask)).map((lot) => [lot.id, lot]));
  for (const [lotId, left] of kg) {
    const answer = await ask('GET', `/lots/${lotId}`);
    expect(answer.status, `${lotId}: ${answer.text}`).toBe(200);
    const lot = there.get(lotId) ?? answer.json.lot;
    // what went into a pot went in: the shelf says then that it is to be counted
    expect(lot.leftKg, lotId).toBeCloseTo(Math.max(0, left), 6);
    if (left < -2 * SCALE_KG) {
      count.overdrawn += 1;
      expect(lot.countIt, lotId).toBe(true);
    }
    expect(lot.contents.allergens.includes('fish'), `${lotId} with fish`).toBe(fishy.has(lotId));
  }
  expect(count.overdrawn).toBeGreaterThan(0);
  // nothing was taken and then set aside as said of a lot that was not there
  const strays = (await ask('GET', '/larder/strays')).json as { eventId: string }[];
  expect(strays.filter((one) => taken.has(one.eventId))).toEqual([]);
  const gone = [...ours].filter((lotId) => !kg.has(lotId));
  for (const lotId of gone) expect((await ask('GET', `/lots/${lotId}`)).status).toBe(404);
  // and in the pot is fish when any that stands there had it
  const fishInPot = [...taken.values()].some(
    (press) =>
      press.path.startsWith('/batches') &&
      !press.undoes &&
      stands(press.body.id) &&
      press.moves.out.some(([lotId]) => fishy.has(lotId)),
  );
  const labels = (await ask('GET', `/batches/${pot.id}/lots`)).json as { id: string; allergens: string[] }[];
  expect(labels.some((label) => label.allergens.includes('fish'))).toBe(fishInPot);
});
