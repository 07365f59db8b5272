import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { openKitchenClock } from './clock/kitchen-clock';
import { createApp } from './create-app';
import { type OpenDatabase, openDatabase } from './db/open-database';
import { createWriteQueue } from './db/write-queue';
import { createDeviceDesk } from './devices/device-desk';
import { bringOverLots } from './larder/bring-over-lots';
import { createLiveStream } from './live/live-stream';
import { createStandIns } from './stand-ins/stand-ins';

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
  const ground = { db: database.db, write, clock, live, log };
  const devices = createDeviceDesk(ground);
  const standIns = createStandIns({ ...ground, devices }, () => address);
  const house = { ...ground, devices, standIns };
  await bringOverLots(house);
  const server = createServer(createApp(house, options.webFolder));
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(options.port, options.host, resolve);
  });
  const { port } = server.address() as AddressInfo;
  address = `http://${options.host}:${port}`;
  return {
    address,
    async close() {
      standIns.close();
      live.close();
      const closed = new Promise((resolve) => server.close(resolve));
      server.closeAllConnections();
      await closed;
      await write(async () => undefined);
      database.close();
    },
  };
}
