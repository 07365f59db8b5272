import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView, LearnedView, PageOf } from '../contract';
import { foldBatch } from '../core/batch';
import { burnerFor, potFor } from '../core/order';
import type { BatchHead } from '../core/views';
import { allButSalt } from '../demo/filled-pot';
import { seed } from '../demo/seed';
import { chowderOrder, fieldOf, said, sentences } from './testing/say';
import { testKitchen } from './testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let kitchen: KitchenView;
let batch: BatchView;
const put = (type: string, payload: unknown) =>
  ask('POST', `/batches/${batch.id}/events`, said(type, payload));
const view = async (): Promise<BatchView> => (await ask('GET', `/batches/${batch.id}`)).json;

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
  batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  const { recipe } = batch.snapshot.input;
  const fall = recipe.stages.find((stage) => stage.ends.rule === 'fall')!;
  const items = batch.snapshot.plan.lines
    .filter((line) => !line.perBowl && line.edibleKg > 0 && line.comesOut === undefined)
    .slice(0, 8)
    .map(({ ingredientId, edibleKg, tempC, lineId }) => ({ ingredientId, kg: edibleKg, tempC, lineId }));
  await put('stageBegun', { stageId: fall.id });
  await put('added', { items });
  await put('heatSet', { fraction: 1 });
});
afterAll(kitchenServer.remove);

describe('bad input at the pot: a sentence, and nothing changed', () => {
  it.each([
    ['reading', { kind: 'brix', value: 0 }, /refractometer must be from 0.1 to 80/],
    ['reading', { kind: 'eye', value: 101 }, /What has gone must be from 0 to 100/],
    ['reading', { kind: 'depth', value: 9, still: 'yes' }, /still must be true or false/],
    ['looked', { stageId: 'nowhere' }, /no stage “nowhere”/],
    ['snoozed', { minutes: 900 }, /pause must be from 0.5 to 60/],
    ['targetSet', { target: { kind: 'litres', litres: -1 } }, /mark must be from/],
    ['targetSet', { target: { kind: 'depth', cm: 80 } }, /That depth is not in this pot/],
    ['targetSet', { target: { kind: 'taste' } }, /no mark a pot can fall to/],
    ['lifted', { ingredientId: 'moon-dust', kg: 1, fate: 'parked' }, /“moon-dust” is not among/],
    ['lifted', { ingredientId: 'potato', kg: 1, fate: 'eaten' }, /thrown away, salvaged or parked/],
    ['returned', { liftedId: 'nothing', kg: 1, tempC: 20 }, /Nothing of that name lies parked/],
    ['pouredOff', { what: 'fat', kg: 40 }, /40.00 kg of fat cannot be poured off/],
    ['slip', { kind: 'forgot', lineId: 'thyme' }, /nothing to correct/],
    ['slip', { kind: 'tooMuch', ingredientId: 'moon-dust', kg: 1, tempC: 20 }, /“moon-dust” is not among/],
    ['slip', { kind: 'sneeze' }, /no slip Slow Pot knows/],
    ['slip', { kind: 'trouble', trouble: 'ghost' }, /no trouble Slow Pot knows/],
  ])('%s %j', async (type, payload, sentence) => {
    const before = (await view()).events.length;
    const answer = await put(type, payload);
    expect([400, 422]).toContain(answer.status);
    expect(sentences(answer.json)).toMatch(sentence);
    expect(fieldOf(answer.json)).not.toBe('');
    expect((await view()).events.length).toBe(before);
  });
});

describe('before it is blended', () => {
  it('what has to come out is asked for, and blended in only with a reason', async () => {
    const started: BatchView = (
      await ask('POST', '/batches', {
        ...chowderOrder(kitchen, 0),
        recipeId: 'celeriac-veloute',
        potId: 'kettle-60',
        burnerId: 'jacket',
        overrideReason: 'for the test',
      })
    ).json;
    const { recipe } = started.snapshot.input;
    const bay = started.snapshot.plan.lines.find((line) => line.comesOut)!;
    const say = (type: string, payload: unknown) =>
      ask('POST', `/batches/${started.id}/events`, said(type, payload));
    const { ingredientId, edibleKg, tempC, lineId, comesOut } = bay;
    await say('added', { items: [{ ingredientId, kg: edibleKg, tempC, lineId, comesOut }] });
    const puree = recipe.stages.find((stage) => stage.does?.kind === 'puree')!;
    const refused = await say('stageBegun', { stageId: puree.id });
    expect(refused.status).toBe(422);
    expect(sentences(refused.json)).toMatch(
      new RegExp(`Still in the pot: .*${comesOut!.word}.*why it is blended all the same`),
    );
    expect((await say('stageBegun', { stageId: puree.id, overrideReason: 'it is powdered' })).status).toBe(
      201,
    );
    await say('closed', { leftLitres: 0 });
  });
});

describe('moved to another pot', () => {
  const move = (potId: string, burnerId: string) => ({ potId, burnerId });
  it('only where it fits, on a burner that takes it, and where nothing stands', async () => {
    expect(sentences((await put('moved', move('saucepan-4', 'gas-4'))).json)).toMatch(
      /does not go into the 4 L saucepan/,
    );
    expect(sentences((await put('moved', move('stockpot-40', 'jacket'))).json)).toMatch(
      /does not go on kettle jacket/,
    );
    const other = await ask('POST', '/batches', {
      ...chowderOrder(kitchen, 0),
      potId: 'stockpot-40',
      burnerId: 'gas-2',
      overrideReason: 'for the test',
    });
    expect(other.status).toBe(201);
    expect(sentences((await put('moved', move('stockpot-40', 'gas-3'))).json)).toMatch(
      /40 L stockpot is in use/,
    );
    expect(sentences((await put('moved', move('bath', 'jacket'))).json)).toMatch(/no pot “bath”/);
    const bent = { ...kitchen.pots[0]!, emptyMassKg: -9 };
    const measures = { pot: bent, burner: kitchen.burners[0]! };
    expect((await put('moved', { ...move('kettle-60', 'jacket'), ...measures })).status).toBe(400);
  });
  it('it stands there from then on; undone, it stands where it was, and both places are free or taken accordingly', async () => {
    const moved = await put('moved', move('kettle-60', 'jacket'));
    expect(moved.status).toBe(201);
    let now = await view();
    expect([now.potId, now.burnerId]).toEqual(['kettle-60', 'jacket']);
    expect(foldBatch(now.snapshot, now.events, 0).inPot.id).toBe('kettle-60');
    await put('undone', { eventId: moved.json.id });
    now = await view();
    expect([now.potId, now.burnerId]).toEqual([batch.potId, batch.burnerId]);
  });
});

describe('what a closed batch teaches', () => {
  it('its stretches of heat that were read stand in the kitchen, and start the next batch on that pot and burner', async () => {
    const learned: LearnedView = (await ask('GET', '/kitchen/learned')).json;
    const known = learned.rates.find((one) => one.fraction < 1)!;
    expect(known.segments).toBeGreaterThan(0);
    const { burners }: KitchenView = (await ask('GET', '/kitchen')).json;
    const burner = burners.find((one) => one.id === known.burnerId)!;
    const next = burnerFor({ learned }, burner, known.potId);
    expect(next.settings!.map((one) => one.fraction)).toContain(known.fraction);
  });
  it('surfaces that were read and floors that were looked at start the next batch too', async () => {
    const learned: LearnedView = (await ask('GET', '/kitchen/learned')).json;
    const { pots }: KitchenView = (await ask('GET', '/kitchen')).json;
    const surface = learned.shares.find((one) => 'surfaceOf' in one.key)!;
    expect(surface.segments).toBeGreaterThan(0);
    const potId = 'surfaceOf' in surface.key ? surface.key.surfaceOf : '';
    const next = potFor({ learned }, pots.find((one) => one.id === potId)!, 'trout-chowder');
    expect(next.surfaces!.map((one) => one.share)).toContainEqual(surface.share);
    expect(learned.eye).toBeNull();
  });
  it('a kettle that nobody ever read has taught nothing', async () => {
    const learned: LearnedView = (await ask('GET', '/kitchen/learned')).json;
    expect(learned.rates.filter((one) => one.burnerId === 'jacket')).toEqual([]);
    const { burners }: KitchenView = (await ask('GET', '/kitchen')).json;
    expect(burners.find((one) => one.id === 'jacket')!.heatFactor).toMatchObject({ mean: 1, batches: 0 });
    const { rows } = (await ask('GET', '/batches')).json as PageOf<BatchHead>;
    expect(rows.some((one) => one.burnerId === 'jacket')).toBe(true);
  });
  it('a test of thickness starts the next batch of that recipe; opened again, the batch has taught nothing yet', async () => {
    const order = {
      ...chowderOrder(kitchen, 1),
      portions: 60,
      potId: 'kettle-60',
      burnerId: 'jacket',
      overrideReason: 'for the test',
    };
    const begun = await ask('POST', '/batches', order);
    expect(begun.status).toBe(201);
    const tested: BatchView = begun.json;
    const tell = (body: { type: string; payload: unknown }) =>
      ask('POST', `/batches/${tested.id}/events`, said(body.type, body.payload));
    await tell(allButSalt(tested.snapshot.plan));
    const test = await tell({ type: 'tested', payload: { test: 'spoon', value: 1, tempC: 90 } });
    expect(test.status).toBe(201);
    const closing = await tell({ type: 'closed', payload: { leftLitres: 0 } });
    const known = async () => {
      const learned: LearnedView = (await ask('GET', '/kitchen/learned')).json;
      return learned.shares.find((one) => 'bodyOf' in one.key && one.key.bodyOf === 'trout-chowder');
    };
    const shown = (await known())!;
    expect(shown.segments).toBe(1);
    expect(shown.share.mean).not.toBe(0);
    const next: BatchView = (await ask('POST', '/batches', { ...order, id: randomUUID() })).json;
    expect(next.snapshot.input.body).toEqual({ ...shown.share, batches: 1 });
    await ask('POST', `/batches/${next.id}/events`, said('closed', { leftLitres: 0 }));
    expect((await tell({ type: 'undone', payload: { eventId: closing.json.id } })).status).toBe(201);
    expect(await known()).toBeUndefined();
  });
  it('every forecast that was shown is frozen with what came true', async () => {
    const { rows } = (await ask('GET', '/batches')).json as PageOf<BatchHead>;
    const each = await Promise.all(
      rows.map(async (one) => (await ask('GET', `/batches/${one.id}`)).json as BatchView),
    );
    const kept = each.flatMap((one) => one.result?.forecasts ?? []);
    expect(kept.length).toBeGreaterThan(50);
    expect(kept[0]).toMatchObject({ p10Ms: expect.any(Number), cameMs: expect.any(Number) });
    expect((await ask('GET', '/log/forecasts')).json).toHaveLength(Math.min(200, kept.length));
  });
});

describe('rehearsals', () => {
  it('are kept once, refused where they cannot be', async () => {
    const id = '018f0000-0000-7000-8000-000000000001';
    const calls = [{ call: 'halfGone', minute: 30, called: 0.5, really: 0.42, off: 8 }];
    expect((await ask('POST', '/rehearsals', { id, recipeId: 'trout-chowder', calls })).status).toBe(201);
    expect((await ask('POST', '/rehearsals', { id, recipeId: 'trout-chowder', calls })).status).toBe(200);
    expect(
      (
        await ask('POST', '/rehearsals', {
          id,
          recipeId: 'trout-chowder',
          calls: [{ ...calls[0], minute: 31 }],
        })
      ).status,
    ).toBe(409);
    const other = '018f0000-0000-7000-8000-000000000002';
    expect((await ask('POST', '/rehearsals', { id: other, recipeId: 'nothing', calls })).status).toBe(404);
    expect((await ask('GET', '/rehearsals')).json).toHaveLength(1);
  });
});
