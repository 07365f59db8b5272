import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { openKitchenClock } from './clock/kitchen-clock';
import { createApp } from './create-app';
import { createDeviceHub } from './devices/device-hub';
import { createSimulatedDevices } from './devices/simulated/simulated-devices';
import { bringOverLots } from './larder/bring-over-lots';
import { createLiveStream } from './live/live-stream';
import { type OpenDatabase, openDatabase } from './storage/open-database';
import { createWriteQueue } from './storage/write-queue';

export interface ServerOptions {
  host: string;
  port: number;
  dataFolder: string;
  migrationsFolder: string;
  webFolder?: string;
  buildId: string;
  /** fills a new, empty kitchen */
  seed?: (database: OpenDatabase) => Promise<void>;
  logLevel?: pino.Level | 'silent';
}

/** Opens the kitchen's file and serves it. `close` waits for what is being written. */
export async function startServer(
  options: ServerOptions,
): Promise<{ address: string; close(): Promise<void> }> {
  const log = pino({ level: options.logLevel ?? 'warn' });
  const database = await openDatabase(options.dataFolder, options.migrationsFolder);
  await options.seed?.(database);
  const write = createWriteQueue();
  const live = createLiveStream(options.buildId);
  const clock = await openKitchenClock(database.db);
  let address = '';
  const base = { db: database.db, write, clock, live, log };
  const devices = createDeviceHub(base);
  const simulatedDevices = createSimulatedDevices({ ...base, devices }, () => address);
  const context = { ...base, devices, simulatedDevices };
  await bringOverLots(context);
  const server = createServer(createApp(context, options.webFolder));
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(options.port, options.host, resolve);
  });
  const { port } = server.address() as AddressInfo;
  address = `http://${options.host}:${port}`;
  return {
    address,
    async close() {
      simulatedDevices.close();
      live.close();
      const closed = new Promise((resolve) => server.close(resolve));
      server.closeAllConnections();
      await closed;
      await write(async () => undefined);
      database.close();
    },
  };
}
