import { v7 as uuid } from 'uuid';
import { type DeviceStatus, type DeviceView, type Fault, MEASURES, type SampleLine } from '../../contract';
import { condense, type DeviceKind, lastDisturbedMs, type Sample } from '../../core/devices';
import { ProblemError } from '../problem';
import { appendEvent } from '../routes/append-event';
import { batchRow, eventsOf } from '../routes/batch-store';
import type { ServerContext } from '../server-context';
import { samples } from '../storage/schema';

/** A device at a pot, with what has come of it. */
interface Device {
  id: string;
  kind: DeviceKind;
  name: string;
  batchId: string;
  simulated: Fault | null;
  recent: Sample[];
  reading: Sample | null;
  kept: number;
  dropped: number;
  heardRealMs: number;
  wrong: { status: DeviceStatus; said: string; untilRealMs: number } | null;
  /** samples in the running second, to tell a flood */
  second: { fromRealMs: number; count: number };
  toldRealMs: number;
}

/** So many samples are looked back on. */
const RECENT = 60;
/** A device that sends more than this in a second floods: the rest of that second is dropped. */
const MOST_A_SECOND = 600;
/** Not heard of for so long, it is quiet, real ms. */
const QUIET_MS = 10_000;
/** A fault is shown for so long after it was last seen, real ms. */
const SHOWN_MS = 15_000;
/** Browsers are told of a device no more often than this, real ms. */
const TELL_MS = 900;
/** The very same value so often is no measuring: every instrument has noise. */
const STUCK_AFTER = 30;

/** Probes and scales: what they send is kept apart from the log, and condensed into readings of their pot. */
export interface DeviceHub {
  register(of: Pick<Device, 'id' | 'kind' | 'name' | 'batchId'> & { simulated?: Fault }): DeviceView;
  remove(id: string): boolean;
  views(): DeviceView[];
  has(id: string): boolean;
  /** takes lines in: keeps the good ones, counts the bad ones, says what is wrong */
  take(
    id: string,
    lines: readonly SampleLine[],
    bad: readonly string[],
  ): Promise<{ kept: number; dropped: number }>;
}

export function createDeviceHub(context: ServerContext, realNow: () => number = Date.now): DeviceHub {
  const devices = new Map<string, Device>();

  function view(device: Device): DeviceView {
    const now = realNow();
    const isQuiet = device.kept + device.dropped > 0 && now - device.heardRealMs > QUIET_MS;
    const wrong = device.wrong && device.wrong.untilRealMs > now ? device.wrong : null;
    const status: DeviceStatus = isQuiet
      ? 'quiet'
      : (wrong?.status ?? (device.kept > 0 ? 'sending' : 'waiting'));
    const { id, kind, name, batchId, kept, dropped, simulated } = device;
    return {
      id,
      kind,
      name,
      batchId,
      status,
      said: isQuiet ? 'Nothing heard of it: is it switched on, in the pot, in reach?' : (wrong?.said ?? null),
      last: device.recent.at(-1) ?? null,
      kept,
      dropped,
      simulated,
    };
  }

  function tell(device: Device): void {
    if (realNow() - device.toldRealMs < TELL_MS) return;
    device.toldRealMs = realNow();
    context.live.publish({ kind: 'device', device: view(device) });
  }

  function fault(device: Device, status: DeviceStatus, said: string): void {
    device.wrong = { status, said, untilRealMs: realNow() + SHOWN_MS };
  }

  async function take(id: string, lines: readonly SampleLine[], bad: readonly string[]) {
    const device = devices.get(id)!;
    const now = realNow();
    device.heardRealMs = now;
    if (now - device.second.fromRealMs >= 1000) device.second = { fromRealMs: now, count: 0 };
    const room = Math.max(0, MOST_A_SECOND - device.second.count);
    const own = lines.filter((line) => line.kind === MEASURES[device.kind]);
    const kept = own.slice(0, room);
    device.second.count += own.length;
    const dropped = lines.length - kept.length + bad.length;
    device.dropped += dropped;
    if (bad.length > 0)
      fault(device, 'rubbish', `It sends what cannot be: ${bad[0]} Those lines are left out.`);
    if (own.length > room)
      fault(
        device,
        'flooding',
        `It sends more than ${MOST_A_SECOND} values a second: the rest is dropped, the pot goes on.`,
      );
    if (kept.length > 0) {
      const rows = kept.map((line) => ({
        deviceId: id,
        batchId: device.batchId,
        kind: line.kind,
        value: line.value,
        atMs: context.clock.agoMs(line.ageMs),
      }));
      await context.write(() => context.db.insert(samples).values(rows));
      device.kept += rows.length;
      device.recent = [...device.recent, ...rows].slice(-RECENT);
      const same = device.recent.slice(-STUCK_AFTER);
      if (same.length === STUCK_AFTER && same.every((one) => one.value === same[0]!.value))
        fault(
          device,
          'stuck',
          'It shows the very same value all the time: it no longer measures. Nothing is read off it.',
        );
      else await readOff(device);
    }
    if (devices.has(id)) tell(device);
    return { kept: kept.length, dropped };
  }

  /** The pot is served: what stood at it is taken away, or its readings would come late for ever. */
  function remove(id: string): boolean {
    const was = devices.delete(id);
    if (was) context.live.publish({ kind: 'devices' });
    return was;
  }

  /** A reading into the pot's log, when one is due. What the pot cannot explain is asked about like any other. */
  async function readOff(device: Device): Promise<void> {
    if (device.wrong?.status === 'stuck' && device.wrong.untilRealMs > realNow()) return;
    if (!condense(device.kind, device.recent, device.reading)) return;
    if ((await batchRow(context.db, device.batchId)).closedAtMs !== null) {
      remove(device.id);
      return;
    }
    const disturbedMs = lastDisturbedMs(await eventsOf(context.db, device.batchId));
    if (disturbedMs === null) return;
    const since = device.recent.filter((one) => one.atMs >= disturbedMs);
    const reading = condense(device.kind, since, device.reading);
    if (!reading) return;
    device.reading = reading;
    try {
      await appendEvent(context, device.batchId, {
        id: uuid(),
        type: 'reading',
        v: 1,
        payload: { kind: MEASURES[device.kind], value: reading.value, from: 'device' },
        by: device.name,
        device: device.id,
      });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      fault(device, 'rubbish', error.errors[0]?.sentence ?? error.message);
    }
  }

  return {
    register(of) {
      const before = devices.get(of.id);
      if (before && before.batchId === of.batchId) return view(before);
      const device: Device = {
        ...of,
        simulated: of.simulated ?? null,
        recent: [],
        reading: null,
        kept: 0,
        dropped: 0,
        heardRealMs: realNow(),
        wrong: null,
        second: { fromRealMs: realNow(), count: 0 },
        toldRealMs: 0,
      };
      devices.set(of.id, device);
      context.live.publish({ kind: 'device', device: view(device) });
      return view(device);
    },
    remove,
    views: () => [...devices.values()].map(view),
    has: (id) => devices.has(id),
    take,
  };
}
