import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type BatchView, coolingPlaces, type KitchenView, type LearnedView } from '../../contract';
import { withPans } from '../../core/cooling';
import type { LotView } from '../../core/views';
import { allButSalt } from '../../demo/filled-pot';
import { seed } from '../../demo/seed';
import { chowderOrder, said, saidOfShelf, sentences } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let kitchen: KitchenView;
let lotId: string;

const shelf = (type: string, payload: object, more: object = {}) =>
  ask('POST', '/larder/events', saidOfShelf(type, { lotId, ...payload }, more));
const read = (value: number, more: object = {}) =>
  shelf('lotRead', { kind: 'temperature', value, thermometerId: 'thin-probe', ...more });
const cooling = async (): Promise<LotView | undefined> =>
  ((await ask('GET', '/coolings')).json as LotView[]).find((one) => one.id === lotId);
const films = async () =>
  ((await ask('GET', '/kitchen/learned')).json as LearnedView).shares.filter(({ key }) => 'filmOf' in key);

const pansIn = (placeId: string, pans: number) => {
  const place = coolingPlaces(kitchen).find((one) => one.id === placeId)!;
  const toCool = { litres: 4, startC: 85, places: [place], emptyPans: null };
  return withPans(place, pans, toCool, kitchen.clock.kitchenFromMs).how;
};

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
  const batch: BatchView = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  const events = `/batches/${batch.id}/events`;
  const { payload } = allButSalt(batch.snapshot.plan) as { payload: { items: object[] } };
  const hot = { items: payload.items.map((item) => ({ ...item, tempC: 85 })) };
  expect((await ask('POST', events, said('added', hot))).status).toBe(201);
  lotId = uuid();
  const stored = { lotId, litres: 4, place: 'walk-in', storage: 'chilled', overrideReason: 'a test' };
  expect((await ask('POST', events, said('stored', stored))).status).toBe(201);
});
afterAll(kitchenServer.remove);

it('what is stored hot waits to be told how it is cooled; the freezer is no place for it', async () => {
  expect(await cooling()).toMatchObject({ id: lotId, cooling: null });
  expect((await cooling())!.bornC).toBeGreaterThan(70);
  expect(coolingPlaces(kitchen).map((one) => one.id)).toEqual(['walk-in', 'ice']);
});

it('what cannot be is a sentence and changes nothing', async () => {
  const how = pansIn('walk-in', 1);
  const refused: [string, Awaited<ReturnType<typeof shelf>>][] = [
    ['was not being cooled', await shelf('lotReheated', { tempC: 80, by: 'Isla' })],
    ['The depth must be from', await shelf('coolingSet', { how: { ...how, depthCm: 0 } })],
    ['Pans must be', await shelf('coolingSet', { how: { ...how, pans: 2.5 } })],
    ['Its air must be from', await shelf('coolingSet', { how: { ...how, airC: 60 } })],
    ['nothing to cool', await shelf('coolingSet', { how: { ...how, airC: 12 }, fromC: 10 })],
    ['was not there yet', await shelf('coolingSet', { how }, { ageMs: 3_600_000 })],
    ['There is no lot', await shelf('coolingSet', { how, lotId: 'nowhere' })],
  ];
  for (const [words, answer] of refused) {
    expect(answer.status, words).toBeGreaterThanOrEqual(400);
    if (words !== 'was not there yet') expect(sentences(answer.json), words).toContain(words);
  }
  expect((await cooling())!.cooling).toBeNull();
});

it('poured, read, poured again: it is kept as it was said; an impossible reading is asked about once', async () => {
  expect((await shelf('coolingSet', { how: pansIn('walk-in', 1) })).status).toBe(201);
  const far = await read(20);
  expect(far.status).toBe(422);
  expect(sentences(far.json)).toMatch(/20 °C is far from the \d+ °C expected/);
  expect((await cooling())!.cooling!.readings).toEqual([]);
  expect((await read(84)).status).toBe(201);
  expect((await shelf('coolingSet', { how: pansIn('walk-in', 2) })).status).toBe(201);
  const { cooling: now } = (await cooling())!;
  expect(now!.steps.map(({ how }) => how.pans)).toEqual([1, 2]);
  expect(now!.readings.map(({ tempC }) => tempC)).toEqual([84]);
});

it('too late: reheated enough and signed by somebody who works here, it begins again', async () => {
  const cool = await shelf('lotReheated', { tempC: 65, by: 'Isla' });
  expect(sentences(cool.json)).toContain('65 °C is not enough: heat it to 74 °C all through.');
  const nobody = await shelf('lotReheated', { tempC: 80, by: 'Nobody' });
  expect(sentences(nobody.json)).toContain('“Nobody” does not work here. Sign as one of: Isla');
  expect(sentences((await shelf('lotReheated', { tempC: 80, by: ' ' })).json)).toContain(
    'does not work here',
  );
  expect((await cooling())!.cooling).toMatchObject({ reheats: 0 });
  expect((await shelf('lotReheated', { tempC: 80, by: 'Isla' })).status).toBe(201);
  expect((await cooling())!.cooling).toMatchObject({ reheats: 1, readings: [], startC: 80 });
});

it('cold, it is done: its place is known by it, also in a file opened again, and not once the reading is undone', async () => {
  await read(79);
  expect((await ask('POST', '/clock', { change: 'speed', speed: 60 })).status).toBe(200);
  await new Promise((resolve) => setTimeout(resolve, 3000));
  expect((await ask('POST', '/clock', { change: 'speed', speed: 1 })).status).toBe(200);
  await read(72, { sure: true });
  const before = await films();
  const last = await read(4.5, { sure: true });
  expect(last.status).toBe(201);
  expect(await cooling()).toBeUndefined();
  const after = await films();
  expect(after.length).toBe(before.length + 1);
  expect(after.find(({ key }) => 'filmOf' in key && key.filmOf === 'walk-in')!.segments).toBe(1);
  await kitchenServer.restart();
  expect(await films()).toEqual(after);
  // half of it split off cooled as the whole did: what that showed is counted once
  const part = { toLotId: uuid(), kg: 1, place: 'freezer', storage: 'frozen' };
  const split = await shelf('split', part);
  expect(split.status).toBe(201);
  expect(await films()).toEqual(after);
  expect(
    (await ask('POST', '/larder/events', saidOfShelf('undone', { eventId: split.json.id }))).status,
  ).toBe(201);
  const undone = await ask('POST', '/larder/events', saidOfShelf('undone', { eventId: last.json.id }));
  expect(undone.status).toBe(201);
  expect(await films()).toEqual(before);
  expect(await cooling()).toMatchObject({ id: lotId });
});

it('thrown away too late, somebody signs for it', async () => {
  const { leftKg } = (await cooling())!;
  const nobody = await shelf('discarded', { kg: leftKg, reason: 'not cooled in time', by: 'Nobody' });
  expect(sentences(nobody.json)).toContain('does not work here');
  expect((await shelf('discarded', { kg: leftKg, reason: 'not cooled in time', by: 'Isla' })).status).toBe(
    201,
  );
  const story = (await ask('GET', `/lots/${lotId}`)).json.story as { event?: { payload: { by?: string } } }[];
  expect(story.at(-1)!.event!.payload.by).toBe('Isla');
});
