import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The real server on a folder of its own, that can be stopped and started while a page is open. */
export interface DemoServer {
  url: string;
  start(): Promise<void>;
  stop(): Promise<void>;
  /** as a power cut does it: at once, in the middle of whatever it does */
  kill(): Promise<void>;
  folder: string;
  remove(): Promise<void>;
}

/** @param folder one with a kitchen in it; without it the demo's is made in a new one */
export const demoServer = (folder?: string): Promise<DemoServer> =>
  serverOf({ SLOW_POT_SEED: 'dist/demo/seed.js' }, folder);

/** A cook's own kitchen, as `npm start` serves it: empty in a new folder. */
export const ownServer = (folder?: string): Promise<DemoServer> =>
  serverOf({ SLOW_POT_KITCHEN: 'own' }, folder);

async function serverOf(
  env: Readonly<Record<string, string>>,
  folder = mkdtempSync(join(tmpdir(), 'slow-pot-e2e-')),
): Promise<DemoServer> {
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  let child: ChildProcess | null = null;

  async function start(): Promise<void> {
    child = spawn(process.execPath, ['dist/server/main.js'], {
      env: {
        ...process.env,
        PORT: String(port),
        SLOW_POT_DATA: folder,
        ...env,
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    for (let tries = 0; tries < 600; tries++) {
      const isUp = await fetch(`${url}/api/health`).then(
        (response) => response.ok,
        () => false,
      );
      if (isUp) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('the server did not come up');
  }

  async function end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const running = child;
    child = null;
    if (!running) return;
    const ended = new Promise((resolve) => running.once('exit', resolve));
    running.kill(signal);
    await ended;
  }
  const stop = () => end('SIGTERM');

  return {
    url,
    start,
    stop,
    kill: () => end('SIGKILL'),
    folder,
    async remove() {
      await stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}
