import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type RunningServer, type ServerOptions, startServer } from '../start-server';

/** What an answer came to; `json` is null where it is none. */
export interface Answer {
  status: number;
  type: string;
  text: string;
  json: ReturnType<typeof JSON.parse>;
}

/** The real server on a folder of its own, to be asked over HTTP, stopped and started again on the same file. */
export function testKitchen(seed: NonNullable<ServerOptions['seed']>, more: Partial<ServerOptions> = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'slow-pot-'));
  const options: ServerOptions = {
    host: '127.0.0.1',
    port: 0,
    dataFolder: folder,
    buildId: 'test',
    seed,
    logLevel: 'silent',
    ...more,
  };
  let server: RunningServer | undefined;
  const start = async () => {
    server = await startServer(options);
  };
  const stop = async () => {
    await server?.close();
    server = undefined;
  };
  return {
    folder,
    start,
    address: () => server!.address,
    async restart() {
      await stop();
      await start();
    },
    stop,
    async remove() {
      await stop();
      rmSync(folder, { recursive: true });
    },
    async ask(method: string, path: string, body?: unknown): Promise<Answer> {
      const response = await fetch(`${server!.address}/api${path}`, {
        method,
        ...(body === undefined
          ? {}
          : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
      });
      const text = await response.text();
      const type = response.headers.get('content-type') ?? '';
      return { status: response.status, type, text, json: /json/.test(type) ? JSON.parse(text) : null };
    },
  };
}
