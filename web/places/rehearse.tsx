import { useEffect, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { type KitchenView, planInputOf } from '../../contract';
import {
  callsFor,
  eyeScore,
  litresAtDepth,
  massKg,
  planBatch,
  type Recipe,
  type Rehearsal,
  type RehearsalCall,
  rehearsalAt,
  type ScoredCall,
  scoreCalls,
  startRehearsal,
  totalKg,
} from '../../core';
import { litres } from '../data/format';
import { useKeepRehearsal, useRehearsals } from '../data/queries';
import { useBook } from '../data/use-book';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { LinkButton } from '../parts/link-button';
import { Empty, Halves, Page, Waiting } from '../parts/page';
import { PotSection } from '../parts/pot-section/pot-section';
import { Over, Soft, Subtitle, Title } from '../parts/text';
import { colour, font, media, size, space } from '../theme/tokens';
import { NotHere } from './not-here';
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

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: ${space.s} ${space.s} ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
  }
  th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
  }
`;

const CALL_WORDS: Readonly<Record<RehearsalCall, string>> = {
  quarterGone: 'A quarter gone',
  thirdGone: 'A third gone',
  halfGone: 'Half gone',
  coatsTheSpoon: 'It coats the spoon',
  atTheMark: 'At the mark: salt now',
};

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
  const book = useBook(kitchen);
  const [round, setRound] = useState(0);
  if (!book) return <Waiting />;
  const recipe = book.library.recipes[id ?? ''];
  if (!recipe) return <NotHere />;
  return (
    <Page>
      <header>
        <Title>Rehearse: {recipe.name}</Title>
        <Soft>
          It falls on a burner nobody has told you of. No stick, no marks: call what you see, when you see it.
        </Soft>
      </header>
      <Round
        key={round}
        recipe={recipe}
        kitchen={kitchen}
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
  kitchen: KitchenView;
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
      <Empty title="Nothing to rehearse here">
        <Soft>Nothing steams away in this recipe that an eye could be asked about.</Soft>
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
            description={`${input.pot.name} in section, falling. No figure is given: judge by eye.`}
            {...(isOver
              ? {
                  stick: true,
                  marks: [
                    {
                      litres: rehearsalAt(rehearsal, 0).litres,
                      text: `began ${litres(rehearsalAt(rehearsal, 0).litres)}`,
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
          <Over>since it began</Over>
          <Minutes>{Math.floor(minute)} min</Minutes>
        </div>
        {isOver ? (
          <Told rehearsal={rehearsal} calls={calls} recipeId={recipe.id} onAgain={onAgain} />
        ) : (
          <>
            <Choice label="Time runs at" value={speed} options={SPEEDS} onChange={setSpeed} />
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
                    {said ? `${CALL_WORDS[call]}: ${Math.floor(said.minute)} min` : CALL_WORDS[call]}
                  </Button>
                );
              })}
            </Calls>
            <Button kind="main" atPot isDisabled={calls.length === 0} onPress={() => setOver(true)}>
              Show the truth
            </Button>
          </>
        )}
      </section>
    </Halves>
  );
}

function Told({
  rehearsal,
  calls,
  recipeId,
  onAgain,
}: {
  rehearsal: Rehearsal;
  calls: readonly { call: RehearsalCall; minute: number }[];
  recipeId: string;
  onAgain: () => void;
}) {
  const scored = useMemo(() => scoreCalls(rehearsal, calls), [rehearsal, calls]);
  const { data: before = [] } = useRehearsals();
  const { mutate } = useKeepRehearsal();
  const [id] = useState(() => uuid());
  useEffect(() => mutate({ id, recipeId, calls: scored }), [mutate, id, recipeId, scored]);
  const earlier = before.filter((one) => one.id !== id);
  return (
    <>
      <Table>
        <thead>
          <tr>
            <th scope="col">Called</th>
            <th scope="col">At</th>
            <th scope="col">It was</th>
            <th scope="col">Off by</th>
          </tr>
        </thead>
        <tbody>
          {scored.map((one) => (
            <tr key={one.call}>
              <td>{CALL_WORDS[one.call]}</td>
              <td>{Math.floor(one.minute)} min</td>
              <td>{reallyWords(one)}</td>
              <td>
                <strong>{offWords(one)}</strong>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Soft>
        The burner gave {Math.round(rehearsal.snapshot.input.burner.gain.mean * 100)} % of its plate.{' '}
        {eyeWords(scored)}
      </Soft>
      {earlier.length > 0 && (
        <>
          <Subtitle>Your eye over time</Subtitle>
          <Table>
            <tbody>
              {[...earlier.slice(-5), { id, calls: scored }].map((one, i, all) => (
                <tr key={one.id}>
                  <td>{i === all.length - 1 ? 'this time' : `${all.length - 1 - i} before`}</td>
                  <td>{eyeWords(one.calls)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
      <Button kind="main" onPress={onAgain}>
        Again, on another burner
      </Button>
      <LinkButton to={`/recipes/${recipeId}`}>Back to the recipe</LinkButton>
    </>
  );
}

function reallyWords(one: ScoredCall): string {
  return one.call === 'coatsTheSpoon'
    ? `band ${one.really.toFixed(1)}`
    : `${Math.round(one.really * 100)} % gone`;
}

function offWords(one: ScoredCall): string {
  if (Math.abs(one.off) < 1) return 'right';
  const how = one.off > 0 ? 'too early' : 'too late';
  return one.call === 'coatsTheSpoon'
    ? `${(Math.abs(one.off) / 10).toFixed(1)} of a band ${how}`
    : `${Math.round(Math.abs(one.off))} points ${how}`;
}

function eyeWords(scored: readonly Pick<ScoredCall, 'off'>[]): string {
  const score = eyeScore(scored);
  if (!score) return '';
  const lean =
    Math.abs(score.leans) < 2
      ? 'leaning neither way'
      : `leaning to ${score.leans > 0 ? 'too early' : 'too late'}`;
  return `Off by ${Math.round(score.off)} points on the average, ${lean}.`;
}

/** The recipe as written, in the smallest pot that takes it, on the burner best known. */
function setUp(
  recipe: Recipe,
  kitchen: KitchenView,
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
      .sort((a, b) => b.gain.batches - a.gain.batches)[0];
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
