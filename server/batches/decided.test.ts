import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView } from '../../contract';
import { advanceBatch } from '../../core/batch';
import { seed } from '../../demo/seed';
import { submitLarderEvent } from '../larder/submit-larder-event';
import { ProblemError } from '../problem';
import { eventRows } from '../storage/batch-rows';
import { type CommandKitchen, commandKitchen } from '../testing/command-kitchen';
import { chowderOrder, said, saidOfShelf, sentences, someSoup } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { startBatch } from './start-batch';
import { submitEvent } from './submit-event';

const HOUR = 3_600_000;
const BATCH = '018f0000-0000-7000-8000-00000000dec1';

describe('said late', () => {
  let kitchen: CommandKitchen;
  const say = (type: string, payload: object, more: object = {}) =>
    submitEvent(kitchen, BATCH, said(type, payload, more)).event;
  const problemOf = (act: () => unknown): ProblemError => {
    try {
      act();
    } catch (error) {
      if (error instanceof ProblemError) return error;
      throw error;
    }
    throw new Error('it was taken');
  };
  const water = (kg: number) => ({ items: [{ ingredientId: 'vegetable-stock', kg, tempC: 20 }] });
  beforeEach(() => {
    kitchen = commandKitchen();
    startBatch(kitchen, {
      id: BATCH,
      recipeId: 'broth',
      portions: 20,
      portionMl: 250,
      saltPercent: 0.8,
      band: 2,
      serviceAtMs: kitchen.clock.nowMs() + 4 * HOUR,
      potId: 'pot',
      burnerId: 'ring',
      overrideReason: 'from the hotel',
    });
  });
  afterEach(() => kitchen.remove());

  it('two days back is believed; beyond that a person confirms; before the batch was there is nothing to say', () => {
    kitchen.pass(47 * HOUR);
    expect(say('note', { text: 'at once' }, { ageMs: 46 * HOUR }).flag).toEqual({ code: 'dayOld' });
    kitchen.pass(3 * HOUR);
    const late = said('note', { text: 'found on a slip of paper' }, { ageMs: 49 * HOUR });
    const before = eventRows(kitchen.storage.db, BATCH).length;
    expect(problemOf(() => submitEvent(kitchen, BATCH, late)).errors[0]).toMatchObject({
      field: 'ageMs',
      code: 'longAgo',
      sentence: 'That is 49 h ago. More than 48 h back has to be confirmed.',
    });
    expect(eventRows(kitchen.storage.db, BATCH)).toHaveLength(before);
    const { event } = submitEvent(kitchen, BATCH, { ...late, confirmed: true });
    expect(kitchen.clock.nowMs() - event.actedAtMs).toBe(49 * HOUR);
    const tooEarly = said('note', { text: 'x' }, { ageMs: 50 * HOUR + 10 * 60_000, confirmed: true });
    expect(problemOf(() => submitEvent(kitchen, BATCH, tooEarly)).errors[0]).toMatchObject({
      code: 'beforeStart',
    });
  });
  it.each([
    1e300,
    -1e300,
    2 ** 53,
    0.5e16,
    Number.NaN,
    '3600000',
  ])('an age of %s is refused in words', (ageMs) => {
    const before = kitchen.clock.nowMs();
    const problem = problemOf(() => say('note', { text: 'x' }, { ageMs }));
    expect([problem.status, problem.errors[0]!.field]).toEqual([400, 'ageMs']);
    expect(kitchen.clock.nowMs()).toBe(before);
  });
  it('a pot forgotten for ten years is cold since it was, and answers at once', () => {
    say('added', water(8));
    say('heatSet', { fraction: 0.6 });
    kitchen.pass(2 * HOUR);
    const off = say('heatSet', { fraction: 0 });
    kitchen.pass(10 * 365 * 24 * HOUR);
    const began = performance.now();
    say('note', { text: 'still here' });
    expect(performance.now() - began).toBeLessThan(2000);
    const batch = kitchen.logs.of(BATCH);
    if ('broken' in batch) throw new Error('set aside');
    const { pot } = advanceBatch(batch.log.state, kitchen.clock.nowMs());
    const coldH = (pot.coldSinceMs! - off.actedAtMs) / HOUR;
    expect(coldH).toBeGreaterThan(1);
    expect(coldH).toBeLessThan(60);
  });
  it('an undo or a late entry goes with all that comes after it, or is refused and changes nothing', () => {
    const load = say('added', water(8));
    kitchen.pass(10 * 60_000);
    say('heatSet', { fraction: 0.5 });
    kitchen.pass(10 * 60_000);
    const lifted = { ingredientId: 'vegetable-stock', kg: 1, fate: 'parked' } as const;
    say('lifted', lifted);
    kitchen.pass(60_000);
    const before = eventRows(kitchen.storage.db, BATCH);
    const state = JSON.stringify((kitchen.logs.of(BATCH) as { log: { state: object } }).log.state);
    for (const command of [
      said('undone', { eventId: load.id }),
      said('portioned', { portions: 24, fate: 'served', overrideReason: 'x' }, { ageMs: 15 * 60_000 }),
      said('moved', { potId: 'pan', burnerId: 'plate' }, { ageMs: 12 * 60_000 }),
      said('reading', { kind: 'weight', value: 29 }, { ageMs: 15 * 60_000 }),
    ]) {
      try {
        submitEvent(kitchen, BATCH, command);
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        expect(error.status).toBe(422);
        expect(error.errors[0]!.sentence.length).toBeGreaterThan(20);
        expect(eventRows(kitchen.storage.db, BATCH)).toHaveLength(before.length);
        expect(JSON.stringify((kitchen.logs.of(BATCH) as { log: { state: object } }).log.state)).toBe(state);
        continue;
      }
      // taken: then every page goes on
      const taken = kitchen.logs.of(BATCH);
      expect('broken' in taken).toBe(false);
      submitEvent(kitchen, BATCH, said('undone', { eventId: command.id }));
    }
  });
  it.each([
    'constructor',
    '__proto__',
    'toString',
    'hasOwnProperty',
    'valueOf',
  ])('names of the language are unknown ids like any other: %s', (name) => {
    const commands = [
      said('stageBegun', { stageId: name }),
      said('stageDone', { stageId: name }),
      said('looked', { stageId: name }),
      said('added', { items: [{ ingredientId: name, kg: 1, tempC: 20 }] }),
      said('added', { items: [{ ingredientId: 'carrot', kg: 1, tempC: 20, lotId: name }] }),
      said('lifted', { ingredientId: name, kg: 1, fate: 'parked' }),
      said('returned', { liftedId: name, kg: 1, tempC: 20 }),
      said('undone', { eventId: name }),
      said('answered', { eventId: name, believed: true }),
      said('slip', { kind: 'forgot', lineId: name }),
      said('slip', { kind: 'tooMuch', ingredientId: name, kg: 1, tempC: 20 }),
      said('moved', { potId: name, burnerId: 'ring' }),
      said('moved', { potId: 'pan', burnerId: name }),
    ];
    const before = eventRows(kitchen.storage.db, BATCH).length;
    for (const command of commands) {
      const problem = problemOf(() => submitEvent(kitchen, BATCH, command));
      expect([command.type, problem.status >= 400 && problem.status < 500]).toEqual([command.type, true]);
    }
    expect(eventRows(kitchen.storage.db, BATCH)).toHaveLength(before);
    for (const command of [
      saidOfShelf('moved', { lotId: name, place: 'x' }),
      saidOfShelf('counted', { lotId: name, kg: 1, note: 'x' }),
      saidOfShelf('undone', { eventId: name }),
      saidOfShelf('delivered', {
        lotId: '018f0000-0000-7000-8000-00000000dec9',
        ingredientId: name,
        kg: 1,
        supplier: 'x',
        place: 'x',
        storage: 'chilled',
      }),
    ])
      expect(problemOf(() => submitLarderEvent(kitchen, command)).status).toBeLessThan(500);
  });
});

describe('the same press twice, at every door that changes something', () => {
  const kitchenServer = testKitchen(seed);
  const { ask } = kitchenServer;
  afterAll(kitchenServer.remove);

  it('the first answer again, one change; something else under its id is a 409', async () => {
    await kitchenServer.start();
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const batch: BatchView = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
    const soup = someSoup('Nettle soup');
    const id = (n: number) => `018f0000-0000-7000-8000-0000000070${n}0`;
    const presses: [method: string, path: string, body: { id: string }, otherwise: object][] = [
      ['POST', '/batches', chowderOrder(kitchen, 0, { id: batch.id }), { portions: 21 }],
      [
        'POST',
        '/orders',
        chowderOrder(kitchen, 2, { potId: 'stockpot-40', burnerId: 'gas-2' }),
        { portions: 9 },
      ],
      ['POST', `/batches/${batch.id}/events`, said('note', { text: 'once' }), { payload: { text: 'twice' } }],
      [
        'POST',
        '/larder/events',
        saidOfShelf('delivered', {
          lotId: id(1),
          ingredientId: 'carrot',
          kg: 5,
          supplier: 'Somebody',
          place: 'walk-in',
          storage: 'chilled',
        }),
        {
          payload: {
            lotId: id(1),
            ingredientId: 'carrot',
            kg: 6,
            supplier: 'Somebody',
            place: 'walk-in',
            storage: 'chilled',
          },
        },
      ],
      ['POST', '/clock', { id: id(2), change: 'speed', speed: 10 } as never, { speed: 60 }],
      [
        'POST',
        '/rehearsals',
        {
          id: id(3),
          recipeId: 'trout-chowder',
          calls: [{ call: 'halfGone', minute: 30, called: 0.5, really: 0.42, off: 8 }],
        } as never,
        { recipeId: 'celeriac-veloute' },
      ],
    ];
    for (const [method, path, body, otherwise] of presses) {
      const first = await ask(method, path, body);
      expect([path, first.status]).toEqual([path, first.status < 300 ? first.status : first.text]);
      const views = async () =>
        Promise.all(
          ['/lots', '/orders', '/batches/open', '/rehearsals'].map(async (at) => (await ask('GET', at)).text),
        );
      const before = await views();
      const again = await ask(method, path, body);
      expect([path, again.status]).toEqual([path, expect.any(Number)]);
      expect(again.status, path).toBeLessThan(300);
      if (path !== '/clock') expect(again.json).toEqual(first.json);
      expect(await views()).toEqual(before);
      const other = await ask(method, path, { ...body, ...otherwise });
      expect([path, other.status]).toEqual([path, 409]);
      expect(await views()).toEqual(before);
    }
    const save = { id: id(4), recipe: soup };
    const saved = await ask('POST', '/recipes', save);
    expect(saved.status).toBeLessThan(300);
    expect((await ask('POST', '/recipes', save)).json).toEqual(saved.json);
    expect((await ask('GET', `/recipes/${soup.id}/versions`)).json).toHaveLength(1);
    expect(
      sentences((await ask('POST', '/recipes', { ...save, recipe: { ...soup, name: 'Another' } })).json),
    ).toMatch(/already/);
  });
});
