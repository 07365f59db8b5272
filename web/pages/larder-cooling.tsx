import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { KitchenView, LearnedView } from '../../contract';
import { COLD_C, type CoolingAct, coolingCurve, depthOf, FIRST_STEP_C } from '../../core/cooling';
import { isCooling, standsHot } from '../../core/larder';
import type { LotView } from '../../core/views';
import { Button } from '../components/button';
import { CoolingChart } from '../components/chart/cooling-chart';
import { LinkButton } from '../components/link-button';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { PanSection } from '../components/pan-section';
import { Errors, Over, Soft, Subtitle } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useCoolings, useLearned, useRecipes } from '../data/queries';
import { type CoolingNow, canBeDone, emptyPansOf, lastToAct, useCooling } from '../data/use-cooling';
import { colour, font, media, size, space } from '../theme/tokens';
import { coolingWords, depth, hourMinute, lotColour } from '../words';
import { CoolSheet } from './larder-parts/cool-sheet';
import { ReheatedSheet, TemperatureSheet, ThrownAwaySheet } from './larder-parts/cooling-sheets';
import { LarderNav } from './larder-parts/larder-nav';
import { useShelf } from './larder-parts/use-shelf';
import { DeviceLine } from './pot-parts/device-line';
import { useKitchenHere } from './use-kitchen-here';

const Verdict = styled.p<{ $isBad: boolean }>`
  font: 700 ${size.act} / 1.05 ${font.title};
  color: ${({ $isBad }) => ($isBad ? colour.danger : colour.onTarget)};
`;

const Hour = styled.p`
  font: 700 ${size.hour} / 1 ${font.title};
`;

/** What to do comes before the picture where there is one column. */
const Beside = styled(Halves)`
  ${media.medium} {
    > section:last-child {
      order: -1;
    }
  }
`;

const Moment = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s} ${space.xl};
  align-items: end;
`;

const Act = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: ${space.xs} ${space.m};
  align-items: center;
  padding: ${space.s} 0;
  border-top: 1px solid ${colour.line};
  .cold {
    font: 700 ${size.figure} / 1 ${font.title};
    text-align: right;
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr) auto;
    button {
      grid-column: 1 / -1;
    }
  }
`;

const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
`;

const Row = styled.article`
  display: grid;
  gap: ${space.m};
  padding-bottom: ${space.l};
  border-bottom: 2px solid ${colour.line};
  &:last-child {
    border-bottom: 0;
  }
`;

/** Everything that is hot and has to be cold: whether it will be in time, and what still makes it. */
export function LarderCooling() {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const { data: lots, error, refetch } = useCoolings();
  const { data: learned } = useLearned();
  const [cooledId, setCooledId] = useState<string | null>(null);
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  const cooling = lots.filter((lot) => isCooling(lot.cooling) && lot.leftKg > 0);
  const hot = lots.filter((lot) => standsHot(lot, nowMs));
  const emptyPans = emptyPansOf(kitchen, lots);
  const opened = lots.find((lot) => lot.id === cooledId);
  return (
    <Page>
      <LarderNav />
      {cooling.length + hot.length === 0 && (
        <Empty title={coolingWords.nothingIsCooling} isPage>
          <Soft>{coolingWords.whatIsStoredHot}</Soft>
          <Link to="/">{coolingWords.toThePass}</Link>
        </Empty>
      )}
      {hot.map((lot) => (
        <Row key={lot.id} aria-label={coolingWords.the(lot.name, lot.number)}>
          <div>
            <Subtitle as="h1">{coolingWords.the(lot.name, lot.number)}</Subtitle>
            <Soft>{coolingWords.leftThePotAt(lot.bornC ?? 0, hourMinute(lot.bornAtMs, kitchen.zone))}</Soft>
          </div>
          <Buttons>
            <Button kind="main" atPot onPress={() => setCooledId(lot.id)}>
              {coolingWords.coolIt}
            </Button>
          </Buttons>
        </Row>
      ))}
      {cooling.map((lot) => (
        <CoolingLot
          key={lot.id}
          lot={lot}
          kitchen={kitchen}
          learned={learned}
          emptyPans={emptyPans}
          nowMs={nowMs}
        />
      ))}
      {opened && (
        <CoolSheet
          lot={opened}
          kitchen={kitchen}
          learned={learned}
          emptyPans={emptyPans}
          nowMs={nowMs}
          onClose={() => setCooledId(null)}
        />
      )}
    </Page>
  );
}

type SheetName = 'temperature' | 'reheated' | 'thrownAway';

function CoolingLot({
  lot,
  kitchen,
  learned,
  emptyPans,
  nowMs,
}: {
  lot: LotView;
  kitchen: KitchenView;
  learned: LearnedView | undefined;
  emptyPans: number | null;
  nowMs: number;
}) {
  const { data: recipes } = useRecipes();
  const now = useCooling(lot, kitchen, { learned, emptyPans }, nowMs);
  const [sheet, setSheet] = useState<SheetName | null>(null);
  if (!now) return null;
  const { cooling, known, forecast } = now;
  const { how } = known;
  const { p10, p50, p90 } = forecast.centreC;
  const shut = () => setSheet(null);
  const dueMs = p50 > FIRST_STEP_C ? forecast.firstDueMs : forecast.coldDueMs;
  const isTooLate = nowMs > dueMs || (forecast.isWarned && lastToAct(now.acts) === null);
  const of = { lot, kitchen, onClose: shut };

  return (
    <Row aria-label={coolingWords.the(lot.name, lot.number)}>
      <Beside>
        <section>
          <div>
            <Subtitle as="h1">{coolingWords.the(lot.name, lot.number)}</Subtitle>
            <Soft>
              {coolingWords.wayOf(how)}, {coolingWords.inPlace(how.place, how.air, how.airC)}
              {cooling.reheats > 0 && `; ${coolingWords.again(cooling.reheats)}`}
            </Soft>
          </div>
          <PanSection
            depthCm={how.depthCm}
            food={lotColour(lot, recipes)}
            isHot={p50 > FIRST_STEP_C}
            description={coolingWords.inSection(how.pans, depth(how.depthCm), p50)}
          />
          <p>{coolingWords.now(p50, p10, p90)}</p>
          <DeviceLine at={lot.id} />
          <Curve now={now} nowMs={nowMs} zone={kitchen.zone} />
          <Over>
            {known.readings > 1
              ? coolingWords.learned(Math.round(100 * Math.exp(known.film.mean)))
              : coolingWords.guessed}
          </Over>
        </section>
        <section>
          <Outlook now={now} kitchen={kitchen} nowMs={nowMs} />
          <Acts lot={lot} now={now} kitchen={kitchen} />
          <Buttons>
            <Button kind={forecast.isWarned ? 'plain' : 'main'} atPot onPress={() => setSheet('temperature')}>
              {coolingWords.takeATemperature}
            </Button>
            {isTooLate && (
              <>
                <Button atPot onPress={() => setSheet('reheated')}>
                  {coolingWords.reheated}
                </Button>
                <Button atPot onPress={() => setSheet('thrownAway')}>
                  {coolingWords.thrownAway}
                </Button>
              </>
            )}
            <LinkButton to={`/larder/lots/${lot.id}/label`}>{coolingWords.labels}</LinkButton>
            <LinkButton to={`/larder/lots/${lot.id}`}>{coolingWords.openTheLot}</LinkButton>
          </Buttons>
          <Over>
            {coolingWords.code(
              kitchen.limits.hotHoldingC,
              kitchen.limits.coolFirstWithinH,
              kitchen.limits.coolWithinH,
            )}
          </Over>
        </section>
      </Beside>
      {sheet === 'temperature' && <TemperatureSheet {...of} />}
      {sheet === 'reheated' && <ReheatedSheet {...of} />}
      {sheet === 'thrownAway' && <ThrownAwaySheet {...of} />}
    </Row>
  );
}

/** Whether the limit that presses is met, and until when something can be done. */
function Outlook({ now, kitchen, nowMs }: { now: CoolingNow; kitchen: KitchenView; nowMs: number }) {
  const { forecast, known, acts } = now;
  const { zone, limits } = kitchen;
  const isFirst = forecast.centreC.p50 > FIRST_STEP_C;
  const aimC = isFirst ? FIRST_STEP_C : COLD_C;
  const { p10Ms, p50Ms, p90Ms } = isFirst ? forecast.first : forecast.cold;
  const dueMs = isFirst ? forecast.firstDueMs : forecast.coldDueMs;
  const isPast = nowMs > dueMs;
  const lastMs = lastToAct(acts);
  const hour = (ms: number | null) => (ms === null ? coolingWords.neverCold : hourMinute(ms, zone));
  return (
    <>
      <Verdict role="status" $isBad={forecast.isWarned || isPast}>
        {isPast
          ? coolingWords.missed
          : forecast.isWarned
            ? coolingWords.willMiss(aimC)
            : coolingWords.inTimeFor(aimC)}
      </Verdict>
      <p>
        {p50Ms === null
          ? coolingWords.notHere(known.how.place)
          : coolingWords.about(hour(p50Ms), hour(p10Ms), hour(p90Ms))}{' '}
        {coolingWords.limitIs(hour(dueMs))}{' '}
        {forecast.isWarned && !isPast && coolingWords.odds(Math.max(forecast.missFirst, forecast.missCold))}{' '}
        {forecast.leftHotMs <= nowMs
          ? coolingWords.leftHot(limits.hotHoldingC, hour(forecast.leftHotMs))
          : coolingWords.stillHot(limits.hotHoldingC)}
      </p>
      {isPast && <Errors sentences={[coolingWords.missedActs(limits.reheatC)]} />}
      {forecast.isWarned && !isPast && (
        <Moment>
          {lastMs !== null ? (
            <div>
              <Over>{coolingWords.actBefore}</Over>
              <Hour>{hour(lastMs)}</Hour>
            </div>
          ) : (
            <strong>{coolingWords.tooLate}</strong>
          )}
          <Soft>{coolingWords.afterThat(limits.reheatC)}</Soft>
        </Moment>
      )}
    </>
  );
}

/** What can be done, the soonest cold first; one press says that it is done. */
function Acts({ lot, now, kitchen }: { lot: LotView; now: CoolingNow; kitchen: KitchenView }) {
  const { tell, refusals } = useShelf();
  const { zone } = kitchen;
  const best = now.acts.find(canBeDone);
  const done = ({ how }: CoolingAct) =>
    tell({
      type: 'coolingSet',
      payload: {
        lotId: lot.id,
        how: {
          ...how,
          depthCm: Math.max(0.5, Math.round(depthOf(Math.max(0.2, lot.leftLitres), how) * 100) / 100),
        },
      },
    });
  return (
    <>
      <ul aria-label={coolingWords.actBefore}>
        {now.acts.map((act) => (
          <Act key={`${act.act} ${act.how.placeId}`}>
            <div>
              <strong>{coolingWords.actOf(act)}</strong>
              <Over>
                {[
                  coolingWords.needsOf(act),
                  act.lastMs === null
                    ? coolingWords.tooLateNow
                    : coolingWords.until(hourMinute(act.lastMs, zone)),
                ]
                  .filter(Boolean)
                  .join('; ')}
              </Over>
            </div>
            <span className="cold">
              {act.reaches.p50Ms === null ? '—' : hourMinute(act.reaches.p50Ms, zone)}
            </span>
            <Button
              kind={now.forecast.isWarned && act === best ? 'main' : 'plain'}
              atPot
              aria-label={`${coolingWords.doneLogIt}: ${coolingWords.actOf(act)}`}
              onPress={() => done(act)}
            >
              {coolingWords.doneLogIt}
            </Button>
          </Act>
        ))}
      </ul>
      <Errors sentences={refusals} />
    </>
  );
}

/** The forecast as a line, from what was read down to both limits. */
function Curve({ now, nowMs, zone }: { now: CoolingNow; nowMs: number; zone: string }) {
  const { cooling, known, forecast } = now;
  const drawn = useMemo(() => {
    const endMs = Math.max(forecast.firstDueMs + 30 * 60_000, forecast.first.p90Ms ?? 0, nowMs + 1_800_000);
    return {
      readings: cooling.readings,
      curve: coolingCurve(known, known.sinceMs, Math.min(endMs, known.sinceMs + 12 * 3_600_000), 40),
      limits: [
        { tempC: FIRST_STEP_C, atMs: forecast.firstDueMs },
        { tempC: COLD_C, atMs: forecast.coldDueMs },
      ],
      description: coolingWords.chart(
        forecast.first.p50Ms === null ? coolingWords.neverCold : hourMinute(forecast.first.p50Ms, zone),
      ),
    };
  }, [cooling, known, Math.floor(nowMs / 60_000)]);
  return <CoolingChart zone={zone} {...drawn} />;
}
