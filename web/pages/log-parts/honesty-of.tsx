import { honesty, type KeptForecast } from '../../../core/batch';
import { HonestyChart } from '../../components/chart/honesty-chart';
import { Over, Soft, Subtitle } from '../../components/text';
import { logWords } from '../../words';

const MINUTE = 60_000;

/** How honest the forecasts were: each that was shown at the pot, beside what came true. */
export function HonestyOf({ kept }: { kept: readonly KeptForecast[] }) {
  const told = honesty(kept);
  if (!told) return null;
  const points = kept.map((one) => ({
    leftMin: (one.cameMs - one.saidMs) / MINUTE,
    earlyMin: (one.p10Ms - one.cameMs) / MINUTE,
    middleMin: (one.p50Ms - one.cameMs) / MINUTE,
    lateMin: (one.p90Ms - one.cameMs) / MINUTE,
    isInside: one.cameMs >= one.p10Ms && one.cameMs <= one.p90Ms,
  }));
  const words = logWords.forecastsTheTruthLayWithin(told.forecasts, Math.round(told.inside * 100));
  return (
    <section>
      <Subtitle>{logWords.howGoodTheForecastsWere}</Subtitle>
      <Soft>
        {logWords.inTheMiddleTheyWere(words, Math.round(told.medianOff * 100), leanWords(told.late))}
      </Soft>
      <HonestyChart points={points} description={words} />
      <Over>{logWords.aBarForEachForecast}</Over>
    </section>
  );
}

function leanWords(late: number): string {
  if (late > 0.65) return logWords.potsFinishLaterThanForecast;
  return late < 0.35 ? logWords.potsFinishSoonerThanForecast : logWords.theyAreEarlyAsOften;
}
