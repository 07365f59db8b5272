import type { Request, Response } from 'express';
import type { LiveMessage } from '../../contract';

/** A heartbeat each quarter minute keeps proxies and phones from thinking that the line is dead. */
const HEARTBEAT_MS = 15_000;

/** A reader with this much unsent is dropped; it comes back and asks for what it missed. */
const MOST_UNSENT_BYTES = 1_000_000;

export interface LiveStream {
  /** Opens a browser's one stream, first telling it what it missed. */
  open(request: Request, response: Response, missed: LiveMessage[]): void;
  publish(message: LiveMessage): void;
  close(): void;
  readers(): number;
}

/** Server-sent events to every browser. The id of an event is its global seq; everything else carries none. */
export function createLiveStream(buildId: string): LiveStream {
  const readers = new Set<Response>();
  const heartbeat = setInterval(() => {
    for (const reader of readers) write(reader, ': beat\n\n');
  }, HEARTBEAT_MS);
  heartbeat.unref();

  function write(reader: Response, text: string): void {
    if (reader.writableLength > MOST_UNSENT_BYTES) {
      readers.delete(reader);
      reader.destroy();
      return;
    }
    reader.write(text);
  }

  return {
    open(request, response, missed) {
      response.set({
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      });
      response.flushHeaders();
      write(response, `retry: 1000\n${frame({ kind: 'build', id: buildId })}`);
      for (const message of missed) write(response, frame(message));
      readers.add(response);
      request.on('close', () => readers.delete(response));
    },
    publish(message) {
      const text = frame(message);
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
  const id = message.kind === 'event' ? `id: ${message.event.seq}\n` : '';
  return `${id}data: ${JSON.stringify(message)}\n\n`;
}
