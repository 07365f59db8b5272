import { describe, expect, it } from 'vitest';
import { altitudeFromBoilingM, boilingPointC } from '../heat';
import { thermometerVerdict } from './';

describe('a thermometer on ice and at the boil', () => {
  it('the boil is the one of this altitude: 97.2 °C is right at 834 m, and 2.8 too low by the sea', () => {
    expect(thermometerVerdict({ iceC: 0.2, boilC: 97.2 }, 834).boilOffC).toBeCloseTo(0, 2);
    expect(thermometerVerdict({ iceC: 0.2, boilC: 97.2 }, 834).isForRecords).toBe(true);
    const bySea = thermometerVerdict({ iceC: 0.2, boilC: 97.2 }, 0);
    expect(bySea.boilOffC).toBeCloseTo(-2.77, 2);
    expect(bySea.isForRecords).toBe(false);
  });
  // Source: FDA Food Code 2022 § 4-203.11: ± 1 °C.
  it.each([
    [1, 0, true],
    [-1, 0, true],
    [1.1, 0, false],
    [0, 1.1, false],
  ])('%d in ice and %d at the boil: %s', (iceC, boilOff, good) => {
    const boilC = boilingPointC({ altitudeM: 500 }) + boilOff;
    expect(thermometerVerdict({ iceC, boilC }, 500).isForRecords).toBe(good);
  });
  it('one point tried is not enough, and a figure that cannot be is named', () => {
    expect(thermometerVerdict({ iceC: 0 }, 0)).toMatchObject({ boilOffC: null, isForRecords: false });
    expect(() => thermometerVerdict({ boilC: 32 }, 0)).toThrow(/boilC.*32/);
  });
  it('the weather moves the boil by less than half a degree', () => {
    const { weatherSdC } = thermometerVerdict({}, 0);
    expect(weatherSdC).toBeGreaterThan(0.35);
    expect(weatherSdC).toBeLessThan(0.5);
  });
});

describe('altitude by the boil', () => {
  it('97.2 °C is 834 m, ± 135 m by the weather', () => {
    const found = altitudeFromBoilingM({ tempC: 97.2 });
    expect(found.altitudeM).toBeCloseTo(834, 0);
    expect(found.sdM).toBeCloseTo(135, 0);
  });
  it.each([-300, 0, 834, 1240, 3000, 4800])('%d m comes back from its boiling point', (altitudeM) => {
    expect(altitudeFromBoilingM({ tempC: boilingPointC({ altitudeM }) }).altitudeM).toBeCloseTo(altitudeM, 4);
  });
  it('an unchecked thermometer adds its own doubt, and what is not the boil is refused', () => {
    expect(altitudeFromBoilingM({ tempC: 97.2, thermometerSdC: 1 }).sdM).toBeGreaterThan(300);
    expect(() => altitudeFromBoilingM({ tempC: 72 })).toThrow(/tempC.*72/);
    expect(() => altitudeFromBoilingM({ tempC: 103 })).toThrow(RangeError);
  });
});
