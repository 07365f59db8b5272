import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { hourMinute, span, thePot } from '../../../contract';
import { CATCHES_UNDER, type Lever, minutesAfter, saves } from '../../../core/batch';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Errors, Over, Soft } from '../../components/text';
import { useOpenBatches } from '../../data/queries';
import { colour, font, size, space } from '../../theme/tokens';
import { heatWords } from '../../words/batch';
import { compute } from '../../workers/use-computed';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const List = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: ${space.xs} ${space.m};
    align-items: center;
    padding: ${space.xs} 0;
    border-bottom: 1px solid ${colour.line};
  }
  .hour {
    font-family: ${font.title};
    font-weight: 700;
    font-size: ${size.figure};
    font-variant-numeric: tabular-nums;
    text-align: right;
  }
  small {
    display: block;
    color: ${colour.soft};
    font-size: ${size.small};
    font-weight: 400;
  }
  .catches {
    color: ${colour.danger};
    font-weight: 700;
  }
`;

/** What each change would lead to, before any is made: the hour, the minutes it gains, and how near the floor comes to catching. */
export function WhatIf({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const found = useLevers(here);
  const { zone } = here.kitchen;
  if (!found) return <Soft>Working it out…</Soft>;
  const [asItIs, ...others] = found;
  if (!asItIs) return <Soft>This stage waits for nothing that a lever could move.</Soft>;
  const { snapshot } = here.batch;
  const { serviceAtMs } = snapshot.plan;
  const restMin = minutesAfter(snapshot, here.pot.state.currentStageId ?? '');
  const byMs = serviceAtMs - restMin * 60_000;
  const isLate = asItIs.when.p50Ms === null || asItIs.when.p50Ms > byMs;
  const saving = saves(found, byMs);
  return (
    <>
      <Soft>{timing(asItIs, restMin, serviceAtMs, zone)}</Soft>
      {isLate && (
        <Soft>
          {saving.length > 0
            ? `In time with the gentlest heat: ${leverWords(saving[0]!)}.`
            : 'No single lever saves it: let it down less far, or serve it later.'}
        </Soft>
      )}
      <Errors sentences={refusals} />
      <List>
        {[asItIs, ...others].map((lever) => (
          <li key={lever.id}>
            <span>
              <strong>{leverWords(lever)}</strong>
              <small className={lever.margin < CATCHES_UNDER ? 'catches' : ''}>
                {marginWords(lever.margin)}
              </small>
            </span>
            <span className="hour">
              {lever.when.p50Ms === null ? 'never' : hourMinute(lever.when.p50Ms, zone)}
              <small>{gainWords(lever)}</small>
            </span>
            {doable(lever) && (
              <Button onPress={async () => (await tell(...bodiesOf(lever, here))) && onClose()}>
                It is so
              </Button>
            )}
          </li>
        ))}
      </List>
      <Over>Press what you have done at the stove. The floor’s margin is a guess: the nose decides.</Over>
    </>
  );
}

/** The levers, worked out off the page's own thread and anew each minute. */
function useLevers(here: BatchHere): Lever[] | null {
  const { data: open = [] } = useOpenBatches();
  const { snapshot, id } = here.batch;
  const { state, nowMs } = here.pot;
  const free = {
    pots: here.kitchen.pots.filter((pot) => !open.some((batch) => batch.potId === pot.id)),
    burners: here.kitchen.burners.filter((burner) => !open.some((batch) => batch.burnerId === burner.id)),
  };
  const minute = Math.floor(nowMs / 60_000);
  const { data } = useQuery({
    queryKey: ['levers', id, here.pot.events.length, minute],
    queryFn: () => compute('levers', { snapshot, state, free }),
    placeholderData: (before) => before,
    gcTime: 60_000,
  });
  return data ?? null;
}

/** When all of it would be ready, with the stages that are still to come as planned. */
function timing(asItIs: Lever, restMin: number, serviceAtMs: number, zone: string): string {
  const service = hourMinute(serviceAtMs, zone);
  if (asItIs.when.p50Ms === null)
    return `As it is, it will not get there within 12 hours. Service is at ${service}.`;
  const readyMs = asItIs.when.p50Ms + restMin * 60_000;
  const rest = restMin >= 1 ? ` With ${span(restMin * 60_000)} of what follows` : ' So';
  const early = serviceAtMs - readyMs;
  const there = `As it is, there at ${hourMinute(asItIs.when.p50Ms, zone)}.${rest} it is ready at ${hourMinute(readyMs, zone)},`;
  if (early < 0) return `${there} ${span(-early)} too late for ${service}.`;
  return early > EARLY_MS
    ? `${there} ${span(early)} before ${service}: hold it covered, or slow it.`
    : `${there} ${span(early)} before ${service}.`;
}

/** Ready so long before service, a pot stands and loses. Common practice. */
const EARLY_MS = 30 * 60_000;

function leverWords(lever: Lever): string {
  const { dial } = lever.onBurner;
  switch (lever.kind) {
    case 'asItIs':
      return `As it is: ${heatWords(lever.fraction, dial)}, lid ${lever.lid}`;
    case 'lid':
      return `Lid ${lever.lid}`;
    case 'heat':
      return `Heat at ${heatWords(lever.fraction, dial)}`;
    case 'pot':
      return `Into ${thePot(lever.inPot.name)}, ${lever.onBurner.name}`;
    case 'split':
      return `Half of it in ${thePot(lever.second!.pot.name)}, ${lever.second!.burner.name}`;
  }
}

function gainWords(lever: Lever): string {
  if (lever.kind === 'asItIs' || lever.gainsMin === null) return '';
  const minutes = Math.round(lever.gainsMin);
  if (minutes === 0) return 'the same';
  return minutes > 0 ? `${minutes} min sooner` : `${-minutes} min later`;
}

function marginWords(margin: number): string {
  if (!Number.isFinite(margin)) return 'no heat under it';
  if (margin < CATCHES_UNDER) return 'would catch on the bottom';
  if (margin < 1.4) return 'near to catching: scrape the bottom often';
  return margin > 5 ? 'the bottom bears far more' : `the bottom bears ${margin.toFixed(1)} times that`;
}

/** What one press can say; a pot in two halves is two pots, and each is planned by hand. */
function doable(lever: Lever): boolean {
  return lever.kind === 'lid' || lever.kind === 'heat' || lever.kind === 'pot';
}

function bodiesOf(lever: Lever, here: BatchHere): BatchCommand[] {
  switch (lever.kind) {
    case 'lid':
      return [{ type: 'lidSet', payload: { lid: lever.lid } }];
    case 'pot':
      return [
        { type: 'moved', payload: { potId: lever.inPot.id, burnerId: lever.onBurner.id } },
        { type: 'heatSet', payload: { fraction: lever.fraction } },
      ];
    default:
      return lever.fraction === here.pot.state.pot.heatFraction
        ? []
        : [{ type: 'heatSet', payload: { fraction: lever.fraction } }];
  }
}
