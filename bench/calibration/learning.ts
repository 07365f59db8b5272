import {
  type BurnerSums,
  betweenSdOf,
  evidenceOf,
  heatFactorOf,
  NO_STRETCHES,
  type RateSums,
  rateOf,
  type ShareKey,
  shareOf,
  UNKNOWN_BURNER,
  withBatch,
  withStretch,
} from '../../core/batch';
import { NO_MASSES } from '../../core/matter';
import {
  addToPot,
  advancePot,
  arrivingAt,
  covarianceOf,
  coverPot,
  kitchenAir,
  openPot,
  type PotReading,
  type PotSetup,
  type PotState,
  potLitres,
  quantilesMs,
  readPot,
  setHeat,
  variance,
} from '../../core/pot';
import { actsOf, changed, KIND, LONGEST_MIN, targetOf } from './calibrate';
import { type Batch, brew, type Instrument, type Lid } from './truth';

const MINUTE = 60_000;
/** Stretches shorter than this teach nothing, min: as in core. */
const WORTH_KEEPING_MIN = 4;

/** What a kitchen knows of its one pot on its one burner. */
interface KnownKitchen {
  burner: BurnerSums;
  /** by setting and lid */
  rates: Map<string, RateSums>;
  /** by lid */
  surfaces: Map<Lid, RateSums>;
}

interface Stretch {
  fraction: number;
  lid: Lid;
  fromMin: number;
  heat: { mean: number; sd: number };
  leaving: { mean: number; sd: number };
}

/**
 * The error of the first guess, before anything is read, of the first batch of a kitchen and of those after it: one pot
 * on one burner, each batch of its own size, heat and mark, read five times, learned from as core learns.
 *
 * @returns |median forecast − truth| / truth by batch; null where a batch never met its mark
 */
export function firstGuesses(house: number, batches: number, instrument: Instrument): (number | null)[] {
  const known: KnownKitchen = { burner: UNKNOWN_BURNER, rates: new Map(), surfaces: new Map() };
  return Array.from({ length: batches }, (_, i) =>
    cookAndLearn(brew(house * 1000 + i, instrument, { typingErrors: 0, house }), instrument, known),
  );
}

function cookAndLearn(truth: Batch, instrument: Instrument, known: KnownKitchen): number | null {
  if (truth.endMin === null) return null;
  const { listed } = truth;
  const setup: PotSetup = {
    vessel: listed.vessel,
    emptyMassKg: 0,
    burner: { powerW: listed.powerW, efficiency: listed.efficiency },
    air: kitchenAir({ altitudeM: listed.altitudeM, airTempC: 24 }),
  };
  const knewBurner = heatFactorOf(known.burner);
  let pot = potAtStart(listed, known, knewBurner);
  const fromLitres = potLitres(pot);
  const target = targetOf(setup, pot, instrument, truth.mark, fromLitres);
  const guessed = quantilesMs(setup, pot, target, [0], LONGEST_MIN)[0];
  const guess = guessed == null ? LONGEST_MIN : guessed / MINUTE;
  let stretch = begun(pot, listed.heatFraction, 0);
  const done: { pot: PotState; stretch: Stretch; minutes: number }[] = [];
  for (const act of actsOf(truth, truth.hasProbe)) {
    pot = advancePot(setup, pot, act.minute * MINUTE);
    if (act.what === 'change') {
      done.push({ pot, stretch, minutes: act.minute - stretch.fromMin });
      const { change } = truth;
      pot =
        change!.kind === 'lid'
          ? coverPot(pot, change!.lid, surfaceKnown(known, change!.lid))
          : changed(pot, change!);
      stretch = begun(pot, listed.heatFraction, act.minute);
      continue;
    }
    const reading: PotReading =
      act.what === 'probe'
        ? { kind: 'temperature', value: truth.probe(act.minute), from: 'device' }
        : {
            kind: KIND[instrument],
            value: truth.read(act.minute).meant,
            ...(act.look === 0 ? { still: true } : {}),
          };
    if (instrument === 'eye' && act.what === 'look' && act.look === 0) continue;
    pot = readPot(setup, pot, reading, true, fromLitres).pot;
  }
  done.push({ pot, stretch, minutes: pot.atMs / MINUTE - stretch.fromMin });
  learn(known, knewBurner, pot, done);
  return Math.abs(guess - truth.endAsOf(0)) / truth.endAsOf(0);
}

function potAtStart(
  listed: Batch['listed'],
  known: KnownKitchen,
  heatFactor: { mean: number; sd: number },
): PotState {
  const solids = listed.solidsShare * listed.startKg;
  const empty = openPot({ atMs: 0, tempC: listed.startC, heatFactor, surface: surfaceKnown(known, 'off') });
  const filled = addToPot(empty, {
    masses: { ...NO_MASSES, water: listed.startKg - solids, sugars: solids },
    share: 'liquid',
    tempC: listed.startC,
  });
  const rate = known.rates.get(rateName(listed.heatFraction, listed.lid));
  const setting = rate
    ? rateOf({ potId: '', burnerId: '', fraction: listed.heatFraction, lid: listed.lid }, rate).arriving
    : undefined;
  const covered = coverPot(filled, listed.lid, surfaceKnown(known, listed.lid));
  return setHeat(covered, listed.heatFraction, setting);
}

const rateName = (fraction: number, lid: Lid) => `${fraction} ${lid}`;

const surfaceKey = (lid: Lid): ShareKey => ({ surfaceOf: 'pot', lid });

function surfaceKnown({ surfaces }: KnownKitchen, lid: Lid) {
  const sums = surfaces.get(lid);
  return sums ? shareOf(surfaceKey(lid), sums).share : undefined;
}

function begun(pot: PotState, fraction: number, fromMin: number): Stretch {
  return { fraction, lid: pot.lid as Lid, fromMin, heat: heatIn(pot), leaving: leavingIn(pot) };
}

function heatIn(pot: PotState) {
  const heat = { burner: 1, wander: 1, setting: 1 };
  return { mean: arrivingAt(pot), sd: Math.sqrt(covarianceOf(pot.covariance, heat, heat)) };
}

function leavingIn(pot: PotState) {
  const open = { surface: 1, lid: 1 };
  return { mean: pot.surface + pot.passes, sd: Math.sqrt(covarianceOf(pot.covariance, open, open)) };
}

function learn(
  known: KnownKitchen,
  knew: { mean: number; sd: number },
  end: PotState,
  done: readonly { pot: PotState; stretch: Stretch; minutes: number }[],
): void {
  const shown = evidenceOf({ mean: end.heatFactor, sd: Math.sqrt(variance(end.covariance, 'burner')) }, knew);
  if (shown) known.burner = withBatch(known.burner, shown);
  for (const { pot, stretch, minutes } of done) {
    if (minutes < WORTH_KEEPING_MIN) continue;
    const heat = evidenceOf(heatIn(pot), stretch.heat);
    const name = rateName(stretch.fraction, stretch.lid);
    if (heat) known.rates.set(name, withStretch(known.rates.get(name) ?? NO_STRETCHES, { ...heat, minutes }));
    const leaving = evidenceOf(leavingIn(pot), stretch.leaving);
    const before = known.surfaces.get(stretch.lid) ?? NO_STRETCHES;
    if (leaving)
      known.surfaces.set(
        stretch.lid,
        withStretch(before, { ...leaving, minutes }, betweenSdOf(surfaceKey(stretch.lid))),
      );
  }
}

/** Medians of the first guess’s error over so many kitchens, by batch; the instruments in turn. */
export function learningCurve(houses: number, batches: number): number[] {
  const instruments: readonly Instrument[] = ['scale', 'dip'];
  const runs = Array.from({ length: houses }, (_, i) =>
    firstGuesses(i + 1, batches, instruments[i % instruments.length]!),
  );
  return Array.from({ length: batches }, (_, n) => {
    const errors = runs.flatMap((run) => run[n] ?? []).sort((a, b) => a - b);
    return errors[Math.floor(errors.length / 2)]!;
  });
}
