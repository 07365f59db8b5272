import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { span, thePot } from '../../../contract';
import { type Covered, type Lever, minutesAfter, saves } from '../../../core/batch';
import { CATCHES_UNDER } from '../../../core/pot';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Errors, Over, Soft } from '../../components/text';
import { useOpenBatches } from '../../data/queries';
import { colour, font, size, space } from '../../theme/tokens';
import { decimal, heatWords, hourMinute, potWords } from '../../words';
import { computeBeside } from '../../workers/use-computed';
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
  if (!found) return <Soft>{potWords.workingItOut}</Soft>;
  const [asItIs, ...others] = found;
  if (!asItIs) return <Soft>{potWords.nothingHereChangesWhenThis}</Soft>;
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
            ? potWords.inTimeWithTheGentlest(leverWords(saving[0]!))
            : potWords.noSingleChangeSavesIt}
        </Soft>
      )}
      <Errors sentences={refusals} />
      <List>
        {[asItIs, ...others].map((lever) => (
          <li key={lever.id}>
            <span>
              <strong>{leverWords(lever)}</strong>
              {lever.covered && <small>{coveredWords(lever, lever.covered)}</small>}
              <small className={lever.margin !== null && lever.margin < CATCHES_UNDER ? 'catches' : ''}>
                {marginWords(lever.margin)}
              </small>
            </span>
            <span className="hour">
              {lever.when.p50Ms === null ? potWords.never : hourMinute(lever.when.p50Ms, zone)}
              <small>{gainWords(lever)}</small>
            </span>
            {doable(lever) && (
              <Button onPress={async () => (await tell(...bodiesOf(lever, here))) && onClose()}>
                {potWords.doneLogIt}
              </Button>
            )}
          </li>
        ))}
      </List>
      <Over>{potWords.pressWhatYouHaveDone}</Over>
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
    queryFn: () => computeBeside('levers', { snapshot, state, free }),
    placeholderData: (before) => before,
    gcTime: 60_000,
  });
  return data ?? null;
}

/** When all of it would be ready, with the stages that are still to come as planned. */
function timing(asItIs: Lever, restMin: number, serviceAtMs: number, zone: string): string {
  const service = hourMinute(serviceAtMs, zone);
  if (asItIs.when.p50Ms === null) return potWords.itWontGetThereWithin(service);
  const readyMs = asItIs.when.p50Ms + restMin * 60_000;
  const rest = restMin >= 1 ? potWords.withOfWhatFollows(span(restMin * 60_000)) : ' So';
  const early = serviceAtMs - readyMs;
  const there = potWords.asItIsThereAt(hourMinute(asItIs.when.p50Ms, zone), rest, hourMinute(readyMs, zone));
  if (early < 0) return potWords.tooLateFor(there, span(-early), service);
  return early > EARLY_MS
    ? potWords.beforeHoldItCoveredOr(there, span(early), service)
    : potWords.before(there, span(early), service);
}

/** Ready so long before service, a pot stands and loses. Common practice. */
const EARLY_MS = 30 * 60_000;

function leverWords(lever: Lever): string {
  const { dial } = lever.onBurner;
  switch (lever.kind) {
    case 'asItIs':
      return potWords.asItIsLid(heatWords(lever.fraction, dial), lever.lid);
    case 'lid':
      return potWords.lid3(lever.lid);
    case 'heat':
      return potWords.heatAt(heatWords(lever.fraction, dial));
    case 'pot':
      return potWords.into(thePot(lever.inPot.name), lever.onBurner.name);
    case 'split':
      return potWords.halfOfItIn(thePot(lever.second!.pot.name), lever.second!.burner.name);
  }
}

/** What a lid is for: the boil it hardly changes, the heat it saves. */
function coveredWords({ onBurner: { dial } }: Lever, of: Covered): string {
  const [heat, now] = [heatWords(of.holds, dial), heatWords(of.holdsNow, dial)];
  const kW = decimal(Math.abs(of.savesKW), 1);
  const holds =
    Math.abs(of.savesKW) < WORTH_SAVING_KW
      ? potWords.coveredAlike
      : of.savesKW > 0
        ? potWords.covered(heat, now, kW)
        : potWords.uncovered(heat, now, kW);
  return of.isBoiling ? `${potWords.aLidHardlyChangesAFullBoil} ${holds}` : holds;
}

/** Less than this is no saving, kW. */
const WORTH_SAVING_KW = 0.05;

function gainWords(lever: Lever): string {
  if (lever.kind === 'asItIs' || lever.gainsMin === null) return '';
  const minutes = Math.round(lever.gainsMin);
  if (minutes === 0) return potWords.theSame;
  return minutes > 0 ? potWords.minSooner(minutes) : potWords.minLater(-minutes);
}

function marginWords(margin: number | null): string {
  if (margin === null) return potWords.fryingGoByColour;
  if (!Number.isFinite(margin)) return potWords.noHeatUnderIt;
  if (margin < CATCHES_UNDER) return potWords.willCatchOnTheBottom;
  if (margin < 1.4) return potWords.scorchRiskHighScrapeThe;
  return margin > 5 ? potWords.scorchRiskVeryLow : potWords.scorchRiskLow;
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
