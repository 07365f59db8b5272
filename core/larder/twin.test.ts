import { expect, it } from 'vitest';
import { COMPONENTS, INGREDIENT_BY_ID } from '../matter';
import { chanceOf } from '../testing/chance';
import { contentsFor, RULES } from '../testing/larder';
import { DAY, kgOf, Twin } from '../testing/larder-twin';
import {
  contentsOfRow,
  foldLarder,
  type LarderEvent,
  type LarderEventBody,
  type LotDraw,
  type LotLife,
  type LotMade,
  lotKey,
  type ReceivedFood,
  traceArrows,
  useBy,
} from './';

/** After 2,000 random lives of a shelf, with late entries and undos, the larder's books and its twin's say the same. */

const OPENS = Date.UTC(2026, 2, 2, 9);
const CRATES: [string, LotLife][] = [
  ['leek', { rule: 'none' }],
  ['mussel', { rule: 'none' }],
  ['milk', { rule: 'none' }],
];
const LIVES: LotLife[] = [
  { rule: 'dateMark' },
  { rule: 'dateMark' },
  { rule: 'days', days: 28 },
  { rule: 'hours', hours: 48, advisory: 'cold' },
];
const ROWS = ['chicken-stock', 'fish-fumet', 'vegetable-stock'] as const;

type Entry = { atMs: number; seq: number } & ({ made: LotMade } | { draw: LotDraw } | { event: LarderEvent });

/** One random life of a shelf, each entry possible when it is done; some are then undone. */
function lifeOf(seed: number): { entries: Entry[]; undone: LarderEvent[]; nowMs: number } {
  const { uniform, pick } = chanceOf(seed);
  const entries: Entry[] = [];
  const kg = new Map<string, number>();
  const frozen = new Set<string>();
  const used = new Map<string, number>();
  let atMs = OPENS;
  let seq = 0;
  const say = (body: LarderEventBody, received?: ReceivedFood): LarderEvent => {
    seq += 1;
    const event = { ...body, id: `e${seq}`, seq, actedAtMs: atMs, ...(received ? { received } : {}) };
    entries.push({ atMs, seq, event });
    return event;
  };
  const some = (id: string) => Math.round(kg.get(id)! * (0.1 + 0.6 * uniform()) * 1000) / 1000;
  const use = (id: string) => used.set(id, (used.get(id) ?? 0) + 1);
  const partings: { event: LarderEvent; child: string }[] = [];
  const steps = 8 + Math.floor(uniform() * 14);
  for (let n = 0; n < steps; n++) {
    atMs += Math.floor(uniform() ** 2 * 40 * 3_600_000) + 60_000;
    const there = [...kg].filter(([, left]) => left > 0.2).map(([id]) => id);
    const cold = there.filter((id) => !frozen.has(id));
    const act = uniform();
    const id = there.length > 0 ? pick(there) : '';
    if (there.length < 2 || act < 0.14) {
      const lotId = `L${n}`;
      const batchId = uniform() < 0.4 ? 'pot' : `b${n}`;
      seq += 1;
      const made: LotMade = {
        eventId: `m${n}`,
        seq,
        atMs,
        birth: {
          lotId,
          kg: 4 + Math.round(uniform() * 100) / 10,
          contents: contentsFor(pick(ROWS)),
          centsPerKg: Math.round(uniform() * 500),
          place: 'x',
          storage: 'chilled',
          origin: { kind: 'batch', batchId },
          madeAtMs: atMs,
          life: pick(LIVES),
          frozenMonths: 3,
        },
      };
      entries.push({ atMs, seq, made });
      kg.set(lotId, made.birth.kg);
    } else if (act < 0.26) {
      const [ingredientId, life] = pick(CRATES);
      const lotId = `C${n}`;
      const useByMs = uniform() < 0.5 ? atMs + Math.floor(uniform() * 9 * DAY) : undefined;
      say(
        {
          type: 'delivered',
          payload: {
            lotId,
            ingredientId,
            kg: 6,
            supplier: 's',
            place: 'x',
            storage: 'chilled',
            ...(useByMs ? { useByMs } : {}),
            ...(ingredientId === 'mussel' ? { tag: `T${n}` } : {}),
          },
        },
        { contents: contentsOfRow(INGREDIENT_BY_ID[ingredientId]!), centsPerKg: 300, life, frozenMonths: 3 },
      );
      kg.set(lotId, 6);
    } else if (act < 0.42 && cold.length > 0) {
      const lotId = pick(cold);
      const take = some(lotId);
      seq += 1;
      entries.push({
        atMs,
        seq,
        draw: { eventId: `d${n}`, seq, atMs, lotId, batchId: uniform() < 0.5 ? 'pot' : `s${n}`, kg: take },
      });
      kg.set(lotId, kg.get(lotId)! - take);
      use(lotId);
    } else if (act < 0.58) {
      const take = some(id);
      const child = `P${n}`;
      const storage = frozen.has(id) || uniform() < 0.3 ? 'frozen' : 'chilled';
      partings.push({
        event: say({ type: 'split', payload: { lotId: id, toLotId: child, kg: take, place: 'y', storage } }),
        child,
      });
      kg.set(id, kg.get(id)! - take);
      kg.set(child, take);
      if (storage === 'frozen') frozen.add(child);
      use(id);
    } else if (act < 0.74 && cold.length > 1) {
      const names = [...new Set([pick(cold), pick(cold), pick(cold)])];
      const parts = names.map((lotId) => ({ lotId, kg: some(lotId) }));
      const waterKg = uniform() < 0.4 ? 1 : 0;
      say({
        type: 'blended',
        payload: { toLotId: `B${n}`, name: 'mix', parts, waterKg, place: 'z', storage: 'chilled' },
      });
      for (const part of parts) {
        kg.set(part.lotId, kg.get(part.lotId)! - part.kg);
        use(part.lotId);
      }
      kg.set(
        `B${n}`,
        parts.reduce((sum, part) => sum + part.kg, waterKg),
      );
    } else if (act < 0.86) {
      if (frozen.has(id)) {
        say({ type: 'thawed', payload: { lotId: id, place: 'x' } });
        frozen.delete(id);
      } else {
        say({ type: 'frozen', payload: { lotId: id, place: 'f' } });
        frozen.add(id);
      }
    } else if (act < 0.92) {
      const take = some(id);
      say({ type: 'discarded', payload: { lotId: id, kg: take, reason: 'r' } });
      kg.set(id, kg.get(id)! - take);
      use(id);
    } else {
      const count = Math.round(kg.get(id)! * (0.8 + 0.3 * uniform()) * 1000) / 1000;
      say({ type: 'counted', payload: { lotId: id, kg: count, note: 'n' } });
      kg.set(id, count);
      use(id);
    }
  }
  // what nothing stands on is undone now and then; and the entries come in any order
  const undone = partings.filter(({ child }) => !used.has(child) && uniform() < 0.5).map((one) => one.event);
  return { entries, undone, nowMs: atMs + 60_000 };
}

it('2,000 random lives of a shelf: kilograms, each component, money, allergens, dates, tags and arrows agree with the twin', () => {
  let undos = 0;
  let lots = 0;
  for (let seed = 1; seed <= 2000; seed++) {
    const { entries, undone, nowMs } = lifeOf(seed);
    undos += undone.length;
    const events = entries.flatMap((one) => ('event' in one ? [one.event] : []));
    const undoing: LarderEvent[] = undone.map((event, i) => ({
      id: `u${i}`,
      seq: 900 + i,
      actedAtMs: nowMs,
      type: 'undone',
      payload: { eventId: event.id },
    }));
    const shuffled = [...events, ...undoing].sort((a, b) => ((a.seq * 7919) % 101) - ((b.seq * 7919) % 101));
    const larder = foldLarder({
      made: entries.flatMap((one) => ('made' in one ? [one.made] : [])),
      draws: entries.flatMap((one) => ('draw' in one ? [one.draw] : [])),
      events: shuffled,
    });
    const twin = new Twin();
    const gone = new Set(undone.map((event) => event.id));
    const lostLots = new Set(
      undone.flatMap((event) => (event.type === 'split' ? [event.payload.toLotId] : [])),
    );
    for (const one of entries) {
      if ('made' in one) twin.born(one.made.birth.lotId, one.made);
      else if ('draw' in one) twin.draw(one.draw);
      else if (
        !gone.has(one.event.id) &&
        !('lotId' in one.event.payload && lostLots.has(one.event.payload.lotId))
      )
        twin.shelf(one.event);
    }
    const about = `seed ${seed}`;
    expect([...larder.lots.keys()].sort(), about).toEqual([...twin.tubs.keys()].sort());
    for (const [id, lot] of larder.lots) {
      lots += 1;
      const tub = twin.tubs.get(id)!;
      const said = `${about}, ${id}`;
      expect(lot.leftKg, said).toBeCloseTo(kgOf(tub), 6);
      for (const name of COMPONENTS)
        expect(1000 * lot.contents.perKg[name] * lot.leftKg, `${said} ${name}`).toBeCloseTo(
          tub.grams[name]!,
          3,
        );
      expect(lot.centsPerKg * lot.leftKg, said).toBeCloseTo(tub.cents, 4);
      expect([...lot.contents.allergens].sort(), said).toEqual([...tub.allergens].sort());
      expect([...lot.tags].sort(), said).toEqual([...tub.tags].sort());
      expect(lot.madeAtMs, `${said} made`).toBe(tub.madeMs);
      const by = useBy(lot, RULES)?.atMs ?? null;
      expect(by, `${said} use by`).toBe(twin.useBy(id, nowMs));
    }
    const pairs = (list: readonly { from: string; to: string }[]) =>
      [...new Set(list.map((one) => `${one.from} > ${one.to}`))].sort();
    expect(pairs(larder.arrows), about).toEqual(pairs(twin.arrows.map(([from, to]) => ({ from, to }))));
    // recall, both ways, by walking the twin's arrows
    const start = [...larder.lots.keys()][seed % larder.lots.size]!;
    const reach = (near: 0 | 1): string[] => {
      const found = new Set<string>();
      const queue = [`lot ${start}`];
      for (const key of queue)
        for (const arrow of twin.arrows)
          if (arrow[near] === key && !found.has(arrow[1 - near]!) && arrow[1 - near] !== `lot ${start}`) {
            found.add(arrow[1 - near]!);
            queue.push(arrow[1 - near]!);
          }
      return [...found].sort();
    };
    const trace = traceArrows(larder.arrows, lotKey(start));
    const keys = (steps: typeof trace.into) => steps.map((step) => `${step.kind} ${step.id}`).sort();
    expect([keys(trace.into), keys(trace.from)], about).toEqual([reach(0), reach(1)]);
  }
  expect(undos).toBeGreaterThan(300);
  expect(lots).toBeGreaterThan(8000);
});
