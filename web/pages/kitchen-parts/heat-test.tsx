import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { type BurnerView, check, heatTestSchema, type KitchenView, typedNumber } from '../../../contract';
import { heatTestResult } from '../../../core/kitchen';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, FigureText, Over, Soft } from '../../components/text';
import { useKitchenChange } from '../../data/queries';
import { space } from '../../theme/tokens';
import { day, decimal, heatingWords } from '../../words';

const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  gap: ${space.s};
`;

/** Minutes as a cook reads them off a clock: 9:20, or 9.5. */
export function typedMinutes(text: string): number | null {
  const clock = /^\s*(\d{1,3}):([0-5]\d)\s*$/.exec(text);
  return clock ? Number(clock[1]) + Number(clock[2]) / 60 : typedNumber(text);
}

/** So much water from this to that temperature in so many minutes: what the burner gives, worked out as it is typed. */
export function HeatTestSheet({
  burner,
  kitchen,
  onClose,
}: {
  burner: BurnerView;
  kitchen: KitchenView;
  onClose: () => void;
}) {
  const pots = kitchen.pots.filter((pot) => burner.potIds.includes(pot.id));
  const [potId, setPotId] = useState(pots[0]?.id ?? '');
  const [typed, setTyped] = useState({ litres: '', fromC: '', toC: '', minutes: '' });
  const [fraction, setFraction] = useState('1');
  const [lid, setLid] = useState<'on' | 'off'>('on');
  const [errors, setErrors] = useState<readonly string[]>([]);
  const change = useKitchenChange();
  const set = (name: keyof typeof typed) => (text: string) =>
    setTyped((before) => ({ ...before, [name]: text }));
  const number = (text: string) => typedNumber(text) ?? text.trim();
  const said = {
    burnerId: burner.id,
    potId,
    litres: number(typed.litres),
    fromC: number(typed.fromC),
    toC: number(typed.toC),
    minutes: typedMinutes(typed.minutes) ?? typed.minutes.trim(),
    fraction: Number(fraction),
    lid,
  };
  const held = check(heatTestSchema, said);
  const content = JSON.stringify(said);
  // the same test is one entry, however often it is pressed; another is another
  const [entry, setEntry] = useState(() => ({ id: uuid(), content }));
  if (entry.content !== content) setEntry({ id: uuid(), content });
  const pot = pots.find((one) => one.id === potId);
  const result = held.ok && pot ? resultOf(held.value, pot, burner, kitchen) : null;
  const settings = burner.dial ?? [
    { word: 'half', share: 0.5 },
    { word: 'full', share: 1 },
  ];
  return (
    <Sheet title={heatingWords.testWithWater(burner.name)} isOpen onClose={onClose}>
      <p>{heatingWords.coldWaterInAPot}</p>
      <Choice
        label={heatingWords.pot}
        value={potId}
        options={pots.map((one) => ({ value: one.id, text: one.name }))}
        onChange={setPotId}
      />
      <Row>
        <SmallField label={heatingWords.water} unit="L" value={typed.litres} onChange={set('litres')} />
        <SmallField label={heatingWords.from} unit="°C" value={typed.fromC} onChange={set('fromC')} />
        <SmallField label={heatingWords.to} unit="°C" value={typed.toC} onChange={set('toC')} />
        <SmallField label={heatingWords.inAs920} unit="min" value={typed.minutes} onChange={set('minutes')} />
      </Row>
      <Choice
        label={heatingWords.setAt}
        value={fraction}
        options={settings.map((mark) => ({ value: String(mark.share), text: mark.word }))}
        onChange={setFraction}
      />
      <Choice
        label={heatingWords.lid}
        value={lid}
        options={[
          { value: 'on', text: heatingWords.on },
          { value: 'off', text: heatingWords.off },
        ]}
        onChange={setLid}
      />
      {result && (
        <div>
          <Over>{heatingWords.intoTheWater}</Over>
          <FigureText>{heatingWords.kw(decimal(result.waterKW, 2))}</FigureText>
          <Soft>
            {heatingWords.thePotItselfTookKw(
              decimal(result.potKW, 2),
              decimal(result.lostKW, 2),
              Math.round(100 * result.heatFactor.mean),
              Math.max(1, Math.round((100 * result.heatFactor.sd) / result.heatFactor.mean)),
            )}
          </Soft>
        </div>
      )}
      <Tests burner={burner} kitchen={kitchen} />
      <Errors sentences={[...errors, ...(change.error ? [change.error.message] : [])]} />
      <Button
        kind="main"
        onPress={() => {
          if (!held.ok) return setErrors(held.errors.map((one) => one.sentence));
          setErrors([]);
          change.mutate({ id: entry.id, change: 'heatTest', test: held.value }, { onSuccess: onClose });
        }}
      >
        {heatingWords.saveTheTest}
      </Button>
    </Sheet>
  );
}

/** Tests that stand, each to be forgotten: a figure may have been mistyped. */
function Tests({ burner, kitchen }: { burner: BurnerView; kitchen: KitchenView }) {
  const change = useKitchenChange();
  const tests = kitchen.heatTests.filter((one) => one.burnerId === burner.id);
  if (tests.length === 0) return null;
  return (
    <div>
      <Over>{heatingWords.testsSoFar}</Over>
      {tests.map((one) => (
        <p key={one.id}>
          {heatingWords.kw2(day(one.atMs, kitchen.zone), decimal(one.waterKW, 2))}
          <Button
            kind="quiet"
            onPress={() => change.mutate({ change: 'forgetHeatTest', testId: one.id })}
            aria-label={heatingWords.deleteTheTestOfKw(day(one.atMs, kitchen.zone), decimal(one.waterKW, 2))}
          >
            {heatingWords.delete}
          </Button>
        </p>
      ))}
    </div>
  );
}

function resultOf(
  test: Parameters<typeof heatTestResult>[0],
  pot: KitchenView['pots'][number],
  burner: BurnerView,
  kitchen: KitchenView,
) {
  try {
    return heatTestResult(test, { vessel: pot.vessel, emptyMassKg: pot.emptyMassKg, burner, kitchen });
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
