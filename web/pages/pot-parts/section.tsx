import { useMemo } from 'react';
import { hourMinute, litres, sentenceCase } from '../../../contract';
import { lossKgPerHour, toComeOut } from '../../../core/batch';
import { massKg, totalKg } from '../../../core/matter';
import { potLitres } from '../../../core/pot';
import { workingFillLitres } from '../../../core/vessel';
import { PotSection, type WallMark } from '../../components/pot-section/pot-section';
import { heatWords } from '../../words/batch';
import type { BatchHere } from '../batch-frame';

/** The batch's own pot, drawn as it is now. */
export function Section({ here, onPoint }: { here: BatchHere; onPoint: (depthCm: number) => void }) {
  const { snapshot } = here.batch;
  const { state, clock } = here.pot;
  const now = potLitres(state.pot);
  const { setup, inPot } = state;
  const progress = state.stages.find((stage) => stage.stageId === state.currentStageId);
  const marks: WallMark[] = [];
  if (clock?.markLitres) {
    marks.push({
      litres: clock.markLitres,
      text: `down to here: ${litres(clock.markLitres)}`,
      kind: 'target',
    });
    if (progress?.fromLitres && progress.begunMs !== null) {
      const from = `started ${litres(progress.fromLitres)} at ${hourMinute(progress.begunMs, here.kitchen.zone)}`;
      marks.push({ litres: progress.fromLitres, text: from, kind: 'started' });
    }
  } else {
    const most = workingFillLitres(inPot.vessel, snapshot.plan.foams);
    const fill = litres(most);
    marks.push({ litres: most, text: `no fuller than ${fill}`, kind: 'limit' });
  }
  const kg = massKg(state.pot.mixture);
  const tags = toComeOut(state).map((one) => (one.count > 1 ? `${one.count} ${one.word}` : one.word));
  const drawn = {
    vessel: inPot.vessel,
    litres: Math.round(now * 20) / 20,
    food: snapshot.input.recipe.colour,
    pieces: kg > 0 ? Math.round((20 * totalKg(state.pot.mixture.pieces)) / kg) / 20 : 0,
    marks: marks.map((mark) => ({ ...mark, litres: Math.round(mark.litres * 20) / 20 })),
    steamKgPerHour: kg > 0 ? Math.round(lossKgPerHour(setup, state.pot) * 5) / 5 : 0,
    heatFraction: state.pot.heatFraction,
    hasLid: state.pot.lid,
    tags,
    description: `${inPot.name} in section: ${litres(now)}, ${state.pot.tempC.toFixed(0)} °C, lid ${state.pot.lid}.${tags.length ? ` To come out: ${tags.join(', ')}.` : ''}`,
  };
  // drawn anew when the picture would be another one, not each second
  return useMemo(() => <PotSection {...drawn} stick onPoint={onPoint} />, [JSON.stringify(drawn)]);
}

/** How it is heated and covered, in a line. */
export function potWords(here: BatchHere): string {
  const { state } = here.pot;
  const burner = state.onBurner;
  if (massKg(state.pot.mixture) === 0)
    return `Empty. ${sentenceCase(burner.name)} ${heatWords(state.pot.heatFraction, burner.dial)}.`;
  return `${sentenceCase(burner.name)} at ${heatWords(state.pot.heatFraction, burner.dial)}, lid ${state.pot.lid}, about ${state.pot.tempC.toFixed(0)} °C. Press the pot where the level stands.`;
}
