import { useMemo } from 'react';
import { sentenceCase } from '../../../contract';
import { lossKgPerHour, toComeOut } from '../../../core/batch';
import { massKg, totalKg } from '../../../core/matter';
import { potLitres } from '../../../core/pot';
import { workingFillLitres } from '../../../core/vessel';
import { PotSection, type WallMark } from '../../components/pot-section/pot-section';
import { heatWords, holderWords, hourMinute, litres, potWords } from '../../words';
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
      text: potWords.downToHere(litres(clock.markLitres)),
      kind: 'target',
    });
    if (progress?.fromLitres && progress.begunMs !== null) {
      const from = potWords.startedAt(
        litres(progress.fromLitres),
        hourMinute(progress.begunMs, here.kitchen.zone),
      );
      marks.push({ litres: progress.fromLitres, text: from, kind: 'started' });
    }
  } else if (!state.held || state.held.in === 'pot') {
    const most = workingFillLitres(inPot.vessel, snapshot.plan.foams);
    const fill = litres(most);
    marks.push({ litres: most, text: potWords.noFullerThan(fill), kind: 'limit' });
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
    description: potWords.inSectionCLid(
      inPot.name,
      litres(now),
      state.pot.tempC,
      state.pot.lid,
      tags.length ? potWords.toComeOut2(tags.join(', ')) : '',
    ),
  };
  // drawn anew when the picture would be another one, not each second
  return useMemo(() => <PotSection {...drawn} stick onPoint={onPoint} />, [JSON.stringify(drawn)]);
}

/** How it is heated and covered, in a line. */
export function heatLine(here: BatchHere): string {
  const { state } = here.pot;
  const burner = state.onBurner;
  if (massKg(state.pot.mixture) === 0)
    return potWords.empty(sentenceCase(burner.name), heatWords(state.pot.heatFraction, burner.dial));
  if (state.held && state.held.in !== 'pot')
    return potWords.heldAboutCPress(
      sentenceCase(holderWords(state.held.in, state.held.pans)),
      state.pot.lid,
      state.pot.tempC,
    );
  return potWords.atLidAboutCPress(
    sentenceCase(burner.name),
    heatWords(state.pot.heatFraction, burner.dial),
    state.pot.lid,
    state.pot.tempC,
  );
}
