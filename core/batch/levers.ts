import type { Lid } from '../evaporation';
import { brixOf, massKg } from '../matter';
import { type PlannedBurner, type Pot, setupOf, strongestBurner } from '../plan';
import {
  arrivingAt,
  changeBurner,
  coverPot,
  drawFromPot,
  type ForecastInterval,
  forecastPot,
  fullKW,
  liquidLitres,
  type PotSetup,
  type PotState,
  type PotTarget,
  potLitres,
  scorchMargin,
  setHeat,
} from '../pot';
import type { Stage } from '../recipe';
import { thicknessBand } from '../thickness';
import { depthAtLitres, litresAtDepth, panBottomM2, workingFillLitres } from '../vessel';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { stageClock } from './stage-clock';

/** One thing the cook could do about the time, and what it would lead to. Nothing is done yet. */
export interface Lever {
  id: string;
  kind: 'asItIs' | 'lid' | 'heat' | 'pot' | 'split';
  lid: Lid;
  fraction: number;
  inPot: Pot;
  onBurner: PlannedBurner;
  /** a second pot and burner, where it is split in two halves */
  second: { pot: Pot; burner: PlannedBurner } | null;
  when: ForecastInterval;
  /** minutes sooner than as it is, by the middles; below 0 later; null where either never comes */
  gainsMin: number | null;
  /** heat its floor bears over heat it gets */
  margin: number;
}

/** Minutes to pour a pot over into another. Common practice. */
const POURING_MIN = 3;

/** Heats that are tried, shares of full. */
const HEATS = [0.25, 0.5, 0.75, 1] as const;

/** A floor under this margin catches: such a lever is not among what saves the time. */
export const CATCHES_UNDER = 1;

/** What is free to be moved to. */
export interface FreeRange {
  pots: readonly Pot[];
  burners: readonly (PlannedBurner & { potIds: readonly string[] })[];
}

/**
 * The levers on a pot that has somewhere to get to: lid, heat, a wider pot that is free, two pots; each forecast with
 * the same model as the pot itself.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch now
 * @param free pots and burners that nothing stands on
 * @returns as it is first, then each lever; empty where the running stage waits for no mass or temperature
 * @source docs/model.md § 5; margins `scorchMargin`
 */
export function levers(snapshot: BatchSnapshot, state: BatchState, free: FreeRange): Lever[] {
  const clock = stageClock(snapshot, state);
  const target = clock?.target;
  if (!clock || !target || target.kind === 'softened') return [];
  const { pot, setup, inPot, onBurner } = state;
  const here: Pick<Lever, 'lid' | 'fraction' | 'inPot' | 'onBurner' | 'second'> = {
    lid: pot.lid,
    fraction: pot.heatFraction,
    inPot,
    onBurner,
    second: null,
  };
  const stirEveryMin = stirEveryMinOf(clock.stage);
  const lever = (
    id: string,
    kind: Lever['kind'],
    change: Partial<typeof here>,
    run: { setup: PotSetup; pot: PotState; target: PotTarget; afterMin: number },
  ): Omit<Lever, 'gainsMin'> => ({
    id,
    kind,
    ...here,
    ...change,
    when: later(forecastPot(run.setup, run.pot, run.target), run.afterMin),
    margin: marginOf(run.setup, run.pot, stirEveryMin),
  });
  const asItIs = lever('as-it-is', 'asItIs', {}, { setup, pot, target, afterMin: 0 });
  const found = [
    ...(['off', 'ajar', 'on'] as const)
      .filter((lid) => lid !== pot.lid)
      .map((lid) =>
        lever(`lid-${lid}`, 'lid', { lid }, { setup, pot: coverPot(pot, lid), target, afterMin: 0 }),
      ),
    ...HEATS.filter((fraction) => Math.abs(fraction - pot.heatFraction) > 0.04).map((fraction) =>
      lever(
        `heat-${fraction}`,
        'heat',
        { fraction },
        { setup, pot: setHeat(pot, fraction), target, afterMin: 0 },
      ),
    ),
    ...otherPots(snapshot, state, free).map(({ pot: other, burner }) => {
      const there = setupOf({ kitchen: snapshot.input.kitchen, pot: other, burner });
      const moved = setHeat(
        changeBurner(pot, burner.id === onBurner.id ? null : burner.heatFactor),
        Math.max(pot.heatFraction, 0.5),
      );
      return lever(
        `pot-${other.id}-${burner.id}`,
        'pot',
        { inPot: other, onBurner: burner, fraction: moved.heatFraction },
        { setup: there, pot: moved, target, afterMin: POURING_MIN },
      );
    }),
    ...halves(snapshot, state, free).map((second) => {
      const half = drawFromPot(pot, massKg(pot.mixture) / 2).pot;
      const halfTarget = target.kind === 'mass' ? { ...target, kg: target.kg / 2 } : target;
      const stays = lever(
        `split-${second.pot.id}-${second.burner.id}`,
        'split',
        { second },
        { setup, pot: half, target: halfTarget, afterMin: POURING_MIN },
      );
      const there = setupOf({ kitchen: snapshot.input.kitchen, ...second });
      const poured = setHeat(changeBurner(half, second.burner.heatFactor), pot.heatFraction);
      return {
        ...stays,
        when: slower(stays.when, later(forecastPot(there, poured, halfTarget), POURING_MIN)),
      };
    }),
  ];
  const fromMs = asItIs.when.p50Ms;
  return [asItIs, ...found].map((one) => ({
    ...one,
    gainsMin: fromMs === null || one.when.p50Ms === null ? null : (fromMs - one.when.p50Ms) / 60_000,
  }));
}

/** Minutes of the stages that follow the running one, as planned. */
export function minutesAfter(snapshot: BatchSnapshot, stageId: string): number {
  const at = snapshot.plan.stages.findIndex((one) => one.stageId === stageId);
  return at < 0 ? 0 : snapshot.plan.stages.slice(at + 1).reduce((sum, one) => sum + one.minutes, 0);
}

/** Those of the levers that would be there by a moment with an even chance or better, the gentlest heat first. */
export function saves(all: readonly Lever[], byMs: number): Lever[] {
  return all
    .filter((one) => one.kind !== 'asItIs' && one.when.p50Ms !== null && one.when.p50Ms <= byMs)
    .filter((one) => one.margin >= CATCHES_UNDER)
    .sort((a, b) => b.margin - a.margin);
}

/** How often the bottom is stirred in a stage, min; a first guess where nobody is told to look in. Common practice. */
export const stirEveryMinOf = ({ attention }: Stage): number =>
  attention.kind === 'lookIn' ? attention.everyMin : 5;

/** The floor's margin of a pot as it is heated now. */
export function marginOf(setup: PotSetup, pot: PotState, stirEveryMin: number): number {
  const litres = potLitres(pot);
  const brim = litresAtDepth(setup.vessel, setup.vessel.heightCm);
  const liquid = liquidLitres(pot);
  const flourEquivalentGPerL = liquid > 0 ? Math.max(0, pot.mixture.flourEquivalentG / liquid) : 0;
  return scorchMargin({
    heatW: fullKW(setup) * 1000 * pot.heatFraction * arrivingAt(pot),
    bottomM2: panBottomM2(setup.vessel),
    band: thicknessBand({ flourEquivalentGPerL }),
    solidsPercent: brixOf(pot.mixture.liquid),
    depthCm: depthAtLitres(setup.vessel, Math.min(Math.max(litres, 0), brim)),
    stirEveryMin,
  });
}

/** Free pots that are wider here than this one and hold it, each on the burner best known that takes it. */
function otherPots(snapshot: BatchSnapshot, state: BatchState, free: FreeRange) {
  const litres = potLitres(state.pot);
  const foams = snapshot.plan.foams;
  const widthM2 = panBottomM2(state.inPot.vessel);
  return free.pots
    .filter((pot) => pot.id !== state.inPot.id && panBottomM2(pot.vessel) > widthM2 * 1.05)
    .filter((pot) => workingFillLitres(pot.vessel, foams) >= litres)
    .flatMap((pot) => {
      const own = [...free.burners, { ...state.onBurner, potIds: [pot.id] }];
      const burner = strongestBurner(own, pot.id);
      return burner ? [{ pot, burner }] : [];
    });
}

/** A second pot for half of it. */
function halves(_snapshot: BatchSnapshot, state: BatchState, free: FreeRange) {
  const litres = potLitres(state.pot) / 2;
  const pot = free.pots.find(
    (one) => one.id !== state.inPot.id && workingFillLitres(one.vessel, true) >= litres,
  );
  const burner = pot && strongestBurner(free.burners, pot.id);
  return pot && burner ? [{ pot, burner }] : [];
}

/** Both have to be there. */
function slower(a: ForecastInterval, b: ForecastInterval): ForecastInterval {
  const last = (x: number | null, y: number | null) => (x === null || y === null ? null : Math.max(x, y));
  return { p10Ms: last(a.p10Ms, b.p10Ms), p50Ms: last(a.p50Ms, b.p50Ms), p90Ms: last(a.p90Ms, b.p90Ms) };
}

function later(when: ForecastInterval, minutes: number): ForecastInterval {
  const add = (ms: number | null) => (ms === null ? null : ms + minutes * 60_000);
  return { p10Ms: add(when.p10Ms), p50Ms: add(when.p50Ms), p90Ms: add(when.p90Ms) };
}
