import { fork } from 'node:child_process';
import { v7 as uuid } from 'uuid';
import type { BatchView, KitchenView } from '../contract';
import { EVENT_VERSIONS } from '../core/batch';

/** Whatever came as JSON: these scripts read what they have themselves asked for. */
type Json = ReturnType<typeof JSON.parse>;

export const POTS = 20;

/** An entry of a batch's log as a tablet says it. */
export const said = (type: string, payload: unknown) => ({
  id: uuid(),
  type,
  v: EVENT_VERSIONS.get(type)!,
  payload,
});

/** The demo's kitchen in a process of its own, with twenty sauces on the reduction. */
export async function twentyPots() {
  const child = fork('bench/live-server.ts', [], { execArgv: ['--import', 'tsx'] });
  const heard = (key: string) =>
    new Promise<Json>((resolve) => {
      const listen = (message: Json) => {
        if (!(key in message)) return;
        child.off('message', listen);
        resolve(message[key]);
      };
      child.on('message', listen);
    });
  const address: string = await heard('address');
  const ask = async (method: string, path: string, body?: unknown): Promise<Json> => {
    const answer = await fetch(`${address}/api${path}`, {
      method,
      ...(body ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}),
    });
    const json = await answer.json();
    if (!answer.ok) throw new Error(`${method} ${path}: ${JSON.stringify(json)}`);
    return json;
  };
  const kitchen: KitchenView = await ask('GET', '/kitchen');
  const batches: BatchView[] = [];
  for (let i = 0; i < POTS; i++) {
    const batch: BatchView = await ask('POST', '/batches', {
      id: uuid(),
      recipeId: 'venison-juniper-sauce',
      portions: 40,
      portionMl: 250,
      saltPercent: 0.9,
      band: 3,
      serviceAtMs: kitchen.clock.kitchenFromMs + 9 * 3_600_000,
      potId: `bench-${i}`,
      burnerId: `bench-${i}`,
      overrideReason: 'measured',
    });
    const say = (type: string, payload: unknown) =>
      ask('POST', `/batches/${batch.id}/events`, said(type, payload));
    const { input, plan } = batch.snapshot;
    const fall = input.recipe.stages.find((stage) => stage.ends.rule === 'fall')!;
    const items = plan.lines
      .filter((line) => !line.perBowl && line.edibleKg > 0)
      .map(({ ingredientId, edibleKg, tempC, lineId }) => ({ ingredientId, kg: edibleKg, tempC, lineId }));
    await say('stageBegun', { stageId: fall.id });
    await say('added', { items });
    await say('heatSet', { fraction: 1 });
    batches.push(batch);
  }
  return {
    address,
    ask,
    kitchen,
    batches,
    /** CPU the server has had, µs, and what it holds, bytes */
    async cpu(): Promise<NodeJS.CpuUsage> {
      child.send('cpu');
      return heard('cpu');
    },
    async heldBytes(): Promise<number> {
      child.send('memory');
      return heard('memory');
    },
    end: () => child.send('end'),
  };
}
