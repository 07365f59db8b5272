import { honesty, type KeptForecast } from '../../../core/batch';
import { HonestyChart } from '../../components/chart/honesty-chart';
import { Over, Soft, Subtitle } from '../../components/text';

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
  const words = `${told.forecasts} forecasts; the truth lay within ${Math.round(told.inside * 100)} % of their intervals, which promise 80.`;
  return (
    <section>
      <Subtitle>How honest the forecasts were</Subtitle>
      <Soft>
        {words} In the middle they were off by {Math.round(told.medianOff * 100)} % of the time that was left;{' '}
        {leanWords(told.late)}
      </Soft>
      <HonestyChart points={points} description={words} />
      <Over>
        A bar for each forecast shown at a pot, eight chances in ten; a cross where the truth lay outside.
        When the cook says “done” counts as the truth, look-in and all.
      </Over>
    </section>
  );
}

function leanWords(late: number): string {
  if (late > 0.65) return 'pots come later than said more often than not.';
  return late < 0.35 ? 'pots come sooner than said more often than not.' : 'they lean neither way.';
}
