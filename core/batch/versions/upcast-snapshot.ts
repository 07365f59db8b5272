import { asSaid, renamed, UnknownVersion } from '../../log';
import type { BatchSnapshot } from '../batch-event';
import type { BatchResult } from '../batch-result';

/** The version of a batch's snapshot, and of its result, as they are written now. */
export const SNAPSHOT_VERSION = 2;
export const RESULT_VERSION = 2;

/** Anything read out of JSON. */
type Json = Record<string, unknown>;

const withHeatFactor = renamed({ gain: 'heatFactor' });

/**
 * A snapshot as it was written, in the words of today. 1 → 2: a burner's `gain` is its `heatFactor`; the workings of
 * the plan are codes and quantities, where they were sentences.
 *
 * @param v the version it was written in
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
export function upcastSnapshot(v: number, written: unknown): BatchSnapshot {
  if (v === SNAPSHOT_VERSION) return written as BatchSnapshot;
  if (v !== 1) throw new UnknownVersion('snapshot', v);
  const { input, plan, ...rest } = written as {
    input: Json & { burner: object };
    plan: Json & { workings?: Json };
  };
  return {
    ...rest,
    input: { ...input, burner: withHeatFactor(input.burner) },
    plan: { ...plan, workings: workingsOf(plan.workings ?? {}) },
  } as unknown as BatchSnapshot;
}

function workingsOf(workings: Json): Json {
  return Object.fromEntries(
    Object.entries(workings).map(([figure, value]) => {
      const { lines, source, sureness } = value as { lines: string[]; source: string; sureness: string };
      return [
        figure,
        {
          lines: lines.map(asSaid),
          source: source ? asSaid(source) : null,
          sureness: sureness ? asSaid(sureness) : null,
        },
      ];
    }),
  );
}

/**
 * A result as it was frozen, in the words of today. 1 → 2: `gain` is `heatFactor`, `putByLitres` `storedLitres`, and
 * the reasons are codes with litres, where they were sentences.
 *
 * @param v the version it was written in
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
export function upcastResult(v: number, written: unknown): BatchResult {
  if (v === RESULT_VERSION) return written as BatchResult;
  if (v !== 1) throw new UnknownVersion('result', v);
  const result = renamed({ gain: 'heatFactor', putByLitres: 'storedLitres' })(written) as Json;
  return { ...result, reasons: (result.reasons as string[]).map(asSaid) } as unknown as BatchResult;
}
