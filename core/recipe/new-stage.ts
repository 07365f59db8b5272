import { chooseMethod } from './choose-method';
import { STAGE_KIND_DATA } from './data/stage-kinds';
import type { Stage, StageKind } from './recipe';

/**
 * A stage of a kind, done by that kind's default school or another.
 *
 * @throws RangeError for an unknown method
 */
export function newStage(id: string, kind: StageKind, methodId?: string): Stage {
  const { title, act, defaultMethod } = STAGE_KIND_DATA[kind];
  const bare: Stage = {
    id,
    kind,
    title,
    act,
    method: '',
    methodReason: '',
    heat: { kind: 'burner', fraction: 0 },
    lid: 'off',
    ends: { rule: 'minutes', minutes: 1 },
    attention: { kind: 'leave' },
    cue: '',
    trouble: '',
  };
  return chooseMethod(bare, methodId ?? defaultMethod);
}
