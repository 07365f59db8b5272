import { asSaid, renamed, UnknownVersion } from '../../log';
import type { BatchSnapshot } from '../batch-event';
import type { BatchResult } from '../batch-result';

/** The version of a batch's snapshot, and of its result, as they are written now. */
export const SNAPSHOT_VERSION = 3;
export const RESULT_VERSION = 2;

/** Anything read out of JSON. */
type Json = Record<string, unknown>;

const withHeatFactor = renamed({ gain: 'heatFactor' });

/**
 * A snapshot as it was written, in the words of today. 1 → 2: a burner's `gain` is its `heatFactor`; the workings of
 * the plan are codes and quantities, where they were sentences. 2 → 3: what heat does to a food stands in its row, where
 * it was known by the food's id.
 *
 * @param v the version it was written in
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
export function upcastSnapshot(v: number, written: unknown): BatchSnapshot {
  if (v === SNAPSHOT_VERSION) return written as BatchSnapshot;
  if (v === 2) return withHeatHurts(written as BatchSnapshot);
  if (v !== 1) throw new UnknownVersion('snapshot', v);
  const { input, plan, ...rest } = written as {
    input: Json & { burner: object };
    plan: Json & { workings?: Json };
  };
  return withHeatHurts({
    ...rest,
    input: { ...input, burner: withHeatFactor(input.burner) },
    plan: { ...plan, workings: workingsOf(plan.workings ?? {}) },
  } as unknown as BatchSnapshot);
}

/** Foods of the table that versions 1 and 2 knew by their ids. */
const KNOWN_BY_ID = { miso: 'flat', yoghurt: 'curdles', buttermilk: 'curdles' } as const;

function withHeatHurts(snapshot: BatchSnapshot): BatchSnapshot {
  const rows = Object.entries(KNOWN_BY_ID).flatMap(([id, heatHurts]) => {
    const row = snapshot.input.ingredients[id];
    return row ? [[id, { ...row, heatHurts }] as const] : [];
  });
  if (rows.length === 0) return snapshot;
  const ingredients = { ...snapshot.input.ingredients, ...Object.fromEntries(rows) };
  return { ...snapshot, input: { ...snapshot.input, ingredients } };
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
