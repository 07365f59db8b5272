import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type BatchView, type KitchenView, nextServiceAtMs } from '../contract';
import { foldBatch } from '../core/batch';
import { massKg } from '../core/matter';
import type { LotView } from '../core/views';
import { seed } from '../demo/seed';
import { chowderOrder, said as event } from './testing/say';
import { testKitchen } from './testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;

const order = async (change: object = {}) => {
  const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
  return chowderOrder(kitchen, 0, {
    serviceAtMs: nextServiceAtMs({ time: '13:10' }, kitchen.zone, kitchen.clock.kitchenFromMs),
    portions: 60,
    potId: 'stockpot-40',
    burnerId: 'gas-2',
    ...change,
  });
};

beforeAll(kitchenServer.start);
afterAll(kitchenServer.remove);

describe('the Corrie Halt Buffet', () => {
  it('is there, healthy, with four pots, a lot of fumet and a fortnight behind it', async () => {
    expect((await ask('GET', '/health')).json).toEqual({ ok: true });
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    expect(kitchen.pots).toHaveLength(4);
    expect(kitchen.burners.find((burner) => burner.id === 'gas-2')!.heatFactor.batches).toBe(5);
    expect(kitchen.burners.find((burner) => burner.id === 'gas-2')!.heatFactor.mean).toBeLessThan(0.93);
    const lots: LotView[] = (await ask('GET', '/lots')).json;
    const fumets = lots.filter((lot) => lot.contents.base === 'fish-fumet' && lot.leftLitres > 1);
    expect(fumets.map((lot) => lot.countIt)).toEqual([false]);
    const batches = (await ask('GET', '/batches')).json.rows;
    const chowders = batches.filter((one: { recipeId: string }) => one.recipeId === 'trout-chowder');
    expect(chowders).toHaveLength(5);
    for (const chowder of chowders) expect(chowder.outcome.served).toBeGreaterThan(20);
  });
});

describe('a batch through the API', () => {
  let batch: BatchView;
  let fumet: LotView;
  it('starts with its plan taken into the snapshot; said twice, it is one batch', async () => {
    const wanted = await order();
    const first = await ask('POST', '/batches', wanted);
    expect(first.status).toBe(201);
    batch = first.json;
    expect(batch.snapshot.plan.yieldPortions).toBeCloseTo(60, 0);
    const drawn = batch.snapshot.draws!.filter((draw) => draw.lineId === 'fumet').map((draw) => draw.lotId);
    const lots: LotView[] = (await ask('GET', '/lots')).json;
    const fumets = lots.filter((lot) => lot.contents.base === 'fish-fumet' && lot.leftKg > 0.005);
    // the little that is left of the older one goes first
    expect(drawn).toEqual(fumets.sort((a, b) => a.useByMs! - b.useByMs!).map((lot) => lot.id));
    fumet = fumets.at(-1)!;
    const again = await ask('POST', '/batches', wanted);
    expect(again.status).toBe(200);
    expect(again.json.id).toBe(batch.id);
    expect((await ask('POST', '/batches', { ...wanted, portions: 50 })).status).toBe(409);
  });
  it('a pot and a burner in use are refused by name', async () => {
    const clash = await ask('POST', '/batches', await order());
    expect(clash.status).toBe(422);
    expect(clash.type).toContain('application/problem+json');
    expect(clash.json.errors[0]).toMatchObject({ field: 'potId' });
    expect(clash.json.detail).toMatch(/40 L stockpot is in use/);
    const burner = await ask('POST', '/batches', await order({ potId: 'rondeau-24' }));
    expect(burner.json.errors[0].field).toBe('burnerId');
  });
  it('the same event counts once, the same id with another content is a conflict', async () => {
    const added = event('added', {
      items: [{ ingredientId: 'fish-fumet', kg: 10, tempC: 5, lotId: fumet.id }],
    });
    const first = await ask('POST', `/batches/${batch.id}/events`, added);
    const again = await ask('POST', `/batches/${batch.id}/events`, added);
    expect([first.status, again.status]).toEqual([201, 200]);
    expect(again.json).toEqual(first.json);
    const other = { ...added, payload: { items: [{ ingredientId: 'water', kg: 1, tempC: 5 }] } };
    expect((await ask('POST', `/batches/${batch.id}/events`, other)).status).toBe(409);
    const view: BatchView = (await ask('GET', `/batches/${batch.id}`)).json;
    expect(view.events).toHaveLength(1);
    const state = foldBatch(view.snapshot, view.events, view.events[0]!.actedAtMs);
    expect(massKg(state.pot.mixture)).toBeCloseTo(10, 9);
    const lots: LotView[] = (await ask('GET', '/lots')).json;
    expect(lots.find((lot) => lot.id === fumet.id)!.leftKg).toBeCloseTo(fumet.leftKg - 10, 6);
  });
  it('an event says how long ago it happened; one from the future or long past is marked', async () => {
    const late = await ask(
      'POST',
      `/batches/${batch.id}/events`,
      event('note', { text: 'smells of leek' }, { ageMs: 60_000 }),
    );
    expect(late.json.receivedAtMs - late.json.actedAtMs).toBeCloseTo(60_000, -2);
    const ahead = await ask(
      'POST',
      `/batches/${batch.id}/events`,
      event('note', { text: 'x' }, { ageMs: -5000 }),
    );
    expect(ahead.json.actedAtMs).toBeLessThanOrEqual(ahead.json.receivedAtMs);
    expect(ahead.json.flag).toEqual({ code: 'clockAhead' });
  });
  it('two at once both land, each in its own place', async () => {
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        ask('POST', `/batches/${batch.id}/events`, event('note', { text: `note ${i}` })),
      ),
    );
    expect(answers.every((one) => one.status === 201)).toBe(true);
    expect(new Set(answers.map((one) => one.json.seq)).size).toBe(8);
  });

  const wrong: [string, () => object, number, string, RegExp][] = [
    [
      'a negative depth',
      () => event('reading', { kind: 'depth', value: -3 }),
      400,
      'payload.value',
      /from 0 to 300 cm/,
    ],
    [
      '40 m of soup',
      () => event('reading', { kind: 'depth', value: 4000 }),
      400,
      'payload.value',
      /from 0 to 300/,
    ],
    [
      'a depth above the brim',
      () => event('reading', { kind: 'depth', value: 45 }),
      422,
      'payload.value',
      /above the brim.*39\.3/,
    ],
    [
      '500 °C',
      () => event('reading', { kind: 'temperature', value: 500 }),
      400,
      'payload.value',
      /from -30 to 130 °C/,
    ],
    [
      'text in a number',
      () => event('reading', { kind: 'depth', value: 'lots' }),
      400,
      'payload.value',
      /must be a number.*“lots”/,
    ],
    ['an unknown event', () => event('exploded', {}), 400, 'type', /“exploded” is not an event/],
    [
      'an unknown stage',
      () => event('stageBegun', { stageId: 'dance' }),
      422,
      'payload.stageId',
      /no stage “dance”/,
    ],
    [
      'something not in this batch',
      () => event('added', { items: [{ ingredientId: 'gravel', kg: 1, tempC: 5 }] }),
      422,
      'payload.items.0.ingredientId',
      /gravel/,
    ],
    [
      'more than the brim',
      () => event('added', { items: [{ ingredientId: 'water', kg: 60, tempC: 5 }] }),
      422,
      'payload.items.0.kg',
      /brims at 40/,
    ],
    [
      'zero of something',
      () => event('added', { items: [{ ingredientId: 'water', kg: 0, tempC: 5 }] }),
      400,
      'payload.items.0.kg',
      /from 0\.00001/,
    ],
    [
      'an undo of nothing',
      () => event('undone', { eventId: 'nope' }),
      422,
      'payload.eventId',
      /no event “nope”/,
    ],
    [
      'a bay leaf that is not there',
      () => event('removed', { word: 'bay', count: 1 }),
      422,
      'payload.word',
      /no bay/,
    ],
    [
      'half a bowl',
      () => event('portioned', { portions: 0.5, fate: 'served' }),
      400,
      'payload.portions',
      /from 1 to 2000|whole/,
    ],
    ['an id that is none', () => ({ ...event('note', { text: 'x' }), id: '7' }), 400, 'id', /UUID/],
    [
      'a strange field',
      () => event('heatSet', { fraction: 0.5, sparkle: true }),
      400,
      'payload.sparkle',
      /./,
    ],
  ];
  it.each(
    wrong,
  )('%s is refused with a sentence and changes nothing', async (_, body, status, field, sentence) => {
    const before = (await ask('GET', `/batches/${batch.id}`)).json.events.length;
    const answer = await ask('POST', `/batches/${batch.id}/events`, body());
    expect(answer.status).toBe(status);
    expect(answer.type).toContain('application/problem+json');
    expect(answer.json.errors[0].field).toBe(field);
    expect(answer.json.errors[0].sentence).toMatch(sentence);
    expect((await ask('GET', `/batches/${batch.id}`)).json.events).toHaveLength(before);
  });

  it('what must come out is asked for before a bowl is served', async () => {
    const bay = event('added', {
      items: [
        {
          ingredientId: 'bay-leaf',
          kg: 0.001,
          tempC: 15,
          lineId: 'bay',
          comesOut: { word: 'bay', count: 2 },
        },
      ],
    });
    await ask('POST', `/batches/${batch.id}/events`, bay);
    const served = event('portioned', { portions: 2, fate: 'served' });
    const refused = await ask('POST', `/batches/${batch.id}/events`, served);
    expect(refused.json.detail).toMatch(/Still in the pot: 2 bay/);
    await ask('POST', `/batches/${batch.id}/events`, event('removed', { word: 'bay', count: 2 }));
    expect((await ask('POST', `/batches/${batch.id}/events`, served)).status).toBe(201);
  });
  it('closing frozen, late arrivals kept and marked, the undone closing opens it again', async () => {
    const close = event('closed', { leftLitres: 9 });
    await ask('POST', `/batches/${batch.id}/events`, close);
    const closed: BatchView = (await ask('GET', `/batches/${batch.id}`)).json;
    expect(closed.result!.served).toBe(2);
    const late = await ask(
      'POST',
      `/batches/${batch.id}/events`,
      event('reading', { kind: 'depth', value: 9 }),
    );
    expect(late.status).toBe(201);
    expect(late.json.flag).toEqual({ code: 'afterClose' });
    expect((await ask('GET', `/batches/${batch.id}`)).json.result).toEqual(closed.result);
    await ask('POST', `/batches/${batch.id}/events`, event('undone', { eventId: close.id }));
    expect((await ask('GET', `/batches/${batch.id}`)).json.closedAtMs).toBeNull();
  });
  it('a restart loses nothing', async () => {
    const before = (await ask('GET', `/batches/${batch.id}`)).json;
    await kitchenServer.restart();
    expect((await ask('GET', `/batches/${batch.id}`)).json).toEqual(before);
  });
});

describe('orders that cannot be', () => {
  it.each([
    [{ portions: -5 }, 400, 'portions', /from 1 to 2000/],
    [{ portions: '60 or so' }, 400, 'portions', /must be a number.*“60 or so”/],
    [{ portions: 2000.5 }, 400, 'portions', /from 1 to 2000/],
    [{ saltPercent: 30 }, 400, 'saltPercent', /from 0 to 26 %/],
    [{ portionMl: 0 }, 400, 'portionMl', /from 30 to 1000 mL/],
    [{ serviceAtMs: 1000 }, 422, 'serviceAtMs', /already past/],
    [{ potId: 'bathtub' }, 422, 'potId', /no pot “bathtub”/],
    [{ potId: 'kettle-60' }, 422, 'burnerId', /does not go on/],
    [{ recipeId: 'stone-soup' }, 422, 'recipeId', /no recipe “stone-soup”/],
    [{ potId: 'saucepan-4', burnerId: 'gas-4' }, 422, 'potId', /boils over above/],
  ])('%j', async (change, status, field, sentence) => {
    const answer = await ask('POST', '/batches', await order(change));
    expect(answer.status).toBe(status);
    expect(answer.json.errors[0].field).toBe(field);
    expect(answer.json.errors[0].sentence).toMatch(sentence);
  });
  it('an unknown batch, an unknown door, a body that is no JSON', async () => {
    expect((await ask('GET', '/batches/nope')).status).toBe(404);
    expect((await ask('GET', '/teapot')).json.detail).toMatch(/nothing at GET/);
    const response = await fetch(`${kitchenServer.address()}/api/batches`, {
      method: 'POST',
      body: '{"half',
      headers: { 'Content-Type': 'application/json' },
    });
    expect(response.status).toBe(400);
    expect((await response.json()).errors[0].sentence).toBe('The body is not JSON.');
  });
});

describe('kitchen and clock', () => {
  it('the demo’s clock runs at a speed, goes on to the morning, over to real time, and never back', async () => {
    const fast = (await ask('POST', '/clock', { change: 'speed', speed: 60 })).json;
    expect(fast.speed).toBe(60);
    const morning = (await ask('POST', '/clock', { change: 'nextMorning' })).json;
    expect(morning.kitchenFromMs).toBe(Date.UTC(2026, 2, 11, 7, 15));
    expect((await ask('POST', '/clock', { change: 'speed', speed: 7 })).status).toBe(400);
    expect((await ask('POST', '/clock', { change: 'real' })).json.mode).toBe('real');
    expect((await ask('POST', '/clock', { change: 'nextMorning' })).status).toBe(409);
  });
});

describe('the live stream', () => {
  const open = async (headers: Record<string, string> = {}, query = '') => {
    const stop = new AbortController();
    const answer = await fetch(`${kitchenServer.address()}/api/live${query}`, {
      signal: stop.signal,
      headers,
    });
    const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    return {
      answer,
      stop: () => stop.abort(),
      async until(wanted: string): Promise<string> {
        while (!text.includes(wanted)) text += (await reader.read()).value;
        return text;
      },
    };
  };
  const idBefore = (text: string, wanted: string) =>
    /.*id: (\S+)\n/s.exec(text.slice(0, text.indexOf(wanted)))?.[1] ?? '';
  let batchId: string;

  it('announces the build and where it stands, and tells an event at once', async () => {
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const wanted = await order({
      serviceAtMs: nextServiceAtMs({ time: '13:10' }, kitchen.zone, kitchen.clock.serverNowMs),
      potId: 'rondeau-24',
      burnerId: 'gas-1',
      overrideReason: 'the other tests drew it',
    });
    batchId = wanted.id;
    const live = await open();
    expect(live.answer.headers.get('content-type')).toContain('text/event-stream');
    expect(await live.until('"kind":"here"')).toContain('"kind":"build","id":"test"');
    await ask('POST', '/batches', wanted);
    expect(await live.until(wanted.id)).toContain('"change":"started"');
    live.stop();
  });
  it('says to who comes back what was missed, and nothing twice', async () => {
    const note = (text: string) => ask('POST', `/batches/${batchId}/events`, event('note', { text }));
    const live = await open();
    await live.until('"kind":"here"');
    await note('heard it');
    const at = idBefore(await live.until('heard it'), 'heard it');
    live.stop();
    await note('missed it');
    for (const back of [await open({ 'Last-Event-ID': at }), await open({}, `?after=${at}`)]) {
      const text = await back.until('"kind":"here"');
      expect(text).toContain('missed it');
      expect(text).not.toContain('heard it');
      back.stop();
    }
  });
  it('a first load knows where its data stand; whoever is too far behind is told to ask again', async () => {
    const answer = await fetch(`${kitchenServer.address()}/api/batches/${batchId}`);
    const position = answer.headers.get('Slow-Pot-Position')!;
    const nothing = await open({}, `?after=${position}`);
    expect(await nothing.until('"kind":"here"')).not.toContain('resync');
    nothing.stop();
    for (const lost of ['elsewhere:3', `${position.split(':')[0]}:99999999`, 'rubbish', '']) {
      const back = await open({}, `?after=${lost}`);
      expect(await back.until('"kind":"here"')).toContain('"kind":"resync"');
      back.stop();
    }
  });
});
