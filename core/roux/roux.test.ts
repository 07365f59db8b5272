import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROUX_MIN } from '../scaling';
import { THICKENERS } from '../thickness';
import { ROUX_COLOURS, ROUX_MINUTES, type RouxAsked, type RouxColour, rouxFor } from './';

const ASKED: RouxAsked = {
  litres: 10,
  fromBand: 0,
  band: 3,
  colour: 'rouxWhite',
  fat: 'butter',
  renderedKg: 0,
  panCm: 30,
  burnerKW: 3,
  where: 'flame',
  rouxC: 150,
  liquidC: 10,
};
const of = (change: Partial<RouxAsked>) => rouxFor({ ...ASKED, ...change });

describe('a roux for so much liquid', () => {
  it('white sauce: 50 g of flour to the litre coats the spoon, as much fat (common practice)', () => {
    const { flourKg, fatKg, rouxKg, lost } = of({});
    expect(flourKg).toBeCloseTo(0.5, 6);
    expect(fatKg).toBe(flourKg);
    expect(rouxKg).toBeCloseTo(1, 6);
    expect(lost).toBe(0);
  });
  it('the darker, the more of it: its weight makes up for the strength it has lost', () => {
    const kg = ROUX_COLOURS.map((colour) => of({ colour }).flourKg);
    expect(kg).toEqual([...kg].sort((a, b) => a - b));
    for (const colour of ROUX_COLOURS) {
      const { flourKg, lost } = of({ colour });
      expect(flourKg * THICKENERS[colour].strength).toBeCloseTo(0.5, 6);
      expect(lost).toBeCloseTo(1 - THICKENERS[colour].strength, 12);
    }
  });
  it('fat that is rendered already counts, and what is too much is poured off; nothing is lost of it (seed 4)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (renderedKg, litres) => {
          const { fatKg, fatToAddKg, pourOffKg } = of({ renderedKg, litres });
          expect(renderedKg + fatToAddKg - pourOffKg).toBeCloseTo(fatKg, 9);
          expect(fatToAddKg * pourOffKg).toBe(0);
        },
      ),
      { seed: 4 },
    );
  });
  it('no deeper than two centimetres: 4 kg in a pan of 30 cm is three pans (by hand: 3.81 L over 707 cm² is 5.4 cm)', () => {
    const { depthCm, pans } = of({ litres: 40 });
    expect(pans).toBe(3);
    expect(depthCm).toBeCloseTo(5.39 / 3, 2);
  });
  it('minutes: up to half a kilo as the trade has them, longer with the load; an oven takes its own', () => {
    const small = of({ litres: 5, colour: 'rouxDark' });
    const minutes = (one: ReturnType<typeof of>, colour: RouxColour) => {
      const stage = one.stages.find((each) => each.colour === colour)!;
      return [stage.fromMin - one.warmMin, stage.toMin - one.warmMin];
    };
    expect(small.stages.map((one) => one.colour)).toEqual(ROUX_COLOURS);
    // 1.43 kg in one pan of 30 cm: (1.43 / 0.5) ^ 0.35 is 1.44 times as long
    expect(minutes(small, 'rouxDark')[0]).toBeCloseTo(30 * (small.rouxKg / small.pans / 0.5) ** 0.35, 6);
    expect(minutes(of({ litres: 1 }), 'rouxWhite')).toEqual([3, 5]);
    const oven = of({ litres: 1, colour: 'rouxDark', where: 'oven' });
    expect(oven.stages.map((one) => one.colour)).toEqual(['rouxBlond', 'rouxBrown', 'rouxDark']);
    for (const colour of ROUX_COLOURS) {
      const [from, to] = ROUX_MINUTES[colour].flame;
      expect(ROUX_MIN[colour]).toBeGreaterThanOrEqual(from);
      expect(ROUX_MIN[colour]).toBeLessThanOrEqual(to);
    }
  });
  it('warming: 1 kg by 130 K at 2 kJ and 80 g of water driven off, at four tenths of 3 kW (by hand 6.1 min)', () => {
    expect(of({}).warmMin).toBeCloseTo((260 + 0.08 * 2257) / 1.2 / 60, 1);
    expect(of({ fat: 'oil' }).warmMin).toBeCloseTo(260 / 1.2 / 60, 6);
  });
  it('one hot and one cold: hot roux into cold stock ends at 16.7 °C; both hot lumps; both cold is only slow', () => {
    // by hand: (1 × 2 × 150 + 10 × 4 × 10) / 42
    expect(of({}).joined.tempC).toBeCloseTo(700 / 42, 6);
    expect(of({}).joined.how).toBe('oneHot');
    expect(of({ rouxC: 20, liquidC: 90 }).joined.how).toBe('oneHot');
    expect(of({ liquidC: 90 }).joined.how).toBe('bothHot');
    expect(of({ rouxC: 20, liquidC: 20 }).joined.how).toBe('bothCold');
  });
  it.each<[Partial<RouxAsked>, RegExp]>([
    [{ litres: 0 }, /litres.*0/],
    [{ band: 0 }, /band must be above 0/],
    [{ fromBand: 4, band: 3 }, /band must be above 4, got 3/],
    [{ panCm: 3 }, /panCm.*3/],
    [{ burnerKW: 0 }, /burnerKW.*0/],
    [{ renderedKg: -1 }, /renderedKg.*-1/],
    [{ where: 'oven' }, /in an oven, got white/],
    [{ liquidC: 300 }, /liquidC.*300/],
  ])('refuses %j', (change, message) => {
    expect(() => of(change)).toThrow(message);
  });
});
