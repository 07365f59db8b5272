import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import type { KitchenSeed } from '../../contract';
import { createBatchLogs } from '../batches/batch-logs';
import { openKitchenClock } from '../clock/kitchen-clock';
import type { CommandContext } from '../command-context';
import type { LiveStream } from '../live/live-stream';
import { openStorage } from '../storage';
import { smallKitchen } from './small-kitchen';

/** Commands without a network: the real file, rules and projections, and a clock that a test turns. */
export interface CommandKitchen extends CommandContext {
  folder: string;
  /** lets time go by */
  pass(ms: number): void;
  /** stopped and opened again on the same file */
  reopen(): CommandKitchen;
  close(): void;
  remove(): void;
}

/** The 10th of March 2026, 10 in the morning. */
export const OPENS_AT_MS = Date.UTC(2026, 2, 10, 10);

export function commandKitchen(
  of: {
    seed?: () => KitchenSeed;
    folder?: string;
    atMs?: number;
    onStatement?: (statement: string) => void;
  } = {},
): CommandKitchen {
  const folder = of.folder ?? mkdtempSync(join(tmpdir(), 'slow-pot-commands-'));
  const { onStatement } = of;
  const storage = openStorage({
    folder,
    seed: of.seed ?? smallKitchen,
    ...(onStatement ? { onStatement } : {}),
  });
  let nowMs = of.atMs ?? OPENS_AT_MS;
  const clock = openKitchenClock(storage, { wall: () => nowMs, monotonic: () => nowMs });
  const logs = createBatchLogs(storage);
  logs.warm();
  const context: CommandContext = { storage, clock, live: SILENT, logs, log: pino({ level: 'silent' }) };
  return {
    ...context,
    folder,
    pass(ms) {
      nowMs += ms;
    },
    reopen() {
      storage.close();
      return commandKitchen({ ...of, folder, atMs: nowMs });
    },
    close: () => storage.close(),
    remove() {
      storage.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

const SILENT: LiveStream = {
  position: () => 'test:0',
  open() {},
  publish() {},
  close() {},
  readers: () => 0,
};
