import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import type { KitchenSeed } from '../contract';
import { createBatchLogs } from './batches/batch-logs';
import { type KitchenClock, openKitchenClock } from './clock/kitchen-clock';
import type { MachineClocks } from './clock/steady-time';
import { createApp } from './create-app';
import { createDeviceHub } from './devices/device-hub';
import { createSimulatedDevices } from './devices/simulated/simulated-devices';
import { createFileReader } from './files/file-reader';
import { createLiveStream, type LiveStream } from './live/live-stream';
import { createSimulatedTill } from './pass/simulated-till';
import { openStorage, type Storage, thinSamples } from './storage';

export interface ServerOptions {
  host: string;
  port: number;
  dataFolder: string;
  webFolder?: string;
  buildId: string;
  /** what a new kitchen is filled with; without it, it stays empty */
  seed?: () => KitchenSeed;
  /** an unclean end lost the newest entries, and the person in charge goes on without them */
  goesOnWithoutWal?: boolean;
  /** whose kitchen the folder has to hold */
  expects?: 'own' | 'demo';
  /** the demo is begun anew */
  isFresh?: boolean;
  logLevel?: pino.Level | 'silent';
  /** told each statement asked of the file */
  onStatement?: (statement: string) => void;
  machine?: MachineClocks;
}

export interface RunningServer {
  address: string;
  close(): Promise<void>;
}

/** Jumps of the machine's clock are looked for so often, and old samples thinned, ms. */
const CLOCK_LOOKED_AT_MS = 10_000;
const THINNED_MS = 60_000;
/** So many samples are thinned in one turn: a command never waits longer behind it. */
const THINNED_AT_ONCE = 10_000;

/**
 * Opens the kitchen's file and serves it.
 *
 * @throws FileProblem in words, where the file cannot be opened; nothing is changed then
 */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const log = pino({ level: options.logLevel ?? 'warn' });
  const storage = openStorage({
    folder: options.dataFolder,
    goesOnWithoutWal: options.goesOnWithoutWal ?? false,
    ...(options.seed ? { seed: options.seed } : {}),
    ...(options.expects ? { expects: options.expects } : {}),
    isFresh: options.isFresh ?? false,
    ...(options.onStatement ? { onStatement: options.onStatement } : {}),
  });
  const live = createLiveStream(options.buildId);
  const clock = openKitchenClock(storage, options.machine);
  const logs = createBatchLogs(storage);
  logs.warm();
  let address = '';
  const command = { storage, clock, live, logs, log };
  const devices = createDeviceHub(command);
  const simulatedDevices = createSimulatedDevices({ ...command, devices }, () => address);
  const files = createFileReader(log);
  const till = createSimulatedTill(command, () => address);
  const context = { ...command, devices, simulatedDevices, till, files };
  const server = createServer(createApp(context, options.webFolder));
  server.keepAliveTimeout = KEEPS_ALIVE_MS;
  try {
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(options.port, options.host, resolve);
    });
  } catch (error) {
    storage.close();
    throw error;
  }
  const { port } = server.address() as AddressInfo;
  address = `http://${options.host}:${port}`;
  storage.servedAt(address);
  const stopChores = startChores({ storage, clock, live, log });
  return {
    address,
    async close() {
      stopChores();
      simulatedDevices.close();
      till.close();
      live.close();
      const closed = new Promise((resolve) => server.close(resolve));
      server.closeAllConnections();
      await closed;
      await files.close();
      storage.close();
    },
  };
}

/** A line stays open so long with nothing said: a tablet looked at once a minute does not press into one just closed. */
const KEEPS_ALIVE_MS = 75_000;

/** What is done beside the work: the machine's clock watched, old samples thinned, a large file checked. */
function startChores(of: {
  storage: Storage;
  clock: KitchenClock;
  live: LiveStream;
  log: pino.Logger;
}): () => void {
  const { storage, clock, live, log } = of;
  const guarded = (work: () => void) => () => {
    try {
      work();
    } catch (error) {
      log.error({ error }, 'a chore could not be done');
    }
  };
  const watch = guarded(() => {
    if (!clock.noteJumps()) return;
    log.warn({ notices: clock.notices() }, 'the machine’s clock jumped');
    live.publish({ kind: 'clock', clock: clock.view() });
    live.publish({ kind: 'kitchen', part: 'settings' });
  });
  const thin = guarded(() => {
    const thinned = storage.transact((tx) => thinSamples(tx, clock.nowMs(), THINNED_AT_ONCE));
    if (thinned >= THINNED_AT_ONCE / 2) setImmediate(thin);
  });
  const timers = [setInterval(watch, CLOCK_LOOKED_AT_MS), setInterval(thin, THINNED_MS)];
  for (const timer of timers) timer.unref();
  void storage.checkBeside().then((found) => {
    if (found !== 'damaged') return;
    log.error('the kitchen’s file is damaged');
    live.publish({ kind: 'kitchen', part: 'settings' });
  });
  return () => {
    for (const timer of timers) clearInterval(timer);
  };
}
