import { type BatchSnapshot, type BatchState, type Judged, judgedWhen, yetToSwellG } from '../batch';
import { within } from '../check';
import { massKg, saltPercent } from '../matter';
import { bodySd, flourPerLitre, foodLitres, liquidLitres } from '../pot';
import { dilutionKg, saltToAddG } from '../salt';
import { bandAt, flourEquivalentOfBand, HOT_C, thicknessBand } from '../thickness';
import { waysToLoosen } from './loosen';
import { type AdjustWay, waysToThicken } from './thicken';
import { hasLiquid, type ToMend, toMend } from './to-mend';

export interface Adjustments {
  /** of food in the pot, L */
  litres: number;
  saltPercentLiquid: number;
  saltPercentAll: number;
  /** salt once the lines still to come are in and the running stage has reached its mark */
  saltPercentAtEnd: number;
  saltToAddG: number;
  /** unsalted liquid that would bring the end back to the salt wanted, kg */
  toDiluteKg: number;
  /** as it is now, hot: by its readings, and with what has not swollen yet left out */
  band: number;
  /** one standard deviation of `band` */
  bandSd: number;
  /** the same in the bowl, and cold tomorrow */
  bandAtTable: number;
  bandTomorrow: number;
  /** when what was put in can be judged; null where nothing waits */
  judged: Judged | null;
  /** once the lines still to come are in */
  bandAtEnd: number;
  targetBand: number;
  flourEquivalentGPerL: number;
  ways: AdjustWay[];
}

const NO_FIGURES: Omit<Adjustments, 'targetBand'> = {
  litres: 0,
  saltPercentLiquid: 0,
  saltPercentAll: 0,
  saltPercentAtEnd: 0,
  saltToAddG: 0,
  toDiluteKg: 0,
  band: 0,
  bandSd: 0,
  bandAtTable: 0,
  bandTomorrow: 0,
  judged: null,
  bandAtEnd: 0,
  flourEquivalentGPerL: 0,
  ways: [],
};

/**
 * Salt and thickness now and at the end, and the ways to the target side by side, each with what it leads to. The ways
 * are computed on the pot as it will be with everything still to come in it: what milk will thin is not
 * thinned beforehand.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch at a moment
 * @param wantedBand 0..6, default the plan's
 * @param mend the pot as `toMend` makes it, where it has been made
 * @returns figures of the pot now, the salt it will come to, and the ways; no ways while the pot is empty
 * @source docs/model.md § 6 and § 7
 */
export function adjustments(
  snapshot: BatchSnapshot,
  state: BatchState,
  wantedBand?: number,
  mend = toMend(snapshot, state),
): Adjustments {
  const { input } = snapshot;
  const { pot } = state;
  const targetBand = within('wantedBand', wantedBand ?? input.band, 0, 6);
  if (!mend) return { ...NO_FIGURES, targetBand };
  const { end } = mend;
  const swellsG = yetToSwellG(state);
  const now = Math.max(0, flourPerLitre(pot) - swellsG / liquidLitres(pot));
  const band = thicknessBand({ flourEquivalentGPerL: now });
  return {
    litres: foodLitres(pot),
    saltPercentLiquid: saltPercent(pot.mixture, 'liquid'),
    saltPercentAll: saltPercent(pot.mixture, 'all'),
    saltPercentAtEnd: saltPercent(end.mixture, 'all'),
    saltToAddG: saltToAddG({
      massKg: massKg(end.mixture),
      nowPercent: saltPercent(end.mixture, 'all'),
      targetPercent: input.saltPercent,
    }),
    toDiluteKg: dilutionKg({
      massKg: massKg(end.mixture),
      nowPercent: saltPercent(end.mixture, 'all'),
      targetPercent: Math.max(LEAST_SALT_PERCENT, input.saltPercent),
    }),
    band,
    bandSd: Math.abs(thicknessBand({ flourEquivalentGPerL: now * Math.exp(bodySd(pot)) }) - band),
    bandAtTable: bandAt(band, HOT_C, AT_TABLE_C),
    bandTomorrow: bandAt(band, HOT_C, COLD_C),
    judged: judgedWhen(state),
    bandAtEnd: thicknessBand({ flourEquivalentGPerL: flourPerLitre(end) }),
    targetBand,
    flourEquivalentGPerL: now,
    ways: ways(mend, targetBand),
  };
}

/** Under this nothing is diluted to: it would take the sea. */
const LEAST_SALT_PERCENT = 0.01;

/** In the bowl, and cold the day after, °C. Common practice. */
const AT_TABLE_C = 65;
const COLD_C = 5;

/** Half of what a spoon can tell: what is calculated so near is left alone. Ours. */
const CLOSE_ENOUGH = 0.12;

function ways(of: ToMend, band: number): AdjustWay[] {
  const wanted = Math.max(LEAST_BODY_G_PER_L, flourEquivalentOfBand({ band }));
  const now = flourPerLitre(of.end);
  if (!hasLiquid(of.end)) return [];
  if (Math.abs(thicknessBand({ flourEquivalentGPerL: now }) - band) < CLOSE_ENOUGH) return [];
  const found = now < wanted ? waysToThicken(of, wanted) : waysToLoosen(of, wanted);
  return found.sort((a, b) => a.warns.length - b.warns.length || rank(a) - rank(b));
}

/** Thin as water still holds this much, g of flour or the like to a litre: nothing is thinned for ever. */
const LEAST_BODY_G_PER_L = 4;

/** What the house reaches for first: what brings nothing new, then what is soonest judged. */
function rank({ isAddition, after }: AdjustWay): number {
  return (isAddition ? 1000 : 0) + after.minutes;
}
