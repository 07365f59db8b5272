import type { Logger } from 'pino';
import type { KitchenClock } from './clock/kitchen-clock';
import type { Database } from './db/open-database';
import type { Write } from './db/write-queue';
import type { LiveStream } from './live/live-stream';

/** What every route works with. */
export interface House {
  db: Database;
  write: Write;
  clock: KitchenClock;
  live: LiveStream;
  log: Logger;
}
