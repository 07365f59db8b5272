import type { Stage } from '../../core/recipe';
import { chooseMethod, STAGE_KINDS } from '../../core/recipe';

/** What schema.org has no word for in a stage, as its `additionalProperty`: name and value, to be read by anybody. */
export interface Property {
  '@type': 'PropertyValue';
  name: string;
  value: string | number;
}

const LIDS = ['off', 'ajar', 'on'] as const;

export function propertiesOf(stage: Stage): Property[] {
  const { ends, does } = stage;
  const pairs: [string, string | number | undefined][] = [
    ['kind', stage.kind],
    ['method', stage.methodId],
    ['lid', stage.lid],
    ['shareGone', ends.rule === 'fall' ? ends.fractionGone : undefined],
    ['warmToC', ends.rule === 'warm' ? ends.tempC : undefined],
    ['softensInMinutes', ends.rule === 'soft' ? ends.softenMin : undefined],
    ['edgeCm', ends.rule === 'soft' ? ends.edgeCm : undefined],
    ['shareBlended', does?.kind === 'puree' ? does.share : undefined],
    ['sieve', does?.kind === 'puree' ? does.sieve : undefined],
    ['topTempC', stage.topTempC],
  ];
  return pairs.flatMap(([name, value]) =>
    value === undefined ? [] : [{ '@type': 'PropertyValue' as const, name, value }],
  );
}

/** A stage with what its properties say; what is no figure, or out of its range, says nothing. */
export function withProperties(stage: Stage, given: unknown): Stage {
  const said = new Map(
    [given ?? []].flat().flatMap((one): [string, unknown][] => {
      if (one === null || typeof one !== 'object') return [];
      const { name, value } = one as Record<string, unknown>;
      return typeof name === 'string' ? [[name, value]] : [];
    }),
  );
  const number = (name: string, least: number, most: number): number | null => {
    const value = Number(said.get(name));
    return said.has(name) && value >= least && value <= most ? value : null;
  };
  let after = stage;
  const methodId = said.get('method');
  if (typeof methodId === 'string') after = tried(() => chooseMethod(after, methodId)) ?? after;
  const lid = LIDS.find((one) => one === said.get('lid'));
  if (lid) after = { ...after, lid };
  const gone = number('shareGone', 0.01, 0.9);
  const warmTo = number('warmToC', 30, 95);
  const [softens, edge] = [number('softensInMinutes', 0, 600), number('edgeCm', 0.1, 20)];
  if (after.ends.rule !== 'served') {
    if (gone !== null) after = { ...after, ends: { rule: 'fall', fractionGone: gone } };
    else if (warmTo !== null) after = { ...after, ends: { rule: 'warm', tempC: warmTo } };
    else if (softens !== null && edge !== null)
      after = { ...after, ends: { rule: 'soft', edgeCm: edge, softenMin: softens } };
  }
  const blended = number('shareBlended', 0, 1);
  const sieve = (['none', 'coarse', 'fine'] as const).find((one) => one === said.get('sieve'));
  if (blended !== null && after.does?.kind === 'puree')
    after = { ...after, does: { ...after.does, share: blended, sieve: sieve ?? after.does.sieve } };
  const topTempC = number('topTempC', 30, 110);
  return topTempC === null ? after : { ...after, topTempC };
}

/** The kind its properties say; null where they say none that is known. */
export function kindSaid(given: unknown): Stage['kind'] | null {
  const kind = [given ?? []].flat().find((one) => (one as Record<string, unknown> | null)?.name === 'kind');
  return STAGE_KINDS.find((one) => one === (kind as Record<string, unknown> | undefined)?.value) ?? null;
}

function tried<T>(ask: () => T): T | null {
  try {
    return ask();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return null;
  }
}
