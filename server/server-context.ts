import type { Logger } from 'pino';
import type { KitchenClock } from './clock/kitchen-clock';
import type { LiveStream } from './live/live-stream';
import type { Database } from './storage/open-database';
import type { Write } from './storage/write-queue';

/** What every route works with. */
export interface ServerContext {
  db: Database;
  write: Write;
  clock: KitchenClock;
  live: LiveStream;
  log: Logger;
}
