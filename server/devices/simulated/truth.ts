import {
  advanceBatch,
  applyEvent,
  type BatchEvent,
  type BatchSnapshot,
  type BatchState,
  foldBatch,
  foldContext,
} from '../../../core/batch';
import { coolingForecast, coolingKnown } from '../../../core/cooling';
import { type LotCooling, saidOfCooling } from '../../../core/larder';
import { activeEvents } from '../../../core/log';
import { massKg } from '../../../core/matter';
import { unlearned } from '../../../core/plan';

/** Chance that comes the same each time for a batch: the generator of Park and Miller 1988. */
export function chanceOf(seedText: string): { uniform(): number; normal(): number } {
  let state = 1;
  for (const char of seedText) state = (state * 31 + char.charCodeAt(0)) % 2147483647;
  const uniform = () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  for (let i = 0; i < 5; i++) uniform();
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform() * 0.999999)) * Math.cos(2 * Math.PI * uniform()),
  };
}

/** The burner of such a pot gives this share of what the plan thinks, at least and at most; and wanders by so much. */
const HIDDEN = { leastGain: 0.82, mostGain: 1.12, wanderSd: 0.1, forgetMin: 30 } as const;

/** The air of a place takes this share of what the first guess thinks, at least and at most. */
const HIDDEN_FILM = { least: 0.75, most: 1.3 } as const;

/** A lot in the middle of its pan as it really is, °C: the same physics, in air of its own, and no readings. */
export function realCentreC(lotId: string, cooling: LotCooling, nowMs: number): number {
  const factor = HIDDEN_FILM.least + (HIDDEN_FILM.most - HIDDEN_FILM.least) * chanceOf(lotId).uniform();
  const hidden = { mean: Math.log(factor), sd: 0.001 };
  const places = Object.fromEntries(cooling.steps.map(({ how }) => [how.placeId, hidden]));
  const known = coolingKnown({ ...saidOfCooling(cooling), startSdC: 0.01, readings: [] }, places);
  return coolingForecast(known, nowMs).centreC.p50;
}

/** The pot as it really is, behind the simulated devices: the same physics, a burner of its own, and no readings. */
export interface Truth {
  /** runs on to a moment, taking in what was done at the pot meanwhile */
  at(log: readonly BatchEvent[], nowMs: number): { tempC: number; massKg: number };
}

export function hiddenTruth(batchId: string, snapshot: BatchSnapshot): Truth {
  const chance = chanceOf(batchId);
  const { heatFactor } = snapshot.input.burner;
  const mean = heatFactor.mean * (HIDDEN.leastGain + (HIDDEN.mostGain - HIDDEN.leastGain) * chance.uniform());
  const real: BatchSnapshot = { ...snapshot, input: unlearned(snapshot.input, mean) };
  let state: BatchState | null = null;
  let seen = 0;
  let wander = HIDDEN.wanderSd * chance.normal();

  return {
    at(log, nowMs) {
      const done = activeEvents(log).filter((event) => event.type !== 'reading' && event.type !== 'answered');
      const isUndone = log.some((event) => event.type === 'undone' && event.seq > seen);
      const news = done.filter((event) => event.seq > seen);
      if (state === null || isUndone) state = foldBatch(real, done, 0);
      else {
        const context = foldContext(real, done);
        for (const event of news) state = applyEvent(context, state, event);
      }
      seen = Math.max(seen, ...log.map((event) => event.seq), 0);
      const minutes = Math.max(0, (nowMs - state.pot.atMs) / 60_000);
      const keeps = Math.exp(-minutes / HIDDEN.forgetMin);
      wander = wander * keeps + HIDDEN.wanderSd * Math.sqrt(1 - keeps * keeps) * chance.normal();
      state = advanceBatch({ ...state, pot: { ...state.pot, wander: wander * mean } }, nowMs);
      return { tempC: state.pot.tempC, massKg: massKg(state.pot.mixture) };
    },
  };
}
