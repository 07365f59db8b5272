import { parse } from 'csv-parse/sync';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView, RecordView } from '../../contract';
import { allButSalt } from '../../demo/filled-pot';
import { seed } from '../../demo/seed';
import { chowderOrder, said, saidOfShelf, sentences } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { checkRecordFile, RECORD_COLUMNS } from './record-file';

/** A day over the wire: what was said of pots, shelf and thermometers is its record; signed, taken out, tampered with. */
const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
const DAY = '2026-03-10';
let kitchen: KitchenView;
let batch: BatchView;
const milk = uuid();

const record = async (): Promise<RecordView> => (await ask('GET', `/record/days/${DAY}`)).json;
const change = (of: object) => ask('POST', '/kitchen/changes', { id: uuid(), ...of });
const sayPot = (type: string, payload: object) =>
  ask('POST', `/batches/${batch.id}/events`, said(type, payload));
const brief = ({ lines }: RecordView) => lines.map((line) => [line.kind, line.standing, line.tempC] as const);

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
  batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  const delivery = { lotId: milk, ingredientId: 'milk', kg: 12, supplier: '=1+1', arrivedC: 9, place: 'x' };
  await ask('POST', '/larder/events', saidOfShelf('delivered', { ...delivery, storage: 'chilled' }));
  await change({ change: 'checked', instrumentId: 'thin-probe', iceC: 0.3, boilC: 95.6, by: 'Isla' });
  const { payload } = allButSalt(batch.snapshot.plan) as { payload: { items: object[] } };
  await sayPot('added', { items: payload.items.map((item) => ({ ...item, tempC: 80 })) });
  await sayPot('reading', { kind: 'temperature', value: 78, by: 'Isla', thermometerId: 'thin-probe' });
  const serve = batch.snapshot.input.recipe.stages.at(-1)!.id;
  await sayPot('stageBegun', { stageId: serve, overrideReason: 'as a test' });
  await sayPot('reading', { kind: 'temperature', value: 66, by: 'Isla', thermometerId: 'thin-probe' });
});
afterAll(() => kitchenServer.remove());

describe('a day of the record', () => {
  it('is read off what was said: delivery, cooking, holding, thermometer; each with who and with what', async () => {
    const view = await record();
    expect(brief(view)).toEqual(
      expect.arrayContaining([
        ['received', 'out', 9],
        ['thermometer', 'in', 0.3],
        ['cooked', 'in', 78],
        ['held', 'in', 66],
      ]),
    );
    const held = view.lines.find((line) => line.tempC === 66)!;
    expect(held).toMatchObject({ by: 'Isla', thermometer: { standing: 'good' }, limit: { atLeastC: 57 } });
    expect(held.of).toMatchObject({ kind: 'batch', id: batch.id });
    expect(view.lines.every((line) => !line.isChanged)).toBe(true);
    expect(view.seal).toMatchObject({ changed: 0, hash: expect.stringMatching(/^[0-9a-f]{64}$/) });
  });

  it('a reading taken back is struck and stays; what was out has what was done beside it', async () => {
    const far = said('reading', { kind: 'temperature', value: 58, by: 'Isla' });
    await ask('POST', `/batches/${batch.id}/events`, far);
    await sayPot('undone', { eventId: far.id });
    await ask(
      'POST',
      '/larder/events',
      saidOfShelf('discarded', { lotId: milk, kg: 12, reason: 'warm', by: 'Isla' }),
    );
    const { lines } = await record();
    expect(lines.find((line) => line.id === far.id)!.takenBack).not.toBeNull();
    expect(lines.find((line) => line.kind === 'received')!.deed).toMatchObject({
      did: 'thrownAway',
      by: 'Isla',
    });
    expect(lines.find((line) => line.kind === 'thrownAway')).toMatchObject({
      words: 'warm',
      amount: { kg: 12 },
    });
    const ofLot: RecordView = (await ask('GET', `/record/lots/${milk}`)).json;
    expect(brief(ofLot)).toEqual([
      ['received', 'out', 9],
      ['thrownAway', 'noted', null],
    ]);
  });

  it('limits changed today move no line of before', async () => {
    const before = (await record()).lines.find((line) => line.kind === 'received')!;
    const lax = { ...kitchen.limits, receivingC: 12 };
    const done = await change({ change: 'limits', limits: lax, reason: 'as a test', by: 'Isla' });
    expect(done.status).toBe(200);
    expect((await record()).lines.find((line) => line.kind === 'received')).toEqual(before);
  });

  it('is signed by who is in charge, once it has come; what comes in later says so', async () => {
    const sign = (of: object) => change({ change: 'daySigned', day: DAY, by: 'Isla', ...of });
    for (const [of, why] of [
      [{ by: 'Nobody' }, /“Nobody” does not work here/],
      [{ by: 'Tam' }, /“Tam” is not in charge here. A day is signed by Isla/],
      [{ by: '' }, /Who signs it/],
      [{ day: '2026-03-11' }, /has not come yet/],
      [{ day: '2026-02-30' }, /“2026-02-30” is no day/],
      [{ day: 'today' }, /A day is a year, a month and a day/],
    ] as const) {
      const refused = await sign(of);
      expect(refused.status, JSON.stringify(of)).toBeGreaterThanOrEqual(400);
      expect(sentences(refused.json)).toMatch(why);
    }
    expect((await record()).signed).toBeNull();
    expect((await sign({})).status).toBe(200);
    const signed = await record();
    expect(signed.signed).toMatchObject({ by: 'Isla', isChanged: false });
    expect(signed.lines.some((line) => line.isLater)).toBe(false);
    await sayPot('reading', { kind: 'temperature', value: 65, by: 'Isla' });
    const later = await record();
    expect(later.lines.filter((line) => line.isLater).map((line) => line.tempC)).toEqual([65]);
    expect((await ask('GET', '/record/days/2026-02-30')).status).toBe(422);
    expect((await ask('GET', '/record/lots/none')).status).toBe(404);
  });
});

describe('a file of the record', () => {
  it('reads back by another parser to the same lines; what a person typed is no formula', async () => {
    const csv = await ask('GET', `/record/days/${DAY}/csv`);
    expect(csv.type).toMatch(/text\/csv/);
    const rows = parse(csv.text, { columns: true }) as Record<string, string>[];
    const { lines } = await record();
    expect(Object.keys(rows[0]!)).toEqual([...RECORD_COLUMNS]);
    expect(rows.slice(0, -1).map((row) => [row.entry, row.kind, row.temp_c])).toEqual(
      lines.map((line) => [line.id, line.kind, line.tempC === null ? '' : String(line.tempC)]),
    );
    expect(rows.find((row) => row.kind === 'received')!.words).toBe("'=1+1");
    expect(rows.map((row) => new Date(row.at || 0).getTime()).slice(0, -2)).toEqual(
      lines.slice(0, -1).map((line) => line.atMs),
    );
    const json = await ask('GET', `/record/days/${DAY}/jsonl`);
    const objects = json.text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));
    expect(objects.map((one) => one.hash)).toEqual(rows.map((row) => row.hash));
    expect(objects[0]).toMatchObject({ line: 1, at: expect.stringMatching(/^2026-03-10T\d\d:\d\d/) });
  });

  it('as it was taken out it is whole; any byte changed, a row left out or moved, shows where', async () => {
    for (const ending of ['csv', 'jsonl']) {
      const { text } = await ask('GET', `/record/days/${DAY}/${ending}`);
      expect(checkRecordFile(text)).toMatchObject({ kind: 'whole', of: 'day', entry: DAY });
      const rows = text.trimEnd().split(/\r?\n/);
      const first = ending === 'csv' ? 1 : 0;
      // every byte of what is written in a row, one after the other
      let shown = 0;
      for (let i = rows.slice(0, first).join('').length + 2; i < text.length - 2; i += 7) {
        const other = text[i] === 'x' ? 'y' : 'x';
        if (/[\r\n"{}:,]/.test(text[i]!)) continue;
        const found = checkRecordFile(text.slice(0, i) + other + text.slice(i + 1));
        expect(found.kind, `byte ${i} of ${ending}: ${text.slice(i - 20, i + 20)}`).not.toBe('whole');
        shown += 1;
      }
      expect(shown).toBeGreaterThan(100);
      expect(checkRecordFile([...rows.slice(0, first + 1), ...rows.slice(first + 2)].join('\n'))).toEqual({
        kind: 'changed',
        line: 2,
      });
      expect(checkRecordFile(rows.slice(0, -1).join('\n'))).toMatchObject({ kind: 'cut' });
      const swapped = [...rows];
      [swapped[first], swapped[first + 1]] = [swapped[first + 1]!, swapped[first]!];
      expect(checkRecordFile(swapped.join('\n'))).toEqual({ kind: 'changed', line: 1 });
    }
    for (const other of ['', 'a,b\n1,2', '{"a":1', 'hello'])
      expect(checkRecordFile(other).kind).toBe('noRecord');
  });

  it('is held against itself and against the kitchen over the wire', async () => {
    const { text } = await ask('GET', `/record/days/${DAY}/csv`);
    const check = async (body: string) => {
      const answer = await fetch(`${kitchenServer.address()}/api/record/check`, {
        method: 'POST',
        body: JSON.stringify({ file: body }),
        headers: { 'Content-Type': 'application/json' },
      });
      return { status: answer.status, json: await answer.json() };
    };
    expect((await check(text)).json).toMatchObject({ kind: 'whole', isAsNow: true, kitchen: kitchen.name });
    expect((await check(text.replace(',66,', ',69,'))).json).toMatchObject({ kind: 'changed' });
    expect((await check('')).status).toBe(400);
    await sayPot('reading', { kind: 'temperature', value: 64, by: 'Isla' });
    expect((await check(text)).json).toMatchObject({ kind: 'whole', isAsNow: false });
  });
});
