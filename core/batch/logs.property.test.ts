import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMPONENTS, massKg } from '../matter';
import { variance } from '../pot';
import { itemsFor, snapshotOf } from '../testing/broth';
import {
  advanceBatch,
  applyEvent,
  type BatchEvent,
  type BatchEventBody,
  foldBatch,
  foldContext,
  foldedAt,
  foldOn,
  foldWith,
  nextAction,
  resumeFold,
  stageClock,
} from './';

/** Whole logs, made up at random from what a cook may do: the books balance and undo restores, whatever was done. */
const snapshot = snapshotOf();
const startMs = snapshot.plan.startAtMs;

const bodies: fc.Arbitrary<BatchEventBody> = fc.oneof(
  fc.record({
    type: fc.constant('added' as const),
    v: fc.constant(1 as const),
    payload: fc.record({
      items: fc.array(
        fc.record({
          ingredientId: fc.constantFrom('vegetable-stock', 'carrot', 'flour', 'salt', 'milk', 'butter'),
          kg: fc.double({ min: 0.01, max: 3, noNaN: true }),
          tempC: fc.double({ min: 2, max: 90, noNaN: true }),
        }),
        { minLength: 1, maxLength: 3 },
      ),
    }),
  }),
  fc
    .constantFrom(...['boil', 'fall', 'roots', 'season', 'serve'])
    .map((stageId): BatchEventBody => ({ type: 'stageBegun', payload: { stageId } })),
  fc
    .constantFrom(...['boil', 'fall', 'roots'])
    .map((stageId): BatchEventBody => ({ type: 'stageDone', payload: { stageId } })),
  fc
    .double({ min: 0, max: 1, noNaN: true })
    .map((fraction): BatchEventBody => ({ type: 'heatSet', payload: { fraction } })),
  fc.constantFrom('off', 'ajar', 'on').map((lid): BatchEventBody => ({ type: 'lidSet', payload: { lid } })),
  fc
    .double({ min: 0, max: 39, noNaN: true })
    .map((value): BatchEventBody => ({ type: 'reading', payload: { kind: 'depth', value } })),
  fc
    .double({ min: 5, max: 100, noNaN: true })
    .map((value): BatchEventBody => ({ type: 'reading', payload: { kind: 'temperature', value } })),
  fc
    .integer({ min: 1, max: 12 })
    .map((portions): BatchEventBody => ({ type: 'portioned', payload: { portions, fate: 'served' } })),
);

const logs = fc
  .array(fc.tuple(bodies, fc.integer({ min: 1, max: 25 })), { minLength: 1, maxLength: 25 })
  .map((steps) => {
    let atMs = startMs;
    const first: BatchEvent = {
      id: 'first',
      seq: 1,
      actedAtMs: startMs,
      type: 'added',
      payload: { items: itemsFor(snapshot, 'boil') },
    };
    const rest = steps.map(([body, minutes], i): BatchEvent => {
      atMs += minutes * 60_000;
      return { ...body, id: `e${i}`, seq: i + 2, actedAtMs: atMs };
    });
    return [first, ...rest];
  });

describe('any log a cook can make', () => {
  it('balances: in the pot, steamed off, taken out and ladled is what went in; nothing is negative (seed 1310)', () => {
    fc.assert(
      fc.property(logs, (log) => {
        const { pot } = foldBatch(snapshot, log, log.at(-1)!.actedAtMs);
        const accounted = massKg(pot.mixture) + pot.evaporatedKg + pot.takenOutKg + pot.drawnKg;
        expect(Math.abs(accounted - pot.addedKg)).toBeLessThan(1e-9 * Math.max(1, pot.addedKg));
        for (const component of COMPONENTS) {
          expect(pot.mixture.liquid[component]).toBeGreaterThanOrEqual(-1e-12);
          expect(pot.mixture.pieces[component]).toBeGreaterThanOrEqual(-1e-12);
        }
        expect(pot.tempC).toBeLessThan(110);
        expect(variance(pot.covariance, 'mass')).toBeGreaterThanOrEqual(-1e-9);
        expect(variance(pot.covariance, 'burner')).toBeGreaterThan(0);
      }),
      { seed: 1310, numRuns: 120 },
    );
  });

  it('is the fold of a prefix and then the rest (seed 1805)', () => {
    fc.assert(
      fc.property(logs, fc.nat(), (log, cutAt) => {
        const cut = 1 + (cutAt % log.length);
        const context = foldContext(snapshot, log);
        let state = foldBatch(snapshot, log.slice(0, cut), 0);
        for (const event of log.slice(cut)) state = applyEvent(context, state, event);
        const endMs = log.at(-1)!.actedAtMs + 60_000;
        expect(advanceBatch(state, endMs)).toEqual(foldBatch(snapshot, log, endMs));
      }),
      { seed: 1805, numRuns: 80 },
    );
  });

  it('grown by steps, undone, answered, told late or forgotten, it is the log folded whole (seed 1218)', () => {
    fc.assert(
      fc.property(logs, fc.array(fc.nat({ max: 9 }), { minLength: 4, maxLength: 30 }), (log, chances) => {
        let told = log.slice(0, 1);
        let rest = log.slice(1);
        let folded = foldOn(snapshot, null, told);
        for (const [i, chance] of chances.entries()) {
          const next = rest[0];
          const of = { id: `x${i}`, seq: 500 + i, actedAtMs: told.at(-1)!.actedAtMs + 1 } as const;
          const any = told[chance % told.length]!;
          if (chance === 0) told = [...told, { ...of, type: 'undone', payload: { eventId: any.id } }];
          else if (chance === 1)
            told = [
              ...told,
              { ...of, type: 'answered', payload: { eventId: any.id, believed: i % 2 === 0 } },
            ];
          else if (chance === 2) told = told.length > 1 ? told.slice(0, -1) : told;
          else if (chance === 3 && rest.length > 1) {
            told = [...told, rest[1]!];
            rest = [next!, ...rest.slice(2)];
          } else if (next) {
            told = [...told, next];
            rest = rest.slice(1);
          }
          folded = foldOn(snapshot, folded, told);
          expect(folded.state).toEqual(foldBatch(snapshot, told, 0));
        }
      }),
      { seed: 1218, numRuns: 60 },
    );
  });

  it('long, told late now and then, put down and taken up again, gone back in: it is the log folded whole (seed 906)', () => {
    const many = fc.array(fc.tuple(bodies, fc.integer({ min: 1, max: 4 })), {
      minLength: 140,
      maxLength: 170,
    });
    const late = fc.array(fc.tuple(fc.nat(), fc.integer({ min: 1, max: 40 }), fc.nat()), {
      minLength: 3,
      maxLength: 3,
    });
    fc.assert(
      fc.property(many, late, (steps, chances) => {
        let atMs = startMs;
        const log = [
          { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } } as BatchEventBody,
          ...steps.map(([body]) => body),
        ].map((body, i): BatchEvent => {
          atMs += 60_000 * (steps[i]?.[1] ?? 1);
          return { ...body, id: `e${i}`, seq: i + 1, actedAtMs: atMs };
        });
        const isLate = new Map(chances.map(([at, by]) => [45 + (at % (log.length - 90)), by]));
        const told = log
          .map((event, i) => ({ event, told: i + (isLate.get(i) ?? 0) }))
          .sort((a, b) => a.told - b.told)
          .map(({ event }, i) => ({ ...event, seq: i + 1 }));
        let folded = foldOn(snapshot, null, told.slice(0, 1));
        for (const [i, event] of told.entries())
          if (i > 0) {
            folded = foldWith(snapshot, folded, event);
            if (i === told.length - 30) {
              const putDown = JSON.parse(JSON.stringify(folded.state));
              folded = resumeFold(snapshot, JSON.parse(JSON.stringify(told.slice(0, i + 1))), putDown);
            }
          }
        expect(folded.state).toEqual(foldBatch(snapshot, told, 0));
        for (const [, , at] of chances) {
          const whenMs = startMs + (at % (atMs - startMs)) + 30_000;
          const until = told.filter((event) => event.actedAtMs <= whenMs);
          expect(foldedAt(snapshot, folded, whenMs)).toEqual(foldBatch(snapshot, until, whenMs));
        }
      }),
      { seed: 906, numRuns: 12 },
    );
  });

  it('any event undone leaves the log without it; the undo undone brings it back (seed 1140)', () => {
    fc.assert(
      fc.property(logs, fc.nat(), (log, pick) => {
        const target = log[pick % log.length]!;
        const endMs = log.at(-1)!.actedAtMs + 120_000;
        const undo = (id: string, eventId: string, later: number): BatchEvent => ({
          id,
          seq: 900 + later,
          actedAtMs: endMs - 60_000 + later,
          type: 'undone',
          payload: { eventId },
        });
        const without = log.filter((event) => event !== target);
        if (without.length === 0) return;
        const undone = foldBatch(snapshot, [...log, undo('u1', target.id, 1)], endMs);
        expect(undone).toEqual(foldBatch(snapshot, without, endMs));
        const restored = [...log, undo('u1', target.id, 1), undo('u2', 'u1', 2)];
        expect(foldBatch(snapshot, restored, endMs)).toEqual(foldBatch(snapshot, log, endMs));
      }),
      { seed: 1140, numRuns: 80 },
    );
  });

  it('always wants one thing, and says it without stumbling (seed 415)', () => {
    fc.assert(
      fc.property(logs, (log) => {
        const nowMs = log.at(-1)!.actedAtMs + 90_000;
        const state = foldBatch(snapshot, log, nowMs);
        const want = nextAction(snapshot, state, stageClock(snapshot, state), nowMs);
        if (state.questions.length > 0) expect(want.kind).toBe('answer');
        if ('dueMs' in want && want.dueMs !== null && want.kind === 'lookIn') {
          expect(want.dueMs).toBeGreaterThan(nowMs - 1);
        }
      }),
      { seed: 415, numRuns: 80 },
    );
  });

  it('a log that is begun late is begun at its own hour, grown from nothing or folded whole', () => {
    const late: BatchEvent = {
      id: 'late',
      seq: 1,
      actedAtMs: startMs + 40 * 60_000,
      type: 'added',
      payload: { items: itemsFor(snapshot, 'boil') },
    };
    const atMs = late.actedAtMs + 60_000;
    const grown = foldOn(snapshot, foldOn(snapshot, null, []), [late]);
    expect(advanceBatch(grown.state, atMs)).toEqual(foldBatch(snapshot, [late], atMs));
  });
});
