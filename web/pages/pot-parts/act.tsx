import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { lookFromMs, type NextAction, toComeOut } from '../../../core/batch';
import { purees } from '../../../core/recipe';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Field } from '../../components/field';
import { Caution, Errors, Over, Soft } from '../../components/text';
import { useLots } from '../../data/queries';
import { colour, radius, space } from '../../theme/tokens';
import { heatWords, inMeasures, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { WeighList } from '../plan-parts/weigh-list';
import { AmountsSheet, itemsOf } from './amounts-sheet';
import { Answer } from './answer';
import { beginBodies, beginWords, drawsOf, firstHeat, simmerWords } from './begin';
import { BlenderNote } from './blender-note';
import { ColdLoadNote } from './cold-load-note';
import { GiveBack } from './give-back';
import { HoldNote } from './hold-note';
import { LaterList } from './later-list';
import { LeftOut } from './left-out';
import { MoreActs, type PotSheet } from './more-acts';
import { Acts, Cues } from './pot-styles';
import { Running } from './running';
import { SpoonNote } from './spoon-note';
import { TakeOut } from './take-out';
import { TopNote } from './top-note';
import { useSubmit } from './use-submit';

interface ActProps {
  here: BatchHere;
  next: NextAction;
  onRead: () => void;
  onOpen: (what: PotSheet) => void;
}

/** The one act the pot wants, and what stands beside it. */
export function Act(props: ActProps) {
  const { here, next, onOpen } = props;
  switch (next.kind) {
    case 'closed':
      return <h2>{potWords.thisBatchIsClosed}</h2>;
    case 'answer':
      return <Answer here={here} beside={<Beside onOpen={onOpen} />} />;
    case 'begin':
      return <Beginning {...props} next={next} />;
    case 'serve':
    case 'check':
    case 'tooCold':
      return <Serving {...props} next={next} />;
    default:
      return <UnderWay {...props} next={next} />;
  }
}

function Beside({ onOpen }: { onOpen: ActProps['onOpen'] }) {
  return (
    <>
      <Button atPot onPress={() => onOpen('heat')}>
        {potWords.heatAndLid}
      </Button>
      <Button atPot onPress={() => onOpen('log')}>
        {potWords.undo}
      </Button>
    </>
  );
}

/** Says something once: the button is still until it has been heard. */
function useOnce(batchId: string) {
  const { tell, refusals } = useSubmit(batchId);
  const [isBusy, setBusy] = useState(false);
  const once = async (...bodies: BatchCommand[]) => {
    setBusy(true);
    await tell(...bodies);
    setBusy(false);
  };
  return { once, isBusy, refusals };
}

function Beginning({ here, next, onOpen }: ActProps & { next: Extract<NextAction, { kind: 'begin' }> }) {
  const { once, isBusy, refusals } = useOnce(here.batch.id);
  const { state } = here.pot;
  const hanging = (next.stage.asksOut || purees(next.stage)) && toComeOut(state).length > 0;
  const [why, setWhy] = useState('');
  const isHeld = hanging && purees(next.stage) && why.trim() === '';
  const rounds = here.batch.snapshot.plan.stages.find((one) => one.stageId === next.stage.id)?.rounds ?? 1;
  return (
    <>
      <div>
        <Over>{beginWords(next, here)}</Over>
        <h2>{next.stage.title}</h2>
      </div>
      <Cues>
        <p>{inMeasures(next.stage.act)}</p>
        {next.stage.caution && <Caution>{inMeasures(next.stage.caution)}</Caution>}
        {rounds > 1 && <Caution>{potWords.rawItDoesNotFit(rounds)}</Caution>}
      </Cues>
      {next.lines.length > 0 && <WeighList lines={next.lines} withBuying={false} />}
      {next.later.length > 0 && <LaterList later={next.later} />}
      <ColdLoadNote here={here} next={next} />
      <TopNote here={here} />
      <LeftOut here={here} />
      {hanging && <TakeOut here={here} />}
      {hanging && purees(next.stage) && (
        <Field label={potWords.orWhyItIsBlended} value={why} onChange={setWhy} error={null} isText />
      )}
      <BlenderNote here={here} stage={next.stage} />
      <Soft>
        {potWords.thenAtLid(
          state.onBurner.name,
          heatWords(firstHeat(here, next), state.onBurner.dial),
          next.stage.lid,
          simmerWords(here, next.stage),
        )}
      </Soft>
      <Errors sentences={refusals} />
      <Acts>
        <Button
          kind="main"
          atPot
          isDisabled={isBusy || isHeld}
          onPress={() => once(...beginBodies(here, next, undefined, undefined, why))}
        >
          {next.lines.length > 0 ? potWords.theseAreInBegin : potWords.begin}
        </Button>
        {next.lines.length > 0 ? (
          <Button atPot onPress={() => onOpen('amounts')}>
            {potWords.otherAmounts}
          </Button>
        ) : (
          <Button atPot onPress={() => onOpen('heat')}>
            {potWords.heatAndLid}
          </Button>
        )}
        <Button atPot onPress={() => onOpen('log')}>
          {potWords.undo}
        </Button>
      </Acts>
      <MoreActs here={here} onOpen={onOpen} beside={next.lines.length > 0 ? ['log'] : ['log', 'heat']} />
    </>
  );
}

function Serving({
  here,
  next,
  onRead,
  onOpen,
}: ActProps & { next: Extract<NextAction, { kind: 'serve' | 'check' | 'tooCold' }> }) {
  const navigate = useNavigate();
  return (
    <>
      <Running here={here} next={next} />
      <TopNote here={here} />
      {next.kind !== 'tooCold' && <HoldNote here={here} />}
      <LeftOut here={here} />
      {toComeOut(here.pot.state).length > 0 && <TakeOut here={here} />}
      <Acts>
        <Button kind="main" atPot onPress={() => navigate(`/batches/${here.batch.id}/pass`)}>
          {here.batch.snapshot.input.recipe.base ? potWords.toStoring : potWords.toThePass}
        </Button>
        <Button atPot onPress={onRead}>
          {potWords.takeAReading}
        </Button>
        <Button atPot onPress={() => onOpen('heat')}>
          {potWords.heatAndLid}
        </Button>
      </Acts>
      <MoreActs here={here} onOpen={onOpen} beside={['reading', 'heat']} />
    </>
  );
}

type UnderWayWant = Exclude<
  NextAction,
  { kind: 'closed' | 'answer' | 'begin' | 'serve' | 'check' | 'tooCold' }
>;

function UnderWay({ here, next, onRead, onOpen }: ActProps & { next: UnderWayWant }) {
  const { once, isBusy, refusals } = useOnce(here.batch.id);
  const { state, clock } = here.pot;
  const isFall = clock?.markLitres != null;
  const main = mainAct(here, next);
  const [isAsked, setAsked] = useState(false);
  const done: BatchCommand[] = [{ type: 'stageDone', payload: { stageId: next.stage.id } }];
  const simmerC = clock?.target?.kind === 'temperature' ? clock.target.tempC : null;
  const isSimmer = next.stage.ends.rule === 'simmer';
  const isDoubtful = simmerC !== null && state.pot.tempC < simmerC - DOUBTFUL_K;
  // Each button keeps its own key: one that changed its meaning under a thumb would act on the wrong word.
  const finish = (
    <Button
      key="finish"
      kind={next.kind === 'finish' ? 'main' : 'plain'}
      atPot
      isDisabled={isBusy}
      onPress={() => (isDoubtful && !isAsked ? setAsked(true) : void once(...done))}
    >
      {isFall ? potWords.itsAtTheMark : potWords.stageDone}
    </Button>
  );
  const isReadMain = next.kind !== 'finish' && !main;
  const read = (
    <Button key="read" kind={isReadMain ? 'main' : 'plain'} atPot onPress={onRead}>
      {potWords.takeAReading}
    </Button>
  );
  const first = main ? (
    <Button key={main.key} kind="main" atPot isDisabled={isBusy} onPress={() => once(...main.bodies)}>
      {main.text}
    </Button>
  ) : next.kind === 'finish' ? (
    finish
  ) : (
    read
  );
  const hasHeat = first === finish || first === read;
  return (
    <>
      <Running here={here} next={next} />
      <TopNote here={here} />
      <SpoonNote here={here} stageId={next.stage.id} />
      <LeftOut here={here} />
      {next.stage.asksOut && toComeOut(state).length > 0 && <TakeOut here={here} />}
      {next.kind === 'giveBack' &&
        next.parked.map((one) => <GiveBack key={one.liftedId} here={here} parked={one} />)}
      {isAsked && isDoubtful && simmerC !== null && (
        <Asked role="group" aria-label={potWords.isItUp}>
          <p>{potWords.calculatedItIsAtC(Math.round(state.pot.tempC), Math.round(simmerC), isSimmer)}</p>
          <Button
            atPot
            kind="main"
            isDisabled={isBusy}
            onPress={() =>
              void once(
                { type: 'reading', payload: { kind: 'temperature', value: round1(simmerC), sure: true } },
                ...done,
              )
            }
          >
            {isSimmer ? potWords.itSimmersStageDone : potWords.itIsSoHotStage}
          </Button>
          <Button atPot onPress={() => setAsked(false)}>
            {potWords.notYet}
          </Button>
        </Asked>
      )}
      <Errors sentences={refusals} />
      {!(isAsked && isDoubtful) && (
        <Acts>
          {first}
          {first === read ? finish : read}
          {hasHeat ? (
            <Button key="heat-sheet" atPot onPress={() => onOpen('heat')}>
              {potWords.heatAndLid}
            </Button>
          ) : (
            finish
          )}
        </Acts>
      )}
      <MoreActs here={here} onOpen={onOpen} beside={hasHeat ? ['reading', 'heat'] : ['reading']} />
    </>
  );
}

/** The model is out by no more than this, K: a stage ended under it is asked about. */
const DOUBTFUL_K = 5;

const round1 = (value: number) => Math.round(value * 10) / 10;

const Asked = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border: 2px solid ${colour.lookIn};
  border-radius: ${radius.m};
`;

/** What the largest button does, where the want is more than to wait or to finish. */
function mainAct(
  here: BatchHere,
  next: UnderWayWant,
): { key: string; text: string; bodies: BatchCommand[] } | null {
  switch (next.kind) {
    case 'heat':
      return {
        key: 'heat',
        text:
          next.fraction === 0
            ? potWords.heatIsOff
            : potWords.heatIsAt(heatWords(next.fraction, here.pot.state.onBurner.dial)),
        bodies: [{ type: 'heatSet', payload: { fraction: next.fraction } }],
      };
    case 'losing':
      return {
        key: 'losing',
        text: potWords.heatIsAt(heatWords(next.fraction, here.pot.state.onBurner.dial)),
        bodies: [{ type: 'heatSet', payload: { fraction: next.fraction } }],
      };
    case 'cool':
      return {
        key: 'cool',
        text: potWords.heatIsOff,
        bodies: [{ type: 'heatSet', payload: { fraction: 0 } }],
      };
    case 'lookIn':
      if (here.pot.nowMs < lookFromMs(next)) return null;
      return {
        key: 'looked',
        text: potWords.lookedInStirred,
        bodies: [{ type: 'looked', payload: { stageId: next.stage.id } }],
      };
    case 'add': {
      const items = itemsOf(next.lines, drawsOf(here.batch.snapshot));
      return { key: 'add', text: potWords.theseAreIn, bodies: [{ type: 'added', payload: { items } }] };
    }
    default:
      return null;
  }
}

/** Other amounts than planned, for a stage that begins. */
export function AmountsOf({
  here,
  next,
  onClose,
}: {
  here: BatchHere;
  next: Extract<NextAction, { kind: 'begin' }>;
  onClose: () => void;
}) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { data: lots = [] } = useLots();
  return (
    <AmountsSheet
      lines={next.lines}
      isOpen
      onClose={onClose}
      refusals={refusals}
      lots={lots}
      draws={drawsOf(here.batch.snapshot)}
      holds={here.holds}
      nowMs={here.pot.nowMs}
      onKeep={async (kgByLine, draws) => {
        if (await tell(...beginBodies(here, next, kgByLine, draws))) onClose();
      }}
    />
  );
}
