import type { Lid } from '../evaporation';
import type { ForecastInterval } from '../forecast';
import { massKg } from '../matter';
import { type PlannedBurner, type Pot, setupOf, stirEveryMin, strongestBurner } from '../plan';
import {
  arrivingAt,
  CATCHES_UNDER,
  changeBurner,
  changeVessel,
  coverPot,
  drawFromPot,
  floorMargin,
  forecastPot,
  fractionToHold,
  type PotSetup,
  type PotState,
  type PotTarget,
  potLitres,
  potWays,
  setHeat,
} from '../pot';
import { SIMMER_UNDER_BOIL_C, type Stage } from '../recipe';
import { panBottomM2, workingFillLitres } from '../vessel';
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
  /** of a lid: what it is for, where it hardly changes when */
  covered: Covered | null;
  /** heat its floor bears over heat it gets; null while it is fried in */
  margin: number | null;
}

/**
 * What another lid is for. At a full boil it hardly changes when: all the heat that is left over leaves as steam, lid on
 * or off. Turned down to the simmer it keeps the heat in.
 */
export interface Covered {
  isBoiling: boolean;
  /** share of the burner that holds the stage's simmer under the lid it has, and under this one */
  holdsNow: number;
  holds: number;
  /** of the burner's power as rated, kW; below 0 it costs so much */
  savesKW: number;
}

/** Minutes to pour a pot over into another. Common practice. */
const POURING_MIN = 3;

/** Heats that are tried, shares of full. */
const HEATS = [0.25, 0.5, 0.75, 1] as const;

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
 * @source docs/model.md § 5; margins `floorMargin`
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
  const lever = (
    id: string,
    kind: Lever['kind'],
    change: Partial<typeof here>,
    run: { setup: PotSetup; pot: PotState; target: PotTarget; afterMin: number },
  ): Omit<Lever, 'gainsMin' | 'covered'> => ({
    id,
    kind,
    ...here,
    ...change,
    when: later(forecastPot(run.setup, run.pot, run.target), run.afterMin),
    margin: floorMargin(run.setup, run.pot, stirEveryMin(clock.stage, run.pot)),
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
        changeBurner(changeVessel(pot), burner.id === onBurner.id ? null : burner.heatFactor),
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
      const poured = setHeat(changeBurner(changeVessel(half), second.burner.heatFactor), pot.heatFraction);
      return {
        ...stays,
        when: slower(stays.when, later(forecastPot(there, poured, halfTarget), POURING_MIN)),
      };
    }),
  ];
  const fromMs = asItIs.when.p50Ms;
  return [asItIs, ...found].map((one) => ({
    ...one,
    covered: one.kind === 'lid' ? coveredBy(clock.stage, state, one.lid) : null,
    gainsMin: fromMs === null || one.when.p50Ms === null ? null : (fromMs - one.when.p50Ms) / 60_000,
  }));
}

const marginTold = ({ margin }: Lever): number => margin ?? Number.POSITIVE_INFINITY;

function coveredBy(stage: Stage, { setup, pot }: BatchState, lid: Lid): Covered {
  const { boilingC } = setup.air;
  const simmer = stage.heat.kind === 'hold' ? stage.heat.simmer : 'steady';
  const holding = (under: Lid) =>
    fractionToHold(
      setup,
      potWays(setup, pot, under),
      boilingC - SIMMER_UNDER_BOIL_C[simmer],
      arrivingAt(pot),
    );
  const [holdsNow, holds] = [holding(pot.lid), holding(lid)];
  return {
    isBoiling: pot.tempC >= boilingC - BOILING_WITHIN_K,
    holdsNow,
    holds,
    savesKW: ((holdsNow - holds) * setup.burner.powerW) / 1000,
  };
}

/** An open pot at full heat stands so near under its boil, K: it rolls. From the surface law. */
const BOILING_WITHIN_K = 1;

/** Minutes of the stages that follow the running one, as planned. */
export function minutesAfter(snapshot: BatchSnapshot, stageId: string): number {
  const at = snapshot.plan.stages.findIndex((one) => one.stageId === stageId);
  return at < 0 ? 0 : snapshot.plan.stages.slice(at + 1).reduce((sum, one) => sum + one.minutes, 0);
}

/** Those of the levers that would be there by a moment with an even chance or better, the gentlest heat first. */
export function saves(all: readonly Lever[], byMs: number): Lever[] {
  return all
    .filter((one) => one.kind !== 'asItIs' && one.when.p50Ms !== null && one.when.p50Ms <= byMs)
    .filter((one) => marginTold(one) >= CATCHES_UNDER)
    .sort((a, b) => marginTold(b) - marginTold(a));
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
