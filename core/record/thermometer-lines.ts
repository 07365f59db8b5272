import { THERMOMETER_WITHIN_C, type ThermometerCheck, thermometerVerdict } from '../kitchen';
import { type RecordLine, recordLine } from './record-line';

/** A thermometer held in ice and in boiling water: what it showed, and who looked. */
export interface SaidOfThermometer extends ThermometerCheck {
  id: string;
  thermometerId: string;
  name: string;
  atMs: number;
  by: string | null;
}

/** How far a thermometer may be trusted at a moment: by its last check before. */
export type ThermometerStanding = 'good' | 'off' | 'unchecked';

/**
 * One line for each point that was tried: what it showed, held against what it should have, 1 °C either way.
 *
 * @param altitudeM of the kitchen: water boils by it
 * @source published: FDA Food Code 2022 § 4-203.11; ice and boiling point as `thermometerVerdict`
 */
export function thermometerLines(checks: readonly SaidOfThermometer[], altitudeM: number): RecordLine[] {
  return checks.flatMap(({ id, thermometerId, name, atMs, by, iceC, boilC }) => {
    const { boilsAtC } = thermometerVerdict({ iceC, boilC }, altitudeM);
    const point = (tempC: number | undefined, trueC: number): RecordLine[] => {
      if (tempC === undefined) return [];
      const limit = { atLeastC: trueC - THERMOMETER_WITHIN_C, atMostC: trueC + THERMOMETER_WITHIN_C };
      const isIn = tempC >= limit.atLeastC - 1e-9 && tempC <= limit.atMostC + 1e-9;
      const of = { kind: 'thermometer', id: thermometerId, name } as const;
      const standing = isIn ? 'in' : 'out';
      return [recordLine({ id, atMs, kind: 'thermometer', of, standing, tempC, limit, by, thermometerId })];
    };
    return [...point(iceC, 0), ...point(boilC, boilsAtC)];
  });
}

/** What the last check before a moment said of a thermometer. */
export function thermometerStanding(
  checks: readonly SaidOfThermometer[],
  thermometerId: string,
  atMs: number,
  altitudeM: number,
): ThermometerStanding {
  const last = checks
    .filter((one) => one.thermometerId === thermometerId && one.atMs <= atMs)
    .sort((a, b) => b.atMs - a.atMs)[0];
  if (!last) return 'unchecked';
  return thermometerVerdict(last, altitudeM).isForRecords ? 'good' : 'off';
}
