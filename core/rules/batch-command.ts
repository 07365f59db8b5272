import { type BatchEventBody, EVENT_STEPS, EVENT_VERSIONS, type HeldIn } from '../batch';
import { type UpcastStep, upcast, type Written } from '../log';

/** What a cook says of a batch: an event, but where it names things of the kitchen, whose measures the kitchen knows. */
export type BatchCommand =
  | Exclude<BatchEventBody, { type: 'moved' | 'heldHot' }>
  | { type: 'heldHot'; payload: Omit<HeldIn, 'holder'> }
  | { type: 'moved'; payload: { potId: string; burnerId: string } };

/** The command an event came from: what to hold against the same said again. */
export function commandOf(event: BatchEventBody): BatchCommand {
  const { type, payload } = event;
  if (type === 'added') return { type, payload: { ...payload, items: payload.items.map(asSaid) } };
  if (type === 'slip' && 'ingredientId' in payload) return { type, payload: asSaid(payload) };
  if (type === 'heldHot') {
    const { holder: _holder, ...said } = payload;
    return { type, payload: said };
  }
  if (type !== 'moved') return { type, payload } as BatchCommand;
  return { type, payload: { potId: payload.pot.id, burnerId: payload.burner.id } };
}

/** Food as a cook names it, without what the kitchen said of it. */
function asSaid<T extends { drawn?: unknown; row?: unknown }>({
  drawn: _drawn,
  row: _row,
  ...said
}: T): Omit<T, 'drawn' | 'row'> {
  return said;
}

const STEPS: ReadonlyMap<string, UpcastStep> = new Map([
  ...EVENT_STEPS,
  ['moved 1', (payload) => ({ payload: placeOf(payload) })],
]);

/**
 * A command as a browser of any age says it, in the words of today; its payload is still to be checked. What waited in a
 * queue over an update is not lost.
 *
 * @throws UnknownVersion for a type or version that is not known here
 */
export function upcastCommand(written: Written): { type: string; payload: unknown } {
  const { type, payload } = upcast(written, EVENT_VERSIONS, STEPS);
  return { type, payload };
}

/** Version 1 of a move sent the measures along; now it names the pot and the burner. */
function placeOf(payload: unknown): unknown {
  const { pot, burner } = (payload ?? {}) as { pot?: { id?: unknown }; burner?: { id?: unknown } };
  return { potId: pot?.id, burnerId: burner?.id };
}
