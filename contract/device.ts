import * as v from 'valibot';
import { DEVICE_KINDS, type DeviceKind } from '../core/devices';
import { numberField, textField } from './number-field';

export const FAULTS = ['none', 'drift', 'dropOut', 'stuck', 'rubbish', 'flood'] as const;
export type Fault = (typeof FAULTS)[number];

/** One line a bridge sends: a value, and how long ago it was taken by its own clock. */
const agedFields = { ageMs: v.optional(numberField('ageMs', 0, 3_600_000, 'ms'), 0) };
export const sampleLineSchema = v.variant(
  'kind',
  [
    v.strictObject({
      kind: v.literal('temperature'),
      value: numberField('A temperature', -40, 140, '°C'),
      ...agedFields,
    }),
    v.strictObject({
      kind: v.literal('weight'),
      value: numberField('A weight', 0, 1000, 'kg'),
      ...agedFields,
    }),
  ],
  'A line has a kind, “temperature” or “weight”, and a value.',
);
export type SampleLine = v.InferOutput<typeof sampleLineSchema>;

/** What a device measures is told by its kind. */
export const MEASURES: Readonly<Record<DeviceKind, SampleLine['kind']>> = {
  probe: 'temperature',
  scale: 'weight',
};

export const registerDeviceSchema = v.strictObject({
  id: textField('The device', 40),
  kind: v.picklist(DEVICE_KINDS, 'A device is a probe or a scale.'),
  name: textField('Its name', 60),
  batchId: textField('The batch it stands at'),
});

export const startSimulatedDeviceSchema = v.strictObject({
  kind: v.picklist(DEVICE_KINDS, 'A simulated device is a probe or a scale.'),
  batchId: textField('The batch it stands at'),
  fault: v.optional(v.picklist(FAULTS, 'That is no fault a simulated device can have.'), 'none'),
});

/** How a device is: sending, silent, or sending what cannot be. */
export type DeviceStatus = 'waiting' | 'sending' | 'quiet' | 'rubbish' | 'flooding' | 'stuck';

export interface DeviceView {
  id: string;
  kind: DeviceKind;
  name: string;
  batchId: string;
  status: DeviceStatus;
  /** what is wrong with what it sends, where a sentence of the form says so; null else */
  detail: string | null;
  last: { atMs: number; value: number } | null;
  /** samples kept since it came */
  kept: number;
  /** lines that could not be read, or measure something else, since it came */
  leftOut: number;
  /** the fault a simulated device was started with; null for a real device */
  simulated: Fault | null;
}
