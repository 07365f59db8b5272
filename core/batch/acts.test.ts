import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { massKg, operations } from '../matter';
import { potLitres } from '../pot';
import { cookedLog, itemsFor, orderOf, snapshotOf } from '../testing/broth';
import {
  applyEvent,
  type BatchEvent,
  type BatchEventBody,
  foldBatch,
  foldContext,
  hasGoneIn,
  kgByFood,
  nextAction,
  rescueOf,
  type Slip,
  stageClock,
  topTemperature,
} from './';
import { toComeOut } from './pot-items';

const snapshot = snapshotOf();
const log = cookedLog(snapshot);
const at = (minute: number) => log[0]!.actedAtMs + minute * 60_000;
let count = 0;
const event = (minute: number, body: BatchEventBody): BatchEvent => {
  count += 1;
  return { ...body, id: `a${count}`, seq: 1000 + count, actedAtMs: at(minute) };
};
const state = (events: readonly BatchEvent[], minute: number) => foldBatch(snapshot, events, at(minute));
const roots = [
  ...log,
  event(95, { type: 'stageBegun', payload: { stageId: 'roots' } }),
  event(95.1, { type: 'added', payload: { items: itemsFor(snapshot, 'roots') } }),
];

describe('what comes out', () => {
  const park = event(110, {
    type: 'lifted',
    payload: { ingredientId: 'carrot', kg: 1, fate: 'parked', place: 'tray', backStageId: 'season' },
  });
  it('parked pieces leave the pot, keep their place and weight, and come back to the gram', () => {
    const before = state(roots, 110);
    const out = state([...roots, park], 110);
    // what the water has drawn from a kilogram by now stays behind
    const outKg = massKg(before.pot.mixture) - massKg(out.pot.mixture);
    expect(outKg).toBeGreaterThan(0.95);
    expect(outKg).toBeLessThan(1);
    expect(out.parked).toMatchObject([{ place: 'tray', backStageId: 'season', name: 'carrot' }]);
    const back = event(110, {
      type: 'returned',
      payload: { liftedId: park.id, kg: out.parked[0]!.kg, tempC: 25 },
    });
    const again = state([...roots, park, back], 110);
    expect(again.parked).toEqual([]);
    expect(massKg(again.pot.mixture)).toBeCloseTo(massKg(before.pot.mixture), 6);
    expect(again.pot.tempC).toBeLessThan(before.pot.tempC);
  });
  it('a quarter goes back and three quarters lie on', () => {
    const kg = state([...roots, park], 110).parked[0]!.kg;
    const half = event(112, {
      type: 'returned',
      payload: { liftedId: park.id, kg: kg / 4, tempC: 25 },
    });
    expect(state([...roots, park, half], 112).parked[0]!.kg).toBeCloseTo((3 * kg) / 4, 9);
  });
  it('is asked for when its stage has come, before anything else of it', () => {
    const season = [
      ...roots,
      park,
      event(114, { type: 'heatSet', payload: { fraction: 0.3 } }),
      event(130, { type: 'stageDone', payload: { stageId: 'roots' } }),
      event(131, { type: 'stageBegun', payload: { stageId: 'season' } }),
    ];
    const here = state(season, 132);
    expect(nextAction(snapshot, here, stageClock(snapshot, here), at(132))).toMatchObject({
      kind: 'giveBack',
    });
  });
  it('undone, it never left; thrown away or salvaged, nothing is parked', () => {
    const undo = event(115, { type: 'undone', payload: { eventId: park.id } });
    expect(state([...roots, park, undo], 116).parked).toEqual([]);
    const bay = event(110, { type: 'removed', payload: { word: 'bay', count: 1, fate: 'salvaged' } });
    const here = state([...roots, bay], 110);
    expect(here.parked).toEqual([]);
    expect(toComeOut(here).reduce((sum, one) => sum + one.count, 0)).toBe(
      toComeOut(state(roots, 110)).reduce((sum, one) => sum + one.count, 0) - 1,
    );
  });
  it('fat and liquid poured off are gone by their weight', () => {
    const before = state(log, 80);
    const fat = event(80, { type: 'pouredOff', payload: { what: 'fat', kg: 0.1 } });
    const liquid = event(80, { type: 'pouredOff', payload: { what: 'liquid', kg: 2 } });
    const after = state([...log, fat, liquid], 80);
    expect(massKg(before.pot.mixture) - massKg(after.pot.mixture)).toBeCloseTo(2.1, 6);
  });
});

describe('slips: the pot follows what happened', () => {
  const slipOf = (slip: Slip, minute = 80) => event(minute, { type: 'slip', payload: slip });
  it('too much of it is in, costs, and leaves the mark where it was', () => {
    const before = state(log, 80);
    const after = state(
      [...log, slipOf({ kind: 'tooMuch', ingredientId: 'vegetable-stock', kg: 2, tempC: 20 })],
      80,
    );
    expect(massKg(after.pot.mixture) - massKg(before.pot.mixture)).toBeCloseTo(2, 6);
    const mark = (of: typeof before) => of.stages.find((one) => one.stageId === 'fall')!.targetKg;
    expect(mark(after)).toBe(mark(before));
    expect(after.costCents).toBeGreaterThan(before.costCents);
    const ends = (of: typeof before) => stageClock(snapshot, of)!.ends.p50Ms!;
    expect(ends(after)).toBeGreaterThan(ends(before) + 10 * 60_000);
  });
  it('what was forgotten is not in it, and is wanted again', () => {
    const forgot = slipOf({ kind: 'forgot', lineId: 'carrot' }, 100);
    const after = state([...roots, forgot], 100);
    expect(hasGoneIn(after, 'carrot')).toBe(false);
    expect(kgByFood(after).carrot).toBeUndefined();
    expect(massKg(state(roots, 100).pot.mixture) - massKg(after.pot.mixture)).toBeCloseTo(
      snapshot.plan.lines.find((line) => line.lineId === 'carrot')!.edibleKg,
      1,
    );
  });
  it('boiled over, so much is on the floor', () => {
    const over = slipOf({ kind: 'trouble', trouble: 'boiledOver', lostKg: 1.5 });
    expect(massKg(state(log, 80).pot.mixture) - massKg(state([...log, over], 80).pot.mixture)).toBeCloseTo(
      1.5,
      6,
    );
  });
  it('each kind has a rescue with this pot’s own figures', () => {
    const salty: Slip = { kind: 'tooMuch', ingredientId: 'salt', kg: 0.3, tempC: 20 };
    const here = state([...log, slipOf(salty)], 80);
    const rescue = rescueOf(snapshot, here, salty);
    const salt = operations.saltPercent(here.pot.mixture, 'all');
    // mass balance by hand: m (s0 / s1 − 1)
    const kg = massKg(here.pot.mixture) * (salt / snapshot.input.saltPercent - 1);
    const dilute = rescue.steps.find((step) => step.code === 'dilute')!;
    expect(dilute.saltPercent).toBe(salt);
    expect(dilute.kg).toBeCloseTo(kg, 9);
    expect(rescue.toAdjust).toBe(true);
    const wet: Slip = { kind: 'tooMuch', ingredientId: 'vegetable-stock', kg: 2, tempC: 20 };
    const hot = state([...log, slipOf(wet)], 88);
    expect(rescueOf(snapshot, hot, wet).minutes).toBeGreaterThan(10);
    expect(rescueOf(snapshot, here, { kind: 'trouble', trouble: 'scorched' })).toEqual({
      steps: [{ code: 'trouble', trouble: 'scorched' }],
      minutes: 6,
      toAdjust: false,
    });
    expect(rescueOf(snapshot, here, { kind: 'forgot', lineId: 'carrot' }).steps).toEqual([
      { code: 'putIn', name: 'Carrot' },
    ]);
  });
});

describe('marks, moves, look-ins', () => {
  it('another mark moves the end of the fall', () => {
    const ends = (events: readonly BatchEvent[]) => stageClock(snapshot, state(events, 80))!;
    const deeper = event(79, {
      type: 'targetSet',
      payload: { target: { kind: 'gone', fraction: 0.4 } },
    });
    expect(ends([...log, deeper]).ends.p50Ms!).toBeGreaterThan(ends(log).ends.p50Ms! + 20 * 60_000);
    expect(ends([...log, deeper]).markLitres).toBeCloseTo(
      0.6 * state(log, 80).stages.find((one) => one.stageId === 'fall')!.fromLitres!,
      1,
    );
  });
  it('moved, it stands in the other pot on the other burner, heat off, nothing lost', () => {
    const pot = {
      ...snapshot.input.pot,
      id: 'wide',
      name: 'wide pan',
      vessel: { shape: 'cylinder' as const, diameterCm: 50, heightCm: 20 },
    };
    const burner = { ...snapshot.input.burner, id: 'other', heatFactor: { mean: 1.1, sd: 0.1, batches: 3 } };
    const moved = event(80, { type: 'moved', payload: { pot, burner } });
    const here = state([...log, moved], 80);
    expect([here.inPot.id, here.onBurner.id, here.pot.heatFraction]).toEqual(['wide', 'other', 0]);
    expect(massKg(here.pot.mixture)).toBeCloseTo(massKg(state(log, 80).pot.mixture), 9);
    expect(here.setup.vessel).toEqual(pot.vessel);
    expect(here.segments.at(-1)).toMatchObject({ burnerId: 'gas', potId: 'stockpot', lid: 'off' });
  });
  it('a stretch of steady heat is kept with what the burner was found to give', () => {
    const set = event(70, { type: 'heatSet', payload: { fraction: 0.5 } });
    const here = state([...log, set], 90);
    const full = here.segments.find((one) => one.fraction === 1 && one.lid === 'on')!;
    expect(full.minutes).toBeCloseTo(45.2 - 0.3, 1);
    expect(full.arriving.mean).toBeGreaterThan(0.5);
    expect(full.arriving.sd).toBeLessThan(0.25);
  });
  it('a look-in starts its interval anew; put off, it is silent so long', () => {
    const looking = snapshotOf(
      orderOf({
        recipe: {
          ...snapshot.input.recipe,
          stages: snapshot.input.recipe.stages.map((stage) =>
            stage.id === 'fall'
              ? {
                  ...stage,
                  heat: { kind: 'burner' as const, fraction: 1 },
                  attention: { kind: 'lookIn' as const, everyMin: 10 },
                }
              : stage,
          ),
        },
      }),
    );
    const wantAt = (events: readonly BatchEvent[], minute: number) => {
      const here = foldBatch(looking, events, at(minute));
      return nextAction(looking, here, stageClock(looking, here), at(minute));
    };
    expect(wantAt(log, 52)).toMatchObject({ kind: 'lookIn', dueMs: at(55.1) });
    expect(wantAt(log, 58)).toMatchObject({ kind: 'lookIn', dueMs: at(55.1) });
    const looked = event(58, { type: 'looked', payload: { stageId: 'fall' } });
    expect(wantAt([...log, looked], 59)).toMatchObject({ kind: 'lookIn', dueMs: at(68) });
    const snoozed = event(56, { type: 'snoozed', payload: { minutes: 2 } });
    expect(foldBatch(looking, [...log, snoozed], at(57)).snoozedUntilMs).toBe(at(58));
  });
});

describe('a top temperature', () => {
  const yolk = (minute: number): BatchEvent[] => [
    event(minute, {
      type: 'added',
      payload: { items: [{ ingredientId: 'egg-yolk', kg: 0.5, tempC: 60 }] },
    }),
  ];
  it('holds from the moment its food is in, with the legal minimum beside it', () => {
    expect(topTemperature(snapshot, state(log, 80))).toBeNull();
    const top = topTemperature(snapshot, state([...log, ...yolk(80)], 81))!;
    expect(top).toMatchObject({ tempC: 82, because: 'egg yolk', collides: false });
    // FDA Food Code 2022 § 3-401.11: eggs held hot, 68 °C for 17 s
    expect(top.least).toMatchObject({ tempC: 68 });
  });
  it('over it the pot wants to cool before anything else, and its own heat obeys it', () => {
    const hot = [...log, ...yolk(80)];
    const here = state(hot, 80.2);
    expect(nextAction(snapshot, here, stageClock(snapshot, here), at(80.2))).toMatchObject({ kind: 'cool' });
    expect(stageClock(snapshot, here)!.wantedHeat).toBe(0);
    let obeyed = [...hot, event(81, { type: 'heatSet', payload: { fraction: 0 } })];
    for (let m = 110; m < 200; m += 3) {
      const later = state(obeyed, m);
      expect(later.pot.tempC).toBeLessThan(82);
      const fraction = stageClock(snapshot, later)!.wantedHeat;
      obeyed = [...obeyed, event(m, { type: 'heatSet', payload: { fraction } })];
    }
    expect(state(obeyed, 200).pot.tempC).toBeGreaterThan(74);
  });
  it('where it collides with a minimum both are told', () => {
    const bird = event(79, {
      type: 'added',
      payload: { items: [{ ingredientId: 'chicken-breast', kg: 1, tempC: 5 }] },
    });
    const low = {
      ...snapshot,
      input: {
        ...snapshot.input,
        recipe: {
          ...snapshot.input.recipe,
          stages: snapshot.input.recipe.stages.map((stage) =>
            stage.id === 'fall' ? { ...stage, topTempC: 72 } : stage,
          ),
        },
      },
    };
    const top = topTemperature(low, foldBatch(low, [...log, bird], at(80)))!;
    expect(top).toMatchObject({ tempC: 72, collides: true, least: { tempC: 74 } });
  });
});

describe('all of it, in any order', () => {
  it('a random log of the new events folds the same from any prefix, and mass is never made (seed 1911)', () => {
    const bodies = fc.oneof(
      fc.record({
        type: fc.constant('lifted' as const),
        v: fc.constant(1 as const),
        payload: fc.record({
          ingredientId: fc.constant('carrot'),
          kg: fc.double({ min: 0.1, max: 2, noNaN: true }),
          fate: fc.constantFrom('parked' as const, 'thrown' as const),
        }),
      }),
      fc.record({
        type: fc.constant('slip' as const),
        v: fc.constant(1 as const),
        payload: fc.oneof(
          fc.constant({ kind: 'forgot' as const, lineId: 'carrot' }),
          fc.constant({ kind: 'tooMuch' as const, ingredientId: 'flour', kg: 0.2, tempC: 20 }),
          fc.constant({ kind: 'trouble' as const, trouble: 'boiledOver' as const, lostKg: 0.7 }),
        ),
      }),
      fc.record({
        type: fc.constant('pouredOff' as const),
        v: fc.constant(1 as const),
        payload: fc.record({
          what: fc.constantFrom('fat' as const, 'liquid' as const),
          kg: fc.constant(0.5),
        }),
      }),
      fc.constant({ type: 'looked' as const, payload: { stageId: 'roots' } }),
      fc.constant({ type: 'heatSet' as const, payload: { fraction: 0.3 } }),
    );
    fc.assert(
      fc.property(fc.array(bodies, { minLength: 1, maxLength: 8 }), fc.nat(), (said, cutAt) => {
        const events = [...roots, ...said.map((body, i) => event(100 + i * 3, body as BatchEventBody))];
        const cut = roots.length + (cutAt % said.length);
        const context = foldContext(snapshot, events);
        let from = foldBatch(snapshot, events.slice(0, cut), 0);
        for (const one of events.slice(cut)) from = applyEvent(context, from, one);
        const whole = foldBatch(snapshot, events, 0);
        expect(from).toEqual(whole);
        const { pot } = whole;
        expect(massKg(pot.mixture) + pot.evaporatedKg + pot.takenOutKg + pot.drawnKg).toBeCloseTo(
          pot.addedKg,
          5,
        );
        expect(potLitres(pot)).toBeGreaterThanOrEqual(0);
      }),
      { seed: 1911, numRuns: 60 },
    );
  });
});
