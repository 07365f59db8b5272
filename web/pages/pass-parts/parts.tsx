import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { sentenceCase } from '../../../contract';
import { drawFirst, type KindAtPass } from '../../../core/service';
import { Button } from '../../components/button';
import { Caution, Over, Soft, Subtitle } from '../../components/text';
import { useBatch, useOpenBatches } from '../../data/queries';
import { space } from '../../theme/tokens';
import { allergenNames, hourMinute, kindName, litres, passWords, TROUBLE_WORDS } from '../../words';
import type { BatchHere } from '../batch-frame';
import { DrawSheet } from './draw-sheet';

const Stack = styled.section`
  display: grid;
  gap: ${space.s};
  justify-items: start;
`;

/** Pots that were drawn off this one and are still on. */
export function useParts(batchId: string) {
  const { data: open = [] } = useOpenBatches();
  return open.filter((one) => one.snapshot.origin?.batchId === batchId);
}

/** A kind that this pot holds too much for: which pot serves it, or that none does. */
export function ServedBy({ here, one }: { here: BatchHere; one: KindAtPass }) {
  const parts = useParts(here.batch.id);
  return (
    <div>
      <Caution>{passWords.notFromThisPot(allergenNames(one.holdsForbidden))}</Caution>
      {parts.length > 0 && <Over>{passWords.ownLadle}</Over>}
      {parts.length === 0 ? (
        <Soft>{passWords.askTheGuest}</Soft>
      ) : (
        parts.map((part) => (
          <p key={part.id}>
            <Link to={`/batches/${part.id}/pass`}>
              {passWords.serveFrom(part.snapshot.input.recipe.name.toLowerCase())}
            </Link>
          </p>
        ))
      )}
    </div>
  );
}

/** What was drawn off this pot, and the way to draw more. */
export function PartsOf({ here }: { here: BatchHere }) {
  const [isOpen, setOpen] = useState(false);
  const { parts } = here.pot.state;
  const isFilled = here.pot.state.wentIn.length > 0;
  if (!isFilled) return null;
  return (
    <Stack aria-label={passWords.partsTitle}>
      <Subtitle>{passWords.partsTitle}</Subtitle>
      {parts.map((part) => (
        <PartLine key={part.eventId} childId={part.childId} part={part} zone={here.kitchen.zone} />
      ))}
      <Button onPress={() => setOpen(true)}>{passWords.drawOff}</Button>
      {isOpen && <DrawSheet here={here} kindId={null} onClose={() => setOpen(false)} />}
    </Stack>
  );
}

function PartLine({
  childId,
  part,
  zone,
}: {
  childId: string;
  part: { litres: number; atMs: number };
  zone: string;
}) {
  const { data: child } = useBatch(childId);
  const name = child?.snapshot.input.recipe.name ?? '';
  return (
    <p>
      <Link to={`/batches/${childId}`}>
        {passWords.partIs(name, litres(part.litres), hourMinute(part.atMs, zone))}
      </Link>
    </p>
  );
}

/** Where a part comes from, and what has gone wrong there since. */
export function CameFrom({ here }: { here: BatchHere }) {
  const { origin } = here.batch.snapshot;
  const { data: parent } = useBatch(origin?.batchId ?? '');
  if (!origin) return null;
  const troubles = (parent?.events ?? []).flatMap((event) =>
    event.type === 'slip' && event.payload.kind === 'trouble'
      ? [{ id: event.id, atMs: event.actedAtMs, what: TROUBLE_WORDS[event.payload.trouble] }]
      : [],
  );
  return (
    <>
      <Over>
        <Link to={`/batches/${origin.batchId}`}>{passWords.cameFrom(origin.name.toLowerCase())}</Link>
      </Over>
      {troubles.map((one) => (
        <Caution key={one.id}>
          {passWords.parentTrouble(
            sentenceCase(origin.name),
            one.what,
            hourMinute(one.atMs, here.kitchen.zone),
          )}
        </Caution>
      ))}
    </>
  );
}

/** Before a stage brings in what some guests may not eat: how much to draw off for them, and the way to do it. */
export function DrawFirstNote({ here }: { here: BatchHere }) {
  const [kindId, setKindId] = useState<string | null>(null);
  const { snapshot } = here.batch;
  const { state } = here.pot;
  // what has gone in and what was drawn off decide it, and no second does
  const found = useMemo(
    () => drawFirst(snapshot, state),
    [snapshot, state.wentIn, state.stages, state.service, state.parts],
  );
  if (found.length === 0) return null;
  const { recipe, ingredients } = snapshot.input;
  return (
    <Stack aria-label={passWords.drawOffFirst}>
      {found.map(({ kind, way }) => {
        const lines = recipe.lines.filter((line) => way.lineIds.includes(line.id));
        const names = lines.map((line) => ingredients[line.ingredientId]?.name.toLowerCase() ?? line.id);
        return (
          <div key={kind.id}>
            <Caution>
              {passWords.lastMoment(
                litres(way.litres),
                `${kind.count} ${kindName(kind, { count: kind.count })}`,
                recipe.stages.find((stage) => stage.id === way.stageId)?.title ?? '',
                [...new Set(names)].join(', '),
              )}
            </Caution>
            <Button onPress={() => setKindId(kind.id)}>{passWords.drawOff}</Button>
          </div>
        );
      })}
      {kindId && <DrawSheet here={here} kindId={kindId} onClose={() => setKindId(null)} />}
    </Stack>
  );
}
