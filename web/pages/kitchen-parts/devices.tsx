import { useState } from 'react';
import styled from 'styled-components';
import { type DeviceView, FAULTS, type Fault } from '../../../contract';
import type { DeviceKind } from '../../../core/devices';
import { Button } from '../../components/button';
import { PickOne } from '../../components/menu';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { sentencesOf } from '../../data/api';
import {
  useCoolings,
  useDevices,
  useOpenBatches,
  useRemoveDevice,
  useStartSimulatedDevice,
} from '../../data/queries';
import { colour, space } from '../../theme/tokens';
import { deviceTrouble, kitchenWords, lotWords, temperature } from '../../words';

const Rows = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: ${space.m};
    align-items: center;
    padding: ${space.xs} 0;
    border-bottom: 1px solid ${colour.line};
  }
  strong {
    font-variant-numeric: tabular-nums;
  }
  .wrong {
    color: ${colour.danger};
  }
`;

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: ${space.s} ${space.m};
`;

const FAULT_WORDS: Readonly<Record<Fault, string>> = {
  none: kitchenWords.worksWell,
  drift: kitchenWords.driftsAway,
  dropOut: kitchenWords.dropsOut,
  stuck: kitchenWords.standsStill,
  rubbish: kitchenWords.sendsNonsense,
  flood: kitchenWords.floods,
};

const STATUS_WORDS: Readonly<Record<DeviceView['status'], string>> = {
  waiting: kitchenWords.nothingYet,
  sending: kitchenWords.sending,
  quiet: kitchenWords.quiet,
  rubbish: kitchenWords.cannotBeRight,
  flooding: kitchenWords.tooMuchOfIt,
  stuck: 'stuck',
};

/** Probes and scales at the pots; and simulated ones, which follow a hidden truth through the same door. */
export function Devices() {
  const { data: devices = [] } = useDevices();
  const { data: open = [] } = useOpenBatches();
  const start = useStartSimulatedDevice();
  const remove = useRemoveDevice();
  const [kind, setKind] = useState<DeviceKind>('probe');
  const [fault, setFault] = useState<Fault>('none');
  const [picked, setBatch] = useState<string | null>(null);
  const { data: coolings = [] } = useCoolings();
  const cooled = coolings.filter((lot) => lot.cooling !== null);
  // a scale stands under a pot; a probe in a pot, or in a pan of what is cooled
  const stands = [
    ...open.map((one) => ({ id: one.id, text: one.snapshot.input.recipe.name, isLot: false })),
    ...(kind === 'probe' ? cooled : []).map((lot) => ({
      id: lot.id,
      text: lotWords.lot2(lot.name, lot.number),
      isLot: true,
    })),
  ];
  const at = stands.find((one) => one.id === picked) ?? stands[0];
  const nameOf = ({ batchId, lotId }: DeviceView) =>
    open.find((one) => one.id === batchId)?.snapshot.input.recipe.name ??
    cooled.find((lot) => lot.id === lotId)?.name ??
    kitchenWords.aClosedBatch;
  return (
    <div>
      <Subtitle>{kitchenWords.probesAndScales}</Subtitle>
      {devices.length > 0 && (
        <Rows>
          {devices.map((one) => (
            <li key={one.id}>
              <span>
                {one.name}, {nameOf(one).toLowerCase()}
                <Over className={deviceTrouble(one) ? 'wrong' : ''}>
                  {deviceTrouble(one) ?? STATUS_WORDS[one.status]}
                </Over>
              </span>
              <strong>{shownBy(one)}</strong>
              <Button
                kind="quiet"
                aria-label={kitchenWords.removeThe(one.name)}
                onPress={() => remove.mutate(one.id)}
              >
                {kitchenWords.remove}
              </Button>
            </li>
          ))}
        </Rows>
      )}
      {at === undefined ? (
        <Soft>{kitchenWords.aSimulatedDeviceNeedsA}</Soft>
      ) : (
        <>
          <Fields>
            <PickOne
              label={kitchenWords.simulatedDevice}
              value={kind}
              options={[
                { id: 'probe', text: kitchenWords.probeInThePot },
                { id: 'scale', text: kitchenWords.scaleUnderIt },
              ]}
              onChange={(next) => setKind(next as DeviceKind)}
            />
            <PickOne label={kitchenWords.at} value={at.id} options={stands} onChange={setBatch} />
            <PickOne
              label={kitchenWords.which}
              value={fault}
              options={FAULTS.map((one) => ({ id: one, text: FAULT_WORDS[one] }))}
              onChange={(next) => setFault(next as Fault)}
            />
          </Fields>
          <Errors sentences={sentencesOf(start.error)} />
          <Button
            onPress={() =>
              start.mutate({ kind, fault, ...(at.isLot ? { lotId: at.id } : { batchId: at.id }) })
            }
          >
            {kitchenWords.addIt}
          </Button>
        </>
      )}
      <Over>{kitchenWords.aRealDeviceSendsJson}</Over>
    </div>
  );
}

/** What it shows, with its unit. */
export function shownBy(device: DeviceView): string {
  if (!device.last) return '…';
  return device.kind === 'probe' ? temperature(device.last.value, 1) : kitchenWords.kg(device.last.value);
}
