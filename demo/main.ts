import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startServer } from '../server/start-server';
import { seedCorrieHalt } from './seed-corrie-halt';

/** Serves the Corrie Halt Buffet from the built application. Run from the project's folder. */
const root = process.cwd();
const webFolder = join(root, 'dist/web');

const server = await startServer({
  host: process.env.HOST ?? '127.0.0.1',
  port: portFrom(process.env.PORT),
  dataFolder: process.env.SLOW_POT_DATA ?? join(root, 'data'),
  migrationsFolder: join(root, 'server/storage/migrations'),
  webFolder,
  buildId: buildId(),
  seed: seedCorrieHalt,
});
console.log(`Slow Pot is at ${server.address}`);

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, async () => {
    await server.close();
    process.exit(0);
  });
}

function portFrom(text: string | undefined): number {
  const port = Number(text ?? 4170);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    console.error(`PORT must be a whole number from 0 to 65535, got ${text}`);
    process.exit(1);
  }
  return port;
}

function buildId(): string {
  try {
    return readFileSync(join(root, 'dist/build-id'), 'utf8').trim();
  } catch {
    return 'development';
  }
}
