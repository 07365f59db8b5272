import { v7 as uuid } from 'uuid';
import { afterEach, describe, expect, it } from 'vitest';
import type { DrawPart } from '../../contract';
import { type BatchSnapshot, type BatchState, holdsInPot } from '../../core/batch';
import { batchKey, traceArrows } from '../../core/larder';
import { INGREDIENT_BY_ID, type Ingredient, massKg, operations, whole } from '../../core/matter';
import { chanceOf } from '../../core/testing/chance';
import { seed } from '../../demo/seed';
import { kitchenView } from '../kitchen/kitchen-view';
import { arrowsAround, keptLot, rebuild } from '../storage';
import { keptState } from '../storage/kept-state';
import { type CommandKitchen, commandKitchen } from '../testing/command-kitchen';
import { chowderOrder, said } from '../testing/say';
import { isAside } from './batch-logs';
import { startBatch } from './start-batch';
import { startPart } from './start-part';
import { submitEvent } from './submit-event';

let kitchen: CommandKitchen;
afterEach(() => kitchen?.remove());

const FOODS = ['salt', 'red-wine', 'milk', 'flour', 'water', 'celeriac'] as const;
/** Where each pot of the tree stands, from the first down. */
const PLACES = [
  ['kettle-60', 'jacket'],
  ['stockpot-40', 'gas-2'],
  ['rondeau-24', 'gas-1'],
  ['saucepan-4', 'gas-3'],
] as const;

function open(atMs?: number) {
  kitchen = commandKitchen({ seed, ...(atMs === undefined ? {} : { atMs }) });
  const view = kitchenView(kitchen);
  const order = chowderOrder(view, 1, {
    overrideReason: 'as a test',
    potId: 'kettle-60',
    burnerId: 'jacket',
  });
  return startBatch(kitchen, order as never).batch;
}

const say = (batchId: string, type: string, payload: object, more: object = {}) =>
  submitEvent(kitchen, batchId, said(type, payload, more)).event;

const put = (batchId: string, ingredientId: string, kg: number, more: object = {}) =>
  say(batchId, 'added', { items: [{ ingredientId, kg, tempC: 20 }] }, more);

function stateOf(batchId: string): BatchState {
  const batch = kitchen.logs.of(batchId);
  if (isAside(batch)) throw new Error(batch.broken.why);
  return batch.log.state;
}
const snapshotOf = (batchId: string) => kitchen.logs.of(batchId).row!.snapshot;

const draw = (parentId: string, depth: number, litres: number, more: Partial<DrawPart> = {}): string => {
  const [potId, burnerId] = PLACES[depth]!;
  const id = uuid();
  const wanted = {
    id,
    eventId: uuid(),
    litres,
    name: `Part ${depth}`,
    potId,
    burnerId,
    kinds: [],
    leaveOut: [],
  };
  startPart(kitchen, parentId, { ...wanted, ...more });
  return id;
};

/** All there is in some pots together, kg, grams and money. */
function together(ids: readonly string[]) {
  const states = ids.map(stateOf);
  const sum = (of: (state: BatchState) => number) => states.reduce((all, state) => all + of(state), 0);
  return {
    kg: sum(({ pot }) => massKg(pot.mixture) + pot.evaporatedKg),
    salt: sum(({ pot }) => whole(pot.mixture).salt),
    alcohol: sum(({ pot }) => whole(pot.mixture).alcohol),
    cents: sum(({ costCents, parts }) => costCents - parts.reduce((all, part) => all + part.costCents, 0)),
  };
}

describe('a part of a pot', () => {
  it('begins with what the pot held: allergens, salt, cost, warmth; and goes on by itself', () => {
    const { id } = open();
    put(id, 'water', 8);
    put(id, 'smoked-trout', 1);
    put(id, 'salt', 0.05);
    const before = stateOf(id);
    const child = draw(id, 1, 2, {
      name: 'Without milk',
      kinds: [{ id: 'k', word: 'bowl', ml: 250, count: 6, freeOf: ['milk'] }],
    });
    const part = stateOf(child);
    const share = massKg(part.pot.mixture) / massKg(before.pot.mixture);
    expect(operations.saltPercent(part.pot.mixture, 'all')).toBeCloseTo(
      operations.saltPercent(before.pot.mixture, 'all'),
      9,
    );
    expect(part.costCents).toBeCloseTo(share * before.costCents, 6);
    expect(part.pot.tempC).toBeCloseTo(before.pot.tempC, 6);
    expect(holdsInPot(snapshotOf(child), part).allergens).toEqual(['fish']);
    // what goes into the one from here on is not in the other
    put(id, 'milk', 1);
    expect(holdsInPot(snapshotOf(child), stateOf(child)).allergens).toEqual(['fish']);
    const bowl = { portions: 1, fate: 'served', kindId: 'k' };
    expect(say(child, 'portioned', bowl).flag).toBeNull();
    put(child, 'milk', 0.1);
    expect(() => say(child, 'portioned', { ...bowl, overrideReason: 'they insist' })).toThrow(
      /Not for this guest: milk/,
    );
  });
  it('a late word and an undo above are another beginning below, through three generations', () => {
    const { id } = open();
    const wine = put(id, 'red-wine', 2);
    put(id, 'water', 8);
    kitchen.pass(10 * 60_000);
    const child = draw(id, 1, 5);
    kitchen.pass(60_000);
    const grandchild = draw(child, 2, 2);
    kitchen.pass(60_000);
    const saltOf = () =>
      [id, child, grandchild].map((one) => operations.saltPercent(stateOf(one).pot.mixture, 'all'));
    expect(saltOf()[2]).toBeLessThan(0.05);
    // it had gone in before the first draw, and was told after the last
    put(id, 'salt', 0.1, { ageMs: 11 * 60_000 });
    const [one, two, three] = saltOf() as [number, number, number];
    // but for what steams off each by itself in a minute at 20 °C
    expect(two).toBeCloseTo(one, 3);
    expect(three).toBeCloseTo(one, 3);
    expect(one).toBeGreaterThan(0.9);
    say(id, 'undone', { eventId: wine.id });
    for (const each of [id, child, grandchild]) {
      expect(whole(stateOf(each).pot.mixture).alcohol).toBeCloseTo(0, 12);
      expect(holdsInPot(snapshotOf(each), stateOf(each)).allergens).toEqual([]);
    }
    const kept = keptState(kitchen.storage.db);
    rebuild(kitchen.storage);
    expect(keptState(kitchen.storage.db)).toEqual(kept);
    const before = stateOf(grandchild).pot.mixture;
    kitchen = kitchen.reopen();
    expect(stateOf(grandchild).pot.mixture).toEqual(before);
  });
  it('is recalled both ways, from a lot to the last pot and its bowls', () => {
    const { id } = open();
    const lot = firstLot();
    say(id, 'added', { items: [{ ingredientId: lot.ingredientId, kg: 3, tempC: 5, lotId: lot.id }] });
    const child = draw(id, 1, 1.5);
    const grandchild = draw(child, 2, 0.7);
    say(grandchild, 'portioned', { portions: 1, fate: 'served' });
    const { db } = kitchen.storage;
    const reached = traceArrows(arrowsAround(db, `lot ${lot.id}`), `lot ${lot.id}`).into.map(
      (step) => step.id,
    );
    expect(reached).toEqual(expect.arrayContaining([id, child, grandchild]));
    const from = traceArrows(arrowsAround(db, batchKey(grandchild)), batchKey(grandchild)).from;
    expect(from.map((step) => step.id)).toEqual(expect.arrayContaining([child, id, lot.id]));
    expect(keptLot(db, lot.id)).toBeTruthy();
  });
  it('taken back untouched it is none, and its pot is free; with something done in it, it stands', () => {
    const { id } = open();
    put(id, 'water', 8);
    const child = draw(id, 1, 2);
    const drawn = stateOf(id).parts[0]!.eventId;
    const whole = massKg(stateOf(id).pot.mixture);
    const undo = say(id, 'undone', { eventId: drawn });
    expect(massKg(stateOf(id).pot.mixture)).toBeGreaterThan(whole + 1.9);
    expect(kitchen.logs.of(child).row!.closedAtMs).not.toBeNull();
    expect(massKg(stateOf(child).pot.mixture)).toBe(0);
    say(id, 'undone', { eventId: undo.id });
    expect(kitchen.logs.of(child).row!.closedAtMs).toBeNull();
    // undone, its pot is another's by the time the undo is undone
    const again = say(id, 'undone', { eventId: drawn });
    const view = kitchenView(kitchen);
    const other = startBatch(
      kitchen,
      chowderOrder(view, 1, {
        overrideReason: 'as a test',
        potId: 'stockpot-40',
        burnerId: 'gas-2',
      }) as never,
    ).batch;
    expect(() => say(id, 'undone', { eventId: again.id })).toThrow(/stockpot.*chowder/i);
    say(other.id, 'closed', { leftLitres: 0 });
    say(id, 'undone', { eventId: again.id });
    put(child, 'water', 0.1);
    expect(() => say(id, 'undone', { eventId: drawn })).toThrow(/has gone on as part 1/);
  });
  it('larger than its pot, it is all there was: kept, and marked; wrong places are refused and change nothing', () => {
    const { id } = open();
    put(id, 'water', 3);
    const bad = (more: Partial<DrawPart>) => () => draw(id, 1, 2, more);
    expect(bad({ potId: 'kettle-60' })).toThrow(/does not go on|cooking/);
    expect(bad({ potId: 'no-pot' })).toThrow(/no pot/);
    expect(bad({ burnerId: 'jacket', potId: 'kettle-60' })).toThrow(/kettle/i);
    expect(stateOf(id).parts).toEqual([]);
    const child = draw(id, 1, 30);
    expect(massKg(stateOf(child).pot.mixture)).toBeCloseTo(3, 6);
    expect(massKg(stateOf(id).pot.mixture)).toBeCloseTo(0, 9);
    const drawn = kitchen.logs.of(id).events.find((event) => event.type === 'drawnOff')!;
    expect(drawn.flag).toMatchObject({ code: 'drawnBeyond' });
  });
  it('one portion finished with mussels: what goes in, two minutes under a lid, the shells’ caution', () => {
    const { id } = open();
    put(id, 'water', 8);
    const child = draw(id, 3, 0.3, {
      name: 'With mussels',
      kinds: [{ id: 'k', word: 'bowl', ml: 300, count: 1 }],
      finish: { finishId: 'shellfish', ingredientId: 'mussel' },
    });
    const { input, plan } = snapshotOf(child);
    expect(plan.lines.find((line) => line.ingredientId === 'mussel')!.edibleKg).toBeCloseTo(0.12, 9);
    expect(input.recipe.stages[0]).toMatchObject({ lid: 'on', ends: { rule: 'minutes', minutes: 2 } });
    expect(input.recipe.stages[0]!.caution).toMatch(/unopened/);
    expect(snapshotOf(child).holds!.allergens).toContain('molluscs');
  });
  it.each([
    3, 7, 19, 23, 41, 58,
  ])('over any tree nothing is made or lost, late words and undos included (seed %d)', (s) => {
    const chance = chanceOf(s);
    const { id } = open();
    const ids = [id];
    const added = new Map<string, { ingredientId: string; kg: number }>();
    const add = (batchId: string, more: object = {}) => {
      const what = { ingredientId: chance.pick(FOODS), kg: chance.between(0.02, 0.15) };
      added.set(put(batchId, what.ingredientId, what.kg, more).id, what);
    };
    put(id, 'water', 10);
    for (let step = 0; step < 40; step++) {
      kitchen.pass(chance.between(1, 4) * 60_000);
      const batchId = chance.pick(ids);
      if (chance.isOneIn(4) && ids.length < PLACES.length) {
        ids.push(draw(ids.at(-1)!, ids.length, chance.between(0.3, 2)));
      } else if (chance.isOneIn(5) && added.size > 0) {
        const eventId = chance.pick([...added.keys()]);
        const of = ids.find((one) => kitchen.logs.of(one).events.some((event) => event.id === eventId))!;
        say(of, 'undone', { eventId });
        added.delete(eventId);
      } else add(batchId, chance.isOneIn(3) ? { ageMs: chance.between(1, 3) * 60_000 } : {});
    }
    const all = together(ids);
    const { input } = snapshotOf(id);
    const put1 = [{ ingredientId: 'water', kg: 10 }, ...added.values()];
    const sum = (of: (row: Ingredient, kg: number) => number) =>
      put1.reduce((total, { ingredientId, kg }) => total + of(INGREDIENT_BY_ID[ingredientId]!, kg), 0);
    expect(all.kg).toBeCloseTo(
      sum((_, kg) => kg),
      9,
    );
    expect(all.salt).toBeCloseTo(
      sum((row, kg) => kg * row.perKg.salt),
      9,
    );
    expect(all.alcohol).toBeCloseTo(
      sum((row, kg) => kg * row.perKg.alcohol),
      9,
    );
    expect(all.cents).toBeCloseTo(
      put1.reduce((total, one) => total + costOf({ input }, one), 0),
      6,
    );
    expect(ids.length).toBeGreaterThan(1);
    for (const [i, child] of ids.entries()) {
      const { origin } = snapshotOf(child);
      if (i === 0) continue;
      const part = stateOf(ids[i - 1]!).parts.find((one) => one.childId === child)!;
      expect(origin!.drawn).toEqual(part);
      expect(stateOf(child).pot.addedKg).toBeGreaterThanOrEqual(part.kg - 1e-9);
    }
  });
});

/** What a food costs in a batch that has its price. */
function costOf(
  { input }: Pick<BatchSnapshot, 'input'>,
  { ingredientId, kg }: { ingredientId: string; kg: number },
) {
  const price = input.pricesCentsPerKg[ingredientId] ?? 0;
  return (kg / INGREDIENT_BY_ID[ingredientId]!.yield) * price;
}

function firstLot() {
  const { db } = kitchen.storage;
  const kept = keptState(db).keptLots.find(({ lot }) => lot.leftKg > 3.2 && lot.contents.share === 'liquid')!;
  return { id: kept.lotId, ingredientId: kept.lot.contents.satisfies.at(-1)! };
}
