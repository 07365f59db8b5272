import type { Dial } from '../../../core/kitchen';
import type { Stage } from '../../../core/recipe';
import { depth, temperature } from '../amounts';
import { heatWords } from './batch';

/** Words for how a stage is heated, how it ends, and how near the cook must be. */

export function heatOf(stage: Stage, dial?: Dial): string {
  if (stage.heat.kind === 'burner')
    return stage.heat.fraction === 0 ? 'heat off' : `burner at ${heatWords(stage.heat.fraction, dial)}`;
  return { justUnder: 'just under a simmer', barely: 'barely bubbling', steady: 'a steady simmer' }[
    stage.heat.simmer
  ];
}

export function endOf(stage: Stage): string {
  switch (stage.ends.rule) {
    case 'minutes':
      return `${stage.ends.minutes} min`;
    case 'simmer':
      return 'until it simmers';
    case 'warm':
      return `up to ${temperature(stage.ends.tempC)}`;
    case 'soft':
      return `until ${depth(stage.ends.edgeCm)} pieces are soft`;
    case 'fall':
      return `until ${Math.round(stage.ends.fractionGone * 100)} % has gone`;
    case 'served':
      return 'until it is served';
  }
}

export function attentionOf(stage: Stage): string {
  if (stage.attention.kind === 'lookIn') return `look in every ${stage.attention.everyMin} min`;
  return stage.attention.kind === 'handsOn' ? 'hands on' : 'leave it';
}
