import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type ServerOptions, startServer } from '../start-server';

/** What an answer came to; `json` is null where it is none. */
export interface Answer {
  status: number;
  type: string;
  text: string;
  json: ReturnType<typeof JSON.parse>;
}

/** The real server on a folder of its own, to be asked over HTTP, stopped and started again on the same file. */
export function testKitchen(seed: NonNullable<ServerOptions['seed']>) {
  const folder = mkdtempSync(join(tmpdir(), 'slow-pot-'));
  const options: ServerOptions = {
    host: '127.0.0.1',
    port: 0,
    dataFolder: folder,
    buildId: 'test',
    seed,
    logLevel: 'silent',
  };
  let server: Awaited<ReturnType<typeof startServer>>;
  const start = async () => {
    server = await startServer(options);
  };
  return {
    start,
    address: () => server.address,
    async restart() {
      await server.close();
      await start();
    },
    async remove() {
      await server.close();
      rmSync(folder, { recursive: true });
    },
    async ask(method: string, path: string, body?: unknown): Promise<Answer> {
      const response = await fetch(`${server.address}/api${path}`, {
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
