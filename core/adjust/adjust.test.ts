import { describe, expect, it } from 'vitest';
import { filledPot } from '../../demo/filled-pot';
import { type BatchEvent, loadStillToAdd, potAtEnd } from '../batch';
import { bodyOfPot, flourPerLitre } from '../pot';
import { chanceOf } from '../testing/chance';
import { measuredBody, TEST_DOUBT_BANDS, THICKENERS, thicknessBand } from '../thickness';
import { adjustments } from './';

const BATCHES = 500;

const { snapshot, startMs, said, at: potAt } = filledPot('trout-chowder');
const heat = said(2, { type: 'heatSet', payload: { fraction: 0.3 } });
const at = (minute: number, ...more: BatchEvent[]) => potAt(minute, heat, ...more);

/** The pot kept hot: nothing swells in a cold one. */
const hot = said(2, { type: 'heatSet', payload: { fraction: 0.7 } });

describe('ways to a thicker pot', () => {
  const state = at(70);
  const { ways, band } = adjustments(snapshot, state, 4.5);

  it('are many, and those of its own taste come before those that bring what is not in it', () => {
    const ids = ways.map((way) => way.id);
    expect(ids).toEqual(
      expect.arrayContaining([
        'puree',
        'reduce',
        'slurry-cornstarch',
        'rouxBlond',
        'potato',
        'bread',
        'liaison',
        'cream',
      ]),
    );
    const firstWarned = ways.findIndex((way) => way.warns.length > 0);
    if (firstWarned >= 0)
      for (const way of ways.slice(firstWarned)) expect(way.warns.length).toBeGreaterThan(0);
  });
  it('part of it boiled down beside the pot: as much steam, on a flame like its own, in so many pans (by hand)', () => {
    const apart = adjustments(snapshot, state, 4.5).ways.find((way) => way.id === 'reduce-apart')!;
    const { how, after } = apart;
    if (how.code !== 'reduceApart') throw new Error(how.code);
    expect(after.band).toBeCloseTo(4.5, 1);
    // half of what is ladled out leaves as steam
    const lostKg = (how.litres / 2) * 0.998;
    const { burner, equipment } = snapshot.input;
    const kW = (burner.powerW / 1000) * burner.efficiency * 0.8;
    expect(how.panCm).toBe(equipment!.fryingPanCm);
    expect(how.pans).toBe(Math.ceil(how.litres / ((Math.PI * (how.panCm / 2) ** 2 * 4) / 1000)));
    // 2,270 kJ a kilogram at 96 °C, by the steam tables
    expect(after.minutes - 4 * how.pans).toBeCloseTo((lostKg * 2270) / kW / 60, 0);
    const none = { ...snapshot, input: { ...snapshot.input, equipment: { ...equipment!, fryingPanCm: 0 } } };
    expect(adjustments(none, state, 4.5).ways.map((way) => way.id)).not.toContain('reduce-apart');
  });
  it('each gets where it says, or says how far it gets; and the pot comes there when it is done', () => {
    for (const way of ways) {
      const isShort = way.warns.some((warn) => warn.code === 'fallsShort');
      if (isShort) expect(way.after.band, way.id).toBeLessThan(4.45);
      else expect(way.after.band, way.id).toBeCloseTo(4.5, 1);
      const done =
        way.how.code === 'puree'
          ? [said(71, { type: 'pureed', payload: { share: way.how.share } })]
          : way.isAddition
            ? [
                said(71, {
                  type: 'added',
                  payload: { items: way.items, purpose: { for: 'thickness', wayId: way.id } },
                }),
              ]
            : [];
      if (done.length === 0) continue;
      const after = adjustments(snapshot, at(110, ...done), 4.5);
      // to a tenth of a band, and what the forty minutes boil away
      expect(after.bandAtEnd - way.after.band, way.id).toBeGreaterThan(-0.12);
      expect(after.bandAtEnd - way.after.band, way.id).toBeLessThan(0.5);
    }
  });
  it('what has just gone in does nothing yet, and the page says from when it can be judged', () => {
    const roux = ways.find((way) => way.id === 'rouxBlond')!;
    const put = said(71, { type: 'added', payload: { items: roux.items, purpose: { for: 'thickness' } } });
    const soon = adjustments(snapshot, at(72, hot, put), 4.5);
    const later = adjustments(snapshot, at(84, hot, put), 4.5);
    expect(soon.band).toBeLessThan(adjustments(snapshot, at(70, hot)).band + 0.35);
    expect(soon.judged).toEqual({ atMs: startMs + 81 * 60_000 });
    expect(soon.bandAtEnd).toBeGreaterThan(4.2);
    expect(later.band).toBeGreaterThan(soon.band + 0.5);
    expect(later.judged).toBeNull();
    // in a pot that has gone cold it swells not at all, however long it waits
    const cold = adjustments(snapshot, potAt(240, put), 4.5);
    expect(cold.judged).toEqual({ notUnderC: 80 });
    expect(cold.band).toBeLessThan(band + 0.35);
  });
  it('long boiling takes back what root starches gave, and little of what flour gave; sour it goes faster, and a blender cuts it', () => {
    const left = (ingredientId: string, hours: number, ...more: BatchEvent[]) => {
      const put = said(71, {
        type: 'added',
        payload: { items: [{ ingredientId, kg: 0.2, tempC: 15 }], purpose: { for: 'thickness' } },
      });
      const grams = (...each: BatchEvent[]) => at(71 + 60 * hours, hot, ...each).pot.mixture.flourEquivalentG;
      const strength = THICKENERS[ingredientId === 'potato-starch' ? 'potatoStarch' : 'flour'].strength;
      return (grams(put, ...more) - grams(...more)) / (200 * strength);
    };
    // by hand: swollen after 1 and 10 min, then so much an hour
    expect(left('potato-starch', 1)).toBeCloseTo(Math.exp((-0.3 * 59) / 60), 2);
    expect(left('flour', 1)).toBeCloseTo(Math.exp((-0.03 * 50) / 60), 2);
    const vinegar = said(60, {
      type: 'added',
      payload: { items: [{ ingredientId: 'wine-vinegar', kg: 2, tempC: 15 }] },
    });
    expect(left('potato-starch', 1, vinegar)).toBeCloseTo(Math.exp((-0.9 * 59) / 60), 2);
    const half = said(72, { type: 'pureed', payload: { share: 0.5 } });
    expect(left('potato-starch', 0.05, half)).toBeLessThan(0.9);
  });
  it('thinned, it has less of its own taste unless it is thinned with its own', () => {
    const thin = adjustments(snapshot, state, 0.5).ways;
    const by = (id: string) => thin.find((way) => way.id === `loosen-${id}`)!;
    expect(by('water').after.ownTaste).toBeLessThan(0.9);
    expect(by(thin[0]!.items[0]!.ingredientId).after.ownTaste).toBe(1);
    for (const way of thin) expect(Math.abs(way.after.band - 0.5), way.id).toBeLessThan(0.25);
  });
});

describe('thickness measured', () => {
  const test = (minute: number, value: number, tempC = 85) =>
    said(minute, { type: 'tested', payload: { test: 'lineSpread', value, tempC } });
  it('moves the pot as far as both are sure, and two tests more than one', () => {
    const before = adjustments(snapshot, at(70));
    const once = adjustments(snapshot, at(70, test(70, 11.5)));
    const twice = adjustments(snapshot, at(70, test(69, 11.5), test(70, 11.5)));
    expect(once.band).toBeLessThan(before.band);
    expect(twice.band).toBeLessThan(once.band);
    expect(twice.bandSd).toBeLessThan(once.bandSd);
    expect(once.bandSd).toBeLessThan(before.bandSd);
  });
  it('a test that cannot be is kept and changes nothing, unless the cook stands by it', () => {
    const before = at(70);
    const wild = at(70, test(70, 24));
    expect(wild.tests[0]!.status).toBe('set aside');
    expect(bodyOfPot(wild.pot)).toBeCloseTo(bodyOfPot(before.pot), 9);
    const sure = said(70, {
      type: 'tested',
      payload: { test: 'lineSpread', value: 20, tempC: 85, sure: true },
    });
    expect(adjustments(snapshot, at(70, sure)).band).toBeLessThan(1);
  });
  it('is half a band thicker at the table than at the boil, and more tomorrow', () => {
    const figures = adjustments(snapshot, at(70));
    expect(figures.bandAtTable - figures.band).toBeCloseTo(25 / 60, 6);
    expect(figures.bandTomorrow).toBeGreaterThan(figures.bandAtTable);
  });
  it('a dose does what the table says, whatever the rest was found to do', () => {
    const measured = test(60, 12);
    const dose = said(61, {
      type: 'added',
      payload: { items: [{ ingredientId: 'cornstarch', kg: 0.1, tempC: 15 }], purpose: { for: 'thickness' } },
    });
    const [before, after] = [at(62, measured), at(62, measured, dose)].map(({ pot }) => bodyOfPot(pot));
    // a gram of cornstarch stands for two of flour
    expect(after! - before!).toBeCloseTo(200, 0);
  });
  it('goes with what is stored: a lot is as thick as its pot was found to be', () => {
    const store = said(71, {
      type: 'stored',
      payload: { lotId: 'lot', litres: 3, place: 'walk-in', storage: 'chilled' },
    });
    const perKg = (...more: BatchEvent[]) => {
      const [lot] = at(72, ...more, store).stored;
      return lot!.mixture.flourEquivalentG / lot!.kg;
    };
    const thin = test(70, 11.5);
    const { pot } = at(71, thin);
    expect(perKg(thin) / perKg()).toBeCloseTo(pot.body!.factor, 6);
  });
  it('what it shows of its own is kept apart from what was put in to mend it', () => {
    const measured = test(60, 11);
    const shown = at(62, measured).bodyShown!;
    expect(shown.mean).toBeLessThan(0);
    const dose = said(63, {
      type: 'added',
      payload: { items: [{ ingredientId: 'cornstarch', kg: 0.2, tempC: 15 }], purpose: { for: 'thickness' } },
    });
    const mended = at(75, measured, dose, test(74, 9));
    expect(mended.bodyShown).toEqual(shown);
  });
});

describe('with its tests fed back', () => {
  it('500 batches of hidden factors, tested with a hidden error and mended in two rounds: 90 in 100 within 0.3 of a band (seed 1811)', () => {
    const draw = chanceOf(1811);
    // of twelve numbers between nought and one the sum is as good as normal: Irwin and Hall 1927
    const normal = (sd: number) =>
      sd * (Array.from({ length: 12 }, draw.uniform).reduce((sum, one) => sum + one, 0) - 6);
    const MARK = 4;
    const way = (events: BatchEvent[], minute: number) =>
      adjustments(snapshot, at(minute, hot, ...events), MARK).ways.find(
        (one) => one.id === 'slurry-cornstarch' || one.id.startsWith('loosen-'),
      );
    let near = 0;
    for (let batch = 0; batch < BATCHES; batch++) {
      const factor = Math.exp(normal(Math.log(1.25)));
      const strength = Math.exp(normal(0.12));
      const events: BatchEvent[] = [];
      let doseG = 0;
      const truth = (minute: number) => {
        const state = at(minute, hot, ...events);
        const all = state.pot.mixture.flourEquivalentG;
        const body = { factor: (factor * (all - doseG) + strength * doseG) / all, sd: 0.01 };
        return { ...state, pot: { ...state.pot, body } };
      };
      const bandOf = (minute: number) => {
        const { pot } = truth(minute);
        return thicknessBand({ flourEquivalentGPerL: flourPerLitre(pot) });
      };
      let minute = 66;
      // two rounds as the page has them: two thirds, let it cook out, test again, the rest
      for (const part of [2 / 3, 1, 2 / 3, 1]) {
        // a plate twice, each reading off by what such a test is off
        for (let test = 0; test < 2; test++) {
          const seen = Math.min(5.9, Math.max(0.3, bandOf(minute) + normal(TEST_DOUBT_BANDS.lineSpread)));
          const payload = { test: 'lineSpread' as const, value: spreadOf(seen), tempC: 90 };
          events.push(said(minute, { type: 'tested', payload }));
        }
        const mend = way(events, minute);
        if (mend) {
          const purpose = { for: 'thickness' as const };
          const items = mend.items.map((item) => ({ ...item, kg: item.kg * part }));
          events.push(said(minute + 1, { type: 'added', payload: { items, purpose } }));
          if (mend.id.startsWith('slurry')) doseG += items[0]!.kg * 2000;
        }
        minute += 6;
      }
      const end = potAtEnd(snapshot, truth(minute), loadStillToAdd(snapshot, truth(minute), ['toSalt']));
      const band = thicknessBand({ flourEquivalentGPerL: flourPerLitre(end) });
      if (Math.abs(band - MARK) < 0.3) near++;
    }
    expect(near / BATCHES).toBeGreaterThanOrEqual(0.9);
  });
  it('a pot whose thickening is off by a hidden factor comes within 0.4 of a band after two rounds', () => {
    // the truth: this house’s roots and flour do so many times what the table says
    for (const factor of [0.7, 0.85, 1.2, 1.4]) {
      const events: BatchEvent[] = [];
      let doseG = 0;
      // the pot as it really is: the same state, its thickening by the truth
      const truth = (minute: number) => {
        const state = at(minute, ...events);
        const all = state.pot.mixture.flourEquivalentG;
        const body = { factor: (factor * (all - doseG) + doseG) / all, sd: 0.01 };
        return adjustments(snapshot, { ...state, pot: { ...state.pot, body } }, 4);
      };
      let minute = 66;
      for (let round = 0; round < 2; round++) {
        const spoon = spreadOf(truth(minute).band);
        events.push(
          said(minute, { type: 'tested', payload: { test: 'lineSpread', value: spoon, tempC: 90 } }),
        );
        const { ways } = adjustments(snapshot, at(minute, ...events), 4);
        const way = ways.find((one) => one.id === 'slurry-cornstarch');
        if (way) {
          events.push(
            said(minute + 1, { type: 'added', payload: { items: way.items, purpose: { for: 'thickness' } } }),
          );
          doseG += way.items[0]!.kg * 2000;
        }
        minute += 5;
      }
      const { bandAtEnd } = truth(minute);
      if (doseG > 0) expect(Math.abs(bandAtEnd - 4), `${factor}: ${bandAtEnd}`).toBeLessThan(0.4);
    }
  });
});

/** The radius that 50 mL of such a band would spread to, by halving over what the test makes of it. */
function spreadOf(band: number): number {
  let [low, high] = [5, 24];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (measuredBody({ test: 'lineSpread', value: middle, tempC: 90 }).band > band) low = middle;
    else high = middle;
  }
  return Math.round(low * 10) / 10;
}
