import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { check, drawPartSchema, typedNumber } from '../../../contract';
import { FINISH_FOODS, FINISH_IDS, type FinishId, hasGoneIn, kindsNow } from '../../../core/batch';
import { INGREDIENT_BY_ID } from '../../../core/matter';
import { kindsOf, type PortionKind } from '../../../core/portions';
import { litresToDraw } from '../../../core/service';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { useOneAtATime } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Caution, Errors, Soft } from '../../components/text';
import { Ticks } from '../../components/ticks';
import { ApiError } from '../../data/api';
import { useDrawPart, useFoods, useOpenBatches } from '../../data/queries';
import { space } from '../../theme/tokens';
import { allergenNames, kindNames, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
`;

const NOBODY = ' nobody';
type Then = 'goOn' | FinishId;

/** Some of a pot into another, over the page. */
export function DrawSheet(of: { here: BatchHere; kindId: string | null; onClose: () => void }) {
  return (
    <Sheet title={passWords.drawOffTitle} isOpen onClose={of.onClose}>
      <DrawForm {...of} />
    </Sheet>
  );
}

/** How much, where, for whom, and what becomes of it there. */
export function DrawForm({
  here,
  kindId,
  onClose,
}: {
  here: BatchHere;
  /** for whom it is drawn, where that is known */
  kindId: string | null;
  onClose: () => void;
}) {
  const { batch, pot } = here;
  const { snapshot } = batch;
  const { input, plan } = snapshot;
  const { data: open = [] } = useOpenBatches();
  const { data: foods } = useFoods();
  const draw = useDrawPart(batch.id);
  const navigate = useNavigate();
  const [ids] = useState(() => ({ id: uuid(), eventId: uuid() }));
  const kinds = kindsNow(input, pot.state.service).filter((one) => one.count > 0);
  const names = kindNames(kinds);
  const free = freePlaces(here, open);
  const isWanted = (kind: PortionKind) =>
    kind.id === kindId || (kindId === null && (kind.freeOf?.length ?? 0) > 0);
  const first = kinds.find(isWanted);
  const pending = plan.lines.filter(
    (line) => !line.perBowl && line.edibleKg > 0 && !hasGoneIn(pot.state, line.lineId),
  );
  const bringing = (kind: PortionKind | undefined) =>
    input.recipe.lines
      .filter((line) =>
        (input.ingredients[line.ingredientId]?.allergens ?? []).some((one) => kind?.freeOf?.includes(one)),
      )
      .map((line) => line.id);
  const [typed, setTyped] = useState(() => firstTyped(first));
  const [errors, setErrors] = useState<string[]>([]);
  const change = (part: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...part }));

  function firstTyped(kind: PortionKind | undefined) {
    const what = kind?.freeOf?.length ? allergenNames(kind.freeOf) : '';
    return {
      litres: kind ? String(Math.round(10 * litresToDraw(kind)) / 10) : '',
      name: what ? passWords.withoutName(input.recipe.name, what) : passWords.partName(input.recipe.name),
      kindId: kind?.id ?? NOBODY,
      potId: free[0]?.pot.id ?? '',
      burnerId: free[0]?.burner.id ?? '',
      leaveOut: bringing(kind),
      next: 'goOn' as Then,
      foodId: '',
      gEach: '',
      thicknessCm: '2',
    };
  }
  const asks = typed.next === 'goOn' ? null : FINISH_FOODS[typed.next];
  const rows = useMemo(() => [...Object.values(INGREDIENT_BY_ID), ...(foods?.ownIngredients ?? [])], [foods]);
  const offered = asks ? rows.filter((row) => row.kind === asks.kind) : [];
  const keep = useOneAtATime(async () => {
    const kind = kindsOf(input).find((one) => one.id === typed.kindId);
    const count = kinds.find((one) => one.id === typed.kindId)?.count ?? 1;
    const finish =
      typed.next === 'goOn'
        ? {}
        : {
            finish: {
              finishId: typed.next,
              ...(asks && typed.foodId
                ? { ingredientId: typed.foodId, gEach: typedNumber(typed.gEach) ?? asks.gEach }
                : {}),
              ...(typed.next === 'fish'
                ? { thicknessCm: typedNumber(typed.thicknessCm) ?? typed.thicknessCm }
                : {}),
            },
          };
    const read = check(drawPartSchema, {
      ...ids,
      litres: typedNumber(typed.litres) ?? typed.litres,
      name: typed.name.trim(),
      potId: typed.potId,
      burnerId: typed.burnerId,
      kinds: kind ? [{ ...kind, count }] : [],
      leaveOut: typed.leaveOut,
      ...finish,
    });
    if (!read.ok) {
      setErrors([...new Set(read.errors.map((error) => error.sentence))]);
      return;
    }
    try {
      const child = await draw.mutateAsync(read.value);
      onClose();
      navigate(`/batches/${child.id}`);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setErrors(error.errors.length > 0 ? error.errors.map((one) => one.sentence) : [error.message]);
    }
  });
  return (
    <>
      {free.length === 0 && <Caution>{passWords.noPotIsFree}</Caution>}
      {kinds.length > 0 && (
        <Choice
          label={passWords.forWhom}
          value={typed.kindId}
          options={[
            ...kinds.map((one) => ({ value: one.id, text: `${one.count} ${names.get(one.id)}` })),
            { value: NOBODY, text: passWords.forNobody },
          ]}
          onChange={(id) => {
            const kind = kinds.find((one) => one.id === id);
            const { litres, name, leaveOut } = firstTyped(kind);
            change({ kindId: id, litres: kind ? litres : typed.litres, name, leaveOut });
          }}
        />
      )}
      <Pair>
        <SmallField
          label={passWords.howMuchIsDrawn}
          value={typed.litres}
          onChange={(litres) => change({ litres })}
          unit="L"
        />
        <SmallField label={passWords.itBecomes} value={typed.name} onChange={(name) => change({ name })} />
      </Pair>
      <Choice
        label={passWords.intoPot}
        value={typed.potId}
        options={[...new Map(free.map((one) => [one.pot.id, one.pot.name])).entries()].map(
          ([value, text]) => ({
            value,
            text,
          }),
        )}
        onChange={(potId) =>
          change({ potId, burnerId: free.find((one) => one.pot.id === potId)?.burner.id ?? typed.burnerId })
        }
      />
      <Choice
        label={passWords.onBurner}
        value={typed.burnerId}
        options={free
          .filter((one) => one.pot.id === typed.potId)
          .map(({ burner }) => ({ value: burner.id, text: burner.name }))}
        onChange={(burnerId) => change({ burnerId })}
      />
      <Choice
        label={passWords.thenWhat}
        value={typed.next}
        options={(['goOn', ...FINISH_IDS] as const).map((value) => ({
          value,
          text: passWords.finishWords[value],
        }))}
        onChange={(next) =>
          change({
            next,
            foodId: '',
            gEach: String(next === 'goOn' ? '' : (FINISH_FOODS[next]?.gEach ?? '')),
          })
        }
      />
      {asks && (
        <>
          <Choice
            label={passWords.whichFood}
            value={typed.foodId}
            options={offered.map((row) => ({ value: row.id, text: row.name }))}
            onChange={(foodId) => change({ foodId })}
          />
          <Pair>
            <SmallField
              label={passWords.gramsEach}
              value={typed.gEach}
              onChange={(gEach) => change({ gEach })}
              unit="g"
            />
            {typed.next === 'fish' && (
              <SmallField
                label={passWords.howThick}
                value={typed.thicknessCm}
                onChange={(thicknessCm) => change({ thicknessCm })}
                unit="cm"
              />
            )}
          </Pair>
        </>
      )}
      {typed.next === 'goOn' && pending.length > 0 && (
        <Ticks
          label={passWords.doesNotGoIn}
          value={typed.leaveOut}
          options={pending.map((line) => ({ id: line.lineId, text: line.name }))}
          onChange={(leaveOut) => change({ leaveOut })}
        />
      )}
      <Soft>{passWords.ownLadle}</Soft>
      <Errors sentences={errors} />
      <Button kind="main" atPot isDisabled={free.length === 0} onPress={() => void keep()}>
        {passWords.drawItOff}
      </Button>
    </>
  );
}

/** Pots and burners that nothing stands on, each pair that goes together; the smallest pot first. */
function freePlaces({ kitchen, pot }: BatchHere, open: readonly { potId: string; burnerId: string }[]) {
  const pots = new Set([pot.state.inPot.id, ...open.map((one) => one.potId)]);
  const burners = new Set([pot.state.onBurner.id, ...open.map((one) => one.burnerId)]);
  return kitchen.pots
    .filter((one) => !pots.has(one.id))
    .sort((a, b) => a.emptyMassKg - b.emptyMassKg)
    .flatMap((one) =>
      kitchen.burners
        .filter((burner) => !burners.has(burner.id) && burner.potIds.includes(one.id))
        .map((burner) => ({ pot: one, burner })),
    );
}
