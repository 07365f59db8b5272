import type { DeviceStand, DeviceView, Fault } from '../../../contract';
import type { DeviceKind } from '../../../core/devices';
import { isCooling } from '../../../core/larder';
import { isAside } from '../../batches/batch-logs';
import type { CommandContext } from '../../command-context';
import { keptLot } from '../../storage';
import type { DeviceHub } from '../device-hub';
import { chanceOf, hiddenTruth, realCentreC, type Truth } from './truth';

/** Once a second, real time, whatever speed the kitchen's clock has. */
const TICK_MS = 1000;
/** Noise of a probe and a scale, one standard deviation. Common practice. */
const NOISE = { probe: 0.3, scale: 0.015 } as const;
/** How far a drifting one strays a minute of real time, °C or kg. */
const DRIFT_A_MINUTE = { probe: 2, scale: 0.3 } as const;
/** A flooding one sends so many lines a tick. */
const FLOOD_LINES = 1500;
/** One that drops out is silent for so many ticks in so many. */
const DROP_OUT = { silent: 14, outOf: 24 } as const;

interface SimulatedDevice extends DeviceStand {
  id: string;
  kind: DeviceKind;
  fault: Fault;
  ticks: number;
  timer: NodeJS.Timeout;
}

/** A simulated probe and pot scale: they follow a hidden truth and speak through the same door as a real bridge. */
export interface SimulatedDevices {
  start(of: DeviceStand & { kind: DeviceKind; fault: Fault }): DeviceView;
  stop(id: string): void;
  close(): void;
}

/** `address` is where this server is reached: the simulated devices send their lines over HTTP like anybody else. */
export function createSimulatedDevices(
  context: CommandContext & { devices: DeviceHub },
  address: () => string,
): SimulatedDevices {
  const running = new Map<string, SimulatedDevice>();
  const truths = new Map<string, Truth>();

  async function tick(one: SimulatedDevice): Promise<void> {
    one.ticks += 1;
    if (one.fault === 'dropOut' && one.ticks % DROP_OUT.outOf < DROP_OUT.silent) return;
    const real = one.batchId === null ? inLot(one.lotId ?? '') : atPot(one.batchId, one.kind);
    if (real === null) {
      stop(one.id);
      context.devices.remove(one.id);
      return;
    }
    await send(one, linesOf(one, real));
  }

  /** What a pot really shows; null once it is closed. */
  function atPot(batchId: string, kind: DeviceKind): number | null {
    const batch = context.logs.of(batchId);
    if (isAside(batch) || batch.row.closedAtMs !== null) return null;
    const truth = truths.get(batchId) ?? hiddenTruth(batchId, batch.row.snapshot);
    truths.set(batchId, truth);
    const real = truth.at(batch.events, context.clock.nowMs());
    return kind === 'probe' ? real.tempC : real.massKg;
  }

  /** What a lot really is in the middle, °C; null once it is cold. */
  function inLot(lotId: string): number | null {
    const cooling = keptLot(context.storage.db, lotId)?.cooling ?? null;
    return cooling && isCooling(cooling) ? realCentreC(lotId, cooling, context.clock.nowMs()) : null;
  }

  /** Asked to wait, it waits, and sends the same again: nothing of it is lost. */
  async function send(one: SimulatedDevice, body: string): Promise<void> {
    while (running.get(one.id) === one) {
      const answer = await fetch(`${address()}/api/devices/${one.id}/samples`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/x-ndjson' },
        body,
      });
      if (answer.status !== 429) return;
      await new Promise((resolve) => setTimeout(resolve, 1000 * Number(answer.headers.get('Retry-After'))));
    }
  }

  function stop(id: string): void {
    const one = running.get(id);
    if (!one) return;
    clearInterval(one.timer);
    running.delete(id);
  }

  return {
    start({ kind, batchId, lotId, fault }) {
      const id = `simulated-${kind}-${(batchId ?? lotId ?? '').slice(-8)}`;
      stop(id);
      context.devices.remove(id);
      const view = context.devices.register({
        id,
        kind,
        batchId,
        lotId,
        name: kind === 'probe' ? 'simulated probe' : 'simulated scale',
        simulated: fault,
      });
      let isBusy = false;
      const timer = setInterval(() => {
        if (isBusy) return;
        isBusy = true;
        tick(one)
          .catch((error) => context.log.warn({ error }, 'a simulated device could not send'))
          .finally(() => {
            isBusy = false;
          });
      }, TICK_MS);
      const one: SimulatedDevice = { id, kind, batchId, lotId, fault, ticks: 0, timer };
      running.set(id, one);
      return view;
    },
    stop,
    close() {
      for (const id of [...running.keys()]) stop(id);
    },
  };
}

/** What a simulated device sends for a true value, with its noise and its fault. */
export function linesOf(one: Pick<SimulatedDevice, 'id' | 'kind' | 'fault' | 'ticks'>, real: number): string {
  const chance = chanceOf(`${one.id} ${one.ticks}`);
  const kind = one.kind === 'probe' ? 'temperature' : 'weight';
  const drifted = one.fault === 'drift' ? real + (DRIFT_A_MINUTE[one.kind] * one.ticks) / 60 : real;
  const line = () => {
    const value = Math.max(one.kind === 'scale' ? 0 : -40, drifted + NOISE[one.kind] * chance.normal());
    return JSON.stringify({ kind, value: Number(value.toFixed(2)) });
  };
  switch (one.fault) {
    case 'stuck':
      return JSON.stringify({ kind, value: one.kind === 'probe' ? 21.4 : 7.5 });
    case 'rubbish':
      return one.ticks % 3 === 0
        ? line()
        : `{"kind":"${kind}","value":"~~"}\nÿþ~#${one.ticks}\n{"kind":"${kind}","value":9999}`;
    case 'flood':
      return Array.from({ length: FLOOD_LINES }, line).join('\n');
    default:
      return line();
  }
}
