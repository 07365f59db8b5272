import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type BatchEvent, type BatchSnapshot, foldBatch, MODEL_VERSION, massKg, potLitres } from '../index';

/**
 * Logs as they were written by an earlier version, and what they came to then. A change that folds them otherwise is a
 * change of the model: raise MODEL_VERSION and keep the old file beside a new one.
 */
interface Golden {
  modelVersion: number;
  snapshot: BatchSnapshot;
  events: BatchEvent[];
  closedAtMs: number;
  expected: Record<string, number>;
}

const LOGS = [
  'chowder-v1',
  'chowder-v3',
  'lentil-puree-v3',
  'leek-broth-v3',
  'mother-sauce-v3',
  'chicken-stock-v3',
  'fumet-v3',
  'kelp-stock-v3',
];

describe.each(LOGS)('the golden log %s', (name) => {
  const golden = JSON.parse(
    readFileSync(new URL(`./golden/${name}.json`, import.meta.url), 'utf8'),
  ) as Golden;
  const state = foldBatch(golden.snapshot, golden.events, golden.closedAtMs);
  const found: Record<string, number> = {
    massKg: massKg(state.pot.mixture),
    litres: potLitres(state.pot),
    tempC: state.pot.tempC,
    gain: state.pot.gain,
    evaporatedKg: state.pot.evaporatedKg,
    served: state.served,
    saltPercentAtService: state.atService!.saltPercent,
    costCents: state.costCents,
    putByKg: state.putBy[0]?.kg ?? 0,
    putByProtein: state.putBy[0]?.mixture.liquid.protein ?? 0,
    putByGlutamate: state.putBy[0]?.mixture.savour.glutamate ?? 0,
  };
  it.each(Object.entries(golden.expected))('%s is still %d', (figure, value) => {
    expect(found[figure]! / value).toBeCloseTo(1, 9);
  });
  it('is of this model’s version or an older one, and folds to the same figures all the same', () =>
    expect(golden.modelVersion).toBeLessThanOrEqual(MODEL_VERSION));
});
