import { type ChildProcess, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { freePort } from '../../e2e/demo-server';

export type Json = ReturnType<typeof JSON.parse>;

/** A kitchen of so many closed batches, served. */
export interface Kitchen {
  size: number;
  url: string;
  child: ChildProcess;
  startMs: number;
  ask(method: string, path: string, body?: unknown): Promise<Json>;
  bytes(path: string): Promise<number>;
  rssMb(): number;
}

/** The built server on a folder, and how long it took until it answered. */
export async function serve(size: number, folder: string): Promise<Kitchen> {
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const began = performance.now();
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, PORT: String(port), SLOW_POT_DATA: folder },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (;;) {
    const isUp = await fetch(`${url}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) break;
    if (child.exitCode !== null) throw new Error(`the server of ${size} did not come up`);
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  const startMs = performance.now() - began;
  return {
    size,
    url,
    child,
    startMs,
    async ask(method, path, body) {
      const answer = await fetch(`${url}/api${path}`, {
        method,
        ...(body ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}),
      });
      const json = (await answer.json()) as Json;
      if (!answer.ok) throw new Error(`${method} ${path}: ${JSON.stringify(json).slice(0, 300)}`);
      return json;
    },
    bytes: async (path) => (await (await fetch(`${url}/api${path}`)).arrayBuffer()).byteLength,
    rssMb: () =>
      Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))![1]) / 1000,
  };
}

export async function stop({ child }: Kitchen): Promise<void> {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}
