import styled from 'styled-components';
import * as v from 'valibot';
import { equipmentSchema, type KitchenView } from '../../../contract';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, figureOrNone, TypedForm, useTypedForm } from '../../components/form';
import { Errors, Over, Subtitle } from '../../components/text';
import { useKitchenChange } from '../../data/queries';
import { space } from '../../theme/tokens';
import { kitchenWords } from '../../words';
import { InstrumentList } from './things';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: ${space.m};
`;

const { entries } = equipmentSchema;
const TOOLS = v.object({
  ovenTrays: figure(entries.ovenTrays),
  trayAreaM2: figure(entries.trayAreaM2),
  blenderJarLitres: figure(entries.blenderJarLitres),
  fryingPanCm: figure(entries.fryingPanCm),
  grillBowls: figureOrNone(v.unwrap(entries.grillBowls)),
  grillMin: figureOrNone(v.unwrap(entries.grillMin)),
  sieveLitres: figureOrNone(v.unwrap(entries.sieveLitres)),
  bainMariePans: figureOrNone(v.unwrap(entries.bainMariePans)),
  bainMariePanLitres: figureOrNone(v.unwrap(entries.bainMariePanLitres)),
  holdCheckMin: figureOrNone(v.unwrap(entries.holdCheckMin)),
  coolingPans: figureOrNone(v.unwrap(entries.coolingPans)),
  saltTeaspoonG: figureOrNone(v.unwrap(entries.saltTeaspoonG)),
});

const ASKED = [
  ['ovenTrays', kitchenWords.traysInTheOvenAt, kitchenWords.trays],
  ['trayAreaM2', kitchenWords.floorOfATray, 'm²'],
  ['blenderJarLitres', kitchenWords.blenderJarToItsBrim, 'L'],
  ['fryingPanCm', kitchenWords.widestFryingPan, 'cm'],
  ['grillBowls', kitchenWords.bowlsUnderTheGrillAt, kitchenWords.bowls],
  ['grillMin', kitchenWords.minutesUnderTheGrill, 'min'],
  ['sieveLitres', kitchenWords.aSieveTakes, 'L'],
  ['bainMariePans', kitchenWords.pansInTheBainMarie, kitchenWords.pans],
  ['bainMariePanLitres', kitchenWords.oneOfThemHolds, 'L'],
  ['holdCheckMin', kitchenWords.temperatureEvery, 'min'],
  ['coolingPans', kitchenWords.pansToCoolIn, kitchenWords.pans],
  ['saltTeaspoonG', kitchenWords.aTeaspoonOfOurSalt, 'g'],
] as const;

/** What hands work with beside the pots: their time follows from it. */
export function ToolsSection({ kitchen }: { kitchen: KitchenView }) {
  const { equipment } = kitchen;
  const change = useKitchenChange();
  const typed = (value: number | undefined) => (value === undefined ? '' : String(value));
  const form = useTypedForm({
    first: {
      ovenTrays: typed(equipment.ovenTrays),
      trayAreaM2: typed(equipment.trayAreaM2),
      blenderJarLitres: typed(equipment.blenderJarLitres),
      fryingPanCm: typed(equipment.fryingPanCm),
      grillBowls: typed(equipment.grillBowls),
      grillMin: typed(equipment.grillMin),
      sieveLitres: typed(equipment.sieveLitres),
      bainMariePans: typed(equipment.bainMariePans),
      bainMariePanLitres: typed(equipment.bainMariePanLitres),
      holdCheckMin: typed(equipment.holdCheckMin),
      coolingPans: typed(equipment.coolingPans),
      saltTeaspoonG: typed(equipment.saltTeaspoonG),
    },
    schema: TOOLS,
    keep: (meant) =>
      change.mutate({
        change: 'equipment',
        equipment: { ...meant, hasStickBlender: equipment.hasStickBlender },
      }),
  });
  return (
    <>
      <section>
        <Subtitle>{kitchenWords.tools}</Subtitle>
        <TypedForm form={form}>
          <Fields>
            {ASKED.map(([name, label, unit]) => (
              <form.AppField key={name} name={name}>
                {(field) => <field.InOffice label={label} unit={unit} />}
              </form.AppField>
            ))}
          </Fields>
          <Choice
            label={kitchenWords.stickBlender}
            value={equipment.hasStickBlender ? 'yes' : 'no'}
            options={[
              { value: 'yes', text: kitchenWords.thereIsOne },
              { value: 'no', text: kitchenWords.none },
            ]}
            onChange={(value) =>
              change.mutate({
                change: 'equipment',
                equipment: { ...equipment, hasStickBlender: value === 'yes' },
              })
            }
          />
          <Errors sentences={change.error ? [change.error.message] : []} />
          <span>
            <Button kind="main" type="submit">
              {kitchenWords.saveTheTools}
            </Button>
          </span>
          <Over role="status">{change.isSuccess ? kitchenWords.saved : ''}</Over>
        </TypedForm>
      </section>
      <InstrumentList kitchen={kitchen} />
    </>
  );
}
