import styled from 'styled-components';
import { daysAhead, span, thePot } from '../../../contract';
import type { Split } from '../../../core/order';
import { Over, Soft, Subtitle } from '../../components/text';
import { colour, radius, size, space } from '../../theme/tokens';
import { hourMinute, litres, planWords, wayWords } from '../../words';
import { useComputed } from '../../workers/use-computed';
import { useKitchenHere } from '../use-kitchen-here';
import type { Order } from './use-order';

const Part = styled.section`
  display: grid;
  gap: ${space.s};
`;

const List = styled.ul`
  display: grid;
  gap: ${space.s};
  button {
    width: 100%;
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px ${space.m};
    padding: ${space.s} ${space.m};
    border: 2px solid ${colour.iron};
    border-radius: ${radius.m};
    background: ${colour.sheet};
    text-align: left;
    cursor: pointer;
  }
  small {
    grid-column: 1 / -1;
    font-size: ${size.small};
    color: ${colour.soft};
  }
`;

const TITLES = {
  batches: planWords.oneAfterTheOther,
  twoPots: planWords.twoPotsAtOnce,
  holdBack: planWords.concentratedDilutedAtService,
  otherPot: planWords.anotherPot,
} as const;

/** An earlier batch is an order of its own, for when it has to be ready. */
const wantedAt = (atMs: number, zone: string, nowMs: number) => ({
  by: hourMinute(atMs, zone),
  day: String(daysAhead(nowMs, atMs, zone)),
});

/** Ways to cook what this pot does not hold, each planned in full; one press takes its first part. */
export function Ways({ order, zone }: { order: Order; zone: string }) {
  const { limits } = useKitchenHere();
  const { data: ways, isPending, isOld } = useComputed('ways', order.asked);
  const take = (way: Split) => {
    const part = way.parts[0]!;
    order.setPortions(part.portions, {
      potId: part.potId,
      burnerId: part.burnerId,
      holdBackShare: part.holdBackShare,
      ...(part.serviceAtMs === order.serviceAtMs ? {} : wantedAt(part.serviceAtMs, zone, order.nowMs)),
    });
  };
  return (
    <Part aria-label={planWords.waysToCookIt}>
      <Subtitle>{planWords.itDoesNotFitWays}</Subtitle>
      {(isPending || isOld) && <Soft role="status">{planWords.planningEachOfThem}</Soft>}
      {ways?.length === 0 && <Soft>{planWords.noneThatIsFreeNow}</Soft>}
      <List>
        {(ways ?? []).map((way) => (
          <li key={`${way.kind} ${way.parts.map((part) => part.potId).join(' ')}`}>
            <button type="button" disabled={isOld} onClick={() => take(way)}>
              <strong>{TITLES[way.kind]}</strong>
              <strong>
                {planWords.light(hourMinute(Math.min(...way.parts.map((part) => part.startAtMs)), zone))}
              </strong>
              <small>{wayWords(way, order.request?.portionMl ?? 0, limits)}</small>
              <small>
                {planWords.inAll(
                  way.parts
                    .map((part) =>
                      planWords.inToOf(
                        part.portions,
                        thePot(part.potName),
                        hourMinute(part.startAtMs, zone),
                        hourMinute(part.readyAtMs, zone),
                        litres(part.fullestLitres),
                        litres(part.workingFillLitres),
                      ),
                    )
                    .join('; then '),
                  span(way.minutes * 60_000),
                )}
              </small>
            </button>
          </li>
        ))}
      </List>
      <Over>{planWords.pressOneToPlanIts}</Over>
    </Part>
  );
}
