import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { countField } from '../../../contract';
import { DISCARD_REASONS, type DiscardReason, type PortionsOut } from '../../../core/batch';
import type { PortionKind } from '../../../core/portions';
import type { BatchCommand } from '../../../core/rules';
import type { PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { FieldRow } from '../../components/field-row';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { Tick } from '../../components/tick';
import { colour, space } from '../../theme/tokens';
import { DISCARD_WORDS, hourMinute, kindNames, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';
import type { ServingHere } from './use-serving';

const Out = styled.ol`
  display: grid;
  li {
    display: grid;
    grid-template-columns: 54px minmax(0, 1fr) auto;
    gap: ${space.s};
    align-items: center;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** So many entries can be mended from here; older ones from the log. */
const LAST = 6;

type Fate = 'served' | DiscardReason;

/** Another number, what went to no guest and why, what never left after all, who was turned away, how many are expected. */
export function SomethingElse({
  here,
  board,
  serving,
  onClose,
}: {
  here: BatchHere;
  board: PassBoard;
  serving: ServingHere;
  onClose: () => void;
}) {
  return (
    <Sheet title={passWords.somethingElseTitle} isOpen onClose={onClose}>
      <Portions here={here} board={board} serving={serving} onDone={onClose} />
      <LastOut here={here} board={board} />
      <Covers here={here} board={board} />
      <TurnedAway here={here} />
    </Sheet>
  );
}

const PORTIONS = v.object({ portions: figure(countField(passWords.bowls2, 1, 1000)) });

function Portions(of: { here: BatchHere; board: PassBoard; serving: ServingHere; onDone: () => void }) {
  const { here, board } = of;
  const { tell, refusals } = useSubmit(here.batch.id);
  const kinds = board.kinds.map((one) => one.kind);
  const [kindId, setKindId] = useState(kinds[0]!.id);
  const [fate, setFate] = useState<Fate>('served');
  const [isOut, setOut] = useState(false);
  const form = useTypedForm({
    first: { portions: '' },
    schema: PORTIONS,
    keep: async ({ portions }) => {
      if (fate === 'served') {
        of.serving.serve({ kindId, portions });
        of.onDone();
        return;
      }
      const out = isOut ? { isOut: true as const } : {};
      const payload = { portions, fate: 'discarded' as const, kindId, reason: fate, ...out };
      if (await tell({ type: 'portioned', payload })) of.onDone();
    },
  });
  const turn = (next: Fate) => {
    setFate(next);
    setOut(next === 'returned');
  };
  return (
    <TypedForm form={form}>
      <KindChoice kinds={kinds} value={kindId} onChange={setKindId} />
      <Choice
        label={passWords.whatBecameOfThem}
        value={fate}
        options={(['served', ...DISCARD_REASONS] as const).map((value) => ({
          value,
          text: value === 'served' ? passWords.served2 : DISCARD_WORDS[value],
        }))}
        onChange={turn}
      />
      {fate !== 'served' && (
        <Tick isOn={isOut} onChange={setOut}>
          {passWords.hadBeenServed}
        </Tick>
      )}
      <FieldRow>
        <form.AppField name="portions">
          {(field) => <field.AtPot label={passWords.howMany} refused={refusals[0] ?? null} />}
        </form.AppField>
        <Button kind="main" type="submit">
          {passWords.saveThem}
        </Button>
      </FieldRow>
    </TypedForm>
  );
}

/** The last entries: taken out of the log whole, or some of them. */
function LastOut({ here, board }: { here: BatchHere; board: PassBoard }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { outs } = here.pot.state.service;
  const last = outs.slice(-LAST).reverse();
  const names = (out: PortionsOut) =>
    kindNames(
      board.kinds.map((one) => one.kind),
      out.portions,
    ).get(out.kindId);
  if (last.length === 0) return null;
  return (
    <section aria-label={passWords.lastOut}>
      <Subtitle>{passWords.lastOut}</Subtitle>
      <Errors sentences={refusals} />
      <Out>
        {last.map((out) => (
          <li key={out.eventId}>
            <Over>{hourMinute(out.atMs, here.kitchen.zone)}</Over>
            <span>
              {out.portions} {names(out)},{' '}
              {out.reason ? DISCARD_WORDS[out.reason] : passWords.fates[out.fate]}
            </span>
            <span>
              {out.portions > 1 && (
                <Button
                  kind="quiet"
                  aria-label={passWords.oneNeverLeftOf(out.portions, names(out) ?? '')}
                  onPress={() => tell({ type: 'takenBack', payload: { eventId: out.eventId, portions: 1 } })}
                >
                  {passWords.oneNeverLeft}
                </Button>
              )}
              <Button
                kind="quiet"
                aria-label={passWords.undoOut(out.portions, names(out) ?? '')}
                onPress={() => tell({ type: 'undone', payload: { eventId: out.eventId } })}
              >
                {passWords.undo}
              </Button>
            </span>
          </li>
        ))}
      </Out>
    </section>
  );
}

const COUNT = v.object({ count: figure(countField(passWords.howMany, 0, 2000)) });

/** One number under its heading, said and then empty again. */
function CountForm(of: {
  here: BatchHere;
  title: string;
  said: string;
  label: string;
  command: (count: number) => BatchCommand;
  children?: ReactNode;
}) {
  const { tell, refusals } = useSubmit(of.here.batch.id);
  const form = useTypedForm({
    first: { count: '' },
    schema: COUNT,
    keep: async ({ count }) => {
      if (await tell(of.command(count))) form.reset();
    },
  });
  return (
    <TypedForm form={form}>
      <Subtitle>{of.title}</Subtitle>
      <Soft>{of.said}</Soft>
      {of.children}
      <FieldRow>
        <form.AppField name="count">
          {(field) => <field.AtPot label={of.label} refused={refusals[0] ?? null} />}
        </form.AppField>
        <Button type="submit">{passWords.saveThem}</Button>
      </FieldRow>
    </TypedForm>
  );
}

/** How many of a kind are expected in all, where that is another number by now. */
function Covers({ here, board }: { here: BatchHere; board: PassBoard }) {
  const kinds = board.kinds.map((one) => one.kind);
  const names = kindNames(kinds);
  const [kindId, setKindId] = useState(kinds[0]!.id);
  const covers = board.kinds.find((one) => one.kind.id === kindId)?.tally.covers ?? 0;
  return (
    <CountForm
      here={here}
      title={passWords.covers}
      said={passWords.expectedNow(covers, names.get(kindId) ?? '')}
      label={passWords.expectedInAll}
      command={(count) => ({ type: 'coversSet', payload: { kindId, count } })}
    >
      <KindChoice kinds={kinds} value={kindId} onChange={setKindId} />
    </CountForm>
  );
}

/** Guests who asked when there was none left: asked for once, it teaches the next forecast. */
export function TurnedAway({ here }: { here: BatchHere }) {
  const { turnedAway } = here.pot.state.service;
  return (
    <CountForm
      here={here}
      title={passWords.turnedAway}
      said={turnedAway > 0 ? passWords.turnedAwaySoFar(turnedAway) : passWords.whyTurnedAway}
      label={passWords.guestsTurnedAway}
      command={(portions) => ({ type: 'turnedAway', payload: { portions } })}
    />
  );
}

/** Which of the order's kinds; nothing where there is one. */
function KindChoice(of: { kinds: readonly PortionKind[]; value: string; onChange: (id: string) => void }) {
  if (of.kinds.length < 2) return null;
  const names = kindNames(of.kinds);
  return (
    <Choice
      label={passWords.ofWhat}
      value={of.value}
      options={of.kinds.map((one) => ({ value: one.id, text: names.get(one.id)! }))}
      onChange={of.onChange}
    />
  );
}
