import { useState } from 'react';
import styled from 'styled-components';
import type { Adjustments } from '../../../core/adjust';
import { type Judged, loadStillToAdd } from '../../../core/batch';
import { BAND_VISCOSITY_MM2_PER_S, BANDS, bandName, spreadCm } from '../../../core/thickness';
import { Button } from '../../components/button';
import { Sheet } from '../../components/sheet';
import { Over, Soft, Title } from '../../components/text';
import { colour, FOOD, media, size, space, target } from '../../theme/tokens';
import { adjustWords, decimal, hourMinute, strength, temperature, testWords, weight } from '../../words';
import type { BatchHere } from '../batch-frame';
import { TestForm } from './test-form';
import { PuddlePicture } from './test-pictures';
import { Ways } from './ways-table';

const Now = styled.div`
  display: grid;
  grid-template-columns: minmax(150px, 240px) minmax(0, 1fr);
  gap: ${space.m};
  align-items: center;
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Scale = styled.ol`
  display: grid;
  grid-template-columns: repeat(${BANDS.length}, 1fr);
  gap: 4px;
  li {
    border-bottom: 8px solid ${colour.line};
  }
  li[data-now='true'] {
    border-bottom-color: ${colour.iron};
  }
  li[data-target='true'] {
    border-bottom-color: ${colour.onTarget};
  }
  button {
    width: 100%;
    min-height: ${target.anywhere};
    padding: 2px;
    border: 0;
    background: none;
    font-size: ${size.small};
    line-height: 1.15;
    color: ${colour.soft};
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    color: ${colour.onTarget};
    font-weight: 700;
  }
  li[data-now='true'] button {
    color: ${colour.iron};
    font-weight: 700;
  }
`;

/** How thick it is, by its tests and its sums; how thick it is wanted; and the ways from one to the other. */
export function Thickness({
  here,
  figures,
  onWanted,
}: {
  here: BatchHere;
  figures: Adjustments;
  onWanted: (band: number) => void;
}) {
  const { snapshot } = here.batch;
  const [isOpen, setOpen] = useState(false);
  const isThere = figures.ways.length === 0;
  const food = FOOD[snapshot.input.recipe.colour] ?? FOOD.broth!;
  return (
    <section aria-label={adjustWords.thickness}>
      <Now>
        <PuddlePicture radiusCm={radiusOf(figures.bandAtTable)} food={food} />
        <div>
          <Over>{testedWords(here)}</Over>
          <Title as="h2">
            {sentence(bandName(figures.band))}. {adjustWords.wantedIs(bandName(figures.targetBand))}
          </Title>
          <Soft>{figuresWords(figures, here)}</Soft>
        </div>
      </Now>
      <Scale aria-label={adjustWords.thickness}>
        {BANDS.map((band, i) => (
          <li
            key={band.name}
            data-now={Math.round(figures.band) === i}
            data-target={Math.round(figures.targetBand) === i}
          >
            <button
              type="button"
              aria-pressed={Math.round(figures.targetBand) === i}
              onClick={() => onWanted(i)}
            >
              {band.name}
            </button>
          </li>
        ))}
      </Scale>
      <div>
        <Button onPress={() => setOpen(true)}>{adjustWords.testIt}</Button>
      </div>
      <Followed here={here} judged={figures.judged} />
      {isThere ? (
        <Soft>{adjustWords.itWillBeThereNothing}</Soft>
      ) : (
        <section aria-label={adjustWords.waysToTheThicknessWanted}>
          <Ways ways={figures.ways} here={here} wantedBand={figures.targetBand} />
          <Over>{adjustWords.twoThirdsFirstLetIt}</Over>
        </section>
      )}
      <Sheet title={adjustWords.testIt} isOpen={isOpen} onClose={() => setOpen(false)}>
        <TestForm here={here} onDone={() => setOpen(false)} />
      </Sheet>
    </section>
  );
}

/** A way begun in parts: what is in, when it can be judged, and what the rest would be. */
function Followed({ here, judged }: { here: BatchHere; judged: Judged | null }) {
  const { dosed } = here.pot.state;
  const last = dosed.findLast((dose) => dose.for === 'thickness' && dose.wayId !== undefined);
  if (!last) return null;
  const parts = dosed.filter((dose) => dose.for === 'thickness' && dose.wayId === last.wayId);
  const inKg = parts.reduce((sum, dose) => sum + dose.kg, 0);
  const first = Math.max(...parts.map((dose) => dose.wholeKg ?? 0));
  const restKg = Math.max(0, first - inKg);
  return (
    <Soft role="status">
      {adjustWords.partIsIn(weight(inKg), testWhen(judged, here), restKg > 0.005 ? weight(restKg) : null)}
    </Soft>
  );
}

function testWhen(judged: Judged | null, here: BatchHere): string {
  if (!judged) return adjustWords.testNow;
  return 'atMs' in judged
    ? adjustWords.testAt(hourMinute(judged.atMs, here.kitchen.zone))
    : adjustWords.testOnceHot(temperature(judged.notUnderC));
}

/** What the last test was and when; where none was made, that it is a sum. */
function testedWords(here: BatchHere): string {
  const last = here.pot.state.tests.at(-1);
  if (!last) return adjustWords.notTestedYet;
  const when = hourMinute(last.atMs, here.kitchen.zone);
  return last.status === 'accepted'
    ? adjustWords.testedAt(when, last.tempC, testWords(last))
    : adjustWords.testNotBelieved(when, testWords(last));
}

function figuresWords(figures: Adjustments, here: BatchHere): string {
  const { state } = here.pot;
  const first = state.tests.find((test) => test.status === 'accepted');
  return [
    adjustWords.flourLike(strength(figures.flourEquivalentGPerL), decimal(figures.bandSd, 1)),
    first ? adjustWords.wasCalculated(strength(first.expectedGPerL)) : '',
    judgedWords(figures.judged, here),
    adjustWords.atTheEndItIs(bandName(figures.bandAtEnd), comingWords(here)),
    adjustWords.colderItIs(bandName(figures.bandAtTable), bandName(figures.bandTomorrow)),
  ]
    .filter((words) => words !== '')
    .join(' ');
}

/** When what went in can be judged; where the pot is too cool for it to swell, that. */
function judgedWords(judged: Judged | null, here: BatchHere): string {
  if (!judged) return '';
  return 'atMs' in judged
    ? adjustWords.stillSwelling(hourMinute(judged.atMs, here.kitchen.zone))
    : adjustWords.tooCoolToSwell(temperature(judged.notUnderC));
}

/** What 50 mL would spread to. */
function radiusOf(band: number): number {
  const below = Math.min(5, Math.floor(band));
  const [low, high] = [BAND_VISCOSITY_MM2_PER_S[below]!, BAND_VISCOSITY_MM2_PER_S[below + 1]!];
  return spreadCm({ mm2PerS: low * (high / low) ** (band - below), mL: 50, seconds: 30 });
}

function comingWords(here: BatchHere): string {
  const { snapshot } = here.batch;
  // the salt to come is what is asked about, and is not counted in
  const load = loadStillToAdd(snapshot, here.pot.state, ['toSalt']);
  const left = snapshot.plan.lines.filter((line) => (load[line.lineId] ?? 0) > 0.1);
  return left.map((line) => line.name.split(',')[0]!.toLowerCase()).join(', ');
}

const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
