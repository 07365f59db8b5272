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

/** Where a device stands: at the pot of a batch, or in a pan of a lot that is being cooled. */
export interface DeviceStand {
  batchId: string | null;
  lotId: string | null;
}

const stand = {
  batchId: v.nullish(textField('The batch it stands at'), null),
  lotId: v.nullish(textField('The lot it stands in'), null),
};

const isAtOne = ({ batchId, lotId }: DeviceStand): boolean => (batchId === null) !== (lotId === null);
const SAY_WHERE = 'Say where it stands: a batchId, or a lotId of what is cooled.';

const mayStandThere = ({ kind, lotId }: DeviceStand & { kind: DeviceKind }): boolean =>
  lotId === null || kind === 'probe';
const NO_SCALE = 'What is cooled is read by a probe, not by a scale.';

export const registerDeviceSchema = v.pipe(
  v.strictObject({
    id: textField('The device', 40),
    kind: v.picklist(DEVICE_KINDS, 'A device is a probe or a scale.'),
    name: textField('Its name', 60),
    ...stand,
  }),
  v.check((of) => isAtOne(of), SAY_WHERE),
  v.check((of) => mayStandThere(of), NO_SCALE),
);

export const startSimulatedDeviceSchema = v.pipe(
  v.strictObject({
    kind: v.picklist(DEVICE_KINDS, 'A simulated device is a probe or a scale.'),
    ...stand,
    fault: v.optional(v.picklist(FAULTS, 'That is no fault a simulated device can have.'), 'none'),
  }),
  v.check((of) => isAtOne(of), SAY_WHERE),
  v.check((of) => mayStandThere(of), NO_SCALE),
);

/** How a device is: sending, silent, or sending what cannot be. */
export type DeviceStatus = 'waiting' | 'sending' | 'quiet' | 'rubbish' | 'flooding' | 'stuck';

export interface DeviceView extends DeviceStand {
  id: string;
  kind: DeviceKind;
  name: string;
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
