import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, BurnerView, KitchenView } from '../../contract';
import { seed } from '../../demo/seed';
import { openStorage, rebuild } from '../storage';
import { blankKitchen } from '../storage/seed-kitchen';
import { chowderOrder } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchen = testKitchen(seed);
const ask = kitchen.ask;
beforeAll(() => kitchen.start());
afterAll(() => kitchen.remove());

/** All that is kept of the log is made anew, as `npm run rebuild` does. */
async function madeAnew(): Promise<void> {
  await kitchen.stop();
  const storage = openStorage({ folder: kitchen.folder });
  rebuild(storage);
  storage.close();
  await kitchen.start();
}
const change = (body: object, id = uuid()) => ask('POST', '/kitchen/changes', { id, ...body });
const now = async (): Promise<KitchenView> => (await ask('GET', '/kitchen')).json;
const burnerOf = (view: KitchenView, id: string): BurnerView => view.burners.find((one) => one.id === id)!;
async function refusal(body: object): Promise<string> {
  const before = await now();
  const answer = await change(body);
  expect([400, 422], answer.text).toContain(answer.status);
  const after = await now();
  expect({ ...after, clock: null }).toEqual({ ...before, clock: null });
  return answer.json.errors[0].sentence;
}

const pot = (more: object = {}) => ({
  id: 'tall-one',
  name: 'Tall one',
  vessel: { shape: 'cylinder', diameterCm: 30, heightCm: 40 },
  emptyMassKg: 5,
  ...more,
});
const savePot = (more: object = {}) => ({ change: 'save', kind: 'pot', item: pot(more) });

describe('place', () => {
  it('name, altitude, zone, language, currency, units are the kitchen’s own to set', async () => {
    const place = {
      name: 'Upper ford',
      altitudeM: 3000,
      zone: 'America/Denver',
      locale: 'en-US',
      currency: 'USD',
    };
    const answer = await change({ change: 'place', place: { ...place, units: 'us' } });
    expect(answer.json).toMatchObject({
      ...place,
      measures: { weight: 'pounds', volume: 'us', temperature: 'F' },
    });
    // and mixed as the cook likes
    const own = await change({ change: 'place', place: { measures: { weight: 'metric' } } });
    expect(own.json.measures).toEqual({ weight: 'metric', volume: 'us', temperature: 'F' });
    await change({
      change: 'place',
      place: {
        name: 'Corrie Halt Buffet',
        altitudeM: 1240,
        zone: 'Europe/London',
        locale: 'en-GB',
        currency: 'GBP',
        units: 'metric',
      },
    });
  });
  it.each([
    [{ altitudeM: 99_999 }, /from -430 to 5000/],
    [{ zone: 'Nowhere/Else' }, /“Nowhere\/Else” is no time zone/],
    [{ zone: '' }, /no time zone/],
    [{ currency: 'CAKE' }, /“CAKE” is no currency/],
    [{ locale: '??' }, /no language/],
    [{ units: 'cubits' }, /metric, us or imperial/],
    [{ name: '' }, /missing/],
    [{ services: [] }, /not known here/],
  ])('refuses %o', async (place, sentence) => {
    expect(await refusal({ change: 'place', place })).toMatch(sentence);
  });
});

describe('pots, burners, services', () => {
  it('a pot that is new stands on every burner but a jacket, and is planned in at once', async () => {
    const view: KitchenView = (await change(savePot())).json;
    expect(view.pots.at(-1)).toEqual(pot());
    expect(burnerOf(view, 'gas-1').potIds).toContain('tall-one');
    expect(burnerOf(view, 'jacket').potIds).not.toContain('tall-one');
  });
  it('a pot says which burners it stands on', async () => {
    const said = { ...savePot(), burnerIds: ['gas-2', 'induction'] };
    const view: KitchenView = (await change(said)).json;
    const standsOn = view.burners.filter((one) => one.potIds.includes('tall-one')).map((one) => one.id);
    expect(standsOn).toEqual(['gas-2', 'induction']);
    const same: KitchenView = (await change(savePot({ emptyMassKg: 6 }))).json;
    expect(same.burners).toEqual(view.burners);
  });
  it.each([
    [savePot({ id: 'other', name: '40 l STOCKPOT' }), /Another pot is called/],
    [savePot({ vessel: { shape: 'cylinder', diameterCm: 140, heightCm: 40 } }), /from 5 to 120 cm/],
    [savePot({ vessel: { shape: 'cone', diameterCm: 14 } }), /straight, tapered, round/],
    [savePot({ vessel: { shape: 'cylinder', diameterCm: '30', heightCm: 40 } }), /number of cm, not “30”/],
    [savePot({ name: ' ' }), /needs a name/],
    [savePot({ id: '__proto__' }), /letters, digits and hyphens/],
    [savePot({ emptyMassKg: 0 }), /0.1 to 500 kg/],
    [
      savePot({
        vessel: {
          shape: 'measured',
          levels: [
            { litres: 5, depthCm: 9 },
            { litres: 4, depthCm: 12 },
          ],
          heightCm: 30,
        },
      }),
      /more water and stands higher/,
    ],
    [
      {
        change: 'save',
        kind: 'burner',
        item: { id: 'x', name: 'x', kind: 'gas', powerW: 0, efficiency: 0.4, potIds: [] },
      },
      /from 100 to 100000 W/,
    ],
    [
      {
        change: 'save',
        kind: 'burner',
        item: { id: 'x', name: 'x', kind: 'gas', powerW: 3000, efficiency: 0.4, potIds: ['none'] },
      },
      /There is no pot “none”/,
    ],
    [
      { change: 'save', kind: 'service', item: { id: 's', name: 'Late', time: '25:00', covers: 9 } },
      /00:00 to 23:59/,
    ],
    [
      { change: 'save', kind: 'service', item: { id: 's', name: 'Late', time: '12:00', covers: 0 } },
      /from 1 to 5000/,
    ],
    [
      {
        change: 'save',
        kind: 'service',
        item: { id: 's', name: 'Late', time: '12:00', covers: 9, weekdays: [] },
      },
      /at least one day/,
    ],
    [{ change: 'save', kind: 'spoon', item: { id: 's', name: 'x' } }, /no kind of thing/],
    [{ change: 'retire', kind: 'pot', itemId: 'never' }, /There is no pot “never”/],
    [{ change: 'merge', kind: 'burner', itemId: 'gas-1', intoId: 'gas-1' }, /with itself/],
  ])('refuses %#: a sentence, and nothing is changed', async (body, sentence) => {
    expect(await refusal(body)).toMatch(sentence);
  });
  it('the same press twice is one change; the same id for another is refused', async () => {
    const id = uuid();
    await change(savePot({ name: 'Taller' }), id);
    expect((await change(savePot({ name: 'Taller' }), id)).status).toBe(200);
    expect((await change(savePot({ name: 'Smaller' }), id)).status).toBe(409);
    expect((await now()).pots.at(-1)!.name).toBe('Taller');
  });
  it('an order is kept, over a reopening too', async () => {
    const ids = (await now()).pots.map((one) => one.id).reverse();
    await change({ change: 'order', kind: 'pot', itemIds: ids });
    await kitchen.restart();
    expect((await now()).pots.map((one) => one.id)).toEqual(ids);
  });
  it('what is cooking in a pot goes on with the measures it began with; the pot is not retired meanwhile', async () => {
    const view = await now();
    const started: BatchView = (
      await ask('POST', '/batches', chowderOrder(view, 0, { overrideReason: 'a test' }))
    ).json;
    const { potId, burnerId } = started;
    expect(await refusal({ change: 'retire', kind: 'pot', itemId: potId })).toMatch(/in use for/);
    expect(await refusal({ change: 'merge', kind: 'burner', itemId: burnerId, intoId: 'gas-4' })).toMatch(
      /in use for/,
    );
    const own = view.pots.find((one) => one.id === potId)!;
    await change({ change: 'save', kind: 'pot', item: { ...own, emptyMassKg: own.emptyMassKg + 1 } });
    const after: BatchView = (await ask('GET', `/batches/${started.id}`)).json;
    expect(after.snapshot).toEqual(started.snapshot);
    await change({ change: 'save', kind: 'pot', item: own });
  });
  it('retired it is planned with no more, its past stays, and it can be used again', async () => {
    const retired: KitchenView = (await change({ change: 'retire', kind: 'pot', itemId: 'kettle-60' })).json;
    expect(retired.pots.some((one) => one.id === 'kettle-60')).toBe(false);
    expect(retired.retired).toEqual([
      { kind: 'pot', id: 'kettle-60', name: '60 L kettle', mergedInto: null },
    ]);
    const refused = await ask(
      'POST',
      '/batches',
      chowderOrder(await now(), 0, { potId: 'kettle-60', burnerId: 'jacket' }),
    );
    expect(refused.json.errors[0].sentence).toMatch(/no pot “kettle-60”/);
    const back: KitchenView = (await change({ change: 'restore', kind: 'pot', itemId: 'kettle-60' })).json;
    expect(back.pots.some((one) => one.id === 'kettle-60')).toBe(true);
  });
  it('two burners that are one: what both have shown is one’s, before and after a rebuild', async () => {
    const view = await now();
    const [one, two] = [burnerOf(view, 'gas-3'), burnerOf(view, 'gas-1')];
    expect(one.heatFactor.batches).toBeGreaterThan(0);
    const id = uuid();
    const water = { litres: 5, fromC: 15, toC: 65, minutes: 8, fraction: 1, lid: 'on' };
    const tested = { change: 'heatTest', test: { ...water, burnerId: 'gas-3', potId: one.potIds[0] } };
    expect((await change(tested, id)).status).toBe(200);
    const merged: KitchenView = (
      await change({ change: 'merge', kind: 'burner', itemId: 'gas-3', intoId: 'gas-1' })
    ).json;
    const learned = (await ask('GET', '/kitchen/learned')).json;
    expect(learned.rates.some((rate: { burnerId: string }) => rate.burnerId === 'gas-3')).toBe(false);
    expect(merged.heatTests).toEqual([expect.objectContaining({ id, burnerId: 'gas-1' })]);
    const forgotten: KitchenView = (await change({ change: 'forgetHeatTest', testId: id })).json;
    const { heatFactor } = burnerOf(forgotten, 'gas-1');
    expect(heatFactor.batches).toBe(one.heatFactor.batches + two.heatFactor.batches);
    expect(heatFactor.sd).toBeLessThanOrEqual(two.heatFactor.sd);
    // it is no burner of its own any more
    const back = { kind: 'burner', itemId: 'gas-3' };
    expect(await refusal({ change: 'restore', ...back })).toMatch(/was merged with burner 1/);
    const again = { ...burnerOf(view, 'gas-3'), heatFactor: undefined };
    expect(await refusal({ change: 'save', kind: 'burner', item: again })).toMatch(
      /was merged with burner 1/,
    );
    await madeAnew();
    expect(burnerOf(await now(), 'gas-1').heatFactor).toEqual(heatFactor);
    expect((await ask('GET', '/kitchen/learned')).json).toEqual(learned);
  });
  it('new measures may begin what was learned anew', async () => {
    const view = await now();
    const rates = async () => (await ask('GET', '/kitchen/learned')).json.rates as { potId: string }[];
    const potId = (await rates())[0]!.potId;
    const own = view.pots.find((one) => one.id === potId)!;
    await change({ change: 'save', kind: 'pot', item: own, learned: 'keep' });
    expect((await rates()).some((rate) => rate.potId === potId)).toBe(true);
    await change({ change: 'save', kind: 'pot', item: own, learned: 'anew' });
    expect((await rates()).some((rate) => rate.potId === potId)).toBe(false);
    await madeAnew();
    expect((await rates()).some((rate) => rate.potId === potId)).toBe(false);
  });
});

describe('tests and limits', () => {
  const test = {
    burnerId: 'induction',
    potId: 'saucepan-4',
    litres: 3,
    fromC: 15,
    toC: 65,
    minutes: 4,
    fraction: 1,
    lid: 'on',
  };
  it('five minutes of water teach the burner, as an entry that can be forgotten', async () => {
    const before = burnerOf(await now(), 'induction').heatFactor;
    const id = uuid();
    const view: KitchenView = (await change({ change: 'heatTest', test }, id)).json;
    const after = burnerOf(view, 'induction').heatFactor;
    expect(after.batches).toBe(before.batches);
    expect(after.tests).toBe(1);
    expect(view.heatTests).toEqual([
      expect.objectContaining({ id, burnerId: 'induction', waterKW: expect.closeTo(2.62, 2) }),
    ]);
    // 3 L · 4.19 · 50 K in 240 s is 2.62 kW into the water, of 2.98 expected
    expect(after.mean).toBeLessThan(before.mean);
    await madeAnew();
    expect(burnerOf(await now(), 'induction').heatFactor).toEqual(after);
    await change({ change: 'forgetHeatTest', testId: id });
    expect((await now()).heatTests).toEqual([]);
    expect(burnerOf(await now(), 'induction').heatFactor).toEqual(before);
    await madeAnew();
    expect(burnerOf(await now(), 'induction').heatFactor).toEqual(before);
  });
  it.each([
    [{ minutes: 1 }, /from 3.50 kW rated/],
    [{ toC: 20 }, /10 °C warmer/],
    [{ litres: 40 }, /does not go into that pot/],
    [{ burnerId: 'none' }, /no burner “none”/],
    [{ potId: 'none' }, /no pot “none”/],
  ])('a test with %o is refused', async (wrong, sentence) => {
    expect(await refusal({ change: 'heatTest', test: { ...test, ...wrong } })).toMatch(sentence);
  });
  it('a limit is never laxer than the code without a reason and a name, which are kept', async () => {
    const { limits } = await now();
    const laxer = { ...limits, dateMarkDays: 9 };
    expect(await refusal({ change: 'limits', limits: laxer })).toMatch(
      /9 days is laxer than 7 days \(§ 3-501.17\)/,
    );
    expect(await refusal({ change: 'limits', limits: laxer, reason: 'vacuum packed' })).toMatch(/laxer/);
    const kept: KitchenView = (
      await change({ change: 'limits', limits: laxer, reason: 'vacuum packed', by: 'Isla' })
    ).json;
    expect(kept.limits.dateMarkDays).toBe(9);
    expect(kept.limitReasons.dateMarkDays).toMatchObject({ reason: 'vacuum packed', by: 'Isla' });
    // what was answered for stays so while it stands; stricter needs no word
    const stricter: KitchenView = (await change({ change: 'limits', limits: { ...laxer, reheatC: 80 } }))
      .json;
    expect(stricter.limits.reheatC).toBe(80);
    expect(await refusal({ change: 'limits', limits: { ...laxer, hotHoldingC: 50 } })).toMatch(
      /50 °C is laxer than 57 °C/,
    );
    const back: KitchenView = (await change({ change: 'limits', limits })).json;
    expect(back.limitReasons).toEqual({});
  });
  it('a thermometer’s last check is kept with it', async () => {
    const view: KitchenView = (
      await change({ change: 'checked', instrumentId: 'thin-probe', iceC: 0.3, boilC: 95.6 })
    ).json;
    expect(view.instruments.find((one) => one.id === 'thin-probe')!.checked).toMatchObject({
      iceC: 0.3,
      boilC: 95.6,
    });
    expect(await refusal({ change: 'checked', instrumentId: 'thin-probe' })).toMatch(/Type what it shows/);
    expect(await refusal({ change: 'checked', instrumentId: 'floor-scale', iceC: 0 })).toMatch(
      /no thermometer/,
    );
  });
});

describe('the kitchen as a file', () => {
  it('set up on one machine it opens on another, whole or not at all', async () => {
    const { format, ...file } = (await ask('GET', '/kitchen.json')).json;
    const other = testKitchen(blankKitchen);
    await other.start();
    const take = (body: object) =>
      other.ask('POST', '/kitchen/changes', { id: uuid(), change: 'import', file: body });
    expect((await take({ format, ...file })).status).toBe(200);
    const [here, there] = [await now(), (await other.ask('GET', '/kitchen')).json as KitchenView];
    const own = ({ burners, ...view }: KitchenView) => ({
      ...view,
      burners: burners.map(({ heatFactor: _learned, ...burner }) => burner),
      ...{ clock: null, retired: null, isDemo: null, instruments: view.instruments.map((one) => one.id) },
    });
    expect(own(there)).toEqual(own(here));
    expect((await other.ask('GET', '/kitchen.json')).json).toEqual({ format, ...file });
    for (const [wrong, sentence] of [
      [{ format: 'a song', ...file }, /no kitchen’s file/],
      [{ format, ...file, version: 2 }, /another version/],
      [{ format, ...file, limits: { ...file.limits, dateMarkDays: 12 } }, /has no reason/],
      [{ format, ...file, items: { pot: [{ ...file.items.pot[0], id: 'twin' }] } }, /Another pot is called/],
      [
        { format, ...file, items: { burner: [{ ...file.items.burner[0], potIds: ['gone'] }] } },
        /no pot “gone”/,
      ],
    ] as const) {
      const answer = await take(wrong);
      expect(answer.json.errors[0].sentence).toMatch(sentence);
      expect((await other.ask('GET', '/kitchen.json')).json).toEqual({ format, ...file });
    }
    await other.remove();
  });
  it('its log says what was changed, what stood there before, and by whom', async () => {
    await change({ change: 'place', place: { airTempC: 27 }, by: 'Isla' });
    const [last] = (await ask('GET', '/kitchen/log')).json;
    expect(last).toMatchObject({ type: 'place', by: 'Isla', payload: { place: { airTempC: 27 } } });
    expect(last.before.airTempC).not.toBe(27);
  });
});
