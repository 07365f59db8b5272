import type { Logger } from 'pino';
import type { BatchLogs } from './batches/batch-logs';
import type { KitchenClock } from './clock/kitchen-clock';
import type { LiveStream } from './live/live-stream';
import type { Storage } from './storage';

/** What a command works with. */
export interface CommandContext {
  storage: Storage;
  clock: KitchenClock;
  live: LiveStream;
  logs: BatchLogs;
  log: Logger;
}
