import { describe, expect, it } from 'vitest';
import { type BatchEventBody, foldBatch } from '../batch';
import { foldLarder, type LarderEventBody } from '../larder';
import { itemsFor, logOf, orderOf, snapshotOf } from '../testing/broth';
import { contentsFor, DAY_MS, lotMade, MINUTE_MS, SHELF_OPENS_MS, shelfLog } from '../testing/larder';
import { batchLines, inOrder, lotLines, type RecordLine, thermometerLines, thermometerStanding } from './';

const OPENS_MS = logOf([[0, { type: 'note', payload: { text: '' } }]])[0]!.actedAtMs;

/** A line as a person would say it: minutes after the start, what, how it stands. */
const told = (startMs: number) => (line: RecordLine) =>
  [
    Math.round((line.atMs - startMs) / MINUTE_MS),
    line.kind,
    line.standing,
    line.tempC,
    line.limit?.atLeastC ?? line.limit?.atMostC ?? null,
  ] as const;

describe('a batch in the record', () => {
  const snapshot = snapshotOf();
  const ready: [number, BatchEventBody][] = [
    [0, { type: 'stageBegun', payload: { stageId: 'boil' } }],
    [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
    [0.2, { type: 'heatSet', payload: { fraction: 1 } }],
    [45, { type: 'stageDone', payload: { stageId: 'boil' } }],
    [60, { type: 'heatSet', payload: { fraction: 0.1 } }],
  ];
  const serve: [number, BatchEventBody] = [60.1, { type: 'stageBegun', payload: { stageId: 'serve' } }];
  const temp = (minute: number, value: number, by?: string): [number, BatchEventBody] => [
    minute,
    { type: 'reading', payload: { kind: 'temperature', value, ...(by ? { by, thermometerId: 't1' } : {}) } },
  ];
  const gone: BatchEventBody = {
    type: 'portioned',
    payload: { portions: 20, fate: 'discarded', reason: 'overHeld', by: 'Una' },
  };
  const lines = (said: [number, BatchEventBody][], untilMinute: number, of = snapshot) => {
    const events = logOf(said);
    const nowMs = OPENS_MS + untilMinute * MINUTE_MS;
    const state = foldBatch(of, events, nowMs);
    const batch = {
      id: 'b',
      name: 'Soup',
      snapshot: of,
      state,
      events: events.map((one) => ({ ...one, by: null })),
    };
    return inOrder(batchLines(batch, nowMs));
  };
  const brief = (...args: Parameters<typeof lines>) => lines(...args).map(told(OPENS_MS));

  it('§ 3-401.11, § 3-401.13: as hot as a thermometer found it before it went out, or missing where none did', () => {
    // the broth has a vegetable stock and carrots in it: plants cooked for hot holding
    expect(brief([...ready, temp(40, 96), serve], 62)).toEqual([[40, 'cooked', 'in', 96, 57]]);
    expect(brief([...ready, serve], 62)).toEqual([[60, 'cooked', 'missing', null, 57]]);
    expect(brief([...ready, temp(58, 55.5), serve], 62)).toEqual([[58, 'cooked', 'out', 55.5, 57]]);
    // while it cooks nothing is out yet
    expect(brief([...ready, temp(10, 40)], 12)).toEqual([[10, 'cooked', 'noted', 40, 57]]);
    expect(brief(ready, 50)).toEqual([]);
    // poultry asks for more, and a reading from before it went in shows nothing of it
    const order = orderOf();
    const bird = { ingredientId: 'chicken-whole', kg: 2, tempC: 4 };
    const added: [number, BatchEventBody] = [46, { type: 'added', payload: { items: [bird] } }];
    const of = { ...snapshot, input: order };
    const kind = order.ingredients['chicken-whole']?.kind;
    expect(kind).toBe('poultry');
    expect(brief([...ready, temp(40, 96), added, serve], 62, of)).toEqual([
      [60, 'cooked', 'missing', null, 74],
    ]);
    expect(brief([...ready, added, temp(58, 73.9), serve], 62, of)[0]).toEqual([
      58,
      'cooked',
      'out',
      73.9,
      74,
    ]);
  });

  it('§ 3-501.16: each check while it is served; a long stretch without one is missing, a short delay is not', () => {
    const said = [...ready, temp(50, 92), serve, temp(90, 66, 'Una'), temp(125, 63), temp(200, 61)];
    expect(brief(said, 215)).toEqual([
      [50, 'cooked', 'in', 92, 57],
      [90, 'held', 'in', 66, 57],
      [125, 'held', 'in', 63, 57],
      [155, 'held', 'missing', null, 57],
      [200, 'held', 'in', 61, 57],
    ]);
    const [, first, , gap] = lines(said, 215);
    expect(first).toMatchObject({
      by: 'Una',
      thermometerId: 't1',
      of: { kind: 'batch', id: 'b', name: 'Soup' },
    });
    expect(gap!.untilMs).toBe(OPENS_MS + 200 * MINUTE_MS);
    // nobody looks any more: the gap goes on
    expect(lines(said, 260).at(-1)).toMatchObject({ standing: 'missing', untilMs: null });
    // closed with nothing left an hour after the last bowl: nothing was held in that hour
    const out: [number, BatchEventBody][] = [
      [210, { type: 'portioned', payload: { portions: 200, fate: 'served', overrideReason: 'x' } }],
      [280, { type: 'closed', payload: { leftLitres: 0 } }],
    ];
    expect(brief([...said, ...out], 300).at(-1)).toEqual([200, 'held', 'in', 61, 57]);
  });

  it('§ 3-403.11: under 57 °C it is out, and what was done about it stands with it; taken back it is struck, not gone', () => {
    const said: [number, BatchEventBody][] = [
      ...ready,
      temp(50, 92),
      serve,
      temp(90, 66),
      temp(120, 52, 'Una'),
      [135, { type: 'reheated', payload: { tempC: 76, by: 'Una' } }],
      temp(160, 49),
      [170, gone],
    ];
    const found = lines(said, 175);
    expect(found.map(told(OPENS_MS))).toEqual([
      [50, 'cooked', 'in', 92, 57],
      [90, 'held', 'in', 66, 57],
      [120, 'held', 'out', 52, 57],
      [135, 'reheated', 'in', 76, 74],
      [160, 'held', 'out', 49, 57],
      [170, 'thrownAway', 'noted', null, null],
    ]);
    expect(found[2]!.deed).toMatchObject({ did: 'reheated', by: 'Una', atMs: OPENS_MS + 135 * MINUTE_MS });
    expect(found[4]!.deed).toMatchObject({ did: 'thrownAway', by: 'Una' });
    // the clock of reheating runs from when it was last known hot: 90 + 120
    expect(found[3]!.limit!.byMs).toBe(OPENS_MS + 210 * MINUTE_MS);
    expect(found[5]!.amount).toEqual({ portions: 20 });
    const reading = logOf(said).find((one) => one.actedAtMs === OPENS_MS + 120 * MINUTE_MS)!;
    const undone: [number, BatchEventBody] = [122, { type: 'undone', payload: { eventId: reading.id } }];
    // ids go by the place in the log: the undo stands last
    const struck = lines([...said, [176, undone[1]]], 177).find((one) => one.tempC === 52)!;
    expect(struck).toMatchObject({ standing: 'out', takenBack: { atMs: OPENS_MS + 176 * MINUTE_MS } });
    // its serving undone since, nobody knows how long it was cold: no clock, and no time that is none
    const unserved = said.filter(([minute]) => minute !== 60.1);
    const alone = lines(unserved, 175).find((one) => one.kind === 'reheated')!;
    expect([alone.standing, alone.limit]).toEqual(['in', { atLeastC: 74 }]);
    const late = [
      ...said.slice(0, 8),
      temp(120, 52),
      [215, { type: 'reheated', payload: { tempC: 76, by: 'x' } }],
    ];
    expect(lines(late as typeof said, 216).find((one) => one.kind === 'reheated')!.standing).toBe('out');
  });
});

describe('a lot in the record', () => {
  const LIMITS = { hotHoldingC: 57, coolFirstWithinH: 2, coolWithinH: 6, reheatC: 74, receivingC: 5 };
  const PANS = {
    pans: 4,
    areaM2: 0.16,
    depthCm: 4,
    air: 'still',
    airC: 3,
    placeId: 'p',
    place: 'walk-in',
  } as const;
  const lines = (
    said: Parameters<typeof shelfLog>[0],
    untilMinute: number,
    made: ReturnType<typeof lotMade> | null = lotMade('L', 25, 0, { tempC: 85 }),
    limits: (atMs: number) => typeof LIMITS = () => LIMITS,
  ) => {
    const events = shelfLog(said);
    const whole = foldLarder({ made: made ? [made] : [], draws: [], events });
    const first = foldLarder({ made: made ? [made] : [], draws: [], events: made ? [] : events.slice(0, 1) });
    const nowMs = SHELF_OPENS_MS + untilMinute * MINUTE_MS;
    const shared = { name: 'Stock', number: 12, mustComeCold: true };
    const lots = { born: first.lots.get('L')!, lot: whole.lots.get('L')! };
    return inOrder(
      lotLines({ ...shared, ...lots, events: events.map((one) => ({ ...one, by: null })) }, limits, nowMs),
    );
  };
  const brief = (...args: Parameters<typeof lines>) => lines(...args).map(told(SHELF_OPENS_MS));
  const read = (minute: number, value: number): [number, LarderEventBody] => [
    minute,
    { type: 'lotRead', payload: { lotId: 'L', kind: 'temperature', value, thermometerId: 't1' } },
  ];
  // poured under 57 °C, so that its clock is known to the minute: from when it was poured
  const poured: [number, LarderEventBody] = [
    5,
    { type: 'coolingSet', payload: { lotId: 'L', how: PANS, fromC: 56 } },
  ];

  it('§ 3-501.14: 21 °C within two hours and 5 °C within six, each shown by a thermometer, out, or missing', () => {
    expect(brief([poured, read(60, 33), read(120, 20.5), read(240, 9), read(355, 4.8)], 400)).toEqual([
      [5, 'cooled', 'noted', 56, null],
      [60, 'cooled', 'noted', 33, 21],
      [120, 'cooled', 'in', 20.5, 21],
      [240, 'cooled', 'noted', 9, 5],
      [355, 'cooled', 'in', 4.8, 5],
    ]);
    // nobody looked: both steps are missing, each from its own moment on
    expect(brief([poured], 124)).toEqual([[5, 'cooled', 'noted', 56, null]]);
    expect(brief([poured], 400)).toEqual([
      [5, 'cooled', 'noted', 56, null],
      [125, 'cooled', 'missing', null, 21],
      [365, 'cooled', 'missing', null, 5],
    ]);
    // too warm after its time is out; cold when it was looked at late shows nothing of the time before
    expect(brief([poured, read(130, 24)], 140).at(-1)).toEqual([130, 'cooled', 'out', 24, 21]);
    expect(brief([poured, read(130, 19)], 140).slice(1)).toEqual([
      [125, 'cooled', 'missing', null, 21],
      [130, 'cooled', 'noted', 19, 21],
    ]);
  });

  it('too late it is reheated and begins again, with a clock of its own; what was done stands with what was out', () => {
    const found = lines(
      [
        poured,
        read(130, 30),
        [140, { type: 'lotReheated', payload: { lotId: 'L', tempC: 76, by: 'Una' } }],
        read(200, 40),
        [205, { type: 'discarded', payload: { lotId: 'L', kg: 25, reason: 'too slow', by: 'Una' } }],
      ],
      700,
    );
    expect(found.map(told(SHELF_OPENS_MS))).toEqual([
      [5, 'cooled', 'noted', 56, null],
      [130, 'cooled', 'out', 30, 21],
      [140, 'reheated', 'in', 76, 74],
      [200, 'cooled', 'noted', 40, 21],
      [205, 'thrownAway', 'noted', null, null],
    ]);
    expect(found[1]!.deed).toMatchObject({ did: 'reheated', by: 'Una' });
    expect(found[4]).toMatchObject({ amount: { kg: 25 }, words: 'too slow', by: 'Una' });
  });

  it('stored hot and never said how it cools: both steps are missing; stored cold, none is', () => {
    expect(brief([], 400).map(([minute, , standing]) => [minute, standing])).toEqual([
      [120, 'missing'],
      [360, 'missing'],
    ]);
    expect(brief([], 400, lotMade('L', 25, 0, { tempC: 4 }))).toEqual([]);
    // cold, it is kept at 5 °C or under (§ 3-501.16)
    const cold = brief(
      [read(DAY_MS / MINUTE_MS, 4.2), read(2000, 7.5)],
      3000,
      lotMade('L', 25, 0, { tempC: 4 }),
    );
    expect(cold).toEqual([
      [1440, 'held', 'in', 4.2, 5],
      [2000, 'held', 'out', 7.5, 5],
    ]);
  });

  it('§ 3-202.11: cold food comes in cold, by the limit of that day; frozen comes frozen', () => {
    const came = (
      arrivedC: number | undefined,
      storage: 'chilled' | 'frozen' = 'chilled',
    ): Parameters<typeof shelfLog>[0][number] => [
      0,
      {
        type: 'delivered',
        payload: {
          lotId: 'L',
          ingredientId: 'milk',
          kg: 10,
          supplier: 'Glen Dairy',
          place: 'walk-in',
          storage,
          ...(arrivedC === undefined ? {} : { arrivedC }),
        },
      },
      { contents: contentsFor('milk'), centsPerKg: 90, life: { rule: 'dateMark' }, frozenMonths: 0 },
    ];
    const one = (...of: Parameters<typeof came>) => brief([came(...of)], 1, null)[0];
    expect(one(4)).toEqual([0, 'received', 'in', 4, 5]);
    expect(one(9)).toEqual([0, 'received', 'out', 9, 5]);
    expect(one(undefined)).toEqual([0, 'received', 'missing', null, 5]);
    expect(one(2, 'frozen')).toEqual([0, 'received', 'out', 2, 0]);
    expect(lines([came(6)], 1, null, () => ({ ...LIMITS, receivingC: 7 }))[0]!.standing).toBe('in');
    expect(lines([came(4)], 1, null)[0]).toMatchObject({ words: 'Glen Dairy', amount: { kg: 10 } });
  });

  it('a reading taken back stays, struck out; used past its date is out, and signed', () => {
    const said: [number, LarderEventBody][] = [
      read(100, 60),
      [101, { type: 'undone', payload: { eventId: 's1' } }],
      [200, { type: 'usePast', payload: { lotId: 'L', reason: 'boiled for staff', by: 'Una' } }],
    ];
    const found = lines(said, 210, lotMade('L', 25, 0, { tempC: 4 }));
    expect(found[0]).toMatchObject({ tempC: 60, takenBack: { atMs: SHELF_OPENS_MS + 101 * MINUTE_MS } });
    expect(found[1]).toMatchObject({
      standing: 'out',
      by: 'Una',
      deed: { did: 'usedPast' },
      words: 'boiled for staff',
    });
    expect(found).toHaveLength(2);
  });
});

describe('thermometers in the record', () => {
  const check = { id: 'c', thermometerId: 't1', name: 'the long one', atMs: 10, by: 'Una' };
  it('§ 4-203.11: within 1 °C in ice and in boiling water, as it boils at this height', () => {
    const brief = (of: { iceC?: number; boilC?: number }, altitudeM: number) =>
      thermometerLines([{ ...check, ...of }], altitudeM).map(({ tempC, standing }) => [tempC, standing]);
    expect(brief({ iceC: 0.4, boilC: 99.5 }, 0)).toEqual([
      [0.4, 'in'],
      [99.5, 'in'],
    ]);
    // 1,240 m: water boils at 95.8 °C (standard atmosphere), so that 99.5 is too much there
    expect(brief({ iceC: -1.4, boilC: 99.5 }, 1240)).toEqual([
      [-1.4, 'out'],
      [99.5, 'out'],
    ]);
  });
  it('is as good as its last check before', () => {
    const checks = [
      { ...check, iceC: 0, boilC: 100 },
      { ...check, id: 'd', atMs: 20, iceC: 2, boilC: 100 },
    ];
    expect([5, 15, 25].map((atMs) => thermometerStanding(checks, 't1', atMs, 0))).toEqual([
      'unchecked',
      'good',
      'off',
    ]);
    expect(thermometerStanding(checks, 't2', 25, 0)).toBe('unchecked');
  });
});
