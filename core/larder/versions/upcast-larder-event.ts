import { renamed, type UpcastStep, upcast, type Written } from '../../log';
import type { LarderEventBody, LarderEventType, ReceivedFood } from '../larder-event';

/** The version of each type of the larder's events as it is written now. */
export const LARDER_EVENT_VERSIONS: ReadonlyMap<string, number> = new Map<LarderEventType, number>([
  ['delivered', 2],
  ['found', 2],
  ['moved', 1],
  ['frozen', 1],
  ['thawed', 1],
  ['split', 1],
  ['blended', 1],
  ['fatLifted', 1],
  ['lotRead', 1],
  ['coolingSet', 1],
  ['lotReheated', 1],
  ['discarded', 1],
  ['counted', 1],
  ['usePast', 1],
  ['undone', 1],
]);

/** 1 → 2: only what is stored beside it changed, see `upcastReceivedFood`. */
const same: UpcastStep = (payload) => ({ payload });
const STEPS: ReadonlyMap<string, UpcastStep> = new Map<string, UpcastStep>([
  ['delivered 1', same],
  ['found 1', same],
]);

/**
 * An event of the larder as it was written, in the words of today.
 *
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
export function upcastLarderEvent(written: Written): LarderEventBody {
  const { type, payload } = upcast(written, LARDER_EVENT_VERSIONS, STEPS);
  return { type, payload } as LarderEventBody;
}

const withSatisfies = renamed({ standsFor: 'satisfies' });

/**
 * What was stored of food as it came in, in the words of today. 1 → 2: what rows it `satisfies` was `standsFor`.
 *
 * @param v the version of the event it came with
 */
export function upcastReceivedFood(v: number, written: object): ReceivedFood {
  if (v > 1) return written as ReceivedFood;
  const { contents, ...rest } = written as { contents: object };
  return { ...rest, contents: withSatisfies(contents) } as unknown as ReceivedFood;
}
