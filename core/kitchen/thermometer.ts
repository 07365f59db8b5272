import { within } from '../check';
import { AIR_PRESSURE_SD_KPA, boilingPointC, saturationPressureKPa } from '../heat';

/** A thermometer for records is right to this, °C. source: published: FDA Food Code 2022 § 4-203.11 */
export const THERMOMETER_WITHIN_C = 1;

export interface ThermometerCheck {
  /** what it shows in crushed ice and water, °C; absent where that was not tried */
  iceC?: number | undefined;
  /** what it shows in boiling water, °C */
  boilC?: number | undefined;
}

export interface ThermometerVerdict {
  /** what it shows too much at each point, °C; null where it was not tried */
  iceOffC: number | null;
  boilOffC: number | null;
  /** what water boils at here, and how far the day's weather moves that, °C */
  boilsAtC: number;
  weatherSdC: number;
  /** good enough to write a temperature down for the record: both points tried, both within 1 °C */
  isForRecords: boolean;
}

/**
 * A thermometer by its ice point and its boiling point, the latter as water boils at this altitude.
 *
 * @param check what it shows, -10..20 in ice and 70..110 in boiling water
 * @throws RangeError naming what is out of range
 * @source published: ice point 0 °C; the boil as `boilingPointC`; 1 °C from the FDA Food Code 2022 § 4-203.11
 */
export function thermometerVerdict(check: ThermometerCheck, altitudeM: number): ThermometerVerdict {
  const boilsAtC = boilingPointC({ altitudeM });
  const { iceC, boilC } = check;
  const iceOffC = iceC === undefined ? null : within('iceC', iceC, -10, 20);
  const boilOffC = boilC === undefined ? null : within('boilC', boilC, 70, 110) - boilsAtC;
  const kPaPerC =
    saturationPressureKPa({ tempC: boilsAtC + 0.5 }) - saturationPressureKPa({ tempC: boilsAtC - 0.5 });
  const isNear = (off: number | null) => off !== null && Math.abs(off) <= THERMOMETER_WITHIN_C + 1e-9;
  return {
    iceOffC,
    boilOffC,
    boilsAtC,
    weatherSdC: AIR_PRESSURE_SD_KPA / kPaPerC,
    isForRecords: isNear(iceOffC) && isNear(boilOffC),
  };
}
