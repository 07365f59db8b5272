import { massKg, saltPercent, waterDensityKgPerL } from '../matter';
import { driftPot, flourPerLitre, foodLitres, type PotSetup, type PotState } from '../pot';
import { thicknessBand } from '../thickness';

/** What a pot held hot comes to by some moment if nobody ladles and nobody tops it up. */
export interface HoldDrift {
  untilMs: number;
  /** water that steams off by then, kg */
  steamedKg: number;
  litres: { now: number; after: number };
  saltPercent: { now: number; after: number };
  band: { now: number; after: number };
  tempC: { now: number; after: number };
  /** the water that keeps it as it is: L at a time, boiling, each so many minutes; null where a spoonful would do */
  topUp: { litres: number; everyMin: number } | null;
}

/** Less than this at a time is not worth a kettle, L. */
const WORTH_A_KETTLE_L = 0.05;

/** Topped up with what stands on the boil, °C. */
const TOP_UP_C = 95;

/**
 * Runs a held pot on: water leaves, and salt and thickness rise by it. Only water leaves, so that water mends both.
 *
 * @param setup vessel, air, insulation
 * @param pot as it is held now; with nothing in it there is nothing to forecast
 * @param untilMs the end of service, ms; no earlier than the pot
 * @param everyMin how often it is topped up, min, above 0
 * @source docs/model.md § 10; salt and thickness by the mass balance
 */
export function holdDrift(
  setup: PotSetup,
  pot: PotState,
  untilMs: number,
  everyMin: number,
): HoldDrift | null {
  if (massKg(pot.mixture) <= 0) return null;
  const end = driftPot(setup, pot, Math.max(pot.atMs, untilMs));
  const soon = driftPot(setup, pot, pot.atMs + everyMin * 60_000);
  const litres = (massKg(pot.mixture) - massKg(soon.mixture)) / waterDensityKgPerL({ tempC: TOP_UP_C });
  return {
    untilMs,
    steamedKg: massKg(pot.mixture) - massKg(end.mixture),
    litres: { now: foodLitres(pot), after: foodLitres(end) },
    saltPercent: { now: saltPercent(pot.mixture, 'all'), after: saltPercent(end.mixture, 'all') },
    band: { now: bandOf(pot), after: bandOf(end) },
    tempC: { now: pot.tempC, after: end.tempC },
    topUp: litres >= WORTH_A_KETTLE_L ? { litres, everyMin } : null,
  };
}

const bandOf = (pot: PotState): number =>
  thicknessBand({ flourEquivalentGPerL: Math.max(0, flourPerLitre(pot)) });
