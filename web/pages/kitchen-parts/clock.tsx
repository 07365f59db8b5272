import styled from 'styled-components';
import type { KitchenView } from '../../../contract';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Errors, Soft, Subtitle } from '../../components/text';
import { useMinuteMs } from '../../data/clock';
import { useClockChange } from '../../data/queries';
import { space } from '../../theme/tokens';
import { dayAndHour, kitchenWords } from '../../words';

const Stack = styled.div`
  display: grid;
  gap: ${space.s};
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
`;

/** The kitchen's clock: real time, or the demo's own. */
export function ClockForm({ kitchen }: { kitchen: KitchenView }) {
  const nowMs = useMinuteMs();
  const change = useClockChange();
  const { clock } = kitchen;
  if (clock.mode === 'real') {
    return (
      <div>
        <Subtitle>{kitchenWords.clock}</Subtitle>
        <Soft>{kitchenWords.realTime(dayAndHour(nowMs, kitchen.zone))}</Soft>
      </div>
    );
  }
  return (
    <Stack>
      <Subtitle>{kitchenWords.theDemosOwnClock}</Subtitle>
      <Soft>{kitchenWords.itOpensOnAWorking(dayAndHour(nowMs, kitchen.zone))}</Soft>
      <Choice
        label={kitchenWords.howFastItRuns}
        value={String(clock.speed) as '1' | '10' | '60'}
        options={[
          { value: '1', text: '1 ×' },
          { value: '10', text: '10 ×' },
          { value: '60', text: '60 ×' },
        ]}
        onChange={(speed) => change.mutate({ change: 'speed', speed: Number(speed) as 1 | 10 | 60 })}
      />
      <Row>
        <Button kind="quiet" onPress={() => change.mutate({ change: 'nextMorning' })}>
          {kitchenWords.onToTheNextMorning}
        </Button>
        <Button kind="quiet" onPress={() => change.mutate({ change: 'real' })}>
          {kitchenWords.switchToRealTime}
        </Button>
      </Row>
      <Errors sentences={change.error ? [change.error.message] : []} />
    </Stack>
  );
}
