import type { Request, Response } from 'express';
import { v7 as uuid } from 'uuid';
import type { LiveMessage } from '../../contract';

/** A heartbeat each quarter minute keeps proxies and phones from thinking that the line is dead. */
const HEARTBEAT_MS = 15_000;
/** A reader with this much unsent is dropped; it comes back and asks for what it missed. */
const MOST_UNSENT_BYTES = 1_000_000;
/** So many messages are kept for those who come back; who missed more asks for everything again. */
const KEPT = 2000;

export interface LiveStream {
  /** where the stream stands: whoever read this has heard everything up to here */
  position(): string;
  /** Opens a browser's one stream, first telling it what was said after the position it knows. */
  open(request: Request, response: Response, after: string | undefined): void;
  publish(message: LiveMessage): void;
  close(): void;
  readers(): number;
}

/**
 * Server-sent events to every browser. The id of a message is this run of the server and a running number; what passes
 * at once, a device's value, carries none and is not kept.
 */
export function createLiveStream(buildId: string): LiveStream {
  const run = uuid();
  const readers = new Set<Response>();
  const kept: { n: number; text: string }[] = [];
  let n = 0;
  const heartbeat = setInterval(() => {
    for (const reader of readers) write(reader, ': beat\n\n');
  }, HEARTBEAT_MS);
  heartbeat.unref();
  const position = () => `${run}:${n}`;

  function write(reader: Response, text: string): void {
    if (reader.writableLength > MOST_UNSENT_BYTES) {
      readers.delete(reader);
      reader.destroy();
      return;
    }
    reader.write(text);
  }

  /** What was said after a position; one message that all is to be asked for again, where that is not known. */
  function missedSince(after: string | undefined): string[] {
    if (after === undefined || after === position()) return [];
    const [itsRun, from] = after.split(':');
    const known = Number(from);
    const reachesBack = itsRun === run && known <= n && known >= n - kept.length;
    if (!reachesBack || !Number.isInteger(known)) return [frame({ kind: 'resync' })];
    return kept.filter((one) => one.n > known).map((one) => one.text);
  }

  return {
    position,
    open(request, response, after) {
      response.set({
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      });
      response.flushHeaders();
      const missed = missedSince(after);
      write(response, `retry: 1000\n${frame({ kind: 'build', id: buildId })}`);
      for (const text of missed) write(response, text);
      write(
        response,
        `id: ${position()}\ndata: ${JSON.stringify({ kind: 'here' } satisfies LiveMessage)}\n\n`,
      );
      readers.add(response);
      request.on('close', () => readers.delete(response));
    },
    publish(message) {
      const passes = message.kind === 'device';
      if (!passes) n += 1;
      const text = passes ? frame(message) : `id: ${position()}\n${frame(message)}`;
      if (!passes) {
        kept.push({ n, text });
        if (kept.length > KEPT) kept.shift();
      }
      for (const reader of readers) write(reader, text);
    },
    close() {
      clearInterval(heartbeat);
      for (const reader of readers) reader.end();
      readers.clear();
    },
    readers: () => readers.size,
  };
}

function frame(message: LiveMessage): string {
  return `data: ${JSON.stringify(message)}\n\n`;
}
