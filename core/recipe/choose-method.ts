import { METHODS, type Method } from './data/methods';
import type { Stage, StageKind } from './recipe';

/** The schools a kind of stage may choose from, by the question they answer. */
export function methodsFor(kind: StageKind): readonly Method[] {
  return METHODS.filter((method) => method.kinds.includes(kind));
}

/** A method by its id, or null. */
export function methodById(id: string): Method | null {
  return METHODS.find((method) => method.id === id) ?? null;
}

/**
 * A stage done by another school: its heat, lid, end, attention, cue, trouble and caution follow; its title, its act
 * and what goes in stay. A clock the cook has set by hand does not: it belonged to the school before.
 *
 * @throws RangeError for an unknown method
 */
export function chooseMethod(stage: Stage, methodId: string): Stage {
  const method = methodById(methodId);
  if (!method) throw new RangeError(`methodId must be a known method, got ${methodId}`);
  const { caution: _caution, asksOut: _asksOut, does: _does, topTempC: _top, ...kept } = stage;
  return {
    ...kept,
    methodId: method.id,
    method: method.name,
    methodReason: method.reason,
    heat: method.heat,
    lid: method.lid,
    ends: method.ends,
    attention: method.attention,
    cue: method.cue,
    trouble: method.trouble,
    ...(method.caution ? { caution: method.caution } : {}),
    ...(method.asksOut ? { asksOut: true } : {}),
    ...(method.does ? { does: method.does } : {}),
    ...(method.topTempC ? { topTempC: method.topTempC } : {}),
  };
}
