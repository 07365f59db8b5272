import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import type { WholeKitchen } from '../../contract';
import { massKg, totalKg } from '../../core/matter';
import { planInputOf } from '../../core/order';
import { planBatch } from '../../core/plan';
import type { Recipe } from '../../core/recipe';
import {
  callsFor,
  type Rehearsal,
  type RehearsalCall,
  rehearsalAt,
  startRehearsal,
} from '../../core/rehearse';
import { litresAtDepth } from '../../core/vessel';
import { Button } from '../components/button';
import { Choice } from '../components/choice';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { PotSection } from '../components/pot-section/pot-section';
import { Over, Soft, Title } from '../components/text';

import { useWholeKitchen } from '../data/queries';
import { useBook } from '../data/use-book';
import { font, media, size, space } from '../theme/tokens';
import { litres, rehearseWords } from '../words';
import { NotHere } from './not-here';
import { CALL_WORDS, Told } from './rehearse-parts/told';
import { useKitchenHere } from './use-kitchen-here';

const PotBox = styled.div`
  height: 430px;
  ${media.narrow} {
    height: 280px;
  }
`;

const Minutes = styled.p`
  font-family: ${font.title};
  font-weight: 700;
  font-size: ${size.hour};
  line-height: 1;
  font-variant-numeric: tabular-nums;
`;

const Calls = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: ${space.m};
`;

/** Kitchen minutes that go by in a real second. */
const SPEEDS = [
  { value: '1', text: '60 ×' },
  { value: '0.1667', text: '10 ×' },
  { value: '0.01667', text: '1 ×' },
] as const;
const TICK_MS = 250;
/** Nobody waits longer, minutes. */
const LONGEST_MIN = 240;

/** A recipe rehearsed: it falls by a hidden truth, the cook calls by eye, and then the truth is shown. */
export function Rehearse() {
  const { id } = useParams();
  const kitchen = useKitchenHere();
  const whole = useWholeKitchen(kitchen);
  const book = useBook(kitchen);
  const [round, setRound] = useState(0);
  if (!book || !whole) return <Waiting />;
  const recipe = book.library.recipes[id ?? ''];
  if (!recipe) return <NotHere />;
  return (
    <Page>
      <header>
        <Title>{rehearseWords.rehearse(recipe.name)}</Title>
        <Soft>{rehearseWords.itReducesOnABurner}</Soft>
      </header>
      <Round
        key={round}
        recipe={recipe}
        kitchen={whole}
        book={book.recipes}
        onAgain={() => setRound(round + 1)}
      />
    </Page>
  );
}

function Round({
  recipe,
  kitchen,
  book,
  onAgain,
}: {
  recipe: Recipe;
  kitchen: WholeKitchen;
  book: readonly Recipe[];
  onAgain: () => void;
}) {
  const [rehearsal] = useState(() => setUp(recipe, kitchen, book, Math.random()));
  const [minute, setMinute] = useState(0);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number]['value']>('1');
  const [calls, setCalls] = useState<{ call: RehearsalCall; minute: number }[]>([]);
  const [isOver, setOver] = useState(false);
  useEffect(() => {
    if (isOver || !rehearsal) return;
    const timer = setInterval(
      () => setMinute((before) => Math.min(LONGEST_MIN, before + (Number(speed) * TICK_MS) / 1000)),
      TICK_MS,
    );
    return () => clearInterval(timer);
  }, [speed, isOver, rehearsal]);
  if (!rehearsal) {
    return (
      <Empty title={rehearseWords.nothingToRehearseHere}>
        <Soft>{rehearseWords.nothingSteamsAwayInThis}</Soft>
      </Empty>
    );
  }
  const truth = rehearsalAt(rehearsal, minute);
  const offered = callsFor(rehearsal);
  const { pot } = truth;
  const input = rehearsal.snapshot.input;
  return (
    <Halves>
      <section>
        <PotBox>
          <PotSection
            vessel={input.pot.vessel}
            litres={truth.litres}
            food={input.recipe.colour}
            pieces={totalKg(pot.mixture.pieces) / massKg(pot.mixture)}
            steamKgPerHour={2}
            heatFraction={pot.heatFraction}
            description={rehearseWords.inSectionFallingNoFigure(input.pot.name)}
            {...(isOver
              ? {
                  stick: true,
                  marks: [
                    {
                      litres: rehearsalAt(rehearsal, 0).litres,
                      text: rehearseWords.began(litres(rehearsalAt(rehearsal, 0).litres)),
                      kind: 'started' as const,
                    },
                  ],
                }
              : {})}
          />
        </PotBox>
      </section>
      <section>
        <div>
          <Over>{rehearseWords.sinceItBegan}</Over>
          <Minutes>{rehearseWords.min(Math.floor(minute))}</Minutes>
        </div>
        {isOver ? (
          <Told rehearsal={rehearsal} calls={calls} recipeId={recipe.id} onAgain={onAgain} />
        ) : (
          <>
            <Choice label={rehearseWords.timeRunsAt} value={speed} options={SPEEDS} onChange={setSpeed} />
            <Calls>
              {offered.map((call) => {
                const said = calls.find((one) => one.call === call);
                return (
                  <Button
                    key={call}
                    atPot
                    isDisabled={said !== undefined}
                    onPress={() => setCalls([...calls, { call, minute }])}
                  >
                    {said ? rehearseWords.min2(CALL_WORDS[call], Math.floor(said.minute)) : CALL_WORDS[call]}
                  </Button>
                );
              })}
            </Calls>
            <Button kind="main" atPot isDisabled={calls.length === 0} onPress={() => setOver(true)}>
              {rehearseWords.showTheTruth}
            </Button>
          </>
        )}
      </section>
    </Halves>
  );
}

/** The recipe as written, in the smallest pot that takes it, on the burner best known. */
function setUp(
  recipe: Recipe,
  kitchen: WholeKitchen,
  book: readonly Recipe[],
  chance: number,
): Rehearsal | null {
  const portions = Math.max(1, Math.round((recipe.litres * 1000) / recipe.portionMl));
  const pots = [...kitchen.pots].sort(
    (a, b) => litresAtDepth(a.vessel, a.vessel.heightCm) - litresAtDepth(b.vessel, b.vessel.heightCm),
  );
  for (const pot of pots) {
    const burner = kitchen.burners
      .filter((one) => one.potIds.includes(pot.id))
      .sort((a, b) => b.heatFactor.batches - a.heatFactor.batches)[0];
    if (!burner) continue;
    const input = planInputOf(
      {
        recipeId: recipe.id,
        portions,
        portionMl: recipe.portionMl,
        saltPercent: recipe.targetSaltPercent,
        band: recipe.targetBand,
        serviceAtMs: 0,
        potId: pot.id,
        burnerId: burner.id,
      },
      kitchen,
      recipe,
      book,
    );
    if (Array.isArray(input)) continue;
    try {
      const plan = planBatch(input);
      if (plan.batches > 1) continue;
      return startRehearsal({ input, plan }, chance);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
    }
  }
  return null;
}
