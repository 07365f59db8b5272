import { describe, expect, it } from 'vitest';
import { holderOf } from '../hold';
import { massKg, saltPercent } from '../matter';
import { itemsFor, logOf, orderOf, snapshotOf } from '../testing/broth';
import { type BatchEventBody, batchResult, foldBatch, holdClock, nextAction, stageClock } from './';
import { callOf } from './range-walk';
import { wantedSinceMs } from './wanted-since';

type Said = [number, BatchEventBody];
const snapshot = snapshotOf();
const EQUIPMENT = { ...snapshot.input.equipment!, bainMariePanLitres: 20 };
const PANS = { in: 'pans' as const, pans: 1 };
const ready: Said[] = [
  [0, { type: 'stageBegun', payload: { stageId: 'boil' } }],
  [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
  [0.2, { type: 'heatSet', payload: { fraction: 1 } }],
  [45, { type: 'stageDone', payload: { stageId: 'boil' } }],
  [60, { type: 'heatSet', payload: { fraction: 0 } }],
  [60.1, { type: 'stageBegun', payload: { stageId: 'serve' } }],
];
const held: Said[] = [
  ...ready,
  [61, { type: 'heldHot', payload: { ...PANS, keptC: 70, lid: 'on', holder: holderOf(PANS, EQUIPMENT)! } }],
];
const temperature = (minute: number, value: number): Said => [
  minute,
  { type: 'reading', payload: { kind: 'temperature', value } },
];
const minuteMs = (minute: number) => logOf([[minute, { type: 'note', payload: { text: '' } }]])[0]!.actedAtMs;
const at = (said: Said[], minute: number) => foldBatch(snapshot, logOf(said), minuteMs(minute));
const clock = (said: Said[], minute: number) => holdClock(snapshot, at(said, minute));
const want = (said: Said[], minute: number) => {
  const state = at(said, minute);
  const next = nextAction(snapshot, state, stageClock(snapshot, state), minuteMs(minute));
  const sinceMs = wantedSinceMs(snapshot, logOf(said), state, next, minuteMs(minute));
  return { next, call: callOf({ batchId: 'b', next, snoozedUntilMs: null }, minuteMs(minute), sinceMs) };
};

describe('held hot', () => {
  it('it stands in the pans, off the burner, and is kept at what was set; a move or a tap ends that', () => {
    const state = at(held, 240);
    expect(state.held).toMatchObject({ in: 'pans', pans: 1 });
    expect(state.inPot.name).toBe('bain-marie');
    expect(state.pot.tempC).toBeCloseTo(70, 3);
    expect(state.pot.heatFraction).toBe(0);
    // what leaves is water, and no more than a covered pan loses
    const before = at(held, 61);
    expect(massKg(before.pot.mixture) - massKg(state.pot.mixture)).toBeLessThan(0.4);
    expect(saltPercent(state.pot.mixture, 'all')).toBeGreaterThan(saltPercent(before.pot.mixture, 'all'));
    const { pot, burner } = snapshot.input;
    // what it teaches is of the burner it was cooked on
    const closed = [
      ...logOf(held),
      ...logOf([[250, { type: 'closed', payload: { leftLitres: 1 } }]]).map((one) => ({
        ...one,
        id: 'z',
        seq: 99,
      })),
    ];
    const result = batchResult(snapshot, foldBatch(snapshot, closed, minuteMs(251)), closed);
    expect(result.heatFactor.burnerId).toBe(burner.id);
    expect(result.heatFactor.mean).toBeCloseTo(at(ready, 60.2).pot.heatFactor, 1);
    const back = at([...held, [90, { type: 'moved', payload: { pot, burner } }]], 91);
    expect([back.held, back.pot.keptC]).toEqual([null, undefined]);
    const inItsPot: Said[] = [
      ...ready,
      [61, { type: 'heldHot', payload: { in: 'pot', keptC: 70, lid: 'on' } }],
    ];
    expect(at(inItsPot, 300).pot.tempC).toBeCloseTo(70, 1);
    const tapped = at([...inItsPot, [90, { type: 'heatSet', payload: { fraction: 0.1 } }]], 91);
    expect([tapped.pot.keptC, tapped.held?.in]).toEqual([undefined, 'pot']);
  });

  it('a thermometer is asked for every half hour from the serving on, and called for like any act', () => {
    expect(clock(ready.slice(0, 5), 60)).toBeNull();
    expect(clock(held, 62)).toMatchObject({ last: null, everyMin: 30, below: null });
    expect(clock(held, 62)!.nextMs).toBe(minuteMs(60.1) + 30 * 60_000);
    expect(want(held, 85).next.kind).not.toBe('check');
    expect(want(held, 91)).toMatchObject({ next: { kind: 'check' }, call: 'due' });
    expect([96, 106].map((minute) => want(held, minute).call)).toEqual(['late', 'urgent']);
    const read = [...held, temperature(97, 69)];
    expect(want(read, 98).next.kind).toBe('serve');
    expect(clock(read, 98)).toMatchObject({ last: { tempC: 69 }, nextMs: minuteMs(127) });
    // a kitchen of another rhythm
    const often = snapshotOf(orderOf({ equipment: { ...EQUIPMENT, holdCheckMin: 15 } }));
    expect(holdClock(often, foldBatch(often, logOf(held), minuteMs(62)))!.nextMs).toBe(minuteMs(75.1));
  });

  it('under 57 it is believed at once; the clock runs from when it was last known hot', () => {
    const sagged = [...held, temperature(90, 66), temperature(130, 52)];
    const state = at(sagged, 130);
    expect(state.questions).toEqual([]);
    expect(state.pot.tempC).toBeCloseTo(52, 0);
    expect(clock(sagged, 131)!.below).toEqual({
      sinceMs: minuteMs(90),
      foundMs: minuteMs(130),
      tempC: 52,
      reheatByMs: minuteMs(90 + 120),
      throwByMs: minuteMs(90 + 240),
      canReheat: true,
    });
    expect(want(sagged, 130.5).next.kind).toBe('tooCold');
    expect(want(sagged, 133).call).toBe('urgent');
    // warmed a little is not hot; what it shows now is told, the clock goes on
    const warmer = clock([...sagged, temperature(135, 56)], 136)!.below!;
    expect([warmer.tempC, warmer.sinceMs]).toEqual([56, minuteMs(90)]);
    // a 5 for a 50 is asked about, and starts no clock
    const odd = [...held, temperature(90, 66), temperature(100, 5)];
    expect(at(odd, 100).questions).toHaveLength(1);
    expect(clock(odd, 101)!.below).toBeNull();
  });

  it('kept hotter than what is in it bears, it calls to be cooled; turned down it does not', () => {
    const yolk = { ingredientId: 'egg-yolk', kg: 0.2, tempC: 20 };
    const keptAt = (keptC: number): Said => [
      63,
      { type: 'heldHot', payload: { ...PANS, keptC, lid: 'on', holder: holderOf(PANS, EQUIPMENT)! } },
    ];
    const hot: Said[] = [...ready, [61, { type: 'added', payload: { items: [yolk] } }], keptAt(88)];
    expect(want(hot, 64).next.kind).toBe('cool');
    expect(want([...hot, [64, keptAt(72)[1]]], 75).next.kind).toBe('serve');
  });

  it('reheated once it is hot again; a second time it is thrown away', () => {
    const again: Said[] = [
      ...held,
      temperature(90, 66),
      temperature(130, 52),
      [150, { type: 'reheated', payload: { tempC: 76, by: 'Isla' } }],
    ];
    const state = at(again, 150);
    expect(state.pot.tempC).toBeCloseTo(76, 3);
    expect(state.reheats).toMatchObject([{ tempC: 76, by: 'Isla' }]);
    expect(clock(again, 151)).toMatchObject({ below: null, nextMs: minuteMs(180) });
    const twice = [...again, temperature(181, 50)];
    expect(clock(twice, 182)!.below).toMatchObject({ canReheat: false, sinceMs: minuteMs(150) });
  });
});
