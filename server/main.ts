import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { KitchenSeed } from '../contract';
import { startServer } from './start-server';
import { FileProblem } from './storage';

/** Serves a kitchen from the built application. Run from the project's folder; see README for its environment. */
const root = process.cwd();

try {
  const server = await startServer({
    host: process.env.HOST ?? '127.0.0.1',
    port: portFrom(process.env.PORT),
    dataFolder: resolve(process.env.SLOW_POT_DATA ?? join(root, 'data/kitchen')),
    webFolder: join(root, 'dist/web'),
    buildId: buildId(),
    goesOnWithoutWal: process.env.SLOW_POT_WITHOUT_WAL === 'yes',
    isFresh: process.env.SLOW_POT_FRESH === 'yes',
    ...expectedFrom(process.env.SLOW_POT_KITCHEN),
    ...(await seedFrom(process.env.SLOW_POT_SEED)),
  });
  console.log(`Slow Pot is at ${server.address}`);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, async () => {
      await server.close();
      process.exit(0);
    });
  }
} catch (error) {
  if (!(error instanceof FileProblem) && !isTaken(error)) throw error;
  console.error(error.message);
  process.exit(1);
}

/** What a new kitchen is filled with: a module whose `seed` gives it, as data. */
async function seedFrom(path: string | undefined): Promise<{ seed?: () => KitchenSeed }> {
  if (!path) return {};
  const module = (await import(pathToFileURL(resolve(root, path)).href)) as { seed: () => KitchenSeed };
  return { seed: module.seed };
}

/** The two commands name theirs: one never opens the other's file. */
function expectedFrom(text: string | undefined): { expects?: 'own' | 'demo' } {
  return text === 'own' || text === 'demo' ? { expects: text } : {};
}

function isTaken(error: unknown): error is Error {
  return error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
}

function portFrom(text: string | undefined): number {
  const port = Number(text ?? 4170);
  if (Number.isInteger(port) && port >= 0 && port <= 65_535) return port;
  console.error(`PORT must be a whole number from 0 to 65535, got ${text}`);
  process.exit(1);
}

function buildId(): string {
  try {
    return readFileSync(join(root, 'dist/build-id'), 'utf8').trim();
  } catch {
    return 'development';
  }
}
