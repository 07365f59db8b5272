import { useMemo, useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import styled from 'styled-components';
import {
  type BatchEventBody,
  levelAhead,
  levelTrace,
  lossKgPerHour,
  massKg,
  nextWant,
  potLitres,
  setupOf,
  totalKg,
  type Want,
  wantedHeat,
} from '../../core';
import { hourMinute, litres, sentenceCase, span } from '../data/format';
import { heatWords } from '../data/words';
import { Button } from '../parts/button';
import { LevelChart } from '../parts/chart/level-chart';
import { PotSection, type WallMark } from '../parts/pot-section/pot-section';
import { Caution, Errors, Over, Soft } from '../parts/text';
import { colour, font, media, size, space } from '../theme/tokens';
import type { BatchHere } from './batch-frame';
import { WeighList } from './plan-parts/weigh-list';
import { AmountsSheet, itemsOf } from './pot-parts/amounts-sheet';
import { HeatSheet } from './pot-parts/heat-sheet';
import { ReadingSheet } from './pot-parts/reading-sheet';
import { TakeBackSheet } from './pot-parts/take-back-sheet';
import { useSay } from './pot-parts/use-say';

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 43fr) minmax(0, 57fr);
  min-height: calc(100% - 62px);
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const PotSide = styled.section`
  display: grid;
  grid-template-rows: 1fr auto;
  padding: ${space.s} 28px ${space.m};
  border-right: 1px solid ${colour.line};
  height: calc(100dvh - 236px);
  min-height: 340px;
  max-height: 720px;
  ${media.medium} {
    border-right: 0;
    border-bottom: 1px solid ${colour.line};
    height: 400px;
    padding: ${space.s} ${space.m};
  }
  ${media.narrow} {
    height: 262px;
    min-height: 0;
    > p {
      display: none;
    }
  }
`;

const ActSide = styled.section`
  display: grid;
  gap: 12px;
  align-content: start;
  padding: ${space.s} 28px ${space.s};
  ${media.narrow} {
    padding: ${space.m};
  }
  h2 {
    font-size: ${size.act};
    letter-spacing: -0.01em;
  }
`;

const Answers = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.xs} 26px;
  align-items: end;
  dt {
    color: ${colour.soft};
  }
  dd {
    font-family: ${font.title};
    font-weight: 700;
    font-size: ${size.potFigure};
    line-height: 1.15;
  }
  dd small {
    font-size: ${size.lead};
    font-weight: 500;
  }
  .hour dd {
    font-size: ${size.hour};
    line-height: 0.98;
  }
`;

const Acts = styled.div`
  display: grid;
  grid-template-columns: 1.5fr 1fr 1fr;
  gap: 12px;
  ${media.narrow} {
    grid-template-columns: 1fr 1fr;
    > :first-child {
      grid-column: 1 / -1;
    }
  }
`;

const ChartBox = styled.div`
  height: 140px;
  min-width: 0;
`;

const Cues = styled.div`
  display: grid;
  gap: 2px;
  font-size: 18px;
`;

/** The pot: what is in it, the one thing it wants, and when it will be there. */
export function PotPlace() {
  const here = useOutletContext<BatchHere>();
  const { snapshot } = here.batch;
  const { state, clock, nowMs } = here.pot;
  const { zone } = here.kitchen;
  const [open, setOpen] = useState<'reading' | 'heat' | 'log' | 'amounts' | null>(null);
  const [pointedCm, setPointedCm] = useState<number | null>(null);
  const want = nextWant(snapshot, state, clock, nowMs);
  const close = () => setOpen(null);
  const point = (depthCm: number | null) => {
    setPointedCm(depthCm);
    setOpen('reading');
  };
  return (
    <Halves>
      <PotSide aria-label="The pot in section">
        <Section here={here} onPoint={point} />
        <Over>{potWords(here)}</Over>
      </PotSide>
      <ActSide>
        <Act here={here} want={want} onRead={() => point(null)} onOpen={setOpen} />
      </ActSide>
      <ReadingSheet here={here} isOpen={open === 'reading'} onClose={close} firstDepthCm={pointedCm} />
      <HeatSheet here={here} isOpen={open === 'heat'} onClose={close} />
      <TakeBackSheet here={here} isOpen={open === 'log'} onClose={close} />
      {want.kind === 'begin' && open === 'amounts' && (
        <AmountsOf here={here} want={want} onClose={close} zone={zone} />
      )}
    </Halves>
  );
}

function Section({ here, onPoint }: { here: BatchHere; onPoint: (depthCm: number) => void }) {
  const { snapshot } = here.batch;
  const { state, clock } = here.pot;
  const now = potLitres(state.pot);
  const setup = setupOf(snapshot.input);
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
    const fill = litres(snapshot.plan.workingFillLitres);
    marks.push({ litres: snapshot.plan.workingFillLitres, text: `no fuller than ${fill}`, kind: 'limit' });
  }
  const kg = massKg(state.pot.mixture);
  const tags = state.toComeOut.map((one) => (one.count > 1 ? `${one.count} ${one.word}` : one.word));
  return (
    <PotSection
      vessel={snapshot.input.pot.vessel}
      litres={now}
      food={snapshot.input.recipe.colour}
      pieces={kg > 0 ? totalKg(state.pot.mixture.pieces) / kg : 0}
      marks={marks}
      steamKgPerHour={kg > 0 ? lossKgPerHour(setup, state.pot) : 0}
      heatFraction={state.pot.heatFraction}
      hasLid={state.pot.lid}
      tags={tags}
      stick
      description={`${snapshot.input.pot.name} in section: ${litres(now)}, ${state.pot.tempC.toFixed(0)} °C, lid ${state.pot.lid}.${tags.length ? ` To come out: ${tags.join(', ')}.` : ''}`}
      onPoint={onPoint}
    />
  );
}

function potWords(here: BatchHere): string {
  const { state } = here.pot;
  const { burner } = here.batch.snapshot.input;
  if (massKg(state.pot.mixture) === 0)
    return `Empty. ${sentenceCase(burner.name)} ${heatWords(state.pot.heatFraction)}.`;
  return `${sentenceCase(burner.name)} at ${heatWords(state.pot.heatFraction)}, lid ${state.pot.lid}, about ${state.pot.tempC.toFixed(0)} °C. Press the pot where the level stands.`;
}

interface ActProps {
  here: BatchHere;
  want: Want;
  onRead: () => void;
  onOpen: (what: 'heat' | 'log' | 'amounts') => void;
}

function Act({ here, want, onRead, onOpen }: ActProps) {
  const { tell, refusals } = useSay(here.batch.id);
  const navigate = useNavigate();
  const [isBusy, setBusy] = useState(false);
  const once = async (...bodies: BatchEventBody[]) => {
    setBusy(true);
    await tell(...bodies);
    setBusy(false);
  };
  const beside = (
    <>
      <Button atPot onPress={() => onOpen('heat')}>
        Heat and lid
      </Button>
      <Button atPot onPress={() => onOpen('log')}>
        Take back…
      </Button>
    </>
  );
  const { state, clock } = here.pot;
  switch (want.kind) {
    case 'closed':
      return <h2>This batch is closed</h2>;
    case 'answer':
      return <Answer here={here} beside={beside} />;
    case 'begin':
      return (
        <>
          <div>
            <Over>{beginWords(want, here)}</Over>
            <h2>{want.stage.title}</h2>
          </div>
          <Cues>
            <p>{want.stage.act}</p>
            {want.stage.caution && <Caution>{want.stage.caution}</Caution>}
          </Cues>
          {want.lines.length > 0 && <WeighList lines={want.lines} withBuying={false} />}
          {want.stage.asksOut && state.toComeOut.length > 0 && <TakeOut here={here} />}
          <Soft>
            Then {here.batch.snapshot.input.burner.name} at {heatWords(firstHeat(here, want))}, lid{' '}
            {want.stage.lid}.
          </Soft>
          <Errors sentences={refusals} />
          <Acts>
            <Button kind="main" atPot isDisabled={isBusy} onPress={() => once(...beginBodies(here, want))}>
              {want.lines.length > 0 ? 'These are in: begin' : 'Begin'}
            </Button>
            {want.lines.length > 0 ? (
              <Button atPot onPress={() => onOpen('amounts')}>
                Other amounts
              </Button>
            ) : (
              <Button atPot onPress={() => onOpen('heat')}>
                Heat and lid
              </Button>
            )}
            <Button atPot onPress={() => onOpen('log')}>
              Take back…
            </Button>
          </Acts>
        </>
      );
    case 'serve':
      return (
        <>
          <Running here={here} want={want} />
          {state.toComeOut.length > 0 && <TakeOut here={here} />}
          <Acts>
            <Button kind="main" atPot onPress={() => navigate(`/batches/${here.batch.id}/pass`)}>
              To the pass
            </Button>
            {beside}
          </Acts>
        </>
      );
    default: {
      // Each button keeps its own key: one that changed its meaning under a thumb would act on the wrong word.
      const falls = clock?.markLitres != null;
      const finish = (
        <Button
          key="finish"
          kind={want.kind === 'finish' ? 'main' : 'plain'}
          atPot
          isDisabled={isBusy}
          onPress={() => once({ type: 'stageDone', v: 1, payload: { stageId: want.stage.id } })}
        >
          {falls ? 'At the mark' : 'It is done'}
        </Button>
      );
      const read = (
        <Button
          key="read"
          kind={want.kind === 'finish' || want.kind === 'heat' ? 'plain' : 'main'}
          atPot
          onPress={onRead}
        >
          It is here now
        </Button>
      );
      return (
        <>
          <Running here={here} want={want} />
          {want.stage.asksOut && state.toComeOut.length > 0 && <TakeOut here={here} />}
          <Errors sentences={refusals} />
          <Acts>
            {want.kind === 'heat' ? (
              <Button
                key="heat"
                kind="main"
                atPot
                isDisabled={isBusy}
                onPress={() => once({ type: 'heatSet', v: 1, payload: { fraction: want.fraction } })}
              >
                {want.fraction === 0 ? 'Heat is off' : `Heat is at ${heatWords(want.fraction)}`}
              </Button>
            ) : want.kind === 'finish' ? (
              finish
            ) : (
              read
            )}
            {want.kind === 'heat' || want.kind === 'finish' ? read : finish}
            <Button atPot onPress={() => onOpen('heat')}>
              Heat and lid
            </Button>
          </Acts>
          <div>
            <Button kind="quiet" onPress={() => onOpen('log')}>
              Take something back, or note it
            </Button>
          </div>
        </>
      );
    }
  }
}

/** A running stage: its title, its cue, its clock, and the curve where a level falls. */
function Running({
  here,
  want,
}: {
  here: BatchHere;
  want: Exclude<Want, { kind: 'closed' | 'answer' | 'begin' }>;
}) {
  const { state, clock, nowMs } = here.pot;
  const { zone } = here.kitchen;
  const { stage } = want;
  const now = potLitres(state.pot);
  const ends = clock?.ends;
  const isSure = ends?.p10Ms === ends?.p90Ms;
  const setup = setupOf(here.batch.snapshot.input);
  const loss = massKg(state.pot.mixture) > 0 ? lossKgPerHour(setup, state.pot) : 0;
  return (
    <>
      <div>
        <Over>{overWords(want, nowMs, zone)}</Over>
        <h2>{want.kind === 'heat' ? `Heat to ${heatWords(want.fraction)}` : stage.title}</h2>
        <Cues>
          <p>{want.kind === 'finish' ? stage.cue : stage.act}</p>
        </Cues>
      </div>
      <Answers>
        {want.kind === 'serve' ? (
          <div className="hour">
            <dt>service</dt>
            <dd>{hourMinute(here.batch.snapshot.plan.serviceAtMs, zone)}</dd>
          </div>
        ) : (
          <div className="hour">
            <dt>{clock?.markLitres != null ? 'at the mark about' : 'done about'}</dt>
            <dd>{ends?.p50Ms ? hourMinute(ends.p50Ms, zone) : 'not so'}</dd>
          </div>
        )}
        {ends?.p10Ms && !isSure && want.kind !== 'finish' && (
          <div>
            <dt>most likely between</dt>
            <dd>
              {hourMinute(ends.p10Ms, zone)} and {ends.p90Ms ? hourMinute(ends.p90Ms, zone) : 'much later'}
            </dd>
          </div>
        )}
        <div>
          <dt>in the pot now</dt>
          <dd>
            {litres(now)}
            {clock?.markLitres != null && <small>, losing {loss.toFixed(1)} kg/h</small>}
          </dd>
        </div>
      </Answers>
      {clock?.markLitres != null && <FallChart here={here} markLitres={clock.markLitres} />}
      <Cues>
        {want.kind !== 'finish' && (
          <p>
            <strong>Ready when:</strong> {stage.cue}
          </p>
        )}
        <p>
          <strong>If not:</strong> {stage.trouble}
        </p>
        {stage.caution && <Caution>{stage.caution}</Caution>}
      </Cues>
    </>
  );
}

function FallChart({ here, markLitres }: { here: BatchHere; markLitres: number }) {
  const { snapshot } = here.batch;
  const { state, events, nowMs, clock } = here.pot;
  // The curve is drawn anew each minute and at each event; the figures beside it move each second.
  const minute = Math.floor(nowMs / 60_000);
  const drawn = useMemo(
    () => ({
      trace: levelTrace(snapshot, events, nowMs).filter((point) => point.atMs >= (clock?.begunMs ?? 0)),
      band: levelAhead(setupOf(snapshot.input), state.pot, markLitres),
    }),
    [snapshot, events, minute, state.pot.heatFraction, state.pot.lid],
  );
  const readings = state.readings
    .filter((reading) => reading.kind !== 'temperature' && reading.atMs >= (clock?.begunMs ?? 0))
    .map((reading) => ({
      atMs: reading.atMs,
      litres: reading.litres,
      isDoubted: reading.status !== 'taken',
    }));
  return (
    <ChartBox>
      <LevelChart
        zone={here.kitchen.zone}
        trace={drawn.trace}
        band={drawn.band}
        readings={readings}
        markLitres={markLitres}
        servedAtMs={null}
        description={`The level falling: ${readings.length} readings, now ${litres(potLitres(state.pot))}, down to ${litres(markLitres)}.`}
      />
    </ChartBox>
  );
}

/** A reading the pot cannot explain: two answers, and until then it counts for nothing. */
function Answer({ here, beside }: { here: BatchHere; beside: React.ReactNode }) {
  const { tell, refusals } = useSay(here.batch.id);
  const [question] = here.pot.state.questions;
  if (!question) return null;
  const answer = (believed: boolean) =>
    tell({ type: 'answered', v: 1, payload: { eventId: question.eventId, believed } });
  return (
    <>
      <div>
        <Over>A reading at {hourMinute(question.atMs, here.kitchen.zone)} does not fit</Over>
        <h2>Is that right?</h2>
      </div>
      <Cues>
        <p>{question.sentence}</p>
        <Soft>It is kept, and counts for nothing until you say.</Soft>
      </Cues>
      <Errors sentences={refusals} />
      <Acts>
        <Button kind="main" atPot onPress={() => answer(false)}>
          No, a slip: set it aside
        </Button>
        <Button atPot onPress={() => answer(true)}>
          Yes, it is right
        </Button>
      </Acts>
      <Acts>{beside}</Acts>
    </>
  );
}

const OutBox = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border: 2px solid ${colour.danger};
  border-radius: 10px;
  > div {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s};
  }
`;

/** What is still in the pot and has to come out: one press each. */
export function TakeOut({ here }: { here: BatchHere }) {
  const { tell, refusals } = useSay(here.batch.id);
  return (
    <OutBox role="group" aria-label="To come out">
      <strong>Still in the pot, to come out:</strong>
      <div>
        {here.pot.state.toComeOut.map((one) => (
          <Button
            key={`${one.word}-${one.sinceMs}`}
            atPot
            onPress={() => tell({ type: 'removed', v: 1, payload: { word: one.word, count: one.count } })}
          >
            {one.count} {one.word}: out
          </Button>
        ))}
      </div>
      <Errors sentences={refusals} />
    </OutBox>
  );
}

function AmountsOf({
  here,
  want,
  onClose,
}: {
  here: BatchHere;
  want: Extract<Want, { kind: 'begin' }>;
  onClose: () => void;
  zone: string;
}) {
  const { tell, refusals } = useSay(here.batch.id);
  return (
    <AmountsSheet
      lines={want.lines}
      isOpen
      onClose={onClose}
      refusals={refusals}
      onKeep={async (kgByLine) => {
        if (await tell(...beginBodies(here, want, kgByLine))) onClose();
      }}
    />
  );
}

/** Beginning a stage: its lines are in, it begins, its lid and its heat are set. */
function beginBodies(
  here: BatchHere,
  want: Extract<Want, { kind: 'begin' }>,
  kgByLine?: Record<string, number>,
): BatchEventBody[] {
  const { stage } = want;
  const lot = {
    ...(here.batch.snapshot.lotId ? { lotId: here.batch.snapshot.lotId } : {}),
    ingredientId: 'fish-fumet',
  };
  const items = itemsOf(want.lines, lot, kgByLine);
  const added: BatchEventBody[] = items.length > 0 ? [{ type: 'added', v: 1, payload: { items } }] : [];
  return [
    ...added,
    { type: 'stageBegun', v: 1, payload: { stageId: stage.id } },
    { type: 'lidSet', v: 1, payload: { lid: stage.lid } },
    { type: 'heatSet', v: 1, payload: { fraction: firstHeat(here, want) } },
  ];
}

/** Full while what goes in is cold, else what the stage's simmer wants. */
function firstHeat(here: BatchHere, want: Extract<Want, { kind: 'begin' }>): number {
  const { stage, lines } = want;
  if (stage.heat.kind === 'burner') return stage.heat.fraction;
  const coldKg = lines.reduce((sum, line) => sum + (line.tempC < 60 ? line.edibleKg : 0), 0);
  if (coldKg > 0.05 * massKg(here.pot.state.pot.mixture)) return 1;
  return wantedHeat(setupOf(here.batch.snapshot.input), stage, here.pot.state.pot);
}

function beginWords(want: Extract<Want, { kind: 'begin' }>, here: BatchHere): string {
  const { nowMs } = here.pot;
  const { zone } = here.kitchen;
  if (want.dueMs === null) return 'Next';
  const gap = want.dueMs - nowMs;
  if (gap > 60_000) return `Light it at ${hourMinute(want.dueMs, zone)}, in ${span(gap)}`;
  return gap < -5 * 60_000
    ? `It was to be lit at ${hourMinute(want.dueMs, zone)}, ${span(gap)} ago`
    : 'Light it now';
}

function overWords(want: Want, nowMs: number, zone: string): string {
  switch (want.kind) {
    case 'heat':
      return 'Now, at the burner';
    case 'finish':
      return 'Look now: it should be done';
    case 'handsOn':
      return 'Stay with it, hands on';
    case 'lookIn':
      return want.dueMs - nowMs < 45_000
        ? 'Look in and stir now'
        : `Now, and nothing else for ${span(want.dueMs - nowMs)}: look in at ${hourMinute(want.dueMs, zone)}`;
    case 'leave':
      return want.dueMs === null ? 'Leave it' : `Leave it until ${hourMinute(want.dueMs, zone)}`;
    case 'serve':
      return want.dueMs > nowMs ? `Hold it, ${span(want.dueMs - nowMs)} to go` : 'Serving';
    default:
      return '';
  }
}
