import { expect, it } from 'vitest';
import { type Allergen, COMPONENTS, INGREDIENT_BY_ID } from '../matter';
import { chanceOf } from '../testing/chance';
import { contentsFor, RULES } from '../testing/larder';
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

/**
 * The larder's twin: another bookkeeper's books, who knows nothing of folds. Tubs on a table; each entry, in the order it
 * happened, is done to them by hand. After 2,000 random sequences of all that is done on a shelf, with late entries and
 * undos, both books say the same.
 */

/** A date as the twin writes it: what it was made for, and days on a wall calendar of its own. */
interface Date_ {
  life: LotLife;
  madeDay: number;
  madeMs: number;
  outDays: Set<number>;
  outMs: number;
  /** when hours that were counted ran out */
  ranOutMs?: number;
}
interface Tub {
  grams: Record<string, number>;
  cents: number;
  allergens: Set<Allergen>;
  dates: Date_[];
  tags: Set<string>;
  isFrozen: boolean;
  sinceMs: number;
  from: Set<string>;
}
const DAY = 86_400_000;
const dayOf = (ms: number) => Math.floor(ms / DAY);
const kgOf = (tub: Tub) => Object.values(tub.grams).reduce((a, b) => a + b, 0) / 1000;
/** Whatever stood out of the freezer until now has lived so long. */
function live(tub: Tub, nowMs: number): void {
  if (tub.isFrozen) return;
  for (const date of tub.dates) {
    for (let day = dayOf(tub.sinceMs); day <= dayOf(nowMs); day++) date.outDays.add(day);
    const hours = date.life.rule === 'hours' ? date.life.hours * 3_600_000 : Number.POSITIVE_INFINITY;
    const outMs = date.outMs + nowMs - tub.sinceMs;
    if (date.outMs <= hours && outMs > hours) date.ranOutMs = tub.sinceMs + hours - date.outMs;
    date.outMs = outMs;
  }
  tub.sinceMs = nowMs;
}
const copyDate = (date: Date_): Date_ => ({ ...date, outDays: new Set(date.outDays) });
const newDate = (life: LotLife, ms: number): Date_ => ({
  life,
  madeDay: dayOf(ms),
  madeMs: ms,
  outDays: new Set([dayOf(ms)]),
  outMs: 0,
});

class Twin {
  readonly tubs = new Map<string, Tub>();
  readonly arrows: [string, string][] = [];
  readonly soups = new Map<string, Set<string>>();

  private tub(
    kg: number,
    perKg: Record<string, number>,
    cents: number,
    allergens: Iterable<Allergen>,
    life: LotLife,
    atMs: number,
    tags: string[] = [],
  ): Tub {
    const grams = Object.fromEntries(COMPONENTS.map((one) => [one, perKg[one]! * kg * 1000]));
    return {
      grams,
      cents,
      allergens: new Set(allergens),
      dates: life.rule === 'none' ? [] : [newDate(life, atMs)],
      tags: new Set(tags),
      isFrozen: false,
      sinceMs: atMs,
      from: new Set(),
    };
  }
  born(id: string, made: LotMade): void {
    const { birth } = made;
    const tub = this.tub(
      birth.kg,
      { ...birth.contents.perKg },
      birth.kg * birth.centsPerKg,
      birth.contents.allergens,
      birth.life,
      made.atMs,
    );
    const batch = birth.origin.kind === 'batch' ? birth.origin.batchId : '';
    // as old as the oldest made thing that went into its pot, and holding what went into it
    for (const one of this.inPot.get(batch) ?? []) {
      for (const date of one.dates) {
        const cooked = { ...copyDate(date), life: { rule: 'dateMark' as const } };
        for (let day = dayOf(one.atMs); day <= dayOf(made.atMs); day++) cooked.outDays.add(day);
        tub.dates.push(cooked);
      }
      for (const allergen of one.allergens) tub.allergens.add(allergen);
    }
    for (const date of tub.dates) date.outDays.add(dayOf(made.atMs));
    this.tubs.set(id, tub);
    this.arrows.push([`batch ${batch}`, `lot ${id}`]);
  }
  readonly inPot = new Map<string, { atMs: number; dates: Date_[]; allergens: Set<Allergen> }[]>();

  private take(id: string, kg: number): { share: number; tub: Tub } {
    const tub = this.tubs.get(id)!;
    const share = kgOf(tub) > 0 ? kg / kgOf(tub) : 0;
    for (const name of Object.keys(tub.grams)) tub.grams[name] = tub.grams[name]! * (1 - share);
    tub.cents *= 1 - share;
    return { share, tub };
  }
  draw({ lotId, kg, batchId, atMs }: LotDraw): void {
    const tub = this.tubs.get(lotId)!;
    live(tub, atMs);
    const dates = tub.dates
      .filter(({ life }) => !this.isCrate(lotId) && (life.rule === 'dateMark' || life.rule === 'hours'))
      .map(copyDate);
    this.inPot.set(batchId, [
      ...(this.inPot.get(batchId) ?? []),
      { atMs, dates, allergens: new Set(tub.allergens) },
    ]);
    this.take(lotId, kg);
    this.arrows.push([`lot ${lotId}`, `batch ${batchId}`]);
  }
  readonly crates = new Set<string>();
  private isCrate(id: string): boolean {
    return this.crates.has(id);
  }
  shelf(event: LarderEvent): void {
    const atMs = event.actedAtMs;
    const { type, payload } = event;
    const of = (id: string) => {
      const tub = this.tubs.get(id)!;
      live(tub, atMs);
      return tub;
    };
    if (type === 'delivered') {
      const { contents, centsPerKg, life } = event.received!;
      const { lotId, kg, tag, useByMs } = payload;
      const own: LotLife = useByMs === undefined ? life : { rule: 'given', useByMs };
      this.tubs.set(
        lotId,
        this.tub(kg, { ...contents.perKg }, kg * centsPerKg, contents.allergens, own, atMs, tag ? [tag] : []),
      );
      this.crates.add(lotId);
    } else if (type === 'split') {
      const { lotId, toLotId, kg } = payload;
      const parent = of(lotId);
      const cents = (parent.cents * kg) / kgOf(parent);
      const grams = Object.fromEntries(
        Object.entries(parent.grams).map(([name, g]) => [name, (g * kg) / kgOf(parent)]),
      );
      const child: Tub = {
        grams,
        cents,
        allergens: new Set(parent.allergens),
        dates: parent.dates.map(copyDate),
        tags: new Set(parent.tags),
        isFrozen: payload.storage === 'frozen',
        sinceMs: parent.isFrozen && payload.storage === 'frozen' ? parent.sinceMs : atMs,
        from: new Set(),
      };
      if (!child.isFrozen) for (const date of child.dates) date.outDays.add(dayOf(atMs));
      this.take(lotId, kg);
      this.tubs.set(toLotId, child);
      this.arrows.push([`lot ${lotId}`, `lot ${toLotId}`]);
    } else if (type === 'blended') {
      const { toLotId, parts, waterKg } = payload;
      const mix: Tub = {
        grams: Object.fromEntries(COMPONENTS.map((one) => [one, 0])),
        cents: 0,
        allergens: new Set(),
        dates: [],
        tags: new Set(),
        isFrozen: false,
        sinceMs: atMs,
        from: new Set(),
      };
      mix.grams.water = waterKg * 1000;
      for (const { lotId, kg } of parts) {
        const tub = of(lotId);
        const share = kg / kgOf(tub);
        for (const name of Object.keys(tub.grams))
          mix.grams[name] = mix.grams[name]! + tub.grams[name]! * share;
        mix.cents += tub.cents * share;
        for (const allergen of tub.allergens) mix.allergens.add(allergen);
        for (const date of tub.dates) mix.dates.push(copyDate(date));
        for (const tag of tub.tags) mix.tags.add(tag);
        this.take(lotId, kg);
        this.arrows.push([`lot ${lotId}`, `lot ${toLotId}`]);
      }
      if (mix.dates.length === 0) mix.dates.push(newDate({ rule: 'dateMark' }, atMs));
      this.tubs.set(toLotId, mix);
    } else if (type === 'frozen') of(payload.lotId).isFrozen = true;
    else if (type === 'thawed') {
      const tub = of(payload.lotId);
      tub.isFrozen = false;
      tub.sinceMs = atMs;
      for (const date of tub.dates) date.outDays.add(dayOf(atMs));
    } else if (type === 'discarded') {
      of(payload.lotId);
      this.take(payload.lotId, payload.kg);
    } else if (type === 'counted') {
      const tub = of(payload.lotId);
      this.take(payload.lotId, kgOf(tub) - payload.kg);
    } else if (type === 'fatLifted') {
      const tub = of(payload.lotId);
      tub.grams.fat = tub.grams.fat! - payload.kg * 1000;
    }
  }
  /** The last moment it may be used, by counting days on the wall until they are used up. */
  useBy(id: string, nowMs: number): number | null {
    const tub = this.tubs.get(id)!;
    const ends = tub.dates.flatMap((date): number[] => {
      if (date.life.rule === 'given') return [date.life.useByMs];
      if (date.life.rule === 'hours') {
        if (date.ranOutMs !== undefined) return [date.ranOutMs];
        return tub.isFrozen ? [] : [tub.sinceMs + date.life.hours * 3_600_000 - date.outMs];
      }
      const days = date.life.rule === 'days' ? date.life.days : RULES.dateMarkDays;
      const counted = [...date.outDays].sort((a, b) => a - b);
      const end = (day: number) => (day + 1) * DAY - 1;
      if (counted.length > days) return [end(counted[days - 1]!)];
      if (tub.isFrozen)
        return counted.length === days && end(counted.at(-1)!) < tub.sinceMs ? [end(counted.at(-1)!)] : [];
      const last = counted.at(-1)!;
      return [end(last + days - counted.length)];
    });
    void nowMs;
    return ends.length > 0 ? Math.min(...ends) : null;
  }
}

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
}, 120_000);
