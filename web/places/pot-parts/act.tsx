import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type BatchEventBody, lookFromMs, purees, type Want } from '../../../core';
import { useLots } from '../../data/queries';
import { heatWords } from '../../data/words';
import { Button } from '../../parts/button';
import { Field } from '../../parts/field';
import { Caution, Errors, Over, Soft } from '../../parts/text';
import type { BatchHere } from '../batch-frame';
import { WeighList } from '../plan-parts/weigh-list';
import { AmountsSheet, itemsOf } from './amounts-sheet';
import { Answer } from './answer';
import { beginBodies, beginWords, drawsOf, firstHeat, simmerWords } from './begin';
import { BlenderNote } from './blender-note';
import { ColdLoadNote } from './cold-load-note';
import { LaterList } from './later-list';
import { MoreActs, type PotSheet } from './more-acts';
import { Acts, Cues } from './pot-styles';
import { Running } from './running';
import { TakeOut } from './take-out';
import { TopNote } from './top-note';
import { useSay } from './use-say';

interface ActProps {
  here: BatchHere;
  want: Want;
  onRead: () => void;
  onOpen: (what: PotSheet) => void;
}

/** The one act the pot wants, and what stands beside it. */
export function Act(props: ActProps) {
  const { here, want, onOpen } = props;
  switch (want.kind) {
    case 'closed':
      return <h2>This batch is closed</h2>;
    case 'answer':
      return <Answer here={here} beside={<Beside onOpen={onOpen} />} />;
    case 'begin':
      return <Beginning {...props} want={want} />;
    case 'serve':
      return <Serving {...props} want={want} />;
    default:
      return <UnderWay {...props} want={want} />;
  }
}

function Beside({ onOpen }: { onOpen: ActProps['onOpen'] }) {
  return (
    <>
      <Button atPot onPress={() => onOpen('heat')}>
        Heat and lid
      </Button>
      <Button atPot onPress={() => onOpen('log')}>
        Take back…
      </Button>
    </>
  );
}

/** Says something once: the button is still until it has been heard. */
function useOnce(batchId: string) {
  const { tell, refusals } = useSay(batchId);
  const [isBusy, setBusy] = useState(false);
  const once = async (...bodies: BatchEventBody[]) => {
    setBusy(true);
    await tell(...bodies);
    setBusy(false);
  };
  return { once, isBusy, refusals };
}

function Beginning({ here, want, onOpen }: ActProps & { want: Extract<Want, { kind: 'begin' }> }) {
  const { once, isBusy, refusals } = useOnce(here.batch.id);
  const { state } = here.pot;
  const hanging = (want.stage.asksOut || purees(want.stage)) && state.toComeOut.length > 0;
  const [why, setWhy] = useState('');
  const isHeld = hanging && purees(want.stage) && why.trim() === '';
  const rounds = here.batch.snapshot.plan.stages.find((one) => one.stageId === want.stage.id)?.rounds ?? 1;
  return (
    <>
      <div>
        <Over>{beginWords(want, here)}</Over>
        <h2>{want.stage.title}</h2>
      </div>
      <Cues>
        <p>{want.stage.act}</p>
        {want.stage.caution && <Caution>{want.stage.caution}</Caution>}
        {rounds > 1 && (
          <Caution>
            raw it does not fit at once: in {rounds} rounds, each as the one before collapses.
          </Caution>
        )}
      </Cues>
      {want.lines.length > 0 && <WeighList lines={want.lines} withBuying={false} />}
      {want.later.length > 0 && <LaterList later={want.later} />}
      <ColdLoadNote here={here} want={want} />
      <TopNote here={here} />
      {hanging && <TakeOut here={here} />}
      {hanging && purees(want.stage) && (
        <Field
          label="Or why it is blended in all the same"
          value={why}
          onChange={setWhy}
          error={null}
          isText
        />
      )}
      <BlenderNote here={here} stage={want.stage} />
      <Soft>
        Then {state.onBurner.name} at {heatWords(firstHeat(here, want))}, lid {want.stage.lid}
        {simmerWords(here, want.stage)}.
      </Soft>
      <Errors sentences={refusals} />
      <Acts>
        <Button
          kind="main"
          atPot
          isDisabled={isBusy || isHeld}
          onPress={() => once(...beginBodies(here, want, undefined, undefined, why))}
        >
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
      <MoreActs here={here} onOpen={onOpen} beside={want.lines.length > 0 ? ['log'] : ['log', 'heat']} />
    </>
  );
}

function Serving({ here, want, onOpen }: ActProps & { want: Extract<Want, { kind: 'serve' }> }) {
  const navigate = useNavigate();
  return (
    <>
      <Running here={here} want={want} />
      <TopNote here={here} />
      {here.pot.state.toComeOut.length > 0 && <TakeOut here={here} />}
      <Acts>
        <Button kind="main" atPot onPress={() => navigate(`/batches/${here.batch.id}/pass`)}>
          {here.batch.snapshot.input.recipe.base ? 'To put it by' : 'To the pass'}
        </Button>
        <Beside onOpen={onOpen} />
      </Acts>
      <MoreActs here={here} onOpen={onOpen} beside={['log', 'heat']} />
    </>
  );
}

type UnderWayWant = Exclude<Want, { kind: 'closed' | 'answer' | 'begin' | 'serve' }>;

function UnderWay({ here, want, onRead, onOpen }: ActProps & { want: UnderWayWant }) {
  const { once, isBusy, refusals } = useOnce(here.batch.id);
  const { state, clock } = here.pot;
  const isFall = clock?.markLitres != null;
  const main = mainAct(here, want);
  // Each button keeps its own key: one that changed its meaning under a thumb would act on the wrong word.
  const finish = (
    <Button
      key="finish"
      kind={want.kind === 'finish' ? 'main' : 'plain'}
      atPot
      isDisabled={isBusy}
      onPress={() => once({ type: 'stageDone', v: 1, payload: { stageId: want.stage.id } })}
    >
      {isFall ? 'At the mark' : 'It is done'}
    </Button>
  );
  const isReadMain = want.kind !== 'finish' && !main;
  const read = (
    <Button key="read" kind={isReadMain ? 'main' : 'plain'} atPot onPress={onRead}>
      It is here now
    </Button>
  );
  const first = main ? (
    <Button key={main.key} kind="main" atPot isDisabled={isBusy} onPress={() => once(...main.bodies)}>
      {main.text}
    </Button>
  ) : want.kind === 'finish' ? (
    finish
  ) : (
    read
  );
  const hasHeat = first === finish || first === read;
  return (
    <>
      <Running here={here} want={want} />
      <TopNote here={here} />
      {want.stage.asksOut && state.toComeOut.length > 0 && <TakeOut here={here} />}
      <Errors sentences={refusals} />
      <Acts>
        {first}
        {first === read ? finish : read}
        {hasHeat ? (
          <Button key="heat-sheet" atPot onPress={() => onOpen('heat')}>
            Heat and lid
          </Button>
        ) : (
          finish
        )}
      </Acts>
      <MoreActs here={here} onOpen={onOpen} beside={hasHeat ? ['heat'] : []} />
    </>
  );
}

/** What the largest button does, where the want is more than to wait or to finish. */
function mainAct(
  here: BatchHere,
  want: UnderWayWant,
): { key: string; text: string; bodies: BatchEventBody[] } | null {
  switch (want.kind) {
    case 'heat':
      return {
        key: 'heat',
        text: want.fraction === 0 ? 'Heat is off' : `Heat is at ${heatWords(want.fraction)}`,
        bodies: [{ type: 'heatSet', v: 1, payload: { fraction: want.fraction } }],
      };
    case 'cool':
      return {
        key: 'cool',
        text: 'Heat is off',
        bodies: [{ type: 'heatSet', v: 1, payload: { fraction: 0 } }],
      };
    case 'lookIn':
      if (here.pot.nowMs < lookFromMs(want)) return null;
      return {
        key: 'looked',
        text: 'Looked in, stirred',
        bodies: [{ type: 'looked', v: 1, payload: { stageId: want.stage.id } }],
      };
    case 'add': {
      const items = itemsOf(want.lines, drawsOf(here.batch.snapshot));
      return { key: 'add', text: 'These are in', bodies: [{ type: 'added', v: 1, payload: { items } }] };
    }
    case 'giveBack':
      return {
        key: 'giveBack',
        text: 'Back in the pot',
        bodies: want.parked.map((one) => ({
          type: 'returned',
          v: 1,
          payload: { liftedId: one.liftedId, kg: one.kg, tempC: RESTED_C },
        })),
      };
    default:
      return null;
  }
}

/** What has lain spread on a tray is about this warm, °C. Common practice. */
const RESTED_C = 25;

/** Other amounts than planned, for a stage that begins. */
export function AmountsOf({
  here,
  want,
  onClose,
}: {
  here: BatchHere;
  want: Extract<Want, { kind: 'begin' }>;
  onClose: () => void;
}) {
  const { tell, refusals } = useSay(here.batch.id);
  const { data: lots = [] } = useLots();
  return (
    <AmountsSheet
      lines={want.lines}
      isOpen
      onClose={onClose}
      refusals={refusals}
      lots={lots}
      draws={drawsOf(here.batch.snapshot)}
      onKeep={async (kgByLine, draws) => {
        if (await tell(...beginBodies(here, want, kgByLine, draws))) onClose();
      }}
    />
  );
}
