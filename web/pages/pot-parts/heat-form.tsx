import { useState } from 'react';

import type { Lid } from '../../../core/evaporation';
import { markNear } from '../../../core/kitchen';
import { forecastPot, massAtLitres, type PotState } from '../../../core/pot';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Errors, Over, Soft } from '../../components/text';
import { heatWords, hourMinute, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const PERCENTS = [0, 0.1, 0.25, 0.4, 0.5, 0.6, 0.75, 0.9, 1];

/** Heat and lid, with what the change does to the running stage before it is made. */
export function HeatForm({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { state, clock } = here.pot;
  const wanted = clock?.wantedHeat;
  const [fraction, setFraction] = useState(nearest(state.pot.heatFraction, wanted));
  const [lid, setLid] = useState<Lid>(state.pot.lid);
  const { tell, refusals } = useSubmit(here.batch.id);
  const { dial } = state.onBurner;
  // a tap with marks is set at one of them: what the stage wants is the nearest
  const wantedMark = dial && wanted !== undefined ? (markNear(dial, wanted)?.share ?? 0) : wanted;
  const offered = dial
    ? [0, ...dial.map((mark) => mark.share)]
    : [...PERCENTS, ...(wanted === undefined ? [] : [wanted])];
  const steps = [...new Set([...offered, fraction])].sort((a, b) => a - b);

  async function keep() {
    const bodies: BatchCommand[] = [];
    if (fraction !== state.pot.heatFraction) bodies.push({ type: 'heatSet', payload: { fraction } });
    if (lid !== state.pot.lid) bodies.push({ type: 'lidSet', payload: { lid } });
    if (await tell(...bodies)) onClose();
  }

  return (
    <>
      <Choice
        label={dial ? potWords.at(state.onBurner.name) : potWords.shareOfFull(state.onBurner.name)}
        value={String(fraction)}
        options={steps.map((step) => ({
          value: String(step),
          text: step === wantedMark ? potWords.thisStage(heatWords(step, dial)) : heatWords(step, dial),
        }))}
        onChange={(next) => setFraction(Number(next))}
        atPot
      />
      <Choice
        label={potWords.lid2}
        value={lid}
        options={[
          { value: 'off', text: potWords.off },
          { value: 'ajar', text: potWords.ajar },
          { value: 'on', text: potWords.on },
        ]}
        onChange={setLid}
        atPot
      />
      <WhatIf here={here} changed={{ ...state.pot, heatFraction: fraction, lid }} />
      <Errors sentences={refusals} />
      <Button kind="main" atPot onPress={keep}>
        {potWords.setLogIt}
      </Button>
    </>
  );
}

function WhatIf({ here, changed }: { here: BatchHere; changed: PotState }) {
  const { clock, state } = here.pot;
  const { zone } = here.kitchen;
  if (!clock?.markLitres) return <Over>{potWords.thePotFollowsWhatIs}</Over>;
  const target = { kind: 'mass', kg: massAtLitres(state.pot, clock.markLitres) } as const;
  const after = forecastPot(state.setup, changed, target);
  const words = (ms: number | null) =>
    ms === null ? potWords.notWithin12Hours : `about ${hourMinute(ms, zone)}`;
  return <Soft>{potWords.atTheMarkAsIt(words(clock.ends.p50Ms), words(after.p50Ms))}</Soft>;
}

function nearest(fraction: number, wanted: number | undefined): number {
  if (wanted !== undefined && Math.abs(fraction - wanted) < 0.001) return wanted;
  return fraction;
}
