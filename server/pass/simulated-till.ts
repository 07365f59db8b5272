import { v7 as uuid } from 'uuid';
import { arrivedBy, curveSaid } from '../../core/demand';
import { ALLERGENS, type Allergen } from '../../core/matter';
import { isForNow, kindsOf, type PortionKind } from '../../core/portions';
import { SOME_SERVICE } from '../../core/service';
import { isAside } from '../batches/batch-logs';
import type { CommandContext } from '../command-context';
import { chanceOf } from '../devices/simulated/truth';

/** Once a second, real time, whatever speed the kitchen's clock has. */
const TICK_MS = 1000;
/** One guest in so many may not eat something. Invented. */
const MAY_NOT_EAT_ONE_IN = 20;
/** More orders than covers come on a busy day: so many times them. Invented. */
const BUSY = 1.1;

/** A simulated till: its guests come as the service says, and it speaks through the same door as a real one. */
export interface SimulatedTill {
  /** true when it was started; a second press stops it */
  toggle(batchId: string): boolean;
  isRunning(batchId: string): boolean;
  close(): void;
}

/** `address` is where this server is reached. */
export function createSimulatedTill(context: CommandContext, address: () => string): SimulatedTill {
  const running = new Map<string, { timer: NodeJS.Timeout; asked: number }>();

  async function tick(batchId: string): Promise<void> {
    const till = running.get(batchId);
    const batch = context.logs.of(batchId);
    if (!till) return;
    if (isAside(batch) || batch.row.closedAtMs !== null) {
      stop(batchId);
      return;
    }
    const { snapshot } = batch.row;
    const { plan, input } = snapshot;
    const kinds = kindsOf(input).filter((kind) => isForNow(kind) && !kind.freeOf?.length);
    const { lastsMin, arrival } = snapshot.service ?? SOME_SERVICE;
    const covers = kinds.reduce((sum, kind) => sum + kind.count, 0);
    const part = (context.clock.nowMs() - plan.serviceAtMs) / (lastsMin * 60_000);
    const due = BUSY * covers * arrivedBy(curveSaid(arrival), Math.min(1, Math.max(0, part)));
    while (running.has(batchId) && till.asked + 1 <= due) {
      const chance = chanceOf(`${batchId} ${till.asked}`);
      const kind = pickKind(kinds, chance.uniform() * covers);
      if (!kind) return;
      const count = 1 + Math.floor(chance.uniform() * 3);
      const list = Object.keys(ALLERGENS) as Allergen[];
      const freeOf =
        chance.uniform() * MAY_NOT_EAT_ONE_IN < 1 ? [list[Math.floor(chance.uniform() * list.length)]] : [];
      till.asked += count;
      const answer = await fetch(`${address()}/api/pass/orders`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          id: uuid(),
          dish: input.recipe.id,
          items: [{ portion: kind.word, ml: kind.ml, count }],
          ...(freeOf.length > 0 ? { freeOf } : {}),
          words: `Seat ${till.asked}`,
        }),
      });
      if (!answer.ok) context.log.warn({ status: answer.status }, 'the simulated till was refused');
    }
  }

  function stop(batchId: string): void {
    clearInterval(running.get(batchId)?.timer);
    running.delete(batchId);
  }

  return {
    toggle(batchId) {
      if (running.has(batchId)) {
        stop(batchId);
        return false;
      }
      let isBusy = false;
      const timer = setInterval(() => {
        if (isBusy) return;
        isBusy = true;
        tick(batchId)
          .catch((error) => context.log.warn({ error }, 'the simulated till could not send'))
          .finally(() => {
            isBusy = false;
          });
      }, TICK_MS);
      running.set(batchId, { timer, asked: 0 });
      return true;
    },
    isRunning: (batchId) => running.has(batchId),
    close() {
      for (const id of [...running.keys()]) stop(id);
    },
  };
}

/** The kind that a place among all covers falls on. */
function pickKind(kinds: readonly PortionKind[], place: number): PortionKind | undefined {
  let before = 0;
  return (
    kinds.find((kind) => {
      before += kind.count;
      return place < before;
    }) ?? kinds[0]
  );
}
