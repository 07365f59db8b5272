import { each, renamed, type UpcastStep, upcast, type Written, within } from '../../log';
import type { BatchEventBody, BatchEventType } from '../batch-event';

/** The version of each type of event as it is written now. */
export const EVENT_VERSIONS: ReadonlyMap<string, number> = new Map<BatchEventType, number>([
  ['stageBegun', 2],
  ['stageDone', 1],
  ['added', 3],
  ['heatSet', 1],
  ['lidSet', 1],
  ['reading', 1],
  ['tested', 1],
  ['tasted', 1],
  ['metered', 1],
  ['pureed', 1],
  ['answered', 1],
  ['looked', 1],
  ['snoozed', 1],
  ['targetSet', 1],
  ['removed', 1],
  ['lifted', 1],
  ['returned', 1],
  ['pouredOff', 1],
  ['slip', 2],
  ['moved', 2],
  ['portioned', 3],
  ['drawnOff', 1],
  ['takenBack', 1],
  ['turnedAway', 1],
  ['coversSet', 1],
  ['sizeSet', 1],
  ['asked', 1],
  ['askedAnew', 1],
  ['garnishReady', 1],
  ['grilled', 1],
  ['heldHot', 1],
  ['reheated', 1],
  ['stored', 2],
  ['note', 1],
  ['closed', 1],
  ['undone', 1],
]);

const withReason = renamed({ despite: 'overrideReason' });
/** What has been added since says nothing where it is not there: a lot’s contents go by the batch’s row, a portion is of the first kind. */
const same: UpcastStep = (payload) => ({ payload });
const withHeatFactor = renamed({ gain: 'heatFactor' });

/**
 * What older versions said in other words. 1 → 2: `despite` became `overrideReason`, a burner's `gain` its
 * `heatFactor`, and `putBy` is `stored`.
 */
export const EVENT_STEPS: ReadonlyMap<string, UpcastStep> = new Map<string, UpcastStep>([
  ['stageBegun 1', (payload) => ({ payload: withReason(payload) })],
  ['portioned 1', (payload) => ({ payload: withReason(payload) })],
  ['putBy 1', (payload) => ({ type: 'stored', payload: withReason(payload) })],
  ['added 1', (payload) => ({ payload: within('items', each(withReason))(payload) })],
  ['added 2', same],
  ['slip 1', same],
  ['portioned 2', same],
  ['moved 1', (payload) => ({ payload: within('burner', withHeatFactor)(payload) })],
]);

/**
 * An event of a batch as it was written, in the words of today.
 *
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
export function upcastBatchEvent(written: Written): BatchEventBody {
  const { type, payload } = upcast(written, EVENT_VERSIONS, EVENT_STEPS);
  return { type, payload } as BatchEventBody;
}
