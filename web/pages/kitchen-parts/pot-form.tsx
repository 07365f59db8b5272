import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { check, ITEM_SCHEMAS, type KitchenPot, type KitchenView, typedNumber } from '../../../contract';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { useOneAtATime } from '../../components/form';
import { SmallField } from '../../components/small-field';
import { Errors, FigureText, Over, Soft, Title } from '../../components/text';
import { Tick } from '../../components/tick';
import { ApiError, sentencesOf } from '../../data/api';
import { type KitchenChangeBody, useKitchenChange } from '../../data/queries';
import { media, space } from '../../theme/tokens';
import { brimLitres, litres, potsWords, SHAPE_WORDS } from '../../words';
import { PotDrawing } from './pot-drawing';
import {
  MEASURES,
  meantMeasures,
  SHAPES,
  type Shape,
  shapeOf,
  typedMeasures,
  vesselOf,
} from './pot-measures';
import { COMMON_POTS, guessedMassKg } from './pot-sizes';
import { useTouched } from './use-touched';
import { Found, fitOf, levelsRead, type TypedLevel, typedLevels, WaterLevels } from './water-levels';

const Sides = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: ${space.l};
  > div {
    display: grid;
    gap: ${space.m};
    align-content: start;
  }
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
    > div:first-child {
      order: 2;
      justify-items: center;
    }
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: end;
  > div {
    width: 116px;
  }
`;

/** A pot: by its inside measures, or by water poured in and a stick read. What it comes to is drawn as it is typed. */
export function PotForm({
  pot,
  kitchen,
  onDone,
}: {
  pot: KitchenPot | null;
  kitchen: KitchenView;
  onDone: () => void;
}) {
  const [id] = useState(() => pot?.id ?? uuid());
  const [name, setName] = useState(pot?.name ?? '');
  const [how, setHow] = useState<'size' | 'water'>(
    pot?.levels || pot?.vessel.shape === 'measured' ? 'water' : 'size',
  );
  const [shape, setShape] = useState<Shape>(shapeOf(pot?.vessel));
  const [measures, setMeasures] = useState<Record<string, string>>(() => typedMeasures(pot?.vessel));
  const [isRound, setRound] = useState(pot?.vessel.shape !== 'box');
  const [levels, setLevels] = useState<TypedLevel[]>(() => typedLevels(pot));
  const [mass, setMass] = useState(pot ? String(pot.emptyMassKg) : '');
  const [burnerIds, setBurnerIds] = useState<readonly string[]>(() =>
    kitchen.burners
      .filter((one) => (pot ? one.potIds.includes(pot.id) : one.kind !== 'steam'))
      .map((one) => one.id),
  );
  const [learned, setLearned] = useState<'keep' | 'anew'>('keep');
  const [errors, setErrors] = useState<readonly string[]>([]);
  const change = useKitchenChange();
  const touched = useTouched('pot', id);

  const read = levelsRead(levels);
  const heightCm = typedNumber(measures.heightCm ?? '') ?? 0;
  const fitted = how === 'water' ? fitOf(read, heightCm, isRound) : null;
  const vessel = how === 'water' ? (fitted?.vessel ?? null) : vesselOf(shape, measures);
  const isOtherPot = pot !== null && vessel !== null && JSON.stringify(vessel) !== JSON.stringify(pot.vessel);

  const keep = useOneAtATime(async () => {
    const emptyMassKg = mass.trim() === '' && vessel ? guessedMassKg(brimLitres(vessel)) : typedNumber(mass);
    const made = {
      id,
      name,
      vessel: vessel ?? { shape, ...meantMeasures(shape, measures) },
      emptyMassKg: emptyMassKg ?? mass,
      ...(how === 'water' ? { levels: read } : {}),
    };
    if (how === 'water' && !fitted) {
      setErrors([potsWords.typeItsHeightAndTwo]);
      return;
    }
    const held = check(ITEM_SCHEMAS.pot, made);
    if (!held.ok) {
      setErrors(held.errors.map((one) => one.sentence));
      return;
    }
    const body: KitchenChangeBody = {
      change: 'save',
      kind: 'pot',
      item: held.value,
      burnerIds: [...burnerIds],
    };
    try {
      await change.mutateAsync(isOtherPot ? { ...body, learned } : body);
      onDone();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setErrors(sentencesOf(error));
    }
  });

  return (
    <Sides
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div>
        <Title>{name || (pot ? pot.name : potsWords.aPot)}</Title>
        {vessel ? (
          <PotDrawing vessel={vessel} levels={how === 'water' ? read : []} />
        ) : (
          <Soft>{potsWords.itIsDrawnHereAs}</Soft>
        )}
        {fitted && <Found of={fitted} levels={read} heightCm={heightCm} isRound={isRound} />}
        {how === 'size' && vessel && (
          <div>
            <Over>{potsWords.brimsAt}</Over>
            <FigureText>{litres(brimLitres(vessel))}</FigureText>
          </div>
        )}
      </div>
      <div>
        {!pot && how === 'size' && (
          <div>
            <Over>{potsWords.commonSizesToStartFrom}</Over>
            <Row as="div">
              {COMMON_POTS.map((one) => (
                <Button
                  key={one.name}
                  kind="quiet"
                  onPress={() => {
                    setName(one.name);
                    setShape(shapeOf(one.vessel));
                    setMeasures(typedMeasures(one.vessel));
                    setMass(String(one.emptyMassKg));
                  }}
                >
                  {one.name}
                </Button>
              ))}
            </Row>
          </div>
        )}
        <SmallField label={potsWords.nameOfThePot} value={name} onChange={setName} />
        <Choice
          label={potsWords.itsMeasures}
          value={how}
          options={[
            { value: 'size', text: potsWords.typeItsSize },
            { value: 'water', text: potsWords.measureByWater },
          ]}
          onChange={setHow}
        />
        {how === 'size' ? (
          <>
            <Choice
              label={potsWords.shape}
              value={shape}
              options={SHAPES.map((one) => ({ value: one, text: SHAPE_WORDS[one] }))}
              onChange={setShape}
            />
            <Row>
              {MEASURES[shape].map((one) => (
                <SmallField
                  key={one.name}
                  label={one.label}
                  unit="cm"
                  value={measures[one.name] ?? ''}
                  onChange={(text) => setMeasures((before) => ({ ...before, [one.name]: text }))}
                />
              ))}
            </Row>
          </>
        ) : (
          <WaterLevels
            levels={levels}
            onLevels={setLevels}
            rim={measures.heightCm ?? ''}
            onRim={(heightCm) => setMeasures((before) => ({ ...before, heightCm }))}
            isRound={isRound}
            onRound={setRound}
            fitted={fitted}
          />
        )}
        <SmallField
          label={
            vessel && mass.trim() === ''
              ? potsWords.weightEmptyAboutKgIs(guessedMassKg(brimLitres(vessel)))
              : potsWords.weightEmpty
          }
          unit="kg"
          value={mass}
          onChange={setMass}
        />
        {kitchen.burners.length > 0 && (
          <div>
            <Over>{potsWords.burnersItStandsOn}</Over>
            <Row as="div" role="group" aria-label={potsWords.burnersItStandsOn}>
              {kitchen.burners.map((burner) => (
                <Tick
                  key={burner.id}
                  isOn={burnerIds.includes(burner.id)}
                  onChange={(isOn) =>
                    setBurnerIds(
                      isOn ? [...burnerIds, burner.id] : burnerIds.filter((id) => id !== burner.id),
                    )
                  }
                >
                  {burner.name}
                </Tick>
              ))}
            </Row>
          </div>
        )}
        {isOtherPot && (
          <>
            <Choice
              label={potsWords.whatWasLearnedInThe}
              value={learned}
              options={[
                { value: 'keep', text: potsWords.keepIt },
                { value: 'anew', text: potsWords.startAnew },
              ]}
              onChange={setLearned}
            />
            {touched && <Soft>{touched}</Soft>}
          </>
        )}
        <Errors sentences={errors} />
        <Row as="div">
          <Button kind="main" type="submit">
            {kitchen.pots.length === 0 ? potsWords.saveTheFirstPot : potsWords.saveThisPot}
          </Button>
          <Button kind="quiet" onPress={onDone}>
            {potsWords.cancel}
          </Button>
        </Row>
      </div>
    </Sides>
  );
}
