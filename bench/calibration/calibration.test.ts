import { describe, expect, it } from 'vitest';
import { type Calibration, calibrate } from './calibrate';

/** The kitchen the forecasts must be honest in: burners that wander by 15 %, three slips of the keyboard in a hundred. */
const wandering = { wanderSd: 0.15, typingErrors: 0.03 };
/** … and one without wander, whose cook dips into a still pot: what the instruments alone are good for. */
const steady = { wanderSd: 0, typingErrors: 0.03, dipsStill: true };

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** The table that docs/model.md shows: `npm run bench` prints it. */
function table(wild: Calibration, calm: Calibration): string {
  const rows = ['scale', 'dip', 'brix', 'eye'].map((instrument) =>
    [
      instrument.padEnd(6),
      ...wild.strata.filter((one) => one.instrument === instrument).map((one) => percent(one.inside)),
    ].join('  '),
  );
  return [
    `${wild.forecasts} forecasts: ${percent(wild.inside)} of the truths inside the 80 % interval; by quarter of the way:`,
    ...rows,
    `pinball loss ${wild.pinball.toFixed(2)} min, a line through the last two readings ${wild.linePinball.toFixed(2)} min (${(wild.pinball / wild.linePinball).toFixed(2)} of it)`,
    `no wander, after three readings, median error of the time left: ${Object.entries(
      calm.medianErrorAfterThree,
    )
      .map(([instrument, error]) => `${instrument} ${percent(error)}`)
      .join(', ')}`,
  ].join('\n');
}

describe('forecasts held against 2,000 batches of a truth that core knows nothing of', () => {
  const wild = calibrate(2000, wandering);
  const calm = calibrate(800, steady);
  if (process.env.SLOW_POT_PRINT) process.stdout.write(`${table(wild, calm)}\n`);

  it('the 80 % interval holds 76 to 84 % of the truths', () => {
    expect(wild.inside).toBeGreaterThan(0.76);
    expect(wild.inside).toBeLessThan(0.84);
  });
  it.each(wild.strata)('by $instrument in quarter $quarter of the way it holds 70 to 90 %', (stratum) => {
    expect(stratum.forecasts).toBeGreaterThan(150);
    expect(stratum.inside).toBeGreaterThan(0.7);
    expect(stratum.inside).toBeLessThan(0.9);
  });
  it('its pinball loss beats a straight line through the last two readings', () => {
    expect(wild.pinball).toBeLessThan(wild.linePinball);
  });
  it('without wander, after three readings, the median error is under 4 % by scale and 10 % by dip', () => {
    expect(calm.medianErrorAfterThree.scale).toBeLessThan(0.04);
    expect(calm.medianErrorAfterThree.dip).toBeLessThan(0.1);
  });
});
