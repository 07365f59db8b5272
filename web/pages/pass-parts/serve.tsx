import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { sentenceCase } from '../../../contract';
import { toComeOut } from '../../../core/batch';
import type { KindAtPass, PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { TypedForm, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Caution, Errors, Over, Soft } from '../../components/text';
import { colour, font, media, size, space } from '../../theme/tokens';
import { hourMinute, kindNames, passWords, portionSize } from '../../words';
import type { BatchHere } from '../batch-frame';
import { TakeOut } from '../pot-parts/take-out';
import { ServedBy } from './parts';
import { SomethingElse } from './something-else';
import type { ServingHere } from './use-serving';

const Kinds = styled.ul`
  display: grid;
  gap: ${space.m};
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space.xs} ${space.m};
    align-items: center;
  }
  .name {
    font-family: ${font.title};
    font-weight: 700;
    font-size: ${size.lead};
  }
  .wide {
    grid-column: 1 / -1;
  }
  .kept {
    color: ${colour.soft};
  }
  ${media.narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** On a phone the presses are in the bar under the thumb. */
const Presses = styled.div<{ $count: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $count }) => $count}, minmax(72px, 1fr));
  gap: ${space.s};
  ${media.narrow} {
    display: none;
  }
`;

/** Portions that go out at one press: of the only kind, and of one of several. */
const OF_ONE = [1, 2, 4, 10] as const;
const OF_SEVERAL = [1, 2, 4] as const;

/** Portions out by kind: one press for one, two, four; what hangs in the pot is asked for before the first. */
export function Serve({ here, board, serving }: { here: BatchHere; board: PassBoard; serving: ServingHere }) {
  const [isElse, setElse] = useState(false);
  const kinds = board.kinds.map((one) => one.kind);
  const names = kindNames(kinds);
  const isOne = kinds.length === 1;
  return (
    <section aria-label={passWords.bowls2}>
      <Kinds>
        {board.kinds.filter(isShown).map((one) => (
          <li key={one.kind.id}>
            {!isOne && (
              <div>
                <span className="name">{sentenceCase(names.get(one.kind.id)!)}</span>{' '}
                {(one.tally.covers > 0 || one.tally.served > 0) && (
                  <Over as="span">
                    {passWords.servedOf(one.tally.served, one.tally.covers, portionSize(one.kind.ml))}
                  </Over>
                )}
                {(one.kind.freeOf?.length ?? 0) > 0 && one.holdsForbidden.length === 0 && (
                  <Over>{passWords.ownLadle}</Over>
                )}
              </div>
            )}
            {one.isLater ? (
              <span className="kept">
                {passWords.keptUntil(hourMinute(one.kind.laterMs ?? 0, here.kitchen.zone))}
              </span>
            ) : (
              <ServePresses
                one={one}
                isOne={isOne}
                here={here}
                serving={serving}
                name={names.get(one.kind.id)!}
              />
            )}
          </li>
        ))}
      </Kinds>
      <Button kind="quiet" onPress={() => setElse(true)}>
        {passWords.somethingElse}
      </Button>
      <Errors sentences={serving.asked === null ? serving.refusals : []} />
      <BeforeTheFirst here={here} serving={serving} />
      {isElse && <SomethingElse here={here} board={board} serving={serving} onClose={() => setElse(false)} />}
    </section>
  );
}

/** Covers that went to another pot leave their row, unless that is where they are served from. */
const isShown = ({ tally, holdsForbidden }: KindAtPass): boolean =>
  tally.covers > 0 || tally.served > 0 || holdsForbidden.length > 0;

function ServePresses(of: {
  one: KindAtPass;
  isOne: boolean;
  here: BatchHere;
  serving: ServingHere;
  name: string;
}) {
  const { one, isOne, serving } = of;
  if (one.holdsForbidden.length > 0) return <ServedBy here={of.here} one={one} />;
  const counts = isOne ? OF_ONE : OF_SEVERAL;
  return (
    <Presses $count={counts.length} className={isOne ? 'wide' : undefined}>
      {counts.map((n) => (
        <Button
          key={n}
          atPot
          kind={n === 1 ? 'main' : 'plain'}
          aria-label={isOne ? passWords.out(n) : passWords.outOf(n, of.name)}
          onPress={() => serving.serve({ kindId: one.kind.id, portions: n })}
        >
          {isOne ? passWords.out(n) : String(n)}
        </Button>
      ))}
    </Presses>
  );
}

/** What hangs in the pot, before a bowl leaves it. */
function BeforeTheFirst({ here, serving }: { here: BatchHere; serving: ServingHere }) {
  const { asked, put, refusals, forget } = serving;
  const hanging = toComeOut(here.pot.state);
  return (
    <Sheet title={passWords.beforeTheFirstBowl} isOpen={asked !== null} onClose={forget}>
      {hanging.length > 0 ? (
        <>
          <TakeOut here={here} />
          <AllTheSame refused={refusals[0] ?? null} onKeep={put} />
        </>
      ) : (
        <>
          <Soft>{passWords.allOfItIsOut}</Soft>
          {refusals[0] && <Caution>{refusals[0]}</Caution>}
          <Button kind="main" atPot onPress={() => put('')}>
            {passWords.serve}
            {asked?.portions}
          </Button>
        </>
      )}
    </Sheet>
  );
}

const REASON = v.object({ reason: v.pipe(v.string(), v.trim()) });

/** Served with the bay leaf in it: not without a reason. */
function AllTheSame({
  refused,
  onKeep,
}: {
  refused: string | null;
  onKeep: (reason: string) => Promise<void>;
}) {
  const form = useTypedForm({
    first: { reason: '' },
    schema: REASON,
    keep: ({ reason }) => onKeep(reason),
  });
  return (
    <TypedForm form={form}>
      <form.AppField name="reason">
        {(field) => <field.AtPot label={passWords.orSayWhyItIs} isText refused={refused} />}
      </form.AppField>
      <Button type="submit">{passWords.serveAllTheSame}</Button>
    </TypedForm>
  );
}
