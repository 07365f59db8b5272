import styled from 'styled-components';
import * as v from 'valibot';
import { altitudeField, dayAndHour, limitsSchema, litres } from '../../contract';
import { boilingPointC } from '../../core/heat';
import { FOOD_CODE } from '../../core/safety';
import { litresAtDepth, type Vessel } from '../../core/vessel';
import { Button } from '../components/button';
import { Choice } from '../components/choice';
import { figure, TypedForm, useTypedForm } from '../components/form';
import { Halves, Page } from '../components/page';
import { PotThumb } from '../components/pot-section/pot-thumb';
import { Errors, Over, Soft, Subtitle, Title } from '../components/text';
import { ApiError } from '../data/api';
import { useMinuteMs } from '../data/clock';
import { useClockChange, useKitchenSettings } from '../data/queries';
import { colour, space, target } from '../theme/tokens';
import { useTheme } from '../theme/use-theme';
import { CallSettings } from './kitchen-parts/call-settings';
import { Devices } from './kitchen-parts/devices';
import { LearnedTable } from './kitchen-parts/learned-table';
import { useKitchenHere } from './use-kitchen-here';

const Rows = styled.ul`
  li {
    display: grid;
    grid-template-columns: 56px 1fr auto;
    gap: ${space.m};
    align-items: center;
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
  li > :last-child {
    text-align: right;
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: end;
  button[type='submit'] {
    min-height: ${target.atPot};
  }
`;

const Stack = styled.div`
  display: grid;
  gap: ${space.s};
`;

/** What the kitchen is: its pots and burners, its height, its clock, its light. */
export function Kitchen() {
  const kitchen = useKitchenHere();
  const [theme, setTheme] = useTheme();
  return (
    <Page>
      <header>
        <Title>{kitchen.name}</Title>
        <Soft>
          {kitchen.altitudeM} m up: water boils at{' '}
          {boilingPointC({ altitudeM: kitchen.altitudeM }).toFixed(1)} °C.
        </Soft>
      </header>
      <Halves>
        <section>
          <Subtitle>Pots</Subtitle>
          <Rows>
            {kitchen.pots.map((pot) => (
              <li key={pot.id}>
                <PotThumb vessel={pot.vessel} litres={0} ink={colour.iron} />
                <span>
                  <strong>{pot.name}</strong>
                  <Over>{sizeWords(pot.vessel)}</Over>
                </span>
                <Over>brims at {litres(litresAtDepth(pot.vessel, pot.vessel.heightCm))}</Over>
              </li>
            ))}
          </Rows>
          <Subtitle>Burners, and what is known of them</Subtitle>
          <Rows>
            {kitchen.burners.map((burner) => (
              <li key={burner.id}>
                <Over>{burner.kind}</Over>
                <span>
                  <strong>{burner.name}</strong>
                  <Over>{(burner.powerW / 1000).toFixed(1)} kW on its plate</Over>
                </span>
                <span>
                  <strong>
                    {((burner.powerW * burner.efficiency * burner.heatFactor.mean) / 1000).toFixed(2)} kW
                  </strong>
                  <Over>
                    {burner.heatFactor.batches > 0
                      ? `into the pot, ± ${Math.round((100 * burner.heatFactor.sd) / burner.heatFactor.mean)} %, ${burner.heatFactor.batches} batches`
                      : `a first guess, ± ${Math.round(100 * burner.heatFactor.sd)} %`}
                  </Over>
                </span>
              </li>
            ))}
          </Rows>
          <LearnedTable kitchen={kitchen} />
        </section>
        <section>
          <HeightForm />
          <LimitsForm />
          <UnitsForm />
          <ClockForm />
          <Devices />
          <CallSettings />
          <Choice
            label="Light on this device"
            value={theme}
            options={[
              { value: 'day', text: 'Day' },
              { value: 'dim', text: 'Dim kitchen' },
            ]}
            onChange={setTheme}
          />
        </section>
      </Halves>
    </Page>
  );
}

/** The units everything to weigh and pour is shown in; also whose cups and pints a written line means. */
function UnitsForm() {
  const kitchen = useKitchenHere();
  const settings = useKitchenSettings();
  return (
    <Choice
      label="Weights and measures"
      value={kitchen.units}
      options={[
        { value: 'metric', text: 'Metric' },
        { value: 'us', text: 'US' },
        { value: 'imperial', text: 'Imperial' },
      ]}
      onChange={(units) => settings.mutate({ units })}
    />
  );
}

const HEIGHT = v.object({ altitudeM: figure(altitudeField) });

function HeightForm() {
  const kitchen = useKitchenHere();
  const save = useKitchenSettings();
  const form = useTypedForm({
    first: { altitudeM: String(kitchen.altitudeM) },
    schema: HEIGHT,
    keep: (settings) => save.mutate(settings),
  });
  return (
    <TypedForm form={form}>
      <Row>
        <form.AppField name="altitudeM">
          {(field) => (
            <field.AtPot
              label="Height above the sea"
              unit="m"
              refused={sentenceOf(save.error, 'altitudeM')}
            />
          )}
        </form.AppField>
        <Button type="submit">Keep it</Button>
      </Row>
      <Over role="status">
        {save.isSuccess ? 'Kept. Pots already cooking keep the height they began with.' : ''}
      </Over>
    </TypedForm>
  );
}

const LIMITS = v.object({
  dateMarkDays: figure(limitsSchema.entries.dateMarkDays),
  receivingC: figure(limitsSchema.entries.receivingC),
});

/** The kitchen's limits on keeping: it may be stricter than its code, never laxer. */
function LimitsForm() {
  const kitchen = useKitchenHere();
  const save = useKitchenSettings();
  const form = useTypedForm({
    first: {
      dateMarkDays: String(kitchen.limits.dateMarkDays),
      receivingC: String(kitchen.limits.receivingC),
    },
    schema: LIMITS,
    keep: (limits) => save.mutate({ limits: { ...kitchen.limits, ...limits } }),
  });
  return (
    <TypedForm form={form}>
      <Row>
        <form.AppField name="dateMarkDays">
          {(field) => (
            <field.AtPot
              label="Days to the date mark, the first counted"
              unit="days"
              refused={sentenceOf(save.error, 'dateMarkDays')}
            />
          )}
        </form.AppField>
        <form.AppField name="receivingC">
          {(field) => (
            <field.AtPot
              label="Cold food comes in at most at"
              unit="°C"
              refused={sentenceOf(save.error, 'receivingC')}
            />
          )}
        </form.AppField>
        <Button type="submit">Keep these limits</Button>
      </Row>
      <Over role="status">
        {save.isSuccess
          ? 'Kept. Every date on the shelf follows.'
          : `At most ${FOOD_CODE.dateMarkDays.value} days, § ${FOOD_CODE.dateMarkDays.section}, and ${FOOD_CODE.receivingC.value} °C, § ${FOOD_CODE.receivingC.section}; the local code may say less.`}
      </Over>
    </TypedForm>
  );
}

/** What the server says of one field; null for nothing. */
function sentenceOf(error: Error | null, field: string): string | null {
  if (!(error instanceof ApiError)) return null;
  return error.errors.find((one) => one.field.endsWith(field))?.sentence ?? null;
}

function ClockForm() {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const change = useClockChange();
  const { clock } = kitchen;
  if (clock.mode === 'real') {
    return (
      <div>
        <Subtitle>Clock</Subtitle>
        <Soft>Real time: {dayAndHour(nowMs, kitchen.zone)}.</Soft>
      </div>
    );
  }
  return (
    <Stack>
      <Subtitle>The demo’s own clock</Subtitle>
      <Soft>
        {dayAndHour(nowMs, kitchen.zone)}. It opens on a working morning, so that there is a service ahead.
      </Soft>
      <Choice
        label="How fast it runs"
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
          On to the next morning
        </Button>
        <Button kind="quiet" onPress={() => change.mutate({ change: 'real' })}>
          Over to real time
        </Button>
      </Row>
      <Errors sentences={change.error ? [change.error.message] : []} />
    </Stack>
  );
}

function sizeWords(vessel: Vessel): string {
  switch (vessel.shape) {
    case 'cylinder':
      return `straight, ⌀ ${vessel.diameterCm} × ${vessel.heightCm} cm`;
    case 'tapered':
      return `tapered, ⌀ ${vessel.topDiameterCm} to ${vessel.bottomDiameterCm} × ${vessel.heightCm} cm`;
    case 'kettle':
      return `round bottom, ⌀ ${vessel.diameterCm} × ${vessel.heightCm} cm`;
    case 'box':
      return `${vessel.lengthCm} × ${vessel.widthCm} × ${vessel.heightCm} cm`;
    case 'measured':
      return `measured by water at ${vessel.levels.length} levels, ${vessel.heightCm} cm to the rim`;
  }
}
