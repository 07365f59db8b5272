import {
  type BatchEvent,
  type BatchEventBody,
  type BatchSnapshot,
  type BatchState,
  foldBatch,
} from '../batch';
import { positive } from '../check';
import { saltPercent, totalKg } from '../matter';
import { unlearned } from '../plan';
import { advancePot, bodyOfPot, EYE, liquidLitres, type PotState, potLitres, setHeat } from '../pot';
import { cookingStages, type Stage } from '../recipe';
import { thicknessBand } from '../thickness';

/** What a cook may call while a pot falls, by eye and spoon. */
export const REHEARSAL_CALLS = [
  'quarterGone',
  'thirdGone',
  'halfGone',
  'coatsTheSpoon',
  'atTheMark',
] as const;
export type RehearsalCall = (typeof REHEARSAL_CALLS)[number];

/** A pot that falls by a hidden truth, from the moment the rehearsal begins. */
export interface Rehearsal {
  snapshot: BatchSnapshot;
  stage: Stage;
  /** share of the start that the recipe lets steam off; none where it falls to no mark */
  markGone: number | null;
  begun: BatchState;
}

/** The pot as it really is at a minute of a rehearsal. */
export interface RehearsalTruth {
  pot: PotState;
  litres: number;
  /** share of where it began that has gone, 0..1 */
  gone: number;
  band: number;
  saltPercent: number;
}

/** Gains of hidden burners lie between these shares of what the plan thinks. From memory: as far apart as burners are. */
const HIDDEN_GAIN = { least: 0.7, most: 1.35 } as const;

/** A share gone that a word stands for. */
const GONE: Readonly<Partial<Record<RehearsalCall, number>>> = {
  quarterGone: 0.25,
  thirdGone: 1 / 3,
  halfGone: 0.5,
};
/** The band that coats the spoon. */
const COATS_BAND = 3;

/**
 * Sets a recipe up to be rehearsed: planned as ordered, cooked on paper up to the stage that falls (or the longest that
 * goes open), on a burner whose truth is hidden.
 *
 * @param snapshot a planned batch
 * @param chance 0..1, what decides the hidden burner; passed in
 * @returns the rehearsal, its pot at the boil of that stage
 * @throws RangeError for a recipe with nothing that steams away
 */
export function startRehearsal(snapshot: BatchSnapshot, chance: number): Rehearsal {
  const stages = cookingStages(snapshot.input.recipe);
  const planned = (id: string) => snapshot.plan.stages.find((one) => one.stageId === id);
  const stage =
    stages.find((one) => one.ends.rule === 'fall') ??
    [...stages].sort((a, b) => (planned(b.id)?.steamedKg ?? 0) - (planned(a.id)?.steamedKg ?? 0))[0];
  positive('what steams away', stage ? (planned(stage.id)?.steamedKg ?? 0) : 0);
  const { burner } = snapshot.input;
  const mean = burner.heatFactor.mean * (HIDDEN_GAIN.least + (HIDDEN_GAIN.most - HIDDEN_GAIN.least) * chance);
  const hidden: BatchSnapshot = { ...snapshot, input: unlearned(snapshot.input, mean) };
  const log = logUpTo(snapshot, stage!.id);
  const begun = foldBatch(hidden, log, log.at(-1)!.actedAtMs);
  const fraction = Math.max(0.5, planned(stage!.id)?.heatFraction ?? 0.5);
  return {
    snapshot: hidden,
    stage: stage!,
    markGone: stage!.ends.rule === 'fall' ? stage!.ends.fractionGone : null,
    begun: { ...begun, pot: { ...setHeat(begun.pot, fraction, { mean, sd: 1e-9 }), lid: 'off' } },
  };
}

/** The truth of a rehearsal so many minutes in. */
export function rehearsalAt(rehearsal: Rehearsal, minute: number): RehearsalTruth {
  const { pot: begun, setup } = rehearsal.begun;
  const pot = advancePot(setup, begun, begun.atMs + minute * 60_000);
  const litres = potLitres(pot);
  const liquid = liquidLitres(pot);
  return {
    pot,
    litres,
    gone: 1 - litres / potLitres(begun),
    band: liquid > 0 ? thicknessBand({ flourEquivalentGPerL: Math.max(0, bodyOfPot(pot) / liquid) }) : 0,
    saltPercent: saltPercent(pot.mixture, 'all'),
  };
}

/** The calls that make sense for a recipe: no spoon is coated by what has no body. */
export function callsFor(rehearsal: Rehearsal): RehearsalCall[] {
  const { pot } = rehearsal.begun;
  const hasBody = bodyOfPot(pot) / Math.max(0.001, totalKg(pot.mixture.liquid)) > 10;
  return REHEARSAL_CALLS.filter((call) => {
    if (call === 'coatsTheSpoon') return hasBody && rehearsalAt(rehearsal, 0).band < COATS_BAND;
    return call !== 'atTheMark' || rehearsal.markGone !== null;
  });
}

/** One call held against the truth of its moment. */
export interface ScoredCall {
  call: RehearsalCall;
  minute: number;
  /** what the word stands for, and what it really was: a share gone, or a band */
  called: number;
  really: number;
  /** off by, in points of a hundred of the start, or in tenths of a band; above 0 called too early */
  off: number;
}

/**
 * Scores what was called.
 *
 * @param calls with the minute each was called at
 * @returns each with the truth of that minute
 */
export function scoreCalls(
  rehearsal: Rehearsal,
  calls: readonly { call: RehearsalCall; minute: number }[],
): ScoredCall[] {
  return calls.map(({ call, minute }) => {
    const truth = rehearsalAt(rehearsal, minute);
    const isSpoon = call === 'coatsTheSpoon';
    const called = isSpoon ? COATS_BAND : call === 'atTheMark' ? (rehearsal.markGone ?? 0) : GONE[call]!;
    const really = isSpoon ? truth.band : truth.gone;
    return { call, minute, called, really, off: (called - really) * (isSpoon ? 10 : 100) };
  });
}

/** An eye over time: which way it leans, and how far it is off as a rule. */
export interface EyeScore {
  calls: number;
  /** mean of what it is off by; above 0 it calls too early */
  leans: number;
  /** mean of how far it is off, whichever way */
  off: number;
}

/** The eye from its scored calls; null for none. */
export function eyeScore(scored: readonly Pick<ScoredCall, 'off'>[]): EyeScore | null {
  if (scored.length === 0) return null;
  const mean = (of: (one: Pick<ScoredCall, 'off'>) => number) =>
    scored.reduce((sum, one) => sum + of(one), 0) / scored.length;
  return { calls: scored.length, leans: mean((one) => one.off), off: mean((one) => Math.abs(one.off)) };
}

/** However often it was tried, an eye is not the same every day: a share of what has gone. From memory. */
const DAY_SD = 0.08;

/**
 * What an eye takes too much for gone, as a share of it: the first guess, drawn in by what was called in rehearsals
 * against what was so. Calls of the spoon say nothing of it.
 *
 * @param calls shares gone as called and as they were
 * @returns mean and one standard deviation of the next reading's shared error; null where nothing was called
 * @source published: precision-weighted mean of normals
 */
export function eyePrior(
  calls: readonly Pick<ScoredCall, 'call' | 'called' | 'really'>[],
): { mean: number; sd: number } | null {
  const { sharedShare, noiseShare } = EYE;
  let weight = 1 / sharedShare ** 2;
  let sum = 0;
  let seen = 0;
  for (const { call, called, really } of calls) {
    if (call === 'coatsTheSpoon' || really < LEAST_GONE) continue;
    const precision = (really / noiseShare) ** 2;
    weight += precision;
    sum += precision * (called / really - 1);
    seen++;
  }
  return seen === 0 ? null : { mean: sum / weight, sd: Math.hypot(Math.sqrt(1 / weight), DAY_SD) };
}

/** Less than this gone is nothing to judge a share by. */
const LEAST_GONE = 0.05;

/** A log that cooks as planned up to the beginning of a stage. */
function logUpTo(snapshot: BatchSnapshot, stageId: string): BatchEvent[] {
  const log: BatchEvent[] = [];
  const say = (atMs: number, body: BatchEventBody) =>
    log.push({ ...body, id: `r${log.length}`, seq: log.length + 1, actedAtMs: atMs });
  for (const planned of snapshot.plan.stages) {
    const { startMs, stageId: id } = planned;
    const items = snapshot.plan.lines
      .filter((line) => line.stageId === id && !line.perBowl && line.edibleKg > 0)
      .map(({ ingredientId, edibleKg, tempC, lineId }) => ({ ingredientId, kg: edibleKg, tempC, lineId }));
    say(startMs, { type: 'stageBegun', payload: { stageId: id } });
    if (items.length > 0) say(startMs, { type: 'added', payload: { items } });
    say(startMs, { type: 'lidSet', payload: { lid: planned.lid } });
    const fraction = planned.heatFraction;
    say(startMs, { type: 'heatSet', payload: { fraction } });
    if (id === stageId) break;
    say(startMs + planned.minutes * 60_000, { type: 'stageDone', payload: { stageId: id } });
  }
  return log;
}
