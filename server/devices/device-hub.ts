import { v7 as uuid } from 'uuid';
import {
  type DeviceStand,
  type DeviceStatus,
  type DeviceView,
  type Fault,
  MEASURES,
  type SampleLine,
} from '../../contract';
import { condense, type DeviceKind, lastDisturbedMs, type Sample } from '../../core/devices';
import { isCooling } from '../../core/larder';
import { isAside } from '../batches/batch-logs';
import { submitEvent } from '../batches/submit-event';
import type { CommandContext } from '../command-context';
import { submitLarderEvent } from '../larder/submit-larder-event';
import { ProblemError } from '../problem';
import { insertSamples, keptLot } from '../storage';

/** A device where it stands, with what has come of it. */
interface Device extends DeviceStand {
  id: string;
  kind: DeviceKind;
  name: string;
  simulated: Fault | null;
  recent: Sample[];
  reading: Sample | null;
  kept: number;
  leftOut: number;
  heardRealMs: number;
  wrong: { status: DeviceStatus; detail: string | null; untilRealMs: number } | null;
  /** lines it may still send at once, and when that was counted */
  room: { lines: number; atRealMs: number };
  toldRealMs: number;
}

/** So many samples are looked back on. */
const RECENT = 60;
/** A device may send so many lines at once, and so many a second over time; for more it is asked to wait. */
export const LINES_AT_ONCE = 8000;
const LINES_A_SECOND = 600;
/** Not heard of for so long, it is quiet, real ms. */
const QUIET_MS = 10_000;
/** A fault is shown for so long after it was last seen, real ms. */
const SHOWN_MS = 15_000;
/** Browsers are told of a device no more often than this, real ms. */
const TELL_MS = 900;
/** The very same value so often is no measuring: every instrument has noise. */
const STUCK_AFTER = 30;

/** What a device measures: since when it was left alone, and how a reading of it is said. */
type Place =
  | {
      steadyFromMs: number;
      tell: (
        said: { id: string; by: string; device: string },
        payload: { kind: SampleLine['kind']; value: number; from: 'device' },
      ) => unknown;
    }
  | 'over'
  | null;

/** What became of lines: kept, or to be sent again after a while. */
export type Taken = { kept: number; leftOut: number } | { waitS: number };

/** Probes and scales: what they send is kept apart from the log, and condensed into readings of their pot. */
export interface DeviceHub {
  register(of: Pick<Device, 'id' | 'kind' | 'name' | keyof DeviceStand> & { simulated?: Fault }): DeviceView;
  remove(id: string): boolean;
  views(): DeviceView[];
  has(id: string): boolean;
  /** takes lines in, all of them or none: keeps the good ones, counts the bad ones, says what is wrong */
  take(id: string, lines: readonly SampleLine[], bad: readonly string[]): Taken;
}

export function createDeviceHub(context: CommandContext, realNow: () => number = Date.now): DeviceHub {
  const devices = new Map<string, Device>();

  function view(device: Device): DeviceView {
    const now = realNow();
    const isQuiet = device.kept + device.leftOut > 0 && now - device.heardRealMs > QUIET_MS;
    const wrong = device.wrong && device.wrong.untilRealMs > now ? device.wrong : null;
    const status: DeviceStatus = isQuiet
      ? 'quiet'
      : (wrong?.status ?? (device.kept > 0 ? 'sending' : 'waiting'));
    const { id, kind, name, batchId, lotId, kept, leftOut, simulated } = device;
    return {
      id,
      kind,
      name,
      batchId,
      lotId,
      status,
      detail: isQuiet ? null : (wrong?.detail ?? null),
      last: device.recent.at(-1) ?? null,
      kept,
      leftOut,
      simulated,
    };
  }

  function tell(device: Device): void {
    if (realNow() - device.toldRealMs < TELL_MS) return;
    device.toldRealMs = realNow();
    context.live.publish({ kind: 'device', device: view(device) });
  }

  function fault(device: Device, status: DeviceStatus, detail: string | null = null): void {
    device.wrong = { status, detail, untilRealMs: realNow() + SHOWN_MS };
  }

  /** Room for so many lines now; null where there is, else the seconds to wait for it. */
  function waitFor(device: Device, count: number): number | null {
    const now = realNow();
    const grown = ((now - device.room.atRealMs) / 1000) * LINES_A_SECOND;
    device.room = { lines: Math.min(LINES_AT_ONCE, device.room.lines + grown), atRealMs: now };
    if (count > device.room.lines) return Math.ceil((count - device.room.lines) / LINES_A_SECOND);
    device.room.lines -= count;
    return null;
  }

  function take(id: string, lines: readonly SampleLine[], bad: readonly string[]): Taken {
    const device = devices.get(id)!;
    device.heardRealMs = realNow();
    const waitS = waitFor(device, lines.length + bad.length);
    if (waitS !== null) {
      fault(device, 'flooding');
      tell(device);
      return { waitS };
    }
    const own = lines.filter((line) => line.kind === MEASURES[device.kind]);
    const leftOut = lines.length - own.length + bad.length;
    device.leftOut += leftOut;
    if (bad.length > 0) fault(device, 'rubbish', bad[0] ?? null);
    if (own.length > 0) keep(device, own);
    if (devices.has(id)) tell(device);
    return { kept: own.length, leftOut };
  }

  function keep(device: Device, lines: readonly SampleLine[]): void {
    const { id: deviceId, batchId } = device;
    const rows = lines.map(({ kind, value, ageMs }) => ({
      deviceId,
      kind,
      value,
      atMs: context.clock.agoMs(ageMs),
    }));
    // a pot has a picture of its minutes; of what cools, its readings are enough
    if (batchId !== null)
      context.storage.transact((tx) =>
        insertSamples(
          tx,
          rows.map((row) => ({ ...row, batchId })),
        ),
      );
    device.kept += rows.length;
    device.recent = [...device.recent, ...rows.slice(-RECENT)].slice(-RECENT);
    const same = device.recent.slice(-STUCK_AFTER);
    if (same.length === STUCK_AFTER && same.every((one) => one.value === same[0]!.value))
      fault(device, 'stuck');
    else readOff(device);
  }

  /** The pot is served: what stood at it is taken away, or its readings would come late for ever. */
  function remove(id: string): boolean {
    const was = devices.delete(id);
    if (was) context.live.publish({ kind: 'deviceGone', deviceId: id });
    return was;
  }

  /**
   * A reading into the log of its pot or of the larder, when one is due. What a pot cannot explain is asked about like any
   * other; what is far from a cooling's forecast is refused, and said of the device.
   */
  function readOff(device: Device): void {
    if (device.wrong?.status === 'stuck' && device.wrong.untilRealMs > realNow()) return;
    if (!condense(device.kind, device.recent, device.reading)) return;
    const { batchId, lotId } = device;
    const place = batchId === null ? lotPlace(lotId ?? '') : potPlace(batchId);
    if (place === 'over') {
      remove(device.id);
      return;
    }
    if (place === null) return;
    const since = device.recent.filter((one) => one.atMs >= place.steadyFromMs);
    const reading = condense(device.kind, since, device.reading);
    if (!reading) return;
    device.reading = reading;
    const said = { id: uuid(), by: device.name, device: device.id };
    try {
      place.tell(said, { kind: MEASURES[device.kind], value: reading.value, from: 'device' });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      fault(device, 'rubbish', error.errors[0]?.sentence ?? error.message);
    }
  }

  /** A pot, and since when nothing was done to it; null while there is nothing to measure. */
  function potPlace(batchId: string): Place {
    const batch = context.logs.of(batchId);
    if (isAside(batch)) return null;
    if (batch.row.closedAtMs !== null) return 'over';
    const disturbedMs = lastDisturbedMs(batch.events);
    if (disturbedMs === null) return null;
    return {
      steadyFromMs: disturbedMs,
      tell: (said, payload) => submitEvent(context, batchId, { ...said, type: 'reading', v: 1, payload }),
    };
  }

  /** A lot in its pans, since it was poured so; over once it is cold. */
  function lotPlace(lotId: string): Place {
    const lot = keptLot(context.storage.db, lotId);
    const last = lot?.cooling?.steps.at(-1);
    if (!lot || !last || !isCooling(lot.cooling)) return 'over';
    return {
      steadyFromMs: last.atMs,
      tell: (said, payload) =>
        submitLarderEvent(context, { ...said, type: 'lotRead', v: 1, payload: { lotId, ...payload } }),
    };
  }

  return {
    register(of) {
      const before = devices.get(of.id);
      if (before && before.batchId === of.batchId && before.lotId === of.lotId) return view(before);
      const device: Device = {
        ...of,
        simulated: of.simulated ?? null,
        recent: [],
        reading: null,
        kept: 0,
        leftOut: 0,
        heardRealMs: realNow(),
        wrong: null,
        room: { lines: LINES_AT_ONCE, atRealMs: realNow() },
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
