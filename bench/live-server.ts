import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seed } from '../demo/seed';
import { startServer } from '../server/start-server';

/** The demo’s kitchen with twenty pots and burners more, served from the built application, for `bench/live.ts` and `bench/tablets.ts`. */
const folder = mkdtempSync(join(tmpdir(), 'slow-pot-bench-'));
const many = Array.from({ length: 20 }, (_, i) => i);
const server = await startServer({
  host: '127.0.0.1',
  port: 0,
  dataFolder: folder,
  webFolder: join(process.cwd(), 'dist/web'),
  buildId: 'bench',
  logLevel: 'error',
  seed: () => {
    const kitchen = seed();
    const pots = many.map((i) => ({
      id: `bench-${i}`,
      name: `pot ${i}`,
      vessel: { shape: 'cylinder' as const, diameterCm: 36, heightCm: 39.3 },
      emptyMassKg: 7.5,
    }));
    const burners = many.map((i) => ({
      id: `bench-${i}`,
      name: `ring ${i}`,
      kind: 'gas' as const,
      powerW: 7000,
      efficiency: 0.4,
      potIds: [`bench-${i}`],
    }));
    const { pot = [], burner = [] } = kitchen.items;
    const items = { ...kitchen.items, pot: [...pot, ...pots], burner: [...burner, ...burners] };
    return { ...kitchen, items };
  },
});
process.send?.({ address: server.address });
process.on('message', async (asked) => {
  if (asked === 'cpu') process.send?.({ cpu: process.cpuUsage() });
  if (asked === 'memory') process.send?.({ memory: process.memoryUsage.rss() });
  if (asked === 'end') {
    await server.close();
    rmSync(folder, { recursive: true, force: true });
    process.exit(0);
  }
});
