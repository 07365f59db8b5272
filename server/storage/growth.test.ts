import { join } from 'node:path';
import Database from 'better-sqlite3';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { BatchView, KitchenView } from '../../contract';
import { chanceOf } from '../../core/testing/chance';
import { seed } from '../../demo/seed';
import { startBatch } from '../batches/start-batch';
import { submitEvent } from '../batches/submit-event';
import { commandKitchen } from '../testing/command-kitchen';
import { doors } from '../testing/doors';
import { RandomCook } from '../testing/random-cook';
import { chowderOrder, lotsOf, said } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { DB_NAME } from './inspect-file';
import { thinSamples } from './sample-rows';

/**
 * The growth law, by the plans of the database: no statement of any page or command walks through a table that grows with
 * the years, unless along an index in the order asked for and to a limit.
 */
const GROWS =
  /^(batches|events|larder_events|lot_numbers|lots|lot_births|orders|answers|samples|sample_spans|clock_segments|batch_heads|lot_entries|kept_lots|arrows|learned_stretches|burner_results|kept_forecasts)$/;

const heard = new Map<string, string>();
let now = 'at start';
const hear = (statement: string) => {
  if (!heard.has(statement)) heard.set(statement, now);
};
const kitchenServer = testKitchen(seed, { onStatement: hear });
const { ask } = kitchenServer;
beforeAll(kitchenServer.start);
afterAll(kitchenServer.remove);

it('no page or command reads what it does not show', async () => {
  // what follows is of a kitchen that is already there
  await kitchenServer.restart();
  heard.clear();
  await kitchenServer.restart();
  const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
  const batch: BatchView = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  const [lot] = await lotsOf(ask);
  for (const [method, path, body] of doors(batch, kitchen, lot!.id)) {
    now = `${method} ${path}${body && 'type' in body ? ` ${body.type}` : ''}`;
    await ask(method, path, body ?? undefined);
  }
  await kitchenServer.stop();
  // and everything that a cook may say, late and undone too
  now = 'said by the random cook';
  const small = commandKitchen({ onStatement: hear });
  const cook = new RandomCook(small, chanceOf(2718), 'growth');
  for (let i = 0; i < 600; i++) cook.step();
  now = 'chores';
  small.storage.transact((tx) => thinSamples(tx, Date.now(), 1000));
  small.remove();
  const db = new Database(join(kitchenServer.folder, DB_NAME));
  const walked: string[] = [];
  for (const [statement, where] of heard) {
    const plan = db.prepare(`EXPLAIN QUERY PLAN ${statement}`).all() as {
      detail: string;
    }[];
    const isOrdered =
      /\blimit\b/i.test(statement) && !plan.some(({ detail }) => /USE TEMP B-TREE/.test(detail));
    for (const { detail } of plan) {
      const [, table, along] = /^SCAN (\S+)(?: USING (?:COVERING )?INDEX (\S+))?/.exec(detail) ?? [];
      if (table && GROWS.test(table) && !(isOrdered && (along || !/where/i.test(statement))))
        walked.push(`${where}: ${detail} in ${statement}`);
    }
  }
  db.close();
  expect(heard.size).toBeGreaterThan(60);
  expect(walked).toEqual([]);
});

it('an entry of a pot that put tubs by asks nothing of the larder, unless it changes what is in them', () => {
  const asked: string[] = [];
  const small = commandKitchen({ onStatement: (statement) => asked.push(statement) });
  const id = uuid();
  startBatch(small, {
    id,
    recipeId: 'broth',
    portions: 20,
    portionMl: 250,
    saltPercent: 0.8,
    band: 2,
    serviceAtMs: small.clock.nowMs() + 4 * 3_600_000,
    potId: 'pot',
    burnerId: 'ring',
    overrideReason: 'measured',
  });
  const tub = { litres: 0.5, place: 'walk-in', storage: 'chilled', overrideReason: 'measured' };
  const say = (type: string, payload: object, more: object = {}) => {
    asked.length = 0;
    submitEvent(small, id, said(type, payload, more));
    return asked.filter((statement) => /lot_entries|kept_lots|lot_births/.test(statement)).length;
  };
  expect(say('added', { items: [{ ingredientId: 'vegetable-stock', kg: 6, tempC: 60 }] })).toBe(0);
  expect(say('stored', { lotId: uuid(), ...tub })).toBeGreaterThan(0);
  expect(say('stored', { lotId: uuid(), ...tub })).toBeGreaterThan(0);
  small.pass(10 * 60_000);
  expect(say('heatSet', { fraction: 0.5 })).toBe(0);
  expect(say('reading', { kind: 'temperature', value: 61 })).toBe(0);
  // salt remembered late was in the tubs: they are weighed up anew
  const late = { items: [{ ingredientId: 'salt', kg: 0.05, tempC: 20 }] };
  expect(say('added', late, { ageMs: 11 * 60_000, confirmed: true })).toBeGreaterThan(0);
  small.remove();
});
