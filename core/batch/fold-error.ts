import type { BatchEvent } from './batch-event';

/** A log that does not fold, and the entry at which it stops. */
export class FoldError extends RangeError {
  readonly eventId: string;
  readonly type: string;

  constructor({ id, type }: Pick<BatchEvent, 'id' | 'type'>, cause: unknown) {
    super(`the log stops at ${type} ${id}: ${cause instanceof Error ? cause.message : String(cause)}`, {
      cause,
    });
    this.eventId = id;
    this.type = type;
  }
}
